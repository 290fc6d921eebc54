package zebrawood.benches.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.site.ClimateFinding;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class ClimateChartTest {

    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);

    @ParameterizedTest
    @CsvSource({"21.4, 46, true", "17, 90, false", "-20, 60, false", "45, 12, false", "29, 66, true", "14, 22, true"})
    void thePointStandsInTheWindowExactlyWhenTheAirIsWithinTheLimits(
            double temperature, double humidity, boolean within) {
        ClimateReadings readings = new ClimateReadings(temperature, humidity, LIMITS);
        ClimateFinding finding = new SiteClimate().evaluate(readings).finding();
        Drawn drawn = Drawn.of(ClimateChart.chart(LIMITS, Optional.of(finding), UnitChoice.METRIC), 668, 640);
        Drawn.Area window = drawn.areas().stream()
                .filter(area -> area.filled() && area.tone() == Tone.BAND)
                .findFirst()
                .orElseThrow();
        Drawn.Area point = drawn.areas().stream()
                .filter(area -> area.filled() && area.tone() == Tone.READING)
                .reduce((a, b) -> b)
                .orElseThrow();
        double x = (point.left() + point.right()) / 2;
        double y = (point.top() + point.bottom()) / 2;

        assertThat(x >= window.left() - 0.1
                        && x <= window.right() + 0.1
                        && y >= window.top() - 0.1
                        && y <= window.bottom() + 0.1)
                .isEqualTo(within || finding.temperatureOk() && y >= window.top() && y <= window.bottom());
        assertThat(drawn.words()).contains("dew point", temperature + " °C");
        assertThat(drawn.areas().stream().anyMatch(area -> area.tone() == Tone.FAIL))
                .as("a way in is drawn")
                .isEqualTo(!within);
        assertThat(drawn.texts()).allMatch(text -> text.from() >= 0 && text.to() <= 668 && text.y() <= 640);
    }

    @ParameterizedTest
    @CsvSource({"21.4, 46", "17, 90"})
    void theAxisIsInTheUnitThatIsShown(double temperature, double humidity) {
        ClimateFinding finding = new SiteClimate()
                .evaluate(new ClimateReadings(temperature, humidity, LIMITS))
                .finding();
        Drawn drawn = Drawn.of(ClimateChart.chart(LIMITS, Optional.of(finding), new UnitChoice(false, true)), 668, 640);

        assertThat(drawn.words()).contains("air temperature, °F", "°F, ").doesNotContain("°C");
    }
}
