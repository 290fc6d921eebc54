package zebrawood.benches.inventory;

import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import zebrawood.core.inventory.InventoryReadings.Sort;
import zebrawood.core.inventory.InventoryReadings.State;
import zebrawood.core.route.StopState;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.PressableWords;
import zebrawood.kit.view.Words;
import zebrawood.kit.view.Workplace;

/** One line of an inventory: a key or a press says how it was found. */
final class InventoryRow extends VBox {

    private static final double MARK = 30;

    private final PartsList.Line line;
    private final Draft draft;
    private final Runnable next;
    private final DrawingSurface mark;
    private final Label found = Words.label("", "bold");
    private final TextField remark = new TextField();
    private String shown = "?";

    /** @param next goes on to the next line */
    InventoryRow(Workplace workplace, PartsList.Line line, Draft draft, Runnable next) {
        this.line = line;
        this.draft = draft;
        this.next = next;
        mark = new DrawingSurface(workplace.look());
        mark.setMinSize(MARK, MARK);
        mark.setMaxSize(MARK, MARK);
        Label words = Words.wrapped(line.name(), "by-hand");
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        found.setMinWidth(Region.USE_PREF_SIZE);
        remark.setId("remark-" + line.name());
        remark.setPromptText("what is wrong; order number");
        remark.setAccessibleText("remark on " + line.name());
        remark.setOnAction(event -> next.run());
        remark.textProperty().addListener((value, before, now) -> {
            if (!now.equals(draft.text(InventoryBench.remark(line.name())))) {
                draft.type(InventoryBench.remark(line.name()), now, UnitChoice.METRIC);
            }
        });
        Words.follow(remark);
        HBox row = new HBox(
                10,
                mark,
                words,
                found,
                other(State.MISSING, line.sort() == Sort.CHECK ? "not so" : "missing"),
                other(State.DAMAGED, "damaged"),
                other(State.NONE, "none"));
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinHeight(40);
        getChildren().addAll(row, remark);
        setId("part-" + line.name());
        getStyleClass().add("next-row");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.CHECK_BOX);
        addEventHandler(KeyEvent.KEY_TYPED, this::key);
        words.addEventHandler(MouseEvent.MOUSE_CLICKED, event -> answer(State.PRESENT));
        mark.addEventHandler(MouseEvent.MOUSE_CLICKED, event -> answer(State.PRESENT));
        follow();
    }

    private PressableWords other(State state, String words) {
        PressableWords press = new PressableWords(words, () -> answer(state), "flat", "small");
        press.setFocusTraversable(false);
        press.setMinHeight(32);
        press.setMinWidth(Region.USE_PREF_SIZE);
        press.setAccessibleText(line.name() + ": " + words);
        return press;
    }

    PartsList.Line line() {
        return line;
    }

    /** Whether it can be answered now. */
    void takes(boolean answers) {
        setFocusTraversable(answers);
        remark.setEditable(answers);
    }

    boolean isOpen() {
        return draft.text(InventoryBench.state(line.name())).isEmpty();
    }

    /** By what is typed, not by what is pressed: the focus goes on, and nothing of it lands in the next field. */
    private void key(KeyEvent event) {
        if (event.getTarget() != this) {
            return;
        }
        Optional<State> state = switch (event.getCharacter().toLowerCase(Locale.ROOT)) {
            case " ", "p" -> Optional.of(State.PRESENT);
            case "m" -> Optional.of(State.MISSING);
            case "d" -> Optional.of(State.DAMAGED);
            case "n" -> Optional.of(State.NONE);
            default -> Optional.empty();
        };
        state.ifPresent(found -> {
            event.consume();
            answer(found);
        });
    }

    private void answer(State state) {
        draft.endStep();
        draft.type(InventoryBench.state(line.name()), InventoryBench.id(state), UnitChoice.METRIC);
        draft.endStep();
        if (state == State.MISSING || state == State.DAMAGED) {
            remark.requestFocus();
        } else {
            next.run();
        }
    }

    /** Shows what the draft says. */
    void follow() {
        String state = draft.text(InventoryBench.state(line.name()));
        String said = draft.text(InventoryBench.remark(line.name()));
        if (!remark.getText().equals(said)) {
            remark.setText(said);
        }
        boolean wrong = state.equals("missing") || state.equals("damaged");
        remark.setVisible(wrong || !said.isEmpty());
        remark.setManaged(remark.isVisible());
        if (state.equals(shown)) {
            return;
        }
        shown = state;
        StopState shape = switch (state) {
            case "present" -> StopState.PASSED;
            case "missing", "damaged" -> StopState.FAILED;
            case "none" -> StopState.NOTE;
            default -> StopState.OPEN;
        };
        mark.show((pen, width, height) -> Shapes.mark(pen, shape, width / 2, height / 2, 24), "");
        found.setText(InventoryBench.words(line.sort(), state));
        setAccessibleText(line.name() + " " + (state.isEmpty() ? "not looked at yet" : found.getText()));
    }
}
