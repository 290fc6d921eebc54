package zebrawood.benches.extraction;

import java.io.File;
import java.io.IOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zebrawood.core.extraction.ExtractionReadings.FanPoint;
import zebrawood.core.extraction.ExtractionReadings.Gauged;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.units.UnreadableException;
import zebrawood.json.table.DataFile;

/**
 * A table of two columns from a data sheet or a gauge: flow and pressure, of which a fan's pressure falls and a
 * filter's rises; or days and what the filter's gauge showed. The unit of a column stands in its own head, the line
 * above the first numbers; m³/h and Pa where it does not.
 */
final class CurveFile {

    /** a data sheet has a few dozen lines; what goes on longer is a log of something else */
    private static final int MOST_LINES = 10_000;
    /** more points than these bend no curve */
    private static final int MOST_POINTS = 200;

    private static final Pattern BETWEEN_UNITS = Pattern.compile("[\\s()\\[\\],;:]+");

    private final Taking into;
    private final List<Pair> pairs = new ArrayList<>();
    private final List<Gauged> gauged = new ArrayList<>();
    private List<String> lastWords = List.of();
    private Optional<Heads> heads = Optional.empty();
    private Optional<String> wrong = Optional.empty();

    /** What may stand in it. */
    interface Taking {
        void fan(List<FanPoint> points);

        void filter(double flowM3h, double dropPa);

        void gauge(List<Gauged> readings);
    }

    private record Pair(double flowM3h, double pressurePa) {}

    /** In which units the two columns stand, and whether the first is the pressure. */
    private record Heads(String flowUnit, String pressureUnit, boolean pressureFirst) {}

    private CurveFile(Taking into) {
        this.into = into;
    }

    /** Hands over what stands in a file; empty when it does, else why it cannot be taken. */
    static Optional<String> read(File file, Taking into) {
        CurveFile curve = new CurveFile(into);
        try {
            DataFile.read(file.toPath(), (number, cells) -> curve.line(number, cells) && number < MOST_LINES);
        } catch (IOException unreadable) {
            return Optional.of("the file cannot be read: see that it is still there");
        }
        return curve.wrong.or(curve::hand);
    }

    private boolean line(long number, List<String> cells) {
        if (cells.size() < 2 || !startsLikeANumber(cells.get(1)) || !startsLikeANumber(cells.get(0))) {
            // words, or a line that is damaged: the last of them before the numbers are their head
            lastWords = heads.isEmpty() ? cells : lastWords;
            return true;
        }
        if (heads.isEmpty()) {
            heads(lastWords);
        }
        try {
            if (wrong.isEmpty()) {
                take(cells, heads.orElseThrow());
            }
        } catch (UnreadableException e) {
            wrong = Optional.of(
                    "line " + number + ", " + String.join("  ", cells.subList(0, 2)) + ": " + e.getMessage());
        }
        return wrong.isEmpty();
    }

    private void take(List<String> cells, Heads units) throws UnreadableException {
        Optional<LocalDate> day = day(cells.get(0));
        if (day.isPresent()) {
            gauged.add(new Gauged(day.get(), number(cells.get(1), Quantity.PASCAL, units.pressureUnit())));
            return;
        }
        String flow = cells.get(units.pressureFirst() ? 1 : 0);
        String pressure = cells.get(units.pressureFirst() ? 0 : 1);
        pairs.add(new Pair(
                number(flow, Quantity.AIR_FLOW, units.flowUnit()),
                number(pressure, Quantity.PASCAL, units.pressureUnit())));
    }

    /** In the unit of its column where it has none of its own. */
    private static double number(String cell, Quantity quantity, String unit) throws UnreadableException {
        boolean bare = Character.isDigit(cell.charAt(cell.length() - 1)) || cell.endsWith(".");
        return Typed.read(bare ? cell + " " + unit : cell, quantity, UnitChoice.METRIC)
                .base();
    }

    private static boolean startsLikeANumber(String cell) {
        String begin = cell.strip();
        return !begin.isEmpty()
                && (Character.isDigit(begin.charAt(0))
                        || "+-.,−".indexOf(begin.charAt(0)) >= 0
                                && begin.length() > 1
                                && Character.isDigit(begin.charAt(1)));
    }

    /** Finds the units in the heads of the two columns. */
    private void heads(List<String> words) {
        List<String> first = words.isEmpty() ? List.of() : units(words.get(0));
        List<String> second = words.size() < 2 ? List.of() : units(words.get(1));
        for (List<String> column : List.of(first, second)) {
            if (column.size() > 1) {
                wrong = Optional.of("the head of a column names two units, " + String.join(" and ", column)
                        + ": leave the one that its numbers are in");
            }
        }
        boolean pressureFirst = !first.isEmpty() && Quantity.PASCAL.hasUnit(first.get(0))
                || !second.isEmpty() && Quantity.AIR_FLOW.hasUnit(second.get(0));
        String flow = (pressureFirst ? second : first)
                .stream().filter(Quantity.AIR_FLOW::hasUnit).findFirst().orElse(Quantity.AIR_FLOW.baseUnit());
        String pressure = (pressureFirst ? first : second)
                .stream().filter(Quantity.PASCAL::hasUnit).findFirst().orElse(Quantity.PASCAL.baseUnit());
        heads = Optional.of(new Heads(flow, pressure, pressureFirst));
    }

    private static List<String> units(String head) {
        return Stream.of(BETWEEN_UNITS.split(head))
                .filter(word -> Quantity.AIR_FLOW.hasUnit(word) || Quantity.PASCAL.hasUnit(word))
                .distinct()
                .toList();
    }

    private Optional<String> hand() {
        if (!gauged.isEmpty()) {
            into.gauge(gauged.stream()
                    .filter(each -> each.dropPa() >= 0)
                    .limit(MOST_POINTS)
                    .toList());
            return Optional.empty();
        } else if (pairs.size() < 2) {
            return Optional.of(
                    "no table of flow and pressure stands in it: two columns are needed, and two lines of numbers");
        } else if (pairs.size() > MOST_POINTS) {
            return Optional.of(
                    "more than " + MOST_POINTS + " points stand in it: leave out all but those that bend the curve");
        }
        List<Pair> points =
                pairs.stream().sorted(Comparator.comparingDouble(Pair::flowM3h)).toList();
        Pair last = points.get(points.size() - 1);
        if (last.pressurePa() > points.get(0).pressurePa()) {
            into.filter(last.flowM3h(), last.pressurePa());
        } else {
            into.fan(points.stream()
                    .map(point -> new FanPoint(Math.max(0, point.flowM3h()), Math.max(0, point.pressurePa())))
                    .toList());
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> day(String cell) {
        try {
            return cell.length() >= 10 ? Optional.of(LocalDate.parse(cell.substring(0, 10))) : Optional.empty();
        } catch (DateTimeParseException noDay) {
            return Optional.empty();
        }
    }
}
