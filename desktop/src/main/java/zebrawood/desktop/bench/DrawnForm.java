package zebrawood.desktop.bench;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import zebrawood.core.units.Quantity;
import zebrawood.desktop.figure.Figure;

/** What most benches look like: what it is about, the thing drawn large, and the fields under it in the order in which one measures. */
public final class DrawnForm extends Pane {

    private static final double CELL = 74;
    private static final double NARROWEST = 138;
    private static final double EDGE = 24;

    private final BenchPlace place;
    private final Label heading = Words.label("", "head");
    private final Label caption = Words.label("", "caption");
    private final DrawingSurface drawing;
    private final List<Cell> cells = new ArrayList<>();
    private final List<ReadingField> fields = new ArrayList<>();
    private final List<ChoiceField> choices = new ArrayList<>();

    private record Cell(Label label, Node field) {}

    public DrawnForm(BenchPlace place, String caption) {
        this.place = place;
        drawing = new DrawingSurface(place.desk().look()).withMenu();
        Words.set(this.caption, caption);
        getChildren().addAll(heading, this.caption, drawing);
        setMinHeight(420);
    }

    /** A field for an amount, after those that are there. */
    public ReadingField amount(String name, String title, Quantity quantity) {
        ReadingField field = new ReadingField(name, title, quantity);
        fields.add(field);
        add(title, field);
        return field;
    }

    /** The same, filled in by a usual value where it is left empty. */
    public ReadingField amount(String name, String title, Quantity quantity, String usual) {
        ReadingField field = amount(name, title, quantity);
        field.field().setPromptText(usual);
        return field;
    }

    /** A field for one of a few words. */
    public ChoiceField choice(String name, String title, List<ChoiceField.Choice> offered) {
        ChoiceField choice = new ChoiceField(name, title, offered);
        choice.tie(place.draft());
        choices.add(choice);
        add(title, choice);
        int next = cells.size();
        choice.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isShortcutDown() && !choice.isShowing() && next < cells.size()) {
                event.consume();
                goTo(cells.get(next).field());
            }
        });
        return choice;
    }

    private static void goTo(Node field) {
        if (field instanceof ReadingField amount) {
            amount.field().requestFocus();
        } else {
            field.requestFocus();
        }
    }

    private void add(String title, Node field) {
        Label label = Words.label(title, "small");
        label.setLabelFor(field);
        cells.add(new Cell(label, field));
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
    public void show(String head, Figure figure, String inWords, boolean measuring) {
        Words.set(heading, head);
        drawing.show(figure, inWords);
        choices.forEach(choice -> choice.setDisable(!measuring));
    }

    /** The first field in which nothing stands, of those that are named; else the first of all. */
    public String firstEmpty(List<ReadingField> needed) {
        return needed.stream().filter(field -> place.draft().text(field.name()).isBlank()).findFirst().orElse(fields.get(0)).title();
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        heading.resizeRelocate(EDGE, 12, width - 2 * EDGE, 24);
        caption.resizeRelocate(EDGE, 36, width - 2 * EDGE, 18);
        int columns = (int) Math.max(2, Math.min(cells.size(), Math.floor((width - 2 * EDGE + 12) / (NARROWEST + 12))));
        int rows = (cells.size() + columns - 1) / columns;
        columns = (cells.size() + rows - 1) / rows;
        double top = getHeight() - rows * CELL - 4;
        double each = Math.min(210, (width - 2 * EDGE + 12) / columns);
        drawing.resizeRelocate(EDGE, 60, width - 2 * EDGE, Math.max(120, top - 70));
        for (int i = 0; i < cells.size(); i++) {
            double x = EDGE + i % columns * each;
            double y = top + i / columns * CELL;
            cells.get(i).label().resizeRelocate(x, y, each - 12, 18);
            Node field = cells.get(i).field();
            field.resizeRelocate(x, y + 19, each - 12, field instanceof ChoiceField ? 34 : field.prefHeight(each - 12));
        }
    }
}
