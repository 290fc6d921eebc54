package zebrawood.desktop.route;

import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Change;
import zebrawood.desktop.bench.Words;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;

/** Records that something happened to a machine; what follows from it is said before. */
final class EventSheet extends VBox {

    EventSheet(Desk desk, Navigator navigator, String machineId, String machine, Change change, Runnable recorded) {
        getStyleClass().add("over-sheet");
        setMaxSize(460, USE_PREF_SIZE);
        TextField remark = new TextField();
        remark.setId("event-remark");
        remark.setPromptText("where to, which one, why");
        Words.follow(remark);
        TextField initials = new TextField(desk.initials().get());
        initials.setId("event-initials");
        initials.setPromptText("initials");
        initials.setMaxWidth(120);
        Label told = Words.wrapped("", "problem");
        Button record = new Button("Record it");
        record.setId("event-record");
        record.getStyleClass().setAll("button", "strong");
        Button back = new Button("Not now");
        back.getStyleClass().setAll("button", "outline");
        back.setOnAction(event -> navigator.closeOverlay());
        record.setOnAction(event -> {
            if (initials.getText().isBlank()) {
                told.setText("Your initials, please.");
                initials.requestFocus();
                return;
            }
            desk.initials().set(initials.getText().strip().toUpperCase(Locale.ROOT));
            Body.Happened body = new Body.Happened(change, remark.getText().strip());
            var stamp = desk.stamp();
            desk.later(() -> desk.logbook().append(machineId, body, stamp), entry -> {
                navigator.closeOverlay();
                recorded.run();
            }, refused -> told.setText(refused.getMessage() + "."));
        });
        remark.setOnAction(event -> (initials.getText().isBlank() ? initials : record).requestFocus());
        initials.setOnAction(event -> record.fire());
        HBox buttons = new HBox(12, record, back, initials);
        getChildren().addAll(
                Words.label(machine + ": " + change.words(), "title"),
                Words.wrapped("What follows: ", "by-hand"),
                remark, buttons, told);
    }
}
