package zebrawood.benches.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.site.ClimateFinding;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.HumidAir;
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

/**
 * A humidity chart: temperature against moisture, curves of relative humidity, the machine's limits as a window, the
 * air of today as a point, its dew point read off along the line of equal moisture.
 */
public final class ClimateChart implements Exhibit<ClimateReadings, ClimateFinding> {

    private static final double STEP_C = 0.25;

    @Override
    public String title() {
        return "Room climate";
    }

    @Override
    public Figure figure(ClimateReadings readings, ClimateFinding finding, UnitChoice units) {
        return chart(readings.limits(), Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(ClimateFinding finding) {
        return Optional.empty();
    }

    /** The chart with the machine's window, and the point where there is one. */
    static Figure chart(ClimateLimits limits, Optional<ClimateFinding> finding, UnitChoice units) {
        return (pen, width, height) -> new Drawing(pen, limits, finding, units, width, height).draw();
    }

    private static final class Drawing {
        private final Pen pen;
        private final ClimateLimits limits;
        private final Optional<ClimateFinding> finding;
        private final UnitChoice units;
        private final double left = 20;
        private final double right;
        private final double top = 12;
        private final double bottom;
        private final Axis x;
        private final Axis y;

        Drawing(
                Pen pen,
                ClimateLimits limits,
                Optional<ClimateFinding> finding,
                UnitChoice units,
                double width,
                double height) {
            this.pen = pen;
            this.limits = limits;
            this.finding = finding;
            this.units = units;
            right = width - 58;
            bottom = height - 44;
            double least = Math.min(
                    limits.minTemperatureC() - 6,
                    finding.map(f -> Math.min(f.dewPointC(), f.airTemperatureC()) - 3)
                            .orElse(99.0));
            double most = Math.max(
                    limits.maxTemperatureC() + 5,
                    finding.map(f -> f.airTemperatureC() + 4).orElse(-99.0));
            least = Math.max(-45, least);
            double corner = HumidAir.moistureGPerKg(limits.maxTemperatureC(), Math.max(1, limits.maxHumidityPct()));
            double moistest = Math.max(
                    corner * 1.25, finding.map(f -> f.moistureGPerKg() * 1.3).orElse(0.0));
            x = new Axis(least, most, left, right);
            y = new Axis(0, moistest, bottom, top);
        }

        void draw() {
            window();
            curves();
            axes();
            finding.ifPresent(this::point);
        }

        private double px(double temperatureC) {
            return x.at(temperatureC);
        }

        private double py(double temperatureC, double humidityPct) {
            return y.at(HumidAir.moistureGPerKg(temperatureC, humidityPct));
        }

        /** The machine's limits: between two temperatures and two curves. */
        private void window() {
            Path area = new Path();
            double from = limits.minTemperatureC();
            double to = limits.maxTemperatureC();
            for (double t = from; t < to; t += STEP_C) {
                area.line(px(t), py(t, limits.maxHumidityPct()));
            }
            area.line(px(to), py(to, limits.maxHumidityPct()));
            for (double t = to; t > from; t -= STEP_C) {
                area.line(px(t), py(t, limits.leastHumidityPct()));
            }
            area.line(px(from), py(from, limits.leastHumidityPct())).close();
            pen.fill(area, Tone.BAND);
            pen.stroke(area, Stroke.of(Tone.WALNUT, 1.8));
            double labelX = px(to) - 8;
            double usualY = py(to, limits.leastHumidityPct()) - 10;
            // where the point's own words would stand there, it gives way upwards
            double labelY = finding.map(found -> y.at(found.moistureGPerKg()) - 9)
                    .filter(words -> Math.abs(words - usualY) < 16)
                    .map(words -> words - 17)
                    .orElse(usualY);
            if (right - left > 430) {
                pen.text(labelX, labelY, "the machine's window", Lettering.SMALL, Tone.WALNUT, Anchor.END);
            }
        }

        private void curves() {
            List<Runnable> names = new ArrayList<>();
            pen.clipped(left, top, right - left + 58, bottom - top, () -> {
                for (int humidity = 10; humidity <= 100; humidity += 10) {
                    boolean saturated = humidity == 100;
                    Path curve = new Path();
                    double lastX = left;
                    double lastY = bottom;
                    for (double t = x.least(); t <= x.most(); t += STEP_C) {
                        double atY = py(t, humidity);
                        if (atY < top) {
                            break;
                        }
                        lastX = px(t);
                        lastY = atY;
                        curve.line(lastX, lastY);
                    }
                    pen.stroke(curve, saturated ? Stroke.of(Tone.INK, 1.6) : Stroke.of(Tone.HAIRLINE, 1));
                    boolean leavesRight = lastX > right - 6;
                    String name = humidity + " %";
                    double endX = lastX;
                    double endY = lastY;
                    if (humidity % 20 == 0 && leavesRight) {
                        names.add(() -> pen.text(right + 6, endY + 4, name, Lettering.CAPTION, Tone.QUIET));
                    } else if (humidity % 20 == 0) {
                        Tone tone = saturated ? Tone.INK : Tone.QUIET;
                        names.add(() -> pen.patched(endX - 6, top + 12, name, Lettering.CAPTION, tone, Anchor.END));
                    }
                }
                names.forEach(Runnable::run);
            });
        }

        private void axes() {
            pen.line(right, top, right, bottom, Stroke.of(Tone.HAIRLINE, 1));
            x.shown(Quantity.TEMPERATURE, units).under(pen, bottom, 8, "air temperature, " + units.temperature());
            y.along(pen, right + 50, "moisture, g water per kg dry air");
            for (double tick : y.ticks(6)) {
                if (tick > 0) {
                    pen.line(right, y.at(tick), right - 4, y.at(tick), Stroke.of(Tone.INK, 1));
                    pen.text(right - 7, y.at(tick) + 4, y.label(tick, 6), Lettering.CAPTION, Tone.QUIET, Anchor.END);
                }
            }
        }

        private void point(ClimateFinding found) {
            double atX = px(found.airTemperatureC());
            double atY = y.at(found.moistureGPerKg());
            double dewX = px(found.dewPointC());
            pen.line(atX, atY, dewX, atY, Stroke.dashed(Tone.READING, 1.4, 4));
            pen.line(dewX, atY, dewX, bottom, Stroke.dashed(Tone.READING, 1.4, 4));
            pen.circle(dewX, atY, 3.5, Tone.READING);
            String dew = "dew point " + Amount.celsius(found.dewPointC(), 1).text(units);
            boolean roomLeft = dewX - left > pen.textWidth(dew, Lettering.TEXT_BOLD) + 12;
            for (int i = found.remedies().size() - 1; i >= 0; i--) {
                remedy(found, found.remedies().get(i), i == 0);
            }
            pen.circle(atX, atY, 6.5, Tone.READING);
            String here = Amount.celsius(found.airTemperatureC(), 1).text(units) + ", "
                    + Amount.percent(found.relativeHumidityPct(), 0).text(units);
            boolean wayRight = found.remedies().stream()
                    .anyMatch(remedy -> remedy.toTemperatureC().orElse(-99) > found.airTemperatureC());
            boolean small = right - left < 360;
            double room = pen.textWidth(here, small ? Lettering.TEXT_BOLD : Lettering.HEAD);
            boolean onLeft = (wayRight || atX > (left + right) / 2) && atX - 12 - room > left;
            double dewWide = pen.textWidth(dew, Lettering.TEXT_BOLD) + 12;
            double dewFrom = roomLeft ? dewX - dewWide : dewX;
            double from = onLeft ? atX - 12 - room : atX + 12;
            boolean onDew = atY - 9 > bottom - 30 && from < dewFrom + dewWide && dewFrom < from + room;
            // it keeps clear of the names of the curves at the top, and of the dew point at the bottom
            double at = atY < top + 34 ? atY + 24 : onDew ? bottom - 32 : atY - 9;
            pen.patched(
                    roomLeft ? dewX - 8 : dewX + 8,
                    bottom - 10,
                    dew,
                    Lettering.TEXT_BOLD,
                    Tone.READING,
                    roomLeft ? Anchor.END : Anchor.START);
            pen.patched(
                    onLeft ? atX - 12 : atX + 12,
                    at,
                    here,
                    small ? Lettering.TEXT_BOLD : Lettering.HEAD,
                    Tone.READING,
                    onLeft ? Anchor.END : Anchor.START);
        }

        /** The way into the window: along equal moisture by warming or cooling, then up or down. */
        private void remedy(ClimateFinding found, ClimateFinding.Remedy remedy, boolean first) {
            Stroke way = first ? Stroke.of(Tone.FAIL, 2.4) : Stroke.dashed(Tone.FAIL, 1.6, 6);
            double target = remedy.toTemperatureC().orElse(found.airTemperatureC());
            double atX = px(found.airTemperatureC());
            double atY = y.at(found.moistureGPerKg());
            double turnX = px(target);
            double endY = remedy.toHumidityPct().isPresent()
                    ? py(target, remedy.toHumidityPct().getAsDouble())
                    : atY;
            if (Math.abs(turnX - atX) > 2) {
                arrow(atX, atY, turnX, atY, way);
            }
            if (Math.abs(endY - atY) > 2) {
                arrow(turnX, atY, turnX, endY, way);
            }
        }

        private void arrow(double x1, double y1, double x2, double y2, Stroke stroke) {
            pen.line(x1, y1, x2, y2, stroke);
            double length = Math.hypot(x2 - x1, y2 - y1);
            double ux = (x2 - x1) / length;
            double uy = (y2 - y1) / length;
            pen.fill(
                    new Path()
                            .move(x2, y2)
                            .line(x2 - 9 * ux + 5 * uy, y2 - 9 * uy - 5 * ux)
                            .line(x2 - 9 * ux - 5 * uy, y2 - 9 * uy + 5 * ux)
                            .close(),
                    Tone.FAIL);
        }
    }
}
