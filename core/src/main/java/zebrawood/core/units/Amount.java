package zebrawood.core.units;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * A number with its kind and with how finely it is worth showing.
 *
 * @param quantity what kind of amount
 * @param base in the base unit of the kind, finite
 * @param decimals digits after the point when shown in the base unit; one more for lengths in inches is not enough, so
 *     two more are shown there
 * @param towards to which side it is rounded where it is a limit to be kept; to the nearest where absent
 */
public record Amount(Quantity quantity, double base, int decimals, Optional<Towards> towards) {

    /** To which side a limit is rounded, so that whoever keeps what is shown keeps the limit. */
    public enum Towards {
        /** of a least: what is shown is never less */
        UP,
        /** of a most: what is shown is never more */
        DOWN
    }

    /** share of a number that is only how computers keep it: 15.4 is 15.4 whatever its bits are */
    private static final double SLACK = 1e-9;

    /** Rounded to the nearest. */
    public Amount(Quantity quantity, double base, int decimals) {
        this(quantity, base, decimals, Optional.empty());
    }

    public Amount {
        Objects.requireNonNull(quantity, "quantity");
        if (!Double.isFinite(base)) {
            throw new NotFiniteException("an amount must be finite");
        }
    }

    public static Amount mm(double mm, int decimals) {
        return new Amount(Quantity.LENGTH, mm, decimals);
    }

    public static Amount celsius(double celsius, int decimals) {
        return new Amount(Quantity.TEMPERATURE, celsius, decimals);
    }

    /** A difference between two temperatures. */
    public static Amount celsiusDifference(double kelvin, int decimals) {
        return new Amount(Quantity.WARMTH, kelvin, decimals);
    }

    public static Amount percent(double percent, int decimals) {
        return new Amount(Quantity.SHARE, percent, decimals);
    }

    public static Amount plain(double number, int decimals) {
        return new Amount(Quantity.PLAIN, number, decimals);
    }

    /** The same as the least that is enough: rounded up, in whatever unit it is shown. */
    public Amount least() {
        return new Amount(quantity, base, decimals, Optional.of(Towards.UP));
    }

    /** The same as the most that is allowed: rounded down, in whatever unit it is shown. */
    public Amount most() {
        return new Amount(quantity, base, decimals, Optional.of(Towards.DOWN));
    }

    /** What stands there once it is rounded, in its base unit: what somebody who does as is said then has. */
    public double asSaid() {
        return Double.parseDouble(fixed(base, decimals, towards));
    }

    /**
     * An amount that was read, with as many decimals as tell it to a thousandth of its base unit; temperatures have one
     * at the least, as they turn into others.
     */
    public static Amount told(Quantity quantity, double base) {
        int decimals = quantity == Quantity.TEMPERATURE || quantity == Quantity.WARMTH ? 1 : 0;
        for (double scale = Math.pow(10, decimals);
                decimals < 3 && Math.abs(base * scale - Math.rint(base * scale)) > 1e-6;
                scale *= 10) {
            decimals++;
        }
        return new Amount(quantity, base, decimals);
    }

    /** The number alone in the chosen unit: {@code 6.84}. */
    public String number(UnitChoice choice) {
        return fixed(quantity.shown(base, choice), decimalsIn(choice), towards);
    }

    /** Number and unit: {@code 6.84 mm}, {@code 46 %}, {@code 1200}. */
    public String text(UnitChoice choice) {
        String unit = quantity.unit(choice);
        return unit.isEmpty() ? number(choice) : number(choice) + " " + unit;
    }

    private int decimalsIn(UnitChoice choice) {
        return quantity == Quantity.LENGTH && choice.inches() ? decimals + 2 : decimals;
    }

    /** Rounded half away from zero on the decimal that stands there, never "-0". */
    static String fixed(double value, int decimals, Optional<Towards> towards) {
        if (Math.abs(value) >= 1e15) {
            return String.format(Locale.ROOT, "%.3e", value);
        }
        double slack = SLACK * Math.max(1, Math.abs(value));
        BigDecimal rounded = towards.isEmpty()
                ? BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP)
                : towards.get() == Towards.UP
                        ? BigDecimal.valueOf(value - slack).setScale(decimals, RoundingMode.CEILING)
                        : BigDecimal.valueOf(value + slack).setScale(decimals, RoundingMode.FLOOR);
        return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString();
    }

    /** As few digits as tell the number: {@code 1200}, {@code 0.01}; for values that were set, not measured. */
    public static String exact(double value) {
        if (value == 0) {
            return "0";
        }
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }
}
