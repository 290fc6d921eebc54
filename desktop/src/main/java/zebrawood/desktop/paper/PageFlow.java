package zebrawood.desktop.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.util.Matrix;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Ground;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Paper;

/** Pages of A4 or letter paper that fill from the top; measured in px of 1/96 inch. */
public final class PageFlow {

    public static final double LEFT = 58;
    public static final double WIDTH = 678;
    public static final double RIGHT = LEFT + WIDTH;
    /** px from one base line of small text to the next */
    public static final double LINE = 16;
    /** the same in captions */
    public static final double FINE = 13;
    /** the same in fine print */
    public static final double PRINT = 11;

    private static final double FOOT = 38;
    private static final double TOP = 84;
    private static final float POINTS_PER_PX = 0.75f;

    private final PDDocument document;
    private final PDRectangle size;
    private final PdfFonts fonts;
    private final String title;
    private final Tags tags;
    private final PDDocumentOutline outline = new PDDocumentOutline();
    private final List<PDPage> pages = new ArrayList<>();
    private final List<PDPageContentStream> streams = new ArrayList<>();
    private final Look look = Look.of(Ground.LIGHT);
    private PdfPen pen;
    private double y;

    public PageFlow(PDDocument document, String title, Paper paper) {
        this.document = document;
        this.size = paper == Paper.LETTER ? PDRectangle.LETTER : PDRectangle.A4;
        this.title = title;
        this.fonts = new PdfFonts(document);
        this.tags = new Tags(document);
        document.getDocumentCatalog().setDocumentOutline(outline);
    }

    /** Goes on on a new page. */
    public void start() {
        try {
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
            pages.add(page);
            streams.add(stream);
            pen = new PdfPen(stream, fonts, look);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        y = 60;
        if (pages.size() > 1) {
            silent(() -> pen.text(LEFT, 60, title, Lettering.HEAD, Tone.INK));
            y = TOP;
        }
    }

    /** Down to where a page may be filled, px. */
    public double bottom() {
        return size.getHeight() / POINTS_PER_PX - FOOT;
    }

    /** How much fits on a page after the first, px. */
    public double room() {
        return bottom() - TOP;
    }

    public int count() {
        return pages.size();
    }

    public Pen pen() {
        return pen;
    }

    public double y() {
        return y;
    }

    public void at(double at) {
        y = at;
    }

    public void space(double px) {
        y += px;
    }

    /** Whether so much still fits on this page. */
    public boolean fits(double px) {
        return y + px <= bottom();
    }

    /** Goes on on a new page when less than this is left. */
    public void need(double px) {
        if (!fits(px)) {
            start();
        }
    }

    /** A mark by which one gets here from the list beside the pages. */
    public void bookmark(String words) {
        PDPageXYZDestination here = new PDPageXYZDestination();
        here.setPage(pages.get(pages.size() - 1));
        here.setTop((int) (size.getHeight() - (y - 12) * POINTS_PER_PX));
        PDOutlineItem item = new PDOutlineItem();
        item.setTitle(words);
        item.setDestination(here);
        outline.addLast(item);
    }

    /** Closes pages that have no head. */
    public void close() throws IOException {
        for (PDPageContentStream stream : streams) {
            stream.close();
        }
        tags.finish();
    }

    /** Writes the head of every page, now that their number is known, and closes them. */
    public void finish(String kind, String shop, String day) throws IOException {
        for (int i = 0; i < streams.size(); i++) {
            pen = new PdfPen(streams.get(i), fonts, look);
            String page = "page " + (i + 1) + " of " + streams.size();
            List<String> lines = i == 0
                    ? List.of(kind, shop, day + ", " + page)
                    : List.of(kind + ", " + shop + ", " + day + ", " + page);
            Lettering lettering = i == 0 ? Lettering.SMALL : Lettering.CAPTION;
            Tags.silent(streams.get(i), () -> {
                double top = lines.size() > 1 ? 106 : 60;
                for (String line : lines) {
                    pen.text(RIGHT, top + 16 * lines.indexOf(line), line, lettering, Tone.QUIET, Anchor.END);
                }
            });
        }
        close();
    }

    /** Something that stands by itself, to be told as what it is: H1, P, Table. */
    public PDStructureElement tag(String type) {
        return tags.add(type);
    }

    public PDStructureElement tag(PDStructureElement parent, String type) {
        return tags.add(parent, type);
    }

    /** Writes a part of an element. */
    public void text(
            PDStructureElement element,
            double x,
            double at,
            String text,
            Lettering lettering,
            Tone tone,
            Anchor anchor) {
        if (!text.isEmpty()) {
            mark(element, () -> pen.text(x, at, text, lettering, tone, anchor));
        }
    }

    public void text(PDStructureElement element, double x, double at, String text, Lettering lettering, Tone tone) {
        text(element, x, at, text, lettering, tone, Anchor.START);
    }

    /** Draws a part of an element. */
    public void mark(PDStructureElement element, Runnable drawing) {
        tags.mark(pages.get(pages.size() - 1), streams.get(streams.size() - 1), element, drawing);
    }

    /** Draws what says nothing. */
    public void silent(Runnable drawing) {
        Tags.silent(streams.get(streams.size() - 1), drawing);
    }

    public void rule(double x, double width, Stroke stroke) {
        double at = y;
        silent(() -> pen.line(x, at, x + width, at, stroke));
    }

    public void heading(String words) {
        text(tag("H2"), LEFT, y + 12, words, Lettering.HEAD, Tone.INK);
        y += 24;
    }

    /** A text over the whole width, in as many lines as it needs. */
    public void paragraph(String words, Lettering lettering, Tone tone) {
        PDStructureElement element = tag("P");
        double line = lettering == Lettering.PRINT ? PRINT : lettering == Lettering.CAPTION ? FINE : LINE;
        for (String each : pen.wrapped(words, WIDTH, lettering)) {
            need(line);
            text(element, LEFT, y + 10, each, lettering, tone);
            y += line;
        }
    }

    /** A drawing, with what it shows in words for whoever cannot see it. */
    public void figure(Figure figure, String words, double x, double top, double width, double height) {
        enlarged(figure, words, x, top, 1, width, height);
    }

    /** The same, all of it so many times as large as it is drawn, letters and all. */
    public void enlarged(Figure figure, String words, double x, double top, double times, double width, double height) {
        PDPageContentStream page = streams.get(streams.size() - 1);
        PDStructureElement element = tag("Figure");
        element.setAlternateDescription(words);
        mark(element, () -> {
            try {
                page.saveGraphicsState();
                page.transform(new Matrix((float) times, 0, 0, (float) times, (float) x, (float) top));
                figure.draw(pen, width, height);
                page.restoreGraphicsState();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }
}
