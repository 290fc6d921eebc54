package zebrawood.desktop.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.StopState;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.shop.MachineFigure;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.EnterOrder;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** A machine's plate: the machine grows as it is typed; every change is an entry. */
public final class PlatePage extends HBox implements FramedPage {

    private static final String NEW = "new";
    private static final String STOP = "plate";

    private final Desk desk;
    private final Optional<String> machineId;
    private final Draft draft = new Draft();
    private final EnterOrder order = new EnterOrder();
    private final List<ReadingField> amounts = new ArrayList<>();
    private final Map<String, Label> problems = new HashMap<>();
    private final DraftKeeper keeper;
    private final Map<String, Draft.Text> recorded;
    private final DrawingSurface drawing;
    private final Slip slip;
    private final Recording recording;
    private Optional<Plate> plate = Optional.empty();
    private Filled sheet = Worksheet.of(draft).filled();
    private SlipState slipShown;

    /** @param machineId whose plate; empty for a new machine */
    public PlatePage(Desk desk, Navigator navigator, Optional<String> machineId) {
        this.desk = desk;
        this.machineId = machineId;
        this.slip = new Slip(desk.look());
        this.drawing = new DrawingSurface(desk.look());
        this.keeper = new DraftKeeper(desk, machineId.orElse(NEW), STOP, draft, told -> {});
        String id = machineId.orElseGet(() -> UUID.randomUUID().toString());
        recording = new Recording(
                desk, () -> ready(id), entry -> desk.refresh(() -> navigator.stop(id, "site-climate")), this::showSlip);
        recorded = machineId
                .flatMap(desk::machine)
                .map(machine -> texts(machine.plate()))
                .orElse(Map.of());
        draft.fill(recorded);
        VBox page = new VBox(10, head(), drawing, sections());
        page.setPadding(new Insets(12, 24, 24, 28));
        drawing.setMinHeight(170);
        drawing.setPrefHeight(170);
        ScrollPane scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        HBox.setHgrow(scroll, Priority.ALWAYS);
        HBox.setMargin(slip, new Insets(12, 16, 12, 16));
        getChildren().addAll(scroll, slip);
        draft.onChange(() -> {
            keeper.typed();
            changed();
        });
        changed();
        desk.later(
                () -> desk.logbook().findDraft(machineId.orElse(NEW), STOP),
                kept -> kept.ifPresent(half -> {
                    draft.fill(Draft.fromJson(half.content()));
                    desk.tell("What was half typed here is back.");
                }));
    }

    private Node head() {
        return new VBox(
                2,
                Words.label(
                        machineId.isPresent() ? "What is known of this machine" : "What is known of the new machine",
                        "head"),
                Words.label(
                        "A name and a family are enough to begin; a stop says what else it needs. Units as you "
                                + "type them.",
                        "caption"));
    }

    private Node sections() {
        VBox left = new VBox(20);
        VBox right = new VBox(20);
        for (PlateField.Section section : PlateField.SECTIONS) {
            VBox box = new VBox(6, Words.label(section.title(), "head"));
            FlowPane fields = new FlowPane(12, 8);
            fields.setPrefWrapLength(372);
            section.fields().forEach(field -> fields.getChildren().add(field(field)));
            box.getChildren().add(fields);
            box.setPrefWidth(384);
            box.setMaxWidth(384);
            (section.right() ? right : left).getChildren().add(box);
        }
        FlowPane flow = new FlowPane(36, 20, left, right);
        flow.setPrefWrapLength(820);
        return flow;
    }

