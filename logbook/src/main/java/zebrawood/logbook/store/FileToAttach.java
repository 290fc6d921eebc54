package zebrawood.logbook.store;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
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
            } else if (!Files.isRegularFile(file)) {
                throw new LogbookException(name
                        + (Files.exists(file)
                                ? " is not a plain file and is not taken"
                                : " is not there any more; choose it again"));
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
            return new NewAttachment(name, () -> new OfLength(Files.newInputStream(file), name, length));
        } catch (IOException e) {
            throw new LogbookException("the file " + name + " cannot be read", new UncheckedIOException(e));
        }
    }

    /** A file that must stay as long as it was when it was chosen: one that is still being written is not kept half. */
    private static final class OfLength extends FilterInputStream {
        private final String name;
        private long left;

        OfLength(InputStream in, String name, long length) {
            super(in);
            this.name = name;
            this.left = length;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
        }

        @Override
        public int read(byte[] bytes, int from, int count) throws IOException {
            int read = in.read(bytes, from, count);
            left -= Math.max(0, read);
            if (left < 0 || read < 0 && left > 0) {
                throw new LogbookException("nothing was recorded: the file " + name
                        + " changed while it was read; wait until it is written, then choose it again");
            }
            return read;
        }
    }
}
