package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.HeatReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.gas.Gas;
import zebrawood.core.gas.GasReadings;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.logbook.store.Logbook;

/** A machine's water and gas, from empty fields to recorded entries, by keyboard. */
class WaterAndGasTest {

    @TempDir
    private Path folder;

    @Test
    void waterAndGasAreRecordedFromEmptyFields() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.append(
                    "bittern",
                    new Body.PlateSet(plate(), Map.of()),
                    new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test"));
        }
        try (Seat seat = new Seat(folder)) {
            open(seat, "bittern climate", "airTemperatureC");
            seat.type("26").enter().type("68");
            record(seat, "The room suits this machine.", 2);

            open(seat, "bittern set-point", "minCoolantC");
            seat.until(
                    "the coldest water is asked, the air is known",
                    () -> seat.words("act").equals("Read: coldest water allowed."));
            seat.goTo("minCoolantC").type("15").enter().type("25");
            record(seat, "Set the chiller to 22.2 °C.", 3);

            open(seat, "bittern heat", "electricalInputW");
            seat.type("0.78kW")
                    .goTo("opticalOutputW")
                    .type("88")
                    .goTo("flowLMin")
                    .type("8.5")
                    .enter()
                    .type("66.2F")
                    .enter()
                    .type("27")
                    .goTo("reservoirL")
                    .type("20");
            record(seat, "Use 88 l of water or more, or stop after 13 min and let it cool.", 4);

            open(seat, "bittern filling", "circuitVolumeMl");
            seat.type("6.2 l").enter().type("-9").press(KeyCode.TAB);
            seat.choose("glycol", "ethylene glycol");
            seat.goTo("hose.boreMm").type("8").enter().type("9.5m");
            record(seat, "Mix 4650 ml of water with 1550 ml of ethylene glycol.", 5);

            seat.click("part.coolant-heat");
            seat.until(
                    "a press leads to the other part of the bench",
                    () -> seat.focused("again") && seat.words("reservoirL").equals("20"));
            seat.enter();
            seat.until(
                    "flow is read anew, the start is known from what was set",
                    () -> seat.focused("flowLMin") && seat.words("act").equals("Read: flow."));
            seat.until(
                    "the share is that of what was filled in",
                    () -> ((TextField) seat.find("glycolPct")).getPromptText().equals("25"));
            seat.fire("temperatures")
                    .until(
                            "what counts where nothing is typed is said in the units that are shown",
                            () -> ((TextField) seat.find("startC"))
                                    .getPromptText()
                                    .equals("72.0"));
            seat.fire("temperatures")
                    .until(
                            "and back",
                            () -> ((TextField) seat.find("startC"))
                                    .getPromptText()
                                    .equals("22.2"));
            seat.focus("glycol").choose("glycol", "propylene glycol");
            seat.until(
                    "of another one nothing is known",
                    () -> ((TextField) seat.find("glycolPct")).getPromptText().equals("0"));
            seat.choose("glycol", "ethylene glycol").focus("flowLMin").type("8.5");
            seat.until("the draft is kept", () -> seat.says("draft kept"));
            seat.click("part.coolant-mix");
            seat.until("the filling is shown", () -> seat.focused("again"));
            seat.click("part.coolant-heat");
            seat.until(
                    "what was typed is there, and the row says which part is half done",
                    () -> seat.words("flowLMin").equals("8.5") && seat.says("Water heat: draft kept"));
            seat.until(
                    "what was filled in carries the heat",
                    () -> seat.words("act").startsWith("Use "));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 6."));
            HeatReadings water = (HeatReadings) ((Body.Measured) seat.desk
                            .logbook()
                            .readings("bittern", "coolant-heat", 1)
                            .get(0)
                            .body())
                    .readings();
            assertThat(water.startC()).isCloseTo(22.2, within(1e-9));
            assertThat(water.glycol()).contains(Glycol.ETHYLENE);
            assertThat(water.glycolPct()).hasValue(25);
            seat.until(
                    "three stops are one row, which tells what most needs doing",
                    () -> seat.says("Water, needs adjusting, ") && seat.says("Water heat: needs adjusting"));
            assertThat(seat.has("stop-coolant-heat")).isFalse();

            open(seat, "bittern gas", "nozzleMm");
            seat.type("2")
                    .enter()
                    .type("14")
                    .enter()
                    .type("60")
                    .enter()
                    .type("50")
                    .enter()
                    .type("180");
            seat.press(KeyCode.CONTROL, KeyCode.Z);
            seat.until(
                    "a half typed bottle asks for its gauge",
                    () -> seat.words("act").equals("Read: bottle gauge."));
            seat.type("200");
            record(seat, "Look up what regulator, hose, fittings and head are rated for: 14.0 bar or more.", 7);
            assertThat(seat.desk.logbook().verify(List.of()).holds()).isTrue();

            open(seat, "bittern gas", "again");
            seat.enter();
            seat.until(
                    "what stays is kept, what is read anew is empty",
                    () -> seat.focused("pressureBar")
                            && seat.words("nozzleMm").equals("2")
                            && seat.words("bottle.pressureBar").isEmpty());
            seat.press(KeyCode.SHIFT, KeyCode.TAB)
                    .press(KeyCode.SHIFT, KeyCode.TAB)
                    .choose("gas", "argon");
            seat.goTo("pressureBar").type("6").goTo("bottle.pressureBar").type("12bar");
            seat.until("another gas, another bottle", () -> seat.words("act").startsWith("Change the bottle after "));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. 8."));
            GasReadings read = (GasReadings) ((Body.Measured) seat.desk
                            .logbook()
                            .readings("bittern", "assist-gas", 1)
                            .get(0)
                            .body())
                    .readings();
            assertThat(read.gas()).isEqualTo(Gas.ARGON);
            assertThat(read.bottle().orElseThrow().pressureBar()).isEqualTo(12);
        }
    }

    private static void open(Seat seat, String words, String first) {
        seat.jump(words);
        seat.until(words + " is open", () -> seat.focused(first));
    }

    private static void record(Seat seat, String act, int number) {
        seat.until("it says: " + act, () -> seat.words("act").equals(act));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        if (number == 2) {
            seat.until("initials are asked once", () -> seat.focused("initials"));
            seat.type("lo").enter();
        }
        seat.until("it is recorded", () -> seat.words("told").equals("Recorded as no. " + number + "."));
    }

    private static Plate plate() {
        return new Plate(
                "Bittern",
                Family.SHEET_FIBRE,
                Optional.of("FH-11"),
                Optional.of("hall"),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Services(
                        Optional.of(Plate.Cooling.WATER),
                        Optional.empty(),
                        Optional.of(Plate.Enclosure.INTERLOCK),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())),
                Optional.of(new ClimateLimits(8, 36, OptionalDouble.of(10), 80)),
                Optional.empty(),
                Optional.empty());
    }
}
