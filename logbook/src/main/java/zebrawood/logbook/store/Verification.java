package zebrawood.logbook.store;

import java.security.MessageDigest;
import java.sql.Connection;
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
import java.util.function.LongConsumer;
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

    /** From so many flaws on the rest is not told. */
    private static final int MOST_FLAWS = 10_000;

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

    static Verification of(Connection connection, List<String> expected, LongConsumer progress) {
        Checking checking = new Checking(connection, progress);
        try {
            return checking.run(expected);
        } catch (SQLException e) {
            checking.add(new Flaw("the database", "file", "cannot be read on: " + Database.inWords(e)));
            return checking.found();
        }
    }

    /**
     * One run of the checks. Entries and chain are read side by side in the order in which they were written, past
     * every index, so that memory does not grow with them and a column is seen as it truly stands in its row.
     */
    private static final class Checking {
        private final Connection connection;
        private final LongConsumer progress;
        private final List<Flaw> flaws = new ArrayList<>();
        private final Map<String, String> names = new HashMap<>();
        private final Map<String, String> lastHash = new HashMap<>();
        private final Map<String, String> newestName = new HashMap<>();
        private final Map<String, Long> attachmentLength = new HashMap<>();
        private final Map<String, String> attachmentOwner = new HashMap<>();
        private final Map<String, String> expected = new HashMap<>();
        private long entries;
        private long attachments;
        private String head = Hashes.NONE;

        Checking(Connection connection, LongConsumer progress) {
            this.connection = connection;
            this.progress = progress;
        }

        Verification run(List<String> wanted) throws SQLException {
            wanted.forEach(hash -> expected.put(hash.toLowerCase(Locale.ROOT).replaceAll("\\s", ""), hash));
            connection.setAutoCommit(false);
            try {
                query("select id, name from machine", row -> names.put(row.getString(1), row.getString(2)));
                chains();
                machines();
                attachments();
            } finally {
                connection.setAutoCommit(true);
            }
            expected.remove(head);
            expected.values().forEach(hash -> add(new Flaw("the shop", "hash", hash + " is expected, but neither an entry nor the shop chain's head has it")));
            return found();
        }

        Verification found() {
            return new Verification(entries, attachments, head, List.copyOf(flaws));
        }

        /** Walks along entries and shop chain together. */
        private void chains() throws SQLException {
            try (PreparedStatement entryRows = connection.prepareStatement("select machine_id, number, position, stands_at, corrects, kind, stop, verdict,"
                            + " fired, initials, recorded_at, previous, hash, bytes from entry not indexed");
                    PreparedStatement chainRows = connection.prepareStatement(
                            "select position, machine_id, number, hash, previous, row_hash from shop_chain not indexed");
                    ResultSet entry = entryRows.executeQuery();
                    ResultSet chain = chainRows.executeQuery()) {
                boolean anotherEntry = entry.next();
                boolean anotherRow = chain.next();
                long next = 1;
                while (anotherEntry || anotherRow) {
                    Beside beside = !anotherRow ? Beside.NO_ROW : !anotherEntry ? Beside.NO_ENTRY : beside(entry, chain);
                    if (beside == Beside.NO_ROW) {
                        entry(entry);
                        flaw(entry.getString(1), entry.getInt(2), "entry", "does not stand in the shop chain");
                        anotherEntry = entry.next();
                        continue;
                    }
                    next = row(chain, next);
                    if (beside == Beside.NO_ENTRY) {
                        flaw(chain.getString(2), chain.getInt(3), "entry", "stands in the shop chain but is gone");
                    } else {
                        entry(entry);
                        together(entry, chain);
                        anotherEntry = entry.next();
                    }
                    anotherRow = chain.next();
                }
            }
        }

        private enum Beside {
            SAME,
            NO_ENTRY,
            NO_ROW
        }

        private static Beside beside(ResultSet entry, ResultSet chain) throws SQLException {
            boolean sameHash = entry.getString(13).equals(chain.getString(4));
            boolean sameEntry = entry.getString(1).equals(chain.getString(2)) && entry.getInt(2) == chain.getInt(3);
            if (sameHash || sameEntry || entry.getLong(3) == chain.getLong(1)) {
                return Beside.SAME;
            }
            return entry.getLong(3) > chain.getLong(1) ? Beside.NO_ENTRY : Beside.NO_ROW;
        }

        private void together(ResultSet entry, ResultSet chain) throws SQLException {
            String id = entry.getString(1);
            int number = entry.getInt(2);
            if (!id.equals(chain.getString(2)) || number != chain.getInt(3)) {
                flaw(id, number, "entry", "stands in the shop chain as " + where(chain.getString(2), chain.getInt(3)));
            }
            if (!entry.getString(13).equals(chain.getString(4))) {
                flaw(id, number, "hash", "is another one in the shop chain");
            }
            if (entry.getLong(3) != chain.getLong(1)) {
                flaw(id, number, "position", "is another one in the shop chain");
            }
        }

        /** Checks a row of the shop chain; gives the position that comes next. */
        private long row(ResultSet chain, long next) throws SQLException {
            long position = chain.getLong(1);
            String id = chain.getString(2);
            int number = chain.getInt(3);
            String previous = chain.getString(5);
            if (position != next) {
                add(new Flaw("shop chain row " + next, "row", "is missing"));
            }
            if (!previous.equals(head)) {
                add(new Flaw("shop chain row " + position, "previous", "does not name the row before it (" + where(id, number) + ")"));
            }
            if (!Hashes.ofRow(position, id, number, chain.getString(4), previous).equals(chain.getString(6))) {
                add(new Flaw("shop chain row " + position, "row_hash", "does not belong to it (" + where(id, number) + ")"));
            }
            head = chain.getString(6);
            return position + 1;
        }

        private void entry(ResultSet row) throws SQLException {
            String id = row.getString(1);
            int number = row.getInt(2);
            byte[] bytes = row.getBytes(14);
            String hash = row.getString(13);
            entries++;
            if (entries % 10_000 == 0) {
                progress.accept(entries);
            }
            if (!expected.isEmpty()) {
                expected.remove(hash);
            }
            if (!Hashes.of(bytes).equals(hash)) {
                flaw(id, number, "bytes", "do not have the hash that was recorded");
            }
            String before = lastHash.getOrDefault(id, Hashes.NONE);
            lastHash.put(id, hash);
            EntryHead said;
            try {
                said = EntryHead.of(bytes);
            } catch (ReadingException unreadable) {
                flaw(id, number, "bytes", "cannot be read");
                return;
            }
            compare(id, number, "machine_id", id, said.machine());
            compare(id, number, "number", row.getString(2), said.number());
            compare(id, number, "stands_at", row.getString(4), said.standsAt() == null ? said.number() : said.standsAt());
            compare(id, number, "corrects", row.getString(5), said.corrects());
            compare(id, number, "kind", row.getString(6), said.kind());
            compare(id, number, "stop", row.getString(7), said.stop());
            compare(id, number, "verdict", row.getString(8), said.verdict());
            compare(id, number, "fired", row.getString(9), said.fired() ? "1" : "0");
            compare(id, number, "initials", row.getString(10), said.by());
            compare(id, number, "recorded_at", row.getString(11), said.at());
            compare(id, number, "previous", row.getString(12), said.previous());
            if (!before.equals(said.previous())) {
                flaw(id, number, "previous", "does not name the entry that stands before it");
            }
            if (said.plateName() != null) {
                newestName.put(id, said.plateName());
            }
            for (EntryHead.File file : said.files()) {
                attachmentLength.put(file.sha256(), file.bytes());
                attachmentOwner.putIfAbsent(file.sha256(), where(id, number));
            }
        }

        private void machines() throws SQLException {
            Set<String> left = new HashSet<>(newestName.keySet());
            query("select id, name, name_folded from machine not indexed", row -> {
                String plateName = newestName.get(row.getString(1));
                left.remove(row.getString(1));
                if (plateName == null) {
                    add(new Flaw("machine " + row.getString(2), "id", "has no plate in the logbook"));
                } else if (!plateName.equals(row.getString(2)) || !Appender.folded(plateName).equals(row.getString(3))) {
                    add(new Flaw("machine " + plateName, "name", "differs from its newest plate"));
                }
            });
            left.forEach(id -> add(new Flaw("machine " + newestName.get(id), "id", "is missing from the list of machines")));
        }

        private void attachments() throws SQLException {
            Set<String> left = new HashSet<>(attachmentLength.keySet());
            Set<String> there = new HashSet<>();
            query("select hash, length from attachment not indexed", row -> {
                String hash = row.getString(1);
                there.add(hash);
                if (!left.remove(hash)) {
                    add(new Flaw("attachment " + hash, "hash", "is named by no entry"));
                } else {
                    attachments++;
                    attachment(hash, row.getLong(2));
                }
            });
            left.forEach(hash -> add(new Flaw("attachment of " + attachmentOwner.get(hash), "attachment", "is missing")));
            query("select distinct hash from attachment_part", row -> {
                if (!there.contains(row.getString(1))) {
                    add(new Flaw("attachment " + row.getString(1), "part", "belongs to none that is listed"));
                }
            });
        }

        private void attachment(String hash, long length) throws SQLException {
            String of = "attachment of " + attachmentOwner.get(hash);
            if (length != attachmentLength.get(hash)) {
                add(new Flaw(of, "length", "differs from its entry"));
            }
            MessageDigest digest = Hashes.digest();
            try (PreparedStatement parts = connection.prepareStatement("select part, hash, bytes from attachment_part where hash = ? order by part")) {
                parts.setString(1, hash);
                try (ResultSet row = parts.executeQuery()) {
                    for (int part = 0; row.next(); part++) {
                        if (row.getInt(1) != part) {
                            add(new Flaw(of, "part " + part, "is missing"));
                        }
                        digest.update(row.getBytes(3));
                    }
                }
            }
            if (!Hashes.hex(digest.digest()).equals(hash)) {
                add(new Flaw(of, "bytes", "have been changed"));
            }
        }

        private void compare(String id, int number, String part, String column, String inBytes) {
            if (!Objects.equals(column, inBytes)) {
                flaw(id, number, part, "is " + column + " in its column but " + inBytes + " in the entry");
            }
        }

        private void flaw(String id, int number, String part, String why) {
            add(new Flaw(where(id, number), part, why));
        }

        private void add(Flaw flaw) {
            if (flaws.size() < MOST_FLAWS) {
                flaws.add(flaw);
            }
        }

        private String where(String id, int number) {
            return names.getOrDefault(id, newestName.getOrDefault(id, "machine " + id)) + " no. " + number;
        }

        private interface RowReader {
            void read(ResultSet row) throws SQLException;
        }

        private void query(String sql, RowReader reader) throws SQLException {
            try (PreparedStatement statement = connection.prepareStatement(sql); ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    reader.read(rows);
                }
            }
        }
    }
}
