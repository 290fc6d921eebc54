package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;

/** What was different, between readings, work results and where there is nothing to compare. */
class DifferenceTest {

    @TempDir
    private Path folder;

    @Test
    void anyTwoEntriesAreLaidSideBySide() {
        try (Seat seat = Seat.atDemo(folder)) {
            String wren = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
            List<Entry> ramps = seat.desk.logbook().readings(wren, "focus-ramp", 6);
            show(seat, ramps.get(0));
            seat.fire("entry-difference");
            seat.until(
                    "the one before lies beside it",
                    () -> seat.has("earlier")
                            && chosen(seat, "earlier")
                                    .startsWith("no. " + ramps.get(1).number())
                            && seat.says("Not on record"));
            seat.until(
                    "readings are named by what they found",
                    () -> seat.says("Ramp line, best gap") || seat.says("Ramp line, 6."));

            seat.focus("earlier").choose("earlier", choice(seat, "earlier", ramps.get(3)));
            seat.until(
                    "another one can be chosen",
                    () -> seat.desk.isIdle()
                            && chosen(seat, "earlier")
                                    .startsWith("no. " + ramps.get(3).number()));
            seat.focus("earlier").press(KeyCode.CONTROL, KeyCode.C);
            seat.until("the differences are copied", () -> seat.says("The differences are on the clipboard."));
            String text = Seat.onScreen(() -> Clipboard.getSystemClipboard().getString());
            assertThat(text)
                    .startsWith("what\tfirst\tthen\tto know\tlikelihood\n")
                    .contains("not on record\t");
            assertThat(text.lines()
                            .skip(1)
                            .filter(line -> !line.startsWith("not on record"))
                            .map(line -> Integer.parseInt(line.substring(line.lastIndexOf('\t') + 1))))
                    .as("the likeliest first")
                    .isSortedAccordingTo((one, other) -> other - one);
        }
    }

    @Test
    void whatHappenedInBetweenIsLookedAtFirst() {
        try (Seat seat = Seat.atDemo(folder)) {
            String heron =
                    seat.desk.logbook().findMachine("Heron").orElseThrow().id();
            Entry last = seat.desk.logbook().findNewest(heron, "work").orElseThrow();
            seat.desk
                    .logbook()
                    .append(
                            heron,
                            new Body.Happened(
                                    Change.CLEANED,
                                    "",
                                    Optional.of(new Body.Cleaning("field lens", "smoke", "a burnt spot", true))),
                            new Entry.Stamp(Instant.parse("2031-03-14T08:30:00Z"), ZoneOffset.UTC, "LO", "test"));
            Entry again = seat.desk
                    .logbook()
                    .append(
                            heron,
                            last.body(),
                            new Entry.Stamp(Instant.parse("2031-03-14T09:00:00Z"), ZoneOffset.UTC, "LO", "test"));
            Seat.onScreen(() -> {
                seat.shell().difference(again, Optional.of(last));
                return null;
            });
            seat.until("the damage is said", () -> seat.words("act").startsWith("Cleaned field lens, the same day"));
            seat.until("and what to do about it", () -> seat.says("Look at it before anything else is changed."));
        }
    }

    @Test
    void whereThereIsOnlyOneItIsSaid() {
        try (Seat seat = Seat.atDemo(folder)) {
            String kestrel =
                    seat.desk.logbook().findMachine("Kestrel").orElseThrow().id();
            show(seat, seat.desk.logbook().readings(kestrel, "site-circuit", 1).get(0));
            if (seat.desk.logbook().readings(kestrel, "site-circuit", 2).size() == 1) {
                seat.fire("entry-difference");
                seat.until(
                        "another one has to be recorded first",
                        () -> seat.words("act").equals("There is no second one to compare with yet."));
            }
            seat.stop("Dunlin", "site-climate");
            seat.press(KeyCode.CONTROL, KeyCode.D);
            seat.until(
                    "no work was done with it",
                    () -> seat.says("No work result stands on record for this machine yet; Ctrl+R types one."));
        }
    }

    private static void show(Seat seat, Entry entry) {
        seat.entry(entry);
        seat.until(
                "no. " + entry.number() + " is shown",
                () -> seat.desk.isIdle() && seat.has("entry-difference") && seat.says("no. " + entry.number()));
    }

    private static String chosen(Seat seat, String id) {
        return String.valueOf(((ComboBox<?>) seat.find(id)).getValue());
    }

    private static String choice(Seat seat, String id, Entry entry) {
        return Seat.onScreen(() -> ((ComboBox<?>) seat.find(id))
                .getItems().stream()
                        .map(String::valueOf)
                        .filter(words -> words.startsWith("no. " + entry.number() + ","))
                        .findFirst()
                        .orElseThrow());
    }
}
