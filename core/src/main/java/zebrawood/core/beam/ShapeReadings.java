package zebrawood.core.beam;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * A mark and its outline.
 *
 * @param majorMm its longest diameter, mm, above 0
 * @param minorMm the diameter across it, mm, above 0, at most the longest
 * @param angleDeg where the longest lies, degrees from the right, anticlockwise, any
 * @param expectedMm the diameter that was expected, mm, above 0
 * @param roundnessTolerance largest ellipticity that passes, 0 or more; 0.15 where absent
 * @param outline what its edge looks like
 * @param place where it was shot, in words
 */
public record ShapeReadings(
        double majorMm,
        double minorMm,
        OptionalDouble angleDeg,
        OptionalDouble expectedMm,
        OptionalDouble roundnessTolerance,
        Optional<Outline> outline,
        Optional<String> place) {

    /** what burning paper makes of a round beam */
    public static final double ROUNDNESS_TOLERANCE = 0.15;

    /** What an edge looks like. */
    public enum Outline {
        /** the same all round, drawn out or not */
        SMOOTH("smooth all round"),
        /** a piece is missing that is itself round */
        CRESCENT("a crescent"),
        /** a straight piece */
        FLAT_SIDE("a flat side"),
        /** two or more spots */
        SPLIT("more than one spot");

        private final String words;

        Outline(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public ShapeReadings {
        new Checks()
                .above("majorMm", majorMm, 0)
                .above("minorMm", minorMm, 0)
                .finite("angleDeg", angleDeg)
                .above("expectedMm", expectedMm, 0)
                .atLeast("roundnessTolerance", roundnessTolerance, 0)
                .tie(() -> minorMm <= majorMm, "minorMm", "must be at most the longest diameter")
                .done();
    }
}
