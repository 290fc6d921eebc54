package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;

/**
 * A table of settings, turned from one machine's percent into another's through watts at the work. Power in the heads:
 * {@code power %} is turned; {@code max power %} and {@code min power %} too; every other column stays as it is. What
 * cannot be had is left empty, and the last column says why.
 */
public final class SettingsTable {

    /** head of the column that says why a line cannot be had */
    public static final String WHY = "not converted because";

    private static final int LONGEST_PLAIN = 12;

    private final List<Integer> powers;
    private final int cells;
    private final PowerCurve from;
    private final PowerCurve to;

    private SettingsTable(List<Integer> powers, int cells, PowerCurve from, PowerCurve to) {
        this.powers = powers;
        this.cells = cells;
        this.from = from;
        this.to = to;
    }

    /**
     * A line turned.
     *
     * @param cells as many as there are heads, or more where the line has more
     * @param why it cannot be had, empty where it can
     */
    public record Line(List<String> cells, String why) {
        public Line {
            cells = List.copyOf(cells);
        }
    }

    /** Of a table with these heads; empty where none of them names a power in percent. */
    public static Optional<SettingsTable> of(List<String> heads, PowerCurve from, PowerCurve to) {
        List<Integer> powers = new ArrayList<>();
        for (int i = 0; i < heads.size(); i++) {
            String head = heads.get(i).toLowerCase(Locale.ROOT);
            boolean percent = head.contains("%") || head.contains("percent") || head.contains("pct");
            if (head.contains("power") && (percent || head.strip().equals("power"))) {
                powers.add(i);
            }
        }
        return powers.isEmpty() ? Optional.empty() : Optional.of(new SettingsTable(powers, heads.size(), from, to));
    }

    /** Turns a line; what is no number in a power's place, or cannot be had, is said. */
    public Line turned(List<String> line) {
        if (line.size() != cells) {
            return refused(line, "it has " + line.size() + " cells, the heads are " + cells);
        }
        List<String> turned = new ArrayList<>(line);
        for (int column : powers) {
            String text = line.get(column);
            OptionalDouble percent = number(text);
            if (percent.isEmpty()) {
                return refused(line, text.isEmpty() ? "no power is given" : "its power is no number");
            }
            double asked = percent.getAsDouble();
            if (asked < 0 || asked > 100) {
                return refused(line, "its power is outside 0 to 100 %");
            }
            OptionalDouble watts = from.wattsAt(asked);
            if (watts.isEmpty()) {
                return refused(line, "nothing was measured at " + text + " % on the machine it comes from");
            }
            if (watts.getAsDouble() < from.leastW() * (1 - 1e-9)) {
                return refused(line, "at " + text + " % the machine it comes from was not seen to fire");
            }
            OptionalDouble command = to.commandFor(watts.getAsDouble());
            if (command.isEmpty()) {
                return refused(line, cannot(watts.getAsDouble()));
            }
            turned.set(column, fixed(command.getAsDouble()));
        }
        return new Line(turned, "");
    }

    private String cannot(double watts) {
        return watts > to.maximumW()
                ? fixed(watts) + " W is more than this machine has, " + fixed(Math.floor(to.maximumW() * 10) / 10)
                        + " W: go slower by a factor of "
                        + Amount.exact(Math.ceil(100 * watts / to.maximumW()) / 100)
                        + " at 100 % and test anew"
                : fixed(watts) + " W is less than was measured on this machine: measure lower";
    }

    private Line refused(List<String> line, String why) {
        List<String> left = new ArrayList<>(line);
        for (int column : powers) {
            if (column < left.size()) {
                left.set(column, "");
            }
        }
        while (left.size() < cells) {
            left.add("");
        }
        return new Line(left, why);
    }

    /** A number as it may be typed; what could be read in two ways is none. */
    private static OptionalDouble number(String text) {
        if (isPlain(text)) {
            return OptionalDouble.of(Double.parseDouble(text));
        }
        try {
            return OptionalDouble.of(
                    Typed.read(text, Quantity.SHARE, UnitChoice.METRIC).base());
        } catch (UnreadableException noNumber) {
            return OptionalDouble.empty();
        }
    }

    /** Digits with one point between them: most cells, read without looking for units. */
    private static boolean isPlain(String text) {
        int point = -1;
        for (int i = 0; i < text.length(); i++) {
            char each = text.charAt(i);
            if (each == '.' && point < 0 && i > 0 && i < text.length() - 1) {
                point = i;
            } else if (each < '0' || each > '9') {
                return false;
            }
        }
        return !text.isEmpty() && text.length() <= LONGEST_PLAIN;
    }

    private static String fixed(double value) {
        long tenths = Math.round(value * 10);
        return tenths % 10 == 0 ? String.valueOf(tenths / 10) : tenths / 10 + "." + Math.abs(tenths % 10);
    }
}
