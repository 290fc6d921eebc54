package zebrawood.core.units;

/** Typed text that is no amount of the wanted kind; the message says what to type instead. */
public final class UnreadableException extends Exception {

    private static final long serialVersionUID = 1L;

    UnreadableException(String message) {
        super(message);
    }
}
