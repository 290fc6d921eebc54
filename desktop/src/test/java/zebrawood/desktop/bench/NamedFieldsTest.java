package zebrawood.desktop.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;

/** Fields that stand under their own names in the readings. */
class NamedFieldsTest {

    /** Readings with one of each. */
    public record Looked(Optional<Boolean> sound, OptionalDouble lengthM, OptionalDouble airC, Optional<String> who) {}

    private final NamedFields fields = new NamedFields();
    private final Draft draft = new Draft();

    NamedFieldsTest() {
        fields.truth("sound");
        fields.metres("lengthM");
        fields.amount("airC", Quantity.TEMPERATURE, OptionalDouble.of(21.4));
        fields.words("who");
    }

    private Looked read() {
        Sheet sheet = Sheet.of(draft);
        fields.assemble(sheet);
        return sheet.bind(Looked.class).orElseThrow();
    }

    @Test
    void whatIsNeitherYesNorNoWasNotLookedAt() {
        for (String chosen : List.of("", "seen", "fails")) {
            draft.type("sound", chosen, UnitChoice.METRIC);
            assertThat(read().sound()).as("a draft of an older version: " + chosen).isEmpty();
        }
        draft.type("sound", "no", UnitChoice.METRIC);
        assertThat(read().sound()).contains(false);
    }

    @Test
    void whatIsKnownCountsUntilSomethingElseIsTypedAndIsNotTypedByItself() {
        assertThat(read().airC()).hasValue(21.4);
        assertThat(fields.texts(read(), Map.of(), true)).as("it comes by itself again").doesNotContainKey("airC");
        draft.type("airC", "68F", UnitChoice.METRIC);
        assertThat(read().airC()).hasValueCloseTo(20.0, within(1e-9));
        assertThat(fields.texts(read(), Map.of("airC", "68F"), true).get("airC").text()).isEqualTo("68F");
    }

    @Test
    void aLengthInMetresGoesThroughAnyUnitAndWhatIsReadAnewIsLeftOut() {
        draft.type("lengthM", "9.5m", UnitChoice.METRIC);
        draft.type("who", "LO", UnitChoice.METRIC);
        assertThat(read().lengthM()).hasValue(9.5);
        fields.anew(List.of("who"));
        assertThat(fields.texts(read(), Map.of(), true)).containsKeys("lengthM", "who");
        assertThat(fields.texts(read(), Map.of(), false)).containsOnlyKeys("lengthM").extractingByKey("lengthM").isEqualTo(new Draft.Text("9500", UnitChoice.METRIC));
    }
}
