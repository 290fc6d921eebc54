package zebrawood.desktop.shell;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.stage.Screen;
import javafx.stage.Stage;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Preferences;
import zebrawood.kit.theme.Controls;
import zebrawood.kit.theme.Tone;

/** The window: as large and where it was last time, closed with everything kept. */
public final class Window {

    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    /** a usual shop is read by then, and the window opens filled; longer would look like a hang */
    private static final long PATIENCE_MILLIS = 250;

    private final Desk desk;
    private final Shell shell;
    private final Stage stage;
    private final CompletableFuture<Desk.Reading> reading;
    private Optional<Next> next = Optional.empty();

    /** @param shopName the name of the shop, as its head says */
    public Window(Desk desk, String shopName, Stage stage) {
        Controls.dress();
        this.desk = desk;
        this.stage = stage;
        this.reading = desk.reading();
        Preferences kept = desk.preferences();
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        double width = Math.min(screen.getWidth(), kept.number("width").orElse(WIDTH));
        double height = Math.min(screen.getHeight(), kept.number("height").orElse(HEIGHT));
        stage.setTitle("Zebrawood, " + shopName);
        stage.setScene(new Scene(new Fitted(), width, height, desk.look().get().paint(Tone.GROUND)));
        kept.number("x").ifPresent(x -> stage.setX(Math.max(0, Math.min(x, screen.getMaxX() - 200))));
        kept.number("y").ifPresent(y -> stage.setY(Math.max(0, Math.min(y, screen.getMaxY() - 200))));
        stage.setMinWidth(Math.min(Fitted.LEAST_WIDTH, screen.getWidth()));
        stage.setMinHeight(Math.min(Fitted.LEAST_HEIGHT, screen.getHeight()));
        stage.setOnCloseRequest(event -> close());
        // an empty window first: others read styles and fonts while the desktop makes it
        stage.show();
        shell = new Shell(desk, shopName, stage.getScene(), this::goOn);
        Thread.currentThread()
                .setUncaughtExceptionHandler((thread, failure) -> Platform.runLater(() -> desk.uncaught(failure)));
    }

    /** The frame with the page that is shown. */
    public Shell shell() {
        return shell;
    }

    /** What is behind it: logbook, machines, units. */
    public Desk desk() {
        return desk;
    }

    /**
     * Opens on the Shop page, filled where the logbook is read by then, else saying that it is being read; {@code then}
     * runs when it is filled.
     */
    public void open(Runnable then) {
        try {
            desk.take(reading.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS));
            show();
            filled(then);
        } catch (TimeoutException slow) {
            show();
            reading.whenComplete((read, failed) -> Platform.runLater(() -> fill(then)));
        } catch (ExecutionException | InterruptedException failed) {
            show();
            fill(then);
        }
    }

    private void show() {
        shell.shop();
        stage.requestFocus();
    }

    /** Fills it later; what could not be read is said. */
    private void fill(Runnable then) {
        desk.refresh(() -> filled(then));
    }

    private void filled(Runnable then) {
        shell.read();
        then.run();
        desk.watch();
    }

    /** What comes after this window; nothing where one just closed it. */
    public sealed interface Next {

        /** The logbook is put right. */
        record PutRight(String found) implements Next {}

        /** The demo shop is opened. */
        record Demo() implements Next {}

        /** A bundle is taken into this shop. */
        record Take(Path bundle) implements Next {}
    }

    private void goOn(Next to) {
        next = Optional.of(to);
        close();
        hide();
    }

    /** What comes now that it is closed; empty where one just closed it. */
    public Optional<Next> next() {
        return next;
    }

    /** Takes the window off the screen. */
    public void hide() {
        stage.hide();
    }

    /** Keeps the window's place and closes the logbook. */
    public void close() {
        Preferences kept = desk.preferences();
        kept.number("width", stage.getScene().getWidth());
        kept.number("height", stage.getScene().getHeight());
        kept.number("x", stage.getX());
        kept.number("y", stage.getY());
        shell.leave();
        desk.close();
    }
}
