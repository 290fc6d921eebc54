package zebrawood.benches.mirrors;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Enlarged;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The beam's way from above, to scale, beside it the run in hand from the side; only the beam's error is enlarged. */
final class WayFigure {

    /** px left of mirror 1, for its name and for fields */
    static final double LEFT = 112;

    private static final double TOP = 26;
    private static final double FOOT = 26;
    /** the same where fields stand under the machine */
    private static final double FIELDS = 70;
    /** mm of machine around the runs */
    private static final double AROUND_MM = 46;
    /** share of the width that the view from above may take where the view from the side stands beside it */
    private static final double ABOVE = 0.68;
    /** px that the largest error takes */
    private static final double ERROR_PX = 20;

    private static final double CARD = 9;
    /** px between two mirrors below which the words on them would touch */
    private static final double ROOM = 44;

    private static final String LOOK = "look here";

    /**
     * What is drawn.
     *
     * @param beam how it runs, once that is known
     * @param at where a card is shot at next
     * @param lit mirrors whose screws are turned now
     * @param fault what no screw mends, where that was found
     * @param startsAtTheTube whether the tube fires along the gantry's travel
     * @param known whether the runs were measured; otherwise they are only proposed, and dashed
     */
    record Way(
            PlanReadings.Run run,
            Optional<PlanFinding.Beam> beam,
            Optional<Steps.At> at,
            Set<Integer> lit,
            Optional<PlanFinding.Kind> fault,
            boolean startsAtTheTube,
            boolean known) {
        Way {
            lit = Set.copyOf(lit);
        }

        /** The machine alone, whose runs are being measured. */
        static Way measured(PlanReadings.Run run, boolean startsAtTheTube) {
            return new Way(run, Optional.empty(), Optional.empty(), Set.of(), Optional.empty(), startsAtTheTube, false);
        }
    }

    /** Where things lie in a drawing, px. */
    record Plan(double x, double y, double scale, PlanReadings.Run run) {

        static Plan of(PlanReadings.Run run, double width, double height, boolean beside) {
            double across = (beside ? ABOVE * width : width - 20) - LEFT;
            double scale = Math.min(
                    across / (run.xFarMm() + 1.5 * AROUND_MM),
                    (height - TOP - (beside ? FOOT : FIELDS)) / (run.yFarMm() + 2 * AROUND_MM));
            return new Plan(LEFT, TOP + AROUND_MM * scale, scale, run);
        }

        double gantry(double mm) {
            return y + mm * scale;
        }

        /** Where the machine ends in front. */
        double front() {
            return gantry(run.yFarMm() + AROUND_MM);
        }

        double head(double mm) {
            return x + mm * scale;
        }
    }

    private final Pen pen;
    private final Way way;
    private final UnitChoice units;
    private final Plan plan;
    private final double width;
    private final double height;

    private WayFigure(Pen pen, Way way, UnitChoice units, double width, double height) {
        this.pen = pen;
        this.way = way;
        this.units = units;
        this.width = width;
        this.height = height;
        plan = Plan.of(way.run(), width, height, way.known());
    }

    static void draw(Pen pen, Way way, UnitChoice units, double width, double height) {
        new WayFigure(pen, way, units, width, height).draw();
    }

    /** By how much the error of the beam is drawn larger than the machine. */
    static double enlarged(Way way, double width, double height) {
        return factor(way, Plan.of(way.run(), width, height, way.known()));
    }

    private static double factor(Way way, Plan plan) {
        return way.beam()
                .map(beam -> Math.max(1, Enlarged.factor(beam.farthestMm(way.run()), plan.scale(), ERROR_PX)))
                .orElse(1.0);
    }

