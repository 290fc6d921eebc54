package zebrawood.core.units;

/** A number has outgrown what can be computed with: it is infinite or no number at all. */
public final class NotFiniteException extends ArithmeticException {

    private static final long serialVersionUID = 1L;

    public NotFiniteException(String message) {
        super(message);
    }
}
