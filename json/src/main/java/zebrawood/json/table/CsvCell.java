package zebrawood.json.table;

import java.util.regex.Pattern;

/** What stands in a cell of a table that goes to somebody's spreadsheet. */
public final class CsvCell {

    private static final Pattern RUN_BY_SPREADSHEETS =
            Pattern.compile("[=+\\-@\\t\\r\\n\uFF1D\uFF0B\uFF0D\uFF20].*", Pattern.DOTALL);
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+([.,]\\d+)?");
    /** how far a clock is from UTC: begins as a formula does, and is none */
    private static final Pattern ZONE = Pattern.compile("[+-]\\d\\d:\\d\\d(:\\d\\d)?");
    /** what ends a cell where somebody's spreadsheet divides lines by it, and what it would then run */
    private static final Pattern RUN_AFTER_A_DIVIDER =
            Pattern.compile("([;\\t\\r\\n]\\s{0,20})(?=[=+\\-@\uFF1D\uFF0B\uFF0D\uFF20])");

    private CsvCell() {}

    /** Nothing in it that could begin or divide anything: most cells, told without looking for patterns. */
    private static boolean isPlain(String cell) {
        for (int i = 0; i < cell.length(); i++) {
            char each = cell.charAt(i);
            boolean plain = each >= 'a' && each <= 'z' || each >= 'A' && each <= 'Z' || each >= '0' && each <= '9';
            if (!plain && each != '.' && each != ' ' && each != ',' && each != '%' && each != ':') {
                return false;
            }
        }
        return true;
    }

    /** A cell that a spreadsheet would run as a formula gets an apostrophe before it. */
    public static String harmless(String cell) {
        if (isPlain(cell)
                || NUMBER.matcher(cell).matches()
                || ZONE.matcher(cell).matches()) {
            return cell;
        }
        String within = RUN_AFTER_A_DIVIDER.matcher(cell).replaceAll("$1'");
        return RUN_BY_SPREADSHEETS.matcher(within).matches() ? "'" + within : within;
    }
}
