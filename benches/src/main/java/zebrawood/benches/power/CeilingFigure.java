package zebrawood.benches.power;

import java.util.Optional;
import zebrawood.core.power.CeilingFinding;
import zebrawood.core.power.CeilingReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Axis;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The current meter of a tube with its ceiling and what it bears, and what it draws at each command. */
public final class CeilingFigure implements Exhibit<CeilingReadings, CeilingFinding> {

    /** the scale of the meter ends so much above what the tube bears */
    private static final double ABOVE = 1.3;
    /** the hand of the meter, in degrees from upright */
    private static final double SWING = 105;

    private static final double FOOT = 46;
    private static final double TOP = 26;

    @Override
    public String title() {
        return "Current of the tube";
    }

    @Override
    public double leastHeight() {
        return 230;
    }

    @Override
    public OnPaper onPaper() {
        return OnPaper.WIDE;
    }

    @Override
    public Figure figure(CeilingReadings readings, CeilingFinding finding, UnitChoice units) {
        return of(Optional.of(finding), readings.ratedMaximumMa(), units);
    }

    @Override
    public Optional<Course> course(CeilingFinding finding) {
        // as found tells how it went since; as left was made so
        double asLeft = finding.currentAt100Ma().orElse(Double.NaN);
        double shown =
                finding.found().map(found -> found.asFoundMa().orElse(asLeft)).orElse(asLeft);
        return Double.isNaN(shown)
                ? Optional.empty()
                : Optional.of(new Course(shown, 0, finding.tolerances().toleranceMa()));
    }

    static String ma(double current, UnitChoice units) {
        return new Amount(Quantity.CURRENT, current, 1).text(units);
    }

    static Figure of(Optional<CeilingFinding> finding, double ratedMa, UnitChoice units) {
        return (pen, width, height) -> {
            double wide = Math.min(width * 0.46, height * 1.35);
            new Meter(pen, wide / 2 + 6, height, wide, ratedMa, units).draw(finding);
            new Plot(pen, wide + 78, width - 16, height, ratedMa).draw(finding);
        };
    }

    /** A meter that is not there. */
    static Figure without(double ratedMa) {
        return (pen, width, height) -> {
            double wide = Math.min(width * 0.46, height * 1.35);
            Meter meter = new Meter(pen, width / 2, height, wide, ratedMa, UnitChoice.METRIC);
            meter.none();
        };
    }

    /** What it is read off. */
    private static final class Meter {
        private final Pen pen;
        private final double x;
        private final double y;
        private final double r;
        private final double height;
        private final double most;
        private final double rated;
        private final UnitChoice units;

        Meter(Pen pen, double x, double height, double wide, double rated, UnitChoice units) {
            this.pen = pen;
            this.x = x;
            this.r = Math.min(wide / 2 - 22, (height - 70) / 1.3);
            this.y = 34 + r;
            this.height = height;
            this.rated = rated;
            this.most = rated * ABOVE;
            this.units = units;
        }

        private double angle(double ma) {
            return Math.toRadians(-90 - SWING + 2 * SWING * Math.max(0, Math.min(1.02, ma / most)));
        }

        private double px(double ma, double radius) {
            return x + radius * Math.cos(angle(ma));
        }

        private double py(double ma, double radius) {
            return y + radius * Math.sin(angle(ma));
        }

        private Path ring(double from, double to, double inner, double outer) {
            Path path = new Path();
            int steps = 40;
            for (int i = 0; i <= steps; i++) {
                double ma = from + (to - from) * i / steps;
                if (i == 0) {
                    path.move(px(ma, outer), py(ma, outer));
                } else {
                    path.line(px(ma, outer), py(ma, outer));
                }
            }
            for (int i = steps; i >= 0; i--) {
                double ma = from + (to - from) * i / steps;
                path.line(px(ma, inner), py(ma, inner));
            }
            return path.close();
        }

        private void scale() {
            pen.circle(x, y, r + 14, Tone.RAISED);
            pen.stroke(Path.circle(x, y, r + 14), Stroke.of(Tone.INK, 2));
            // where the drawing is too low for all of it, its housing ends in a straight edge
            double edge = height - 1 - y;
            if (edge < r + 14) {
                double half = Math.sqrt((r + 14) * (r + 14) - edge * edge);
                pen.line(x - half, height - 1, x + half, height - 1, Stroke.of(Tone.INK, 2));
            }
            pen.fill(ring(rated, most, r - 34, r - 20), Tone.FAIL);
            if (pen.hatches()) {
                for (double ma = rated; ma < most; ma += most / 60) {
                    pen.line(px(ma, r - 34), py(ma, r - 34), px(ma, r - 20), py(ma, r - 20), Stroke.of(Tone.GROUND, 2));
                }
            }
            pen.stroke(ring(0, most, r - 20, r - 20), Stroke.of(Tone.INK, 1.4));
            Axis ticks = new Axis(0, most, 0, 1);
            for (double tick : ticks.ticks(6)) {
                pen.line(
                        px(tick, r - 30),
                        py(tick, r - 30),
                        px(tick, r - 20),
                        py(tick, r - 20),
                        Stroke.of(Tone.INK, 1.4));
                pen.text(
                        px(tick, r - 4),
                        py(tick, r - 4) + 5,
                        ticks.label(tick, 6),
                        Lettering.SMALL,
                        Tone.INK,
                        Anchor.MIDDLE);
            }
        }

