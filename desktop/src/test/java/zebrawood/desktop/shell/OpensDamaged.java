package zebrawood.desktop.shell;

import java.nio.file.Path;
import java.util.concurrent.locks.LockSupport;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import zebrawood.desktop.command.FirstFrame;
import zebrawood.kit.view.Nodes;

/**
 * A program of its own: starts on a damaged logbook as the command does, restores it by keyboard, and says what the
 * Shop shows.
 */
public final class OpensDamaged {

    private OpensDamaged() {}

    public static void main(String[] arguments) throws InterruptedException {
        Thread hands = new Thread(OpensDamaged::restore, "hands");
        hands.setDaemon(true);
        hands.start();
        FirstFrame.of(Path.of(arguments[0]), window -> {
            System.out.println("SHOP "
                    + Nodes.find(window.shell().scene().getRoot(), "machine-wren")
                            .isPresent());
            System.out.flush();
            window.close();
            window.hide();
        });
        System.out.println("CLOSED");
    }

    private static void restore() {
        FxRobot robot = new FxRobot();
        while (!canBeRestored()) {
            LockSupport.parkNanos(20_000_000);
        }
        robot.push(KeyCode.ENTER);
    }

    /** Whether the button that restores is there and has the focus. */
    private static boolean canBeRestored() {
        try {
            return Seat.onScreen(() -> Window.getWindows().stream()
                    .flatMap(window -> Nodes.find(window.getScene().getRoot(), "restore").stream())
                    .anyMatch(button -> !button.isDisabled() && button.isFocused()));
        } catch (IllegalStateException notStarted) {
            return false;
        }
    }
}
