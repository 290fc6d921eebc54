package zebrawood.benches.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.gas.AssistGas;
import zebrawood.core.gas.Gas;
import zebrawood.core.gas.GasFinding;
import zebrawood.core.gas.GasReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class GasFigureTest {

    private static Drawn drawn(double bar, Optional<GasReadings.Bottle> bottle) {
        GasReadings readings = new GasReadings(
                Gas.NITROGEN,
                2,
                bar,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                bottle,
                OptionalDouble.of(60));
        GasFinding finding = new AssistGas().evaluate(readings).finding();
        return Drawn.of(GasFigure.of(Optional.of(readings), Optional.of(finding), UnitChoice.METRIC), 640, 400);
    }

    @Test
    void theBottleIsDrawnWithWhatCanBeUsedOfIt() {
        Drawn drawn = drawn(14, Optional.of(new GasReadings.Bottle(50, 200, OptionalDouble.empty())));
        assertThat(drawn.words()).contains("447 l/min", "31 min", "200.0 bar", "14.0 bar", "a bottle, 50 l", "2.00 mm");
        assertThat(drawn.crowded(640, 400)).isEmpty();
        Drawn.Area usable = drawn.areas().stream()
                .filter(area -> area.tone() == Tone.BAND)
                .findFirst()
                .orElseThrow();
        double whole = 400 - 46 - 52;
        assertThat((usable.bottom() - usable.top()) / whole).isCloseTo(1 - 14 / 200.0, within(1e-6));
    }

    @Test
    void aBottleThatIsDownIsToldAndAPipeHasNone() {
        assertThat(drawn(14, Optional.of(new GasReadings.Bottle(50, 12, OptionalDouble.empty())))
                        .words())
                .contains("down");
        assertThat(drawn(0.05, Optional.empty()).words())
                .doesNotContain("bottle")
                .contains("l/min");
    }
}
