package zebrawood.logbook.store;

import com.fasterxml.jackson.databind.JsonNode;
import java.security.MessageDigest;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jdbi.v3.core.Handle;
import zebrawood.core.reading.ReadingException;

/**
 * What a check of the whole logbook found: every entry against its hash, its columns, the entry before it and the
 * shop chain; every attachment against the entries that name it.
 *
 * @param entries how many entries were checked
 * @param attachments how many attachments were checked
 * @param head hash of the shop chain's last row
 * @param flaws what does not hold, in the order found; empty when everything does
 */
public record Verification(long entries, long attachments, String head, List<Flaw> flaws) {

    /**
     * One thing that does not hold.
     *
     * @param where the entry, such as {@code Wren no. 12}, or the row of the shop chain
     * @param part which part of it
     * @param why in words
     */
    public record Flaw(String where, String part, String why) {
        @Override
        public String toString() {
            return where + ": " + part + " " + why;
        }
    }

    public boolean holds() {
        return flaws.isEmpty();
    }

    static Verification of(Handle handle, List<String> expected) {
        try {
            return new Checking(handle).run(expected);
        } catch (SQLException e) {
            return new Verification(0, 0, Hashes.NONE, List.of(new Flaw("the database", "file", "cannot be read: " + e.getMessage())));
        }
    }

    /** One run of the checks. Rows stream by; only a hash an entry is kept in memory. */
    private static final class Checking {
        private final Handle handle;
        private final List<Flaw> flaws = new ArrayList<>();
        private final Map<String, String> names = new HashMap<>();
        private final Map<String, String> hashOf = new HashMap<>();
        private final Map<String, Long> positionOf = new HashMap<>();
        private final Map<String, String> newestName = new HashMap<>();
        private final Map<String, Long> attachmentLength = new HashMap<>();
        private final Map<String, String> attachmentOwner = new HashMap<>();
        private String head = Hashes.NONE;

        Checking(Handle handle) {
            this.handle = handle;
        }

        Verification run(List<String> expected) throws SQLException {
            query("select id, name from machine", row -> names.put(row.getString(1), row.getString(2)));
            entries();
            shopChain();
            machines();
            long attachments = attachments();
            Set<String> hashes = new HashSet<>(hashOf.values());
            for (String wanted : expected) {
                String hash = wanted.toLowerCase(Locale.ROOT).replaceAll("\\s", "");
                if (!hashes.contains(hash) && !hash.equals(head)) {
                    flaws.add(new Flaw("the shop", "hash", wanted + " is expected, but neither an entry nor the shop chain's head has it"));
                }
            }
            return new Verification(hashOf.size(), attachments, head, List.copyOf(flaws));
        }

        private void entries() throws SQLException {
            String[] machine = {null};
            String[] previous = {Hashes.NONE};
            int[] next = {1};
            query("select machine_id, number, position, stands_at, corrects, kind, stop, verdict, fired, initials, recorded_at, previous, hash, bytes"
                    + " from entry order by machine_id, number", row -> {
                String id = row.getString(1);
                if (!Objects.equals(id, machine[0])) {
                    machine[0] = id;
                    previous[0] = Hashes.NONE;
                    next[0] = 1;
                }
                int number = row.getInt(2);
                for (; next[0] < number; next[0]++) {
                    flaw(id, next[0], "entry", "is missing");
                }
                entry(row, id, number, previous[0]);
                previous[0] = row.getString(13);
                next[0] = number + 1;
            });
        }

        private void entry(ResultSet row, String id, int number, String previous) throws SQLException {
            byte[] bytes = row.getBytes(14);
            String hash = row.getString(13);
            hashOf.put(id + "#" + number, hash);
            positionOf.put(id + "#" + number, row.getLong(3));
            if (!Hashes.of(bytes).equals(hash)) {
                flaw(id, number, "bytes", "do not have the hash that was recorded");
            }
            JsonNode json;
            try {
                json = EntryBytes.tree(bytes);
            } catch (ReadingException unreadable) {
                flaw(id, number, "bytes", "cannot be read");
                return;
            }
            JsonNode corrects = json.path("corrects");
            compare(id, number, "machine_id", id, json.path("machine").asText());
            compare(id, number, "number", String.valueOf(number), json.path("number").asText());
            compare(id, number, "stands_at", row.getString(4), corrects.isMissingNode() ? String.valueOf(number) : corrects.path("standsAt").asText());
            compare(id, number, "corrects", row.getString(5), corrects.isMissingNode() ? null : corrects.path("number").asText());
            compare(id, number, "kind", row.getString(6), json.path("kind").asText());
            compare(id, number, "stop", row.getString(7), json.path("stop").asText());
            compare(id, number, "verdict", row.getString(8), json.path("body").path("verdict").asText(null));
            compare(id, number, "fired", row.getString(9), json.path("body").path("fired").asBoolean() ? "1" : "0");
            compare(id, number, "initials", row.getString(10), json.path("by").asText());
            compare(id, number, "recorded_at", row.getString(11), json.path("at").asText());
            compare(id, number, "previous", row.getString(12), json.path("previous").asText());
            if (!previous.equals(json.path("previous").asText())) {
                flaw(id, number, "previous", "does not name the entry that stands before it");
            }
            if (json.path("kind").asText().equals("plate")) {
                newestName.put(id, json.path("body").path("plate").path("name").asText());
            }
            for (JsonNode attachment : json.path("attachments")) {
                attachmentLength.put(attachment.path("sha256").asText(), attachment.path("bytes").asLong());
                attachmentOwner.putIfAbsent(attachment.path("sha256").asText(), where(id, number));
            }
        }

