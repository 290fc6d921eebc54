package zebrawood.core.controller;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a controller printed when asked for its settings: lines {@code $n=value}, each perhaps followed by a remark in
 * brackets. LF, CRLF or CR ends a line. Nothing is dropped: other lines are kept as unread.
 *
 * @param settings number to value; the last one wins
 * @param repeated numbers that stand more than once
 * @param unread every other line
 */
public record SettingsText(SortedMap<Integer, Double> settings, SortedSet<Integer> repeated, List<UnreadLine> unread) {

    /** A line that is no setting: its number from 1, and its text as it stands. */
    public record UnreadLine(int line, String text) {}

    private static final Pattern SETTING =
            Pattern.compile("\\$\\s*+(\\d{1,9})\\s*+=\\s*+([+-]?(?:\\d++(?:\\.\\d*+)?|\\.\\d++))\\s*+(?:\\(.*\\))?");

    /** Reads a text as it came from the controller. */
    public static SettingsText parse(String text) {
        SortedMap<Integer, Double> settings = new TreeMap<>();
        SortedSet<Integer> repeated = new TreeSet<>();
        List<UnreadLine> unread = new ArrayList<>();
        int number = 0;
        for (Iterator<String> lines = text.lines().iterator(); lines.hasNext(); ) {
            String line = lines.next();
            number++;
            Matcher setting = SETTING.matcher(line.strip());
            if (isSetting(setting)) {
                int key = Integer.parseInt(setting.group(1));
                if (settings.put(key, Double.parseDouble(setting.group(2))) != null) {
                    repeated.add(key);
                }
            } else {
                unread.add(new UnreadLine(number, line));
            }
        }
        return new SettingsText(settings, repeated, unread);
    }

    /** Whether any line of a text is a setting. */
    static boolean holdsSetting(String text) {
        return text.lines().anyMatch(line -> isSetting(SETTING.matcher(line.strip())));
    }

    private static boolean isSetting(Matcher line) {
        return line.matches() && Double.isFinite(Double.parseDouble(line.group(2)));
    }
}
