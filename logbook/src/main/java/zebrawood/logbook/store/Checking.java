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
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.function.LongConsumer;
import org.sqlite.SQLiteConnection;
import org.sqlite.SQLiteDataSource;
import zebrawood.core.reading.ReadingException;
import zebrawood.logbook.store.Verification.Flaw;

/**
 * One run of the checks. Entries and chain are read side by side in the order in which they were written, past every
 * index, so that memory does not grow with them and a column is seen as it truly stands in its row.
 */
final class Checking implements AutoCloseable {

    /** longer than the largest logbook takes */
    private static final long LONGEST_S = 24 * 3600;
    /** From so many flaws on the rest is not told. */
    private static final int MOST_FLAWS = 10_000;

    private final SQLiteDataSource source;
    private final Connection connection;
    private final LongConsumer progress;
    private final List<Flaw> flaws = new ArrayList<>();
    private final Map<String, String> names = new HashMap<>();
    private final Map<String, String> lastHash = new HashMap<>();
    private final Map<String, String> newestName = new HashMap<>();
    private final Map<String, Long> attachmentLength = new HashMap<>();
    private final Map<String, String> attachmentOwner = new HashMap<>();
    private final Map<String, String> expected = new HashMap<>();
    private final IndexTotals totals = new IndexTotals();
    private long entries;
    private long attachments;
    private String head = Hashes.NONE;

    Checking(SQLiteDataSource source, LongConsumer progress) throws SQLException {
        this.source = source;
        this.connection = source.getConnection();
        this.progress = progress;
    }

    Verification run(List<String> wanted) throws SQLException {
        wanted.forEach(hash -> expected.put(hash.toLowerCase(Locale.ROOT).replaceAll("\\s", ""), hash));
        ExecutorService aside = Executors.newSingleThreadExecutor();
        try (Connection own = source.getConnection()) {
            Future<List<Flaw>> beside = aside.submit(() -> BesideTheRecord.flaws(own));
            Future<Optional<IndexTotals.OfIndexes>> indexes = aside.submit(() -> BesideTheRecord.totals(own));
            try {
                rows();
            } catch (RuntimeException ended) {
                // whoever asked has enough: what runs aside ends before its connection is closed
                aside.shutdownNow();
                own.unwrap(SQLiteConnection.class).getDatabase().interrupt();
                throw ended;
            } finally {
                aside.shutdown();
                if (!beside.isDone() || !indexes.isDone()) {
                    aside.awaitTermination(LONGEST_S, TimeUnit.SECONDS);
                }
            }
            beside.get().forEach(this::add);
            indexes.get().ifPresent(found -> totals.flaws(found).forEach(this::add));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        } finally {
            aside.shutdownNow();
        }
        expected.remove(head);
        expected.values()
                .forEach(hash -> add(Flaw.of(
                        "the shop",
                        "hash",
                        hash + " is expected, but neither an entry nor the shop chain's head has it")));
        return found();
    }

    private void rows() throws SQLException {
        connection.setAutoCommit(false);
        try {
            query("select id, name from machine not indexed", row -> names.put(row.getString(1), row.getString(2)));
            chains();
            machines();
            attachments();
        } catch (SQLException e) {
            add(Flaw.of("the database", "file", "cannot be read on: " + Database.inWords(e)));
        } finally {
            connection.setAutoCommit(true);
        }
    }

    private Verification found() {
        return new Verification(entries, attachments, head, flaws);
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }

    /** Walks along entries and shop chain together. */
    private void chains() throws SQLException {
        Walk walk = new Walk();
        PairedRows.each(connection, walk::take, walk::end);
    }

    /** A stored entry: its columns, its bytes, and the hash that they truly have. */
    private record Row(String[] columns, byte[] bytes, String hashOfBytes) {
        String id() {
            return columns[0];
        }

        int number() {
            return whole(columns[1]);
        }

        String hash() {
            return PairedRows.withoutMark(columns[12]);
        }

