package zebrawood.core.procedure;

/** The parts of a commissioning, in the order of the work. */
public enum Phase {
    PLACE("Place"),
    FIRST_LIGHT("First light"),
    CONTROLLER("Controller"),
    FOCUS("Focus");

    private final String title;

    Phase(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
