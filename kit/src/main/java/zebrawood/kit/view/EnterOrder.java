package zebrawood.kit.view;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Fields through which Enter goes, one after the other, and from the last to the first. */
public final class EnterOrder {

    private final List<Control> order = new ArrayList<>();

    /** Goes through this one after those that are there. */
    public void add(Control control) {
        order.add(control);
        control.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            boolean open = control instanceof ComboBox<?> box && box.isShowing();
            if (event.getCode() == KeyCode.ENTER && !event.isControlDown() && !open) {
                order.get((order.indexOf(control) + 1) % order.size()).requestFocus();
                event.consume();
            }
        });
    }

    /** Where typing begins. */
    public Control first() {
        return order.get(0);
    }
}
