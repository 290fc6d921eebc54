package zebrawood.core.mirrors;

import java.util.Arrays;

/**
 * How the four screws were turned, each as the places it stood at, turns from where it was found. A mount with backlash
 * follows its screw only while the play is taken up: its contact lies between {@code u - (p - z)} and {@code u + z},
 * where u is where the screw stands, p the play and z how much of it lay below when the screw was found (the play
 * operator of hysteresis; Visintin, Differential Models of Hysteresis, III.2).
 */
final class Turned {

    /** mirror 1 A, B, mirror 2 A, B */
    static final int SCREWS = 4;

    /** Nobody has turned anything. */
    static final Turned NOTHING = new Turned(new double[SCREWS][1]);

    private final double[][] stood;

    private Turned(double[][] stood) {
        this.stood = stood;
    }

    static int index(int mirror, Screw screw) {
        return 2 * (mirror - 1) + screw.ordinal();
    }

    /** The same, and then this one. */
    Turned then(PlanReadings.Turn turn) {
        double[][] longer = stood.clone();
        int screw = index(turn.mirror(), turn.screw());
        double[] path = Arrays.copyOf(stood[screw], stood[screw].length + 1);
        path[path.length - 1] = path[path.length - 2] + turn.turns();
        longer[screw] = path;
        return new Turned(longer);
    }

    boolean isTouched(int screw) {
        return stood[screw].length > 1;
    }

    boolean isTouchedMirror(int mirror) {
        return isTouched(2 * mirror - 2) || isTouched(2 * mirror - 1);
    }

    /** Where a screw stands now, turns from where it was found. */
    double now(int screw) {
        return stood[screw][stood[screw].length - 1];
    }

    /** Whether its last turn was clockwise by at least this much. */
    boolean cameFromBelow(int screw, double turns) {
        double[] path = stood[screw];
        double up = 0;
        for (int i = path.length - 1; i > 0 && path[i] >= path[i - 1]; i--) {
            up = path[path.length - 1] - path[i - 1];
        }
        return up >= turns - 1e-9;
    }

    /**
     * What the mount made of it.
     *
     * @param turns how far it followed its screw, turns
     * @param byBelow its derivative by z
     * @param byPlay its derivative by p
     */
    record Followed(double turns, double byBelow, double byPlay) {}

    /** How far a mount followed its screw, for a play and the part of it that lay below at first, turns. */
    Followed followed(int screw, double below, double play) {
        double at = 0;
        double byBelow = 0;
        double byPlay = 0;
        double z = Math.max(0, Math.min(below, play));
        double p = Math.max(0, play);
        for (double u : stood[screw]) {
            if (u - (p - z) > at) {
                at = u - (p - z);
                byBelow = 1;
                byPlay = -1;
            } else if (u + z < at) {
                at = u + z;
                byBelow = 1;
                byPlay = 0;
            }
        }
        return new Followed(at, byBelow, byPlay);
    }
}
