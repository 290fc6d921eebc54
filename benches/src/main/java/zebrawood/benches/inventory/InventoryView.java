package zebrawood.benches.inventory;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.inventory.InventoryFinding;
import zebrawood.core.inventory.InventoryReadings;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** The list, heading by heading; after it the tray and the fibre. */
final class InventoryView extends VBox {

    private static final double FIBRE = 190;

    private final BenchPlace place;
    private final Draft draft;
    private final LookedFor looked;
    private final Label head = Words.label("", "head");
    private final VBox list = new VBox(2);
    private final ScrollPane scroll = new ScrollPane(list);
    private final VBox rowsBox = new VBox(2);
    private final List<ReadingField> fields = new ArrayList<>();
    private final List<TextField> tray = new ArrayList<>();
    private final Optional<DrawingSurface> bend;
    private List<InventoryRow> rows = List.of();
    private List<PartsList.Line> lines = List.of();
    private KeyCode down = KeyCode.UNDEFINED;
    /** whether a key is held down: it answers one line, not all of them */
    private boolean held;

    InventoryView(BenchPlace place, LookedFor looked, boolean hasFibre) {
        super(4);
        setPadding(new Insets(12, 12, 8, 24));
        this.place = place;
        this.looked = looked;
        draft = place.draft();
        bend = hasFibre ? Optional.of(new DrawingSurface(place.workplace().look())) : Optional.empty();
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren()
                .addAll(
                        head,
                        Words.wrapped(
                                "Space: right. M: missing, or not so. D: damaged. N: this machine has none. Mains off, "
                                        + "plug pulled.",
                                "caption"));
        looked.problem().ifPresent(problem -> getChildren().add(Words.wrapped(problem, "problem")));
        getChildren().add(scroll);
        list.getChildren().addAll(rowsBox, added(), heading("Tray: which screw came from where"), tray());
        bend.ifPresent(drawing ->
                list.getChildren().addAll(heading("Delivery fibre: its tightest bend, to scale"), fibre(drawing)));
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        addEventFilter(KeyEvent.KEY_RELEASED, event -> down = KeyCode.UNDEFINED);
        addEventFilter(KeyEvent.KEY_TYPED, event -> {
            if (held && event.getTarget() instanceof InventoryRow) {
                event.consume();
            }
        });
        draft.onChange(this::follow);
        follow();
    }

    private static Label heading(String words) {
        Label label = Words.label(words, "stage");
        label.getStyleClass().add("stage-head");
        return label;
    }

    /** A part that no list names. */
    private Node added() {
        TextField field = new TextField();
        field.setId("another-part");
        field.setPromptText("another part: type its name, then Enter");
        field.setAccessibleText(field.getPromptText());
        field.setMaxWidth(420);
        Words.follow(field);
        field.setOnAction(event -> {
            String name = field.getText().strip();
            boolean known = looked.lines().stream().anyMatch(line -> line.name().equals(name));
            if (!name.isEmpty() && !known) {
                List<PartsList.Line> more = new ArrayList<>(looked.lines());
                more.add(new PartsList.Line("Besides", name, InventoryReadings.Sort.PART));
                draft.type(LookedFor.LIST, LookedFor.kept(more), UnitChoice.METRIC);
                field.clear();
                rows.get(rows.size() - 1).requestFocus();
            }
        });
        return field;
    }

    private Node tray() {
        FlowPane places = new FlowPane(8, 6);
        for (int number = 1; number <= InventoryReadings.PLACES; number++) {
            String name = InventoryBench.tray(number);
            TextField field = new TextField();
            field.setId(name);
            field.setAccessibleText("screws in place " + number + " came from");
            field.setPrefWidth(150);
            Words.follow(field);
            field.textProperty().addListener((value, before, now) -> {
                if (!now.equals(draft.text(name))) {
                    draft.type(name, now, UnitChoice.METRIC);
                }
            });
            tray.add(field);
            places.getChildren().add(new VBox(1, Words.label("place " + number, "caption"), field));
        }
        for (int i = 0; i + 1 < tray.size(); i++) {
            TextField after = tray.get(i + 1);
            tray.get(i).setOnAction(event -> after.requestFocus());
        }
        return places;
    }

