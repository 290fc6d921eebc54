package zebrawood.core.procedure;

/** The parts of a commissioning and of the upkeep after it, in the order of the work. */
public enum Phase {
    PLACE("Place"),
    SERVICES("Services"),
    FIRST_LIGHT("First light"),
    CONTROLLER("Controller"),
    BEAM("Beam"),
    FOCUS("Focus"),
    HEIGHT("Height"),
    POWER("Power"),
    FIELD("Field"),
    CAMERA("Camera"),
    PATTERNS("Patterns"),
    MATERIAL("Material"),
    UPKEEP("Upkeep");

    private final String title;

    Phase(String title) {
        this.title = title;
    }

    /** As it stands on the Route. */
    public String title() {
        return title;
    }
}
