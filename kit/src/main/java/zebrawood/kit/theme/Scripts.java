package zebrawood.kit.theme;

import java.util.ArrayList;
import java.util.List;

/**
 * Splits text into runs by the font that has its characters: the cockpit face has Latin only, a shipped one has Greek,
 * Cyrillic and the rest of Latin, and what neither has is left to the system.
 */
public final class Scripts {

    private static final String MORE_LATIN =
            "\u0152\u0153\u2013\u2014\u2018\u2019\u201A\u201C\u201D\u201E\u2022\u2026\u2032\u2033\u203A\u20AC\u2122\u2212";

    /** Which font a run is set in. */
    public enum Script {
        COCKPIT,
        WIDER,
        SYSTEM
    }

    /** A run of one script. */
    public record Run(String text, Script script) {}

    private Scripts() {}

    /** A text in stretches of one script each, in order; none of an empty text. */
    public static List<Run> runs(String text) {
        List<Run> runs = new ArrayList<>();
        int start = 0;
        Script current = null;
        for (int i = 0; i < text.length(); ) {
            int point = text.codePointAt(i);
            Script script = script(point);
            if (current != null && script != current && !(point == ' ')) {
                runs.add(new Run(text.substring(start, i), current));
                start = i;
                current = script;
            } else if (current == null) {
                current = script;
            }
            i += Character.charCount(point);
        }
        if (start < text.length()) {
            runs.add(new Run(text.substring(start), current));
        }
        return runs;
    }

    /** Whether all of it is in the cockpit face. */
    public static boolean isPlain(String text) {
        return text.codePoints().allMatch(point -> script(point) == Script.COCKPIT);
    }

    /** The script of a code point; Latin where no other font has it. */
    public static Script script(int point) {
        if (point >= 0x20 && point <= 0x7E || point >= 0xA0 && point <= 0xFF || MORE_LATIN.indexOf(point) >= 0) {
            return Script.COCKPIT;
        }
        boolean wider = point >= 0x100 && point <= 0x52F
                || point >= 0x2190 && point <= 0x22FF
                || point >= 0x1E00 && point <= 0x1FFF;
        return wider ? Script.WIDER : Script.SYSTEM;
    }
}
