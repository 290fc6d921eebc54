package zebrawood.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.air.AirReadings.Felt;
import zebrawood.core.air.AirReadings.Flow;
import zebrawood.core.air.AirReadings.Source;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.UnitChoice;

class AirAssistTest {

    private static Flow read(double lMin) {
        return new Flow(OptionalDouble.of(lMin), Optional.empty());
    }

    private static Flow felt(Felt felt) {
        return new Flow(OptionalDouble.empty(), Optional.of(felt));
    }

    private static Outcome<AirFinding> air(
            Source source, boolean filter, boolean hose, boolean on, boolean off, Flow engraving, Flow cutting) {
        return new AirAssist()
                .evaluate(new AirReadings(
                        source,
                        Optional.of(filter),
                        hose,
                        Optional.empty(),
                        "M8",
                        "M9",
                        on,
                        off,
                        engraving,
                        cutting,
                        OptionalDouble.empty(),
                        OptionalDouble.empty()));
    }

    private static List<String> said(Outcome<AirFinding> outcome) {
        return outcome.instructions().stream()
                .map(instruction -> instruction.action().in(UnitChoice.METRIC).replaceAll("\\p{Zs}", " "))
                .toList();
    }

    @Test
    void airThatDoesNotObeyFailsWhateverElseIsRight() {
        assertThat(air(Source.PUMP, false, true, true, true, read(3), read(22)).verdict())
                .isEqualTo(Verdict.PASS);
        Outcome<AirFinding> deaf = air(Source.PUMP, false, true, false, true, read(3), read(22));
        assertThat(deaf.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(said(deaf)).containsExactly("Find the command that switches the air on, before anything is cut.");
        assertThat(said(air(Source.PUMP, false, true, true, false, read(3), read(22))))
                .containsExactly("Find the command that switches the air off, before anything is cut.");
    }

    @Test
    void whatIsMissingIsNamedPartByPart() {
        Outcome<AirFinding> poor =
                air(Source.COMPRESSOR, false, false, true, true, felt(Felt.NOTHING), felt(Felt.LIGHT));
        assertThat(poor.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(said(poor))
                .containsExactly(
                        "Fit a filter behind the compressor.",
                        "Replace the hose, or make its joints tight.",
                        "Give more air for cutting: 15 l/min at the nozzle.",
                        "Give a little air for engraving: 2 l/min at the nozzle.");
        assertThat(air(Source.COMPRESSOR, true, true, true, true, felt(Felt.LIGHT), felt(Felt.STRONG))
                        .verdict())
                .isEqualTo(Verdict.PASS);
        assertThat(air(Source.PUMP, true, true, true, true, read(2), read(15)).verdict())
                .as("limits include their ends")
                .isEqualTo(Verdict.PASS);
        assertThat(air(Source.PUMP, true, true, true, true, read(1.9), read(15)).verdict())
                .isEqualTo(Verdict.ADJUST);
    }

    /**
     * All that may be found, together: it passes only where each of it is good, fails only where it does not obey, and
     * each fault has one thing to do.
     */
    @Test
    void eachFaultHasOneInstructionAndNothingElseHas() {
        for (int found = 0; found < 1 << 7; found++) {
            boolean compressor = (found & 1) != 0;
            boolean filter = (found & 2) != 0;
            boolean hose = (found & 4) != 0;
            boolean on = (found & 8) != 0;
            boolean off = (found & 16) != 0;
            boolean engraves = (found & 32) != 0;
            boolean cuts = (found & 64) != 0;
            Outcome<AirFinding> outcome = air(
                    compressor ? Source.COMPRESSOR : Source.PUMP,
                    filter,
                    hose,
                    on,
                    off,
                    engraves ? felt(Felt.LIGHT) : read(0.5),
                    cuts ? read(40) : felt(Felt.NOTHING));
            int faults = (on ? 0 : 1)
                    + (off ? 0 : 1)
                    + (compressor && !filter ? 1 : 0)
                    + (hose ? 0 : 1)
                    + (engraves ? 0 : 1)
                    + (cuts ? 0 : 1);
            assertThat(outcome.verdict())
                    .isEqualTo(!on || !off ? Verdict.FAIL : faults == 0 ? Verdict.PASS : Verdict.ADJUST);
            assertThat(outcome.instructions()).hasSize(Math.max(1, faults));
            assertThat(outcome.finding().obeysOn()).isEqualTo(on);
            assertThat(outcome.finding().cuts()).isEqualTo(cuts);
        }
    }

    /**
     * Air that drives dust in, a regulator over its parts, a knob that turns, a hose that comes off: each has its say.
     */
    @Test
    void tooMuchAirAndLoosePartsAreToldAndToldNoMoreOnceTheyArePutRight() {
        AirReadings.Supply loose = new AirReadings.Supply(
                OptionalDouble.of(6.5), OptionalDouble.of(6.04), Optional.of(false), Optional.of(false));
        Outcome<AirFinding> outcome = supplied(read(9), loose);
        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(outcome.instructions().stream().map(i -> i.action().in(UnitChoice.METRIC)))
                .containsExactly(
                        "Set the regulator to 6.0 bar or less before the air is switched on.",
                        "Push the regulator's knob in until it locks.",
                        "Push each hose in to its stop, and clamp those that are not push-fit.",
                        "Give less air for engraving: 8 l/min at the nozzle, or less.");
        AirReadings.Supply right = new AirReadings.Supply(
                OptionalDouble.of(6.0), OptionalDouble.of(6.04), Optional.of(true), Optional.of(true));
        assertThat(supplied(read(8), right).verdict()).isEqualTo(Verdict.PASS);
        assertThat(supplied(felt(Felt.STRONG), right).verdict()).isEqualTo(Verdict.ADJUST);
    }

    private Outcome<AirFinding> supplied(AirReadings.Flow engraving, AirReadings.Supply supply) {
        return new AirAssist()
                .evaluate(new AirReadings(
                        Source.PUMP,
                        Optional.empty(),
                        true,
                        Optional.empty(),
                        "M8",
                        "M9",
                        true,
                        true,
                        engraving,
                        read(20),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.of(supply)));
    }

    @Test
    void aValveThatSticksIsNamedAndAnEmptyCommandIsNone() {
        AirReadings stuck = new AirReadings(
                Source.PUMP,
                Optional.empty(),
                true,
                Optional.of(false),
                "M8",
                "M9",
                true,
                true,
                read(3),
                read(22),
                OptionalDouble.of(3),
                OptionalDouble.of(22));
        assertThat(said(new AirAssist().evaluate(stuck))).containsExactly("Replace the valve, or free it.");
        assertThatThrownBy(() -> new AirReadings(
                        Source.PUMP,
                        Optional.empty(),
                        true,
                        Optional.empty(),
                        " ",
                        "M9",
                        true,
                        true,
                        read(3),
                        read(22),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("onCommand");
    }

    @Test
    void airThatWasNeitherReadNorFeltIsNoReading() {
        assertThatThrownBy(() -> new Flow(OptionalDouble.empty(), Optional.empty()))
                .isInstanceOf(ReadingException.class);
    }
}
