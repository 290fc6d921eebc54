package zebrawood.desktop.logbook;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.bench.Words;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.logbook.store.Logbook;

/** Takes back that a bar was lifted: a correction can shut a gate, never open one. */
final class GateCorrection extends VBox {

    GateCorrection(Desk desk, Navigator navigator, Entry entry, Body.GateLine line, Runnable recorded) {
        getStyleClass().add("over-sheet");
        setMaxSize(480, USE_PREF_SIZE);
        TextField why = new TextField();
        why.setId("gate-why");
        why.setPromptText("what was not so");
        Words.follow(why);
        TextField initials = new TextField(desk.initials().get());
        initials.setPromptText("initials");
        initials.setMaxWidth(120);
        Label told = Words.wrapped("", "problem");
        Button record = new Button("Take it back");
        record.setId("gate-take-back");
        record.getStyleClass().setAll("button", "strong");
        Button leave = new Button("Leave it");
        leave.getStyleClass().setAll("button", "outline");
        leave.setOnAction(event -> navigator.closeOverlay());
        record.setOnAction(event -> {
            if (why.getText().isBlank() || initials.getText().isBlank()) {
                told.setText("Say what was not so, and who says it.");
                return;
            }
            desk.initials().set(initials.getText().strip().toUpperCase(Locale.ROOT));
            Body.GateLine body = new Body.GateLine(line.bar(), line.title(), false, false, why.getText().strip());
            Logbook.Correcting correcting = new Logbook.Correcting(entry.number(), why.getText().strip());
            Entry.Stamp stamp = desk.stamp();
            desk.later(() -> desk.logbook().append(entry.place().machineId(), body, Optional.of(correcting), List.of(), stamp), done -> {
                navigator.closeOverlay();
                desk.refresh(recorded);
            }, refused -> told.setText(refused.getMessage() + "."));
        });
        getChildren().addAll(
                Words.label(line.title(), "title"),
                Words.wrapped("Taking it back puts the bar in hand again: the gate shuts until it is lifted anew. The entry stays in the logbook.", "by-hand"),
                why, new HBox(12, record, leave, initials), told);
    }
}
