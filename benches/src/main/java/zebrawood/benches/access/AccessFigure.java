package zebrawood.benches.access;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.core.access.AccessFinding;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The way in plan with the machine where it is tightest, and its place between the walls, to scale. */
public final class AccessFigure implements Exhibit<AccessReadings, AccessFinding> {

    static final double LEAST_HEIGHT = 280;

    @Override
    public OnPaper onPaper() {
        return OnPaper.WIDE;
    }

    @Override
    public double leastHeight() {
        return LEAST_HEIGHT;
    }

    @Override
    public String title() {
        return "Way in";
    }

    @Override
    public Figure figure(AccessReadings readings, AccessFinding finding, UnitChoice units) {
        return of(Optional.of(new Way(readings, finding, true)), RoomPlan.Place.of(readings), false, units);
    }

    @Override
    public Optional<Course> course(AccessFinding finding) {
        return Optional.empty();
    }

    /**
     * A way that can be drawn.
     *
     * @param current whether it is what is typed now; otherwise what was, without its figures
     */
    record Way(AccessReadings readings, AccessFinding finding, boolean current) {
        /** It, and the other way where one is compared. */
        private List<WayPlan.Laid> laid() {
            return Stream.concat(
                            Stream.of(WayPlan.Laid.of(readings, finding)),
                            WayPlan.Laid.other(readings, finding).stream())
                    .toList();
        }
    }

    /** @param fields whether fields stand beside the room, so that its numbers are not written */
    static Figure of(Optional<Way> way, RoomPlan.Place place, boolean fields, UnitChoice units) {
        return (pen, width, height) -> new Drawing(pen, units, width, height, fields).draw(way, place);
    }

    private static double wayWide(double width) {
        return width * 0.60 - 20;
    }

    private static final class Drawing {
        private static final double LINES = 36;
        private static final double HEAD = 22;

        private final Pen pen;
        private final UnitChoice units;
        private final double width;
        private final double height;
        private final boolean fields;

        Drawing(Pen pen, UnitChoice units, double width, double height, boolean fields) {
            this.pen = pen;
            this.units = units;
            this.width = width;
            this.height = height;
            this.fields = fields;
        }

        void draw(Optional<Way> way, RoomPlan.Place place) {
            RoomPlan room = new RoomPlan(width, height, place);
            double wayWide = wayWide(width);
            way.ifPresentOrElse(this::ways, () -> {
                pen.text(
                        wayWide / 2,
                        height / 2,
                        "doors and corners stand here",
                        Lettering.SMALL,
                        Tone.QUIET,
                        Anchor.MIDDLE);
                pen.text(
                        wayWide / 2,
                        height / 2 + 18,
                        "once they are typed, in the order of the way",
                        Lettering.SMALL,
                        Tone.QUIET,
                        Anchor.MIDDLE);
            });
            room(room, way.filter(Way::current).map(Way::finding), room.scale());
            measure(width * 0.60 + 4, room.scale());
        }

        /** As long as a metre is. */
        private void measure(double x, double scale) {
            double y = height - 6;
            pen.line(x, y, x + 1000 * scale, y, Stroke.of(Tone.INK, 1.4));
            pen.line(x, y - 4, x, y + 4, Stroke.of(Tone.INK, 1.4));
            pen.line(x + 1000 * scale, y - 4, x + 1000 * scale, y + 4, Stroke.of(Tone.INK, 1.4));
            pen.text(x, y - 8, Amount.mm(1000, 0).text(units), Lettering.CAPTION, Tone.QUIET);
        }

        /** The way, or two of them beside each other to the same scale. */
        private void ways(Way way) {
            List<WayPlan.Laid> beside = way.laid();
            boolean compared = beside.size() > 1;
            double each = wayWide(width) / beside.size();
            double tall = height - (compared ? 60 + HEAD : 60);
            List<WayPlan> plans = beside.stream()
                    .map(laid -> WayPlan.fitting(laid, each - 20, tall))
                    .toList();
            double scale = plans.stream()
                    .mapToDouble(plan -> plan.scale(each - 20, tall))
                    .min()
                    .orElseThrow();
            for (int i = 0; i < plans.size(); i++) {
                way(plans.get(i), new Within(10 + i * each, each, scale, compared), way);
            }
            if (compared) {
                pen.line(each, 0, each, height - 24, Stroke.of(Tone.HAIRLINE, 1));
            }
            measure(4, scale);
        }

        /** Where a way is drawn. */
        private record Within(double left, double wide, double scale, boolean compared) {}

