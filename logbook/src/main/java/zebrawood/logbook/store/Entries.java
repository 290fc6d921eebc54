package zebrawood.logbook.store;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zebrawood.core.entry.Entry;

/** Reads entries from their bytes; the ones read last are kept, as entries never change. */
final class Entries {

    private static final int KEPT = 4_000;
    private static final int SOME_CORRECTED = 1;

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
        for (int wanted = most + SOME_CORRECTED; ; wanted *= 2) {
            List<Entry> all = of(rows, "where machine_id = ? and stop = ? order by stands_at desc, number desc limit ?", machineId, stop, wanted);
            List<Entry> counting = counting(all);
            if (counting.size() >= most || all.size() < wanted) {
                return counting.subList(0, Math.min(most, counting.size()));
            }
        }
    }

    private static List<Entry> counting(List<Entry> newestFirst) {
        List<Entry> counting = new ArrayList<>();
        int standsAt = Integer.MAX_VALUE;
        for (Entry entry : newestFirst) {
            if (entry.standsAt() != standsAt) {
                counting.add(entry);
                standsAt = entry.standsAt();
            }
        }
        return counting;
    }

    synchronized Entry read(String hash, byte[] bytes) {
        return known.computeIfAbsent(hash, missing -> codec.read(bytes, missing));
    }

    synchronized void keep(Entry entry) {
        known.put(entry.place().hash(), entry);
    }
}
