package zebrawood.logbook.store;

/** The logbook could not be opened, read or written; the message is one sentence for the person. */
public class LogbookException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public LogbookException(String message) {
        super(message);
    }

    public LogbookException(String message, Throwable cause) {
        super(message, cause);
    }
}
