package zebrawood.kit.form;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Words;
import zebrawood.kit.view.Workplace;

/**
 * What most benches look like: what it is about, the thing drawn large, and the fields of a list under it or in it, in
 * the order in which one measures.
 */
public final class DrawnForm extends Pane {

    private final Workplace workplace;
    private final Draft draft;
    private final FieldList list;
    private final Map<String, Amount> known;
    private final Heading heading;
    private final DrawingSurface drawing;
    private final Label message = Words.label("", "problem");
    private final List<Cell> cells = new ArrayList<>();
    private final Map<String, ReadingField> typed = new LinkedHashMap<>();
    private final List<ChoiceField> choices = new ArrayList<>();
    private final List<TimedStep> steps = new ArrayList<>();
    private final List<Pin> pins = new ArrayList<>();
    private final List<List<Node>> rows = new ArrayList<>();
    private List<Label> heads = List.of();
    private int several = -1;
    private boolean narrow;
    private double leastDrawing;

    /** A field under the drawing, with its label; a wide one takes what is left of its line. */
    record Cell(Label label, Node field, boolean wide) {}

    /** Something that stands in the drawing. */
    record Pin(Node node, Placing placing) {}

    /** Where in a drawing of this size something stands that is typed or pressed there, px. */
    public interface Placing {
        Path.Box in(double width, double height);
    }

    /** A form in which nothing is known beforehand. */
    public DrawnForm(Workplace workplace, Draft draft, FieldList list, String caption) {
        this(workplace, draft, list, caption, Map.of());
    }

    /**
     * @param draft where typed text goes
     * @param list what is read
     * @param caption under the heading: scale and direction of view
     * @param known what counts where nothing is typed, by the name of its field
     */
    public DrawnForm(Workplace workplace, Draft draft, FieldList list, String caption, Map<String, Amount> known) {
        this.workplace = workplace;
        this.draft = draft;
        this.list = list;
        this.known = Map.copyOf(known);
        drawing = new DrawingSurface(workplace.look()).withMenu();
        heading = new Heading(caption);
        message.setId("message");
        getChildren().addAll(heading, drawing, message);
        list.rows().filter(FieldList.Rows::first).ifPresent(this::addRows);
        list.fields().stream().filter(field -> !field.is(Field.Asked.PINNED)).forEach(this::addCell);
        list.rows().filter(of -> !of.first()).ifPresent(this::addRows);
    }

    private void addCell(Field field) {
        boolean wide = field.kind() instanceof Kind.Words words && words.wide() || field.kind() instanceof Kind.Pairs;
        if (field.kind() instanceof Kind.Timed timed) {
            TimedStep step = new TimedStep(field, timed, workplace, draft);
            ChoiceField answer = choice(field.name(), field.label(), timed.choices());
            steps.add(step);
            step.answeredBy(answer, timed.choices().get(1).id());
            addCell(field.label(), step, false);
            addCell("then", answer, false);
        } else if (field.kind().choices().isEmpty()) {
            addCell(field.label(), typed(field.name(), field.label(), field.kind()), wide);
        } else {
            addCell(
                    field.label(),
                    choice(field.name(), field.label(), field.kind().choices()),
                    false);
        }
    }

    private void addCell(String label, Node field, boolean wide) {
        Label over = Words.label(label, "small");
        over.setLabelFor(field);
        cells.add(new Cell(over, field, wide));
        getChildren().addAll(over, field);
    }

    private ReadingField typed(String name, String title, Kind kind) {
        ReadingField field = new ReadingField(name, title, kind.quantity());
        typed.put(name, field);
        return field;
    }

    private ChoiceField choice(String name, String title, List<Choice> offered) {
        ChoiceField choice = new ChoiceField(name, title, offered);
        choice.tie(draft);
        choice.getStyleClass().add("tight");
        choices.add(choice);
        enterGoesOn(choice);
        return choice;
    }

