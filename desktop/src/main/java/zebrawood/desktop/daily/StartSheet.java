package zebrawood.desktop.daily;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import zebrawood.core.daily.StartOfWork;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.work.StartCheck;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.view.Words;

/** The half minute before a job: only what applies to this machine today, by the space bar. */
public final class StartSheet {

    private final String machineId;
    private final RecordingOverlay sheet;
    private final VBox lines = new VBox(2);
    private final TextField stays = RecordingOverlay.field("start-stays", "who stays with it to the end: initials");
    private List<StartRow> rows = List.of();
    private KeyCode down = KeyCode.UNDEFINED;
    /** whether a key is held down: it answers one line, not all of them */
    private boolean held;

    private StartSheet(Desk desk, Navigator navigator, String machineId, Consumer<Entry> recorded) {
        this.machineId = machineId;
        String name = desk.machine(machineId).orElseThrow().plate().name();
        sheet = new RecordingOverlay(
                        desk,
                        navigator,
                        new RecordingOverlay.Titles("Before the first job on " + name, "Record it", "start-record"),
                        recorded)
                .wide(820, 690);
        stays.setText(desk.initials().get());
        stays.setMaxWidth(320);
        stays.setOnAction(event -> sheet.goOn());
        sheet.with(
                Words.wrapped("Space: it is right. N: it is not. Up and Down go from line to line.", "caption"),
                lines,
                stays,
                Words.wrapped(Hazard.FIRE.caution() + " " + Hazard.BEAM.caution(), "quiet"));
        sheet.records(this::check);
        sheet.addEventFilter(KeyEvent.KEY_PRESSED, this::step);
        sheet.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            held = event.getCode() == down;
            down = event.getCode();
        });
        sheet.addEventFilter(KeyEvent.KEY_RELEASED, event -> down = KeyCode.UNDEFINED);
        sheet.addEventFilter(KeyEvent.KEY_TYPED, event -> {
            if (held && event.getTarget() instanceof StartRow) {
                event.consume();
            }
        });
    }

    /** The sheet for a machine, as it stands now. */
    public static Node of(
            Desk desk, Navigator navigator, String machineId, StartOfWork start, Consumer<Entry> recorded) {
        StartSheet made = new StartSheet(desk, navigator, machineId, recorded);
        made.rows = start.asked().stream()
                .map(asked -> new StartRow(
                        desk, asked.id(), asked.words().in(desk.units().get()), made::goOn))
                .toList();
        made.lines.getChildren().setAll(made.rows);
        start.known().forEach(known -> made.lines.getChildren().add(Words.wrapped("Not asked: " + known, "caption")));
        return made.sheet;
    }

    /** To the next line that is not answered yet, then to who stays. */
    private void goOn(StartRow from) {
        int at = rows.indexOf(from);
        rows.stream()
                .skip(at + 1L)
                .filter(row -> !row.isAnswered())
                .findFirst()
                .or(() -> rows.stream().filter(row -> !row.isAnswered()).findFirst())
                .ifPresentOrElse(Node::requestFocus, () -> {
                    stays.requestFocus();
                    stays.selectAll();
                });
    }

    private void step(KeyEvent event) {
        int by = event.getCode() == KeyCode.DOWN ? 1 : event.getCode() == KeyCode.UP ? -1 : 0;
        int at = rows.indexOf(event.getTarget());
        if (by != 0 && at >= 0 && at + by >= 0 && at + by < rows.size()) {
            rows.get(at + by).requestFocus();
            event.consume();
        }
    }

    private Optional<Recording.What> check() {
        Optional<StartRow> open = rows.stream().filter(row -> !row.isAnswered()).findFirst();
        if (open.isPresent()) {
            sheet.tell("Look at every line first: press the space bar where it is right, N where it is not.");
            open.get().requestFocus();
            return Optional.empty();
        }
        if (stays.getText().isBlank()) {
            sheet.tell("Say who stays with the machine from start to end.");
            stays.requestFocus();
            return Optional.empty();
        }
        StartCheck check = new StartCheck(
                rows.stream().flatMap(row -> row.line().stream()).toList(),
                stays.getText().strip());
        return Optional.of(new Recording.What(machineId, () -> new Body.Started(check), List.of(), Optional.empty()));
    }

    /** What is said once it is recorded: start, or what is to be put right first. */
    public static String said(String machine, StartCheck check) {
        return check.isRight()
                ? machine + " may start: all was right, and " + check.stays() + " stays with it."
                : "Do not start " + machine + ": put right what was not, then look again.";
    }
}
