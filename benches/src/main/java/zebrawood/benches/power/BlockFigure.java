package zebrawood.benches.power;

import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import zebrawood.core.power.BlockFinding;
import zebrawood.core.power.BlockReadings;
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

/** Temperature of a block over time, with the fitted line; before anything is read, the block under the beam. */
public final class BlockFigure implements Exhibit<BlockReadings, BlockFinding> {

    private static final double LEFT = 66;
    private static final double RIGHT = 18;
    private static final double TOP = 30;
    private static final double FOOT = 46;

    @Override
    public String title() {
        return "Warming of the block";
    }

    @Override
    public Figure figure(BlockReadings readings, BlockFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(BlockFinding finding) {
        return finding.powerW().isPresent()
                ? Optional.of(new Course(
                        finding.powerW().getAsDouble(), finding.halfWidthW().getAsDouble(), 0))
                : Optional.empty();
    }

    static Figure of(Optional<BlockFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            if (finding.isEmpty()) {
                block(pen, width, height);
            } else {
                plot(pen, width, height, finding.get(), units);
            }
        };
    }

    /** Beam, block, thermometer. */
    private static void block(Pen pen, double width, double height) {
        double side = Math.min(height * 0.34, width * 0.16);
        double x = width / 2 - side / 2;
        double y = height * 0.5;
        pen.line(width / 2, 14, width / 2, y, Stroke.of(Tone.BEAM, 4));
        pen.rectangle(x, y, side, side * 0.8, Tone.RAISED, Stroke.of(Tone.INK, 2));
        pen.fill(Path.rectangle(x, y, side, 6), Tone.BURN);
        pen.line(x + side * 0.8, y + side * 0.4, x + side * 1.7, y - side * 0.1, Stroke.of(Tone.READING, 4));
        pen.text(x + side * 1.75, y - side * 0.1, "thermometer", Lettering.SMALL, Tone.READING);
        pen.text(x - 12, y + 10, "black face", Lettering.SMALL, Tone.INK, Anchor.END);
        pen.text(
                width / 2,
                height - 8,
                "out of focus, on something that leads no heat; hot afterwards",
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
    }

    private static void plot(Pen pen, double width, double height, BlockFinding found, UnitChoice units) {
        double[] at = found.temperatures().stream()
                .mapToDouble(BlockReadings.Temperature::atS)
                .toArray();
        double[] celsius = Stream.concat(found.temperatures().stream(), found.curve().stream())
                .mapToDouble(BlockReadings.Temperature::celsius)
                .toArray();
        double low = DoubleStream.of(celsius).min().orElse(0);
        double high = DoubleStream.of(celsius).max().orElse(1);
        double room = Math.max(0.2, (high - low) * 0.1);
        double first = DoubleStream.of(at).min().orElse(0);
        double last = Math.max(found.onS(), DoubleStream.of(at).max().orElse(1));
        double bottom = height - FOOT;
        Axis x = new Axis(Math.min(0, first), last + 1, LEFT, width - RIGHT);
        Axis y = new Axis(low - room, high + room, bottom, TOP);
        pen.band(x.at(0), TOP, x.length(found.onS()), bottom - TOP);
        pen.text(x.at(0) + 4, TOP - 8, "beam on", Lettering.SMALL, Tone.INK);
        pen.line(LEFT, TOP, LEFT, bottom, Stroke.of(Tone.INK, 1.2));
        Axis shown = y.shown(Quantity.TEMPERATURE, units);
        shown.beside(pen, LEFT, 5, LEFT);
        shown.along(pen, 16, Quantity.TEMPERATURE.unit(units));
        x.under(pen, bottom, 7, "seconds since the beam came on");
        Path curve = new Path();
        for (int i = 0; i < found.curve().size(); i++) {
            BlockReadings.Temperature each = found.curve().get(i);
            if (i == 0) {
                curve.move(x.at(each.atS()), y.at(each.celsius()));
            } else {
                curve.line(x.at(each.atS()), y.at(each.celsius()));
            }
        }
        if (!found.curve().isEmpty()) {
            pen.stroke(curve, Stroke.of(Tone.WALNUT, 2));
        }
        found.temperatures().forEach(each -> pen.circle(x.at(each.atS()), y.at(each.celsius()), 4.5, Tone.READING));
    }
}
