package zebrawood.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Where the ceiling of a tube lies.
 *
 * @param ceilingMa the current to work at
 * @param currentAt100Ma what it draws at 100 %, read or along the line of the last points
 * @param headroomMa ceiling less that; below 0 it is overdriven
 * @param commandAtCeilingPct the smallest command that reaches the ceiling
 * @param capS the power word to set as the most, for a cap
 * @param overdriven whether 100 % is over the ceiling by more than the tolerance
 * @param curve what it draws, rising, for the drawing
 * @param school what sets it
 * @param nextCommandPct at which it can be read next on the way up; for a cap whose ceiling is not reached yet
 * @param found what was there before anything was turned
 * @param tolerances what it was judged by
 */
public record CeilingFinding(
        double ceilingMa,
        OptionalDouble currentAt100Ma,
        OptionalDouble headroomMa,
        OptionalDouble commandAtCeilingPct,
        OptionalDouble capS,
        Optional<Boolean> overdriven,
        List<CeilingReadings.Sample> curve,
        CeilingReadings.School school,
        OptionalDouble nextCommandPct,
        Optional<Found> found,
        Tolerances tolerances) {

    /**
     * What was there at a recheck.
     *
     * @param asFoundMa before anything was turned
     * @param turnedMa by how much that differs from how it was left; absent where it is as it was, or not known
     * @param sameTest whether the test was the same file as last time
     */
    public record Found(OptionalDouble asFoundMa, OptionalDouble turnedMa, Optional<Boolean> sameTest) {
        boolean tells() {
            return asFoundMa.isPresent() || sameTest.isPresent();
        }
    }

    /** The most that the tube's maker allows, and how near to the ceiling is right; mA. */
    public record Tolerances(double ratedMaximumMa, double toleranceMa) {}

    public CeilingFinding {
        curve = List.copyOf(curve);
    }
}
