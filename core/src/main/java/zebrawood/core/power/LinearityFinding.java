package zebrawood.core.power;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What a command means in watts.
 *
 * @param maximumW the most that comes out
 * @param thresholdPct the command at which a hundredth of it comes out; absent where even the first is above
 * @param linearityErrorPct how far it is from a straight line at most, in shares of the maximum
 * @param table what to command for a share of the maximum, ascending
 * @param firesAtPct the command nearest to nothing that was seen to fire: no job's lowest power lies below it, on a
 *     scale that rises
 * @param nextCommandPct at which it is read too before the table can be trusted; absent where it can
 * @param halfWidthPct half of the widest 95 % interval of a reading, in shares of the maximum; absent where none is
 *     known
 * @param falls whether 100 is least
 * @param curve power at each command, rising, for the drawing
 * @param tolerances what it was judged by
 */
public record LinearityFinding(
        double maximumW,
        OptionalDouble thresholdPct,
        double linearityErrorPct,
        List<Row> table,
        OptionalDouble firesAtPct,
        OptionalDouble nextCommandPct,
        OptionalDouble halfWidthPct,
        boolean falls,
        List<LinearityReadings.Sample> curve,
        Tolerances tolerances) {

    /** A wanted share of the maximum, and the command for it, %. */
    public record Row(double wantedPct, double commandPct) {}

    /** How far from a straight line it may be, in shares of the maximum, %. */
    public record Tolerances(double tolerancePct) {}

    public LinearityFinding {
        table = List.copyOf(table);
        curve = List.copyOf(curve);
    }
}
