package zebrawood.logbook.store;

/** The file of a logbook is damaged; {@link Restore} says what can be had back. */
public final class DamagedLogbookException extends LogbookException {

    private static final long serialVersionUID = 1L;

    /** What is damaged, as a sentence, and what the database said. */
    public DamagedLogbookException(String message, Throwable cause) {
        super(message, cause);
    }
}
