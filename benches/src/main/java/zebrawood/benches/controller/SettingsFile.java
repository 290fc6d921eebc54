package zebrawood.benches.controller;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Locale;
import zebrawood.json.table.Encoding;

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
            throw new NotSettings(String.format(
                    Locale.ROOT,
                    "%s is %.1f MB long; a controller's settings are a few kilobytes. It was not read, nothing "
                            + "has changed",
                    file.getName(),
                    file.length() / 1e6));
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
        String text = Encoding.decode(bytes);
        if (text.indexOf('\0') >= 0) {
            throw new NotSettings(name + " holds NUL bytes: it is no text. Save the settings as plain text");
        }
        return text;
    }

    private static boolean isPicture(byte[] bytes) {
        String head = new String(bytes, 0, Math.min(12, bytes.length), StandardCharsets.ISO_8859_1);
        return head.startsWith("\u0089PNG")
                || head.startsWith("\u00FF\u00D8\u00FF")
                || head.startsWith("GIF8")
                || head.startsWith("BM") && bytes.length > 54
                || head.startsWith("RIFF")
                || head.startsWith("II*\0")
                || head.startsWith("MM\0*");
    }
}
