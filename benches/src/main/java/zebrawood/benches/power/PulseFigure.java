package zebrawood.benches.power;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.power.PulseFinding;
import zebrawood.core.power.PulseReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Spots along a line and from line to line, to one scale, with a bar that tells it. */
public final class PulseFigure implements Exhibit<PulseReadings, PulseFinding> {

    private static final int MOST_SPOTS = 400;
    private static final double FOOT = 82;
    private static final double TOP = 14;
    private static final double SIDE = 20;
    /** spot diameters that the drawing is wide, at the least */
    private static final double SPOTS_WIDE = 9;

    @Override
    public String title() {
        return "Spots on the work";
    }

    @Override
    public double leastHeight() {
        return 220;
    }

    @Override
    public Figure figure(PulseReadings readings, PulseFinding finding, UnitChoice units) {
        return of(Optional.of(finding), Optional.of(readings.intervalMm()), units);
    }

    @Override
    public Optional<Course> course(PulseFinding finding) {
        return Optional.of(new Course(finding.pulseEnergyMj(), 0, 0));
    }

    static Figure of(Optional<PulseFinding> finding, Optional<OptionalDouble> interval, UnitChoice units) {
        return (pen, width, height) -> {
            double spot = finding.map(PulseFinding::spotMm).orElse(0.05);
            double spacing = finding.map(PulseFinding::spacingMm).orElse(spot * 0.6);
            double between = interval.orElse(OptionalDouble.empty()).orElse(spot * 0.8);
            int lines = finding.isPresent()
                            && interval.orElse(OptionalDouble.empty()).isEmpty()
                    ? 1
                    : 3;
            double room = height - FOOT - TOP;
            double scale = Math.min(
                    (width - 2 * SIDE) / (SPOTS_WIDE * Math.max(spot, spacing)),
                    room / (spot + (lines - 1) * between) * 0.92);
            double middle = TOP + room / 2;
            for (int line = 0; line < lines; line++) {
                double y = middle + (line - (lines - 1) / 2.0) * between * scale;
                line(pen, width, y, spot * scale, spacing * scale, finding);
            }
            bar(pen, height, spot, scale, finding, units);
        };
    }

    private static void line(
            Pen pen, double width, double y, double spot, double spacing, Optional<PulseFinding> finding) {
        double room = width - 2 * SIDE - spot;
        int many = (int) Math.min(MOST_SPOTS, Math.floor(room / Math.max(spacing, 0.5)) + 1);
        for (int i = 0; i < many; i++) {
            double x = SIDE + spot / 2 + i * Math.max(spacing, 0.5);
            pen.stroke(
                    Path.circle(x, y, spot / 2),
                    finding.isPresent() ? Stroke.of(Tone.BURN, 1.4) : Stroke.dashed(Tone.QUIET, 1.2, 5));
        }
        if (finding.isPresent() && finding.get().pulseOverlapPct() < 0 && many > 1) {
            double from = SIDE + spot;
            double to = SIDE + spacing;
            pen.line(from, y, to, y, Stroke.of(Tone.ADJUST, 4));
            pen.patched((from + to) / 2, y - 10, "gap", Lettering.SMALL, Tone.ADJUST, Anchor.MIDDLE);
        }
    }

    /** A bar as long as a spot is wide, and what the spots come to. */
    private static void bar(
            Pen pen, double height, double spot, double scale, Optional<PulseFinding> finding, UnitChoice units) {
        double y = height - FOOT + 24;
        pen.line(SIDE, y, SIDE + spot * scale, y, Stroke.of(Tone.INK, 2));
        pen.line(SIDE, y - 5, SIDE, y + 5, Stroke.of(Tone.INK, 2));
        pen.line(SIDE + spot * scale, y - 5, SIDE + spot * scale, y + 5, Stroke.of(Tone.INK, 2));
        pen.text(
                SIDE,
                y + 22,
                finding.isPresent() ? "spot " + Amount.mm(spot, 3).text(units) : "a spot",
                Lettering.SMALL,
                Tone.INK);
        finding.ifPresent(found -> pen.text(
                SIDE,
                y + 42,
                "spot to spot " + Amount.mm(found.spacingMm(), 4).text(units) + ", overlap "
                        + Amount.percent(found.pulseOverlapPct(), 0).text(units)
                        + found.peakPowerKW().stream()
                                .mapToObj(peak ->
                                        ", " + new Amount(Quantity.POWER, 1000 * peak, 0).text(units) + " in a pulse")
                                .findFirst()
                                .orElse(""),
                Lettering.SMALL,
                Tone.INK));
    }
}
