package zebrawood.desktop.work;

import java.io.File;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.Days;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.desktop.recording.Recording;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.EnterOrder;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.Logbook;

/** A work result being typed: everything repeats from the last one, so that only how it came out need be typed. */
public final class WorkPage extends HBox implements FramedPage {

    private static final String STOP = "work";

    private final Desk desk;
    private final Navigator navigator;
    private final String machineId;
    private final Optional<Entry> correcting;
    private final Draft draft = new Draft();
    private final DraftKeeper keeper;
    private final EnterOrder order = new EnterOrder();
    private final List<ReadingField> amounts = new ArrayList<>();
    private final Map<String, Label> under = new HashMap<>();
    private final DrawingSurface drawing;
    private final Slip slip;
    private final AttachBox files;
    private final Recording recording;
    private final List<Button> scores = new ArrayList<>();
    private Optional<Entry> last = Optional.empty();
    private Map<String, Draft.Text> repeated = Map.of();
    private Optional<TakenAlong> along = Optional.empty();
    private Optional<WorkResult> result = Optional.empty();
    private Filled sheet = Worksheet.of(draft).filled();
    private boolean filled;
    private boolean isRecorded;
    private SlipState slipShown;

    /** @param correcting an entry that is to be replaced, where there is one */
    public WorkPage(Desk desk, Navigator navigator, String machineId, Optional<Entry> correcting) {
        this.desk = desk;
        this.navigator = navigator;
        this.machineId = machineId;
        this.correcting = correcting;
        this.slip = new Slip(desk.look());
        this.drawing = new DrawingSurface(desk.look()).withMenu();
        this.files = new AttachBox(desk);
        this.keeper = new DraftKeeper(
                desk, machineId, correcting.map(DraftKeeper::nameOf).orElse(STOP), draft, said -> {});
        recording = new Recording(desk, this::ready, this::recorded, this::showSlip);
        recording.correct(correcting);
        drawing.setMinHeight(168);
        drawing.setPrefHeight(168);
        VBox page = new VBox(14, outcome(), drawing, done());
        page.setPadding(new Insets(14, 20, 20, 28));
        ScrollPane scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        HBox.setHgrow(scroll, Priority.ALWAYS);
        HBox.setMargin(slip, new Insets(12, 16, 12, 8));
        getChildren().addAll(scroll, slip);
        addEventHandler(DragEvent.DRAG_OVER, event -> {
            if (event.getDragboard().hasFiles()) {
                event.acceptTransferModes(TransferMode.COPY);
            }
        });
        addEventHandler(DragEvent.DRAG_DROPPED, event -> {
            event.getDragboard().getFiles().forEach(this::take);
            event.setDropCompleted(true);
        });
        draft.onChange(() -> {
            if (filled) {
                keeper.typed();
                recording.hush();
            }
            changed();
        });
        changed();
        load();
    }

    private record Found(Optional<Entry> last, TakenAlong along, Optional<Logbook.Draft> kept) {}

    private void load() {
        String stop = correcting.map(DraftKeeper::nameOf).orElse(STOP);
        desk.later(
                () -> new Found(
                        desk.logbook().findNewest(machineId, STOP),
                        desk.takenAlong(machineId),
                        desk.logbook().findDraft(machineId, stop)),
                found -> {
                    last = found.last();
                    along = Optional.of(found.along());
                    Optional<Entry> from = correcting.isPresent() ? correcting : last;
                    Map<String, Draft.Text> texts =
                            new HashMap<>(from.map(entry -> WorkField.texts((Body.Worked) entry.body()))
                                    .orElseGet(this::fromPlate));
                    if (correcting.isEmpty()) {
                        WorkField.all().stream()
                                .filter(WorkField::isOutcome)
                                .forEach(field -> texts.remove(field.path()));
                    }
                    repeated = Map.copyOf(texts);
                    draft.fill(found.kept()
                            .map(kept -> Draft.fromJson(kept.content()))
                            .orElse(texts));
                    filled = true;
                    changed();
                    begin();
                });
    }

    /** What the plate knows, for the very first result. */
    private Map<String, Draft.Text> fromPlate() {
        Map<String, Draft.Text> texts = new HashMap<>();
        Plate plate = machine().plate();
        plate.optics().ifPresent(optics -> {
            optics.lenses().stream()
                    .findFirst()
                    .ifPresent(lens -> texts.put("setup.lens", new Draft.Text(lens.name(), UnitChoice.METRIC)));
            optics.makersGapMm().ifPresent(gap -> texts.put("setup.gapMm", Draft.retyped(null, gap, Quantity.LENGTH)));
        });
        return texts;
    }

