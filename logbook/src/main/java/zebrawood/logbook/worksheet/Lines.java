package zebrawood.logbook.worksheet;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** Lines of UTF-8 text, each at most so long; a longer or undecodable one is told, not read. */
public final class Lines {

    /** a line longer than any worksheet; it is refused and the next is read */
    static final int LONGEST_BYTES = 8 * 1024 * 1024;

    /** A line, or why it cannot be read. */
    public record Line(String text, Optional<String> problem) {}

    private final InputStream in;
    private final int longest;
    private final boolean endsThere;
    private boolean first = true;

    /** Of at most 8 MiB each; after a longer one the next is read. */
    public Lines(InputStream in) {
        this(in, LONGEST_BYTES, false);
    }

    /**
     * @param longest bytes of the longest line that is taken
     * @param endsThere whether nothing is read past a longer one, which may never end
     */
    public Lines(InputStream in, int longest, boolean endsThere) {
        this.in = new BufferedInputStream(in, 1 << 16);
        this.longest = longest;
        this.endsThere = endsThere;
    }

    /** Whether nothing more is there to be read at once. */
    boolean isWaiting() throws IOException {
        return in.available() == 0;
    }

    /** The next line; empty at the end. The line end after the last line is no line of its own. */
    public Optional<Line> next() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream(512);
        boolean tooLong = false;
        int read = in.read();
        if (read < 0) {
            return Optional.empty();
        }
        for (; read >= 0 && read != '\n'; read = in.read()) {
            if (bytes.size() < longest) {
                bytes.write(read);
            } else {
                tooLong = true;
                if (endsThere) {
                    break;
                }
            }
        }
        return Optional.of(
                tooLong ? problem("the line is longer than " + (longest >> 20) + " MB") : decode(bytes.toByteArray()));
    }

    private Line decode(byte[] bytes) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            boolean marked = first && text.startsWith("\uFEFF");
            first = false;
            return new Line(marked ? text.substring(1) : text, Optional.empty());
        } catch (CharacterCodingException e) {
            first = false;
            return problem("the line is not UTF-8");
        }
    }

    private static Line problem(String why) {
        return new Line("", Optional.of(why));
    }
}
