package zebrawood.benches.mirrors;

import java.util.List;
import zebrawood.core.beam.Spot;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * The run in hand from the side, where near and far tell a beam that leans from one that stands beside; under it the
 * head.
 */
final class SideFigure {

    /** px below which nothing of it can be read */
    private static final double LEAST = 150;
    /** px a millimetre beside the head's middle is drawn with */
    private static final double HEAD_PX = 3;

    private final Pen pen;
    private final WayFigure.Way way;
    private final UnitChoice units;
    private final double perMm;
    private final Path.Box box;

    private SideFigure(Pen pen, WayFigure.Way way, UnitChoice units, double perMm, Path.Box box) {
        this.pen = pen;
        this.way = way;
        this.units = units;
        this.perMm = perMm;
        this.box = box;
    }

    /**
     * Draws it.
     *
     * @param perMm px that a millimetre of the beam's error has
     * @param box where there is room for it
     */
    static void draw(Pen pen, WayFigure.Way way, UnitChoice units, double perMm, Path.Box box) {
        if (box.width() >= LEAST) {
            new SideFigure(pen, way, units, perMm, box).draw();
        }
    }

    private void draw() {
        double left = box.x();
        double right = box.x() + box.width();
        boolean first = way.at().filter(at -> at.mirror() == 1).isPresent()
                || way.lit().size() == 1 && way.lit().contains(1);
        double nearMm = first ? way.run().yNearMm() : way.run().xNearMm();
        double farMm = first ? way.run().yFarMm() : way.run().xFarMm();
        double g = way.at().map(Steps.At::gantryMm).orElse(way.run().yFarMm());
        String run = "the run of " + (way.startsAtTheTube() ? "the " : "")
                + MirrorsBench.names(way.startsAtTheTube()).get(first ? 0 : 1);
        double line = box.y() + 6;
        for (String words : pen.wrapped(run, box.width(), Lettering.SMALL)) {
            pen.text(left, line, words, Lettering.SMALL, Tone.INK, Anchor.START);
            line += 17;
        }
        pen.text(left, line, first ? "from the left" : "from the front", Lettering.CAPTION, Tone.QUIET, Anchor.START);
        double scale = (right - left - 28) / farMm;
        double middle = Math.min(box.y() + 104, box.height() * 0.5);
        double mirror = left + 12;
        double near = mirror + nearMm * scale;
        double far = mirror + farMm * scale;
        pen.line(mirror, middle, far, middle, Stroke.dashed(Tone.QUIET, 1.2, 3));
        sideCard(near, middle);
        sideCard(far, middle);
        way.beam().ifPresent(beam -> {
            Spot start = first ? beam.onYRun(0) : beam.onXRun(g, 0);
            Spot atNear = first ? beam.onYRun(nearMm) : beam.onXRun(g, nearMm);
            Spot atFar = first ? beam.onYRun(farMm) : beam.onXRun(g, farMm);
            pen.line(mirror, middle - start.yMm() * perMm, far, middle - atFar.yMm() * perMm, Stroke.of(Tone.BEAM, 2));
            double apart = Math.abs(atFar.yMm() - atNear.yMm());
            pen.text(
                    left,
                    middle + 52,
                    "up and down: " + Amount.mm(apart, 1).text(units),
                    Lettering.SMALL,
                    Tone.READING,
                    Anchor.START);
            pen.text(
                    left,
                    middle + 69,
                    "to the sides: "
                            + Amount.mm(Math.abs(atFar.xMm() - atNear.xMm()), 1).text(units),
                    Lettering.SMALL,
                    Tone.READING,
                    Anchor.START);
            pen.text(left, middle + 86, "from near to far", Lettering.CAPTION, Tone.QUIET, Anchor.START);
        });
        if (first && way.startsAtTheTube()) {
            pen.rectangle(mirror - 14, middle - 6, 14, 12, Tone.BAND, Stroke.of(Tone.INK, 1.2));
        } else {
            pen.line(mirror - 6, middle + 9, mirror + 6, middle - 9, Stroke.of(Tone.INK, 4));
        }
        pen.text(near, middle + 32, "near", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
        pen.text(far, middle + 32, "far", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
        head(left, middle + 108);
        if (way.beam().isEmpty()) {
            lesson(left, right, middle + 50);
        }
    }

    /** The head from the front: its mirror sends the beam down through lens and nozzle. */
    private void head(double left, double y) {
        if (y + 76 > box.y() + box.height()) {
            return;
        }
        double x = left + 40;
        double off = way.beam()
                .map(beam -> {
                    double g = way.at().map(Steps.At::gantryMm).orElse(way.run().yFarMm());
                    double d = way.at()
                            .map(at -> at.carriageMm().orElse(way.run().xFarMm()))
                            .orElse(way.run().xFarMm());
                    return Math.max(-9, Math.min(9, beam.onXRun(g, d).yMm() * HEAD_PX));
                })
                .orElse(0.0);
        pen.stroke(
                new Path().move(x - 14, y + 34).line(x - 14, y).line(x + 16, y).line(x + 16, y + 34),
                Stroke.of(Tone.INK, 1.4));
        pen.line(x - 9, y + 6, x + 9, y + 24, Stroke.of(Tone.INK, 4));
        pen.fill(
                new Path()
                        .move(x - 14, y + 36)
                        .line(x + 16, y + 36)
                        .line(x + 6, y + 58)
                        .line(x - 5, y + 58)
                        .close(),
                Tone.BAND);
        pen.line(x - 12, y + 36, x + 14, y + 36, Stroke.of(Tone.INK, 2.4));
        Stroke beam = way.beam().isPresent() ? Stroke.of(Tone.BEAM, 2) : Stroke.dashed(Tone.BEAM, 1.6, 4);
        double in = y + 15 - off;
        pen.line(x - 40, in, x - off, in, beam);
        pen.line(x - off, in, x - off, y + 70, beam);
        pen.line(x - 24, y + 71, x + 26, y + 71, Stroke.of(Tone.QUIET, 1.2));
        double words = x + 28;
        pen.text(words, y + 12, "head, from the front", Lettering.CAPTION, Tone.INK, Anchor.START);
        pen.text(words, y + 28, "mirror, lens, nozzle", Lettering.CAPTION, Tone.QUIET, Anchor.START);
        pen.text(words, y + 44, "not to scale", Lettering.CAPTION, Tone.QUIET, Anchor.START);
    }

    private void sideCard(double x, double y) {
        pen.rectangle(x - 4, y - 16, 8, 32, Tone.RAISED, Stroke.of(Tone.INK, 1.2));
    }

    private void lesson(double left, double right, double y) {
        List<String> lines = pen.wrapped(
                "A beam that leans moves from near to far: a screw mends it. One that stands beside stays beside: "
                        + "a mirror is moved.",
                right - left,
                Lettering.CAPTION);
        if (y + 15 * lines.size() < box.y() + box.height()) {
            for (int i = 0; i < lines.size(); i++) {
                pen.text(left, y + 15 * i, lines.get(i), Lettering.CAPTION, Tone.QUIET, Anchor.START);
            }
        }
    }
}
