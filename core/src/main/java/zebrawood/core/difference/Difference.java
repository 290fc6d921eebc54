package zebrawood.core.difference;

import java.util.OptionalInt;
import zebrawood.core.units.Said;

/**
 * One thing that differed between two moments.
 *
 * @param label what it is
 * @param before how it was at the earlier moment
 * @param after how it was at the later one
 * @param why what is to be known about it: how far out of its tolerance, how long ago it was checked
 * @param likelihood how likely it made the difference beside the others, 0 to 1
 * @param entryBefore the entry that says how it was
 * @param entryAfter the entry that says how it became
 */
public record Difference(
        String label,
        Said before,
        Said after,
        String why,
        double likelihood,
        OptionalInt entryBefore,
        OptionalInt entryAfter) {

    /** From here on a difference is worth looking at first. */
    public static final double LIKELY = 0.3;

    /** Below this a difference hardly matters. */
    public static final double SLIGHT = 0.08;
}
