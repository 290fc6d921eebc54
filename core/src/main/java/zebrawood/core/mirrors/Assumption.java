package zebrawood.core.mirrors;

/**
 * What is taken for granted of a machine while its marks are read.
 *
 * @param twistMm standard deviation of what the rails add at the corners, mm
 * @param bowMm of what they add in the middle of each run, mm
 * @param firstJumpMrad of how far mirror 1 jumps between two shots, mrad
 * @param secondJumpMrad of how far mirror 2 does
 * @param clearMm where marks at the head end, mm from the centre
 */
record Assumption(double twistMm, double bowMm, double firstJumpMrad, double secondJumpMrad, double clearMm) {

    /** Straight rails, tight mirrors, nothing in the way. */
    static final Assumption SOUND = new Assumption(0.06, 0.06, 0, 0, Double.POSITIVE_INFINITY);
    /** Rails that are not straight. */
    static final Assumption BENT_RAILS = new Assumption(1.5, 1.5, 0, 0, Double.POSITIVE_INFINITY);

    /** A mirror that does not stay where it was set. */
    static Assumption loose(int mirror) {
        return new Assumption(0.06, 0.06, mirror == 1 ? 2 : 0, mirror == 2 ? 2 : 0, Double.POSITIVE_INFINITY);
    }

    /** Something before the card that cuts marks off beyond a radius, mm. */
    static Assumption clipped(double clearMm) {
        return new Assumption(0.06, 0.06, 0, 0, clearMm);
    }
}
