package zebrawood.logbook.store;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * A file to be kept with an entry. Its bytes are read when it is recorded, a part at a time.
 *
 * @param name file name as it came
 * @param content its bytes
 */
public record NewAttachment(String name, Content content) {

    /** The longest one that is taken. */
    public static final long LONGEST_BYTES = 200_000_000;

    /** Bytes that can be read again and again. */
    public interface Content {
        InputStream open() throws IOException;
    }

    public NewAttachment(String name, byte[] bytes) {
        this(name, () -> new ByteArrayInputStream(bytes));
    }

    /**
     * A file on the disk.
     *
     * @throws LogbookException where it cannot be taken, in a sentence
     */
    public static NewAttachment of(Path file) {
        String name = file.getFileName().toString();
        try {
            if (Files.isDirectory(file)) {
                throw new LogbookException(name + " is a folder; take the files in it");
            }
            long length = Files.size(file);
            if (length > LONGEST_BYTES) {
                throw new LogbookException("%s is %.0f MB long; up to %.0f MB are kept with an entry".formatted(name, length / 1e6, LONGEST_BYTES / 1e6));
            }
        } catch (IOException e) {
            throw new LogbookException("the file " + name + " cannot be read", new UncheckedIOException(e));
        }
        return new NewAttachment(name, () -> Files.newInputStream(file));
    }
}
