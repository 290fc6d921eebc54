package zebrawood.logbook.store;

import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import zebrawood.core.procedure.Procedure;

/** Entries in the order of recording, the newest first, all or those that a filter lets through, a page at a time. */
final class Tape {

    /** bytes of entries a page: some long ones fill the memory as many short ones do */
    private static final long MOST_BYTES = 8_000_000;

    private final Path folder;
    private final boolean writable;
    private final List<Procedure<?, ?>> procedures;
    private final Entries entries;
    private SearchIndex search;

    Tape(Path folder, boolean writable, List<Procedure<?, ?>> procedures, Entries entries) {
        this.folder = folder;
        this.writable = writable;
        this.procedures = List.copyOf(procedures);
        this.entries = entries;
    }

    /** Entries before a position in the shop chain; fewer where they are long, and none only after the last. */
    List<TapeLine> page(Rows rows, TapeFilter filter, long before, int most) throws SQLException {
        StringBuilder where = new StringBuilder("where position < ?");
        List<Object> bound = new ArrayList<>(List.of(before));
        filter.machineId().ifPresent(id -> add(where, bound, "machine_id = ?", id));
        // of one machine, stop and verdict are looked for within its own index, not each by an index of its own
        String within = filter.machineId().isPresent() ? "+" : "";
        filter.stop().ifPresent(stop -> add(where, bound, within + "stop = ?", stop));
        filter.verdict().ifPresent(verdict -> add(where, bound, within + "verdict = ?", verdict.name()));
        if (filter.words().isEmpty()) {
            return lines(rows, where + " order by position desc limit " + most, bound)
                    .lines();
        }
        prepareSearch(rows, Long.MAX_VALUE);
        List<TapeLine> found = new ArrayList<>();
        for (long from = before; found.size() < most; ) {
            List<Long> positions = search.find(filter.words().get(), from, 2 * most);
            if (positions.isEmpty()) {
                break;
            }
            String among = positions.stream()
                    .map(String::valueOf)
                    .reduce((one, other) -> one + "," + other)
                    .orElseThrow();
            Page page = lines(rows, where + " and position in (" + among + ") order by position desc", bound);
            found.addAll(page.lines());
            if (page.isFull()) {
                break;
            }
            from = positions.get(positions.size() - 1);
        }
        return found.subList(0, Math.min(most, found.size()));
    }

    /** Some lines, and whether there are perhaps more that found no room. */
    private record Page(List<TapeLine> lines, boolean isFull) {}

    private Page lines(Rows rows, String end, List<Object> bound) throws SQLException {
        long[] read = {0};
        List<TapeLine> lines = rows.listWhile(
                () -> read[0] < MOST_BYTES,
                "select position, hash, bytes, exists (select 1 from entry later where later.machine_id = "
                        + "entry.machine_id and later.corrects = entry.number)"
                        + " from entry " + end,
                row -> {
                    byte[] bytes = row.getBytes(3);
                    read[0] += bytes.length;
                    return new TapeLine(row.getLong(1), entries.read(row.getString(2), bytes), row.getBoolean(4));
                },
                bound.toArray());
        return new Page(lines, read[0] >= MOST_BYTES);
    }

    private static void add(StringBuilder where, List<Object> bound, String condition, Object value) {
        where.append(" and ").append(condition);
        bound.add(value);
    }

    /** Reads some entries that are not in the search index yet into it, so that a search need not wait; how many. */
    long prepareSearch(Rows rows, long most) {
        if (search == null) {
            search = SearchIndex.open(folder, writable, procedures);
        }
        return search.catchUp(rows.connection(), most);
    }

    void close() throws SQLException {
        if (search != null) {
            search.close();
        }
    }
}
