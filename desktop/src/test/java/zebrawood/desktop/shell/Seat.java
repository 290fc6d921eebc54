package zebrawood.desktop.shell;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.testfx.api.FxRobot;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.Catalogue;
import zebrawood.desktop.bench.DrawingSurface;
import zebrawood.desktop.bench.Pressing;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.FileDialogs;
import zebrawood.desktop.route.RoutePage;
import zebrawood.desktop.shots.Nodes;
import zebrawood.logbook.store.Logbook;

/** Somebody sitting before the real window, with a keyboard. */
final class Seat implements AutoCloseable {

    private Instant now = Instant.parse("2031-03-14T09:30:00Z");
    private static final long PATIENCE_MS = 20_000;

    private final FxRobot robot = new FxRobot();
    final Desk desk;
    private Window window;
    private Stage stage;

    Seat(Path folder) {
        this(folder, CompletableFuture.completedFuture(Logbook.open(folder, Catalogue.procedures())));
        until("the window is filled", desk::isRead);
    }

    /** The window on a fresh demo shop. */
    static Seat atDemo(Path folder) {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        return new Seat(folder);
    }

    /** The window on a logbook that may still be being opened. */
    Seat(Path folder, CompletableFuture<Logbook> opening) {
        toolkit();
        desk = new Desk(folder, opening, Catalogue.procedures(), new Desk.Sitting(() -> now, ZoneId.of("UTC+1"), "test"));
        onScreen(() -> {
            stage = new Stage();
            window = new Window(desk, "Fernhollow Instrument Works", stage);
            window.open(() -> { });
            stage.requestFocus();
            return null;
        });
        until("the window is open", stage::isFocused);
    }

    /** Somebody whose initials are known already. */
    Seat as(String initials) {
        onScreen(() -> {
            desk.initials().set(initials);
            return null;
        });
        return this;
    }

    /** Lets time pass. */
    Seat later(Duration passed) {
        onScreen(() -> {
            now = now.plus(passed);
            return null;
        });
        return this;
    }

