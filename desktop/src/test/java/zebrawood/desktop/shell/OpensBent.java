package zebrawood.desktop.shell;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Predicate;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import javafx.stage.WindowEvent;
import org.testfx.api.FxRobot;
import zebrawood.desktop.command.FirstFrame;
import zebrawood.kit.view.Nodes;

/**
 * A program of its own: starts, as the command does, on a logbook whose look-ups were bent, is told so, has it put
 * right by the button that says so, and says what the window says then.
 */
public final class OpensBent {

    private OpensBent() {}

    public static void main(String[] arguments) throws InterruptedException {
        Thread hands = new Thread(OpensBent::putRight, "hands");
        hands.setDaemon(true);
        hands.start();
        FirstFrame.of(Path.of(arguments[0]), window -> {});
        System.out.println("CLOSED");
    }

    private static void putRight() {
        Button button = (Button) waited("put-right", node -> node.isVisible() && isShown(node));
        System.out.println(
                "TOLD " + Seat.onScreen(() -> ((Label) waitless("alarm").get()).getText()));
        // one who closes instead leaves everything as it is, and is told again
        Seat.onScreen(() -> {
            button.fire();
            return null;
        });
        waited("restore", node -> !node.isDisabled() && node.isFocused());
        new FxRobot().push(KeyCode.ENTER);
        waited("machine-wren", OpensBent::isShown);
        LockSupport.parkNanos(7_000_000_000L);
        System.out.println(
                "RIGHT " + Seat.onScreen(() -> !isShown(waitless("alarm").orElseThrow())));
        System.out.flush();
        Seat.onScreen(() -> {
            Window shown = Window.getWindows().get(0);
            Event.fireEvent(shown, new WindowEvent(shown, WindowEvent.WINDOW_CLOSE_REQUEST));
            return null;
        });
    }

    private static boolean isShown(Node node) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (!each.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private static Optional<Node> waitless(String id) {
        return Window.getWindows().stream()
                .flatMap(window -> Nodes.find(window.getScene().getRoot(), id).stream())
                .findFirst();
    }

    private static Node waited(String id, Predicate<Node> wanted) {
        for (; ; LockSupport.parkNanos(20_000_000)) {
            try {
                Optional<Node> found = Seat.onScreen(() -> waitless(id).filter(wanted));
                if (found.isPresent()) {
                    return found.get();
                }
            } catch (IllegalStateException notStarted) {
                // the toolkit is not there yet
            }
        }
    }
}
