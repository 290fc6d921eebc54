package zebrawood.desktop.machine;

import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** A machine from the front and from above, to one scale, with its measures on their lines; for paper. */
public final class PlatePaper {

    private static final Stroke EDGE = Stroke.of(Tone.INK, 1.5);
    private static final Stroke LINE = Stroke.of(Tone.READING, 1.1);
    private static final double FLOOR = 206;
    private static final double ROOM = 180;
    private static final double FRONT = 190;
    private static final double ABOVE = 520;

    private PlatePaper() {}

    public static Figure of(Plate plate, UnitChoice units) {
        return (pen, width, height) -> {
            double wide = MachineFigure.widthMm(plate);
            double high = MachineFigure.heightMm(plate);
            double deep = plate.size().map(Plate.Size::depthMm).orElse(wide * 0.7);
            double scale = Math.min(ROOM / Math.max(high, deep), 230 / wide);
            pen.line(30, FLOOR, 350, FLOOR, EDGE);
            MachineFigure.of(plate, scale).draw(pen, 2 * FRONT, FLOOR);
            above(pen, plate, wide * scale, deep * scale, scale, units);
            plate.size().ifPresent(size -> {
                across(pen, FRONT, wide * scale, length(size.widthMm(), units));
                upright(pen, FRONT - wide * scale / 2 - 14, high * scale, length(size.heightMm(), units));
                upright(pen, ABOVE - wide * scale / 2 - 14, deep * scale, length(size.depthMm(), units));
            });
            String scaled = plate.size().isPresent() ? "to one scale" : "outer measures not recorded";
            pen.text(FRONT, 12, "from the front", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
            pen.text(ABOVE, 12, "from above, front below", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
            pen.text(width, 12, scaled, Lettering.CAPTION, Tone.QUIET, Anchor.END);
        };
    }

    private static void above(Pen pen, Plate plate, double wide, double deep, double scale, UnitChoice units) {
        Stroke edge = plate.size().isPresent() ? EDGE : Stroke.dashed(Tone.QUIET, 1.4, 6);
        pen.rectangle(ABOVE - wide / 2, FLOOR - deep, wide, deep, Tone.RAISED, edge);
        plate.bed().ifPresent(bed -> {
            double across = Math.min(bed.xMm() * scale, wide - 8);
            double back = Math.min(bed.yMm() * scale, deep - 8);
            double top = FLOOR - Math.max(4, (deep - back) * 0.3) - back;
            pen.rectangle(ABOVE - across / 2, top, across, back, Tone.BAND, Stroke.of(Tone.INK, 1));
            String word = plate.family().isGalvo() ? "field " : "bed ";
            String words =
                    word + Amount.told(Quantity.LENGTH, bed.xMm()).number(units) + " x " + length(bed.yMm(), units);
            pen.text(ABOVE, FLOOR + 30, words, Lettering.SMALL, Tone.READING, Anchor.MIDDLE);
        });
    }

    private static String length(double mm, UnitChoice units) {
        return Amount.told(Quantity.LENGTH, mm).text(units);
    }

    private static void across(Pen pen, double middle, double wide, String words) {
        double y = FLOOR + 14;
        double left = middle - wide / 2;
        pen.line(left, y, left + wide, y, LINE);
        pen.line(left, y - 5, left, y + 5, LINE);
        pen.line(left + wide, y - 5, left + wide, y + 5, LINE);
        pen.text(middle, y + 16, words, Lettering.SMALL, Tone.READING, Anchor.MIDDLE);
    }

    private static void upright(Pen pen, double x, double high, String words) {
        pen.line(x, FLOOR - high, x, FLOOR, LINE);
        pen.line(x - 5, FLOOR - high, x + 5, FLOOR - high, LINE);
        pen.line(x - 5, FLOOR, x + 5, FLOOR, LINE);
        pen.text(x - 8, FLOOR - high / 2 + 4, words, Lettering.SMALL, Tone.READING, Anchor.END);
    }
}
