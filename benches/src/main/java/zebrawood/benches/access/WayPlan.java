package zebrawood.benches.access;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import zebrawood.core.access.AccessFinding;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.access.Corner;

/**
 * The way laid out in plan, mm, y upwards: passages between walls, openings across them, corners by turns to the left
 * and to the right, and the machine on its way. Where no corner says how wide a passage is, only its openings are
 * drawn.
 */
final class WayPlan {

    /** places of the machine drawn on its way round a corner */
    private static final int POSES = 5;

    private static final double JAMB = 500;

    private final Laid way;
    private final double breadth;
    private final double length;
    private final boolean east;
    private final List<List<Point>> walls = new ArrayList<>();
    private final List<Body> ghosts = new ArrayList<>();
    private final List<Place> places = new ArrayList<>();

    /**
     * A way to lay out, and what was found on it.
     *
     * @param name of it, where there is another
     */
    record Laid(
            String name,
            AccessReadings.Machine machine,
            List<AccessReadings.Opening> openings,
            List<AccessReadings.Turn> corners,
            List<AccessFinding.Passage> passedOpenings,
            List<AccessFinding.Passage> passedCorners) {

        static Laid of(AccessReadings readings, AccessFinding finding) {
            return new Laid(
                    "this way",
                    readings.machine(),
                    readings.openings(),
                    readings.corners(),
                    finding.openings(),
                    finding.corners());
        }

        /** The other way, where there is one; an entry may be older than what is needed to draw it. */
        static Optional<Laid> other(AccessReadings readings, AccessFinding finding) {
            return finding.other()
                    .filter(other -> other.openings().size() + other.corners().size() > 0)
                    .flatMap(found -> readings.other()
                            .map(other -> new Laid(
                                    other.name(),
                                    readings.machine(),
                                    other.openings(),
                                    other.corners(),
                                    found.openings(),
                                    found.corners())));
        }

        /** Where on it the least is spare. */
        AccessFinding.Passage tightest() {
            return AccessFinding.tightest(passedOpenings, passedCorners);
        }

        private Corner corner(AccessReadings.Turn turn) {
            return new Corner(turn.approachWidthMm(), turn.exitWidthMm(), machine.breadthMm(), machine.lengthMm());
        }
    }

    /** A place in plan, mm. */
    record Point(double x, double y) {}

    /** The machine as seen from above: its corners in order. */
    record Body(List<Point> corners) {}

    /**
     * An opening or a corner.
     *
     * @param at where its name stands beside
     * @param body the machine where it is tightest there
     */
    record Place(AccessFinding.Passage passage, Point at, Body body) {}

    /** A local frame: how a corner's own plan lies in the whole one. */
    private record Frame(double x, double y, boolean east) {
        /** Comes along its x axis from the positive end, leaves along its y axis. */
        Point of(double localX, double localY) {
            return east ? new Point(x - localX, y + localY) : new Point(x + localY, y - localX);
        }
    }

    private WayPlan(Laid way, boolean east) {
        this.way = way;
        this.east = east;
        breadth = way.machine().breadthMm();
        length = way.machine().lengthMm();
        lay();
    }

    /** Of the ways to lay it on paper (which way its corners turn is not known) the one that can be drawn larger. */
    static WayPlan fitting(Laid way, double width, double height) {
        WayPlan across = new WayPlan(way, true);
        WayPlan up = new WayPlan(way, false);
        return up.scale(width, height) > across.scale(width, height) ? up : across;
    }

    /** px/mm with which it fits. */
    double scale(double width, double height) {
        return Math.min(
                width / Math.max(1, most(Point::x) - least(Point::x)),
                height / Math.max(1, most(Point::y) - least(Point::y)));
    }

