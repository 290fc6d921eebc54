package zebrawood.core.reading;

import java.util.List;

/** Readings that cannot be: thrown by the compact constructor of a record, with every refusal it found. */
public final class ReadingException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final transient List<Refusal> refusals;

    /** @param refusals in the order of the fields; at least one */
    public ReadingException(List<Refusal> refusals) {
        super(refusals.get(0).field() + ": " + refusals.get(0).why());
        this.refusals = List.copyOf(refusals);
    }

    public ReadingException(String field, String why) {
        this(List.of(new Refusal(field, why, Refusal.Kind.WRONG)));
    }

    /** Every refusal, the first one first. */
    public List<Refusal> refusals() {
        return refusals;
    }
}
