package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The small turns after which one mark tells most about which way the screws turn the beam. Several screws are turned
 * at once by different amounts, so that every way of mounting leaves its mark at another place.
 */
final class Trial {

    /** amounts of two screws of a mount, turns: far enough apart to be told from each other */
    private static final double[][] PAIRS = {
        {0, 0},
        {0.08, 0},
        {0, 0.15},
        {0.06, 0.12},
        {0.06, 0.18},
        {0.08, 0.24},
        {0.1, 0.16},
        {0.12, 0.3},
        {0.18, 0.08},
        {0.14, 0.4},
    };
    /** price of a millimetre by which the mark is likely moved away: it has to come back */
    private static final double PRICE = 0.00003;
    /** squared distance over the variance beyond which nobody takes two guesses for each other */
    private static final double FAR_APART = 60;
    /** the guesses that are looked at */
    private static final int MOST = 100;

    /** by how much a turn of a screw moves the mark there */
    static final Comparator<Place> FARTHEST_FIRST =
            Comparator.comparingDouble(at -> -at.gantryM() - 2 * at.carriageM());

    private final Belief belief;
    private final double error;

    Trial(Belief belief) {
        this.belief = belief.opened();
        this.error = belief.readings.markError();
    }

    /** The turns, and a shot at the place where their effect is largest and the beam is not lost. */
    Optional<Planner.Choice> choose(List<Place> places, double[] follow) {
        List<Place> farthest = new ArrayList<>(places);
        farthest.sort(FARTHEST_FIRST);
        double best = Double.POSITIVE_INFINITY;
        Planner.Choice choice = null;

        for (double[] first : PAIRS) {
            for (double[] second : PAIRS) {
                List<PlanReadings.Turn> turns = Correction.turns(belief, new double[] {
                    follow[0] + first[0], follow[1] + first[1], follow[2] + second[0], follow[3] + second[1]
                });
                if (turns.isEmpty()) {
                    continue;
                }
                Belief then = belief.after(turns);
                for (Place place : farthest) {
                    double cost = cost(then, place);
                    if (cost >= best) {
                        break;
                    }
                    if (Planner.meets(then, place)) {
                        best = cost;
                        choice = new Planner.Choice(turns, place, 0, 0);
                        break;
                    }
                }
            }
        }
        return Optional.ofNullable(choice);
    }

    /** How likely two guesses are still taken for each other after the shot, and how far the beam is led astray. */
    private double cost(Belief then, Place place) {
        int many = Math.min(MOST, then.guesses.size());
        double[] x = new double[many];
        double[] y = new double[many];
        double[] doubt = new double[many];
        double[] weight = new double[many];
        double whole = 0;
        double astray = 0;
        for (int i = 0; i < many; i++) {
            Guess guess = then.guesses.get(i);
            double[] at = then.seen(guess, place).at();
            x[i] = at[0];
            y[i] = at[1];
            doubt[i] = error * error;
            for (int screw = 0; screw < Turned.SCREWS; screw++) {
                double lever = screw < 2 ? place.gantryM() + place.carriageM() : place.carriageM();
                double far = screw < 2 ? then.geometry.yFarM() + then.geometry.xFarM() : then.geometry.xFarM();
                double by = then.turned.now(screw) - belief.turned.now(screw);
                for (int c = 0; c < 2; c++) {
                    int gain = Guess.gain(screw, c);
                    double effect = guess.mean[gain] * guess.mean[gain];
                    doubt[i] += lever * lever * by * by * guess.covariance[gain][gain] / 2;
                    if (by != 0) {
                        doubt[i] += lever * lever * effect * guess.covariance[Guess.BELOW + screw][Guess.BELOW + screw];
                    }
                    astray += then.weights[i] * far * far * by * by * effect;
                }
            }
            weight[i] = Math.sqrt(then.weights[i]);
            whole += then.weights[i];
        }
        double confused = 0;
        for (int i = 0; i < many; i++) {
            for (int j = 0; j < i; j++) {
                double apart = (x[i] - x[j]) * (x[i] - x[j]) + (y[i] - y[j]) * (y[i] - y[j]);
                double mean = (doubt[i] + doubt[j]) / 2;
                if (apart < FAR_APART * mean) {
                    confused += weight[i] * weight[j] * Math.exp(-apart / (8 * mean));
                }
            }
        }
        return confused / whole / many + PRICE * Math.sqrt(astray / whole);
    }
}
