package zebrawood.core.route;

import zebrawood.core.procedure.Verdict;

/** How a stop stands; each has its own shape and word. */
public enum StopState {
    OPEN("open"),
    /** nobody waits for it */
    OFFERED("as wanted"),
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

    /** How a stop stands after this verdict. */
    public static StopState of(Verdict verdict) {
        return switch (verdict) {
            case PASS -> PASSED;
            case ADJUST -> ADJUST;
            case FAIL -> FAILED;
            case UNCLEAR -> UNCLEAR;
            case NOTE -> NOTE;
        };
    }

    public String word() {
        return word;
    }
}