        private void shopChain() throws SQLException {
            long[] next = {1};
            Set<String> anchored = new HashSet<>();
            query("select position, machine_id, number, hash, previous, row_hash from shop_chain order by position", row -> {
                long position = row.getLong(1);
                String id = row.getString(2);
                int number = row.getInt(3);
                String key = id + "#" + number;
                if (position != next[0]) {
                    flaws.add(new Flaw("shop chain row " + next[0], "row", "is missing"));
                }
                if (!row.getString(5).equals(head)) {
                    flaws.add(new Flaw("shop chain row " + position, "previous", "does not name the row before it (" + where(id, number) + ")"));
                }
                if (!Hashes.ofRow(position, id, number, row.getString(4), row.getString(5)).equals(row.getString(6))) {
                    flaws.add(new Flaw("shop chain row " + position, "row_hash", "does not belong to it (" + where(id, number) + ")"));
                }
                if (!hashOf.containsKey(key)) {
                    flaw(id, number, "entry", "stands in the shop chain but is gone");
                } else if (!hashOf.get(key).equals(row.getString(4))) {
                    flaw(id, number, "hash", "is another one in the shop chain");
                } else if (positionOf.get(key) != position) {
                    flaw(id, number, "position", "is another one in the shop chain");
                }
                anchored.add(key);
                head = row.getString(6);
                next[0] = position + 1;
            });
            for (String key : hashOf.keySet()) {
                if (!anchored.contains(key)) {
                    int at = key.lastIndexOf('#');
                    flaw(key.substring(0, at), Integer.parseInt(key.substring(at + 1)), "entry", "does not stand in the shop chain");
                }
            }
        }

        private void machines() throws SQLException {
            Set<String> left = new HashSet<>(newestName.keySet());
            query("select id, name, name_folded from machine", row -> {
                String plateName = newestName.get(row.getString(1));
                left.remove(row.getString(1));
                if (plateName == null) {
                    flaws.add(new Flaw("machine " + row.getString(2), "id", "has no plate in the logbook"));
                } else if (!plateName.equals(row.getString(2)) || !Appender.folded(plateName).equals(row.getString(3))) {
                    flaws.add(new Flaw("machine " + plateName, "name", "differs from its newest plate"));
                }
            });
            left.forEach(id -> flaws.add(new Flaw("machine " + newestName.get(id), "id", "is missing from the list of machines")));
        }

        private long attachments() throws SQLException {
            Set<String> left = new HashSet<>(attachmentLength.keySet());
            long[] count = {0};
            query("select hash, length from attachment", row -> {
                String hash = row.getString(1);
                count[0]++;
                if (!left.remove(hash)) {
                    flaws.add(new Flaw("attachment " + hash, "hash", "is named by no entry"));
                    return;
                }
                String of = "attachment of " + attachmentOwner.get(hash);
                if (row.getLong(2) != attachmentLength.get(hash)) {
                    flaws.add(new Flaw(of, "length", "differs from its entry"));
                }
                MessageDigest digest = Hashes.digest();
                int[] part = {0};
                query("select part, bytes from attachment_part where hash = '" + hash.replace("'", "''") + "' order by part", bytes -> {
                    if (bytes.getInt(1) != part[0]++) {
                        flaws.add(new Flaw(of, "part " + (part[0] - 1), "is missing"));
                    }
                    digest.update(bytes.getBytes(2));
                });
                if (!Hashes.hex(digest.digest()).equals(hash)) {
                    flaws.add(new Flaw(of, "bytes", "have been changed"));
                }
            });
            left.forEach(hash -> flaws.add(new Flaw("attachment of " + attachmentOwner.get(hash), "attachment", "is missing")));
            return count[0];
        }

        private void compare(String id, int number, String part, String column, String inBytes) {
            if (!Objects.equals(column, inBytes)) {
                flaw(id, number, part, "is " + column + " in its column but " + inBytes + " in the entry");
            }
        }

        private void flaw(String id, int number, String part, String why) {
            flaws.add(new Flaw(where(id, number), part, why));
        }

        private String where(String id, int number) {
            return names.getOrDefault(id, newestName.getOrDefault(id, "machine " + id)) + " no. " + number;
        }

        private interface RowReader {
            void read(ResultSet row) throws SQLException;
        }

        private void query(String sql, RowReader reader) throws SQLException {
            try (PreparedStatement statement = handle.getConnection().prepareStatement(sql); ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    reader.read(rows);
                }
            }
        }
    }
}
