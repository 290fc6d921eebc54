package zebrawood.core.mirrors;

import zebrawood.core.beam.Spot;

/**
 * How a beam leaves a mirror.
 *
 * @param beamAngleXMrad its lean to the right, mrad
 * @param beamAngleYMrad its lean upwards, mrad
 * @param mirrorTiltXMrad what tilt of the mirror in the plane of incidence makes that, mrad
 * @param mirrorTiltYMrad what tilt out of it does, mrad
 * @param turnsX what turn of the first screw makes the tilt that was found; the correction is its negative
 * @param turnsY the same for the second screw
 * @param offsetXMm where the beam meets the mirror, right of its middle, mm; no tilt removes it
 * @param offsetYMm above its middle, mm
 * @param separationMm distance between the two marks
 * @param expectedFar where the far mark sits once the tilt is taken out
 * @param mirror its name
 * @param nearDistanceMm mm
 * @param farDistanceMm mm
 * @param near the near mark
 * @param far the far mark
 * @param tolerances what it was judged by
 */
public record NearFarFinding(
        double beamAngleXMrad,
        double beamAngleYMrad,
        double mirrorTiltXMrad,
        double mirrorTiltYMrad,
        double turnsX,
        double turnsY,
        double offsetXMm,
        double offsetYMm,
        double separationMm,
        Spot expectedFar,
        String mirror,
        double nearDistanceMm,
        double farDistanceMm,
        Spot near,
        Spot far,
        Tolerances tolerances) {

    /** Distance between the marks, and of the beam from the middle at the mirror, mm. */
    public record Tolerances(double angleMm, double offsetMm) {}
}
