package zebrawood.benches.controller;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.controller.SettingsFinding.PowerScales;
import zebrawood.kit.theme.Tone;
import zebrawood.testsupport.Drawn;

class PowerFigureTest {

    @ParameterizedTest
    @CsvSource({
        "480, 1200, 40 %, Full power means two different things here",
        "1200, 300, 25 %, All of the power is there long before 100 %",
        "1200, 1200, 100 %, Full power means the same on both sides"
    })
    void whatComesOutOfFullPowerIsSeenAtOnce(double sender, double controller, String figure, String heading) {
        PowerScales power = new PowerScales(sender, controller);
        for (double width : new double[] {660, 480, 325}) {
            Drawn drawn = Drawn.of(PowerFigure.scales(power), width, 260);
            double full = drawn.areas().stream()
                    .filter(area -> area.filled() && area.tone() == Tone.WALNUT)
                    .mapToDouble(area -> area.bottom() - area.top())
                    .max()
                    .orElse(0);
            double all = drawn.areas().stream()
                    .filter(area -> area.filled() && area.tone() == Tone.RAISED)
                    .mapToDouble(area -> area.bottom() - area.top())
                    .max()
                    .orElseThrow();

            assertThat(100 * full / all)
                    .as("the filled bar is to scale")
                    .isBetween(power.comesOutPct(100) - 0.5, power.comesOutPct(100) + 0.5);
            assertThat(drawn.words()).contains(figure, "100 % is sent as S " + (int) sender);
            assertThat(drawn.texts()).allMatch(text -> text.from() >= 0 && text.to() <= width);
        }
        assertThat(PowerFigure.heading(power, OptionalDouble.empty())).isEqualTo(heading);
        assertThat(PowerFigure.heading(power, OptionalDouble.of(500)))
                .isEqualTo(
                        sender > 500
                                ? "Full power is more than the tube bears"
                                : "Full power is capped at what the tube bears");
    }
}
