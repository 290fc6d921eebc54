package zebrawood.kit.figure;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * A scale from values to px, with round ticks.
 *
 * @param least value at {@code from}
 * @param most value at {@code to}
 * @param from px
 * @param to px
 */
public record Axis(double least, double most, double from, double to) {

    /** Where a value lies, px; values beyond the ends lie beyond them too. */
    public double at(double value) {
        return from + (value - least) / (most - least) * (to - from);
    }

    /** px for a length in values. */
    public double length(double values) {
        return Math.abs(values / (most - least) * (to - from));
    }

    /** The value at a place. */
    public double value(double at) {
        return least + (at - from) / (to - from) * (most - least);
    }

    /** Round values between the ends, about as many as wanted. */
    public List<Double> ticks(int wanted) {
        double step = step(wanted);
        List<Double> ticks = new ArrayList<>();
        for (long i = (long) Math.ceil(least / step - 1e-9); i * step <= most + step * 1e-9; i++) {
            ticks.add(i * step);
        }
        return ticks;
    }

    /** A tick as it is written. */
    public String label(double tick, int wanted) {
        double step = step(wanted);
        int decimals = (int) Math.max(0, Math.ceil(-Math.log10(step) - 1e-9));
        return Amount.plain(tick, decimals).number(UnitChoice.METRIC);
    }

    /** The same scale in the units that are shown. */
    public Axis shown(Quantity quantity, UnitChoice units) {
        return new Axis(quantity.shown(least, units), quantity.shown(most, units), from, to);
    }

    /**
     * Draws it under a drawing: its line, ticks, numbers, and what it is of.
     *
     * @param wanted about how many ticks
     */
    public void under(Pen pen, double y, int wanted, String title) {
        pen.line(from, y, to, y, Stroke.of(Tone.INK, 1.2));
        for (double tick : ticks(wanted)) {
            pen.line(at(tick), y, at(tick), y + 5, Stroke.of(Tone.INK, 1));
            pen.text(at(tick), y + 18, label(tick, wanted), Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
        }
        pen.text((from + to) / 2, y + 36, title, Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
    }

    /**
     * Draws it at the left of a drawing: numbers and ticks.
     *
     * @param wanted about how many ticks
     * @param across until where each is drawn through as a hairline; {@code x} for none
     */
    public void beside(Pen pen, double x, int wanted, double across) {
        for (double tick : ticks(wanted)) {
            boolean through = across > x;
            pen.line(
                    through ? x : x - 5,
                    at(tick),
                    across,
                    at(tick),
                    through ? Stroke.of(Tone.HAIRLINE, 0.8) : Stroke.of(Tone.INK, 1));
            pen.text(x - 8, at(tick) + 4, label(tick, wanted), Lettering.SMALL, Tone.INK, Anchor.END);
        }
    }

    /** What it is of, turned along a drawing's side. */
    public void along(Pen pen, double x, String title) {
        double middle = (from + to) / 2;
        pen.turned(x, middle, -90, () -> pen.text(x, middle, title, Lettering.SMALL, Tone.INK, Anchor.MIDDLE));
    }

    private double step(int wanted) {
        double rough = (most - least) / Math.max(1, wanted);
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double mantissa = rough / power;
        return power * (mantissa <= 1 ? 1 : mantissa <= 2 ? 2 : mantissa <= 5 ? 5 : 10);
    }
}
