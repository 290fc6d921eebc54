package zebrawood.kit.theme;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The named tokens of a theme, read from its CSS: the one place where colours and sizes stand. */
final class Tokens {

    private static final Pattern TOKEN = Pattern.compile("(-[a-z-]+)\\s*:\\s*(#[0-9A-Fa-f]{6}|[0-9.]+)(?:px)?\\s*;");

    private final Map<String, String> values = new HashMap<>();

    Tokens(Ground ground) {
        read("/zebrawood/kit/theme/sizes.css");
        read("/zebrawood/kit/theme/" + ground.name().toLowerCase(Locale.ROOT) + ".css");
    }

    String get(String token) {
        String value = values.get(token);
        if (value == null) {
            throw new IllegalStateException("the theme has no token " + token);
        }
        return value;
    }

    private void read(String file) {
        try (InputStream css = Tokens.class.getResourceAsStream(file)) {
            Matcher token = TOKEN.matcher(new String(css.readAllBytes(), StandardCharsets.UTF_8));
            while (token.find()) {
                values.put(token.group(1), token.group(2));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
