package zebrawood.desktop.work;

import java.util.OptionalDouble;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.WorkResult;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * A work result from the side, to scale: lens or nozzle over the stock at its gap, where the beam is narrowest, what
 * lies under it.
 */
public final class WorkFigure {

    /** drawn where nothing is said of it */
    private static final double USUAL_GAP_MM = 8;
    /** drawn where nothing is said of it */
    private static final double USUAL_THICKNESS_MM = 3;

    private static final double UNDER_MM = 3;

    private WorkFigure() {}

    /** Enlarged alike across and upwards, so that gap, thickness and defocus can be compared. */
    public static Figure of(WorkResult result, UnitChoice units) {
        return (pen, width, height) -> draw(pen, width, height, result, units);
    }

    private static void draw(Pen pen, double width, double height, WorkResult result, UnitChoice units) {
        double gap = result.setup().gapMm().orElse(USUAL_GAP_MM);
        double thickness = result.stock().thicknessMm().orElse(USUAL_THICKNESS_MM);
        double shownGap = Math.min(gap, 40);
        double scale = (height - 62) / (shownGap + thickness + UNDER_MM);
        double top = 30;
        double surface = top + shownGap * scale;
        double bottom = surface + thickness * scale;
        double left = width < 480 ? 92 : 130;
        double right = Math.max(left + 160, width - (width < 480 ? 110 : 190));
        double x = (left + right) / 2;
        under(pen, left, right, bottom, bottom + UNDER_MM * scale, result);
        pen.rectangle(left, surface, right - left, Math.max(2, thickness * scale), Tone.WOOD, Stroke.of(Tone.INK, 1.3));
        Path nozzle = new Path()
                .move(x - 26, top - 22)
                .line(x + 26, top - 22)
                .line(x + 8, top)
                .line(x - 8, top)
                .close();
        pen.fill(nozzle, Tone.BAND);
        pen.stroke(nozzle, Stroke.of(Tone.INK, 1.3));
        double waist = surface - result.setup().defocusMm().orElse(0) * scale * -1;
        beam(pen, x, top, Math.max(top + 6, Math.min(bottom + UNDER_MM * scale, waist)), bottom);
        measure(pen, left - 26, top, surface, result.setup().gapMm(), gap, "gap", units);
        measure(pen, right + 22, surface, bottom, result.stock().thicknessMm(), thickness, "thick", units);
        String kind = result.stock().kind().isBlank() ? "stock" : result.stock().kind();
        pen.text(left + 8, Math.max(surface + 15, (surface + bottom) / 2 + 4), kind, Lettering.TEXT_BOLD, Tone.INK);
        passes(pen, x, surface, result);
        result.setup().defocusMm().ifPresent(defocus -> {
            pen.line(x + 14, waist, right - 8, waist, Stroke.dashed(Tone.WALNUT, 1.2, 4));
            if (right - x > 130) {
                pen.text(right - 10, waist - 5, "narrowest here", Lettering.CAPTION, Tone.WALNUT, Anchor.END);
            }
        });
        pen.text(
                width < 480 ? 4 : left,
                height - 4,
                "from the side, enlarged " + Math.round(scale / 3.78 * 10) / 10.0 + " times"
                        + (gap > shownGap ? "; the gap is drawn shorter" : ""),
                Lettering.CAPTION,
                Tone.QUIET);
    }

    private static void under(Pen pen, double left, double right, double from, double to, WorkResult result) {
        String under = result.stock().under().orElse("");
        if (under.isEmpty()) {
            pen.line(left, to, right, to, Stroke.of(Tone.HAIRLINE, 1));
            return;
        }
        for (double at = left + 10; at < right - 4; at += 16) {
            pen.line(at, from, at, to, Stroke.of(Tone.QUIET, 1));
        }
        pen.line(left, to, right, to, Stroke.of(Tone.QUIET, 1.3));
        pen.text(right + 22, to, under, Lettering.SMALL, Tone.QUIET);
    }

    private static void beam(Pen pen, double x, double top, double waist, double bottom) {
        double spread = 7;
        Path beam = new Path()
                .move(x - spread, top)
                .curve(x - 2, top + (waist - top) * 0.7, x - 1.2, waist, x - 1.2, waist)
                .curve(x - 1.2, waist, x - 2, waist + (bottom - waist) * 0.4, x - 3.4, Math.max(waist, bottom))
                .line(x + 3.4, Math.max(waist, bottom))
                .curve(x + 2, waist + (bottom - waist) * 0.4, x + 1.2, waist, x + 1.2, waist)
                .curve(x + 1.2, waist, x + 2, top + (waist - top) * 0.7, x + spread, top);
        pen.stroke(beam, Stroke.of(Tone.BEAM, 1.5));
    }

    /** A measure beside the drawing; dashed where it is not known. */
    private static void measure(
            Pen pen,
            double x,
            double from,
            double to,
            OptionalDouble known,
            double drawn,
            String word,
            UnitChoice units) {
        Stroke line = known.isPresent() ? Stroke.of(Tone.READING, 1.3) : Stroke.dashed(Tone.READING, 1.3, 4);
        pen.line(x, from, x, to, line);
        pen.line(x - 4, from, x + 4, from, line);
        pen.line(x - 4, to, x + 4, to, line);
        boolean before = x < 200;
        String text = known.isPresent() ? Amount.mm(drawn, 2).text(units) : word + " not known";
        pen.text(
                before ? x - 8 : x + 8,
                (from + to) / 2 + 4,
                text,
                known.isPresent() ? Lettering.TEXT_BOLD : Lettering.SMALL,
                Tone.READING,
                before ? Anchor.END : Anchor.START);
    }

    private static void passes(Pen pen, double x, double surface, WorkResult result) {
        int passes = Math.min(6, result.recipe().passes().orElse(1));
        for (int i = 0; i < passes; i++) {
            double y = surface + 3 + i * 3.5;
            pen.line(x - 10, y, x + 10, y, Stroke.of(Tone.BURN, 1.6));
        }
    }
}
