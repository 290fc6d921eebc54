package zebrawood.core.safety;

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
 * One thing that is tested or read for a bar; the bar is lifted only with all of them.
 *
 * @param id within its bar, never changes
 * @param words what is done and seen, or what is read
 * @param form how it is answered
 * @param none what may be answered where the machine has no such thing; absent where every machine has it
 * @param range of a number
 * @param choices of a choice, at least two
 */
public record BarTest(
        String id, String words, Form form, Optional<String> none, Optional<Range> range, List<String> choices) {

    /** How a test is answered. */
    public enum Form {
        TICK,
        NUMBER,
        CHOICE
    }

    /**
     * What a number may be.
     *
     * @param quantity of what
     * @param above it must be more than this, in the base unit of the quantity
     * @param least it must not be less
     * @param most it must not be more
     * @param beyond what is said where it is not so
     */
    public record Range(
            Quantity quantity, OptionalDouble above, OptionalDouble least, OptionalDouble most, String beyond) {

        boolean holds(double value) {
            return (above.isEmpty() || value > above.getAsDouble())
                    && (least.isEmpty() || value >= least.getAsDouble())
                    && (most.isEmpty() || value <= most.getAsDouble());
        }
    }

    /**
     * A test as it was answered, kept with the answer to its bar.
     *
     * @param test its id
     * @param words as they were shown
     * @param answer as it was shown: {@code seen}, {@code 21.4 °C}, {@code round}, or what is said where there is none
     * @param number of a reading, in the base unit of its quantity
     */
    public record Seen(String test, String words, String answer, OptionalDouble number) {}

    /** An answer that cannot be taken; its message is a sentence that says what to do. */
    public static final class NotTaken extends Exception {
        private static final long serialVersionUID = 1;

        NotTaken(String sentence) {
            super(sentence);
        }
    }

    public BarTest {
        choices = List.copyOf(choices);
        if ((form == Form.NUMBER) != range.isPresent() || (form == Form.CHOICE) != (choices.size() > 1)) {
            throw new IllegalArgumentException("the test " + id + " has not what its form needs");
        }
    }

    /** A tick: it was done and seen. */
    public Seen seen() {
        return new Seen(id, words, "seen", OptionalDouble.empty());
    }

    /** This machine has no such thing. */
    public Seen hasNone() {
        return new Seen(id, words, none.orElseThrow(), OptionalDouble.empty());
    }

    /** One of its choices. */
    public Seen chosen(String choice) {
        return new Seen(id, words, choice, OptionalDouble.empty());
    }

    /**
     * A number as it was typed; {@code none} where there is nothing to read it from, and that may be.
     *
     * @throws NotTaken where it is no such number, or one that does not lift the bar
     */
    public Seen read(String text, UnitChoice units) throws NotTaken {
        String typed = text.strip();
        if (none.isPresent() && (typed.toLowerCase(Locale.ROOT).equals("none") || typed.equals(none.get()))) {
            return hasNone();
        }
        Range of = range.orElseThrow();
        if (typed.isEmpty()) {
            throw new NotTaken(asked(units) + ".");
        }
        try {
            double base = Typed.read(typed, of.quantity(), units).base();
            if (!of.holds(base)) {
                throw new NotTaken(of.beyond());
            }
            return new Seen(id, words, Amount.told(of.quantity(), base).text(units), OptionalDouble.of(base));
        } catch (UnreadableException unreadable) {
            throw new NotTaken(words + ": " + unreadable.getMessage() + ".");
        }
    }

    /** What is read, and in which unit: {@code Flow in l/min}. */
    public String asked(UnitChoice units) {
        return words + " in " + range.orElseThrow().quantity().unit(units);
    }
}