    private Node field(PlateField field) {
        Label label = Words.label(field.label(), "small");
        label.setWrapText(true);
        VBox box = new VBox(3, label);
        box.setPrefWidth(178);
        box.setMaxWidth(178);
        switch (field.kind()) {
            case AMOUNT -> {
                ReadingField amount = new ReadingField(field.path(), field.label(), field.quantity());
                amount.tie(draft, desk.units());
                amounts.add(amount);
                box.getChildren().add(amount);
                order.add(amount.field());
            }
            case WORDS -> {
                TextField words = new TextField(draft.text(field.path()));
                words.setId(field.path());
                words.setAccessibleText(field.label());
                Words.follow(words);
                words.textProperty()
                        .addListener((value, before, now) -> draft.type(field.path(), now, UnitChoice.METRIC));
                draft.onChange(() -> {
                    if (!words.getText().equals(draft.text(field.path()))) {
                        words.setText(draft.text(field.path()));
                    }
                });
                Label problem = Words.wrapped("", "problem");
                problems.put(field.path(), problem);
                box.getChildren().addAll(words, problem);
                order.add(words);
            }
            case CHOICE, TRUTH -> {
                ComboBox<String> choice = new ComboBox<>();
                choice.setId(field.path());
                choice.getStyleClass().add("field");
                choice.setAccessibleText(field.label());
                choice.setMaxWidth(Double.MAX_VALUE);
                choice.getItems().add("");
                field.choices().forEach(name -> choice.getItems().add(PlateField.said(name)));
                choice.setValue(PlateField.said(draft.text(field.path())));
                draft.onChange(() -> choice.setValue(PlateField.said(draft.text(field.path()))));
                choice.setOnAction(
                        event -> draft.type(field.path(), PlateField.unsaid(choice.getValue()), UnitChoice.METRIC));
                box.getChildren().add(choice);
                order.add(choice);
            }
        }
        return box;
    }

    private void changed() {
        Filled.Bound<Plate> bound = filled(draft).bind(Plate.class);
        plate = bound.record();
        sheet = bound.filled();
        recording.hush();
        UnitChoice units = desk.units().get();
        amounts.forEach(field -> field.tell(sheet, draft, units));
        problems.forEach((path, label) -> {
            String why = sheet.problems().get(path);
            label.setText(why == null ? "" : Words.sentence(why));
            label.setManaged(why != null);
        });
        drawing.show(plate.map(PlatePage::figure).orElse(PlatePage::nothingYet), "the machine to scale");
        showSlip();
    }

    private static Filled filled(Draft draft) {
        Worksheet sheet = Worksheet.of(draft);
        for (PlateField field : PlateField.all()) {
            switch (field.kind()) {
                case AMOUNT -> sheet.amount(field.path(), field.quantity());
                case WORDS, CHOICE -> sheet.words(field.path());
                case TRUTH -> sheet.truth(field.path());
            }
        }
        return sheet.filled();
    }

    private static Map<String, Draft.Text> texts(Plate plate) {
        Map<String, Draft.Text> texts = new HashMap<>();
        PlateField.texts(plate).forEach((path, text) -> texts.put(path, new Draft.Text(text, UnitChoice.METRIC)));
        return texts;
    }

    private static void nothingYet(Pen pen, double width, double height) {
        double floor = height - 22;
        pen.line(0, floor, Math.min(width, 560), floor, Stroke.of(Tone.INK, 1.5));
        pen.stroke(Path.rectangle(60, 20, 170, floor - 20), Stroke.dashed(Tone.QUIET, 1.4, 6));
        pen.text(
                250,
                floor - 60,
                "It stands here to scale as soon as it has a name and a family.",
                Lettering.TEXT,
                Tone.QUIET);
    }

    private static Figure figure(Plate plate) {
        return (pen, width, height) -> {
            double widthMm = MachineFigure.widthMm(plate);
            double heightMm = MachineFigure.heightMm(plate);
            double scale = Math.min((height - 30) / heightMm, (width - 260) / widthMm);
            double floor = height - 22;
            pen.line(0, floor, Math.min(width, 560), floor, Stroke.of(Tone.INK, 1.5));
            double middle = 60 + widthMm * scale / 2;
            MachineFigure.of(plate, scale).draw(pen, 2 * middle, floor);
            double right = middle + widthMm * scale / 2 + 16;
            boolean known = plate.size().isPresent();
            Stroke line = known ? Stroke.of(Tone.READING, 1.3) : Stroke.dashed(Tone.READING, 1.3, 4);
            pen.line(right, floor, right, floor - heightMm * scale, line);
            pen.text(
                    right + 8,
                    floor - heightMm * scale / 2,
                    Amount.mm(heightMm, 0).text(UnitChoice.METRIC) + (known ? "" : ", usual"),
                    Lettering.SMALL,
                    Tone.READING);
            pen.line(middle - widthMm * scale / 2, floor + 8, middle + widthMm * scale / 2, floor + 8, line);
            pen.text(
                    middle,
                    floor + 21,
                    Amount.mm(widthMm, 0).text(UnitChoice.METRIC),
                    Lettering.SMALL,
                    Tone.READING,
                    Anchor.MIDDLE);
            pen.text(right + 90, floor - 70, plate.name(), Lettering.TITLE, Tone.INK);
            pen.text(right + 90, floor - 48, plate.line(), Lettering.TEXT, Tone.QUIET);
        };
    }

