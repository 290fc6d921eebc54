package zebrawood.desktop.route;

import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.procedure.Phase;
import zebrawood.core.route.Gate;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.safety.FirstLight;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** The stops in the order of the work on one line, the gate across it. */
final class RouteColumn extends BorderPane {

    private static final DateTimeFormatter DAY_TIME = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);
    private static final double LINE_X = 26;
    private static final double NARROW = 200;
    private static final double CAPTION_LINE = 14;

    private final Desk desk;
    private final VBox rows = new VBox();

    /** What can be done with the machine as a whole. */
    record Whole(Runnable work, Runnable event, Runnable point, Runnable certificate, Runnable plate) {}

    RouteColumn(Desk desk, Whole whole) {
        this.desk = desk;
        getStyleClass().add("route");
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        rows.setPadding(new Insets(8, 0, 8, 0));
        setCenter(scroll);
        GridPane events = new GridPane();
        events.add(Words.label("The machine as a whole", "caption"), 0, 0, 2, 1);
        events.add(action("Work result", "work", "Ctrl+R", whole.work()), 0, 1);
        events.add(action("Event", "event", "Ctrl+E", whole.event()), 1, 1);
        events.add(action("Open point", "point", "what is to be done that no stop says", whole.point()), 0, 2);
        events.add(action("Certificate", "certificate", "Ctrl+P", whole.certificate()), 1, 2);
        events.add(action("Plate", "edit-plate", "what stands on the machine's own plate", whole.plate()), 0, 3);
        ColumnConstraints half = new ColumnConstraints();
        half.setPercentWidth(50);
        events.getColumnConstraints().addAll(half, half);
        events.setPadding(new Insets(6, 4, 6, 16));
        setBottom(events);
    }

    /** Shows how the machine stands; {@code here} is the stop one is at, {@code begun} has a draft. */
    void show(MachineStatus machine, String here, Optional<String> begun, Consumer<String> open) {
        rows.getChildren().clear();
        Phase phase = null;
        boolean gateShown = false;
        for (StopStatus stop : machine.stops()) {
            Parts parts = Parts.of(machine, stop);
            if (parts.stops().get(0) != stop) {
                continue;
            }
            if (!gateShown && stop.card().phase().compareTo(Phase.FIRST_LIGHT) > 0) {
                rows.getChildren().add(gate(machine.gate(), here, open));
                gateShown = true;
            }
            if (stop.card().phase() != phase) {
                phase = stop.card().phase();
                rows.getChildren().add(phase(phase));
            }
            rows.getChildren().add(row(parts, here, begun.filter(parts::has), open));
        }
        if (!gateShown) {
            rows.getChildren().add(gate(machine.gate(), here, open));
        }
    }

    private Node phase(Phase phase) {
        Label title = Words.label(phase.title(), "phase");
        HBox row = new HBox(line(false, false, 14, Figure.EMPTY), title);
        title.setTranslateX(-30);
        title.setPadding(new Insets(12, 4, 0, 0));
        row.setMinHeight(32);
        return row;
    }

    private Button row(Parts parts, String here, Optional<String> draft, Consumer<String> open) {
        boolean on = parts.has(here);
        boolean begun = draft.isPresent();
        StopStatus stop = draft.map(parts::stop).orElseGet(parts::lead);
        StopState state = begun && stop.state() != StopState.SHUT ? StopState.BEGUN : stop.state();
        double scale = desk.ground().get() == Ground.EYEWEAR ? 1.4 : 1.1;
        DrawingSurface line =
                line(on, true, 52, (pen, width, height) -> Shapes.state(pen, state, LINE_X, height / 2, scale));
        Label title = Words.label(parts.title(), "stop-title");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label key = Words.label(
                stop.keyFigure().map(said -> said.in(desk.units().get())).orElse(""),
                "small",
                Slip.toneStyle(
                        state == StopState.ADJUST || state == StopState.FAILED ? Shapes.tone(state) : Tone.QUIET));
        boolean narrow = getMaxWidth() < NARROW;
        HBox first = narrow ? new HBox(title) : new HBox(6, title, gap, key);
        first.setAlignment(Pos.BASELINE_LEFT);
        boolean done = state == StopState.PASSED
                && stop.last().isPresent()
                && stop.note().isEmpty();
        Label under = Words.label(
                done
                        ? DAY_TIME.format(stop.last().get().stamp().local()) + ", "
                                + stop.last().get().stamp().by()
                        : (parts.isShared() ? stop.card().title() + ": " : "")
                                + stop.note().orElse(begun ? "draft kept" : state.word()),
                "caption");
        VBox words = new VBox(
                1, first, narrow && !key.getText().isEmpty() && stop.note().isEmpty() ? key : under);
        words.setAlignment(Pos.CENTER_LEFT);
        words.setPadding(new Insets(4, 10, 4, 0));
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(line, words);
        row.getStyleClass().add("stop-row");
        if (on) {
            row.getStyleClass().add("here");
        }
        Button button = button(
                row,
                "stop-" + parts.stops().get(0).card().id(),
                () -> open.accept(stop.card().id()));
        button.setAccessibleText(parts.title() + ", " + state.word() + ", " + key.getText());
        return button;
    }

    private Node gate(Gate gate, String here, Consumer<String> open) {
        boolean on = here.equals(FirstLight.ID);
        String words = gate.isOpen()
                ? "First light open"
                : "First light " + gate.lifted() + " of " + gate.bars().size();
        DrawingSurface bar = new DrawingSurface(desk.look());
        bar.show(
                (pen, width, height) -> {
                    pen.line(LINE_X, 0, LINE_X, height, Stroke.of(Tone.HAIRLINE, 2));
                    double text = pen.textWidth(words, Lettering.TEXT_BOLD);
                    Path frame = Path.rectangle(12, 4, width - 24, 20);
                    pen.fill(frame, gate.isOpen() ? Tone.GROUND : Tone.BAND);
                    if (!gate.isOpen()) {
                        pen.grain(13, 5, 27, 18, 4);
                        pen.grain(46 + text + 8, 5, width - 24 - 46 - text + 3, 18, 4);
                        pen.fill(Path.rectangle(40, 5, text + 14, 18), Tone.RAISED);
                    }
                    pen.stroke(frame, Stroke.of(Tone.WALNUT, 1.4));
                    pen.text(47, 19, words, Lettering.TEXT_BOLD, Tone.INK);
                },
                words);
        bar.setMinHeight(28);
        bar.setPrefHeight(28);
        String beside = gate.isOpen()
                ? gate.openedBy()
                        .map(entry -> entry.stamp().by() + ", "
                                + DAY_TIME.format(entry.stamp().local()))
                        .orElse("")
                : gate.inHand()
                        .map(line -> "next: " + line.bar().title().toLowerCase(Locale.ROOT))
                        .orElse("");
        DrawingSurface under = new DrawingSurface(desk.look());
        under.show(
                (pen, width, height) -> {
                    double y = 12;
                    for (String part : pen.wrapped(beside, width - 47 - 4, Lettering.CAPTION)) {
                        pen.text(47, y, part, Lettering.CAPTION, Tone.QUIET);
                        y += CAPTION_LINE;
                    }
                },
                beside);
        boolean two = desk.look().getValue().textWidth(beside, Lettering.CAPTION) > getMaxWidth() - 66;
        under.setMinHeight(two ? 2 * CAPTION_LINE + 2 : CAPTION_LINE + 2);
        under.setPrefHeight(under.getMinHeight());
        VBox box = new VBox(bar, under);
        box.setPadding(new Insets(8, 0, 4, 0));
        box.getStyleClass().add("stop-row");
        if (on) {
            box.getStyleClass().add("here");
        }
        Button button = button(box, "stop-" + FirstLight.ID, () -> open.accept(FirstLight.ID));
        button.setAccessibleText(words);
        return button;
    }

    private static Button action(String word, String id, String hint, Runnable action) {
        Button button = new Button(word);
        button.setTooltip(new Tooltip(hint));
        button.setId(id);
        button.getStyleClass().setAll("button", "flat", "bar-button");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        button.setOnAction(event -> action.run());
        return button;
    }

    private static Button button(Region content, String id, Runnable action) {
        Button button = new Button();
        button.setGraphic(content);
        button.setId(id);
        button.getStyleClass().setAll("button", "flat");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.TOP_LEFT);
        content.prefWidthProperty().bind(button.widthProperty().subtract(4));
        button.setOnAction(event -> action.run());
        return button;
    }

    /** The line of the Route beside a row, with the stripe of where one is. */
    private DrawingSurface line(boolean here, boolean breaks, double width, Figure shape) {
        DrawingSurface line = new DrawingSurface(desk.look());
        line.show(
                (pen, w, height) -> {
                    if (here) {
                        pen.stripe(0, 0, height);
                    }
                    if (breaks) {
                        pen.line(LINE_X, 0, LINE_X, height / 2 - 11, Stroke.of(Tone.HAIRLINE, 2));
                        pen.line(LINE_X, height / 2 + 11, LINE_X, height, Stroke.of(Tone.HAIRLINE, 2));
                    } else {
                        pen.line(LINE_X, 0, LINE_X, 10, Stroke.of(Tone.HAIRLINE, 2));
                    }
                    shape.draw(pen, w, height);
                },
                "");
        line.setMinWidth(width < 46 ? 46 : width - 6);
        line.setPrefWidth(width < 46 ? 46 : width - 6);
        return line;
    }
}
