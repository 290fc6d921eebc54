package zebrawood.core.mirrors;

/**
 * What a guess expects of a shot that was not made yet, and what would be left of its doubt.
 *
 * @param weight how likely the guess is, of 1
 * @param corners as it has them now
 * @param expected where it expects the mark, mm
 * @param ofMark covariance of the mark as read, mm²
 * @param gain how far the corners move for a millimetre of the mark beside where it was expected
 * @param left covariance of the corners once it was read, mm²
 */
record Outlook(double weight, Corners corners, double[] expected, double[][] ofMark, double[][] gain, double[][] left) {

    static Outlook of(Belief belief, int index, Place place, double error) {
        Guess guess = belief.guesses.get(index);
        Corners corners = Corners.of(belief, guess);
        Guess.Seen seen = belief.seen(guess, place);
        double[][] ofMark = guess.covarianceOf(seen.slopes(), seen.slopes());
        ofMark[0][0] += error * error;
        ofMark[1][1] += error * error;
        double[][] across = guess.covarianceOf(corners.slopes(), seen.slopes());
        return new Outlook(
                belief.weights[index],
                corners,
                seen.at(),
                ofMark,
                corners.gain(across, ofMark),
                corners.left(across, ofMark));
    }

    /** Mean variance of the distances between corners that is left, mm². */
    double doubt() {
        return corners.meanVariance(left);
    }

    /** A mark that it expects, for a point of the standard normal distribution. */
    double[] mark(double[] normal) {
        double a = Math.sqrt(ofMark[0][0]);
        double b = ofMark[1][0] / a;
        double c = Math.sqrt(Math.max(0, ofMark[1][1] - b * b));
        return new double[] {expected[0] + a * normal[0], expected[1] + b * normal[0] + c * normal[1]};
    }

    /** How likely it holds such a mark, up to a factor that is the same for all guesses. */
    double likelihood(double[] mark) {
        double x = mark[0] - expected[0];
        double y = mark[1] - expected[1];
        double determinant = ofMark[0][0] * ofMark[1][1] - ofMark[0][1] * ofMark[1][0];
        double misfit = (x * x * ofMark[1][1] - 2 * x * y * ofMark[0][1] + y * y * ofMark[0][0]) / determinant;
        return Math.exp(-0.5 * misfit) / Math.sqrt(determinant);
    }

    /** How likely the spread is over a limit once such a mark was read. */
    double over(double[] mark, double limitMm) {
        double x = mark[0] - expected[0];
        double y = mark[1] - expected[1];
        double[] marks = new double[gain.length];
        for (int i = 0; i < marks.length; i++) {
            marks[i] = corners.mean()[i] + gain[i][0] * x + gain[i][1] * y;
        }
        return corners.over(marks, left, limitMm);
    }
}
