package zebrawood.benches.mirrors;

import java.util.List;
import java.util.OptionalInt;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.core.beam.Spot;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.PressableDrawing;
import zebrawood.kit.view.Words;

/** Every shot as a small card, in their order; pressing one corrects its mark. */
final class ShotStrip extends HBox {

    private static final double CARD = 40;
    private static final double GAP = 6;

    private final ObservableValue<Look> look;

    private double shownFor = -1;

    ShotStrip(ObservableValue<Look> look) {
        super(GAP);
        this.look = look;
    }

    /** Whether it was shown for another width than this. */
    boolean needs(double width) {
        return Math.abs(width - shownFor) > 1;
    }

    /**
     * Shows the newest of them, as many as there is room for.
     *
     * @param turned before which shots screws were turned, from 0
     * @param next whether another is asked for
     * @param correct takes the shot that is pressed
     */
    void show(
            List<Steps.At> shots,
            List<Spot> marks,
            List<Integer> turned,
            boolean next,
            OptionalInt correcting,
            double width,
            Consumer<Integer> correct) {
        getChildren().clear();
        shownFor = width;
        int room = Math.max(2, (int) ((width + GAP) / (CARD + GAP)) - (next ? 1 : 0));
        int first = Math.max(0, Math.min(shots.size() - room, correcting.orElse(shots.size())));
        double most = marks.stream()
                .mapToDouble(spot -> Math.max(Math.abs(spot.xMm()), Math.abs(spot.yMm())))
                .max()
                .orElse(1);
        double half = Math.max(1, most) * 1.25;
        for (int i = first; i < Math.min(first + room, shots.size()); i++) {
            int shot = i;
            boolean chosen = correcting.isPresent() && correcting.getAsInt() == i;
            DrawingSurface small = new DrawingSurface(look);
            boolean after = turned.contains(i);
            small.show(
                    (pen, w, h) -> {
                        pen.rectangle(
                                1,
                                1,
                                w - 2,
                                h - 2,
                                Tone.RAISED,
                                chosen ? Stroke.of(Tone.WALNUT, 2.4) : Stroke.of(Tone.HAIRLINE, 1.2));
                        pen.line(4, h / 2, w - 4, h / 2, Stroke.of(Tone.HAIRLINE, 1));
                        pen.line(w / 2, 4, w / 2, h - 4, Stroke.of(Tone.HAIRLINE, 1));
                        if (after) {
                            pen.line(1, 1, 1, h - 1, Stroke.of(Tone.WALNUT, 3));
                        }
                        if (shot < marks.size()) {
                            pen.circle(
                                    w / 2 + marks.get(shot).xMm() / half * w / 2,
                                    h / 2 - marks.get(shot).yMm() / half * h / 2,
                                    3.5,
                                    Tone.READING);
                        }
                    },
                    "");
            small.setMinSize(CARD, CARD);
            small.setMaxSize(CARD, CARD);
            getChildren()
                    .add(new VBox(
                            2,
                            new PressableDrawing(
                                    "shot-" + (i + 1),
                                    small,
                                    "shot " + (i + 1) + ", " + words(shots.get(i)) + "; press to correct its mark",
                                    () -> correct.accept(shot)),
                            Words.label(String.valueOf(i + 1), "caption")));
        }
        if (next) {
            DrawingSurface open = new DrawingSurface(look);
            open.show(
                    (pen, w, h) -> pen.rectangle(1, 1, w - 2, h - 2, Tone.GROUND, Stroke.of(Tone.WALNUT, 2.2)),
                    "the next shot");
            open.setMinSize(CARD, CARD);
            open.setMaxSize(CARD, CARD);
            getChildren().add(new VBox(2, open, Words.label("next", "caption")));
        }
    }

    private static String words(Steps.At at) {
        return at.mirror() == 1 ? "card on the first run" : "card at the head";
    }
}
