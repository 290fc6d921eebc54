package zebrawood.desktop.bench;

import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleRole;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;

/** A drawing that is pressed as a button is: by mouse, Enter or Space. Much lighter than a button with a skin. */
public final class Pressed extends StackPane {

    /** as far as a gloved hand may slip, px; farther is moving the floor */
    private static final double SHAKE = 24;

    private final String name;
    private final Runnable action;
    private Point2D pressedAt = Point2D.ZERO;

    /**
     * @param name to find it by; not its id, with which the toolkit would look its styles up anew for each one
     * @param inWords what is drawn, for who has it read out
     */
    public Pressed(String name, DrawingSurface drawing, String inWords, Runnable action, String... styles) {
        super(drawing);
        this.name = name;
        this.action = action;
        setAlignment(Pos.CENTER_LEFT);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        setAccessibleText(inWords);
        getStyleClass().addAll(styles);
        setOnMousePressed(event -> {
            pressedAt = new Point2D(event.getScreenX(), event.getScreenY());
            requestFocus();
        });
        setOnMouseReleased(event -> {
            boolean moved = pressedAt.distance(event.getScreenX(), event.getScreenY()) > SHAKE;
            if (event.getButton() == MouseButton.PRIMARY && !moved && contains(event.getX(), event.getY())) {
                fire();
            }
        });
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE) {
                event.consume();
                fire();
            }
        });
    }

    public String name() {
        return name;
    }

    /** Does what pressing it does. */
    public void fire() {
        action.run();
    }

    @Override
    public void executeAccessibleAction(AccessibleAction what, Object... parameters) {
        if (what == AccessibleAction.FIRE) {
            fire();
        } else {
            super.executeAccessibleAction(what, parameters);
        }
    }
}
