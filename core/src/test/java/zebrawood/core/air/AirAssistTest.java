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

    private static Outcome<AirFinding> air(Source source, boolean filter, boolean hose, boolean on, boolean off, Flow engraving, Flow cutting) {
        return new AirAssist().evaluate(new AirReadings(source, Optional.of(filter), hose, Optional.empty(), "M8", "M9", on, off, engraving, cutting, OptionalDouble.empty(), OptionalDouble.empty()));
    }

    private static List<String> said(Outcome<AirFinding> outcome) {
        return outcome.instructions().stream().map(instruction -> instruction.action().in(UnitChoice.METRIC).replaceAll("\\p{Zs}", " ")).toList();
    }

    @Test
    void airThatDoesNotObeyFailsWhateverElseIsRight() {
        assertThat(air(Source.PUMP, false, true, true, true, read(3), read(22)).verdict()).isEqualTo(Verdict.PASS);
        Outcome<AirFinding> deaf = air(Source.PUMP, false, true, false, true, read(3), read(22));
        assertThat(deaf.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(said(deaf)).containsExactly("Find the command that switches the air on, before anything is cut.");
        assertThat(said(air(Source.PUMP, false, true, true, false, read(3), read(22)))).containsExactly("Find the command that switches the air off, before anything is cut.");
    }

    @Test
    void whatIsMissingIsNamedPartByPart() {
        Outcome<AirFinding> poor = air(Source.COMPRESSOR, false, false, true, true, felt(Felt.NOTHING), felt(Felt.LIGHT));
        assertThat(poor.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(said(poor)).containsExactly("Fit a filter behind the compressor.", "Replace the hose, or make its joints tight.", "Give more air for cutting: 15 l/min at the nozzle.",
                "Give a little air for engraving: 2 l/min at the nozzle.");
        assertThat(air(Source.COMPRESSOR, true, true, true, true, felt(Felt.LIGHT), felt(Felt.STRONG)).verdict()).isEqualTo(Verdict.PASS);
        assertThat(air(Source.PUMP, true, true, true, true, read(2), read(15)).verdict()).as("limits include their ends").isEqualTo(Verdict.PASS);
        assertThat(air(Source.PUMP, true, true, true, true, read(1.9), read(15)).verdict()).isEqualTo(Verdict.ADJUST);
    }

    @Test
    void airThatWasNeitherReadNorFeltIsNoReading() {
        assertThatThrownBy(() -> new Flow(OptionalDouble.empty(), Optional.empty())).isInstanceOf(ReadingException.class);
    }
}
