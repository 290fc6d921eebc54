package zebrawood.core.coolant;

import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * The air about the source, what its maker allows the water, and what the chiller can do.
 *
 * @param airTemperatureC °C, -45..60
 * @param relativeHumidityPct %, above 0, up to 100
 * @param marginC how far above the dew point the water stays, °C, 0 or more; 2 where absent
 * @param minCoolantC the coldest that the maker allows, °C, -60..150
 * @param maxCoolantC the warmest, °C, not under the coldest
 * @param holdC how closely the chiller holds what it is set to, °C, 0..5; 0.5 where absent
 * @param preferredC what is preferred, °C; 20 where absent
 * @param followC the difference to the room that a chiller keeps which cannot be set, °C, -30..30; then nothing is
 *     preferred
 */
public record SetpointReadings(
        double airTemperatureC,
        double relativeHumidityPct,
        OptionalDouble marginC,
        double minCoolantC,
        double maxCoolantC,
        OptionalDouble holdC,
        OptionalDouble preferredC,
        OptionalDouble followC) {

    /** Of a chiller that holds as most do. */
    public SetpointReadings(
            double airTemperatureC,
            double relativeHumidityPct,
            OptionalDouble marginC,
            double minCoolantC,
            double maxCoolantC,
            OptionalDouble preferredC,
            OptionalDouble followC) {
        this(
                airTemperatureC,
                relativeHumidityPct,
                marginC,
                minCoolantC,
                maxCoolantC,
                OptionalDouble.empty(),
                preferredC,
                followC);
    }

    public SetpointReadings {
        new Checks()
                .within("airTemperatureC", airTemperatureC, -45, 60)
                .above("relativeHumidityPct", relativeHumidityPct, 0)
                .that(!(relativeHumidityPct > 100), "relativeHumidityPct", "there is no humidity above 100 %")
                .atLeast("marginC", marginC, 0)
                .within("minCoolantC", minCoolantC, -60, 150)
                .within("maxCoolantC", maxCoolantC, -60, 150)
                .within("holdC", holdC, 0, 5)
                .within("preferredC", preferredC, -60, 150)
                .within("followC", followC, -30, 30)
                .tie(() -> maxCoolantC >= minCoolantC, "maxCoolantC", "must not be under the coldest water allowed")
                .tie(
                        () -> followC.isEmpty() || preferredC.isEmpty(),
                        "followC",
                        "a chiller that follows the room cannot be set: leave one of the two empty")
                .done();
    }
}
