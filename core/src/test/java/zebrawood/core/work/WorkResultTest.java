package zebrawood.core.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import zebrawood.core.reading.ReadingException;

class WorkResultTest {

    @Test
    void aMaterialAndAWordAreEnough() {
        assertThat(new WorkResult.Outcome("charred", OptionalInt.of(0), OptionalDouble.empty()).score())
                .hasValue(0);
        assertThat(new WorkResult.Stock(
                                "felt",
                                OptionalDouble.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty())
                        .kind())
                .isEqualTo("felt");
    }

    @Test
    void whatCannotBeIsRefusedByName() {
        assertThatThrownBy(() -> new WorkResult.Outcome("good", OptionalInt.of(11), OptionalDouble.empty()))
                .isInstanceOf(ReadingException.class)
                .hasMessage("score: must be a whole number from 0 to 10");
        assertThatThrownBy(() -> new WorkResult.Outcome(" ", OptionalInt.empty(), OptionalDouble.empty()))
                .hasMessage("word: must not be blank");
        assertThatThrownBy(() -> new WorkResult.Setup(
                        Optional.empty(),
                        Optional.empty(),
                        OptionalDouble.of(-1),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        OptionalDouble.empty()))
                .hasMessageContaining("gapMm");
        assertThatThrownBy(() -> new WorkResult.Recipe(
                        OptionalDouble.of(140),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        OptionalInt.of(0),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()))
                .isInstanceOfSatisfying(
                        ReadingException.class,
                        refused -> assertThat(refused.refusals())
                                .extracting(refusal -> refusal.field())
                                .containsExactly("powerPct", "passes"));
    }
}
