package zebrawood.core.fit;

import java.util.Arrays;

/** How points lie in a plane. */
public final class Points {

    private Points() {}

    /**
     * Whether they lie in one line: the smaller singular value of their centred coordinates is under a share of the
     * larger, or both are 0.
     *
     * @param x one coordinate of each
     * @param y the other one
     * @param share of the larger singular value under which the smaller counts as none
     */
    public static boolean inLine(double[] x, double[] y, double share) {
        double meanX = Arrays.stream(x).average().orElse(0);
        double meanY = Arrays.stream(y).average().orElse(0);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (int i = 0; i < x.length; i++) {
            xx += (x[i] - meanX) * (x[i] - meanX);
            xy += (x[i] - meanX) * (y[i] - meanY);
            yy += (y[i] - meanY) * (y[i] - meanY);
        }
        // singular values are the roots of the eigenvalues; their product is the root of the determinant
        double larger = (xx + yy) / 2 + Math.hypot((xx - yy) / 2, xy);
        boolean spread = larger > 0 && Math.sqrt(determinant(x, y, meanX, meanY)) / larger >= share;
        return !spread;
    }

    /** The determinant as a sum over pairs of points (Lagrange's identity): no digits are lost in a difference. */
    private static double determinant(double[] x, double[] y, double meanX, double meanY) {
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            for (int j = 0; j < i; j++) {
                double area = (x[i] - meanX) * (y[j] - meanY) - (x[j] - meanX) * (y[i] - meanY);
                sum += area * area;
            }
        }
        return sum;
    }
}