    private void draw() {
        double right = plan.head(way.run().xFarMm() + AROUND_MM / 2);
        frame(right);
        double far = plan.gantry(way.run().yFarMm());
        double near = plan.gantry(way.run().yNearMm());
        double gantry = way.at().map(at -> plan.gantry(at.gantryMm())).orElse(far);
        for (double each : new double[] {near, far}) {
            if (Math.abs(each - gantry) > 1) {
                pen.line(plan.x() - 10, each, right - 6, each, Stroke.dashed(Tone.QUIET, 1.2, 5));
            }
        }
        boolean bent = way.fault().filter(PlanFinding.Kind.RAILS::equals).isPresent();
        pen.rectangle(
                plan.x() - 10,
                gantry - 5,
                right - plan.x() + 4,
                10,
                Tone.BAND,
                bent ? Stroke.of(Tone.FAIL, 3) : Stroke.of(Tone.INK, 1.4));
        boolean clipped = way.fault().filter(PlanFinding.Kind.CLIPPING::equals).isPresent();
        if (bent || clipped) {
            double at = plan.head(way.run().xFarMm() * (bent ? 0.5 : 0.85));
            pen.patched(at, gantry - 16, LOOK, Lettering.TEXT_BOLD, Tone.FAIL, Anchor.MIDDLE);
        }
        if (way.known()) {
            beam(gantry);
        } else {
            dimensions(near, far);
        }
        mirror(1, plan.x(), plan.y(), true);
        mirror(2, plan.x(), gantry, false);
        cards(gantry, near);
        foot();
        if (way.known()) {
            SideFigure.draw(
                    pen,
                    way,
                    units,
                    factor(way, plan) * plan.scale(),
                    new Path.Box(width * ABOVE + 24, TOP, width * (1 - ABOVE) - 42, height - TOP));
        }
    }

    private void frame(double right) {
        double left = plan.x() - Math.min(AROUND_MM * plan.scale(), 22);
        double top = plan.y() - AROUND_MM * plan.scale();
        double bottom = plan.front();
        pen.rectangle(left, top, right - left, bottom - top, Tone.GROUND, Stroke.of(Tone.INK, 1.6));
        double bedX = plan.head(way.run().xNearMm());
        double bedY = plan.gantry(way.run().yNearMm());
        pen.rectangle(
                bedX,
                bedY,
                plan.head(way.run().xFarMm()) - bedX,
                plan.gantry(way.run().yFarMm()) - bedY,
                Tone.RAISED,
                Stroke.of(Tone.HAIRLINE, 1));
        if (way.startsAtTheTube()) {
            pen.rectangle(plan.x() - 8, top + 3, 16, plan.y() - top - 3, Tone.BAND, Stroke.of(Tone.INK, 1.2));
            if (!way.known()) {
                pen.text(plan.x() + 18, plan.y() - 4, "tube, its mouth", Lettering.SMALL, Tone.INK, Anchor.START);
            }
            return;
        }
        double tubeLeft = plan.head(way.run().xFarMm() * 0.3);
        double tubeRight = plan.head(way.run().xFarMm() * 0.92);
        pen.rectangle(tubeLeft, plan.y() - 8, tubeRight - tubeLeft, 16, Tone.BAND, Stroke.of(Tone.INK, 1.2));
        pen.text((tubeLeft + tubeRight) / 2, plan.y() + 4, "tube", Lettering.CAPTION, Tone.INK, Anchor.MIDDLE);
    }

    private void beam(double gantry) {
        double g = way.at().map(Steps.At::gantryMm).orElse(way.run().yFarMm());
        double perMm = factor(way, plan) * plan.scale();
        Stroke stroke = way.beam().isPresent() ? Stroke.of(Tone.BEAM, 2) : Stroke.dashed(Tone.BEAM, 1.6, 6);
        double tube = plan.head(way.run().xFarMm() * 0.3);
        double end = way.at()
                .map(at ->
                        at.carriageMm().isPresent() ? plan.head(at.carriageMm().getAsDouble()) : plan.x())
                .orElse(plan.head(way.run().xFarMm()));
        double start = way.beam().map(beam -> -beam.onYRun(0).xMm() * perMm).orElse(0.0);
        double turn = way.beam().map(beam -> -beam.onYRun(g).xMm() * perMm).orElse(0.0);
        if (!way.startsAtTheTube()) {
            pen.line(tube, plan.y(), plan.x() + start, plan.y(), stroke);
        }
        // a mirror at 45 degrees is met as far beside as it is met too early or too late
        pen.line(plan.x() + start, plan.y(), plan.x() + turn, end > plan.x() ? gantry + turn : gantry, stroke);
        double from = way.beam().map(beam -> beam.onXRun(g, 0).xMm() * perMm).orElse(0.0);
        double to = way.beam()
                .map(beam -> beam.onXRun(g, (end - plan.x()) / plan.scale()).xMm() * perMm)
                .orElse(0.0);
        if (end > plan.x()) {
            pen.line(plan.x() + turn, gantry - from, end, gantry - to, stroke);
        }
    }

    /** How far the runs are, where that is measured. */
    private void dimensions(double near, double far) {
        Stroke blue = Stroke.of(Tone.READING, 1.3);
        double x = plan.x() - 16;
        upright(x, plan.y(), far, blue);
        upright(x - 8, plan.y(), near, blue);
        double y = far + 16;
        level(plan.x(), plan.head(way.run().xFarMm()), y, blue);
        level(plan.x(), plan.head(way.run().xNearMm()), y - 8, blue);
    }

