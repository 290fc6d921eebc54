package zebrawood.desktop.stop;

import java.io.File;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.route.StopState;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.machine.PlateControls;
import zebrawood.desktop.page.StopView;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.desktop.recording.Recording;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/**
 * A stop of a machine whose plate does not say yet what the stop needs: that is asked for over its drawing, the bench
 * opens under it as soon as it is typed, and both are recorded together, the plate first.
 */
public final class AskedStop implements StopView {

    private static final double FIELD = 168;

    private final Desk desk;
    private final String machineId;
    private final Plate known;
    private final Procedure<?, ?> procedure;
    private final Function<Plate, StopPage<?, ?>> opens;
    private final Runnable slipChanged;
    private final Draft draft = new Draft();
    private final DraftKeeper keeper;
    private final FlowPane fields = new FlowPane(14, 8);
    private final VBox place = new VBox();
    private final VBox page;
    private final Slip slip;
    private final Recording recording;
    private final ReadOnlyStringWrapper footnote = new ReadOnlyStringWrapper("");
    private PlateControls controls;
    private List<String> asked = List.of();
    private Optional<Plate> plate = Optional.empty();
    private Optional<StopPage<?, ?>> inner = Optional.empty();
    private Filled sheet;

    /**
     * Where it stands.
     *
     * @param known the plate as it is recorded
     * @param recorded runs when something was recorded
     * @param slipChanged runs when another Slip belongs to it
     */
    public record At(Desk desk, String machineId, Plate known, Runnable recorded, Runnable slipChanged) {}

    /** @param opens makes the stop's own page for a plate */
    public AskedStop(Procedure<?, ?> procedure, At at, Function<Plate, StopPage<?, ?>> opens) {
        this.procedure = procedure;
        this.desk = at.desk();
        this.machineId = at.machineId();
        this.known = at.known();
        this.opens = opens;
        this.slipChanged = at.slipChanged();
        keeper = new DraftKeeper(desk, machineId, procedure.card().id() + ".plate", draft, footnote::set);
        slip = new Slip(desk.look());
        recording = new Recording(desk, this::plateAlone, entry -> at.recorded().run(), this::showSlip);
        draft.fill(PlateControls.texts(known));
        VBox strip = new VBox(
                6,
                Words.label("First, from the machine's plate or manual", "head"),
                Words.wrapped(
                        "Asked once, and recorded with the reading. A pale figure is usual for the family, not yours:"
                                + " Space takes it over.",
                        "caption"),
                fields);
        strip.setPadding(new Insets(12, 24, 10, 24));
        strip.getStyleClass().add("asked");
        VBox.setVgrow(place, Priority.ALWAYS);
        page = new VBox(strip, place);
        draft.onChange(() -> {
            keeper.typed();
            typed();
        });
        typed();
        desk.later(
                () -> desk.logbook().findDraft(machineId, procedure.card().id() + ".plate"),
                kept -> kept.ifPresent(half -> restore(Draft.fromJson(half.content()))));
    }

    /** Takes over what was half typed here; all else is as the plate says by now. */
    private void restore(Map<String, Draft.Text> half) {
        Map<String, Draft.Text> texts = new HashMap<>(PlateControls.texts(known));
        half.forEach(texts::putIfAbsent);
        draft.fill(texts);
    }

    private void typed() {
        Filled.Bound<Plate> bound = PlateControls.bound(draft);
        sheet = bound.filled();
        Optional<Plate> now = bound.record().map(made -> made.with(known.notWanted()));
        ask(now);
        controls.tell(sheet);
        recording.hush();
        if (!now.equals(plate)) {
            plate = now;
            reopen();
        }
        showSlip();
    }

