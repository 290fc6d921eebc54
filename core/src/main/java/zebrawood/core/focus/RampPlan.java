package zebrawood.core.focus;

import java.util.OptionalDouble;
import zebrawood.core.machine.Family;

/**
 * How a ramp is best laid before anything is known but the maker's gap: the thinnest place in the middle, and enough
 * gap on both sides for the widths to bend.
 *
 * @param gapAtStartMm mm
 * @param runMm mm
 * @param riseMm mm
 */
public record RampPlan(double gapAtStartMm, double runMm, double riseMm) {

    /** a plate that lies on every bed, and long enough to read places apart */
    private static final double RUN_MM = 180;
    /** above and below the maker's gap: two depths of focus of a usual lens */
    private static final double REACH_MM = 5;
    /** the same where the lens is long and the plate is shimmed */
    private static final double GALVO_REACH_MM = 3;
    /** between head and plate at the high end */
    private static final double CLEARANCE_MM = 1.5;

    /**
     * A plan about the maker's gap; the raised end keeps at least 1.5 mm off the head. On a galvo the line stays in the
     * middle half of the field: towards its edges the spot grows for another reason.
     *
     * @param fieldMm the smaller side of bed or field, where that is known
     */
    public static RampPlan about(double makersGapMm, Family family, OptionalDouble fieldMm) {
        double reach = Math.min(family.isGalvo() ? GALVO_REACH_MM : REACH_MM, Math.max(1, makersGapMm - CLEARANCE_MM));
        double run = family.isGalvo() && fieldMm.isPresent() ? Math.min(RUN_MM, fieldMm.getAsDouble() / 2) : RUN_MM;
        return new RampPlan(makersGapMm + reach, run, 2 * reach);
    }

    /** Places of marks evenly along the run, mm, to whole mm where the run is long enough for it. */
    public static double placeMm(int mark, int marks, double runMm) {
        double place = runMm * mark / (marks - 1);
        return runMm >= 20 ? Math.rint(place) : Math.rint(place * 10) / 10;
    }
}