    /** Enter on a choice goes on to what comes after it, as it does on a field. */
    private void enterGoesOn(ChoiceField choice) {
        choice.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isShortcutDown() && !choice.isShowing()) {
                Stream.concat(cells.stream().map(Cell::field), rows.stream().flatMap(List::stream))
                        .dropWhile(field -> field != choice)
                        .skip(1)
                        .filter(Node::isVisible)
                        .findFirst()
                        .ifPresent(next -> {
                            event.consume();
                            (next instanceof ReadingField amount ? amount.field() : next).requestFocus();
                        });
            }
        });
    }

    private void addRows(FieldList.Rows of) {
        heads = of.columns().stream()
                .map(column -> Words.wrapped(column.columnHead(), "small"))
                .toList();
        several = IntStream.range(0, of.columns().size())
                .filter(i -> of.columns().get(i).kind() instanceof Kind.Many)
                .findFirst()
                .orElse(-1);
        getChildren().addAll(heads);
        for (int i = 0; i < of.most(); i++) {
            List<Node> row = new ArrayList<>();
            for (Field column : of.columns()) {
                String name = of.field(i, column.name());
                String title = column.label() + ", row " + (i + 1);
                row.add(
                        column.kind().choices().isEmpty()
                                ? typed(name, title, column.kind()).bare()
                                : choice(name, title, column.kind().choices()));
            }
            rows.add(row);
            getChildren().addAll(row);
        }
    }

    /** Cells that hold few digits, so that many of them find place beside each other. */
    public void narrow() {
        narrow = true;
    }

    /** From now on the drawing is at least so high, px; where there is no room for that the page scrolls. */
    public void drawAtLeast(double height) {
        if (leastDrawing != height) {
            leastDrawing = height;
            requestLayout();
        }
    }

    /** Puts a field of the list into the drawing, where it is measured. */
    public void pin(String name, Placing placing) {
        Field field = list.field(name);
        pin(typed(name, field.label(), field.kind()).bare(), placing);
    }

    /** Puts something to press into the drawing. */
    public void pin(Node node, Placing placing) {
        pins.add(new Pin(node, placing));
        getChildren().add(node);
    }

    /** The drawing, for what is pinned to it. */
    public Region drawing() {
        return drawing;
    }

    /** Puts the fields into the readings, each under its own name. */
    public void assemble(Worksheet sheet) {
        list.assemble(sheet, known);
    }

    /**
     * The texts that give readings again, as far as the fields stand in them under their own names.
     *
     * @param whole also what is read anew each time
     */
    public Map<String, Draft.Text> texts(Record readings, Map<String, String> asTyped, boolean whole) {
        return list.texts(readings, asTyped, whole, known);
    }

    /** Which rows something is typed in. */
    public List<Integer> filledRows() {
        return list.rows().map(of -> FieldList.filled(of, draft)).orElse(List.of());
    }

    /** What is chosen in a field, as it stands in the readings. */
    public String chosen(String name) {
        return choices.stream()
                .filter(choice -> name.equals(choice.getId()))
                .findFirst()
                .orElseThrow()
                .chosen();
    }

    /** The fields in which something is typed, in the order in which one measures. */
    public List<ReadingField> fields() {
        List<String> listed = list.fields().stream().map(Field::name).toList();
        boolean rowsFirst = list.rows().map(FieldList.Rows::first).orElse(false);
        Stream<ReadingField> single = listed.stream().filter(typed::containsKey).map(typed::get);
        Stream<ReadingField> ofRows = typed.values().stream().filter(field -> !listed.contains(field.name()));
        return (rowsFirst ? Stream.concat(ofRows, single) : Stream.concat(single, ofRows)).toList();
    }

    /** The field of this name. */
    public ReadingField field(String name) {
        return typed.get(name);
    }

    /** The first field that is needed and in which nothing stands; empty where there is none. */
    public Optional<Field> firstMissing() {
        return list.fields().stream()
                .filter(field -> field.kind().choices().isEmpty()
                        && isEmpty(field)
                        && (field.is(Field.Asked.NEEDED) || isHalf(field)))
                .findFirst();
    }

    private boolean isEmpty(Field field) {
        return draft.text(field.name()).isBlank() && !known.containsKey(field.name());
    }

    private boolean isHalf(Field field) {
        return field.is(Field.Asked.TOGETHER)
                && list.fields().stream()
                        .anyMatch(other -> other.part().equals(field.part())
                                && !draft.text(other.name()).isBlank());
    }

    /**
     * Shows what there is.
     *
     * @param head what it is about, as a sentence
     * @param inWords what the drawing shows, for who cannot see it
     * @param problems what is wrong with which field
     * @param measuring whether readings are being taken
     */
    public void show(String head, Figure figure, String inWords, Map<String, String> problems, boolean measuring) {
        heading.show(head);
        drawing.show(figure, inWords);
        UnitChoice units = workplace.units().getValue();
        for (Field field : list.fields()) {
            if (typed.containsKey(field.name())) {
                typed.get(field.name())
                        .field()
                        .setPromptText(Optional.ofNullable(known.get(field.name()))
                                .map(amount -> amount.number(units))
                                .orElse(field.usual().in(units)));
            }
        }
        choices.forEach(choice -> choice.setDisable(!measuring));
        steps.forEach(step -> step.setDisable(!measuring));
        if (!rows.isEmpty()) {
            message.setText(typed.values().stream()
                    .filter(field -> !field.isCaptioned() && problems.containsKey(field.name()))
                    .findFirst()
                    .map(field -> Words.sentence(field.title() + ": " + problems.get(field.name())))
                    .orElse(""));
            showRows(measuring);
        }
    }

    /** One row more than is filled. */
    private void showRows(boolean measuring) {
        List<Integer> filled = filledRows();
        int shown =
                Math.min(rows.size(), (filled.isEmpty() ? 0 : filled.get(filled.size() - 1) + 1) + (measuring ? 1 : 0));
        for (int i = 0; i < rows.size(); i++) {
            for (Node field : rows.get(i)) {
                field.setVisible(i < shown);
                if (field instanceof ReadingField amount) {
                    amount.field().setVisible(i < shown);
                }
            }
        }
        requestLayout();
    }

    private FormLayout plan() {
        return new FormLayout(cells, heads, rows, several, narrow, leastDrawing);
    }

    @Override
    protected double computeMinHeight(double width) {
        return plan().lowest(getWidth());
    }

    @Override
    protected void layoutChildren() {
        double begin = heading.layOut(getWidth());
        plan().layOut(getWidth(), getHeight(), begin, drawing, message);
        for (Pin pin : pins) {
            Path.Box box = pin.placing().in(drawing.getWidth(), drawing.getHeight());
            pin.node()
                    .resizeRelocate(
                            drawing.getLayoutX() + box.x(), drawing.getLayoutY() + box.y(), box.width(), box.height());
        }
    }
}
