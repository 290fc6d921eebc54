package zebrawood.benches.coolant;

import java.util.Optional;
import zebrawood.core.coolant.HeatFinding;
import zebrawood.core.coolant.HeatReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * A bucket's afternoon as a rising line with the minute at which to stop; otherwise the heat beside what the chiller
 * carries.
 */
public final class HeatFigure implements Exhibit<HeatReadings, HeatFinding> {

    /** four hours: as far as one looks ahead beside a machine */
    private static final double AFTERNOON_MIN = 240;

    @Override
    public String title() {
        return "Water heat";
    }

    @Override
    public Figure figure(HeatReadings readings, HeatFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    private static Amount watts(double watts) {
        return new Amount(Quantity.POWER, watts, 0);
    }

    @Override
    public Optional<Course> course(HeatFinding finding) {
        return Optional.of(new Course(finding.riseC(), 0, 0.3));
    }

    static Figure of(Optional<HeatFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            if (finding.isPresent() && finding.get().reservoirL().isPresent()) {
                new Afternoon(pen, finding.get(), units, width, height).draw();
            } else {
                circuit(pen, finding, units, width, height);
            }
        };
    }

    private static final class Afternoon {
        private final Pen pen;
        private final HeatFinding found;
        private final UnitChoice units;
        private final double left = 52;
        private final double right;
        private final double top = 20;
        private final double bottom;
        private final Axis x;
        private final Axis y;

        Afternoon(Pen pen, HeatFinding found, UnitChoice units, double width, double height) {
            this.pen = pen;
            this.found = found;
            this.units = units;
            right = width - 24;
            bottom = height - 40;
            double minutes = found.bucketMinutes().orElse(0);
            double most = Math.max(30, Math.min(AFTERNOON_MIN, minutes * 3));
            x = new Axis(0, most, left, right);
            double least = Math.min(found.startC(), found.tolerances().maxC()) - 2;
            double highest = Math.max(found.tolerances().maxC(), found.outletC())
                    + Math.max(4, (found.tolerances().maxC() - found.startC()) * 0.9);
            y = new Axis(least, highest, bottom, top);
        }

        void draw() {
            pen.band(
                    left,
                    y.at(found.tolerances().maxC()),
                    right - left,
                    bottom - y.at(found.tolerances().maxC()));
            pen.line(left, top, left, bottom, Stroke.of(Tone.INK, 1.2));
            x.under(pen, bottom, 8, "minutes of work");
            y.shown(Quantity.TEMPERATURE, units).beside(pen, left, 6, left);
            pen.line(
                    left,
                    y.at(found.tolerances().maxC()),
                    right,
                    y.at(found.tolerances().maxC()),
                    Stroke.of(Tone.FAIL, 1.8));
            double slope = found.bucketC(1) - found.startC();
            pen.clipped(left, top, right - left, bottom - top, () -> {
                rising(found.startC() + found.riseC(), slope / 2, Stroke.dashed(Tone.QUIET, 1.4, 6));
                rising(found.startC() + found.riseC(), slope, Stroke.of(Tone.WALNUT, 2.4));
                rising(found.startC(), slope, Stroke.of(Tone.READING, 1.6));
            });
            pen.patched(
                    left + 8,
                    y.at(found.tolerances().maxC()) - 8,
                    "outlet no warmer than "
                            + Amount.celsius(found.tolerances().maxC(), 1).text(units),
                    Lettering.SMALL,
                    Tone.FAIL,
                    Anchor.START);
            named(found.startC() + found.riseC(), slope, "outlet", Tone.WALNUT, -8);
            named(found.startC(), slope, "bucket", Tone.READING, 18);
            named(found.startC() + found.riseC(), slope / 2, "two buckets", Tone.QUIET, 16);
            double minutes = found.bucketMinutes().orElse(0);
            if (minutes <= x.most()) {
                double at = x.at(minutes);
                pen.line(at, bottom, at, y.at(found.tolerances().maxC()), Stroke.dashed(Tone.READING, 1.6, 4));
                pen.circle(at, y.at(found.tolerances().maxC()), 6.5, Tone.READING);
                String words = minutes > 0
                        ? "stop after " + new Amount(Quantity.MINUTES, Math.floor(minutes), 0).text(units)
                        : "too warm from the beginning";
                boolean onLeft = at > (left + right) / 2;
                pen.text(
                        onLeft ? at - 10 : at + 10,
                        bottom - 12,
                        words,
                        Lettering.HEAD,
                        Tone.READING,
                        onLeft ? Anchor.END : Anchor.START);
            }
        }

        private void rising(double from, double perMinute, Stroke stroke) {
            pen.line(x.at(0), y.at(from), x.at(x.most()), y.at(from + perMinute * x.most()), stroke);
        }

        /** A name along a line, where that line is still on the drawing. */
        private void named(double from, double perMinute, String words, Tone tone, double down) {
            double leaves = (y.most() - from) / perMinute;
            double at = Math.min(x.most() * 0.86, leaves * 0.8);
            pen.patched(
                    x.at(at) - 6,
                    y.at(from + perMinute * at) + down,
                    words,
                    Lettering.SMALL,
                    tone,
                    down < 0 ? Anchor.END : Anchor.START);
        }
    }

