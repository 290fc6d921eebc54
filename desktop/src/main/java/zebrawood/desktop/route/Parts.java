package zebrawood.desktop.route;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.benches.Catalogue;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.kit.bench.Stop;

/**
 * A row of the Route: a stop, or those that share one bench.
 *
 * @param title of the row
 * @param stops at least one, in the order of the work
 */
record Parts(String title, List<StopStatus> stops) {

    /** The most in need of something first. */
    private static final List<StopState> NEED = List.of(
            StopState.FAILED,
            StopState.ADJUST,
            StopState.UNCLEAR,
            StopState.DUE,
            StopState.SHUT,
            StopState.BEGUN,
            StopState.OPEN,
            StopState.OFFERED,
            StopState.NOTE,
            StopState.PASSED);

    /** The row in which this stop stands. */
    static Parts of(MachineStatus machine, StopStatus stop) {
        return whole(stop)
                .map(whole -> new Parts(
                        whole,
                        machine.stops().stream()
                                .filter(other ->
                                        whole(other).filter(whole::equals).isPresent())
                                .toList()))
                .orElseGet(() -> new Parts(stop.card().title(), List.of(stop)));
    }

    private static Optional<String> whole(StopStatus stop) {
        return Catalogue.findStop(stop.card().id()).flatMap(Stop::whole);
    }

    boolean isShared() {
        return stops.size() > 1;
    }

    boolean has(String stop) {
        return stops.stream().anyMatch(status -> status.card().id().equals(stop));
    }

    /** One of them, by its id. */
    StopStatus stop(String id) {
        return stops.stream()
                .filter(status -> status.card().id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** The part that most needs something done; where none does, the one measured last. */
    StopStatus lead() {
        return stops.stream()
                .min(Comparator.<StopStatus>comparingInt(stop -> NEED.indexOf(stop.state()))
                        .thenComparing(
                                stop -> stop.reading()
                                        .map(CountedReading::standsAt)
                                        .orElse(0),
                                Comparator.reverseOrder()))
                .orElseThrow();
    }
}
