package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Power in the real window: a ceiling by both schools, a trend with what was done, a table converted, practice. */
class PowerPagesTest {

    @TempDir
    private Path folder;

    @TempDir
    private Path elsewhere;

    private static void again(Seat seat, String words) {
        seat.jump(words);
        seat.until("the button is there", () -> seat.has("again"));
        seat.fire("again");
    }

    @Test
    void aCeilingIsSealedByTheDialAndStandsOnTheCertificate() throws IOException {
        Path test = Files.writeString(elsewhere.resolve("test-job.nc"), "G1 X100 S1000\n");
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            again(seat, "wren ceiling");
            seat.answers(test).fire("test-file");
            seat.until("the test is kept", () -> seat.says("The test goes along with the entry"));
            seat.put("recheck.asFoundMa", "20.9").put("samples[0].commandPct", "100");
            seat.put("samples[0].currentMa", "29");
            seat.until("it is told", () -> seat.words("verdict").equals("FAIL"));
            assertThat(seat.words("act")).startsWith("Stop: at 100 % the tube draws 29.0 mA, and 28.0 mA");
            seat.put("samples[0].currentMa", "20.8");
            seat.until("it is turned", () -> seat.words("verdict").equals("ADJUST"));
            assertThat(seat.words("act")).contains("down until the meter shows 19.6 mA");
            seat.put("samples[0].currentMa", "19.6");
            seat.until("it is right", () -> seat.words("verdict").equals("PASS"));
            assertThat(seat.says("Ask who turned the control: it was left at 19.6 mA and found at 20.9 mA."))
                    .isTrue();
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            seat.answers(elsewhere).press(KeyCode.CONTROL, KeyCode.P);
            seat.until("it is saved", () -> seat.says("The certificate of Wren stands in "));
            try (PDDocument pdf =
                    Loader.loadPDF(elsewhere.resolve("certificate-wren.pdf").toFile())) {
                assertThat(new PDFTextStripper().getText(pdf))
                        .contains("Ceiling")
                        .contains("19.6 mA")
                        .contains("never over 28.0 mA")
                        .contains("Percent to watts");
            }
            Files.writeString(test, "G1 X100 S900\n");
            again(seat, "wren ceiling");
            seat.answers(test).fire("test-file");
            seat.put("samples[0].commandPct", "100").put("samples[0].currentMa", "19.6");
            seat.until("another test is told", () -> seat.says("Burn the test that is kept with the last entry"));
        }
    }

    @Test
    void aCeilingIsCappedByFollowingTheNextCommand() throws IOException {
        Path settings = Files.writeString(elsewhere.resolve("settings.txt"), "$30=1200\n$32=1\n");
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            again(seat, "wren ceiling");
            seat.focus("meter").choose("meter", "there is none");
            seat.until("no meter is told", () -> seat.says("fitted by a licensed person"));
            seat.focus("meter").choose("meter", "there is one");
            seat.focus("school").choose("school", "software cap");
            seat.put("firmwareMaxS", "480");
            double command = 10;
            for (int i = 0; i < 12 && !seat.words("act").startsWith("In the job software set full power"); i++) {
                double current = Math.max(0, command - 6) * 0.42;
                seat.put("samples[" + i + "].commandPct", String.valueOf(command));
                seat.put("samples[" + i + "].currentMa", String.format(Locale.ROOT, "%.2f", current));
                if (i == 0) {
                    command = 20;
                    continue;
                }
                seat.until(
                        "it is judged",
                        () -> seat.words("act").startsWith("Read the meter next at")
                                || seat.words("act").startsWith("In the job software set full power")
                                || seat.words("act").startsWith("Fire nothing"));
                assertThat(current).isLessThan(28);
                command = next(seat, command);
            }
            seat.until("the cap is told", () -> seat.says("In the job software set full power to S 252."));
            assertThat(seat.words("ticket-cap")).contains("full power S 252").contains("way back   S 480");
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            again(seat, "wren settings");
            seat.drop(settings);
            seat.until(
                    "the stop Settings keeps watch over it", () -> seat.says("Full power is more than the tube bears"));
            assertThat(seat.words("act")).isEqualTo("In the job software set full power to S 252.");
        }
    }

    /** The command that is proposed; where the cap is told already, the same. */
    private static double next(Seat seat, double command) {
        String said = List.of("Read the meter next at ").stream()
                .filter(words -> seat.words("act").startsWith(words))
                .findFirst()
                .map(words -> seat.words("act").substring(words.length()).split(" ")[0])
                .orElse(String.valueOf(command));
        return Double.parseDouble(said);
    }

    @Test
    void nobodyRecordsThePracticeOfACeiling() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            again(seat, "wren ceiling");
            seat.focus("school").choose("school", "software cap");
            seat.fire("practice");
            for (int i = 0; i < 12 && !seat.has("practice-end"); i++) {
                seat.until("a step is there", () -> seat.has("practice-read") || seat.has("practice-end"));
                if (seat.has("practice-read")) {
                    int row = i;
                    seat.fire("practice-read");
                    seat.until(
                            "the meter is read",
                            () -> !seat.words("samples[" + row + "].currentMa").isEmpty());
                }
            }
            seat.until("it ends", () -> seat.has("practice-end"));
            assertThat(seat.words("samples[2].currentMa"))
                    .as("it goes on after the first reading")
                    .isNotEmpty();
            assertThat(seat.words("practice-came"))
                    .contains("never over what it bears")
                    .contains("it truly draws");
            seat.fire("practice-end");
            seat.until(
                    "it is as before", () -> seat.words("samples[0].currentMa").isEmpty());
        }
    }

    @Test
    void aKnockedControlIsPractisedToo() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            again(seat, "wren ceiling");
            for (int tube = 0; tube < 3; tube++) {
                seat.fire("practice");
                seat.until("it is read as found", () -> seat.has("practice-read"));
                seat.fire("practice-read");
                seat.until("it is judged", () -> !seat.words("verdict").equals("TO READ"));
                boolean knocked = seat.says("Ask who turned the control");
                for (int turns = 0; turns < 3 && !seat.has("practice-end"); turns++) {
                    seat.fire("practice-read");
                    seat.until(
                            "it is judged anew",
                            () -> seat.has("practice-end")
                                    || seat.words("verdict").equals("ADJUST"));
                }
                assertThat(seat.words("practice-came"))
                        .contains(knocked ? "The control had been knocked" : "Nobody had touched the control.")
                        .contains("At 100 % the tube truly draws");
                seat.fire("practice-end");
                seat.until("it is over", () -> !seat.has("practice-end"));
            }
        }
    }

    @Test
    void aTableIsConvertedThroughWattsAndWhatCannotBeHadIsMarked() throws IOException {
        Path curve = Files.writeString(
                elsewhere.resolve("other.csv"), "command %,power W\n0,0\n10,0\n20,8\n60,40\n100,72\n");
        Path table = Files.writeString(
                elsewhere.resolve("table.csv"),
                "name,power %,speed mm/s\n=cmd,20,300\nply,60,20\nslate,100,200\nodd,some,100\n");
        Path out = elsewhere.resolve("out.csv");
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            again(seat, "wren same energy");
            seat.answers(table).fire("read-table");
            seat.until("the curve is asked for", () -> seat.says("Read the curve of the machine first"));
            seat.answers(curve).fire("read-table");
            seat.until("the curve is read", () -> seat.says("The curve of the other machine is read: 72.0 W"));
            seat.answers(table).fire("read-table");
            seat.until("it is told", () -> seat.says("4 settings, 2 cannot be had."));
            assertThat(seat.says("Through this machine's curve with lens middle"))
                    .isTrue();
            seat.fire("take-curve");
            seat.until("another lens has a table of its own", () -> !seat.says("4 settings"));
            seat.answers(table).fire("read-table");
            seat.until(
                    "it goes through that curve",
                    () -> seat.says("Through this machine's curve with lens long")
                            && seat.says("4 settings, 2 cannot be had."));
            seat.fire("take-curve");
            seat.until("back to the first lens", () -> !seat.says("4 settings"));
            seat.answers(table).fire("read-table");
            seat.until("it is told again", () -> seat.says("Through this machine's curve with lens middle"));
            seat.answers(out).fire("save-table");
            seat.until("it is saved", () -> Files.exists(out));
            List<String> lines = Files.readAllLines(out);
            assertThat(lines.get(0)).contains("not converted because");
            assertThat(lines.get(1)).contains("'=cmd");
            assertThat(lines.get(2)).startsWith("ply,7").contains(",20,");
            assertThat(lines.get(3)).contains("slate,,200").contains("is more than this machine has");
            assertThat(lines.get(4)).contains("its power is no number");
        }
    }

    @Test
    void theCurveOfAnotherMachineOfTheShopIsTakenFromItsRecord() throws IOException {
        Path table = Files.writeString(elsewhere.resolve("table.csv"), "name;power %\nply;60\nslate;100\n");
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("heron percent to watts");
            double[][] curve = {{0, 0}, {20, 0}, {40, 6}, {60, 12}, {100, 18}};
            for (int i = 0; i < curve.length; i++) {
                seat.put("samples[" + i + "].commandPct", String.valueOf(curve[i][0]));
                seat.put("samples[" + i + "].powerW", String.valueOf(curve[i][1]));
            }
            seat.until("all of it is judged", () -> seat.says("100 % are 18.0 W at the work"));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            again(seat, "wren same energy");
            seat.until("Heron is offered", () -> seat.has("take-of-Heron"));
            seat.fire("take-of-Heron");
            seat.until("its curve is taken", () -> seat.says("The curve of the other machine is read: 18.0 W"));
            Path out = elsewhere.resolve("out.csv");
            seat.answers(table).fire("read-table");
            seat.until("it is told", () -> seat.says("2 settings, 0 cannot be had."));
            seat.answers(out).fire("save-table");
            seat.until("it is saved", () -> Files.exists(out));
            List<String> lines = Files.readAllLines(out);
            double ply = Double.parseDouble(lines.get(1).split(";")[1]);
            double slate = Double.parseDouble(lines.get(2).split(";")[1]);
            assertThat(ply).as("12 of Wren's 55.6 W").isBetween(25.0, 35.0);
            assertThat(slate).as("18 of them").isGreaterThan(ply).isLessThan(45);
        }
    }

    @Test
    void aTrendTellsDirtFromAge() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            again(seat, "wren trend");
            seat.until(
                    "the history is there",
                    () -> !seat.words("history[15].value").isEmpty());
            seat.until("it is judged", () -> seat.words("verdict").equals("PASS"));
            assertThat(seat.says("Mostly dirt: cleaning pays first.")).isTrue();
            assertThat(seat.says("Fill in from the record: 1 test lens middle")).isTrue();
            seat.focus("measuredBy").choose("measuredBy", "current, mA");
            seat.until("tests of the ceiling are there", () -> seat.says("tests at 100 %"));
            seat.fire("fill-past");
            seat.until(
                    "what is older than this tube is left out",
                    () -> seat.says("Left out, as no beam hours of this source are counted for them: 4 tests"));
            seat.until("the line is drawn", () -> seat.says("It stands at 98.0 %"));
            assertThat(seat.words("cleanedAtH")).isEqualTo("710.54; 737.62");
            assertThat(seat.words("replacedAtH")).isEqualTo("0.00");
            assertThat(seat.words("history[0].value")).isEqualTo("19.60");
            seat.put("replacedAtH", "1200");
            seat.until(
                    "a new life needs tests",
                    () -> seat.says("Type three tests or more of the source that is in now."));
        }
    }
}
