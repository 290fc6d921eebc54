package zebrawood.core.focus;

import java.util.Locale;

/** The part of a head from which the gap is measured down to the work. */
public enum Datum {
    /** the tip of the nozzle */
    NOZZLE_TIP,
    /** the lower edge of the ring that holds the lens */
    LENS_RING,
    /** a line that is scribed on the head */
    LINE,
    /** the lower edge of the housing */
    HOUSING,
    /** words that name none of these */
    OTHER;

    /** What the words of a plate mean: {@code nozzle tip}. */
    public static Datum of(String words) {
        String said = words.toLowerCase(Locale.ROOT);
        if (said.contains("nozzle") || said.contains("tip") || said.contains("cone")) {
            return NOZZLE_TIP;
        } else if (said.contains("line") || said.contains("groove") || said.contains("notch")) {
            return LINE;
        } else if (said.contains("lens") || said.contains("ring")) {
            return LENS_RING;
        } else if (said.contains("housing") || said.contains("case") || said.contains("body")) {
            return HOUSING;
        }
        return OTHER;
    }
}