        void none() {
            scale();
            pen.line(x - r * 0.6, y - r * 0.6, x + r * 0.6, y + r * 0.6, Stroke.of(Tone.UNCLEAR, 6));
            pen.line(x - r * 0.6, y + r * 0.6, x + r * 0.6, y - r * 0.6, Stroke.of(Tone.UNCLEAR, 6));
        }

        void draw(Optional<CeilingFinding> finding) {
            scale();
            finding.ifPresent(found -> {
                double ceiling = found.ceilingMa();
                double tolerance = found.tolerances().toleranceMa();
                pen.fill(ring(Math.max(0, ceiling - tolerance), ceiling + tolerance, r - 36, r - 18), Tone.PASS);
                double shown = found.currentAt100Ma()
                        .orElse(found.curve().get(found.curve().size() - 1).currentMa());
                boolean over = shown > rated;
                hand(shown, over ? Tone.FAIL : Tone.READING);
                pen.patched(
                        x,
                        y + r * 0.5 + 8,
                        ma(shown, units),
                        Lettering.HEAD,
                        over ? Tone.FAIL : Tone.INK,
                        Anchor.MIDDLE);
                pen.patched(
                        x,
                        y + r * 0.5 + 28,
                        over ? "OVER WHAT IT BEARS" : found.currentAt100Ma().isPresent() ? "at 100 %" : "read last",
                        over ? Lettering.TEXT_BOLD : Lettering.SMALL,
                        over ? Tone.FAIL : Tone.INK,
                        Anchor.MIDDLE);
            });
            if (finding.isEmpty()) {
                hand(0, Tone.QUIET);
                pen.patched(x, y + r * 0.5 + 18, "not read yet", Lettering.SMALL, Tone.QUIET, Anchor.MIDDLE);
            }
            pen.circle(x, y, 7, Tone.INK);
        }

        private void hand(double ma, Tone tone) {
            double across = angle(ma) + Math.PI / 2;
            pen.fill(
                    new Path()
                            .move(px(ma, r - 22), py(ma, r - 22))
                            .line(x + 5 * Math.cos(across), y + 5 * Math.sin(across))
                            .line(x - 5 * Math.cos(across), y - 5 * Math.sin(across))
                            .close(),
                    tone);
        }
    }

    /** Current over command. */
    private static final class Plot {
        private final Pen pen;
        private final Axis command;
        private final Axis current;
        private final double rated;
        private final double bottom;

        Plot(Pen pen, double left, double right, double height, double rated) {
            this.pen = pen;
            this.rated = rated;
            bottom = height - FOOT;
            command = new Axis(0, 100, left, right);
            current = new Axis(0, rated * ABOVE, bottom, TOP);
        }

        void draw(Optional<CeilingFinding> finding) {
            double left = command.from();
            double right = command.to();
            pen.fill(Path.rectangle(left, TOP, right - left, current.at(rated) - TOP), Tone.BAND);
            pen.line(left, current.at(rated), right, current.at(rated), Stroke.of(Tone.FAIL, 2.4));
            pen.text(left + 6, current.at(rated) - 6, "at most", Lettering.SMALL, Tone.FAIL);
            pen.line(left, TOP, left, bottom, Stroke.of(Tone.INK, 1.2));
            current.beside(pen, left, 5, left);
            current.along(pen, left - 40, "mA");
            command.under(pen, bottom, 5, "command, %");
            finding.ifPresent(this::readings);
        }

        private void readings(CeilingFinding found) {
            double ceiling = current.at(found.ceilingMa());
            pen.line(command.from(), ceiling, command.to(), ceiling, Stroke.of(Tone.PASS, 2));
            pen.text(command.from() + 6, ceiling - 6, "ceiling", Lettering.SMALL, Tone.PASS);
            Path path = new Path();
            for (int i = 0; i < found.curve().size(); i++) {
                CeilingReadings.Sample each = found.curve().get(i);
                if (i == 0) {
                    path.move(command.at(each.commandPct()), current.at(each.currentMa()));
                } else {
                    path.line(command.at(each.commandPct()), current.at(each.currentMa()));
                }
            }
            pen.clipped(command.from(), TOP, command.to() - command.from() + 8, bottom - TOP + 8, () -> {
                pen.stroke(path, Stroke.of(Tone.WALNUT, 2));
                found.curve()
                        .forEach(each -> pen.circle(
                                command.at(each.commandPct()),
                                current.at(Math.min(each.currentMa(), rated * ABOVE)),
                                5.5,
                                each.currentMa() > rated ? Tone.FAIL : Tone.READING));
            });
            found.nextCommandPct().ifPresent(next -> Shapes.next(pen, command.at(next), bottom));
            found.commandAtCeilingPct()
                    .ifPresent(at -> pen.line(
                            command.at(at), ceiling, command.at(at), bottom, Stroke.dashed(Tone.PASS, 1.6, 5)));
        }
    }
}