        /** Which of two ways it is, and whether it goes. */
        private void head(WayPlan plan, Within within, boolean current) {
            AccessFinding.Passage tightest = plan.way().tightest();
            String goes = !current ? "" : tightest.fits() ? ", goes" : ", too tight";
            Tone tone = !current ? Tone.QUIET : tightest.fits() ? Tone.PASS : Tone.FAIL;
            Lettering lettering = pen.textWidth(plan.way().name() + goes, Lettering.TEXT_BOLD) <= within.wide() - 16
                    ? Lettering.TEXT_BOLD
                    : Lettering.CAPTION;
            double y = 14;
            for (String line : pen.wrapped(plan.way().name() + goes, within.wide() - 16, lettering)) {
                pen.text(within.left(), y, line, lettering, tone);
                y += 13;
            }
        }

        private void way(WayPlan plan, Within within, Way way) {
            AccessFinding finding = way.finding();
            double scale = within.scale();
            double left = within.left();
            double bottom = height - 44;
            if (within.compared()) {
                head(plan, within, way.current());
            }
            AccessFinding.Passage least = plan.way().tightest();
            double x0 = left - plan.least(WayPlan.Point::x) * scale;
            double y0 = bottom + plan.least(WayPlan.Point::y) * scale;
            for (WayPlan.Body ghost : plan.ghosts()) {
                pen.stroke(outline(ghost, x0, y0, scale), Stroke.of(Tone.QUIET, 0.6));
            }
            plan.tightest().ifPresent(place -> {
                Path body = outline(place.body(), x0, y0, scale);
                if (!pen.hatches()) {
                    pen.fill(body, Tone.BAND);
                }
                pen.stroke(body, Stroke.of(place.passage().fits() ? Tone.WALNUT : Tone.FAIL, 2.6));
            });
            for (List<WayPlan.Point> wall : plan.walls()) {
                Path path = new Path();
                wall.forEach(point -> path.line(x0 + point.x() * scale, y0 - point.y() * scale));
                pen.stroke(path, Stroke.of(Tone.INK, 3.2));
            }
            List<Path.Box> taken = new ArrayList<>();
            plan.places()
                    .forEach(place -> taken.add(new Path.Box(
                            x0 + place.at().x() * scale - 5, y0 - place.at().y() * scale - 5, 10, 10)));
            for (WayPlan.Place place : plan.places()) {
                if (within.compared()
                        && place.passage() != least
                        && place.passage().fits()) {
                    pen.circle(x0 + place.at().x() * scale, y0 - place.at().y() * scale, 3.5, Tone.QUIET);
                    continue;
                }
                boolean tightest = place.passage() == least;
                Tone tone = !place.passage().fits() ? Tone.FAIL : tightest ? Tone.WALNUT : Tone.QUIET;
                double x = x0 + place.at().x() * scale;
                double y = y0 - place.at().y() * scale;
                pen.circle(x, y, tightest ? 5 : 3.5, tone);
                String says = place.passage().fits()
                        ? Amount.mm(place.passage().spareMm(), 0).text(units) + " clearance"
                        : place.passage().spareMm() < 0
                                ? Amount.mm(-place.passage().spareMm(), 0).text(units) + " missing"
                                : Amount.mm(place.passage().spareMm(), 0).number(units) + " of "
                                        + Amount.mm(finding.tolerances().marginMm(), 0)
                                                .text(units);
                Lettering name = tightest ? Lettering.TEXT_BOLD : Lettering.SMALL;
                double wide =
                        Math.max(pen.textWidth(place.passage().name(), name), pen.textWidth(says, Lettering.SMALL)) + 6;
                Path.Box box = free(x, y, wide, within, taken);
                taken.add(box);
                double nearX = Math.max(box.x(), Math.min(box.x() + box.width(), x));
                double nearY = Math.max(box.y(), Math.min(box.y() + box.height(), y));
                pen.line(x, y, nearX, nearY, Stroke.of(Tone.QUIET, 0.8));
                pen.patched(
                        box.x() + 3,
                        box.y() + 14,
                        place.passage().name(),
                        name,
                        tightest ? tone : Tone.INK,
                        Anchor.START);
                if (way.current()) {
                    pen.patched(box.x() + 3, box.y() + 31, says, Lettering.SMALL, tone, Anchor.START);
                }
            }
        }

