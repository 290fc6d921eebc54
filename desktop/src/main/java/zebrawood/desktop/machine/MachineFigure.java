package zebrawood.desktop.machine;

import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Tone;

/** A machine from the front, by its family, to scale; it stands on the lower edge, in the middle. */
public final class MachineFigure {

    private static final Stroke EDGE = Stroke.of(Tone.INK, 1.5);
    private static final Stroke THIN = Stroke.of(Tone.INK, 1.1);
    private static final Stroke LIGHT = Stroke.of(Tone.BEAM, 1.4);
    private static final double TABLE_MM = 760;

    private final Pen pen;
    private final double x;
    private final double floor;
    private final double width;
    private final double height;
    private final double scale;

    private MachineFigure(Pen pen, double x, double floor, double widthMm, double heightMm, double scale) {
        this.pen = pen;
        this.x = x;
        this.floor = floor;
        this.width = widthMm * scale;
        this.height = heightMm * scale;
        this.scale = scale;
    }

    /** Outer width, mm; a usual one where the plate does not say. */
    public static double widthMm(Plate plate) {
        return plate.size().map(Plate.Size::widthMm).orElse(usual(plate.family(), true));
    }

    /** Outer height, mm; a usual one where the plate does not say. */
    public static double heightMm(Plate plate) {
        return plate.size().map(Plate.Size::heightMm).orElse(usual(plate.family(), false));
    }

    private static double usual(Family family, boolean wide) {
        return switch (family) {
            case GANTRY_CO2 -> wide ? 1100 : 1000;
            case GANTRY_DIODE -> wide ? 900 : 1100;
            case GALVO_FIBRE, GALVO_UV -> wide ? 850 : 1450;
            case SHEET_FIBRE -> wide ? 1900 : 1400;
        };
    }

    /** @param pxPerMm the scale that all machines share */
    public static Figure of(Plate plate, double pxPerMm) {
        return (pen, width, height) -> draw(pen, width / 2, height, plate, pxPerMm);
    }

    /** Draws one whose feet stand on the floor with their middle at x. */
    public static void draw(Pen pen, double x, double floor, Plate plate, double pxPerMm) {
        new MachineFigure(pen, x, floor, widthMm(plate), heightMm(plate), pxPerMm).draw(plate);
    }

    private void draw(Plate plate) {
        switch (plate.family()) {
            case GANTRY_CO2 -> {
                boolean closed = plate.services()
                        .flatMap(Plate.Services::enclosureNote)
                        .filter(note -> note.contains("shut"))
                        .isPresent();
                if (closed) {
                    cabinet();
                } else {
                    lidded();
                }
            }
            case GANTRY_DIODE -> diode();
            case GALVO_FIBRE, GALVO_UV -> galvo(plate.family());
            case SHEET_FIBRE -> sheet();
        }
    }

    private double up(double mm) {
        return floor - mm * scale;
    }

    /** A length upwards as it is on a machine of usual height; less on a lower one. px */
    private double high(double mm) {
        return mm * Math.min(scale, height / 950);
    }

    /** A length across as it is on a machine of usual width; less on a narrower one. px */
    private double wide(double mm) {
        return mm * Math.min(scale, width / 820);
    }

    private void lidded() {
        double left = x - width / 2;
        double top = floor - height;
        double lid = high(150);
        feet(left, high(130));
        box(left, top + lid, width, height - lid - high(130), Tone.RAISED, EDGE);
        Path cover = new Path()
                .move(left, top + lid)
                .line(left + wide(100), top)
                .line(left + width - wide(100), top)
                .line(left + width, top + lid)
                .close();
        pen.fill(cover, Tone.RAISED);
        pen.stroke(cover, EDGE);
        box(left + wide(170), top + high(40), width - wide(340), high(85), Tone.BAND, THIN);
        pen.line(left, top + high(470), left + width, top + high(470), THIN);
        pen.line(left + wide(110), top + high(330), left + width * 0.66, top + high(330), LIGHT);
        box(left + width - wide(230), top + high(270), wide(140), high(100), Tone.BAND, THIN);
    }

    private void cabinet() {
        double left = x - width / 2;
        double top = floor - height;
        feet(left, high(60));
        box(left, top, width, height - high(60), Tone.RAISED, EDGE);
        box(left + wide(90), top + high(95), width - wide(180), height * 0.34, Tone.BAND, THIN);
        pen.circle(x, top + high(50), 2.4, Tone.INK);
        pen.line(left + wide(120), top + height * 0.5, left + width - wide(120), top + height * 0.5, THIN);
        pen.line(
                left + wide(180),
                top + high(95) + height * 0.27,
                left + width - wide(180),
                top + high(95) + height * 0.27,
                LIGHT);
    }

