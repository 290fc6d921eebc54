package zebrawood.kit.view;

import javafx.geometry.Pos;
import javafx.scene.AccessibleAction;
import javafx.scene.layout.StackPane;

/** A drawing that is pressed. */
public final class PressableDrawing extends StackPane implements Pressable {

    private final String name;
    private final Runnable action;

    /**
     * @param name to find it by; not its id, with which the toolkit would look its styles up anew for each one
     * @param inWords what is drawn, for who has it read out
     */
    public PressableDrawing(String name, DrawingSurface drawing, String inWords, Runnable action, String... styles) {
        super(drawing);
        this.name = name;
        this.action = action;
        setAlignment(Pos.CENTER_LEFT);
        setAccessibleText(inWords);
        getStyleClass().addAll(styles);
        Pressable.listen(this);
    }

    /** Its id, by which it is found. */
    public String name() {
        return name;
    }

    @Override
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
