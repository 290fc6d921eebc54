package zebrawood.kit.view;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.Region;
import zebrawood.kit.figure.CanvasPen;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.SvgPen;
import zebrawood.kit.theme.Look;

/** A drawing in the window: redrawn once a layout pass, copied, saved and printed from its menu. */
public final class DrawingSurface extends Region {

    private final Canvas canvas = new Canvas();
    private final ObservableValue<Look> look;
    private final ChangeListener<Look> onLook = (value, before, now) -> requestLayout();
    private Figure figure = Figure.EMPTY;
    private boolean offered;

    /**
     * An empty surface.
     *
     * @param look the colours and fonts of now; a change draws it anew
     */
    public DrawingSurface(ObservableValue<Look> look) {
        this.look = look;
        look.addListener(new WeakChangeListener<>(onLook));
        getChildren().add(canvas);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setMinSize(0, 0);
    }

    /** Draws something else from now on; what it shows is said in words too. */
    public void show(Figure shown, String inWords) {
        figure = shown;
        setAccessibleText(inWords);
        requestLayout();
    }

    /** The first drawing in a part of the window that may be copied. */
    public static Optional<DrawingSurface> findOffered(Parent from) {
        for (Node child : from.getChildrenUnmodifiable()) {
            if (child instanceof DrawingSurface drawing) {
                if (drawing.offered && drawing.isVisible()) {
                    return Optional.of(drawing);
                }
            } else if (child instanceof Parent parent && child.isVisible()) {
                Optional<DrawingSurface> inside = findOffered(parent);
                if (inside.isPresent()) {
                    return inside;
                }
            }
        }
        return Optional.empty();
    }

    /** Lets the drawing be copied, saved and printed. */
    public DrawingSurface withMenu() {
        offered = true;
        MenuItem copy = new MenuItem("Copy picture");
        copy.setOnAction(event -> copy());
        MenuItem save = new MenuItem("Save as SVG ...");
        save.setOnAction(event -> save());
        MenuItem print = new MenuItem("Print ...");
        print.setOnAction(event -> Printing.print(this));
        ContextMenu menu = new ContextMenu(copy, save, print);
        setOnContextMenuRequested(event -> menu.show(this, event.getScreenX(), event.getScreenY()));
        return this;
    }

    /** Puts the drawing on the clipboard as a picture. */
    public void copy() {
        ClipboardContent content = new ClipboardContent();
        content.putImage(canvas.snapshot(new SnapshotParameters(), null));
        Clipboard.getSystemClipboard().setContent(content);
    }

    private void save() {
        Optional<Path> file = FileDialogs.toSave(getScene(), "drawing.svg");
        if (file.isPresent()) {
            try {
                Files.writeString(file.get(), SvgPen.document(figure, getWidth(), getHeight(), look.getValue()));
            } catch (IOException e) {
                Notice.show(this, "The drawing could not be saved there: choose another folder.");
            }
        }
    }

    @Override
    protected void layoutChildren() {
        double width = Math.floor(getWidth());
        double height = Math.floor(getHeight());
        canvas.setWidth(width);
        canvas.setHeight(height);
        canvas.getGraphicsContext2D().clearRect(0, 0, width, height);
        if (width > 1 && height > 1) {
            figure.draw(new CanvasPen(canvas.getGraphicsContext2D(), look.getValue()), width, height);
        }
    }
}