    private void lay() {
        List<AccessReadings.Opening> openings = way.openings();
        List<AccessReadings.Turn> corners = way.corners();
        int passed = 0;
        if (corners.isEmpty()) {
            for (int i = 0; i < openings.size(); i++) {
                opening(
                        new Frame(0, 0, east),
                        -i * 1.6 * length,
                        0,
                        true,
                        openings.get(i),
                        way.passedOpenings().get(i),
                        0);
            }
            return;
        }
        Frame frame = new Frame(0, 0, east);
        for (int i = 0; i < corners.size(); i++) {
            AccessReadings.Turn turn = corners.get(i);
            double approach = turn.approachWidthMm();
            double exit = turn.exitWidthMm();
            int before = Math.min(openings.size(), turn.openingsBefore().orElse(openings.size()));
            // openings before the first corner lie on its approach; all others on the exit of the corner before them
            double in = Math.max(exit, length) + 0.5 * length;
            double out = Math.max(approach, length) + 0.5 * length;
            walls.add(List.of(frame.of(in, 0), frame.of(0, 0), frame.of(0, out)));
            walls.add(List.of(frame.of(in, approach), frame.of(exit, approach), frame.of(exit, out)));
            for (int opening = before - 1; i == 0 && opening >= 0; opening--, passed++) {
                opening(
                        frame,
                        in,
                        approach / 2,
                        true,
                        openings.get(opening),
                        way.passedOpenings().get(opening),
                        approach);
                in += 1.3 * length;
            }
            int until = i + 1 < corners.size()
                    ? Math.min(
                            openings.size(), corners.get(i + 1).openingsBefore().orElse(openings.size()))
                    : openings.size();
            for (; passed < until; passed++) {
                opening(
                        frame,
                        exit / 2,
                        out,
                        false,
                        openings.get(passed),
                        way.passedOpenings().get(passed),
                        exit);
                out += 1.3 * length;
            }
            corner(frame, way.corner(turn), turn, way.passedCorners().get(i));
            if (i + 1 < corners.size()) {
                AccessReadings.Turn next = corners.get(i + 1);
                double along = out + Math.max(next.exitWidthMm(), length) + 0.5 * length;
                // the next passage goes on in the middle of this one; its outer wall lies on the other side
                Point outer = frame.of(exit / 2 + next.approachWidthMm() / 2, along);
                frame = new Frame(outer.x(), outer.y(), !frame.east());
            }
        }
    }

    private void corner(Frame frame, Corner corner, AccessReadings.Turn turn, AccessFinding.Passage passage) {
        corner.sweep(length, POSES).forEach(pose -> ghosts.add(body(frame, pose)));
        places.add(new Place(
                passage, frame.of(turn.exitWidthMm(), turn.approachWidthMm()), body(frame, corner.tightest())));
    }

    private Body body(Frame frame, Corner.Pose pose) {
        double cos = Math.cos(pose.turned());
        double sin = Math.sin(pose.turned());
        List<Point> corners = new ArrayList<>();
        for (int[] of : new int[][] {{1, 1}, {-1, 1}, {-1, -1}, {1, -1}}) {
            corners.add(frame.of(
                    pose.x() + of[0] * length / 2 * cos - of[1] * breadth / 2 * sin,
                    pose.y() + of[0] * length / 2 * sin + of[1] * breadth / 2 * cos));
        }
        return new Body(corners);
    }

    /** An opening across a passage: two jambs, and the wall that is left between them and the passage's walls. */
    private void opening(
            Frame frame,
            double x,
            double y,
            boolean approach,
            AccessReadings.Opening opening,
            AccessFinding.Passage passage,
            double passageWidth) {
        double half = opening.widthMm() / 2;
        double wall = passageWidth / 2 > half ? passageWidth / 2 : half + JAMB;
        for (int side = -1; side <= 1; side += 2) {
            walls.add(
                    approach
                            ? List.of(frame.of(x, y + side * half), frame.of(x, y + side * wall))
                            : List.of(frame.of(x + side * half, y), frame.of(x + side * wall, y)));
        }
        Body body = body(frame, new Corner.Pose(x, y, approach ? 0 : Math.PI / 2));
        ghosts.add(body);
        places.add(new Place(passage, approach ? frame.of(x, y - half) : frame.of(x + half, y), body));
    }

    Laid way() {
        return way;
    }

    List<List<Point>> walls() {
        return walls;
    }

    List<Body> ghosts() {
        return ghosts;
    }

    List<Place> places() {
        return places;
    }

    /** Where the least is spare. */
    Optional<Place> tightest() {
        AccessFinding.Passage tightest = way.tightest();
        return places.stream().filter(place -> place.passage() == tightest).findFirst();
    }

    double least(ToDoubleFunction<Point> of) {
        return all().stream().mapToDouble(of).min().orElse(0);
    }

    double most(ToDoubleFunction<Point> of) {
        return all().stream().mapToDouble(of).max().orElse(1);
    }

    private List<Point> all() {
        List<Point> all = new ArrayList<>();
        walls.forEach(all::addAll);
        ghosts.forEach(body -> all.addAll(body.corners()));
        places.forEach(place -> all.add(place.at()));
        return all;
    }
}
