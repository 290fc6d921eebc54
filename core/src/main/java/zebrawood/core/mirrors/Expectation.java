package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.beam.Spot;

/**
 * Where a mark is expected, over all guesses.
 *
 * @param spot the middle of what is expected
 * @param radiusMm 95 % of all marks sit no farther from it, mm
 */
record Expectation(Spot spot, double radiusMm) {

    private static final double SURE = 0.95;
    private static final int POINTS = 400;
    private static final int LEAST_POINTS = 16;
    private static final double UNSEEN = 0.001;

    /**
     * Expects a mark at a place.
     *
     * @param errorMm standard deviation with which it is read, mm; 0 for where the beam itself is
     */
    static Expectation of(Belief belief, Place place, double errorMm) {
        int most = belief.most(UNSEEN);
        List<double[]> marks = new ArrayList<>();
        List<Double> weights = new ArrayList<>();
        double x = 0;
        double y = 0;
        double whole = 0;
        for (int i = 0; i < most; i++) {
            Guess guess = belief.guesses.get(i);
            Guess.Seen seen = belief.seen(guess, place);
            double[][] doubt = guess.covarianceOf(seen.slopes(), seen.slopes());
            double a = Math.sqrt(doubt[0][0] + errorMm * errorMm);
            double b = a == 0 ? 0 : doubt[1][0] / a;
            double c = Math.sqrt(Math.max(0, doubt[1][1] + errorMm * errorMm - b * b));
            int points = Math.max(LEAST_POINTS, (int) (POINTS * belief.weights[i]));
            for (int p = 0; p < points; p++) {
                double[] normal = Normals.point(p);
                marks.add(new double[] {seen.at()[0] + a * normal[0], seen.at()[1] + b * normal[0] + c * normal[1]});
                weights.add(belief.weights[i] / points);
            }
            x += belief.weights[i] * seen.at()[0];
            y += belief.weights[i] * seen.at()[1];
            whole += belief.weights[i];
        }
        double middleX = x / whole;
        double middleY = y / whole;
        List<Spread.Weighed> apart = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            apart.add(new Spread.Weighed(
                    Math.hypot(marks.get(i)[0] - middleX, marks.get(i)[1] - middleY), weights.get(i)));
        }
        return new Expectation(new Spot(middleX, middleY), Spread.Weighed.quantile(apart, SURE));
    }
}
