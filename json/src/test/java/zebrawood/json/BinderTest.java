package zebrawood.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
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
        return catchThrowableOfType(
                        ReadingException.class,
                        () -> Binder.bind(StrictJson.read(json).root(), type))
                .refusals();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
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
        String json =
                "{\"riseMm\":0,\"colour\":\"red\",\"runMm\":-4,\"gapAtStartMm\":\"x\",\"marks\":[{\"positionMm\":0,\"widthMm\":0.2},"
                        + "{\"positionMm\":1,\"widthMm\":0},{\"positionMm\":2}],\"wavelengthNm\":10600}";

        assertThat(refused(json, RampReadings.class))
                .extracting(Refusal::field)
                .containsExactly("colour", "gapAtStartMm", "runMm", "riseMm", "marks[1].widthMm", "marks[2].widthMm");
    }

    @Test
    void tiesAreToldOnlyWhenEachReadingIsPossibleByItself() {
        String both = "{\"wavelengthNm\":10600,\"gapAtStartMm\":12,\"runMm\":200,\"riseMm\":11,"
                + "\"thinnestPositionMm\":3,\"marks\":[{\"positionMm\":0,\"widthMm\":0.4},"
                + "{\"positionMm\":50,\"widthMm\":0.3},{\"positionMm\":99,\"widthMm\":0.2},"
                + "{\"positionMm\":150,\"widthMm\":0.3}]}";
        assertThat(refused(both, RampReadings.class)).singleElement().satisfies(refusal -> {
            assertThat(refusal.field()).isEqualTo("thinnestPositionMm");
            assertThat(refusal.kind()).isEqualTo(Refusal.Kind.TIED);
        });
        assertThat(refused(both.replace("200", "-1"), RampReadings.class))
                .extracting(Refusal::field)
                .containsExactly("runMm");
    }

    @Test
    void aHeadThatWouldStrikeIsToldWhileWidthsStillLack() {
        String struck = "{\"wavelengthNm\":10600,\"gapAtStartMm\":7,\"runMm\":200,\"riseMm\":11}";
        assertThat(refused(struck, RampReadings.class))
                .extracting(Refusal::field, Refusal::kind)
                .containsExactly(tuple("riseMm", Refusal.Kind.WRONG), tuple("marks", Refusal.Kind.MISSING));
    }

    @Test
    void aWholeNumberIsNotCut() {
        String json = "{\"name\":\"Wren\",\"family\":\"gantry-co2\",\"rhythm\":{\"daysOutOfUse\":4.7}}";
        assertThat(refused(json, Plate.class).get(0).field()).isEqualTo("rhythm.daysOutOfUse");
        assertThat(Binder.bind(StrictJson.read(json.replace("4.7", "4.0")).root(), Plate.class)
                        .daysOutOfUse())
                .isEqualTo(4);
    }

    /** One of each kind of component that readings may have. */
    public record Kinds(
            String name,
            boolean sound,
            int count,
            Instant at,
            LocalDate day,
            List<Double> widths,
            Map<Integer, Double> settings,
            Map<String, String> words,
            Optional<Boolean> seen,
            OptionalInt passes) {}

    private static final String KINDS =
            "{\"name\":\"a\",\"sound\":true,\"count\":3,\"at\":\"2031-03-14T09:30:00Z\",\"day\":\"2031-03-14\",\"widths\":[1,2.5],"
                    + "\"settings\":{\"32\":1,\"4\":0},\"words\":{\"b\":\"x\",\"a\":\"y\"}}";

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "\"name\":\"a\" | \"name\":7 | name | must be text",
                "\"sound\":true | \"sound\":\"yes\" | sound | must be true or false",
                "\"count\":3 | \"count\":3.5 | count | whole number",
                "\"count\":3 | \"count\":1e12 | count | whole number",
                "\"2031-03-14T09:30:00Z\" | \"half past nine\" | at | must be a time such as 2031-03-14T09:30:00Z",
                "\"day\":\"2031-03-14\" | \"day\":\"2031-02-30\" | day | must be a day such as 2031-03-14",
                "[1,2.5] | {\"0\":1} | widths | must be a list",
                "[1,2.5] | [1,\"two\"] | widths[1] | number",
                "\"sound\":true | \"sound\":true,\"seen\":1 | seen | must be true or false",
                "\"sound\":true | \"sound\":true,\"passes\":1.5 | passes | whole number"
            })
    void whatIsOfAnotherKindIsToldAtItsPlace(String good, String bad, String field, String why) {
        assertThat(KINDS).contains(good);
        assertThat(refused(KINDS.replace(good, bad), Kinds.class)).anySatisfy(refusal -> {
            assertThat(refusal.field()).isEqualTo(field);
            assertThat(refusal.why()).contains(why);
        });
    }

    @Test
    void eachKindIsBoundAndNumberedSettingsComeInTheirOrder() {
        Kinds bound = Binder.bind(StrictJson.read(KINDS).root(), Kinds.class);
        assertThat(bound.settings().keySet()).containsExactly(4, 32);
        assertThat(bound.words().keySet()).containsExactly("b", "a");
        assertThat(bound.widths()).containsExactly(1.0, 2.5);
        assertThat(bound.seen()).isEmpty();
        assertThat(bound.passes()).isEmpty();
    }

    @Test
    void halfACharacterIsRefused() {
        assertThat(refused("{\"name\":\"\\ud83d\",\"family\":\"galvo-uv\"}", Plate.class)
                        .get(0)
                        .field())
                .isEqualTo("name");
    }

    @Test
    void aRecordComesBackFromItsOwnJsonAndTheSameRecordGivesTheSameBytes() {
        String json =
                "{\"name\":\"Wren\",\"family\":\"gantry-co2\",\"source\":{\"wavelengthsNm\":[10600]},\"optics\":{\"lenses\":[{\"name\":\"short\",\"focalLengthMm\":45.5}]}}";
        Plate plate = Binder.bind(StrictJson.read(json).root(), Plate.class);

        assertThat(RecordWriter.text(plate)).isEqualTo(json);
        assertThat(Binder.bind(StrictJson.read(RecordWriter.text(plate)).root(), Plate.class))
                .isEqualTo(plate);
    }
}
