package zebrawood.core.units;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A sentence with amounts in it, so that it can be said in any unit: {@code "Set the gap to {0}."}. A place may be
 * written {@code {0#}} for the number without its unit, and two opening brackets are one bracket.
 *
 * @param words the sentence, with a numbered place for each amount
 * @param amounts what stands in the places
 */
public record Said(String words, List<Amount> amounts) {

    private static final Pattern PLACE = Pattern.compile("\\{\\{|\\{(\\d+)(#?)\\}");

    public Said {
        if (words.isBlank()) {
            throw new IllegalArgumentException("nothing said");
        }
        amounts = List.copyOf(amounts);
    }

    public static Said of(String words, Amount... amounts) {
        return new Said(words, List.of(amounts));
    }

    /** Words that somebody typed, to be put into a sentence: what looks like a place in them is none. */
    public static String quoted(String words) {
        return words.replace("{", "{{");
    }

    /** Words that somebody typed, and nothing else; a dash where there are none. */
    public static Said verbatim(String words) {
        return of(words.isBlank() ? "-" : quoted(words));
    }

    /** The sentence in the chosen units. */
    public String in(UnitChoice choice) {
        StringBuilder said = new StringBuilder();
        Matcher place = PLACE.matcher(words);
        int from = 0;
        while (place.find()) {
            said.append(words, from, place.start()).append(place(place, choice));
            from = place.end();
        }
        return said.append(words, from, words.length()).toString();
    }

    /** What stands for a place: an amount, or the place as it is where there is none of that number. */
    private String place(Matcher place, UnitChoice choice) {
        if (place.group(1) == null) {
            return "{";
        }
        int number = place.group(1).length() > 3 ? Integer.MAX_VALUE : Integer.parseInt(place.group(1));
        if (number >= amounts.size()) {
            return place.group();
        }
        return place.group(2).isEmpty()
                ? amounts.get(number).text(choice)
                : amounts.get(number).number(choice);
    }
}
