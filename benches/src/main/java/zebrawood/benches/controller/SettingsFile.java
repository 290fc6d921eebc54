package zebrawood.benches.controller;

import java.io.File;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Locale;

/** A file that should hold settings text: read in whatever encoding it has, or refused in a sentence. */
final class SettingsFile {

    /** settings are a few kilobytes; a megabyte holds the longest session anybody saved */
    static final long LARGEST_BYTES = 1 << 20;

    /** Why a file was not taken; the message is a sentence. */
    static final class NotSettings extends Exception {
        private static final long serialVersionUID = 1L;

        NotSettings(String message) {
            super(message);
        }
    }

    /** The text, and the bytes as they came. */
    record Read(String name, String text, byte[] bytes) {}

    private SettingsFile() {}

    static Read read(File file) throws NotSettings {
        if (file.isDirectory()) {
            throw new NotSettings(file.getName() + " is a folder; choose the text file in it");
        }
        if (file.length() > LARGEST_BYTES) {
            throw new NotSettings(String.format(Locale.ROOT,
                    "%s is %.1f MB long; a controller's settings are a few kilobytes. It was not read, nothing has changed",
                    file.getName(), file.length() / 1e6));
        }
        try {
            byte[] bytes = Files.readAllBytes(file.toPath());
            return new Read(file.getName(), text(file.getName(), bytes), bytes);
        } catch (IOException e) {
            throw new NotSettings(file.getName() + " cannot be read; is it still there, and may you read it?");
        }
    }

    static String text(String name, byte[] bytes) throws NotSettings {
        if (bytes.length == 0) {
            throw new NotSettings(name + " is empty");
        }
        if (isPicture(bytes)) {
            throw new NotSettings(name + " is a picture; save the settings as text");
        }
        String text = decoded(bytes);
        if (text.indexOf('\0') >= 0) {
            throw new NotSettings(name + " holds NUL bytes: it is no text. Save the settings as plain text");
        }
        return text;
    }

    private static boolean isPicture(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(12, bytes.length), StandardCharsets.ISO_8859_1);
        return head.startsWith("\u0089PNG") || head.startsWith("\u00FF\u00D8\u00FF") || head.startsWith("GIF8")
                || head.startsWith("BM") && bytes.length > 54 || head.startsWith("RIFF") || head.startsWith("II*\0") || head.startsWith("MM\0*");
    }

    /** By its byte order mark; else UTF-16 where every other byte is NUL; else UTF-8; else one byte a character. */
    private static String decoded(byte[] bytes) {
        if (starts(bytes, 0xFF, 0xFE)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        } else if (starts(bytes, 0xFE, 0xFF)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        } else if (starts(bytes, 0xEF, 0xBB, 0xBF)) {
            return new String(bytes, 3, bytes.length - 3, StandardCharsets.UTF_8);
        } else if (nulShare(bytes, 1) > 0.8 && nulShare(bytes, 0) < 0.2) {
            return new String(bytes, StandardCharsets.UTF_16LE);
        } else if (nulShare(bytes, 0) > 0.8 && nulShare(bytes, 1) < 0.2) {
            return new String(bytes, StandardCharsets.UTF_16BE);
        }
        try {
            return strict(bytes, StandardCharsets.UTF_8);
        } catch (CharacterCodingException notUtf8) {
            return new String(bytes, StandardCharsets.ISO_8859_1);
        }
    }

    private static String strict(byte[] bytes, Charset charset) throws CharacterCodingException {
        return charset.newDecoder().onMalformedInput(CodingErrorAction.REPORT).decode(ByteBuffer.wrap(bytes)).toString();
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
