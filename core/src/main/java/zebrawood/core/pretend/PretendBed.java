package zebrawood.core.pretend;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * A bed on screws at the corners of a rectangle: between them it lies as they lift it, and it has a form of its own.
 *
 * @param widthMm between the screws along x
 * @param depthMm between the screws along y
 * @param liftMm how far each screw has lifted it: front left, front right, back right, back left
 * @param twistMm by how much two corners across from each other lie lower than the other two
 * @param hollowMm by how much the middle lies lower than the corners
 * @param gapMm from the focus datum down to the bed where nothing is lifted
 */
public record PretendBed(
        double widthMm, double depthMm, List<Double> liftMm, double twistMm, double hollowMm, double gapMm) {

    /** corners, in the order of the lifts */
    public static final int CORNERS = 4;

    public PretendBed {
        liftMm = List.copyOf(liftMm);
    }

    /** A flat one that is tilted by up to so much along each side, as somebody finds it. */
    public static PretendBed tilted(double tiltMm, SplittableRandom random) {
        double alongX = tiltMm * (2 * random.nextDouble() - 1);
        double alongY = tiltMm * (2 * random.nextDouble() - 1);
        return new PretendBed(
                500 + 500 * random.nextDouble(),
                300 + 400 * random.nextDouble(),
                List.of(0.0, alongX, alongX + alongY, alongY),
                0,
                0,
                6 + 8 * random.nextDouble());
    }

    /** The same with a form of its own, mm. */
    public PretendBed formed(double twist, double hollow) {
        return new PretendBed(widthMm, depthMm, liftMm, twist, hollow, gapMm);
    }

    /** The same when a screw has lifted it farther, or less far. */
    public PretendBed lifted(int corner, double byMm) {
        List<Double> lifts = new ArrayList<>(liftMm);
        lifts.set(corner, lifts.get(corner) + byMm);
        return new PretendBed(widthMm, depthMm, lifts, twistMm, hollowMm, gapMm);
    }

    public double cornerXMm(int corner) {
        return corner == 1 || corner == 2 ? widthMm : 0;
    }

    public double cornerYMm(int corner) {
        return corner >= 2 ? depthMm : 0;
    }

    /** The true gap over a place, mm. */
    public double gapMm(double xMm, double yMm) {
        double u = xMm / widthMm;
        double v = yMm / depthMm;
        double lifted = (1 - u) * (1 - v) * liftMm.get(0)
                + u * (1 - v) * liftMm.get(1)
                + u * v * liftMm.get(2)
                + (1 - u) * v * liftMm.get(3);
        double across = (2 * u - 1) * (2 * v - 1);
        double inner = 1 - ((2 * u - 1) * (2 * u - 1) + (2 * v - 1) * (2 * v - 1)) / 2;
        return gapMm - lifted + twistMm / 2 * across + hollowMm * inner;
    }

    /** How far the true gap differs over corners, sides and middle, as far in from the screws as gauges reach, mm. */
    public double rangeMm(double insetMm) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i <= 2; i++) {
            for (int j = 0; j <= 2; j++) {
                double gap =
                        gapMm(insetMm + i * (widthMm - 2 * insetMm) / 2, insetMm + j * (depthMm - 2 * insetMm) / 2);
                least = Math.min(least, gap);
                most = Math.max(most, gap);
            }
        }
        return most - least;
    }
}
