package zebrawood.core.level;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.reading.Limits;

/**
 * How a bed lies, and what its screws can do about it.
 *
 * @param slopeXMmPerM by how much the gap grows along x, mm a metre
 * @param slopeYMmPerM the same along y
 * @param slopeXStdErrMmPerM its standard error, with four points or more
 * @param slopeYStdErrMmPerM the same along y
 * @param rangeMm largest less smallest gap
 * @param residualMm the farthest that a gap lies off the plane
 * @param screws in the order given, the fixed one with 0
 * @param expectedRangeMm largest less smallest residual: the range when the screws are turned as said
 * @param shape what is left when the plane is taken out
 * @param points each gap and what the plane says there
 * @param readingErrorMm standard error of a gap as it was counted on, where it is known
 * @param tolerances what it was judged by
 */
public record BedFinding(
        double slopeXMmPerM,
        double slopeYMmPerM,
        OptionalDouble slopeXStdErrMmPerM,
        OptionalDouble slopeYStdErrMmPerM,
        double rangeMm,
        double residualMm,
        List<Screw> screws,
        double expectedRangeMm,
        Shape shape,
        List<Place> points,
        OptionalDouble readingErrorMm,
        Tolerances tolerances) {

    /** a screw that would move the bed by less is left alone, mm */
    private static final double NOT_WORTH_MM = 0.02;

    /** What a bed is besides tilted. */
    public enum Shape {
        /** nothing that is over the tolerance */
        FLAT,
        /** two corners across from each other lower than the other two */
        TWISTED,
        /** lower in the middle: worn, or it sags */
        HOLLOW,
        /** higher in the middle */
        ARCHED,
        /** none of these */
        UNEVEN
    }

    /** A screw, where it stands, how far the bed is to rise there (below 0: sink) in mm, and the turns for it. */
    public record Screw(String name, double xMm, double yMm, double raiseMm, double turns) {}

    /** A gap as it was read and as the plane has it, mm. */
    public record Place(String name, double xMm, double yMm, double gapMm, double planeMm) {
        /** What lies off the plane: above 0 where the bed is lower. */
        public double offMm() {
            return gapMm - planeMm;
        }
    }

    /** Most that the gap may differ over the bed, mm. */
    public record Tolerances(double toleranceMm) {}

    public BedFinding {
        screws = List.copyOf(screws);
        points = List.copyOf(points);
    }

    /** Largest less smallest of what the plane alone makes over the points, mm. */
    public double tiltMm() {
        return points.stream().mapToDouble(Place::planeMm).max().orElse(0)
                - points.stream().mapToDouble(Place::planeMm).min().orElse(0);
    }

    /**
     * The screws that are worth turning, the one that moves the bed most first; none where the bed is level, or screws
     * cannot level it.
     */
    public List<Screw> turned() {
        double tolerance = tolerances.toleranceMm();
        if (Limits.atMost(rangeMm, tolerance) || !Limits.atMost(expectedRangeMm, tolerance)) {
            return List.of();
        }
        double least = Math.min(NOT_WORTH_MM, tolerance / 10);
        List<Screw> largestFirst = screws.stream()
                .filter(screw -> screw.raiseMm() != 0)
                .sorted(Comparator.comparingDouble((Screw screw) -> -Math.abs(screw.raiseMm())))
                .toList();
        List<Screw> worth = largestFirst.stream()
                .filter(screw -> Math.abs(screw.raiseMm()) > least)
                .toList();
        return worth.isEmpty() ? largestFirst.stream().limit(1).toList() : worth;
    }

    /** Where the bed lies lowest. */
    public Place lowest() {
        return points.stream().max(Comparator.comparingDouble(Place::gapMm)).orElseThrow();
    }
}
