package zebrawood.kit.view;

import javafx.scene.control.Label;
import javafx.scene.layout.Pane;

/** What a bench is about, and under it how to read its drawing; over more lines where there is no room in one. */
public final class Heading extends Pane {

    private static final double LEFT = 24;
    private static final double TOP = 12;
    private static final double UNDER = 6;

    private final Label heading = Words.wrapped("", "head");
    private final Label caption;

    /** A heading with a caption below it and no words yet. */
    public Heading(String caption) {
        this.caption = Words.wrapped(caption, "caption");
        getChildren().addAll(heading, this.caption);
    }

    /** The words are the next thing to do here: nothing is larger. */
    Heading large() {
        heading.getStyleClass().setAll("label", "act");
        return this;
    }

    /** Changes the words. */
    public void show(String words) {
        Words.set(heading, words);
    }

    /** Changes the caption. */
    public void caption(String words) {
        Words.set(caption, words);
    }

    /** Lays it out at the top of a bench so wide; where what comes under it begins. */
    public double layOut(double width) {
        double wide = width - 2 * LEFT;
        double headTall = Words.tall(heading, wide);
        double captionTall = Words.tall(caption, wide);
        heading.resizeRelocate(0, 0, wide, headTall);
        caption.resizeRelocate(0, headTall + 2, wide, captionTall);
        resizeRelocate(LEFT, TOP, wide, headTall + 2 + captionTall);
        return TOP + headTall + 2 + captionTall + UNDER;
    }

    @Override
    protected void layoutChildren() {
        // laid out by layOut
    }
}
