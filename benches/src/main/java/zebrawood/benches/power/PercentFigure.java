package zebrawood.benches.power;

import java.util.List;
import java.util.Optional;
import zebrawood.core.power.LinearityFinding;
import zebrawood.core.power.LinearityReadings;
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

/** Watts at the work over the command, where nothing fires, and the table of what to command. */
public final class PercentFigure implements Exhibit<LinearityReadings, LinearityFinding> {

    private static final double LEFT = 66;
    private static final double TOP = 26;
    private static final double FOOT = 46;
    private static final double TABLE = 232;
    private static final int MOST_ROWS = 10;

    @Override
    public String title() {
        return "Watts against percent";
    }

    @Override
    public double leastHeight() {
        return 270;
    }

    @Override
    public OnPaper onPaper() {
        return OnPaper.WIDE;
    }

    @Override
    public Figure figure(LinearityReadings readings, LinearityFinding finding, UnitChoice units) {
        return of(Optional.of(finding), List.of(), units);
    }

    @Override
    public Optional<Course> course(LinearityFinding finding) {
        return Optional.of(new Course(
                finding.maximumW(),
                finding.halfWidthPct().orElse(0) * finding.maximumW() / 100,
                finding.tolerances().tolerancePct() * finding.maximumW() / 100));
    }

    static String watts(double w, UnitChoice units) {
        return new Amount(Quantity.POWER, w, w < 10 ? 2 : 1).text(units);
    }

    /**
     * A curve taken otherwise.
     *
     * @param with which lens, frequency and pulse length
     */
    record Other(String with, List<LinearityReadings.Sample> curve) {
        double most() {
            return curve.stream()
                    .mapToDouble(LinearityReadings.Sample::powerW)
                    .max()
                    .orElse(0);
        }
    }

    static Figure of(Optional<LinearityFinding> finding, List<Other> others, UnitChoice units) {
        return (pen, width, height) -> {
            double bottom = height - FOOT;
            double right = width - (finding.isPresent() ? TABLE + 24 : 18);
            double most = Math.max(
                    finding.map(LinearityFinding::maximumW).orElse(50.0),
                    others.stream().mapToDouble(Other::most).max().orElse(0));
            Axis x = new Axis(0, 100, LEFT, right);
            Axis y = new Axis(0, most * 1.06, bottom, TOP);
            finding.ifPresent(found -> dead(pen, found, x, bottom));
            pen.line(LEFT, TOP, LEFT, bottom, Stroke.of(Tone.INK, 1.2));
            if (finding.isPresent()) {
                y.beside(pen, LEFT, 5, LEFT);
            }
            y.along(pen, 16, "W at the work");
            x.under(pen, bottom, 5, "command, %");
            if (finding.isEmpty()) {
                pen.stroke(
                        new Path().move(x.at(8), bottom).line(x.at(100), y.at(most)),
                        Stroke.dashed(Tone.QUIET, 1.6, 6));
                return;
            }
            others(pen, others, x, y);
            curve(pen, finding.get(), x, y, bottom);
            table(pen, finding.get(), width - TABLE, height, units);
        };
    }

    /** Commands under which it does not fire. */
    private static void dead(Pen pen, LinearityFinding found, Axis x, double bottom) {
        found.firesAtPct().ifPresent(at -> {
            double from = found.falls() ? x.at(at) : x.at(0);
            double to = found.falls() ? x.at(100) : x.at(at);
            pen.band(from, TOP, to - from, bottom - TOP);
            if (to - from > 60) {
                pen.text((from + to) / 2, TOP + 16, "no fire", Lettering.SMALL, Tone.INK, Anchor.MIDDLE);
            }
        });
    }

    private static Path path(List<LinearityReadings.Sample> curve, Axis x, Axis y) {
        Path path = new Path();
        for (int i = 0; i < curve.size(); i++) {
            double px = x.at(curve.get(i).commandPct());
            double py = y.at(curve.get(i).powerW());
            if (i == 0) {
                path.move(px, py);
            } else {
                path.line(px, py);
            }
        }
        return path;
    }

    /** Quiet and dashed, each with its name; names stand in the upper left, where a curve never is. */
    private static void others(Pen pen, List<Other> others, Axis x, Axis y) {
        for (int i = 0; i < others.size(); i++) {
            Stroke stroke = Stroke.dashed(Tone.QUIET, 1.8, 3 + 5 * i);
            pen.stroke(path(others.get(i).curve(), x, y), stroke);
            double at = TOP + 18 + 20 * i;
            double from = Math.max(x.at(0) + 14, x.at(22));
            pen.line(from, at - 4, from + 34, at - 4, stroke);
            pen.text(from + 42, at, others.get(i).with(), Lettering.SMALL, Tone.INK);
        }
    }

    private static void curve(Pen pen, LinearityFinding found, Axis x, Axis y, double bottom) {
        List<LinearityReadings.Sample> curve = found.curve();
        LinearityReadings.Sample last = curve.get(curve.size() - 1);
        double from = found.thresholdPct().orElse(curve.get(0).commandPct());
        pen.stroke(
                new Path()
                        .move(
                                x.at(from),
                                found.thresholdPct().isPresent()
                                        ? bottom
                                        : y.at(curve.get(0).powerW()))
                        .line(x.at(last.commandPct()), y.at(last.powerW())),
                Stroke.dashed(Tone.QUIET, 1.4, 6));
        pen.stroke(path(curve, x, y), Stroke.of(Tone.WALNUT, 2));
        curve.forEach(each -> pen.circle(x.at(each.commandPct()), y.at(each.powerW()), 4.5, Tone.READING));
        found.nextCommandPct().ifPresent(next -> Shapes.next(pen, x.at(next), bottom));
    }

    private static void table(Pen pen, LinearityFinding found, double left, double height, UnitChoice units) {
        List<LinearityFinding.Row> rows = found.table();
        int every = Math.max(1, (int) Math.ceil(rows.size() / (double) MOST_ROWS));
        double step = Math.min(24, (height - 40) / (MOST_ROWS + 1));
        pen.text(left + 92, 18, "wanted", Lettering.SMALL, Tone.QUIET, Anchor.END);
        pen.text(left + TABLE - 20, 18, "command", Lettering.SMALL, Tone.QUIET, Anchor.END);
        double y = 22 + step * 0.8;
        for (int i = rows.size() - 1; i >= 0; i -= every) {
            LinearityFinding.Row row = rows.get(i);
            pen.text(
                    left + 92,
                    y,
                    watts(row.wantedPct() / 100 * found.maximumW(), units),
                    Lettering.TEXT,
                    Tone.INK,
                    Anchor.END);
            pen.text(
                    left + TABLE - 20,
                    y,
                    Amount.percent(row.commandPct(), 1).text(units),
                    Lettering.TEXT_BOLD,
                    Tone.INK,
                    Anchor.END);
            pen.line(left + 14, y + step * 0.28, left + TABLE - 20, y + step * 0.28, Stroke.of(Tone.HAIRLINE, 0.8));
            y += step;
        }
    }
}
