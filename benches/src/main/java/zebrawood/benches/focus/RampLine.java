package zebrawood.benches.focus;

import java.util.List;
import java.util.Optional;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Tone;

/** The burned line from above, its widths enlarged, with a rule at each mark. */
final class RampLine {

    static final double STRIP = 52;
    /** px a mm of width is drawn at the most */
    private static final double LARGEST = 40;

    private RampLine() {}

    /** A mark along the line; the width where it was read. */
    record Mark(double positionMm, Optional<Double> widthMm) {}

    /** How many px a mm of width is drawn. */
    static double scale(List<Mark> marks) {
        double widest = marks.stream()
                .flatMap(mark -> mark.widthMm().stream())
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(0.5);
        double scale = 34 / widest;
        double rounded = scale >= 100 ? Math.floor(scale / 50) * 50 : scale >= 10 ? Math.floor(scale / 10) * 10 : scale;
        return Math.min(rounded, 400) > LARGEST && widest > 0.3 ? LARGEST : Math.min(rounded, 400);
    }

    /** @param margin px left and right of the run */
    static Figure figure(List<Mark> marks, double runMm, double margin) {
        return (pen, width, height) -> {
            double perMm = (width - 2 * margin) / runMm;
            double middle = STRIP / 2 + 2;
            pen.fill(Path.rectangle(margin - 30, middle - STRIP / 2, width - 2 * margin + 60, STRIP), Tone.WOOD);
            double scale = scale(marks);
            Path upper = new Path();
            List<Mark> read =
                    marks.stream().filter(mark -> mark.widthMm().isPresent()).toList();
            read.forEach(mark -> upper.line(
                    margin + mark.positionMm() * perMm, middle - mark.widthMm().get() * scale / 2));
            for (int i = read.size() - 1; i >= 0; i--) {
                upper.line(
                        margin + read.get(i).positionMm() * perMm,
                        middle + read.get(i).widthMm().get() * scale / 2);
            }
            if (read.size() > 1) {
                pen.fill(upper.close(), Tone.BURN);
            } else {
                pen.line(margin, middle, width - margin, middle, Stroke.dashed(Tone.BURN, 2, 6));
            }
            for (Mark mark : marks) {
                double x = margin + mark.positionMm() * perMm;
                Stroke rule =
                        mark.widthMm().isPresent() ? Stroke.of(Tone.READING, 1.2) : Stroke.dashed(Tone.READING, 1.2, 3);
                pen.line(x, middle - STRIP / 2 - 2, x, height, rule);
            }
        };
    }
}
