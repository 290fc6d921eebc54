package zebrawood.benches.power;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.core.power.EnergyFinding;
import zebrawood.core.power.EnergyReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.form.Choice;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Lines on the work as they were and as they are now, to one scale, and how much heat a line has. */
public final class EnergyFigure implements Exhibit<EnergyReadings, EnergyFinding> {

    static final List<Choice> PASSES = Stream.concat(
                    Stream.of(new Choice("", "1")),
                    IntStream.rangeClosed(2, 12).mapToObj(i -> new Choice(String.valueOf(i), String.valueOf(i))))
            .toList();

    private static final double TOP = 34;
    private static final double FOOT = 128;
    private static final double SIDE = 18;
    /** lines that the wider one of both shows */
    private static final int LINES = 7;

    @Override
    public String title() {
        return "The same energy";
    }

    @Override
    public double leastHeight() {
        return 300;
    }

    @Override
    public OnPaper onPaper() {
        return OnPaper.WIDE;
    }

    @Override
    public Figure figure(EnergyReadings readings, EnergyFinding finding, UnitChoice units) {
        return of(Optional.of(readings), Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(EnergyFinding finding) {
        return Optional.of(new Course(finding.energyJMm2(), 0, 0));
    }

    static String settings(EnergyFinding.Settings to, UnitChoice units) {
        return PercentFigure.watts(to.powerW(), units) + " at "
                + new Amount(Quantity.MARKING, to.speedMmS(), to.speedMmS() < 10 ? 2 : 1).text(units) + ", lines every "
                + Amount.mm(to.intervalMm(), 3).text(units);
    }

    static Figure of(Optional<EnergyReadings> readings, Optional<EnergyFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            double each = (width - 3 * SIDE) / 2;
            double was = readings.map(read -> read.from().intervalMm()).orElse(0.1);
            double now = finding.map(found -> found.to().intervalMm()).orElse(was);
            double scale = (height - TOP - FOOT) / (LINES * Math.max(was, now));
            double heat = finding.map(found -> found.lineEnergyToJMm() / found.lineEnergyJMm())
                    .orElse(1.0);
            side(pen, SIDE, each, height, was * scale, 1, finding.isPresent());
            side(pen, 2 * SIDE + each, each, height, now * scale, heat, finding.isPresent());
            pen.text(SIDE, 20, "as it was", Lettering.SMALL, Tone.INK);
            pen.text(
                    2 * SIDE + each,
                    20,
                    finding.isPresent() ? "as it is now" : "as it is to be",
                    Lettering.SMALL,
                    Tone.INK);
            finding.ifPresent(found -> {
                EnergyReadings.From from = readings.orElseThrow().from();
                words(
                        pen,
                        SIDE,
                        each,
                        height,
                        settings(
                                new EnergyFinding.Settings(
                                        from.powerW(),
                                        from.speedMmS(),
                                        from.intervalMm(),
                                        from.passes().orElse(1)),
                                units),
                        from.passes().orElse(1),
                        "");
                boolean beyond = Math.max(heat, 1 / heat) > found.tolerances().lineEnergyFactor() * (1 + 1e-9);
                words(
                        pen,
                        2 * SIDE + each,
                        each,
                        height,
                        settings(found.to(), units),
                        found.to().passes(),
                        (beyond ? "test anew: " : "") + Amount.plain(heat, 2).text(units)
                                + " times the heat along a line");
            });
        };
    }

    /** Lines across a piece; the more heat, the thicker. */
    private static void side(
            Pen pen, double left, double wide, double height, double interval, double heat, boolean known) {
        double high = height - TOP - FOOT;
        pen.rectangle(left, TOP, wide, high, Tone.WOOD, Stroke.of(Tone.INK, 1.4));
        double thick = Math.max(1.4, Math.min(14, 3.5 * heat));
        pen.clipped(left, TOP, wide, high, () -> {
            for (double y = TOP + interval / 2; y < TOP + high && interval > 1.5; y += interval) {
                pen.line(
                        left + 8,
                        y,
                        left + wide - 8,
                        y,
                        known ? Stroke.of(Tone.BURN, thick) : Stroke.dashed(Tone.QUIET, 1.4, 6));
            }
        });
    }

    private static void words(
            Pen pen, double left, double wide, double height, String settings, int passes, String heat) {
        String all = settings + (passes > 1 ? ", " + passes + " passes" : "");
        double y = height - FOOT + 20;
        for (String line : pen.wrapped(all, wide, Lettering.TEXT_BOLD)) {
            pen.text(left, y, line, Lettering.TEXT_BOLD, Tone.INK);
            y += 18;
        }
        if (!heat.isEmpty()) {
            for (String line : pen.wrapped(heat, wide, Lettering.SMALL)) {
                pen.text(left, y, line, Lettering.SMALL, heat.startsWith("test") ? Tone.ADJUST : Tone.INK);
                y += 18;
            }
        }
    }
}
