package zebrawood.benches.focus;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Plate, block and head from the side, lengths and heights each to scale. */
final class RampSide {

    static final double MARGIN = 96;
    static final double TOP = 34;
    private static final double PLATE_PX = 9;

    private RampSide() {}

    /**
     * What is drawn.
     *
     * @param read whether gap, run and rise were read; otherwise they are only proposed, and dashed
     * @param headAtMm where along the run the head stands
     * @param bestGapMm the fitted best gap, where there is one
     */
    record Ramp(
            double gapAtStartMm,
            double runMm,
            double riseMm,
            boolean read,
            double headAtMm,
            OptionalDouble bestGapMm,
            String datum) {

        static Ramp of(RampReadings readings, RampFinding finding) {
            double best = finding.bestGapMm().orElse(readings.gapAtStartMm() - readings.riseMm() / 2);
            double at = (readings.gapAtStartMm() - best) * readings.runMm() / readings.riseMm();
            return new Ramp(
                    readings.gapAtStartMm(),
                    readings.runMm(),
                    readings.riseMm(),
                    true,
                    Math.max(0, Math.min(readings.runMm(), at)),
                    finding.bestGapMm(),
                    RampFigures.datum(readings));
        }

        double widestMm() {
            return Math.max(gapAtStartMm, gapAtStartMm - riseMm);
        }

        double leastMm() {
            return Math.min(gapAtStartMm, gapAtStartMm - riseMm);
        }

        /** Least gap that is drawn: 0, but for gaps so long that the ramp would vanish in them. */
        double drawnFromMm() {
            double spread = widestMm() - leastMm();
            return leastMm() > 2 * spread ? leastMm() - 0.6 * spread : 0;
        }
    }

    /** How many times larger heights are drawn than lengths. */
    static double enlarged(Ramp ramp, double width, double height) {
        double perMmAcross = (width - 2 * MARGIN) / ramp.runMm();
        return scaleY(ramp, height) / perMmAcross;
    }

    private static double scaleY(Ramp ramp, double height) {
        return (height - TOP - 26 - PLATE_PX) / (ramp.widestMm() - ramp.drawnFromMm());
    }

    static String caption(Ramp ramp, double width, double height) {
        return String.format(
                Locale.ROOT,
                enlarged(ramp, width, height) < 10
                        ? "from the side, heights drawn %.1f times larger than lengths"
                        : "from the side, heights drawn %.0f times larger than lengths",
                enlarged(ramp, width, height));
    }

    static Figure figure(Ramp ramp, UnitChoice units) {
        return (pen, width, height) -> {
            double perMm = (width - 2 * MARGIN) / ramp.runMm();
            double scaleY = scaleY(ramp, height);
            double from = ramp.drawnFromMm();
            DoubleUnaryOperator x = p -> MARGIN + p * perMm;
            DoubleUnaryOperator y = gap -> TOP + (gap - from) * scaleY;
            draw(pen, ramp, units, x, y);
        };
    }

