package zebrawood.kit.view;

/** What is printed on. */
public enum Paper {
    A4("A4"),
    LETTER("letter paper");

    private final String words;

    Paper(String words) {
        this.words = words;
    }

    /** What it says, as read out. */
    public String words() {
        return words;
    }
}
