package zebrawood.desktop.shell;

import javafx.geometry.Dimension2D;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.transform.Scale;

/**
 * What fills a window. Where the window is smaller than the pages need, as on a small screen set to large letters, all
 * of it is drawn a little smaller instead of being cut off.
 */
final class Fitted extends Region {

    /** what the pages need, px */
    static final double LEAST_WIDTH = 1000;

    static final double LEAST_HEIGHT = 660;

    private final StackPane inside = new StackPane();
    private final Scale scale = new Scale(1, 1);

    Fitted() {
        inside.getTransforms().add(scale);
        getChildren().add(inside);
    }

    /** What is seen lies in here. */
    StackPane inside() {
        return inside;
    }

    /** How much room a window of this size gives, px of the pages. */
    static Dimension2D room(double width, double height) {
        double share = share(width, height);
        return new Dimension2D(width / share, height / share);
    }

    private static double share(double width, double height) {
        return Math.max(0.1, Math.min(1, Math.min(width / LEAST_WIDTH, height / LEAST_HEIGHT)));
    }

    @Override
    protected void layoutChildren() {
        double share = share(getWidth(), getHeight());
        scale.setX(share);
        scale.setY(share);
        inside.resizeRelocate(0, 0, getWidth() / share, getHeight() / share);
    }
}
