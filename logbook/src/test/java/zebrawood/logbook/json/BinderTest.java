package zebrawood.logbook.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.reading.Refusal;
import zebrawood.core.site.ClimateReadings;

class BinderTest {

    private static List<Refusal> refused(String json, Class<? extends Record> type) {
        return catchThrowableOfType(ReadingException.class, () -> Binder.bind(StrictJson.read(json).root(), type)).refusals();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', value = {
        "{\"relativeHumidityPct\":46,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"maxHumidityPct\":66}} | airTemperatureC",
        "{\"airTemperatureC\":\"21.4\",\"relativeHumidityPct\":46,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"maxHumidityPct\":66}} | airTemperatureC",
        "{\"airTemperatureC\":1e999,\"relativeHumidityPct\":46,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"maxHumidityPct\":66}} | airTemperatureC",
        "{\"airTemperatureC\":null,\"relativeHumidityPct\":46,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"maxHumidityPct\":66}} | airTemperatureC",
        "{\"airTemperatureC\":21,\"relativeHumidityPct\":true,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"maxHumidityPct\":66}} | relativeHumidityPct",
        "{\"airTemperatureC\":21,\"relativeHumidityPct\":46,\"limits\":7} | limits",
        "{\"airTemperatureC\":21,\"relativeHumidityPct\":46,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"maxHumidityPct\":101}} | limits.maxHumidityPct",
        "{\"airTemperatureC\":21,\"relativeHumidityPct\":46,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"minHumidityPct\":null,\"maxHumidityPct\":66}} | limits.minHumidityPct",
        "[] | $"
    })
    void whatALenientMappingLetsThroughIsRefusedAtItsField(String json, String field) {
        assertThat(refused(json, ClimateReadings.class).get(0).field()).isEqualTo(field);
    }

    @Test
    void everyRefusalIsGivenUnknownKeysFirstThenComponentByComponentThenTies() {
        String json = "{\"riseMm\":0,\"colour\":\"red\",\"runMm\":-4,\"gapAtStartMm\":\"x\",\"marks\":[{\"positionMm\":0,\"widthMm\":0.2},"
                + "{\"positionMm\":1,\"widthMm\":0},{\"positionMm\":2}],\"wavelengthNm\":10600}";

        assertThat(refused(json, RampReadings.class)).extracting(Refusal::field)
                .containsExactly("colour", "gapAtStartMm", "runMm", "riseMm", "marks[1].widthMm", "marks[2].widthMm");
    }

    @Test
    void tiesAreToldOnlyWhenEachReadingIsPossibleByItself() {
        String struck = "{\"wavelengthNm\":10600,\"gapAtStartMm\":7,\"runMm\":200,\"riseMm\":11,\"thinnestPositionMm\":3}";
        assertThat(refused(struck, RampReadings.class)).singleElement().satisfies(refusal -> {
            assertThat(refusal.field()).isEqualTo("riseMm");
            assertThat(refusal.kind()).isEqualTo(Refusal.Kind.TIED);
        });
        assertThat(refused(struck.replace("200", "-1"), RampReadings.class)).extracting(Refusal::field).containsExactly("runMm");
    }

    @Test
    void aWholeNumberIsNotCut() {
        String json = "{\"name\":\"Wren\",\"family\":\"gantry-co2\",\"rhythm\":{\"daysOutOfUse\":4.7}}";
        assertThat(refused(json, Plate.class).get(0).field()).isEqualTo("rhythm.daysOutOfUse");
        assertThat(Binder.bind(StrictJson.read(json.replace("4.7", "4.0")).root(), Plate.class).daysOutOfUse()).isEqualTo(4);
    }

    @Test
    void halfACharacterIsRefused() {
        assertThat(refused("{\"name\":\"\\ud83d\",\"family\":\"galvo-uv\"}", Plate.class).get(0).field()).isEqualTo("name");
    }

    @Test
    void aRecordComesBackFromItsOwnJsonAndTheSameRecordGivesTheSameBytes() {
        String json = "{\"name\":\"Wren\",\"family\":\"gantry-co2\",\"source\":{\"wavelengthsNm\":[10600]},\"optics\":{\"lenses\":[{\"name\":\"short\",\"focalLengthMm\":45.5}]}}";
        Plate plate = Binder.bind(StrictJson.read(json).root(), Plate.class);

        assertThat(RecordWriter.text(plate)).isEqualTo(json);
        assertThat(Binder.bind(StrictJson.read(RecordWriter.text(plate)).root(), Plate.class)).isEqualTo(plate);
    }
}
