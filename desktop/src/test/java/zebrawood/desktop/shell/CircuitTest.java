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
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.mains.CircuitReadings;
import zebrawood.logbook.store.Logbook;

/** A circuit with a row for each thing on it, by keyboard. */
class CircuitTest {

    @TempDir
    private Path folder;

    @Test
    void loadsAreTypedRowByRow() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.append(
                    "kestrel",
                    new Body.PlateSet(plate(), Map.of()),
                    new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test"));
        }
        try (Seat seat = new Seat(folder)) {
            seat.jump("kestrel circuit");
            seat.until("the supply is asked", () -> seat.focused("supplyV"));
            seat.type("230").enter().type("16").enter().type("18m").enter();
            seat.until("a cable needs its section", () -> seat.words("act").equals("Read: section of the cable."));
            seat.type("2.5");
            assertThat(Seat.<Boolean>onScreen(
                            () -> seat.find("loads[0].name").isVisible() && seat.find("loads[1].name") == null))
                    .as("one row to begin with")
                    .isTrue();

            seat.goTo("loads[0].name")
                    .type("diode supply")
                    .enter()
                    .type("0.26kW")
                    .enter()
                    .type("0,9");
            seat.until(
                    "the next row is there, and the circuit carries this",
                    () -> seat.has("loads[1].name") && seat.words("act").equals("The circuit carries this."));
            seat.goTo("loads[1].name").type("oven").enter().type("3.4k");
            seat.until(
                    "what is wrong in a row is told under it",
                    () -> seat.words("message").startsWith("Takes, row 2:"));
            seat.type("W").goTo("loads[2].name").type("kettle").enter().type("2000");
            seat.until("it is too much", () -> seat.words("act").equals("Move oven to another circuit."));
            Seat.onScreen(() -> {
                seat.find("loads[1].continuous").requestFocus();
                return null;
            });
            seat.choose("loads[1].continuous", "no");
            seat.until(
                    "the oven is on for a while only; it still has to go",
                    () -> seat.words("act").equals("Move oven to another circuit.") && seat.says("27.2 A"));
            seat.goTo("loads[2].ratedV").type("120");
            seat.until(
                    "what must not be plugged in comes first",
                    () -> seat.words("act").equals("Do not plug in kettle here."));

            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("initials are asked", () -> seat.focused("initials"));
            seat.type("lo").enter();
            seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 2."));
            CircuitReadings read = (CircuitReadings) ((Body.Measured) seat.desk
                            .logbook()
                            .readings("kestrel", "site-circuit", 1)
                            .get(0)
                            .body())
                    .readings();
            assertThat(read.loads())
                    .extracting(CircuitReadings.Load::name)
                    .containsExactly("diode supply", "oven", "kettle");
            assertThat(read.loads())
                    .extracting(load -> load.continuous().orElse(true))
                    .containsExactly(true, false, true);
            assertThat(read.cable().orElseThrow().lengthM()).isEqualTo(18);

            seat.jump("kestrel circuit");
            seat.until(
                    "the entry is shown",
                    () -> seat.focused("again") && seat.words("loads[2].name").equals("kettle"));
            seat.enter();
            seat.until(
                    "all of it stays for the next time",
                    () -> seat.words("loads[1].ratedW").equals("3.4kW") && seat.has("loads[3].name"));
            Seat.onScreen(() -> {
                seat.find("loads[1].name").requestFocus();
                return null;
            });
            seat.goTo("loads[1].name")
                    .press(KeyCode.CONTROL, KeyCode.A)
                    .press(KeyCode.DELETE)
                    .enter()
                    .press(KeyCode.CONTROL, KeyCode.A)
                    .press(KeyCode.DELETE);
            seat.goTo("loads[2].ratedV").press(KeyCode.CONTROL, KeyCode.A).press(KeyCode.DELETE);
            seat.until(
                    "a row left empty in the middle is left out",
                    () -> seat.words("act").equals("The circuit carries this."));
            assertThat(seat.desk.logbook().verify(List.of()).holds()).isTrue();
        }
    }

    private static Plate plate() {
        return new Plate(
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
    }
}