    /** What the Slip depends on: while it is the same, a keystroke need not build it anew. */
    private record SlipState(
            boolean ready, String act, List<String> others, boolean changed, String told, boolean initials) {}

    private void showSlip() {
        boolean ready = plate.isPresent();
        String act = ready
                ? (machineId.isPresent() ? "Record the plate." : "Record the new machine.")
                : draft.text("name").isBlank()
                        ? "Type the machine's name."
                        : draft.text("family").isBlank()
                                ? "Choose its family."
                                : sheet.problems().isEmpty()
                                        ? sheet.missing().stream()
                                                .findFirst()
                                                .map(path -> "Still missing: " + PlateField.label(path) + ".")
                                                .orElse("Look over the fields.")
                                        : "Put right what is marked.";
        SlipState state = new SlipState(
                ready,
                act,
                sheet.others(),
                !draft.texts().equals(recorded),
                recording.told(),
                recording.asksInitials());
        if (state.equals(slipShown)) {
            return;
        }
        slipShown = state;
        List<Node> parts = new ArrayList<>();
        parts.add(slip.verdict(ready ? StopState.BEGUN : StopState.OPEN, ready ? "READY" : "TO FILL IN"));
        parts.add(Slip.act(act, Optional.of("Every change of a plate is an entry: what was known, and since when.")));
        sheet.others().forEach(why -> parts.add(Slip.quiet(Words.sentence(why))));
        if (state.changed()) {
            Hyperlink away =
                    new Hyperlink(machineId.isPresent() ? "Back to the plate as it is recorded" : "Put this away");
            away.setId("put-away");
            away.setOnAction(event -> {
                draft.fill(recorded);
                keeper.drop();
                begin();
            });
            parts.add(away);
        }
        slip.show(parts);
        List<Node> bottom = new ArrayList<>(recording.asked());
        bottom.add(recording.button("Record", ready));
        slip.bottom(bottom.toArray(new Node[0]));
    }

    @Override
    public void record() {
        recording.record();
    }

    private Optional<Recording.What> ready(String id) {
        return plate.map(typed -> {
            Body.PlateSet body = new Body.PlateSet(typed, sheet.asTyped());
            return new Recording.What(id, () -> body, List.of(), Optional.of(keeper));
        });
    }

    @Override
    public Node view() {
        return this;
    }

    @Override
    public Place place() {
        return machineId.isPresent() ? Place.ROUTE : Place.SHOP;
    }

    @Override
    public Optional<String> machineId() {
        return machineId;
    }

    @Override
    public Heading heading() {
        return machineId
                .flatMap(desk::machine)
                .map(machine ->
                        new Heading(machine.plate().name(), machine.plate().line(), "Plate"))
                .orElse(new Heading("A new machine", "", "Plate"));
    }

    @Override
    public Foot foot() {
        return Foot.of("What the plate says is what stops judge by: take it from the machine and its manual.");
    }

    /** Another page takes its place, or the window closes: what was typed last is kept too. */
    @Override
    public void leave() {
        keeper.finish();
    }

    @Override
    public void undo() {
        draft.undo();
    }

    @Override
    public void redo() {
        draft.redo();
    }

    /** Puts the focus on the first field. */
    @Override
    public void begin() {
        Platform.runLater(() -> {
            applyCss();
            layout();
            order.first().requestFocus();
        });
    }
}
