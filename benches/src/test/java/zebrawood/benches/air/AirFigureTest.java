package zebrawood.benches.air;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.air.AirAssist;
import zebrawood.core.air.AirReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.testsupport.Drawn;

class AirFigureTest {

    private static Drawn drawn(AirReadings.Source source, boolean sound, double cutting) {
        AirReadings read = new AirReadings(
                source,
                Optional.of(sound),
                sound,
                Optional.of(true),
                "M8",
                "M9",
                true,
                sound,
                new AirReadings.Flow(OptionalDouble.of(3), Optional.empty()),
                new AirReadings.Flow(OptionalDouble.of(cutting), Optional.empty()),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        return Drawn.of(
                new AirFigure().figure(read, new AirAssist().evaluate(read).finding(), UnitChoice.METRIC), 640, 340);
    }

    @Test
    void everyPartIsNamedAndWhatIsNotSoundStandsOut() {
        assertThat(drawn(AirReadings.Source.PUMP, true, 20).words())
                .contains("pump", "valve", "hose", "on and off seen on command", "20 l/min")
                .doesNotContain("filter");
        assertThat(drawn(AirReadings.Source.COMPRESSOR, false, 20).words())
                .contains("compressor", "filter: none", "hose: not | sound", "does not stop on command");
    }

    @Test
    void barsAreInProportion() {
        double low = band(drawn(AirReadings.Source.PUMP, true, 6));
        double high = band(drawn(AirReadings.Source.PUMP, true, 18));
        assertThat(high / low).isCloseTo(3, org.assertj.core.api.Assertions.within(1e-6));
        assertThat(drawn(AirReadings.Source.PUMP, true, 6).crowded(640, 340)).isEmpty();
    }

    private static double band(Drawn drawn) {
        return drawn.areas().stream()
                .filter(area -> area.tone() == zebrawood.kit.theme.Tone.BAND && area.left() > 540)
                .mapToDouble(area -> area.bottom() - area.top())
                .max()
                .orElseThrow();
    }
}
