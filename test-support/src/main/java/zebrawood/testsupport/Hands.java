package zebrawood.testsupport;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.testfx.api.FxRobot;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Nodes;
import zebrawood.kit.view.Pressable;

/**
 * Hands on a real window: keys in, words out, waiting on conditions, never on time.
 *
 * @param <S> who has these hands, so that calls can follow each other
 */
public abstract class Hands<S extends Hands<S>> {

    private static final long PATIENCE_MILLIS = 20_000;

    private final FxRobot robot = new FxRobot();

    /** The scene of the window. */
    protected abstract Scene scene();

    /** Whether nothing is being read, written or computed. */
    protected abstract boolean isIdle();

    /** Who has these hands. */
    protected abstract S me();

    public static void toolkit() {
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

    public static <T> T onScreen(Callable<T> work) {
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

    public void until(String what, BooleanSupplier so) {
        long end = System.currentTimeMillis() + PATIENCE_MILLIS;
        while (!onScreen(so::getAsBoolean)) {
            if (System.currentTimeMillis() > end) {
                throw new AssertionError("waited in vain until " + what + "; the focus is on "
                        + onScreen(() -> scene().getFocusOwner()) + ", the window says: " + onScreen(this::everything));
            }
            LockSupport.parkNanos(15_000_000);
        }
    }

    public S type(String text) {
        robot.write(text, 0);
        return me();
    }

    public S press(KeyCode... keys) {
        robot.push(keys);
        return me();
    }

    /** A key held down, as it repeats: pressed, and typed, again and again, let go once. */
    public S hold(KeyCode key, int times) {
        onScreen(() -> {
            for (int i = 0; i < times; i++) {
                repeat(key);
            }
            return null;
        });
        until("what it did is done", this::isIdle);
        onScreen(() -> {
            repeat(key);
            Event.fireEvent(
                    scene().getFocusOwner(),
                    new KeyEvent(KeyEvent.KEY_RELEASED, "", "", key, false, false, false, false));
            return null;
        });
        return me();
    }

    private void repeat(KeyCode key) {
        Event.fireEvent(
                scene().getFocusOwner(), new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
        if (key == KeyCode.SPACE) {
            Event.fireEvent(
                    scene().getFocusOwner(),
                    new KeyEvent(KeyEvent.KEY_TYPED, " ", "", KeyCode.UNDEFINED, false, false, false, false));
        }
    }

    public S enter() {
        return press(KeyCode.ENTER);
    }

    /** Presses the mouse at a place of something, px from its upper left corner, and lets it go. */
    public S pressAt(String id, double x, double y) {
        onScreen(() -> {
            Node over = find(id);
            Event.fireEvent(over, mouse(MouseEvent.MOUSE_PRESSED, over, x, y));
            Event.fireEvent(over, mouse(MouseEvent.MOUSE_RELEASED, over, x, y));
            return null;
        });
        return me();
    }

    private static MouseEvent mouse(EventType<MouseEvent> type, Node over, double x, double y) {
        Point2D at = over.localToScene(x, y);
        return new MouseEvent(
                type,
                at.getX(),
                at.getY(),
                0,
                0,
                MouseButton.PRIMARY,
                1,
                false,
                false,
                false,
                false,
                true,
                false,
                false,
                true,
                false,
                true,
                null);
    }

    /** Presses the mouse on a part of the window, moves it sideways by so many px, and lets it go. */
    public S drag(String id, double sideways) {
        robot.moveTo(find(id)).press(MouseButton.PRIMARY);
        if (sideways != 0) {
            robot.moveBy(sideways, 0);
        }
        robot.release(MouseButton.PRIMARY);
        return me();
    }

    public S click(String id) {
        return drag(id, 0);
    }

    /** Chooses a word in a list that drops down and has the focus. */
    public S choose(String id, String words) {
        until("one can choose " + id, () -> focused(id));
        // a key may repeat on a slow machine: then it is gone past, and back again
        for (int i = 0; i < 24 && !chosen(id).equals(words); i++) {
            String before = chosen(id);
            press(isBefore(id, words) ? KeyCode.UP : KeyCode.DOWN);
            until(
                    "another one than " + before + " is chosen in " + id,
                    () -> !chosen(id).equals(before));
        }
        until(words + " is chosen in " + id, () -> chosen(id).equals(words));
        return me();
    }

    /** Whether a word stands before the one that is chosen. */
    private boolean isBefore(String id, String words) {
        return onScreen(() -> {
            ComboBox<?> list = (ComboBox<?>) find(id);
            return list.getItems().stream()
                    .limit(Math.max(0, list.getSelectionModel().getSelectedIndex()))
                    .anyMatch(item -> String.valueOf(item).equals(words));
        });
    }

    private String chosen(String id) {
        return onScreen(() -> String.valueOf(((ComboBox<?>) find(id)).getValue()));
    }

    /** Presses Enter until the focus is on a field. */
    public S goTo(String id) {
        for (int i = 0; i < 80 && !onScreen(() -> focused(id)); i++) {
            enter();
        }
        until("the focus is on " + id, () -> focused(id));
        return me();
    }

    /** Puts the focus somewhere at once. */
    public S focus(String id) {
        onScreen(() -> {
            find(id).requestFocus();
            return null;
        });
        until("the focus is on " + id, () -> focused(id));
        return me();
    }

    /** Presses something that is on the screen, wherever the focus is. */
    public S fire(String id) {
        until(id + " is there", () -> has(id));
        onScreen(() -> {
            Node node = find(id);
            if (node instanceof Pressable pressing) {
                pressing.fire();
            } else {
                ((ButtonBase) node).fire();
            }
            return null;
        });
        return me();
    }

    /** Puts a text into a field at once, as pasting does. */
    public S put(String id, String text) {
        until(id + " is there", () -> has(id));
        onScreen(() -> {
            ((TextInputControl) find(id)).setText(text);
            return null;
        });
        return me();
    }

    /** Gives this answer to every question for a file; none where one thinks better of it. */
    public S answers(Path... files) {
        onScreen(() -> {
            scene().getRoot().getProperties().put(FileDialogs.class, new FileDialogs() {
                @Override
                public Optional<Path> toSave(String name, javafx.stage.Window over) {
                    return Stream.of(files)
                            .findFirst()
                            .map(file -> Files.isDirectory(file) ? file.resolve(name) : file);
                }

                @Override
                public List<Path> toOpen(javafx.stage.Window over) {
                    return List.of(files);
                }
            });
            return null;
        });
        return me();
    }

    /** Chooses from the menu of the drawing that is shown, with the other mouse button and arrow keys. */
    public S drawingMenu(int item) {
        robot.rightClickOn(DrawingSurface.findOffered(scene().getRoot()).orElseThrow());
        for (int i = 0; i < item; i++) {
            press(KeyCode.DOWN);
        }
        return enter();
    }

    public boolean focused(String id) {
        Node owner = scene().getFocusOwner();
        // a field that was only just put up has no skin yet, and would not hear a key
        return owner != null
                && id.equals(Nodes.name(owner))
                && !(owner instanceof Control control && control.getSkin() == null);
    }

    /** The id of what has the focus; empty where nothing has that would hear a key. */
    public String focus() {
        return onScreen(() -> {
            Node owner = scene().getFocusOwner();
            String id = owner == null ? null : Nodes.name(owner);
            return id == null || !focused(id) ? "" : id;
        });
    }

    public boolean has(String id) {
        return find(id) != null;
    }

    public Node find(String id) {
        return Nodes.find(scene().getRoot(), id).orElse(null);
    }

    /** The words of a label, button or field, or what is chosen in a list; empty where it is not there. */
    public String words(String id) {
        return onScreen(() -> {
            Node node = find(id);
            String text = node instanceof Labeled label
                    ? label.getText()
                    : node instanceof TextInputControl field
                            ? field.getText()
                            : node instanceof ComboBox<?> list ? String.valueOf(list.getValue()) : "";
            return text.replace('\u00a0', ' ');
        });
    }

    /** Whether some label anywhere in the window says this, or a drawing to who has it read out. */
    public boolean says(String words) {
        return says(scene().getRoot(), words);
    }

    private static boolean says(Node node, String words) {
        if (node instanceof Labeled label && holds(label.getText(), words) || holds(node.getAccessibleText(), words)) {
            return true;
        }
        return node instanceof Parent parent
                && parent.getChildrenUnmodifiable().stream().anyMatch(child -> says(child, words));
    }

    private static boolean holds(String text, String words) {
        return text != null && text.replace('\u00a0', ' ').contains(words);
    }

    /** All words on the screen, for a message. */
    private String everything() {
        StringBuilder words = new StringBuilder();
        gather(scene().getRoot(), words);
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
}
