package zebrawood.benches.gas;

import java.util.Optional;
import zebrawood.core.gas.GasFinding;
import zebrawood.core.gas.GasReadings;
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

/** Flow against pressure with today's point, and the bottle with what can be used of it. */
public final class GasFigure implements Exhibit<GasReadings, GasFinding> {

    private static final double BOTTLE = 150;

    @Override
    public OnPaper onPaper() {
        return new OnPaper(470, 240);
    }

    @Override
    public String title() {
        return "Assist gas";
    }

    @Override
    public Figure figure(GasReadings readings, GasFinding finding, UnitChoice units) {
        return of(Optional.of(readings), Optional.of(finding), units);
    }

    private static Amount bar(double bar) {
        return new Amount(Quantity.PRESSURE, bar, bar < 1 ? 2 : 1);
    }

    @Override
    public Optional<Course> course(GasFinding finding) {
        return Optional.of(new Course(finding.flowNlMin(), 0, finding.flowNlMin() * 0.1));
    }

    /** The curves where there is a finding, and the bottle where there is one. */
    static Figure of(Optional<GasReadings> readings, Optional<GasFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            boolean bottled =
                    finding.isPresent() && readings.flatMap(GasReadings::bottle).isPresent() && width > 420;
            new Curves(pen, width - (bottled ? BOTTLE : 0), height, units).draw(finding);
            if (bottled) {
                bottle(pen, width - BOTTLE, height, readings.get(), finding.get(), units);
            }
        };
    }

    private static final class Curves {
        private final Pen pen;
        private final double left = 58;
        private final double right;
        private final double top = 14;
        private final double bottom;
        private final UnitChoice units;

        Curves(Pen pen, double width, double height, UnitChoice units) {
            this.pen = pen;
            this.units = units;
            right = width - 64;
            bottom = height - 40;
        }

        void draw(Optional<GasFinding> finding) {
            double most = finding.map(f -> 2 * f.pressureBar()).orElse(20.0);
            double highest = finding.map(f -> f.curves().stream()
                            .flatMap(c -> c.points().stream())
                            .mapToDouble(GasFinding.Point::flowNlMin)
                            .max()
                            .orElse(1))
                    .orElse(500.0);
            Axis x = new Axis(0, most, left, right);
            Axis y = new Axis(0, highest * 1.04, bottom, top);
            pen.line(left, top, left, bottom, Stroke.of(Tone.INK, 1.2));
            y.beside(pen, left, 5, right);
            x.under(pen, bottom, 6, "pressure at the nozzle, bar");
            y.along(pen, 14, "normal litres a minute");
            finding.ifPresent(found -> curves(found, x, y));
        }

        private void curves(GasFinding found, Axis x, Axis y) {
            for (int i = found.curves().size() - 1; i >= 0; i--) {
                GasFinding.Curve curve = found.curves().get(i);
                Path path = new Path();
                for (GasFinding.Point point : curve.points()) {
                    path.line(x.at(point.pressureBar()), y.at(point.flowNlMin()));
                }
                pen.stroke(path, i == 0 ? Stroke.of(Tone.WALNUT, 2.4) : Stroke.dashed(Tone.QUIET, 1.4, 6));
                GasFinding.Point end = curve.points().get(curve.points().size() - 1);
                pen.text(
                        x.at(end.pressureBar()) + 6,
                        y.at(end.flowNlMin()) + 5,
                        Amount.mm(curve.nozzleMm(), 2).text(units),
                        i == 0 ? Lettering.TEXT_BOLD : Lettering.SMALL,
                        i == 0 ? Tone.WALNUT : Tone.QUIET);
            }
            double atX = x.at(found.pressureBar());
            double atY = y.at(found.flowNlMin());
            pen.line(atX, bottom, atX, atY, Stroke.dashed(Tone.READING, 1.4, 4));
            pen.line(left, atY, atX, atY, Stroke.dashed(Tone.READING, 1.4, 4));
            pen.circle(atX, atY, 6.5, Tone.READING);
            pen.patched(
                    atX - 12,
                    atY - 12,
                    new Amount(Quantity.FLOW, found.flowNlMin(), 0).text(units),
                    Lettering.HEAD,
                    Tone.READING,
                    Anchor.END);
        }
    }

    /** The bottle: what can be used, what stays in it, and how long that lasts. */
    private static void bottle(
            Pen pen, double left, double height, GasReadings readings, GasFinding finding, UnitChoice units) {
        GasReadings.Bottle bottle = readings.bottle().orElseThrow();
        double wide = 62;
        double x = left + (BOTTLE - wide) / 2 + 8;
        double top = 52;
        double bottom = height - 46;
        double tall = bottom - top;
        double keeps =
                Math.min(1, Math.max(bottle.residualBar().orElse(5), readings.pressureBar()) / bottle.pressureBar());
        double edge = bottom - tall * keeps;
        pen.fill(Path.rectangle(x, top, wide, edge - top), Tone.BAND);
        pen.band(x, top, wide, edge - top);
        Path body = new Path()
                .move(x, bottom)
                .line(x, top + 14)
                .curve(x, top - 6, x + wide / 2 - 9, top - 4, x + wide / 2 - 9, top - 16)
                .line(x + wide / 2 + 9, top - 16)
                .curve(x + wide / 2 + 9, top - 4, x + wide, top - 6, x + wide, top + 14)
                .line(x + wide, bottom)
                .close();
        pen.stroke(body, Stroke.of(Tone.INK, 1.8));
        pen.rectangle(x + wide / 2 - 7, top - 30, 14, 14, Tone.RAISED, Stroke.of(Tone.INK, 1.4));
        pen.line(x, edge, x + wide, edge, Stroke.of(Tone.INK, 1.2));
        if (keeps < 1) {
            pen.text(
                    x + wide / 2,
                    edge + (bottom - edge > 20 ? 15 : -6),
                    bar(Math.max(bottle.residualBar().orElse(5), readings.pressureBar()))
                            .text(units),
                    Lettering.CAPTION,
                    Tone.QUIET,
                    Anchor.MIDDLE);
        }
        Tone ground = pen.hatches() ? Tone.GROUND : Tone.BAND;
        pen.fill(Path.rectangle(x + 3, top + 19, wide - 6, 18), ground);
        pen.text(
                x + wide / 2,
                top + 32,
                bar(bottle.pressureBar()).text(units),
                Lettering.SMALL,
                Tone.INK,
                Anchor.MIDDLE);
        double minutes = finding.bottleMinutes().orElse(0);
        pen.text(
                x + wide / 2,
                bottom + 22,
                minutes > 0 ? new Amount(Quantity.MINUTES, Math.floor(minutes), 0).text(units) : "down",
                Lettering.HEAD,
                minutes > 0 ? Tone.READING : Tone.FAIL,
                Anchor.MIDDLE);
        pen.text(
                x + wide / 2,
                bottom + 40,
                "a bottle, " + new Amount(Quantity.VOLUME, bottle.volumeL(), 0).text(units),
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
    }
}
