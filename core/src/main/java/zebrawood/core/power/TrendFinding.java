package zebrawood.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a source falls over its hours.
 *
 * @param slopePer100h what it gains in 100 h; below 0 it falls
 * @param slopeLow lower end of its 95 % interval, from five readings on
 * @param slopeHigh upper end
 * @param changed whether that interval leaves out 0
 * @param nowPct fitted value at the last hours, of that at the first
 * @param hoursToFloor from the last hours until the fit is at the floor; 0 at or below it; absent where it does not
 *     fall
 * @param history in the order of the hours, for the drawing
 * @param intercept of the fitted line at 0 h
 * @param tolerances what it was judged by
 */
public record TrendFinding(
        double slopePer100h,
        OptionalDouble slopeLow,
        OptionalDouble slopeHigh,
        Optional<Boolean> changed,
        OptionalDouble nowPct,
        OptionalDouble hoursToFloor,
        List<TrendReadings.Point> history,
        double intercept,
        Tolerances tolerances) {

    /** Share of the first value at which it is worn out, %. */
    public record Tolerances(double floorPct) {}

    public TrendFinding {
        history = List.copyOf(history);
    }
}
