package zebrawood.core.units;

import java.util.List;

/**
 * A sentence with amounts in it, so that it can be said in any unit: {@code "Set the gap to {0}."}. A place
 * may be written {@code {0#}} for the number without its unit.
 *
 * @param words the sentence, with a numbered place for each amount
 * @param amounts what stands in the places
 */
public record Said(String words, List<Amount> amounts) {

    public Said {
        if (words.isBlank()) {
            throw new IllegalArgumentException("nothing said");
        }
        amounts = List.copyOf(amounts);
    }

    public static Said of(String words, Amount... amounts) {
        return new Said(words, List.of(amounts));
    }

    /** The sentence in the chosen units. */
    public String in(UnitChoice choice) {
        StringBuilder said = new StringBuilder(words);
        for (int i = 0; i < amounts.size(); i++) {
            replace(said, "{" + i + "}", amounts.get(i).text(choice));
            replace(said, "{" + i + "#}", amounts.get(i).number(choice));
        }
        return said.toString();
    }

    private static void replace(StringBuilder text, String place, String by) {
        for (int at = text.indexOf(place); at >= 0; at = text.indexOf(place, at + by.length())) {
            text.replace(at, at + place.length(), by);
        }
    }
}
