package zebrawood.desktop.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.util.Matrix;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Scripts;
import zebrawood.kit.theme.Tone;

/** Draws on a PDF page, in px from the upper left corner as everywhere else. */
final class PdfPen extends Pen {

    private final PDPageContentStream page;
    private final PdfFonts fonts;
    private final Look look;

    /** @param page a content stream whose y has been turned downwards */
    PdfPen(PDPageContentStream page, PdfFonts fonts, Look look) {
        this.page = page;
        this.fonts = fonts;
        this.look = look;
    }

    private interface Drawing {
        void run() throws IOException;
    }

    private static void draw(Drawing drawing) {
        try {
            drawing.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public boolean hatches() {
        return false;
    }

    private static float red(String web) {
        return Integer.parseInt(web.substring(1, 3), 16) / 255f;
    }

    private static float green(String web) {
        return Integer.parseInt(web.substring(3, 5), 16) / 255f;
    }

    private static float blue(String web) {
        return Integer.parseInt(web.substring(5, 7), 16) / 255f;
    }

    @Override
    public void stroke(Path path, Stroke stroke) {
        draw(() -> {
            String web = look.web(stroke.tone());
            page.setStrokingColor(red(web), green(web), blue(web));
            page.setLineWidth((float) stroke.width());
            page.setLineDashPattern(
                    stroke.dash() > 0
                            ? new float[] {(float) stroke.dash(), (float) stroke.dash() * 0.75f}
                            : new float[0],
                    0);
            trace(path);
            page.stroke();
        });
    }

    @Override
    public void fill(Path path, Tone tone) {
        draw(() -> {
            String web = look.web(tone);
            page.setNonStrokingColor(red(web), green(web), blue(web));
            trace(path);
            page.fill();
        });
    }

    private void trace(Path path) throws IOException {
        for (Path.Piece piece : path.pieces()) {
            double[] p = piece.points();
            switch (piece.kind()) {
                case 'M' -> page.moveTo((float) p[0], (float) p[1]);
                case 'L' -> page.lineTo((float) p[0], (float) p[1]);
                case 'C' ->
                    page.curveTo((float) p[0], (float) p[1], (float) p[2], (float) p[3], (float) p[4], (float) p[5]);
                default -> page.closePath();
            }
        }
    }

    @Override
    public void text(double x, double y, String text, Lettering lettering, Tone tone, Anchor anchor) {
        draw(() -> {
            String web = look.web(tone);
            double at = anchor == Anchor.START
                    ? x
                    : anchor == Anchor.MIDDLE ? x - textWidth(text, lettering) / 2 : x - textWidth(text, lettering);
            page.setNonStrokingColor(red(web), green(web), blue(web));
            page.beginText();
            page.setTextMatrix(new Matrix(1, 0, 0, -1, (float) at, (float) y));
            for (Scripts.Run run : Scripts.runs(text)) {
                page.setFont(fonts.font(lettering, run.script()), (float) look.size(lettering));
                page.showText(fonts.showable(run, lettering));
            }
            page.endText();
        });
    }

    @Override
    public double textWidth(String text, Lettering lettering) {
        return fonts.width(text, lettering, look.size(lettering));
    }

    @Override
    public void turned(double x, double y, double degrees, Runnable drawing) {
        draw(() -> {
            page.saveGraphicsState();
            page.transform(Matrix.getTranslateInstance((float) x, (float) y));
            page.transform(Matrix.getRotateInstance(Math.toRadians(degrees), 0, 0));
            page.transform(Matrix.getTranslateInstance((float) -x, (float) -y));
            drawing.run();
            page.restoreGraphicsState();
        });
    }

    @Override
    public void clipped(double x, double y, double width, double height, Runnable drawing) {
        draw(() -> {
            page.saveGraphicsState();
            page.addRect((float) x, (float) y, (float) width, (float) height);
            page.clip();
            drawing.run();
            page.restoreGraphicsState();
        });
    }
}
