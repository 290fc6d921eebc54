package zebrawood.core.controller;

import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a controller printed when asked for its settings: lines {@code $n=value}, each perhaps followed by a
 * remark in brackets. LF, CRLF or CR ends a line. Nothing is dropped: other lines are kept as unread.
 *
 * @param settings number to value; the last one wins
 * @param repeated numbers that stand more than once
 * @param unread every other line
 */
public record SettingsText(SortedMap<Integer, Double> settings, SortedSet<Integer> repeated, List<UnreadLine> unread) {

    /** A line that is no setting: its number from 1, and its text as it stands. */
    public record UnreadLine(int line, String text) {}

    private static final Pattern SETTING = Pattern.compile(
            "\\$\\s*+(\\d{1,9})\\s*+=\\s*+([+-]?(?:\\d++(?:\\.\\d*+)?|\\.\\d++))\\s*+(?:\\(.*\\))?");

    /** Reads a text as it came from the controller. */
    public static SettingsText parse(String text) {
        SortedMap<Integer, Double> settings = new TreeMap<>();
        SortedSet<Integer> repeated = new TreeSet<>();
        List<UnreadLine> unread = new ArrayList<>();
        int number = 0;
        for (int start = 0; start < text.length(); ) {
            int end = endOfLine(text, start);
            String line = text.substring(start, end);
            number++;
            Matcher setting = SETTING.matcher(line.strip());
            double value = setting.matches() ? Double.parseDouble(setting.group(2)) : Double.NaN;
            if (Double.isFinite(value)) {
                int key = Integer.parseInt(setting.group(1));
                if (settings.put(key, value) != null) {
                    repeated.add(key);
                }
            } else {
                unread.add(new UnreadLine(number, line));
            }
            start = end + (text.startsWith("\r\n", end) ? 2 : 1);
        }
        return new SettingsText(settings, repeated, unread);
    }

    private static int endOfLine(String text, int start) {
        int at = start;
        while (at < text.length() && text.charAt(at) != '\n' && text.charAt(at) != '\r') {
            at++;
        }
        return at;
    }
}
