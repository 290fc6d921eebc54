package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.extraction.ExtractionReadings;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.logbook.store.Logbook;

/**
 * The extraction by keyboard: fan from a file, the run part by part, the other layout, the gauge from one time to the
 * next.
 */
class ExtractionTest {

    @TempDir
    private Path folder;

    @Test
    void theRunIsTypedPartByPart() throws Exception {
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
        Path curve =
                Files.writeString(folder.resolve("fan.csv"), "flow m3/h;Pa\n0;640\n200;590\n400;455\n600;180\n690;0\n");
        try (Seat seat = new Seat(folder)) {
            seat.jump("kestrel extraction");
            seat.until("the flow is asked", () -> seat.focused("requiredFlowM3h"));
            seat.type("120l/s").goTo("gaugePa").type("140");
            seat.until("then the fan", () -> seat.words("act").startsWith("Type the fan's curve"));
            seat.goTo("fanCurve").type("0 640; 200");
            seat.until(
                    "a point lacks its pressure",
                    () -> seat.says("Type flow and pressure of each point, as in 0 640; 200 590; 400 455."));
            seat.drop(curve);
            seat.until(
                    "the file is taken",
                    () -> seat.words("fanCurve").equals("0 640; 200 590; 400 455; 600 180; 690 0"));
            seat.goTo("run[0].name").type("hose").enter().type("80").enter().type("5.7");
            seat.until(
                    "so narrow a hose takes too much", () -> seat.words("act").startsWith("Make hose 100 mm wide."));
            seat.focus("compare").press(KeyCode.SPACE);
            seat.until("this run is kept", () -> seat.words("compare").equals("Forget the other"));
            seat.focus("run[0].bore").press(KeyCode.CONTROL, KeyCode.A).type("125");
            seat.until(
                    "a wide one draws, the other is told beside it",
                    () -> seat.words("act").equals("It draws enough.") && seat.says("other run"));
            seat.focus("run[1].kind").choose("run[1].kind", "filter");
            seat.focus("run[1].a").type("400").enter().type("90").enter().type("300");
            seat.until("a loaded filter is said", () -> seat.says("loaded"));

            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("initials are asked", () -> seat.focused("initials"));
            seat.type("lo").enter();
            seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 2."));
            ExtractionReadings read = (ExtractionReadings) ((Body.Measured) seat.desk
                            .logbook()
                            .readings("kestrel", "exhaust-duct", 1)
                            .get(0)
                            .body())
                    .readings();
            assertThat(read.requiredFlowM3h()).isEqualTo(432);
            assertThat(read.gauge()).containsExactly(new ExtractionReadings.Gauged(LocalDate.of(2031, 3, 14), 140));
            assertThat(read.other().orElseThrow().segments().get(0).diameterMm())
                    .isEqualTo(80);

            seat.jump("kestrel extraction");
            seat.until(
                    "the entry is shown",
                    () -> seat.focused("again") && seat.words("run[1].c").equals("300"));
            seat.enter();
            seat.until(
                    "the gauge is read anew",
                    () -> seat.words("gaugePa").isEmpty()
                            && seat.words("run[0].bore").equals("125"));
            assertThat(seat.desk.logbook().verify(List.of()).holds()).isTrue();
        }
    }
}
