package zebrawood.kit.figure;

/** Which part of a text stands at its x. */
public enum Anchor {
    START,
    MIDDLE,
    END;

    /** Where a text of this width starts. */
    public double start(double x, double width) {
        return switch (this) {
            case START -> x;
            case MIDDLE -> x - width / 2;
            case END -> x - width;
        };
    }
}