        boolean isOfOtherType() {
            return PairedRows.isMarked(columns[12]);
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

        void take(PairedRows.Pair read) {
            if (read.entry() != null) {
                waitingEntries.add(new Row(
                        PairedRows.split(read.entry(), PairedRows.ENTRY.size()),
                        read.bytes(),
                        read.hashOfBytes() == null ? Hashes.of(read.bytes()) : read.hashOfBytes()));
            }
            if (read.chain() != null) {
                waitingRows.add(PairedRows.split(read.chain(), PairedRows.CHAIN.size()));
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

    private void together(Row entry, String[] row) {
        if (!entry.id().equals(row[1]) || !entry.columns()[1].equals(row[2])) {
            flaw(entry.id(), entry.number(), "entry", "stands in the shop chain as " + where(row[1], whole(row[2])));
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
        String rowHash = PairedRows.withoutMark(row[5]);
        if (PairedRows.isMarked(row[5])) {
            add(Flaw.beside(
                    "shop chain row " + position,
                    "row",
                    "has a column that is stored as another type (" + where(id, number) + ")"));
        }
        if (position != next) {
            add(Flaw.of("shop chain row " + next, "row", "is missing"));
        }
        if (!row[4].equals(head)) {
            add(Flaw.of(
                    "shop chain row " + position,
                    "previous",
                    "does not name the row before it (" + where(id, number) + ")"));
        }
        if (!Hashes.ofRow(position, id, number, row[3], row[4]).equals(rowHash)) {
            add(Flaw.of("shop chain row " + position, "row_hash", "does not belong to it (" + where(id, number) + ")"));
        }
        head = rowHash;
        return position + 1;
    }

    private void entry(Row row) {
        String id = row.id();
        int number = row.number();
        if (row.isOfOtherType()) {
            beside(id, number, "row", "has a column that is stored as another type, so that look-ups miss it");
        }
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
        // the last is its hash, which is compared with its bytes
        for (int i = 0; i < wanted.length - 1; i++) {
            String inBytes = wanted[i] == null ? "" : wanted[i];
            if (!inBytes.equals(row.columns()[i])) {
                beside(
                        id,
                        number,
                        PairedRows.ENTRY.get(i),
                        "is " + row.columns()[i] + " in its column but " + inBytes + " in the entry");
            }
        }
        totals.add(said, whole(row.columns()[2]), wanted[3]);
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
        query(
                "select id, name, name_folded, typeof(id) = 'text' and typeof(name) = 'text' and typeof(name_folded)"
                        + " = 'text' from machine not indexed",
                row -> {
                    String plateName = newestName.get(row.getString(1));
                    left.remove(row.getString(1));
                    if (plateName == null) {
                        add(Flaw.beside("machine " + row.getString(2), "id", "has no plate in the logbook"));
                    } else if (!row.getBoolean(4)
                            || !plateName.equals(row.getString(2))
                            || !Appender.folded(plateName).equals(row.getString(3))) {
                        add(Flaw.beside("machine " + plateName, "name", "differs from its newest plate"));
                    }
                });
        left.forEach(
                id -> add(Flaw.beside("machine " + newestName.get(id), "id", "is missing from the list of machines")));
    }

    private void attachments() throws SQLException {
        Map<String, TreeMap<Integer, Long>> parts = AttachmentParts.of(connection);
        Set<String> left = new HashSet<>(attachmentLength.keySet());
        Set<String> there = new HashSet<>();
        query(
                "select hash, length, typeof(hash) = 'text' and typeof(length) = 'integer' from attachment not indexed",
                row -> {
                    String hash = row.getString(1);
                    there.add(hash);
                    if (!left.remove(hash)) {
                        add(Flaw.of("attachment " + hash, "hash", "is named by no entry"));
                        return;
                    }
                    attachments++;
                    if (!row.getBoolean(3) || row.getLong(2) != attachmentLength.get(hash)) {
                        add(Flaw.beside(
                                "attachment of " + attachmentOwner.get(hash), "length", "differs from its entry"));
                    }
                    attachment(hash, parts.getOrDefault(hash, new TreeMap<>()));
                });
        left.forEach(hash -> add(Flaw.of("attachment of " + attachmentOwner.get(hash), "attachment", "is missing")));
        parts.keySet().stream()
                .filter(hash -> !there.contains(hash))
                .forEach(hash -> add(Flaw.of("attachment " + hash, "part", "belongs to none that is listed")));
    }

    private void attachment(String hash, TreeMap<Integer, Long> parts) throws SQLException {
        String of = "attachment of " + attachmentOwner.get(hash);
        MessageDigest digest = Hashes.digest();
        int next = 0;
        for (Map.Entry<Integer, Long> part : parts.entrySet()) {
            if (part.getKey() != next++) {
                add(Flaw.of(of, "part " + part.getKey(), "does not follow the one before it"));
            }
            digest.update(AttachmentParts.read(connection, part.getValue()));
        }
        if (!Hashes.hex(digest.digest()).equals(hash)) {
            add(Flaw.of(of, "bytes", "have been changed"));
        }
    }

    private void beside(String id, int number, String part, String why) {
        add(Flaw.beside(where(id, number), part, why));
    }

    private void flaw(String id, int number, String part, String why) {
        add(Flaw.of(where(id, number), part, why));
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
