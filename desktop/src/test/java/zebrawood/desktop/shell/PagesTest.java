package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.History;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.desktop.route.RoutePage;
import zebrawood.logbook.store.Logbook;

/** What every page has to do: undo, ask who records, say what is missing, keep what was typed when it is refused. */
class PagesTest {

    @TempDir
    private Path folder;

    private void demo() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
    }

    private void bare(String... names) {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            for (String name : names) {
                Plate plate = new Plate(
                        name,
                        Family.GANTRY_DIODE,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty());
                logbook.append(
                        name.toLowerCase(Locale.ROOT),
                        new Body.PlateSet(plate, Map.of()),
                        new Entry.Stamp(Instant.parse("2031-03-14T08:00:00Z"), ZoneOffset.UTC, "LO", "test"));
            }
        }
    }

    @Test
    void whatIsTypedIsTakenBackAndDoneAgainOnEachPage() {
        demo();
        try (Seat seat = new Seat(folder)) {
            String wren = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
            Seat.onScreen(() -> {
                seat.shell().plate(wren);
                return null;
            });
            takenBack(seat, "place", "loft", seat.words("place"));
            seat.press(KeyCode.CONTROL, KeyCode.R);
            takenBack(seat, "recipe.passes", "3", "");
            seat.stop("Wren", "coolant-setpoint").again();
            takenBack(seat, "airTemperatureC", "22", "");
            seat.press(KeyCode.CONTROL, KeyCode.Z);
            seat.until("at the beginning it is said", () -> seat.words("told").equals("Nothing to undo."));
            seat.press(KeyCode.CONTROL, KeyCode.Y).press(KeyCode.CONTROL, KeyCode.Y);
            seat.until("and at the end", () -> seat.words("told").equals("Nothing to do again."));
        }
    }

    private static void takenBack(Seat seat, String field, String text, String before) {
        seat.until(field + " can be typed", () -> seat.has(field) && seat.desk.isIdle());
        String was = before.isEmpty() ? seat.words(field) : before;
        seat.put(field, text);
        seat.press(KeyCode.CONTROL, KeyCode.Z);
        seat.until(field + " is as it was", () -> seat.words(field).equals(was));
        seat.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        seat.until(field + " is typed again", () -> seat.words(field).equals(text));
        seat.press(KeyCode.CONTROL, KeyCode.Z).press(KeyCode.CONTROL, KeyCode.Y);
        seat.until("Ctrl+Y does the same", () -> seat.words(field).equals(text));
        seat.press(KeyCode.CONTROL, KeyCode.Z);
        seat.until("and back", () -> seat.words(field).equals(was));
    }

    @Test
    void whoRecordsIsAskedWhereItIsNotKnownAndMissingThingsAreNamed() {
        demo();
        try (Seat seat = new Seat(folder)) {
            seat.stop("Wren", "focus-ramp");
            seat.press(KeyCode.CONTROL, KeyCode.R);
            seat.until(
                    "the word is asked for",
                    () -> seat.focused("outcome.word") && seat.words("act").equals("Type how it came out, in a word."));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until(
                    "nothing was recorded",
                    () -> seat.words("told").equals("Nothing is recorded yet: Type how it came out, in a word."));
            seat.type("good").put("recipe.powerPct", "a lot");
            seat.until("what is wrong is marked", () -> seat.words("act").equals("Put right what is marked."));
            seat.fire("put-away");
            seat.until(
                    "all is as the last one again",
                    () -> seat.words("outcome.word").isEmpty()
                            && seat.words("recipe.powerPct").equals("62"));
            seat.type("good").press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until(
                    "it is asked who records",
                    () -> seat.focused("initials") && seat.words("told").startsWith("Your initials"));
            seat.type("rv").enter();
            seat.until(
                    "it is recorded by them",
                    () -> seat.has("entry-paper") && seat.desk.initials().get().equals("RV"));
        }
    }

    @Test
    void theGateSaysWhyItTakesNothingElse() {
        bare("Kestrel");
        try (Seat seat = new Seat(folder)) {
            seat.stop("Kestrel", "first-light");
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("its buttons record", () -> seat.says("Answer the bar in hand with one of its buttons."));
            seat.press(KeyCode.CONTROL, KeyCode.Z);
            seat.until(
                    "nothing is undone",
                    () -> seat.says("An answer is recorded at once; an entry can be corrected in the Logbook."));
            Seat.onScreen(() -> {
                seat.shell().page().take(folder.toFile());
                return null;
            });
            seat.until("no file is taken", () -> seat.says("The gate takes no files."));
            seat.press(KeyCode.F1);
            seat.until(
                    "its help is there",
                    () -> seat.says("The last bar is the first pulse: lowest power, everyone in eyewear."));
            seat.press(KeyCode.ESCAPE);
            seat.fire("yes");
            seat.until("it is asked who saw it", () -> seat.focused("initials"));
            seat.type("ga").enter();
            seat.until(
                    "the bar is lifted by them",
                    () -> seat.desk.machine("kestrel").orElseThrow().gate().lifted() == 1);
            seat.until("the next one is in hand", () -> seat.desk.isIdle() && seat.focused("yes"));
            seat.press(KeyCode.CONTROL, KeyCode.C);
            seat.until("the bars are copied", () -> seat.says("The bars are on the clipboard."));
            assertThat(Seat.onScreen(() -> Clipboard.getSystemClipboard().getString()))
                    .startsWith("bar\tanswer\tremark\n")
                    .contains("lifted GA, 14 Mar");
        }
    }

    @Test
    void aStopAsksForWhatThePlateDoesNotSayAndRecordsBoth() {
        bare("Kestrel");
        try (Seat seat = new Seat(folder)) {
            Seat.onScreen(() -> {
                seat.shell().stop("kestrel", "site-climate");
                return null;
            });
            seat.until(
                    "what is lacking is asked over the drawing",
                    () -> seat.focused("climate.minTemperatureC")
                            && seat.words("verdict").equals("TO READ"));
            seat.press(KeyCode.SPACE)
                    .enter()
                    .press(KeyCode.SPACE)
                    .enter()
                    .type("20")
                    .enter();
            assertThat(Seat.<Boolean>onScreen(() -> seat.has("airTemperatureC")))
                    .as("not before all of it is known")
                    .isFalse();
            seat.type("66");
            seat.until("the bench stands under it", () -> seat.has("airTemperatureC"));
            seat.enter();
            seat.until("and is begun", () -> seat.focused("airTemperatureC"));
            seat.type("21").enter().type("45");
            seat.until(
                    "it is judged by what was typed", () -> seat.words("act").equals("The room suits this machine."));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("initials are asked", () -> seat.focused("initials"));
            seat.type("ga").enter();
            seat.until("both are recorded", () -> seat.says("No. 3, recorded"));
            History history = seat.desk.logbook().history("kestrel");
            assertThat(history.plateEntry().number()).isEqualTo(2);
            assertThat(history.plate().climate().orElseThrow().maxHumidityPct()).isEqualTo(66);
            assertThat(history.plate().climate().orElseThrow().minTemperatureC())
                    .as("the usual figure, taken over")
                    .isEqualTo(10);
            assertThat(history.of("site-climate"))
                    .singleElement()
                    .satisfies(read -> assertThat(read.verdict()).isEqualTo(Verdict.PASS));
        }
    }

    @Test
    void whatConcernsAMachineAsksWhichOneWhereItIsNotKnown() {
        try (Seat seat = new Seat(folder)) {
            seat.press(KeyCode.CONTROL, KeyCode.E);
            seat.until("there is none yet", () -> seat.says("Add a machine first."));
            seat.press(KeyCode.CONTROL, KeyCode.DIGIT2);
            seat.until("a plate is begun", () -> seat.focused("name"));
        }
        bare("Kestrel");
        try (Seat seat = new Seat(folder)) {
            seat.press(KeyCode.CONTROL, KeyCode.E);
            seat.until("the only one is meant", () -> seat.focused("event-moved") && seat.says("Kestrel"));
            seat.press(KeyCode.ESCAPE);
        }
        bare("Heron");
        try (Seat seat = new Seat(folder)) {
            seat.press(KeyCode.CONTROL, KeyCode.E);
            seat.until(
                    "it is asked on which",
                    () -> seat.focused("jump-text")
                            && ((TextField) seat.find("jump-text"))
                                    .getPromptText()
                                    .equals("On which machine did something happen?"));
            seat.type("heron").enter();
            seat.until("Heron is meant", () -> seat.focused("event-moved") && seat.says("Heron"));
            seat.press(KeyCode.ESCAPE).press(KeyCode.CONTROL, KeyCode.DIGIT2);
            seat.until(
                    "the Route opens at what is next",
                    () -> seat.shell().page() instanceof RoutePage route
                            && route.isOf("kestrel")
                            && route.stop().equals("site-access"));
        }
    }

    @Test
    void aRefusedRecordingIsToldAndNothingIsLost() {
        demo();
        try (Seat seat = new Seat(folder)) {
            seat.as("RV");
            seat.stop("Wren", "coolant-setpoint")
                    .again()
                    .put("airTemperatureC", "22")
                    .put("relativeHumidityPct", "51.5");
            seat.until(
                    "it could be recorded",
                    () -> seat.has("record") && !seat.find("record").isDisabled());
            seat.desk.logbook().close();
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until(
                    "it is told",
                    () -> seat.words("told").startsWith("Nothing was recorded")
                            || seat.words("told").startsWith("The logbook"));
            assertThat(List.of(seat.words("airTemperatureC"), seat.words("relativeHumidityPct")))
                    .containsExactly("22", "51.5");
            seat.until("it can be tried again", () -> !seat.find("record").isDisabled());
        }
    }
}
