package zebrawood.desktop.logbook;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Verdict;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.event.EventSheet;
import zebrawood.desktop.event.PointSheets;
import zebrawood.desktop.eyewear.PairSheet;
import zebrawood.desktop.page.FramedPage;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.TapeFilter;
import zebrawood.logbook.store.TapeLine;

/** The tape of entries by day, filtered; and the entry that is opened. */
public final class LogbookPage extends HBox implements FramedPage {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    /** entries read at once: some screens */
    private static final int PAGE = 80;
    /**
     * pages read on the way to an entry that is opened from elsewhere: farther back it is shown without its neighbours
     */
    private static final int MOST_PAGES = 60;

    private final Desk desk;
    private final Navigator navigator;
    private final ObservableList<Object> items = FXCollections.observableArrayList();
    private final ListView<Object> tape = new ListView<>(items);
    private final StackPane paper = new StackPane();
    private final ComboBox<Choice> machine = new ComboBox<>();
    private final ComboBox<Choice> stop = new ComboBox<>();
    private final ComboBox<Choice> verdict = new ComboBox<>();
    private final TextField search = new TextField();
    private final PauseTransition pause = new PauseTransition(Duration.millis(120));
    private final ChangeListener<Logbook.Head> onHead = (value, before, now) -> newer();
    private boolean more;
    private boolean loading;
    private long generation;
    private boolean choosing;
    private Optional<Entry> wanted = Optional.empty();
    private Optional<Entry> opened = Optional.empty();

    /** A line of a filter: what it says, and what it stands for; empty stands for all. */
    private record Choice(String words, Optional<String> id) {
        @Override
        public String toString() {
            return words;
        }
    }

