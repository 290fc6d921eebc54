package zebrawood.desktop.machine;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Filled;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.EnterOrder;
import zebrawood.kit.view.Words;

/**
 * The fields of a plate as controls on a draft, wherever they are put: on the plate, or on a stop that asks for them.
 */
public final class PlateControls {

    private final Draft draft;
    private final ObservableValue<UnitChoice> units;
    private final EnterOrder order = new EnterOrder();
    private final Map<String, Control> controls = new LinkedHashMap<>();
    private final List<ReadingField> amounts = new ArrayList<>();
    private final Map<String, Label> problems = new LinkedHashMap<>();
    private final Map<String, Label> labels = new LinkedHashMap<>();

    /** @param draft what is typed goes there; who listens to it calls {@link #tell} */
    public PlateControls(Draft draft, ObservableValue<UnitChoice> units) {
        this.draft = draft;
        this.units = units;
    }

    /** A field with its label over it, so wide. */
    public Node of(String path, double width) {
        PlateField field = PlateField.at(path);
        Label label = Words.label(labelOf(field), "small");
        labels.put(path, label);
        VBox box = new VBox(2, label);
        box.setPrefWidth(width);
        box.setMaxWidth(width);
        box.setMinWidth(width);
        label.setMaxWidth(width);
        switch (field.kind()) {
            case AMOUNT -> box.getChildren().add(amount(field));
            case WORDS -> words(field, box);
            case CHOICE, TRUTH -> box.getChildren().add(choice(field));
        }
        Control control = controls.get(path);
        label.setLabelFor(control);
        order.add(control);
        return box;
    }

    private String labelOf(PlateField field) {
        String unit = field.quantity().unit(units.getValue());
        return field.label() + (unit.isEmpty() ? "" : ", " + unit);
    }

    private ReadingField amount(PlateField field) {
        ReadingField amount = new ReadingField(field.path(), field.label(), field.quantity()).terse();
        amount.tie(draft, units);
        amounts.add(amount);
        controls.put(field.path(), amount.field());
        amount.field().addEventFilter(KeyEvent.KEY_TYPED, event -> {
            if (" ".equals(event.getCharacter()) && takeOver(field)) {
                event.consume();
            }
        });
        amount.field().addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.SPACE
                    && !usualText(field).isEmpty()
                    && amount.field().getText().isEmpty()) {
                takeOver(field);
                event.consume();
            }
        });
        return amount;
    }

    /** Takes the usual figure over as the machine's own. */
    private boolean takeOver(PlateField field) {
        String text = usualText(field);
        if (text.isEmpty() || !draft.text(field.path()).isEmpty()) {
            return false;
        }
        draft.endStep();
        draft.type(field.path(), text, units.getValue());
        draft.endStep();
        return true;
    }

    private String usualText(PlateField field) {
        return family(draft)
                .flatMap(family -> Usual.of(family, field.path()))
                .map(base ->
                        Amount.told(field.quantity(), Double.parseDouble(base)).number(units.getValue()))
                .orElse("");
    }

    private void words(PlateField field, VBox box) {
        TextField words = new TextField(draft.text(field.path()));
        words.setId(field.path());
        words.setAccessibleText(field.label());
        Words.follow(words);
        words.textProperty().addListener((value, before, now) -> draft.type(field.path(), now, UnitChoice.METRIC));
        draft.onChange(() -> {
            if (!words.getText().equals(draft.text(field.path()))) {
                words.setText(draft.text(field.path()));
            }
        });
        Label problem = Words.wrapped("", "problem");
        problem.setManaged(false);
        problems.put(field.path(), problem);
        controls.put(field.path(), words);
        box.getChildren().addAll(words, problem);
    }

    private ComboBox<String> choice(PlateField field) {
        ComboBox<String> choice = new ComboBox<>();
        choice.setId(field.path());
        choice.getStyleClass().add("field");
        choice.setAccessibleText(field.label());
        choice.setMaxWidth(Double.MAX_VALUE);
        choice.getItems().add("");
        field.choices().forEach(name -> choice.getItems().add(PlateField.said(name)));
        choice.setValue(PlateField.said(draft.text(field.path())));
        draft.onChange(() -> choice.setValue(PlateField.said(draft.text(field.path()))));
        choice.setOnAction(event -> draft.type(field.path(), PlateField.unsaid(choice.getValue()), UnitChoice.METRIC));
        controls.put(field.path(), choice);
        return choice;
    }

    /** Says of each field what was understood, what is wrong, and what is usual where nothing is typed. */
    public void tell(Filled filled) {
        amounts.forEach(field -> {
            field.tell(filled, draft, units.getValue());
            PlateField plate = PlateField.at(field.name());
            String usual = field.field().getText().isEmpty() ? usualText(plate) : "";
            field.field().setPromptText(usual);
            field.field().getStyleClass().remove("usual");
            labels.get(field.name()).setText(usual.isEmpty() ? labelOf(plate) : plate.label() + ", usual");
            if (!usual.isEmpty()) {
                field.field().getStyleClass().add("usual");
                field.field().setAccessibleText(plate.label() + ", usual for the family, not yours: " + usual);
            }
        });
        problems.forEach((path, label) -> {
            String why = filled.problems().get(path);
            label.setText(why == null ? "" : Words.sentence(why));
            label.setManaged(why != null);
        });
    }

    /** Whether any field shows what is usual and nobody took over yet. */
    public boolean showsUsual() {
        return amounts.stream().anyMatch(field -> field.field().getStyleClass().contains("usual"));
    }

    /** Puts the focus on a field; false where it is not here. */
    public boolean focus(String path) {
        Control control = controls.get(path);
        if (control != null) {
            control.requestFocus();
        }
        return control != null;
    }

    /** Where typing begins. */
    public void begin() {
        controls.values().stream()
                .filter(control -> draft.text(control.getId()).isEmpty())
                .findFirst()
                .or(() -> controls.values().stream().findFirst())
                .ifPresent(Control::requestFocus);
    }

    /** The last of them: after it one goes on elsewhere. */
    public Optional<Control> last() {
        return controls.values().stream().reduce((earlier, later) -> later);
    }

    /** The family that is chosen, where one is. */
    static Optional<Family> family(Draft draft) {
        return PlateField.family(draft.text("family"));
    }

    /** A plate's worksheet as typed. */
    public static Filled.Bound<Plate> bound(Draft draft) {
        Worksheet sheet = Worksheet.of(draft);
        for (PlateField field : PlateField.all()) {
            switch (field.kind()) {
                case AMOUNT -> sheet.amount(field.path(), field.quantity());
                case WORDS, CHOICE -> sheet.words(field.path());
                case TRUTH -> sheet.truth(field.path());
            }
        }
        return sheet.filled().bind(Plate.class);
    }

    /** The texts that a plate's fields hold. */
    public static Map<String, Draft.Text> texts(Plate plate) {
        Map<String, Draft.Text> texts = new LinkedHashMap<>();
        PlateField.texts(plate).forEach((path, text) -> texts.put(path, new Draft.Text(text, UnitChoice.METRIC)));
        return texts;
    }
}
