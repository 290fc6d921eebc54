package zebrawood.core.route;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;

/**
 * What a machine's state follows from.
 *
 * @param machineId its id
 * @param plateEntry its newest plate
 * @param gateAndEvents gate lines and events, corrected ones too, by where they stand, then by number
 * @param readings per stop, those that count (the newest of each row of corrections), newest place first; at
 *     least the newest twelve
 * @param uses every reading for which the laser fired
 */
public record History(
        String machineId, Entry plateEntry, List<Entry> gateAndEvents, Map<String, List<Entry>> readings, List<Use> uses) {

    /** The laser fired: where in the chain, and when. */
    public record Use(int number, Instant at) {}

    public History {
        gateAndEvents = gateAndEvents.stream()
                .sorted(Comparator.comparingInt(Entry::standsAt).thenComparingInt(Entry::number))
                .toList();
        readings = Map.copyOf(readings);
        uses = List.copyOf(uses);
    }

    public Plate plate() {
        return ((Body.PlateSet) plateEntry.body()).plate();
    }

    /** Readings of a stop that count, newest first; empty where there are none. */
    public List<Entry> of(String stop) {
        return readings.getOrDefault(stop, List.of());
    }
}
