package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;

/** Each kind of entry as the Logbook shows it, copies it, and lets it be corrected. */
class EntriesShownTest {

    @TempDir
    private Path folder;

    @Test
    void everyKindOfEntryIsShownCopiedAndCorrected() {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.as("RV");
            String wren = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
            plate(seat, wren);
            measured(seat, wren);
            cleaned(seat, wren);
            gateBar(seat, wren);
            point(seat, wren);
            everyStop(seat);
            assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
        }
    }

    private static Entry record(Seat seat, String machine, Body body) {
        return seat.desk
                .logbook()
                .append(
                        machine,
                        body,
                        new Entry.Stamp(Instant.parse("2031-03-14T09:00:00Z"), ZoneOffset.ofHours(1), "GA", "test"));
    }

    private static void show(Seat seat, Entry entry) {
        seat.entry(entry);
        seat.until(
                "no. " + entry.number() + " is shown",
                () -> seat.desk.isIdle() && seat.has("entry-paper") && seat.says("no. " + entry.number()));
    }

    private static String clipboard() {
        return Seat.onScreen(() -> String.valueOf(Clipboard.getSystemClipboard().getString()));
    }

    private static void plate(Seat seat, String machine) {
        show(seat, seat.desk.logbook().findNewest(machine, "plate").orElseThrow());
        seat.until("it says what stands on the plate", () -> seat.says("Wren, gantry CO2") && seat.says("Name"));
    }

    private static void measured(Seat seat, String machine) {
        Entry entry = seat.desk.logbook().readings(machine, "site-climate", 1).get(0);
        show(seat, entry);
        seat.fire("entry-copy");
        assertThat(clipboard())
                .contains(
                        "Climate\tWren\tno. " + entry.number(),
                        "PASS",
                        "dew point\t9.3",
                        "reading\tas typed\tunderstood",
                        entry.place().hash());
    }

    private static void cleaned(Seat seat, String machine) {
        Entry entry = record(
                seat,
                machine,
                new Body.Happened(
                        Change.CLEANED, "soot", Optional.of(new Body.Cleaning("focus lens", "soot", "", true))));
        show(seat, entry);
        seat.until(
                "surface, residue and damage are told",
                () -> seat.says("focus lens")
                        && seat.says("damage that stays")
                        && seat.says("none")
                        && seat.says("yes"));
        seat.fire("entry-copy");
        assertThat(clipboard()).contains("soot", entry.place().hash());
        seat.fire("entry-correct");
        seat.until(
                "it comes back filled",
                () -> seat.has("event-cleaned")
                        && Seat.<Boolean>onScreen(() -> ((ToggleButton) seat.find("event-cleaned")).isSelected())
                        && seat.words("event-surface").equals("focus lens"));
        seat.put("event-surface", "").fire("event-record");
        seat.until("a surface is asked for", () -> seat.says("Say which surface was cleaned."));
        seat.put("event-surface", "mirror 3").fire("event-record");
        seat.until(
                "and why",
                () -> seat.says("Say in a few words why no. " + entry.number() + " is replaced.")
                        && seat.focused("event-why"));
        seat.type("it was the mirror").enter().enter();
        seat.until(
                "the correction is shown", () -> seat.says("Corrects no. " + entry.number() + ": it was the mirror"));
        Entry corrected = seat.desk.logbook().findNewest(machine, "event").orElseThrow();
        assertThat(((Body.Happened) corrected.body()).cleaning().orElseThrow().surface())
                .isEqualTo("mirror 3");
    }

    private static void gateBar(Seat seat, String machine) {
        Entry entry = record(seat, machine, new Body.GateLine("earth", "Earth tested", true, false, "LO, 0.08 ohm"));
        show(seat, entry);
        seat.until("what was seen is told", () -> seat.says("Seen to be so.") && seat.says("LO, 0.08 ohm"));
    }

    private static void point(Seat seat, String machine) {
        Entry entry = record(seat, machine, new Body.PointOpened("replace the lid gasket", "LO", Optional.empty()));
        show(seat, entry);
        seat.until("who and by when is told", () -> seat.says("To be done by LO. No day was set."));
        seat.fire("entry-correct");
        seat.until("it comes back filled", () -> seat.words("point-what").equals("replace the lid gasket"));
        seat.put("point-due", "2 Apr 2031").fire("point-record");
        seat.until(
                "it is asked why", () -> seat.says("Say in a few words why no. " + entry.number() + " is replaced."));
        seat.put("point-what", "").put("point-why", "a day is known").fire("point-record");
        seat.until("and what", () -> seat.says("Say what is to be done."));
        seat.put("point-what", "replace the lid gasket").fire("point-record");
        seat.until("the correction is shown", () -> seat.says("By 2 April 2031."));
        seat.fire("entry-close");
        seat.until("it is asked how", () -> seat.has("point-how"));
        seat.fire("point-close");
        seat.until("nothing closes without a word", () -> seat.says("Say how it was done."));
        seat.press(KeyCode.ESCAPE);
        seat.until(
                "it stays open",
                () -> !seat.has("point-how")
                        && seat.desk.machine(machine).orElseThrow().points().stream()
                                .anyMatch(open ->
                                        ((Body.PointOpened) open.body()).what().equals("replace the lid gasket")));
    }

    /** Every stop that is on record anywhere has a drawing and a table in the Logbook. */
    private static void everyStop(Seat seat) {
        List<String> shown = new ArrayList<>();
        for (var machine : Seat.onScreen(() -> seat.desk.machines().get())) {
            for (var stop : machine.stops()) {
                String id = stop.card().id();
                Optional<Entry> newest = seat.desk.logbook().readings(machine.machineId(), id, 1).stream()
                        .findFirst();
                if (newest.isPresent() && !shown.contains(id)) {
                    show(seat, newest.get());
                    Body.Measured measured = (Body.Measured) newest.get().body();
                    String first = measured.shown().evidence().get(0).figure().replace('\u00a0', ' ');
                    seat.until(id + " tells " + first, () -> seat.says(first));
                    seat.fire("entry-copy");
                    assertThat(clipboard())
                            .as(id)
                            .contains(stop.card().title(), measured.verdict().toString())
                            .matches("(?s).*\\n[^\\n]+\\t[^\\n]+\\n.*");
                    shown.add(id);
                }
            }
        }
        assertThat(shown).hasSize(Catalogue.stops().size());
    }
}
