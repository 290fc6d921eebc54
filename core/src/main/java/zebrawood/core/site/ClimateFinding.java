package zebrawood.core.site;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.machine.ClimateLimits;

/**
 * What the room's air is like, and what would bring it within the limits.
 *
 * @param dewPointC °C
 * @param temperatureOk whether the temperature is within its limits
 * @param humidityOk whether the humidity is within its limits
 * @param airTemperatureC as read, °C
 * @param relativeHumidityPct as read, %
 * @param moistureGPerKg g water per kg of dry air at 1013.25 hPa
 * @param remedies ways to bring it within the limits, the simplest first; empty when it is
 * @param tolerances what it was judged by
 */
public record ClimateFinding(
        double dewPointC,
        boolean temperatureOk,
        boolean humidityOk,
        double airTemperatureC,
        double relativeHumidityPct,
        double moistureGPerKg,
        List<Remedy> remedies,
        Tolerances tolerances) {

    /** The limits of the day. */
    public record Tolerances(ClimateLimits limits) {}

    /**
     * Warm, cool, dry or moisten: where to go on the humidity chart, first to the temperature, then to the humidity
     * there.
     *
     * @param toTemperatureC the nearest temperature that is enough, °C; absent where it may stay
     * @param humidityTherePct the humidity at that temperature when no water is added or taken, %
     * @param toHumidityPct the nearest humidity that is enough there, %; absent where none need be added or taken
     */
    public record Remedy(OptionalDouble toTemperatureC, double humidityTherePct, OptionalDouble toHumidityPct) {}

    public ClimateFinding {
        remedies = List.copyOf(remedies);
    }
}
