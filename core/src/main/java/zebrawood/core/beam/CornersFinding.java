package zebrawood.core.beam;

import java.util.List;

/**
 * How the marks change over the bed.
 *
 * @param centre the fit at the mean bed position, mm
 * @param slopeXRun growth of the mark along X travel, mrad
 * @param slopeYRun growth of the mark along Y travel, mrad
 * @param spreadMm the largest distance between two marks
 * @param residualMm root mean square misfit over all coordinates; 0 for three marks
 * @param act which mirror to set
 * @param growthXMm how far the mark moves over the X travel that was looked at, mm
 * @param growthYMm the same over the Y travel
 * @param marks as they were read
 * @param tolerances what it was judged by
 */
public record CornersFinding(
        Spot centre,
        Slope slopeXRun,
        Slope slopeYRun,
        double spreadMm,
        double residualMm,
        Act act,
        double growthXMm,
        double growthYMm,
        List<CornersReadings.Mark> marks,
        Tolerances tolerances) {

    /** Growth to the right and up, mrad. */
    public record Slope(double xMrad, double yMrad) {}

    /** Which mirror to set. */
    public enum Act {
        /** the one before the Y run */
        Y_RUN_MIRROR,
        /** the one before the X run */
        X_RUN_MIRROR,
        NONE
    }

    /** The largest distance between two marks, mm. */
    public record Tolerances(double toleranceMm) {}

    public CornersFinding {
        marks = List.copyOf(marks);
    }
}
