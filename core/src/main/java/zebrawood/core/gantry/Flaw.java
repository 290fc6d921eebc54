package zebrawood.core.gantry;

/** What may be wrong with a machine that no screw mends. */
public enum Flaw {
    /** nothing */
    NONE,
    /** a rail that is not straight: what rides on it turns as it goes */
    BENT_RAIL,
    /** a mirror that does not stay where it was set */
    LOOSE_MIRROR,
    /** a mirror screwed on beside its place */
    MISPLACED_MIRROR,
    /** an opening before the card that cuts the beam off */
    CLIPPING
}
