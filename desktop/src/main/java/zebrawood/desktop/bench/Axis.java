package zebrawood.desktop.bench;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;

/**
 * A scale from values to px, with round ticks.
 *
 * @param least value at {@code from}
 * @param most value at {@code to}
 * @param from px
 * @param to px
 */
public record Axis(double least, double most, double from, double to) {

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

    private double step(int wanted) {
        double rough = (most - least) / Math.max(1, wanted);
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double mantissa = rough / power;
        return power * (mantissa <= 1 ? 1 : mantissa <= 2 ? 2 : mantissa <= 5 ? 5 : 10);
    }
}