    public LogbookPage(Desk desk, Navigator navigator, TapeFilter filter) {
        this.desk = desk;
        this.navigator = navigator;
        tape.getStyleClass().add("tape");
        tape.setId("tape");
        tape.setCellFactory(list -> new TapeCell());
        tape.setPlaceholder(Words.wrapped("No entries here yet. What is recorded at a stop stands here.", "quiet"));
        tape.getSelectionModel().selectedItemProperty().addListener((value, before, now) -> {
            if (now instanceof TapeLine line && !isOpen(line.entry())) {
                open(line);
            }
        });
        filters(filter);
        HBox filters = new HBox(8, machine, stop, verdict);
        search.setId("search");
        search.setPromptText("search: beech, gap 6.8, lens out, RV, 2030-11");
        search.setAccessibleText("search in the logbook");
        Words.follow(search);
        search.setText(filter.words().orElse(""));
        pause.setOnFinished(event -> reload());
        search.textProperty().addListener((value, before, now) -> {
            choosing = false;
            pause.playFromStart();
        });
        search.setOnAction(event -> {
            pause.stop();
            reload();
            tape.requestFocus();
        });
        search.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.DOWN) {
                tape.requestFocus();
                event.consume();
            }
        });
        desk.head().addListener(new WeakChangeListener<>(onHead));
        VBox left = new VBox(10, search, filters, tape);
        left.setPadding(new Insets(14, 12, 8, 24));
        widthProperty().addListener((value, before, now) -> {
            double wanted = now.doubleValue() < 1100 ? 360 : 460;
            left.setMinWidth(wanted);
            left.setMaxWidth(wanted);
        });
        VBox.setVgrow(tape, Priority.ALWAYS);
        HBox.setHgrow(paper, Priority.ALWAYS);
        paper.setPadding(new Insets(14, 24, 12, 12));
        paper.setMinWidth(420);
        getChildren().addAll(left, paper);
        reload();
    }

    private void filters(TapeFilter filter) {
        List<Choice> machines = new ArrayList<>(List.of(new Choice("every machine", Optional.empty())));
        desk.machines().get().forEach(m -> machines.add(new Choice(m.plate().name(), Optional.of(m.machineId()))));
        List<Choice> stops = new ArrayList<>(List.of(new Choice("every stop", Optional.empty())));
        Catalogue.stops()
                .forEach(s -> stops.add(new Choice(
                        s.procedure().card().title(),
                        Optional.of(s.procedure().card().id()))));
        for (String other : List.of("start", "work", "first-light", "service", "event", "point", "pair", "plate")) {
            stops.add(new Choice(Catalogue.title(other), Optional.of(other)));
        }
        List<Choice> verdicts = new ArrayList<>(List.of(new Choice("any verdict", Optional.empty())));
        for (Verdict each : Verdict.values()) {
            verdicts.add(new Choice(each.word(), Optional.of(each.name())));
        }
        filter(machine, "filter-machine", machines, filter.machineId());
        filter(stop, "filter-stop", stops, filter.stop());
        filter(verdict, "filter-verdict", verdicts, filter.verdict().map(Enum::name));
    }

    private void filter(ComboBox<Choice> box, String id, List<Choice> choices, Optional<String> chosen) {
        box.setId(id);
        box.getStyleClass().add("pill");
        box.setMinWidth(100);
        box.setPrefWidth(136);
        box.getItems().setAll(choices);
        box.setValue(choices.stream()
                .filter(choice -> choice.id().equals(chosen))
                .findFirst()
                .orElse(choices.get(0)));
        box.setOnAction(event -> reload());
    }

    private TapeFilter filter() {
        String words = search.getText().strip();
        return new TapeFilter(
                machine.getValue().id(),
                stop.getValue().id(),
                verdict.getValue().id().map(Verdict::valueOf),
                words.isEmpty()
                        ? Optional.empty()
                        : Optional.of(search.getText().stripLeading()));
    }

    /** Puts what was recorded meanwhile, here or elsewhere, on top of the tape. */
    private void newer() {
        if (loading || items.isEmpty()) {
            reload();
            return;
        }
        long newest = items.stream()
                .filter(TapeLine.class::isInstance)
                .mapToLong(line -> ((TapeLine) line).position())
                .max()
                .orElse(0);
        long mine = generation;
        TapeFilter filter = filter();
        desk.later(() -> desk.logbook().tape(filter, Long.MAX_VALUE, PAGE), lines -> {
            List<TapeLine> fresh =
                    lines.stream().filter(line -> line.position() > newest).toList();
            if (mine != generation || fresh.isEmpty()) {
                return;
            }
            if (fresh.stream().anyMatch(line -> line.entry().corrects().isPresent())) {
                reload();
                return;
            }
            for (int i = fresh.size() - 1; i >= 0; i--) {
                LocalDate on = fresh.get(i).entry().stamp().local().toLocalDate();
                if (!on.equals(items.get(0))) {
                    items.add(0, on);
                }
                items.add(1, fresh.get(i));
            }
        });
    }

    /** Reads the tape anew from its newest entry. */
    private void reload() {
        for (ComboBox<Choice> box : List.of(machine, stop, verdict)) {
            box.getStyleClass().remove("chosen");
            if (box.getValue().id().isPresent()) {
                box.getStyleClass().add("chosen");
            }
        }
        generation++;
        items.clear();
        paper.getChildren().clear();
        opened = Optional.empty();
        more = true;
        loading = false;
        load(Long.MAX_VALUE, true);
    }

    private void load(long before, boolean first) {
        if (loading || !more) {
            return;
        }
        loading = true;
        long mine = generation;
        TapeFilter filter = filter();
        desk.later(() -> desk.logbook().tape(filter, before, PAGE), lines -> {
            if (mine != generation) {
                return;
            }
            loading = false;
            more = !lines.isEmpty();
            LocalDate day = lastDay();
            for (TapeLine line : lines) {
                LocalDate on = line.entry().stamp().local().toLocalDate();
                if (!on.equals(day)) {
                    items.add(on);
                    day = on;
                }
                items.add(line);
            }
            if (first && lines.isEmpty() && filter.words().isPresent()) {
                tape.setPlaceholder(Words.wrapped(
                        "Nothing on record has all of these words. Search takes words, names, initials, verdicts, "
                                + "days and numbers, also when only begun.",
                        "quiet"));
            }
            if (first && !choosing && !lines.isEmpty()) {
                tape.getSelectionModel().select(lines.get(0));
            }
            reveal(lines);
        });
    }

    /** Goes on along the tape until the entry that was opened from elsewhere stands in sight, marked. */
    private void reveal(List<TapeLine> read) {
        if (wanted.isEmpty()) {
            return;
        }
        Entry entry = wanted.get();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof TapeLine line && isSame(line.entry(), entry)) {
                wanted = Optional.empty();
                tape.getSelectionModel().select(i);
                tape.scrollTo(Math.max(0, i - 2));
                return;
            }
        }
        if (more && !read.isEmpty() && items.size() < MOST_PAGES * PAGE) {
            load(read.get(read.size() - 1).position(), false);
        } else {
            wanted = Optional.empty();
        }
    }

    private static boolean isSame(Entry one, Entry other) {
        return one.number() == other.number()
                && one.place().machineId().equals(other.place().machineId());
    }

    private boolean isOpen(Entry entry) {
        return opened.filter(open -> isSame(open, entry)).isPresent();
    }

    private LocalDate lastDay() {
        return items.isEmpty()
                ? null
                : ((TapeLine) items.get(items.size() - 1))
                        .entry()
                        .stamp()
                        .local()
                        .toLocalDate();
    }

    /** Opens one entry, wherever on the tape it stands. */
    public void show(String machineId, int number) {
        choosing = true;
        desk.later(() -> desk.logbook().entry(machineId, number), entry -> {
            open(new TapeLine(0, entry, false));
            wanted = Optional.of(entry);
            if (!loading) {
                items.stream()
                        .filter(TapeLine.class::isInstance)
                        .map(TapeLine.class::cast)
                        .reduce((before, after) -> after)
                        .ifPresent(last -> reveal(List.of(last)));
            }
        });
    }

    private void open(TapeLine line) {
        Entry entry = line.entry();
        String id = entry.place().machineId();
        record Found(Optional<Entry> correctedBy, String previous) {}
        opened = Optional.of(entry);
        desk.later(
                () -> new Found(
                        desk.logbook().findCorrectionOf(entry),
                        desk.logbook()
                                .findEntry(id, entry.number() - 1)
                                .map(e -> e.place().hash())
                                .orElse("")),
                found -> {
                    String name = desk.machine(id).map(m -> m.plate().name()).orElse("");
                    boolean open = desk.machine(id).stream()
                            .flatMap(m -> m.points().stream())
                            .anyMatch(point -> point.number() == entry.number());
                    EntryPaper.Acts acts = new EntryPaper.Acts(
                            () -> correct(entry),
                            () -> navigator.difference(entry, Optional.empty()),
                            open
                                    ? Optional.of(() -> navigator.overlay(
                                            PointSheets.close(desk, navigator, entry, this::recorded)))
                                    : Optional.empty());
                    paper.getChildren()
                            .setAll(new EntryPaper(
                                    desk,
                                    entry,
                                    new EntryPaper.Around(
                                            name,
                                            found.correctedBy(),
                                            found.previous(),
                                            paper.getWidth() < 640,
                                            acts)));
                });
    }

    /** The entry that is open, for what one may do with it by keys. */
    @Override
    public Optional<Entry> opened() {
        return opened;
    }

    /** Shows an entry that was recorded from here. */
    private void recorded(Entry entry) {
        desk.tell("Recorded as no. " + entry.number() + ".");
        choosing = true;
        wanted = Optional.of(entry);
        reload();
        open(new TapeLine(0, entry, false));
    }

    /** Puts the focus into the search. */
    @Override
    public boolean search() {
        search.requestFocus();
        search.selectAll();
        return true;
    }

    @Override
    public Node view() {
        return this;
    }

    @Override
    public Place place() {
        return Place.LOGBOOK;
    }

    @Override
    public Heading heading() {
        String first = machine.getValue()
                .id()
                .flatMap(desk::machine)
                .map(of -> ", at first those of " + of.plate().name())
                .orElse("");
        return new Heading("Logbook", desk.head().get().inWords() + first, "");
    }

    @Override
    public Foot foot() {
        return new Foot(
                "Nothing here is ever changed. A correction is a new entry that names the old one.",
                false,
                Optional.of(new SimpleStringProperty("Up and Down move along the tape")));
    }

    private void correct(Entry entry) {
        if (entry.body() instanceof Body.GateLine line) {
            navigator.overlay(GateCorrection.of(desk, navigator, entry, line, this::recorded));
        } else if (entry.body() instanceof Body.Happened) {
            navigator.overlay(EventSheet.correcting(desk, navigator, entry, this::recorded));
        } else if (entry.body() instanceof Body.PointOpened) {
            navigator.overlay(
                    PointSheets.open(desk, navigator, entry.place().machineId(), Optional.of(entry), this::recorded));
        } else if (entry.body() instanceof Body.Started) {
            navigator.start(entry.place().machineId());
        } else if (entry.body() instanceof Body.EyewearSeen) {
            navigator.overlay(PairSheet.correcting(desk, navigator, entry, this::recorded));
        } else {
            navigator.correct(entry);
        }
    }

    /** Puts the focus on the tape. */
    @Override
    public void begin() {
        Platform.runLater(tape::requestFocus);
    }

    private final class TapeCell extends ListCell<Object> {
        @Override
        protected void updateItem(Object item, boolean empty) {
            super.updateItem(item, empty);
            setText(null);
            getStyleClass().remove("day");
            if (empty || item == null) {
                setGraphic(null);
                setDisable(false);
            } else if (item instanceof LocalDate day) {
                getStyleClass().add("day");
                setDisable(true);
                Label label = Words.label(DAY.format(day), "caption");
                label.setPadding(new Insets(14, 4, 4, 4));
                setGraphic(label);
            } else {
                setDisable(false);
                setGraphic(row((TapeLine) item));
                if (getIndex() >= items.size() - 12) {
                    Platform.runLater(() -> load(((TapeLine) items.get(items.size() - 1)).position(), false));
                }
            }
        }

        private Node row(TapeLine line) {
            Entry entry = line.entry();
            Label time = Words.label(TIME.format(entry.stamp().local()), "quiet");
            time.setMinWidth(44);
            Label title = Words.label(EntryWords.title(entry), line.corrected() ? "struck" : "bold");
            String name = machine.getValue().id().isPresent()
                    ? ""
                    : desk.machine(entry.place().machineId())
                            .map(m -> m.plate().name() + "  ·  ")
                            .orElse("");
            Label detail = Words.label(
                    name + (line.corrected() ? "corrected, no longer counts" : EntryWords.detail(entry)), "caption");
            VBox words = new VBox(1, title, detail);
            words.setMinWidth(60);
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            Label by = Words.label(entry.stamp().by(), "quiet");
            by.setMinWidth(Region.USE_PREF_SIZE);
            HBox row = new HBox(10, time, Slip.mark(desk.look(), EntryWords.shape(entry), 22), words, gap, by);
            row.setAlignment(Pos.CENTER_LEFT);
            row.setPadding(new Insets(9, 10, 9, 10));
            row.prefWidthProperty().bind(tape.widthProperty().subtract(34));
            row.maxWidthProperty().bind(tape.widthProperty().subtract(34));
            return row;
        }
    }
}
