package zebrawood.desktop.shop;

import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.desktop.figure.Figure;
import zebrawood.desktop.figure.Path;
import zebrawood.desktop.figure.Pen;
import zebrawood.desktop.figure.Stroke;
import zebrawood.desktop.theme.Tone;

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
        return (pen, width, height) -> new MachineFigure(pen, width / 2, height, widthMm(plate), heightMm(plate), pxPerMm).draw(plate);
    }

    private void draw(Plate plate) {
        switch (plate.family()) {
            case GANTRY_CO2 -> {
                boolean closed = plate.services().flatMap(Plate.Services::enclosureNote).filter(note -> note.contains("shut")).isPresent();
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

    private void lidded() {
        double left = x - width / 2;
        double top = floor - height;
        double lid = 150 * scale;
        feet(left, 130);
        box(left, top + lid, width, height - lid - 130 * scale, Tone.RAISED, EDGE);
        Path cover = new Path().move(left, top + lid).line(left + 100 * scale, top).line(left + width - 100 * scale, top).line(left + width, top + lid).close();
        pen.fill(cover, Tone.RAISED);
        pen.stroke(cover, EDGE);
        box(left + 170 * scale, top + 40 * scale, width - 340 * scale, 85 * scale, Tone.BAND, THIN);
        pen.line(left, top + 470 * scale, left + width, top + 470 * scale, THIN);
        pen.line(left + 110 * scale, top + 330 * scale, left + width * 0.66, top + 330 * scale, LIGHT);
        box(left + width - 230 * scale, top + 270 * scale, 140 * scale, 100 * scale, Tone.BAND, THIN);
    }

    private void cabinet() {
        double left = x - width / 2;
        double top = floor - height;
        feet(left, 60);
        box(left, top, width, height - 60 * scale, Tone.RAISED, EDGE);
        box(left + 90 * scale, top + 95 * scale, width - 180 * scale, height * 0.34, Tone.BAND, THIN);
        pen.circle(x, top + 50 * scale, 2.4, Tone.INK);
        pen.line(left + 120 * scale, top + height * 0.5, left + width - 120 * scale, top + height * 0.5, THIN);
        pen.line(left + 180 * scale, top + 95 * scale + height * 0.27, left + width - 180 * scale, top + 95 * scale + height * 0.27, LIGHT);
    }

    private void diode() {
        double left = x - width / 2;
        double top = floor - height;
        table(left, width, Math.min(TABLE_MM, height / scale - 350));
        double deck = up(Math.min(TABLE_MM, height / scale - 350));
        double post = 90 * scale;
        box(left + 50 * scale, top + 110 * scale, post, deck - 120 * scale - top - 110 * scale, Tone.RAISED, EDGE);
        box(left + width - 50 * scale - post, top + 110 * scale, post, deck - 120 * scale - top - 110 * scale, Tone.RAISED, EDGE);
        box(left, deck - 120 * scale, width, 120 * scale, Tone.RAISED, EDGE);
        box(left, top + 30 * scale, width, 115 * scale, Tone.RAISED, EDGE);
        box(x - 150 * scale, top, 150 * scale, 280 * scale, Tone.BAND, THIN);
        box(x + 30 * scale, top + 60 * scale, 110 * scale, 170 * scale, Tone.RAISED, EDGE);
        pen.line(x + 85 * scale, top + 230 * scale, x + 85 * scale, deck - 120 * scale, LIGHT);
    }

    private void galvo(Family family) {
        double left = x - width / 2;
        double top = floor - height;
        double tableMm = Math.min(TABLE_MM, height / scale - 500);
        table(left, width, tableMm);
        double deck = up(tableMm);
        box(left, deck - 95 * scale, width, 95 * scale, Tone.RAISED, EDGE);
        double column = x + width * 0.27;
        box(column, top, 115 * scale, deck - 95 * scale - top, Tone.RAISED, EDGE);
        double headLeft = x - width * 0.36;
        box(headLeft, top + 90 * scale, column + 115 * scale - headLeft, 120 * scale, Tone.RAISED, EDGE);
        double lens = headLeft + 150 * scale;
        double lensTop = top + 210 * scale;
        Path body = new Path().move(lens - 120 * scale, lensTop).line(lens + 120 * scale, lensTop).line(lens + 70 * scale, lensTop + 105 * scale)
                .line(lens - 70 * scale, lensTop + 105 * scale).close();
        pen.fill(body, Tone.BAND);
        pen.stroke(body, THIN);
        double spread = (family == Family.GALVO_UV ? 90 : 150) * scale;
        pen.line(lens, lensTop + 110 * scale, lens - spread, deck - 95 * scale, LIGHT);
        pen.line(lens, lensTop + 110 * scale, lens + spread, deck - 95 * scale, LIGHT);
    }

    private void sheet() {
        double left = x - width / 2;
        double top = floor - height;
        double bed = up(820);
        feet(left, 110);
        box(left, bed, width, 710 * scale, Tone.RAISED, EDGE);
        pen.line(left, bed, left + width, bed, Stroke.of(Tone.INK, 3));
        for (double tooth = left + 80 * scale; tooth < left + width - 20 * scale; tooth += 125 * scale) {
            pen.line(tooth, bed, tooth, bed + 75 * scale, THIN);
        }
        box(left + 30 * scale, top + 40 * scale, width - 60 * scale, 145 * scale, Tone.RAISED, EDGE);
        pen.line(left + 60 * scale, top + 185 * scale, left + 60 * scale, bed, THIN);
        pen.line(left + width - 60 * scale, top + 185 * scale, left + width - 60 * scale, bed, THIN);
        double head = x + 220 * scale;
        box(head - 85 * scale, top, 170 * scale, 320 * scale, Tone.RAISED, EDGE);
        Path nozzle = new Path().move(head - 60 * scale, top + 320 * scale).line(head + 60 * scale, top + 320 * scale)
                .line(head + 25 * scale, top + 410 * scale).line(head - 25 * scale, top + 410 * scale).close();
        pen.fill(nozzle, Tone.BAND);
        pen.stroke(nozzle, THIN);
        pen.line(head, top + 410 * scale, head, bed, LIGHT);
    }

    private void table(double left, double width, double heightMm) {
        pen.line(left + 40 * scale, floor, left + 40 * scale, up(heightMm), THIN);
        pen.line(left + width - 40 * scale, floor, left + width - 40 * scale, up(heightMm), THIN);
    }

    private void feet(double left, double heightMm) {
        Stroke foot = Stroke.of(Tone.INK, 4);
        pen.line(left + 90 * scale, up(heightMm), left + 90 * scale, floor, foot);
        pen.line(left + width - 90 * scale, up(heightMm), left + width - 90 * scale, floor, foot);
    }

    private void box(double left, double top, double w, double h, Tone fill, Stroke edge) {
        pen.rectangle(left, top, w, Math.max(1, h), fill, edge);
    }
}
