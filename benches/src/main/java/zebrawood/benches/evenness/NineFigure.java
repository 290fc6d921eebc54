package zebrawood.benches.evenness;

import java.util.Optional;
import zebrawood.benches.level.BedPlan;
import zebrawood.core.evenness.NineFinding;
import zebrawood.core.evenness.NineReadings;
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

/** The bed from above with a ring at each test piece, the larger the worse it came out; and what explains it. */
public final class NineFigure implements Exhibit<NineReadings, NineFinding> {

    private static final double EDGE = 16;
    private static final double TOP = 14;
    private static final double FOOT = 34;
    /** radius of the ring of the worst and of the best piece, px */
    private static final double LARGEST = 34;

    private static final double SMALLEST = 8;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 300);
    }

    @Override
    public double leastHeight() {
        return 280;
    }

    @Override
    public String title() {
        return "Nine places from above";
    }

    @Override
    public Figure figure(NineReadings readings, NineFinding finding, UnitChoice units) {
        double x = finding.places().stream()
                        .mapToDouble(NineFinding.Place::xMm)
                        .max()
                        .orElse(1)
                + Math.max(
                        0,
                        finding.places().stream()
                                .mapToDouble(NineFinding.Place::xMm)
                                .min()
                                .orElse(0));
        double y = finding.places().stream()
                        .mapToDouble(NineFinding.Place::yMm)
                        .max()
                        .orElse(1)
                + Math.max(
                        0,
                        finding.places().stream()
                                .mapToDouble(NineFinding.Place::yMm)
                                .min()
                                .orElse(0));
        String corner = readings.sourceCorner()
                .map(at -> (at.yMm() > y / 2 ? "back-" : "front-") + (at.xMm() > x / 2 ? "right" : "left"))
                .orElse("");
        return of(Optional.of(finding), Math.max(1, x), Math.max(1, y), corner, false, units);
    }

    @Override
    public Optional<Course> course(NineFinding finding) {
        return Optional.of(new Course(finding.spread(), 0, finding.tolerances().tolerance()));
    }

    /** Where the bed lies in a drawing of this size. */
    static BedPlan plan(double width, double height, double xMm, double yMm) {
        return BedPlan.within(new Path.Box(EDGE, TOP, width - 2 * EDGE, Math.max(40, height - TOP - FOOT)), xMm, yMm);
    }

    static Figure of(
            Optional<NineFinding> finding, double xMm, double yMm, String corner, boolean typed, UnitChoice units) {
        return (pen, width, height) -> {
            BedPlan plan = plan(width, height, xMm, yMm);
            pen.rectangle(
                    plan.left(), plan.top(), plan.width(), plan.height(), Tone.RAISED, Stroke.of(Tone.WALNUT, 1.6));
            if (corner.contains("-")) {
                double x = corner.endsWith("right") ? plan.left() + plan.width() : plan.left();
                double y = corner.startsWith("back") ? plan.top() : plan.top() + plan.height();
                pen.circle(x, y, 8, Tone.BEAM);
            }
            finding.ifPresent(found -> found.places().forEach(place -> piece(pen, plan, place, found, typed, units)));
            pen.text(
                    width / 2,
                    height - 8,
                    finding.isPresent()
                            ? "larger ring: came out worse" + (corner.contains("-") ? "; dot: the beam comes in" : "")
                            : "type what came out at each place",
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        };
    }

    private static void piece(
            Pen pen, BedPlan plan, NineFinding.Place place, NineFinding found, boolean typed, UnitChoice units) {
        double least = found.places().stream()
                .mapToDouble(NineFinding.Place::value)
                .min()
                .orElse(0);
        double share = found.spread() == 0 ? 0 : (place.value() - least) / found.spread();
        boolean more = found.tolerances().quantity() == NineReadings.Kind.SCORE;
        double worse = more ? 1 - share : share;
        boolean uneven = found.spread() > found.tolerances().tolerance();
        boolean worst = uneven && place.name().equals(found.worst().name());
        double radius = uneven ? SMALLEST + worse * (LARGEST - SMALLEST) : SMALLEST;
        radius = Math.min(radius, Math.min(plan.width(), plan.height()) / 7);
        double x = Math.max(
                plan.left() + radius + 2, Math.min(plan.left() + plan.width() - radius - 2, plan.x(place.xMm())));
        double y = Math.max(
                plan.top() + radius + 2, Math.min(plan.top() + plan.height() - radius - 2, plan.y(place.yMm())));
        if (typed) {
            Path.Box box = plan.field(Math.max(0, BedPlan.PLACES.indexOf(place.name())), 0, 0);
            boolean right = x > plan.left() + plan.width() * 0.7;
            double side = right ? -BedPlan.FIELD_WIDTH - radius - 8 : BedPlan.FIELD_WIDTH + radius + 8;
            x = right
                    ? plan.left() + plan.width() + side
                    : Math.max(plan.left() + side, x + BedPlan.FIELD_WIDTH / 2 + radius + 6);
            y = Math.max(
                    plan.top() + radius + 2,
                    Math.min(plan.top() + plan.height() - radius - 2, box.y() + BedPlan.FIELD_HEIGHT / 2));
        }
        pen.stroke(Path.circle(x, y, radius), Stroke.of(worst ? Tone.FAIL : Tone.BURN, worst ? 4 : 2.4));
        if (!typed) {
            String value = found.tolerances().quantity() == NineReadings.Kind.WIDTH
                    ? Amount.mm(place.value(), 3).number(units)
                    : Amount.plain(place.value(), 1).number(units);
            double down = Math.min(plan.top() + plan.height() - 5, y + radius + 17);
            pen.patched(x, down, value, Lettering.SMALL, worst ? Tone.FAIL : Tone.READING, Anchor.MIDDLE);
        }
    }
}
