package zebrawood.core.power;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import zebrawood.core.reading.Checks;

/**
 * One fixed test, the same each time, over the life of a source.
 *
 * @param history at least three, in any order, each at other hours; what was measured before the source was replaced
 *     last is kept and not judged
 * @param floorPct at which it is worn out, of the fitted value at the first hours; 1 to 99, 80 where absent
 * @param cleanedAtH beam hours at which the optics were cleaned, 0 or more; a test at the same hours was made after it
 * @param alignedAtH the same for mirrors
 * @param coolantAtH the same for the coolant
 * @param replacedAtH the same for the source: a new life begins
 * @param measuredBy with what, watts where absent
 * @param scalesAgree whether sender and controller mean the same by 100 %, as they were compared last; absent where
 *     they never were
 */
public record TrendReadings(
        List<Point> history,
        OptionalDouble floorPct,
        List<Double> cleanedAtH,
        List<Double> alignedAtH,
        List<Double> coolantAtH,
        List<Double> replacedAtH,
        Optional<MeasuredBy> measuredBy,
        Optional<Boolean> scalesAgree) {

    public static final double FLOOR_PCT = 80;

    static final int LEAST = 3;
    private static final String NOT_HOURS = "must be hours of 0 or more";

    /** What the test came to, W, mA or a score, above 0, after so many beam hours, 0 or more. */
    public record Point(double hours, double value) {
        public Point {
            new Checks().atLeast("hours", hours, 0).above("value", value, 0).done();
        }
    }

    /** What can be done to a source and its way. */
    public enum What {
        CLEANED,
        ALIGNED,
        COOLANT,
        /** a new life begins */
        REPLACED
    }

    /** Something that was done after so many beam hours. */
    public record Event(double hours, What what) {}

    /** With what a test is measured. */
    public enum MeasuredBy {
        WATTS,
        CURRENT,
        /** engraved cells, scored: it tells that something changed, and not how many watts */
        GRID
    }

    public TrendReadings {
        history = Checks.copy(history);
        cleanedAtH = Checks.copy(cleanedAtH);
        alignedAtH = Checks.copy(alignedAtH);
        coolantAtH = Checks.copy(coolantAtH);
        replacedAtH = Checks.copy(replacedAtH);
        List<Point> given = history;
        List<Double> replaced = replacedAtH;
        new Checks()
                .entries("history", history, LEAST)
                .distinct("history", history, "hours", Point::hours)
                .within("floorPct", floorPct, 1, 99)
                .that(areHours(cleanedAtH), "cleanedAtH", NOT_HOURS)
                .that(areHours(alignedAtH), "alignedAtH", NOT_HOURS)
                .that(areHours(coolantAtH), "coolantAtH", NOT_HOURS)
                .that(areHours(replacedAtH), "replacedAtH", NOT_HOURS)
                .enough(
                        given.size() < LEAST || life(given, replaced).size() >= LEAST,
                        "history",
                        "needs three tests since the source was replaced")
                .done();
    }

    private static boolean areHours(List<Double> hours) {
        return hours.stream().allMatch(each -> Double.isFinite(each) && each >= 0);
    }

    /** What was done meanwhile, in the order of the hours. */
    List<Event> events() {
        return Stream.of(
                        of(cleanedAtH, What.CLEANED),
                        of(alignedAtH, What.ALIGNED),
                        of(coolantAtH, What.COOLANT),
                        of(replacedAtH, What.REPLACED))
                .flatMap(Function.identity())
                .sorted(Comparator.comparingDouble(Event::hours))
                .toList();
    }

    private static Stream<Event> of(List<Double> hours, What what) {
        return hours.stream().map(each -> new Event(each, what));
    }

    /** Of this source alone, in the order of the hours. */
    List<Point> life() {
        return life(history, replacedAtH);
    }

    private static List<Point> life(List<Point> history, List<Double> replaced) {
        double from = replaced.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        return history.stream()
                .filter(point -> point.hours() >= from)
                .sorted(Comparator.comparingDouble(Point::hours))
                .toList();
    }

    MeasuredBy by() {
        return measuredBy.orElse(MeasuredBy.WATTS);
    }
}
