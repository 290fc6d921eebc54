package zebrawood.core.route;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;

/**
 * What a machine's state follows from.
 *
 * @param machineId its id
 * @param plateEntry its newest plate
 * @param gateAndEvents gate lines and events, corrected ones too, by where they stand, then by number; older ones that
 *     change nothing any more may be left out
 * @param readings per stop, those that count (the newest of each row of corrections), newest place first; at least the
 *     newest, the newest that answered, the newest that passed, and the newest that proved its figure
 * @param uses every reading or work for which the laser fired, since the first of the gate lines above
 * @param points open points and how they were closed, corrected ones too, by number
 * @param daily what was done with it at last
 * @param unjudged stops that only another program knows and that have entries of this machine
 */
public record History(
        String machineId,
        Entry plateEntry,
        List<Entry> gateAndEvents,
        Map<String, List<CountedReading>> readings,
        List<Use> uses,
        List<Entry> points,
        Daily daily,
        List<String> unjudged) {

    /** The newest start of work and the newest work result that count, where there are any; read when asked for. */
    public record Daily(Optional<CountedReading> started, Optional<CountedReading> worked) {
        public static final Daily NOTHING = new Daily(Optional.empty(), Optional.empty());
    }

    /** The laser fired: where in the chain, and when. */
    public record Use(int number, Instant at) {}

    public History {
        gateAndEvents = gateAndEvents.stream()
                .sorted(Comparator.comparingInt(Entry::standsAt).thenComparingInt(Entry::number))
                .toList();
        readings = Map.copyOf(readings);
        uses = List.copyOf(uses);
        points = List.copyOf(points);
        unjudged = List.copyOf(unjudged);
    }

    /** The same, with one thing more that happened. */
    public History with(Entry happened) {
        return new History(
                machineId,
                plateEntry,
                Stream.concat(gateAndEvents.stream(), Stream.of(happened)).toList(),
                readings,
                uses,
                points,
                daily,
                unjudged);
    }

    /** Points that are still open, the oldest first; each as the newest of its corrections says it. */
    public List<Entry> openPoints() {
        List<Entry> open = new ArrayList<>();
        for (Entry entry : points) {
            if (entry.body() instanceof Body.PointOpened) {
                open.removeIf(earlier -> earlier.standsAt() == entry.standsAt());
                open.add(entry);
            } else if (entry.body() instanceof Body.PointClosed closed) {
                open.removeIf(earlier -> earlier.number() == closed.opened() || earlier.standsAt() == closed.opened());
            }
        }
        return open;
    }

    public Plate plate() {
        return ((Body.PlateSet) plateEntry.body()).plate();
    }

    /** Readings of a stop that count, newest first; empty where there are none. */
    public List<CountedReading> of(String stop) {
        return readings.getOrDefault(stop, List.of());
    }
}
