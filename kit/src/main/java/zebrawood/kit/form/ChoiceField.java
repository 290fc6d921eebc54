package zebrawood.kit.form;

import java.util.List;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import zebrawood.core.units.UnitChoice;

/** One of a few words, kept in the draft by its name; the first one where nothing was chosen. */
public final class ChoiceField extends ComboBox<Choice> {

    private final String name;
    private boolean following;

    /**
     * @param name its name in the draft
     * @param title what is chosen here, for who cannot see it
     */
    public ChoiceField(String name, String title, List<Choice> choices) {
        super(FXCollections.observableArrayList(choices));
        this.name = name;
        setId(name);
        setAccessibleText(title);
        getStyleClass().add("pill");
        getSelectionModel().selectFirst();
    }

    /** Ties it to a draft. */
    public void tie(Draft draft) {
        setOnAction(event -> {
            if (!following && getValue() != null) {
                draft.type(name, getValue().id(), UnitChoice.METRIC);
            }
        });
        draft.onChange(() -> follow(draft));
        follow(draft);
    }

    private void follow(Draft draft) {
        following = true;
        getItems().stream()
                .filter(choice -> choice.id().equals(draft.text(name)))
                .findFirst()
                .ifPresentOrElse(getSelectionModel()::select, getSelectionModel()::selectFirst);
        following = false;
    }

    /** What is chosen, as it stands in the readings. */
    public String chosen() {
        return getValue().id();
    }
}
