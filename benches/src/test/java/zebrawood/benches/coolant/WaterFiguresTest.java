package zebrawood.benches.coolant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.HeatFinding;
import zebrawood.core.coolant.HeatReadings;
import zebrawood.core.coolant.MixReadings;
import zebrawood.core.coolant.SetpointFinding;
import zebrawood.core.coolant.SetpointReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

/** What the water's benches draw follows the finding, at any width and in either unit. */
class WaterFiguresTest {

    private static final UnitChoice FAHRENHEIT = new UnitChoice(false, true);

    private static SetpointFinding setpoint(double air, double humidity, OptionalDouble follow) {
        return new CoolantSetpoint()
                .evaluate(new SetpointReadings(
                        air, humidity, OptionalDouble.empty(), 15, 25, OptionalDouble.empty(), follow))
                .finding();
    }

    @ParameterizedTest
    @CsvSource({"23.5, 52, true", "26, 68, true", "32, 78, false", "5, 30, true"})
    void theWaterStandsInItsWindowOrNotAtAll(double air, double humidity, boolean dry) {
        SetpointFinding finding = setpoint(air, humidity, OptionalDouble.empty());
        Drawn drawn = Drawn.of(SetpointFigure.of(Optional.of(finding), UnitChoice.METRIC), 620, 420);
        assertThat(drawn.words()).contains("dew ", "maker's warmest");
        assertThat(drawn.words().contains("set ")).isEqualTo(dry);
        assertThat(drawn.areas().stream().anyMatch(area -> area.tone() == Tone.PASS))
                .isEqualTo(dry);
    }

    @Test
    void nothingStandsBesideTheDrawingWhateverTheDay() {
        SplittableRandom random = new SplittableRandom(4);
        for (int i = 0; i < 400; i++) {
            SetpointFinding finding = setpoint(
                    -10 + 50 * random.nextDouble(),
                    5 + 95 * random.nextDouble(),
                    random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(-5 + 10 * random.nextDouble()));
            for (double width : new double[] {620, 380}) {
                Drawn drawn = Drawn.of(SetpointFigure.of(Optional.of(finding), FAHRENHEIT), width, 380);
                assertThat(drawn.crowded(width, 380))
                        .filteredOn(words -> words.startsWith("outside"))
                        .as(finding.toString())
                        .isEmpty();
                assertThat(drawn.words()).doesNotContain("°C");
            }
        }
    }

    private static HeatFinding heat(OptionalDouble bucket, OptionalDouble chiller) {
        return new CoolantHeat()
                .evaluate(new HeatReadings(
                        780, 88, 8.5, Optional.empty(), OptionalDouble.empty(), 19, 27, bucket, chiller))
                .finding();
    }

    @Test
    void aBucketIsDrawnWithTheMinuteAtWhichToStop() {
        Drawn drawn = Drawn.of(
                HeatFigure.of(Optional.of(heat(OptionalDouble.of(20), OptionalDouble.empty())), UnitChoice.METRIC),
                620,
                420);
        assertThat(drawn.words()).contains("stop after 13 min", "two buckets", "outlet no warmer than 27.0 °C");
        assertThat(drawn.crowded(620, 420)).isEmpty();
        Drawn warm = Drawn.of(
                HeatFigure.of(
                        Optional.of(new CoolantHeat()
                                .evaluate(new HeatReadings(
                                        780,
                                        88,
                                        0.5,
                                        Optional.empty(),
                                        OptionalDouble.empty(),
                                        19,
                                        27,
                                        OptionalDouble.of(20),
                                        OptionalDouble.empty()))
                                .finding()),
                        UnitChoice.METRIC),
                620,
                420);
        assertThat(warm.words()).contains("too warm from the beginning");
    }

    @Test
    void aChillerIsDrawnWithWhatItCarriesAndLacks() {
        Drawn enough = Drawn.of(
                HeatFigure.of(Optional.of(heat(OptionalDouble.empty(), OptionalDouble.of(1400))), UnitChoice.METRIC),
                620,
                420);
        assertThat(enough.words()).contains("692 W", "1400 W", "102 % in reserve", "20.2 °C");
        assertThat(enough.crowded(620, 420)).isEmpty();
        Drawn weak = Drawn.of(
                HeatFigure.of(Optional.of(heat(OptionalDouble.empty(), OptionalDouble.of(600))), UnitChoice.METRIC),
                620,
                420);
        assertThat(weak.words()).contains("lacks 13 %");
    }

    /** The level falls by what the hoses take: drawn to scale between the floor of the reservoir and its mark. */
    @Test
    void theLevelFallsByWhatIsToppedUp() {
        MixReadings readings = new MixReadings(
                6200, OptionalDouble.of(4350), Optional.empty(), -9, OptionalDouble.empty(), Glycol.ETHYLENE);
        Drawn drawn = Drawn.of(
                MixFigure.of(Optional.of(new CoolantMix().evaluate(readings).finding()), UnitChoice.METRIC), 620, 420);
        assertThat(drawn.words()).contains("4350 ml", "1850 ml", "25 % glycol");
        assertThat(drawn.crowded(620, 420)).isEmpty();
        double floor = 420 - 44;
        double[] heights = drawn.areas().stream()
                .filter(area -> area.tone() == Tone.BAND)
                .mapToDouble(area -> floor - area.top())
                .toArray();
        assertThat(heights).hasSize(3);
        assertThat(heights[1] / heights[0]).isCloseTo((4350 - 1850) / 4350.0, within(1e-6));
        assertThat(heights[2]).isEqualTo(heights[0]);
    }
}
