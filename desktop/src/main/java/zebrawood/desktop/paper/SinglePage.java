package zebrawood.desktop.paper;

import java.io.IOException;
import java.io.OutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.view.Paper;

/** One page with nothing on it but a drawing at true size. */
public final class SinglePage {

    /** A4, px of 1/96 inch; on letter paper the drawing is as large */
    private static final double WIDTH = 793.7;

    private static final double HEIGHT = 1056;

    private SinglePage() {}

    /**
     * Writes it as a PDF.
     *
     * @param words what it is, for the title and for who cannot see it
     */
    public static void write(Figure figure, String words, Paper paper, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(words);
            document.getDocumentCatalog().setLanguage("en");
            PageFlow sheet = new PageFlow(document, words, paper);
            sheet.start();
            sheet.enlarged(figure, words, 0, 0, 1, WIDTH, HEIGHT);
            sheet.close();
            document.save(out);
        }
    }
}
