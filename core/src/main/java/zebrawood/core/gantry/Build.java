package zebrawood.core.gantry;

/**
 * How machines are built that are drawn at random: each bound is that of an even spread to both sides, unless it says
 * otherwise.
 *
 * @param bedXMm travel of the head along its rail, mm
 * @param bedYMm travel of the gantry, mm
 * @param nearMm from a mirror to the card at its nearest place, mm
 * @param mirrorMrad how far a mirror's beam is off, each way, mrad
 * @param tubeMm how far the tube stands off, each way, mm
 * @param tubeMrad how far it points off, each way, mrad
 * @param markErrorMm standard deviation of a coordinate of a mark, mm
 * @param gainShare how far a screw's effect is off the usual one: a share where it is below 1, else a factor
 * @param crossTalk standard deviation of the share of a screw's effect that goes to the other side
 * @param playTurns backlash, turns
 * @param flaw what is wrong with it
 */
public record Build(
        double bedXMm,
        double bedYMm,
        double nearMm,
        double mirrorMrad,
        double tubeMm,
        double tubeMrad,
        double markErrorMm,
        double gainShare,
        double crossTalk,
        double playTurns,
        Flaw flaw) {

    /** lever arm and pitch of a usual mount, mm */
    static final double ARM_MM = 40;

    static final double PITCH_MM = 0.5;

    /** A gantry of 700 by 500 mm as a technician finds it. */
    public static final Build USUAL = new Build(700, 500, 120, 8, 4, 0, 0.1, 0.1, 0.05, 0.03, Flaw.NONE);

    public Build withMarkError(double mm) {
        return new Build(
                bedXMm, bedYMm, nearMm, mirrorMrad, tubeMm, tubeMrad, mm, gainShare, crossTalk, playTurns, flaw);
    }

    public Build withGain(double share) {
        return new Build(
                bedXMm, bedYMm, nearMm, mirrorMrad, tubeMm, tubeMrad, markErrorMm, share, crossTalk, playTurns, flaw);
    }

    public Build with(Flaw wrong) {
        return new Build(
                bedXMm,
                bedYMm,
                nearMm,
                mirrorMrad,
                tubeMm,
                tubeMrad,
                markErrorMm,
                gainShare,
                crossTalk,
                playTurns,
                wrong);
    }
}
