package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.focus.SweepReadings.Direction;

/**
 * The best gap by a height driven through it, and the play of the column. Intervals are of 95 %, by Student's t.
 *
 * @param sweeps each with what it came to, in the order given
 * @param degreesOfFreedom sweeps more than what was fitted
 * @param playMm how far the column lags behind its drive, where the delay is known or was fitted
 * @param setGapMm what the scale is to show when it is come to from the side of the approach
 * @param differenceMm play and delay together, where they could not be told apart
 * @param delayS how late a moment is marked, where it was fitted
 * @param tolerances what it was judged by
 */
public record SweepFinding(
        List<Read> sweeps,
        OptionalDouble bestGapMm,
        OptionalDouble bestGapStdErrMm,
        OptionalDouble bestGapLowMm,
        OptionalDouble bestGapHighMm,
        OptionalInt degreesOfFreedom,
        OptionalDouble playMm,
        OptionalDouble playStdErrMm,
        OptionalDouble playLowMm,
        OptionalDouble playHighMm,
        OptionalDouble setGapMm,
        OptionalDouble setGapStdErrMm,
        OptionalDouble differenceMm,
        OptionalDouble differenceStdErrMm,
        OptionalDouble differenceLowMm,
        OptionalDouble differenceHighMm,
        OptionalDouble delayS,
        OptionalDouble delayStdErrS,
        OptionalDouble delayLowS,
        OptionalDouble delayHighS,
        Tolerances tolerances) {

    /**
     * What one sweep came to.
     *
     * @param gapMm by the scale at its moment; absent where the recording has no peak
     * @param residualMm what the fit leaves of it
     * @param peakS when the recorded level is highest
     * @param peakStdErrS its standard error
     * @param samplesUsed for the peak
     * @param direction which way it went
     */
    public record Read(
            OptionalDouble gapMm,
            OptionalDouble residualMm,
            OptionalDouble peakS,
            OptionalDouble peakStdErrS,
            OptionalInt samplesUsed,
            Direction direction) {}

    /**
     * Most play in mm and the half-width of the best gap that is enough, the way of coming to it, and of one moment.
     */
    public record Tolerances(double toleranceMm, Optional<Direction> approach, double timeErrorS, double delayErrorS) {}

    public SweepFinding {
        sweeps = List.copyOf(sweeps);
    }

    /** One from which nothing can be told but what each sweep came to. */
    static SweepFinding untold(List<Read> sweeps, Tolerances tolerances) {
        OptionalDouble none = OptionalDouble.empty();
        return new SweepFinding(
                sweeps,
                none,
                none,
                none,
                none,
                OptionalInt.empty(),
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                none,
                tolerances);
    }

    /** How many sweeps came to something. */
    int counted() {
        return (int) sweeps.stream().filter(read -> read.gapMm().isPresent()).count();
    }
}
