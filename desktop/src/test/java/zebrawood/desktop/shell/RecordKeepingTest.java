package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;
import zebrawood.core.route.StopState;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.desktop.work.WorkPage;
import zebrawood.logbook.store.Logbook;

/**
 * What a technician keeps beside readings, in the real window and by keyboard: events, work, points, search,
 * comparison.
 */
class RecordKeepingTest {

    @TempDir
    Path folder;

    @TempDir
    Path files;

    @Test
    void whatHappenedAndHowWorkCameOutIsKeptFoundAndCompared() throws IOException {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.as("RV");
            movedShutsTheGate(seat);
            workAfterTheFirstTakesFewKeys(seat);
            correctedWork(seat);
            different(seat);
            searched(seat);
            pointOpenedAndClosed(seat);
            photoKept(seat);
            recordedElsewhere(seat);
            assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
        }
    }

    private static Entry newest(Seat seat, String machine, String stop) {
        return seat.desk.logbook().findNewest(id(seat, machine), stop).orElseThrow();
    }

    private static String id(Seat seat, String machine) {
        return seat.desk.logbook().findMachine(machine).orElseThrow().id();
    }

    private static void movedShutsTheGate(Seat seat) {
        seat.jump("kestrel climate");
        seat.until("it is open", () -> seat.has("again"));
        seat.press(KeyCode.CONTROL, KeyCode.E);
        seat.until("one can say what happened", () -> seat.focused("event-moved"));
        seat.press(KeyCode.DIGIT1);
        seat.until(
                "what follows is said before",
                () -> seat.says("The first light gate shuts: all 9 bars are to be lifted again.")
                        && seat.says("Climate is to be done again.")
                        && seat.says("Ramp line is shut until then."));
        assertThat(seat.desk.machine(id(seat, "Kestrel")).orElseThrow().gate().isOpen())
                .as("nothing is recorded yet")
                .isTrue();
        seat.type("to the loft").enter().enter();
        seat.until(
                "and so it is",
                () -> !seat.desk
                        .machine(id(seat, "Kestrel"))
                        .orElseThrow()
                        .gate()
                        .isOpen());
        assertThat(seat.desk
                        .machine(id(seat, "Kestrel"))
                        .orElseThrow()
                        .stop("focus-ramp")
                        .state())
                .isEqualTo(StopState.SHUT);
        seat.press(KeyCode.CONTROL, KeyCode.R);
        seat.until(
                "work waits for the gate too",
                () -> seat.focused("opens") && seat.words("act").equals("First light comes first."));
    }

    /** Ctrl+R, four letters, Enter, a digit, Ctrl+Enter: eight keystrokes, everything else repeats. */
    private static void workAfterTheFirstTakesFewKeys(Seat seat) {
        seat.jump("wren ramp");
        seat.until("Wren is open", () -> seat.has("again"));
        Body.Worked last = (Body.Worked) newest(seat, "Wren", "work").body();
        seat.press(KeyCode.CONTROL, KeyCode.R);
        seat.until(
                "the word has the focus, the rest repeats",
                () -> seat.focused("outcome.word")
                        && seat.words("stock.kind").equals("poplar ply")
                        && seat.words("recipe.powerPct").equals("62")
                        && seat.words("outcome.word").isEmpty());
        seat.type("good").enter().type("8");
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded and shown", () -> seat.has("entry-paper") && seat.says("8 OF 10"));
        Body.Worked now = (Body.Worked) newest(seat, "Wren", "work").body();
        assertThat(now.result().stock()).isEqualTo(last.result().stock());
        assertThat(now.result().setup()).isEqualTo(last.result().setup());
        assertThat(now.result().recipe()).isEqualTo(last.result().recipe());
        assertThat(now.result().outcome().score()).hasValue(8);
        assertThat(now.along().known())
                .extracting(known -> known.what())
                .contains("climate", "settings", "focus", "power", "cleaning");
        assertThat(now.along().notOnRecord()).doesNotContain("level", "power");
    }

    private static void correctedWork(Seat seat) {
        Entry wrong = newest(seat, "Wren", "work");
        Seat.onScreen(() -> {
            seat.find("entry-correct").requestFocus();
            return null;
        });
        seat.enter();
        seat.until(
                "it comes back filled",
                () -> seat.focused("outcome.word") && seat.words("outcome.word").equals("good"));
        Seat.onScreen(() -> {
            ((TextField) seat.find("setup.air")).setText("low");
            return null;
        });
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is asked why", () -> seat.focused("why"));
        seat.type("the air was on after all").enter();
        seat.until("the correction is shown", () -> seat.says("Corrects no. " + wrong.number()));
        Entry right = newest(seat, "Wren", "work");
        assertThat(right.corrects().orElseThrow().number()).isEqualTo(wrong.number());
        assertThat(((Body.Worked) right.body()).result().setup().air()).contains("low");
        assertThat(seat.desk.logbook().entry(wrong.place().machineId(), wrong.number()))
                .as("both stay")
                .isEqualTo(wrong);
    }

    private static void different(Seat seat) {
        seat.press(KeyCode.CONTROL, KeyCode.D);
        seat.until(
                "the two lie side by side, the cause first",
                () -> seat.words("act").equals("Air: off, then low."));
        seat.until("what is not on record is said", () -> seat.says("Not on record"));
        Entry bad = seat.desk.logbook().readings(id(seat, "Wren"), "work", 3).get(1);
        Seat.onScreen(() -> {
            ((Hyperlink) seat.find("behind-" + bad.number())).fire();
            return null;
        });
        seat.until("the entry behind a line opens", () -> seat.has("entry-paper") && seat.says("no. " + bad.number()));
    }

    private static void searched(Seat seat) {
        seat.press(KeyCode.CONTROL, KeyCode.F);
        seat.until("one can search", () -> seat.focused("search"));
        seat.type("sooty b-22");
        seat.until(
                "found as one types",
                () -> seat.find("tape") instanceof ListView<?> tape
                        && tape.getItems().size() == 2
                        && seat.says("3 OF 10"));
        Seat.onScreen(() -> {
            ((TextField) seat.find("search")).setText("sooty beech");
            return null;
        });
        seat.until("nothing has both words", () -> seat.says("Nothing on record has all of these words."));
        Seat.onScreen(() -> {
            ((TextField) seat.find("search")).setText("");
            return null;
        });
    }

    private static void pointOpenedAndClosed(Seat seat) {
        seat.jump("heron open a point");
        seat.until("it is asked what", () -> seat.focused("point-what"));
        seat.type("curtain rail is loose")
                .enter()
                .type("LO")
                .enter()
                .type("whenever")
                .enter()
                .enter();
        seat.until("a wrong day is told", () -> seat.says("Type the day as 2031-04-02"));
        Seat.onScreen(() -> {
            ((TextField) seat.find("point-due")).setText("14 days");
            seat.find("point-record").requestFocus();
            return null;
        });
        seat.enter();
        seat.until(
                "it is open",
                () -> seat.desk
                                .machine(id(seat, "Heron"))
                                .orElseThrow()
                                .points()
                                .size()
                        == 1);
        Entry point =
                seat.desk.machine(id(seat, "Heron")).orElseThrow().points().get(0);
        assertThat(((Body.PointOpened) point.body()).due()).contains(LocalDate.of(2031, 3, 28));
        seat.press(KeyCode.CONTROL, KeyCode.DIGIT1);
        seat.until("it stands on the Shop page", () -> seat.says("curtain rail is loose (LO)"));
        seat.jump("heron " + point.number());
        seat.until("it can be closed", () -> seat.has("entry-close"));
        Seat.onScreen(() -> {
            seat.find("entry-close").requestFocus();
            return null;
        });
        seat.enter();
        seat.until("it is asked how", () -> seat.focused("point-how"));
        seat.type("screws tightened").enter().enter();
        seat.until(
                "and closed",
                () -> seat.desk
                                .machine(id(seat, "Heron"))
                                .orElseThrow()
                                .points()
                                .isEmpty()
                        && seat.says("CLOSED"));
    }

    private void photoKept(Seat seat) throws IOException {
        Path photo = files.resolve("lens.jpg");
        try (var in = DemoShop.class.getResourceAsStream("/zebrawood/desktop/demo/sooty-rim.jpg")) {
            Files.copy(in, photo);
        }
        Path pretended = Files.writeString(files.resolve("pretends.png"), "I am no picture");
        seat.jump("heron work result");
        seat.until(
                "the page is open",
                () -> seat.focused("outcome.word") && !seat.words("stock.kind").isEmpty());
        Seat.onScreen(() -> {
            WorkPage page = (WorkPage) seat.shell().page();
            page.take(photo.toFile());
            page.take(pretended.toFile());
            page.take(files.toFile());
            return null;
        });
        seat.until("a folder is refused in a sentence", () -> seat.says("is a folder"));
        seat.until(
                "the small picture is there",
                () -> Seat.<Boolean>onScreen(
                        () -> ((AttachBox) seat.find("attach-box")).files().size() == 2));
        seat.type("ok").enter().type("7");
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until(
                "its files are shown, the pretended one told",
                () -> seat.has("attached") && seat.says("pretends.png has the name of a picture, but cannot"));
        Entry entry = newest(seat, "Heron", "work");
        assertThat(entry.attachments()).extracting(Entry.Attachment::name).containsExactly("lens.jpg", "pretends.png");
        assertThat(seat.desk.logbook().attachment(entry.attachments().get(0).sha256()))
                .as("unchanged")
                .isEqualTo(Files.readAllBytes(photo));
    }

    /** Another program records on the same logbook; the window shows it without being asked. */
    private void recordedElsewhere(Seat seat) {
        seat.press(KeyCode.CONTROL, KeyCode.DIGIT1);
        seat.until(
                "Heron is in order",
                () -> seat.desk.machine(id(seat, "Heron")).orElseThrow().gate().isOpen());
        try (Logbook other = Logbook.open(folder, Catalogue.procedures())) {
            other.append(
                    id(seat, "Heron"),
                    new Body.Happened(Change.SOURCE_CHANGED, "elsewhere"),
                    new Entry.Stamp(Instant.parse("2031-03-14T09:31:00Z"), ZoneOffset.UTC, "LO", "another"));
        }
        seat.until(
                "the window has read it",
                () -> !seat.desk.machine(id(seat, "Heron")).orElseThrow().gate().isOpen());
        Node row = seat.find("next-heron-first-light");
        assertThat(row).as("it stands among what is next").isNotNull();
    }

    @Test
    void aLogbookWithoutInitialsOrWithAClockThatJumpsBackStillRecords() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            String wren = logbook.findMachine("Wren").orElseThrow().id();
            Entry late = logbook.append(
                    wren,
                    new Body.Happened(Change.KNOCKED, "trolley"),
                    new Entry.Stamp(Instant.parse("2031-03-14T10:00:00Z"), ZoneOffset.UTC, "LO", "t"));
            Entry early = logbook.append(
                    wren,
                    new Body.Happened(Change.CLEANED, "", Optional.of(new Body.Cleaning("lens", "", "", false))),
                    new Entry.Stamp(Instant.parse("2031-03-13T10:00:00Z"), ZoneOffset.UTC, "LO", "t"));
            assertThat(early.number()).as("order is by the chain").isEqualTo(late.number() + 1);
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }
}
