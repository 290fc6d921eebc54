package zebrawood.desktop.recording;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.kit.view.Words;

/** A sheet over the window on which something is recorded that is no stop: its fields, who records, one button. */
public final class RecordingOverlay extends VBox {

    private final VBox content = new VBox(10);
    private final Button record = new Button();
    private final Label told = Words.wrapped("", "problem");
    private final Recording recording;
    private Supplier<Optional<Recording.What>> what = Optional::empty;

    /** @param recorded takes the entry, once the machines are read anew */
    public RecordingOverlay(Desk desk, Navigator navigator, Titles titles, Consumer<Entry> recorded) {
        recording = new Recording(
                desk,
                () -> what.get(),
                entry -> {
                    navigator.closeOverlay();
                    desk.refresh(() -> recorded.accept(entry));
                },
                this::showTold);
        getStyleClass().add("over-sheet");
        setMaxSize(560, USE_PREF_SIZE);
        InitialsField initials = recording.initials();
        initials.showKnown();
        initials.setId("over-initials");
        initials.setMaxWidth(130);
        told.setId("over-told");
        told.managedProperty().bind(told.textProperty().isNotEmpty());
        record.setText(titles.button());
        record.setId(titles.buttonId());
        record.getStyleClass().setAll("button", "strong");
        record.setOnAction(event -> recording.record());
        Button leave = new Button("Leave it");
        leave.setId("over-leave");
        leave.getStyleClass().setAll("button", "outline");
        leave.setOnAction(event -> navigator.closeOverlay());
        HBox buttons = new HBox(12, record, leave, initials);
        buttons.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(Words.wrapped(titles.title(), "title"), content, buttons, told);
    }

    /**
     * What stands on it.
     *
     * @param title what the sheet is about
     * @param button what the button says that records
     * @param buttonId of that button
     */
    public record Titles(String title, String button, String buttonId) {}

    /** Room for more: as wide as this, and scrolled where the window is too low. */
    public RecordingOverlay wide(double width, double height) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().set(1, scroll);
        setMaxSize(width, height);
        return this;
    }

    public RecordingOverlay with(Node... nodes) {
        content.getChildren().addAll(nodes);
        return this;
    }

    /** Puts the focus where one begins: on the first thing that can be chosen or typed. */
    public void begin() {
        applyCss();
        layout();
        first(content).ifPresent(Node::requestFocus);
    }

    private static Optional<Node> first(Parent parent) {
        for (Node child : parent.getChildrenUnmodifiable()) {
            if (child.isFocusTraversable() && child.isVisible() && !(child instanceof Label)) {
                return Optional.of(child);
            }
            Optional<Node> inside =
                    child instanceof Parent within && child.isVisible() ? first(within) : Optional.empty();
            if (inside.isPresent()) {
                return inside;
            }
        }
        return Optional.empty();
    }

    /** What the button records; where it is empty, the sheet was told what is missing. */
    public RecordingOverlay records(Supplier<Optional<Recording.What>> ready) {
        what = ready;
        return this;
    }

    /** Which entry is replaced, and the field in which it is said why. */
    public TextField correcting(Entry entry, String whyId, String asked) {
        recording.correct(Optional.of(entry));
        recording.why().setId(whyId);
        recording.why().setPromptText(asked);
        recording.why().setAccessibleText(asked);
        recording.why().setOnAction(event -> goOn());
        return recording.why();
    }

    private void showTold() {
        told.setText(recording.told());
    }

    public void tell(String sentence) {
        recording.tell(sentence);
    }

    /** Puts the focus where one goes on when the fields are filled: initials, else the button. */
    public void goOn() {
        (recording.initials().getText().isBlank() ? recording.initials() : record).requestFocus();
    }

    /** A field for words on a sheet. */
    public static TextField field(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(prompt);
        Words.follow(field);
        return field;
    }
}
