package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.air.AirReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.logbook.store.Logbook;

/** The air assist by keyboard: what was not tried is asked for. */
class AirTest {

    @TempDir
    private Path folder;

    @Test
    void airIsTriedBeforeItIsTakenForGood() {
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
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.append(
                    "kestrel",
                    new Body.PlateSet(plate, Map.of()),
                    new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test"));
        }
        try (Seat seat = new Seat(folder)) {
            seat.jump("kestrel air assist");
            seat.until(
                    "what the plate does not say is asked over the drawing",
                    () -> seat.focused("services.airAssist") && seat.says("First, from the machine's plate or manual"));
            seat.choose("services.airAssist", "fitted");
            seat.until("the hose is asked first", () -> seat.words("act").startsWith("Follow the hose"));
            seat.focus("hoseSound").choose("hoseSound", "sound");
            seat.until("then the command", () -> seat.words("act").startsWith("Send the command for on"));
            seat.focus("onCommand").type("M8").focus("seenOn").choose("seenOn", "air came");
            seat.until("then the other", () -> seat.words("act").startsWith("Send the command for off"));
            seat.focus("offCommand").type("M9").focus("seenOff").choose("seenOff", "it stopped");
            seat.until("then the flow", () -> seat.words("act").startsWith("Read the flow"));
            seat.focus("engraving.readLMin").type("3").focus("cutting.felt").choose("cutting.felt", "light");
            seat.until(
                    "light air does not blow a flame out",
                    () -> seat.words("act")
                            .replaceAll("\\p{Zs}", " ")
                            .equals("Give more air for cutting: 15 l/min at the nozzle."));
            seat.choose("cutting.felt", "strong");
            seat.until("strong air does", () -> seat.words("act").equals("The air does what it is told."));

            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("initials are asked", () -> seat.focused("initials"));
            seat.type("lo").enter();
            seat.until("it is recorded", () -> seat.says("No. 3, recorded"));
            AirReadings read = (AirReadings) ((Body.Measured) seat.desk
                            .logbook()
                            .readings("kestrel", "air-assist", 1)
                            .get(0)
                            .body())
                    .readings();
            assertThat(seat.desk.logbook().history("kestrel").plate().presence(Plate.Part.AIR))
                    .as("the plate was recorded with it")
                    .isEqualTo(Plate.Presence.FITTED);
            assertThat(read.cutting().felt()).contains(AirReadings.Felt.STRONG);
            seat.jump("kestrel air assist");
            seat.until(
                    "the entry is shown",
                    () -> seat.focused("again") && seat.words("onCommand").equals("M8"));
            seat.enter();
            seat.until(
                    "next time all of it is tried again",
                    () -> seat.words("act").startsWith("Follow the hose")
                            && seat.words("onCommand").equals("M8"));
            assertThat(seat.desk.logbook().verify(List.of()).holds()).isTrue();
        }
    }
}
