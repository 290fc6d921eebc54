package zebrawood.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.Said;
import zebrawood.core.units.UnitChoice;

class SiteClimateTest {

    private static final ClimateLimits WREN = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);
    private final SiteClimate procedure = new SiteClimate();

    private Outcome<ClimateFinding> at(double temperature, double humidity) {
        return procedure.evaluate(new ClimateReadings(temperature, humidity, WREN));
    }

    @Test
    void dampAirIsToBeDriedOrWarmed() {
        Outcome<ClimateFinding> outcome = at(20, 80);

        assertThat(outcome.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(outcome.instructions().get(0).action().in(UnitChoice.METRIC))
                .isEqualTo("Dry the air to 66 % or less at this temperature.");
        assertThat(outcome.instructions().get(1).action().in(UnitChoice.METRIC))
                .isEqualTo("Or warm the room to 23.2 °C and leave the moisture as it is.");
    }

    @Test
    void aColdRoomIsToBeWarmedAndThenMoistenedIfThatMakesItTooDry() {
        assertThat(at(2, 40).instructions().get(0).action().in(UnitChoice.METRIC))
                .isEqualTo("Warm the room to 14.0 °C, then moisten the air to 22 % or more.");
    }

    /** The closed loop: whatever the room, doing what is said to the letter brings it within the limits. */
    @Test
    void whatIsSaidBringsAnyRoomWithinTheLimits() {
        SplittableRandom random = new SplittableRandom(14);
        int failing = 0;
        for (int i = 0; i < 5_000; i++) {
            double temperature = -45 + 105 * random.nextDouble();
            double humidity = 0.5 + 99.5 * random.nextDouble();
            ClimateFinding finding = at(temperature, humidity).finding();
            for (ClimateFinding.Remedy remedy : finding.remedies()) {
                failing++;
                double then = remedy.toTemperatureC().orElse(temperature);
                double humidityThen = remedy.toHumidityPct()
                        .orElse(HumidAir.humidityPctAt(then, HumidAir.vapourHPa(temperature, humidity)));
                assertThat(then).isBetween(14 - 1e-9, 29 + 1e-9);
                assertThat(humidityThen).isBetween(22 - 1e-6, 66 + 1e-6);
            }
            assertThat(finding.remedies().isEmpty()).isEqualTo(finding.temperatureOk() && finding.humidityOk());
        }
        assertThat(failing).isGreaterThan(3_000);
    }

    /** Sonntag's own table: at 20 °C water saturates at 23.4 hPa; moisture of saturated air there is 14.7 g/kg. */
    @Test
    void saturationIsAsPublished() {
        assertThat(HumidAir.saturationHPa(20)).isCloseTo(23.37, within(0.05));
        assertThat(HumidAir.moistureGPerKg(20, 100)).isCloseTo(14.69, within(0.05));
        assertThat(HumidAir.saturationTemperatureC(HumidAir.saturationHPa(-7.5)))
                .isCloseTo(-7.5, within(1e-9));
    }

    /** Warm damp air that is cooled would drip: it is dried first, and both done, the room suits the machine. */
    @Test
    void airNearItsDewPointIsDriedBeforeTheRoomIsCooled() {
        ClimateLimits limits = new ClimateLimits(14, 22, OptionalDouble.of(22), 66);
        Outcome<ClimateFinding> damp = procedure.evaluate(new ClimateReadings(31, 85, limits));
        Said said = damp.instructions().get(0).action();
        assertThat(said.words())
                .startsWith("Dry the air to {0} or less at this temperature, then cool the room to {1}");
        double humidity = said.amounts().get(0).asSaid();
        double celsius = said.amounts().get(1).asSaid();
        assertThat(HumidAir.dewPointC(31, humidity))
                .as("dry enough for the way there")
                .isLessThan(celsius);
        double then = 100 * HumidAir.vapourHPa(31, humidity) / HumidAir.saturationHPa(celsius);
        assertThat(procedure
                        .evaluate(new ClimateReadings(celsius, then, limits))
                        .verdict())
                .isEqualTo(Verdict.PASS);
    }

    /** Limits stand in decimals: a figure typed in Fahrenheit is at its end whatever its bits are. */
    @Test
    void aLimitIncludesItsEndInAnyUnit() {
        ClimateLimits limits = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);
        assertThat(procedure
                        .evaluate(new ClimateReadings((57.2 - 32) / 1.8, 22, limits))
                        .verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(procedure.evaluate(new ClimateReadings(13.99, 22, limits)).verdict())
                .isEqualTo(Verdict.FAIL);
    }
}
