package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.Hyperlink;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.Gate;
import zebrawood.core.route.MachineState;
import zebrawood.logbook.store.Logbook;

/** A gate that does not open at once, and a plate that is half typed when the window closes. */
class GateAndPlateTest {

    @TempDir
    Path folder;

    @BeforeEach
    void heronStandsInTheShop() {
        Plate heron = new Plate(
                "Heron",
                Family.GALVO_FIBRE,
                Optional.of("FH-07"),
                Optional.of("bench room"),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Source(
                        Optional.of("pulsed fibre"),
                        OptionalDouble.of(30),
                        OptionalDouble.empty(),
                        List.of(1064.0),
                        OptionalDouble.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            logbook.append(
                    "heron",
                    new Body.PlateSet(heron, Map.of("name", "Heron")),
                    new Entry.Stamp(Instant.parse("2031-03-13T09:00:00Z"), ZoneOffset.ofHours(1), "GA", "test"));
        }
    }

    private static Gate gate(Seat seat) {
        return seat.desk.machine("heron").orElseThrow().gate();
    }

    private static void open(Seat seat, String stop) {
        Seat.onScreen(() -> {
            seat.desk.initials().set("LO");
            seat.shell().stop("heron", stop);
            return null;
        });
    }

    @Test
    void aBarThatIsNotSoStaysInHandSaysWhatToDoAndIsOnRecord() {
        try (Seat seat = new Seat(folder)) {
            open(seat, "first-light");
            seat.until(
                    "the first bar is in hand",
                    () -> seat.focused("yes") && seat.says("1  With the mains off, take off protective films"));
            seat.enter();
            seat.until(
                    "the second bar is in hand",
                    () -> gate(seat).lifted() == 1 && seat.desk.isIdle() && seat.focused("yes"));
            seat.press(KeyCode.TAB);
            seat.until("the other answer has the focus", () -> seat.focused("no"));
            seat.enter();
            seat.until(
                    "it stays in hand and says what to do",
                    () -> gate(seat).inHand().orElseThrow().failed()
                            && seat.says("Leave the mains off and have it put right by a licensed person"));
            assertThat(gate(seat).lifted()).isEqualTo(1);
            seat.until("its answers can be given again", () -> seat.desk.isIdle() && seat.focused("yes"));
            seat.enter();
            seat.until(
                    "the fibre, of which the plate says nothing, can be answered with none",
                    () -> gate(seat).lifted() == 2
                            && seat.desk.isIdle()
                            && seat.focused("yes")
                            && seat.has("none-here"));
            seat.fire("none-here");
            seat.until(
                    "the earth is next",
                    () -> gate(seat).lifted() == 2 && seat.desk.isIdle() && seat.focused("remark"));
            seat.enter().enter().enter();
            seat.until("the answer has the focus", () -> seat.focused("yes"));
            seat.enter();
            seat.until(
                    "it is not lifted without a name beside it",
                    () -> seat.says("Write who tested it, and the figure."));
            assertThat(gate(seat).lifted()).isEqualTo(2);

            List<Boolean> answers = seat.desk.logbook().history("heron").gateAndEvents().stream()
                    .map(entry -> ((Body.GateLine) entry.body()).lifted())
                    .toList();
            assertThat(answers).as("failures are on record too").containsExactly(true, false, true);
            assertThat(seat.desk.machine("heron").orElseThrow().state()).isEqualTo(MachineState.HALF_COMMISSIONED);
        }
    }

    @Test
    void aHeldEnterAnswersOneBarOnly() {
        try (Seat seat = new Seat(folder)) {
            open(seat, "first-light");
            seat.until("the first bar is in hand", () -> seat.focused("yes"));
            seat.hold(KeyCode.ENTER, 6);
            seat.until("one is lifted", () -> gate(seat).lifted() >= 1 && seat.desk.isIdle());
            assertThat(gate(seat).lifted()).isEqualTo(1);
        }
    }

    @Test
    void aPlateHalfTypedIsBackWhenTheWindowOpensAgainAndAWrongFieldIsTold() {
        try (Seat seat = new Seat(folder)) {
            Seat.onScreen(() -> {
                seat.shell().plate("heron");
                return null;
            });
            seat.until("its plate is open", () -> seat.focused("size.widthMm") && seat.desk.isIdle());
            seat.goTo("climate.minTemperatureC").type("32").enter().type("10");
            seat.until(
                    "what is still missing is named",
                    () -> seat.words("act").equals("Still missing: Room climate the maker allows: humidity to."));
            seat.enter().enter().type("66");
            seat.until(
                    "limits the wrong way round are told", () -> seat.says("ust not be under the lowest temperature"));
            seat.until(
                    "it is kept",
                    () -> seat.desk
                            .logbook()
                            .findDraft("heron", "plate")
                            .filter(draft -> draft.content().contains("\"10\""))
                            .isPresent());
        }
        try (Seat again = new Seat(folder)) {
            Seat.onScreen(() -> {
                again.shell().plate("heron");
                return null;
            });
            again.until(
                    "what was typed is back",
                    () -> again.words("climate.minTemperatureC").equals("32")
                            && again.words("climate.maxTemperatureC").equals("10"));
            assertThat(again.desk.logbook().count(Optional.empty()))
                    .as("nothing was recorded by it")
                    .isEqualTo(1);
            Seat.onScreen(() -> {
                ((Hyperlink) again.find("put-away")).fire();
                return null;
            });
            again.until(
                    "and it can be put away",
                    () -> again.words("climate.minTemperatureC").isEmpty()
                            && again.words("name").equals("Heron"));
            again.until(
                    "for good",
                    () -> again.desk.isIdle()
                            && again.desk.logbook().findDraft("heron", "plate").isEmpty());
        }
    }
}
