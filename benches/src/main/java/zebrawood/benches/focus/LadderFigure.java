package zebrawood.benches.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import zebrawood.core.focus.LadderFinding;
import zebrawood.core.focus.LadderReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Scores over gaps, the curve through them, the best gap with its interval, and the ladder to burn next. */
public final class LadderFigure implements Exhibit<LadderReadings, LadderFinding> {

    private static final double LEFT = 64;
    private static final double RIGHT = 18;
    private static final double TOP = 24;
    private static final double FOOT = 46;
    /** a ladder to show while nothing is scored, mm */
    private static final List<Double> USUAL = List.of(5.0, 6.0, 7.0, 8.0, 9.0);

    @Override
    public double leastHeight() {
        return 210;
    }

    @Override
    public String title() {
        return "Score against gap";
    }

    @Override
    public Figure figure(LadderReadings readings, LadderFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(LadderFinding finding) {
        return finding.bestGapMm().isPresent()
                ? Optional.of(new Course(
                        finding.bestGapMm().getAsDouble(),
                        finding.bestGapHalfWidthMm().orElse(0),
                        finding.tolerances().standardErrorMm()))
                : Optional.empty();
    }

    @Override
    public Optional<Table> table(
            LadderReadings readings, LadderFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < readings.steps().size(); i++) {
            LadderReadings.Step step = readings.steps().get(i);
            rows.add(List.of(
                    Amount.told(Quantity.LENGTH, step.gapMm()).text(units),
                    asTyped.getOrDefault("steps[" + i + "].score", Amount.exact(step.score()))));
        }
        return Optional.of(new Table(List.of("gap", "score, as typed"), rows, 1));
    }

    static Figure of(Optional<LadderFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            if (finding.isEmpty()) {
                empty(pen, width, height);
            } else {
                new Plot(pen, finding.get(), units, width, height).draw();
            }
        };
    }

    /** Squares on a plate, not yet burned. */
    private static void empty(Pen pen, double width, double height) {
        double side = Math.min(height * 0.4, width / 8);
        for (int i = 0; i < USUAL.size(); i++) {
            double x = width / 2 + (i - 2) * side * 1.4 - side / 2;
            pen.stroke(
                    Path.rectangle(x, height / 2 - side * 0.7, side, side),
                    Stroke.dashed(i == 2 ? Tone.BURN : Tone.QUIET, i == 2 ? 2.4 : 1.4, 5));
        }
        pen.text(
                width / 2,
                height - 8,
                "squares at several gaps, each burned alike; dashed: not yet",
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
    }

    private static final class Plot {
        private final Pen pen;
        private final LadderFinding found;
        private final UnitChoice units;
        private final Axis x;
        private final Axis y;
        private final double bottom;

        Plot(Pen pen, LadderFinding found, UnitChoice units, double width, double height) {
            this.pen = pen;
            this.found = found;
            this.units = units;
            bottom = height - FOOT;
            double[] gaps = DoubleStream.concat(
                            found.steps().stream().mapToDouble(LadderReadings.Step::gapMm),
                            found.next().gapsMm().stream().mapToDouble(Double::doubleValue))
                    .toArray();
            double[] scores = DoubleStream.concat(
                            found.steps().stream().mapToDouble(LadderReadings.Step::score),
                            found.curve().stream().mapToDouble(LadderFinding.CurvePoint::score))
                    .toArray();
            double least = DoubleStream.of(gaps).min().orElse(0);
            double most = DoubleStream.of(gaps).max().orElse(1);
            double pad = (most - least) * 0.06;
            x = new Axis(least - pad, most + pad, LEFT, width - RIGHT);
            double low = DoubleStream.of(scores).min().orElse(0);
            double high = DoubleStream.of(scores).max().orElse(1);
            double room = Math.max((high - low) * 0.12, 1e-9 * Math.max(1, Math.abs(high)));
            y = new Axis(low - room, high + room, bottom, TOP);
        }

        void draw() {
            found.bestGapMm().ifPresent(best -> {
                double half = found.bestGapHalfWidthMm().orElse(0);
                pen.band(x.at(best - half), TOP, x.length(2 * half), bottom - TOP);
                pen.line(x.at(best), TOP, x.at(best), bottom, Stroke.of(Tone.PASS, 2));
            });
            y.beside(pen, LEFT, 4, LEFT);
            pen.line(LEFT, TOP, LEFT, bottom, Stroke.of(Tone.INK, 1.2));
            y.along(pen, 14, "score");
            x.shown(Quantity.LENGTH, units).under(pen, bottom, 7, "gap, " + Quantity.LENGTH.unit(units));
            Path curve = new Path();
            found.curve().forEach(point -> curve.line(x.at(point.gapMm()), y.at(point.score())));
            pen.stroke(curve, Stroke.of(Tone.WALNUT, 2));
            found.steps().forEach(step -> pen.circle(x.at(step.gapMm()), y.at(step.score()), 5.5, Tone.READING));
            for (double gap : found.next().gapsMm()) {
                Shapes.next(pen, x.at(gap), bottom);
            }
            found.bestGapMm()
                    .ifPresent(best -> pen.patched(
                            x.at(best),
                            TOP - 8,
                            Amount.mm(best, 2).text(units),
                            Lettering.TEXT_BOLD,
                            Tone.PASS,
                            Anchor.MIDDLE));
        }
    }
}
