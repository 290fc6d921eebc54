package zebrawood.desktop.route;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
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
import zebrawood.core.units.Days;
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

    private static final double LINE_X = 26;
    private static final double CAPTION_LINE = 14;
    /** a phase, folded or not; px */
    private static final double PHASE_ROW = 31;
    /** a stop of a phase that is open, at the least; px */
    private static final double STOP_ROW = 28;
    /** how far a stop stands beside the line of its phase; px */
    private static final double INDENT = 20;

    private static final Set<StopState> NEEDS =
            EnumSet.of(StopState.FAILED, StopState.ADJUST, StopState.UNCLEAR, StopState.DUE);

    private final Desk desk;
    private final VBox rows = new VBox();
    private final ScrollPane scroll = new ScrollPane(rows);
    /** what has to be seen whatever part of the Route is looked at */
    private final VBox flag = new VBox();

    private final List<Runnable> waiting = new ArrayList<>();
    private final Timeline clock =
            new Timeline(new KeyFrame(javafx.util.Duration.seconds(1), event -> waiting.forEach(Runnable::run)));
    private Optional<Phase> pressed = Optional.empty();
    private Optional<Node> inHand = Optional.empty();
    private String hereBefore = "";

    /** What can be done with the machine as a whole. */
    record Whole(
            Runnable start,
            Runnable work,
            Runnable event,
            Runnable point,
            Runnable certificate,
            Runnable plate,
            Runnable focus) {}

    private LocalDate today() {
        return desk.local(desk.now()).toLocalDate();
    }

    RouteColumn(Desk desk, Whole whole) {
        this.desk = desk;
        getStyleClass().add("route");
        clock.setCycleCount(Animation.INDEFINITE);
        sceneProperty().addListener((value, before, scene) -> {
            if (scene == null) {
                clock.stop();
            }
        });
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        rows.setPadding(new Insets(2, 0, 2, 0));
        setCenter(scroll);
        FlowPane words = new FlowPane(
                2,
                0,
                action("Start", "start", "the half minute before a job, Ctrl+B", whole.start()),
                action("Result", "work", "how work came out, Ctrl+R", whole.work()),
                action("Event", "event", "Ctrl+E", whole.event()),
                action("Plate", "edit-plate", "what stands on the machine's own plate", whole.plate()),
                action("Focus", "focus", "the best gap by every school, on one axis", whole.focus()),
                action("Open point", "point", "what is to be done that no stop says", whole.point()),
                action("Certificate", "certificate", "Ctrl+P", whole.certificate()));
        flag.setId("refocus");
        flag.setPadding(new Insets(0, 10, 0, 0));
        VBox events = new VBox(flag, Words.label("The machine as a whole", "caption"), words);
        words.setPrefWrapLength(196);
        events.setPadding(new Insets(2, 0, 2, 12));
        setBottom(events);
    }

    /**
     * What is shown.
     *
     * @param here the stop one is at
     * @param begun the stop that has a draft
     * @param waits stops at which a wait runs, and when it is over
     */
    record Shown(MachineStatus machine, String here, Optional<String> begun, Map<String, Instant> waits) {}

    /** Shows how the machine stands: a line a phase, and the rows of the one in hand. */
    void show(Shown shown, Consumer<String> open) {
        if (!shown.here().equals(hereBefore)) {
            hereBefore = shown.here();
            pressed = Optional.empty();
        }
        waiting.clear();
        flag.getChildren()
                .setAll(
                        shown
                                .machine()
                                .refocus()
                                .map(since -> RefocusFlag.of(desk, shown.machine(), since, open))
                                .stream()
                                .toList());
        inHand = Optional.empty();
        rows.getChildren().clear();
        boolean gateShown = false;
        for (PhaseRows phase : PhaseRows.of(shown.machine())) {
            if (!gateShown && phase.phase().compareTo(Phase.FIRST_LIGHT) > 0) {
                rows.getChildren().add(gate(shown, open));
                gateShown = true;
            }
            boolean unfolded = phase.unfolds()
                    || phase.has(shown.here())
                    || pressed.filter(phase.phase()::equals).isPresent();
            rows.getChildren().add(phase(phase, unfolded, shown, open));
            if (unfolded) {
                for (Parts parts : phase.rows()) {
                    Button row = row(parts, shown, open);
                    rows.getChildren().add(row);
                    if (parts.has(shown.here())) {
                        inHand = Optional.of(row);
                    }
                }
            }
        }
        if (!gateShown) {
            rows.getChildren().add(gate(shown, open));
        }
        if (waiting.isEmpty()) {
            clock.stop();
        } else {
            clock.play();
        }
        Platform.runLater(this::reveal);
    }

    /** Scrolls so that the row in hand is seen. */
    private void reveal() {
        applyCss();
        layout();
        double hidden = rows.getHeight() - scroll.getViewportBounds().getHeight();
        if (hidden > 0 && inHand.filter(rows.getChildren()::contains).isPresent()) {
            double middle = inHand.get().getBoundsInParent().getCenterY()
                    - scroll.getViewportBounds().getHeight() / 2;
            scroll.setVvalue(Math.max(0, Math.min(1, middle / hidden)));
        }
    }

    /** The line of a phase: how the whole of it stands, and a press that unfolds it. */
    private Node phase(PhaseRows phase, boolean unfolded, Shown shown, Consumer<String> open) {
        StopState state = phase.shape(shown.begun());
        DrawingSurface line = line(!unfolded, (pen, width, height) -> {
            if (!unfolded) {
                Shapes.state(pen, state, LINE_X, height / 2, scale());
            }
        });
        Label title = Words.label(phase.phase().title(), unfolded ? "bold" : "stop-title");
        title.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        String told = phase.words(shown.begun(), desk.units().get());
        double room = getMaxWidth() - 46 - 26 - wide(phase.phase().title(), Lettering.TEXT_BOLD);
        String brief = told.replaceAll(" (passed|to change)$", "").replace("needs First light", "shut");
        Label words = Words.label(
                Stream.of(told, brief)
                        .filter(each -> wide(each, Lettering.SMALL) <= room)
                        .findFirst()
                        .orElse(""),
                "small",
                Slip.toneStyle(NEEDS.contains(state) ? Shapes.tone(state) : Tone.QUIET));
        Optional<Instant> wait = shown.waits().entrySet().stream()
                .filter(each -> phase.has(each.getKey()))
                .map(Map.Entry::getValue)
                .max(Comparator.naturalOrder());
        wait.filter(over -> !unfolded).ifPresent(over -> countDown(words, over));
        HBox row = new HBox(3, line, title, gap, words);
        row.setAlignment(Pos.CENTER_LEFT);
        row.paddingProperty().bind(ending(0, 8));
        row.setMinHeight(PHASE_ROW);
        String id = "phase-" + phase.phase().name().toLowerCase(Locale.ROOT).replace('_', '-');
        Button button = button(row, id, () -> {
            pressed = pressed.filter(phase.phase()::equals).isPresent() ? Optional.empty() : Optional.of(phase.phase());
            show(shown, open);
            Node again = rows.lookup("#" + id);
            if (again != null) {
                again.requestFocus();
            }
        });
        button.setAccessibleText(phase.phase().title() + ", " + told + (unfolded ? ", open" : ", folded"));
        return button;
    }

    /** Room at the end of a row, which its words have where the scroll bar takes theirs; px */
    private ObjectBinding<Insets> ending(double aboveAndBelow, double end) {
        return Bindings.createObjectBinding(
                () -> new Insets(
                        aboveAndBelow,
                        scroll.getViewportBounds().getWidth() < scroll.getWidth() - 5 ? 0 : end,
                        aboveAndBelow,
                        0),
                scroll.viewportBoundsProperty(),
                scroll.widthProperty());
    }

    /** How wide a text is, with a little to spare; px */
    private double wide(String text, Lettering lettering) {
        return 1.04 * desk.look().getValue().textWidth(text, lettering);
    }

    private double scale() {
        return desk.ground().get() == Ground.EYEWEAR ? 1.4 : 1.1;
    }

    private void countDown(Label label, Instant over) {
        Runnable tell = () -> {
            long left = Duration.between(desk.now(), over).toSeconds();
            label.setText(
                    left <= 0 ? "wait is over" : String.format(Locale.ROOT, "wait %d:%02d", left / 60, left % 60));
        };
        waiting.add(tell);
        tell.run();
    }

    private Button row(Parts parts, Shown shown, Consumer<String> open) {
        boolean on = parts.has(shown.here());
        boolean begun = shown.begun().filter(parts::has).isPresent();
        StopStatus stop = shown.begun().filter(parts::has).map(parts::stop).orElseGet(parts::lead);
        StopState state = begun && stop.state() != StopState.SHUT ? StopState.BEGUN : stop.state();
        DrawingSurface line = rowLine(on, (pen, width, height) -> {
            pen.line(LINE_X, height / 2, LINE_X + INDENT - 9, height / 2, Stroke.of(Tone.HAIRLINE, 2));
            Shapes.state(pen, state, LINE_X + INDENT, height / 2, scale());
        });
        line.setMinWidth(LINE_X + INDENT + 16);
        line.setPrefWidth(LINE_X + INDENT + 16);
        Label title = Words.label(parts.title(), "stop-title");
        title.setMinWidth(Region.USE_PREF_SIZE);
        Label key = Words.label(
                stop.keyFigure().map(said -> said.in(desk.units().get())).orElse(""),
                "small",
                Slip.toneStyle(
                        state == StopState.ADJUST || state == StopState.FAILED ? Shapes.tone(state) : Tone.QUIET));
        boolean done = state == StopState.PASSED
                && stop.last().isPresent()
                && stop.note().isEmpty();
        Label under = Words.label(
                done
                        ? Days.brief(stop.last().get().stamp().local(), today()) + ", "
                                + stop.last().get().stamp().by()
                        : (parts.isShared() ? stop.card().title() + ": " : "")
                                + stop.note().orElse(begun ? "draft kept" : state.word()),
                "caption");
        under.setWrapText(true);
        under.setMinHeight(Region.USE_PREF_SIZE);
        Optional<Instant> wait = parts.stops().stream()
                .map(each -> shown.waits().get(each.card().id()))
                .filter(Objects::nonNull)
                .findFirst();
        wait.ifPresent(over -> countDown(under, over));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        double room = getMaxWidth() - LINE_X - INDENT - 16 - 34;
        boolean beside = wide(title.getText(), Lettering.TEXT_BOLD) + wide(key.getText(), Lettering.SMALL) <= room;
        HBox first = beside ? new HBox(6, title, gap, key) : new HBox(title);
        first.setAlignment(Pos.BASELINE_LEFT);
        VBox words = new VBox(1, first);
        if (!beside && !key.getText().isEmpty()) {
            words.getChildren().add(key);
        }
        if (on || wait.isPresent() || stop.note().isPresent() || begun) {
            words.getChildren().add(under);
        }
        words.setAlignment(Pos.CENTER_LEFT);
        words.paddingProperty().bind(ending(0, 10));
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(line, words);
        row.setMinHeight(STOP_ROW);
        row.getStyleClass().add("stop-row");
        if (on) {
            row.getStyleClass().add("here");
        }
        Button button = button(
                row,
                "stop-" + parts.stops().get(0).card().id(),
                () -> open.accept(stop.card().id()));
        button.setAccessibleText(parts.title() + ", " + state.word() + ", " + key.getText() + ", " + under.getText());
        return button;
    }

    private Node gate(Shown shown, Consumer<String> open) {
        Gate gate = shown.machine().gate();
        boolean on = shown.here().equals(FirstLight.ID);
        String words = gate.isOpen()
                ? "First light open"
                : gate.isCleared()
                        ? "First light shut"
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
                                + Days.brief(entry.stamp().local(), today()))
                        .orElse("")
                : gate.isCleared()
                        ? "failed: " + gate.heldInWords()
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
        Optional.ofNullable(shown.waits().get(FirstLight.ID)).ifPresent(over -> {
            Label wait = Words.label("", "caption");
            wait.setPadding(new Insets(0, 0, 0, 47));
            countDown(wait, over);
            box.getChildren().add(wait);
        });
        box.setPadding(new Insets(2, 0, 0, 0));
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
        button.setMinWidth(Region.USE_PREF_SIZE);
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

    /** The line of the Route beside a phase; it breaks where a shape stands on it. */
    private DrawingSurface line(boolean breaks, Figure shape) {
        return surface(PHASE_ROW, (pen, width, height) -> {
            pen.line(LINE_X, 0, LINE_X, breaks ? height / 2 - 11 : height, Stroke.of(Tone.HAIRLINE, 2));
            if (breaks) {
                pen.line(LINE_X, height / 2 + 11, LINE_X, height, Stroke.of(Tone.HAIRLINE, 2));
            }
            shape.draw(pen, width, height);
        });
    }

    /** The line of the Route beside a stop, with the stripe of where one is. */
    private DrawingSurface rowLine(boolean here, Figure shape) {
        return surface(STOP_ROW, (pen, width, height) -> {
            if (here) {
                pen.stripe(0, 0, height);
            }
            pen.line(LINE_X, 0, LINE_X, height, Stroke.of(Tone.HAIRLINE, 2));
            shape.draw(pen, width, height);
        });
    }

    private DrawingSurface surface(double height, Figure figure) {
        DrawingSurface surface = new DrawingSurface(desk.look());
        surface.show(figure, "");
        surface.setMinSize(46, height);
        surface.setPrefSize(46, height);
        return surface;
    }
}
