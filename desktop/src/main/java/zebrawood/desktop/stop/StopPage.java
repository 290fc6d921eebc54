package zebrawood.desktop.stop;

import java.io.File;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.Node;
import javafx.scene.Parent;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Card;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.page.StopView;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.desktop.recording.DraftKeeper;
import zebrawood.desktop.recording.Recording;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Thumbnail;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.Logbook;

/**
 * What a bench gets: its draft kept and restored, its readings judged after each keystroke, its Slip filled, its entry
 * recorded, corrected and shown.
 *
 * @param <R> readings
 * @param <F> finding
 */
public final class StopPage<R extends Record, F extends Record> implements StopView {

    private static final DateTimeFormatter DAY_TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    private final Desk desk;
    private final String machineId;
    private final Stop<R, F> stop;
    private final BenchPlace place;
    private final Bench<R, F> bench;
    private final Draft draft;
    private final StopSlip<R, F> slip;
    private final Runnable changed;
    private final ReadOnlyStringWrapper footnote = new ReadOnlyStringWrapper("");
    private final AttachBox files;
    private final Recording recording;
    private final Judge<R, F> judge;
    private final ChangeListener<UnitChoice> onUnits = (value, before, chosen) -> judge();
    private DraftKeeper keeper;
    private Optional<Entry> shown = Optional.empty();
    private Optional<Entry> newest;
    private Showing<R, F> now;
    private Optional<Recording.First> first = Optional.empty();
    private boolean filling;
    private boolean left;

    /**
     * Where a page is opened.
     *
     * @param changed runs when something was recorded, or put away
     * @param leaveOut takes a stop that is not wanted on this machine
     */
    public record At(Desk desk, String machineId, BenchPlace place, Runnable changed, Consumer<Card> leaveOut) {}

    public StopPage(Stop<R, F> stop, At at) {
        this.stop = stop;
        this.desk = at.desk();
        this.machineId = at.machineId();
        this.place = at.place();
        this.changed = at.changed();
        draft = place.draft();
        bench = stop.open(place);
        judge = new Judge<>(stop.procedure());
        newest = place.earlier().stream().findFirst();
        recording = new Recording(desk, this::ready, this::recorded, this::showSlip);
        files = AttachBox.small(desk);
        slip = new StopSlip<>(
                stop,
                bench,
                place,
                new StopSlip.Acts(
                        this::again,
                        this::putAway,
                        () -> at.leaveOut().accept(stop.procedure().card())),
                recording,
                files);
        keeper = keeper(Optional.empty());
        draft.onChange(this::typed);
        desk.units().addListener(new WeakChangeListener<>(onUnits));
        bench.fields().forEach(field -> field.tie(draft, desk.units()));
        ReadingField.enterGoesThrough(bench.fields());
    }

    /** What is recorded just before the reading, with it: what a stop asked for that belongs to the plate. */
    void recordFirst(Body body, DraftKeeper asked) {
        first = Optional.of(new Recording.First(body, asked));
    }

    /** What is typed here so far. */
    Map<String, Draft.Text> readings() {
        return draft.texts();
    }

    /** Goes on with what was typed on another page of the same stop, or with what is kept of it. */
    void goOn(Map<String, Draft.Text> readings) {
        if (readings.isEmpty()) {
            desk.later(
                    () -> desk.logbook()
                            .findDraft(machineId, stop.procedure().card().id()),
                    kept -> {
                        if (!left && draft.isEmpty()) {
                            measure(kept.map(half -> Draft.fromJson(half.content()))
                                    .orElse(Map.of()));
                        }
                    });
        }
        measure(readings);
    }

    /** Opens with what was half done, else with the newest entry, else empty. */
    public void open(Optional<Logbook.Draft> kept) {
        if (kept.isPresent()) {
            measure(Draft.fromJson(kept.get().content()));
            footnote.set("draft restored, kept "
                    + DAY_TIME.format(desk.local(kept.get().savedAt())));
        } else if (!place.earlier().isEmpty()) {
            show(place.earlier().get(0));
        } else {
            measure(Map.of());
        }
    }

    /** Opens filled with an entry that is to be replaced, or with the correction of it that was half typed. */
    public void correct(Entry entry, Optional<Logbook.Draft> kept) {
        recording.correct(Optional.of(entry));
        keeper = keeper(Optional.of(entry));
        measure(kept.map(half -> Draft.fromJson(half.content())).orElseGet(() -> texts(entry, true)));
    }

    private DraftKeeper keeper(Optional<Entry> correcting) {
        String name = correcting
                .map(DraftKeeper::nameOf)
                .orElse(stop.procedure().card().id());
        return new DraftKeeper(desk, machineId, name, draft, footnote::set);
    }

    private Map<String, Draft.Text> texts(Entry entry, boolean whole) {
        return bench.texts(
                stop.readings(Stop.measured(entry)), Stop.measured(entry).asTyped(), whole);
    }

    private void measure(Map<String, Draft.Text> texts) {
        shown = Optional.empty();
        recording.hush();
        fill(texts);
        judge();
        footnote.set(bench.footnote());
    }

    private void show(Entry entry) {
        shown = Optional.of(entry);
        endCorrection();
        fill(texts(entry, true));
        judge();
    }

    private void fill(Map<String, Draft.Text> texts) {
        filling = true;
        draft.fill(texts);
        filling = false;
        bench.fields().forEach(field -> field.field().setEditable(shown.isEmpty()));
    }

    private void again() {
        measure(shown.map(entry -> texts(entry, false)).orElse(Map.of()));
        begin();
    }

