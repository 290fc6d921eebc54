package zebrawood.json;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;

/** Times in JSON and in columns. */
public final class Times {

    private static final String SECONDS = "dddd-dd-ddTdd:dd:ddZ";
    private static final String MILLIS = "dddd-dd-ddTdd:dd:dd.dddZ";

    private Times() {}

    /**
     * Reads what {@link Instant#parse} reads. The two forms in which times are written here are read without it: it
     * makes a parser anew each time.
     *
     * @throws java.time.format.DateTimeParseException where it is no time
     */
    public static Instant instant(String text) {
        boolean millis = has(text, MILLIS);
        if (millis || has(text, SECONDS)) {
            try {
                return LocalDateTime.of(
                                number(text, 0, 4),
                                number(text, 5, 7),
                                number(text, 8, 10),
                                number(text, 11, 13),
                                number(text, 14, 16),
                                number(text, 17, 19),
                                millis ? number(text, 20, 23) * 1_000_000 : 0)
                        .toInstant(ZoneOffset.UTC);
            } catch (DateTimeException special) {
                // such as midnight at 24 o'clock
                return Instant.parse(text);
            }
        }
        return Instant.parse(text);
    }

    private static boolean has(String text, String form) {
        if (text.length() != form.length()) {
            return false;
        }
        for (int i = 0; i < form.length(); i++) {
            char c = text.charAt(i);
            if (form.charAt(i) == 'd' ? c < '0' || c > '9' : c != form.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    private static int number(String text, int from, int to) {
        return Integer.parseInt(text, from, to, 10);
    }
}
