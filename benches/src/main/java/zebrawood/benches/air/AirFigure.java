package zebrawood.benches.air;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import zebrawood.core.air.AirFinding;
import zebrawood.core.air.AirReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** What the air goes through, part by part, and beside the nozzle how much is needed and how much comes. */
public final class AirFigure implements Exhibit<AirReadings, AirFinding> {

    static final double LEAST_HEIGHT = 234;

    @Override
    public double leastHeight() {
        return LEAST_HEIGHT;
    }

    @Override
    public String title() {
        return "Air assist";
    }

    @Override
    public Figure figure(AirReadings readings, AirFinding finding, UnitChoice units) {
        return of(Optional.of(finding), readings.source(), readings.valveSound().isPresent(), units);
    }

    private static Amount litres(double lMin) {
        return new Amount(Quantity.FLOW, lMin, 0);
    }

    @Override
    public Optional<Course> course(AirFinding finding) {
        return finding.cutting().readLMin().isPresent()
                ? Optional.of(new Course(finding.cutting().readLMin().getAsDouble(), 0, 0))
                : Optional.empty();
    }

    static Figure of(Optional<AirFinding> finding, AirReadings.Source source, boolean valve, UnitChoice units) {
        return (pen, width, height) -> new Drawing(pen, units, width, height).draw(finding, source, valve);
    }

    private static final class Drawing {
        /** how long an arrow is for what was only felt, of the longest */
        private static final double FELT_LIGHT = 0.35;
        /** how long an arrow is for what was only felt, of the longest */
        private static final double FELT_STRONG = 0.8;

        private static final double WORK = 124;

        private final Pen pen;
        private final UnitChoice units;
        private final double width;
        private final double height;

        Drawing(Pen pen, UnitChoice units, double width, double height) {
            this.pen = pen;
            this.units = units;
            this.width = width;
            this.height = height;
        }

        void draw(Optional<AirFinding> finding, AirReadings.Source source, boolean valve) {
            boolean filter = source == AirReadings.Source.COMPRESSOR;
            double middle = height * 0.36;
            double end = width * 0.60;
            List<String> parts = new ArrayList<>(List.of(source == AirReadings.Source.PUMP ? "pump" : "compressor"));
            if (filter) {
                parts.add("filter");
            }
            if (valve) {
                parts.add("valve");
            }
            parts.add("hose");
            double each = (end - 20) / parts.size();
            for (int i = 0; i < parts.size(); i++) {
                String part = parts.get(i);
                boolean bad =
                        finding.map(found -> found.unsound().contains(part)).orElse(false);
                part(part, 10 + i * each, each, middle, bad ? Tone.ADJUST : Tone.INK, bad);
            }
            nozzle(end, middle, finding);
            command(finding, middle);
            finding.ifPresent(found -> flows(found, width * 0.74, width - 12));
        }

        private void part(String part, double x, double wide, double middle, Tone tone, boolean bad) {
            double thick = bad ? 3.2 : 1.8;
            double right = x + wide;
            switch (part) {
                case "filter" -> {
                    pen.rectangle(x + wide * 0.2, middle - 26, wide * 0.6, 60, Tone.RAISED, Stroke.of(tone, thick));
                    pen.line(x + wide * 0.2, middle + 16, x + wide * 0.8, middle + 16, Stroke.of(Tone.QUIET, 1));
                    pipe(x, x + wide * 0.2, middle);
                    pipe(x + wide * 0.8, right, middle);
                }
                case "valve" -> {
                    double centre = x + wide / 2;
                    pen.stroke(
                            new Path()
                                    .move(centre - 20, middle - 14)
                                    .line(centre + 20, middle + 14)
                                    .line(centre + 20, middle - 14)
                                    .line(centre - 20, middle + 14)
                                    .close(),
                            Stroke.of(tone, thick));
                    pipe(x, centre - 20, middle);
                    pipe(centre + 20, right, middle);
                }
                case "hose" -> {
                    double third = wide / 3;
                    pen.stroke(
                            new Path()
                                    .move(x, middle)
                                    .curve(x + third, middle - 26, x + third, middle - 26, x + wide / 2, middle)
                                    .curve(right - third, middle + 26, right - third, middle + 26, right, middle),
                            Stroke.of(tone, bad ? 7 : 6));
                    if (bad) {
                        pen.line(x + wide / 2 - 8, middle - 12, x + wide / 2 + 8, middle + 12, Stroke.of(Tone.FAIL, 3));
                    }
                }
                default -> {
                    pen.rectangle(x + 2, middle - 30, wide * 0.72, 64, Tone.RAISED, Stroke.of(tone, thick));
                    pen.stroke(
                            Path.circle(x + 2 + wide * 0.36, middle + 2, Math.min(18, wide * 0.2)),
                            Stroke.of(Tone.QUIET, 1.4));
                    pipe(x + 2 + wide * 0.72, right, middle);
                }
            }
            double y = middle + 52;
            String words = part + (bad ? part.equals("filter") ? ": none" : ": not sound" : "");
            for (String line : pen.wrapped(words, wide - 2, Lettering.CAPTION)) {
                pen.text(x + wide / 2, y, line, Lettering.CAPTION, bad ? Tone.ADJUST : Tone.QUIET, Anchor.MIDDLE);
                y += 13;
            }
        }

