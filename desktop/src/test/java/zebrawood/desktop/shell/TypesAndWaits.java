package zebrawood.desktop.shell;

import java.nio.file.Path;
import javafx.scene.control.Button;
import zebrawood.kit.view.Nodes;

/**
 * A program of its own, to be killed: opens the window on a folder, begins to watch for drops, types half a ramp, says
 * so, and waits.
 */
public final class TypesAndWaits {

    private TypesAndWaits() {}

    public static void main(String[] arguments) throws InterruptedException {
        try {
            run(arguments);
        } catch (RuntimeException | AssertionError failed) {
            // the toolkit would keep it alive, and who waits for it waiting
            failed.printStackTrace(System.out);
            System.exit(1);
        }
    }

    private static void run(String[] arguments) throws InterruptedException {
        Seat seat = new Seat(Path.of(arguments[0]));
        String id = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
        watchForDrops(seat, id);
        Seat.onScreen(() -> {
            seat.shell().stop(id, "focus-ramp");
            return null;
        });
        seat.until("the bench is open", () -> seat.has("again"));
        Seat.onScreen(() -> {
            ((Button) seat.find("again")).fire();
            Nodes.type(seat.shell().scene().getRoot(), "gapAtStartMm", "11 5/8mm");
            Nodes.type(seat.shell().scene().getRoot(), "widths[2]", "0.28");
            return null;
        });
        seat.until("the draft is kept", () -> seat.says("draft kept"));
        System.out.println("KEPT");
        System.out.flush();
        Thread.sleep(60_000);
    }

    /** Begins to watch the filled circuit, and leaves it to itself. */
    private static void watchForDrops(Seat seat, String id) {
        Seat.onScreen(() -> {
            seat.shell().stop(id, "coolant-mix");
            return null;
        });
        seat.until("the filling is shown", () -> seat.has("again"));
        Seat.onScreen(() -> {
            ((Button) seat.find("again")).fire();
            ((Button) seat.find("leak.watch")).fire();
            return null;
        });
        seat.until("the time runs", () -> seat.words("leak.watch").equals("15:00 left"));
        seat.until("it is kept", () -> seat.says("draft kept"));
    }
}
