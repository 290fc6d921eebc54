package zebrawood.core.reading;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Function;

/**
 * Gathers what is wrong with the components of a record and refuses them all at once. Used in compact constructors, in
 * the order of the components; what ties components together comes last and is asked only when each of them is possible
 * by itself. Every check refuses NaN and the infinities.
 *
 * <pre>{@code
 * new Checks().within("airTemperatureC", airTemperatureC, -45, 60).above("runMm", runMm, 0).done();
 * }</pre>
 */
public final class Checks {

    private record Tie(BooleanSupplier holds, String field, String why) {}

    private final List<Refusal> refusals = new ArrayList<>();
    private final List<Tie> ties = new ArrayList<>();

    /** Refused unless {@code value > limit}. */
    public Checks above(String field, double value, double limit) {
        if (isNumber(field, value) && !(value > limit)) {
            refuse(field, shown(value) + " must be above " + shown(limit));
        }
        return this;
    }

    public Checks above(String field, OptionalDouble value, double limit) {
        return value != null && value.isPresent() ? above(field, value.getAsDouble(), limit) : this;
    }

    /** Refused unless {@code value >= limit}. */
    public Checks atLeast(String field, double value, double limit) {
        if (isNumber(field, value) && !(value >= limit)) {
            refuse(field, shown(value) + " must be " + shown(limit) + " or more");
        }
        return this;
    }

    public Checks atLeast(String field, OptionalDouble value, double limit) {
        return value != null && value.isPresent() ? atLeast(field, value.getAsDouble(), limit) : this;
    }

    public Checks atLeast(String field, OptionalInt value, int limit) {
        return value != null && value.isPresent() ? atLeast(field, (double) value.getAsInt(), limit) : this;
    }

    /** Refused unless {@code least <= value <= most}. */
    public Checks within(String field, double value, double least, double most) {
        if (isNumber(field, value) && !(value >= least && value <= most)) {
            refuse(field, shown(value) + " is outside " + shown(least) + " to " + shown(most));
        }
        return this;
    }

    public Checks within(String field, OptionalDouble value, double least, double most) {
        return value != null && value.isPresent() ? within(field, value.getAsDouble(), least, most) : this;
    }

    /** Refused unless a finite number. */
    public Checks finite(String field, double value) {
        isNumber(field, value);
        return this;
    }

    public Checks finite(String field, OptionalDouble value) {
        return value != null && value.isPresent() ? finite(field, value.getAsDouble()) : this;
    }

    /** Refused unless there is text in it. */
    public Checks text(String field, String value) {
        if (value == null) {
            missing(field);
        } else if (value.isBlank()) {
            refuse(field, "must not be blank");
        }
        return this;
    }

    /** Refused when nothing stands there. */
    public Checks present(String field, Object value) {
        if (value == null) {
            missing(field);
        }
        return this;
    }

    /** Refused when the list is shorter than {@code least}; as still missing when there is nothing in it. */
    public Checks entries(String field, List<?> list, int least) {
        if (list == null) {
            missing(field);
        } else if (list.size() < least) {
            refusals.add(new Refusal(
                    field,
                    list.size() + " given, at least " + least + " needed",
                    list.isEmpty() ? Refusal.Kind.MISSING : Refusal.Kind.WRONG));
        }
        return this;
    }

    /**
     * Refused at the later one where two entries of a list have the same key: {@code screws[2].name}.
     *
     * @param list what the list is called; one that is null is not looked at
     * @param field of an entry, that its key stands in
     * @param key of an entry
     */
    public <T> Checks distinct(String list, List<T> entries, String field, Function<T, Object> key) {
        Set<Object> seen = new HashSet<>();
        for (int i = 0; entries != null && i < entries.size(); i++) {
            if (!seen.add(key.apply(entries.get(i)))) {
                refuse(list + "[" + i + "]." + field, "stands there twice: give each its own");
            }
        }
        return this;
    }

    /** Refused with these words unless it holds. */
    public Checks that(boolean holds, String field, String why) {
        if (!holds) {
            refuse(field, why);
        }
        return this;
    }

    /** Refused with these words as still missing unless there is enough of it. */
    public Checks enough(boolean enough, String field, String why) {
        if (!enough) {
            refusals.add(new Refusal(field, why, Refusal.Kind.MISSING));
        }
        return this;
    }

    /** What ties components together: asked only when all components are possible by themselves. */
    public Checks tie(BooleanSupplier holds, String field, String why) {
        ties.add(new Tie(holds, field, why));
        return this;
    }

    /** @throws ReadingException with every refusal gathered */
    public void done() {
        if (refusals.isEmpty()) {
            for (Tie tie : ties) {
                if (!tie.holds.getAsBoolean()) {
                    refusals.add(new Refusal(tie.field, tie.why, Refusal.Kind.TIED));
                }
            }
        }
        if (!refusals.isEmpty()) {
            throw new ReadingException(refusals);
        }
    }

    /** An unmodifiable copy; null stays null, for {@link #entries} to refuse. */
    public static <T> List<T> copy(List<T> list) {
        return list == null ? null : List.copyOf(list);
    }

    private boolean isNumber(String field, double value) {
        if (Double.isFinite(value)) {
            return true;
        }
        if (Double.isNaN(value)) {
            missing(field);
        } else {
            refuse(field, "must be a finite number");
        }
        return false;
    }

    private void missing(String field) {
        refusals.add(new Refusal(field, "is missing", Refusal.Kind.MISSING));
    }

    private void refuse(String field, String why) {
        refusals.add(new Refusal(field, why, Refusal.Kind.WRONG));
    }

    private static String shown(double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e15) {
            return String.format(Locale.ROOT, "%.0f", value);
        }
        return Double.toString(value);
    }
}
