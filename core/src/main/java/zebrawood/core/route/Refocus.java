package zebrawood.core.route;

import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;

/**
 * Whether the gap that was set last still fits: it does not once the stock, the riser, the lens, the nozzle or the bed
 * was changed, until it is set again.
 */
final class Refocus {

    /** whichever of them was gone through last has set the gap */
    private static final List<String> SETS_THE_GAP = List.of("focus-ramp", "focus-ladder", "focus-sweep", "z-plan");

    private static final Set<Change> CAUSES =
            EnumSet.of(Change.STOCK_CHANGED, Change.LENS_CHANGED, Change.NOZZLE_CHANGED, Change.BED_CHANGED);

    private Refocus() {}

    /** The newest change after which the gap is to be set again; empty where it was set since, or never yet. */
    static Optional<Entry> since(History history) {
        int set = Math.max(measured(history), typed(history));
        return set == 0
                ? Optional.empty()
                : changes(history)
                        .filter(entry -> entry.standsAt() > set)
                        .filter(entry -> ((Body.Happened) entry.body())
                                .changes().stream().anyMatch(CAUSES::contains))
                        .max(Comparator.comparingInt(Entry::standsAt));
    }

    private static int measured(History history) {
        return SETS_THE_GAP.stream()
                .flatMap(stop -> history.of(stop).stream())
                .filter(reading -> reading.verdict().satisfies())
                .mapToInt(CountedReading::standsAt)
                .max()
                .orElse(0);
    }

    private static int typed(History history) {
        return changes(history)
                .filter(entry -> ((Body.Happened) entry.body()).change() == Change.GAP_SET)
                .mapToInt(Entry::standsAt)
                .max()
                .orElse(0);
    }

    /** What happened, each as the newest of its corrections says it. */
    private static Stream<Entry> changes(History history) {
        return history.gateAndEvents().stream()
                .filter(entry -> entry.body() instanceof Body.Happened)
                .filter(entry -> history.gateAndEvents().stream()
                        .noneMatch(later -> later.standsAt() == entry.standsAt() && later.number() > entry.number()));
    }
}
