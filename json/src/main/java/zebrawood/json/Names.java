package zebrawood.json;

import java.util.Locale;
import zebrawood.core.procedure.Verdict;

/**
 * How constants are written in JSON: {@code FRONT_LEFT} as {@code front-left}; verdicts and single letters keep their
 * capitals.
 */
public final class Names {

    private Names() {}

    public static String of(Enum<?> constant) {
        return constant instanceof Verdict || constant.name().length() == 1
                ? constant.name()
                : constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether a constant is written so. */
    static boolean is(Enum<?> constant, String written) {
        return constant.name().length() == written.length() && of(constant).equals(written);
    }
}
