package zebrawood.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.units.UnitChoice;

class AssistGasTest {

    private final AssistGas procedure = new AssistGas();

    private static GasReadings readings(
            Gas gas, double bore, double bar, Optional<GasReadings.Bottle> bottle, double beamOn) {
        return new GasReadings(
                gas,
                bore,
                bar,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                bottle,
                OptionalDouble.of(beamOn));
    }

    private static Optional<GasReadings.Bottle> bottle(double litres, double bar) {
        return Optional.of(new GasReadings.Bottle(litres, bar, OptionalDouble.of(5)));
    }

    /** The closed loop: a bottle of ideal gas, blown down second by second, is down when it was said. */
    @Test
    void theBottleIsDownWhenItWasSaid() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 200; i++) {
            Gas gas = Gas.values()[random.nextInt(4)];
            double bore = 0.8 + 3 * random.nextDouble();
            double bar = 0.5 + 20 * random.nextDouble();
            double litres = 10 + 40 * random.nextDouble();
            double share = 20 + 80 * random.nextDouble();
            GasFinding finding = procedure
                    .evaluate(readings(gas, bore, bar, bottle(litres, 200), share))
                    .finding();
            double kelvin = 293.15;
            double perGramBar = gas.constant() * kelvin / (litres / 1000) / 1000 / 1e5;
            double pressure = 200;
            double step = finding.bottleMinutes().orElseThrow() * 60 / 2000;
            double seconds = 0;
            while (pressure > Math.max(5, bar)) {
                pressure -= finding.massFlowGS() * share / 100 * step * perGramBar;
                seconds += step;
            }
            assertThat(seconds / 60)
                    .as("%s, %.1f mm, %.1f bar", gas, bore, bar)
                    .isCloseTo(
                            finding.bottleMinutes().getAsDouble(),
                            within(finding.bottleMinutes().getAsDouble() * 0.002));
        }
    }

    /** Where the jet reaches the speed of sound, both formulas say the same, and flow goes with the bore's area. */
    @Test
    void flowHasNoStepWhereItChokes() {
        for (Gas gas : Gas.values()) {
            Nozzle nozzle = new Nozzle(2, 0.85, 20, 101.325);
            double critical =
                    101.325e3 / Math.pow(2 / (gas.ratio() + 1), gas.ratio() / (gas.ratio() - 1)) / 1e5 - 1.01325;
            double below = nozzle.massFlowGS(gas, critical - 1e-7);
            double above = nozzle.massFlowGS(gas, critical + 1e-7);
            assertThat(nozzle.isChoked(gas, critical - 1e-7)).isFalse();
            assertThat(nozzle.isChoked(gas, critical + 1e-7)).isTrue();
            assertThat(below).isCloseTo(above, within(above * 1e-6));
            assertThat(nozzle.withBore(4).massFlowGS(gas, 3)).isCloseTo(4 * nozzle.massFlowGS(gas, 3), within(1e-9));
            double last = 0;
            for (double bar = 0.01; bar < 30; bar += 0.05) {
                assertThat(nozzle.massFlowGS(gas, bar)).isGreaterThan(last);
                last = nozzle.massFlowGS(gas, bar);
            }
        }
    }

    @Test
    void theCurvesGoThroughTodaysPoint() {
        GasFinding finding = procedure
                .evaluate(readings(Gas.NITROGEN, 2, 14, bottle(50, 200), 60))
                .finding();
        assertThat(finding.curves()).extracting(GasFinding.Curve::nozzleMm).containsExactly(2.0, 1.5, 2.5);
        assertThat(finding.curves().get(0).points().get(12)).isEqualTo(new GasFinding.Point(14, finding.flowNlMin()));
        assertThat(finding.others()).extracting(GasFinding.Other::gas).containsExactly(Gas.OXYGEN, Gas.AIR, Gas.ARGON);
    }

    @Test
    void aTankIsSpokenOfFromMoreThanThreeBottlesAShift() {
        Outcome<GasFinding> most = procedure.evaluate(readings(Gas.NITROGEN, 2, 14, bottle(50, 200), 60));
        double share = 60 * 3 / most.finding().bottlesPerShift().orElseThrow();
        Outcome<GasFinding> three = procedure.evaluate(readings(Gas.NITROGEN, 2, 14, bottle(50, 200), share - 1e-6));
        Outcome<GasFinding> more = procedure.evaluate(readings(Gas.NITROGEN, 2, 14, bottle(50, 200), share + 1e-6));
        assertThat(three.instructions().get(2).action().in(UnitChoice.METRIC))
                .isEqualTo("Eight hours like this take 3.0 bottles.");
        assertThat(more.instructions().get(2).action().in(UnitChoice.METRIC))
                .endsWith("ask the supplier for a bundle or a tank.");
    }

    @Test
    void itSaysWhenToChangeTheBottleAndWhenItIsDownAlready() {
        Outcome<GasFinding> lasts = procedure.evaluate(readings(Gas.NITROGEN, 2, 14, bottle(50, 200), 60));
        assertThat(lasts.instructions().get(0).action().in(UnitChoice.METRIC))
                .isEqualTo("Look up what regulator, hose, fittings and head are rated for: 14.0 bar or more.");
        assertThat(lasts.instructions().get(1).action().in(UnitChoice.METRIC))
                .isEqualTo("Change the bottle after 31 min.");
        assertThat(lasts.instructions().get(2).action().in(UnitChoice.METRIC))
                .isEqualTo("Eight hours like this take 15.1 bottles; ask the supplier for a bundle or a tank.");
        Outcome<GasFinding> down = procedure.evaluate(readings(Gas.NITROGEN, 2, 14, bottle(50, 12), 60));
        assertThat(down.instructions().get(1).action().in(UnitChoice.METRIC))
                .isEqualTo("Change the bottle: it no longer gives 14.0 bar.");
        Outcome<GasFinding> line = procedure.evaluate(readings(Gas.AIR, 2, 6, Optional.empty(), 100));
        assertThat(line.instructions().get(0).action().in(UnitChoice.METRIC))
                .startsWith("Plan ")
                .endsWith("l/min of air, in normal litres.");
    }
}
