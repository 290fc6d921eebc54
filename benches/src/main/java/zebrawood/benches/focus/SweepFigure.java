package zebrawood.benches.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.focus.SweepFinding;
import zebrawood.core.focus.SweepReadings;
import zebrawood.core.focus.SweepReadings.Direction;
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

/** Each way through the focus as an arrow on one axis of gap, with its moment; the best gap between the two ways. */
public final class SweepFigure implements Exhibit<SweepReadings, SweepFinding> {

    private static final double SIDES = 24;
    private static final double FOOT = 46;
    private static final double TOP = 26;

    @Override
    public double leastHeight() {
        return 210;
    }

    @Override
    public String title() {
        return "Sweeps through the focus";
    }

    @Override
    public Figure figure(SweepReadings readings, SweepFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(SweepFinding finding) {
        return finding.bestGapMm().isPresent()
                ? Optional.of(new Course(
                        finding.bestGapMm().getAsDouble(),
                        half(finding),
                        finding.tolerances().toleranceMm()))
                : Optional.empty();
    }

    private static double half(SweepFinding finding) {
        return finding.bestGapLowMm().isPresent()
                ? finding.bestGapMm().getAsDouble() - finding.bestGapLowMm().getAsDouble()
                : 0;
    }

    @Override
    public Optional<Table> table(
            SweepReadings readings, SweepFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < readings.sweeps().size(); i++) {
            SweepReadings.Sweep sweep = readings.sweeps().get(i);
            String when = sweep.markedS().isPresent()
                    ? asTyped.getOrDefault(
                                    "sweeps[" + i + "].markedS",
                                    Amount.exact(sweep.markedS().getAsDouble()))
                            + " s"
                    : "recorded";
            rows.add(List.of(
                    (sweep.direction() == Direction.DOWN ? "down from " : "up from ")
                            + Amount.told(Quantity.LENGTH, sweep.startGapMm()).text(units) + " at "
                            + Amount.exact(sweep.speedMmS()) + " mm/s",
                    when));
        }
        return Optional.of(new Table(List.of("sweep", "liveliest after"), rows, 1));
    }

    static Figure of(Optional<SweepFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            List<SweepFinding.Read> read = finding.map(SweepFinding::sweeps).orElse(List.of()).stream()
                    .filter(sweep -> sweep.gapMm().isPresent())
                    .toList();
            if (read.isEmpty()) {
                empty(pen, width, height, finding.isPresent());
            } else {
                plot(pen, finding.get(), read, width, height, units);
            }
        };
    }

    private static void empty(Pen pen, double width, double height, boolean lost) {
        double y = (height - FOOT) / 2 + 10;
        arrow(pen, width * 0.75, width * 0.25, y - 24, Stroke.dashed(Tone.QUIET, 2, 6), Tone.QUIET);
        arrow(pen, width * 0.25, width * 0.75, y + 24, Stroke.dashed(Tone.QUIET, 2, 6), Tone.QUIET);
        pen.text(width / 2, y - 34, "down", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
        pen.text(width / 2, y + 46, "up", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
        pen.text(
                width / 2,
                height - 8,
                lost ? "no recording has a peak between its ends" : "dashed: not yet swept",
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
    }

    private static void arrow(Pen pen, double from, double to, double y, Stroke stroke, Tone tone) {
        double way = Math.signum(to - from);
        pen.line(from, y, to, y, stroke);
        pen.fill(
                new Path()
                        .move(to, y)
                        .line(to - way * 11, y - 6)
                        .line(to - way * 11, y + 6)
                        .close(),
                tone);
    }

    private static void plot(
            Pen pen, SweepFinding found, List<SweepFinding.Read> read, double width, double height, UnitChoice units) {
        double least =
                read.stream().mapToDouble(r -> r.gapMm().getAsDouble()).min().orElse(0);
        double most =
                read.stream().mapToDouble(r -> r.gapMm().getAsDouble()).max().orElse(1);
        double pad = Math.max((most - least) * 0.5, 0.1);
        Axis x = new Axis(least - pad, most + pad, SIDES, width - SIDES);
        double bottom = height - FOOT;
        found.bestGapMm().ifPresent(best -> {
            double half = half(found);
            pen.band(x.at(best - half), TOP, x.length(2 * half), bottom - TOP);
            pen.line(x.at(best), TOP, x.at(best), bottom, Stroke.of(Tone.WALNUT, 2));
        });
        double each = (bottom - TOP - 8) / read.size();
        for (int i = 0; i < read.size(); i++) {
            double y = TOP + 4 + each * (i + 0.5);
            double at = x.at(read.get(i).gapMm().getAsDouble());
            boolean down = read.get(i).direction() == Direction.DOWN;
            double reach = Math.min(120, width / 6);
            arrow(
                    pen,
                    down ? Math.min(width - SIDES, at + reach) : Math.max(SIDES, at - reach),
                    down ? Math.max(SIDES, at - reach / 2) : Math.min(width - SIDES, at + reach / 2),
                    y,
                    Stroke.of(Tone.HAIRLINE, 2),
                    Tone.QUIET);
            pen.circle(at, y, 5.5, Tone.READING);
        }
        x.shown(Quantity.LENGTH, units)
                .under(pen, bottom, 7, "gap by the height scale, " + Quantity.LENGTH.unit(units));
        found.bestGapMm()
                .ifPresent(best -> pen.patched(
                        x.at(best),
                        TOP - 8,
                        Amount.mm(best, 2).text(units),
                        Lettering.TEXT_BOLD,
                        Tone.WALNUT,
                        Anchor.MIDDLE));
    }
}
