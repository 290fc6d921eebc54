package zebrawood.core.pretend;

import java.util.SplittableRandom;

/**
 * A beam about its narrowest place, and lines burned with it.
 *
 * @param bestGapMm where it is narrowest
 * @param waistMm width of a line there
 * @param rayleighMm over which it grows by root 2
 * @param bowMm by how much a plate of 180 mm stands higher in its middle than a straight one
 */
public record PretendFocus(double bestGapMm, double waistMm, double rayleighMm, double bowMm) {

    private static final double PLATE_MM = 180;

    /** A usual one. */
    public static PretendFocus any(SplittableRandom random) {
        return new PretendFocus(
                6 + 2 * random.nextDouble(), 0.15 + 0.15 * random.nextDouble(), 2 + 2 * random.nextDouble(), 0);
    }

    /** True width of a line at a gap, mm. */
    public double widthMm(double gapMm) {
        return waistMm * Math.hypot(1, (gapMm - bestGapMm) / rayleighMm);
    }

    /** The same as somebody reads it, one standard error in mm. */
    public double readMm(double gapMm, double errorMm, SplittableRandom random) {
        return Math.max(1e-3, widthMm(gapMm) + errorMm * random.nextGaussian());
    }

    /** The true gap over a place of a ramp, where the plate bows. */
    public double gapOnRampMm(double startMm, double riseMm, double runMm, double alongMm) {
        double share = alongMm / PLATE_MM;
        return startMm - riseMm * alongMm / runMm - 4 * bowMm * share * (1 - share);
    }

    /** Over which a line grows by up to a tenth, mm. */
    public double depthMm() {
        return 2 * rayleighMm * Math.sqrt(1.1 * 1.1 - 1);
    }
}
