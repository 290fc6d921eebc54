package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.kit.view.Nodes;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.store.Backups;

/** The logbook as a whole, and the window's own commands, from Ctrl+K. */
class WholeLogbookTest {

    @TempDir
    private Path folder;

    @Test
    void itIsCheckedBackedUpAndPrintedOnOtherPaper() throws IOException {
        try (Seat seat = Seat.atDemo(folder)) {
            long entries = seat.desk.head().get().entries();
            seat.jump("check that the logbook");
            seat.until(
                    "every entry was checked",
                    () -> seat.says("Whole: " + entries + " entries, 1 attachment.") && !seat.has("end-work"));

            seat.jump("back up now");
            seat.until("a backup was made", () -> seat.says("A whole backup stands in "));
            try (Stream<Path> made = Files.walk(folder)) {
                assertThat(made.filter(file -> file.getFileName().toString().endsWith(".db")
                                && file.toString().contains("backup")))
                        .isNotEmpty();
            }
            assertThat(new Backups(folder).list()).isNotEmpty();

            Paper before = seat.desk.preferences().paper();
            seat.jump("paper");
            seat.until(
                    "the other paper is told",
                    () -> seat.desk.preferences().paper() != before && seat.says("from now on."));
            who(seat);
            grounds(seat);
        }
        try (Seat again = new Seat(folder)) {
            assertThat(again.desk.preferences().paper()).as("it is remembered").isEqualTo(Paper.LETTER);
        }
    }

    private static void who(Seat seat) {
        seat.fire("initials");
        seat.until("it is asked who works", () -> seat.focused("who"));
        seat.type("rosalind vance of the bench room").enter();
        seat.until(
                "no more than fits beside an entry is taken",
                () -> seat.desk.initials().get().equals("ROSALIND VANCE O") && !seat.has("who"));
        seat.fire("initials")
                .until(
                        "it can be asked again",
                        () -> seat.focused("who") && seat.words("who").equals("ROSALIND VANCE O"));
        seat.press(KeyCode.ESCAPE);
        seat.until("and left as it is", () -> !seat.has("who"));
    }

    private static void grounds(Seat seat) {
        for (String ground : List.of("dark", "light")) {
            seat.jump(ground + " ground");
            seat.until(ground, () -> seat.desk.ground().get().name().equalsIgnoreCase(ground));
        }
        seat.press(KeyCode.F1);
        seat.until("help is there where no stop is open", () -> seat.says("Zebrawood") && seat.says("Ctrl+K"));
        seat.press(KeyCode.ESCAPE);
    }

    @Test
    void longWorkTellsHowFarItIsAndEndsWhenAsked() {
        Seat.toolkit();
        AtomicInteger closed = new AtomicInteger();
        LongWork work = Seat.onScreen(() -> new LongWork("Checking every entry", 400, closed::incrementAndGet));
        work.reached(100);
        ProgressBar bar = (ProgressBar) work.getChildrenUnmodifiable().stream()
                .filter(ProgressBar.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertThat(Seat.onScreen(bar::getProgress)).isEqualTo(0.25);
        Seat.onScreen(() -> {
            ((Button) Nodes.find(work, "end-work").orElseThrow()).fire();
            return null;
        });
        assertThat(closed).hasValue(1);
        assertThatThrownBy(() -> work.reached(101)).isInstanceOf(CancellationException.class);
    }
}
