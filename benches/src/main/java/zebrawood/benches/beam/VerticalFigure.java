package zebrawood.benches.beam;

import java.util.Optional;
import zebrawood.core.beam.Spot;
import zebrawood.core.beam.VerticalFinding;
import zebrawood.core.beam.VerticalReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Enlarged;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The beam under the head from two sides, gaps to scale and offsets enlarged, and where it passes the nozzle. */
public final class VerticalFigure implements Exhibit<VerticalReadings, VerticalFinding> {

    private static final double TOP = 40;
    private static final double FOOT = 30;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 240);
    }

    @Override
    public double leastHeight() {
        return 210;
    }

    @Override
    public String title() {
        return "Under the head";
    }

    @Override
    public Figure figure(VerticalReadings readings, VerticalFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(VerticalFinding finding) {
        return Optional.of(
                new Course(finding.leanMrad(), 0, finding.tolerances().leanMrad()));
    }

    static Figure of(Optional<VerticalFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            double third = width / 3;
            double run = height - TOP - FOOT;
            double low = finding.map(VerticalFinding::lowerGapMm).orElse(78.0);
            double scale = run / low;
            double most = finding.map(f -> Math.max(
                            Math.max(f.upper().fromCentreMm(), f.lower().fromCentreMm()),
                            f.atNozzle().fromCentreMm()))
                    .orElse(0.0);
            double factor = Enlarged.factor(most, scale, third / 2 - 16);
            side(pen, third / 2, height, scale, factor, finding, true);
            side(pen, 1.5 * third, height, scale, factor, finding, false);
            nozzle(pen, 2 * third, third, height, finding, units);
            pen.text(
                    third,
                    height - 6,
                    finding.isPresent()
                            ? "gaps to scale, offsets "
                                    + Amount.plain(factor, factor < 1 ? 3 : 0).text(units) + " times as large"
                            : "dashed: not yet read",
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        };
    }

    private static double part(Spot spot, boolean front) {
        return front ? spot.xMm() : spot.yMm();
    }

    private static void side(
            Pen pen,
            double axis,
            double height,
            double scale,
            double factor,
            Optional<VerticalFinding> finding,
            boolean front) {
        pen.text(axis, 14, front ? "from the front" : "from the side", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
        pen.fill(
                new Path()
                        .move(axis - 16, 22)
                        .line(axis + 16, 22)
                        .line(axis + 7, TOP)
                        .line(axis - 7, TOP)
                        .close(),
                Tone.WOOD);
        pen.line(axis, TOP, axis, height - FOOT, Stroke.dashed(Tone.QUIET, 1.2, 4));
        double high = finding.map(VerticalFinding::upperGapMm).orElse(8.0);
        double low = finding.map(VerticalFinding::lowerGapMm).orElse(78.0);
        Stroke card = finding.isPresent() ? Stroke.of(Tone.INK, 2) : Stroke.dashed(Tone.QUIET, 1.6, 5);
        for (double gap : new double[] {high, low}) {
            pen.line(axis - 46, TOP + gap * scale, axis + 46, TOP + gap * scale, card);
        }
        if (finding.isEmpty()) {
            return;
        }
        VerticalFinding found = finding.get();
        double per = scale * factor;
        double nozzle = axis + part(found.atNozzle(), front) * per;
        double lower = axis + part(found.lower(), front) * per;
        pen.line(nozzle, TOP, lower, TOP + low * scale, Stroke.of(Tone.BEAM, 2.4));
        pen.circle(axis + part(found.upper(), front) * per, TOP + high * scale, 5, Tone.READING);
        pen.circle(lower, TOP + low * scale, 5, Tone.READING);
    }

    /** The bore with the beam in it, to scale. */
    private static void nozzle(
            Pen pen, double left, double wide, double height, Optional<VerticalFinding> finding, UnitChoice units) {
        double x = left + wide / 2;
        double y = TOP + (height - TOP - FOOT) / 2;
        pen.text(x, 14, "in the nozzle", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
        double bore = finding.map(VerticalFinding::nozzleBoreMm).orElse(6.0);
        double beam = finding.map(VerticalFinding::beamAtNozzleMm).orElse(3.2);
        double offset = finding.map(f -> f.atNozzle().fromCentreMm()).orElse(0.0);
        double room = Math.min(wide, height - TOP - FOOT) / 2 - 8;
        double scale = room / Math.max(bore / 2, offset + beam / 2);
        if (finding.isPresent()) {
            Spot at = finding.get().atNozzle();
            Path spot = Path.circle(x + at.xMm() * scale, y - at.yMm() * scale, beam / 2 * scale);
            pen.fill(spot, Tone.BAND);
            pen.stroke(spot, Stroke.of(Tone.BEAM, 2));
            pen.circle(x + at.xMm() * scale, y - at.yMm() * scale, 4, Tone.WALNUT);
        } else {
            pen.stroke(Path.circle(x, y, beam / 2 * scale), Stroke.dashed(Tone.QUIET, 1.6, 5));
        }
        pen.stroke(Path.circle(x, y, bore / 2 * scale), Stroke.of(Tone.INK, 3.5));
        pen.text(
                x,
                height - 6,
                finding.isPresent()
                        ? Amount.percent(finding.get().clippedPct(), 1).text(units) + " taken"
                        : "",
                Lettering.TEXT_BOLD,
                Tone.WALNUT,
                Anchor.MIDDLE);
    }
}