    /** Puts up the fields that are asked for; what was typed keeps its field. */
    private void ask(Optional<Plate> now) {
        Set<String> wanted = new LinkedHashSet<>(procedure.lacks(known));
        now.filter(procedure::appliesTo).ifPresent(made -> wanted.addAll(procedure.lacks(made)));
        wanted.addAll(asked);
        if (asked.equals(new ArrayList<>(wanted))) {
            return;
        }
        asked = List.copyOf(wanted);
        Optional<String> focused = Optional.ofNullable(page == null ? null : page.getScene())
                .flatMap(scene -> Optional.ofNullable(scene.getFocusOwner()))
                .map(Node::getId);
        controls = new PlateControls(draft, desk.units());
        fields.getChildren()
                .setAll(asked.stream().map(path -> controls.of(path, FIELD)).toList());
        controls.last()
                .ifPresent(last -> last.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
                    if (event.getCode() == KeyCode.ENTER && !event.isControlDown() && inner.isPresent()) {
                        inner.get().begin();
                        event.consume();
                    }
                }));
        focused.ifPresent(controls::focus);
    }

    /** The stop's own page, for the plate as it is typed now; what stands in its fields goes along. */
    private void reopen() {
        Map<String, Draft.Text> readings = inner.map(StopPage::readings).orElse(Map.of());
        inner.ifPresent(StopPage::leave);
        inner = plate.filter(made ->
                        procedure.appliesTo(made) && procedure.lacks(made).isEmpty())
                .map(made -> {
                    StopPage<?, ?> opened = opens.apply(made);
                    Body.PlateSet body = new Body.PlateSet(made, sheet.asTyped());
                    opened.recordFirst(body, keeper);
                    opened.goOn(readings);
                    return opened;
                });
        place.getChildren()
                .setAll(inner.<Node>map(StopPage::bench).map(List::of).orElseGet(List::of));
        inner.ifPresent(opened -> VBox.setVgrow(opened.bench(), Priority.ALWAYS));
        slipChanged.run();
    }

    private boolean isWithout() {
        return plate.filter(made -> !procedure.appliesTo(made)).isPresent();
    }

    private void showSlip() {
        List<Node> parts = new ArrayList<>();
        if (isWithout()) {
            parts.add(slip.verdict(StopState.BEGUN, "READY"));
            parts.add(Slip.act(
                    "This machine has no such stop.",
                    Optional.of("Record what you typed: it goes onto the plate, and the stop leaves the Route.")));
        } else {
            parts.add(slip.verdict(StopState.OPEN, "TO READ"));
            parts.add(Slip.act(
                    sheet.problems().isEmpty() ? "Type what the plate does not say yet." : "Put right what is marked.",
                    Optional.of("The drawing follows as soon as that is known.")));
        }
        sheet.others().forEach(why -> parts.add(Slip.quiet(Words.sentence(why))));
        slip.show(parts);
        List<Node> bottom = new ArrayList<>(recording.asked());
        bottom.add(recording.button("Record", isWithout()));
        slip.bottom(bottom.toArray(new Node[0]));
    }

    private Optional<Recording.What> plateAlone() {
        if (!isWithout()) {
            recording.tell("Nothing is recorded yet: type what the plate does not say.");
            return Optional.empty();
        }
        Body.PlateSet body = new Body.PlateSet(plate.orElseThrow(), sheet.asTyped());
        return Optional.of(new Recording.What(machineId, () -> body, List.of(), Optional.of(keeper)));
    }

    @Override
    public Parent bench() {
        return page;
    }

    @Override
    public Slip slip() {
        return inner.map(StopPage::slip).orElse(slip);
    }

    @Override
    public String caution() {
        return procedure.card().caution();
    }

    @Override
    public ObservableValue<String> footnote() {
        return footnote.getReadOnlyProperty();
    }

    @Override
    public void begin() {
        boolean typedAll = asked.stream().noneMatch(path -> draft.text(path).isEmpty());
        if (typedAll && inner.isPresent()) {
            inner.get().begin();
        } else {
            controls.begin();
        }
    }

    @Override
    public void record() {
        inner.ifPresentOrElse(StopPage::record, recording::record);
    }

    @Override
    public void undo() {
        if (!draft.undo()) {
            inner.ifPresent(StopPage::undo);
        }
    }

    @Override
    public void redo() {
        if (!draft.redo()) {
            inner.ifPresent(StopPage::redo);
        }
    }

    @Override
    public void copy() {
        inner.ifPresent(StopPage::copy);
    }

    @Override
    public void paste() {
        inner.ifPresent(StopPage::paste);
    }

    @Override
    public void take(File file) {
        inner.ifPresentOrElse(
                opened -> opened.take(file), () -> recording.tell("Type first what the plate does not say yet."));
    }

    @Override
    public Optional<Explained> help() {
        return Optional.of(
                new Explained(procedure.card().title(), procedure.card().help(), caution()));
    }

    @Override
    public Optional<Parent> printed() {
        return inner.flatMap(StopPage::printed);
    }

    @Override
    public void leave() {
        keeper.finish();
        inner.ifPresent(StopPage::leave);
    }
}
