package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;

/**
 * The mirrors of the demo's Wren, aligned through the window by keyboard: a pretend machine that nobody in the program
 * knows answers each shot, and somebody does what the Slip says.
 */
class MirrorsTest {

    private static final Pattern HEAD =
            Pattern.compile("[Ss]hoot at the head: gantry (\\d+) mm from mirror 1, head (\\d+) mm from mirror 2\\.");
    private static final Pattern MIRROR = Pattern.compile("[Ss]hoot at mirror 2: gantry (\\d+) mm from mirror 1\\.");
    private static final Pattern TURN = Pattern.compile("mirror ([12]), screw ([AB]) (anti)?clockwise ([0-9.]+)");

    @TempDir
    private Path folder;

    private Gantry machine;

    @BeforeEach
    void aMachineOutOfTrue() {
        machine = new Gantry(new SplittableRandom(4), Build.USUAL);
    }

    /** Begins anew at the mirrors of Wren, up to the first shot; as if its mounts were others than last time. */
    private static void begin(Seat seat) {
        seat.stop("Wren", "mirror-plan");
        seat.until("the newest entry is shown", () -> seat.focused("again"));
        seat.enter();
        seat.until("its runs are known, its optics are not", () -> seat.focused("looked.optics"));
        assertThat(seat.words("act")).startsWith("Look at the mirrors and the lens");
        seat.choose("looked.optics", "clean").enter();
        seat.choose("looked.bed", "level").enter().enter().enter();
        seat.choose("mounts", "others, or changed").enter();
        seat.until(
                "all is ready", () -> seat.focused("step") && seat.words("step").equals("Begin"));
        seat.enter();
        seat.until("a mark is asked for", () -> seat.focused("mark-x"));
    }

    private void shoot(Seat seat) {
        Matcher head = HEAD.matcher(seat.words("act"));
        Matcher mirror = MIRROR.matcher(seat.words("act"));
        double[] mark = head.matches()
                ? machine.shoot(2, Double.parseDouble(head.group(1)), Double.parseDouble(head.group(2)))
                : mirror.matches() ? machine.shoot(1, Double.parseDouble(mirror.group(1)), 0) : new double[0];
        assertThat(mark).as(seat.words("act")).hasSize(2);
        seat.type(tenth(mark[0])).enter();
        seat.until("then how far above", () -> seat.focused("mark-y"));
        seat.type(tenth(mark[1])).enter();
        seat.until("then the current", () -> seat.focused("mark-current"));
        seat.type("6").enter();
    }

    private static String tenth(double mm) {
        return String.format(Locale.ROOT, "%.1f", mm);
    }

    private void turn(Seat seat) {
        String drawn = Seat.onScreen(() -> seat.find("screws").getAccessibleText());
        Matcher turn = TURN.matcher(drawn);
        int turns = 0;
        while (turn.find()) {
            double by = Double.parseDouble(turn.group(4));
            machine.turn(
                    Integer.parseInt(turn.group(1)),
                    turn.group(2).equals("A") ? 0 : 1,
                    turn.group(3) == null ? by : -by);
            turns++;
        }
        assertThat(turns).as(drawn).isPositive();
        seat.enter();
    }

    /** Whether something is asked for that was not done yet. */
    private static void next(Seat seat, String before) {
        seat.until(
                "something else is asked for",
                () -> !state(seat).equals(before) && !seat.focus().isEmpty());
    }

    private static String state(Seat seat) {
        return seat.words("act") + seat.words("step") + (seat.has("shot-1") ? shots(seat) : "");
    }

    private static int shots(Seat seat) {
        int shots = 0;
        while (seat.has("shot-" + (shots + 1))) {
            shots++;
        }
        return shots;
    }

    @Test
    void wrenIsAlignedByKeyboardAndTheCertificateShowsItsCornersBeforeAndAfter() throws IOException {
        try (Seat seat = Seat.atDemo(folder).as("RV")) {
            begin(seat);
            double found = machine.spreadMm();
            for (int i = 0; i < 60 && seat.has("step"); i++) {
                String before = state(seat);
                if (seat.words("step").equals("I turned it")) {
                    seat.until("one says that it is turned", () -> seat.focused("step"));
                    turn(seat);
                } else {
                    seat.until("a mark is read", () -> seat.focused("mark-x"));
                    shoot(seat);
                }
                next(seat, before);
            }
            assertThat(seat.words("verdict")).isEqualTo("PASS");
            assertThat(seat.words("act")).isEqualTo("The mirrors are true. Turn no screw any more.");
            assertThat(found).isGreaterThan(2);
            assertThat(machine.spreadMm()).isLessThan(0.7);
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));

            Body.Measured kept = newest(seat);
            assertThat(((PlanReadings) kept.readings()).steps()).hasSizeGreaterThan(8);
            assertThat(((PlanFinding) kept.finding()).before()).isPresent();
            assertThat(kept.asTyped()).containsKey("steps[0].shot.xMm").containsValue("6");
            assertThat(certificate(seat)).contains("as found", "as left", "apart at worst");

