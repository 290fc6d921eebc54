package zebrawood.benches.mirrors;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import zebrawood.core.mirrors.PlanReadings;
import zebrawood.core.mirrors.Screw;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** A mirror's mount from behind, its three screws, and on those to be turned an arrow with how far. */
final class MountFigure {

    private static final double BODY = 86;
    private static final double INSET = 19;
    private static final double SCREW = 13;

    private MountFigure() {}

    /**
     * Both mounts beside each other, with the turns that are asked for.
     *
     * @param hand those of the screw in hand
     * @param names what the two are called
     */
    static void draw(
            Pen pen,
            List<PlanReadings.Turn> turns,
            List<PlanReadings.Turn> hand,
            List<PlanReadings.Mount> mounts,
            List<String> names,
            double width,
            double height) {
        double half = width / 2;
        for (int mirror = 1; mirror <= 2; mirror++) {
            int number = mirror;
            mount(
                    pen,
                    names.get(mirror - 1),
                    turns.stream().filter(turn -> turn.mirror() == number).toList(),
                    hand.stream().filter(turn -> turn.mirror() == number).toList(),
                    mounts.size() == 2 ? Optional.of(mounts.get(mirror - 1)) : Optional.empty(),
                    (mirror - 1) * half,
                    Math.min(half - 8, 190),
                    height);
        }
    }

    private static void mount(
            Pen pen,
            String name,
            List<PlanReadings.Turn> turns,
            List<PlanReadings.Turn> hand,
            Optional<PlanReadings.Mount> known,
            double left,
            double width,
            double height) {
        boolean lit = !hand.isEmpty();
        double x = left + 30;
        double y = 25;
        pen.text(
                left, 14, name, lit ? Lettering.TEXT_BOLD : Lettering.SMALL, lit ? Tone.INK : Tone.QUIET, Anchor.START);
        pen.rectangle(
                x, y, BODY, BODY, lit ? Tone.BAND : Tone.GROUND, Stroke.of(lit ? Tone.INK : Tone.QUIET, lit ? 2 : 1.2));
        pen.circle(x + BODY / 2, y + BODY / 2, 18, Tone.RAISED);
        pen.stroke(Path.circle(x + BODY / 2, y + BODY / 2, 18), Stroke.of(Tone.QUIET, 1.2));
        screw(pen, "A", x + INSET, y + INSET, of(hand, Screw.A), true);
        screw(pen, "B", x + BODY - INSET, y + BODY - INSET, of(hand, Screw.B), false);
        screw(pen, "C", x + INSET, y + BODY - INSET, List.of(), true);
        double at = y + BODY + 17;
        for (PlanReadings.Turn turn : turns) {
            boolean now = hand.contains(turn);
            pen.text(
                    left,
                    at,
                    words(turn),
                    now ? Lettering.TEXT_BOLD : Lettering.SMALL,
                    now ? Tone.WALNUT : Tone.QUIET,
                    Anchor.START);
            at += 16;
        }
        if (turns.isEmpty()) {
            String learned = known.flatMap(PlanReadings.Mount::learned)
                    .map(MountFigure::learned)
                    .orElse("not turned now");
            for (String line : pen.wrapped(learned, width, Lettering.CAPTION)) {
                if (at < height) {
                    pen.text(left, at, line, Lettering.CAPTION, Tone.QUIET, Anchor.START);
                    at += 15;
                }
            }
        }
    }

    private static List<PlanReadings.Turn> of(List<PlanReadings.Turn> turns, Screw screw) {
        return turns.stream().filter(turn -> turn.screw() == screw).toList();
    }

    /** {@code B clockwise 0.26}. */
    static String words(PlanReadings.Turn turn) {
        return turn.screw()
                + (turn.turns() < 0 ? " anticlockwise " : " clockwise ")
                + Amount.plain(Math.abs(turn.turns()), 2).number(UnitChoice.METRIC);
    }

    private static String learned(PlanReadings.Learned learned) {
        List<List<Double>> m = learned.mradPerTurn();
        double a = Math.hypot(m.get(0).get(0), m.get(1).get(0));
        double b = Math.hypot(m.get(0).get(1), m.get(1).get(1));
        return learned.errorPct() > 60
                ? "how its screws act is not known yet"
                : String.format(
                        Locale.ROOT,
                        "a turn leans the beam by: A %.0f mrad, B %.0f mrad, ± %.0f %%",
                        a,
                        b,
                        learned.errorPct());
    }

    private static void screw(
            Pen pen, String name, double x, double y, List<PlanReadings.Turn> turns, boolean nameLeft) {
        boolean lit = !turns.isEmpty();
        pen.circle(x, y, SCREW, lit ? Tone.STRAW : Tone.RAISED);
        pen.stroke(Path.circle(x, y, SCREW), Stroke.of(Tone.INK, lit ? 2.4 : 1.4));
        pen.line(x - 7, y, x + 7, y, Stroke.of(Tone.INK, 2.2));
        double side = nameLeft ? x - INSET - 10 : x + INSET + 10;
        pen.text(
                side,
                y + 5,
                name,
                lit ? Lettering.TEXT_BOLD : Lettering.SMALL,
                lit ? Tone.WALNUT : Tone.QUIET,
                nameLeft ? Anchor.END : Anchor.START);
        if (lit) {
            double net = turns.stream().mapToDouble(PlanReadings.Turn::turns).sum();
            arrow(pen, x, y, net >= 0);
        }
    }

    /** Three quarters of a ring about a screw, with a head that points the way. */
    private static void arrow(Pen pen, double x, double y, boolean clockwise) {
        double r = SCREW + 7;
        double way = clockwise ? 1 : -1;
        Path ring = new Path();
        double from = -Math.PI / 2 - way * Math.PI * 0.55;
        for (int i = 0; i <= 24; i++) {
            double angle = from + way * Math.PI * 1.1 * i / 24;
            double px = x + r * Math.cos(angle);
            double py = y + r * Math.sin(angle);
            if (i == 0) {
                ring.move(px, py);
            } else {
                ring.line(px, py);
            }
        }
        pen.stroke(ring, Stroke.of(Tone.WALNUT, 3.4));
        double end = from + way * Math.PI * 1.1;
        double ex = x + r * Math.cos(end);
        double ey = y + r * Math.sin(end);
        double tx = -Math.sin(end) * way;
        double ty = Math.cos(end) * way;
        double nx = Math.cos(end);
        double ny = Math.sin(end);
        pen.fill(
                new Path()
                        .move(ex + 10 * tx, ey + 10 * ty)
                        .line(ex + 7 * nx, ey + 7 * ny)
                        .line(ex - 7 * nx, ey - 7 * ny)
                        .close(),
                Tone.WALNUT);
    }
}
