package zebrawood.core.focus;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.linear.RealMatrix;
import zebrawood.core.fit.LinearFit;

/**
 * Least squares of {@code y = a + b x + c x²} by QR, in {@code u = (x - middle)/half}: the vertex, and its standard
 * error by the delta method, from how the readings scatter about the curve.
 */
final class Parabola {

    private final double middle;
    private final double half;
    private final LinearFit fit;
    private final double largest;

    private Parabola(double middle, double half, LinearFit fit, double largest) {
        this.middle = middle;
        this.half = half;
        this.fit = fit;
        this.largest = largest;
    }

    /** Through three or more different places; empty where the numbers cannot be computed with. */
    static Optional<Parabola> through(double[] x, double[] y) {
        double least = Arrays.stream(x).min().orElseThrow();
        double most = Arrays.stream(x).max().orElseThrow();
        double middle = (least + most) / 2;
        double half = (most - least) / 2;
        double[][] rows = Arrays.stream(x)
                .map(place -> (place - middle) / half)
                .mapToObj(u -> new double[] {1, u, u * u})
                .toArray(double[][]::new);
        double[] weights = new double[x.length];
        Arrays.fill(weights, 1);
        double largest = Arrays.stream(y).map(Math::abs).max().orElseThrow();
        return LinearFit.of(rows, y, weights).map(fit -> new Parabola(middle, half, fit, largest));
    }

    /** Whether it bends upward (1), downward (-1) or, as far as its numbers say, not at all (0). */
    int bend() {
        double across = 4 * fit.coefficient(2);
        return Math.abs(across) <= 1e-9 * largest ? 0 : (int) Math.signum(across);
    }

    double vertex() {
        return middle - half * fit.coefficient(1) / (2 * fit.coefficient(2));
    }

    /** Whether the vertex lies strictly between the places that were read. */
    boolean isInside() {
        double vertex = vertex();
        return vertex > middle - half && vertex < middle + half;
    }

    /** Standard error of the vertex; empty where the curve goes through every reading. */
    OptionalDouble vertexStdErr() {
        return vertexStdErr(0);
    }

    /** The same where no reading is surer than this. */
    OptionalDouble vertexStdErr(double leastError) {
        if (fit.degreesOfFreedom() == 0 && leastError == 0) {
            return OptionalDouble.empty();
        }
        double seen = fit.degreesOfFreedom() == 0 ? 0 : fit.variance();
        RealMatrix covariance = fit.covariance(Math.max(seen, leastError * leastError));
        double byB = -half / (2 * fit.coefficient(2));
        double byC = half * fit.coefficient(1) / (2 * fit.coefficient(2) * fit.coefficient(2));
        double variance = byB * byB * covariance.getEntry(1, 1)
                + 2 * byB * byC * covariance.getEntry(1, 2)
                + byC * byC * covariance.getEntry(2, 2);
        return OptionalDouble.of(Math.sqrt(Math.max(0, variance)));
    }

    int degreesOfFreedom() {
        return fit.degreesOfFreedom();
    }

    double at(double x) {
        double u = (x - middle) / half;
        return fit.coefficient(0) + u * (fit.coefficient(1) + u * fit.coefficient(2));
    }
}