    private MachineStatus machine() {
        return desk.machine(machineId).orElseThrow();
    }

    private Node outcome() {
        VBox box = new VBox(
                8,
                Words.label(
                        correcting.isPresent() ? "How did it truly come out?" : "How did it come out? Failures too",
                        "head"));
        HBox fields = new HBox(14);
        for (WorkField field : WorkField.of(machine().plate().family())) {
            if (field.isOutcome()) {
                Node node = field(field);
                fields.getChildren().add(node);
                if (field.path().equals("outcome.word")) {
                    HBox.setHgrow(node, Priority.ALWAYS);
                    ((VBox) node).setPrefWidth(320);
                    ((VBox) node).setMaxWidth(520);
                }
            }
        }
        HBox row = new HBox(4);
        row.setAlignment(Pos.CENTER_LEFT);
        for (int i = 0; i <= 10; i++) {
            int score = i;
            Button button = new Button(String.valueOf(i));
            button.setId("score-" + i);
            button.getStyleClass().setAll("button", "score");
            button.setFocusTraversable(false);
            button.setAccessibleText("score " + i);
            button.setOnAction(event -> draft.type("outcome.score", String.valueOf(score), UnitChoice.METRIC));
            scores.add(button);
            row.getChildren().add(button);
        }
        Label worst = Words.label("nothing to use", "caption");
        Label best = Words.label("could not be better", "caption");
        worst.setPadding(new Insets(0, 6, 0, 0));
        best.setPadding(new Insets(0, 0, 0, 6));
        row.getChildren().add(0, worst);
        row.getChildren().add(best);
        box.getChildren().addAll(fields, row);
        return box;
    }

    private Node done() {
        FlowPane groups = new FlowPane(28, 16);
        for (WorkField.Group group : List.of(WorkField.Group.STOCK, WorkField.Group.SETUP, WorkField.Group.RECIPE)) {
            FlowPane fields = new FlowPane(10, 8);
            fields.setPrefWrapLength(262);
            WorkField.of(machine().plate().family()).stream()
                    .filter(field -> field.group() == group)
                    .forEach(field -> fields.getChildren().add(field(field)));
            VBox box = new VBox(6, Words.label(group.title(), "head"), fields);
            box.setPrefWidth(264);
            box.setMaxWidth(264);
            groups.getChildren().add(box);
        }
        return groups;
    }

    private Node field(WorkField field) {
        VBox box = new VBox(2, Words.label(field.label(), "small"));
        box.setPrefWidth(126);
        box.setMaxWidth(126);
        Label was = Words.label("", "caption");
        under.put(field.path(), was);
        if (field.kind() == WorkField.Kind.AMOUNT) {
            ReadingField amount = new ReadingField(field.path(), field.label(), field.quantity());
            amount.tie(draft, desk.units());
            amounts.add(amount);
            box.getChildren().add(amount);
            order.add(amount.field());
        } else if (field.kind() == WorkField.Kind.WORDS) {
            TextField words = new TextField();
            words.setId(field.path());
            words.setAccessibleText(field.label());
            Words.follow(words);
            words.textProperty().addListener((value, before, now) -> draft.type(field.path(), now, UnitChoice.METRIC));
            words.focusedProperty().addListener((value, before, now) -> draft.endStep());
            draft.onChange(() -> {
                if (!words.getText().equals(draft.text(field.path()))) {
                    words.setText(draft.text(field.path()));
                }
            });
            box.getChildren().add(words);
            order.add(words);
        } else {
            ComboBox<String> choice = new ComboBox<>();
            choice.setId(field.path());
            choice.getStyleClass().add("field");
            choice.setAccessibleText(field.label());
            choice.setMaxWidth(Double.MAX_VALUE);
            choice.getItems()
                    .setAll(
                            field.kind() == WorkField.Kind.STROKES
                                    ? List.of("", "line", "fill")
                                    : List.of("", "yes", "no"));
            draft.onChange(() -> choice.setValue(draft.text(field.path())));
            choice.setOnAction(event ->
                    draft.type(field.path(), choice.getValue() == null ? "" : choice.getValue(), UnitChoice.METRIC));
            box.getChildren().add(choice);
            order.add(choice);
        }
        box.getChildren().add(was);
        return box;
    }

