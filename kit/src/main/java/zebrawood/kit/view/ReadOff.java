package zebrawood.kit.view;

import java.io.File;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.DoublePredicate;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import zebrawood.core.reading.ReadingException;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;

/**
 * Readings are taken off a picture or a recording: it is shown large, what was found in it is drawn over it with grips
 * to put it right, and one button takes the readings over.
 */
public abstract class ReadOff extends Pane {

    private static final double LEFT = 24;
    private static final double FOOT = 62;
    private static final double REACH = 26;
    private static final double BUTTON = 44;

    private final Workplace workplace;
    private final Covered covered;
    private final Heading heading = new Heading("").large();
    private final Pane under = new Pane();
    private final HBox asks = new HBox(8);
    private final DrawingSurface surface;
    private final Button take = new Button();
    private final Button close = new Button("Close");
    private Optional<AtomicBoolean> reading = Optional.empty();
    private int chosen = -1;

    /**
     * @param covered the bench that it covers
     * @param takes what the button says that takes the readings over
     */
    protected ReadOff(Workplace workplace, Covered covered, String takes) {
        this.workplace = workplace;
        this.covered = covered;
        surface = new DrawingSurface(workplace.look());
        surface.setId("read-off");
        surface.setFocusTraversable(true);
        surface.setOnMousePressed(event -> {
            surface.requestFocus();
            chosen = nearest(event.getX(), event.getY());
            if (chosen < 0) {
                pressed(event.getX(), event.getY());
            }
            refresh();
        });
        surface.setOnMouseDragged(event -> {
            if (chosen >= 0) {
                move(chosen, clamp(event.getX(), surface.getWidth()), clamp(event.getY(), surface.getHeight()));
                refresh();
            }
        });
        surface.setOnMouseReleased(event -> {
            if (chosen >= 0) {
                moved();
                refresh();
            }
        });
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        take.setText(takes);
        take.setId("take-over");
        take.getStyleClass().setAll("button", "strong");
        take.setOnAction(event -> {
            leave();
            taken();
        });
        close.setId("close-read-off");
        close.getStyleClass().setAll("button", "outline");
        close.setOnAction(event -> leave());
        asks.setAlignment(Pos.CENTER_LEFT);
        asks.setVisible(false);
        getChildren().addAll(heading, under, surface, take, close, asks);
    }

    private static double clamp(double at, double most) {
        return Math.max(0, Math.min(most, at));
    }

    /** Where it stands. */
    protected final Workplace workplace() {
        return workplace;
    }

    /** What is to be done next, as a sentence. */
    protected abstract String asked();

    /** What was found so far, and how to put it right. */
    protected abstract String note();

    /** Whether the readings may be taken over. */
    protected abstract boolean isReady();

    /** Where in a surface so large the pictures lie, in their order. */
    protected abstract List<Path.Box> imagesIn(double width, double height);

    /** What is drawn over it. */
    protected abstract Figure over();

    /** What can be moved, in px of the drawing. */
    protected abstract List<Point2D> grips();

    /** A grip is moved. */
    protected abstract void move(int grip, double x, double y);

    /** A grip was moved. */
    protected void moved() {}

    /** Something else than a grip was pressed. */
    protected abstract void pressed(double x, double y);

    /** The readings are taken over. */
    protected abstract void taken();

    /** The grip that was chosen last, or less than 0. */
    protected final int chosen() {
        return chosen;
    }

    /** How large the drawing is, px. */
    protected final Point2D size() {
        return new Point2D(surface.getWidth(), surface.getHeight());
    }

    /** Changes the pictures that lie under the drawing. */
    protected final void images(List<Image> shown) {
        under.getChildren().setAll(shown.stream().map(ImageView::new).toList());
    }

    /** What is typed beside the buttons. */
    protected final void ask(Label label, TextField field) {
        label.setLabelFor(field);
        field.setPrefWidth(90);
        asks.getChildren().setAll(label, field);
        field.textProperty().addListener((value, before, now) -> refresh());
    }

    private int nearest(double x, double y) {
        int nearest = -1;
        double least = REACH;
        List<Point2D> grips = grips();
        for (int i = 0; i < grips.size(); i++) {
            double far = grips.get(i).distance(x, y);
            if (far < least) {
                least = far;
                nearest = i;
            }
        }
        return nearest;
    }

