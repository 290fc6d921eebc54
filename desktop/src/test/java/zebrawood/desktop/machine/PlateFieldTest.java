package zebrawood.desktop.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.Binder;
import zebrawood.json.StrictJson;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Worksheet;

class PlateFieldTest {

    private static final String WREN =
            "{\"name\":\"Wren\",\"family\":\"gantry-co2\",\"number\":\"FH-02\",\"place\":\"bench room\","
                    + "\"size\":{\"widthMm\":1150,\"depthMm\":780,\"heightMm\":980,\"massKg\":212},\"bed\":{\"xMm\":700,\"yMm\":500,\"headOffsetXMm\":-12.5,\"headOffsetYMm\":3},"
                    + "\"source\":{\"kind\":\"glass "
                    + "tube\",\"ratedPowerW\":90,\"ratedCurrentMa\":28,\"wavelengthsNm\":[10600],\"beamAtLensMm\":5},"
                    + "\"optics\":{\"lenses\":[{\"name\":\"short\",\"focalLengthMm\":45},{\"name\":\"long\"}],\"focusDatum\":\"nozzle tip\",\"makersGapMm\":7,\"gapTool\":\"block\","
                    + "\"gapToolStepMm\":0.1,\"heightMoves\":\"bed\",\"heightStepMm\":0.01,\"widthErrorMm\":0.02},"
                    + "\"services\":{\"cooling\":\"water\",\"coolingNote\":\"chiller\",\"enclosure\":\"interlock\",\"enclosureNote\":\"lid\",\"extraction\":\"wall\",\"air\":\"pump\",\"mains\":\"230 V\",\"airAssist\":\"fitted\",\"deliveryFibre\":\"none\"},"
                    + "\"climate\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"minHumidityPct\":22,\"maxHumidityPct\":66},"
                    + "\"control\":{\"kind\":\"numbered\",\"need\":{\"tool\":\"laser\",\"travelMm\":{\"x\":700,\"y\":500,\"z\":75},\"travelToleranceMm\":1,\"homeCorner\":\"front-left\","
                    + "\"limitSwitches\":true,\"senderMaxS\":480,\"maxS\":1200,\"maxRateMmMin\":30000,\"accelerationMmS2\":4000}},"
                    + "\"rhythm\":{\"climateDays\":90,\"settingsDays\":180,\"focusDays\":60,\"daysOutOfUse\":60}}";

    /**
     * Every component of a plate has a field: a plate that says everything comes back whole from the texts of its
     * fields.
     */
    @Test
    void everythingOnAPlateCanBeTypedAndReadBack() {
        Plate plate = Binder.bind(StrictJson.read(WREN).root(), Plate.class);
        Draft draft = new Draft();
        draft.fill(PlateField.texts(plate).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> new Draft.Text(e.getValue(), UnitChoice.METRIC))));
        Worksheet sheet = Worksheet.of(draft);
        for (PlateField field : PlateField.all()) {
            switch (field.kind()) {
                case AMOUNT -> sheet.amount(field.path(), field.quantity());
                case WORDS -> sheet.words(field.path());
                case CHOICE -> sheet.word(field.path(), draft.text(field.path()));
                case TRUTH -> sheet.truth(field.path(), draft.text(field.path()).equals("yes"));
            }
        }
        // the third lens is not on this plate
        assertThat(sheet.filled().bind(Plate.class).record()).contains(plate);
        assertThat(PlateField.texts(plate)).hasSize(PlateField.all().size() - 3);
    }

    @Test
    void aFieldIsKnownByItsLabelAndAChoiceIsSaidInWords() {
        assertThat(PlateField.label("optics.makersGapMm")).isEqualTo("Focus: maker's gap");
        assertThat(PlateField.said("gantry-co2")).isEqualTo("gantry CO2");
        assertThat(PlateField.unsaid(PlateField.said("galvo-uv"))).isEqualTo("galvo-uv");
        assertThat(PlateField.all()).extracting(PlateField::path).doesNotHaveDuplicates();
    }
}
