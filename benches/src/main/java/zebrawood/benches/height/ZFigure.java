package zebrawood.benches.height;

import java.util.Optional;
import zebrawood.core.height.ZFinding;
import zebrawood.core.height.ZReadings;
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

/** Bed, riser, stock, gap and head from the side, to scale, and the height axis beside them. */
public final class ZFigure implements Exhibit<ZReadings, ZFinding> {

    private static final double TOP = 12;
    private static final double FOOT = 26;
    private static final double BED = 14;
    private static final double HEAD = 34;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(440, 260);
    }

    @Override
    public double leastHeight() {
        return 240;
    }

    @Override
    public String title() {
        return "Stack from the side";
    }

    @Override
    public Figure figure(ZReadings readings, ZFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(ZFinding finding) {
        return Optional.empty();
    }

    static Figure of(Optional<ZFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            if (finding.isPresent()) {
                new Stack(pen, finding.get(), width, height, units).draw();
            } else {
                double bed = height - FOOT - BED;
                pen.rectangle(width * 0.2, bed, width * 0.5, BED, Tone.WOOD, Stroke.of(Tone.INK, 1.4));
                pen.stroke(
                        Path.rectangle(width * 0.3, bed - height * 0.16, width * 0.3, height * 0.16),
                        Stroke.dashed(Tone.QUIET, 1.6, 5));
                pen.text(
                        width / 2,
                        height - 8,
                        "dashed: stock, not yet typed",
                        Lettering.CAPTION,
                        Tone.QUIET,
                        Anchor.MIDDLE);
            }
        };
    }

    private static final class Stack {
        private final Pen pen;
        private final ZFinding found;
        private final double width;
        private final double height;
        private final UnitChoice units;
        private final double scale;

        Stack(Pen pen, ZFinding found, double width, double height, UnitChoice units) {
            this.pen = pen;
            this.found = found;
            this.width = width;
            this.height = height;
            this.units = units;
            double tall = found.stack().riserMm() + found.stack().materialMm() + found.surfaceGapMm();
            scale = (height - TOP - FOOT - BED - HEAD) / Math.max(tall, 1e-6);
        }

        void draw() {
            double left = width * 0.2;
            double wide = width * 0.42;
            double y = height - FOOT - BED;
            pen.rectangle(left - 24, y, wide + 48, BED, Tone.WOOD, Stroke.of(Tone.INK, 1.6));
            double riser = found.stack().riserMm() * scale;
            if (riser > 0) {
                pen.rectangle(left + 10, y - riser, wide - 20, riser, Tone.GROUND, Stroke.of(Tone.INK, 1.4));
                pen.line(left + 10, y - riser, left + wide - 10, y, Stroke.of(Tone.HAIRLINE, 1));
                pen.line(left + 10, y, left + wide - 10, y - riser, Stroke.of(Tone.HAIRLINE, 1));
            }
            double stock = found.stack().materialMm() * scale;
            double surface = y - riser - stock;
            pen.rectangle(left, surface, wide, Math.max(2, stock), Tone.STRAW, Stroke.of(Tone.INK, 1.4));
            double datum = surface - found.surfaceGapMm() * scale;
            double x = left + wide / 2;
            pen.fill(
                    new Path()
                            .move(x - 30, Math.max(2, datum - HEAD))
                            .line(x + 30, Math.max(2, datum - HEAD))
                            .line(x + 9, datum)
                            .line(x - 9, datum)
                            .close(),
                    Tone.INK);
            double focus = surface - found.stack().defocusMm() * scale;
            pen.line(x - 8, datum, x, focus, Stroke.of(Tone.BEAM, 1.8));
            pen.line(x + 8, datum, x, focus, Stroke.of(Tone.BEAM, 1.8));
            pen.circle(x, focus, 4, Tone.BURN);
            labels(left + wide + 30, y, riser, stock, surface, datum);
            axis(y);
            String part = found.stack().axisSense().part();
            pen.text(
                    width / 2,
                    height - 8,
                    "to scale; at the left the height axis, which moves the " + part,
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        }

        private void labels(double x, double bed, double riser, double stock, double surface, double datum) {
            double lowest = bed + 4;
            if (riser > 0) {
                label(
                        x,
                        Math.min(lowest, bed - riser / 2 + 5),
                        "riser ",
                        found.stack().riserMm(),
                        Tone.INK);
                lowest = Math.min(lowest, bed - riser / 2 + 5) - 19;
            }
            label(
                    x,
                    Math.min(lowest, bed - riser - stock / 2 + 5),
                    "stock ",
                    found.stack().materialMm(),
                    Tone.INK);
            lowest = Math.min(lowest, bed - riser - stock / 2 + 5) - 19;
            double gap = Math.min(lowest, (surface + datum) / 2 + 5);
            label(x, gap, "gap ", found.surfaceGapMm(), Tone.WALNUT);
            if (found.stack().defocusMm() != 0) {
                boolean above = found.stack().defocusMm() > 0;
                label(
                        x,
                        gap - 19,
                        above ? "focus up " : "focus down ",
                        Math.abs(found.stack().defocusMm()),
                        Tone.BURN);
            }
        }

        private void label(double x, double y, String name, double mm, Tone tone) {
            pen.text(x, y, name + Amount.mm(mm, 2).text(units), Lettering.SMALL, tone, Anchor.START);
        }

        /** The axis from its one end to the other, and the place it is sent to. */
        private void axis(double bottom) {
            double x = 40;
            double top = TOP + 20;
            double least = found.tolerances().minZMm();
            double most = found.tolerances().maxZMm();
            pen.line(x, top, x, bottom, Stroke.of(Tone.INK, 3));
            pen.line(x - 6, top, x + 6, top, Stroke.of(Tone.INK, 2));
            pen.line(x - 6, bottom, x + 6, bottom, Stroke.of(Tone.INK, 2));
            double share = (found.targetZMm() - least) / (most - least);
            double at = bottom - Math.max(-0.04, Math.min(1.04, share)) * (bottom - top);
            Tone tone = found.inRange() ? Tone.PASS : Tone.FAIL;
            pen.circle(x, at, 7, tone);
            pen.text(x, top - 8, Amount.mm(most, 0).number(units), Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
            pen.text(x, bottom + 17, Amount.mm(least, 0).number(units), Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
            double down = Math.max(top + 14, Math.min(bottom - 6, at + 5));
            pen.text(
                    x + 13,
                    down,
                    Amount.mm(found.targetZMm(), 1).number(units),
                    Lettering.TEXT_BOLD,
                    tone,
                    Anchor.START);
        }
    }
}
