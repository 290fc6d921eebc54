package zebrawood.benches.power;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import zebrawood.core.power.TrendFinding;
import zebrawood.core.power.TrendReadings;
import zebrawood.core.units.Amount;
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

/** Tests over beam hours, the line through them with its fan, the floor, and what was done meanwhile. */
public final class TrendFigure implements Exhibit<TrendReadings, TrendFinding> {

    private static final double LEFT = 66;
    private static final double RIGHT = 26;
    private static final double TOP = 60;
    private static final double FOOT = 46;

    @Override
    public String title() {
        return "The source over its hours";
    }

    @Override
    public double leastHeight() {
        return 300;
    }

    @Override
    public OnPaper onPaper() {
        return OnPaper.WIDE;
    }

    @Override
    public Figure figure(TrendReadings readings, TrendFinding finding, UnitChoice units) {
        return of(Optional.of(finding), units);
    }

    @Override
    public Optional<Course> course(TrendFinding finding) {
        return finding.nowPct().isPresent()
                ? Optional.of(new Course(finding.nowPct().getAsDouble(), 0, 0))
                : Optional.empty();
    }

    /** Which of dirt and age takes more, in one sentence. */
    static String larger(TrendFinding.Wear wear) {
        String gives = Amount.percent(wear.cleaningGivesPct(), 1).most().text(UnitChoice.METRIC);
        return switch (wear.larger()) {
            case DIRT -> "Mostly dirt: cleaning pays first. It gives back about " + gives + " now.";
            case AGE -> "Mostly age: cleaning gives back about " + gives + " now, the source does the rest.";
            case UNCLEAR -> "Dirt and age cannot be told apart yet: test just before and just after each cleaning.";
        };
    }

    static Figure of(Optional<TrendFinding> finding, UnitChoice units) {
        return (pen, width, height) -> {
            if (finding.isEmpty()) {
                empty(pen, width, height);
            } else {
                new Plot(pen, finding.get(), width, height).draw();
            }
        };
    }

    private static void empty(Pen pen, double width, double height) {
        double bottom = height - FOOT;
        pen.line(LEFT, TOP, LEFT, bottom, Stroke.of(Tone.INK, 1.2));
        pen.line(LEFT, bottom, width - RIGHT, bottom, Stroke.of(Tone.INK, 1.2));
        for (int i = 0; i < 5; i++) {
            double x = LEFT + (width - LEFT - RIGHT) * (i + 0.5) / 5;
            pen.stroke(Path.circle(x, TOP + (bottom - TOP) * (0.2 + 0.06 * i), 6), Stroke.dashed(Tone.QUIET, 1.4, 4));
        }
        pen.text(
                (LEFT + width) / 2,
                height - 10,
                "beam hours; dashed: not yet",
                Lettering.CAPTION,
                Tone.QUIET,
                Anchor.MIDDLE);
    }

    private static final class Plot {
        private final Pen pen;
        private final TrendFinding found;
        private final Axis x;
        private final Axis y;
        private final double bottom;
        private final double first;

        Plot(Pen pen, TrendFinding found, double width, double height) {
            this.pen = pen;
            this.found = found;
            bottom = height - FOOT;
            List<TrendReadings.Point> all = Stream.concat(found.before().stream(), found.history().stream())
                    .toList();
            double from =
                    all.stream().mapToDouble(TrendReadings.Point::hours).min().orElse(0);
            double last =
                    all.stream().mapToDouble(TrendReadings.Point::hours).max().orElse(1);
            double ahead = Math.min(found.hoursToFloor().orElse(0), 0.5 * (last - from));
            double pad = (last - from) * 0.03;
            x = new Axis(from - pad, last + ahead + pad, LEFT, width - RIGHT);
            first = at(found.history().get(0).hours());
            double[] values = DoubleStream.concat(
                            all.stream().mapToDouble(TrendReadings.Point::value),
                            DoubleStream.of(first, first * found.tolerances().floorPct() / 100))
                    .toArray();
            double low = DoubleStream.of(values).min().orElse(0);
            double high = DoubleStream.of(values).max().orElse(1);
            double room = Math.max((high - low) * 0.1, 1e-6 * Math.max(1, Math.abs(high)));
            y = new Axis(low - room, high + room, bottom, TOP);
        }

