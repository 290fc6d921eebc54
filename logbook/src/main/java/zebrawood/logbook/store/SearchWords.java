package zebrawood.logbook.store;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Set;

/** Parts a text into the words and numbers by which it is found, in one walk along it, however it is made. */
final class SearchWords {

    private SearchWords() {}

    /** Adds each word, without its accents and in small letters, and each number, its decimals after a full stop. */
    static void of(String text, Set<String> words) {
        String plain = folded(text);
        int length = plain.length();
        int at = 0;
        while (at < length) {
            int sign = plain.codePointAt(at);
            int from = at;
            at += Character.charCount(sign);
            if (Character.isDigit(sign)) {
                at = numberEnd(plain, at);
            } else if (Character.isLetter(sign)) {
                while (at < length && Character.isLetterOrDigit(plain.codePointAt(at))) {
                    at += Character.charCount(plain.codePointAt(at));
                }
            } else {
                continue;
            }
            words.add(plain.substring(from, at).replace(',', '.'));
        }
    }

    /** Where a number ends: digits, and each point or comma that has a digit after it. */
    private static int numberEnd(String text, int from) {
        int at = from;
        while (at < text.length()) {
            int sign = text.codePointAt(at);
            boolean divides = (sign == '.' || sign == ',')
                    && at + 1 < text.length()
                    && Character.isDigit(text.codePointAt(at + 1));
            if (!divides && !Character.isDigit(sign)) {
                return at;
            }
            at += Character.charCount(sign);
        }
        return at;
    }

    static boolean isNumber(String word) {
        return !word.isEmpty() && Character.isDigit(word.codePointAt(0));
    }

    private static String folded(String text) {
        if (text.chars().allMatch(sign -> sign < 128)) {
            return text.toLowerCase(Locale.ROOT);
        }
        StringBuilder plain = new StringBuilder();
        Normalizer.normalize(text, Normalizer.Form.NFKD)
                .codePoints()
                .filter(sign -> Character.getType(sign) != Character.NON_SPACING_MARK)
                .forEach(plain::appendCodePoint);
        return plain.toString().toLowerCase(Locale.ROOT);
    }
}
