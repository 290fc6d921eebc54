package zebrawood.core.power;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * One fixed test, the same each time, over the life of a source.
 *
 * @param history at least three, in any order, each at other hours; what was measured before the source was replaced
 *     last is kept and not judged
 * @param floorPct at which it is worn out, of the fitted value at the first hours; 1 to 99, 80 where absent
 * @param events what was done meanwhile
 * @param measuredBy with what, watts where absent
 * @param scalesAgree whether sender and controller mean the same by 100 %, as they were compared last; absent where
 *     they never were
 */
public record TrendReadings(
        List<Point> history,
        OptionalDouble floorPct,
        List<Event> events,
        Optional<MeasuredBy> measuredBy,
        Optional<Boolean> scalesAgree) {

    public static final double FLOOR_PCT = 80;

    static final int LEAST = 3;

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

    /** Something that was done after so many beam hours, 0 or more. A test at the same hours was made after it. */
    public record Event(double hours, What what) {
        public Event {
            new Checks().atLeast("hours", hours, 0).present("what", what).done();
        }
    }

    /** With what a test is measured. */
    public enum MeasuredBy {
        WATTS,
        CURRENT,
        /** engraved cells, scored: it tells that something changed, and not how many watts */
        GRID
    }

    public TrendReadings {
        history = Checks.copy(history);
        events = Checks.copy(events);
        List<Point> given = history;
        List<Event> done = events;
        new Checks()
                .entries("history", history, LEAST)
                .distinct("history", history, "hours", Point::hours)
                .within("floorPct", floorPct, 1, 99)
                .enough(
                        given.size() < LEAST || life(given, done).size() >= LEAST,
                        "history",
                        "needs three tests since the source was replaced")
                .done();
    }

    /** Of this source alone, in the order of the hours. */
    List<Point> life() {
        return life(history, events);
    }

    private static List<Point> life(List<Point> history, List<Event> events) {
        double from = events.stream()
                .filter(event -> event.what() == What.REPLACED)
                .mapToDouble(Event::hours)
                .max()
                .orElse(0);
        return history.stream()
                .filter(point -> point.hours() >= from)
                .sorted(Comparator.comparingDouble(Point::hours))
                .toList();
    }

    MeasuredBy by() {
        return measuredBy.orElse(MeasuredBy.WATTS);
    }
}
