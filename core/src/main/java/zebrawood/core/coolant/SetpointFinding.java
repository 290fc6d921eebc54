package zebrawood.core.coolant;

import java.util.OptionalDouble;

/**
 * Between which temperatures the water may be today.
 *
 * @param dewPointC °C
 * @param lowestC lower end of the window, °C
 * @param highestC its upper end, °C
 * @param setpointC what to set, or what a chiller that follows the room gives, °C; absent where the window is empty
 * @param airTemperatureC as read, °C
 * @param relativeHumidityPct as read, %
 * @param followC the difference to the room that the chiller keeps, °C, where it cannot be set
 * @param dryToPct the humidity at which this would do, %; absent where it does or where drying does not help
 * @param roomToC the room temperature at which a chiller that follows the room would do, °C; likewise
 * @param tolerances what it was judged by
 */
public record SetpointFinding(
        double dewPointC,
        double lowestC,
        double highestC,
        OptionalDouble setpointC,
        double airTemperatureC,
        double relativeHumidityPct,
        OptionalDouble followC,
        OptionalDouble dryToPct,
        OptionalDouble roomToC,
        Tolerances tolerances) {

    /**
     * The limits of the day: kept above the dew point, the coldest and the warmest that the maker allows, how closely
     * the chiller holds its set-point, °C.
     */
    public record Tolerances(double marginC, double minCoolantC, double maxCoolantC, OptionalDouble holdC) {}

    private double hold() {
        return tolerances.holdC().orElse(0);
    }

    /** The lowest that the chiller may be set to, °C: it swings about that. */
    double lowestSetC() {
        return lowestC + hold();
    }

    /** The highest that it may be set to, °C. */
    double highestSetC() {
        return highestC - hold();
    }
}
