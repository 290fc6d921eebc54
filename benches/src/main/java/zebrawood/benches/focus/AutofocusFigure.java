package zebrawood.benches.focus;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import zebrawood.core.focus.AutofocusFinding;
import zebrawood.core.focus.AutofocusReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Every try on every stock on one axis of gap, with the offset of each stock, the best gap and the depth of focus. */
public final class AutofocusFigure implements Exhibit<AutofocusReadings, AutofocusFinding> {

    private static final double FOOT = 46;
    private static final double TOP = 26;
    private static final double RIGHT = 18;
    /** of the width, at the most, for the names of stocks */
    private static final double NAMES = 0.34;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 250);
    }

    @Override
    public double leastHeight() {
        return 230;
    }

    @Override
    public String title() {
        return "Autofocus tries";
    }

    @Override
    public Figure figure(AutofocusReadings readings, AutofocusFinding finding, UnitChoice units) {
        return of(Optional.of(readings), Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(AutofocusFinding finding) {
        return finding.correctionMm().isPresent()
                ? Optional.of(new Course(
                        finding.correctionMm().getAsDouble(),
                        finding.correctionHighMm().getAsDouble()
                                - finding.correctionMm().getAsDouble(),
                        finding.tolerances().toleranceMm()))
                : Optional.empty();
    }

    static Figure of(Optional<AutofocusReadings> readings, Optional<AutofocusFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            if (readings.isEmpty() || finding.isEmpty()) {
                pen.line(width * 0.2, height / 2, width * 0.8, height / 2, Stroke.dashed(Tone.QUIET, 2, 6));
                pen.line(width / 2, height / 2 - 40, width / 2, height / 2 + 40, Stroke.of(Tone.WALNUT, 2));
                pen.text(
                        width / 2,
                        height - 8,
                        "no tries yet; upright: the best gap",
                        Lettering.CAPTION,
                        Tone.QUIET,
                        Anchor.MIDDLE);
            } else {
                plot(pen, readings.get(), finding.get(), width, height, units);
            }
        };
    }

    private static void plot(
            Pen pen,
            AutofocusReadings readings,
            AutofocusFinding found,
            double width,
            double height,
            UnitChoice units) {
        double best = readings.referenceGapMm();
        double half = readings.depthOfFocusMm() / 2;
        List<AutofocusReadings.Stock> stocks = readings.stocks();
        double[] gaps = DoubleStream.concat(
                        DoubleStream.of(best - half, best + half),
                        stocks.stream().flatMap(s -> s.gapsMm().stream()).mapToDouble(Double::doubleValue))
                .toArray();
        double least = DoubleStream.of(gaps).min().orElseThrow();
        double most = DoubleStream.of(gaps).max().orElseThrow();
        double widest = stocks.stream()
                .mapToDouble(stock -> pen.textWidth(stock.name(), Lettering.SMALL))
                .max()
                .orElse(0);
        double left = Math.min(NAMES * width, widest + 18);
        double pad = (most - least) * 0.06;
        Axis x = new Axis(least - pad, most + pad, left, width - RIGHT);
        double bottom = height - FOOT;
        pen.band(x.at(best - half), TOP, x.length(2 * half), bottom - TOP);
        pen.line(x.at(best), TOP, x.at(best), bottom, Stroke.of(Tone.WALNUT, 2));
        double each = (bottom - TOP - 6) / stocks.size();
        for (int i = 0; i < stocks.size(); i++) {
            double y = TOP + 3 + each * (i + 0.5);
            AutofocusFinding.Stock came = found.stocks().get(i);
            boolean barred = came.barred().orElse(false);
            pen.text(
                    left - 10,
                    y + 5,
                    pen.fitting(stocks.get(i).name(), left - 14, Lettering.SMALL),
                    barred ? Lettering.TEXT_BOLD : Lettering.SMALL,
                    barred ? Tone.FAIL : Tone.INK,
                    Anchor.END);
            if (came.offsetLowMm().isPresent()) {
                pen.line(
                        x.at(best + came.offsetLowMm().getAsDouble()),
                        y,
                        x.at(best + came.offsetHighMm().getAsDouble()),
                        y,
                        Stroke.of(barred ? Tone.FAIL : Tone.QUIET, 3));
            }
            for (double gap : stocks.get(i).gapsMm()) {
                pen.circle(x.at(gap), y, 4.5, Tone.READING);
            }
        }
        x.shown(Quantity.LENGTH, units).under(pen, bottom, 7, "gap it came to, " + Quantity.LENGTH.unit(units));
        pen.text(
                x.at(best),
                TOP - 8,
                "best gap " + Amount.mm(best, 2).text(units),
                Lettering.SMALL,
                Tone.WALNUT,
                Anchor.MIDDLE);
    }
}