    static void toolkit() {
        try {
            CountDownLatch started = new CountDownLatch(1);
            Platform.startup(started::countDown);
            started.await();
        } catch (IllegalStateException running) {
            // started by an earlier test
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
        Platform.setImplicitExit(false);
    }

    static <T> T onScreen(Callable<T> work) {
        FutureTask<T> task = new FutureTask<>(work);
        if (Platform.isFxApplicationThread()) {
            task.run();
        } else {
            Platform.runLater(task);
        }
        try {
            return task.get(60, TimeUnit.SECONDS);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    void until(String what, BooleanSupplier so) {
        long end = System.currentTimeMillis() + PATIENCE_MS;
        while (!onScreen(so::getAsBoolean)) {
            if (System.currentTimeMillis() > end) {
                throw new AssertionError("waited in vain until " + what + "; the focus is on "
                        + onScreen(() -> window.shell().scene().getFocusOwner()) + ", the window says: " + onScreen(this::everything));
            }
            LockSupport.parkNanos(15_000_000);
        }
    }

    Seat type(String text) {
        robot.write(text, 0);
        return this;
    }

    Seat press(KeyCode... keys) {
        robot.push(keys);
        return this;
    }

    /** A key held down, as it repeats: pressed again and again, let go once. */
    Seat hold(KeyCode key, int times) {
        onScreen(() -> {
            for (int i = 0; i < times; i++) {
                Event.fireEvent(window.shell().scene().getFocusOwner(), new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
            }
            return null;
        });
        until("what it did is done", desk::isIdle);
        onScreen(() -> {
            Event.fireEvent(window.shell().scene().getFocusOwner(), new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
            Event.fireEvent(window.shell().scene().getFocusOwner(), new KeyEvent(KeyEvent.KEY_RELEASED, "", "", key, false, false, false, false));
            return null;
        });
        return this;
    }

    Seat enter() {
        return press(KeyCode.ENTER);
    }

    /** Presses the mouse on a part of the window, moves it sideways by so many px, and lets it go. */
    Seat drag(String id, double sideways) {
        robot.moveTo(find(id)).press(MouseButton.PRIMARY);
        if (sideways != 0) {
            robot.moveBy(sideways, 0);
        }
        robot.release(MouseButton.PRIMARY);
        return this;
    }

    Seat click(String id) {
        return drag(id, 0);
    }

    /** Ctrl+K, some words, Enter. */
    Seat jump(String words) {
        press(KeyCode.CONTROL, KeyCode.K);
        until("one can jump", () -> has("jump-text") && focused("jump-text"));
        type(words);
        return enter();
    }

    /** Chooses a word in a list that drops down and has the focus. */
    Seat choose(String id, String words) {
        until("one can choose " + id, () -> focused(id));
        // a key may repeat on a slow machine: then it is gone past, and back again
        for (int i = 0; i < 24 && !chosen(id).equals(words); i++) {
            String before = chosen(id);
            press(isBefore(id, words) ? KeyCode.UP : KeyCode.DOWN);
            until("another one than " + before + " is chosen in " + id, () -> !chosen(id).equals(before));
        }
        until(words + " is chosen in " + id, () -> chosen(id).equals(words));
        return this;
    }

    /** Whether a word stands before the one that is chosen. */
    private boolean isBefore(String id, String words) {
        return onScreen(() -> {
            ComboBox<?> list = (ComboBox<?>) find(id);
            return list.getItems().stream().limit(Math.max(0, list.getSelectionModel().getSelectedIndex())).anyMatch(item -> String.valueOf(item).equals(words));
        });
    }

    private String chosen(String id) {
        return onScreen(() -> String.valueOf(((ComboBox<?>) find(id)).getValue()));
    }

    /** Presses Enter until the focus is on a field. */
    Seat goTo(String id) {
        for (int i = 0; i < 80 && !onScreen(() -> focused(id)); i++) {
            enter();
        }
        until("the focus is on " + id, () -> focused(id));
        return this;
    }

    /** Puts the focus somewhere at once. */
    Seat focus(String id) {
        onScreen(() -> {
            find(id).requestFocus();
            return null;
        });
        until("the focus is on " + id, () -> focused(id));
        return this;
    }

    /** Presses something that is on the screen, wherever the focus is. */
    Seat fire(String id) {
        until(id + " is there", () -> has(id));
        onScreen(() -> {
            Node node = find(id);
            if (node instanceof Pressing pressing) {
                pressing.fire();
            } else {
                ((ButtonBase) node).fire();
            }
            return null;
        });
        return this;
    }

    /** Puts a text into a field at once, as pasting does. */
    Seat put(String id, String text) {
        until(id + " is there", () -> has(id));
        onScreen(() -> {
            ((TextInputControl) find(id)).setText(text);
            return null;
        });
        return this;
    }

    /** Opens a stop by its id. */
    Seat stop(String machine, String stop) {
        String id = desk.logbook().findMachine(machine).orElseThrow().id();
        onScreen(() -> {
            shell().stop(id, stop);
            return null;
        });
        until(stop + " is open", () -> shell().page() instanceof RoutePage route && route.stop().equals(stop) && desk.isIdle());
        return this;
    }

    /** Opens an entry in the Logbook. */
    Seat entry(Entry entry) {
        onScreen(() -> {
            shell().entry(entry.place().machineId(), entry.number());
            return null;
        });
        return this;
    }

    /** Begins to measure anew where an entry is shown. */
    Seat again() {
        return has("again") ? fire("again") : this;
    }

    /** Drops a file on the stop that is open. */
    Seat drop(Path file) {
        onScreen(() -> {
            ((RoutePage) shell().page()).view().orElseThrow().take(file.toFile());
            return null;
        });
        return this;
    }

    /** Gives this answer to every question for a file; none where one thinks better of it. */
    Seat answers(Path... files) {
        onScreen(() -> {
            window.shell().scene().getRoot().getProperties().put(FileDialogs.class, new FileDialogs() {
                @Override
                public Optional<Path> toSave(String name, javafx.stage.Window over) {
                    return Stream.of(files).findFirst().map(file -> Files.isDirectory(file) ? file.resolve(name) : file);
                }

                @Override
                public List<Path> toOpen(javafx.stage.Window over) {
                    return List.of(files);
                }
            });
            return null;
        });
        return this;
    }

    /** Chooses from the menu of the drawing that is shown, with the other mouse button and arrow keys. */
    Seat drawingMenu(int item) {
        robot.rightClickOn(DrawingSurface.findOffered(window.shell().scene().getRoot()).orElseThrow());
        for (int i = 0; i < item; i++) {
            press(KeyCode.DOWN);
        }
        return enter();
    }

    boolean focused(String id) {
        Node owner = window.shell().scene().getFocusOwner();
        // a field that was only just put up has no skin yet, and would not hear a key
        return owner != null && id.equals(Nodes.name(owner)) && !(owner instanceof Control control && control.getSkin() == null);
    }

    boolean has(String id) {
        return find(id) != null;
    }

    Node find(String id) {
        return Nodes.find(window.shell().scene().getRoot(), id).orElse(null);
    }

    /** The words of a label, button or field; empty where it is not there. */
    String words(String id) {
        return onScreen(() -> {
            Node node = find(id);
            String text = node instanceof Labeled label ? label.getText() : node instanceof TextInputControl field ? field.getText() : "";
            return text.replace('\u00a0', ' ');
        });
    }

    /** Whether some label anywhere in the window says this, or a drawing to who has it read out. */
    boolean says(String words) {
        return says(window.shell().scene().getRoot(), words);
    }

    private static boolean says(Node node, String words) {
        if (node instanceof Labeled label && holds(label.getText(), words) || holds(node.getAccessibleText(), words)) {
            return true;
        }
        return node instanceof Parent parent && parent.getChildrenUnmodifiable().stream().anyMatch(child -> says(child, words));
    }

    private static boolean holds(String text, String words) {
        return text != null && text.replace('\u00a0', ' ').contains(words);
    }

    /** All words on the screen, for a message. */
    private String everything() {
        StringBuilder words = new StringBuilder();
        gather(window.shell().scene().getRoot(), words);
        return words.toString();
    }

    private static void gather(Node node, StringBuilder words) {
        if (node instanceof Labeled label && node.isVisible()) {
            words.append(label.getText()).append(" | ");
        } else if (node instanceof TextInputControl field && node.isVisible()) {
            words.append('[').append(field.getText()).append("] | ");
        }
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> gather(child, words));
        }
    }

    Shell shell() {
        return window.shell();
    }

    @Override
    public void close() {
        onScreen(() -> {
            window.close();
            stage.hide();
            return null;
        });
    }
}
