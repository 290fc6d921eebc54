package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * Which screws to turn, and how far.
 *
 * @param follow how far each mount is to follow its screw, turns
 * @param turns in the order in which they are made; each screw comes to its place clockwise, so that its play is taken
 *     up
 * @param left expected square of what the corners then are apart, share of what it is now
 * @param isBlind whether it is not known well enough which way the screws turn the beam
 */
record Correction(double[] follow, List<PlanReadings.Turn> turns, double left, boolean isBlind) {

    /** a hand makes a hundredth of a turn */
    private static final double STEP = 0.01;
    /** less is not worth a turn */
    private static final double LEAST = 0.006;
    /** more at once could lose the beam */
    private static final double MOST = 1;
    /** a turn back that takes up any play of a sound mount, turns */
    private static final double RUN_UP = 0.05;

    /** a turn that leaves this share of what is wrong, squared, is made without knowing which way */
    private static final double AMBIGUOUS = 0.3;

    /** guesses whose doubt is looked at in detail */
    private static final int LOOKED_AT = 8;

    /**
     * The turns that are expected to leave the corners nearest to each other, over all guesses: least squares over how
     * far each mount is to follow, with the doubt of a screw's effect as its price.
     */
    static Correction of(Belief belief) {
        double y = belief.geometry.yFarM() - belief.geometry.yNearM();
        double x = belief.geometry.xFarM() - belief.geometry.xNearM();
        double[][] square = new double[Turned.SCREWS][Turned.SCREWS];
        double[] right = new double[Turned.SCREWS];
        double now = 0;
        double unknown = 0;
        int most = belief.most(0.01);
        for (int i = 0; i < most; i++) {
            Guess guess = belief.guesses.get(i);
            double weight = belief.weights[i];
            unknown += i < LOOKED_AT ? weight * Corners.of(belief, guess).alongRuns() : 0;
            for (int c = 0; c < 2; c++) {
                double first = guess.mean[Guess.Y_ANGLE + c] + followed(belief, guess, c, 0);
                double second = first + guess.mean[Guess.ADDED + c] + followed(belief, guess, c, 2);
                now += weight * (y * y * first * first + x * x * second * second);
                for (int a = 0; a < Turned.SCREWS; a++) {
                    double gainA = guess.mean[Guess.gain(a, c)];
                    double priceA = a < 2 ? y * y + x * x : x * x;
                    right[a] -= weight * gainA * ((a < 2 ? y * y * first : 0) + x * x * second);
                    square[a][a] += weight * priceA * guess.covariance[Guess.gain(a, c)][Guess.gain(a, c)];
                    for (int b = 0; b < Turned.SCREWS; b++) {
                        double both = (a < 2 && b < 2 ? y * y : 0) + x * x;
                        square[a][b] += weight * both * gainA * guess.mean[Guess.gain(b, c)];
                    }
                }
            }
        }
        double[] follow = solved(square, right);
        double left = now;
        for (int a = 0; a < Turned.SCREWS; a++) {
            left -= 2 * right[a] * follow[a];
            for (int b = 0; b < Turned.SCREWS; b++) {
                left += square[a][b] * follow[a] * follow[b];
            }
        }
        List<PlanReadings.Turn> turns = turns(belief, follow);
        return new Correction(
                follow,
                turns,
                (Math.max(0, left) + unknown) / (now + unknown),
                Math.max(0, left) > AMBIGUOUS * now && now > unknown);
    }

    private static double followed(Belief belief, Guess guess, int c, int from) {
        double sum = 0;
        for (int screw = from; screw < from + 2; screw++) {
            sum += guess.mean[Guess.gain(screw, c)]
                    * belief.turned
                            .followed(screw, guess.mean[Guess.BELOW + screw], guess.mean[Guess.PLAY + screw])
                            .turns();
        }
        return sum;
    }

    private static double[] solved(double[][] square, double[] right) {
        double scale = 0;
        for (int i = 0; i < right.length; i++) {
            scale = Math.max(scale, square[i][i]);
        }
        for (int i = 0; i < right.length; i++) {
            square[i][i] += 1e-9 * scale + 1e-12;
        }
        RealVector solved = new QRDecomposition(new Array2DRowRealMatrix(square))
                .getSolver()
                .solve(new ArrayRealVector(right));
        double[] follow = solved.toArray();
        for (int i = 0; i < follow.length; i++) {
            follow[i] = Math.max(-MOST, Math.min(MOST, follow[i]));
        }
        return follow;
    }

    /** The turns after which each mount has followed so far, by the likeliest guess. */
    static List<PlanReadings.Turn> turns(Belief belief, double[] follow) {
        List<PlanReadings.Turn> turns = new ArrayList<>();
        Guess guess = belief.guesses.get(0);
        for (int screw = 0; screw < Turned.SCREWS; screw++) {
            if (Math.abs(follow[screw]) < LEAST) {
                continue;
            }
            double below = guess.mean[Guess.BELOW + screw];
            double play = guess.mean[Guess.PLAY + screw];
            double usual = belief.readings.mount(1 + screw / 2).play();
            double runUp = Math.max(RUN_UP, STEP * Math.ceil(2 * Math.max(play, usual) / STEP - 1e-9));
            double now = belief.turned.now(screw);
            double at = belief.turned.followed(screw, below, play).turns() + follow[screw] + play - below;
            double by = hundredths(at - now);
            boolean takenUp = belief.turned.cameFromBelow(screw, runUp);
            int mirror = 1 + screw / 2;
            Screw name = Screw.values()[screw % 2];
            if (by > 0 && (takenUp || by >= runUp)) {
                turns.add(new PlanReadings.Turn(mirror, name, by));
            } else if (by != 0 || !takenUp) {
                turns.add(new PlanReadings.Turn(mirror, name, hundredths(by - runUp)));
                turns.add(new PlanReadings.Turn(mirror, name, hundredths(runUp)));
            }
        }
        return List.copyOf(turns);
    }

    private static double hundredths(double turns) {
        return Math.rint(turns / STEP) / Math.rint(1 / STEP);
    }
}
