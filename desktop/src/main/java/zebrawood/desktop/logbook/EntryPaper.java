package zebrawood.desktop.logbook;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.Unread;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.safety.ServiceFiring;
import zebrawood.core.work.StartCheck;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.machine.PlateField;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Printing;
import zebrawood.kit.view.Slip;
import zebrawood.kit.view.Words;

/** An opened entry, shown from its bytes exactly as it was shown when it was recorded. */
final class EntryPaper extends BorderPane {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    /** characters of an entry that is not known here: more is not read on a screen */
    private static final int LONGEST_RAW = 4_000;

    private final Desk desk;
    private final String machine;
    private final Entry entry;
    private final boolean narrow;

    /** What surrounds an entry. */
    record Around(String machine, Optional<Entry> correctedBy, String previous, boolean narrow, Acts acts) {}

    /** What can be done with an entry. */
    record Acts(Runnable correct, Runnable difference, Optional<Runnable> close) {}

    EntryPaper(Desk desk, Entry entry, Around around) {
        this.desk = desk;
        this.machine = around.machine();
        this.entry = entry;
        this.narrow = around.narrow();
        getStyleClass().addAll("paper", "slip-shade");
        setId("entry-paper");
        VBox top = new VBox(8, head(), notes(around));
        setTop(top);
        VBox whole = new VBox(18, content());
        if (!entry.attachments().isEmpty() && !(entry.body() instanceof Body.Worked)) {
            whole.getChildren().add(new Attached(desk, entry.attachments()));
        }
        ScrollPane scroll = new ScrollPane(whole);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        setCenter(scroll);
        BorderPane.setMargin(scroll, new Insets(14, 0, 10, 0));
        setBottom(foot(around));
    }

