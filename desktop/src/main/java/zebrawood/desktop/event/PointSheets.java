package zebrawood.desktop.event;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.bench.AttachBox;
import zebrawood.desktop.bench.OverSheet;
import zebrawood.desktop.bench.Words;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.logbook.store.Logbook;

/** Opens and closes points: what is to be done that no stop says. */
public final class PointSheets {

    private static final List<DateTimeFormatter> DAYS = List.of(
            DateTimeFormatter.ISO_LOCAL_DATE,
            DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d.M.uuuu", Locale.ENGLISH));

    private PointSheets() {}

    /** A sheet to open a point; filled with an entry that is to be replaced where there is one. */
    public static Node open(Desk desk, Navigator navigator, String machineId, Optional<Entry> correcting, Consumer<Entry> recorded) {
        String machine = desk.machine(machineId).orElseThrow().plate().name();
        OverSheet sheet = new OverSheet(desk, navigator, correcting.map(entry -> "Correct no. " + entry.number() + " of " + machine).orElse("An open point on " + machine),
                correcting.isPresent() ? "Record the correction" : "Open it", "point-record");
        TextField what = OverSheet.field("point-what", "what is to be done, or which part is missing");
        TextField who = OverSheet.field("point-who", "by whom: licensed electrician, LO");
        TextField due = OverSheet.field("point-due", "by when: 2031-04-02, 14 days, or leave it empty");
        TextField why = OverSheet.field("point-why", "why the old entry is replaced");
        AttachBox files = new AttachBox(desk);
        correcting.map(entry -> (Body.PointOpened) entry.body()).ifPresent(point -> {
            what.setText(point.what());
            who.setText(point.who());
            due.setText(point.due().map(LocalDate::toString).orElse(""));
        });
        why.setManaged(correcting.isPresent());
        why.setVisible(correcting.isPresent());
        what.setOnAction(event -> who.requestFocus());
        who.setOnAction(event -> due.requestFocus());
        due.setOnAction(event -> {
            if (correcting.isPresent()) {
                why.requestFocus();
            } else {
                sheet.goOn();
            }
        });
        why.setOnAction(event -> sheet.goOn());
        sheet.with(Words.wrapped("It stands on the Shop page and on the certificate until somebody closes it.", "by-hand"), what, who, due, why, files);
        return sheet.records(() -> {
            if (what.getText().isBlank()) {
                sheet.tell("Say what is to be done.");
                return Optional.empty();
            }
            if (correcting.isPresent() && why.getText().isBlank()) {
                sheet.tell("Say in a few words why the old entry is replaced.");
                return Optional.empty();
            }
            Optional<LocalDate> day = day(due.getText(), desk.local(desk.now()).toLocalDate());
            if (day.isEmpty() && !due.getText().isBlank()) {
                sheet.tell("Type the day as 2031-04-02, as 2 Apr 2031, or as a number of days such as 14 days.");
                due.requestFocus();
                return Optional.empty();
            }
            Body.PointOpened body = new Body.PointOpened(what.getText().strip(), who.getText().strip(), day);
            return Optional.of(new OverSheet.Recording(machineId, body, correcting.map(entry -> new Logbook.Correcting(entry.number(), why.getText().strip())), files.files()));
        }, recorded);
    }

    /** A day as typed; empty where it is none. */
    static Optional<LocalDate> day(String typed, LocalDate today) {
        String text = typed.strip();
        if (text.matches("\\d{1,4}( ?d| ?days?)?")) {
            return Optional.of(today.plusDays(Integer.parseInt(text.replaceAll("\\D", ""))));
        }
        for (DateTimeFormatter each : DAYS) {
            try {
                return Optional.of(LocalDate.parse(text, each));
            } catch (DateTimeException another) {
                continue;
            }
        }
        return Optional.empty();
    }

    /** A sheet to close a point. */
    public static Node close(Desk desk, Navigator navigator, Entry entry, Consumer<Entry> recorded) {
        Body.PointOpened point = (Body.PointOpened) entry.body();
        OverSheet sheet = new OverSheet(desk, navigator, point.what(), "Close it", "point-close");
        TextField how = OverSheet.field("point-how", "how it was done, and by whom");
        AttachBox files = new AttachBox(desk);
        how.setOnAction(event -> sheet.goOn());
        sheet.with(Words.wrapped("Closing it is an entry of its own; what was open, and since when, stays in the logbook.", "by-hand"), how, files);
        return sheet.records(() -> {
            if (how.getText().isBlank()) {
                sheet.tell("Say how it was done.");
                return Optional.empty();
            }
            return Optional.of(new OverSheet.Recording(entry.place().machineId(), new Body.PointClosed(entry.number(), point.what(), how.getText().strip()),
                    Optional.empty(), files.files()));
        }, recorded);
    }
}
