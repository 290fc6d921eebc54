package zebrawood.benches.inventory;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import zebrawood.core.inventory.InventoryFinding;
import zebrawood.core.inventory.InventoryReadings;
import zebrawood.core.inventory.InventoryReadings.Part;
import zebrawood.core.inventory.InventoryReadings.State;
import zebrawood.core.route.StopState;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Pen;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** A mark a line, heading by heading, the tray as it is filled, and the bend of a fibre to scale. */
public final class InventoryFigure implements Exhibit<InventoryReadings, InventoryFinding> {

    private static final double ROW = 24;
    private static final double MARK = 18;
    private static final double WORDS = 130;
    private static final double BOX = 34;
    private static final int ACROSS = 6;

    @Override
    public String title() {
        return "Inventory";
    }

    @Override
    public double leastHeight() {
        return 330;
    }

    @Override
    public OnPaper onPaper() {
        return new OnPaper(678, 330);
    }

    @Override
    public Figure figure(InventoryReadings readings, InventoryFinding finding, UnitChoice units) {
        return (pen, width, height) -> {
            double y = groups(pen, readings.parts(), width);
            tray(pen, readings.tray(), y + 16, readings.fibre().isPresent() ? width * 0.7 : width);
            if (readings.fibre().isPresent()) {
                bend(pen, readings.fibre(), width * 0.72, width, y + 8, height, units);
            }
        };
    }

    private static double groups(Pen pen, List<Part> parts, double width) {
        Map<String, List<Part>> groups =
                parts.stream().collect(Collectors.groupingBy(Part::group, LinkedHashMap::new, Collectors.toList()));
        double y = 14;
        for (Map.Entry<String, List<Part>> group : groups.entrySet()) {
            pen.text(0, y + 4, firstWords(pen, group.getKey(), WORDS - 8, Lettering.TEXT), Lettering.TEXT, Tone.INK);
            double x = WORDS + MARK / 2;
            for (Part part : group.getValue()) {
                Shapes.mark(pen, shape(part.state()), x, y, MARK - 4);
                x += MARK;
                if (x > width - MARK) {
                    x = WORDS + MARK / 2;
                    y += ROW - 4;
                }
            }
            y += ROW;
        }
        return y;
    }

    /** As many of the first words as have room: the table beside it has all of them. */
    private static String firstWords(Pen pen, String text, double width, Lettering lettering) {
        return pen.wrapped(text, width, lettering).stream().findFirst().orElse("");
    }

    private static StopState shape(State state) {
        return switch (state) {
            case PRESENT -> StopState.PASSED;
            case MISSING, DAMAGED -> StopState.FAILED;
            case NONE -> StopState.NOTE;
        };
    }

    private static void tray(Pen pen, List<InventoryReadings.Place> tray, double top, double width) {
        if (tray.isEmpty()) {
            return;
        }
        pen.text(0, top, "Tray, as it is filled", Lettering.CAPTION, Tone.QUIET);
        double wide = (width - 4) / ACROSS;
        for (int i = 0; i < InventoryReadings.PLACES; i++) {
            double x = 1 + i % ACROSS * wide;
            int row = i / ACROSS;
            double y = top + 8 + row * BOX;
            pen.rectangle(x, y, wide, BOX, Tone.RAISED, Stroke.of(Tone.HAIRLINE, 1));
            int number = i + 1;
            String from = tray.stream()
                    .filter(place -> place.number() == number)
                    .map(InventoryReadings.Place::from)
                    .findFirst()
                    .orElse("");
            pen.text(x + 5, y + 13, String.valueOf(number), Lettering.CAPTION, Tone.QUIET);
            pen.text(
                    x + 5,
                    y + 27,
                    firstWords(pen, from, wide - 10, Lettering.CAPTION),
                    Lettering.CAPTION,
                    Tone.READING);
        }
    }

    /** The bend alone, as it stands on the bench. */
    static Figure bend(Optional<InventoryReadings.Fibre> fibre, UnitChoice units) {
        return (pen, width, height) -> bend(pen, fibre, 0, Math.min(width, 520), 0, height, units);
    }

    private static void bend(
            Pen pen,
            Optional<InventoryReadings.Fibre> fibre,
            double left,
            double right,
            double top,
            double bottom,
            UnitChoice units) {
        if (fibre.isEmpty()) {
            pen.text(
                    left,
                    top + 20,
                    "Lay a ruler along the tightest bend and type its radius.",
                    Lettering.CAPTION,
                    Tone.QUIET);
            return;
        }
        double lies = fibre.get().tightestRadiusMm();
        OptionalDouble least = fibre.get().leastRadiusMm();
        double most = Math.max(lies, least.orElse(lies));
        double room = Math.min(right - left - 20, bottom - top - 46);
        double scale = room / most;
        double y = bottom - 34;
        arc(pen, left + 8, y, lies * scale, Stroke.of(Tone.READING, 3));
        if (least.isPresent()) {
            arc(pen, left + 8, y, least.getAsDouble() * scale, Stroke.dashed(Tone.WALNUT, 1.5, 5));
        }
        pen.text(left, bottom - 18, "lies: " + Amount.mm(lies, 0).text(units), Lettering.CAPTION, Tone.READING);
        pen.text(
                left,
                bottom - 3,
                least.isPresent() ? "least " + Amount.mm(least.getAsDouble(), 0).text(units) : "least: not known",
                Lettering.CAPTION,
                Tone.INK,
                Anchor.START);
    }

    /** A quarter of a circle about the foot of it. */
    private static void arc(Pen pen, double x, double y, double radius, Stroke stroke) {
        double k = 0.5523 * radius;
        pen.stroke(new Path().move(x, y - radius).curve(x + k, y - radius, x + radius, y - k, x + radius, y), stroke);
    }

    @Override
    public Optional<Table> table(
            InventoryReadings readings, InventoryFinding finding, Map<String, String> asTyped, UnitChoice units) {
        List<List<String>> rows = readings.parts().stream()
                .map(part -> List.of(
                        part.name(),
                        InventoryBench.words(part.sort(), InventoryBench.id(part.state())),
                        part.remark().orElse("")))
                .toList();
        return Optional.of(new Table(List.of("line", "found", "remark"), rows, 1));
    }

    @Override
    public Optional<Course> course(InventoryFinding finding) {
        return Optional.empty();
    }
}
