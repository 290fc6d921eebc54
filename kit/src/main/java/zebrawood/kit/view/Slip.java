package zebrawood.kit.view;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.route.StopState;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;

/** A paper strip with a torn upper edge: verdict, next action, evidence, and the button at the very bottom. */
public final class Slip extends StackPane {

    private static final double TEAR = 8;
    /** as many letters as a label and the longest figure have in one line, however wide they are */
    private static final int ONE_LINE = 26;

    private final ObservableValue<Look> look;
    private final VBox content = new VBox();
    private final VBox bottom = new VBox(8);
    private final BorderPane paper = new BorderPane();

    /**
     * An empty slip.
     *
     * @param look the colours and fonts of now
     */
    public Slip(ObservableValue<Look> look) {
        this.look = look;
        DrawingSurface tear = new DrawingSurface(look);
        tear.show(
                (pen, width, height) -> {
                    Path edge = new Path().move(0, TEAR);
                    int teeth = (int) Math.round(width / TEAR);
                    for (int i = 0; i <= teeth; i++) {
                        edge.line(i * width / teeth, i % 2 == 0 ? TEAR - 1 : 1);
                    }
                    pen.fill(edge.line(width, TEAR).close(), Tone.RAISED);
                    if (look.getValue().ground() == Ground.EYEWEAR) {
                        pen.line(0, TEAR - 1, width, TEAR - 1, Stroke.of(Tone.INK, 2));
                    }
                },
                "");
        tear.setMinHeight(TEAR);
        tear.setMaxHeight(TEAR);
        paper.getStyleClass().add("slip");
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        paper.setCenter(scroll);
        paper.setBottom(bottom);
        BorderPane.setMargin(bottom, new Insets(12, 0, 0, 0));
        VBox whole = new VBox(tear, paper);
        VBox.setVgrow(paper, Priority.ALWAYS);
        whole.getStyleClass().add("slip-shade");
        getChildren().add(whole);
        setMinWidth(USE_PREF_SIZE);
        setMaxWidth(USE_PREF_SIZE);
        setPrefWidth(272);
    }

    /** Puts these parts on it from the top down, with hairlines between. */
    public void show(List<Node> parts) {
        content.getChildren().clear();
        boolean first = true;
        for (Node part : parts) {
            if (!first && !"lead".equals(part.getUserData())) {
                Region rule = Words.rule();
                VBox.setMargin(rule, new Insets(14, 0, 10, 0));
                content.getChildren().add(rule);
            }
            content.getChildren().add(part);
            first = false;
        }
    }

    /** What stands at the very bottom. */
    public void bottom(Node... nodes) {
        bottom.getChildren().setAll(nodes);
    }

    /** Verdict with its shape; drawn, so that it is seen before it is read. */
    public Node verdict(StopState shape, String word) {
        DrawingSurface mark = mark(look, shape, 28);
        Label label = Words.label(word, "verdict", toneStyle(Shapes.tone(shape)));
        label.setId("verdict");
        HBox row = new HBox(8, mark, label);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setPadding(new Insets(4, 0, 0, 0));
        return row;
    }

    /** The one thing to do now, and how the hand does it. */
    public static Node act(String action, Optional<String> byHand) {
        Label act = Words.wrapped(action, "act");
        act.setId("act");
        VBox box = new VBox(8, act);
        byHand.ifPresent(words -> box.getChildren().add(Words.wrapped(words, "by-hand")));
        box.setPadding(new Insets(12, 0, 0, 0));
        box.setUserData("lead");
        return box;
    }

    /** More to do after it. */
    public static Node then(List<String> sentences) {
        VBox box = new VBox(6);
        sentences.forEach(sentence -> box.getChildren().add(Words.wrapped(sentence)));
        box.setPadding(new Insets(10, 0, 0, 0));
        box.setUserData("lead");
        return box;
    }

    /** Pairs of label and figure. */
    public static Node evidence(List<Body.Pair> pairs) {
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(4);
        int row = 0;
        int longest =
                pairs.stream().mapToInt(pair -> pair.figure().length()).max().orElse(0);
        for (Body.Pair pair : pairs) {
            boolean fits = pair.label().length() + longest <= ONE_LINE;
            Label label = fits ? Words.label(pair.label(), "caption") : Words.wrapped(pair.label(), "caption");
            Label figure = Words.label(pair.figure());
            figure.setMinWidth(Region.USE_PREF_SIZE);
            GridPane.setHgrow(label, Priority.ALWAYS);
            GridPane.setHalignment(figure, HPos.RIGHT);
            label.setMaxWidth(Double.MAX_VALUE);
            grid.addRow(row++, label, figure);
        }
        return grid;
    }

    /** Quiet words. */
    public static Node quiet(String words) {
        return Words.wrapped(words, "quiet");
    }

    /** A state's shape in a square of this size. */
    public static DrawingSurface mark(ObservableValue<Look> look, StopState state, double size) {
        DrawingSurface mark = new DrawingSurface(look);
        mark.show((pen, width, height) -> Shapes.mark(pen, state, width / 2, height / 2, size), state.word());
        mark.setMinSize(size, size);
        mark.setMaxSize(size, size);
        return mark;
    }

    /** The style class that colours words as a tone does. */
    public static String toneStyle(Tone tone) {
        return "tone-" + tone.name().toLowerCase(Locale.ROOT);
    }
}
