package zebrawood.desktop.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.Todo;
import zebrawood.core.safety.FirstLight;
import zebrawood.desktop.desk.Beginning;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.desktop.recording.Recording;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** A machine's plate: the machine drawn, each figure typed where it sits; every change is an entry. */
public final class PlatePage extends HBox implements FramedPage {

    private static final String NEW = "new";
    private static final String STOP = "plate";
    /** so many changes are named on the Slip */
    private static final int NAMED = 7;

    private final Desk desk;
    private final Navigator navigator;
    private final Optional<String> machineId;
    private final Draft draft = new Draft();
    private final DraftKeeper keeper;
    private final Map<String, Draft.Text> recorded;
    private final PlateBoard board;
    private final Slip slip;
    private final Recording recording;
    private PlateControls controls;
    private PlateBoard.Has has;
    private Optional<Plate> plate = Optional.empty();
    private Filled sheet = Worksheet.of(draft).filled();
    private SlipState slipShown;
    private Optional<String> wanted;

    /**
     * @param machineId whose plate; empty for a new machine
     * @param presets what a new machine's plate begins with, by field
     * @param at the field in question, where there is one
     */
    public PlatePage(
            Desk desk,
            Navigator navigator,
            Optional<String> machineId,
            Optional<Beginning> presets,
            Optional<String> at) {
        this.desk = desk;
        this.navigator = navigator;
        this.machineId = machineId;
        this.wanted = at;
        this.slip = new Slip(desk.look());
        this.board = new PlateBoard(desk);
        this.keeper = new DraftKeeper(desk, machineId.orElse(NEW), STOP, draft, told -> {});
        String id = machineId.orElseGet(() -> UUID.randomUUID().toString());
        recording = new Recording(
                desk, () -> ready(id), entry -> desk.refresh(() -> navigator.stop(id, next(id))), this::showSlip);
        recorded = machineId
                .flatMap(desk::machine)
                .map(machine -> PlateControls.texts(machine.plate()))
                .orElse(Map.of());
        draft.fill(recorded);
        presets.ifPresent(beginning -> draft.fill(begun(beginning)));
        VBox page = new VBox(14, head(), board);
        page.setPadding(new Insets(12, 20, 24, 28));
        ScrollPane scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        HBox.setHgrow(scroll, Priority.ALWAYS);
        HBox.setMargin(slip, new Insets(12, 16, 12, 16));
        getChildren().addAll(scroll, slip);
        build();
        draft.onChange(() -> {
            keeper.typed();
            changed();
        });
        changed();
        desk.later(
                () -> desk.logbook().findDraft(machineId.orElse(NEW), STOP),
                kept -> kept.filter(half -> presets.isEmpty()).ifPresent(half -> {
                    draft.fill(Draft.fromJson(half.content()));
                    desk.tell("What was half typed here is back.");
                }));
    }

    private static Map<String, Draft.Text> begun(Beginning beginning) {
        Map<String, Draft.Text> texts = new HashMap<>();
        beginning.texts().forEach((path, text) -> Draft.put(texts, path, text));
        return texts;
    }

    /** Where one goes on: at the first stop that is open, for a new machine; else at what is most urgent. */
    private String next(String id) {
        MachineStatus machine = desk.machine(id).orElseThrow();
        Optional<String> open = machine.stops().stream()
                .filter(stop -> stop.state() == StopState.OPEN)
                .map(stop -> stop.card().id())
                .findFirst();
        return (machineId.isEmpty()
                        ? open
                        : machine.todo().stream()
                                .map(Todo::stop)
                                .filter(stop -> !stop.equals("point"))
                                .findFirst()
                                .or(() -> open))
                .orElse(FirstLight.ID);
    }

    private Node head() {
        return new VBox(
                2,
                Words.label(
                        machineId.isPresent() ? "What is known of this machine" : "What is known of the new machine",
                        "head"),
                Words.wrapped(
                        "A name and a family are enough to begin. A pale figure is usual for the family, not yours:"
                                + " Space takes it over, or type the machine's own.",
                        "caption"));
    }

    /** Puts the fields up that this machine has; the focus stays where it was. */
    private void build() {
        Optional<String> focused = Optional.ofNullable(getScene())
                .flatMap(scene -> Optional.ofNullable(scene.getFocusOwner()))
                .map(Node::getId);
        has = PlateBoard.Has.of(draft);
        controls = new PlateControls(draft, desk.units());
        board.build(controls, has);
        focused.ifPresent(controls::focus);
    }

    private void changed() {
        if (!PlateBoard.Has.of(draft).equals(has)) {
            build();
        }
        Filled.Bound<Plate> bound = PlateControls.bound(draft);
        plate = bound.record().map(typed -> typed.with(notWanted()));
        sheet = bound.filled();
        recording.hush();
        controls.tell(sheet);
        board.draw(sketch());
        showSlip();
    }

    private List<Plate.NotWanted> notWanted() {
        return machineId
                .flatMap(desk::machine)
                .map(machine -> machine.plate().notWanted())
                .orElse(List.of());
    }

    /** The plate as typed; where it is none yet, what can be drawn of it. */
    private Plate sketch() {
        return plate.orElseGet(() -> Beginning.sketch(
                PlateControls.family(draft).orElse(Family.GANTRY_CO2),
                draft.text("services.enclosureNote").contains("shut"),
                size()));
    }

