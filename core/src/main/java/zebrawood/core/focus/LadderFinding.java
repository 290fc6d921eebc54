package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The best of several heights, and the ladder to burn next.
 *
 * @param bestGapMm where the curve through the scores is best
 * @param bestGapStdErrMm its standard error, with more than three steps
 * @param bestGapHalfWidthMm half of its 95 % interval: 1.96 standard errors where it is known how surely scores are
 *     read, else by Student's t, as few squares alone tell it badly
 * @param next the ladder to burn next
 * @param curve the fitted score over the gaps, for the drawing
 * @param steps as they were scored
 * @param driftMm the best gap less that of the last time
 * @param together this ladder and those before it that agree with it, where there are any
 * @param tolerances nothing but the steps themselves judges it
 */
public record LadderFinding(
        OptionalDouble bestGapMm,
        OptionalDouble bestGapStdErrMm,
        OptionalDouble bestGapHalfWidthMm,
        Next next,
        List<CurvePoint> curve,
        List<LadderReadings.Step> steps,
        Optional<LadderReadings.School> school,
        OptionalDouble driftMm,
        Optional<Together> together,
        Tolerances tolerances) {

    /**
     * Several ladders, weighed by how sure each is.
     *
     * @param bestGapMm mm
     * @param halfWidthMm half of its 95 % interval
     * @param ladders how many, this one too
     * @param apart how many others differ from this one by more than their errors allow; they are left out
     */
    public record Together(double bestGapMm, double halfWidthMm, int ladders, int apart) {}

    /** Five gaps about a centre, the smallest first, mm. */
    public record Next(double centreMm, double halfWidthMm, double stepMm, List<Double> gapsMm) {
        public Next {
            gapsMm = List.copyOf(gapsMm);
        }
    }

    /** Fitted score over a gap in mm. */
    public record CurvePoint(double gapMm, double score) {}

    /** Largest standard error of the best gap with which it counts, mm: a quarter of what the ladder reaches over. */
    public record Tolerances(double standardErrorMm) {}

    /** The gap to work at: of all ladders that agree, else of this one. */
    public OptionalDouble workingGapMm() {
        return together.isPresent() ? OptionalDouble.of(together.get().bestGapMm()) : bestGapMm;
    }

    /** Half of its 95 % interval, mm. */
    public OptionalDouble workingGapHalfWidthMm() {
        return together.isPresent() ? OptionalDouble.of(together.get().halfWidthMm()) : bestGapHalfWidthMm;
    }

    public LadderFinding {
        curve = List.copyOf(curve);
        steps = List.copyOf(steps);
    }
}
