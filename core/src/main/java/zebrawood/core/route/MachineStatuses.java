package zebrawood.core.route;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How all machines of a shop stand. What was worked out within the same minute from the same history is not worked out
 * again.
 */
public final class MachineStatuses {

    private record Known(History history, MachineStatus status) {
        /** Whether it is the same all through the minute: a time for covers open ends within one. */
        boolean holds() {
            return status.gate().service().isEmpty();
        }
    }

    private final Route route;
    private final Map<String, Known> known = new HashMap<>();
    private Instant minute = Instant.MIN;
    private ZoneOffset zone = ZoneOffset.UTC;

    public MachineStatuses(Route route) {
        this.route = route;
    }

    /** In the order of the histories. */
    public synchronized List<MachineStatus> of(List<History> histories, Instant now, ZoneOffset offset) {
        Instant at = now.truncatedTo(ChronoUnit.MINUTES);
        if (!at.equals(minute) || !offset.equals(zone)) {
            known.clear();
            minute = at;
            zone = offset;
        }
        return histories.stream()
                .map(history -> known.compute(
                                history.machineId(),
                                (id, before) -> before != null && before.history() == history && before.holds()
                                        ? before
                                        : new Known(history, route.status(history, now, offset)))
                        .status())
                .toList();
    }
}
