package zebrawood.kit.form;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.view.Words;

/** A field for one amount as typed, with what was understood, or what is wrong, under it. */
public final class ReadingField extends VBox {

    private final String name;
    private final String title;
    private final Quantity quantity;
    private final TextField field = new TextField();
    private final Label under = new Label();
    private boolean captioned = true;
    private boolean terse;

    /** The field of something that is read at a stop. */
    public ReadingField(Field field) {
        this(field.name(), field.label(), field.kind().quantity());
    }

    /**
     * @param name its name in the draft
     * @param title what is read here, for messages and for who cannot see it
     */
    public ReadingField(String name, String title, Quantity quantity) {
        this.name = name;
        this.title = title;
        this.quantity = quantity;
        field.setId(name);
        field.setAccessibleText(title);
        Words.follow(field);
        under.getStyleClass().add("caption");
        under.setWrapText(true);
        under.setMinHeight(USE_PREF_SIZE);
        getChildren().addAll(field, under);
        setSpacing(2);
    }

    /** For a place too narrow for a line under it; messages are then told elsewhere. */
    public ReadingField bare() {
        captioned = false;
        getChildren().remove(under);
        return this;
    }

    /** Says something under it only where that is more than the unit, which then stands in its label. */
    public ReadingField terse() {
        under.managedProperty().bind(under.textProperty().isNotEmpty());
        terse = true;
        return this;
    }

    /** The name that its value has in the readings. */
    public String name() {
        return name;
    }

    /** Whether what is wrong is told under it; otherwise it is told elsewhere. */
    boolean isCaptioned() {
        return captioned;
    }

    /** What it is called on the page. */
    public String title() {
        return title;
    }

    /** What kind of amount; {@code PLAIN} for words, too. */
    public Quantity quantity() {
        return quantity;
    }

    /** Where one types. */
    public TextField field() {
        return field;
    }

    /** Ties the field to a draft. */
    public void tie(Draft draft, ObservableValue<UnitChoice> units) {
        field.setText(draft.text(name));
        field.textProperty().addListener((value, before, now) -> draft.type(name, now, units.getValue()));
        field.focusedProperty().addListener((value, before, now) -> draft.endStep());
        draft.onChange(() -> {
            if (!draft.text(name).equals(field.getText())) {
                field.setText(draft.text(name));
                field.end();
            }
        });
    }

    /** Lets Enter go from each of these fields to the next that is shown. */
    public static void enterGoesThrough(List<ReadingField> fields) {
        for (ReadingField each : fields) {
            each.field.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
                if (event.getCode() == KeyCode.ENTER && !event.isControlDown()) {
                    fields.stream()
                            .dropWhile(other -> other != each)
                            .skip(1)
                            .filter(other -> other.field.isVisible() && !other.field.isDisabled())
                            .findFirst()
                            .ifPresent(next -> {
                                next.field.requestFocus();
                                event.consume();
                            });
                }
            });
        }
    }

    /** Says what a worksheet understood of it where that is not plain, or what is wrong. */
    public void tell(Filled filled, Draft draft, UnitChoice units) {
        tell(Optional.ofNullable(filled.problems().get(name)), filled.understood(name), draft.typed(name), units);
    }

    /** Says what was understood where that is not plain, or what is wrong. */
    public void tell(Optional<String> problem, Optional<Double> understood, Draft.Text typed, UnitChoice units) {
        field.getStyleClass().remove("wrong");
        under.getStyleClass().setAll("label", "caption");
        if (problem.isPresent()) {
            field.getStyleClass().add("wrong");
            under.getStyleClass().setAll("label", "problem");
            under.setText(Words.sentence(problem.get()));
        } else if (understood.isPresent() && quantity != Quantity.PLAIN && !isPlain(typed, units)) {
            under.setText("= " + Amount.told(quantity, understood.get()).text(units));
        } else {
            under.setText(terse ? "" : quantity.unit(units));
        }
        if (!captioned && problem.isEmpty()) {
            field.setAccessibleText(title);
        }
    }

    /** Whether the text is just the number that is shown: then its unit says enough. */
    private boolean isPlain(Draft.Text typed, UnitChoice units) {
        return typed.text().strip().matches("[-+]?[0-9.]+")
                && quantity.unit(typed.units()).equals(quantity.unit(units));
    }

    /** Where to type first: the first empty one that shows, else the first; none of no fields. */
    public static Optional<Node> firstEmpty(List<ReadingField> fields) {
        return fields.stream()
                .filter(field -> field.field.getText().isBlank() && field.field.isVisible())
                .findFirst()
                .or(() -> fields.stream().findFirst())
                .map(ReadingField::field);
    }
}
