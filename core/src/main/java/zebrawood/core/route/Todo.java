package zebrawood.core.route;

import java.time.Instant;
import java.util.OptionalInt;
import zebrawood.core.units.Said;

/**
 * One thing to do next.
 *
 * @param urgency how urgent, the most urgent first
 * @param machineId on which machine
 * @param machine its name
 * @param stop which stop it opens; {@code point} opens an entry
 * @param entry the entry it opens, where it is a point
 * @param stopTitle its name
 * @param shape the state whose shape stands before it
 * @param action what to do
 * @param minutes about how long
 * @param since the older comes first within one urgency
 * @param when in words: late, or by whom it was found
 */
public record Todo(
        Urgency urgency,
        String machineId,
        String machine,
        String stop,
        OptionalInt entry,
        String stopTitle,
        StopState shape,
        Said action,
        int minutes,
        Instant since,
        String when) {

    /** In the order in which they are told. */
    public enum Urgency {
        FAILED,
        ADJUST,
        GATE_SHUT,
        UNCLEAR,
        LATE,
        DUE_SOON,
        OPEN,
        /** an open point without haste */
        POINT,
        /** work was done today, and nobody looked before */
        NOT_LOOKED
    }
}
