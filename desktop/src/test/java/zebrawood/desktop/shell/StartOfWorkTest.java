package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.Todo;
import zebrawood.core.work.StartCheck;

/** The half minute before a job, in the real window and by keyboard. */
class StartOfWorkTest {

    private static final int MOST_KEYS = 30;

    @TempDir
    Path folder;

    @Test
    void wrenIsLookedOverInUnderThirtyKeys() {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.as("LO");
            String wren = seat.desk.logbook().findMachine("Wren").orElseThrow().id();
            seat.jump("wren climate");
            seat.until("Wren is open", () -> seat.has("again"));
            int keys = 2;
            seat.press(KeyCode.CONTROL, KeyCode.B);
            seat.until(
                    "the first line has the focus", () -> seat.says("Before the first job on Wren") && onALine(seat));
            while (onALine(seat)) {
                String at = focus(seat);
                seat.press(KeyCode.SPACE);
                keys++;
                seat.until("it goes on", () -> !focus(seat).equals(at));
                assertThat(keys).isLessThan(MOST_KEYS);
            }
            assertThat(seat.focused("start-stays")).isTrue();
            seat.enter().enter();
            keys += 2;
            seat.until("it may start", () -> seat.says("Wren may start: all was right, and LO stays with it."));
            assertThat(keys).isLessThan(MOST_KEYS);
            StartCheck check = check(seat, wren);
            assertThat(check.isRight()).isTrue();
            assertThat(check.lines()).extracting(StartCheck.Line::id).contains("lens", "gap", "water", "air", "bed");

            notRight(seat, wren);
            assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
        }
    }

    private static StartCheck check(Seat seat, String machine) {
        Entry entry = seat.desk.logbook().findNewest(machine, "start").orElseThrow();
        return ((Body.Started) entry.body()).check();
    }

    private static String focus(Seat seat) {
        return Seat.onScreen(() -> String.valueOf(seat.scene().getFocusOwner()));
    }

    private static boolean onALine(Seat seat) {
        return focus(seat).contains("StartRow");
    }

    /** What is not right is said, keeps the machine from its start, and is shown as it was answered. */
    private static void notRight(Seat seat, String wren) {
        seat.press(KeyCode.CONTROL, KeyCode.B);
        seat.until("it is asked again", () -> onALine(seat));
        seat.fire("start-record");
        seat.until("no line is left out", () -> seat.says("Look at every line first"));
        String first = focus(seat);
        seat.hold(KeyCode.SPACE, 4);
        seat.until("a held key answers one line", () -> !focus(seat).equals(first));
        seat.press(KeyCode.UP);
        seat.until("one goes back", () -> focus(seat).equals(first));
        seat.press(KeyCode.N);
        seat.until("it is asked what", () -> focus(seat).contains("start-remark"));
        seat.type("soot on it").enter();
        while (onALine(seat)) {
            String at = focus(seat);
            seat.press(KeyCode.SPACE);
            seat.until("it goes on", () -> !focus(seat).equals(at));
        }
        seat.enter().enter();
        seat.until("it does not start", () -> seat.says("Do not start Wren: put right what was not, then look again."));
        assertThat(check(seat, wren).wrong())
                .singleElement()
                .satisfies(line -> assertThat(line.remark()).isEqualTo("soot on it"));
        seat.entry(seat.desk.logbook().findNewest(wren, "start").orElseThrow());
        seat.until(
                "the entry tells it",
                () -> seat.says("Not started: something was not right.") && seat.says("soot on it"));
    }

    @Test
    void aMachineWhoseGateIsShutIsNotStartedAndWorkWithoutALookIsSeen() {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.as("LO");
            seat.jump("dunlin start of work");
            seat.until(
                    "its gate comes first",
                    () -> seat.says("First light of Dunlin is shut: nothing is started on it."));
            assertThat(seat.has("start-record")).isFalse();
            String heron =
                    seat.desk.logbook().findMachine("Heron").orElseThrow().id();
            Body.Worked work = (Body.Worked)
                    seat.desk.logbook().findNewest(heron, "work").orElseThrow().body();
            Entry.Stamp stamp = Seat.onScreen(() -> seat.desk.stamp());
            seat.desk.logbook().append(heron, work, stamp);
            Seat.onScreen(() -> {
                seat.desk.refresh(() -> {});
                return null;
            });
            seat.press(KeyCode.CONTROL, KeyCode.DIGIT1);
            seat.until(
                    "a lead sees it",
                    () -> Seat.onScreen(() -> seat.desk.machine(heron)).orElseThrow().todo().stream()
                            .anyMatch(todo -> todo.urgency() == Todo.Urgency.NOT_LOOKED));
        }
    }
}
