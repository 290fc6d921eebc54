package zebrawood.core.access;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A right-angled corner and a body that stands upright on castors. Lengths in mm, seen from above: the outer corner
 * lies at (0, 0), the body comes along the x axis between y = 0 and the approach's width, and leaves along the y axis
 * between x = 0 and the exit's width; the inner corner lies at (exit, approach).
 *
 * <p>The longest body of a breadth that is turned round it slides with its outer long side along both outer walls: at
 * the angle t its inner long side must pass the inner corner, which gives its length as a/sin t + b/cos t - 2w/sin 2t.
 */
public final class Corner {

    /** angles tried before the least among them is narrowed down: 0.2 apart in the logarithm of their tangent */
    private static final int STEPS = 120;
    /** how far that logarithm goes on both sides: to within 0.0004 degrees of going straight */
    private static final double FURTHEST = 12;
    /** how closely spare room is shared, mm */
    private static final double ROOM_MM = 0.01;

    private final double approach;
    private final double exit;
    private final double breadth;
    private final double length;
    /** the longest body of this breadth that can be turned, mm */
    private final double longest;
    /** what {@link #room} once found out */
    private Body room;

    /** How a body gets round. */
    public enum Way {
        TURNED,
        LENGTHWISE_THEN_SIDEWAYS,
        SIDEWAYS_THEN_LENGTHWISE,
        /** a passage is narrower than the body */
        NONE
    }

    /**
     * Where a body is.
     *
     * @param x of its centre
     * @param y of its centre
     * @param turned by how much its long side is turned from the x axis, radians
     */
    public record Pose(double x, double y, double turned) {}

    /**
     * @param approach width of the passage before the corner
     * @param exit width of the passage after it
     * @param breadth the smaller size of the body in plan
     * @param length the larger one
     */
    public Corner(double approach, double exit, double breadth, double length) {
        this.approach = approach;
        this.exit = exit;
        this.breadth = breadth;
        this.length = length;
        this.longest = breadth < Math.min(approach, exit) ? longest(breadth) : Double.NaN;
    }

    /** The best way round. */
    public Way way() {
        if (breadth >= Math.min(approach, exit)) {
            return Way.NONE;
        }
        double turned = longest - length;
        double best = spareMm();
        return turned == best
                ? Way.TURNED
                : lengthwise() == best ? Way.LENGTHWISE_THEN_SIDEWAYS : Way.SIDEWAYS_THEN_LENGTHWISE;
    }

    /** What is left over on the best way round; below 0 what is missing. */
    public double spareMm() {
        if (breadth >= Math.min(approach, exit)) {
            return Math.min(approach, exit) - breadth;
        }
        return Math.max(longest - length, Math.max(lengthwise(), sideways()));
    }

    private double lengthwise() {
        return Math.min(approach - breadth, exit - length);
    }

    private double sideways() {
        return Math.min(approach - length, exit - breadth);
    }

    /** The longest body of a breadth that can be turned round. */
    private double longest(double broad) {
        return passing(broad, tightest(broad));
    }

    /** How long a body may be to pass at an angle. */
    private double passing(double broad, double angle) {
        return approach / Math.sin(angle) + exit / Math.cos(angle) - 2 * broad / Math.sin(2 * angle);
    }

    /** The angle at which the least can pass. */
    private double tightest(double broad) {
        double at = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= STEPS; i++) {
            double s = spread(i);
            double passes = passing(broad, Math.atan(Math.exp(s)));
            if (passes < least) {
                least = passes;
                at = s;
            }
        }
        double step = 2 * FURTHEST / STEPS;
        UnivariateFunction slope = s -> slope(broad, Math.atan(Math.exp(s)));
        // where passages differ a million times, or are a hair wider than the body, the tightest place is at an end
        boolean within = slope.value(at - step) < 0 && slope.value(at + step) > 0;
        return Math.atan(
                Math.exp(within ? new BrentSolver(1e-13, 1e-13).solve(200, slope, at - step, at + step, at) : at));
    }

    /** How what passes changes with the angle, times the square of sin 2t, which keeps it finite. */
    private double slope(double broad, double angle) {
        double sin = Math.sin(angle);
        double cos = Math.cos(angle);
        return 4 * (exit * sin * sin * sin - approach * cos * cos * cos + broad * Math.cos(2 * angle));
    }

    /** Angles are looked at by the logarithm of their tangent: a narrow passage has its tightest place near an end. */
    private static double spread(int step) {
        return -FURTHEST + 2 * FURTHEST * step / STEPS;
    }

    /** Where it is tightest. */
    public Pose tightest() {
        Way way = way();
        if (way == Way.LENGTHWISE_THEN_SIDEWAYS || way == Way.SIDEWAYS_THEN_LENGTHWISE) {
            return new Pose(exit / 2, approach / 2, way == Way.LENGTHWISE_THEN_SIDEWAYS ? 0 : Math.PI / 2);
        }
        Body body = room();
        return body.at(way == Way.NONE ? Math.PI / 4 : tightest(body.broad()));
    }

    /**
     * From the approach to the exit, what is spare shared between all sides; where it does not fit, along the outer
     * walls.
     *
     * @param straight how far along each passage
     * @param steps poses for each of the parts: in, round, out
     */
    public List<Pose> sweep(double straight, int steps) {
        Way way = way();
        List<Pose> poses = new ArrayList<>();
        boolean isTurned = way == Way.TURNED || way == Way.NONE;
        Body body = room();
        double turned = way == Way.SIDEWAYS_THEN_LENGTHWISE ? Math.PI / 2 : 0;
        Pose in = isTurned ? body.at(0) : new Pose(exit / 2, approach / 2, turned);
        for (int i = 0; i < steps; i++) {
            poses.add(new Pose(in.x() + straight * (steps - i) / steps, in.y(), in.turned()));
        }
        for (int i = 0; isTurned && i <= steps; i++) {
            poses.add(body.at(Math.PI / 2 * i / steps));
        }
        Pose out = isTurned ? body.at(Math.PI / 2) : in;
        for (int i = 0; i <= steps; i++) {
            poses.add(new Pose(out.x(), out.y() + straight * i / steps, out.turned()));
        }
        return poses;
    }

    /** A body somewhat larger than the real one, which still gets round: the real one in its middle touches nothing. */
    private Body room() {
        if (room == null) {
            room = way() != Way.TURNED || spareMm() <= 0 ? new Body(length, breadth) : roomy();
        }
        return room;
    }

    private Body roomy() {
        double half = length + (longest - length) / 2;
        double fits = breadth;
        double not = Math.min(approach, exit);
        while (not - fits > ROOM_MM) {
            double broad = (fits + not) / 2;
            if (longest(broad) >= half) {
                fits = broad;
            } else {
                not = broad;
            }
        }
        return new Body((length + longest(fits)) / 2, fits);
    }

    /** A body that slides with its outer long side along both outer walls. */
    private record Body(double length, double broad) {
        Pose at(double angle) {
            return new Pose(
                    (length * Math.cos(angle) + broad * Math.sin(angle)) / 2,
                    (length * Math.sin(angle) + broad * Math.cos(angle)) / 2,
                    Math.PI - angle);
        }
    }
}
