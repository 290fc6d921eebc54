package zebrawood.kit.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;

class DraftTest {

    private static final UnitChoice INCHES = new UnitChoice(true, true);

    private final Draft draft = new Draft();

    @Test
    void keystrokesInOneFieldAreUndoneAtOnceAndBroughtBack() {
        draft.type("gap", "1", UnitChoice.METRIC);
        draft.type("gap", "11", UnitChoice.METRIC);
        draft.type("gap", "11.6", UnitChoice.METRIC);
        draft.type("run", "180", UnitChoice.METRIC);

        assertThat(draft.undo()).isTrue();
        assertThat(draft.text("run")).isEmpty();
        assertThat(draft.undo()).isTrue();
        assertThat(draft.text("gap")).isEmpty();
        assertThat(draft.undo()).isFalse();
        assertThat(draft.redo()).isTrue();
        assertThat(draft.text("gap")).isEqualTo("11.6");
        assertThat(draft.redo()).isTrue();
        assertThat(draft.redo()).isFalse();
    }

    private static Draft.Text text(String words) {
        return new Draft.Text(words, UnitChoice.METRIC);
    }

    /**
     * What is pointed at moves two fields at once: one step for as long as it is dragged, and never one with others.
     */
    @Test
    void whatIsDraggedIsOneStepAndWhatIsDoneAtOnceIsOneOfItsOwn() {
        draft.typeTogether(Map.of("x", text("1"), "y", text("2")));
        draft.typeTogether(Map.of("x", text("1.5"), "y", text("2.5")));
        draft.endStep();
        draft.typeTogether(Map.of("x", text("3"), "y", text("4")));
        draft.typeAll(Map.of("steps", text("a"), "x", text("")));
        draft.typeAll(Map.of("steps", text("ab")));

        assertThat(draft.undo()).isTrue();
        assertThat(draft.text("steps")).isEqualTo("a");
        assertThat(draft.undo()).isTrue();
        assertThat(draft.text("steps") + draft.text("x")).isEqualTo("3");
        assertThat(draft.undo()).isTrue();
        assertThat(draft.text("x") + " " + draft.text("y")).isEqualTo("1.5 2.5");
        assertThat(draft.undo()).isTrue();
        assertThat(draft.isEmpty()).isTrue();
        assertThat(draft.redo()).isTrue();
        assertThat(draft.text("x") + " " + draft.text("y")).isEqualTo("1.5 2.5");
        draft.typeAll(Map.of("x", text("1.5")));
        assertThat(draft.redo()).as("what changes nothing is no step").isTrue();
    }

    @Test
    void whatLacksSomethingIsNotJudgedHoweverFullItIs() {
        draft.fill(Map.of("airTemperatureC", text("21"), "relativeHumidityPct", text("44")));
        Worksheet sheet = Worksheet.of(draft);
        sheet.amount("airTemperatureC", Quantity.TEMPERATURE);
        sheet.amount("relativeHumidityPct", Quantity.SHARE);
        sheet.number("limits.minC", 14);
        sheet.number("limits.maxC", 29);
        sheet.number("limits.minHumidityPct", 22);
        sheet.number("limits.maxHumidityPct", 66);
        sheet.lacks("a word");

        assertThat(sheet.filled().bind(ClimateReadings.class).record()).isEmpty();
        assertThat(sheet.filled().problems()).isEmpty();
    }

    @Test
    void aBareNumberKeepsTheUnitItWasTypedInWhateverIsShownLater() {
        draft.type("gap", "0.25", INCHES);
        draft.endStep();
        draft.type("run", "0.25", UnitChoice.METRIC);
        Draft restored = new Draft();
        restored.fill(Draft.fromJson(draft.toJson()));
        Worksheet sheet = Worksheet.of(restored);

        assertThat(sheet.amount("gap", Quantity.LENGTH)).contains(6.35);
        assertThat(sheet.amount("run", Quantity.LENGTH)).contains(0.25);
    }

    @Test
    void aDamagedDraftIsEmptyNotAnError() {
        assertThat(Draft.fromJson("{\"gap\":{\"te")).isEmpty();
        assertThat(Draft.fromJson("")).isEmpty();
    }

    @Test
    void whatIsWrongStandsAtItsFieldAndWhatIsMissingIsNoProblemYet() {
        draft.fill(Map.of("airTemperatureC", new Draft.Text("warm", UnitChoice.METRIC)));
        Worksheet sheet = Worksheet.of(draft);
        sheet.amount("airTemperatureC", Quantity.TEMPERATURE);
        sheet.amount("relativeHumidityPct", Quantity.SHARE);

        Filled.Bound<ClimateReadings> bound = sheet.filled().bind(ClimateReadings.class);
        assertThat(bound.record()).isEmpty();
        assertThat(bound.filled().problems()).containsOnlyKeys("airTemperatureC");
        assertThat(bound.filled().others()).isEmpty();
        assertThat(bound.filled().missing()).contains("relativeHumidityPct");

        draft.fill(Map.of(
                "airTemperatureC",
                new Draft.Text("120", UnitChoice.METRIC),
                "relativeHumidityPct",
                new Draft.Text("-4", UnitChoice.METRIC)));
        Worksheet outOfRange = Worksheet.of(draft);
        outOfRange.amount("airTemperatureC", Quantity.TEMPERATURE);
        outOfRange.amount("relativeHumidityPct", Quantity.SHARE);
        assertThat(outOfRange.filled().bind(ClimateReadings.class).filled().problems())
                .containsOnlyKeys("airTemperatureC", "relativeHumidityPct");
    }

    @Test
    void whatIsTypedLaterDoesNotReachWhatWasFilledIn() {
        draft.type("airTemperatureC", "21", UnitChoice.METRIC);
        Worksheet sheet = Worksheet.of(draft);
        sheet.amount("airTemperatureC", Quantity.TEMPERATURE);
        Filled filled = sheet.filled();
        draft.type("relativeHumidityPct", "40", UnitChoice.METRIC);
        sheet.amount("relativeHumidityPct", Quantity.SHARE);
        sheet.number("airTemperatureC", 30);
        assertThat(filled.readings()).hasToString("{\"airTemperatureC\":21.0}");
        assertThat(filled.typed()).containsExactly("airTemperatureC");
        assertThat(filled.understood("relativeHumidityPct")).isEmpty();
    }
}
