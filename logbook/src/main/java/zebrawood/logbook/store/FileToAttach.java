package zebrawood.logbook.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import zebrawood.core.entry.NewAttachment;

/** A file on the disk that is to be kept with an entry. */
public final class FileToAttach {

    private FileToAttach() {}

    /**
     * Looks whether a file can be kept; its bytes are read when the entry is recorded.
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
            if (length > NewAttachment.LONGEST_BYTES) {
                throw new LogbookException(String.format(
                        Locale.ROOT,
                        "%s is %.0f MB long; up to %.0f MB are kept with an entry",
                        name,
                        length / 1e6,
                        NewAttachment.LONGEST_BYTES / 1e6));
            }
        } catch (IOException e) {
            throw new LogbookException("the file " + name + " cannot be read", new UncheckedIOException(e));
        }
        return new NewAttachment(name, () -> Files.newInputStream(file));
    }
}
