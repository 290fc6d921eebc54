package zebrawood.benches.extraction;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.core.extraction.ExtractionFinding;
import zebrawood.core.extraction.ExtractionFinding.Kind;
import zebrawood.core.extraction.ExtractionFinding.Link;
import zebrawood.core.extraction.ExtractionReadings;
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
 * The run as a chain from the machine to the outlet with the pressure along it, and the curves of fan and run with the
 * point where they meet.
 */
public final class ExtractionFigure implements Exhibit<ExtractionReadings, ExtractionFinding> {

    static final double LEAST_HEIGHT = 234;

    @Override
    public double leastHeight() {
        return LEAST_HEIGHT;
    }

    @Override
    public String title() {
        return "Extraction";
    }

    @Override
    public Figure figure(ExtractionReadings readings, ExtractionFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    private static Amount pascal(double pa) {
        return new Amount(Quantity.PASCAL, pa, 0);
    }

    @Override
    public Optional<Course> course(ExtractionFinding finding) {
        return Optional.of(new Course(finding.marginPct(), 0, 0));
    }

    /** lower than this, px, two runs with their names would stand on each other */
    static final double LEAST_OF_TWO = 270;

    static Figure of(Optional<ExtractionFinding> finding, UnitChoice units) {
        return (pen, width, height) -> new Drawing(pen, units, width, height).draw(finding);
    }

    private static final class Drawing {
        private static final double DUCT = 0.58;
        private static final double LOWEST = 46;
        /** ducts drawn side by side; the number is said */
        private static final int MOST_BESIDE = 3;

        private static final double HEAD = 20;
        private static final double WITH_PRESSURE = 140;

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

        void draw(Optional<ExtractionFinding> finding) {
            finding.ifPresentOrElse(
                    this::runs,
                    () -> pen.text(
                            width * DUCT / 2,
                            height / 2,
                            "the run stands here, from the machine to the outlet",
                            Lettering.SMALL,
                            Tone.QUIET,
                            Anchor.MIDDLE));
            curves(finding);
        }

        /**
         * A run to be drawn.
         *
         * @param name of it, where there are two
         */
        private record Run(
                String name, List<Link> chain, double pressurePa, boolean fanAtDischargeEnd, double leastMps) {
            double widest() {
                return chain.stream()
                        .mapToDouble(link -> link.diameterMm().orElse(0) * Math.min(MOST_BESIDE, link.parallel()))
                        .max()
                        .orElse(125);
            }
        }

        /** The run, and under it the other one, to the same scale, where one was kept. */
        private void runs(ExtractionFinding found) {
            double least = found.tolerances().minTransportMs();
            Optional<Run> other = found.other()
                    .filter(kept -> !kept.chain().isEmpty())
                    .map(kept -> new Run(
                            "the other: " + percent(kept.marginPct()),
                            kept.chain(),
                            kept.pressurePa(),
                            found.fanAtDischargeEnd(),
                            least));
            Run run = new Run(
                    other.isPresent() ? "this run: " + percent(found.marginPct()) : "",
                    found.chain(),
                    found.operatingPressurePa(),
                    found.fanAtDischargeEnd(),
                    least);
            double widest = Math.max(run.widest(), other.map(Run::widest).orElse(0.0));
            double each = other.isPresent() ? height / 2 : height;
            chain(run, 0, each, Math.min(44, each * 0.15) / widest);
            other.ifPresent(kept -> {
                pen.line(0, each, width * DUCT, each, Stroke.of(Tone.HAIRLINE, 1));
                chain(kept, each, height, Math.min(44, each * 0.15) / widest);
            });
        }

        private String percent(double margin) {
            return Amount.percent(Math.abs(margin), 0).text(units) + (margin < 0 ? " missing" : " in reserve");
        }

        /** A run with its bores to scale, and under it, where there is room, the pressure in it against the room's. */
        private void chain(Run run, double from, double to, double scale) {
            boolean atEnd = run.fanAtDischargeEnd();
            double right = width * DUCT - 20;
            double fan = 30;
            double left = 8 + (atEnd ? 0 : fan);
            double end = right - (atEnd ? fan : 0);
            double[] edges = edges(run.chain(), left, end);
            double head = run.name().isEmpty() ? 0 : HEAD;
            double middle = from + head + Math.max(40, Math.min(70, (to - from) * 0.2));
            double fanAt = atEnd ? end + fan / 2 : left - fan / 2;
            pen.text(0, from + 14, run.name(), Lettering.TEXT_BOLD, Tone.INK);
            pen.stroke(Path.circle(fanAt, middle, 12), Stroke.of(atEnd ? Tone.INK : Tone.ADJUST, 2));
            pen.text(fanAt, middle + 4, "fan", Lettering.CAPTION, atEnd ? Tone.INK : Tone.ADJUST, Anchor.MIDDLE);
            Link most = run.chain().stream()
                    .max(Comparator.comparingDouble(Link::lossPa))
                    .orElseThrow();
            for (int i = 0; i < run.chain().size(); i++) {
                part(
                        i + 1,
                        run.chain().get(i),
                        edges[i],
                        edges[i + 1],
                        middle,
                        scale,
                        run.chain().get(i) == most,
                        run.leastMps());
            }
            if (to - middle > WITH_PRESSURE) {
                pressure(run, most, edges, middle + 74, to);
            }
        }

        /** The pressure along a run, drawn between two heights. */
        private void pressure(Run run, Link most, double[] edges, double top, double to) {
            boolean atEnd = run.fanAtDischargeEnd();
            double right = width * DUCT - 20;
            double left = edges[0];
            double whole = run.pressurePa();
            String under = (atEnd
                            ? "under the room's pressure: leaks suck, down to -"
                            : "over the room's pressure: leaks blow, up to ")
                    + pascal(whole).text(units);
            List<String> lines = pen.wrapped(under, right - left, Lettering.CAPTION);
            double bottom = to - 11 - 13 * lines.size();
            double zero = atEnd ? top + 6 : bottom;
            double perPa = (bottom - top - 6) / Math.max(1, whole);
            pen.line(left - 6, zero, right, zero, Stroke.dashed(Tone.QUIET, 1, 4));
            pen.text(right + 2, zero + 4, "room", Lettering.CAPTION, Tone.QUIET);
            double pressure = atEnd ? 0 : whole;
            double mostX = left;
            double mostY = top;
            Path line = new Path().move(left, zero - pressure * perPa);
            for (int i = 0; i < run.chain().size(); i++) {
                Link link = run.chain().get(i);
                double before = pressure;
                pressure -= link.lossPa();
                line.line(edges[i + 1], zero - pressure * perPa);
                if (link == most) {
                    mostX = Math.min(edges[i + 1] + 8, right - 60);
                    mostY = zero - (before + pressure) / 2 * perPa + 4;
                }
            }
            if (atEnd) {
                line.line(right, zero);
            } else {
                line = prefixed(line, 8, zero);
            }
            pen.stroke(line, Stroke.of(Tone.READING, 2.6));
            String largest = pascal(most.lossPa()).text(units);
            pen.patched(mostX, mostY, largest, Lettering.SMALL, Tone.ADJUST, Anchor.START);
            for (int i = 0; i < lines.size(); i++) {
                double at = to - 6 - 13 * (lines.size() - 1 - i);
                pen.text(left, at, lines.get(i), Lettering.CAPTION, atEnd ? Tone.QUIET : Tone.ADJUST);
            }
        }

        private static Path prefixed(Path line, double x, double y) {
            Path whole = new Path().move(x, y);
            for (Path.Piece piece : line.pieces()) {
                whole.line(piece.points()[0], piece.points()[1]);
            }
            return whole;
        }

        /** Where the parts begin and end: ducts by their length, but none too short to be seen. */
        private static double[] edges(List<Link> chain, double left, double right) {
            double metres = chain.stream()
                    .flatMapToDouble(link -> link.lengthM().stream())
                    .sum();
            double least = Math.min(LOWEST, (right - left) / chain.size());
            double rest = Math.max(0, right - left - least * chain.size());
            double[] edges = new double[chain.size() + 1];
            edges[0] = left;
            for (int i = 0; i < chain.size(); i++) {
                edges[i + 1] = edges[i]
                        + least
                        + (metres > 0 ? rest * chain.get(i).lengthM().orElse(0) / metres : rest / chain.size());
            }
            return edges;
        }

        /** @param number in the run, where its name does not fit */
        private void part(
                int number,
                Link link,
                double from,
                double to,
                double middle,
                double scale,
                boolean most,
                double least) {
            double bore = link.diameterMm().orElse(0) * scale;
            boolean slow = link.velocityMs().isPresent() && link.velocityMs().getAsDouble() < least;
            Tone tone = most ? Tone.ADJUST : Tone.INK;
            double wide = most ? 2.8 : 1.6;
            int beside = Math.min(MOST_BESIDE, link.parallel());
            for (int i = 0; i < beside && link.kind() != Kind.FILTER; i++) {
                double at = middle + (i - (beside - 1) / 2.0) * (bore + 3);
                if (link.kind() == Kind.SEGMENT) {
                    pen.rectangle(from, at - bore / 2, to - from, bore, Tone.RAISED, Stroke.of(tone, wide));
                } else {
                    double centre = (from + to) / 2;
                    pen.stroke(
                            new Path()
                                    .move(from, at - bore / 2)
                                    .line(centre, at - bore / 2 - 5)
                                    .line(to, at - bore / 2),
                            Stroke.of(tone, wide));
                    pen.stroke(
                            new Path()
                                    .move(from, at + bore / 2)
                                    .line(centre, at + bore / 2 - 5)
                                    .line(to, at + bore / 2),
                            Stroke.of(tone, wide));
                }
            }
            if (link.kind() == Kind.FILTER) {
                pen.rectangle(from + 4, middle - 24, to - from - 8, 48, Tone.RAISED, Stroke.of(tone, wide));
                for (double x = from + 10; x < to - 8; x += 7) {
                    pen.line(x, middle - 20, x, middle + 20, Stroke.of(Tone.QUIET, 1));
                }
            }
            double y = middle + 40;
            for (String line : pen.lines(link.name(), to - from - 2, Lettering.CAPTION, 2)
                    .orElse(List.of(String.valueOf(number)))) {
                pen.text((from + to) / 2, y, line, Lettering.CAPTION, Tone.INK, Anchor.MIDDLE);
                y += 13;
            }
            link.velocityMs().ifPresent(ms -> {
                String speed = new Amount(Quantity.SPEED, ms, 1).text(units);
                boolean tight = pen.textWidth(speed, Lettering.CAPTION) > to - from;
                pen.text(
                        (from + to) / 2,
                        middle - Math.max(28, bore * beside / 2 + 10),
                        tight ? new Amount(Quantity.SPEED, ms, 0).number(units) : speed,
                        Lettering.CAPTION,
                        slow ? Tone.FAIL : Tone.QUIET,
                        Anchor.MIDDLE);
            });
        }

        private void curves(Optional<ExtractionFinding> finding) {
            double left = width * DUCT + 56;
            double right = width - 14;
            double top = 38;
            double bottom = height - 40;
            double mostFlow = finding.map(found -> Math.max(
                                    found.requiredFlowM3h(),
                                    found.fan().get(found.fan().size() - 1).flowM3h())
                            * 1.05)
                    .orElse(700.0);
            double mostPa =
                    finding.map(found -> found.fan().get(0).pressurePa() * 1.08).orElse(700.0);
            Axis x = new Axis(0, mostFlow, left, right);
            Axis y = new Axis(0, mostPa, bottom, top);
            pen.line(left, bottom, left, top, Stroke.of(Tone.INK, 1.2));
            x.under(pen, bottom, 4, "flow, m³/h");
            y.beside(pen, left, 4, left);
            pen.text(left - 40, top - 4, "Pa", Lettering.CAPTION, Tone.INK);
            finding.ifPresent(found -> points(found, x, y, left, top, bottom));
        }

        private void points(ExtractionFinding found, Axis x, Axis y, double left, double top, double bottom) {
            double asked = x.at(found.requiredFlowM3h());
            pen.line(asked, top, asked, bottom, Stroke.dashed(found.marginPct() < 0 ? Tone.FAIL : Tone.QUIET, 1.6, 5));
            pen.clipped(left, top, x.to() - left, bottom - top, () -> {
                found.other()
                        .ifPresent(other -> pen.stroke(curve(other.curve(), x, y), Stroke.dashed(Tone.QUIET, 2, 6)));
                pen.stroke(curve(found.curve(), x, y), Stroke.of(Tone.READING, 2.6));
                pen.stroke(curve(found.fan(), x, y), Stroke.of(Tone.WALNUT, 2.6));
            });
            double px = x.at(found.operatingFlowM3h());
            double py = y.at(found.operatingPressurePa());
            Tone tone = found.marginPct() < 0 ? Tone.FAIL : Tone.INK;
            found.other()
                    .ifPresent(other -> pen.stroke(
                            Path.circle(x.at(other.flowM3h()), y.at(other.pressurePa()), 5), Stroke.of(Tone.QUIET, 2)));
            pen.circle(px, py, 6, tone);
            pen.patched(
                    px + (px > (left + x.to()) / 2 ? -10 : 10),
                    py - 10,
                    new Amount(Quantity.AIR_FLOW, found.operatingFlowM3h(), 0).text(units),
                    Lettering.TEXT_BOLD,
                    tone,
                    px > (left + x.to()) / 2 ? Anchor.END : Anchor.START);
            pen.patched(
                    left + 8,
                    y.at(found.fan().get(0).pressurePa()) + 16,
                    "fan",
                    Lettering.SMALL,
                    Tone.WALNUT,
                    Anchor.START);
            pen.patched(
                    Math.min(asked + 4, x.to() - 40),
                    py > bottom - 34 ? top + 12 : bottom - 8,
                    "required",
                    Lettering.CAPTION,
                    found.marginPct() < 0 ? Tone.FAIL : Tone.QUIET,
                    Anchor.START);
        }

        private static Path curve(List<ExtractionFinding.Point> points, Axis x, Axis y) {
            Path path = new Path();
            points.forEach(point -> path.line(x.at(point.flowM3h()), y.at(point.pressurePa())));
            return path;
        }
    }
}
