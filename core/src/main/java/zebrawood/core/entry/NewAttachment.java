package zebrawood.core.entry;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;

/**
 * A file to be kept with an entry. Its bytes are read when it is recorded, a part at a time.
 *
 * @param name file name as it came
 * @param content its bytes
 */
public record NewAttachment(String name, Content content) {

    /** The longest one that is taken, bytes: a film of some minutes; what is longer belongs beside the logbook. */
    public static final long LONGEST_BYTES = 200_000_000;

    /** Bytes that can be read again and again. */
    public interface Content {
        /** @throws IOException where they cannot be read */
        InputStream open() throws IOException;
    }

    /** Bytes that are at hand already. */
    public NewAttachment(String name, byte[] bytes) {
        this(name, () -> new ByteArrayInputStream(bytes));
    }
}
