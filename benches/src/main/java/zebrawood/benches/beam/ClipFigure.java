package zebrawood.benches.beam;

import java.util.List;
import java.util.Optional;
import zebrawood.core.beam.ClipFinding;
import zebrawood.core.beam.ClipReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The opening with the beam in it, to scale, and how the loss grows with the offset. */
public final class ClipFigure implements Exhibit<ClipReadings, ClipFinding> {

    /** loss that a drawing shows at the least, % */
    private static final double LEAST_SHOWN_PCT = 5;
    /** px for the other openings under the first one */
    private static final double STRIP = 54;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 270);
    }

    @Override
    public double leastHeight() {
        return 250;
    }

    @Override
    public String title() {
        return "Opening";
    }

    @Override
    public Figure figure(ClipReadings readings, ClipFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(ClipFinding finding) {
        return Optional.of(
                new Course(finding.worstPct(), 0, finding.tolerances().allowedLossPct()));
    }

    static Figure of(Optional<ClipFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            List<ClipFinding.Other> others = finding.map(ClipFinding::others).orElse(List.of());
            double rest = others.isEmpty() ? height : height - STRIP;
            double side = Math.min(rest - 34, 0.42 * width);
            opening(pen, side, rest, finding);
            new Curve(pen, side + 66, width - 16, rest - 42, units).draw(finding);
            double each = width / Math.max(1, others.size());
            for (int i = 0; i < others.size(); i++) {
                small(pen, others.get(i), i * each + 26, height - STRIP / 2 + 4, i + 2, finding.get(), units);
            }
        };
    }

    /** Another opening with the beam in it, to a scale of its own. */
    private static void small(
            Pen pen, ClipFinding.Other other, double x, double y, int number, ClipFinding finding, UnitChoice units) {
        double reach = Math.max(other.apertureMm() / 2, other.offsetMm() + other.beamDiameterMm() / 2);
        double scale = 20 / reach;
        boolean loses = other.lostPct() > finding.tolerances().allowedLossPct();
        pen.fill(Path.circle(x + other.offsetMm() * scale, y, other.beamDiameterMm() / 2 * scale), Tone.BAND);
        pen.stroke(
                Path.circle(x + other.offsetMm() * scale, y, other.beamDiameterMm() / 2 * scale),
                Stroke.of(Tone.BEAM, 1.4));
        pen.stroke(Path.circle(x, y, other.apertureMm() / 2 * scale), Stroke.of(Tone.INK, 2.4));
        pen.text(
                x + 26,
                y + 5,
                number + ": " + Amount.percent(other.lostPct(), 1).text(units),
                loses ? Lettering.TEXT_BOLD : Lettering.SMALL,
                loses ? Tone.FAIL : Tone.READING,
                Anchor.START);
    }

    private static void opening(Pen pen, double side, double height, Optional<ClipFinding> finding) {
        double x = side / 2 + 6;
        double y = (height - 26) / 2;
        double opening = finding.map(ClipFinding::apertureMm).orElse(7.0);
        double beam = finding.map(ClipFinding::beamDiameterMm).orElse(4.0);
        double offset = finding.map(ClipFinding::offsetMm).orElse(0.0);
        double reach = Math.max(opening / 2, offset + beam / 2);
        double scale = (side / 2 - 8) / reach;
        double beamX = x + offset * scale;
        if (finding.isPresent()) {
            pen.fill(Path.circle(beamX, y, beam / 2 * scale), Tone.BAND);
            pen.stroke(Path.circle(beamX, y, beam / 2 * scale), Stroke.of(Tone.BEAM, 2));
        } else {
            pen.stroke(Path.circle(beamX, y, beam / 2 * scale), Stroke.dashed(Tone.QUIET, 1.6, 5));
        }
        pen.stroke(Path.circle(x, y, opening / 2 * scale), Stroke.of(Tone.INK, 3.5));
        pen.line(x - 9, y, x + 9, y, Stroke.of(Tone.QUIET, 1.2));
        pen.line(x, y - 9, x, y + 9, Stroke.of(Tone.QUIET, 1.2));
        if (finding.isPresent()) {
            pen.circle(beamX, y, 4.5, Tone.READING);
        }
        String whole = "beam in the opening, to scale";
        boolean fits = pen.textWidth(whole, Lettering.CAPTION) < 2 * x;
        pen.text(
                x,
                height - 6,
                finding.isPresent() ? fits ? whole : "to scale" : "dashed: not yet read",
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
    }

    private record Curve(Pen pen, double left, double right, double bottom, UnitChoice units) {

        private static final double TOP = 14;

        void draw(Optional<ClipFinding> finding) {
            double far = finding.map(f -> f.curve().get(f.curve().size() - 1).offsetMm())
                    .orElse(5.0);
            double allowed = finding.map(f -> f.tolerances().allowedLossPct()).orElse(ClipReadings.ALLOWED_LOSS_PCT);
            double most = Math.min(
                    105,
                    Math.max(
                            Math.max(LEAST_SHOWN_PCT, 2.5 * allowed),
                            1.6 * finding.map(ClipFinding::lostPct).orElse(0.0)));
            Axis x = new Axis(0, far, left, right);
            Axis y = new Axis(0, most, bottom, TOP);
            pen.band(left, y.at(allowed), right - left, bottom - y.at(allowed));
            pen.line(left, TOP, left, bottom, Stroke.of(Tone.INK, 1.2));
            y.beside(pen, left, 5, left);
            x.shown(Quantity.LENGTH, units).under(pen, bottom, 5, "beside the middle, " + Quantity.LENGTH.unit(units));
            y.along(pen, left - 42, "lost, %");
            finding.ifPresent(found -> curve(found, x, y, most));
        }

        private void curve(ClipFinding found, Axis x, Axis y, double most) {
            Path path = new Path();
            for (ClipFinding.Point point : found.curve()) {
                if (point.lostPct() > most) {
                    break;
                }
                path.line(x.at(point.offsetMm()), y.at(Math.max(0, point.lostPct())));
            }
            pen.stroke(path, Stroke.of(Tone.WALNUT, 2.4));
            double atX = x.at(found.offsetMm());
            double atY = y.at(Math.min(most, found.lostPct()));
            pen.circle(atX, atY, 6.5, Tone.READING);
            boolean right = atX < (left + this.right) / 2;
            pen.patched(
                    right ? atX + 12 : atX - 12,
                    Math.max(TOP + 20, atY - 10),
                    Amount.percent(found.lostPct(), found.lostPct() < 10 ? 1 : 0)
                            .text(units),
                    Lettering.HEAD,
                    Tone.READING,
                    right ? Anchor.START : Anchor.END);
        }
    }
}
