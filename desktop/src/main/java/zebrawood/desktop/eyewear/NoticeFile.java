package zebrawood.desktop.eyewear;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.Scene;
import org.apache.pdfbox.pdmodel.PDDocument;
import zebrawood.core.eyewear.EyewearFinding;
import zebrawood.core.machine.Plate;
import zebrawood.desktop.desk.Desk;
import zebrawood.desktop.paper.FileName;
import zebrawood.desktop.paper.PageFlow;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.FileDialogs;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.OutputFile;

/** Saves the notice for a machine's door as a PDF that can be printed and hung. */
final class NoticeFile {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final double TIMES = PageFlow.WIDTH / NoticeFigure.WIDTH;

    private NoticeFile() {}

    static void save(Desk desk, Plate plate, EyewearFinding finding, Scene scene) {
        Optional<Path> file = FileDialogs.toSave(scene, FileName.of("notice", plate.name()));
        if (file.isEmpty()) {
            return;
        }
        String day = DAY.format(desk.local(desk.now()));
        Paper paper = desk.preferences().paper();
        desk.later(
                () -> {
                    try {
                        return OutputFile.write(file.get(), true, out -> {
                            write(plate, finding, day, paper, out);
                            return file.get();
                        });
                    } catch (IOException e) {
                        throw new LogbookException(
                                "the notice could not be saved in " + file.get() + "; choose another folder", e);
                    }
                },
                saved -> desk.tell("The notice for " + plate.name() + " stands in " + saved + "."));
    }

    static void write(Plate plate, EyewearFinding finding, String day, Paper paper, OutputStream out)
            throws IOException {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle("Notice for the door: " + plate.name());
            document.getDocumentCatalog().setLanguage("en");
            PageFlow sheet = new PageFlow(document, plate.name(), paper);
            sheet.start();
            String words = "Laser in use. " + plate.name() + ", " + Needs.number(finding.wavelengthNm())
                    + " nm. Eyewear marked OD " + Needs.number(finding.opticalDensityMarked()) + " or more.";
            sheet.enlarged(
                    NoticeFigure.of(plate, finding),
                    words,
                    PageFlow.LEFT,
                    50,
                    TIMES,
                    NoticeFigure.WIDTH,
                    NoticeFigure.HEIGHT);
            sheet.at(58 + TIMES * NoticeFigure.HEIGHT);
            sheet.paragraph(
                    "Made out " + day
                            + " by Zebrawood; an estimate that the laser safety officer checks before it is hung.",
                    Lettering.CAPTION,
                    Tone.QUIET);
            sheet.close();
            document.save(out);
        }
    }
}
