package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.gas.AssistGas;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.core.procedure.Change;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;

/** The format of an entry, to the byte: whoever changes it by accident hears of it here. */
class EntryBytesTest {

    private static final Entry.Stamp STAMP =
            new Entry.Stamp(Instant.parse("2031-03-14T09:30:00Z"), ZoneOffset.ofHours(1), "RV", "0.1.0");

    private final EntryBytes codec = new EntryBytes(List.of(new SiteClimate()));

    private static EntryBytes.Head head(Optional<Entry.Correction> corrects) {
        return new EntryBytes.Head("wren", 7, Hashes.NONE, STAMP, corrects, List.of());
    }

    @Test
    void anEventIsTheseBytesAndNoOthers() {
        byte[] bytes = codec.write(
                head(Optional.of(new Entry.Correction(5, 3, Instant.parse("2031-03-01T08:00:00Z"), "seen wrongly"))),
                new Body.Happened(Change.LENS_CHANGED, "über 60"));

        assertThat(new String(bytes, StandardCharsets.UTF_8))
                .isEqualTo(
                        "{\"format\":1,\"machine\":\"wren\",\"number\":7,\"previous\":\"" + Hashes.NONE
                                + "\",\"kind\":\"event\",\"stop\":\"event\",\"corrects\":{\"number\":5,\"standsAt\":3,\"since\":\"2031-03-01T08:00:00Z\",\"why\":\"seen wrongly\"},"
                                + "\"body\":{\"change\":\"lens-changed\",\"remark\":\"über "
                                + "60\"},\"attachments\":[],\"program\":\"0.1.0\",\"at\":\"2031-03-14T09:30:00Z\",\"zone\":\"+01:00\",\"by\":\"RV\"}");
    }

    @Test
    void aReadingHoldsReadingsAsTypedFindingVerdictWordsAndLimitsOfTheDay() {
        SiteClimate procedure = new SiteClimate();
        ClimateReadings readings = new ClimateReadings(21.5, 46, new ClimateLimits(14, 29, OptionalDouble.empty(), 66));
        Body.Measured body = Body.Measured.of(
                procedure,
                readings,
                Map.of("airTemperatureC", "70.7F"),
                procedure.evaluate(readings),
                new UnitChoice(false, true));
        String json = new String(codec.write(head(Optional.empty()), body), StandardCharsets.UTF_8);

        assertThat(json)
                .contains(
                        "\"readings\":{\"airTemperatureC\":21.5,\"relativeHumidityPct\":46,\"limits\":{\"minTemperatureC\":14,\"maxTemperatureC\":29,\"maxHumidityPct\":66}}",
                        "\"asTyped\":{\"airTemperatureC\":\"70.7F\"}",
                        "\"verdict\":\"PASS\"",
                        "\"temperatureOk\":true",
                        "\"tolerances\":{\"limits\":{",
                        "\"units\":{\"inches\":false,\"fahrenheit\":true}",
                        "\"keyFigure\":\"dew 48.9 °F\"",
                        "\"judgedBy\":\"57 to 84 °F, 0 to 66 %\"");
        assertThat(json).doesNotContain("null", "minHumidityPct\":0");
    }

    @Test
    void whatIsReadBackIsWhatWasWritten() {
        SiteClimate procedure = new SiteClimate();
        ClimateReadings readings = new ClimateReadings(2, 90, new ClimateLimits(14, 29, OptionalDouble.of(22), 66));
        Body.Measured body =
                Body.Measured.of(procedure, readings, Map.of(), procedure.evaluate(readings), UnitChoice.METRIC);
        byte[] bytes = codec.write(head(Optional.empty()), body);
        Entry read = codec.read(bytes, Hashes.of(bytes));

        assertThat(read.body()).isEqualTo(body);
        assertThat(read.stamp()).isEqualTo(STAMP);
        assertThat(codec.write(head(Optional.empty()), read.body())).isEqualTo(bytes);
    }

    /**
     * A logbook outlives the program that wrote it: an entry of each kind and stop, as the version wrote it that its
     * file is named after.
     */
    @Test
    void entriesOfOlderVersionsStayReadable() throws IOException {
        EntryBytes all = new EntryBytes(List.of(
                new SiteClimate(),
                new SiteCircuit(),
                new CoolantMix(),
                new CoolantHeat(),
                new CoolantSetpoint(),
                new AssistGas(),
                new ControllerSettings(),
                new FocusRamp()));
        try (InputStream file = EntryBytesTest.class.getResourceAsStream("/old-entries/0.2.0.jsonl")) {
            List<String> lines = new String(file.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
            assertThat(lines).hasSize(13);
            for (String line : lines) {
                Entry entry = all.read(line.getBytes(StandardCharsets.UTF_8), Hashes.NONE);
                assertThat(line).contains("\"stop\":\"" + entry.body().stop() + "\"");
                if (entry.body() instanceof Body.Measured measured) {
                    assertThat(measured.shown().keyFigure())
                            .as(entry.body().stop())
                            .isNotEmpty();
                }
            }
        }
    }
}
