package zebrawood.desktop.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.figure.Figure;
import zebrawood.desktop.figure.Path;

/** What most benches look like: what it is about, the thing drawn large, and the fields under it in the order in which one measures. */
public final class DrawnForm extends Pane {

    private static final double CELL = 74;
    private static final double NARROWEST = 138;
    private static final double NARROWEST_OVER_ROWS = 112;
    private static final double NARROW = 76;
    private static final double EDGE = 24;
    private static final double ROW = 38;
    private static final double TOP = 60;
    private static final double LOWEST = 420;
    private static final double LOWEST_DRAWING = 170;
    private static final int LINE = 2;
    private static final int MANY = 12;
    private static final double ROW_HEAD = 20;
    private static final double MESSAGE = 18;

    private final BenchPlace place;
    private final Heading heading;
    private final DrawingSurface drawing;
    private final List<Cell> cells = new ArrayList<>();
    private final List<ReadingField> fields = new ArrayList<>();
    private final NamedFields named = new NamedFields();
    /** amounts that stand in empty fields, in the units that are shown */
    private final Map<ReadingField, Amount> prompts = new LinkedHashMap<>();
    private final List<ChoiceField> choices = new ArrayList<>();
    private final Label message = Words.label("", "problem");
    private final List<Row> rows = new ArrayList<>();
    private List<Column> columns = List.of();
    private List<Label> heads = List.of();
    private boolean narrow;
    private final List<TimedStep> steps = new ArrayList<>();
    private final List<Pin> pins = new ArrayList<>();

    private record Cell(Label label, Node field, boolean wide) {}

    private record Pin(Node node, Placing placing) {}

    /** Where in the drawing something stands that is typed or pressed there. */
    public interface Placing {
        Path.Box in(double width, double height);
    }

    private record Row(List<Node> fields) {}

    /**
     * What stands under each other in the rows of a list.
     *
     * @param name of the component in the readings
     * @param title above it
     * @param quantity of an amount; {@code PLAIN} for words
     * @param choices the few words there are, where it is no field to type in
     */
    public record Column(String name, String title, Quantity quantity, List<ChoiceField.Choice> choices) {
        public static Column of(String name, String title, Quantity quantity) {
            return new Column(name, title, quantity, List.of());
        }
    }

    public DrawnForm(BenchPlace place, String caption) {
        this.place = place;
        drawing = new DrawingSurface(place.desk().look()).withMenu();
        heading = new Heading(caption);
        message.setId("message");
        getChildren().addAll(heading, drawing, message);
    }

    /** Cells that hold few digits, so that many of them find place beside each other. */
    public void narrow() {
        narrow = true;
    }

    /** A field for an amount, after those that are there. */
    public ReadingField amount(String name, String title, Quantity quantity) {
        named.amount(name, quantity, OptionalDouble.empty());
        return field(name, title, quantity, "");
    }

    /** The same; where it is left empty, something is usual, and said in it. */
    public ReadingField amount(String name, String title, Quantity quantity, String usual) {
        named.amount(name, quantity, OptionalDouble.empty());
        return field(name, title, quantity, usual);
    }

    /** The same; where it is left empty, what is known already counts as if it had been typed. */
    public ReadingField amount(String name, String title, Quantity quantity, Optional<Amount> known) {
        named.amount(name, quantity, known.stream().mapToDouble(Amount::base).findFirst());
        ReadingField field = field(name, title, quantity, "");
        known.ifPresent(amount -> prompts.put(field, amount));
        return field;
    }

    /** The same; where it is left empty, this amount is usual. */
    public ReadingField amount(String name, String title, Quantity quantity, Amount usual) {
        ReadingField field = amount(name, title, quantity);
        prompts.put(field, usual);
        return field;
    }

    /** A field for a length that stands in metres in the readings. */
    public ReadingField metres(String name, String title, String usual) {
        named.metres(name);
        return field(name, title, Quantity.LENGTH, usual);
    }

    private ReadingField field(String name, String title, Quantity quantity, String usual) {
        ReadingField field = new ReadingField(name, title, quantity);
        field.field().setPromptText(usual);
        fields.add(field);
        add(title, field);
        return field;
    }

    /** A field for an amount that stands in the drawing, where it is measured. */
    public ReadingField pinned(String name, String title, Quantity quantity, Placing placing) {
        ReadingField field = new ReadingField(name, title, quantity).bare();
        fields.add(field);
        pin(field, placing);
        return field;
    }

    /** Something to press that stands in the drawing. */
    public void pin(Node node, Placing placing) {
        pins.add(new Pin(node, placing));
        getChildren().add(node);
    }

    /** The drawing, for what is pinned to it. */
    public Region drawing() {
        return drawing;
    }

    /** A field for words, after those that are there. */
    public ReadingField text(String name, String title) {
        named.words(name);
        return field(name, title, Quantity.PLAIN, "");
    }

