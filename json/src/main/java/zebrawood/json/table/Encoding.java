package zebrawood.json.table;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/**
 * In which encoding a text is written: by its byte order mark; else UTF-16 where most of every other byte is NUL; else
 * UTF-8 where it is that; else Windows-1252, in which every byte is a character.
 */
public final class Encoding {

    private static final Charset ONE_BYTE = Charset.forName("windows-1252");
    /** text in Latin letters has hardly another byte there; other scripts and binary files have fewer */
    private static final double MOSTLY = 0.8;

    private Encoding() {}

    /**
     * Guesses it from how a text begins.
     *
     * @param begin the first bytes; a character may be cut in two at their end
     */
    public static Charset guess(byte[] begin) {
        if (starts(begin, 0xFF, 0xFE)) {
            return StandardCharsets.UTF_16LE;
        } else if (starts(begin, 0xFE, 0xFF)) {
            return StandardCharsets.UTF_16BE;
        }
        double even = nulShare(begin, 0);
        double odd = nulShare(begin, 1);
        if (odd > MOSTLY && even < 1 - MOSTLY) {
            return StandardCharsets.UTF_16LE;
        } else if (even > MOSTLY && odd < 1 - MOSTLY) {
            return StandardCharsets.UTF_16BE;
        }
        return isUtf8(begin) ? StandardCharsets.UTF_8 : ONE_BYTE;
    }

    /** A whole text, without its byte order mark. */
    public static String decode(byte[] text) {
        String decoded = new String(text, guess(text));
        return decoded.startsWith("\uFEFF") ? decoded.substring(1) : decoded;
    }

    /** Whether bytes are UTF-8, but for a character that is cut at their end. */
    private static boolean isUtf8(byte[] bytes) {
        CharsetDecoder decoder = StandardCharsets.UTF_8.newDecoder().onMalformedInput(CodingErrorAction.REPORT);
        CoderResult result = decoder.decode(ByteBuffer.wrap(bytes), CharBuffer.allocate(bytes.length + 1), false);
        return !result.isError();
    }

    private static double nulShare(byte[] bytes, int from) {
        int nul = 0;
        int all = 0;
        for (int i = from; i < bytes.length; i += 2, all++) {
            nul += bytes[i] == 0 ? 1 : 0;
        }
        return all == 0 ? 0 : nul / (double) all;
    }

    private static boolean starts(byte[] bytes, int... head) {
        for (int i = 0; i < head.length; i++) {
            if (bytes.length <= i || (bytes[i] & 0xFF) != head[i]) {
                return false;
            }
        }
        return true;
    }
}
