package zebrawood.core.power;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * One fixed test, the same each time, over the life of a source.
 *
 * @param history at least three, in any order, each at other hours
 * @param floorPct at which it is worn out, of the fitted value at the first hours; 1 to 99, 80 where absent
 */
public record TrendReadings(List<Point> history, OptionalDouble floorPct) {

    public static final double FLOOR_PCT = 80;

    static final int LEAST = 3;

    /** What the test came to, W or mA, above 0, after so many beam hours, 0 or more. */
    public record Point(double hours, double value) {
        public Point {
            new Checks().atLeast("hours", hours, 0).above("value", value, 0).done();
        }
    }

    public TrendReadings {
        history = Checks.copy(history);
        new Checks()
                .entries("history", history, LEAST)
                .distinct("history", history, "hours", Point::hours)
                .within("floorPct", floorPct, 1, 99)
                .done();
    }
}