    private void typed() {
        if (!filling) {
            recording.hush();
            keeper.typed();
            judge();
        }
    }

    private void judge() {
        if (left) {
            return;
        }
        Worksheet sheet = Worksheet.of(draft);
        bench.assemble(sheet);
        if (shown.isEmpty()) {
            Filled filled = sheet.filled();
            judge.judge(filled, this::publish);
            if (judge.isPending() && (now == null || !now.measuring())) {
                // one can type before the first judgement is there
                publish(Showing.unjudged(filled));
            }
            return;
        }
        judge.overtake();
        publish(Showing.recorded(stop, shown.get(), sheet.filled()));
    }

    private void publish(Showing<R, F> showing) {
        now = showing;
        bench.fields()
                .forEach(field ->
                        field.tell(showing.filled(), draft, desk.units().get()));
        showing.fault().ifPresent(desk::unexpected);
        bench.show(showing);
        showSlip();
        if (shown.isPresent()) {
            footnote.set(bench.footnote());
        }
    }

    private void showSlip() {
        slip.show(now, shown, shown.isEmpty() && (!draft.isEmpty() || newest.isPresent()));
    }

    /** Back to the newest entry, or to empty fields, without what is half done here. */
    private void putAway() {
        keeper.drop();
        files.clear();
        endCorrection();
        newest.ifPresentOrElse(this::show, () -> measure(Map.of()));
        changed.run();
        begin();
    }

    /** What is typed from now on is a reading of its own again. */
    private void endCorrection() {
        if (recording.correcting().isPresent()) {
            recording.correct(Optional.empty());
            keeper = keeper(Optional.empty());
        }
    }

    @Override
    public void record() {
        recording.record();
    }

    private Optional<Recording.What> ready() {
        if (shown.isPresent()) {
            recording.tell("Nothing has changed since no. " + shown.get().number() + " was recorded.");
        } else if (bench.notForTheRecord().isPresent()) {
            recording.tell(bench.notForTheRecord().get());
        } else if (judge.isPending()) {
            recording.tell("Still computing; a moment, then record.");
        } else if (now.outcome().isEmpty() || now.readings().isEmpty()) {
            recording.tell("Nothing is recorded yet: " + Words.within(bench.next()));
        } else {
            Body.Measured body = Body.Measured.of(
                    stop.procedure(),
                    now.readings().get(),
                    now.filled().asTyped(),
                    now.outcome().get(),
                    desk.units().get());
            List<NewAttachment> along = new ArrayList<>(bench.attachments());
            along.addAll(files.files());
            return Optional.of(new Recording.What(machineId, () -> body, along, Optional.of(keeper), first));
        }
        return Optional.empty();
    }

    private void recorded(Entry entry) {
        files.clear();
        newest = Optional.of(entry);
        show(entry);
        recording.tell("Recorded as no. " + entry.number() + ".");
        changed.run();
    }

    @Override
    public Parent bench() {
        return (Parent) bench.view();
    }

    @Override
    public Slip slip() {
        return slip.paper();
    }

    @Override
    public String caution() {
        return stop.procedure().card().caution();
    }

    @Override
    public ObservableValue<String> footnote() {
        return footnote.getReadOnlyProperty();
    }

    @Override
    public Optional<Explained> help() {
        Card card = stop.procedure().card();
        return Optional.of(new Explained(card.title(), card.help(), caution()));
    }

    @Override
    public Optional<Parent> printed() {
        return Optional.of(bench());
    }

    @Override
    public void begin() {
        if (shown.isPresent()) {
            bench.followed().ifPresentOrElse(Node::requestFocus, slip::begin);
            return;
        }
        bench.missing()
                .or(() -> ReadingField.firstEmpty(bench.fields()))
                .or(bench::start)
                .ifPresent(Node::requestFocus);
    }

    @Override
    public void undo() {
        if (shown.isEmpty() && !draft.undo()) {
            recording.tell("Nothing to undo.");
        }
    }

    @Override
    public void redo() {
        if (shown.isEmpty() && !draft.redo()) {
            recording.tell("Nothing to do again.");
        }
    }

    @Override
    public void take(File file) {
        if (shown.isPresent()) {
            again();
        }
        Optional<String> refused = bench.take(file);
        if (refused.isPresent() && (!bench.takesFiles() || Thumbnail.isNamedLikeOne(file.getName()))) {
            files.take(file.toPath());
            recording.tell(
                    bench.takesFiles()
                            ? Words.sentence(refused.get() + "; it goes along with the entry")
                            : file.getName() + " goes along with the entry.");
        } else {
            refused.ifPresent(reason -> recording.tell(Words.sentence(reason)));
        }
    }

    @Override
    public void paste() {
        if (shown.isPresent()) {
            again();
        }
        bench.paste();
    }

    @Override
    public void copy() {
        if (now.outcome().isEmpty() || now.readings().isEmpty()) {
            recording.tell("Nothing to copy yet: " + Words.within(bench.next()));
            return;
        }
        Clip.put(stop.text(
                now.readings().get(),
                now.outcome().get().finding(),
                now.filled().asTyped(),
                desk.units().get()));
        recording.tell("Readings and figures are on the clipboard.");
    }

    @Override
    public boolean isJudged() {
        return !judge.isPending();
    }

    @Override
    public void leave() {
        left = true;
        keeper.stop();
        if (shown.isEmpty() && !draft.isEmpty()) {
            keeper.keep();
        }
        judge.end();
    }
}
