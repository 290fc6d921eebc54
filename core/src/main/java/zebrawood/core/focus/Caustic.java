package zebrawood.core.focus;

import java.util.Arrays;
import java.util.Optional;
import org.hipparchus.linear.RealMatrix;
import zebrawood.core.fit.LinearFit;

/**
 * Weighted least squares of {@code d² = A + B g + C g²}, the form of the caustic in ISO 11146-1, by QR in the scaled
 * gap {@code u = (g - middle)/half}. Weights are 1/d² with the measured d: every d being equally uncertain, d² is
 * uncertain as 2 d.
 */
final class Caustic {

    /** a line a tenth wider than its thinnest is still taken for sharp */
    private static final double GROWTH = 1.1;

    private final double middle;
    private final double half;
    private final double[] coefficients;
    private final RealMatrix covariance;
    private final double largestSquare;

    private Caustic(double middle, double half, double[] coefficients, RealMatrix covariance, double largestSquare) {
        this.middle = middle;
        this.half = half;
        this.coefficients = coefficients;
        this.covariance = covariance;
        this.largestSquare = largestSquare;
    }

    /**
     * Fits a caustic.
     *
     * @param gaps at four or more different places, mm
     * @param widths of the same marks, above 0, mm
     * @param widthErrorMm one standard error of a width
     * @return empty where the numbers are too large, too small or too far apart to compute with
     */
    static Optional<Caustic> fit(double[] gaps, double[] widths, double widthErrorMm) {
        double unit = Arrays.stream(widths).max().orElseThrow();
        double least = Arrays.stream(gaps).min().orElseThrow();
        double most = Arrays.stream(gaps).max().orElseThrow();
        double middle = (least + most) / 2;
        double half = (most - least) / 2;
        double[][] rows = Arrays.stream(gaps)
                .map(gap -> (gap - middle) / half)
                .mapToObj(u -> new double[] {1, u, u * u})
                .toArray(double[][]::new);
        double[] squares = Arrays.stream(widths)
                .map(width -> width / unit * (width / unit))
                .toArray();
        double[] weights = Arrays.stream(widths).map(width -> unit / width).toArray();
        return LinearFit.of(rows, squares, weights)
                .map(fit -> {
                    // what is read varies at least as much as it is read surely: d² by twice that at weight 1
                    double variance = Math.max(fit.variance(), 4 * (widthErrorMm / unit) * (widthErrorMm / unit));
                    double square = unit * unit;
                    return new Caustic(
                            middle,
                            half,
                            Arrays.stream(fit.coefficients())
                                    .map(c -> c * square)
                                    .toArray(),
                            fit.covariance(variance).scalarMultiply(square).scalarMultiply(square),
                            square);
                })
                .filter(Caustic::isFinite);
    }

    private boolean isFinite() {
        return Double.isFinite(a())
                && Double.isFinite(b())
                && Double.isFinite(c())
                && Double.isFinite(covariance.getEntry(2, 2))
                && largestSquare > 0
                && Double.isFinite(largestSquare);
    }

    double a() {
        return coefficients[0] - coefficients[1] * middle / half + coefficients[2] * middle * middle / (half * half);
    }

    double b() {
        return coefficients[1] / half - 2 * coefficients[2] * middle / (half * half);
    }

    double c() {
        return coefficients[2] / (half * half);
    }

    /** Whether d² bends upward by more than nothing over the gaps measured. */
    boolean bends() {
        return 4 * coefficients[2] > 1e-9 * largestSquare;
    }

    /** Where d² is least, mm; only where it bends. */
    double bestGapMm() {
        return middle - half * coefficients[1] / (2 * coefficients[2]);
    }

    /** Standard error of the best gap by the delta method, mm. */
    double bestGapStdErrMm() {
        double byB = -half / (2 * coefficients[2]);
        double byC = half * coefficients[1] / (2 * coefficients[2] * coefficients[2]);
        double variance = byB * byB * covariance.getEntry(1, 1)
                + 2 * byB * byC * covariance.getEntry(1, 2)
                + byC * byC * covariance.getEntry(2, 2);
        return Math.sqrt(Math.max(0, variance));
    }

    /** d² at the best gap; not above 0 where no such line can be. */
    double waistSquare() {
        return coefficients[0] - coefficients[1] * coefficients[1] / (4 * coefficients[2]);
    }

    double rayleighMm() {
        return Math.sqrt(waistSquare() / c());
    }

    /** Over which the width grows by up to a tenth, mm: {@code 2 zR sqrt(1.1² - 1)}. */
    double depthMm() {
        return 2 * rayleighMm() * Math.sqrt(GROWTH * GROWTH - 1);
    }

    /** Fitted d² at a gap, mm². */
    double square(double gapMm) {
        double u = (gapMm - middle) / half;
        return coefficients[0] + u * (coefficients[1] + u * coefficients[2]);
    }
}
