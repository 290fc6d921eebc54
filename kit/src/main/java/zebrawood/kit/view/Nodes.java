package zebrawood.kit.view;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;

/** Finds parts of the window by their name, whatever characters it has. */
public final class Nodes {

    private Nodes() {}

    /** What a part of the window is found by; null where it has no name. */
    public static String name(Node node) {
        return node instanceof PressableDrawing pressed ? pressed.name() : node.getId();
    }

    /** What has this id below a node, in the order in which it is drawn; what does not show counts too. */
    public static Optional<Node> find(Node from, String id) {
        if (id.equals(name(from)) && from.isVisible()) {
            return Optional.of(from);
        }
        if (from instanceof ScrollPane scroll && scroll.getContent() != null) {
            Optional<Node> inside = find(scroll.getContent(), id);
            if (inside.isPresent()) {
                return inside;
            }
        }
        if (from instanceof Parent parent) {
            for (Node child : parent.getChildrenUnmodifiable()) {
                Optional<Node> inside = find(child, id);
                if (inside.isPresent()) {
                    return inside;
                }
            }
        }
        return Optional.empty();
    }

    /** Types into a field as a whole. */
    public static void type(Node from, String id, String text) {
        ((TextInputControl) find(from, id).orElseThrow(() -> new IllegalStateException("no field " + id)))
                .setText(text);
    }
}
