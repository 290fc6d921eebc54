package zebrawood.core.lens;

import java.util.OptionalDouble;

/**
 * Where the head goes for a mark inside glass, and how long the mark gets.
 *
 * @param headDropMm how far the head is lowered from the focus on the surface, for rays near the axis
 * @param marginalDropMm the same for the outermost rays; the smaller one
 * @param smearMm by how much the mark is drawn out along the axis
 * @param belowMm glass left under the mark
 * @param depthMm as wanted
 * @param thicknessMm as given
 * @param refractiveIndex as given
 * @param halfAngleMrad in air
 * @param insideMrad half angle inside the glass
 * @param tolerances what it was judged by
 */
public record BelowFinding(
        double headDropMm,
        double marginalDropMm,
        double smearMm,
        double belowMm,
        double depthMm,
        double thicknessMm,
        double refractiveIndex,
        double halfAngleMrad,
        double insideMrad,
        Tolerances tolerances) {

    /** The depth of focus in mm that a surface is to be spared by, where it is known. */
    public record Tolerances(OptionalDouble depthOfFocusMm) {}
}
