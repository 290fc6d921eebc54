package zebrawood.desktop.shell;

import java.time.Duration;
import java.util.Map;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import zebrawood.core.route.Gate;

/** Somebody who lifts bars of a gate by keyboard alone, doing what is asked. */
final class AtTheGate {

    /** What is read there. */
    private static final Map<String, String> READ =
            Map.of("test-temperature", "20.5", "test-flow", "3.1", "test-power", "8");

    private final Seat seat;
    private final String machineId;

    AtTheGate(Seat seat, String machineId) {
        this.seat = seat;
        this.machineId = machineId;
    }

    private Gate gate() {
        return seat.desk.machine(machineId).orElseThrow().gate();
    }

    /** Lifts the bar in hand, from wherever the focus is on it; waits run beside the next ones. */
    void liftOne() {
        long lifted = gate().lifted();
        while (gate().lifted() == lifted) {
            seat.until("something can be answered", () -> seat.desk.isIdle() && isAnswer(seat.focus()));
            step(seat.focus(), lifted);
        }
    }

    /** Whether a bar is answered there, or something that it asks. */
    static boolean isAnswer(String id) {
        return id.startsWith("test-") || id.startsWith("cover-") || id.equals("yes") || id.equals("remark");
    }

    private void step(String at, long lifted) {
        boolean types = Seat.onScreen(() -> seat.find(at) instanceof TextInputControl);
        if (at.startsWith("test-")) {
            if (types) {
                seat.type(READ.get(at)).enter();
            } else {
                seat.press(KeyCode.SPACE);
            }
            seat.until("it goes on", () -> !seat.focused(at));
        } else if (seat.words("yes").contains("(in ")) {
            seat.later(Duration.ofMinutes(15));
            seat.until("the wait is over", () -> !seat.words("yes").contains("(in "));
        } else if (at.equals("remark")) {
            if (seat.has("tested-on")) {
                seat.type("TN, 0.06 ohm").enter().type("1 Jan 2031").enter().type("1 Jan 2033");
            } else if (Seat.onScreen(
                    () -> ((TextInputControl) seat.find(at)).getPromptText().contains("cover"))) {
                seat.type("lid");
            } else {
                seat.type("no meter");
            }
            seat.enter();
            seat.until("it goes on", () -> !seat.focused(at) && isAnswer(seat.focus()));
        } else if (at.startsWith("cover-")) {
            seat.press(KeyCode.SPACE).press(KeyCode.TAB);
            seat.until("the answer has the focus", () -> seat.focused("yes"));
        } else if (seat.words("yes").startsWith("It runs")) {
            seat.enter();
            seat.until(
                    "another bar is in hand meanwhile", () -> !seat.words("yes").startsWith("It runs"));
            seat.until("its answer has the focus", () -> isAnswer(seat.focus()));
        } else {
            seat.enter();
            seat.until("it is lifted", () -> seat.desk.isIdle() && gate().lifted() == lifted + 1);
        }
    }
}
