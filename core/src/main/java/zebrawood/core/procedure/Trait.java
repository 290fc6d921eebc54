package zebrawood.core.procedure;

import java.util.OptionalDouble;
import zebrawood.core.units.Said;

/**
 * One thing a result may depend on, as it stood at some moment; compared with how it stood at another.
 *
 * @param label what it is; the same thing has the same label at every moment
 * @param figure as it is said
 * @param value as a number, where a difference has a size; otherwise figures are compared as words
 * @param tolerance the size of a difference that just matters, in the unit of the value, above 0
 * @param matters how much a result depends on it on this family of machine, 0 to 1
 */
public record Trait(String label, Said figure, OptionalDouble value, double tolerance, double matters) {

    /** A number with the size of difference that just matters. */
    public static Trait amount(String label, Said figure, double value, double tolerance, double matters) {
        return new Trait(label, figure, OptionalDouble.of(value), tolerance, matters);
    }

    /** Words that are the same or are not. */
    public static Trait word(String label, String word, double matters) {
        return new Trait(label, Said.verbatim(word), OptionalDouble.empty(), 1, matters);
    }

    /** Whether the other one says the same. */
    public boolean isSameAs(Trait other) {
        return value.isPresent() && other.value.isPresent()
                ? value.getAsDouble() == other.value.getAsDouble()
                : figure.equals(other.figure);
    }

    /**
     * How much the difference from another moment tells, 0 to 1: {@code matters x⁴ / (1 + x⁴)} with x the difference in
     * tolerances, so that half a tolerance hardly counts and two count nearly in full; words count as two.
     */
    public double weight(Trait other) {
        if (isSameAs(other)) {
            return 0;
        }
        double x = value.isPresent() && other.value.isPresent()
                ? Math.abs(value.getAsDouble() - other.value.getAsDouble()) / Math.max(tolerance, other.tolerance)
                : 2;
        double fourth = Math.min(1e12, x * x * x * x);
        return Math.max(matters, other.matters) * fourth / (1 + fourth);
    }
}