    private static void draw(Pen pen, Ramp ramp, UnitChoice units, DoubleUnaryOperator x, DoubleUnaryOperator y) {
        double startX = x.applyAsDouble(0);
        double endX = x.applyAsDouble(ramp.runMm());
        double startY = y.applyAsDouble(ramp.gapAtStartMm());
        double endY = y.applyAsDouble(ramp.gapAtStartMm() - ramp.riseMm());
        double table = Math.max(startY, endY) + PLATE_PX + 2;
        Stroke outline = ramp.read() ? Stroke.of(Tone.WALNUT, 1.2) : Stroke.dashed(Tone.WALNUT, 1.2, 5);
        pen.fill(Path.rectangle(startX - 30, table, endX - startX + 60, 7), Tone.BAND);
        pen.line(startX - 30, table, endX + 30, table, Stroke.of(Tone.QUIET, 1));
        boolean rises = ramp.riseMm() > 0;
        double blockX = rises ? endX - 26 : startX + 4;
        double blockTop = Math.min(startY, endY) + PLATE_PX + 2;
        if (table - blockTop > 3) {
            pen.rectangle(blockX, blockTop, 22, table - blockTop, Tone.BAND, Stroke.of(Tone.QUIET, 1));
        }
        Path plate = new Path()
                .move(startX, startY)
                .line(endX, endY)
                .line(endX, endY + PLATE_PX)
                .line(startX, startY + PLATE_PX)
                .close();
        pen.fill(plate, Tone.WOOD);
        pen.stroke(plate, outline);
        double datumY = TOP;
        boolean cut = ramp.drawnFromMm() > 0;
        pen.line(startX - 34, datumY, endX + 34, datumY, Stroke.dashed(Tone.QUIET, 1, 3));
        double headX = x.applyAsDouble(ramp.headAtMm());
        String datum = cut ? ramp.datum() + ", far above" : ramp.datum() + ": gaps are measured from here";
        if (pen.textWidth(datum, Lettering.CAPTION) > Math.max(endX - headX, headX - startX)) {
            datum = ramp.datum();
        }
        boolean rightOfHead = endX + 34 - headX > pen.textWidth(datum, Lettering.CAPTION) + 30;
        pen.text(
                rightOfHead ? endX + 34 : startX - 34,
                datumY - 6,
                datum,
                Lettering.CAPTION,
                Tone.QUIET,
                rightOfHead ? Anchor.END : Anchor.START);
        head(pen, ramp, headX, datumY, y);
        ramp.bestGapMm().ifPresent(best -> {
            double at = y.applyAsDouble(best);
            pen.line(startX - 34, at, endX + 34, at, Stroke.of(Tone.WALNUT, 1.6));
        });
        double dimension = startX - 12;
        pen.line(dimension, datumY, dimension, startY, Stroke.of(Tone.READING, 1.3));
        pen.line(dimension - 4, datumY, dimension + 4, datumY, Stroke.of(Tone.READING, 1.3));
        pen.line(dimension - 4, startY, dimension + 4, startY, Stroke.of(Tone.READING, 1.3));
        if (cut) {
            pen.fill(Path.rectangle(dimension - 7, datumY + 11, 14, 8), Tone.GROUND);
            pen.line(dimension - 6, datumY + 13, dimension + 6, datumY + 9, Stroke.of(Tone.READING, 1.3));
            pen.line(dimension - 6, datumY + 21, dimension + 6, datumY + 17, Stroke.of(Tone.READING, 1.3));
        }
        double rise = endX + 12;
        pen.line(rise, startY, rise, endY, Stroke.of(Tone.READING, 1.3));
        pen.line(rise - 4, startY, rise + 4, startY, Stroke.of(Tone.READING, 1.3));
        pen.line(rise - 4, endY, rise + 4, endY, Stroke.of(Tone.READING, 1.3));
        pen.line(startX, table + 13, endX, table + 13, Stroke.of(Tone.READING, 1.3));
        pen.line(startX, table + 9, startX, table + 17, Stroke.of(Tone.READING, 1.3));
        pen.line(endX, table + 9, endX, table + 17, Stroke.of(Tone.READING, 1.3));
        // over all lines, so that none goes through it
        ramp.bestGapMm().ifPresent(best -> {
            double at = y.applyAsDouble(best);
            String words = "best gap " + Amount.mm(best, 2).text(units);
            double room = pen.textWidth(words, Lettering.TEXT_BOLD);
            double left = startX + 46;
            boolean crosses = left + room > headX - 24 && left < headX + 24;
            boolean above = at - datumY > 22;
            pen.patched(
                    crosses ? endX + 30 : left,
                    crosses ? at + 16 : above ? at - 6 : at + 16,
                    words,
                    Lettering.TEXT_BOLD,
                    Tone.WALNUT,
                    crosses ? Anchor.END : Anchor.START);
        });
    }

    private static void head(Pen pen, Ramp ramp, double x, double y, DoubleUnaryOperator toY) {
        Path nozzle = new Path()
                .move(x - 20, y - 20)
                .line(x + 20, y - 20)
                .line(x + 6, y)
                .line(x - 6, y)
                .close();
        pen.fill(nozzle, Tone.RAISED);
        pen.stroke(nozzle, Stroke.of(Tone.INK, 1.5));
        ramp.bestGapMm().ifPresent(best -> {
            double waist = toY.applyAsDouble(best);
            double below = waist + (waist - y) * 0.35;
            Stroke beam = Stroke.of(Tone.BEAM, 1.3);
            pen.stroke(new Path().move(x - 5, y).line(x - 1, waist).line(x - 3, below), beam);
            pen.stroke(new Path().move(x + 5, y).line(x + 1, waist).line(x + 3, below), beam);
        });
    }
}
