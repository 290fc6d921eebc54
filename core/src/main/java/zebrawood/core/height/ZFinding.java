package zebrawood.core.height;

import java.util.OptionalDouble;

/**
 * Where the height axis goes.
 *
 * @param targetZMm the place it is sent to
 * @param moveMm from where it stands now, where that is known
 * @param surfaceGapMm from the focus datum down to the stock, then
 * @param inRange whether the axis reaches it
 * @param thinnestMaterialMm the thinnest stock that it reaches with this riser and defocus
 * @param thickestMaterialMm the thickest
 * @param stack what lies under the datum, from the bed up
 * @param tolerances what it was judged by
 */
public record ZFinding(
        double targetZMm,
        OptionalDouble moveMm,
        double surfaceGapMm,
        boolean inRange,
        OptionalDouble thinnestMaterialMm,
        OptionalDouble thickestMaterialMm,
        Stack stack,
        Tolerances tolerances) {

    /** Riser, stock and defocus in mm; what moves, and whether a larger number opens the gap. */
    public record Stack(double riserMm, double materialMm, double defocusMm, ZReadings.AxisSense axisSense) {}

    /** The ends of the axis, mm. */
    public record Tolerances(double minZMm, double maxZMm) {}
}
