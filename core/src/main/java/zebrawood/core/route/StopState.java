package zebrawood.core.route;

/** How a stop stands; each has its own shape and word. */
public enum StopState {
    OPEN("open"),
    BEGUN("begun"),
    PASSED("passed"),
    ADJUST("needs adjusting"),
    FAILED("failed"),
    UNCLEAR("unclear"),
    NOTE("note"),
    SHUT("shut"),
    DUE("due");

    private final String word;

    StopState(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
