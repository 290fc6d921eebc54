package zebrawood.desktop.daily;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.core.route.StopState;
import zebrawood.core.work.StartCheck;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Words;

/** One thing to look at: right with the space bar, not right with N, and then what is not. */
final class StartRow extends VBox {

    private static final double MARK = 30;

    private final String id;
    private final Label words;
    private final DrawingSurface mark;
    private final TextField remark;
    private Optional<Boolean> right = Optional.empty();

    /** @param answered hears of an answer, and goes on */
    StartRow(Desk desk, String id, String asked, Consumer<StartRow> answered) {
        this.id = id;
        words = Words.wrapped(asked, "by-hand");
        mark = new DrawingSurface(desk.look());
        mark.setMinSize(MARK, MARK);
        mark.setMaxSize(MARK, MARK);
        remark = RecordingOverlay.field("start-remark-" + id, "what is not right");
        remark.setVisible(false);
        remark.setManaged(false);
        remark.setOnAction(event -> answered.accept(this));
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox line = new HBox(12, mark, words);
        line.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(line, remark);
        setId("start-" + id);
        getStyleClass().add("next-row");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.CHECK_BOX);
        addEventHandler(KeyEvent.KEY_TYPED, event -> key(event, answered));
        line.addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            requestFocus();
            answer(!right.orElse(false), answered);
        });
        show();
    }

    /** By what is typed, not by what is pressed: the focus goes on, and nothing of it lands in the next field. */
    private void key(KeyEvent event, Consumer<StartRow> answered) {
        if (event.getTarget() != this) {
            return;
        }
        switch (event.getCharacter().toLowerCase(Locale.ROOT)) {
            case " ", "y", "1" -> answer(true, answered);
            case "n", "2" -> answer(false, answered);
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void answer(boolean isRight, Consumer<StartRow> answered) {
        right = Optional.of(isRight);
        remark.setVisible(!isRight);
        remark.setManaged(!isRight);
        show();
        if (isRight) {
            answered.accept(this);
        } else {
            remark.requestFocus();
        }
    }

    private void show() {
        StopState state =
                right.map(is -> is ? StopState.PASSED : StopState.FAILED).orElse(StopState.OPEN);
        mark.show((pen, width, height) -> Shapes.mark(pen, state, width / 2, height / 2, 24), "");
        String said = right.map(is -> is ? "right" : "not right").orElse("not looked at yet");
        setAccessibleText(words.getText() + " " + said);
    }

    boolean isAnswered() {
        return right.isPresent();
    }

    /** What was found, once it was looked at. */
    Optional<StartCheck.Line> line() {
        return right.map(is -> new StartCheck.Line(
                id, words.getText(), is, is ? "" : remark.getText().strip()));
    }
}