    private void upright(double x, double from, double to, Stroke stroke) {
        pen.line(x, from, x, to, stroke);
        pen.line(x - 4, from, x + 4, from, stroke);
        pen.line(x - 4, to, x + 4, to, stroke);
    }

    private void level(double from, double to, double y, Stroke stroke) {
        pen.line(from, y, to, y, stroke);
        pen.line(from, y - 4, from, y + 4, stroke);
        pen.line(to, y - 4, to, y + 4, stroke);
    }

    private void mirror(int number, double x, double y, boolean rising) {
        boolean lit = way.lit().contains(number);
        if (lit) {
            pen.circle(x, y, 19, Tone.STRAW);
            pen.stroke(Path.circle(x, y, 19), Stroke.of(Tone.WALNUT, 1.4));
        }
        double d = rising ? -9 : 9;
        if (number == 2 || !way.startsAtTheTube()) {
            pen.line(x - 9, y - d, x + 9, y + d, Stroke.of(Tone.INK, 5));
        }
        String name = way.startsAtTheTube() ? number == 1 ? "tube" : "mirror" : "mirror " + number;
        double left = x - 34;
        // with the gantry near, what is said of the first one makes room for the second
        boolean near = number == 1
                && way.at().filter(at -> plan.gantry(at.gantryMm()) - y < ROOM).isPresent();
        double words = y + (near ? -14 : lit ? -2 : 5);
        if (way.known()) {
            pen.text(left, words, name, lit ? Lettering.TEXT_BOLD : Lettering.SMALL, Tone.INK, Anchor.END);
        } else if (number == 2 || !way.startsAtTheTube()) {
            pen.text(x + 18, y - 12, name, Lettering.SMALL, Tone.INK, Anchor.START);
        }
        if (lit) {
            boolean faulty = way.fault().isPresent();
            pen.text(
                    left,
                    words + 16,
                    faulty ? LOOK : "turn here",
                    Lettering.CAPTION,
                    faulty ? Tone.FAIL : Tone.WALNUT,
                    Anchor.END);
        }
    }

    private void cards(double gantry, double near) {
        boolean atMirror = way.at().filter(at -> at.mirror() == 1).isPresent();
        if (atMirror) {
            card(plan.x(), gantry, true);
            pen.patched(plan.x() + 24, gantry - 12, "shoot here", Lettering.TEXT_BOLD, Tone.WALNUT, Anchor.START);
            return;
        }
        List<Double> places = List.of(way.run().xNearMm(), way.run().xFarMm());
        for (double head : places) {
            boolean here = way.at()
                    .filter(at -> Math.abs(at.carriageMm().orElse(-1) - head) < 0.5)
                    .isPresent();
            card(plan.head(head), gantry, here);
        }
        way.at().ifPresent(at -> {
            double x = plan.head(at.carriageMm().orElse(0));
            if (places.stream()
                    .noneMatch(head -> Math.abs(head - at.carriageMm().orElse(-1)) < 0.5)) {
                card(x, gantry, true);
            }
            double room = pen.textWidth("shoot here", Lettering.TEXT_BOLD) / 2;
            double middle = Math.min(
                    Math.max(x, plan.x() + room + 8), plan.head(way.run().xFarMm()) - room + 14);
            boolean below = gantry - near < 40;
            pen.patched(
                    middle, gantry + (below ? 28 : -34), "shoot here", Lettering.TEXT_BOLD, Tone.WALNUT, Anchor.MIDDLE);
        });
    }

    private void card(double x, double y, boolean here) {
        pen.rectangle(
                x - CARD,
                y - CARD,
                2 * CARD,
                2 * CARD,
                Tone.RAISED,
                here ? Stroke.of(Tone.WALNUT, 2.6) : Stroke.dashed(Tone.INK, 1.2, 3));
    }

    private void foot() {
        double bottom = plan.front();
        double hundred = 100 * plan.scale();
        double y = bottom + 13;
        if (way.known() && hundred > 8 && hundred < width / 2) {
            level(plan.x(), plan.x() + hundred, y, Stroke.of(Tone.INK, 1.2));
            pen.text(
                    plan.x() + hundred + 8,
                    y + 4,
                    Amount.mm(100, 0).text(units),
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.START);
        }
        pen.text(plan.head(way.run().xFarMm()), y + 4, "front", Lettering.CAPTION, Tone.QUIET, Anchor.END);
    }
}
