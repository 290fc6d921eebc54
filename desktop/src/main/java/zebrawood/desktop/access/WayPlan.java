package zebrawood.desktop.access;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import zebrawood.core.access.AccessFinding;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.access.Corner;

/**
 * The way laid out in plan, mm, y upwards: passages between walls, openings across them, corners by turns to the left and to
 * the right, and the machine on its way. Where no corner says how wide a passage is, only its openings are drawn.
 */
final class WayPlan {

    private static final int POSES = 5;
    private static final double JAMB = 500;

    private final AccessReadings readings;
    private final double breadth;
    private final double length;
    private final List<Corner> turns;
    private final boolean east;
    private final List<List<Point>> walls = new ArrayList<>();
    private final List<Body> ghosts = new ArrayList<>();
    private final List<Place> places = new ArrayList<>();

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

    private WayPlan(AccessReadings readings, AccessFinding finding, List<Corner> corners, boolean east) {
        this.readings = readings;
        this.turns = corners;
        this.east = east;
        breadth = readings.machine().breadthMm();
        length = readings.machine().lengthMm();
        lay(finding);
    }

    /** Of the ways to lay it on paper (which way its corners turn is not known) the one that can be drawn larger. */
    static WayPlan fitting(AccessReadings readings, AccessFinding finding, double width, double height) {
        List<Corner> corners = readings.corners().stream()
                .map(turn -> new Corner(turn.approachWidthMm(), turn.exitWidthMm(), readings.machine().breadthMm(), readings.machine().lengthMm())).toList();
        WayPlan across = new WayPlan(readings, finding, corners, true);
        WayPlan up = new WayPlan(readings, finding, corners, false);
        return up.scale(width, height) > across.scale(width, height) ? up : across;
    }

    /** px/mm with which it fits. */
    double scale(double width, double height) {
        return Math.min(width / Math.max(1, most(Point::x) - least(Point::x)), height / Math.max(1, most(Point::y) - least(Point::y)));
    }

    private void lay(AccessFinding finding) {
        List<AccessReadings.Turn> corners = readings.corners();
        int passed = 0;
        if (corners.isEmpty()) {
            for (int i = 0; i < readings.openings().size(); i++) {
                opening(new Frame(0, 0, east), -i * 1.6 * length, 0, true, readings.openings().get(i), finding.openings().get(i), 0);
            }
            return;
        }
        Frame frame = new Frame(0, 0, east);
        for (int i = 0; i < corners.size(); i++) {
            AccessReadings.Turn turn = corners.get(i);
            double approach = turn.approachWidthMm();
            double exit = turn.exitWidthMm();
            int before = Math.min(readings.openings().size(), turn.openingsBefore().orElse(readings.openings().size()));
            // openings before the first corner lie on its approach; all others on the exit of the corner before them
            double in = Math.max(exit, length) + 0.5 * length;
            double out = Math.max(approach, length) + 0.5 * length;
            walls.add(List.of(frame.of(in, 0), frame.of(0, 0), frame.of(0, out)));
            walls.add(List.of(frame.of(in, approach), frame.of(exit, approach), frame.of(exit, out)));
            for (int opening = before - 1; i == 0 && opening >= 0; opening--, passed++) {
                opening(frame, in, approach / 2, true, readings.openings().get(opening), finding.openings().get(opening), approach);
                in += 1.3 * length;
            }
            int until = i + 1 < corners.size() ? Math.min(readings.openings().size(), corners.get(i + 1).openingsBefore().orElse(readings.openings().size())) : readings.openings().size();
            for (; passed < until; passed++) {
                opening(frame, exit / 2, out, false, readings.openings().get(passed), finding.openings().get(passed), exit);
                out += 1.3 * length;
            }
            corner(frame, turns.get(i), turn, finding.corners().get(i));
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
        places.add(new Place(passage, frame.of(turn.exitWidthMm(), turn.approachWidthMm()), body(frame, corner.tightest())));
    }

    private Body body(Frame frame, Corner.Pose pose) {
        double cos = Math.cos(pose.turned());
        double sin = Math.sin(pose.turned());
        List<Point> corners = new ArrayList<>();
        for (int[] of : new int[][] {{1, 1}, {-1, 1}, {-1, -1}, {1, -1}}) {
            corners.add(frame.of(pose.x() + of[0] * length / 2 * cos - of[1] * breadth / 2 * sin, pose.y() + of[0] * length / 2 * sin + of[1] * breadth / 2 * cos));
        }
        return new Body(corners);
    }

    /** An opening across a passage: two jambs, and the wall that is left between them and the passage's walls. */
    private void opening(Frame frame, double x, double y, boolean approach, AccessReadings.Opening opening, AccessFinding.Passage passage, double passageWidth) {
        double half = opening.widthMm() / 2;
        double wall = passageWidth / 2 > half ? passageWidth / 2 : half + JAMB;
        for (int side = -1; side <= 1; side += 2) {
            walls.add(approach ? List.of(frame.of(x, y + side * half), frame.of(x, y + side * wall)) : List.of(frame.of(x + side * half, y), frame.of(x + side * wall, y)));
        }
        Body body = body(frame, new Corner.Pose(x, y, approach ? 0 : Math.PI / 2));
        ghosts.add(body);
        places.add(new Place(passage, approach ? frame.of(x, y - half) : frame.of(x + half, y), body));
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
    Optional<Place> tightest(AccessFinding finding) {
        return places.stream().filter(place -> place.passage() == finding.tightest()).findFirst();
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
