package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * How well an autofocus comes to the best gap. Intervals are of 95 %, by Student's t and by chi squared.
 *
 * @param stocks in the order given
 * @param repeatabilityMm one standard deviation of a try, over the pooled stocks
 * @param degreesOfFreedom it rests on
 * @param fRatio how much more the pooled stocks differ than tries do
 * @param fLimit what that may be with nothing behind it, in 95 of 100
 * @param stocksDiffer whether it is more
 * @param correctionMm to be added to the gap that the autofocus comes to; above 0: farther away
 * @param triesNeeded on one stock for an offset as sure as the tolerance
 * @param tolerances what it was judged by
 */
public record AutofocusFinding(
        List<Stock> stocks,
        OptionalDouble repeatabilityMm,
        OptionalDouble repeatabilityLowMm,
        OptionalDouble repeatabilityHighMm,
        OptionalInt degreesOfFreedom,
        OptionalDouble fRatio,
        OptionalDouble fLimit,
        Optional<Boolean> stocksDiffer,
        OptionalDouble correctionMm,
        OptionalDouble correctionLowMm,
        OptionalDouble correctionHighMm,
        OptionalInt triesNeeded,
        Tolerances tolerances) {

    /**
     * What tries on one stock came to.
     *
     * @param sdMm standard deviation as it is, of two tries or more
     * @param ownScatter whether it is judged by its own scatter: uneven, or it scatters more than the others
     * @param offsetMm mean gap less the reference
     * @param leftMm offset that the correction leaves
     * @param barred whether it must not be autofocussed
     * @param seesThrough whether the autofocus measures its underside or the bed, where its thickness is known
     */
    public record Stock(
            String name,
            int tries,
            double meanGapMm,
            OptionalDouble sdMm,
            boolean ownScatter,
            double offsetMm,
            OptionalDouble offsetLowMm,
            OptionalDouble offsetHighMm,
            OptionalDouble leftMm,
            Optional<Boolean> barred,
            Optional<Boolean> seesThrough) {

        boolean isBarred() {
            return barred.orElse(false);
        }
    }

    /** How well an offset is to be known, depth of focus, reference and its error, error of one gap; mm. */
    public record Tolerances(
            double toleranceMm,
            double depthOfFocusMm,
            double referenceGapMm,
            double referenceStdErrMm,
            double readErrorMm) {}

    public AutofocusFinding {
        stocks = List.copyOf(stocks);
    }
}
