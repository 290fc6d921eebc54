package zebrawood.desktop.shell;

import java.nio.file.Path;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** Ctrl+F leads into the search from wherever one is, and what is typed then is searched for. */
class SearchKeyTest {

    @TempDir
    private Path folder;

    @Test
    void whatIsTypedAfterTheKeyIsSearchedFor() {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.press(KeyCode.CONTROL, KeyCode.F);
            seat.until("the search has the focus", () -> seat.focused("search"));
            seat.type("poplar");
            seat.until("and is searched", () -> seat.words("search").equals("poplar") && seat.says("poplar ply"));
            seat.stop("Wren", "site-climate");
            seat.press(KeyCode.CONTROL, KeyCode.F);
            seat.until("from a stop too", () -> seat.focused("search"));
        }
    }

    /** What is pasted by mistake is looked through at once: 3,000 blanks took minutes. */
    @Test
    @Timeout(60)
    void aLongTextInTheJumpBoxIsNoHang() {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.press(KeyCode.CONTROL, KeyCode.K);
            seat.until("one can jump", () -> seat.has("jump-text") && seat.focused("jump-text"));
            for (String pasted : new String[] {" ".repeat(3_000) + "x", "no ".repeat(3_000), "9".repeat(100_000)}) {
                Seat.onScreen(() -> {
                    ((TextField) seat.find("jump-text")).setText(pasted);
                    return null;
                });
            }
            Seat.onScreen(() -> {
                ((TextField) seat.find("jump-text")).setText("wren no. 12");
                return null;
            });
            seat.enter();
            seat.until("and one goes on", () -> seat.says("at first those of Wren"));
        }
    }
}
