package zebrawood.core.evenness;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.procedure.Evaluation;
import zebrawood.core.reading.ReadingException;

/** Columns that a fit is made of, each a value a place. */
record Design(List<double[]> columns) {

    /** share of its largest entry by which a column must vary to say anything */
    private static final double LEAST_VARIED = 0.01;
    /** least singular value of columns that say different things */
    private static final double LEAST_APART = 0.01;

    static Design constant(int places) {
        double[] ones = new double[places];
        Arrays.fill(ones, 1);
        return new Design(List.of(ones));
    }

    Design with(double[]... more) {
        List<double[]> all = new ArrayList<>(columns);
        all.addAll(List.of(more));
        return new Design(all);
    }

    int size() {
        return columns.size();
    }

    private double[] row(int place) {
        return columns.stream().mapToDouble(column -> column[place]).toArray();
    }

    /** Every place once. */
    LinearFit fit(double[] values) {
        int[] places = new int[values.length];
        Arrays.setAll(places, i -> i);
        return fit(values, places);
    }

    /**
     * @param values read
     * @param places the place of each
     */
    LinearFit fit(double[] values, int[] places) {
        double[][] rows = Arrays.stream(places).mapToObj(this::row).toArray(double[][]::new);
        double[] weights = new double[values.length];
        Arrays.fill(weights, 1);
        return LinearFit.of(rows, values, weights)
                .orElseThrow(() -> new ReadingException("places", Evaluation.TOO_EXTREME));
    }

    static double squares(LinearFit fit) {
        return Arrays.stream(fit.residuals()).map(r -> r * r).sum();
    }

    /** What a fit says at a place. */
    double at(LinearFit fit, int place) {
        double sum = 0;
        double[] row = row(place);
        for (int i = 0; i < row.length; i++) {
            sum += row[i] * fit.coefficient(i);
        }
        return sum;
    }

    /** Variance of what a fit says at a place, of one value with a variance of 1. */
    double leverage(LinearFit fit, int place) {
        double[] row = row(place);
        double[][] covariance = fit.covariance(1).getData();
        double sum = 0;
        for (int i = 0; i < row.length; i++) {
            for (int j = 0; j < row.length; j++) {
                sum += row[i] * covariance[i][j] * row[j];
            }
        }
        return sum;
    }

    /** Whether these columns vary, and say something that these ones here do not. */
    boolean isToldFrom(double[]... more) {
        for (double[] column : more) {
            double largest = Arrays.stream(column).map(Math::abs).max().orElse(0);
            if (range(column) < LEAST_VARIED * largest || largest == 0) {
                return false;
            }
        }
        List<double[]> all = with(more).columns();
        double[][] centred = new double[columns.get(0).length][all.size() - 1];
        for (int c = 1; c < all.size(); c++) {
            double mean = Arrays.stream(all.get(c)).average().orElse(0);
            double length = Math.sqrt(Arrays.stream(all.get(c))
                    .map(value -> (value - mean) * (value - mean))
                    .sum());
            for (int i = 0; i < centred.length; i++) {
                centred[i][c - 1] = (all.get(c)[i] - mean) / length;
            }
        }
        double[] singular =
                new SingularValueDecomposition(new Array2DRowRealMatrix(centred, false)).getSingularValues();
        return singular[singular.length - 1] >= LEAST_APART;
    }

    /** Largest less smallest. */
    static double range(double[] values) {
        return Arrays.stream(values).max().orElse(0)
                - Arrays.stream(values).min().orElse(0);
    }
}
