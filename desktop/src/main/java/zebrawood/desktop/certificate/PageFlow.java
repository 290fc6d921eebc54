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
    /** px between cells, and between two columns of rows */
    private static final double GAP = 6;

    private static final double BETWEEN = 28;
    /** more rows than these stand in two columns */
    private static final int LONG = 14;

    private static final double[] HALVES = {0.5, 0.5};
    private static final double[] THIRDS = {0.28, 0.24, 0.48};

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
        stream.transform(new Matrix(
                POINTS_PER_PX,
                0,
                0,
                -POINTS_PER_PX,
                (size.getWidth() - PDRectangle.A4.getWidth()) / 2,
                size.getHeight()));
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
                text(
                        right,
                        top,
                        kind + ", " + shop + ", " + day + ", page " + number + " of " + pages.size(),
                        Lettering.CAPTION,
                        Tone.QUIET,
                        Anchor.END);
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

    /** A row of a table, its cells as lines that fit into their columns. */
    private record Wrapped(List<List<String>> cells) {
        double height() {
            return cells.stream().mapToInt(List::size).max().orElse(1) * LINE;
        }
    }

    /** Where a table stands: how wide it is, and which share of that each column has. */
    private record Columns(double width, double[] shares) {
        double room(int column) {
            return width * shares[column] - GAP;
        }
    }

    /**
     * A table, in two columns of rows side by side where it is long; a cell goes on in a second line where it needs
     * one.
     */
    void table(List<String> heads, List<List<String>> rows) throws IOException {
        boolean two = rows.size() > LONG && heads.size() == 3;
        Columns columns = new Columns(two ? (WIDTH - BETWEEN) / 2 : WIDTH, heads.size() == 2 ? HALVES : THIRDS);
        List<Wrapped> left = rows.stream().map(row -> wrapped(row, columns)).toList();
        while (!left.isEmpty()) {
            need(3 * LINE);
            double room = bottom() - y - LINE - 8;
            double whole = left.stream().mapToDouble(Wrapped::height).sum();
            int first = fitting(left, two ? Math.min(room, whole / 2 + LINE) : room);
            int second = two ? fitting(left.subList(first, left.size()), room) : 0;
            double top = y;
            column(heads, left.subList(0, first), LEFT, columns);
            double lowest = y;
            if (second > 0) {
                y = top;
                column(heads, left.subList(first, first + second), LEFT + columns.width() + BETWEEN, columns);
            }
            y = Math.max(y, lowest) + 4;
            left = left.subList(first + second, left.size());
            if (!left.isEmpty()) {
                start();
            }
        }
    }

    private Wrapped wrapped(List<String> row, Columns columns) {
        List<List<String>> cells = new ArrayList<>();
        for (int i = 0; i < row.size(); i++) {
            cells.add(pen.wrapped(row.get(i), columns.room(i), Lettering.SMALL));
        }
        return new Wrapped(cells);
    }

    /** How many rows fit under each other, at least one. */
    private static int fitting(List<Wrapped> rows, double room) {
        int fit = 0;
        double used = 0;
        while (fit < rows.size() && (fit == 0 || used + rows.get(fit).height() <= room)) {
            used += rows.get(fit).height();
            fit++;
        }
        return fit;
    }

    private void column(List<String> heads, List<Wrapped> rows, double x, Columns columns) {
        cells(new Wrapped(heads.stream().map(List::of).toList()), x, columns, true);
        pen.line(x, y - 1, x + columns.width(), y - 1, Stroke.of(Tone.INK, 0.8));
        y += 3;
        rows.forEach(row -> cells(row, x, columns, false));
    }

    private void cells(Wrapped row, double x, Columns columns, boolean head) {
        double right = x;
        for (int i = 0; i < row.cells().size(); i++) {
            right += columns.width() * columns.shares()[i];
            Tone tone = head ? Tone.QUIET : i == 1 ? Tone.READING : Tone.INK;
            double at = y + 10;
            for (String line : row.cells().get(i)) {
                text(i == 0 ? x : right, at, line, Lettering.SMALL, tone, i == 0 ? Anchor.START : Anchor.END);
                at += LINE;
            }
        }
        y += row.height();
    }

    void figure(Figure figure, double x, double top, double width, double height) throws IOException {
        PDPageContentStream page = pages.get(pages.size() - 1);
        page.saveGraphicsState();
        page.transform(Matrix.getTranslateInstance((float) x, (float) top));
        figure.draw(pen, width, height);
        page.restoreGraphicsState();
    }

    private static String get(List<String> lines, int i) {
        return i < lines.size() ? lines.get(i) : "";
    }
}
