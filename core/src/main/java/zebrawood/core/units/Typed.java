package zebrawood.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An amount as a person typed it, beside what was understood.
 *
 * @param text as typed, untouched
 * @param base the amount in the base unit of its kind
 */
public record Typed(String text, double base) {

    private static final Pattern FRACTION =
            Pattern.compile("([+-]?)\\s*(?:(\\d{1,6})[ -])?\\s*(\\d{1,6})\\s*/\\s*(\\d{1,6})\\s*(\\D*)");
    private static final Pattern NUMBER = Pattern.compile(
            "([+-]?\\d[\\d \\u00a0\\u202f]*(?:[.,][\\d.,]*)?|[+-]?[.,]\\d+)((?:[eE][+-]?\\d{1,4})?)\\s*(.*)");
    private static final Pattern GROUPED = Pattern.compile("[+-]?\\d{1,3}([ \\u00a0\\u202f]\\d{3})+");
    private static final Pattern THOUSANDS = Pattern.compile("[+-]?[1-9]\\d{0,2},\\d{3}");

    /**
     * Reads an amount: {@code 3.2}, {@code 3,2}, {@code 1/8in}, {@code 1 1/2 in}, {@code 0.12"}, {@code 2 m/min},
     * {@code 68F}, {@code 1 200}. Point or comma is the decimal mark; what could be a thousands mark is refused. No
     * locale plays a part.
     *
     * @param choice gives the unit of a number typed without one
     * @throws UnreadableException with a sentence that says what to type instead
     */
    public static Typed read(String text, Quantity quantity, UnitChoice choice) throws UnreadableException {
        String line = text.strip().replace('−', '-');
        if (line.isEmpty()) {
            throw new UnreadableException("nothing typed yet");
        }
        if (line.length() > 60) {
            throw new UnreadableException("too long for a number");
        }
        if (isPlain(line)) {
            return new Typed(text, inBase(new BigDecimal(line), "", quantity, choice));
        }
        Matcher fraction = FRACTION.matcher(line);
        if (fraction.matches()) {
            return new Typed(text, fraction(fraction, quantity, choice));
        }
        Matcher number = NUMBER.matcher(line);
        if (!number.matches()) {
            throw new UnreadableException(
                    "type a number, such as " + (quantity == Quantity.LENGTH ? "3.2 or 1/8in" : "21.5"));
        }
        return new Typed(
                text, inBase(plainNumber(number.group(1).strip(), number.group(2)), number.group(3), quantity, choice));
    }

    /**
     * Digits with a point at the most: most of what is typed and all that loggers write, read without looking for more.
     */
    private static boolean isPlain(String line) {
        boolean point = false;
        int digits = 0;
        for (int i = line.charAt(0) == '-' ? 1 : 0; i < line.length(); i++) {
            char c = line.charAt(i);
            if (c == '.' && !point && digits > 0) {
                point = true;
            } else if (c >= '0' && c <= '9') {
                digits++;
            } else {
                return false;
            }
        }
        return digits > 0 && line.charAt(line.length() - 1) != '.';
    }

    private static double fraction(Matcher parts, Quantity quantity, UnitChoice choice) throws UnreadableException {
        int below = Integer.parseInt(parts.group(4));
        if (below == 0) {
            throw new UnreadableException("a fraction needs a number other than 0 below the line");
        }
        BigDecimal whole = new BigDecimal(parts.group(2) == null ? "0" : parts.group(2));
        BigDecimal amount = new BigDecimal(parts.group(3))
                .divide(BigDecimal.valueOf(below), MathContext.DECIMAL64)
                .add(whole);
        return inBase(parts.group(1).equals("-") ? amount.negate() : amount, parts.group(5), quantity, choice);
    }

    private static BigDecimal plainNumber(String digits, String exponent) throws UnreadableException {
        int points = digits.length() - digits.replace(".", "").length();
        int commas = digits.length() - digits.replace(",", "").length();
        if (points + commas > 1 || THOUSANDS.matcher(digits).matches()) {
            throw new UnreadableException("could be read in two ways; type thousands without a mark: 1200 or 1200.5");
        }
        String plain = digits;
        if (digits.matches(".*[ \\u00a0\\u202f].*")) {
            String whole = digits.split("[.,]", 2)[0].strip();
            if (!GROUPED.matcher(whole).matches()) {
                throw new UnreadableException("two numbers stand here; type one");
            }
            plain = digits.replaceAll("[ \\u00a0\\u202f]", "");
        }
        return new BigDecimal(plain.replace(',', '.') + exponent);
    }

    private static double inBase(BigDecimal number, String unitTyped, Quantity quantity, UnitChoice choice)
            throws UnreadableException {
        String unit = unitTyped.strip().toLowerCase(Locale.ROOT).replace(" ", "");
        if (quantity == Quantity.PLAIN && !unit.isEmpty()) {
            throw new UnreadableException("type the number alone, without a unit");
        }
        double base = (unit.isEmpty() && quantity == Quantity.PLAIN
                        ? number
                        : inUnit(
                                number,
                                unit.isEmpty() ? quantity.unit(choice).toLowerCase(Locale.ROOT) : unit,
                                quantity,
                                unitTyped))
                .doubleValue();
        if (!(Math.abs(base) < 1e12)) {
            throw new UnreadableException("too large to be measured; look at the last digits");
        }
        return base;
    }

    private static BigDecimal inUnit(BigDecimal number, String unit, Quantity quantity, String asTyped)
            throws UnreadableException {
        return quantity.base(number, unit)
                .orElseThrow(() -> new UnreadableException(
                        "\"" + asTyped.strip() + "\" is no unit here; use " + quantity.examples()));
    }
}
