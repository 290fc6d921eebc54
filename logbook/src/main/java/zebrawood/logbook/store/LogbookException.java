package zebrawood.logbook.store;

/** The logbook could not be opened, read or written; the message is one sentence for the person. */
public class LogbookException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /** What could not be done, and what to do about it, as a sentence. */
    public LogbookException(String message) {
        super(message);
    }

    /** The same, with what the database or the disk said. */
    public LogbookException(String message, Throwable cause) {
        super(message, cause);
    }
}
