package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.extraction.ExtractionReadings;
import zebrawood.core.mains.CircuitReadings;
import zebrawood.desktop.demo.DemoShop;

/**
 * The ways of each bench that a straight measurement does not take: more places, other files, long lists, half-done
 * work.
 */
class BenchHandlingTest {

    @TempDir
    private Path folder;

    @TempDir
    private Path files;

    @BeforeEach
    void theDemoIsThere() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
    }

    private Seat seat() {
        Seat seat = new Seat(folder);
        seat.as("RV");
        return seat;
    }

    private static Record recorded(Seat seat, String machine, String stop) {
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
        return ((Body.Measured) seat.desk
                        .logbook()
                        .readings(
                                seat.desk
                                        .logbook()
                                        .findMachine(machine)
                                        .orElseThrow()
                                        .id(),
                                stop,
                                1)
                        .get(0)
                        .body())
                .readings();
    }

    @Test
    void aWidthStaysWithItsPlaceWhenMoreAreRead() {
        try (Seat seat = seat()) {
            seat.stop("Wren", "focus-ramp")
                    .again()
                    .put("gapAtStartMm", "11.4")
                    .put("widths[0]", "0.91")
                    .put("widths[4]", "0.28")
                    .put("widths[8]", "0.83");
            seat.focus("places").choose("places", "17 places");
            seat.until(
                    "the middle stays the middle",
                    () -> seat.words("widths[0]").equals("0.91")
                            && seat.words("widths[8]").equals("0.28")
                            && seat.words("widths[16]").equals("0.83"));
            seat.focus("places").choose("places", "13 places");
            seat.until(
                    "and again",
                    () -> seat.words("widths[6]").equals("0.28")
                            && seat.words("widths[12]").equals("0.83"));
            seat.focus("ruler").press(KeyCode.DOWN);
            seat.until("the rule lies on the plate", () -> seat.words("ruler").equals("rule on the plate"));
            seat.put("widths[6]", "0.3 miles");
            seat.until(
                    "a wrong width is told where there is no room under it",
                    () -> seat.says("\"miles\" is no unit here"));
            seat.put("widths[6]", "0.3").jump("wren climate");
            seat.stop("Wren", "focus-ramp");
            seat.until(
                    "how the rule lies is kept with the draft",
                    () -> seat.words("ruler").equals("rule on the plate")
                            && seat.words("widths[6]").equals("0.3"));
            seat.fire("put-away");
            seat.until("the entry is shown again", () -> seat.has("again"));
        }
    }

    @Test
    void whatCannotBePastedSaysWhy() {
        try (Seat seat = seat()) {
            seat.stop("Wren", "controller-settings").again();
            clipboard("");
            seat.fire("paste");
            seat.until("an empty clipboard is told", () -> seat.says("There is no text on the clipboard"));
            clipboard("x".repeat(3_000_000));
            seat.fire("paste");
            seat.until("so is a text that is far too long", () -> seat.says("far longer than a controller's settings"));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("nothing is recorded", () -> seat.words("told").startsWith("Nothing is recorded yet"));
            seat.press(KeyCode.CONTROL, KeyCode.C);
            seat.until("nor copied", () -> seat.words("told").startsWith("Nothing to copy yet"));
            clipboard("$30=1000\n$32=1\n");
            seat.press(KeyCode.CONTROL, KeyCode.V);
            seat.until("a text is taken", () -> !seat.words("act").equals("Drop the controller's settings here."));
        }
    }

    private static void clipboard(String text) {
        Seat.onScreen(() -> {
            ClipboardContent content = new ClipboardContent();
            content.putString(text);
            Clipboard.getSystemClipboard().setContent(content);
            return null;
        });
    }

    @Test
    void filtersAndGaugesComeFromFilesAndGoOnFromOneTimeToTheNext() throws IOException {
        Path filter = Files.writeString(files.resolve("filter.csv"), "flow l/s,drop mbar\n0,0\n50,0.4\n100,1.2\n");
        Path gauge = Files.writeString(
                files.resolve("gauge.csv"), "day,Pa\n2031-02-10,95\n2031-02-20,110\n2031-03-01,124\n");
        Path photo = Files.write(files.resolve("duct.png"), new byte[] {1, 2, 3});
        try (Seat seat = seat()) {
            seat.stop("Kestrel", "exhaust-duct").again();
            int before = rows(seat);
            seat.drop(filter);
            seat.until(
                    "a filter has a row, in the units of a run",
                    () -> rowWith(seat, "a", "360") >= 0
                            && seat.words("run[" + rowWith(seat, "a", "360") + "].b")
                                    .equals("120"));
            int bend = rows(seat);
            seat.focus("run[" + bend + "].kind").choose("run[" + bend + "].kind", "bend");
            seat.put("run[" + bend + "].name", "last bend")
                    .put("run[" + bend + "].bore", "125")
                    .put("run[" + bend + "].a", "0.35")
                    .put("run[" + bend + "].b", "9");
            seat.until(
                    "nine side by side are too many",
                    () -> seat.words("message").contains("must be 1 to "));
            seat.put("run[" + bend + "].b", "2").drop(gauge).put("gaugePa", "140");
            seat.drop(photo);
            seat.until("a picture goes along", () -> seat.has("off.duct.png"));
            seat.until("it can be recorded", () -> !seat.find("record").isDisabled());
            seat.fire("compare");
            ExtractionReadings first = (ExtractionReadings) recorded(seat, "Kestrel", "exhaust-duct");
            assertThat(first.gauge())
                    .extracting(ExtractionReadings.Gauged::dropPa)
                    .containsExactly(95.0, 110.0, 124.0, 140.0);
            assertThat(first.fittings())
                    .anySatisfy(fitting -> assertThat(fitting.parallel()).hasValue(2));
            assertThat(first.other()).isPresent();
            assertThat(bend).as("the filter that is there was meant").isEqualTo(before);

            seat.later(Duration.ofDays(9)).fire("again");
            seat.until("the gauge is read anew", () -> seat.words("gaugePa").isEmpty());
            seat.put("gaugePa", "0.16kPa");
            seat.fire("compare");
            seat.until("the other run is forgotten", () -> seat.words("compare").equals("Keep to compare"));
            ExtractionReadings second = (ExtractionReadings) recorded(seat, "Kestrel", "exhaust-duct");
            assertThat(second.gauge())
                    .hasSize(5)
                    .last()
                    .isEqualTo(new ExtractionReadings.Gauged(LocalDate.of(2031, 3, 23), 160));
            assertThat(second.other()).isEmpty();
            assertThat(second.segments()).isEqualTo(first.segments());
        }
    }

    private static int rows(Seat seat) {
        int row = 0;
        while (row < 8 && !seat.words("run[" + row + "].name").isEmpty()) {
            row++;
        }
        return row;
    }

    private static int rowWith(Seat seat, String column, String text) {
        for (int row = 0; row < 9; row++) {
            if (seat.words("run[" + row + "]." + column).equals(text)) {
                return row;
            }
        }
        return -1;
    }

    @Test
    void longListsAreTypedToTheirEndAndShownAgain() {
        try (Seat seat = seat()) {
            seat.stop("Heron", "site-circuit").again();
            for (int row = 0; row < 12; row++) {
                String at = "loads[" + row + "].";
                seat.until("row " + row + " is there", () -> seat.has(at + "name"));
                seat.put(at + "name", "load " + row).put(at + "ratedW", String.valueOf(10 + row));
            }
            CircuitReadings circuit = (CircuitReadings) recorded(seat, "Heron", "site-circuit");
            assertThat(circuit.loads())
                    .hasSize(12)
                    .last()
                    .satisfies(load -> assertThat(load.ratedW()).isEqualTo(21));
            seat.until("all are shown", () -> seat.words("loads[11].name").equals("load 11"));

            seat.stop("Heron", "site-access").again();
            for (int row = 0; row < 8; row++) {
                String at = "way[" + row + "].";
                seat.until("row " + row + " is there", () -> seat.has(at + "name"));
                seat.put(at + "name", "door " + row).put(at + "a", "1200").put(at + "b", "2100");
            }
            AccessReadings way = (AccessReadings) recorded(seat, "Heron", "site-access");
            assertThat(way.openings().size() + way.corners().size()).isEqualTo(8);
        }
    }

    @Test
    void numbersThatCannotBeComputedWithAreToldInWords() {
        try (Seat seat = seat()) {
            seat.stop("Wren", "coolant-heat").again().put("flowLMin", "1e-308");
            seat.until(
                    "it says so, and nothing is recorded",
                    () -> seat.words("act").contains("too large")
                            && seat.find("record").isDisabled());
            seat.put("flowLMin", "8.5");
            seat.until("and goes on", () -> !seat.find("record").isDisabled());
            seat.fire("put-away");
            seat.until("half-done readings are put away", () -> seat.has("again"));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until(
                    "what stands there is recorded already",
                    () -> seat.words("told").startsWith("Nothing has changed since no. "));
        }
    }

    /** A log that comes slowly: a pipe, which gives nothing until somebody writes. */
    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void readingALogIsStoppedAndItsDamagedLinesAreCopied() throws Exception {
        Path pipe = files.resolve("slow.csv");
        assertThat(new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor(10, TimeUnit.SECONDS))
                .isTrue();
        Path log = Files.writeString(
                files.resolve("room.csv"),
                "time,temperature C,humidity %\n2031-03-01 00:00,21.0,40\nnonsense\n2031-03-01 "
                        + "01:00,21.5,41\n2031-03-01 02:00,,41\n");
        try (Seat seat = seat()) {
            seat.stop("Kestrel", "site-climate").again().drop(Files.write(files.resolve("room.png"), new byte[] {1}));
            seat.until(
                    "a picture is no log, but goes along",
                    () -> seat.says("A picture is no climate log; it goes along with the entry"));
            seat.drop(pipe);
            seat.until("it is being read", () -> seat.has("stop-reading") && seat.says("reading slow.csv ..."));
            seat.fire("stop-reading");
            try (OutputStream out = Files.newOutputStream(pipe)) {
                out.write("time,temperature C,humidity %\n".getBytes(StandardCharsets.UTF_8));
                for (int minute = 0; minute < 60; minute++) {
                    out.write("2031-03-01 00:%02d,21,40\n".formatted(minute).getBytes(StandardCharsets.UTF_8));
                }
            } catch (IOException readNoFurther) {
                // as it should be
            }
            seat.until("it was stopped", () -> seat.says("Stopped; nothing was changed.") && !seat.has("stop-reading"));
            seat.drop(log);
            seat.until(
                    "two lines are told",
                    () -> seat.words("copy-lines").startsWith("2 lines could not be read, the first is line 3"));
            seat.fire("copy-lines");
            seat.until(
                    "the list is copied",
                    () -> seat.says("The list of lines that could not be read is on the clipboard."));
            assertThat(Seat.onScreen(() -> Clipboard.getSystemClipboard().getString())
                            .lines()
                            .map(line -> line.split("\t")[0]))
                    .isEqualTo(List.of("line", "3", "5"));
            seat.fire("back-to-chart");
            seat.until("back to the chart", () -> seat.focused("airTemperatureC"));
        }
    }
}
