package zebrawood.desktop.safety;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.safety.ServiceFiring;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.view.Words;
import zebrawood.logbook.store.LogbookException;

/** Work with covers open is begun: by whom, for how long, what is open, and what was made sure of before. */
public final class ServiceSheet {

    private final Desk desk;
    private final String machineId;
    private final RecordingOverlay sheet;
    private final TextField who = RecordingOverlay.field("service-who", "initials");
    private final TextField keeps = RecordingOverlay.field("service-keeps", "initials; the same person, where alone");
    private final TextField minutes = RecordingOverlay.field("service-minutes", "such as 20");
    private final TextField open = RecordingOverlay.field("service-open", "such as lid, left door");
    private final List<CheckBox> confirmed = new ArrayList<>();

    private ServiceSheet(Desk desk, Navigator navigator, String machineId, Plate plate) {
        this.desk = desk;
        this.machineId = machineId;
        sheet = new RecordingOverlay(
                        desk,
                        navigator,
                        new RecordingOverlay.Titles(
                                "Service firing on " + plate.name() + ": covers open, to adjust mirrors",
                                "Begin",
                                "service-begin"),
                        entry -> navigator.stop(machineId, FirstLight.ID))
                .wide(720, 690);
        who.setText(desk.initials().get());
        who.setOnAction(event -> keeps.requestFocus());
        keeps.setOnAction(event -> open.requestFocus());
        open.setOnAction(event -> minutes.requestFocus());
        minutes.setOnAction(event -> next());
        sheet.with(
                asked("Who works", who),
                asked("Who keeps others out", keeps),
                asked("Which covers are open", open),
                asked("For how many minutes, " + ServiceFiring.MOST_MINUTES + " at the most", minutes));
        for (String line : ServiceFiring.toConfirm(plate)) {
            CheckBox tick = new CheckBox(line);
            tick.setId("service-tick-" + confirmed.size());
            tick.getStyleClass().add("tick");
            tick.setWrapText(true);
            tick.setOnAction(event -> {
                if (tick.isSelected()) {
                    next();
                }
            });
            tick.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
                if (event.getCode() == KeyCode.ENTER) {
                    event.consume();
                    next();
                }
            });
            confirmed.add(tick);
            sheet.with(tick);
        }
        sheet.with(Words.wrapped(
                "After that time nothing fires. It ends when covers and interlock are seen to stop the beam again. "
                        + Hazard.HIGH_VOLTAGE.caution() + " " + Hazard.MOVING_AXES.caution(),
                "quiet"));
        sheet.records(this::begun);
    }

    /** The sheet for a machine. */
    public static Node of(Desk desk, Navigator navigator, String machineId) {
        return new ServiceSheet(
                        desk,
                        navigator,
                        machineId,
                        desk.machine(machineId).orElseThrow().plate())
                .sheet;
    }

    private static Node asked(String words, TextField field) {
        field.setMaxWidth(420);
        field.setAccessibleText(words);
        return new VBox(2, Words.label(words, "caption"), field);
    }

    /** To what is not confirmed yet, then to the button. */
    private void next() {
        confirmed.stream()
                .filter(tick -> !tick.isSelected())
                .findFirst()
                .ifPresentOrElse(Node::requestFocus, sheet::goOn);
    }

    private Optional<Recording.What> begun() {
        if (who.getText().isBlank()) {
            return missing("Say who works, and answers for it.", who);
        } else if (keeps.getText().isBlank()) {
            return missing("Say who keeps others out of the area.", keeps);
        } else if (open.getText().isBlank()) {
            return missing("Name each cover that is open.", open);
        }
        Optional<Integer> time = time();
        if (time.isEmpty()) {
            return missing("Type whole minutes, from 1 to " + ServiceFiring.MOST_MINUTES + ".", minutes);
        }
        Optional<CheckBox> left =
                confirmed.stream().filter(tick -> !tick.isSelected()).findFirst();
        if (left.isPresent()) {
            return missing("Make sure of this and tick it first: " + left.get().getText(), left.get());
        }
        ServiceFiring service = new ServiceFiring(
                initials(who),
                initials(keeps),
                time.get(),
                Arrays.stream(open.getText().split(","))
                        .map(String::strip)
                        .filter(cover -> !cover.isEmpty())
                        .toList(),
                confirmed.stream().map(CheckBox::getText).toList());
        return Optional.of(new Recording.What(machineId, () -> asItStands(service), List.of(), Optional.empty()));
    }

    /** On the logbook's thread: only from an open gate, or to go on with what runs. */
    private Body asItStands(ServiceFiring service) {
        if (!desk.standing(machineId).gate().mayBeginService()) {
            throw new LogbookException("the gate is shut; lift every bar with the covers shut first");
        }
        return new Body.ServiceBegun(service);
    }

    private static String initials(TextField field) {
        return field.getText().strip().toUpperCase(Locale.ROOT);
    }

    private Optional<Integer> time() {
        String typed = minutes.getText().strip().replaceFirst("\\s*min$", "");
        return Optional.of(typed)
                .filter(text -> text.matches("\\d{1,3}"))
                .map(Integer::valueOf)
                .filter(number -> number >= 1 && number <= ServiceFiring.MOST_MINUTES);
    }

    private Optional<Recording.What> missing(String sentence, Node at) {
        sheet.tell(sentence);
        at.requestFocus();
        return Optional.empty();
    }
}
