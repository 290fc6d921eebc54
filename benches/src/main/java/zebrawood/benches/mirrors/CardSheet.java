package zebrawood.benches.mirrors;

import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** A page of cards at true size: for a mirror and for the head, with a ruler to check the size by. */
final class CardSheet {

    /** px a millimetre, at 96 px an inch */
    private static final double MM = 96 / 25.4;

    private static final double LEFT = 18 * MM;

    private static final String[][] WORDS = {
        {"before mirror 2, gantry near", "before mirror 2, gantry far"}, {"at the head", "under the nozzle"}
    };

    private CardSheet() {}

    /** Draws it on a page so large, px of 1/96 inch. */
    static void draw(Pen pen, double width, double height) {
        pen.text(LEFT, 16 * MM, "Cards for the beam", Lettering.HEAD, Tone.INK, Anchor.START);
        double y = 23 * MM;
        for (String line : pen.wrapped(
                "Print at 100 %, not fitted to the page. Measure the ruler: it must be 100 mm long. Cut out along the "
                        + "edges, tape the card over the opening, cross on its middle, this side to the beam.",
                width - 2 * LEFT, Lettering.TEXT)) {
            pen.text(LEFT, y, line, Lettering.TEXT, Tone.INK, Anchor.START);
            y += 5 * MM;
        }
        ruler(pen, LEFT, 42 * MM);
        double row = 56 * MM;
        for (int r = 0; r < 2; r++) {
            for (int c = 0; c < 2; c++) {
                card(pen, LEFT + c * 84 * MM, row + r * 92 * MM, r == 0 ? "mirror" : "head", WORDS[r][c]);
            }
        }
        pen.text(
                LEFT,
                Math.min(height - 8 * MM, 258 * MM),
                "Paper burns. Lowest power that marks, one short pulse, extinguisher in reach; eyewear on everybody.",
                Lettering.SMALL,
                Tone.INK,
                Anchor.START);
    }

    private static void ruler(Pen pen, double x, double y) {
        Stroke ink = Stroke.of(Tone.INK, 0.8);
        pen.line(x, y, x + 100 * MM, y, ink);
        for (int mm = 0; mm <= 100; mm++) {
            double tall = mm % 10 == 0 ? 4 : mm % 5 == 0 ? 3 : 1.8;
            pen.line(x + mm * MM, y, x + mm * MM, y - tall * MM, ink);
            if (mm % 10 == 0) {
                pen.text(
                        x + mm * MM,
                        y + 4 * MM,
                        mm == 100 ? "100 mm" : String.valueOf(mm),
                        Lettering.CAPTION,
                        Tone.INK,
                        Anchor.MIDDLE);
            }
        }
    }

    /** 70 mm square: rings each millimetre up to 10, each 5 up to 30; under them a ruler of 20 mm for photos. */
    private static void card(Pen pen, double x, double y, String kind, String words) {
        double side = 70 * MM;
        Stroke ink = Stroke.of(Tone.INK, 0.8);
        pen.stroke(Path.rectangle(x, y, side, side + 12 * MM), Stroke.dashed(Tone.QUIET, 0.8, 4));
        double cx = x + side / 2;
        double cy = y + side / 2;
        for (int r = 1; r <= 30; r++) {
            if (r <= 10 || r % 5 == 0) {
                pen.stroke(
                        Path.circle(cx, cy, r * MM),
                        Stroke.of(r % 5 == 0 ? Tone.INK : Tone.QUIET, r % 5 == 0 ? 0.8 : 0.4));
            }
        }
        pen.line(cx - 33 * MM, cy, cx + 33 * MM, cy, ink);
        pen.line(cx, cy - 33 * MM, cx, cy + 33 * MM, ink);
        pen.text(x + 2 * MM, y + 5 * MM, "up", Lettering.CAPTION, Tone.INK, Anchor.START);
        pen.text(x + side - 2 * MM, y + 5 * MM, kind, Lettering.CAPTION, Tone.INK, Anchor.END);
        double ruler = y + side + 3 * MM;
        pen.line(x + 4 * MM, ruler, x + 24 * MM, ruler, ink);
        for (int mm = 0; mm <= 20; mm += 5) {
            pen.line(x + (4 + mm) * MM, ruler, x + (4 + mm) * MM, ruler - 2 * MM, ink);
        }
        pen.text(x + 26 * MM, ruler, "20 mm", Lettering.CAPTION, Tone.INK, Anchor.START);
        pen.text(x + 4 * MM, ruler + 6 * MM, words, Lettering.CAPTION, Tone.INK, Anchor.START);
    }
}
