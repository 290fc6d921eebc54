package zebrawood.core.difference;

import java.util.List;
import java.util.Map;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;

/**
 * What stood on record of a machine when an entry was made.
 *
 * @param at the entry
 * @param plateEntry its plate then
 * @param newest per stop, the newest reading that counts and stands before the entry
 * @param happened events that stand before it, the newest first; some that are long past may be left out
 */
public record StateOnRecord(Entry at, Entry plateEntry, Map<String, Entry> newest, List<Entry> happened) {

    public StateOnRecord {
        newest = Map.copyOf(newest);
        happened = List.copyOf(happened);
    }

    public Plate plate() {
        return ((Body.PlateSet) plateEntry.body()).plate();
    }
}
