package zebrawood.desktop.certificate;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;
import zebrawood.core.route.StopState;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Paper;

/** Pages of A4 or letter paper that fill from the top; measured in px of 1/96 inch. */
final class PageFlow {

    static final double LEFT = 58;
    static final double WIDTH = 678;
    private static final double FOOT = 48;
    private static final float POINTS_PER_PX = 0.75f;
    private static final double LINE = 17;

    private final PDDocument document;
    private final PDRectangle size;
    private final PdfFonts fonts;
    private final String title;
    private final List<PDPageContentStream> pages = new ArrayList<>();
    private final Look look = Look.of(Ground.LIGHT);
    private PdfPen pen;
    private double y;

    PageFlow(PDDocument document, String title, Paper paper) {
        this.document = document;
        this.size = paper == Paper.LETTER ? PDRectangle.LETTER : PDRectangle.A4;
        this.title = title;
        this.fonts = new PdfFonts(document);
    }

    /** Goes on on a new sheet. */
    void start() throws IOException {
        PDPage page = new PDPage(size);
        document.addPage(page);
        PDPageContentStream stream = new PDPageContentStream(document, page);
        stream.transform(new Matrix(POINTS_PER_PX, 0, 0, -POINTS_PER_PX, (size.getWidth() - PDRectangle.A4.getWidth()) / 2, size.getHeight()));
        pages.add(stream);
        pen = new PdfPen(stream, fonts, look);
        y = 60;
        if (pages.size() > 1) {
            text(LEFT, 60, title, Lettering.HEAD, Tone.INK, Anchor.START);
            y = 92;
        }
    }

    /** Down to where a sheet may be filled, px. */
    double bottom() {
        return size.getHeight() / POINTS_PER_PX - FOOT;
    }

    PdfPen pen() {
        return pen;
    }

    double y() {
        return y;
    }

    void at(double at) {
        y = at;
    }

    void space(double px) {
        y += px;
    }

    /** Goes on on a new sheet when less than this is left. */
    void need(double px) throws IOException {
        if (y + px > bottom()) {
            start();
        }
    }

    /** Writes the head of every page, now that their number is known, and closes them. */
    void finish(String kind, String shop, String day) throws IOException {
        int number = 1;
        for (PDPageContentStream page : pages) {
            pen = new PdfPen(page, fonts, look);
            double top = number == 1 ? 106 : 60;
            double right = LEFT + WIDTH;
            if (number == 1) {
                text(right, top, kind, Lettering.SMALL, Tone.QUIET, Anchor.END);
                text(right, top + 16, shop, Lettering.SMALL, Tone.QUIET, Anchor.END);
                text(right, top + 32, day + ", page 1 of " + pages.size(), Lettering.SMALL, Tone.QUIET, Anchor.END);
            } else {
                text(right, top, kind + ", " + shop + ", " + day + ", page " + number + " of " + pages.size(), Lettering.CAPTION, Tone.QUIET, Anchor.END);
            }
            page.close();
            number++;
        }
    }

    void text(double x, double at, String text, Lettering lettering, Tone tone, Anchor anchor) {
        if (!text.isEmpty()) {
            pen.text(x, at, text, lettering, tone, anchor);
        }
    }

    /** A hash, in type small enough for its column. */
    void tiny(double x, double at, String text) {
        pen.text(x, at, text, Lettering.HASH, Tone.QUIET, Anchor.START);
    }

    void heading(String words) {
        text(LEFT, y + 12, words, Lettering.HEAD, Tone.INK, Anchor.START);
        y += 28;
    }

    void paragraph(String words) throws IOException {
        for (String line : pen.wrapped(words, WIDTH, Lettering.SMALL)) {
            need(LINE);
            text(LEFT, y + 10, line, Lettering.SMALL, Tone.INK, Anchor.START);
            y += LINE;
        }
    }

