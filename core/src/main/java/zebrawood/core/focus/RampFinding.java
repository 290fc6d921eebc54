package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The caustic as the widths show it. What could not be had is absent.
 *
 * @param bestGapMm gap at which the line is thinnest
 * @param fromRampMm what the ramp alone says, where the gap was measured over the thinnest place
 * @param bestGapStdErrMm its standard error
 * @param waistMm width of the line there
 * @param rayleighMm Rayleigh length
 * @param beamQualityM2 apparent M²: burn width is not beam width, so only to be compared on one machine
 * @param depthOfFocusMm over which the width grows by up to 10 %
 * @param fit of d² = a + b g + c g²
 * @param focusFromMm least gap in focus
 * @param focusToMm widest gap in focus
 * @param doubtAllowedMm the standard error up to which it is clear
 * @param driftMm best gap less the last one
 * @param driftAllowedMm drift beyond which it is said
 * @param points each mark with its gap and how far off the curve it lies
 * @param curve the fitted width over the gaps measured, for the drawing
 * @param tolerances what it was judged by
 * @param oblong what two lines tell of a spot that is not round, where there were two
 * @param fromMakersMm best gap less the maker's figure, where that is known
 * @param lensMoveMm how far the lens is to be moved in its ring, towards the work where above 0
 */
public record RampFinding(
        OptionalDouble bestGapMm,
        OptionalDouble fromRampMm,
        OptionalDouble bestGapStdErrMm,
        OptionalDouble waistMm,
        OptionalDouble rayleighMm,
        OptionalDouble beamQualityM2,
        OptionalDouble depthOfFocusMm,
        Optional<Fit> fit,
        OptionalDouble focusFromMm,
        OptionalDouble focusToMm,
        OptionalDouble doubtAllowedMm,
        OptionalDouble driftMm,
        OptionalDouble driftAllowedMm,
        List<Point> points,
        List<CurvePoint> curve,
        Tolerances tolerances,
        Optional<OblongSpot> oblong,
        OptionalDouble fromMakersMm,
        OptionalDouble lensMoveMm) {

    /** Coefficients of the gap itself, not centred; rms of the widths about the curve, mm. */
    public record Fit(double a, double b, double c, OptionalDouble rmsMm) {}

    /** A mark: position, gap, width, and width less the fitted one; mm. */
    public record Point(double positionMm, double gapMm, double widthMm, OptionalDouble residualMm) {}

    /** Fitted width over a gap; mm. */
    public record CurvePoint(double gapMm, double widthMm) {}

    /** Standard error of a width that was counted on, mm. */
    public record Tolerances(OptionalDouble widthErrorMm) {}

    public RampFinding {
        points = List.copyOf(points);
        curve = List.copyOf(curve);
    }

    /** The gap to work at in all directions: the best one, or between those of two lines where these differ. */
    public OptionalDouble workingGapMm() {
        return oblong.filter(OblongSpot::seen).isPresent()
                ? OptionalDouble.of(oblong.get().roundGapMm())
                : bestGapMm;
    }

    /** Half of the 95 % interval of the gap to work at, mm. */
    public OptionalDouble workingGapHalfWidthMm() {
        return oblong.filter(OblongSpot::seen).isPresent()
                ? OptionalDouble.of(oblong.get().roundHalfWidthMm())
                : bestGapHalfWidthMm();
    }

    /** Half of the stated 95 % interval of the best gap, mm: 1.96 standard errors. */
    public OptionalDouble bestGapHalfWidthMm() {
        return bestGapStdErrMm.isPresent()
                ? OptionalDouble.of(1.96 * bestGapStdErrMm.getAsDouble())
                : OptionalDouble.empty();
    }
}
