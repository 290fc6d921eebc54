package zebrawood.core.level;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.fit.Points;
import zebrawood.core.reading.Checks;

/**
 * Gaps round the ring of a lens over a fixed table, and what the head is mounted on.
 *
 * @param points at least three, not in line
 * @param fieldMm side of the field that is engraved
 * @param mounts where shims go, at least three, not in line
 * @param shims thicknesses of the drawer, 1 to 30, mm; where absent exact thicknesses are meant
 * @param maxShimsPerMount most pieces on one mount, 1 to 5; 3 where absent
 * @param toleranceMm most that the height may differ across the field, 0.5 where absent
 * @param gapErrorMm one standard error of a gap, 0.03 where absent
 * @param shimRaises what a shim lifts, the head where absent
 */
public record TiltReadings(
        List<Point> points,
        double fieldMm,
        List<Mount> mounts,
        Optional<List<Double>> shims,
        OptionalInt maxShimsPerMount,
        OptionalDouble toleranceMm,
        OptionalDouble gapErrorMm,
        Optional<Raises> shimRaises) {

    public static final int MOST_PIECES = 3;
    public static final double TOLERANCE_MM = 0.5;
    public static final double GAP_ERROR_MM = 0.03;

    /** mounts of one joint that stand closer turn nothing */
    private static final double LEAST_APART_MM = 1;
    /** most thicknesses in a drawer */
    static final int MOST_SHIMS = 30;
    /** most pieces that anybody may ask for on one mount */
    static final int MOST_ON_A_MOUNT = 5;

    /** What a shim lifts. */
    public enum Raises {
        /** the head there: the gap grows */
        HEAD,
        /** the table there: the gap shrinks */
        TABLE
    }

    /** A gap read at a place of the ring, mm from the middle of the lens; the gap is 0 or more. */
    public record Point(double xMm, double yMm, double gapMm) {
        public Point {
            new Checks()
                    .finite("xMm", xMm)
                    .finite("yMm", yMm)
                    .atLeast("gapMm", gapMm, 0)
                    .done();
        }
    }

    /** The axis along which a joint sets a head straight, where two joints stand on each other. */
    public enum Joint {
        /** left and right: its shims change the lean along x only */
        X,
        /** front and back: the lean along y only */
        Y
    }

    /**
     * A place where shims go, mm from the middle of the lens.
     *
     * @param joint which of two stacked joints it belongs to, as those of a tower and its bracket; absent where one
     *     joint sets both ways
     */
    public record Mount(String name, double xMm, double yMm, Optional<Joint> joint) {
        /** One of a single joint. */
        public Mount(String name, double xMm, double yMm) {
            this(name, xMm, yMm, Optional.empty());
        }

        /** How far along the axis of a joint it stands, mm. */
        double alongMm(Joint axis) {
            return axis == Joint.X ? xMm : yMm;
        }

        public Mount {
            new Checks()
                    .text("name", name)
                    .finite("xMm", xMm)
                    .finite("yMm", yMm)
                    .done();
        }
    }

    public TiltReadings {
        points = Checks.copy(points);
        mounts = Checks.copy(mounts);
        shims = shims == null ? Optional.empty() : shims.map(List::copyOf);
        List<Point> read = points;
        List<Mount> standing = mounts;
        Checks checks = new Checks()
                .entries("points", points, 3)
                .above("fieldMm", fieldMm, 0)
                .entries("mounts", mounts, 3)
                .distinct("mounts", mounts, "name", Mount::name);
        shims.ifPresent(drawer -> {
            checks.entries("shims", drawer, 1)
                    .that(
                            drawer.size() <= MOST_SHIMS,
                            "shims",
                            "a drawer holds " + MOST_SHIMS + " thicknesses at most");
            for (int i = 0; i < drawer.size(); i++) {
                checks.above("shims[" + i + "]", drawer.get(i), 0);
            }
        });
        checks.that(
                        maxShimsPerMount == null
                                || maxShimsPerMount.isEmpty()
                                || maxShimsPerMount.getAsInt() >= 1 && maxShimsPerMount.getAsInt() <= MOST_ON_A_MOUNT,
                        "maxShimsPerMount",
                        "must be 1 to " + MOST_ON_A_MOUNT)
                .above("toleranceMm", toleranceMm, 0)
                .above("gapErrorMm", gapErrorMm, 0)
                .tie(
                        () -> !Points.inLine(
                                read.stream().mapToDouble(Point::xMm).toArray(),
                                read.stream().mapToDouble(Point::yMm).toArray(),
                                BedReadings.IN_LINE),
                        "points",
                        "the places lie in one line: read a gap beside it too")
                .tie(
                        () -> !isStacked(standing)
                                || standing.stream()
                                        .allMatch(mount -> mount.joint().isPresent()),
                        "mounts",
                        "say of each mount to which joint it belongs, or of none")
                .tie(
                        () -> !isStacked(standing) || reaches(standing, Joint.X) && reaches(standing, Joint.Y),
                        "mounts",
                        "each joint needs two mounts that stand apart along its axis")
                .tie(
                        () -> isStacked(standing)
                                || !Points.inLine(
                                        standing.stream()
                                                .mapToDouble(Mount::xMm)
                                                .toArray(),
                                        standing.stream()
                                                .mapToDouble(Mount::yMm)
                                                .toArray(),
                                        BedReadings.IN_LINE),
                        "mounts",
                        "the mounts stand in one line: shims cannot turn a head both ways on them")
                .done();
    }

    /** Whether two joints stand on each other, each of which sets one way. */
    boolean isStacked() {
        return isStacked(mounts);
    }

    private static boolean isStacked(List<Mount> mounts) {
        return mounts.stream().anyMatch(mount -> mount.joint().isPresent());
    }

    private static boolean reaches(List<Mount> mounts, Joint axis) {
        double[] along = mounts.stream()
                .filter(mount -> mount.joint().equals(Optional.of(axis)))
                .mapToDouble(mount -> mount.alongMm(axis))
                .sorted()
                .toArray();
        return along.length > 1 && along[along.length - 1] - along[0] >= LEAST_APART_MM;
    }
}
