package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;

/**
 * One way in which a mount may answer its screws, coordinates as seen at the head.
 *
 * @param weight how likely, of 1
 * @param mean effect of screws A and B, mrad a turn, two coordinates each
 * @param deviation standard deviation of it
 */
record MountGuess(double weight, double[][] mean, double[][] deviation) {

    /** the share of mounts whose screws act neither straight up nor straight aside */
    private static final double ASKEW = 0.004;
    /** the share of mounts that no longer are what an earlier visit found */
    private static final double CHANGED = 0.005;
    /** the smallest doubt of an effect, share of the usual one: no mount is better made */
    private static final double LEAST = 0.01;

    /**
     * All the ways: either screw to either side, either way round.
     *
     * @param side -1 where what is right on this mirror's card is left at the head, 1 where it is not
     * @param tipped share of a screw's effect that a mirror has which is tipped, not turned: 1 or less
     */
    static List<MountGuess> of(PlanReadings.Mount mount, double side, double tipped) {
        List<MountGuess> guesses = new ArrayList<>();
        double usual = mount.usualMradPerTurn();
        double gainPct = mount.gainErrorPct().orElse(100);
        if (mount.learned().isPresent()) {
            guesses.add(learned(mount.learned().get(), usual, side));
            guesses.add(askew(usual, gainPct, CHANGED));
            return guesses;
        }
        double along = Math.max(gainPct / 100, LEAST) * usual;
        double across = Math.max(mount.crossTalkPct().orElse(5) / 100, LEAST) * usual;
        double share = (1 - ASKEW) / 8;
        for (int upright = 0; upright < 2; upright++) {
            for (int signs = 0; signs < 4; signs++) {
                double[][] mean = new double[2][2];
                double[][] deviation = new double[2][2];
                for (int screw = 0; screw < 2; screw++) {
                    int coordinate = screw == upright ? 1 : 0;
                    double factor = coordinate == 1 ? tipped : 1;
                    mean[screw][coordinate] = ((signs >> screw & 1) == 0 ? 1 : -1) * usual * factor;
                    deviation[screw][coordinate] = along * factor;
                    deviation[screw][1 - coordinate] = across;
                }
                guesses.add(new MountGuess(share, mean, deviation));
            }
        }
        guesses.add(askew(usual, gainPct, ASKEW));
        return guesses;
    }

    private static MountGuess learned(PlanReadings.Learned learned, double usual, double side) {
        double[][] mean = new double[2][2];
        double[][] deviation = new double[2][2];
        for (int screw = 0; screw < 2; screw++) {
            double x = learned.mradPerTurn().get(0).get(screw);
            double y = learned.mradPerTurn().get(1).get(screw);
            double error = Math.max(learned.errorPct() / 100 * Math.hypot(x, y), LEAST * usual);
            mean[screw][0] = side * x;
            mean[screw][1] = y;
            deviation[screw][0] = error;
            deviation[screw][1] = error;
        }
        return new MountGuess(1 - CHANGED, mean, deviation);
    }

    private static MountGuess askew(double usual, double gainPct, double weight) {
        double wide = usual * (1 + gainPct / 100) / Math.sqrt(2);
        return new MountGuess(weight, new double[2][2], new double[][] {{wide, wide}, {wide, wide}});
    }

    /** A guess at the machine with this mount for a mirror that nobody has touched yet. */
    Guess in(Guess guess, int mirror) {
        Guess opened = guess.copy();
        opened.logWeight += Math.log(weight);
        for (int screw = 0; screw < 2; screw++) {
            for (int c = 0; c < 2; c++) {
                int at = Guess.gain(2 * (mirror - 1) + screw, c);
                opened.mean[at] = mean[screw][c];
                opened.covariance[at][at] = deviation[screw][c] * deviation[screw][c];
            }
        }
        return opened;
    }
}
