package zebrawood.desktop.logbook;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.bench.OverSheet;
import zebrawood.desktop.bench.Words;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.logbook.store.Logbook;

/** Takes back that a bar was lifted: a correction can shut a gate, never open one. */
final class GateCorrection {

    private GateCorrection() {}

    static Node of(Desk desk, Navigator navigator, Entry entry, Body.GateLine line, Consumer<Entry> recorded) {
        OverSheet sheet = new OverSheet(desk, navigator, line.title(), "Take it back", "gate-take-back");
        TextField why = OverSheet.field("gate-why", "what was not so");
        why.setOnAction(event -> sheet.goOn());
        sheet.with(Words.wrapped("Taking it back puts the bar in hand again: the gate shuts until it is lifted anew. The entry stays in the logbook.", "by-hand"), why);
        return sheet.records(() -> {
            String said = why.getText().strip();
            if (said.isEmpty()) {
                sheet.tell("Say what was not so.");
                return Optional.empty();
            }
            return Optional.of(new OverSheet.Recording(entry.place().machineId(), new Body.GateLine(line.bar(), line.title(), false, false, said),
                    Optional.of(new Logbook.Correcting(entry.number(), said)), List.of()));
        }, recorded);
    }
}
