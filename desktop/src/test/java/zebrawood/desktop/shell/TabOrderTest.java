package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.route.MachineStatus;

/**
 * Without a mouse: Tab reaches everything that can be typed in or pressed on a page, and comes back to where it began.
 * A score has its digits.
 */
class TabOrderTest {

    private static final int MOST = 160;

    @TempDir
    private Path folder;

    @Test
    void tabReachesEverythingAndComesBack() {
        try (Seat seat = Seat.atDemo(folder)) {
            List<String> wrong = new ArrayList<>();
            Set<String> seen = new LinkedHashSet<>();
            for (MachineStatus machine :
                    Seat.onScreen(() -> seat.desk.machines().get())) {
                for (var stop : machine.stops()) {
                    boolean open = !stop.card().fires() || machine.gate().isOpen();
                    if (open && seen.add(stop.card().id())) {
                        seat.stop(machine.plate().name(), stop.card().id()).again();
                        seat.until(stop.card().title() + " is begun", () -> seat.desk.isIdle() && seat.has("record"));
                        gone(seat).forEach(missed -> wrong.add(stop.card().title() + ": " + missed));
                    }
                }
            }
            seat.press(KeyCode.CONTROL, KeyCode.R);
            seat.until("work can be typed", () -> seat.has("outcome.word") && seat.desk.isIdle());
            gone(seat).forEach(missed -> wrong.add("Work result: " + missed));
            assertThat(seen).hasSize(Catalogue.stops().size());
            assertThat(wrong).isEmpty();
        }
    }

    /** What Tab did not reach, once round the window. */
    private static List<String> gone(Seat seat) {
        Set<Node> reached = new LinkedHashSet<>();
        Node began = Seat.onScreen(() -> seat.shell().scene().getFocusOwner());
        for (int i = 0; i < MOST; i++) {
            Node now = Seat.onScreen(() -> {
                Event.fireEvent(
                        seat.shell().scene().getFocusOwner(),
                        new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.TAB, false, false, false, false));
                return seat.shell().scene().getFocusOwner();
            });
            reached.add(now);
            if (now == began) {
                break;
            }
        }
        List<String> missed = new ArrayList<>();
        if (!reached.contains(began)) {
            missed.add("it does not come back to " + began);
        }
        Seat.onScreen(() -> {
            look(seat.shell().scene().getRoot(), reached, missed);
            return null;
        });
        return missed;
    }

    private static void look(Node node, Set<Node> reached, List<String> missed) {
        if (!node.isVisible()) {
            return;
        }
        boolean used = node instanceof TextField || node instanceof ComboBox<?> || node instanceof ButtonBase;
        if (used && !node.isDisabled() && node.isFocusTraversable() && !reached.contains(node)) {
            missed.add("not reached: " + node.getClass().getSimpleName() + " " + node.getId());
        } else if (used
                && !node.isDisabled()
                && !node.isFocusTraversable()
                && !node.getStyleClass().contains("here")
                && !node.getStyleClass().contains("score")) {
            missed.add("no key reaches " + node.getClass().getSimpleName() + " " + node.getId());
        }
        if (node instanceof Parent parent && !(node instanceof ComboBox<?>)) {
            (node instanceof ScrollPane scroll && scroll.getContent() instanceof Parent inside ? inside : parent)
                    .getChildrenUnmodifiable()
                    .forEach(child -> look(child, reached, missed));
        }
    }
}
