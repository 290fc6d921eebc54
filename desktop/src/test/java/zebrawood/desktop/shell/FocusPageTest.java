package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.motion.Replay;
import zebrawood.core.pretend.PretendFocus;

/** Level and focus of the demo's Wren: what is known of its gap, and what makes it doubtful. */
class FocusPageTest {

    @TempDir
    private Path folder;

    @TempDir
    private Path elsewhere;

    @Test
    void schoolsThatAgreeAreToldTogetherUntilALadderDisagrees() throws IOException {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren ladder");
            seat.until("the last ladder is shown", () -> seat.words("act").startsWith("Set the gap to "));
            seat.fire("focus");
            seat.until("all schools agree", () -> seat.words("verdict").equals("AGREED"));
            seat.until(
                    "it says so, and how far the maker is off",
                    () -> seat.says("All schools that were asked agree within their errors.")
                            && seat.says(" less than the maker"));
            seat.fire("measure");
            seat.until("the button leads to the ladder", () -> seat.has("again"));
            seat.fire("again");
            String[] scores = {"2.1", "5.9", "8.8", "9.9", "9.1", "6.2", "1.9"};
            for (int i = 0; i < scores.length; i++) {
                seat.put("steps[" + i + "].gapMm", String.valueOf(6 + i)).put("steps[" + i + "].score", scores[i]);
            }
            seat.until("a best gap is found", () -> seat.words("verdict").equals("PASS"));
            seat.answers(elsewhere.resolve("squares.dxf")).fire("to-burn");
            seat.until("the squares are saved", () -> seat.says("The squares stand in "));
            assertThat(Files.readString(elsewhere.resolve("squares.dxf")))
                    .startsWith("0\r\nSECTION")
                    .contains("PART_5")
                    .doesNotContain("PART_6");
            motionText(seat);
            seat.press(KeyCode.CONTROL, KeyCode.ENTER);
            seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
            seat.fire("focus");
            seat.until("the doubt is told", () -> seat.words("verdict").equals("SCHOOLS DISAGREE"));
            assertThat(seat.words("act")).startsWith("Measure again: ").contains("Ladder");
        }
    }

    @Test
    void anotherLensHasATableOfItsOwnAndIsLookedAtAgainAfterTheSwap() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren ladder");
            seat.until("the last ladder is shown", () -> seat.words("act").startsWith("Set the gap to "));
            seat.fire("focus");
            seat.until("the lens that is in", () -> seat.words("verdict").equals("AGREED"));
            seat.until("what a swap would mean", () -> seat.says("With lens short the gap is 0."));
            seat.focus("focus-lens").choose("focus-lens", "lens short");
            seat.until("the other lens", () -> seat.words("verdict").equals("CHANGED SINCE"));
            assertThat(seat.says("Since it was measured: another lens was in.")).isTrue();
        }
    }

    @Test
    void twoLinesOfASpotThatIsNotRoundHaveAGapBetweenThem() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            line(seat, "line along X", 6.2);
            assertThat(seat.says("For lines along")).isFalse();
            line(seat, "line along Y", 7.4);
            seat.until(
                    "each has its own gap",
                    () -> seat.says("For lines along Y alone set 7.4") && seat.says("along X alone set 6.2"));
            assertThat(Double.parseDouble(seat.words("act").replaceAll("[^0-9.]+|\\.$", "")))
                    .isBetween(6.5, 7.1);
        }
    }

    private static void line(Seat seat, String along, double bestMm) {
        PretendFocus focus = new PretendFocus(bestMm, 0.2, 2.4, 0);
        seat.jump("wren ramp line");
        seat.until("the button is there", () -> seat.has("again"));
        seat.fire("again");
        seat.until("one can choose", () -> seat.has("along"));
        seat.focus("along").choose("along", along);
        seat.put("gapAtStartMm", "11").put("runMm", "180").put("riseMm", "9");
        for (int i = 0; i < 9; i++) {
            seat.put("widths[" + i + "]", String.format(Locale.ROOT, "%.3f", focus.widthMm(11 - 9 * i / 8.0)));
        }
        seat.until("it is judged", () -> seat.words("verdict").equals("PASS"));
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
    }

    @Test
    void theFlagToSetTheGapAgainStandsAtEveryStopUntilItIsSet() {
        try (Seat seat = Seat.atDemo(folder).as("LO")) {
            seat.jump("wren bed level");
            seat.until("nothing was changed yet", () -> seat.has("event") && !seat.has("set-the-gap"));
            happens(seat, "event-stock_changed");
            seat.until("the flag stands here", () -> seat.has("set-the-gap"));
            seat.jump("wren climate");
            seat.until("and there", () -> seat.has("set-the-gap") && seat.says("stock or riser changed"));
            seat.fire("set-the-gap");
            seat.until("it leads to where the gap is worked out", () -> seat.says("Height"));
            happens(seat, "event-gap_set");
            seat.until("the flag is gone", () -> !seat.has("set-the-gap"));
        }
    }

    private static void happens(Seat seat, String kind) {
        seat.fire("event");
        seat.until("one can choose", () -> seat.has(kind));
        seat.fire(kind).fire("event-record");
        seat.until("it is recorded", () -> !seat.has(kind) && seat.says("Recorded as no. "));
    }

    /** Motion text waits for power and speed, and then replays without a fault. */
    private void motionText(Seat seat) throws IOException {
        Path file = elsewhere.resolve("squares.nc");
        seat.answers(file).fire("to-burn");
        seat.until("power is asked for", () -> seat.says("Motion text is not saved yet: type the power, S,"));
        seat.put("burnS", "120").put("burnMmMin", "1800");
        seat.until("the bench knows them", () -> seat.words("verdict").equals("PASS"));
        seat.fire("to-burn");
        seat.until("it is saved", () -> Files.exists(file));
        Replay replay = Replay.of(Files.readString(file), 700, 500, 1200);
        assertThat(replay.faults()).isEmpty();
        assertThat(replay.burned()).isGreaterThan(2000);
    }
}
