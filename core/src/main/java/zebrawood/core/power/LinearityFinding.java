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
 * @param curve power at each command, rising, for the drawing
 * @param tolerances what it was judged by
 */
public record LinearityFinding(
        double maximumW,
        OptionalDouble thresholdPct,
        double linearityErrorPct,
        List<Row> table,
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
