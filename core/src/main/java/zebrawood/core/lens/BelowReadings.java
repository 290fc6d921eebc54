package zebrawood.core.lens;

import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * A mark wanted inside glass.
 *
 * @param refractiveIndex 1 to 2.6
 * @param depthMm of the mark under the surface, above 0
 * @param thicknessMm of the glass, above 0
 * @param halfAngleMrad of the beam that converges in air, 1 to 1200
 * @param depthOfFocusMm in air, where it is known
 */
public record BelowReadings(
        double refractiveIndex,
        double depthMm,
        double thicknessMm,
        double halfAngleMrad,
        OptionalDouble depthOfFocusMm) {
    /** Half the angle at which a beam converges: half its width at the lens over the focal length; mm, mm, mrad. */
    public static double halfAngleMrad(double beamMm, double focalMm) {
        return 1000 * Math.atan(beamMm / 2 / focalMm);
    }

    public BelowReadings {
        new Checks()
                .within("refractiveIndex", refractiveIndex, 1, 2.6)
                .above("depthMm", depthMm, 0)
                .above("thicknessMm", thicknessMm, 0)
                .within("halfAngleMrad", halfAngleMrad, 1, 1200)
                .above("depthOfFocusMm", depthOfFocusMm, 0)
                .done();
    }
}
