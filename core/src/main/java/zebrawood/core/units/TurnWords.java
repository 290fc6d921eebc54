package zebrawood.core.units;

/** A part of a turn as a hand makes it: in eighths. */
public final class TurnWords {

    private static final String[] EIGHTHS = {
        "",
        "an eighth of a turn",
        "a quarter turn",
        "three eighths of a turn",
        "half a turn",
        "five eighths of a turn",
        "three quarters of a turn",
        "seven eighths of a turn"
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
        String part = EIGHTHS[eighths % 8];
        if (whole == 0) {
            return about + part;
        }
        String wholes = whole == 1 ? "1 turn" : whole + " turns";
        return about + wholes + (part.isEmpty() ? "" : " and " + part);
    }
}
