package zebrawood.desktop.difference;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import javafx.application.Platform;
import javafx.beans.property.SimpleStringProperty;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.benches.Catalogue;
import zebrawood.core.difference.Comparison;
import zebrawood.core.difference.Difference;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.StopState;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.page.FramedPage;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.TapeFilter;
import zebrawood.logbook.store.TapeLine;

/** Two entries beside each other, and all that differed between them, the likeliest to matter first. */
public final class DifferencePage extends HBox implements FramedPage {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    /** earlier results offered; further back one searches the Logbook */
    private static final int CHOICES = 60;

    private final Desk desk;
    private final Navigator navigator;
    private final String machineId;
    private final ComboBox<Choice> earlier = new ComboBox<>();
    private final ComboBox<Choice> later = new ComboBox<>();
    private final VBox rows = new VBox();
    private final HBox cards = new HBox(20);
    private final Slip slip;
    private Optional<Comparison> shown = Optional.empty();
    private boolean filling;

    /** An entry that can be chosen. */
    private record Choice(Entry entry) {
        @Override
        public String toString() {
            return "no. " + entry.number() + ", " + WHEN.format(entry.stamp().local()) + ": " + words(entry);
        }
    }

    /** @param other the entry it is compared with; the one of its kind before it where none is given */
    public DifferencePage(Desk desk, Navigator navigator, Entry entry, Optional<Entry> other) {
        this.desk = desk;
        this.navigator = navigator;
        this.machineId = entry.place().machineId();
        this.slip = new Slip(desk.look());
        for (ComboBox<Choice> box : List.of(earlier, later)) {
            box.getStyleClass().add("pill");
            box.setMaxWidth(Double.MAX_VALUE);
            box.setMinWidth(180);
            HBox.setHgrow(box, Priority.ALWAYS);
            box.setOnAction(event -> compare());
        }
        earlier.setId("earlier");
        later.setId("later");
        VBox head = new VBox(
                2,
                Words.label("What was different?", "head"),
                Words.label(
                        "everything on record that differed between the two, the likeliest to matter on this "
                                + "family first; a difference is not yet a cause",
                        "caption"));
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox page = new VBox(12, head, new HBox(20, earlier, later), cards, scroll);
        page.setPadding(new Insets(14, 12, 8, 28));
        HBox.setHgrow(page, Priority.ALWAYS);
        HBox.setMargin(slip, new Insets(12, 16, 12, 8));
        getChildren().addAll(page, slip);
        slip.show(List.of(slip.verdict(StopState.BEGUN, "COMPARING")));
        load(entry, other);
    }

    private void load(Entry entry, Optional<Entry> other) {
        TapeFilter alike =
                new TapeFilter(Optional.of(machineId), Optional.of(entry.body().stop()), Optional.empty());
        desk.later(
                () -> desk.logbook().tape(alike, Long.MAX_VALUE, CHOICES).stream()
                        .filter(line -> !line.corrected())
                        .map(TapeLine::entry)
                        .toList(),
                found -> {
                    List<Entry> entries = new ArrayList<>(found);
                    for (Entry wanted : other.map(o -> List.of(entry, o)).orElse(List.of(entry))) {
                        if (entries.stream().noneMatch(e -> e.number() == wanted.number())) {
                            entries.add(wanted);
                        }
                    }
                    Optional<Entry> beside = other.or(() -> entries.stream()
                                    .filter(e -> e.standsAt() < entry.standsAt())
                                    .findFirst())
                            .or(() -> entries.stream()
                                    .filter(e -> e.number() != entry.number())
                                    .findFirst());
                    filling = true;
                    List<Choice> choices = entries.stream().map(Choice::new).toList();
                    earlier.getItems().setAll(choices);
                    later.getItems().setAll(choices);
                    later.setValue(choice(choices, entry));
                    beside.ifPresent(e -> earlier.setValue(choice(choices, e)));
                    filling = false;
                    if (beside.isEmpty()) {
                        slip.show(List.of(
                                slip.verdict(StopState.OPEN, "ONE ONLY"),
                                Slip.act(
                                        "There is no second one to compare with yet.",
                                        Optional.of("Record another one; then both can be laid side by side."))));
                    } else {
                        compare();
                    }
                });
    }

    private static Choice choice(List<Choice> choices, Entry entry) {
        return choices.stream()
                .filter(choice -> choice.entry().number() == entry.number())
                .findFirst()
                .orElseThrow();
    }

