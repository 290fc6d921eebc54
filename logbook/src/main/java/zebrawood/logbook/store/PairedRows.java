package zebrawood.logbook.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * Entries and shop chain read side by side in the order in which they were written, past every index: one thread reads,
 * another takes.
 */
final class PairedRows {

    /** rows walked at once: fast, and little is held */
    private static final int BATCH = 500;

    private static final byte[] GONE = {};
    static final List<String> ENTRY = List.of(
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
    static final List<String> CHAIN = List.of("position", "machine_id", "number", "hash", "previous", "row_hash");

    private static final List<String> WHOLE_NUMBERS = List.of("number", "position", "stands_at", "corrects", "fired");
    /** columns that may be empty: then they hold nothing, not a text without letters */
    private static final List<String> MAY_LACK = List.of("corrects", "verdict");
    /** stands after the columns of a row of which one is stored as another type than it should be */
    private static final char OTHER_TYPE = 30;

    private PairedRows() {}

    /**
     * Reads both tables to their ends.
     *
     * @param taking takes each pair, on another thread than the one that reads
     * @param end runs after the last of them
     */
    static void each(Connection connection, Consumer<Pair> taking, Runnable end) throws SQLException {
        BlockingQueue<List<Pair>> batches = new ArrayBlockingQueue<>(4);
        ExecutorService checker = Executors.newSingleThreadExecutor();
        Future<?> checked = checker.submit(() -> {
            for (List<Pair> batch = batches.take(); !batch.isEmpty(); batch = batches.take()) {
                batch.forEach(taking);
            }
            end.run();
            return null;
        });
        try {
            read(connection, batch -> put(batch, batches, checked), batches::isEmpty);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            finish(checker, checked, batches);
        }
    }

    private static void finish(ExecutorService checker, Future<?> checked, BlockingQueue<List<Pair>> batches) {
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
    private static boolean put(List<Pair> batch, BlockingQueue<List<Pair>> batches, Future<?> checked)
            throws InterruptedException {
        while (!batches.offer(batch, 100, TimeUnit.MILLISECONDS)) {
            if (checked.isDone()) {
                return false;
            }
        }
        return true;
    }

    private interface Handing {
        boolean on(List<Pair> batch) throws InterruptedException;
    }

    /** @param idle whether the other thread has nothing to do: it then takes over the hashing */
    private static void read(Connection connection, Handing hand, BooleanSupplier idle)
            throws SQLException, InterruptedException {
        try (PreparedStatement entryRows = connection.prepareStatement(
                        "select " + joined(ENTRY, " and typeof(bytes) = 'blob'") + ", bytes from entry not indexed");
                PreparedStatement chainRows =
                        connection.prepareStatement("select " + joined(CHAIN, "") + " from shop_chain not indexed");
                ResultSet entry = entryRows.executeQuery();
                ResultSet chain = chainRows.executeQuery()) {
            List<Pair> batch = new ArrayList<>();
            boolean anotherEntry = entry.next();
            boolean anotherRow = chain.next();
            boolean hashing = false;
            while (anotherEntry || anotherRow) {
                byte[] bytes = anotherEntry ? Objects.requireNonNullElse(entry.getBytes(2), GONE) : GONE;
                batch.add(new Pair(
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

    /** All columns as one text, and whether each is stored as what it should be: one is read much faster than many. */
    private static String joined(List<String> columns, String and) {
        return columns.stream()
                        .map(column -> "coalesce(" + column + ", '')")
                        .collect(Collectors.joining(" || char(31) || "))
                + " || case when "
                + columns.stream().map(PairedRows::typed).collect(Collectors.joining(" and "))
                + and + " then '' else char(" + (int) OTHER_TYPE + ") end";
    }

    private static String typed(String column) {
        String type = WHOLE_NUMBERS.contains(column) ? "integer" : "text";
        String is = "typeof(" + column + ") = '" + type + "'";
        if (!MAY_LACK.contains(column)) {
            return is;
        }
        return "(" + column + " is null or " + is + (type.equals("text") ? " and " + column + " <> ''" : "") + ")";
    }

    /**
     * A row of each table as they were read beside each other; null where one has ended, and for a hash that is still
     * to be taken.
     */
    record Pair(String entry, byte[] bytes, String hashOfBytes, String chain) {}

    /** The columns of a joined row; an empty text for one that is not there. */
    static String[] split(String joined, int columns) {
        String[] parts = new String[columns];
        int from = 0;
        for (int i = 0; i < columns; i++) {
            int to = i == columns - 1 ? -1 : joined.indexOf(31, from);
            parts[i] = to < 0 ? joined.substring(Math.min(from, joined.length())) : joined.substring(from, to);
            from = to < 0 ? joined.length() : to + 1;
        }
        return parts;
    }

    /** Whether a row, by its last column, has one that is stored as another type. */
    static boolean isMarked(String last) {
        return last.indexOf(OTHER_TYPE) >= 0;
    }

    static String withoutMark(String last) {
        return isMarked(last) ? last.substring(0, last.indexOf(OTHER_TYPE)) : last;
    }
}
