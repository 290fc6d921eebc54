package zebrawood.desktop.event;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.view.Words;

/** Records that something happened to a machine: which of eight, a few words, photos; what follows is said before. */
public final class EventSheet {

    /** so many can be chosen by a digit */
    private static final int DIGITS = 9;

    private final Desk desk;
    private final String machineId;
    private final RecordingOverlay sheet;
    private final ToggleGroup kinds = new ToggleGroup();
    private final List<ToggleButton> buttons = new ArrayList<>();
    private final TextField remark = RecordingOverlay.field("event-remark", "what is to be known about it");
    private final TextField surface = RecordingOverlay.field("event-surface", "which surface: lens, window, mirror 2");
    private final TextField residue = RecordingOverlay.field("event-residue", "what was on it");
    private final TextField damage = RecordingOverlay.field("event-damage", "damage that stays, if any");
    private final Optional<TextField> why;
    private final CheckBox takenOut = new CheckBox("The lens came out of its seat for it");
    private final VBox cleaning;
    private final VBox follows = new VBox(4);
    private final AttachBox files;
    private long generation;

    private EventSheet(
            Desk desk, Navigator navigator, String machineId, Optional<Entry> correcting, Consumer<Entry> recorded) {
        this.desk = desk;
        this.machineId = machineId;
        this.files = new AttachBox(desk);
        String machine = desk.machine(machineId).orElseThrow().plate().name();
        String title = correcting
                .map(entry -> "Correct no. " + entry.number() + " of " + machine)
                .orElse("What happened to " + machine + "?");
        sheet = new RecordingOverlay(
                        desk, navigator, new RecordingOverlay.Titles(title, "Record it", "event-record"), recorded)
                .wide(748, 600);
        why = correcting.map(entry -> sheet.correcting(entry, "event-why", "why the old entry is replaced"));
        TilePane choice = new TilePane(8, 8);
        choice.setPrefColumns(4);
        for (Change change : Change.values()) {
            choice.getChildren().add(kind(change));
        }
        takenOut.setId("event-out");
        follows.setId("event-follows");
        HBox both = new HBox(10, residue, damage);
        HBox.setHgrow(residue, Priority.ALWAYS);
        HBox.setHgrow(damage, Priority.ALWAYS);
        cleaning = new VBox(8, surface, both, takenOut);
        shown(cleaning, false);
        sheet.with(choice, cleaning, remark);
        why.ifPresent(sheet::with);
        sheet.with(follows, files);
        sheet.records(this::recording);
        sheet.addEventFilter(KeyEvent.KEY_PRESSED, this::digits);
        kinds.selectedToggleProperty().addListener((value, before, now) -> chosen());
        takenOut.setOnAction(event -> follow());
        surface.setOnAction(event -> residue.requestFocus());
        residue.setOnAction(event -> damage.requestFocus());
        damage.setOnAction(event -> remark.requestFocus());
        remark.setOnAction(event -> why.ifPresentOrElse(TextField::requestFocus, sheet::goOn));
        follow();
        correcting.map(entry -> (Body.Happened) entry.body()).ifPresent(this::fill);
    }

    /** The sheet for a machine; {@code kind} is chosen already where it is known. */
    public static Node of(
            Desk desk, Navigator navigator, String machineId, Optional<Change> kind, Consumer<Entry> recorded) {
        EventSheet made = new EventSheet(desk, navigator, machineId, Optional.empty(), recorded);
        kind.ifPresent(change -> made.kinds.selectToggle(made.buttons.get(change.ordinal())));
        return made.sheet;
    }

    /** The sheet filled with an entry that is to be replaced. */
    public static Node correcting(Desk desk, Navigator navigator, Entry entry, Consumer<Entry> recorded) {
        return new EventSheet(desk, navigator, entry.place().machineId(), Optional.of(entry), recorded).sheet;
    }

    private ToggleButton kind(Change change) {
        int number = change.ordinal() + 1;
        ToggleButton button = new ToggleButton((number <= DIGITS ? number + "  " : "") + change.title());
        button.setId("event-" + change.name().toLowerCase(Locale.ROOT));
        button.getStyleClass().setAll("toggle-button", "kind");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setUserData(change);
        button.setToggleGroup(kinds);
        buttons.add(button);
        return button;
    }

    /** A digit chooses, unless something is being typed. */
    private void digits(KeyEvent event) {
        String text = event.getText();
        boolean typing = event.getTarget() instanceof TextField;
        if (!typing && text.length() == 1 && text.charAt(0) >= '1' && text.charAt(0) < '1' + DIGITS) {
            kinds.selectToggle(buttons.get(text.charAt(0) - '1'));
            event.consume();
        }
    }

    private Optional<Change> change() {
        return Optional.ofNullable(kinds.getSelectedToggle()).map(toggle -> (Change) toggle.getUserData());
    }

    private void chosen() {
        boolean cleaned = change().filter(change -> change == Change.CLEANED).isPresent();
        shown(cleaning, cleaned);
        change().ifPresent(change -> remark.setPromptText(change.asks()));
        sheet.tell("");
        follow();
        (cleaned ? surface : remark).requestFocus();
    }

    private static void shown(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }

    private void fill(Body.Happened happened) {
        kinds.selectToggle(buttons.get(happened.change().ordinal()));
        remark.setText(happened.remark());
        happened.cleaning().ifPresent(cleaned -> {
            surface.setText(cleaned.surface());
            residue.setText(cleaned.residue());
            damage.setText(cleaned.damage());
            takenOut.setSelected(cleaned.takenOut());
        });
    }

    private Body.Happened happened(Change change) {
        Optional<Body.Cleaning> cleaned = change == Change.CLEANED
                ? Optional.of(new Body.Cleaning(
                        surface.getText().strip(),
                        residue.getText().strip(),
                        damage.getText().strip(),
                        takenOut.isSelected()))
                : Optional.empty();
        return new Body.Happened(change, remark.getText().strip(), cleaned);
    }

    /** Says what would follow, as it will be computed from the entry. */
    private void follow() {
        long mine = ++generation;
        if (change().isEmpty()) {
            follows.getChildren()
                    .setAll(Words.wrapped(
                            "Choose what happened; what follows from it is said before anything is recorded.",
                            "quiet"));
            return;
        }
        Body.Happened happened = happened(change().get());
        desk.later(() -> desk.consequences(machineId, happened), sentences -> {
            if (mine == generation) {
                follows.getChildren().setAll(Words.label("What follows", "bold"));
                for (String sentence : sentences) {
                    Label label = Words.wrapped(sentence, "by-hand");
                    follows.getChildren().add(label);
                }
            }
        });
    }

    private Optional<Recording.What> recording() {
        if (change().isEmpty()) {
            sheet.tell("Choose what happened: a number from 1 to " + DIGITS + ", or press its button.");
            return Optional.empty();
        }
        if (change().get() == Change.CLEANED && surface.getText().isBlank()) {
            sheet.tell("Say which surface was cleaned.");
            surface.requestFocus();
            return Optional.empty();
        }
        Body.Happened happened = happened(change().get());
        return Optional.of(new Recording.What(machineId, () -> happened, files.files(), Optional.empty()));
    }
}
