package zebrawood.desktop.route;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.route.StopStatus;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** The parts of a bench that several stops share, with what each found: a press goes from one to the other. */
final class PartsBar extends HBox {

    private static final double SHAPE = 34;

    private final Desk desk;

    PartsBar(Desk desk) {
        this.desk = desk;
        setPadding(new Insets(10, 24, 0, 24));
        setSpacing(8);
    }

    /** Shows the parts; nothing where a stop has its bench for itself. */
    void show(Optional<Parts> parts, String here, Consumer<String> open) {
        List<StopStatus> stops = parts.filter(Parts::isShared).map(Parts::stops).orElse(List.of());
        getChildren().setAll(stops.stream().map(stop -> part(stop, here, open)).toList());
        setManaged(!stops.isEmpty());
    }

    private Node part(StopStatus stop, String here, Consumer<String> open) {
        boolean on = stop.card().id().equals(here);
        DrawingSurface shape = new DrawingSurface(desk.look());
        shape.show((pen, width, height) -> Shapes.state(pen, stop.state(), SHAPE / 2, height / 2, 1.1), "");
        shape.setMinSize(SHAPE, SHAPE);
        shape.setPrefSize(SHAPE, SHAPE);
        String found = stop.keyFigure()
                .map(said -> said.in(desk.units().get()))
                .orElse(stop.state().word());
        VBox words = new VBox(
                1,
                Words.label(stop.card().title(), "stop-title"),
                Words.label(stop.note().orElse(found), "caption"));
        words.setAlignment(Pos.CENTER_LEFT);
        HBox row = new HBox(2, shape, words);
        row.setAlignment(Pos.CENTER_LEFT);
        Button button = new Button();
        button.setGraphic(row);
        button.setId("part." + stop.card().id());
        button.getStyleClass().setAll("button", "flat", "part");
        button.setAccessibleText(stop.card().title() + ", " + stop.state().word() + ", " + found);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(button, Priority.ALWAYS);
        if (on) {
            button.getStyleClass().add("here");
            button.setFocusTraversable(false);
        } else {
            button.setOnAction(event -> open.accept(stop.card().id()));
        }
        return button;
    }
}
