package zebrawood.kit.theme;

import java.util.Locale;

/** The ground the window is drawn on. */
public enum Ground {
    LIGHT,
    DARK,
    /** luminance steps only, thicker strokes, hatching: for tinted eyewear */
    EYEWEAR;

    /** Its file of tokens. */
    public String stylesheet() {
        return Ground.class
                .getResource(name().toLowerCase(Locale.ROOT) + ".css")
                .toExternalForm();
    }
}
