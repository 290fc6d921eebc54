package zebrawood.core.mirrors;

/**
 * What is taken for granted of a machine while its marks are read; all but the last are standard deviations.
 *
 * @param besideMm of how far beside its middle the beam meets mirror 1, mm
 * @param offMrad of how far each mirror's beam is off, mrad
 * @param twistMm of what the rails add at the corners, mm
 * @param bowMm of what they add in the middle of each run, mm
 * @param firstJumpMrad of how far mirror 1 jumps between two shots, mrad
 * @param secondJumpMrad of how far mirror 2 does
 * @param clearMm how far marks at the head come from the centre at the most, mm
 */
record Assumption(
        double besideMm,
        double offMrad,
        double twistMm,
        double bowMm,
        double firstJumpMrad,
        double secondJumpMrad,
        double clearMm) {

    /** Straight rails, tight mirrors, nothing in the way, and no mirror farther off than is usual. */
    static final Assumption SOUND = new Assumption(2.6, 4.8, 0.1, 0.06, 0, 0, Double.POSITIVE_INFINITY);

    /** The same, but that somebody may have set a mirror anyhow, or screwed it on elsewhere. */
    Assumption farOff() {
        return new Assumption(12, 16, twistMm, bowMm, firstJumpMrad, secondJumpMrad, clearMm);
    }

    /** Rails that are not straight. */
    Assumption bentRails() {
        return new Assumption(besideMm, offMrad, 1.5, 1.5, firstJumpMrad, secondJumpMrad, clearMm);
    }

    /** A mirror that does not stay where it was set. */
    Assumption loose(int mirror) {
        return new Assumption(besideMm, offMrad, twistMm, bowMm, mirror == 1 ? 2 : 0, mirror == 2 ? 2 : 0, clearMm);
    }

    /** Something before the card that cuts the beam off. */
    Assumption clipped(double mostMm) {
        return new Assumption(besideMm, offMrad, twistMm, bowMm, firstJumpMrad, secondJumpMrad, mostMm);
    }
}
