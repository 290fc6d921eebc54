package zebrawood.core.gantry;

/**
 * A mirror on two screws and a pivot.
 *
 * @param point the middle of the mirror as it was meant, mm
 * @param normal what it faces when it is true
 * @param aside how far it was screwed on beside its place, mm
 * @param firstAxis about which screw A tilts it
 * @param secondAxis about which screw B does
 * @param radPerTurn how far each tilts it, rad a turn; negative for a screw that acts the other way
 * @param crossTalk share of each screw's tilt that goes about the other axis
 * @param playTurns backlash of each, turns
 */
record Mount(
        Vector point,
        Vector normal,
        Vector aside,
        Vector firstAxis,
        Vector secondAxis,
        double[] radPerTurn,
        double[] crossTalk,
        double[] playTurns) {

    /** What it faces once its screws stand so, tilted besides as it was found, rad. */
    Vector facing(double[] followed, double foundUpright, double foundLevel) {
        Vector across = new Vector(0, 0, 1).cross(normal).unit();
        double first = radPerTurn[0] * followed[0];
        double second = radPerTurn[1] * followed[1];
        Vector turned = normal.turned(firstAxis, first + crossTalk[1] * second);
        return turned.turned(secondAxis, second + crossTalk[0] * first)
                .turned(across, foundLevel)
                .turned(new Vector(0, 0, 1), foundUpright);
    }
}