    /** A line of what was measured; grows where its words need more than a line. */
    void row(StopState state, String name, String found, String judged, String who) {
        double nameWidth = name.isEmpty() ? 0 : 104;
        List<String> names = pen.wrapped(name, 100, Lettering.TEXT_BOLD);
        List<String> finds = pen.wrapped(found, 252 + (104 - nameWidth), Lettering.SMALL);
        List<String> limits = pen.wrapped(judged, 146, Lettering.SMALL);
        List<String> whos = List.of(who.split(", (?=no\\.)"));
        int lines = Math.max(Math.max(names.size(), whos.size()), Math.max(finds.size(), limits.size()));
        if (y + lines * LINE + 12 > bottom()) {
            try {
                start();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        double x = LEFT + 26;
        Shapes.state(pen, state, LEFT + 10, y + 8, 0.95);
        for (int i = 0; i < lines; i++) {
            double at = y + 12 + i * LINE;
            text(x, at, get(names, i), i == 0 ? Lettering.TEXT_BOLD : Lettering.SMALL, Tone.INK, Anchor.START);
            text(x + nameWidth, at, get(finds, i), Lettering.SMALL, Tone.INK, Anchor.START);
            text(x + 372, at, get(limits, i), Lettering.SMALL, Tone.QUIET, Anchor.START);
            text(LEFT + WIDTH, at, get(whos, i), Lettering.SMALL, Tone.QUIET, Anchor.END);
        }
        y += lines * LINE + 5;
        pen.line(LEFT, y, LEFT + WIDTH, y, Stroke.of(Tone.HAIRLINE, 0.8));
        y += 7;
    }

    void point(int number, String words, String when) throws IOException {
        List<String> lines = pen.wrapped(words, WIDTH - 160, Lettering.SMALL);
        need(lines.size() * LINE + 12);
        text(LEFT + 4, y + 11, String.valueOf(number), Lettering.SMALL, Tone.INK, Anchor.START);
        text(LEFT + WIDTH, y + 11, when, Lettering.SMALL, Tone.QUIET, Anchor.END);
        for (String line : lines) {
            text(LEFT + 26, y + 11, line, Lettering.SMALL, Tone.INK, Anchor.START);
            y += LINE;
        }
        y += 3;
        pen.line(LEFT, y, LEFT + WIDTH, y, Stroke.of(Tone.HAIRLINE, 0.8));
        y += 6;
    }

    /** A table, in two columns of rows side by side where it is long. */
    void table(List<String> heads, List<List<String>> rows) throws IOException {
        boolean two = rows.size() > 14 && heads.size() == 3;
        double width = two ? (WIDTH - 28) / 2 : heads.size() == 2 ? WIDTH : 460;
        int perColumn = two ? (rows.size() + 1) / 2 : rows.size();
        int done = 0;
        while (done < perColumn) {
            need(3 * LINE);
            int fit = (int) Math.max(1, Math.min(perColumn - done, (bottom() - y - 4) / LINE - 1));
            double top = y;
            column(heads, rows.subList(done, done + fit), LEFT, width);
            if (two) {
                int from = perColumn + done;
                y = top;
                column(heads, rows.subList(Math.min(from, rows.size()), Math.min(from + fit, rows.size())), LEFT + width + 28, width);
                y = top + (fit + 1) * LINE + 7;
            }
            done += fit;
            if (done < perColumn) {
                start();
            }
        }
    }

    private void column(List<String> heads, List<List<String>> rows, double x, double width) {
        double[] shares = heads.size() == 2 ? new double[] {0.5, 0.5} : new double[] {0.44, 0.32, 0.24};
        cells(heads, x, width, shares, true);
        pen.line(x, y - 1, x + width, y - 1, Stroke.of(Tone.INK, 0.8));
        y += 3;
        rows.forEach(row -> cells(row, x, width, shares, false));
    }

    private void cells(List<String> cells, double x, double width, double[] shares, boolean head) {
        double right = x;
        for (int i = 0; i < cells.size(); i++) {
            double room = width * shares[i];
            right += room;
            Tone tone = head ? Tone.QUIET : i == 1 ? Tone.READING : Tone.INK;
            String fit = pen.fitting(cells.get(i), room - 6, Lettering.SMALL);
            text(i == 0 ? x : right, y + 10, fit, Lettering.SMALL, tone, i == 0 ? Anchor.START : Anchor.END);
        }
        y += LINE;
    }

    void figure(Figure figure, double x, double top, double width, double height) throws IOException {
        PDPageContentStream page = pages.get(pages.size() - 1);
        page.saveGraphicsState();
        page.transform(Matrix.getTranslateInstance((float) x, (float) top));
        figure.draw(pen, width, height);
        page.restoreGraphicsState();
    }

    String fitting(String text, double width, Lettering lettering) {
        return pen.fitting(text, width, lettering);
    }

    private static String get(List<String> lines, int i) {
        return i < lines.size() ? lines.get(i) : "";
    }
}
