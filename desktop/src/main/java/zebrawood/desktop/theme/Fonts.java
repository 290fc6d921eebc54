package zebrawood.desktop.theme;

import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import javafx.scene.text.Font;

/** The fonts that ship with the program. */
public final class Fonts {

    private static final Map<String, Font> MADE = new HashMap<>();

    private Fonts() {}

    /** Makes the shipped fonts known to the toolkit, so that CSS can name them. */
    public static void load() {
        for (String file : new String[] {"B612-Regular", "B612-Bold", "B612Mono-Regular", "DejaVuSans", "DejaVuSans-Bold"}) {
            Font.loadFont(file(file), 13);
        }
    }

    /** A shipped font's file. */
    public static InputStream file(String name) {
        return Fonts.class.getResourceAsStream("/zebrawood/desktop/font/" + name + ".ttf");
    }

    static synchronized Font font(Lettering lettering, Scripts.Script script, double size) {
        String name = switch (script) {
            case COCKPIT -> lettering.isMono() ? "B612Mono-Regular" : lettering.isBold() ? "B612-Bold" : "B612-Regular";
            case WIDER -> lettering.isBold() ? "DejaVuSans-Bold" : "DejaVuSans";
            case SYSTEM -> "";
        };
        return MADE.computeIfAbsent(name + size, key -> {
            Font font = name.isEmpty() ? Font.font("System", size) : Font.loadFont(file(name), size);
            return font == null ? Font.font(size) : font;
        });
    }
}
