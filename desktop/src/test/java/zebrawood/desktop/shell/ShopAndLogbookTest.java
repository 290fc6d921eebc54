package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.StopState;
import zebrawood.core.units.UnitChoice;
import zebrawood.logbook.store.TapeFilter;
import zebrawood.logbook.store.TapeLine;

/**
 * The demo shop in the real window: what stands on the Shop page, the tape and its filters, units, a gate taken back.
 */
class ShopAndLogbookTest {

    @TempDir
    Path folder;

    @Test
    void theShopIsReadFromItsEntriesAndGoneThrough() {
        try (Seat seat = Seat.atDemo(folder)) {
            shop(seat);
            unitsWithoutLoss(seat);
            tape(seat);
            gateTakenBack(seat);
            lensChanged(seat);
        }
        try (Seat again = new Seat(folder)) {
            assertThat(again.desk.units().get()).as("units are remembered").isEqualTo(new UnitChoice(true, false));
        }
    }

    private static void shop(Seat seat) {
        seat.until("six machines stand on the floor", () -> seat.says("4 machines are waiting for you"));
        for (String words : new String[] {
            "needs adjusting",
            "half commissioned",
            "in order",
            "unclear",
            "due",
            "Climate, 4 days late",
            "Ramp line due on Monday",
            "First cap the current of the source at full power.",
            "Start the coolant pump only, high voltage off, and watch it for 15 minutes."
        }) {
            seat.until("the shop says " + words, () -> seat.says(words));
        }
        seat.until("the most urgent line has the focus", () -> seat.focused("next-wren-controller-settings"));
        seat.until(
                "what is below can be scrolled to, and it still has the focus",
                () -> seat.has("next-scroll") && seat.focused("next-wren-controller-settings"));
        seat.enter();
        seat.until("it opens its stop with the ticket of its entry", () -> seat.has("copy-change"));
        seat.press(KeyCode.CONTROL, KeyCode.C);
        seat.until(
                "readings are copied as a table",
                () -> String.valueOf(Clipboard.getSystemClipboard().getString()).contains("Soft limits\toff\ton"));
    }

    private static void unitsWithoutLoss(Seat seat) {
        seat.jump("wren ramp");
        seat.until(
                "the last ramp is shown",
                () -> seat.has("again") && seat.words("gapAtStartMm").equals("11.6"));
        String before = seat.words("act");
        seat.jump("millimetres or inches");
        seat.until(
                "it is told in inches, the field as it was typed",
                () -> seat.words("act").endsWith(" in.")
                        && seat.words("gapAtStartMm").equals("11.6"));
        seat.until(
                "and understood as before",
                () -> seat.says("= 0.457 in") || seat.says("= 0.4567 in") || seat.says("0.45669 in"));
        seat.jump("millimetres or inches");
        seat.until("and back, nothing lost", () -> seat.words("act").equals(before));
        seat.jump("millimetres or inches");
        seat.until("inches stay", () -> seat.desk.units().get().inches());
    }

    private static void tape(Seat seat) {
        seat.jump("dunlin logbook");
        seat.until("the tape is filled", () -> items(seat) > 40 && seat.has("entry-paper"));
        Seat.onScreen(() -> {
            ((ComboBox<?>) seat.find("filter-verdict")).getSelectionModel().select(3);
            return null;
        });
        seat.until("only what failed is on it", () -> items(seat) == 2 && seat.says("FAIL"));
        seat.until("an old entry is told in the unit it was told in", () -> seat.says("Dry the air to 66 % or less"));
        seat.jump("wren 99999");
        seat.until("a number that is not there is told", () -> seat.says("There is no entry 99999"));
    }

    private static int items(Seat seat) {
        return seat.find("tape") instanceof ListView<?> tape ? tape.getItems().size() : 0;
    }

    private static void gateTakenBack(Seat seat) {
        String heron = seat.desk.logbook().findMachine("Heron").orElseThrow().id();
        int earth = (int) Seat.<Long>onScreen(() -> seat
                        .desk
                        .logbook()
                        .tape(
                                new TapeFilter(Optional.of(heron), Optional.of("first-light"), Optional.empty()),
                                Long.MAX_VALUE,
                                50)
                        .stream()
                        .map(TapeLine::entry)
                        .filter(entry -> ((Body.GateLine) entry.body()).bar().equals("earth"))
                        .mapToLong(Entry::number)
                        .max()
                        .orElseThrow())
                .intValue();
        seat.jump("heron " + earth);
        seat.until("the bar's entry is open", () -> seat.has("entry-correct") && seat.says("Seen to be so."));
        Seat.onScreen(() -> {
            seat.find("entry-correct").requestFocus();
            return null;
        });
        seat.enter();
        seat.until(
                "what follows is said",
                () -> seat.focused("gate-why") && seat.says("the gate shuts until it is lifted anew"));
        seat.type("label was of another machine");
        Seat.onScreen(() -> {
            ((TextField) seat.find("over-initials")).setText("RV");
            seat.find("gate-take-back").requestFocus();
            return null;
        });
        seat.enter();
        seat.until(
                "its gate is shut",
                () -> !seat.desk.machine(heron).orElseThrow().gate().isOpen());
        assertThat(seat.desk.machine(heron).orElseThrow().stop("focus-ramp").state())
                .isEqualTo(StopState.SHUT);
    }

    private static void lensChanged(Seat seat) {
        String kestrel =
                seat.desk.logbook().findMachine("Kestrel").orElseThrow().id();
        seat.jump("kestrel climate");
        seat.until("it is open", () -> seat.has("again"));
        seat.press(KeyCode.CONTROL, KeyCode.E);
        seat.until("one can say what happened", () -> seat.focused("event-moved"));
        seat.press(KeyCode.DIGIT3);
        seat.until(
                "what follows is said",
                () -> seat.focused("event-remark") && seat.says("Ramp line is to be done again."));
        assertThat(Seat.<Boolean>onScreen(() -> seat.says("gate shuts")))
                .as("a lens shuts no gate")
                .isFalse();
        seat.type("cleaned").enter().enter();
        seat.until(
                "the refocus flag is up and the gate open",
                () -> seat.desk
                                        .machine(kestrel)
                                        .orElseThrow()
                                        .stop("focus-ramp")
                                        .state()
                                == StopState.DUE
                        && seat.desk.machine(kestrel).orElseThrow().gate().isOpen()
                        && seat.says("lens out and back 14 Mar"));
    }
}
