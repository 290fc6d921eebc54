package zebrawood.logbook.store;

import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import zebrawood.core.procedure.Procedure;

/** Entries in the order of recording, the newest first, all or those that a filter lets through, a page at a time. */
final class Tape {

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

    /** Entries before a position in the shop chain. */
    List<TapeLine> page(Rows rows, TapeFilter filter, long before, int most) throws SQLException {
        StringBuilder where = new StringBuilder("where position < ?");
        List<Object> bound = new ArrayList<>(List.of(before));
        filter.machineId().ifPresent(id -> add(where, bound, "machine_id = ?", id));
        // of one machine, stop and verdict are looked for within its own index, not each by an index of its own
        String within = filter.machineId().isPresent() ? "+" : "";
        filter.stop().ifPresent(stop -> add(where, bound, within + "stop = ?", stop));
        filter.verdict().ifPresent(verdict -> add(where, bound, within + "verdict = ?", verdict.name()));
        if (filter.words().isEmpty()) {
            return lines(rows, where + " order by position desc limit " + most, bound);
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
            found.addAll(lines(rows, where + " and position in (" + among + ") order by position desc", bound));
            from = positions.get(positions.size() - 1);
        }
        return found.subList(0, Math.min(most, found.size()));
    }

    private List<TapeLine> lines(Rows rows, String end, List<Object> bound) throws SQLException {
        return rows.list(
                "select position, hash, bytes, exists (select 1 from entry later where later.machine_id = "
                        + "entry.machine_id and later.corrects = entry.number)"
                        + " from entry " + end,
                row -> new TapeLine(row.getLong(1), entries.read(row.getString(2), row.getBytes(3)), row.getBoolean(4)),
                bound.toArray());
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