    private void diode() {
        double left = x - width / 2;
        double top = floor - height;
        double tableMm = Math.min(TABLE_MM, height / scale * 0.6);
        table(left, width, tableMm);
        double deck = up(tableMm);
        double post = wide(90);
        box(left + wide(50), top + high(110), post, deck - high(120) - top - high(110), Tone.RAISED, EDGE);
        box(
                left + width - wide(50) - post,
                top + high(110),
                post,
                deck - high(120) - top - high(110),
                Tone.RAISED,
                EDGE);
        box(left, deck - high(120), width, high(120), Tone.RAISED, EDGE);
        box(left, top + high(30), width, high(115), Tone.RAISED, EDGE);
        box(x - wide(150), top, wide(150), high(230), Tone.BAND, THIN);
        box(x + wide(30), top + high(60), wide(110), high(140), Tone.RAISED, EDGE);
        pen.line(x + wide(85), top + high(200), x + wide(85), deck - high(120), LIGHT);
    }

    private void galvo(Family family) {
        double left = x - width / 2;
        double top = floor - height;
        double tableMm = Math.min(TABLE_MM, height / scale * 0.5);
        table(left, width, tableMm);
        double deck = up(tableMm);
        box(left, deck - high(95), width, high(95), Tone.RAISED, EDGE);
        double column = x + width * 0.27;
        box(column, top, wide(115), deck - high(95) - top, Tone.RAISED, EDGE);
        double headLeft = x - width * 0.36;
        box(headLeft, top + high(90), column + wide(115) - headLeft, high(120), Tone.RAISED, EDGE);
        double lens = headLeft + wide(150);
        double lensTop = top + high(210);
        Path body = new Path()
                .move(lens - wide(120), lensTop)
                .line(lens + wide(120), lensTop)
                .line(lens + wide(70), lensTop + high(105))
                .line(lens - wide(70), lensTop + high(105))
                .close();
        pen.fill(body, Tone.BAND);
        pen.stroke(body, THIN);
        double spread = wide(family == Family.GALVO_UV ? 90 : 150);
        pen.line(lens, lensTop + high(110), lens - spread, deck - high(95), LIGHT);
        pen.line(lens, lensTop + high(110), lens + spread, deck - high(95), LIGHT);
    }

    private void sheet() {
        double left = x - width / 2;
        double top = floor - height;
        double bed = floor - high(560);
        feet(left, high(80));
        box(left, bed, width, high(480), Tone.RAISED, EDGE);
        pen.line(left, bed, left + width, bed, Stroke.of(Tone.INK, 3));
        for (double tooth = left + wide(40); tooth < left + width - wide(15); tooth += 125 * scale) {
            pen.line(tooth, bed, tooth, bed + high(50), THIN);
        }
        box(left + wide(15), top + high(30), width - wide(30), high(100), Tone.RAISED, EDGE);
        pen.line(left + wide(30), top + high(130), left + wide(30), bed, THIN);
        pen.line(left + width - wide(30), top + high(130), left + width - wide(30), bed, THIN);
        double head = x + wide(95);
        box(head - wide(38), top, wide(76), high(220), Tone.RAISED, EDGE);
        Path nozzle = new Path()
                .move(head - wide(27), top + high(220))
                .line(head + wide(27), top + high(220))
                .line(head + wide(11), top + high(280))
                .line(head - wide(11), top + high(280))
                .close();
        pen.fill(nozzle, Tone.BAND);
        pen.stroke(nozzle, THIN);
        pen.line(head, top + high(280), head, bed, LIGHT);
    }

    private void table(double left, double width, double heightMm) {
        pen.line(left + 40 * scale, floor, left + 40 * scale, up(heightMm), THIN);
        pen.line(left + width - 40 * scale, floor, left + width - 40 * scale, up(heightMm), THIN);
    }

    private void feet(double left, double heightPx) {
        Stroke foot = Stroke.of(Tone.INK, 4);
        pen.line(left + wide(90), floor - heightPx, left + wide(90), floor, foot);
        pen.line(left + width - wide(90), floor - heightPx, left + width - wide(90), floor, foot);
    }

    private void box(double left, double top, double w, double h, Tone fill, Stroke edge) {
        pen.rectangle(left, top, w, Math.max(1, h), fill, edge);
    }
}
