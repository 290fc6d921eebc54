package zebrawood.desktop.route;

import java.io.File;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.safety.FirstLight;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.machine.NotHereSheets;
import zebrawood.desktop.page.FramedPage;
import zebrawood.desktop.page.StopView;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.desktop.safety.GatePage;
import zebrawood.desktop.stop.AskedStop;
import zebrawood.desktop.stop.StopPage;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.MachineRecord;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.TimedStep;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.Logbook;

/** One machine: its Route at the left, the stop one is at, and that stop's Slip. */
public final class RoutePage extends HBox implements FramedPage {

    /** readings of a stop read with it, for its last times */
    private static final double WIDE = 216;

    private final Desk desk;
    private final Navigator navigator;
    private final String machineId;
    private final RouteColumn column;
    private final StackPane bench = new StackPane();
    private final StackPane slip = new StackPane();
    private final PartsBar parts;
    private final Runnable changed;
    private final ChangeListener<List<MachineStatus>> onMachines = (value, before, now) -> changedElsewhere();
    private String stop = "";
    private Optional<StopView> view = Optional.empty();
    private Optional<String> drafted = Optional.empty();
    private Map<String, Instant> waits = Map.of();

    /** @param changed runs when another stop is shown or something was recorded */
    public RoutePage(Desk desk, Navigator navigator, String machineId, Runnable changed) {
        this.desk = desk;
        this.navigator = navigator;
        this.machineId = machineId;
        this.changed = changed;
        column = new RouteColumn(
                desk,
                new RouteColumn.Whole(
                        () -> navigator.start(machineId),
                        () -> navigator.work(machineId),
                        () -> navigator.event(machineId),
                        () -> navigator.point(machineId),
                        () -> navigator.certificate(machineId),
                        () -> navigator.plate(machineId),
                        () -> navigator.focus(machineId)));
        parts = new PartsBar(desk);
        column.setMinWidth(WIDE);
        column.setMaxWidth(WIDE);
        HBox.setHgrow(bench, Priority.ALWAYS);
        bench.setMinWidth(300);
        slip.setPadding(new Insets(12, 16, 12, 16));
        slip.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(column, bench, slip);
        bench.addEventHandler(DragEvent.DRAG_OVER, event -> {
            if (event.getDragboard().hasFiles()) {
                event.acceptTransferModes(TransferMode.COPY);
            }
        });
        bench.addEventHandler(DragEvent.DRAG_DROPPED, event -> {
            event.getDragboard().getFiles().stream().findFirst().ifPresent(this::take);
            event.setDropCompleted(true);
        });
        desk.machines().addListener(new WeakChangeListener<>(onMachines));
        widthProperty().addListener((value, before, now) -> {
            boolean narrow = now.doubleValue() < 1100;
            if (narrow != column.getMaxWidth() < WIDE) {
                Platform.runLater(this::refreshColumn);
            }
            column.setMinWidth(narrow ? 190 : WIDE);
            column.setMaxWidth(narrow ? 190 : WIDE);
            slip.setPadding(narrow ? new Insets(12, 8, 12, 4) : new Insets(12, 16, 12, 16));
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

    /** Whether it is the Route of this machine. */
    public boolean isOf(String id) {
        return machineId.equals(id);
    }

    @Override
    public Heading heading() {
        Plate plate = machine().plate();
        String phase = Catalogue.findStop(stop)
                .map(found -> found.procedure().card().phase().title() + "  ›  ")
                .orElse("");
        return new Heading(plate.name(), plate.line(), phase + Catalogue.title(stop));
    }

    @Override
    public Foot foot() {
        return new Foot(
                view.map(StopView::caution).orElse("Nothing fires before the gate is open."),
                true,
                view.map(StopView::footnote));
    }

    @Override
    public void begin() {
        view.ifPresent(StopView::begin);
    }

    @Override
    public void record() {
        view.ifPresent(StopView::record);
    }

    @Override
    public void undo() {
        view.ifPresent(StopView::undo);
    }

    @Override
    public void redo() {
        view.ifPresent(StopView::redo);
    }

    @Override
    public void copy() {
        view.ifPresent(StopView::copy);
    }

    @Override
    public void paste() {
        view.ifPresent(StopView::paste);
    }

    @Override
    public void take(File file) {
        view.ifPresent(shown -> shown.take(file));
    }

    @Override
    public void leave() {
        view.ifPresent(StopView::leave);
    }

    @Override
    public Optional<Explained> help() {
        return view.flatMap(StopView::help);
    }

    @Override
    public Optional<Parent> printed() {
        return view.flatMap(StopView::printed);
    }

    public String stop() {
        return stop;
    }

    public MachineStatus machine() {
        return desk.machine(machineId).orElseThrow();
    }

    /** Goes to a stop; {@code correcting} fills it with an entry to be replaced. */
    public void open(String wanted, Optional<Entry> correcting) {
        view.ifPresent(StopView::leave);
        stop = wanted;
        if (wanted.equals(FirstLight.ID)) {
            drafted = Optional.empty();
            put(new GatePage(desk, navigator, this::machine, this::refreshAll));
            return;
        }
        Stop<?, ?> found = Catalogue.findStop(wanted).orElseThrow();
        Optional<StopStatus.Needed> needed = correcting.isPresent() ? Optional.empty() : needed(wanted);
        if (needed.isPresent()) {
            comesFirst(needed.get());
            return;
        }
        if (correcting.isEmpty() && !found.procedure().lacks(machine().plate()).isEmpty()) {
            ask(found);
            return;
        }
        desk.later(
                () -> OpenedStop.of(
                        desk,
                        machineId,
                        found,
                        correcting.map(DraftKeeper::nameOf).orElse(wanted)),
                opened -> opened(found, wanted, opened, correcting));
    }

    /** Opens a stop that asks for what the plate does not say yet. */
    private <R extends Record, F extends Record> void ask(Stop<R, F> found) {
        drafted = Optional.empty();
        AskedStop asks = new AskedStop(
                found.procedure(),
                new AskedStop.At(desk, machineId, machine().plate(), this::recordedWithPlate, this::showSlip),
                plate -> new StopPage<>(
                        found,
                        new StopPage.At(
                                desk,
                                machineId,
                                new BenchPlace(desk, plate, List.of(), this::newest, new Draft()),
                                this::recordedWithPlate,
                                this::leaveOut)));
        put(asks);
    }

    /** The plate says now what a stop needs: the stop opens as it is, or the next where this machine has no such. */
    private void recordedWithPlate() {
        desk.refresh(() -> {
            boolean there = machine().stops().stream()
                    .anyMatch(status -> status.card().id().equals(stop));
            String next = there
                    ? stop
                    : machine().stops().stream()
                            .filter(status -> status.state() == StopState.OPEN)
                            .map(status -> status.card().id())
                            .findFirst()
                            .orElse(FirstLight.ID);
            view = Optional.empty();
            open(next, Optional.empty());
        });
    }

    private void showSlip() {
        view.ifPresent(shown -> slip.getChildren().setAll(shown.slip()));
    }

    /** Declares the stop one is at not wanted here. */
    private void leaveOut(Card card) {
        navigator.overlay(NotHereSheets.declare(desk, navigator, machineId, card, entry -> recordedWithPlate()));
    }

    /** What has to come before a stop. */
    private Optional<StopStatus.Needed> needed(String wanted) {
        return machine().stops().stream()
                .filter(status -> status.card().id().equals(wanted))
                .findFirst()
                .flatMap(StopStatus::needed);
    }

    private void comesFirst(StopStatus.Needed needed) {
        boolean gate = needed.stop().equals(FirstLight.ID);
        closed(
                needed.title() + " comes first.",
                gate
                        ? "This stop fires the laser. It opens when the last bar of the gate is lifted: "
                                + machine().gate().lifted() + " of "
                                + machine().gate().bars().size() + " are."
                        : "What is read here would be wrong before " + needed.title() + " has passed.",
                "Go to " + (gate ? "the gate" : needed.title()),
                () -> open(needed.stop(), Optional.empty()));
    }

    private <R extends Record, F extends Record> void opened(
            Stop<R, F> found, String wanted, OpenedStop opened, Optional<Entry> correcting) {
        if (!stop.equals(wanted)) {
            return;
        }
        OpenedStop seen = correcting.map(opened::before).orElse(opened);
        BenchPlace place = new BenchPlace(
                desk,
                machine().plate(),
                seen.earlier(),
                this::newest,
                new Draft(),
                seen.onRecord().with(this::elsewhere));
        StopPage<R, F> page =
                new StopPage<>(found, new StopPage.At(desk, machineId, place, this::refreshAll, this::leaveOut));
        drafted = correcting.isPresent() ? Optional.empty() : opened.draft().map(draft -> wanted);
        if (correcting.isPresent()) {
            page.correct(correcting.get(), opened.draft());
        } else {
            page.open(opened.draft());
        }
        put(page);
    }

    /** The newest reading of a stop that counts, of each of the other machines. */
    private List<MachineRecord.Elsewhere> elsewhere(String other) {
        return desk.machines().get().stream()
                .filter(machine -> !machine.machineId().equals(machineId))
                .flatMap(machine -> newest(machine, other).stream()
                        .map(entry ->
                                new MachineRecord.Elsewhere(machine.plate().name(), entry)))
                .toList();
    }

    /** The newest reading that counts of another stop of this machine. */
    private Optional<Entry> newest(String other) {
        return newest(machine(), other);
    }

    private static Optional<Entry> newest(MachineStatus machine, String other) {
        return machine.stops().stream()
                .filter(status -> status.card().id().equals(other))
                .flatMap(status -> status.last().stream())
                .filter(entry -> entry.body() instanceof Body.Measured measured && measured.isRead())
                .findFirst();
    }

    private void put(StopView shown) {
        view = Optional.of(shown);
        ScrollPane scroll = new ScrollPane(shown.bench());
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        onBench(scroll);
        slip.getChildren().setAll(shown.slip());
        refreshColumn();
        changed.run();
        begin(shown::begin);
    }

    /** A stop that cannot be opened yet, and what opens it. */
    private void closed(String act, String why, String button, Runnable action) {
        view = Optional.empty();
        Button go = new Button(button);
        go.setId("opens");
        go.getStyleClass().setAll("button", "strong");
        go.setOnAction(event -> action.run());
        VBox words = new VBox(14, Words.label(act, "title"), Words.wrapped(why, "by-hand"), go);
        words.setPadding(new Insets(40, 40, 40, 40));
        words.setMaxWidth(560);
        onBench(words);
        Slip strip = new Slip(desk.look());
        strip.show(List.of(strip.verdict(StopState.SHUT, "SHUT"), Slip.quiet(why)));
        slip.getChildren().setAll(strip);
        refreshColumn();
        changed.run();
        begin(go::requestFocus);
    }

    /** Whether what is typed at the stop that is open was judged. */
    public boolean isJudged() {
        return view.map(StopView::isJudged).orElse(true);
    }

    /** Puts a stop up, under the bar that leads to the other parts of a bench it shares. */
    private void onBench(Node shown) {
        VBox.setVgrow(shown, Priority.ALWAYS);
        bench.getChildren().setAll(new VBox(parts, shown));
    }

    /** Puts the focus somewhere, once what was put up is laid out: before that it cannot take it. */
    private void begin(Runnable focus) {
        Platform.runLater(() -> {
            applyCss();
            layout();
            focus.run();
        });
    }

    private void refreshAll() {
        desk.refresh(() -> {
            drafted = Optional.empty();
            changedElsewhere();
        });
    }

    /** Shows the Route as it stands now, whoever recorded what. */
    private void changedElsewhere() {
        if (!stop.isEmpty() && getScene() != null) {
            refreshColumn();
            view.ifPresent(StopView::refresh);
            boolean shutNow = needed(stop).isPresent();
            if (shutNow && view.isPresent()) {
                open(stop, Optional.empty());
            }
            changed.run();
        }
    }

    @Override
    public void refresh() {
        refreshColumn();
    }

    /** Draws the Route anew; units or ground may have changed. */
    private void refreshColumn() {
        showColumn();
        desk.later(() -> waits(desk.logbook().drafts(machineId)), found -> {
            if (!found.equals(waits)) {
                waits = found;
                showColumn();
            }
        });
        parts.show(
                machine().stops().stream()
                        .filter(status -> status.card().id().equals(stop))
                        .findFirst()
                        .map(status -> Parts.of(machine(), status)),
                stop,
                wanted -> open(wanted, Optional.empty()));
    }

    private void showColumn() {
        column.show(new RouteColumn.Shown(machine(), stop, drafted, waits), wanted -> open(wanted, Optional.empty()));
    }

    /** At which stops something is waited for, and until when: the latest of each. */
    private static Map<String, Instant> waits(Map<String, Logbook.Draft> drafts) {
        Map<String, Instant> waits = new HashMap<>();
        drafts.forEach((stop, draft) -> {
            Map<String, Draft.Text> texts = Draft.fromJson(draft.content());
            texts.keySet().stream()
                    .flatMap(field -> TimedStep.named(field).stream())
                    .flatMap(name -> TimedStep.over(texts, name).stream())
                    .forEach(over -> waits.merge(stop, over, (one, other) -> one.isAfter(other) ? one : other));
        });
        return waits;
    }
}
