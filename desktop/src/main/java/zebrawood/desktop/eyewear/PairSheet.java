package zebrawood.desktop.eyewear;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.eyewear.Marking;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.route.MachineStatus;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.view.Words;

/** A pair of eyewear, or a window of a cover, as it is seen now. */
public final class PairSheet {

    private static final String WORN = "a pair that somebody wears";

    private final Desk desk;
    private final RecordingOverlay sheet;
    private final TextField name = RecordingOverlay.field("pair-name", "what it is called here: left hook, 3");
    private final TextField marks =
            RecordingOverlay.field("pair-marks", "what is marked on it: 900-1100 OD 6 pulses; 10600 OD 5");
    private final ComboBox<String> condition = box("pair-condition");
    private final ComboBox<String> worn = box("pair-window");
    private final TextField remark = RecordingOverlay.field("pair-remark", "remark; may stay empty");
    private final List<String> machineIds = new ArrayList<>(List.of(""));

    private PairSheet(Desk desk, RecordingOverlay sheet) {
        this.desk = desk;
        this.sheet = sheet;
        for (EyewearPair.Condition each : EyewearPair.Condition.values()) {
            condition.getItems().add(each.words());
        }
        worn.getItems().add(WORN);
        for (MachineStatus machine : desk.machines().get()) {
            machineIds.add(machine.machineId());
            worn.getItems().add("the window of " + machine.plate().name());
        }
        condition.getSelectionModel().select(0);
        worn.getSelectionModel().select(0);
    }

    private static ComboBox<String> box(String id) {
        ComboBox<String> box = new ComboBox<>();
        box.setId(id);
        box.getStyleClass().add("pill");
        box.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(box, Priority.ALWAYS);
        return box;
    }

    /**
     * A sheet to record how a pair is now.
     *
     * @param machineId on whose chain it is recorded
     * @param seen its last entry, where it is known already
     */
    public static Node look(
            Desk desk, Navigator navigator, String machineId, Optional<Entry> seen, Consumer<Entry> recorded) {
        String title = seen.map(
                        entry -> ((Body.EyewearSeen) entry.body()).pair().name() + ", as it is now")
                .orElse("A pair of eyewear, or a window");
        PairSheet made = new PairSheet(
                desk,
                new RecordingOverlay(
                        desk, navigator, new RecordingOverlay.Titles(title, "Record it", "pair-record"), recorded));
        return made.sheet(machineId, seen, Optional.empty());
    }

    /** A sheet to replace an entry that was wrong. */
    public static Node correcting(Desk desk, Navigator navigator, Entry entry, Consumer<Entry> recorded) {
        String title = "Correct no. " + entry.number() + ", eyewear";
        PairSheet made = new PairSheet(
                desk,
                new RecordingOverlay(
                        desk,
                        navigator,
                        new RecordingOverlay.Titles(title, "Record the correction", "pair-record"),
                        recorded));
        return made.sheet(
                entry.place().machineId(),
                Optional.of(entry),
                Optional.of(made.sheet.correcting(entry, "pair-why", "why the old entry is replaced")));
    }

    private Node sheet(String machineId, Optional<Entry> seen, Optional<TextField> why) {
        seen.map(entry -> ((Body.EyewearSeen) entry.body()).pair()).ifPresent(this::fill);
        AttachBox files = new AttachBox(desk);
        name.setOnAction(event -> marks.requestFocus());
        marks.setOnAction(event -> condition.requestFocus());
        remark.setOnAction(event -> why.ifPresentOrElse(TextField::requestFocus, sheet::goOn));
        sheet.with(
                Words.wrapped(
                        "Read the marking itself: the colour of the glass proves nothing. Hold it against the light: a "
                                + "scratch, a crack or a burn, and it is good for nothing.",
                        "by-hand"),
                name,
                marks,
                new HBox(10, condition, worn),
                remark);
        why.ifPresent(sheet::with);
        sheet.with(files);
        return sheet.records(() -> pair().map(pair -> {
            Body body = new Body.EyewearSeen(pair);
            // a correction stays on the chain of what it corrects
            String chain = why.isPresent() ? machineId : pair.window().orElse(machineId);
            return new Recording.What(chain, () -> body, files.files(), Optional.empty());
        }));
    }

    private void fill(EyewearPair pair) {
        name.setText(pair.name());
        marks.setText(Marking.words(pair.marks()));
        condition.getSelectionModel().select(pair.condition().ordinal());
        pair.window().map(machineIds::indexOf).filter(index -> index > 0).ifPresent(worn.getSelectionModel()::select);
        remark.setText(pair.remark());
    }

    /** What was typed; empty where the sheet was told what is missing. */
    private Optional<EyewearPair> pair() {
        if (name.getText().isBlank()) {
            sheet.tell("Say what it is called here, so that it is found again.");
            name.requestFocus();
            return Optional.empty();
        }
        int window = Math.max(0, worn.getSelectionModel().getSelectedIndex());
        try {
            return Optional.of(new EyewearPair(
                    name.getText().strip(),
                    Stream.of(machineIds.get(window))
                            .filter(id -> !id.isEmpty())
                            .findFirst(),
                    Marking.read(marks.getText()),
                    EyewearPair.Condition.values()[
                            Math.max(0, condition.getSelectionModel().getSelectedIndex())],
                    remark.getText().strip()));
        } catch (ReadingException wrong) {
            sheet.tell(Words.sentence(wrong.refusals().get(0).why()));
            (wrong.refusals().get(0).field().equals("name") ? name : marks).requestFocus();
            return Optional.empty();
        }
    }
}
