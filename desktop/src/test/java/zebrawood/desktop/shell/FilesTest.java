package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.recording.AttachBox;
import zebrawood.logbook.bundle.Import;
import zebrawood.logbook.store.Logbook;

/** What comes in from files and goes out to them, from the window. */
class FilesTest {

    @TempDir
    private Path folder;

    @TempDir
    private Path files;

    @Test
    void whatIsChosenComesInAndWhatIsSavedStandsThere() throws IOException {
        try (Seat seat = Seat.atDemo(folder)) {
            seat.as("RV");
            drawing(seat);
            certificate(seat);
            ticket(seat);
            settingsOpened(seat);
            attachments(seat);
            exported(seat);
        }
    }

    private Path nowhere() {
        return files.resolve("no such folder").resolve("a file");
    }

    private void drawing(Seat seat) throws IOException {
        seat.stop("Wren", "focus-ramp").answers().drawingMenu(2);
        seat.answers(files).drawingMenu(2);
        Path svg = files.resolve("drawing.svg");
        seat.until("it is saved", () -> Files.exists(svg));
        String text = Files.readString(svg);
        assertThat(text)
                .startsWith("<svg")
                .contains("best gap 6.74 mm", "nozzle tip")
                .endsWith("</svg>\n");
        seat.answers(nowhere()).drawingMenu(2);
        seat.until(
                "a folder that is not there is told",
                () -> seat.says("The drawing could not be saved there: choose another folder."));
        seat.drawingMenu(1);
        seat.until(
                "a drawing is copied as a picture",
                () -> Seat.<Boolean>onScreen(
                        () -> Clipboard.getSystemClipboard().hasImage()));
        seat.drawingMenu(3);
        seat.until(
                "without a printer it is said what to do",
                () -> seat.says(
                        "There is no printer here. The certificate makes a PDF, and a drawing can be saved as SVG."));
    }

    private void certificate(Seat seat) throws IOException {
        seat.answers().press(KeyCode.CONTROL, KeyCode.P);
        seat.answers(nowhere()).press(KeyCode.CONTROL, KeyCode.P);
        seat.until(
                "it cannot stand there",
                () -> seat.says("The certificate could not be saved in " + nowhere() + "; choose another folder"));
        seat.answers(files).press(KeyCode.CONTROL, KeyCode.P);
        seat.until("it is saved", () -> seat.says("The certificate of Wren stands in "));
        assertThat(new String(Files.readAllBytes(files.resolve("certificate-wren.pdf")), StandardCharsets.ISO_8859_1))
                .startsWith("%PDF")
                .contains("%%EOF");
    }

    private void ticket(Seat seat) throws IOException {
        seat.stop("Wren", "controller-settings").answers().fire("save-change");
        seat.answers(files).fire("save-change");
        seat.until("it is saved", () -> seat.says("The ticket stands in " + files.resolve("change-ticket.txt")));
        assertThat(files.resolve("change-ticket.txt")).content().isEqualTo("$20=1\n");
        seat.fire("save-back");
        seat.until(
                "so is the way back",
                () -> seat.says(files.resolve("restore-ticket.txt").toString()));
        assertThat(files.resolve("restore-ticket.txt")).content().isEqualTo("$20=0\n");
        seat.answers(nowhere()).fire("save-change");
        seat.until(
                "a wrong folder is told",
                () -> seat.says("could not be saved in " + nowhere() + "; choose another folder"));
        seat.fire("copy-back");
        seat.until(
                "a ticket is copied",
                () -> "$20=0\n"
                        .equals(Seat.onScreen(
                                () -> Clipboard.getSystemClipboard().getString())));
    }

    private void settingsOpened(Seat seat) throws IOException {
        Path text = Files.writeString(
                files.resolve("settings.txt"),
                "$20=1\n$21=1\n$22=1\n$23=3\n$30=480\n$32=1\n$110=24000\n$111=24000\n$120=3200\n$121=3200\n$130=700\n$131=500\n");
        Path photo = Files.write(files.resolve("settings.png"), new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, 0, 0});
        seat.again();
        seat.answers().fire("choose");
        seat.answers(photo).fire("choose");
        seat.until("a picture is refused", () -> seat.says("Settings.png is a picture; save the settings as text."));
        seat.answers(text).fire("choose");
        seat.until("settings are read", () -> !seat.words("act").equals("Drop the controller's settings here."));
        seat.fire("put-away");
        seat.until("and put away again", () -> seat.has("again"));
    }

    private void attachments(Seat seat) throws IOException {
        Path note = Files.writeString(files.resolve("note.txt"), "mirror 2 was loose");
        Path other = Files.writeString(files.resolve("other.txt"), "not this one");
        seat.stop("Wren", "coolant-setpoint")
                .again()
                .put("airTemperatureC", "22")
                .put("relativeHumidityPct", "50");
        seat.answers().fire("attach");
        seat.answers(note, other).fire("attach");
        seat.until("both are taken along", () -> seat.has("off.other.txt") && seat.has("off.note.txt"));
        seat.fire("off.other.txt");
        assertThat(Seat.onScreen(
                        () -> ((AttachBox) seat.find("attach-box")).files().size()))
                .isEqualTo(1);
        seat.press(KeyCode.CONTROL, KeyCode.ENTER);
        seat.until("it is recorded", () -> seat.words("told").startsWith("Recorded as no. "));
        Entry entry = seat.desk
                .logbook()
                .readings(seat.desk.logbook().findMachine("Wren").orElseThrow().id(), "coolant-setpoint", 1)
                .get(0);
        assertThat(entry.attachments()).extracting(Entry.Attachment::name).containsExactly("note.txt");
        seat.entry(entry);
        seat.until("its file is shown", () -> seat.has("save.note.txt"));
        Path copy = files.resolve("copy.txt");
        seat.answers(nowhere()).fire("save.note.txt");
        seat.until("it cannot be saved there", () -> seat.says("ote.txt could not be saved in "));
        seat.answers(copy).fire("save.note.txt");
        seat.until("it is saved", () -> seat.says("note.txt stands in " + copy));
        assertThat(copy).content().isEqualTo("mirror 2 was loose");
    }

    private void exported(Seat seat) throws IOException {
        seat.answers().jump("export the whole");
        seat.answers(nowhere()).jump("export the whole");
        seat.until(
                "it cannot be written there, and the window is free again",
                () -> seat.says("The file could not be written there") && !seat.has("end-work"));
        Path bundle = files.resolve("bundle.zip");
        seat.answers(bundle).jump("export the whole");
        seat.until("it is written", () -> seat.says("entries to " + bundle) && !seat.has("end-work"));
        Path empty = files.resolve("empty");
        Import.from(bundle, empty, Catalogue.procedures(), done -> {});
        try (Logbook taken = Logbook.open(empty, Catalogue.procedures())) {
            assertThat(taken.head()).isEqualTo(seat.desk.logbook().head());
            assertThat(taken.verify(List.of()).flaws()).isEmpty();
        }
    }
}
