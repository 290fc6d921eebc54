package zebrawood.benches.level;

import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import zebrawood.core.level.BedFinding;
import zebrawood.core.level.BedReadings;
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

/** A bed from above with its gaps and screws, and seen from the front and from the right with its heights enlarged. */
public final class BedFigure implements Exhibit<BedReadings, BedFinding> {

    /** px for the heights beside the plan */
    private static final double SIDE = 74;
    /** px for the heights under the plan, and the words about it */
    private static final double FOOT = 92;
    /** px for screws and what is said of them over the plan */
    private static final double TOP = 26;

    private static final double EDGE = 16;
    /** px of a height in a view from the side */
    private static final double DEEP = 40;

    private static final double[] ROUND = {1, 2, 3, 4, 5, 6, 8};

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 330);
    }

    @Override
    public double leastHeight() {
        return 300;
    }

    @Override
    public String title() {
        return "Bed from above";
    }

    @Override
    public Figure figure(BedReadings readings, BedFinding finding, UnitChoice units) {
        double x = extent(finding, BedFinding.Screw::xMm, BedFinding.Place::xMm);
        double y = extent(finding, BedFinding.Screw::yMm, BedFinding.Place::yMm);
        return of(Optional.of(finding), List.of(), x, y, false, units);
    }

    /** How far the bed reaches, as screws and gaps tell: as much beyond the last as before the first. */
    private static double extent(
            BedFinding finding, ToDoubleFunction<BedFinding.Screw> screw, ToDoubleFunction<BedFinding.Place> place) {
        double most = finding.screws().stream().mapToDouble(screw).max().orElse(0);
        double least = finding.screws().stream().mapToDouble(screw).min().orElse(0);
        double reads = finding.points().stream().mapToDouble(place).max().orElse(0);
        return Math.max(1, Math.max(most + Math.max(0, least), reads));
    }

    @Override
    public Optional<Course> course(BedFinding finding) {
        return Optional.of(new Course(finding.rangeMm(), 0, finding.tolerances().toleranceMm()));
    }

    /** Where the bed lies in a drawing of this size. */
    static BedPlan plan(double width, double height, double xMm, double yMm) {
        return BedPlan.within(
                new Path.Box(EDGE, TOP, width - SIDE - 2 * EDGE, Math.max(40, height - TOP - FOOT)), xMm, yMm);
    }

    /**
     * @param stands the screws, while there is no finding
     * @param typed whether gaps stand in fields over the drawing
     */
    static Figure of(
            Optional<BedFinding> finding,
            List<BedFinding.Screw> stands,
            double xMm,
            double yMm,
            boolean typed,
            UnitChoice units) {
        return (pen, width, height) -> {
            Sheet sheet = new Sheet(pen, plan(width, height, xMm, yMm), finding, typed, units);
            sheet.draw(width, height);
            if (finding.isEmpty()) {
                stands.forEach(screw -> sheet.screw(screw, false));
            }
        };
    }

    private record Sheet(Pen pen, BedPlan plan, Optional<BedFinding> finding, boolean typed, UnitChoice units) {

        void draw(double width, double height) {
            pen.rectangle(
                    plan.left(), plan.top(), plan.width(), plan.height(), Tone.RAISED, Stroke.of(Tone.WALNUT, 1.6));
            finding.ifPresent(found -> {
                found.points().forEach(place -> place(place, found));
                found.screws().forEach(screw -> screw(screw, found.turned().contains(screw)));
                double enlarged = enlarged(found);
                fromTheFront(found, enlarged);
                fromTheRight(found, enlarged);
            });
            String says = finding.isEmpty()
                    ? "type each gap where it is read; corners and middle are enough"
                    : pen.textWidth(caption(finding.get()), Lettering.CAPTION) < width - 8
                            ? caption(finding.get())
                            : "heights enlarged " + Math.round(enlarged(finding.get())) + " times";
            pen.text(width / 2, height - 6, says, Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
        }

        private String caption(BedFinding found) {
            return "from the front and from the right: heights enlarged " + Math.round(enlarged(found))
                    + " times; dashed: level";
        }

        private void place(BedFinding.Place place, BedFinding found) {
            boolean worst = place == found.lowest()
                    && found.rangeMm() > found.tolerances().toleranceMm();
            double x = plan.x(place.xMm());
            double y = plan.y(place.yMm());
            if (typed) {
                return;
            }
            String gap = Amount.mm(place.gapMm(), 2).number(units);
            double wide = pen.textWidth(gap, Lettering.TEXT);
            double at = Math.max(plan.left() + wide / 2 + 6, Math.min(plan.left() + plan.width() - wide / 2 - 6, x));
            double down = Math.max(plan.top() + 18, Math.min(plan.top() + plan.height() - 8, y + 5));
            pen.text(at, down, gap, Lettering.TEXT, worst ? Tone.FAIL : Tone.READING, Anchor.MIDDLE);
        }

        private void screw(BedFinding.Screw screw, boolean turned) {
            double x = plan.x(screw.xMm());
            double y = plan.y(screw.yMm());
            boolean back = screw.yMm() > plan.yMm() / 2;

            pen.circle(x, y, 7, Tone.GROUND);
            pen.stroke(Path.circle(x, y, 7), Stroke.of(turned ? Tone.ADJUST : Tone.INK, turned ? 3 : 1.6));
            pen.line(x - 4, y, x + 4, y, Stroke.of(Tone.INK, 1.4));
            String says = turned
                    ? screw.name() + ": " + turns(screw) + (screw.raiseMm() > 0 ? " up" : " down")
                    : screw.name();
            boolean left = screw.xMm() < 0.4 * plan.xMm();
            boolean right = screw.xMm() > 0.6 * plan.xMm();
            pen.text(
                    left ? plan.left() - 8 : right ? plan.left() + plan.width() + 8 : x,
                    back ? plan.top() - 11 : plan.top() + plan.height() + 20,
                    says,
                    turned ? Lettering.TEXT_BOLD : Lettering.SMALL,
                    turned ? Tone.ADJUST : Tone.QUIET,
                    left ? Anchor.START : right ? Anchor.END : Anchor.MIDDLE);
        }

        private String turns(BedFinding.Screw screw) {
            return Amount.plain(Math.abs(screw.turns()), Math.abs(screw.turns()) < 0.1 ? 3 : 2)
                            .number(units)
                    + " turns";
        }

        /** By how much heights are drawn larger than lengths, a round number. */
        private double enlarged(BedFinding found) {
            double reach = Math.max(found.tolerances().toleranceMm(), found.rangeMm());
            double most = DEEP / reach / plan.scale();
            double power = Math.pow(10, Math.floor(Math.log10(most)));
            double round = power;
            for (double step : ROUND) {
                round = step * power <= most ? step * power : round;
            }
            return Math.max(1, round);
        }

        private double middle(BedFinding found) {
            List<Double> gaps =
                    found.points().stream().map(BedFinding.Place::gapMm).toList();
            double least = gaps.stream().mapToDouble(Double::doubleValue).min().orElse(0);
            return least + found.rangeMm() / 2;
        }

        /** Under the plan: a lower bed lies lower. */
        private void fromTheFront(BedFinding found, double enlarged) {
            double base = plan.top() + plan.height() + 26 + DEEP / 2 + 6;
            double perMm = enlarged * plan.scale();
            pen.line(plan.left(), base, plan.left() + plan.width(), base, Stroke.dashed(Tone.QUIET, 1.2, 5));
            double middleY = plan.yMm() / 2;
            double centre = middle(found);
            pen.line(
                    plan.left(),
                    base + (planeAt(found, 0, middleY) - centre) * perMm,
                    plan.left() + plan.width(),
                    base + (planeAt(found, plan.xMm(), middleY) - centre) * perMm,
                    Stroke.of(Tone.WALNUT, 2.4));
            for (BedFinding.Place place : found.points()) {
                pen.circle(plan.x(place.xMm()), base + (place.gapMm() - centre) * perMm, 3.6, Tone.READING);
            }
        }

        /** Beside the plan: a lower bed lies farther to the right, as if the sheet were turned. */
        private void fromTheRight(BedFinding found, double enlarged) {
            double base = plan.left() + plan.width() + 22 + DEEP / 2;
            double perMm = enlarged * plan.scale();
            pen.line(base, plan.top(), base, plan.top() + plan.height(), Stroke.dashed(Tone.QUIET, 1.2, 5));
            double middleX = plan.xMm() / 2;
            double centre = middle(found);
            pen.line(
                    base + (planeAt(found, middleX, plan.yMm()) - centre) * perMm,
                    plan.top(),
                    base + (planeAt(found, middleX, 0) - centre) * perMm,
                    plan.top() + plan.height(),
                    Stroke.of(Tone.WALNUT, 2.4));
            for (BedFinding.Place place : found.points()) {
                pen.circle(base + (place.gapMm() - centre) * perMm, plan.y(place.yMm()), 3.6, Tone.READING);
            }
        }

        private static double planeAt(BedFinding found, double x, double y) {
            BedFinding.Place first = found.points().get(0);
            return first.planeMm()
                    + found.slopeXMmPerM() / 1000 * (x - first.xMm())
                    + found.slopeYMmPerM() / 1000 * (y - first.yMm());
        }
    }
}