    private Node head() {
        Label word =
                Words.label(EntryWords.word(entry), "verdict", Slip.toneStyle(Shapes.tone(EntryWords.shape(entry))));
        Label what = Words.label(EntryWords.title(entry) + "  ·  " + machine, "by-hand");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label when = Words.label(
                "no. " + entry.number() + "  ·  " + WHEN.format(entry.stamp().local()) + " UTC"
                        + (entry.stamp().zone().getTotalSeconds() == 0
                                ? ""
                                : entry.stamp().zone().getId()) + "  ·  "
                        + entry.stamp().by(),
                "quiet");
        word.setMinWidth(Region.USE_PREF_SIZE);
        what.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(10, Slip.mark(desk.look(), EntryWords.shape(entry), 28), word, what, gap, when);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private Node notes(Around around) {
        List<String> notes = new ArrayList<>();
        entry.corrects().ifPresent(c -> notes.add("Corrects no. " + c.number() + ": " + c.why() + "."));
        around.correctedBy()
                .ifPresent(later -> notes.add("Corrected by no. " + later.number() + " of "
                        + WHEN.format(later.stamp().local()) + "; it no longer counts."));
        if (entry.body() instanceof Body.Measured measured) {
            notes.add("Judged by the limits of that day: " + measured.shown().judgedBy() + ".");
        }
        notes.add("Program " + entry.stamp().program() + ".");
        if (!entry.unknown().isEmpty()) {
            notes.add("That program put in what this one does not know: " + String.join(", ", entry.unknown()) + ".");
        }
        return Words.wrapped(String.join(" ", notes), "quiet");
    }

    private Node content() {
        if (entry.body() instanceof Body.Measured measured) {
            return Catalogue.findStop(measured.procedure())
                    .filter(stop -> measured.isRead())
                    .<Node>map(stop -> measured(stop, measured))
                    .orElseGet(() -> unread(measured));
        } else if (entry.body() instanceof Body.GateLine line) {
            VBox box = new VBox(
                    10,
                    Words.wrapped(line.title(), "act"),
                    Words.wrapped(
                            line.lifted() ? "Seen to be so." : "Seen not to be so; the bar stays in hand.", "by-hand"));
            if (!line.remark().isEmpty()) {
                box.getChildren().add(Words.wrapped(line.remark(), "by-hand"));
            }
            line.tested().ifPresent(tested -> {
                box.getChildren()
                        .add(narrowed(tested.seen().stream()
                                .map(seen -> new Body.Pair(seen.words(), seen.answer()))
                                .toList()));
                tested.failedBefore()
                        .forEach(how -> box.getChildren().add(Words.wrapped("Not so before: " + how, "by-hand")));
                tested.second()
                        .ifPresent(who -> box.getChildren().add(Words.wrapped("Seen by " + who + " too.", "by-hand")));
            });
            return box;
        } else if (entry.body() instanceof Body.Happened happened) {
            VBox box = new VBox(
                    10,
                    Words.wrapped(
                            happened.change().title() + (happened.remark().isEmpty() ? "" : ": " + happened.remark()),
                            "act"));
            happened.cleaning()
                    .ifPresent(cleaning -> box.getChildren()
                            .add(narrowed(List.of(
                                    new Body.Pair("surface", cleaning.surface()),
                                    new Body.Pair("on it", orNone(cleaning.residue())),
                                    new Body.Pair("damage that stays", orNone(cleaning.damage())),
                                    new Body.Pair("out of its seat", cleaning.takenOut() ? "yes" : "no")))));
            return box;
        } else if (entry.body() instanceof Body.Worked worked) {
            return WorkPaper.of(desk, worked, entry.attachments(), narrow);
        } else if (entry.body() instanceof Body.PointOpened point) {
            return new VBox(
                    10,
                    Words.wrapped(point.what(), "act"),
                    Words.wrapped(
                            (point.who().isEmpty() ? "" : "To be done by " + point.who() + ". ")
                                    + point.due()
                                            .map(due -> "By " + DAY.format(due) + ".")
                                            .orElse("No day was set."),
                            "by-hand"));
        } else if (entry.body() instanceof Body.PointClosed closed) {
            return new VBox(
                    10,
                    Words.wrapped(closed.how(), "act"),
                    Words.wrapped("Closes no. " + closed.opened() + ": " + closed.what() + ".", "by-hand"));
        }
        if (entry.body() instanceof Body.Started started) {
            StartCheck check = started.check();
            VBox box = new VBox(
                    10,
                    Words.wrapped(check.isRight() ? "All was right." : "Not started: something was not right.", "act"),
                    Words.wrapped(check.stays() + " stays with it from start to end.", "by-hand"));
            check.lines()
                    .forEach(line -> box.getChildren()
                            .add(Words.wrapped(
                                    (line.right() ? "Right: " : "Not right: ")
                                            + line.words()
                                            + (line.remark().isEmpty() ? "" : " " + line.remark()),
                                    line.right() ? "plain" : "bold")));
            return box;
        }
        if (entry.body() instanceof Body.ServiceBegun begun) {
            ServiceFiring service = begun.service();
            VBox box = new VBox(
                    10,
                    Words.wrapped("Service firing by " + service.who() + ", " + service.minutes() + " minutes.", "act"),
                    Words.wrapped(
                            "Open: " + String.join(", ", service.open()) + ". " + service.keeps()
                                    + " keeps others out. It ends when covers and interlock are tested again.",
                            "by-hand"));
            service.confirmed().forEach(line -> box.getChildren().add(Words.wrapped("Confirmed: " + line, "plain")));
            return box;
        }
        if (entry.body() instanceof Body.EyewearSeen seen) {
            EyewearPair pair = seen.pair();
            String window = pair.window()
                    .map(id -> " The window of "
                            + desk.machine(id).map(of -> of.plate().name()).orElse(id) + ".")
                    .orElse("");
            return new VBox(
                    10,
                    Words.wrapped(pair.name() + ": " + EntryWords.marked(pair), "act"),
                    Words.wrapped("Found " + pair.condition().words() + "." + window, "by-hand"),
                    Words.wrapped(pair.remark(), "by-hand"));
        }
        if (entry.body() instanceof Body.Foreign foreign) {
            return new VBox(
                    10,
                    Words.wrapped("This program does not know such an entry.", "act"),
                    Words.wrapped(
                            "It is kept, counted, exported and imported as it is. Update the program to read it; "
                                    + "here is what it says.",
                            "by-hand"),
                    raw(foreign.json()));
        }
        Body.PlateSet plate = (Body.PlateSet) entry.body();
        List<Body.Pair> pairs = new ArrayList<>();
        for (Map.Entry<String, String> typed : new TreeMap<>(plate.asTyped()).entrySet()) {
            pairs.add(new Body.Pair(PlateField.label(typed.getKey()), typed.getValue()));
        }
        return new VBox(
                12, Words.wrapped(plate.plate().name() + ", " + plate.plate().line(), "act"), narrowed(pairs));
    }

    private static Node narrowed(List<Body.Pair> pairs) {
        VBox box = new VBox(Slip.evidence(pairs));
        box.setMaxWidth(520);
        return box;
    }

    private static String orNone(String words) {
        return words.isBlank() ? "none" : words;
    }

    /**
     * A reading whose procedure, or parts of it, only another program knows: the words of its day and the readings as
     * they stand.
     */
    private static Node unread(Body.Measured measured) {
        VBox words = new VBox(10);
        measured.shown()
                .sentences()
                .forEach(sentence -> words.getChildren()
                        .add(Words.wrapped(sentence, words.getChildren().isEmpty() ? "title" : "by-hand")));
        words.getChildren().add(narrowed(measured.shown().evidence()));
        words.getChildren()
                .add(Words.wrapped(
                        "Only another program knows this stop. Its readings, as they stand in the entry:", "quiet"));
        words.getChildren().add(raw(measured.readings() instanceof Unread unread ? unread.json() : ""));
        return words;
    }

    private static Node raw(String json) {
        return Words.wrapped(
                json.length() > LONGEST_RAW ? json.substring(0, LONGEST_RAW) + " and more; Copy takes all of it" : json,
                "mono");
    }

    private Node measured(Stop<?, ?> stop, Body.Measured measured) {
        VBox words = new VBox(10);
        if (!measured.instructions().isEmpty()) {
            String action =
                    measured.instructions().get(0).action().in(measured.shown().units());
            words.getChildren().add(Words.wrapped(action, "title"));
            String whole = measured.shown().sentences().get(0);
            String rest =
                    whole.substring(Math.min(whole.length(), action.length())).strip();
            if (!rest.isEmpty()) {
                words.getChildren().add(Words.wrapped(rest));
            }
        }
        measured.shown().sentences().stream()
                .skip(1)
                .forEach(sentence -> words.getChildren().add(Words.wrapped(sentence)));
        words.getChildren().add(Slip.evidence(measured.shown().evidence()));
        DrawingSurface drawing = new DrawingSurface(desk.look()).withMenu();
        drawing.show(
                stop.figure(measured, measured.shown().units()), stop.exhibit().title());
        drawing.setMinHeight(260);
        drawing.setPrefHeight(300);
        VBox left = new VBox(16, words, drawing);
        HBox.setHgrow(left, Priority.ALWAYS);
        left.setMinWidth(200);
        left.setPrefWidth(360);
        Node table = table(stop.table(measured, measured.shown().units()));
        return narrow ? new VBox(20, left, table) : new HBox(24, left, table);
    }

    private static Node table(Exhibit.Table table) {
        GridPane grid = new GridPane();
        grid.setHgap(16);
        grid.setVgap(5);
        grid.setMinWidth(Region.USE_PREF_SIZE);
        for (int column = 0; column < table.heads().size(); column++) {
            Label head = Words.label(table.heads().get(column), "caption");
            boolean first = column == 0;
            GridPane.setHalignment(head, first ? HPos.LEFT : HPos.RIGHT);
            grid.add(head, column, 0);
        }
        Region rule = Words.rule();
        grid.add(rule, 0, 1, table.heads().size(), 1);
        int row = 2;
        for (List<String> cells : table.rows()) {
            for (int column = 0; column < cells.size(); column++) {
                Label cell = Words.label(cells.get(column));
                cell.getStyleClass().add(column == table.read() ? "reading" : "quiet");
                GridPane.setHalignment(cell, column == 0 ? HPos.LEFT : HPos.RIGHT);
                grid.add(cell, column, row);
            }
            row++;
        }
        return grid;
    }

    private Node foot(Around around) {
        Label hash = Words.label(
                shortened(entry.place().hash())
                        + (entry.number() == 1 ? "" : "   after " + shortened(around.previous())),
                "mono",
                "quiet");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(
                14,
                hash,
                gap,
                link("Copy", "entry-copy", this::copy),
                link("Print", "entry-print", () -> Printing.print(this)));
        if (entry.body() instanceof Body.Worked
                || entry.body() instanceof Body.Measured measured && measured.isRead()) {
            row.getChildren()
                    .add(link(
                            "What was different?",
                            "entry-difference",
                            around.acts().difference()));
        }
        boolean correctable = entry.isWhollyKnown()
                && !(entry.body() instanceof Body.PlateSet)
                && !(entry.body() instanceof Body.PointClosed)
                && !(entry.body() instanceof Body.ServiceBegun)
                && !(entry.body() instanceof Body.GateLine line && !line.lifted());
        if (correctable && around.correctedBy().isEmpty()) {
            row.getChildren()
                    .add(link("Correct it", "entry-correct", around.acts().correct()));
        }
        around.acts().close().ifPresent(close -> row.getChildren().add(link("Close it", "entry-close", close)));
        row.setAlignment(Pos.CENTER_LEFT);
        return new VBox(8, Words.rule(), row);
    }

    /** The entry's words and readings, tab-separated, on the clipboard. */
    private void copy() {
        StringBuilder text = new StringBuilder(EntryWords.title(entry) + "\t" + machine + "\tno. " + entry.number()
                + "\t" + WHEN.format(entry.stamp().local()) + "\t"
                + entry.stamp().by() + "\n");
        if (entry.body() instanceof Body.Measured measured) {
            text.append(measured.verdict()).append('\n');
            measured.shown()
                    .sentences()
                    .forEach(sentence -> text.append(sentence).append('\n'));
            measured.shown()
                    .evidence()
                    .forEach(pair -> text.append(pair.label())
                            .append('\t')
                            .append(pair.figure())
                            .append('\n'));
            if (measured.readings() instanceof Unread unread) {
                text.append(unread.json()).append('\n');
            }
            Catalogue.findStop(measured.procedure())
                    .filter(stop -> measured.isRead())
                    .ifPresent(stop -> {
                        text.append(
                                stop.table(measured, measured.shown().units()).text());
                    });
        } else if (entry.body() instanceof Body.Foreign foreign) {
            text.append(foreign.json()).append('\n');
        } else {
            text.append(EntryWords.detail(entry)).append('\n');
        }
        text.append(entry.place().hash()).append('\n');
        Clip.put(text.toString());
    }

    private static Hyperlink link(String word, String id, Runnable action) {
        Hyperlink link = new Hyperlink(word);
        link.setId(id);
        link.setMinWidth(Region.USE_PREF_SIZE);
        link.setOnAction(event -> action.run());
        return link;
    }

    private static String shortened(String hash) {
        return hash.length() < 12
                ? hash
                : hash.substring(0, 4) + " " + hash.substring(4, 8) + " ... " + hash.substring(hash.length() - 4);
    }
}
