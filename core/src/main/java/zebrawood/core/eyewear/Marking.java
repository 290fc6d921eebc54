package zebrawood.core.eyewear;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;

/** What is marked on eyewear, as one types it: {@code 900-1100 nm OD 6 pulses; 10600 OD 5}. */
public final class Marking {

    private static final int LONGEST = 400;
    private static final String NUMBER = "(\\d{1,6}(?:[.,]\\d{1,3})?)";
    private static final Pattern ONE = Pattern.compile(NUMBER + "\\s*(?:nm)?\\s*(?:(?:-|–|to)\\s*" + NUMBER
            + "\\s*(?:nm)?)?\\s*:?\\s*od\\s*" + NUMBER + "\\+?\\s*(pulses|steady)?");

    private Marking() {}

    /**
     * Reads what was typed; nothing typed is nothing marked.
     *
     * @throws ReadingException where a part reads otherwise, naming that part
     */
    public static List<EyewearPair.Mark> read(String typed) {
        if (typed.length() > LONGEST) {
            throw new ReadingException("marks", "is too long; type what is marked, up to 400 characters");
        }
        List<EyewearPair.Mark> marks = new ArrayList<>();
        for (String part : typed.split("[;\\n]")) {
            String one = part.strip().toLowerCase(Locale.ROOT);
            if (one.isEmpty()) {
                continue;
            }
            Matcher matcher = ONE.matcher(one);
            if (!matcher.matches()) {
                throw new ReadingException(
                        "marks",
                        "\"" + part.strip() + "\" cannot be read; type it as 900-1100 OD 6 pulses, one after the other "
                                + "with ; between them");
            }
            double from = number(matcher.group(1));
            marks.add(new EyewearPair.Mark(
                    from,
                    matcher.group(2) == null ? from : number(matcher.group(2)),
                    number(matcher.group(3)),
                    Optional.ofNullable(matcher.group(4))
                            .map(word -> EyewearPair.Light.valueOf(word.toUpperCase(Locale.ROOT)))));
        }
        return marks;
    }

    private static double number(String typed) {
        return Double.parseDouble(typed.replace(',', '.'));
    }

    /** As it is typed again. */
    public static String words(List<EyewearPair.Mark> marks) {
        return marks.stream().map(Marking::words).collect(Collectors.joining("; "));
    }

    private static String words(EyewearPair.Mark mark) {
        return shown(mark.fromNm()) + (mark.toNm() > mark.fromNm() ? "-" + shown(mark.toNm()) : "") + " nm OD "
                + shown(mark.density())
                + mark.light()
                        .map(light -> " " + light.name().toLowerCase(Locale.ROOT))
                        .orElse("");
    }

    /** A number of a marking without noughts behind its point. */
    static String shown(double number) {
        return number == Math.rint(number) ? Amount.plain(number, 0).number(UnitChoice.METRIC) : Amount.exact(number);
    }
}
