package zebrawood.desktop.logbook;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.view.Words;

/** Takes back that a bar was lifted: a correction can shut a gate, never open one. */
final class GateCorrection {

    private GateCorrection() {}

    static Node of(Desk desk, Navigator navigator, Entry entry, Body.GateLine line, Consumer<Entry> recorded) {
        RecordingOverlay sheet = new RecordingOverlay(
                desk, navigator, new RecordingOverlay.Titles(line.title(), "Take it back", "gate-take-back"), recorded);
        TextField why = sheet.correcting(entry, "gate-why", "what was not so");
        sheet.with(
                Words.wrapped(
                        "Taking it back puts the bar in hand again: the gate shuts until it is lifted anew. The "
                                + "entry stays in the logbook.",
                        "by-hand"),
                why);
        return sheet.records(() -> {
            String said = why.getText().strip();
            if (said.isEmpty()) {
                sheet.tell("Say what was not so.");
                return Optional.empty();
            }
            return Optional.of(new Recording.What(
                    entry.place().machineId(), new Body.GateLine(line.bar(), line.title(), false, false, said)));
        });
    }
}
