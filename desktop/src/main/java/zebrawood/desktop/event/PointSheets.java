package zebrawood.desktop.event;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.units.Days;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.view.Words;

/** Opens and closes points: what is to be done that no stop says. */
public final class PointSheets {

    private PointSheets() {}

    /** A sheet to open a point; filled with an entry that is to be replaced where there is one. */
    public static Node open(
            Desk desk, Navigator navigator, String machineId, Optional<Entry> correcting, Consumer<Entry> recorded) {
        String machine = desk.machine(machineId).orElseThrow().plate().name();
        String title = correcting
                .map(entry -> "Correct no. " + entry.number() + " of " + machine)
                .orElse("An open point on " + machine);
        RecordingOverlay sheet = new RecordingOverlay(
                desk,
                navigator,
                new RecordingOverlay.Titles(
                        title, correcting.isPresent() ? "Record the correction" : "Open it", "point-record"),
                recorded);
        TextField what = RecordingOverlay.field("point-what", "what is to be done, or which part is missing");
        TextField who = RecordingOverlay.field("point-who", "by whom: licensed electrician, LO");
        TextField due = RecordingOverlay.field("point-due", "by when: 2031-04-02, 14 days, or leave it empty");
        Optional<TextField> why =
                correcting.map(entry -> sheet.correcting(entry, "point-why", "why the old entry is replaced"));
        AttachBox files = new AttachBox(desk);
        correcting.map(entry -> (Body.PointOpened) entry.body()).ifPresent(point -> {
            what.setText(point.what());
            who.setText(point.who());
            due.setText(point.due().map(LocalDate::toString).orElse(""));
        });
        what.setOnAction(event -> who.requestFocus());
        who.setOnAction(event -> due.requestFocus());
        due.setOnAction(event -> why.ifPresentOrElse(TextField::requestFocus, sheet::goOn));
        sheet.with(
                Words.wrapped("It stands on the Shop page and on the certificate until somebody closes it.", "by-hand"),
                what,
                who,
                due);
        why.ifPresent(sheet::with);
        sheet.with(files);
        return sheet.records(() -> {
            if (what.getText().isBlank()) {
                sheet.tell("Say what is to be done.");
                return Optional.empty();
            }
            Optional<LocalDate> day =
                    Days.typed(due.getText(), desk.local(desk.now()).toLocalDate());
            if (day.isEmpty() && !due.getText().isBlank()) {
                sheet.tell("Type the day as 2031-04-02, as 2 Apr 2031, or as a number of days such as 14 days.");
                due.requestFocus();
                return Optional.empty();
            }
            Body.PointOpened body =
                    new Body.PointOpened(what.getText().strip(), who.getText().strip(), day);
            return Optional.of(new Recording.What(machineId, () -> body, files.files(), Optional.empty()));
        });
    }

    /** A sheet to close a point. */
    public static Node close(Desk desk, Navigator navigator, Entry entry, Consumer<Entry> recorded) {
        Body.PointOpened point = (Body.PointOpened) entry.body();
        RecordingOverlay sheet = new RecordingOverlay(
                desk, navigator, new RecordingOverlay.Titles(point.what(), "Close it", "point-close"), recorded);
        TextField how = RecordingOverlay.field("point-how", "how it was done, and by whom");
        AttachBox files = new AttachBox(desk);
        how.setOnAction(event -> sheet.goOn());
        sheet.with(
                Words.wrapped(
                        "Closing it is an entry of its own; what was open, and since when, stays in the logbook.",
                        "by-hand"),
                how,
                files);
        return sheet.records(() -> {
            if (how.getText().isBlank()) {
                sheet.tell("Say how it was done.");
                return Optional.empty();
            }
            Body.PointClosed closed = new Body.PointClosed(
                    entry.number(), point.what(), how.getText().strip());
            return Optional.of(
                    new Recording.What(entry.place().machineId(), () -> closed, files.files(), Optional.empty()));
        });
    }
}
