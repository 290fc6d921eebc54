package zebrawood.core.reading;

import java.util.Objects;

/**
 * Why one field of a worksheet cannot be taken.
 *
 * @param field path of the field, as in JSON: {@code marks[2].widthMm}; {@code $} for the whole
 * @param why a sentence for the person who typed it, with value, unit and limit
 * @param kind what sort of refusal it is
 */
public record Refusal(String field, String why, Kind kind) {

    /** What sort of refusal; the order is the order in which refusals are told. */
    public enum Kind {
        /** no JSON, or a key that stands twice */
        SYNTAX,
        /** a key that no worksheet of this kind has */
        UNKNOWN,
        /** nothing stands there yet */
        MISSING,
        /** it stands there but cannot be */
        WRONG,
        /** each is possible, together they are not */
        TIED
    }

    public Refusal {
        Objects.requireNonNull(field, "field");
        Objects.requireNonNull(why, "why");
        Objects.requireNonNull(kind, "kind");
    }

    /** The same refusal seen from one level further out. */
    public Refusal under(String prefix) {
        if (field.isEmpty()) {
            return new Refusal(prefix, why, kind);
        }
        return new Refusal(field.startsWith("[") ? prefix + field : prefix + "." + field, why, kind);
    }
}
