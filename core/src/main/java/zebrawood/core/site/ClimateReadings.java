package zebrawood.core.site;

import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.reading.Checks;

/**
 * A hygrometer read beside the machine.
 *
 * @param airTemperatureC °C, -45..60
 * @param relativeHumidityPct %, above 0, up to 100
 * @param limits what the machine's maker allows
 */
public record ClimateReadings(double airTemperatureC, double relativeHumidityPct, ClimateLimits limits) {
    public ClimateReadings {
        new Checks()
                .within("airTemperatureC", airTemperatureC, -45, 60)
                .above("relativeHumidityPct", relativeHumidityPct, 0)
                .that(!(relativeHumidityPct > 100), "relativeHumidityPct", "there is no humidity above 100 %")
                .present("limits", limits)
                .done();
    }
}