    private void changed() {
        Filled.Bound<WorkResult> bound = filled().bind(WorkResult.class);
        result = bound.record();
        sheet = bound.filled();
        UnitChoice units = desk.units().get();
        amounts.forEach(field -> field.tell(sheet, draft, units));
        under.forEach((path, label) -> {
            String was = repeated.containsKey(path) ? repeated.get(path).text() : "";
            boolean other = last.isPresent()
                    && correcting.isEmpty()
                    && !path.startsWith("outcome.")
                    && !was.equals(draft.text(path));
            label.setText(other ? was.isEmpty() ? "not said last time" : "was " + was : "");
            label.setManaged(other);
        });
        String score = draft.text("outcome.score").strip();
        scores.forEach(button -> {
            button.getStyleClass().remove("chosen");
            if (button.getText().equals(score)) {
                button.getStyleClass().add("chosen");
            }
        });
        result.or(this::unfinished)
                .ifPresent(drawn -> drawing.show(WorkFigure.of(drawn, units), "the work from the side, to scale"));
        showSlip();
    }

    private Filled filled() {
        Worksheet typed = Worksheet.of(draft);
        typed.objects("stock", "setup", "recipe", "outcome");
        for (WorkField field : WorkField.all()) {
            switch (field.kind()) {
                case AMOUNT -> typed.amount(field.path(), field.quantity());
                case WORDS, STROKES -> typed.words(field.path());
                case TRUTH -> typed.truth(field.path());
            }
        }
        return typed.filled();
    }

    /** What can be drawn before the outcome is typed. */
    private Optional<WorkResult> unfinished() {
        Worksheet half = Worksheet.of(draft);
        half.objects("stock", "setup", "recipe", "outcome");
        WorkField.all().stream()
                .filter(field -> field.kind() == WorkField.Kind.AMOUNT && !field.isOutcome())
                .forEach(field -> half.amount(field.path(), field.quantity()));
        half.word("stock.kind", draft.text("stock.kind").isBlank() ? "stock" : draft.text("stock.kind"));
        half.word("outcome.word", "not typed yet");
        half.words("stock.under");
        return half.filled().bind(WorkResult.class).record();
    }

    private boolean isShut() {
        return !machine().gate().isOpen() && correcting.isEmpty();
    }

    /** What the Slip depends on: while it is the same, a keystroke need not build it anew. */
    private record SlipState(
            boolean shut,
            boolean ready,
            String act,
            boolean changed,
            String told,
            boolean initials,
            Optional<TakenAlong> along,
            Optional<Entry> last) {}

    private void showSlip() {
        boolean shut = isShut();
        SlipState state = new SlipState(
                shut,
                result.isPresent(),
                act(shut),
                !draft.texts().equals(repeated) && filled,
                recording.told(),
                recording.asksInitials(),
                along,
                last);
        if (state.equals(slipShown)) {
            return;
        }
        slipShown = state;
        List<Node> parts = new ArrayList<>();
        parts.add(slip.verdict(
                shut ? StopState.SHUT : result.isPresent() ? StopState.NOTE : StopState.OPEN,
                shut ? "SHUT" : result.isPresent() ? "READY" : "TO TYPE"));
        parts.add(Slip.act(
                act(shut),
                Optional.of(
                        shut && machine().gate().isCleared()
                                ? "Work fires the laser, and "
                                        + machine().gate().heldInWords()
                                        + " stands as failed: cure that first."
                                : shut
                                        ? "Work fires the laser: the gate opens when its last bar is lifted, "
                                                + machine().gate().lifted() + " of "
                                                + machine().gate().bars().size() + " are."
                                        : last.isPresent() && correcting.isEmpty()
                                                ? "All else is as no. "
                                                        + last.get().number() + " of "
                                                        + Days.brief(
                                                                last.get()
                                                                        .stamp()
                                                                        .local(),
                                                                desk.local(desk.now())
                                                                        .toLocalDate())
                                                        + "; change what differs."
                                                : "Material and a word are enough; what else is known helps to "
                                                        + "answer why another day differed.")));
        along.ifPresent(known -> parts.add(along(known)));
        if (state.changed()) {
            Hyperlink away = new Hyperlink("Discard draft");
            away.setId("put-away");
            away.setOnAction(event -> {
                keeper.drop();
                draft.fill(repeated);
                files.clear();
                begin();
            });
            parts.add(away);
        }
        slip.show(parts);
        slip.bottom(bottom(shut).toArray(new Node[0]));
    }

