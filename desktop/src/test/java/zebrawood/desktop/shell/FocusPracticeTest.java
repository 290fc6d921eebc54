package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Practice on pretend beds, plates and squares: followed to its end, told how it came out, and never recorded. */
class FocusPracticeTest {

    @TempDir
    private Path folder;

    private static void begin(Seat seat, String stop) {
        seat.jump(stop);
        seat.until("the button is there", () -> seat.has("again"));
        seat.fire("again");
        seat.until(
                "one can practise",
                () -> seat.has("practice") && seat.words("practice").startsWith("Practise"));
    }

    @Test
    void aPretendBedIsLevelledAsItIsSaidAndTheDraftIsAsBefore() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            begin(seat, "wren bed level");
            seat.put("gaps[4].first", "7.11");
            seat.fire("practice");
            seat.until(
                    "the true reading is out of the way",
                    () -> seat.words("gaps[4].first").isEmpty());
            int rounds = 0;
            do {
                seat.fire("practice-gauge");
                seat.until("it is judged", () -> seat.has("practice-came"));
                if (seat.has("practice-turn")) {
                    seat.fire("practice-turn");
                    seat.until("it is read anew", () -> seat.has("practice-gauge"));
                }
            } while (seat.has("practice-gauge") && ++rounds < 4);
            assertThat(seat.words("verdict")).isIn("PASS", "FAIL");
            assertThat(seat.words("practice-came")).contains("Truly the gap differs by ");
            assertThat(seat.words("practice-came").contains("twisted"))
                    .isEqualTo(seat.words("verdict").equals("FAIL"));
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("nothing of it is recorded", () -> seat.words("told").startsWith("This is practice"));
            seat.fire("practice");
            seat.until(
                    "what was read before stands again",
                    () -> seat.words("gaps[4].first").equals("7.11")
                            && seat.words("gaps[0].first").isEmpty());
        }
    }

    @Test
    void aPretendPlateIsReadOffItsPicture() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            begin(seat, "wren ramp line");
            seat.fire("practice");
            seat.until("there is a plate to burn", () -> seat.has("practice-burn"));
            seat.fire("practice-burn");
            seat.until("the rule is asked for", () -> seat.says("Press on a mark of the rule in the picture"));
            double pxPerMm = 0.82 * 2000 / 180;
            press(seat, 5 * pxPerMm, 600);
            press(seat, 105 * pxPerMm, 600);
            double startY = 320 - Math.sin(Math.toRadians(1.5)) * 800;
            press(seat, 200, startY);
            press(
                    seat,
                    200 + 170 * pxPerMm * Math.cos(Math.toRadians(1.5)),
                    startY + 170 * pxPerMm * Math.sin(Math.toRadians(1.5)));
            seat.until("the widths are read", () -> seat.says("widths of 9 are read off the picture"));
            seat.fire("take-over");
            seat.until("they make a ramp", () -> seat.words("verdict").equals("PASS"));
            double off =
                    Double.parseDouble(seat.words("practice-came").replaceAll(".*you are ([0-9.]+) mm off.*", "$1"));
            assertThat(off).isLessThan(0.25);
        }
    }

    @Test
    void pretendSquaresAreHeardAndAPlaceIsFound() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            begin(seat, "wren ladder");
            seat.fire("practice");
            seat.until("squares can be burned", () -> seat.has("practice-burn"));
            seat.fire("practice-burn");
            seat.until("the loudest is told", () -> seat.says("Loudest: square "));
            seat.fire("take-over");
            seat.until("they make a ladder", () -> seat.has("practice-came"));
            assertThat(seat.words("practice-came")).startsWith("Truly the best gap is ");
            seat.fire("practice");
            seat.until(
                    "the rows are as before", () -> seat.words("steps[0].score").isEmpty());
        }
    }

    private static void press(Seat seat, double x, double y) {
        double share = Seat.onScreen(() -> ((Region) seat.find("read-off")).getWidth()) / 2000;
        seat.pressAt("read-off", x * share, y * share);
    }
}
