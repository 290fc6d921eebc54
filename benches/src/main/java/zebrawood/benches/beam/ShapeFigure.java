package zebrawood.benches.beam;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import zebrawood.core.beam.ShapeFinding;
import zebrawood.core.beam.ShapeReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The mark with its two diameters, a circle of its area, and beside it what other edges look like. */
public final class ShapeFigure implements Exhibit<ShapeReadings, ShapeFinding> {

    private static final int STEPS = 72;
    /** the shapes beside it */
    private static final double ASIDE = 196;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 240);
    }

    @Override
    public double leastHeight() {
        return 200;
    }

    @Override
    public String title() {
        return "Mark";
    }

    @Override
    public Figure figure(ShapeReadings readings, ShapeFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(ShapeFinding finding) {
        return Optional.of(
                new Course(finding.ellipticity(), 0, finding.tolerances().roundnessTolerance()));
    }

    /** As an outline is written in readings. */
    static String id(ShapeReadings.Outline outline) {
        return outline.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    static Figure of(Optional<ShapeFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            boolean beside = width > 420;
            double wide = beside ? width - ASIDE : width;
            mark(pen, wide, height, finding, units);
            if (beside) {
                edges(pen, width - ASIDE, height, finding.flatMap(ShapeFinding::outline));
            }
        };
    }

    private static void mark(Pen pen, double width, double height, Optional<ShapeFinding> finding, UnitChoice units) {
        double x = width / 2;
        double foot = finding.filter(f -> f.expectedMm().isPresent()).isPresent() ? 46 : 28;
        double y = (height - foot) / 2;
        double major = finding.map(ShapeFinding::majorMm).orElse(1.0);
        double minor = finding.map(ShapeFinding::minorMm).orElse(1.0);
        double most = Math.max(major, finding.map(f -> f.expectedMm().orElse(0)).orElse(0.0));
        double scale = (Math.min(width, height - foot) / 2 - 8) / (most / 2);
        Path outline = ellipse(x, y, major / 2 * scale, minor / 2 * scale);
        if (finding.isEmpty()) {
            pen.stroke(outline, Stroke.dashed(Tone.QUIET, 1.8, 6));
            pen.text(x, height - 6, "dashed: not yet read", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
            return;
        }
        ShapeFinding found = finding.get();
        pen.turned(x, y, -found.angleDeg(), () -> {
            pen.fill(outline, Tone.BAND);
            pen.stroke(outline, Stroke.of(Tone.READING, 2.6));
            pen.line(x - major / 2 * scale, y, x + major / 2 * scale, y, Stroke.of(Tone.READING, 1.4));
            pen.line(x, y - minor / 2 * scale, x, y + minor / 2 * scale, Stroke.of(Tone.READING, 1.4));
        });
        pen.stroke(Path.circle(x, y, found.equivalentMm() / 2 * scale), Stroke.dashed(Tone.WALNUT, 1.8, 6));
        found.expectedMm()
                .ifPresent(expected ->
                        pen.stroke(Path.circle(x, y, expected / 2 * scale), Stroke.dashed(Tone.QUIET, 1.2, 3)));
        pen.text(
                x,
                height - (found.growth().isPresent() ? 22 : 6),
                Amount.mm(major, 2).number(units) + " by " + Amount.mm(minor, 2).text(units),
                Lettering.TEXT_BOLD,
                Tone.READING,
                Anchor.MIDDLE);
        found.growth()
                .ifPresent(growth -> pen.text(
                        x,
                        height - 6,
                        Amount.percent(100 * growth, 0).text(units) + " of what was expected",
                        Lettering.CAPTION,
                        Tone.QUIET,
                        Anchor.MIDDLE));
    }

    private static Path ellipse(double x, double y, double a, double b) {
        Path path = new Path();
        for (int i = 0; i < STEPS; i++) {
            double angle = 2 * Math.PI * i / STEPS;
            path.line(x + a * Math.cos(angle), y + b * Math.sin(angle));
        }
        return path.close();
    }

    /** The four edges to tell apart, the one that was picked with a heavier line. */
    private static void edges(Pen pen, double left, double height, Optional<ShapeReadings.Outline> picked) {
        ShapeReadings.Outline[] outlines = ShapeReadings.Outline.values();
        double step = (height - 8) / outlines.length;
        double r = Math.min(16, step / 2 - 4);
        for (int i = 0; i < outlines.length; i++) {
            double x = left + 22;
            double y = 4 + step * (i + 0.5);
            boolean is = picked.filter(outlines[i]::equals).isPresent();
            Stroke stroke = Stroke.of(is ? Tone.READING : Tone.QUIET, is ? 3 : 1.6);
            for (Path path : example(outlines[i], x, y, r)) {
                pen.stroke(path, stroke);
            }
            pen.text(
                    left + 50,
                    y + 5,
                    outlines[i].words(),
                    is ? Lettering.TEXT_BOLD : Lettering.SMALL,
                    is ? Tone.READING : Tone.QUIET);
        }
    }

    private static List<Path> example(ShapeReadings.Outline outline, double x, double y, double r) {
        return switch (outline) {
            case SMOOTH -> List.of(Path.circle(x, y, r));
            case CRESCENT -> List.of(bitten(x, y, r));
            case FLAT_SIDE -> List.of(cut(x, y, r));
            case SPLIT -> List.of(Path.circle(x - r / 2, y, r / 2.4), Path.circle(x + r / 2, y, r / 2.4));
        };
    }

    private static Path bitten(double x, double y, double r) {
        Path path = new Path();
        for (int i = 6; i <= 66; i++) {
            double angle = 2 * Math.PI * i / STEPS;
            path.line(x + r * Math.cos(angle), y + r * Math.sin(angle));
        }
        double edgeX = x + r * Math.cos(2 * Math.PI * 6 / STEPS);
        double edgeY = y + r * Math.sin(2 * Math.PI * 6 / STEPS);
        return path.curve(x - 0.1 * r, y - 0.5 * r, x - 0.1 * r, y + 0.5 * r, edgeX, edgeY)
                .close();
    }

    private static Path cut(double x, double y, double r) {
        Path path = new Path();
        for (int i = 9; i <= 63; i++) {
            double angle = 2 * Math.PI * i / STEPS;
            path.line(x + r * Math.cos(angle), y + r * Math.sin(angle));
        }
        return path.close();
    }
}
