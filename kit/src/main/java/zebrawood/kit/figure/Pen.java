package zebrawood.kit.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zebrawood.core.units.Quantity;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** Draws lines, areas and text in the tones and letterings of the theme. y runs downwards. */
public abstract class Pen {

    /** Whether areas are hatched instead of tinted, for tinted eyewear. */
    public abstract boolean hatches();

    /** Draws along a path; outside the drawing nothing shows. */
    public abstract void stroke(Path path, Stroke stroke);

    /** Fills what a path encloses. */
    public abstract void fill(Path path, Tone tone);

    /** Text on a baseline at y. */
    public abstract void text(double x, double y, String text, Lettering lettering, Tone tone, Anchor anchor);

    /** How wide a text is in this lettering, px. */
    public abstract double textWidth(String text, Lettering lettering);

    /** Runs a drawing turned about a point, clockwise. */
    public abstract void turned(double x, double y, double degrees, Runnable drawing);

    /** Runs a drawing that does not reach beyond a rectangle. */
    public abstract void clipped(double x, double y, double width, double height, Runnable drawing);

    /** Draws a straight line between two points. */
    public final void line(double x1, double y1, double x2, double y2, Stroke stroke) {
        stroke(new Path().move(x1, y1).line(x2, y2), stroke);
    }

    /** Fills a circle about a point with a radius, px. */
    public final void circle(double x, double y, double r, Tone tone) {
        fill(Path.circle(x, y, r), tone);
    }

    /** Fills a rectangle and draws its edge. */
    public final void rectangle(double x, double y, double width, double height, Tone fill, Stroke stroke) {
        Path path = Path.rectangle(x, y, width, height);
        fill(path, fill);
        stroke(path, stroke);
    }

    /** Writes a text whose base line begins at a point. */
    public final void text(double x, double y, String text, Lettering lettering, Tone tone) {
        text(x, y, text, lettering, tone, Anchor.START);
    }

    /** The same on a patch of the ground, for where lines run under it. */
    public final void patched(double x, double y, String text, Lettering lettering, Tone tone, Anchor anchor) {
        double wide = textWidth(text, lettering);
        double from = anchor == Anchor.END ? x - wide : anchor == Anchor.MIDDLE ? x - wide / 2 : x;
        fill(Path.rectangle(from - 3, y - 13, wide + 6, 18), Tone.GROUND);
        text(x, y, text, lettering, tone, anchor);
    }

    /** after the hyphen of a word a line may end, as at a blank */
    private static final Pattern HYPHEN = Pattern.compile("(?<=\\p{L}-)(?=\\p{L})");

    /** A text shortened at its end so that it fits into a width. */
    public final String fitting(String text, double width, Lettering lettering) {
        String fit = text;
        while (fit.length() > 4 && textWidth(fit, lettering) > width) {
            fit = fit.substring(0, fit.length() - 5).strip() + "...";
        }
        return fit;
    }

    /** a blank at which no line ends */
    private static final String KEPT = "\u00A0";

    /** a figure and what may be its unit, with the blank between them */
    private static final Pattern FIGURE_AND_UNIT = Pattern.compile("(?<=\\d) (?=([^ ,;:.)]{1,6}))");

    /**
     * A text as lines that fit into a width; nothing of it is lost: a word wider than that goes on in the next line. A
     * figure keeps its unit beside it, and its sign before it.
     */
    public final List<String> wrapped(String text, double width, Lettering lettering) {
        List<String> lines = new ArrayList<>();
        String line = "";
        String kept = FIGURE_AND_UNIT
                .matcher(text.replace("\u00B1 ", "\u00B1" + KEPT))
                .replaceAll(found -> Quantity.isUnit(found.group(1)) ? KEPT : " ");
        for (String word : kept.split(" ")) {
            String between = line.isEmpty() ? "" : " ";
            for (String piece : HYPHEN.split(word)) {
                String longer = line + between + piece;
                if (!line.isEmpty() && textWidth(longer, lettering) > width) {
                    lines.add(line);
                    longer = piece;
                }
                while (longer.length() > 1 && textWidth(longer, lettering) > width) {
                    int fits = fits(longer, width, lettering);
                    lines.add(longer.substring(0, fits));
                    longer = longer.substring(fits);
                }
                line = longer;
                between = "";
            }
        }
        lines.add(line);
        return lines.stream().map(each -> each.replace(KEPT, " ")).toList();
    }

    /** How many characters of a word fit into a width, at least one. */
    private int fits(String word, double width, Lettering lettering) {
        int fits = word.offsetByCodePoints(0, 1);
        while (fits < word.length()
                && textWidth(word.substring(0, word.offsetByCodePoints(fits, 1)), lettering) <= width) {
            fits = word.offsetByCodePoints(fits, 1);
        }
        return fits;
    }

    /** A text as at most so many lines that fit into a width without breaking a word; empty where it does not fit. */
    public final Optional<List<String>> lines(String text, double width, Lettering lettering, int most) {
        List<String> lines = wrapped(text, width, lettering);
        boolean whole = Stream.of(text.split(" "))
                .flatMap(HYPHEN::splitAsStream)
                .allMatch(word -> textWidth(word, lettering) <= width);
        return whole && lines.size() <= most ? Optional.of(lines) : Optional.empty();
    }

    /** A tolerance or what is in focus: a sand band, or hatching where tints cannot be seen. */
    public final void band(double x, double y, double width, double height) {
        if (!(width > 0 && height > 0)) {
            return;
        }
        if (hatches()) {
            clipped(x, y, width, height, () -> {
                for (double at = x - height; at < x + width; at += 9) {
                    line(at, y + height, at + height, y, Stroke.of(Tone.QUIET, 0.7));
                }
            });
            stroke(Path.rectangle(x, y, width, height), Stroke.of(Tone.QUIET, 0.7));
        } else {
            fill(Path.rectangle(x, y, width, height), Tone.BAND);
        }
    }

    /** Three upright strokes, walnut, straw, walnut: where one is. 6 px wide. */
    public final void stripe(double x, double y, double height) {
        fill(Path.rectangle(x, y, 2, height), Tone.WALNUT);
        fill(Path.rectangle(x + 2, y, 1.5, height), Tone.STRAW);
        fill(Path.rectangle(x + 3.5, y, 2, height), Tone.WALNUT);
    }

    /** The grain: wavy strokes, every third straw; marks where one is, gates, and the head of a certificate. */
    public final void grain(double x, double y, double width, double height, double pitch) {
        clipped(x, y, width, height, () -> {
            int n = 0;
            for (double at = x + pitch / 2; at < x + width; at += pitch, n++) {
                double bend = Math.min(2, pitch / 3);
                stroke(
                        new Path()
                                .move(at, y)
                                .curve(at + bend, y + height * 0.2, at + bend, y + height * 0.35, at, y + height / 2)
                                .curve(at - bend, y + height * 0.65, at - bend, y + height * 0.8, at, y + height),
                        Stroke.of(n % 3 == 2 ? Tone.STRAW : Tone.WALNUT, Math.min(1.6, pitch / 3)));
            }
        });
    }
}
