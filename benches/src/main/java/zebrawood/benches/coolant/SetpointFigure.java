package zebrawood.benches.coolant;

import java.util.Optional;
import zebrawood.core.coolant.SetpointFinding;
import zebrawood.core.coolant.SetpointReadings;
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
 * A tube in its water jacket over a scale of temperatures: damp below, too warm above, the window between, the water in
 * it.
 */
public final class SetpointFigure implements Exhibit<SetpointReadings, SetpointFinding> {

    static final double LEAST_HEIGHT = 200;

    @Override
    public double leastHeight() {
        return LEAST_HEIGHT;
    }

    @Override
    public String title() {
        return "Water set-point";
    }

    @Override
    public Figure figure(SetpointReadings readings, SetpointFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(SetpointFinding finding) {
        return finding.setpointC().isPresent()
                ? Optional.of(new Course(finding.setpointC().getAsDouble(), 0, 1))
                : Optional.empty();
    }

    static Figure of(Optional<SetpointFinding> finding, UnitChoice units) {
        return (pen, width, height) -> new Drawing(pen, finding, units, width, height).draw();
    }

    private static final class Drawing {
        private final Pen pen;
        private final Optional<SetpointFinding> finding;
        private final UnitChoice units;
        private final double left = 30;
        private final double right;
        private final double scaleTop;
        private final double scaleBottom;
        private final Axis x;

        Drawing(Pen pen, Optional<SetpointFinding> finding, UnitChoice units, double width, double height) {
            this.pen = pen;
            this.finding = finding;
            this.units = units;
            right = width - 30;
            scaleBottom = height - 44;
            scaleTop = scaleBottom - Math.max(44, Math.min(110, height * 0.26));
            double least = finding.map(f -> Math.min(
                                    f.dewPointC(),
                                    Math.min(
                                            f.tolerances().minCoolantC(),
                                            f.setpointC().orElse(99)))
                            - 4)
                    .orElse(5.0);
            double most = finding.map(f -> Math.max(
                                    Math.max(f.highestC(), f.lowestC()),
                                    Math.max(f.airTemperatureC(), f.setpointC().orElse(-99)))
                            + 4)
                    .orElse(35.0);
            x = new Axis(least, most, left, right);
        }

        void draw() {
            finding.ifPresent(this::zones);
            x.shown(Quantity.TEMPERATURE, units)
                    .under(pen, scaleBottom, 9, "water temperature, " + units.temperature());
            tube();
            finding.ifPresent(this::water);
            finding.ifPresent(this::names);
        }

        /** What the ends of the window are, over all lines. */
        private void names(SetpointFinding found) {
            double low = x.at(found.lowestC());
            double high = x.at(found.highestC());
            boolean byDew = found.lowestC() > found.tolerances().minCoolantC();
            label(
                    low,
                    byDew
                            ? "dew point and "
                                    + Amount.celsiusDifference(
                                                    found.tolerances().marginC(), 0)
                                            .text(units)
                            : "maker's coldest",
                    low > high);
            label(high, "maker's warmest", low <= high);
        }

        private void zones(SetpointFinding found) {
            double tall = scaleBottom - scaleTop;
            double low = x.at(found.lowestC());
            double high = x.at(found.highestC());
            // where tints cannot be seen, what is hatched is what is shut
            if (low < high && !pen.hatches()) {
                pen.band(low, scaleTop, high - low, tall);
            }
            hatch(left, Math.min(right, low), tall);
            hatch(Math.max(left, high), right, tall);
            pen.line(low, scaleTop - 10, low, scaleBottom, Stroke.of(Tone.WALNUT, 2));
            pen.line(high, scaleTop - 10, high, scaleBottom, Stroke.of(Tone.WALNUT, 2));
            double dew = x.at(found.dewPointC());
            pen.line(dew, scaleTop, dew, scaleBottom, Stroke.dashed(Tone.READING, 1.6, 4));
            drop(dew, scaleTop + tall * 0.45, 8);
            pen.patched(
                    dew,
                    scaleTop + tall * 0.45 + 28,
                    "dew " + Amount.celsius(found.dewPointC(), 1).text(units),
                    Lettering.SMALL,
                    Tone.READING,
                    Anchor.MIDDLE);
            double air = x.at(found.airTemperatureC());
            pen.line(air, scaleTop, air, scaleBottom, Stroke.dashed(Tone.QUIET, 1.4, 4));
            boolean onLeft =
                    found.setpointC().isPresent() && found.setpointC().getAsDouble() >= found.airTemperatureC();
            pen.patched(
                    onLeft ? air - 5 : air + 5,
                    scaleBottom - 8,
                    "room",
                    Lettering.SMALL,
                    Tone.QUIET,
                    onLeft ? Anchor.END : Anchor.START);
        }

        private void label(double at, String words, boolean rightOfIt) {
            double room = pen.textWidth(words, Lettering.SMALL);
            double from = rightOfIt ? Math.min(right - room, at + 6) : Math.max(left, at - 6 - room);
            pen.patched(from, scaleTop - 14, words, Lettering.SMALL, Tone.WALNUT, Anchor.START);
        }

        private void hatch(double from, double to, double tall) {
            if (to - from < 2) {
                return;
            }
            pen.clipped(from, scaleTop, to - from, tall, () -> {
                for (double at = from - tall; at < to; at += 12) {
                    pen.line(at, scaleBottom, at + tall, scaleTop, Stroke.of(Tone.HAIRLINE, 1));
                }
            });
        }

        /** The source in its jacket, water in at one end and out at the other; drops on it where it would be wet. */
        private void tube() {
            double free = scaleTop - 62;
            double tall = Math.max(26, Math.min(150, free - 48));
            double y = Math.max(16, (free - tall) / 2 + 6);
            double from = left + 60;
            double to = right - 60;
            pen.rectangle(from, y, to - from, tall, Tone.RAISED, Stroke.of(Tone.INK, 1.8));
            pen.line(to, y + tall * 0.5, to + 50, y + tall * 0.5, Stroke.of(Tone.BEAM, 2));
            pen.rectangle(
                    from + 20, y + tall * 0.28, to - from - 40, tall * 0.44, Tone.GROUND, Stroke.of(Tone.QUIET, 1.2));
            pen.line(from + 34, y, from + 34, y - 14, Stroke.of(Tone.READING, 7));
            pen.line(to - 34, y, to - 34, y - 14, Stroke.of(Tone.READING, 7));
            pen.line(from + 20, y + tall * 0.5, to, y + tall * 0.5, Stroke.of(Tone.BEAM, 2));
            pen.text(from + 46, y - 3, "water in", Lettering.CAPTION, Tone.QUIET);
            pen.text(to - 46, y - 3, "out", Lettering.CAPTION, Tone.QUIET, Anchor.END);
            boolean wet = finding.map(
                            f -> f.setpointC().isPresent() ? f.setpointC().getAsDouble() < f.lowestC() : true)
                    .orElse(false);
            if (wet) {
                for (int i = 0; i < 9; i++) {
                    drop(from + (to - from) * (i + 0.7) / 9.4, y + tall + 9 + i % 3 * 4, 5);
                }
            }
        }

        private void drop(double atX, double atY, double r) {
            pen.fill(
                    new Path()
                            .move(atX, atY - 1.8 * r)
                            .curve(atX + 0.4 * r, atY - 0.8 * r, atX + r, atY - 0.4 * r, atX + r, atY + 0.2 * r)
                            .curve(atX + r, atY + 1.2 * r, atX - r, atY + 1.2 * r, atX - r, atY + 0.2 * r)
                            .curve(atX - r, atY - 0.4 * r, atX - 0.4 * r, atY - 0.8 * r, atX, atY - 1.8 * r)
                            .close(),
                    Tone.READING);
        }

        private void water(SetpointFinding found) {
            if (found.setpointC().isEmpty()) {
                return;
            }
            double set = found.setpointC().getAsDouble();
            boolean within = set >= found.lowestC() && set <= found.highestC();
            Tone tone = within ? Tone.PASS : Tone.FAIL;
            double at = x.at(set);
            pen.line(at, scaleTop - 30, at, scaleBottom, Stroke.of(tone, 3));
            pen.fill(
                    new Path()
                            .move(at, scaleTop - 18)
                            .line(at - 9, scaleTop - 34)
                            .line(at + 9, scaleTop - 34)
                            .close(),
                    tone);
            String words = (found.followC().isPresent() ? "it will be " : "set ")
                    + Amount.celsius(set, 1).text(units);
            double half = pen.textWidth(words, Lettering.HEAD) / 2;
            pen.text(
                    Math.max(left + half, Math.min(right - half, at)),
                    scaleTop - 42,
                    words,
                    Lettering.HEAD,
                    tone,
                    Anchor.MIDDLE);
        }
    }
}
