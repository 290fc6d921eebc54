package zebrawood.desktop.bench;

import java.io.File;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.route.StopState;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.desk.Desk;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.NewAttachment;

/**
 * What a bench gets: its draft kept and restored, its readings evaluated after each keystroke, its Slip filled, its
 * entry recorded, corrected and shown.
 */
public final class BenchPage<R extends Record, F extends Record> implements StopView {

    private static final DateTimeFormatter DAY_TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final int LONG_TEXT = 20_000;

    private final Desk desk;
    private final String machineId;
    private final Stop<R, F> stop;
    private final BenchPlace place;
    private final Bench<R, F> bench;
    private final Draft draft;
    private final Slip slip;
    private final Runnable recorded;
    private final ReadOnlyStringWrapper footnote = new ReadOnlyStringWrapper("");
    private final AttachBox files;
    private DraftKeeper keeper;
    private final ChangeListener<UnitChoice> onUnits;
    private final ExecutorService evaluator = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "evaluate");
        thread.setDaemon(true);
        return thread;
    });
    private final TextField why = new TextField();
    private final InitialsField initials;
    private Optional<Entry> shown = Optional.empty();
    private Optional<Entry> correcting = Optional.empty();
    private Optional<Entry> newest;
    private Showing<R, F> now;
    private long generation;
    private boolean restoring;
    private boolean asksInitials;
    private boolean recording;
    private boolean left;
    private String told = "";

    /** Where a page is opened. */
    public record At(Desk desk, String machineId, BenchPlace place, Runnable recorded) {}

    public BenchPage(Stop<R, F> stop, At at) {
        this.stop = stop;
        this.desk = at.desk();
        this.machineId = at.machineId();
        this.place = at.place();
        this.recorded = at.recorded();
        this.draft = place.draft();
        this.slip = new Slip(desk.look());
        this.bench = stop.bench().apply(place);
        newest = place.earlier().stream().findFirst();
        why.setId("why");
        why.setPromptText("why it is replaced");
        initials = new InitialsField(desk, this::record);
        why.setOnAction(event -> record());
        files = AttachBox.small(desk);
        keeper = new DraftKeeper(desk, machineId, stop.procedure().card().id(), draft, footnote::set);
        draft.onChange(this::changed);
        onUnits = (value, before, chosen) -> evaluate();
        desk.units().addListener(new WeakChangeListener<>(onUnits));
        for (ReadingField field : bench.fields()) {
            field.tie(draft, desk.units());
            field.field().addEventFilter(KeyEvent.KEY_PRESSED, this::enterGoesOn);
        }
    }

    /** Opens with what was half done, else with the newest entry, else empty. */
    public void open(Optional<Logbook.Draft> kept) {
        if (kept.isPresent()) {
            measure(Draft.fromJson(kept.get().content()));
            footnote.set("draft restored, kept " + DAY_TIME.format(desk.local(kept.get().savedAt())));
        } else if (!place.earlier().isEmpty()) {
            show(place.earlier().get(0));
        } else {
            measure(Map.of());
        }
    }

    /** Opens filled with an entry that is to be replaced, or with the correction of it that was half typed. */
    public void correct(Entry entry, Optional<Logbook.Draft> kept) {
        correcting = Optional.of(entry);
        keeper = new DraftKeeper(desk, machineId, draftOf(entry), draft, footnote::set);
        Body.Measured measured = Stop.measured(entry);
        measure(kept.map(half -> Draft.fromJson(half.content())).orElseGet(() -> bench.texts(stop.readings(measured), measured.asTyped(), true)));
    }

    /** Under which name the half-typed correction of an entry is kept. */
    public static String draftOf(Entry entry) {
        return entry.body().stop() + "-" + entry.number();
    }

    private void measure(Map<String, Draft.Text> texts) {
        shown = Optional.empty();
        told = "";
        fill(texts);
        evaluate();
    }

    private void show(Entry entry) {
        shown = Optional.of(entry);
        endCorrection();
        Body.Measured measured = Stop.measured(entry);
        fill(bench.texts(stop.readings(measured), measured.asTyped(), true));
        evaluate();
    }

    private void fill(Map<String, Draft.Text> texts) {
        restoring = true;
        draft.fill(texts);
        restoring = false;
        bench.fields().forEach(field -> field.field().setEditable(shown.isEmpty()));
    }

    private void again() {
        Map<String, Draft.Text> kept = shown
                .map(Stop::measured)
                .map(measured -> bench.texts(stop.readings(measured), measured.asTyped(), false))
                .orElse(Map.of());
        measure(kept);
        begin();
    }

    private void changed() {
        if (!restoring) {
            told = "";
            keeper.typed();
            evaluate();
        }
    }

    private void evaluate() {
        if (left) {
            return;
        }
        if (shown.isPresent()) {
            Body.Measured measured = Stop.measured(shown.get());
            Sheet sheet = Sheet.of(draft);
            bench.assemble(sheet);
            publish(new Showing<>(Optional.of(stop.readings(measured)),
                    Optional.of(new Outcome<>(stop.finding(measured), measured.verdict(), measured.instructions())), sheet, false));
            return;
        }
        Sheet sheet = Sheet.of(draft);
        bench.assemble(sheet);
        long mine = ++generation;
        boolean isLong = draft.texts().values().stream().anyMatch(text -> text.text().length() > LONG_TEXT);
        if (isLong) {
            evaluator.execute(() -> {
                Showing<R, F> done = evaluated(sheet);
                Platform.runLater(() -> {
                    if (mine == generation) {
                        publish(done);
                    }
                });
            });
        } else {
            publish(evaluated(sheet));
        }
    }

    private Showing<R, F> evaluated(Sheet sheet) {
        Optional<R> readings = sheet.bind(stop.procedure().readingsType());
        Optional<Outcome<F>> outcome = Optional.empty();
        if (readings.isPresent()) {
            try {
                outcome = Optional.of(stop.procedure().evaluate(readings.get()));
            } catch (ReadingException refused) {
                sheet.take(refused);
            } catch (IllegalArgumentException | ArithmeticException overflow) {
                sheet.take(new ReadingException("readings", "these numbers are too large or too small to compute with"));
            }
        }
        return new Showing<>(readings, outcome, sheet, true);
    }

    private void publish(Showing<R, F> showing) {
        now = showing;
        for (ReadingField field : bench.fields()) {
            field.tell(
                    Optional.ofNullable(showing.sheet().problems().get(field.name())),
                    showing.sheet().understood(field.name()),
                    draft.typed(field.name()),
                    desk.units().get());
        }
        bench.show(showing);
        showSlip();
        if (shown.isPresent()) {
            footnote.set(bench.footnote());
        }
    }

    private void showSlip() {
        UnitChoice units = desk.units().get();
        List<Node> parts = new ArrayList<>();
        shown.ifPresent(entry -> parts.add(Slip.quiet("No. " + entry.number() + ", recorded "
                + DAY_TIME.format(entry.stamp().local()) + " by " + entry.stamp().by())));
        correcting.ifPresent(entry -> parts.add(Slip.quiet("Replaces no. " + entry.number() + " of "
                + DAY_TIME.format(entry.stamp().local()) + ", which stays in the logbook.")));
        if (now.outcome().isPresent()) {
            Outcome<F> outcome = now.outcome().get();
            parts.add(verdict(StopState.of(outcome.verdict()), outcome.verdict().word().toUpperCase(Locale.ROOT)));
            Instruction first = outcome.instructions().get(0);
            parts.add(Slip.act(first.action().in(units), hand(first, units)));
            List<String> rest = outcome.instructions().stream().skip(1).map(i -> i.sentence(units)).toList();
            if (!rest.isEmpty()) {
                parts.add(Slip.then(rest));
            }
            Procedure<R, F> procedure = stop.procedure();
            parts.addAll(bench.tickets(now));
            parts.add(Slip.evidence(procedure.evidence(outcome.finding()).stream()
                    .map(e -> new Body.Pair(e.label(), e.figure().in(units)))
                    .toList()));
            LastTimes.strip(stop, place.earlier(), shown, outcome.finding(), desk).ifPresent(parts::add);
        } else {
            parts.add(verdict(StopState.OPEN, "TO READ"));
            String wrong = now.sheet().problems().isEmpty()
                    ? now.sheet().others().stream().findFirst().map(Words::sentence).orElse("")
                    : "Put right what is marked; everything typed is kept.";
            parts.add(Slip.act(wrong.isEmpty() ? bench.next() : wrong, Optional.empty()));
        }
        bench.otherSchool(now).ifPresent(parts::add);
        if (shown.isEmpty()) {
            parts.add(files);
        }
        slip.show(parts);
        slip.bottom(bottom().toArray(new Node[0]));
    }

    /** The verdict, and at its right the way out of what is half done. */
    private Node verdict(StopState shape, String word) {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(slip.verdict(shape, word), gap);
        row.setAlignment(Pos.CENTER_LEFT);
        if (shown.isEmpty() && (!draft.isEmpty() || newest.isPresent())) {
            row.getChildren().add(putAway());
        }
        row.setUserData("lead");
        return row;
    }

    /** Back to the newest entry, or to empty fields, without what is half done here. */
    private Node putAway() {
        Hyperlink link = new Hyperlink(correcting.isPresent() ? "Leave it" : "Put away");
        link.setAccessibleText(correcting.isPresent() ? "leave the old entry as it is" : "put these half-done readings away");
        link.setId("put-away");
        link.setOnAction(event -> {
            keeper.drop();
            files.clear();
            endCorrection();
            newest.ifPresentOrElse(this::show, () -> measure(Map.of()));
            recorded.run();
            begin();
        });
        return link;
    }

    /** What is typed from now on is a reading of its own again. */
    private void endCorrection() {
        if (correcting.isPresent()) {
            correcting = Optional.empty();
            keeper = new DraftKeeper(desk, machineId, stop.procedure().card().id(), draft, footnote::set);
        }
    }

    private static Optional<String> hand(Instruction instruction, UnitChoice units) {
        String hand = instruction.byHand().map(said -> said.in(units)).orElse("");
        String expected = instruction.expected().map(said -> said.in(units)).orElse("");
        String both = (hand + " " + expected).strip();
        return both.isEmpty() ? Optional.empty() : Optional.of(both);
    }

    private List<Node> bottom() {
        List<Node> nodes = new ArrayList<>();
        if (!told.isEmpty()) {
            Label label = Words.wrapped(told, "small");
            label.setId("told");
            nodes.add(label);
        }
        if (shown.isPresent()) {
            Button again = new Button(bench.againWord());
            again.setId("again");
            again.getStyleClass().setAll("button", "strong");
            again.setMaxWidth(Double.MAX_VALUE);
            again.setOnAction(event -> again());
            nodes.add(again);
            return nodes;
        }
        if (correcting.isPresent()) {
            nodes.add(why);
        }
        if (asksInitials) {
            nodes.add(initials);
        }
        Button record = new Button(bench.recordWord());
        record.setId("record");
        record.getStyleClass().setAll("button", "strong");
        record.setGraphic(Words.label("Ctrl+Enter", "small"));
        record.setContentDisplay(ContentDisplay.RIGHT);
        record.setGraphicTextGap(12);
        record.setMaxWidth(Double.MAX_VALUE);
        record.setDisable(now.outcome().isEmpty());
        record.setOnAction(event -> record());
        nodes.add(record);
        return nodes;
    }

    @Override
    public void record() {
        if (recording) {
            return;
        }
        if (shown.isPresent()) {
            tell("Nothing has changed since no. " + shown.get().number() + " was recorded.");
        } else if (now.outcome().isEmpty() || now.readings().isEmpty()) {
            tell("Nothing is recorded yet: " + lower(bench.next()));
        } else if (!initials.signed()) {
            asksInitials = true;
            tell(InitialsField.ASKED);
        } else if (correcting.isPresent() && why.getText().isBlank()) {
            tell("Say in a few words why no. " + correcting.get().number() + " is replaced.");
            Platform.runLater(why::requestFocus);
        } else {
            asksInitials = false;
            append();
        }
    }

    private void append() {
        recording = true;
        keeper.stop();
        Body.Measured body = Body.Measured.of(
                stop.procedure(), now.readings().orElseThrow(), now.sheet().asTyped(), now.outcome().orElseThrow(), desk.units().get());
        Optional<Logbook.Correcting> replaces = correcting.map(entry -> new Logbook.Correcting(entry.number(), why.getText().strip()));
        List<NewAttachment> along = all();
        Entry.Stamp stamp = desk.stamp();
        String draftName = correcting.map(BenchPage::draftOf).orElse(stop.procedure().card().id());
        desk.later(
                () -> {
                    Entry entry = desk.logbook().append(machineId, body, replaces, along, stamp);
                    desk.logbook().dropDraft(machineId, draftName);
                    return entry;
                },
                entry -> {
                    recording = false;
                    files.clear();
                    newest = Optional.of(entry);
                    show(entry);
                    tell("Recorded as no. " + entry.number() + ".");
                    recorded.run();
                },
                refused -> {
                    recording = false;
                    tell(Words.sentence(refused.getMessage()));
                });
    }

    private List<NewAttachment> all() {
        List<NewAttachment> all = new ArrayList<>(bench.attachments());
        all.addAll(files.files());
        return all;
    }

    private void tell(String sentence) {
        told = sentence;
        showSlip();
    }

    private void enterGoesOn(KeyEvent event) {
        if (event.getCode() != KeyCode.ENTER || event.isControlDown()) {
            return;
        }
        List<ReadingField> fields = bench.fields().stream().filter(field -> field.field().isVisible() && !field.field().isDisabled()).toList();
        for (int i = 0; i < fields.size() - 1; i++) {
            if (fields.get(i).field() == event.getSource()) {
                fields.get(i + 1).field().requestFocus();
                event.consume();
                return;
            }
        }
    }

    @Override
    public Node bench() {
        return bench.view();
    }

    @Override
    public Slip slip() {
        return slip;
    }

    @Override
    public String caution() {
        Card card = stop.procedure().card();
        return String.join(" ", card.hazards().stream().map(Hazard::caution).toList());
    }

    @Override
    public ObservableValue<String> footnote() {
        return footnote.getReadOnlyProperty();
    }

    @Override
    public Help help() {
        return stop.procedure().card().help();
    }

    @Override
    public void begin() {
        if (shown.isPresent()) {
            Node again = slip.lookup("#again");
            if (again != null) {
                again.requestFocus();
            }
            return;
        }
        bench.fields().stream()
                .filter(field -> field.field().getText().isBlank() && field.field().isVisible())
                .findFirst()
                .or(() -> bench.fields().stream().findFirst())
                .<Node>map(ReadingField::field)
                .or(bench::start)
                .ifPresent(Node::requestFocus);
    }

    @Override
    public void undo() {
        if (shown.isEmpty() && !draft.undo()) {
            tell("Nothing to undo.");
        }
    }

    @Override
    public void redo() {
        if (shown.isEmpty() && !draft.redo()) {
            tell("Nothing to do again.");
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
            tell(bench.takesFiles() ? Words.sentence(refused.get() + "; it goes along with the entry") : file.getName() + " goes along with the entry.");
        } else {
            refused.ifPresent(reason -> tell(Words.sentence(reason)));
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
            tell("Nothing to copy yet: " + lower(bench.next()));
            return;
        }
        UnitChoice units = desk.units().get();
        Exhibit.Table table = stop.exhibit().table(now.readings().get(), now.outcome().get().finding(), now.sheet().asTyped(), units);
        StringBuilder text = new StringBuilder(String.join("\t", table.heads())).append('\n');
        table.rows().forEach(row -> text.append(String.join("\t", row)).append('\n'));
        stop.procedure().evidence(now.outcome().get().finding())
                .forEach(e -> text.append(e.label()).append('\t').append(e.figure().in(units)).append('\n'));
        Clip.put(text.toString());
        tell("Readings and figures are on the clipboard.");
    }

    @Override
    public void leave() {
        left = true;
        keeper.stop();
        if (shown.isEmpty() && !draft.isEmpty()) {
            keeper.keep();
        }
        evaluator.shutdown();
    }

    private static String lower(String words) {
        return Character.toLowerCase(words.charAt(0)) + words.substring(1);
    }
}
