package zebrawood.core.procedure;

/** What can hurt at a stop, with the usual caution. Zebrawood informs; it does not authorise. */
public enum Hazard {
    BEAM("Beam: eyewear marked for this wavelength on everybody in the room, covers shut."),
    FUMES("Fumes: extraction on, known material only."),
    FIRE("Fire: stay with it from start to end, extinguisher in reach."),
    HIGH_VOLTAGE("High voltage: behind covers, a licensed person's work."),
    MAINS("Mains: sockets, cables and earth are a licensed electrician's work; unplug before you look."),
    MOVING_AXES("Moving axes: hands out before anything is sent."),
    LASER_MODE("Laser mode is no safeguard; the beam can stay on while nothing moves."),
    DUCTING("Ducting: outlet, fire dampers and what may leave the building are for whoever builds ducts here, "
            + "under the local code."),
    LIFTING("Lifting: enough people and a trolley that carries it, nobody under a hanging load, ways clear; the "
            + "machine's manual says where to hold it."),
    GAS_PRESSURE("Gas under pressure: bottle chained, the regulator that is made for this gas; nitrogen and argon "
            + "drive air out, oxygen feeds fire."),
    WATER_NEAR_MAINS("Water near high voltage: mains off while the circuit is open, dry before it is on again."),
    CONDENSATION("Condensation: let a cold machine warm up, powered off, before its source is switched on.");

    private final String caution;

    Hazard(String caution) {
        this.caution = caution;
    }

    /** What to mind, as a sentence shown where the work is done. */
    public String caution() {
        return caution;
    }
}
