package zebrawood.core.switching;

/** Which way a machine is switched. */
public enum Way {
    UP("Switching on", "up"),
    DOWN("Switching off", "down"),
    AFTER_CUT("After a power cut", "afterCut");

    private final String title;
    private final String field;

    Way(String title, String field) {
        this.title = title;
        this.field = field;
    }

    public String title() {
        return title;
    }

    /** Its name in the readings. */
    public String field() {
        return field;
    }
}
