package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.demo.DemoShop;

/**
 * A correction that is half typed is kept apart from what is half measured, and comes back where it is opened again.
 */
class CorrectionDraftTest {

    @TempDir
    private Path folder;

    @Test
    void aHalfTypedCorrectionComesBackAndTouchesNothingElse() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        Entry old;
        try (Seat seat = new Seat(folder)) {
            String wren = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
            old = seat.desk.logbook().readings(wren, "focus-ramp", 1).get(0);
            correct(seat, old);
            String before = seat.words("gapAtStartMm");
            Seat.onScreen(() -> {
                seat.find("gapAtStartMm").requestFocus();
                return null;
            });
            seat.press(KeyCode.CONTROL, KeyCode.A).type("12.34");
            assertThat(before).isNotEqualTo("12.34");
            seat.jump("wren ramp");
            seat.until(
                    "the stop itself shows what was recorded",
                    () -> seat.has("again") && seat.words("gapAtStartMm").equals(before));
        }
        try (Seat seat = new Seat(folder)) {
            correct(seat, old);
            seat.until(
                    "what was typed is there again",
                    () -> seat.words("gapAtStartMm").equals("12.34"));
            Seat.onScreen(() -> {
                seat.find("put-away").requestFocus();
                return null;
            });
            seat.enter();
            seat.until("it is left", () -> seat.has("again"));
            assertThat(seat.desk.logbook().entry(old.place().machineId(), old.number()))
                    .isEqualTo(old);
            correct(seat, old);
            seat.until(
                    "and does not come back", () -> !seat.words("gapAtStartMm").equals("12.34"));
        }
    }

    private static void correct(Seat seat, Entry entry) {
        seat.jump("wren " + entry.number());
        seat.until("the entry is open", () -> seat.has("entry-paper") && seat.has("entry-correct"));
        Seat.onScreen(() -> {
            seat.find("entry-correct").requestFocus();
            return null;
        });
        seat.enter();
        seat.until(
                "it can be typed anew",
                () -> seat.has("why") && !seat.words("gapAtStartMm").isEmpty());
    }
}
