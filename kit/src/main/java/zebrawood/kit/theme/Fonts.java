package zebrawood.kit.theme;

import java.io.InputStream;
import java.util.EnumSet;
import java.util.Set;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;

/** The fonts that ship with the program; each is loaded when it is first needed. */
public final class Fonts {

    private static final Set<Face> LOADED = EnumSet.noneOf(Face.class);

    private enum Face {
        COCKPIT("B612", "B612-Regular", "B612-Bold"),
        MONO("B612 Mono", "B612Mono-Regular"),
        WIDER("DejaVu Sans", "DejaVuSans", "DejaVuSans-Bold");

        private final String family;
        private final String[] files;

        Face(String family, String... files) {
            this.family = family;
            this.files = files;
        }
    }

    private Fonts() {}

    /** Makes the face that all text is set in known to the toolkit, so that CSS can name it. */
    public static void load() {
        load(Face.COCKPIT);
    }

    /** The same for the faces that few views need. */
    public static void loadAll() {
        for (Face face : Face.values()) {
            load(face);
        }
    }

    private static synchronized void load(Face face) {
        if (LOADED.add(face)) {
            for (String name : face.files) {
                Font.loadFont(file(name), 13);
            }
        }
    }

    /** A shipped font's file. */
    public static InputStream file(String name) {
        return Fonts.class.getResourceAsStream("/zebrawood/kit/font/" + name + ".ttf");
    }

    static Font font(Lettering lettering, Scripts.Script script, double size) {
        if (script == Scripts.Script.SYSTEM) {
            return Font.font("System", size);
        }
        Face face = script == Scripts.Script.WIDER ? Face.WIDER : lettering.isMono() ? Face.MONO : Face.COCKPIT;
        load(face);
        return Font.font(face.family, lettering.isBold() ? FontWeight.BOLD : FontWeight.NORMAL, size);
    }
}
