package zebrawood.core.level;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.fit.Points;
import zebrawood.core.reading.Checks;

/**
 * Gaps read over a bed, and the screws that it stands on.
 *
 * @param points where a gap was read, at least three, not in line
 * @param screws three or four
 * @param fixedScrew the name of one that stays as it is
 * @param toleranceMm most that the gap may differ over the bed, 0.3 where absent; better what the depth of focus allows
 * @param gaugeErrorMm one standard error of a gap as it is read here; where absent it is told from gaps read twice, or
 *     not at all
 * @param blockMm thickness of the block that stays under the head, where gaps are felt with feelers on top of it
 * @param raises which way a screw is turned, seen from above, so that the bed rises there
 */
public record BedReadings(
        List<Point> points,
        List<Screw> screws,
        Optional<String> fixedScrew,
        OptionalDouble toleranceMm,
        OptionalDouble gaugeErrorMm,
        OptionalDouble blockMm,
        Optional<Raises> raises) {

    /** what most lenses do not show, mm */
    public static final double TOLERANCE_MM = 0.3;
    /** smaller over larger singular value under which points are in line */
    static final double IN_LINE = 0.01;

    /** Which way a screw raises the bed, seen from above. */
    public enum Raises {
        CLOCKWISE,
        ANTICLOCKWISE
    }

    /**
     * A gap over the bed.
     *
     * @param name of the place
     * @param xMm of the place, any number
     * @param yMm of the place, any number
     * @param gapMm from the focus datum down to the bed, 0 or more; or instead of it {@code feelerMm}
     * @param againMm the same gap read a second time
     * @param feelerMm the thickest feeler that goes in on top of the block, 0 where the block itself just touches
     */
    public record Point(
            String name,
            double xMm,
            double yMm,
            OptionalDouble gapMm,
            OptionalDouble againMm,
            OptionalDouble feelerMm) {
        public Point {
            boolean read = gapMm != null && gapMm.isPresent();
            boolean felt = feelerMm != null && feelerMm.isPresent();
            new Checks()
                    .text("name", name)
                    .finite("xMm", xMm)
                    .finite("yMm", yMm)
                    .enough(read || felt, "gapMm", "is missing")
                    .atLeast("gapMm", gapMm, 0)
                    .atLeast("againMm", againMm, 0)
                    .atLeast("feelerMm", feelerMm, 0)
                    .that(!(read && felt), "feelerMm", "a gap is given too; give either the gap or the feeler")
                    .done();
        }

        /** What a point holds on which a gap was read once. */
        public static Point of(String name, double xMm, double yMm, double gapMm) {
            return new Point(name, xMm, yMm, OptionalDouble.of(gapMm), OptionalDouble.empty(), OptionalDouble.empty());
        }

        /** The gap, the mean of two where it was read twice. */
        double meanMm(OptionalDouble blockMm) {
            double first = gapMm.orElseGet(() -> blockMm.orElse(0) + feelerMm.orElse(0));
            return againMm.isPresent() ? (first + againMm.getAsDouble()) / 2 : first;
        }

        /** How far two readings of it are apart, where there are two. */
        OptionalDouble apartMm() {
            return gapMm.isPresent() && againMm.isPresent()
                    ? OptionalDouble.of(gapMm.getAsDouble() - againMm.getAsDouble())
                    : OptionalDouble.empty();
        }
    }

    /** A screw under the bed: its name, where it stands, and by how much one turn moves the bed, mm. */
    public record Screw(String name, double xMm, double yMm, double pitchMm) {
        public Screw {
            new Checks()
                    .text("name", name)
                    .finite("xMm", xMm)
                    .finite("yMm", yMm)
                    .above("pitchMm", pitchMm, 0)
                    .done();
        }
    }

    /** What the depth of focus of a lens allows the gap to differ by: a quarter of it, mm. */
    public static double allowedByFocusMm(double depthOfFocusMm) {
        return depthOfFocusMm / 4;
    }

    public BedReadings {
        points = Checks.copy(points);
        screws = Checks.copy(screws);
        List<Point> read = points;
        List<Screw> standing = screws;
        Optional<String> fixed = fixedScrew == null ? Optional.empty() : fixedScrew;
        boolean felt = points != null
                && points.stream().anyMatch(point -> point.feelerMm().isPresent());
        boolean hasBlock = blockMm != null && blockMm.isPresent();
        new Checks()
                .entries("points", points, 3)
                .distinct("points", points, "name", Point::name)
                .entries("screws", screws, 3)
                .that(screws == null || screws.size() <= 4, "screws", "a bed stands on three or four screws")
                .distinct("screws", screws, "name", Screw::name)
                .above("toleranceMm", toleranceMm, 0)
                .above("gaugeErrorMm", gaugeErrorMm, 0)
                .above("blockMm", blockMm, 0)
                .enough(!felt || hasBlock, "blockMm", "is missing: feelers lie on top of a block of known thickness")
                .tie(
                        () -> fixed.isEmpty()
                                || standing.stream()
                                        .anyMatch(screw -> screw.name().equals(fixed.get())),
                        "fixedScrew",
                        "there is no screw of that name")
                .tie(
                        () -> !Points.inLine(
                                read.stream().mapToDouble(Point::xMm).toArray(),
                                read.stream().mapToDouble(Point::yMm).toArray(),
                                IN_LINE),
                        "points",
                        "the places lie in one line: read a gap beside it too")
                .done();
    }
}