    /** A field for a longer text, which takes what is left of its line. */
    public ReadingField line(String name, String title, String usual) {
        ReadingField field = new ReadingField(name, title, Quantity.PLAIN);
        field.field().setPromptText(usual);
        fields.add(field);
        add(title, field, true);
        return field;
    }

    /** A field for what was looked at and is so or not. */
    public ChoiceField truth(String name, String title, String notSeen, String yes, String no) {
        ChoiceField choice = choice(name, title, List.of(new ChoiceField.Choice("", notSeen), new ChoiceField.Choice(ChoiceField.YES, yes), new ChoiceField.Choice(ChoiceField.NO, no)));
        named.truth(name);
        return choice;
    }

    /** These fields do not stand as they are in the readings: the bench puts them there. */
    public void own(String... names) {
        named.without(List.of(names));
    }

    /** These are read anew each time: what they were the last time is not filled in. */
    public void anew(String... names) {
        named.anew(List.of(names));
    }

    /** Puts the fields into the readings, each under its own name. */
    public void assemble(Sheet sheet) {
        named.assemble(sheet);
    }

    /** The texts that give readings again, as far as the fields stand in them under their own names. */
    public Map<String, Draft.Text> texts(Record readings, Map<String, String> asTyped, boolean whole) {
        return named.texts(readings, asTyped, whole);
    }

    /** A field for one of a few words. */
    public ChoiceField choice(String name, String title, List<ChoiceField.Choice> offered) {
        ChoiceField choice = new ChoiceField(name, title, offered);
        choice.tie(place.draft());
        choice.getStyleClass().add("tight");
        choices.add(choice);
        named.choice(choice);
        add(title, choice);
        enterGoesOn(choice);
        return choice;
    }

    /**
     * Something to be watched for some minutes, and beside it what was seen.
     *
     * @param seen nothing yet, then what is good, then what is not
     */
    public void timed(String name, String title, int minutes, List<ChoiceField.Choice> seen) {
        TimedStep step = new TimedStep(name, title, minutes, place);
        steps.add(step);
        add(title, step);
        step.answeredBy(choice(name, "then", seen), seen.get(1).id());
        own(name);
    }

