package zebrawood.desktop.focus;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.focus.Datum;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * The head from the side: from which line, ring or surface the gap is measured, the maker's and the one that was found.
 */
final class DatumFigure {

    static final double HEIGHT = 190;

    private static final double TOP = 24;
    /** px of the head above its datum */
    private static final double HEAD = 62;
    /** px of the larger gap */
    private static final double GAP = 72;

    private static final double HALF = 34;

    private DatumFigure() {}

    static Figure of(String datum, OptionalDouble makersMm, Optional<Double> foundMm, UnitChoice units) {
        return (pen, width, height) -> {
            double most = Math.max(makersMm.orElse(0), foundMm.orElse(0.0));
            double perMm = most > 0 ? GAP / most : 0;
            double middle = width / 2;
            double line = TOP + HEAD;
            head(pen, Datum.of(datum), middle, line);
            pen.line(middle - 150, line, middle + 150, line, Stroke.of(Tone.WALNUT, 2));
            pen.patched(middle + 158, line + 5, "from the " + datum, Lettering.TEXT_BOLD, Tone.WALNUT, Anchor.START);
            makersMm.ifPresent(mm -> {
                double at = line + mm * perMm;
                pen.line(middle - 150, at, middle - 44, at, Stroke.dashed(Tone.QUIET, 1.6, 5));
                dimension(pen, middle - 120, line, at, Tone.QUIET);
                pen.text(
                        middle - 158,
                        (line + at) / 2 + 5,
                        "maker " + Amount.mm(mm, 2).text(units),
                        Lettering.TEXT,
                        Tone.QUIET,
                        Anchor.END);
            });
            foundMm.ifPresent(mm -> {
                double at = line + mm * perMm;
                pen.fill(Path.rectangle(middle - 40, at, 190, 9), Tone.WOOD);
                pen.line(middle - 40, at, middle + 150, at, Stroke.of(Tone.INK, 1.6));
                dimension(pen, middle + 120, line, at, Tone.READING);
                pen.text(
                        middle + 158,
                        (line + at) / 2 + 12,
                        "found " + Amount.mm(mm, 2).text(units),
                        Lettering.TEXT_BOLD,
                        Tone.INK,
                        Anchor.START);
            });
        };
    }

    private static void dimension(Pen pen, double x, double from, double to, Tone tone) {
        Stroke stroke = Stroke.of(tone, 1.4);
        pen.line(x, from, x, to, stroke);
        pen.line(x - 5, from, x + 5, from, stroke);
        pen.line(x - 5, to, x + 5, to, stroke);
    }

    /** The head above its datum, and what hangs below it. */
    private static void head(Pen pen, Datum datum, double x, double y) {
        Stroke edge = Stroke.of(Tone.INK, 1.5);
        switch (datum) {
            case NOZZLE_TIP -> {
                pen.rectangle(x - HALF, y - HEAD, 2 * HALF, HEAD - 26, Tone.RAISED, edge);
                cone(pen, x, y - 26, y, edge);
            }
            case LENS_RING -> {
                pen.rectangle(x - HALF, y - HEAD, 2 * HALF, HEAD - 16, Tone.RAISED, edge);
                pen.rectangle(x - HALF - 10, y - 16, 2 * HALF + 20, 16, Tone.RAISED, edge);
            }
            case LINE -> {
                pen.rectangle(x - HALF, y - HEAD, 2 * HALF, HEAD + 14, Tone.RAISED, edge);
                cone(pen, x, y + 14, y + 32, edge);
            }
            case HOUSING -> pen.rectangle(x - HALF - 26, y - HEAD, 2 * HALF + 52, HEAD, Tone.RAISED, edge);
            case OTHER -> {
                Path outline = Path.rectangle(x - HALF, y - HEAD, 2 * HALF, HEAD);
                pen.stroke(outline, Stroke.dashed(Tone.QUIET, 1.5, 5));
                pen.text(x, y - HEAD / 2 + 5, "head", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
            }
        }
    }

    private static void cone(Pen pen, double x, double from, double to, Stroke edge) {
        Path cone = new Path()
                .move(x - 24, from)
                .line(x + 24, from)
                .line(x + 6, to)
                .line(x - 6, to)
                .close();
        pen.fill(cone, Tone.RAISED);
        pen.stroke(cone, edge);
    }
}