    private Optional<Plate.Size> size() {
        Optional<Double> width = sheet.understood("size.widthMm");
        Optional<Double> depth = sheet.understood("size.depthMm");
        Optional<Double> height = sheet.understood("size.heightMm");
        try {
            return width.isPresent() && depth.isPresent() && height.isPresent()
                    ? Optional.of(new Plate.Size(width.get(), depth.get(), height.get(), OptionalDouble.empty()))
                    : Optional.empty();
        } catch (ReadingException notYet) {
            return Optional.empty();
        }
    }

    /** What is still unknown, and which stop needs it: a press goes to its field. */
    private Node unknown(List<StillUnknown> lacking) {
        VBox box = new VBox(2, Words.label("Still unknown", "bold"));
        for (StillUnknown each : lacking) {
            Hyperlink link = new Hyperlink(each.what() + " (" + each.neededBy() + ")");
            link.setId("unknown-" + each.path());
            link.setWrapText(true);
            link.setOnAction(event -> controls.focus(each.path()));
            box.getChildren().add(link);
        }
        return box;
    }

    /** What this machine goes without, each with a link that takes it back. */
    private Node without() {
        VBox box = new VBox(2, Words.label("Left out here", "bold"));
        for (Plate.NotWanted stop : notWanted()) {
            Hyperlink back = new Hyperlink(
                    Catalogue.title(stop.stop()) + ": " + stop.reason() + " (" + stop.by() + ").  Take it back");
            back.setId("without-" + stop.stop());
            back.setWrapText(true);
            back.setOnAction(event -> navigator.overlay(NotHereSheets.takeBack(
                    desk,
                    navigator,
                    machineId.orElseThrow(),
                    stop,
                    entry -> navigator.stop(entry.place().machineId(), stop.stop()))));
            box.getChildren().add(back);
        }
        return box;
    }

    /** What the Slip depends on: while it is the same, a keystroke need not build it anew. */
    private record SlipState(
            boolean ready,
            String act,
            List<String> others,
            List<Body.Pair> changes,
            List<StillUnknown> unknown,
            String told,
            boolean initials) {}

    private void showSlip() {
        List<Body.Pair> changes = changes();
        List<StillUnknown> lacking = plate.map(StillUnknown::of).orElse(List.of());
        boolean ready = plate.isPresent() && !changes.isEmpty();
        String act = plate.isPresent()
                ? (changes.isEmpty()
                        ? "Nothing has changed."
                        : machineId.isPresent() ? "Record the plate." : "Record the new machine.")
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
        SlipState state =
                new SlipState(ready, act, sheet.others(), changes, lacking, recording.told(), recording.asksInitials());
        if (state.equals(slipShown)) {
            return;
        }
        slipShown = state;
        List<Node> parts = new ArrayList<>();
        parts.add(
                plate.isPresent() && changes.isEmpty()
                        ? slip.verdict(StopState.PASSED, "ON RECORD")
                        : slip.verdict(ready ? StopState.BEGUN : StopState.OPEN, ready ? "READY" : "TO FILL IN"));
        parts.add(Slip.act(act, Optional.of("Every change of a plate is an entry: what was known, and since when.")));
        sheet.others().forEach(why -> parts.add(Slip.quiet(Words.sentence(why))));
        if (!changes.isEmpty()) {
            parts.add(Slip.evidence(changes.subList(0, Math.min(NAMED, changes.size()))));
            if (changes.size() > NAMED) {
                parts.add(Slip.quiet("and " + (changes.size() - NAMED) + " more"));
            }
            Hyperlink away =
                    new Hyperlink(machineId.isPresent() ? "Back to the plate as it is recorded" : "Discard draft");
            away.setId("put-away");
            away.setOnAction(event -> {
                draft.fill(recorded);
                keeper.drop();
                begin();
            });
            parts.add(away);
        }
        if (!lacking.isEmpty()) {
            parts.add(unknown(lacking));
        }
        if (!notWanted().isEmpty()) {
            parts.add(without());
        }
        slip.show(parts);
        List<Node> bottom = new ArrayList<>(recording.asked());
        bottom.add(recording.button("Record", ready));
        slip.bottom(bottom.toArray(new Node[0]));
    }

    /** Each field that reads otherwise than it is recorded: what it was, and what it is. */
    private List<Body.Pair> changes() {
        List<Body.Pair> changes = new ArrayList<>();
        for (PlateField field : PlateField.all()) {
            String before = said(field, recorded.get(field.path()));
            String now = said(field, draft.typed(field.path()));
            if (!before.equals(now)) {
                changes.add(new Body.Pair(
                        field.label(),
                        machineId.isEmpty()
                                ? now
                                : (before.isEmpty() ? "-" : before) + " → " + (now.isEmpty() ? "-" : now)));
            }
        }
        return changes;
    }

    private static String said(PlateField field, Draft.Text text) {
        String words = text == null ? "" : text.text().strip();
        return field.kind() == PlateField.Kind.CHOICE ? PlateField.said(words) : words;
    }

    @Override
    public void record() {
        recording.record();
    }

    private Optional<Recording.What> ready(String id) {
        if (plate.isPresent() && changes().isEmpty()) {
            recording.tell("Nothing has changed since the plate was recorded.");
            return Optional.empty();
        }
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

    /** Puts the focus on the field in question, else on the first empty one. */
    @Override
    public void begin() {
        Platform.runLater(() -> {
            applyCss();
            layout();
            Optional<String> at = wanted;
            wanted = Optional.empty();
            if (at.filter(controls::focus).isEmpty()) {
                controls.begin();
            }
        });
    }
}
