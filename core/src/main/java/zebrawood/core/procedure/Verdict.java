package zebrawood.core.procedure;

/** What is made of a finding. */
public enum Verdict {
    PASS("pass"),
    /** the instructions will fix it */
    ADJUST("adjust"),
    /** cannot be fixed by adjusting this; the instructions say what is needed */
    FAIL("fail"),
    /** measure more; the instructions say what */
    UNCLEAR("unclear"),
    /** information only */
    NOTE("note");

    private final String word;

    Verdict(String word) {
        this.word = word;
    }

    /** The verdict as it stands on pages and paper, in capitals. */
    public String word() {
        return word;
    }

    /** Whether a requirement is satisfied by it. */
    public boolean satisfies() {
        return this == PASS || this == NOTE;
    }
}
