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
        double[] a = centred(x);
        double[] b = centred(y);
        double aa = product(a, a);
        double bb = product(b, b);
        double[] longer = aa >= bb ? a : b;
        double[] other = aa >= bb ? b : a;
        double most = Math.max(aa, bb);
        double along = product(longer, other) / most;
        for (int i = 0; i < other.length; i++) {
            other[i] -= along * longer[i];
        }
        // singular values are the roots of the eigenvalues; their product is the area the two columns span
        double area = Math.sqrt(most) * Math.sqrt(product(other, other));
        double larger = (aa + bb) / 2 + Math.hypot((aa - bb) / 2, along * most);
        boolean spread = larger > 0 && area / larger >= share;
        return !spread;
    }

    private static double[] centred(double[] values) {
        double mean = Arrays.stream(values).average().orElse(0);
        return Arrays.stream(values).map(value -> value - mean).toArray();
    }

    private static double product(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }
}
