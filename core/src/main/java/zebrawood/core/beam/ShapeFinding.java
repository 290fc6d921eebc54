package zebrawood.core.beam;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How round a mark is.
 *
 * @param ellipticity 1 - minor / major: 0 for a circle
 * @param equivalentMm diameter of the circle of the same area, mm
 * @param growth that over what was expected; absent where nothing was
 * @param majorMm longest diameter, mm
 * @param minorMm diameter across it, mm
 * @param angleDeg where the longest lies, degrees; 0 where not read
 * @param expectedMm what was expected, mm
 * @param outline what its edge looks like
 * @param place where it was shot
 * @param tolerances what it was judged by
 */
public record ShapeFinding(
        double ellipticity,
        double equivalentMm,
        OptionalDouble growth,
        double majorMm,
        double minorMm,
        double angleDeg,
        OptionalDouble expectedMm,
        Optional<ShapeReadings.Outline> outline,
        Optional<String> place,
        Tolerances tolerances) {

    /** The largest ellipticity that passes. */
    public record Tolerances(double roundnessTolerance) {}
}
