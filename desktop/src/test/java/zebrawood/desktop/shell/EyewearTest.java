package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.procedure.Change;

/** The register of the shop's eyewear, in the real window and by keyboard. */
class EyewearTest {

    @TempDir
    Path folder;

    @TempDir
    Path files;

    @Test
    void aMissingPairIsAddedAScratchedOneNoLongerCountsAndTheDoorGetsItsNotice() throws IOException {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.as("GA");
            seat.jump("eyewear of the shop");
            seat.until(
                    "who lacks a pair is told first",
                    () -> seat.says("Get 1 pair for Kestrel: OD 4 or more at 450 nm.") && seat.focused("pair-add"));
            seat.enter();
            seat.until("a sheet asks for it", () -> seat.focused("pair-name"));
            seat.type("Bench hook 5").enter().type("420-460 OD x").enter();
            seat.fire("pair-record");
            seat.until("what cannot be read is told", () -> seat.says("\"420-460 OD x\" cannot be read"));
            assertThat(seat.focused("pair-marks")).isTrue();
            seat.put("pair-marks", "420-460 OD 4").fire("pair-record");
            seat.until("now there are enough", () -> seat.says("ENOUGH FOR ALL"));
            Entry recorded = newest(seat);
            assertThat(recorded.stamp().by()).isEqualTo("GA");

            seat.fire("pair-Bench hook 5");
            seat.until("it comes back filled", () -> seat.words("pair-marks").equals("420-460 nm OD 4"));
            seat.focus("pair-condition").choose("pair-condition", "scratched").fire("pair-record");
            seat.until("a scratched pair does not count", () -> seat.says("NOT ENOUGH"));
            assertThat(((Body.EyewearSeen) newest(seat).body()).pair().condition())
                    .isEqualTo(EyewearPair.Condition.SCRATCHED);

            notice(seat);
            corrected(seat);
            staleAsksAnew(seat);
            assertThat(seat.desk.logbook().verify(List.of()).flaws()).isEmpty();
        }
    }

    private static Entry newest(Seat seat) {
        List<Entry> all = seat.desk.logbook().eyewear();
        return all.get(all.size() - 1);
    }

    private void notice(Seat seat) throws IOException {
        seat.answers(files);
        seat.fire("notice-Heron");
        Path pdf = files.resolve("notice-heron.pdf");
        seat.until("it is saved", () -> seat.says("The notice for Heron stands in") && Files.exists(pdf));
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(pdf))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Laser in use", "Heron: 1064 nm, 30 W, pulses, class 4", "OD 5 or more", "GA, laser");
        }
    }

    /** A wrong entry is corrected where it stands; what it said does not count any more. */
    private static void corrected(Seat seat) {
        Entry wrong = newest(seat);
        seat.entry(wrong);
        seat.until("it is shown", () -> seat.has("entry-correct") && seat.says("Found scratched."));
        seat.fire("entry-correct");
        seat.until("it comes back filled", () -> seat.words("pair-name").equals("Bench hook 5"));
        seat.focus("pair-condition").choose("pair-condition", "sound");
        seat.put("pair-why", "it was only dust").fire("pair-record");
        seat.until("the correction is shown", () -> seat.says("Corrects no. " + wrong.number() + ": it was only dust"));
        seat.press(KeyCode.ESCAPE);
        seat.jump("eyewear of the shop");
        seat.until("it counts again", () -> seat.says("ENOUGH FOR ALL"));
        assertThat(seat.desk.logbook().eyewear()).doesNotContain(wrong);
    }

    /** What was worked out for the old source says nothing of the new one: no pair is good until it is done again. */
    private static void staleAsksAnew(Seat seat) {
        String heron = seat.desk.logbook().findMachine("Heron").orElseThrow().id();
        Entry.Stamp stamp = Seat.onScreen(() -> seat.desk.stamp());
        seat.desk.logbook().append(heron, new Body.Happened(Change.SOURCE_CHANGED, "60 W"), stamp);
        Seat.onScreen(() -> {
            seat.desk.refresh(() -> {});
            return null;
        });
        seat.until(
                "the change is seen",
                () -> !Seat.onScreen(() -> seat.desk.machine(heron))
                        .orElseThrow()
                        .gate()
                        .isOpen());
        seat.jump("eyewear of the shop");
        seat.until(
                "it is asked, not called good",
                () -> seat.says("Work out the eyewear of Heron: press its name.") && seat.says("not worked out yet"));
    }
}
