package zebrawood.core.route;

import java.util.List;
import java.util.Optional;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Phase;

/**
 * How one machine stands at one moment.
 *
 * @param machineId its id
 * @param plate its plate
 * @param state in one word
 * @param detail the stop that makes it so, in words
 * @param gate its first light gate
 * @param stops its stops in the order of the work; the gate stands before {@link #stopsBeforeGate()}
 * @param points what is to be done that no stop says, each the entry that opened it
 * @param todo what to do next, most urgent first
 * @param refocus what was changed since the gap was set last, so that it is to be set again
 * @param unjudged stops that only another program knows, by id: what stands on record of them is not judged here
 */
public record MachineStatus(
        String machineId,
        Plate plate,
        MachineState state,
        String detail,
        Gate gate,
        List<StopStatus> stops,
        List<Entry> points,
        List<Todo> todo,
        Optional<Entry> refocus,
        List<String> unjudged) {

    public MachineStatus {
        stops = List.copyOf(stops);
        points = List.copyOf(points);
        todo = List.copyOf(todo);
        unjudged = List.copyOf(unjudged);
    }

    /** The stops that a commissioning waits for, and those that were measured. */
    public List<StopStatus> asked() {
        return stops.stream().filter(StopStatus::isAsked).toList();
    }

    /** How many of the stops come before the gate. */
    public int stopsBeforeGate() {
        return (int) stops.stream()
                .filter(stop -> stop.card().phase().compareTo(Phase.FIRST_LIGHT) < 0)
                .count();
    }

    /** @throws java.util.NoSuchElementException where this machine has no such stop */
    public StopStatus stop(String id) {
        return stops.stream()
                .filter(stop -> stop.card().id().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