    /** The source, the hoses and the chiller, with what goes in, comes out and is carried away. */
    private static void circuit(Pen pen, Optional<HeatFinding> finding, UnitChoice units, double width, double height) {
        double boxWide = Math.min(230, width * 0.31);
        double boxTall = Math.min(240, height * 0.66);
        double y = (height - boxTall) / 2;
        double right = width - boxWide - 20;
        pen.line(20 + boxWide, y + boxTall * 0.25, right, y + boxTall * 0.25, Stroke.of(Tone.WALNUT, 6));
        pen.line(20 + boxWide, y + boxTall * 0.75, right, y + boxTall * 0.75, Stroke.of(Tone.READING, 6));
        double middle = (20 + boxWide + right) / 2;
        pen.fill(
                new Path()
                        .move(middle + 12, y + boxTall * 0.25)
                        .line(middle - 8, y + boxTall * 0.25 - 11)
                        .line(middle - 8, y + boxTall * 0.25 + 11)
                        .close(),
                Tone.WALNUT);
        pen.fill(
                new Path()
                        .move(middle - 12, y + boxTall * 0.75)
                        .line(middle + 8, y + boxTall * 0.75 - 11)
                        .line(middle + 8, y + boxTall * 0.75 + 11)
                        .close(),
                Tone.READING);
        pen.rectangle(20, y, boxWide, boxTall, Tone.RAISED, Stroke.of(Tone.INK, 1.8));
        pen.rectangle(right, y, boxWide, boxTall, Tone.RAISED, Stroke.of(Tone.INK, 1.8));
        pen.text(20 + boxWide / 2, y - 10, "source", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
        pen.text(right + boxWide / 2, y - 10, "chiller", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
        pen.line(20 + boxWide * 0.15, y + boxTall / 2, 20 + boxWide, y + boxTall / 2, Stroke.of(Tone.BEAM, 1.6));
        finding.ifPresent(found -> {
            boolean hot = found.outletC() > found.tolerances().maxC();
            pen.text(
                    20 + boxWide / 2,
                    y + boxTall * 0.32,
                    watts(found.heatW()).text(units),
                    Lettering.HEAD,
                    Tone.INK,
                    Anchor.MIDDLE);
            pen.text(
                    20 + boxWide / 2, y + boxTall * 0.78, "into the water", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
            pen.text(
                    middle,
                    y + boxTall * 0.25 - 16,
                    Amount.celsius(found.outletC(), 1).text(units),
                    Lettering.HEAD,
                    hot ? Tone.FAIL : Tone.WALNUT,
                    Anchor.MIDDLE);
            pen.text(
                    middle,
                    y + boxTall * 0.25 + 24,
                    "at the most "
                            + Amount.celsius(found.tolerances().maxC(), 1).text(units),
                    Lettering.CAPTION,
                    hot ? Tone.FAIL : Tone.QUIET,
                    Anchor.MIDDLE);
            pen.text(
                    middle,
                    y + boxTall * 0.75 + 30,
                    Amount.celsius(found.startC(), 1).text(units),
                    Lettering.HEAD,
                    Tone.READING,
                    Anchor.MIDDLE);
            if (found.chillerMarginPct().isPresent()) {
                double margin = found.chillerMarginPct().getAsDouble();
                double carries = found.heatW() * (1 + margin / 100);
                double wide = boxWide - 36;
                double scale = wide / Math.max(carries, found.heatW());
                double at = y + boxTall * 0.42;
                pen.band(right + 18, at, carries * scale, 26);
                pen.stroke(Path.rectangle(right + 18, at, carries * scale, 26), Stroke.of(Tone.INK, 1.2));
                pen.line(
                        right + 18 + found.heatW() * scale,
                        at - 6,
                        right + 18 + found.heatW() * scale,
                        at + 32,
                        Stroke.of(margin < 0 ? Tone.FAIL : Tone.WALNUT, 3));
                pen.text(
                        right + boxWide / 2,
                        y + boxTall * 0.32,
                        watts(carries).text(units),
                        Lettering.HEAD,
                        margin < 0 ? Tone.FAIL : Tone.INK,
                        Anchor.MIDDLE);
                pen.text(
                        right + boxWide / 2,
                        at + 50,
                        margin < 0
                                ? "lacks " + Amount.percent(-margin, 0).text(units)
                                : Amount.percent(margin, 0).text(units) + " in reserve",
                        Lettering.SMALL,
                        margin < 0 ? Tone.FAIL : Tone.QUIET,
                        Anchor.MIDDLE);
            } else {
                pen.text(
                        right + boxWide / 2,
                        y + boxTall / 2 + 4,
                        "not known",
                        Lettering.SMALL,
                        Tone.QUIET,
                        Anchor.MIDDLE);
            }
        });
    }
}
