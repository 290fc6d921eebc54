package zebrawood.core.height;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * The stack from the bed up to the focus datum, and the height axis.
 *
 * @param focusGapMm best gap of the lens, 0 or more
 * @param materialMm thickness of the stock, 0 or more
 * @param riserMm of what lies under it, 0 or more; 0 where absent
 * @param defocusMm how far above the surface the focus is wanted, any sign; 0 where absent
 * @param bareGapAtZeroMm from the focus datum down to the bare bed where the axis stands at 0, any number
 * @param axisSense what a move to a larger number does
 * @param currentZMm where the axis stands now
 * @param minZMm smallest place of the axis
 * @param maxZMm largest place, above the smallest
 * @param heightFirst of a powered rail: whether the height move is the first thing that a job does
 * @param heightAbsolute whether that move goes to a place, not by a distance
 * @param jobSpeedMmMin how fast the job moves the height
 * @param panelSpeedMmMin how fast the panel moves it
 */
public record ZReadings(
        double focusGapMm,
        double materialMm,
        OptionalDouble riserMm,
        OptionalDouble defocusMm,
        double bareGapAtZeroMm,
        AxisSense axisSense,
        OptionalDouble currentZMm,
        double minZMm,
        double maxZMm,
        Optional<Boolean> heightFirst,
        Optional<Boolean> heightAbsolute,
        OptionalDouble jobSpeedMmMin,
        OptionalDouble panelSpeedMmMin) {

    /** One of which nothing is known of how jobs start. */
    public ZReadings(
            double focusGapMm,
            double materialMm,
            OptionalDouble riserMm,
            OptionalDouble defocusMm,
            double bareGapAtZeroMm,
            AxisSense axisSense,
            OptionalDouble currentZMm,
            double minZMm,
            double maxZMm) {
        this(
                focusGapMm,
                materialMm,
                riserMm,
                defocusMm,
                bareGapAtZeroMm,
                axisSense,
                currentZMm,
                minZMm,
                maxZMm,
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** What a move to a larger number does. */
    public enum AxisSense {
        HEAD_UP(true, "head", "up", "down"),
        BED_DOWN(true, "bed", "down", "up"),
        HEAD_DOWN(false, "head", "down", "up"),
        BED_UP(false, "bed", "up", "down");

        private final boolean opens;
        private final String part;
        private final String more;
        private final String less;

        AxisSense(boolean opens, String part, String more, String less) {
            this.opens = opens;
            this.part = part;
            this.more = more;
            this.less = less;
        }

        /** Whether the gap grows. */
        public boolean opens() {
            return opens;
        }

        /** What moves: head or bed. */
        public String part() {
            return part;
        }

        /** Which way that part goes by a move. */
        String way(double move) {
            return move >= 0 ? more : less;
        }
    }

    public ZReadings {
        OptionalDouble defocus = defocusMm == null ? OptionalDouble.empty() : defocusMm;
        new Checks()
                .atLeast("focusGapMm", focusGapMm, 0)
                .atLeast("materialMm", materialMm, 0)
                .atLeast("riserMm", riserMm, 0)
                .finite("defocusMm", defocusMm)
                .finite("bareGapAtZeroMm", bareGapAtZeroMm)
                .present("axisSense", axisSense)
                .finite("currentZMm", currentZMm)
                .finite("minZMm", minZMm)
                .finite("maxZMm", maxZMm)
                .above("jobSpeedMmMin", jobSpeedMmMin, 0)
                .above("panelSpeedMmMin", panelSpeedMmMin, 0)
                .tie(() -> maxZMm > minZMm, "maxZMm", "must be above the smallest place of the axis")
                .tie(
                        () -> focusGapMm + defocus.orElse(0) > 0,
                        "defocusMm",
                        "the datum would stand in the work: there is no gap left")
                .done();
    }
}
