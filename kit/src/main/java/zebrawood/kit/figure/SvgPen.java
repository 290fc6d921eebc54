package zebrawood.kit.figure;

import java.util.Locale;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Look;
import zebrawood.kit.theme.Tone;

/** Draws a figure as SVG text. */
public final class SvgPen extends Pen {

    private final Look look;
    private final StringBuilder svg = new StringBuilder();
    private int clips;

    private SvgPen(Look look) {
        this.look = look;
    }

    /** The figure as an SVG document. */
    public static String document(Figure figure, double width, double height, Look look) {
        SvgPen pen = new SvgPen(look);
        figure.draw(pen, width, height);
        return String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\" viewBox=\"0 0 %.0f %.0f\">"
                        + "<rect width=\"100%%\" height=\"100%%\" fill=\"%s\"/>%n%s</svg>%n",
                width,
                height,
                width,
                height,
                look.web(Tone.RAISED),
                pen.svg);
    }

    @Override
    public boolean hatches() {
        return look.hatches();
    }

    @Override
    public void stroke(Path path, Stroke stroke) {
        String dash = stroke.dash() > 0 ? String.format(Locale.ROOT, " stroke-dasharray=\"%.2f\"", stroke.dash()) : "";
        svg.append(String.format(
                Locale.ROOT,
                "<path d=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"%.2f\"%s/>%n",
                data(path),
                look.web(stroke.tone()),
                look.strokeWidth(stroke.width()),
                dash));
    }

    @Override
    public void fill(Path path, Tone tone) {
        svg.append(String.format(Locale.ROOT, "<path d=\"%s\" fill=\"%s\"/>%n", data(path), look.web(tone)));
    }

    @Override
    public void text(double x, double y, String text, Lettering lettering, Tone tone, Anchor anchor) {
        String where = switch (anchor) {
            case START -> "start";
            case MIDDLE -> "middle";
            case END -> "end";
        };
        svg.append(String.format(
                Locale.ROOT,
                "<text x=\"%.2f\" y=\"%.2f\" font-family=\"B612, sans-serif\" font-size=\"%.1f\"%s "
                        + "text-anchor=\"%s\" fill=\"%s\">%s</text>%n",
                x,
                y,
                look.size(lettering),
                lettering.isBold() ? " font-weight=\"700\"" : "",
                where,
                look.web(tone),
                escaped(text)));
    }

    @Override
    public double textWidth(String text, Lettering lettering) {
        return look.textWidth(text, lettering);
    }

    @Override
    public void turned(double x, double y, double degrees, Runnable drawing) {
        svg.append(String.format(Locale.ROOT, "<g transform=\"rotate(%.1f %.2f %.2f)\">%n", degrees, x, y));
        drawing.run();
        svg.append("</g>\n");
    }

    @Override
    public void clipped(double x, double y, double width, double height, Runnable drawing) {
        clips++;
        svg.append(String.format(
                Locale.ROOT,
                "<clipPath id=\"c%d\"><rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"%.2f\"/></clipPath><g "
                        + "clip-path=\"url(#c%d)\">%n",
                clips,
                x,
                y,
                width,
                height,
                clips));
        drawing.run();
        svg.append("</g>\n");
    }

    private static String data(Path path) {
        StringBuilder data = new StringBuilder();
        for (Path.Piece piece : path.pieces()) {
            data.append(piece.kind());
            for (double at : piece.points()) {
                data.append(String.format(Locale.ROOT, "%.2f ", at));
            }
        }
        return data.toString().strip();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
