package zebrawood.benches.switching;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.switching.OrderFinding;
import zebrawood.core.switching.OrderReadings;
import zebrawood.core.switching.OrderReadings.Step;
import zebrawood.core.switching.Way;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The three ways beside each other, each from its first step down. */
public final class OrderFigure implements Exhibit<OrderReadings, OrderFinding> {

    private static final double TOP = 40;
    private static final double MOST = 36;
    private static final double LINE = 14;

    @Override
    public String title() {
        return "Start-up order";
    }

    @Override
    public double leastHeight() {
        return 300;
    }

    @Override
    public OnPaper onPaper() {
        return new OnPaper(678, 300);
    }

    @Override
    public Figure figure(OrderReadings readings, OrderFinding finding, UnitChoice units) {
        return (pen, width, height) -> {
            double wide = width / Way.values().length;
            int number = 0;
            for (Way way : Way.values()) {
                column(pen, way.title(), readings.of(way), wide * number, wide - 16, height);
                number++;
            }
        };
    }

    private static void column(Pen pen, String title, List<Step> steps, double left, double wide, double height) {
        pen.text(left, 14, title, Lettering.TEXT_BOLD, Tone.WALNUT);
        if (steps.isEmpty()) {
            pen.text(left, TOP, "not written", Lettering.CAPTION, Tone.QUIET);
            return;
        }
        double apart = Math.min(MOST, (height - TOP - 8) / Math.max(1, steps.size() - 1));
        if (apart < 2 * LINE) {
            pen.text(left, TOP, steps.size() + " steps", Lettering.CAPTION, Tone.QUIET);
            return;
        }
        double y = TOP;
        for (int i = 0; i < steps.size(); i++) {
            if (i + 1 < steps.size()) {
                pen.line(left + 9, y + 9, left + 9, y + apart - 9, Stroke.of(Tone.HAIRLINE, 2));
            }
            pen.stroke(Path.circle(left + 9, y, 9), Stroke.of(Tone.WALNUT, 1.5));
            pen.text(left + 9, y + 4, String.valueOf(i + 1), Lettering.CAPTION, Tone.INK, Anchor.MIDDLE);
            // where it is too long for two lines, the table has it whole
            List<String> lines = pen.lines(steps.get(i).what(), wide - 24, Lettering.CAPTION, 2)
                    .orElse(List.of("see the table"));
            for (int line = 0; line < lines.size(); line++) {
                pen.text(
                        left + 24,
                        y + 4 + (line - (lines.size() - 1) / 2.0) * LINE,
                        lines.get(line),
                        Lettering.CAPTION,
                        Tone.INK);
            }
            y += apart;
        }
    }

    @Override
    public Optional<Table> table(
            OrderReadings readings, OrderFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = new ArrayList<>();
        for (Way way : Way.values()) {
            int number = 1;
            for (Step step : readings.of(way)) {
                String wait = step.waitFor().map(words -> "; wait " + words).orElse("");
                rows.add(List.of(
                        way.title() + ", " + number++,
                        step.what() + wait,
                        step.seen().orElse("not written")));
            }
        }
        return Optional.of(new Table(List.of("step", "what is done", "seen when right"), rows, 1));
    }

    @Override
    public Optional<Course> course(OrderFinding finding) {
        return Optional.empty();
    }
}
