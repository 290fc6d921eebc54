package zebrawood.core.mirrors;

/** A part of a turn as a hand makes it: in eighths. */
public final class TurnWords {

    private static final String[] EIGHTHS = {
        "", "an eighth", "a quarter", "three eighths", "half", "five eighths", "three quarters", "seven eighths"
    };
    /** nearer to an eighth than this is as good as one, turns */
    private static final double NEAR = 0.015;

    private TurnWords() {}

    /** {@code about a quarter turn}, {@code less than an eighth of a turn}; either way round. */
    public static String of(double turns) {
        double many = Math.abs(turns);
        int eighths = (int) Math.rint(many * 8);
        if (eighths == 0) {
            return "less than an eighth of a turn";
        }
        boolean near = Math.abs(many - eighths / 8.0) <= NEAR;
        String about = near ? "" : many > eighths / 8.0 ? "a little more than " : "a little less than ";
        int whole = eighths / 8;
        int rest = eighths % 8;
        if (rest == 0) {
            return about + (whole == 1 ? "one whole turn" : whole + " whole turns");
        }
        String part = EIGHTHS[rest]
                + (rest == 1 || rest == 3 || rest == 5 || rest == 6 || rest == 7 ? " of a turn" : " turn");
        return about + (whole == 0 ? "" : whole + " and ") + part;
    }
}
