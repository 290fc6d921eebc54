package zebrawood.benches.lens;

import java.util.List;
import java.util.Optional;
import zebrawood.core.lens.ChoiceFinding;
import zebrawood.core.lens.ChoiceReadings;
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

/** Each lens with its cone to scale, and beside it the focus in the stock, enlarged across. */
public final class LensFigure implements Exhibit<ChoiceReadings, ChoiceFinding> {

    private static final double TOP = 24;
    private static final double FOOT = 62;
    private static final double[] ROUND = {1, 2, 5};

    @Override
    public OnPaper onPaper() {
        return new OnPaper(500, 300);
    }

    @Override
    public double leastHeight() {
        return 270;
    }

    @Override
    public String title() {
        return "Lenses and their cones";
    }

    @Override
    public Figure figure(ChoiceReadings readings, ChoiceFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(ChoiceFinding finding) {
        return Optional.empty();
    }

    static Figure of(Optional<ChoiceFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            if (finding.isEmpty()) {
                empty(pen, width, height);
                return;
            }
            ChoiceFinding found = finding.get();
            List<ChoiceFinding.Lens> lenses = found.lenses();
            double longest = lenses.stream()
                    .mapToDouble(ChoiceFinding.Lens::focalLengthMm)
                    .max()
                    .orElse(1);
            double each = width / lenses.size();
            double scale = Math.min((height - TOP - FOOT - 16) / longest, each * 0.4 / found.beamDiameterMm());
            double enlarged = enlarged(found, each, height);
            for (int i = 0; i < lenses.size(); i++) {
                new Column(pen, found, lenses.get(i), i * each, each, height, units).draw(scale, enlarged);
            }
            pen.text(
                    width / 2,
                    height - 6,
                    "cones to scale; focus " + Math.round(enlarged) + " times wider than deep",
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        };
    }

    private static void empty(Pen pen, double width, double height) {
        double x = width / 2;
        double bottom = height - FOOT;
        pen.stroke(
                new Path().move(x - 30, TOP + 10).line(x, bottom - 10).line(x + 30, TOP + 10),
                Stroke.dashed(Tone.QUIET, 1.6, 5));
        pen.line(x - 60, bottom - 10, x + 60, bottom - 10, Stroke.of(Tone.WALNUT, 2));
        pen.text(x, height - 8, "dashed: no lens yet", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
    }

    /** How much wider than deep foci are drawn, the same for all. */
    private static double enlarged(ChoiceFinding found, double each, double height) {
        double deep = deepMm(found);
        double down = (height - TOP - FOOT) * 0.62 / deep;
        double widest = found.lenses().stream()
                .mapToDouble(lens -> lens.widthMm(deep / 2))
                .max()
                .orElse(1);
        double most = each * 0.34 / widest / down;
        double power = Math.pow(10, Math.floor(Math.log10(most)));
        double round = power;
        for (double step : ROUND) {
            round = step * power <= most ? step * power : round;
        }
        return Math.max(1, round);
    }

    /** How much of the beam is drawn along it, mm: the stock, or the deepest focus. */
    private static double deepMm(ChoiceFinding found) {
        double deepest = found.lenses().stream()
                .mapToDouble(ChoiceFinding.Lens::depthOfFocusMm)
                .max()
                .orElse(1);
        return Math.max(found.materialMm() * 1.4, deepest * 1.6);
    }

    private record Column(
            Pen pen,
            ChoiceFinding found,
            ChoiceFinding.Lens lens,
            double left,
            double wide,
            double height,
            UnitChoice units) {

        void draw(double scale, double enlarged) {
            boolean best = found.best().filter(lens.name()::equals).isPresent();
            boolean does = lens.detailOk() && lens.edgeOk();
            pen.text(
                    left + wide / 2,
                    16,
                    pen.fitting(lens.name(), wide - 8, Lettering.TEXT_BOLD),
                    best ? Lettering.TEXT_BOLD : Lettering.TEXT,
                    best ? Tone.PASS : does ? Tone.INK : Tone.QUIET,
                    Anchor.MIDDLE);
            cone(left + wide * 0.27, scale);
            focus(left + wide * 0.7, enlarged);
            double down = height - FOOT + 20;
            pen.text(
                    left + wide / 2,
                    down,
                    "spot " + Amount.mm(lens.spotMm(), 3).text(units),
                    Lettering.SMALL,
                    lens.detailOk() ? Tone.INK : Tone.FAIL,
                    Anchor.MIDDLE);
            boolean cuts = found.tolerances().purpose() == ChoiceReadings.Purpose.CUT;
            pen.text(
                    left + wide / 2,
                    down + 17,
                    cuts
                            ? "edge " + Amount.mm(lens.edgeWidthMm(), 2).text(units)
                            : "deep " + Amount.mm(lens.depthOfFocusMm(), 2).text(units),
                    Lettering.SMALL,
                    lens.edgeOk() ? Tone.INK : Tone.FAIL,
                    Anchor.MIDDLE);
        }

        private void cone(double x, double scale) {
            double bottom = height - FOOT - 4;
            double top = bottom - lens.focalLengthMm() * scale;
            double half = Math.max(2, found.beamDiameterMm() / 2 * scale);
            Path cone = new Path()
                    .move(x - half, top)
                    .line(x, bottom)
                    .line(x + half, top)
                    .close();
            pen.fill(cone, Tone.BAND);
            pen.stroke(cone, Stroke.of(Tone.BEAM, 1.4));
            pen.line(x - half - 8, top, x + half + 8, top, Stroke.of(Tone.INK, 4));
            pen.line(x - 24, bottom, x + 24, bottom, Stroke.of(Tone.WALNUT, 2));
        }

        private void focus(double x, double enlarged) {
            double deep = deepMm(found);
            double room = (height - TOP - FOOT) * 0.62;
            double down = room / deep;
            double middle = TOP + (height - TOP - FOOT) / 2;
            double stock = found.materialMm() * down;
            if (stock > 0) {
                boolean cuts = found.tolerances().purpose() == ChoiceReadings.Purpose.CUT;
                double from = cuts ? middle - stock / 2 : middle;
                double to = Math.min(height - FOOT, from + stock);
                pen.fill(Path.rectangle(x - wide * 0.2, from, wide * 0.4, to - from), Tone.WOOD);
            }
            Path beam = new Path();
            int points = 24;
            for (int side = 0; side < 2; side++) {
                for (int i = 0; i <= points; i++) {
                    double aside = deep * ((side == 0 ? i : points - i) / (double) points - 0.5);
                    double half = lens.widthMm(aside) / 2 * down * enlarged;
                    beam.line(x + (side == 0 ? half : -half), middle + aside * down);
                }
            }
            beam.close();
            pen.stroke(beam, Stroke.of(Tone.BEAM, 2));
            double focus = lens.depthOfFocusMm() / 2 * down;
            double at = x - wide * 0.22;
            pen.line(at, middle - focus, at, middle + focus, Stroke.of(Tone.WALNUT, 3));
        }
    }
}
