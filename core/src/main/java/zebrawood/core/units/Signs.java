package zebrawood.core.units;

/**
 * Signs that cannot be seen or that turn the direction of the words around them, as they may stand in what somebody
 * else typed: harmless in a file, misleading on a page or in a terminal.
 */
public final class Signs {

    /** stands where a sign was that cannot be shown */
    private static final char SHOWN_AS = '\uFFFD';

    /** within a text */
    private static final String LINES = "\n\t\r";

    /** what joins or parts letters where a language needs it */
    private static final String JOINERS = "\u200C\u200D";

    private Signs() {}

    /** Whether a text holds none of them; line ends and tabs count as such too. */
    public static boolean isPlain(String text) {
        return text.codePoints().noneMatch(Signs::isMisleading);
    }

    /**
     * The text with a mark in the place of each; line ends and tabs stay.
     *
     * @return the same text where there is none
     */
    public static String shown(String text) {
        if (text == null || isPlain(text)) {
            return text;
        }
        StringBuilder shown = new StringBuilder();
        text.codePoints()
                .forEach(
                        sign -> shown.appendCodePoint(isMisleading(sign) && LINES.indexOf(sign) < 0 ? SHOWN_AS : sign));
        return shown.toString();
    }

    private static boolean isMisleading(int sign) {
        if (sign < 0x7F) {
            return sign < ' ';
        } else if (JOINERS.indexOf(sign) >= 0) {
            return false;
        }
        int kind = Character.getType(sign);
        return kind == Character.CONTROL
                || kind == Character.FORMAT
                || kind == Character.SURROGATE
                || kind == Character.LINE_SEPARATOR
                || kind == Character.PARAGRAPH_SEPARATOR;
    }
}
