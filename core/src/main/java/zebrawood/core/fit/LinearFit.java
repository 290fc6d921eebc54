package zebrawood.core.fit;

import java.util.Arrays;
import java.util.Optional;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Weighted linear least squares {@code min sum (w_i (y_i - x_i . b))²}, solved by Householder QR of the weighted rows,
 * never by normal equations. With R from {@code W X = Q R} the covariance of b is {@code s² (R^T R)^-1}, and {@code s²}
 * the mean squared weighted residual over n - p degrees of freedom (Bjoerck, Numerical Methods for Least Squares
 * Problems, 2.4 and 2.8).
 *
 * <p>Accurate to about the condition of X times 1e-16: scale the columns to about 1 before.
 */
public final class LinearFit {

    private final double[] coefficients;
    private final double[] residuals;
    private final RealMatrix inverse;

    private LinearFit(double[] coefficients, double[] residuals, RealMatrix inverse) {
        this.coefficients = coefficients;
        this.residuals = residuals;
        this.inverse = inverse;
    }

    /**
     * Fits.
     *
     * @param rows one a reading: the values of the p columns there, n rows with n at least p
     * @param wanted what was read, n values
     * @param weights 1 over the standard error of each reading up to a common factor, n values above 0
     * @return empty where the columns cannot be told apart by these rows, or a number is too large or small to compute
     *     with
     * @throws IllegalArgumentException where the three do not go together, or there are fewer rows than columns
     */
    public static Optional<LinearFit> of(double[][] rows, double[] wanted, double[] weights) {
        if (rows.length == 0
                || rows.length != wanted.length
                || rows.length != weights.length
                || rows.length < rows[0].length) {
            throw new IllegalArgumentException(rows.length + " rows, " + wanted.length + " values and " + weights.length
                    + " weights do not go together");
        }
        double[][] weighted = new double[rows.length][];
        double[] right = new double[rows.length];
        for (int i = 0; i < rows.length; i++) {
            double weight = weights[i];
            weighted[i] = Arrays.stream(rows[i]).map(value -> weight * value).toArray();
            right[i] = weight * wanted[i];
        }
        try {
            return Optional.of(solved(new Array2DRowRealMatrix(weighted, false), new ArrayRealVector(right, false)))
                    .filter(LinearFit::isFinite);
        } catch (MathRuntimeException singular) {
            return Optional.empty();
        }
    }

    private static LinearFit solved(RealMatrix rows, RealVector wanted) {
        int columns = rows.getColumnDimension();
        QRDecomposition qr = new QRDecomposition(rows);
        RealVector solved = qr.getSolver().solve(wanted);
        RealMatrix inverse = new QRDecomposition(qr.getR().getSubMatrix(0, columns - 1, 0, columns - 1))
                .getSolver()
                .getInverse();
        return new LinearFit(
                solved.toArray(), wanted.subtract(rows.operate(solved)).toArray(), inverse);
    }

    private boolean isFinite() {
        return Arrays.stream(coefficients).allMatch(Double::isFinite)
                && Arrays.stream(residuals).allMatch(Double::isFinite)
                && Arrays.stream(inverse.getData())
                        .flatMapToDouble(Arrays::stream)
                        .allMatch(Double::isFinite);
    }

    /** What was fitted, a value a column. */
    public double[] coefficients() {
        return coefficients.clone();
    }

    /** One coefficient, from 0. */
    public double coefficient(int column) {
        return coefficients[column];
    }

    /** Weighted residuals {@code w_i (y_i - x_i . b)}, one a row. */
    public double[] residuals() {
        return residuals.clone();
    }

    /** Rows more than columns: 0 where the fit goes through every reading. */
    public int degreesOfFreedom() {
        return residuals.length - coefficients.length;
    }

    /**
     * Mean squared weighted residual over the degrees of freedom: the square of what one reading of weight 1 scatters
     * by; NaN where there are none.
     */
    public double variance() {
        return degreesOfFreedom() == 0
                ? Double.NaN
                : Arrays.stream(residuals).map(residual -> residual * residual).sum() / degreesOfFreedom();
    }

    /**
     * Covariance of what was fitted.
     *
     * @param variance of one reading of weight 1: {@link #variance()}, or what is known beforehand
     */
    public RealMatrix covariance(double variance) {
        return inverse.multiplyTransposed(inverse).scalarMultiply(variance);
    }
}
