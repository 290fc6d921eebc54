package zebrawood.kit.view;

import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

/**
 * What is pressed as a button is, by mouse, Enter or Space, but has no button's skin: the Shop, shown first, is made of
 * these.
 */
public interface Pressable {

    /** as far as a gloved hand may slip, px; farther is moving the floor */
    double SHAKE = 24;

    /** Does what pressing it does. */
    void fire();

    /** Lets a node be pressed; Enter reaches it through the window. */
    static <T extends Node & Pressable> void listen(T node) {
        Point2D[] pressedAt = {Point2D.ZERO};
        node.setFocusTraversable(true);
        node.setAccessibleRole(AccessibleRole.BUTTON);
        node.setOnMousePressed(event -> {
            pressedAt[0] = new Point2D(event.getScreenX(), event.getScreenY());
            node.requestFocus();
        });
        node.setOnMouseReleased(event -> {
            boolean moved = pressedAt[0].distance(event.getScreenX(), event.getScreenY()) > SHAKE;
            if (event.getButton() == MouseButton.PRIMARY && !moved && node.contains(event.getX(), event.getY())) {
                node.fire();
            }
        });
        node.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE) {
                event.consume();
                node.fire();
            }
        });
    }
}
