package zebrawood.core.procedure;

/** What can happen to a machine that makes earlier findings stale. */
public enum Change {
    MOVED("Moved", "moved", "The first light gate shuts, and the climate is read again at the new place."),
    SOURCE_CHANGED("Source changed", "source changed", "The first light gate shuts, and the focus is found again."),
    LENS_CHANGED("Lens changed", "lens changed", "The focus is found again. The gate stays as it is.");

    private final String title;
    private final String words;
    private final String consequence;

    Change(String title, String words, String consequence) {
        this.title = title;
        this.words = words;
        this.consequence = consequence;
    }

    public String title() {
        return title;
    }

    /** Within a sentence: {@code lens changed}. */
    public String words() {
        return words;
    }

    /** What follows from it, said before it is recorded. */
    public String consequence() {
        return consequence;
    }

    /** Whether nothing may fire after it until the gate is passed again. */
    public boolean shutsGate() {
        return this == MOVED || this == SOURCE_CHANGED;
    }
}