        /** Room for two lines near a place, on none of the others. */
        private Path.Box free(double x, double y, double wide, Within within, List<Path.Box> taken) {
            List<Path.Box> candidates = new ArrayList<>();
            for (double away : new double[] {10, 34, 60, 90, 124}) {
                for (double[] to :
                        new double[][] {{-1, -1}, {1, -1}, {-1, 1}, {1, 1}, {-1, 0}, {1, 0}, {0, 1}, {0, -1}}) {
                    double left = x + to[0] * away - (to[0] < 0 ? wide : to[0] == 0 ? wide / 2 : 0);
                    double top = y + to[1] * away - (to[1] < 0 ? LINES : to[1] == 0 ? LINES / 2 : 0);
                    candidates.add(new Path.Box(left, top, wide, LINES));
                }
            }
            return candidates.stream()
                    .filter(box -> box.x() >= within.left() - 10
                            && box.x() + box.width() <= within.left() + within.wide()
                            && box.y() >= (within.compared() ? HEAD : 0)
                            && box.y() + box.height() <= height - 22)
                    .filter(box -> taken.stream()
                            .noneMatch(other -> other.x() < box.x() + box.width()
                                    && box.x() < other.x() + other.width()
                                    && other.y() < box.y() + box.height()
                                    && box.y() < other.y() + other.height()))
                    .findFirst()
                    .orElse(candidates.get(0));
        }

        private static Path outline(WayPlan.Body body, double x0, double y0, double scale) {
            Path path = new Path();
            body.corners().forEach(point -> path.line(x0 + point.x() * scale, y0 - point.y() * scale));
            return path.close();
        }

        private void room(RoomPlan plan, Optional<AccessFinding> finding, double scale) {
            Path.Box room = plan.room(scale);
            Path.Box machine = plan.machine(scale);
            plan.place().needed().forEach((side, mm) -> needed(side, mm * scale, machine));
            for (String side : RoomPlan.SIDES) {
                boolean tight = finding.stream()
                        .flatMap(found -> found.walls().stream())
                        .anyMatch(wall -> wall.side().equals(side) && !wall.ok());
                Stroke stroke = plan.isKnown(side)
                        ? Stroke.of(tight ? Tone.FAIL : Tone.INK, 3.2)
                        : Stroke.dashed(Tone.QUIET, 1, 4);
                switch (side) {
                    case "rear" -> pen.line(room.x(), room.y(), room.x() + room.width(), room.y(), stroke);
                    case "front" ->
                        pen.line(
                                room.x(),
                                room.y() + room.height(),
                                room.x() + room.width(),
                                room.y() + room.height(),
                                stroke);
                    case "left" -> pen.line(room.x(), room.y(), room.x(), room.y() + room.height(), stroke);
                    default ->
                        pen.line(
                                room.x() + room.width(),
                                room.y(),
                                room.x() + room.width(),
                                room.y() + room.height(),
                                stroke);
                }
                label(plan, side);
            }
            pen.rectangle(
                    machine.x(), machine.y(), machine.width(), machine.height(), Tone.RAISED, Stroke.of(Tone.INK, 1.8));
            pen.line(
                    machine.x() + 4,
                    machine.y() + machine.height() - 3,
                    machine.x() + machine.width() - 4,
                    machine.y() + machine.height() - 3,
                    Stroke.of(Tone.WALNUT, 3));
            if (machine.width() > 40) {
                pen.text(
                        machine.x() + machine.width() / 2,
                        machine.y() + machine.height() / 2 + 5,
                        "front",
                        Lettering.CAPTION,
                        Tone.QUIET,
                        Anchor.MIDDLE);
            }
        }

        /** What a side needs, as a zone before it. */
        private void needed(String side, double deep, Path.Box machine) {
            switch (side) {
                case "rear" -> pen.band(machine.x(), machine.y() - deep, machine.width(), deep);
                case "front" -> pen.band(machine.x(), machine.y() + machine.height(), machine.width(), deep);
                case "left" -> pen.band(machine.x() - deep, machine.y(), deep, machine.height());
                case "right" -> pen.band(machine.x() + machine.width(), machine.y(), deep, machine.height());
                default -> {}
            }
        }

        private void label(RoomPlan plan, String side) {
            for (boolean needed : new boolean[] {false, true}) {
                Path.Box box = plan.field(side, needed);
                double middle = box.x() + box.width() / 2;
                Double known = (needed ? plan.place().needed() : plan.place().free()).get(side);
                if (fields || known != null) {
                    pen.text(
                            middle,
                            box.y() - 4,
                            needed ? "needs" : side.equals("rear") ? "behind" : side,
                            Lettering.CAPTION,
                            Tone.QUIET,
                            Anchor.MIDDLE);
                }
                if (!fields && known != null) {
                    pen.text(
                            middle,
                            box.y() + 20,
                            Amount.mm(known, 0).text(units),
                            Lettering.SMALL,
                            Tone.INK,
                            Anchor.MIDDLE);
                }
            }
        }
    }
}