    private void key(KeyEvent event) {
        double step = event.isShiftDown() ? 10 : 1;
        List<Point2D> grips = reading.isPresent() ? List.of() : grips();
        boolean used = true;
        if (event.getCode() == KeyCode.ESCAPE) {
            leave();
        } else if (grips.isEmpty() || getScene() == null || getScene().getFocusOwner() != surface) {
            used = false;
        } else if (event.getCode() == KeyCode.SPACE) {
            chosen = (chosen + 1) % grips.size();
        } else if (chosen >= 0 && chosen < grips.size() && event.getCode().isArrowKey()) {
            Point2D at = grips.get(chosen);
            KeyCode code = event.getCode();
            move(
                    chosen,
                    clamp(at.getX() + (code == KeyCode.LEFT ? -step : code == KeyCode.RIGHT ? step : 0), size().getX()),
                    clamp(at.getY() + (code == KeyCode.UP ? -step : code == KeyCode.DOWN ? step : 0), size().getY()));
            moved();
        } else {
            used = false;
        }
        if (used) {
            event.consume();
            refresh();
        }
    }

    /**
     * Reads a file apart from the window, with its progress shown and a button to stop.
     *
     * @param work does it; it is given who is told the share that is done, and says whether to go on
     * @param then takes what came of it
     */
    protected final <T> void read(File file, Function<DoublePredicate, T> work, Consumer<T> then) {
        AtomicBoolean goesOn = new AtomicBoolean(true);
        reading.ifPresent(before -> before.set(false));
        reading = Optional.of(goesOn);
        covered.cover(this);
        wait(file.getName(), 0);
        workplace.apart(() -> work(file, work, goesOn), done -> {
            if (goesOn.get()) {
                reading = Optional.empty();
                if (done.result().isPresent()) {
                    then.accept(done.result().get());
                    refresh();
                    surface.requestFocus();
                } else {
                    leave();
                    workplace.tell(
                            file.getName() + ": " + done.why() + (done.why().endsWith("?") ? "" : "."));
                }
            }
        });
    }

    /** Covers the bench without a file. */
    protected final void begin() {
        covered.cover(this);
        refresh();
        surface.requestFocus();
    }

    /** What came of reading, or why nothing did. */
    private record Done<T>(Optional<T> result, String why) {}

    private <T> Done<T> work(File file, Function<DoublePredicate, T> work, AtomicBoolean goesOn) {
        long[] told = {0};
        try {
            T result = work.apply(share -> {
                long now = Math.round(share * 20);
                if (now != told[0]) {
                    told[0] = now;
                    Platform.runLater(() -> {
                        if (goesOn.get() && reading.filter(is -> is == goesOn).isPresent()) {
                            wait(file.getName(), share);
                        }
                    });
                }
                return goesOn.get();
            });
            return new Done<>(Optional.of(result), "");
        } catch (ReadingException refused) {
            return new Done<>(Optional.empty(), refused.refusals().get(0).why());
        } catch (OutOfMemoryError large) {
            return new Done<>(Optional.empty(), "it is too large to be read here: make it smaller");
        }
    }

    private void wait(String name, double share) {
        heading.show("Reading " + name + " ... " + Math.round(100 * share) + " %");
        heading.caption("Stop ends it; nothing is changed then.");
        under.setVisible(false);
        asks.setVisible(false);
        surface.setVisible(false);
        take.setVisible(false);
        close.setText("Stop");
        requestLayout();
    }

    private void leave() {
        reading.ifPresent(running -> running.set(false));
        reading = Optional.empty();
        chosen = -1;
        covered.uncover();
    }

    /** Shows what there is now. */
    protected final void refresh() {
        heading.show(asked());
        heading.caption(note());
        under.setVisible(true);
        asks.setVisible(!asks.getChildren().isEmpty());
        surface.setVisible(true);
        take.setVisible(true);
        take.setDisable(!isReady());
        close.setText("Close");
        surface.show(over(), asked());
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        double top = heading.layOut(getWidth());
        double high = Math.max(60, getHeight() - top - FOOT);
        double wide = Math.max(60, getWidth() - 2 * LEFT);
        surface.resizeRelocate(LEFT, top, wide, high);
        List<Path.Box> boxes = imagesIn(wide, high);
        under.resizeRelocate(LEFT, top, wide, high);
        for (int i = 0; i < Math.min(boxes.size(), under.getChildren().size()); i++) {
            ImageView image = (ImageView) under.getChildren().get(i);
            image.setFitWidth(boxes.get(i).width());
            image.setFitHeight(boxes.get(i).height());
            image.relocate(boxes.get(i).x(), boxes.get(i).y());
        }
        double takes = take.prefWidth(BUTTON);
        take.resizeRelocate(LEFT, getHeight() - FOOT + 9, takes, BUTTON);
        double closes = close.prefWidth(BUTTON);
        close.resizeRelocate(take.isVisible() ? LEFT + takes + 12 : LEFT, getHeight() - FOOT + 9, closes, BUTTON);
        double asked = asks.prefWidth(BUTTON);
        asks.resizeRelocate(getWidth() - LEFT - asked, getHeight() - FOOT + 9, asked, BUTTON);
    }
}
