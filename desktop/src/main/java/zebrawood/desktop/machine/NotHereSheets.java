package zebrawood.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.desk.Navigator;
import zebrawood.desktop.recording.Recording;
import zebrawood.desktop.recording.RecordingOverlay;
import zebrawood.kit.view.Words;

/** Declares that a machine goes without a stop, and takes that back; both are entries of its plate. */
public final class NotHereSheets {

    private NotHereSheets() {}

    /** A sheet to declare a stop not wanted; the stop can be declined. */
    public static Node declare(Desk desk, Navigator navigator, String machineId, Card card, Consumer<Entry> recorded) {
        String machine = desk.machine(machineId).orElseThrow().plate().name();
        RecordingOverlay sheet = new RecordingOverlay(
                desk,
                navigator,
                new RecordingOverlay.Titles(
                        card.title() + " is not wanted on " + machine, "Leave it out", "not-here-record"),
                recorded);
        TextField reason = RecordingOverlay.field("not-here-reason", "why: stays where it was installed");
        reason.setOnAction(event -> sheet.goOn());
        sheet.with(
                Words.wrapped(
                        "It leaves the Route and its count. The certificate names it under a heading of its own, with"
                                + " your reason and initials. On the plate it can be taken back.",
                        "by-hand"),
                reason);
        return sheet.records(() -> {
            if (reason.getText().isBlank()) {
                sheet.tell("Say why this machine goes without it.");
                reason.requestFocus();
                return Optional.empty();
            }
            String why = reason.getText().strip();
            return Optional.of(new Recording.What(
                    machineId,
                    () -> changed(desk, machineId, without -> {
                        List<Plate.NotWanted> more = new ArrayList<>(without);
                        more.removeIf(stop -> stop.stop().equals(card.id()));
                        more.add(new Plate.NotWanted(
                                card.id(),
                                why,
                                desk.initials().get(),
                                desk.local(desk.now()).toLocalDate()));
                        return more;
                    }),
                    List.of(),
                    Optional.empty()));
        });
    }

    /** A sheet to take a declaration back. */
    public static Node takeBack(
            Desk desk, Navigator navigator, String machineId, Plate.NotWanted stop, Consumer<Entry> recorded) {
        RecordingOverlay sheet = new RecordingOverlay(
                desk,
                navigator,
                new RecordingOverlay.Titles("Back onto the Route", "Take it back", "not-here-back"),
                recorded);
        sheet.with(Words.wrapped("It was left out by " + stop.by() + ": " + stop.reason() + ".", "by-hand"));
        return sheet.records(() -> Optional.of(new Recording.What(
                machineId,
                () -> changed(
                        desk,
                        machineId,
                        without -> without.stream()
                                .filter(other -> !other.stop().equals(stop.stop()))
                                .toList()),
                List.of(),
                Optional.empty())));
    }

    /** The plate as it is recorded by now, with other stops left out. */
    private static Body changed(Desk desk, String machineId, UnaryOperator<List<Plate.NotWanted>> change) {
        Body.PlateSet now =
                (Body.PlateSet) desk.logbook().history(machineId).plateEntry().body();
        return new Body.PlateSet(now.plate().with(change.apply(now.plate().notWanted())), now.asTyped());
    }
}
