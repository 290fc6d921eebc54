package zebrawood.core.coolant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

class CoolantMixTest {

    private final CoolantMix procedure = new CoolantMix();

    private Outcome<MixFinding> at(
            double coldest, Glycol glycol, OptionalDouble first, Optional<MixReadings.Hose> hose) {
        return procedure.evaluate(new MixReadings(6200, first, hose, coldest, OptionalDouble.empty(), glycol));
    }

    /** The mixture does not freeze where it must not; one percent less would. */
    @Test
    void thereIsNeverMoreGlycolThanTheWinterAsksFor() {
        for (Glycol glycol : new Glycol[] {Glycol.ETHYLENE, Glycol.PROPYLENE}) {
            for (double coldest = 2.9; coldest > -43; coldest -= 0.1) {
                MixFinding finding = at(coldest, glycol, OptionalDouble.empty(), Optional.empty())
                        .finding();
                int percent = finding.glycolPct().orElseThrow();
                assertThat(glycol.freezingPointC(percent)).isLessThanOrEqualTo(coldest - 3 + 1e-9);
                assertThat(percent == 25 || glycol.freezingPointC(percent - 1) > coldest - 3)
                        .as("%d %% at %.1f °C", percent, coldest)
                        .isTrue();
                assertThat(finding.glycolMl().orElseThrow() + finding.waterMl().orElseThrow())
                        .isCloseTo(6200, within(1e-9));
            }
        }
    }

    @Test
    void theFillingComesInTwoParts() {
        Outcome<MixFinding> outcome = at(-9, Glycol.ETHYLENE, OptionalDouble.of(4350), Optional.empty());
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .isEqualTo("Mix 4650 ml of water with 1550 ml of ethylene glycol. That is 25 % by volume; it freezes "
                        + "at -12.3 °C.");
        assertThat(outcome.instructions().get(1).action().in(UnitChoice.METRIC))
                .startsWith("Fill in 4350 ml, run the pump")
                .endsWith("then top up 1850 ml.");
        MixFinding byHose = at(-9, Glycol.ETHYLENE, OptionalDouble.empty(), Optional.of(new MixReadings.Hose(8, 9.5)))
                .finding();
        assertThat(byHose.topUpMl().orElseThrow())
                .as("what the hoses hold")
                .isCloseTo(Math.PI * 16 * 9.5, within(1e-9));
    }

    @Test
    void frostWithoutGlycolIsRefusedInWords() {
        Outcome<MixFinding> frost = at(-9, Glycol.NONE, OptionalDouble.empty(), Optional.empty());
        assertThat(frost.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(frost.instructions().get(0).action().in(UnitChoice.METRIC))
                .isEqualTo("Drain the circuit, heat the room, or fill in glycol.");
        Outcome<MixFinding> tooCold = at(-55, Glycol.PROPYLENE, OptionalDouble.empty(), Optional.empty());
        assertThat(tooCold.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(tooCold.finding().glycolMl()).isEmpty();
    }

    private Outcome<MixFinding> seen(MixReadings.Water water, MixReadings.Watched bubbles, MixReadings.Watched leak) {
        return procedure.evaluate(new MixReadings(
                6200,
                OptionalDouble.empty(),
                Optional.empty(),
                10,
                OptionalDouble.empty(),
                Glycol.NONE,
                OptionalDouble.empty(),
                Optional.of(water),
                Optional.of(MixReadings.Additive.PURE),
                Optional.of(bubbles),
                Optional.of(leak)));
    }

    @Test
    void dropsStopEverythingAndBubblesTapWaterAndHasteAreToBePutRight() {
        MixReadings.Watched well = new MixReadings.Watched(15, true);
        MixReadings.Watched badly = new MixReadings.Watched(3, false);
        assertThat(seen(MixReadings.Water.DISTILLED, well, well).verdict()).isEqualTo(Verdict.PASS);
        assertThat(seen(MixReadings.Water.DISTILLED, well, badly).verdict()).isEqualTo(Verdict.FAIL);
        assertThat(seen(MixReadings.Water.DISTILLED, well, badly)
                        .instructions()
                        .get(0)
                        .action()
                        .in(UnitChoice.METRIC))
                .isEqualTo("Mains off: dry it and make the joint tight.");
        assertThat(seen(MixReadings.Water.DISTILLED, badly, well).verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(seen(MixReadings.Water.TAP, well, well).verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(seen(MixReadings.Water.DISTILLED, well, new MixReadings.Watched(14.9, true))
                        .verdict())
                .as("a joint that weeps takes its time")
                .isEqualTo(Verdict.ADJUST);
        assertThat(seen(MixReadings.Water.DISTILLED, well, well)
                        .finding()
                        .otherSchool()
                        .orElseThrow())
                .startsWith("Others add");
    }

    /** Plain water in a frost: only a glycol that can keep it from freezing is named. */
    @Test
    void onlyAGlycolThatIsEnoughIsNamed() {
        for (double coldest : new double[] {-4, -44, -47, -60}) {
            Outcome<MixFinding> frost = at(coldest, Glycol.NONE, OptionalDouble.empty(), Optional.empty());
            String said = frost.instructions().get(0).action().in(UnitChoice.METRIC);
            assertThat(frost.verdict()).isEqualTo(Verdict.FAIL);
            for (Glycol glycol : new Glycol[] {Glycol.ETHYLENE, Glycol.PROPYLENE}) {
                boolean can = at(coldest, glycol, OptionalDouble.empty(), Optional.empty())
                                .verdict()
                        == Verdict.PASS;
                boolean named = said.endsWith("fill in glycol.") || said.endsWith(glycol.words() + ".");
                assertThat(named).as("%s at %.0f °C: %s", glycol, coldest, said).isEqualTo(can);
            }
        }
    }
}
