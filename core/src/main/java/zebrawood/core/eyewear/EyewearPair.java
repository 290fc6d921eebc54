package zebrawood.core.eyewear;

import java.util.List;
import java.util.Optional;
import zebrawood.core.reading.Checks;

/**
 * A pair of eyewear, or a window in a cover, as it lies there.
 *
 * @param name by which the shop knows it, unique, case apart
 * @param window the machine whose window it is, by its id; absent for a pair that somebody wears
 * @param marks what is marked on it; empty where nothing can be read
 * @param condition how it was found
 * @param remark in words; may be empty
 */
public record EyewearPair(String name, Optional<String> window, List<Mark> marks, Condition condition, String remark) {

    /** How a pair was found. */
    public enum Condition {
        SOUND("sound"),
        SCRATCHED("scratched"),
        CRACKED("cracked or loose"),
        BURNED("hit by a beam"),
        GONE("not here any more");

        private final String words;

        Condition(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Which light a mark is good for. */
    public enum Light {
        /** light that stays on only */
        STEADY,
        /** pulses too */
        PULSES
    }

    /**
     * One range of wavelengths with its optical density.
     *
     * @param fromNm nm, 100..20000
     * @param toNm nm, not under {@code fromNm}
     * @param density 0..15
     * @param light absent where the mark does not say
     */
    public record Mark(double fromNm, double toNm, double density, Optional<Light> light) {
        public Mark {
            new Checks()
                    .within("fromNm", fromNm, 100, 20_000)
                    .within("toNm", toNm, 100, 20_000)
                    .within("density", density, 0, 15)
                    .tie(() -> toNm >= fromNm, "toNm", "must not be under the wavelength from which it is good")
                    .done();
        }

        boolean covers(double nm) {
            return nm >= fromNm && nm <= toNm;
        }
    }

    public EyewearPair {
        marks = Checks.copy(marks);
        new Checks()
                .text("name", name)
                .entries("marks", marks, 0)
                .present("condition", condition)
                .that(name == null || name.length() <= 40, "name", "must be 40 characters or fewer")
                .done();
    }
}
