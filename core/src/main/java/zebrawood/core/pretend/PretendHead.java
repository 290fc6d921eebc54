package zebrawood.core.pretend;

import java.util.Arrays;

/**
 * A head over a fixed table that leans.
 *
 * @param leanX by how much the gap grows along x
 * @param leanY by how much the gap grows along y
 * @param gapMm under the middle of the lens
 */
public record PretendHead(double leanX, double leanY, double gapMm) {

    /** The true gap beside the middle of the lens, mm. */
    public double gapMm(double xMm, double yMm) {
        return gapMm + leanX * xMm + leanY * yMm;
    }

    /** The true difference in height across a field, mm. */
    public double acrossMm(double fieldMm) {
        return (Math.abs(leanX) + Math.abs(leanY)) * fieldMm;
    }

    /** The same when shims lie under its mounts: the plane through what they lift, by least squares. */
    public PretendHead shimmed(double[] xMm, double[] yMm, double[] liftMm) {
        double meanX = Arrays.stream(xMm).average().orElseThrow();
        double meanY = Arrays.stream(yMm).average().orElseThrow();
        double xx = 0;
        double xy = 0;
        double yy = 0;
        double xl = 0;
        double yl = 0;
        for (int i = 0; i < xMm.length; i++) {
            double x = xMm[i] - meanX;
            double y = yMm[i] - meanY;
            xx += x * x;
            xy += x * y;
            yy += y * y;
            xl += x * liftMm[i];
            yl += y * liftMm[i];
        }
        double determinant = xx * yy - xy * xy;
        return new PretendHead(
                leanX + (xl * yy - yl * xy) / determinant, leanY + (yl * xx - xl * xy) / determinant, gapMm);
    }
}
