package zebrawood.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LinearFitTest {

    /**
     * Longley's employment figures, as the National Institute of Standards and Technology certifies them: a fit that
     * ruins naive arithmetic.
     */
    private static final double[][] LONGLEY = {
        {83.0, 234289, 2356, 1590, 107608, 1947, 60323},
        {88.5, 259426, 2325, 1456, 108632, 1948, 61122},
        {88.2, 258054, 3682, 1616, 109773, 1949, 60171},
        {89.5, 284599, 3351, 1650, 110929, 1950, 61187},
        {96.2, 328975, 2099, 3099, 112075, 1951, 63221},
        {98.1, 346999, 1932, 3594, 113270, 1952, 63639},
        {99.0, 365385, 1870, 3547, 115094, 1953, 64989},
        {100.0, 363112, 3578, 3350, 116219, 1954, 63761},
        {101.2, 397469, 2904, 3048, 117388, 1955, 66019},
        {104.6, 419180, 2822, 2857, 118734, 1956, 67857},
        {108.4, 442769, 2936, 2798, 120445, 1957, 68169},
        {110.8, 444546, 4681, 2637, 121950, 1958, 66513},
        {112.6, 482704, 3813, 2552, 123366, 1959, 68655},
        {114.2, 502601, 3931, 2514, 125368, 1960, 69564},
        {115.7, 518173, 4806, 2572, 127852, 1961, 69331},
        {116.9, 554894, 4007, 2827, 130081, 1962, 70551}
    };

    private static double[] ones(int n) {
        return IntStream.range(0, n).mapToDouble(i -> 1).toArray();
    }

    @Test
    void thePublishedFitOfBadlyConditionedFiguresComesOut() {
        double[][] rows = Arrays.stream(LONGLEY)
                .map(row -> new double[] {1, row[0], row[1], row[2], row[3], row[4], row[5]})
                .toArray(double[][]::new);
        double[] wanted = Arrays.stream(LONGLEY).mapToDouble(row -> row[6]).toArray();
        LinearFit fit = LinearFit.of(rows, wanted, ones(rows.length)).orElseThrow();
        double[] certified = {
            -3482258.63459582,
            15.0618722713733,
            -0.0358191792925910,
            -2.02022980381683,
            -1.03322686717359,
            -0.0511041056535807,
            1829.15146461355
        };
        double[] errors = {
            890420.383607373,
            84.9149257747669,
            0.334910077722432e-1,
            0.488399681651699,
            0.214274163161675,
            0.226073200069370,
            455.478499142212
        };
        for (int i = 0; i < certified.length; i++) {
            assertThat(fit.coefficient(i))
                    .as("coefficient " + i)
                    .isCloseTo(certified[i], within(1e-6 * Math.abs(certified[i])));
            assertThat(Math.sqrt(fit.covariance(fit.variance()).getEntry(i, i)))
                    .as("its error")
                    .isCloseTo(errors[i], within(1e-6 * errors[i]));
        }
        assertThat(Math.sqrt(fit.variance())).isCloseTo(304.854073561965, within(1e-6));
        assertThat(fit.degreesOfFreedom()).isEqualTo(9);
    }

    /** Said of a weight: what is read twice as surely pulls four times as hard, as if it stood there four times. */
    @Test
    void aWeightOfTwoIsWorthFourReadings() {
        double[][] rows = {{1, 0}, {1, 1}, {1, 2}};
        double[] wanted = {0, 1.3, 1.8};
        LinearFit weighted = LinearFit.of(rows, wanted, new double[] {1, 2, 1}).orElseThrow();
        LinearFit repeated = LinearFit.of(
                        new double[][] {{1, 0}, {1, 1}, {1, 1}, {1, 1}, {1, 1}, {1, 2}},
                        new double[] {0, 1.3, 1.3, 1.3, 1.3, 1.8},
                        ones(6))
                .orElseThrow();
        assertThat(weighted.coefficients()).containsExactly(repeated.coefficients(), within(1e-12));
        assertThat(weighted.residuals()[1])
                .isCloseTo(2 * (1.3 - weighted.coefficient(0) - weighted.coefficient(1)), within(1e-12));
    }

    @Test
    void theStatedErrorIsTheScatterOfManyFits() {
        SplittableRandom random = new SplittableRandom(7);
        int runs = 4_000;
        double[] slopes = new double[runs];
        double stated = 0;
        for (int run = 0; run < runs; run++) {
            double[][] rows = new double[12][];
            double[] wanted = new double[12];
            double[] weights = new double[12];
            for (int i = 0; i < 12; i++) {
                double error = 0.5 + i * 0.1;
                rows[i] = new double[] {1, i / 6.0 - 1};
                wanted[i] = 3 + 2 * rows[i][1] + error * random.nextGaussian();
                weights[i] = 1 / error;
            }
            LinearFit fit = LinearFit.of(rows, wanted, weights).orElseThrow();
            slopes[run] = fit.coefficient(1);
            stated = Math.sqrt(fit.covariance(1).getEntry(1, 1));
        }
        double mean = Arrays.stream(slopes).average().orElseThrow();
        double scatter = Math.sqrt(Arrays.stream(slopes)
                        .map(slope -> (slope - mean) * (slope - mean))
                        .sum()
                / (runs - 1));
        assertThat(mean).isCloseTo(2, within(0.03));
        assertThat(scatter / stated).isBetween(0.96, 1.04);
    }

    @Test
    void columnsThatCannotBeToldApartGiveNoFitAndMisuseIsTold() {
        assertThat(LinearFit.of(new double[][] {{1, 2}, {1, 2}, {1, 2}}, new double[] {1, 2, 3}, ones(3)))
                .isEmpty();
        assertThat(LinearFit.of(
                        new double[][] {{1, 1e300}, {1, -1e300}, {1, 0}},
                        new double[] {1e300, 2, 3},
                        new double[] {1e300, 1, 1}))
                .isEmpty();
        assertThat(LinearFit.of(new double[][] {{1, 0}, {1, 1}}, new double[] {1, 2}, ones(2))
                        .orElseThrow()
                        .variance())
                .isNaN();
        assertThatThrownBy(() -> LinearFit.of(new double[][] {{1, 0, 0}, {1, 1, 1}}, new double[] {1, 2}, ones(2)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> LinearFit.of(new double[][] {{1}, {1}}, new double[] {1}, ones(2)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
