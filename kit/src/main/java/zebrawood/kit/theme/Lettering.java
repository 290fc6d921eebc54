package zebrawood.kit.theme;

import java.util.Locale;

/** Sizes and weights of text; the theme says how large they are. */
public enum Lettering {
    PRINT,
    CAPTION,
    SMALL,
    TEXT,
    TEXT_BOLD,
    READING,
    ROW,
    ROW_BOLD,
    NAME,
    LEAD,
    HEAD,
    ACT,
    TITLE,
    MONO,
    HASH;

    /** Its size token in the theme's CSS: {@code -size-text-bold}. */
    public String token() {
        return "-size-" + name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether all digits are as wide as each other. */
    public boolean isMono() {
        return this == MONO || this == HASH;
    }

    /** Whether it is small print, which is read on paper held in the hand and never across a bench. */
    public boolean isForPaper() {
        return this == HASH || this == PRINT;
    }

    /** Whether it is bold. */
    public boolean isBold() {
        return this == TEXT_BOLD
                || this == ROW_BOLD
                || this == NAME
                || this == LEAD
                || this == HEAD
                || this == ACT
                || this == TITLE;
    }
}
