package zebrawood.kit.view;

import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** A bench that can be covered for a while by something that reads a file off. */
public final class Covered extends StackPane {

    private final Node own;

    /** @param own what is seen while nothing covers it */
    public Covered(Node own) {
        this.own = own;
        getChildren().add(own);
    }

    /** Covers it. */
    public void cover(Node over) {
        own.setVisible(false);
        // what covers it fits into the window, however long the bench is
        own.setManaged(false);
        getChildren().setAll(own, over);
    }

    /** Shows it again. */
    public void uncover() {
        getChildren().setAll(own);
        own.setManaged(true);
        own.setVisible(true);
    }
}
