package zebrawood.kit.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;

/** What a list of fields does with one of each kind. */
class FieldListTest {

    /** Readings with one of each. */
    public record Looked(
            Optional<Boolean> sound,
            OptionalDouble lengthM,
            OptionalDouble airC,
            Optional<String> who,
            Optional<Boolean> outside,
            Optional<Watched> leak,
            List<Point> curve,
            List<Load> loads) {}

    public record Watched(double minutes, boolean clear) {}

    public record Point(double flowM3h, double pressurePa) {}

    public record Load(String name, double ratedW, Optional<Boolean> continuous) {}

    private static final FieldList FIELDS = FieldList.of(
                    Field.truth("sound", "hose", "not seen", "sound", "not sound"),
                    Field.amount("lengthM", "long", Quantity.DISTANCE),
                    Field.amount("airC", "air", Quantity.TEMPERATURE),
                    Field.words("who", "looked at by").anew(),
                    Field.either("outside", "fan", new Choice("", "outside"), new Choice("in", "inside")),
                    Field.timed(
                            "leak",
                            "drops",
                            15,
                            new Choice("", "not yet"),
                            new Choice("clear", "no drop"),
                            new Choice("not", "it drips")),
                    Field.pairs(
                            "curve",
                            "fan curve",
                            new Kind.Pairs(
                                    "flowM3h",
                                    Quantity.AIR_FLOW,
                                    "pressurePa",
                                    Quantity.PASCAL,
                                    "as in 0 640; 200 590")))
            .rows(
                    "loads",
                    3,
                    Field.words("name", "plugged in"),
                    Field.amount("ratedW", "takes", Quantity.POWER).anew(),
                    Field.either(
                            "continuous", "runs", new Choice("", "for hours"), new Choice("short", "now and then")));
    private static final Map<String, Amount> KNOWN = Map.of("airC", Amount.celsius(21.4, 1));

    private final Draft draft = new Draft();

    private Filled.Bound<Looked> bound() {
        Worksheet sheet = Worksheet.of(draft);
        FIELDS.assemble(sheet, KNOWN);
        return sheet.filled().bind(Looked.class);
    }

    private Looked read() {
        return bound().record().orElseThrow();
    }

    private void type(String field, String text) {
        draft.type(field, text, UnitChoice.METRIC);
    }

    @Test
    void whatIsNeitherYesNorNoWasNotLookedAt() {
        for (String chosen : List.of("", "seen", "fails")) {
            type("sound", chosen);
            assertThat(read().sound())
                    .as("a draft of an older version: " + chosen)
                    .isEmpty();
        }
        type("sound", "no");
        assertThat(read().sound()).contains(false);
    }

    @Test
    void whatIsKnownCountsUntilSomethingElseIsTypedAndIsNotTypedByItself() {
        assertThat(read().airC()).hasValue(21.4);
        assertThat(FIELDS.texts(read(), Map.of(), true, KNOWN))
                .as("it comes by itself again")
                .doesNotContainKey("airC");
        type("airC", "68F");
        assertThat(read().airC()).hasValueCloseTo(20.0, within(1e-9));
        assertThat(FIELDS.texts(read(), Map.of("airC", "68F"), true, KNOWN)
                        .get("airC")
                        .text())
                .isEqualTo("68F");
    }

    @Test
    void whatIsReadAnewInARowIsLeftOutToo() {
        type("loads[0].name", "pump");
        type("loads[0].ratedW", "90");
        assertThat(FIELDS.texts(read(), Map.of(), true)).containsKeys("loads[0].name", "loads[0].ratedW");
        assertThat(FIELDS.texts(read(), Map.of(), false))
                .containsKey("loads[0].name")
                .doesNotContainKey("loads[0].ratedW");
    }

    @Test
    void aLengthInMetresGoesThroughAnyUnitAndWhatIsReadAnewIsLeftOut() {
        type("lengthM", "9.5m");
        type("who", "LO");
        assertThat(read().lengthM()).hasValue(9.5);
        assertThat(FIELDS.texts(read(), Map.of(), true, KNOWN)).containsKeys("lengthM", "who");
        assertThat(FIELDS.texts(read(), Map.of(), false, KNOWN))
                .doesNotContainKey("who")
                .extractingByKey("lengthM")
                .isEqualTo(new Draft.Text("9.5", UnitChoice.METRIC));
    }

    @Test
    void everyKindGivesBackWhatItWasFilledWith() {
        type("sound", "yes");
        type("outside", "in");
        type("leak", "not");
        type("leak.minutes", "15");
        type("curve", "0 640; 200 590,5");
        type("loads[0].name", "chiller");
        type("loads[0].ratedW", "0.9 kW");
        type("loads[0].continuous", "short");
        type("loads[2].name", "lamp");
        type("loads[2].ratedW", "40");
        Looked read = read();
        assertThat(read.outside()).contains(false);
        assertThat(read.leak()).contains(new Watched(15, false));
        assertThat(read.curve()).containsExactly(new Point(0, 640), new Point(200, 590.5));
        assertThat(read.loads())
                .as("an empty row is no load")
                .containsExactly(new Load("chiller", 900, Optional.of(false)), new Load("lamp", 40, Optional.of(true)));
        draft.fill(FIELDS.texts(read, bound().filled().asTyped(), true, KNOWN));
        assertThat(read()).isEqualTo(read);
        assertThat(draft.text("loads[0].ratedW")).isEqualTo("0.9 kW");
    }

    @Test
    void aTableSaysLabelAsTypedAndUnderstoodAndEachOfAListOnce() {
        type("lengthM", "9.5m");
        type("sound", "yes");
        type("loads[0].name", "chiller");
        type("loads[0].ratedW", "0.9 kW");
        assertThat(FIELDS.table(read(), bound().filled().asTyped(), UnitChoice.METRIC))
                .containsExactly(
                        List.of("hose", "sound", "sound"),
                        List.of("long", "9.5m", "9.5 m"),
                        List.of("air", "21.4", "21.4 °C"),
                        List.of("fan", "outside", "outside"),
                        List.of("chiller", "0.9 kW", "takes 900 W; for hours"));
    }

    @Test
    void whatCouldBeAThousandsMarkIsRefusedInPairsToo() {
        type("curve", "0 1,200; 200 590");
        assertThat(bound().record()).isEmpty();
        assertThat(bound().filled().problems().get("curve")).contains("1,200", "two ways", "0 640");
        type("curve", "0 640 3");
        assertThat(bound().filled().problems().get("curve")).isEqualTo("as in 0 640; 200 590");
    }

    @Test
    void aFieldThatIsNotThereIsAMistakeOfWhoAsks() {
        assertThatThrownBy(() -> FIELDS.field("lengthMm"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("lengthMm");
    }
}
