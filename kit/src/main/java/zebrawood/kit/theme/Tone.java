package zebrawood.kit.theme;

import java.util.Locale;

/** What a colour is for; the theme says which colour that is. */
public enum Tone {
    GROUND,
    RAISED,
    INK,
    QUIET,
    WALNUT,
    STRAW,
    PASS,
    ADJUST,
    FAIL,
    UNCLEAR,
    READING,
    HAIRLINE,
    BAND,
    WOOD,
    BURN,
    BEAM,
    ON_WALNUT;

    /** Its token in the theme's CSS: {@code -on-walnut}. */
    public String token() {
        return "-" + name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
