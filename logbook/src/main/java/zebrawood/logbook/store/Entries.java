package zebrawood.logbook.store;

import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Verdict;

/** Reads entries from their bytes; the ones read last are kept, as entries never change. */
final class Entries {

    private static final int KEPT = 4_000;
    // the plus keeps the database from walking through the machine's whole numbers instead of one place
    private static final String COUNTING = "where machine_id = ? and stop = ? and not exists (select 1 from entry later"
            + " where later.machine_id = entry.machine_id and later.stop = entry.stop and later.stands_at = entry.stands_at and +later.number > entry.number)";
    private static final String SATISFYING = Stream.of(Verdict.values()).filter(Verdict::satisfies).map(verdict -> "'" + verdict.name() + "'").collect(Collectors.joining(", "));

    private final EntryBytes codec;
    private final Map<String, Entry> known = new LinkedHashMap<>(256, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Entry> eldest) {
            return size() > KEPT;
        }
    };

    Entries(EntryBytes codec) {
        this.codec = codec;
    }

    /** @param where the end of the statement, with a question mark for each bound value */
    List<Entry> of(Rows rows, String where, Object... bound) throws SQLException {
        return rows.list("select hash, bytes from entry " + where, row -> read(row.getString(1), row.getBytes(2)), bound);
    }

    /** The newest readings of a stop, of each row of corrections only the newest; the newest place first. */
    List<Entry> counting(Rows rows, String machineId, String stop, int most) throws SQLException {
        return of(rows, COUNTING + " order by stands_at desc limit ?", machineId, stop, most);
    }

    /** The newest of them that stands before a place and satisfies what is required. */
    Optional<Entry> satisfying(Rows rows, String machineId, String stop, int before) throws SQLException {
        return of(rows, COUNTING + " and stands_at < ? and verdict in (" + SATISFYING + ") order by stands_at desc limit 1", machineId, stop, before)
                .stream().findFirst();
    }

    synchronized Entry read(String hash, byte[] bytes) {
        return known.computeIfAbsent(hash, missing -> codec.read(bytes, missing));
    }

    synchronized void keep(Entry entry) {
        known.put(entry.place().hash(), entry);
    }
}
