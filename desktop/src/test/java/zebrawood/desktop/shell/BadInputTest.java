package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.kit.view.Nodes;

/** Whatever is typed or dropped: a sentence beside it, nothing lost, nothing recorded. */
class BadInputTest {

    @TempDir
    Path folder;

    @TempDir
    Path files;

    @Test
    void badInputGetsASentenceAndNothingIsLost() throws IOException {
        try (Seat seat = Seat.atDemo(folder)) {
            long before = seat.desk.logbook().count(Optional.empty());
            fields(seat);
            ramp(seat);
            dropped(seat);
            assertThat(seat.desk.logbook().count(Optional.empty())).isEqualTo(before);
            recordedWithItsFile(seat);
            quickSchool(seat);
            putAway(seat);
            assertThat(folder.resolve("report.txt")).doesNotExist();
            unforeseen(seat);
        }
    }

    private static void stop(Seat seat, String machine, String stop) {
        Seat.onScreen(() -> {
            seat.shell()
                    .stop(seat.desk.logbook().findMachine(machine).orElseThrow().id(), stop);
            return null;
        });
        seat.until("the stop is open", () -> seat.has("again") && seat.desk.isIdle());
        Seat.onScreen(() -> {
            ((Button) seat.find("again")).fire();
            return null;
        });
    }

    private static void type(Seat seat, String field, String text) {
        Seat.onScreen(() -> {
            Nodes.type(seat.shell().scene().getRoot(), field, text);
            return null;
        });
    }

    private static void fields(Seat seat) {
        stop(seat, "Wren", "site-climate");
        type(seat, "relativeHumidityPct", "46");
        String[][] cases = {
            {"warm", "Type a number"},
            {"NaN", "Type a number"},
            {"1e308", "too large"},
            {"-60", "-60 is outside -45 to 60."},
            {"1,200", "two ways"},
            {"21 parsecs", "is no unit here"},
            {"5 6", "two numbers"}
        };
        for (String[] each : cases) {
            type(seat, "airTemperatureC", each[0]);
            seat.until(
                    each[0] + " gets a sentence",
                    () -> seat.says(each[1])
                            || seat.says(each[1].substring(0, 1).toUpperCase(Locale.ROOT) + each[1].substring(1)));
            assertThat(seat.words("airTemperatureC")).isEqualTo(each[0]);
            assertThat(seat.words("relativeHumidityPct")).isEqualTo("46");
        }
        Seat.onScreen(() -> {
            seat.find("airTemperatureC").requestFocus();
            return null;
        });
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("nothing is recorded", () -> seat.words("told").startsWith("Nothing is recorded yet"));
        Seat.onScreen(() -> {
            seat.find("relativeHumidityPct").requestFocus();
            seat.find("airTemperatureC").requestFocus();
            return null;
        });
        type(seat, "airTemperatureC", "");
        seat.until(
                "an empty field is asked for, not blamed",
                () -> seat.words("act").equals("Read the air temperature."));
        seat.press(KeyCode.CONTROL, KeyCode.Z);
        seat.until(
                "what was there is back", () -> !seat.words("airTemperatureC").isEmpty());
        seat.press(KeyCode.CONTROL, KeyCode.Y);
        seat.until("and gone again", () -> seat.words("airTemperatureC").isEmpty());
    }

    private static void ramp(Seat seat) {
        stop(seat, "Wren", "focus-ramp");
        type(seat, "widths[0]", "-0.4");
        seat.until("a negative width is told with its place", () -> seat.says("At 0 mm: -0.4 must be above 0."));
        type(seat, "widths[0]", "0.43");
        type(seat, "riseMm", "14");
        seat.until(
                "a head that would strike the plate is told before the line is burnt",
                () -> seat.says("the head would strike it")
                        && seat.words("act").equals("Put right what is marked; everything typed is kept."));
        type(seat, "riseMm", "10.2");
        for (int i = 0; i < 9; i++) {
            type(seat, "widths[" + i + "]", "0.3");
        }
        seat.until(
                "widths that hardly bend are unclear, with what to do",
                () -> seat.words("verdict").equals("UNCLEAR")
                        && !seat.words("act").isEmpty());
    }

