package zebrawood.core.mirrors;

/**
 * One guess at a machine: which way its screws turn the beam, and given that, a Gaussian over everything that is not
 * known. Every mark is linear in what is not known but for the products of a screw's effect and its play; those are
 * linearised (extended Kalman filter; Simon, Optimal State Estimation, 13.2).
 *
 * <p>The state, coordinates as seen at the head: where the beam meets mirror 1 (mm), its angle on the Y run and what
 * mirror 2 adds to it (mrad), how far mirror 2 stands aside (mm), what the rails add at the corners and in the middle
 * of each run (mm), four screws' effects (mrad a turn, two coordinates each), the part of each play that lay below
 * (turns) and each play (turns).
 */
final class Guess {

    static final int AT_MIRROR = 0;
    static final int Y_ANGLE = 2;
    static final int ADDED = 4;
    static final int ASIDE = 6;
    static final int TWIST = 8;
    static final int GAIN = 10;
    static final int BELOW = 18;
    static final int PLAY = 22;
    static final int BOW_Y = 26;
    static final int BOW_X = 28;
    static final int SIZE = 30;

    /** what is to the right on a card at mirror 2 is this side at the head: -1, as a mirror turns it over, or 1 */
    final double side;
    /** how far a mark at the head comes from the centre at the most, mm; infinite where nothing is in its way */
    final double clearMm;
    /** share of a screw's effect that a mirror has which is tipped, not turned */
    final double tipped;

    final double[] mean;
    final double[][] covariance;
    double logWeight;

    Guess(double side, double clearMm, double tipped, double[] mean, double[][] covariance, double logWeight) {
        this.side = side;
        this.clearMm = clearMm;
        this.tipped = tipped;
        this.mean = mean;
        this.covariance = covariance;
        this.logWeight = logWeight;
    }

    Guess copy() {
        double[][] deep = new double[SIZE][];
        for (int i = 0; i < SIZE; i++) {
            deep[i] = covariance[i].clone();
        }
        return new Guess(side, clearMm, tipped, mean.clone(), deep, logWeight);
    }

    static int gain(int screw, int coordinate) {
        return GAIN + 2 * screw + coordinate;
    }

    /**
     * A mark as this guess has it, linear about a state.
     *
     * @param at where it would sit for that state, mm, two coordinates
     * @param slopes its derivatives, two rows
     */
    record Seen(double[] at, double[][] slopes) {}

    /** The mark at a place, linear about a state. */
    Seen seen(Geometry geometry, Place place, Turned turned, double[] about) {
        double[][] slopes = new double[2][SIZE];
        double[] at = new double[2];
        double run = place.gantryM() + place.carriageM();
        double y = geometry.gantryShare(place.gantryM());
        double x = geometry.carriageShare(place.carriageM());
        for (int c = 0; c < 2; c++) {
            double sign = !place.isAtHead() && c == 0 ? side : 1;
            double[] row = slopes[c];
            row[AT_MIRROR + c] = sign;
            row[Y_ANGLE + c] = sign * run;
            row[BOW_Y + c] = sign * (1 - y * y);
            if (place.isAtHead()) {
                row[ADDED + c] = place.carriageM();
                row[TWIST + c] = x * y;
                row[BOW_X + c] = 1 - x * x;
            } else {
                row[ASIDE + c] = -sign;
            }
            double sum = 0;
            for (int i = 0; i < SIZE; i++) {
                sum += row[i] * about[i];
            }
            at[c] = sum;
        }
        for (int screw = 0; screw < Turned.SCREWS; screw++) {
            double lever = screw < 2 ? run : place.carriageM();
            if (lever == 0 || !turned.isTouched(screw)) {
                continue;
            }
            Turned.Followed followed = turned.followed(screw, about[BELOW + screw], about[PLAY + screw]);
            for (int c = 0; c < 2; c++) {
                double sign = !place.isAtHead() && c == 0 ? side : 1;
                double gain = about[gain(screw, c)];
                slopes[c][gain(screw, c)] = sign * lever * followed.turns();
                slopes[c][BELOW + screw] = sign * lever * gain * followed.byBelow();
                slopes[c][PLAY + screw] = sign * lever * gain * followed.byPlay();
                at[c] += sign * lever * gain * followed.turns();
            }
        }
        if (place.isAtHead()) {
            clip(at, slopes);
        }
        return new Seen(at, slopes);
    }

    /**
     * The middle of what an opening lets through: {@code m tanh(r / m)} from the centre, where m is how far it comes.
     */
    private void clip(double[] at, double[][] slopes) {
        double radius = Math.hypot(at[0], at[1]);
        if (Double.isInfinite(clearMm) || radius == 0) {
            return;
        }
        double nx = at[0] / radius;
        double ny = at[1] / radius;
        double share = clearMm * Math.tanh(radius / clearMm) / radius;
        double cosh = Math.cosh(Math.min(radius / clearMm, 20));
        for (int i = 0; i < SIZE; i++) {
            double along = nx * slopes[0][i] + ny * slopes[1][i];
            double less = along * (1 / (cosh * cosh) - share);
            slopes[0][i] = share * slopes[0][i] + nx * less;
            slopes[1][i] = share * slopes[1][i] + ny * less;
        }
        at[0] *= share;
        at[1] *= share;
    }

    /**
     * Takes in a mark.
     *
     * @param seen the mark as it was guessed, linear about {@code about}
     * @param about the state it is linear about
     * @param marks the two coordinates as read, mm
     * @param errorMm standard deviation of each, mm
     * @return the misfit, squared and over its variance, of both coordinates
     */
    double learn(Seen seen, double[] about, double[] marks, double errorMm) {
        double misfit = 0;
        for (int c = 0; c < 2; c++) {
            double[] row = seen.slopes()[c];
            double expected = seen.at()[c];
            double[] carried = new double[SIZE];
            double variance = errorMm * errorMm;
            for (int i = 0; i < SIZE; i++) {
                if (row[i] != 0) {
                    expected += row[i] * (mean[i] - about[i]);
                    double[] column = covariance[i];
                    for (int j = 0; j < SIZE; j++) {
                        carried[j] += row[i] * column[j];
                    }
                }
            }
            for (int i = 0; i < SIZE; i++) {
                variance += row[i] * carried[i];
            }
            double off = marks[c] - expected;
            for (int i = 0; i < SIZE; i++) {
                if (carried[i] != 0) {
                    double share = carried[i] / variance;
                    mean[i] += share * off;
                    double[] column = covariance[i];
                    for (int j = 0; j < SIZE; j++) {
                        column[j] -= share * carried[j];
                    }
                }
            }
            misfit += off * off / variance;
            logWeight -= 0.5 * (off * off / variance + Math.log(variance));
        }
        return misfit;
    }

    /** Covariance of two linear forms over what is known: {@code left P right'}. */
    double[][] covarianceOf(double[][] left, double[][] right) {
        double[][] out = new double[left.length][right.length];
        for (int r = 0; r < right.length; r++) {
            double[] carried = new double[SIZE];
            for (int i = 0; i < SIZE; i++) {
                double slope = right[r][i];
                if (slope != 0) {
                    double[] column = covariance[i];
                    for (int j = 0; j < SIZE; j++) {
                        carried[j] += slope * column[j];
                    }
                }
            }
            for (int l = 0; l < left.length; l++) {
                double sum = 0;
                for (int i = 0; i < SIZE; i++) {
                    sum += left[l][i] * carried[i];
                }
                out[l][r] = sum;
            }
        }
        return out;
    }
}