        private double at(double hours) {
            return found.intercept() + found.slopePer100h() / 100 * hours;
        }

        void draw() {
            fan();
            if (found.nowPct().isPresent()) {
                double floor = first * found.tolerances().floorPct() / 100;
                pen.line(x.from(), y.at(floor), x.to(), y.at(floor), Stroke.of(Tone.FAIL, 2));
                pen.text(
                        x.from() + 6,
                        y.at(floor) - 6,
                        "worn out, "
                                + Amount.percent(found.tolerances().floorPct(), 0)
                                        .text(UnitChoice.METRIC),
                        Lettering.SMALL,
                        Tone.FAIL);
            }
            events();
            pen.line(LEFT, TOP, LEFT, bottom, Stroke.of(Tone.INK, 1.2));
            y.beside(pen, LEFT, 5, LEFT);
            y.along(
                    pen,
                    16,
                    switch (found.measuredBy()) {
                        case WATTS -> "W";
                        case CURRENT -> "mA";
                        case GRID -> "score of the cells";
                    });
            x.under(pen, bottom, 6, "beam hours");
            found.before()
                    .forEach(each -> pen.stroke(
                            Path.circle(x.at(each.hours()), y.at(each.value()), 5), Stroke.of(Tone.QUIET, 1.6)));
            double from = found.history().get(0).hours();
            pen.clipped(LEFT, TOP, x.to() - LEFT, bottom - TOP, () -> {
                double last = found.history().get(found.history().size() - 1).hours();
                pen.line(x.at(from), y.at(at(from)), x.at(last), y.at(at(last)), Stroke.of(Tone.WALNUT, 2.4));
                pen.line(x.at(last), y.at(at(last)), x.to(), y.at(at(x.most())), Stroke.dashed(Tone.WALNUT, 2, 6));
            });
            found.history().forEach(each -> pen.circle(x.at(each.hours()), y.at(each.value()), 5, Tone.READING));
        }

        /** As steep and as flat as its interval lets it be, about the middle of the tests. */
        private void fan() {
            if (found.slopeLow().isEmpty()) {
                return;
            }
            double from = found.history().get(0).hours();
            double middle =
                    (from + found.history().get(found.history().size() - 1).hours()) / 2;
            double about = at(middle);
            double low = found.slopeLow().getAsDouble() / 100;
            double high = found.slopeHigh().getAsDouble() / 100;
            double end = x.most();
            pen.clipped(LEFT, TOP, x.to() - LEFT, bottom - TOP, () -> {
                for (double slope : new double[] {low, high}) {
                    pen.line(
                            x.at(from),
                            y.at(about + slope * (from - middle)),
                            x.at(end),
                            y.at(about + slope * (end - middle)),
                            Stroke.of(Tone.HAIRLINE, 1.4));
                }
            });
        }

        /** Ticks at the top; the words stand where there is room for them. */
        private void events() {
            // two lines of words: what has no room in the one stands in the other
            double[] free = {LEFT, LEFT};
            for (TrendReadings.Event event : found.events()) {
                double at = x.at(event.hours());
                if (at < LEFT || at > x.to()) {
                    continue;
                }
                boolean life = event.what() == TrendReadings.What.REPLACED;
                pen.line(at, TOP - 8, at, life ? bottom : TOP + 6, Stroke.of(Tone.INK, 2));
                String words = switch (event.what()) {
                    case CLEANED -> "cleaned";
                    case ALIGNED -> "aligned";
                    case COOLANT -> "coolant";
                    case REPLACED -> "new source";
                };
                double wide = pen.textWidth(words, Lettering.SMALL);
                double begins = Math.min(Math.max(at - wide / 2, LEFT), x.to() - wide);
                int row = begins >= free[0] ? 0 : 1;
                if (begins >= free[row]) {
                    pen.text(begins, TOP - 14 - 18 * row, words, Lettering.SMALL, Tone.INK);
                    free[row] = begins + wide + 8;
                }
            }
        }
    }
}