    private String act(boolean shut) {
        if (shut) {
            return "First light comes first.";
        } else if (!sheet.problems().isEmpty()) {
            return "Put right what is marked.";
        } else if (result.isPresent()) {
            return "Record it.";
        }
        return draft.text("outcome.word").isBlank()
                ? "Type how it came out, in a word."
                : draft.text("stock.kind").isBlank() ? "Type what material it was." : "Put right what is marked.";
    }

    private Node along(TakenAlong known) {
        Instant now = desk.now();
        List<Body.Pair> pairs = known.known().stream()
                .map(one -> new Body.Pair(one.what(), one.figure() + ", " + age(one.since(), now)))
                .toList();
        VBox box = new VBox(6, Words.label("Goes along by itself", "bold"), Slip.evidence(pairs));
        if (!known.notOnRecord().isEmpty()) {
            box.getChildren()
                    .add(Words.wrapped("Not on record: " + String.join(", ", known.notOnRecord()) + ".", "quiet"));
        }
        return box;
    }

    private static String age(Instant since, Instant now) {
        long days = ChronoUnit.DAYS.between(since, now);
        return days <= 0 ? "today" : days + " d";
    }

    private List<Node> bottom(boolean shut) {
        List<Node> bottom = new ArrayList<>(shut ? List.of() : recording.asked());
        if (shut) {
            Button go = new Button("Go to the gate");
            go.setId("opens");
            go.getStyleClass().setAll("button", "strong");
            go.setMaxWidth(Double.MAX_VALUE);
            go.setOnAction(event -> navigator.stop(machineId, FirstLight.ID));
            bottom.add(go);
            return bottom;
        }
        bottom.add(0, files);
        bottom.add(recording.button("Record", result.isPresent()));
        return bottom;
    }

    @Override
    public void record() {
        recording.record();
    }

    private Optional<Recording.What> ready() {
        if (isShut()) {
            return Optional.empty();
        }
        if (result.isEmpty()) {
            recording.tell("Nothing is recorded yet: " + act(false));
            return Optional.empty();
        }
        WorkResult done = result.get();
        Map<String, String> asTyped = sheet.asTyped();
        return Optional.of(new Recording.What(
                machineId,
                () -> new Body.Worked(done, asTyped, desk.takenAlong(machineId)),
                files.files(),
                Optional.of(keeper)));
    }

    private void recorded(Entry entry) {
        isRecorded = true;
        desk.refresh(() -> {
            desk.tell("Recorded as no. " + entry.number()
                    + ". Ctrl+R types the next one, Ctrl+D asks what was different.");
            navigator.entry(machineId, entry.number());
        });
    }

    @Override
    public Node view() {
        return this;
    }

    @Override
    public Place place() {
        return Place.ROUTE;
    }

    @Override
    public Optional<String> machineId() {
        return Optional.of(machineId);
    }

    @Override
    public Heading heading() {
        return new Heading(machine().plate().name(), machine().plate().line(), "Work result");
    }

    @Override
    public Foot foot() {
        return new Foot(
                "One person stays with a running machine, extraction on, covers shut, eyewear on. Never a "
                        + "material whose fumes you do not know.",
                true,
                Optional.empty());
    }

    /** Takes a photo or file along. */
    @Override
    public void take(File file) {
        files.take(file.toPath());
    }

    @Override
    public void undo() {
        draft.undo();
    }

    @Override
    public void redo() {
        draft.redo();
    }

    /** Keeps what is half typed; called before the page goes. */
    @Override
    public void leave() {
        keeper.stop();
        if (filled && !isRecorded && !recording.isBusy() && !draft.texts().equals(repeated)) {
            keeper.keep();
        }
    }

    /** Puts the focus where one begins: how it came out. */
    @Override
    public void begin() {
        Platform.runLater(() -> {
            applyCss();
            layout();
            Node gate = slip.lookup("#opens");
            (isShut() && gate != null ? gate : order.first()).requestFocus();
        });
    }
}
