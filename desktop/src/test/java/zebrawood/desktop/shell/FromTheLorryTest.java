package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;

/** Dunlin is unloaded, looked over line by line, and lifted to its first light: by keyboard alone. */
class FromTheLorryTest {

    @TempDir
    Path folder;

    private static MachineStatus dunlin(Seat seat) {
        return seat.desk
                .machine(Seat.onScreen(() -> seat.shell().machine("Dunlin")))
                .orElseThrow();
    }

    @Test
    void fromTheLorryToFirstLight() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("dunlin inventory");
            seat.until("its inventory is open", () -> seat.desk.isIdle() && seat.has("part-Mains cable"));
            moved(seat);
            assertThat(dunlin(seat).stop("inventory").state()).isEqualTo(StopState.DUE);
            assertThat(dunlin(seat).gate().lifted()).isZero();
            inventory(seat);
            AtTheGate hand = new AtTheGate(seat, dunlin(seat).machineId());
            seat.jump("dunlin first light");
            while (!dunlin(seat).gate().isOpen()) {
                hand.liftOne();
            }
            assertThat(dunlin(seat).gate().openedBy()).isPresent();
            assertThat(dunlin(seat).points())
                    .extracting(point -> ((Body.PointOpened) point.body()).what())
                    .contains("Missing: Spare fuses (10 A slow)");
            assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
        }
    }

    private static void moved(Seat seat) {
        seat.press(KeyCode.CONTROL, KeyCode.E);
        seat.until("what happened is asked", () -> seat.focused("event-moved"));
        seat.press(KeyCode.DIGIT1);
        seat.until("what follows is said before", () -> seat.says("Inventory is to be done again."));
        seat.type("back to the bench room").enter().enter();
        seat.until("nothing is lifted any more", () -> dunlin(seat).gate().lifted() == 0 && seat.desk.isIdle());
    }

    private static void inventory(Seat seat) {
        seat.jump("dunlin inventory");
        seat.until("it can be gone through again", () -> seat.focused("again"));
        seat.enter();
        String last = "";
        for (int line = 0; line < 60 && !last.equals("done"); line++) {
            String before = last;
            seat.until(
                    "a line is in hand, or all are done",
                    () -> seat.words("verdict").equals("ADJUST")
                            || seat.focus().startsWith("part-") && !seat.focus().equals(before));
            if (seat.words("verdict").equals("ADJUST")) {
                last = "done";
                continue;
            }
            last = seat.focus();
            if (last.equals("part-Spare fuses")) {
                seat.press(KeyCode.M);
                seat.until("what is missing is said", () -> seat.focused("remark-Spare fuses"));
                seat.type("10 A slow").enter();
            } else {
                seat.press(KeyCode.SPACE);
            }
        }
        seat.until("it is judged", () -> seat.words("act").startsWith("Order and fit what is missing: Spare fuses."));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until(
                "it is recorded, and what is missing stands open",
                () -> seat.words("told").startsWith("Recorded as no. ") && seat.desk.isIdle());
    }
}