    private void compare() {
        if (filling || earlier.getValue() == null || later.getValue() == null) {
            return;
        }
        Entry one = earlier.getValue().entry();
        Entry two = later.getValue().entry();
        desk.later(() -> desk.logbook().compare(one, two), this::show);
    }

    private void show(Comparison comparison) {
        shown = Optional.of(comparison);
        cards.getChildren()
                .setAll(
                        card(comparison.earlier().at(), "first"),
                        card(comparison.later().at(), "then"));
        rows.getChildren().clear();
        boolean slight = false;
        int number = 0;
        for (Difference difference : comparison.differences()) {
            if (!slight && difference.likelihood() < Difference.SLIGHT) {
                slight = true;
                Label label = Words.label(
                        number == 0 ? "Only what hardly matters differed" : "These hardly matter", "caption");
                label.setPadding(new Insets(12, 0, 4, 0));
                rows.getChildren().add(label);
            }
            rows.getChildren().add(row(difference, number == 0 && !slight));
            number++;
        }
        if (number == 0) {
            rows.getChildren().add(Words.wrapped("Nothing that stands on record differed between them.", "by-hand"));
        }
        showSlip(comparison);
    }

    private Node card(Entry entry, String when) {
        String name = entry.body() instanceof Body.Worked worked
                ? worked.result().outcome().word()
                : words(entry);
        VBox card = new VBox(
                2,
                Words.label(
                        when + ": " + WHEN.format(entry.stamp().local()) + ", "
                                + entry.stamp().by(),
                        "caption"),
                Words.label(name, "machine-name"));
        if (entry.body() instanceof Body.Worked worked) {
            String score = worked.result().outcome().score().isPresent()
                    ? worked.result().outcome().score().getAsInt() + " of 10, "
                    : "";
            card.getChildren().add(Words.label(score + worked.result().stock().kind(), "quiet"));
        }
        card.setMinWidth(180);
        HBox.setHgrow(card, Priority.ALWAYS);
        card.setPrefWidth(300);
        return card;
    }

