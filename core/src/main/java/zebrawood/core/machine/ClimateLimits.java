package zebrawood.core.machine;

import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * The room climate that a machine's maker allows; limits include their end values.
 *
 * @param minTemperatureC least air temperature, °C, -60..150
 * @param maxTemperatureC highest air temperature, °C, not under the least
 * @param minHumidityPct least relative humidity, %, 0..100; 0 where absent
 * @param maxHumidityPct highest relative humidity, %, 0..100, not under the least
 */
public record ClimateLimits(
        double minTemperatureC, double maxTemperatureC, OptionalDouble minHumidityPct, double maxHumidityPct) {

    public ClimateLimits {
        new Checks()
                .within("minTemperatureC", minTemperatureC, -60, 150)
                .within("maxTemperatureC", maxTemperatureC, -60, 150)
                .within("minHumidityPct", minHumidityPct, 0, 100)
                .within("maxHumidityPct", maxHumidityPct, 0, 100)
                .tie(
                        () -> maxTemperatureC >= minTemperatureC,
                        "maxTemperatureC",
                        "must not be under the lowest temperature")
                .tie(
                        () -> maxHumidityPct >= minHumidityPct.orElse(0),
                        "maxHumidityPct",
                        "must not be under the lowest humidity")
                .done();
    }

    /** Least relative humidity with its default filled in, %. */
    public double leastHumidityPct() {
        return minHumidityPct.orElse(0);
    }
}