        private void pipe(double from, double to, double middle) {
            pen.line(from, middle, to, middle, Stroke.of(Tone.INK, 3));
        }

        private void nozzle(double x, double middle, Optional<AirFinding> finding) {
            pen.stroke(
                    new Path()
                            .move(x - 4, middle - 4)
                            .line(x + 18, middle - 4)
                            .line(x + 18, middle + 14)
                            .line(x + 26, middle + 14)
                            .line(x + 20, middle + 46)
                            .line(x + 8, middle + 46)
                            .line(x + 2, middle + 14)
                            .line(x + 2, middle + 4)
                            .line(x - 4, middle + 4),
                    Stroke.of(Tone.INK, 2));
            double strength = finding.map(
                            found -> share(found.cutting(), found.tolerances().cuttingLMin() * 1.5))
                    .orElse(0.0);
            for (int i = -1; i <= 1 && strength > 0; i++) {
                pen.line(
                        x + 14 + i * 5,
                        middle + 52,
                        x + 14 + i * (5 + 10 * strength),
                        middle + 52 + (WORK - 58) * strength,
                        Stroke.of(Tone.READING, 2));
            }
            pen.line(x - 60, middle + WORK, x + 52, middle + WORK, Stroke.of(Tone.WOOD, 7));
            pen.text(x + 14, middle + WORK + 22, "the work", Lettering.CAPTION, Tone.QUIET, Anchor.MIDDLE);
        }

        private void command(Optional<AirFinding> finding, double middle) {
            finding.ifPresent(found -> {
                boolean obeys = found.obeysOn() && found.obeysOff();
                String says = obeys
                        ? "on and off seen on command"
                        : (found.obeysOn() ? "does not stop on command" : "does not come on command");
                pen.text(10, middle + 100, says, Lettering.TEXT_BOLD, obeys ? Tone.PASS : Tone.FAIL);
            });
        }

        /** Bars for engraving and cutting against what is needed at least. */
        private void flows(AirFinding found, double left, double right) {
            double top = 40;
            double bottom = height - 40;
            double most = found.tolerances().cuttingLMin() * 1.6;
            double each = (right - left) / 2;
            bar(
                    "engraving",
                    found.engraving(),
                    found.tolerances().engravingLMin(),
                    found.engraves(),
                    left,
                    each,
                    top,
                    bottom,
                    most);
            bar(
                    "cutting",
                    found.cutting(),
                    found.tolerances().cuttingLMin(),
                    found.cuts(),
                    left + each,
                    each,
                    top,
                    bottom,
                    most);
            pen.line(left - 4, bottom, right, bottom, Stroke.of(Tone.INK, 1.4));
        }

        private void bar(
                String name,
                AirReadings.Flow flow,
                double least,
                boolean enough,
                double x,
                double wide,
                double top,
                double bottom,
                double most) {
            double tall = (bottom - top) * share(flow, most);
            double needed = bottom - (bottom - top) * Math.min(1, least / most);
            Tone tone = enough ? Tone.READING : Tone.ADJUST;
            pen.rectangle(x + wide * 0.22, bottom - tall, wide * 0.5, tall, Tone.BAND, Stroke.of(tone, 2.4));
            pen.line(x + 4, needed, x + wide - 4, needed, Stroke.dashed(enough ? Tone.QUIET : Tone.ADJUST, 1.8, 5));
            String words = flow.readLMin().isPresent()
                    ? litres(flow.readLMin().getAsDouble()).text(units)
                    : flow.felt().orElseThrow().name().toLowerCase(Locale.ROOT);
            pen.patched(
                    x + wide * 0.47, Math.max(26, bottom - tall - 10), words, Lettering.TEXT_BOLD, tone, Anchor.MIDDLE);
            boolean tight = pen.textWidth(name, Lettering.SMALL) > wide - 4;
            pen.text(
                    x + wide * 0.47,
                    tight && name.equals("cutting") ? bottom + 31 : bottom + 17,
                    name,
                    tight ? Lettering.CAPTION : Lettering.SMALL,
                    Tone.INK,
                    Anchor.MIDDLE);
        }

        private static double share(AirReadings.Flow flow, double most) {
            return flow.readLMin().isPresent()
                    ? Math.min(1, flow.readLMin().getAsDouble() / most)
                    : switch (flow.felt().orElseThrow()) {
                        case NOTHING -> 0.02;
                        case LIGHT -> FELT_LIGHT;
                        case STRONG -> FELT_STRONG;
                    };
        }
    }
}
