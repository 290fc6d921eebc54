package zebrawood.benches.lens;

import java.util.Optional;
import zebrawood.core.lens.BelowFinding;
import zebrawood.core.lens.BelowReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The glass from the side, to scale: rays as they would go in air and as they go, and the mark as it is drawn out. */
public final class BelowFigure implements Exhibit<BelowReadings, BelowFinding> {

    private static final double TOP = 34;
    private static final double FOOT = 28;
    /** rays are drawn at this angle at the least, so that they can be seen */
    private static final double LEAST_ANGLE = 0.12;

    @Override
    public double leastHeight() {
        return 220;
    }

    @Override
    public String title() {
        return "Inside the glass";
    }

    @Override
    public Figure figure(BelowReadings readings, BelowFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(BelowFinding finding) {
        return Optional.empty();
    }

    static Figure of(Optional<BelowFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            double thick = finding.map(BelowFinding::thicknessMm).orElse(10.0);
            double deep = finding.map(BelowFinding::depthMm).orElse(5.0);
            double down = (height - TOP - FOOT) / Math.max(thick, deep * 1.05);
            double left = width * 0.12;
            double right = width * 0.88;
            pen.rectangle(left, TOP, right - left, thick * down, Tone.RAISED, Stroke.of(Tone.INK, 2));
            if (finding.isEmpty()) {
                pen.line(width / 2, 8, width / 2, TOP + deep * down, Stroke.dashed(Tone.QUIET, 1.6, 5));
                pen.text(
                        width / 2,
                        height - 8,
                        "dashed: not yet worked out",
                        Lettering.CAPTION,
                        Tone.QUIET,
                        Anchor.MIDDLE);
            } else {
                rays(pen, finding.get(), width, height, down, units);
            }
        };
    }

    private static void rays(Pen pen, BelowFinding found, double width, double height, double down, UnitChoice units) {
        double x = width / 2;
        double mark = TOP + found.depthMm() * down;
        double angle = found.halfAngleMrad() / 1000;
        boolean opened = angle < LEAST_ANGLE;
        double drawn = opened ? LEAST_ANGLE : angle;
        double inside = Math.asin(Math.sin(drawn) / found.refractiveIndex());
        double half = Math.min(found.depthMm() * down * Math.tan(inside), width * 0.3);
        double above = half + TOP * Math.tan(drawn);
        double unbent = TOP + half / Math.tan(drawn);
        for (int side = -1; side <= 1; side += 2) {
            pen.line(x + side * above, 0, x + side * half, TOP, Stroke.of(Tone.BEAM, 2));
            pen.line(x + side * half, TOP, x, mark, Stroke.of(Tone.BEAM, 2));
            pen.line(x + side * half, TOP, x, unbent, Stroke.dashed(Tone.QUIET, 1.4, 5));
        }
        double smear = Math.max(5, found.smearMm() * down);
        pen.line(x, mark, x, Math.min(height - FOOT, mark + smear), Stroke.of(Tone.BURN, 5));
        double at = x + Math.max(half, 20) + 24;
        pen.line(at, TOP, at, mark, Stroke.of(Tone.READING, 1.6));
        pen.patched(
                at + 8,
                (TOP + mark) / 2 + 5,
                "mark " + Amount.mm(found.depthMm(), 2).text(units) + " deep",
                Lettering.SMALL,
                Tone.READING,
                Anchor.START);
        double low = x - Math.max(half, 20) - 24;
        double dropped = TOP + found.headDropMm() * down;
        pen.line(low, TOP, low, dropped, Stroke.of(Tone.WALNUT, 1.6));
        pen.patched(
                low - 8,
                (TOP + dropped) / 2 + 5,
                "head " + Amount.mm(found.headDropMm(), 2).text(units) + " lower",
                Lettering.SMALL,
                Tone.WALNUT,
                Anchor.END);
        pen.text(
                x,
                height - 8,
                opened
                        ? "glass to scale, rays drawn wider; dashed: without glass"
                        : "to scale; dashed: where the rays would meet without glass",
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
    }
}
