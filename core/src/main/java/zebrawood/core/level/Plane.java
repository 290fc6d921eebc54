package zebrawood.core.level;

import java.util.Arrays;
import java.util.Optional;
import zebrawood.core.fit.LinearFit;

/** The plane {@code z = c + a x + b y} through points by least squares, fitted about their middle. */
final class Plane {

    private final double middleX;
    private final double middleY;
    private final double scale;
    private final LinearFit fit;

    private Plane(double middleX, double middleY, double scale, LinearFit fit) {
        this.middleX = middleX;
        this.middleY = middleY;
        this.scale = scale;
        this.fit = fit;
    }

    /** Through at least three points that are not in line; empty where the numbers cannot be computed with. */
    static Optional<Plane> through(double[] x, double[] y, double[] z) {
        double middleX = Arrays.stream(x).average().orElseThrow();
        double middleY = Arrays.stream(y).average().orElseThrow();
        double scale = 0;
        for (int i = 0; i < x.length; i++) {
            scale = Math.max(scale, Math.max(Math.abs(x[i] - middleX), Math.abs(y[i] - middleY)));
        }
        double[][] rows = new double[x.length][];
        for (int i = 0; i < x.length; i++) {
            rows[i] = new double[] {1, (x[i] - middleX) / scale, (y[i] - middleY) / scale};
        }
        double[] weights = new double[x.length];
        Arrays.fill(weights, 1);
        double used = scale;
        return LinearFit.of(rows, z, weights).map(fit -> new Plane(middleX, middleY, used, fit));
    }

    double at(double x, double y) {
        return fit.coefficient(0) + slopeX() * (x - middleX) + slopeY() * (y - middleY);
    }

    double slopeX() {
        return fit.coefficient(1) / scale;
    }

    double slopeY() {
        return fit.coefficient(2) / scale;
    }

    /** What was read less what the plane says, one a point. */
    double[] residuals() {
        return fit.residuals();
    }

    /** Sum of the squares of the residuals. */
    double misfit() {
        return Arrays.stream(fit.residuals()).map(r -> r * r).sum();
    }

    int degreesOfFreedom() {
        return fit.degreesOfFreedom();
    }

    /** Of one reading, from how they scatter about the plane; only with more than three points. */
    double variance() {
        return fit.variance();
    }

    /** Standard error of the slope along x where one reading has this variance. */
    double slopeXStdErr(double variance) {
        return Math.sqrt(fit.covariance(variance).getEntry(1, 1)) / scale;
    }

    /** Standard error of the slope along y where one reading has this variance. */
    double slopeYStdErr(double variance) {
        return Math.sqrt(fit.covariance(variance).getEntry(2, 2)) / scale;
    }
}
