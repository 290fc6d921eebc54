package zebrawood.core.lens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.lens.ChoiceReadings.Lens;
import zebrawood.core.lens.ChoiceReadings.Purpose;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;

/** Optics propose a lens; the strips that were engraved decide. */
class LensChoiceTest {

    private static Lens lens(String name, double focalMm, Double... strip) {
        return strip.length == 0
                ? new Lens(name, focalMm, Optional.empty())
                : new Lens(name, focalMm, Optional.empty(), Optional.of(List.of(strip)));
    }

    private static Outcome<ChoiceFinding> choice(Purpose purpose, Optional<Boolean> seated, Lens... lenses) {
        return new LensChoice()
                .evaluate(new ChoiceReadings(
                        10_600,
                        7,
                        1.2,
                        List.of(lenses),
                        0.3,
                        6,
                        OptionalDouble.empty(),
                        Optional.of(purpose),
                        OptionalDouble.of(0.5),
                        seated));
    }

    private static String first(Outcome<ChoiceFinding> outcome) {
        return outcome.instructions().get(0).action().words();
    }

    @Test
    void aStripCrownsALensThatItsSpotDoesNot() {
        Outcome<ChoiceFinding> outcome = choice(
                Purpose.ENGRAVE,
                Optional.of(true),
                lens("short", 38.1, 9.0, 4.0, 4.0, 5.0),
                lens("middle", 63.5, 8.0, 8.0, 8.0, 8.0),
                lens("long", 101.6));
        assertThat(outcome.finding().best()).contains("short");
        assertThat(outcome.finding().decided()).contains("middle");
        assertThat(outcome.verdict()).isEqualTo(Verdict.PASS);
        assertThat(outcome.instructions()).hasSize(1);
        assertThat(first(outcome)).contains("middle");
    }

    @Test
    void threePointsAreAlikeAndAnythingOverThemIsNot() {
        assertThat(choice(
                                Purpose.ENGRAVE,
                                Optional.empty(),
                                lens("a", 50, 8.0, 8.0, 8.0, 8.0),
                                lens("b", 60, 7.0, 7.0, 7.0, 8.0))
                        .finding()
                        .decided())
                .isEmpty();
        assertThat(choice(
                                Purpose.ENGRAVE,
                                Optional.empty(),
                                lens("a", 50, 8.0, 8.0, 8.0, 8.0),
                                lens("b", 60, 7.0, 7.0, 7.0, 7.9))
                        .finding()
                        .decided())
                .contains("a");
    }

    @Test
    void noStripWithAPoorScoreIsEverTaken() {
        Outcome<ChoiceFinding> outcome = choice(
                Purpose.ENGRAVE,
                Optional.of(true),
                lens("a", 50, 10.0, 10.0, 2.9, 10.0),
                lens("b", 60, 5.0, 5.0, 5.0, 5.0));
        assertThat(outcome.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(outcome.finding().decided()).isEmpty();
    }

    @Test
    void whatIsCutMustStayNarrowHoweverFineItsStrip() {
        Outcome<ChoiceFinding> outcome = choice(
                Purpose.CUT,
                Optional.of(true),
                lens("short", 38.1, 9.0, 9.0, 9.0, 9.0),
                lens("long", 101.6, 6.0, 6.0, 6.0, 6.0),
                lens("longer", 120, 4.0, 4.0, 4.0, 4.0));
        assertThat(outcome.finding().lenses().get(0).edgeOk()).isFalse();
        assertThat(outcome.finding().decided()).contains("long");
    }

    @Test
    void aLensThatLiesWrongIsSeatedBeforeAnythingIsChosen() {
        Outcome<ChoiceFinding> outcome = choice(
                Purpose.ENGRAVE,
                Optional.of(false),
                lens("a", 50, 9.0, 9.0, 9.0, 9.0),
                lens("b", 60, 5.0, 5.0, 5.0, 5.0));
        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(first(outcome)).startsWith("Seat the lens anew");
    }

    @Test
    void aStripHasAllItsScoresOrNoneAndNoneOverTen() {
        assertThatThrownBy(() -> lens("a", 50, 5.0, 5.0, 5.0)).hasMessageContaining("give four scores");
        assertThatThrownBy(() -> lens("a", 50, 5.0, 10.1, 5.0, 5.0)).hasMessageContaining("strip[1]");
    }
}
