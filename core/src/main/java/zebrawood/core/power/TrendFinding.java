package zebrawood.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * How a source falls over its hours.
 *
 * @param slopePer100h what it gains in 100 h; below 0 it falls
 * @param slopeLow lower end of its 95 % interval, from five readings on
 * @param slopeHigh upper end
 * @param changed whether that interval leaves out 0
 * @param nowPct fitted value at the last hours, of that at the first
 * @param hoursToFloor from the last hours until the fit is at the floor; 0 at or below it; absent where it does not
 *     fall
 * @param history in the order of the hours, for the drawing
 * @param intercept of the fitted line at 0 h
 * @param wear dirt told from age; absent where nothing was cleaned, or there are too few readings
 * @param before measured on a source that was replaced, in the order of the hours
 * @param events what was done meanwhile
 * @param measuredBy with what
 * @param tolerances what it was judged by
 */
public record TrendFinding(
        double slopePer100h,
        OptionalDouble slopeLow,
        OptionalDouble slopeHigh,
        Optional<Boolean> changed,
        OptionalDouble nowPct,
        OptionalDouble hoursToFloor,
        List<TrendReadings.Point> history,
        double intercept,
        Optional<Wear> wear,
        List<TrendReadings.Point> before,
        List<TrendReadings.Event> events,
        TrendReadings.MeasuredBy measuredBy,
        Tolerances tolerances) {

    /** A loss in 100 h with its 95 % interval, % of what was there. */
    public record Rate(double pct, double lowPct, double highPct) {}

    /** What takes more. */
    public enum Larger {
        DIRT,
        AGE,
        /** their intervals do not tell */
        UNCLEAR
    }

    /**
     * Dirt told from age.
     *
     * @param age of the source
     * @param dirt on the mean between cleanings
     * @param larger which of both takes more in the same hours
     * @param cleaningGivesPct what a cleaning would give back now
     * @param sourceLostPct what the source has lost since the first test
     * @param cleanedAtH cleanings that told something
     */
    public record Wear(
            Rate age,
            Rate dirt,
            Larger larger,
            double cleaningGivesPct,
            double sourceLostPct,
            List<Double> cleanedAtH) {
        public Wear {
            cleanedAtH = List.copyOf(cleanedAtH);
        }
    }

    /** Share of the first value at which it is worn out, %. */
    public record Tolerances(double floorPct) {}

    /** Whether the optics were cleaned between the last test and the one before it. */
    boolean isJustCleaned() {
        double before = history.get(history.size() - 2).hours();
        double last = history.get(history.size() - 1).hours();
        return events.stream()
                .anyMatch(event ->
                        event.what() == TrendReadings.What.CLEANED && event.hours() > before && event.hours() <= last);
    }

    /** Days from the last test until the floor is reached, at so many beam hours a day; empty where it is not. */
    public OptionalDouble daysToFloor(double perDayH) {
        return hoursToFloor.isPresent() && perDayH > 0
                ? OptionalDouble.of(hoursToFloor.getAsDouble() / perDayH)
                : OptionalDouble.empty();
    }

    public TrendFinding {
        history = List.copyOf(history);
        before = Checks.copy(before);
        events = Checks.copy(events);
    }
}
