package zebrawood.kit.view;

import javafx.scene.AccessibleAction;
import javafx.scene.control.Label;

/** Words that are pressed, styled as a button is. */
public final class PressableWords extends Label implements Pressable {

    private final Runnable action;

    /** Words that do something when pressed. */
    public PressableWords(String words, Runnable action, String... styles) {
        super(words);
        this.action = action;
        getStyleClass().setAll("pressed");
        getStyleClass().addAll(styles);
        Pressable.listen(this);
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