    private Node row(Difference difference, boolean first) {
        DrawingSurface bar = new DrawingSurface(desk.look());
        bar.show(
                (pen, width, height) -> {
                    double y = height / 2;
                    pen.stroke(Path.rectangle(0.5, y - 6, width - 1, 12), Stroke.of(Tone.HAIRLINE, 1));
                    pen.fill(
                            Path.rectangle(
                                    0.5, y - 6, Math.max(2, (width - 1) * Math.min(1, difference.likelihood())), 12),
                            Tone.WALNUT);
                },
                "likelihood " + Math.round(100 * difference.likelihood()) + " of 100");
        bar.setMinSize(56, 20);
        bar.setMaxSize(56, 20);
        Label label = Words.label(difference.label(), first ? "stand-name" : "bold");
        Label why = Words.label(difference.why(), "caption");
        VBox words = new VBox(1, label, why);
        why.setManaged(!difference.why().isEmpty());
        words.setAlignment(Pos.CENTER_LEFT);
        words.setMinWidth(110);
        words.setPrefWidth(262);
        Label before = Words.label(difference.before().in(desk.units().get()), "quiet");
        Label after = Words.label(difference.after().in(desk.units().get()), first ? "stand-name" : "bold");
        for (Label value : List.of(before, after)) {
            value.setMinWidth(value.getText().length() > 16 ? 60 : Region.USE_PREF_SIZE);
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        DrawingSurface arrow = new DrawingSurface(desk.look());
        arrow.show(
                (pen, width, height) -> {
                    pen.line(2, height / 2, width - 3, height / 2, Stroke.of(Tone.QUIET, 1.4));
                    pen.stroke(
                            new Path()
                                    .move(width - 8, height / 2 - 4)
                                    .line(width - 3, height / 2)
                                    .line(width - 8, height / 2 + 4),
                            Stroke.of(Tone.QUIET, 1.4));
                },
                "became");
        arrow.setMinSize(24, 16);
        arrow.setMaxSize(24, 16);
        HBox row = new HBox(12, bar, words, before, arrow, after, gap);
        link(difference.entryBefore(), row);
        link(
                difference.entryAfter().isPresent() && difference.entryAfter().equals(difference.entryBefore())
                        ? OptionalInt.empty()
                        : difference.entryAfter(),
                row);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("settings-row");
        row.setMinHeight(first ? 58 : 44);
        return row;
    }

    private void link(OptionalInt number, HBox row) {
        number.ifPresent(entry -> {
            Hyperlink link = new Hyperlink("no. " + entry);
            link.setMinWidth(Region.USE_PREF_SIZE);
            link.setId("behind-" + entry);
            link.setAccessibleText("open entry " + entry);
            link.setOnAction(event -> navigator.entry(machineId, entry));
            row.getChildren().add(link);
        });
    }

    private void showSlip(Comparison comparison) {
        List<Node> parts = new ArrayList<>();
        Optional<Difference> first = comparison.differences().stream()
                .findFirst()
                .filter(difference -> difference.likelihood() >= Difference.SLIGHT);
        boolean likely = first.filter(difference -> difference.likelihood() >= Difference.LIKELY)
                .isPresent();
        parts.add(slip.verdict(
                likely ? StopState.NOTE : StopState.UNCLEAR, likely ? "LOOK HERE FIRST" : "NOTHING STANDS OUT"));
        parts.add(first.map(difference -> Slip.act(
                        said(difference),
                        Optional.of(
                                difference.entryBefore().isPresent()
                                        ? "Put it back as it was if you can, and try again with all else alike."
                                        : "Look at it before anything else is changed.")))
                .orElseGet(() -> Slip.act("Look at what is not on record.", Optional.empty())));
        long others = comparison.differences().stream()
                .skip(1)
                .filter(difference -> difference.likelihood() >= Difference.LIKELY)
                .count();
        if (others > 0) {
            parts.add(Slip.quiet(others + (others == 1 ? " other" : " others")
                    + " may matter as well; change one thing at a time."));
        }
        VBox missing = new VBox(4, Words.label("Not on record", "bold"));
        comparison.notOnRecord().stream()
                .limit(14)
                .forEach(words -> missing.getChildren().add(Words.wrapped(words)));
        if (comparison.notOnRecord().isEmpty()) {
            missing.getChildren().add(Words.wrapped("Nothing is missing."));
        } else if (comparison.notOnRecord().size() > 14) {
            missing.getChildren()
                    .add(Words.wrapped("and " + (comparison.notOnRecord().size() - 14) + " more", "quiet"));
        }
        parts.add(missing);
        slip.show(parts);
    }

    private String said(Difference difference) {
        return Words.sentence(
                difference.entryBefore().isEmpty()
                        ? difference.label() + ", " + difference.why()
                        : difference.label() + ": "
                                + difference.before().in(desk.units().get()) + ", then "
                                + difference.after().in(desk.units().get()));
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
    public Optional<String> machineId() {
        return Optional.of(machineId);
    }

    @Override
    public Heading heading() {
        Plate plate = desk.machine(machineId).orElseThrow().plate();
        return new Heading(plate.name(), plate.line(), "What was different?");
    }

    @Override
    public Foot foot() {
        return new Foot(
                "Computed from the entries alone; old findings are taken as they were recorded.",
                false,
                Optional.of(new SimpleStringProperty("each number opens the entry behind it")));
    }

    /** Puts the comparison on the clipboard, as a table. */
    @Override
    public void copy() {
        shown.ifPresent(comparison -> {
            StringBuilder text = new StringBuilder("what\tfirst\tthen\tto know\tlikelihood\n");
            comparison
                    .differences()
                    .forEach(d -> text.append(d.label())
                            .append('\t')
                            .append(d.before().in(desk.units().get()))
                            .append('\t')
                            .append(d.after().in(desk.units().get()))
                            .append('\t')
                            .append(d.why())
                            .append('\t')
                            .append(Math.round(100 * d.likelihood()))
                            .append('\n'));
            comparison
                    .notOnRecord()
                    .forEach(words ->
                            text.append("not on record\t").append(words).append('\n'));
            Clip.put(text.toString());
            desk.tell("The differences are on the clipboard.");
        });
    }

    /** Puts the focus on the choice of the earlier one. */
    @Override
    public void begin() {
        Platform.runLater(earlier::requestFocus);
    }

    private static String words(Entry entry) {
        if (entry.body() instanceof Body.Worked worked) {
            return worked.result().stock().kind() + ", "
                    + worked.result().outcome().word();
        } else if (entry.body() instanceof Body.Measured measured) {
            return Catalogue.title(measured.procedure()) + ", "
                    + measured.shown().keyFigure();
        }
        return Catalogue.title(entry.body().stop());
    }
}