    private Node fibre(DrawingSurface drawing) {
        fields.add(new ReadingField(InventoryBench.FIELDS.field(InventoryBench.TIGHTEST)));
        fields.add(new ReadingField(InventoryBench.FIELDS.field(InventoryBench.LEAST)));
        fields.forEach(field -> field.tie(draft, place.workplace().units()));
        ReadingField.enterGoesThrough(fields);
        FlowPane both = new FlowPane(16, 8);
        both.getChildren().addAll(fields);
        drawing.setMinHeight(FIBRE);
        drawing.setPrefHeight(FIBRE);
        return new VBox(6, both, drawing);
    }

    List<ReadingField> fields() {
        return fields;
    }

    /** Rows anew where the lines are others; else only what they say. */
    private void follow() {
        if (!looked.lines().equals(lines)) {
            lines = looked.lines();
            rows = lines.stream()
                    .map(line -> new InventoryRow(place.workplace(), line, draft, this::goOn))
                    .toList();
            rowsBox.getChildren().clear();
            String group = "";
            for (InventoryRow row : rows) {
                if (!row.line().group().equals(group)) {
                    group = row.line().group();
                    rowsBox.getChildren().add(heading(group));
                }
                rowsBox.getChildren().add(row);
            }
        }
        rows.forEach(InventoryRow::follow);
        for (int i = 0; i < tray.size(); i++) {
            String said = draft.text(InventoryBench.tray(i + 1));
            if (!tray.get(i).getText().equals(said)) {
                tray.get(i).setText(said);
            }
        }
    }

    Optional<PartsList.Line> firstOpen() {
        return rows.stream().filter(InventoryRow::isOpen).findFirst().map(InventoryRow::line);
    }

    Optional<Node> firstOpenRow() {
        return rows.stream().filter(InventoryRow::isOpen).findFirst().map(row -> (Node) row);
    }

    /** To the next line that is open; the last one stays. */
    private void goOn() {
        Node owner = getScene() == null ? null : getScene().getFocusOwner();
        int at = 0;
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i) == owner || owner != null && owner.getParent() == rows.get(i)) {
                at = i;
            }
        }
        for (int step = 1; step <= rows.size(); step++) {
            InventoryRow row = rows.get((at + step) % rows.size());
            if (row.isOpen()) {
                row.requestFocus();
                reveal(row);
                return;
            }
        }
    }

    private void reveal(Node row) {
        double all = list.getHeight() - scroll.getViewportBounds().getHeight();
        double at =
                row.getBoundsInParent().getMinY() - scroll.getViewportBounds().getHeight() / 2;
        scroll.setVvalue(all <= 0 ? 0 : Math.max(0, Math.min(1, at / all)));
    }

    private void pressed(KeyEvent event) {
        held = event.getCode() == down;
        down = event.getCode();
        int by = event.getCode() == KeyCode.DOWN ? 1 : event.getCode() == KeyCode.UP ? -1 : 0;
        int at = event.getTarget() instanceof InventoryRow row ? rows.indexOf(row) : -1;
        if (by != 0 && at >= 0 && at + by >= 0 && at + by < rows.size()) {
            rows.get(at + by).requestFocus();
            reveal(rows.get(at + by));
            event.consume();
        }
    }

    void show(Showing<InventoryReadings, InventoryFinding> now) {
        long open = rows.stream().filter(InventoryRow::isOpen).count();
        head.setText(
                open == 0
                        ? now.finding()
                                .filter(found -> !found.lacks().isEmpty())
                                .map(found -> found.lacks().size() == 1
                                        ? "One line is not right"
                                        : found.lacks().size() + " lines are not right")
                                .orElse("All lines are looked at")
                        : open == rows.size()
                                ? rows.size() + " lines to look at, before anything is switched on"
                                : open + " of " + rows.size() + " lines to go");
        // what is recorded is only looked at, and stays as black as what is being written
        rowsBox.setMouseTransparent(!now.measuring());
        rows.forEach(row -> row.takes(now.measuring()));
        tray.forEach(field -> field.setEditable(now.measuring()));
        bend.ifPresent(drawing -> drawing.show(
                InventoryFigure.bend(now.readings().flatMap(InventoryReadings::fibre), place.units()),
                "the tightest bend of the fibre beside what its maker allows"));
    }
}
