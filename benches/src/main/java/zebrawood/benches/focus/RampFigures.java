package zebrawood.benches.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampReadings;
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

/** The caustic: width against gap, with readings, error bars, fit, best gap and depth of focus. */
public final class RampFigures implements Exhibit<RampReadings, RampFinding> {

    @Override
    public String title() {
        return "Line width against gap";
    }

    @Override
    public Figure figure(RampReadings readings, RampFinding finding, UnitChoice units) {
        if (finding.points().isEmpty()) {
            return RampSide.figure(RampSide.Ramp.of(readings, finding), units);
        }
        return caustic(finding, datum(readings), units);
    }

    static String datum(RampReadings readings) {
        return readings.setting().flatMap(RampReadings.GapSetting::datum).orElse("focus datum");
    }

    @Override
    public Optional<Table> table(
            RampReadings readings, RampFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < finding.points().size(); i++) {
            RampFinding.Point point = finding.points().get(i);
            rows.add(List.of(
                    Amount.mm(point.positionMm(), 0).number(units),
                    asTyped.getOrDefault(
                            "marks[" + i + "].widthMm",
                            Amount.mm(point.widthMm(), 3).number(units)),
                    Amount.mm(point.gapMm(), 2).number(units)));
        }
        if (finding.points().isEmpty()) {
            rows.add(List.of(
                    Amount.mm(readings.thinnestPositionMm().orElse(0), 1).number(units),
                    "thinnest",
                    Amount.mm(finding.bestGapMm().orElse(0), 2).number(units)));
        }
        String length = units.length();
        return Optional.of(new Table(List.of("along, " + length, "width, as typed", "gap, " + length), rows, 1));
    }

    @Override
    public Optional<Course> course(RampFinding finding) {
        return finding.bestGapMm().isPresent()
                ? Optional.of(new Course(
                        finding.bestGapMm().getAsDouble(),
                        finding.bestGapHalfWidthMm().orElse(0),
                        finding.depthOfFocusMm().isPresent()
                                ? finding.depthOfFocusMm().getAsDouble() / 4
                                : 0.2))
                : Optional.empty();
    }

    /** The plot; with no points only its axes. */
    static Figure caustic(RampFinding finding, String datum, UnitChoice units) {
        return (pen, width, height) -> new Plot(pen, finding, datum, units, width, height).draw();
    }

    private static final class Plot {
        private final Pen pen;
        private final RampFinding finding;
        private final String datum;
        private final UnitChoice units;
        private final double left;
        private final double right;
        private final double top = 22;
        private final double bottom;
        private final Axis x;
        private final Axis y;

        Plot(Pen pen, RampFinding finding, String datum, UnitChoice units, double width, double height) {
            this.pen = pen;
            this.finding = finding;
            this.datum = datum;
            this.units = units;
            right = width - 16;
            bottom = height - 42;
            double error = finding.tolerances().widthErrorMm().orElse(0);
            double least = min(
                    finding.points().stream()
                            .mapToDouble(RampFinding.Point::gapMm)
                            .min()
                            .orElse(0),
                    finding.focusFromMm().orElse(99e9));
            double most = Math.max(
                    finding.points().stream()
                            .mapToDouble(RampFinding.Point::gapMm)
                            .max()
                            .orElse(1),
                    finding.focusToMm().orElse(-99e9));
            double thin = finding.points().stream()
                    .mapToDouble(p -> p.widthMm() - error)
                    .min()
                    .orElse(0);
            thin = min(
                    thin,
                    finding.curve().stream()
                            .mapToDouble(RampFinding.CurvePoint::widthMm)
                            .min()
                            .orElse(thin));
            double wide = finding.points().stream()
                    .mapToDouble(p -> p.widthMm() + error)
                    .max()
                    .orElse(1);
            left = 38 + pen.textWidth("0.0000".substring(0, wide - thin < 0.05 ? 6 : 4), Lettering.SMALL);
            double marginX = (most - least) * 0.06;
            double marginY = (wide - thin) * 0.12;
            x = new Axis(shown(least - marginX), shown(most + marginX), left, right);
            y = new Axis(Math.max(0, shown(thin - 1.6 * marginY)), shown(wide + marginY), bottom, top);
        }

        private static double min(double a, double b) {
            return Math.min(a, b);
        }

        private double shown(double mm) {
            return Quantity.LENGTH.shown(mm, units);
        }

        private double px(double gapMm) {
            return x.at(shown(gapMm));
        }

        private double py(double widthMm) {
            return y.at(shown(widthMm));
        }

        void draw() {
            inFocus();
            axes();
            curve();
            points();
            bestGap();
        }

        private void inFocus() {
            if (finding.focusFromMm().isEmpty()) {
                return;
            }
            double from = Math.max(left, px(finding.focusFromMm().getAsDouble()));
            double to = Math.min(right, px(finding.focusToMm().getAsDouble()));
            pen.band(from, top, to - from, bottom - top);
            String words = "in focus, "
                    + Amount.mm(finding.depthOfFocusMm().getAsDouble(), 1).text(units) + " deep";
            pen.text((from + to) / 2, top - 7, words, Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
        }

        private void axes() {
            int across = right - left > 400 ? 7 : 6;
            int up = bottom - top > 160 ? 5 : 4;
            y.beside(pen, left, up, right);
            x.under(pen, bottom, across, "gap from " + datum + ", " + units.length());
            y.along(pen, 14, "line width, " + units.length());
        }

        private void curve() {
            Path path = new Path();
            finding.curve().forEach(point -> path.line(px(point.gapMm()), py(point.widthMm())));
            pen.clipped(left, top, right - left, bottom - top, () -> pen.stroke(path, Stroke.of(Tone.WALNUT, 2.4)));
        }

        private void points() {
            double error = finding.tolerances().widthErrorMm().orElse(0);
            for (RampFinding.Point point : finding.points()) {
                double at = px(point.gapMm());
                Stroke bar = Stroke.of(Tone.READING, 1.4);
                double high = py(point.widthMm() + error);
                double low = py(point.widthMm() - error);
                pen.line(at, high, at, low, bar);
                pen.line(at - 4, high, at + 4, high, bar);
                pen.line(at - 4, low, at + 4, low, bar);
                pen.circle(at, py(point.widthMm()), 4, Tone.READING);
            }
        }

        private void bestGap() {
            if (finding.bestGapMm().isEmpty()) {
                return;
            }
            double best = px(finding.bestGapMm().getAsDouble());
            pen.line(best, top, best, bottom, Stroke.of(Tone.WALNUT, 1.5));
            finding.bestGapHalfWidthMm().ifPresent(half -> {
                double from = px(finding.bestGapMm().getAsDouble() - half);
                double to = px(finding.bestGapMm().getAsDouble() + half);
                pen.fill(Path.rectangle(from, bottom - 9, Math.max(2, to - from), 5), Tone.WALNUT);
            });
            String words = Amount.mm(finding.bestGapMm().getAsDouble(), 2).text(units);
            boolean onLeft = best > (left + right) / 2 + 60;
            if (pen.hatches()) {
                double room = pen.textWidth(words, Lettering.TEXT_BOLD) + 6;
                pen.fill(Path.rectangle(onLeft ? best - 5 - room : best + 5, top + 3, room, 18), Tone.GROUND);
            }
            pen.text(
                    onLeft ? best - 8 : best + 8,
                    top + 16,
                    words,
                    Lettering.TEXT_BOLD,
                    Tone.WALNUT,
                    onLeft ? Anchor.END : Anchor.START);
        }
    }
}
