package zebrawood.desktop.paper;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import zebrawood.kit.theme.Fonts;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Scripts;

/** The shipped fonts, embedded in a document as far as they are used. */
final class PdfFonts {

    /** stands for a character that no shipped font has */
    private static final String UNKNOWN = "\u25A1";

    private final PDDocument document;
    private final Map<String, PDFont> loaded = new HashMap<>();

    PdfFonts(PDDocument document) {
        this.document = document;
    }

    PDFont font(Lettering lettering, Scripts.Script script) throws IOException {
        boolean cockpit = script == Scripts.Script.COCKPIT;
        String name = cockpit
                ? lettering.isMono() ? "B612Mono-Regular" : lettering.isBold() ? "B612-Bold" : "B612-Regular"
                : lettering.isBold() ? "DejaVuSans-Bold" : "DejaVuSans";
        PDFont font = loaded.get(name);
        if (font == null) {
            try (InputStream file = Fonts.file(name)) {
                font = PDType0Font.load(document, file, true);
            }
            loaded.put(name, font);
        }
        return font;
    }

    /** The run with a box for each character that its font lacks, so that a certificate is never refused for a name. */
    String showable(Scripts.Run run, Lettering lettering) throws IOException {
        PDFont font = font(lettering, run.script());
        StringBuilder fit = new StringBuilder();
        run.text().codePoints().forEach(point -> {
            String one = new String(Character.toChars(point));
            fit.append(has(font, one) ? one : run.script() == Scripts.Script.COCKPIT ? "?" : UNKNOWN);
        });
        return fit.toString();
    }

    private static boolean has(PDFont font, String character) {
        try {
            font.encode(character);
            return true;
        } catch (IOException | IllegalArgumentException none) {
            return false;
        }
    }

    double width(String text, Lettering lettering, double size) {
        double width = 0;
        try {
            for (Scripts.Run run : Scripts.runs(text)) {
                width += font(lettering, run.script()).getStringWidth(showable(run, lettering)) / 1000 * size;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return width;
    }
}