    private void dropped(Seat seat) throws IOException {
        stop(seat, "Kestrel", "controller-settings");
        Path nul = Files.write(files.resolve("nul.txt"), "$30=1\u0000200".getBytes(StandardCharsets.UTF_8));
        Path picture =
                Files.write(files.resolve("picture.png"), new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        Path huge = files.resolve("huge.txt");
        try (RandomAccessFile file = new RandomAccessFile(huge.toFile(), "rw")) {
            file.setLength(50_000_000);
        }
        Path oneLine = Files.writeString(files.resolve("one-line.txt"), "hello ".repeat(100_000));
        Path wide = Files.write(
                files.resolve("wide.txt"), "\uFEFF$30=1200\r\n$32=1\r\n".getBytes(StandardCharsets.UTF_16LE));
        drop(seat, nul.toFile(), "holds NUL bytes");
        drop(seat, picture.toFile(), "is a picture");
        drop(seat, huge.toFile(), "50.0 MB long");
        drop(seat, files.toFile(), "is a folder");
        drop(seat, oneLine.toFile(), "No line such as");
        drop(seat, wide.toFile(), "2 settings, 0 lines unread");
        seat.jump("copy the drawing");
        seat.until(
                "the drawing is on the clipboard",
                () -> Clipboard.getSystemClipboard().hasImage());
    }

    private void recordedWithItsFile(Seat seat) throws IOException {
        Seat.onScreen(() -> {
            seat.desk.initials().set("LO");
            seat.find("place-shop").requestFocus();
            return null;
        });
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded as found", () -> seat.words("told").startsWith("Recorded as no. "));
        String kestrel =
                seat.desk.logbook().findMachine("Kestrel").orElseThrow().id();
        Entry entry = seat.desk
                .logbook()
                .history(kestrel)
                .of("controller-settings")
                .get(0)
                .entry();
        assertThat(entry.attachments())
                .extracting(Entry.Attachment::name)
                .as("the settings, and the picture that was dropped")
                .containsExactly("wide.txt", "picture.png");
        assertThat(entry.attachments().get(0)).satisfies(file -> {
            assertThat(seat.desk.logbook().attachment(file.sha256()))
                    .as("the file as it came")
                    .isEqualTo(Files.readAllBytes(files.resolve("wide.txt")));
        });
    }

    private static void drop(Seat seat, File file, String told) {
        Seat.onScreen(() -> {
            seat.shell().page().take(file);
            return null;
        });
        seat.until(
                file.getName() + " gets a sentence", () -> seat.says(told) || seat.says(told.toLowerCase(Locale.ROOT)));
    }

    /** What was begun can be put away: the newest entry is shown again, and no draft comes back. */
    private static void putAway(Seat seat) {
        String wren = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
        assertThat(seat.desk.logbook().findDraft(wren, "site-climate"))
                .as("kept since it was left half typed")
                .isPresent();
        Seat.onScreen(() -> {
            seat.shell().stop(wren, "site-climate");
            return null;
        });
        seat.until(
                "what was half typed is back",
                () -> seat.has("put-away") && seat.words("relativeHumidityPct").equals("46") && seat.desk.isIdle());
        Seat.onScreen(() -> {
            ((Hyperlink) seat.find("put-away")).fire();
            return null;
        });
        seat.until(
                "the newest entry is shown",
                () -> seat.has("again") && seat.words("airTemperatureC").equals("21.4"));
        seat.until(
                "no draft is left",
                () -> seat.desk.isIdle()
                        && seat.desk.logbook().findDraft(wren, "site-climate").isEmpty());
    }

    /** Whoever waits for the logbook hears of a failure that nobody foresaw, so that a bench can record again. */
    private void unforeseen(Seat seat) {
        boolean[] heard = {false};
        Seat.onScreen(() -> {
            seat.desk.later(
                    () -> {
                        throw new IllegalStateException("a wire came loose");
                    },
                    done -> {},
                    refused -> heard[0] = refused.getMessage().startsWith("Something went wrong"));
            return null;
        });
        seat.until(
                "who waits hears of it, and the person too",
                () -> heard[0] && seat.says("What you typed is kept; a report stands in"));
        assertThat(folder.resolve("report.txt")).content().contains("a wire came loose");
    }

    private static void quickSchool(Seat seat) {
        stop(seat, "Heron", "focus-ramp");
        Seat.onScreen(() -> {
            ((Hyperlink) seat.find("school")).fire();
            return null;
        });
        type(seat, "thinnestPositionMm", "90");
        seat.until(
                "the thinnest place alone gives a gap and says what it cannot tell",
                () -> seat.words("act").startsWith("Set the gap to 182.3") && seat.says("not how sure it is"));
        seat.as("LO");
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
        String heron = seat.desk.logbook().findMachine("Heron").orElseThrow().id();
        Entry entry = seat.desk.logbook().history(heron).of("focus-ramp").get(0).entry();
        assertThat(((Body.Measured) entry.body()).asTyped()).containsEntry("thinnestPositionMm", "90");
    }
}
