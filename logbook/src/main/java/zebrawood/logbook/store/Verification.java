package zebrawood.logbook.store;

import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import java.util.stream.Collectors;
import zebrawood.core.reading.ReadingException;

/**
 * What a check of the whole logbook found: every entry against its hash, its columns, the entry before it and the shop
 * chain; every attachment against the entries that name it.
 *
 * @param entries how many entries were checked
 * @param attachments how many attachments were checked
 * @param head hash of the shop chain's last row
 * @param flaws what does not hold, in the order found; empty when everything does
 */
public record Verification(long entries, long attachments, String head, List<Flaw> flaws) {

    /** From so many flaws on the rest is not told. */
    private static final int MOST_FLAWS = 10_000;

    /** rows walked at once: fast, and little is held */
    private static final int BATCH = 500;

    private static final byte[] GONE = {};
    private static final List<String> ENTRY = List.of(
            "machine_id",
            "number",
            "position",
            "stands_at",
            "corrects",
            "kind",
            "stop",
            "verdict",
            "fired",
            "initials",
            "recorded_at",
            "previous",
            "hash");
    private static final List<String> CHAIN =
            List.of("position", "machine_id", "number", "hash", "previous", "row_hash");

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

    /** Whether every entry, chain and attachment is as it was written. */
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
            expected.values()
                    .forEach(hash -> add(new Flaw(
                            "the shop",
                            "hash",
                            hash + " is expected, but neither an entry nor the shop chain's head has it")));
            return found();
        }

        Verification found() {
            return new Verification(entries, attachments, head, List.copyOf(flaws));
        }

        /** Walks along entries and shop chain together: this thread reads, another one checks. */
        private void chains() throws SQLException {
            BlockingQueue<List<Read>> batches = new ArrayBlockingQueue<>(4);
            ExecutorService checker = Executors.newSingleThreadExecutor();
            Future<?> checked = checker.submit(() -> {
                Walk walk = new Walk();
                for (List<Read> batch = batches.take(); !batch.isEmpty(); batch = batches.take()) {
                    batch.forEach(walk::take);
                }
                walk.end();
                return null;
            });
            try {
                read(batch -> put(batch, batches, checked), batches::isEmpty);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            } finally {
                finish(checker, checked, batches);
            }
        }

        private void finish(ExecutorService checker, Future<?> checked, BlockingQueue<List<Read>> batches) {
            try {
                put(List.of(), batches, checked);
                checked.get();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            } catch (ExecutionException e) {
                throw e.getCause() instanceof RuntimeException ended ? ended : new IllegalStateException(e.getCause());
            } finally {
                checker.shutdownNow();
            }
        }

        /** Hands a batch on; whether anybody still takes it. */
        private static boolean put(List<Read> batch, BlockingQueue<List<Read>> batches, Future<?> checked)
                throws InterruptedException {
            while (!batches.offer(batch, 100, TimeUnit.MILLISECONDS)) {
                if (checked.isDone()) {
                    return false;
                }
            }
            return true;
        }

        private interface Handing {
            boolean on(List<Read> batch) throws InterruptedException;
        }

        /** @param idle whether the other thread has nothing to do: it then takes over the hashing */
        private void read(Handing hand, BooleanSupplier idle) throws SQLException, InterruptedException {
            try (PreparedStatement entryRows =
                            connection.prepareStatement("select " + joined(ENTRY) + ", bytes from entry not indexed");
                    PreparedStatement chainRows =
                            connection.prepareStatement("select " + joined(CHAIN) + " from shop_chain not indexed");
                    ResultSet entry = entryRows.executeQuery();
                    ResultSet chain = chainRows.executeQuery()) {
                List<Read> batch = new ArrayList<>();
                boolean anotherEntry = entry.next();
                boolean anotherRow = chain.next();
                boolean hashing = false;
                while (anotherEntry || anotherRow) {
                    byte[] bytes = anotherEntry ? Objects.requireNonNullElse(entry.getBytes(2), GONE) : GONE;
                    batch.add(new Read(
                            anotherEntry ? entry.getString(1) : null,
                            bytes,
                            anotherEntry && hashing ? Hashes.of(bytes) : null,
                            anotherRow ? chain.getString(1) : null));
                    anotherEntry = anotherEntry && entry.next();
                    anotherRow = anotherRow && chain.next();
                    if (batch.size() == BATCH) {
                        if (!hand.on(batch)) {
                            return;
                        }
                        batch = new ArrayList<>();
                        hashing = !idle.getAsBoolean();
                    }
                }
                if (!batch.isEmpty()) {
                    hand.on(batch);
                }
            }
        }

        /** All columns as one text: one is read much faster than many. */
        private static String joined(List<String> columns) {
            return columns.stream()
                    .map(column -> "coalesce(" + column + ", '')")
                    .collect(Collectors.joining(" || char(31) || "));
        }

        /**
         * A row of each table as they were read beside each other; null where one has ended, and for a hash that is
         * still to be taken.
         */
        private record Read(String entry, byte[] bytes, String hashOfBytes, String chain) {}

        /** A stored entry: its columns, its bytes, and the hash that they truly have. */
        private record Row(String[] columns, byte[] bytes, String hashOfBytes) {
            String id() {
                return columns[0];
            }

            int number() {
                return whole(columns[1]);
            }

            String hash() {
                return columns[12];
            }
        }

        private static int whole(String number) {
            try {
                return Integer.parseInt(number);
            } catch (NumberFormatException changed) {
                return -1;
            }
        }

        /** Puts each row of the chain beside its entry, where one or the other may be missing. */
        private final class Walk {
            private final Deque<Row> waitingEntries = new ArrayDeque<>();
            private final Deque<String[]> waitingRows = new ArrayDeque<>();
            private long next = 1;

            void take(Read read) {
                if (read.entry() != null) {
                    waitingEntries.add(new Row(
                            split(read.entry(), ENTRY.size()),
                            read.bytes(),
                            read.hashOfBytes() == null ? Hashes.of(read.bytes()) : read.hashOfBytes()));
                }
                if (read.chain() != null) {
                    waitingRows.add(split(read.chain(), CHAIN.size()));
                }
                while (!waitingEntries.isEmpty() && !waitingRows.isEmpty()) {
                    step();
                }
            }

            void end() {
                waitingEntries.forEach(this::alone);
                waitingRows.forEach(this::gone);
            }

            private void step() {
                Row entry = waitingEntries.peek();
                String[] row = waitingRows.peek();
                boolean same = entry.hash().equals(row[3])
                        || entry.id().equals(row[1]) && entry.columns()[1].equals(row[2])
                        || entry.columns()[2].equals(row[0]);
                if (same) {
                    next = row(row, next);
                    entry(entry);
                    together(waitingEntries.remove(), waitingRows.remove());
                } else if (whole(entry.columns()[2]) > whole(row[0])) {
                    gone(waitingRows.remove());
                } else {
                    alone(waitingEntries.remove());
                }
            }

            private void alone(Row entry) {
                entry(entry);
                flaw(entry.id(), entry.number(), "entry", "does not stand in the shop chain");
            }

            private void gone(String[] row) {
                next = row(row, next);
                flaw(row[1], whole(row[2]), "entry", "stands in the shop chain but is gone");
            }
        }

        private static String[] split(String joined, int columns) {
            String[] parts = new String[columns];
            int from = 0;
            for (int i = 0; i < columns; i++) {
                int to = i == columns - 1 ? -1 : joined.indexOf(31, from);
                parts[i] = to < 0 ? joined.substring(Math.min(from, joined.length())) : joined.substring(from, to);
                from = to < 0 ? joined.length() : to + 1;
            }
            return parts;
        }

        private void together(Row entry, String[] row) {
            if (!entry.id().equals(row[1]) || !entry.columns()[1].equals(row[2])) {
                flaw(
                        entry.id(),
                        entry.number(),
                        "entry",
                        "stands in the shop chain as " + where(row[1], whole(row[2])));
            }
            if (!entry.hash().equals(row[3])) {
                flaw(entry.id(), entry.number(), "hash", "is another one in the shop chain");
            }
            if (!entry.columns()[2].equals(row[0])) {
                flaw(entry.id(), entry.number(), "position", "is another one in the shop chain");
            }
        }

        /** Checks a row of the shop chain; gives the position that comes next. */
        private long row(String[] row, long next) {
            long position = whole(row[0]);
            String id = row[1];
            int number = whole(row[2]);
            if (position != next) {
                add(new Flaw("shop chain row " + next, "row", "is missing"));
            }
            if (!row[4].equals(head)) {
                add(new Flaw(
                        "shop chain row " + position,
                        "previous",
                        "does not name the row before it (" + where(id, number) + ")"));
            }
            if (!Hashes.ofRow(position, id, number, row[3], row[4]).equals(row[5])) {
                add(new Flaw(
                        "shop chain row " + position, "row_hash", "does not belong to it (" + where(id, number) + ")"));
            }
            head = row[5];
            return position + 1;
        }

        private void entry(Row row) {
            String id = row.id();
            int number = row.number();
            String hash = row.hash();
            entries++;
            if (entries % 10_000 == 0) {
                progress.accept(entries);
            }
            if (!expected.isEmpty()) {
                expected.remove(hash);
            }
            if (!hash.equals(row.hashOfBytes())) {
                flaw(id, number, "bytes", "do not have the hash that was recorded");
            }
            String before = lastHash.getOrDefault(id, Hashes.NONE);
            lastHash.put(id, hash);
            EntryHead said;
            try {
                said = EntryHead.of(row.bytes());
            } catch (ReadingException unreadable) {
                flaw(id, number, "bytes", "cannot be read");
                return;
            }
            String[] wanted = {
                said.machine(),
                said.number(),
                row.columns()[2],
                said.standsAt() == null ? said.number() : said.standsAt(),
                said.corrects(),
                said.kind(),
                said.stop(),
                said.verdict(),
                said.fired() ? "1" : "0",
                said.by(),
                said.at(),
                said.previous(),
                hash
            };
            for (int i = 0; i < wanted.length; i++) {
                String inBytes = wanted[i] == null ? "" : wanted[i];
                if (!inBytes.equals(row.columns()[i])) {
                    flaw(
                            id,
                            number,
                            ENTRY.get(i),
                            "is " + row.columns()[i] + " in its column but " + inBytes + " in the entry");
                }
            }
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
                } else if (!plateName.equals(row.getString(2))
                        || !Appender.folded(plateName).equals(row.getString(3))) {
                    add(new Flaw("machine " + plateName, "name", "differs from its newest plate"));
                }
            });
            left.forEach(
                    id -> add(new Flaw("machine " + newestName.get(id), "id", "is missing from the list of machines")));
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
            left.forEach(
                    hash -> add(new Flaw("attachment of " + attachmentOwner.get(hash), "attachment", "is missing")));
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
            try (PreparedStatement parts = connection.prepareStatement(
                    "select part, hash, bytes from attachment_part where hash = ? order by part")) {
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
            try (PreparedStatement statement = connection.prepareStatement(sql);
                    ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    reader.read(rows);
                }
            }
        }
    }
}
