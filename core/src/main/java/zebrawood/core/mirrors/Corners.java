package zebrawood.core.mirrors;

import java.util.List;

/**
 * The marks at the four corners of the bed, as a guess has them: two coordinates each, one after the other.
 *
 * @param mean where they sit, mm
 * @param slopes their derivatives by what is not known
 * @param covariance of their coordinates, mm²
 */
record Corners(double[] mean, double[][] slopes, double[][] covariance) {

    private static final int MANY = 4;

    static Corners of(Belief belief, Guess guess) {
        double[] mean = new double[2 * MANY];
        double[][] slopes = new double[2 * MANY][];
        List<Place> places = belief.geometry.corners();
        for (int i = 0; i < MANY; i++) {
            Guess.Seen seen = belief.seen(guess, places.get(i));
            for (int c = 0; c < 2; c++) {
                mean[2 * i + c] = seen.at()[c];
                slopes[2 * i + c] = seen.slopes()[c];
            }
        }
        return new Corners(mean, slopes, guess.covarianceOf(slopes, slopes));
    }

    /** The largest distance between two of the marks, mm. */
    double spread(double[] marks) {
        double most = 0;
        for (int i = 0; i < MANY; i++) {
            for (int j = 0; j < i; j++) {
                double x = marks[2 * i] - marks[2 * j];
                double y = marks[2 * i + 1] - marks[2 * j + 1];
                most = Math.max(most, x * x + y * y);
            }
        }
        return Math.sqrt(most);
    }

    /**
     * About how likely the spread is over a limit: that of the two marks that are likeliest to be, by a logistic curve
     * in place of the normal one (good to 0.01).
     */
    double over(double[] marks, double[][] doubt, double limitMm) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < MANY; i++) {
            for (int j = 0; j < i; j++) {
                double apart = Math.hypot(marks[2 * i] - marks[2 * j], marks[2 * i + 1] - marks[2 * j + 1]);
                least = Math.min(least, (limitMm - apart) / Math.sqrt(variance(doubt, i, j) + 1e-12));
            }
        }
        return 1 / (1 + Math.exp(1.702 * least));
    }

    /** Variance of what the two runs add, each along a side of the bed, mm². */
    double alongRuns() {
        double sum = 0;
        for (int c = 0; c < 2; c++) {
            sum += covariance[c][c] + covariance[2 + c][2 + c] - 2 * covariance[c][2 + c];
            sum += covariance[2 + c][2 + c] + covariance[6 + c][6 + c] - 2 * covariance[2 + c][6 + c];
        }
        return sum;
    }

    /** Mean variance of the distances between two marks, a coordinate, mm². */
    double meanVariance(double[][] doubt) {
        double sum = 0;
        for (int i = 0; i < MANY; i++) {
            for (int j = 0; j < i; j++) {
                sum += variance(doubt, i, j);
            }
        }
        return sum / 6;
    }

    /** Variance of the distance between two marks, of the coordinate in which it is larger, mm². */
    private static double variance(double[][] doubt, int i, int j) {
        double most = 0;
        for (int c = 0; c < 2; c++) {
            int a = 2 * i + c;
            int b = 2 * j + c;
            most = Math.max(most, doubt[a][a] + doubt[b][b] - 2 * doubt[a][b]);
        }
        return most;
    }

    /** What is left of the doubt once a mark is seen whose covariance with the corners and itself is given. */
    double[][] left(double[][] across, double[][] ofMark) {
        double[][] gain = gain(across, ofMark);
        double[][] left = new double[mean.length][mean.length];
        for (int i = 0; i < mean.length; i++) {
            for (int j = 0; j < mean.length; j++) {
                left[i][j] = covariance[i][j] - gain[i][0] * across[j][0] - gain[i][1] * across[j][1];
            }
        }
        return left;
    }

    /** How far the corners move for a millimetre of a mark beside where it was expected. */
    double[][] gain(double[][] across, double[][] ofMark) {
        double determinant = ofMark[0][0] * ofMark[1][1] - ofMark[0][1] * ofMark[1][0];
        double[][] gain = new double[mean.length][2];
        for (int i = 0; i < mean.length; i++) {
            gain[i][0] = (across[i][0] * ofMark[1][1] - across[i][1] * ofMark[1][0]) / determinant;
            gain[i][1] = (across[i][1] * ofMark[0][0] - across[i][0] * ofMark[0][1]) / determinant;
        }
        return gain;
    }

    /**
     * Lower triangle whose product with itself is the covariance (Cholesky, with what is dependent left at nothing).
     */
    double[][] root() {
        int n = mean.length;
        double[][] root = new double[n][n];
        for (int j = 0; j < n; j++) {
            double rest = covariance[j][j];
            for (int k = 0; k < j; k++) {
                rest -= root[j][k] * root[j][k];
            }
            if (rest <= 1e-12 * (1 + covariance[j][j])) {
                continue;
            }
            root[j][j] = Math.sqrt(rest);
            for (int i = j + 1; i < n; i++) {
                double sum = covariance[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= root[i][k] * root[j][k];
                }
                root[i][j] = sum / root[j][j];
            }
        }
        return root;
    }

    /** The marks for a point of the standard normal distribution. */
    double[] sample(double[][] root, double[] normal) {
        double[] marks = mean.clone();
        for (int i = 0; i < marks.length; i++) {
            for (int k = 0; k <= i; k++) {
                marks[i] += root[i][k] * normal[k];
            }
        }
        return marks;
    }
}
