package zebrawood.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ChecksTest {

    private static List<Refusal> refusals(Checks checks) {
        return catchThrowableOfType(ReadingException.class, checks::done).refusals();
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY})
    void whatIsNoFiniteNumberIsRefusedByEveryCheck(double value) {
        assertThat(refusals(new Checks()
                        .above("a", value, 0)
                        .atLeast("b", value, 0)
                        .within("c", value, 0, 1)
                        .finite("d", value)))
                .extracting(Refusal::field)
                .containsExactly("a", "b", "c", "d");
    }

    @Test
    void limitsIncludeTheirEndValuesAndAboveDoesNot() {
        assertThatCode(() -> new Checks()
                        .within("a", 0, 0, 1)
                        .within("b", 1, 0, 1)
                        .atLeast("c", 0, 0)
                        .done())
                .doesNotThrowAnyException();
        assertThatThrownBy(() -> new Checks().above("runMm", 0, 0).done()).hasMessage("runMm: 0 must be above 0");
        assertThatThrownBy(() ->
                        new Checks().within("airTemperatureC", 60.5, -45, 60).done())
                .hasMessage("airTemperatureC: 60.5 is outside -45 to 60");
    }

    @Test
    void whatIsAbsentIsNotRefusedWhereItMayBe() {
        assertThatCode(() -> new Checks()
                        .above("a", OptionalDouble.empty(), 0)
                        .within("b", OptionalDouble.empty(), 0, 1)
                        .finite("c", OptionalDouble.empty())
                        .done())
                .doesNotThrowAnyException();
    }

    @Test
    void everyRefusalIsToldInOrderAndTiesOnlyWhenAllElseHolds() {
        Checks both = new Checks()
                .tie(() -> false, "tied", "together they cannot be")
                .above("first", -1, 0)
                .text("second", " ")
                .present("third", null)
                .entries("fourth", List.of(), 1);
        assertThat(refusals(both)).extracting(Refusal::field).containsExactly("first", "second", "third", "fourth");
        assertThat(refusals(new Checks().tie(() -> false, "tied", "together they cannot be")))
                .extracting(Refusal::kind)
                .containsExactly(Refusal.Kind.TIED);
    }

    @Test
    void aRefusalIsSeenFromFurtherOut() {
        Refusal width = new Refusal("widthMm", "0 must be above 0", Refusal.Kind.WRONG);
        assertThat(width.under("marks[2]").under("readings").field()).isEqualTo("readings.marks[2].widthMm");
        assertThat(new Refusal("[1]", "x", Refusal.Kind.WRONG).under("marks").field())
                .isEqualTo("marks[1]");
    }
}