    /** Enter on a choice goes on to what comes after it, as it does on a field. */
    private void enterGoesOn(ChoiceField choice) {
        choice.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isShortcutDown() && !choice.isShowing()) {
                Stream.concat(cells.stream().map(Cell::field), rows.stream().flatMap(row -> row.fields().stream()))
                        .dropWhile(field -> field != choice).skip(1).filter(Node::isVisible).findFirst()
                        .ifPresent(next -> {
                            event.consume();
                            (next instanceof ReadingField amount ? amount.field() : next).requestFocus();
                        });
            }
        });
    }

    /** Rows for a list under the fields, a field named {@code list[row].name} a column; one more than is filled is shown. */
    public void rows(String list, int most, List<Column> of) {
        columns = of;
        heads = of.stream().map(column -> Words.wrapped(column.title(), "small")).toList();
        getChildren().addAll(heads);
        for (int i = 0; i < most; i++) {
            List<Node> row = new ArrayList<>();
            for (Column column : of) {
                String name = list + "[" + i + "]." + column.name();
                if (column.choices().isEmpty()) {
                    ReadingField field = new ReadingField(name, column.title() + ", row " + (i + 1), column.quantity()).bare();
                    fields.add(field);
                    row.add(field);
                } else {
                    ChoiceField choice = new ChoiceField(name, column.title() + ", row " + (i + 1), column.choices());
                    choice.tie(place.draft());
                    choice.getStyleClass().add("tight");
                    choices.add(choice);
                    enterGoesOn(choice);
                    row.add(choice);
                }
            }
            rows.add(new Row(row));
            getChildren().addAll(row);
        }
    }

    /** Which rows something is typed in. */
    public List<Integer> filledRows() {
        return IntStream.range(0, rows.size()).filter(this::isFilled).boxed().toList();
    }

    private boolean isFilled(int row) {
        return rows.get(row).fields().stream()
                .anyMatch(field -> field instanceof ReadingField amount && !place.draft().text(amount.name()).isBlank());
    }

    /** What is chosen in a column of a row, as it stands in the readings. */
    public String chosen(int row, int column) {
        return ((ChoiceField) rows.get(row).fields().get(column)).chosen();
    }

    private void add(String title, Node field) {
        add(title, field, false);
    }

    private void add(String title, Node field, boolean wide) {
        Label label = Words.label(title, "small");
        label.setLabelFor(field);
        cells.add(new Cell(label, field, wide));
        getChildren().addAll(label, field);
    }

    public List<ReadingField> fields() {
        return List.copyOf(fields);
    }

    /**
     * Shows what there is.
     *
     * @param head what it is about, as a sentence
     * @param inWords what the drawing shows, for who cannot see it
     */
    public void show(String head, Figure figure, String inWords, Showing<?, ?> now) {
        heading.show(head);
        UnitChoice units = place.desk().units().get();
        prompts.forEach((field, amount) -> field.field().setPromptText(amount.number(units)));
        drawing.show(figure, inWords);
        choices.forEach(choice -> choice.setDisable(!now.measuring()));
        steps.forEach(step -> step.setDisable(!now.measuring()));
        if (!rows.isEmpty()) {
            message.setText(Stream.concat(rows.stream().flatMap(row -> row.fields().stream()), pins.stream().map(Pin::node))
                    .filter(field -> field instanceof ReadingField amount && now.sheet().problems().containsKey(amount.name()))
                    .findFirst()
                    .map(field -> ((ReadingField) field).title() + ": " + now.sheet().problems().get(((ReadingField) field).name()))
                    .map(Words::sentence)
                    .orElse(""));
            List<Integer> filled = filledRows();
            int shown = Math.min(rows.size(), (filled.isEmpty() ? 0 : filled.get(filled.size() - 1) + 1) + (now.measuring() ? 1 : 0));
            for (int i = 0; i < rows.size(); i++) {
                for (Node field : rows.get(i).fields()) {
                    field.setVisible(i < shown);
                    if (field instanceof ReadingField amount) {
                        amount.field().setVisible(i < shown);
                    }
                }
            }
            requestLayout();
        }
    }

    /** The first field in which nothing stands, of those that are named; else the first of all. */
    public String firstEmpty(List<ReadingField> needed) {
        return needed.stream().filter(field -> place.draft().text(field.name()).isBlank()).findFirst().orElse(fields.get(0)).title();
    }

    /** Never so low that rows cover the drawing: then the page scrolls. */
    @Override
    protected double computeMinHeight(double width) {
        long shown = rows.stream().filter(row -> row.fields().get(0).isVisible()).count();
        return rows.isEmpty() ? LOWEST : Math.max(LOWEST, TOP + LOWEST_DRAWING + 2 * CELL + ROW_HEAD + MESSAGE + ROW * shown + 14);
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double begin = heading.layOut(width);
        double narrowest = narrow ? NARROW : this.rows.isEmpty() && cells.size() <= MANY ? NARROWEST : NARROWEST_OVER_ROWS;
        boolean line = cells.stream().anyMatch(Cell::wide);
        int most = (int) Math.max(2, Math.floor((width - 2 * EDGE + 12) / (narrowest + 12)));
        int count = line ? cells.size() + LINE - 1 : cells.size();
        int columns = Math.min(count, most);
        int rows = (count + columns - 1) / columns;
        columns = (count + rows - 1) / rows;
        double rowHead = rowHead(width - 2 * EDGE);
        double under = this.rows.isEmpty() ? 0 : rowHead + MESSAGE + ROW * this.rows.stream().filter(row -> row.fields().get(0).isVisible()).count();
        double top = getHeight() - rows * CELL - under - 4;
        double each = Math.min(210, (width - 2 * EDGE + 12) / columns);
        drawing.resizeRelocate(EDGE, begin, width - 2 * EDGE, Math.max(120, top - begin - 10));
        for (int i = 0; i < cells.size(); i++) {
            double x = EDGE + i % columns * each;
            double y = top + i / columns * CELL;
            double wide = cells.get(i).wide() ? (columns - i % columns) * each - 12 : each - 12;
            cells.get(i).label().resizeRelocate(x, y, wide, 18);
            Node field = cells.get(i).field();
            field.resizeRelocate(x, y + 19, wide, field instanceof ChoiceField || field instanceof TimedStep ? 34 : field.prefHeight(each - 12));
        }
        layoutRows(top + rows * CELL, width - 2 * EDGE, rowHead);
        for (Pin pin : pins) {
            Path.Box box = pin.placing().in(drawing.getWidth(), drawing.getHeight());
            pin.node().resizeRelocate(EDGE + box.x(), begin + box.y(), box.width(), box.height());
        }
    }

    /** How high the titles over the rows are: over more lines where columns are narrow. */
    private double rowHead(double width) {
        double each = rowWide(width);
        return heads.stream().mapToDouble(head -> Words.tall(head, each - 12)).max().orElse(0) + 3;
    }

    private double rowWide(double width) {
        return Math.min(210, (width + 12) / Math.max(1, columns.size()));
    }

    private void layoutRows(double top, double width, double rowHead) {
        if (rows.isEmpty()) {
            return;
        }
        double each = rowWide(width);
        for (int column = 0; column < columns.size(); column++) {
            heads.get(column).resizeRelocate(EDGE + column * each, top, each - 12, rowHead - 3);
            for (int row = 0; row < rows.size(); row++) {
                rows.get(row).fields().get(column).resizeRelocate(EDGE + column * each, top + rowHead + row * ROW, each - 12, 34);
            }
        }
        message.resizeRelocate(EDGE, getHeight() - MESSAGE - 2, width, 16);
    }
}
