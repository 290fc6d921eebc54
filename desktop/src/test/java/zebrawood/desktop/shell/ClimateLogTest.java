package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.site.ClimateReadings;
import zebrawood.logbook.store.Logbook;

/** A climate logger's file dropped on the climate bench. */
class ClimateLogTest {

    @TempDir
    private Path folder;

    @Test
    void aLogIsDrawnAndItsWorstHourTakenAsTheReading() throws Exception {
        Plate plate = new Plate(
                "Kestrel",
                Family.GANTRY_DIODE,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new ClimateLimits(14, 29, OptionalDouble.of(22), 66)),
                Optional.empty(),
                Optional.empty());
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.append(
                    "kestrel",
                    new Body.PlateSet(plate, Map.of()),
                    new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test"));
        }
        StringBuilder log = new StringBuilder("Datum;Temperatur °C;Feuchte %\n");
        for (int hour = 0; hour < 240; hour++) {
            log.append(LocalDateTime.of(2031, 3, 1, 0, 0).plusHours(hour))
                    .append(hour == 100 ? ";31,5;40\n" : hour == 7 ? ";?;40\n" : ";21,0;40\n");
        }
        Path file = Files.writeString(folder.resolve("room.csv"), log);
        Path wrong = Files.writeString(folder.resolve("wrong.csv"), "21;40\n22;41\n");
        try (Seat seat = new Seat(folder)) {
            seat.jump("kestrel climate");
            seat.until("the temperature is asked", () -> seat.focused("airTemperatureC"));
            seat.drop(wrong);
            seat.until(
                    "what lacks its head is refused in words", () -> seat.says("No line of wrong.csv names a column"));
            seat.drop(file);
            seat.until("the hours are told", () -> seat.says("1 of 239 hours outside the machine's window"));
            assertThat(seat.words("worst-hours")).contains("5 Mar 2031 04:00", "31.5 °C", "40 %");
            assertThat(seat.words("copy-lines")).startsWith("1 line could not be read, the first is line 9");
            seat.focus("take-worst").press(KeyCode.SPACE);
            seat.until(
                    "the worst hour is the reading",
                    () -> seat.words("airTemperatureC").equals("31.5")
                            && seat.words("relativeHumidityPct").equals("40.0"));

            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("initials are asked", () -> seat.focused("initials"));
            seat.type("lo").enter();
            seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 2."));
            Entry entry =
                    seat.desk.logbook().readings("kestrel", "site-climate", 1).get(0);
            assertThat(((ClimateReadings) ((Body.Measured) entry.body()).readings()).airTemperatureC())
                    .isEqualTo(31.5);
            assertThat(entry.attachments())
                    .singleElement()
                    .satisfies(along -> assertThat(along.name()).isEqualTo("room.csv"));
            assertThat(seat.desk.logbook().verify(List.of()).holds()).isTrue();
        }
    }
}
