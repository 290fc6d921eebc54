package zebrawood.logbook.worksheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.json.StrictJson;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.Shop;

class RecorderTest {

    private static final String CLIMATE =
            "{\"procedure\":\"site-climate\",\"readings\":{\"airTemperatureC\":21.4,\"relativeHumidityPct\":46,"
                    + "\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"minHumidityPct\":22,\"maxHumidityPct\":66}}}\n";
    private static final String RAMP =
            "{\"procedure\":\"focus-ramp\",\"readings\":{\"wavelengthNm\":355,\"gapAtStartMm\":185,\"runMm\":180,\"riseMm\":5,\"thinnestPositionMm\":90}}\n";

    @TempDir
    Path folder;

    private static List<String> record(Logbook logbook, String worksheets) throws IOException {
        ByteArrayOutputStream answers = new ByteArrayOutputStream();
        new Recorder(Shop.PROCEDURES, logbook, "plover", () -> Shop.day(1), RecorderTest::fail)
                .record(new ByteArrayInputStream(worksheets.getBytes(StandardCharsets.UTF_8)), answers);
        return answers.toString(StandardCharsets.UTF_8).lines().toList();
    }

    @Test
    void anAnswerCarriesNumberAndHashOfItsEntryAndSaysElseWhatSolveSays() throws IOException {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            List<String> answers = record(logbook, CLIMATE + "no json\n" + CLIMATE);
            Entry entry = logbook.entry("plover", 2);
            assertThat(answers.get(0))
                    .endsWith(",\"entry\":{\"number\":2,\"hash\":\""
                            + entry.place().hash() + "\"}}");
            assertThat(answers.get(1)).contains("\"error\"").doesNotContain("entry");
            assertThat(StrictJson.read(answers.get(2))
                            .root()
                            .path("entry")
                            .path("number")
                            .asInt())
                    .isEqualTo(3);
            String solved = new String(
                    new Solver(Shop.PROCEDURES, RecorderTest::fail)
                            .answer(CLIMATE.strip())
                            .json(),
                    StandardCharsets.UTF_8);
            assertThat(answers.get(0)).startsWith(solved.substring(0, solved.length() - 1));
            assertThat(entry.stamp().by()).isEqualTo("RV");
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    void whatFiresWaitsForTheGate() throws IOException {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            assertThat(record(logbook, RAMP))
                    .singleElement()
                    .satisfies(answer -> assertThat(answer)
                            .contains("\"field\":\"procedure\"")
                            .contains("first light comes first: 0 of"));
            assertThat(logbook.head().entries()).isEqualTo(1);
            for (Bar bar : FirstLight.bars(Shop.plate("Plover"))) {
                logbook.append(
                        "plover", new Body.GateLine(bar.id(), bar.title(), true, bar.fires(), "seen"), Shop.day(1));
            }
            assertThat(record(logbook, RAMP))
                    .singleElement()
                    .satisfies(answer -> assertThat(answer).contains("\"entry\""));
        }
    }

    private static void fail(Throwable fault) {
        throw new AssertionError(fault);
    }
}
