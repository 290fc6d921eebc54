package zebrawood.desktop.bench;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.NewAttachment;

/** A sheet over the window on which something is recorded that is no stop: its fields, who records, one button. */
public final class OverSheet extends VBox {

    private final Desk desk;
    private final Navigator navigator;
    private final VBox content = new VBox(10);
    private final TextField initials = new TextField();
    private final Button record = new Button();
    private final Label told = Words.wrapped("", "problem");
    private boolean recording;

    /** What is to be recorded. */
    public record Recording(String machineId, Body body, Optional<Logbook.Correcting> correcting, List<NewAttachment> files) {
        public Recording(String machineId, Body body) {
            this(machineId, body, Optional.empty(), List.of());
        }
    }

    /**
     * @param title what the sheet is about
     * @param word what the button says that records
     * @param id of that button
     */
    public OverSheet(Desk desk, Navigator navigator, String title, String word, String id) {
        this.desk = desk;
        this.navigator = navigator;
        getStyleClass().add("over-sheet");
        setMaxSize(560, USE_PREF_SIZE);
        initials.setText(desk.initials().get());
        InitialsField.limit(initials);
        initials.setId("over-initials");
        initials.setPromptText("your initials");
        initials.setMaxWidth(130);
        initials.setOnAction(event -> record.fire());
        told.setId("over-told");
        told.managedProperty().bind(told.textProperty().isNotEmpty());
        record.setText(word);
        record.setId(id);
        record.getStyleClass().setAll("button", "strong");
        Button leave = new Button("Leave it");
        leave.setId("over-leave");
        leave.getStyleClass().setAll("button", "outline");
        leave.setOnAction(event -> navigator.closeOverlay());
        getChildren().addAll(Words.wrapped(title, "title"), content, buttons(leave), told);
    }

    private Node buttons(Button leave) {
        HBox row = new HBox(12, record, leave, initials);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Room for more: as wide as this, and scrolled where the window is too low. */
    public OverSheet wide(double width, double height) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().set(1, scroll);
        setMaxSize(width, height);
        return this;
    }

    public OverSheet with(Node... nodes) {
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
            if (child instanceof Control control && control.isFocusTraversable() && control.isVisible() && !(control instanceof Label)) {
                return Optional.of(control);
            }
            Optional<Node> inside = child instanceof Parent within && child.isVisible() ? first(within) : Optional.empty();
            if (inside.isPresent()) {
                return inside;
            }
        }
        return Optional.empty();
    }

    /** What the button does: records what is given; nothing where that is empty, when the sheet was told why. */
    public OverSheet records(Supplier<Optional<Recording>> what, Consumer<Entry> then) {
        record.setOnAction(event -> {
            if (recording) {
                return;
            }
            if (initials.getText().isBlank()) {
                tell("Your initials, please.");
                initials.requestFocus();
                return;
            }
            desk.initials().set(initials.getText().strip().toUpperCase(Locale.ROOT));
            what.get().ifPresent(recording -> append(recording, then));
        });
        return this;
    }

    private void append(Recording what, Consumer<Entry> then) {
        recording = true;
        Entry.Stamp stamp = desk.stamp();
        desk.later(() -> desk.logbook().append(what.machineId(), what.body(), what.correcting(), what.files(), stamp), entry -> {
            navigator.closeOverlay();
            desk.refresh(() -> then.accept(entry));
        }, refused -> {
            recording = false;
            tell(Words.sentence(refused.getMessage()));
        });
    }

    public void tell(String sentence) {
        told.setText(sentence);
    }

    /** Puts the focus where one goes on when the fields are filled: initials, else the button. */
    public void goOn() {
        (initials.getText().isBlank() ? initials : record).requestFocus();
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