            seat.fire("again");
            seat.until("its runs are known", () -> seat.focused("looked.optics"));
            assertThat(seat.words("mounts")).isEqualTo("the same as last time");
        }
    }

    private static Body.Measured newest(Seat seat) {
        String wren = Seat.onScreen(() -> seat.shell().machine("Wren"));
        Entry entry = seat.desk.logbook().readings(wren, "mirror-plan", 1).get(0);
        return (Body.Measured) entry.body();
    }

    private String certificate(Seat seat) throws IOException {
        Path file = folder.resolveSibling(folder.getFileName() + "-certificate.pdf");
        seat.answers(file);
        seat.press(KeyCode.CONTROL, KeyCode.P);
        seat.until("it is written", () -> Files.exists(file) && seat.desk.isIdle());
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return new PDFTextStripper().getText(document);
        } finally {
            Files.delete(file);
        }
    }

    /** What is measured on the printed page is as long as it says. */
    @Test
    void cardsArePrintedAtTrueSize() throws IOException {
        Path file = folder.resolveSibling(folder.getFileName() + "-cards.pdf");
        try (Seat seat = Seat.atDemo(folder).as("RV")) {
            seat.stop("Wren", "mirror-plan");
            seat.until("the newest entry is shown", () -> seat.focused("again"));
            seat.enter().until("it is measured anew", () -> seat.has("print-cards"));
            seat.answers(file).fire("print-cards");
            seat.until("the page is there", () -> Files.exists(file) && seat.desk.isIdle());
        }
        Map<String, Float> middles = new HashMap<>();
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            new PDFTextStripper() {
                @Override
                protected void writeString(String text, List<TextPosition> letters) {
                    TextPosition first = letters.get(0);
                    TextPosition last = letters.get(letters.size() - 1);
                    middles.put(text, (first.getX() + last.getX() + last.getWidth()) / 2);
                }
            }.getText(document);
        } finally {
            Files.delete(file);
        }
        double mm = (middles.get("90") - middles.get("10")) / 72 * 25.4;
        assertThat(mm).isCloseTo(80, within(0.2));
        assertThat(middles).containsKeys("under the nozzle", "before mirror 2, gantry far");
    }

    @Test
    void aMarkIsPutByArrowKeysCorrectedAndTakenBack() {
        try (Seat seat = Seat.atDemo(folder).as("RV")) {
            begin(seat);
            seat.focus("card").press(KeyCode.RIGHT).press(KeyCode.RIGHT).press(KeyCode.SHIFT, KeyCode.UP);
            seat.until(
                    "a tenth each, a whole one with Shift",
                    () -> seat.words("mark-x").equals("0.2")
                            && seat.words("mark-y").equals("1.0"));
            seat.enter();
            seat.until(
                    "it is taken",
                    () -> seat.has("shot-1")
                            && seat.focused("mark-x")
                            && seat.words("mark-x").isEmpty());
            seat.fire("shot-1")
                    .until(
                            "it stands in the fields again",
                            () -> seat.words("mark-x").equals("0.2"));
            seat.put("mark-x", "half");
            seat.until("what is no length is told", () -> seat.says("Type a number"));
            seat.put("mark-x", "0.5").focus("mark-x").enter();
            seat.until(
                    "the next is asked for",
                    () -> seat.words("mark-x").isEmpty() && seat.words("step").equals("Take the mark"));
            seat.enter();
            assertThat(seat.has("shot-2"))
                    .as("nothing is taken that was not read")
                    .isFalse();
            seat.press(KeyCode.CONTROL, KeyCode.Z).press(KeyCode.CONTROL, KeyCode.Z);
            seat.until(
                    "back before the correction, and before it was taken",
                    () -> !seat.has("shot-1") && seat.words("mark-x").equals("0.2"));
        }
    }

    @Test
    void practiceIsShotAtScoredAndNeverRecorded() {
        try (Seat seat = Seat.atDemo(folder).as("RV")) {
            seat.stop("Wren", "mirror-plan");
            seat.until("the newest entry is shown", () -> seat.focused("again"));
            seat.enter();
            seat.until("it is measured anew", () -> seat.focused("looked.optics"));
            seat.fire("practice");
            seat.until(
                    "a pretend card is to be shot at", () -> seat.words("step").equals("Shoot"));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("nothing of it is recorded", () -> seat.words("told").startsWith("This is practice"));
            seat.fire("step");
            seat.until(
                    "its mark is to be read",
                    () -> seat.words("step").equals("Take the mark") && seat.focused("mark-x"));
            seat.type("1").enter().type("1").enter();
            seat.until(
                    "it counts as a shot",
                    () -> seat.has("shot-1") && seat.words("step").equals("Shoot"));
            seat.fire("practice");
            seat.until(
                    "the machine itself is asked about again, its runs are kept",
                    () -> !seat.has("shot-1") && seat.words("run.yFarMm").equals("620"));
        }
    }
}
