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
 * @param marginC kept above the dew point, °C
 * @param minCoolantC the coldest that the maker allows, °C
 * @param followC the difference to the room that the chiller keeps, °C, where it cannot be set
 * @param dryToPct the humidity at which this would do, %; absent where it does or where drying does not help
 * @param roomToC the room temperature at which a chiller that follows the room would do, °C; likewise
 */
public record SetpointFinding(
        double dewPointC,
        double lowestC,
        double highestC,
        OptionalDouble setpointC,
        double airTemperatureC,
        double relativeHumidityPct,
        double marginC,
        double minCoolantC,
        OptionalDouble followC,
        OptionalDouble dryToPct,
        OptionalDouble roomToC) {}
