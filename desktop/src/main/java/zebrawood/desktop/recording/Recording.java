package zebrawood.desktop.recording;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.worksheet.Following;

/**
 * The one way by which anything in the window becomes an entry: who records is asked once, why an entry is replaced is
 * asked each time, it is written on the logbook's thread, and what came of it is told. While one is being written, no
 * second one begins.
 */
public final class Recording {

    private final Desk desk;
    private final Supplier<Optional<What>> ready;
    private final Consumer<Entry> recorded;
    private final Runnable changed;
    private final InitialsField initials;
    private final TextField why = new TextField();
    private Optional<Entry> correcting = Optional.empty();
    private boolean asksInitials;
    private boolean busy;
    private String told = "";

    /** Something recorded just before what it belongs to, and its draft. */
    public record First(Body body, DraftKeeper draft) {}

    /**
     * What is to be recorded.
     *
     * @param body made on the logbook's thread, as it may need what stands there
     * @param files that go along
     * @param draft what is dropped once it is recorded, where something was half typed
     * @param first what is recorded just before it, by the same person at the same time
     */
    public record What(
            String machineId,
            Callable<Body> body,
            List<NewAttachment> files,
            Optional<DraftKeeper> draft,
            Optional<First> first) {

        public What(String machineId, Callable<Body> body, List<NewAttachment> files, Optional<DraftKeeper> draft) {
            this(machineId, body, files, draft, Optional.empty());
        }

        public What(String machineId, Body body) {
            this(machineId, () -> body, List.of(), Optional.empty());
        }
    }

    /**
     * @param ready what is to be recorded now; where it is empty, what is missing was told
     * @param recorded takes the entry, on the interface thread
     * @param changed runs when what is told or asked here has changed
     */
    public Recording(Desk desk, Supplier<Optional<What>> ready, Consumer<Entry> recorded, Runnable changed) {
        this.desk = desk;
        this.ready = ready;
        this.recorded = recorded;
        this.changed = changed;
        initials = new InitialsField(desk, this::record);
        why.setId("why");
        why.setPromptText("why it is replaced");
        why.setAccessibleText("why it is replaced");
        Words.follow(why);
        why.setOnAction(event -> record());
    }

    /** Which entry is replaced from now on; none where it is a new one. */
    public void correct(Optional<Entry> entry) {
        correcting = entry;
        why.clear();
    }

    /** The entry that is replaced. */
    public Optional<Entry> correcting() {
        return correcting;
    }

    /** The field for who records. */
    public InitialsField initials() {
        return initials;
    }

    /** The field for why an entry is replaced. */
    public TextField why() {
        return why;
    }

    /** Whether an entry is being written. */
    public boolean isBusy() {
        return busy;
    }

    /** Says something beside the button. */
    public void tell(String sentence) {
        told = sentence;
        changed.run();
    }

    /** What was said no longer holds. */
    public void hush() {
        told = "";
    }

    /** What was said last, for who builds what stands around it. */
    public String told() {
        return told;
    }

    /** What stands over the button: what was said, and what is asked. */
    public List<Node> asked() {
        List<Node> nodes = new ArrayList<>();
        if (!told.isEmpty()) {
            Label label = Words.wrapped(told, "small");
            label.setId("told");
            nodes.add(label);
        }
        if (correcting.isPresent()) {
            nodes.add(why);
        }
        if (asksInitials) {
            nodes.add(initials);
        }
        return nodes;
    }

    /** Whether who records is asked for here now. */
    public boolean asksInitials() {
        return asksInitials;
    }

    /** The button that records; Ctrl+Enter does the same. */
    public Button button(String word, boolean isReady) {
        Button button = new Button(word);
        button.setId("record");
        button.getStyleClass().setAll("button", "strong");
        button.setGraphic(Words.label("Ctrl+Enter", "small"));
        button.setContentDisplay(ContentDisplay.RIGHT);
        button.setGraphicTextGap(12);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setDisable(!isReady);
        button.setOnAction(event -> record());
        return button;
    }

    /** Records what is ready, or asks for what is missing. */
    public void record() {
        if (busy) {
            return;
        }
        Optional<What> what = ready.get();
        if (what.isEmpty()) {
            return;
        }
        if (!initials.signed()) {
            asksInitials = true;
            tell(InitialsField.ASKED);
            Platform.runLater(initials::requestFocus);
        } else if (correcting.isPresent() && why.getText().isBlank()) {
            tell("Say in a few words why no. " + correcting.get().number() + " is replaced.");
            Platform.runLater(why::requestFocus);
        } else {
            asksInitials = false;
            append(what.get());
        }
    }

    private void append(What what) {
        busy = true;
        what.draft().ifPresent(DraftKeeper::stop);
        what.first().map(First::draft).ifPresent(DraftKeeper::stop);
        Optional<Logbook.Correcting> replaces = correcting.map(
                entry -> new Logbook.Correcting(entry.number(), why.getText().strip()));
        Entry.Stamp stamp = desk.stamp();
        desk.later(
                () -> {
                    if (what.first().isPresent()) {
                        First first = what.first().get();
                        desk.logbook().append(what.machineId(), first.body(), Optional.empty(), List.of(), stamp);
                        first.draft().dropNow();
                    }
                    Entry entry =
                            desk.logbook().append(what.machineId(), what.body().call(), replaces, what.files(), stamp);
                    Following.record(desk.logbook(), entry);
                    what.draft().ifPresent(DraftKeeper::dropNow);
                    return entry;
                },
                entry -> {
                    busy = false;
                    told = "";
                    recorded.accept(entry);
                },
                refused -> {
                    busy = false;
                    what.draft().ifPresent(DraftKeeper::typed);
                    tell(Words.sentence(refused.getMessage()));
                });
    }
}
