package zebrawood.benches.extraction;

import java.io.File;
import java.io.IOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.extraction.ExtractionReadings.FanPoint;
import zebrawood.core.extraction.ExtractionReadings.Gauged;
import zebrawood.json.table.DataFile;

/**
 * A table of two columns from a data sheet or a gauge: flow and pressure, of which a fan's pressure falls and a filter's
 * rises; or days and what the filter's gauge showed. Units stand in the head; m³/h and Pa where they do not.
 */
final class CurveFile {

    private static final int MOST_LINES = 10_000;
    private static final int MOST_POINTS = 200;
    private static final Map<String, Double> FLOW = Map.of("l/s", 3.6, "m3/s", 3600.0, "m³/s", 3600.0, "cfm", 1.69901082, "m3/min", 60.0, "m³/min", 60.0);
    private static final Map<String, Double> PRESSURE = Map.of("kpa", 1000.0, "mbar", 100.0, "hpa", 100.0, "mmh2o", 9.80665, "inh2o", 249.08891, "in wg", 249.08891);

    private CurveFile() {}

    /** What may stand in it. */
    interface Taking {
        void fan(List<FanPoint> points);

        void filter(double flowM3h, double dropPa);

        void gauge(List<Gauged> readings);
    }

    private record Pair(double x, double y) {}

    /** Hands over what stands in a file; empty when it does, else why it cannot be taken. */
    static Optional<String> read(File file, Taking into) {
        List<Pair> pairs = new ArrayList<>();
        List<Gauged> gauged = new ArrayList<>();
        StringBuilder head = new StringBuilder();
        try {
            DataFile.read(file.toPath(), (number, cells) -> {
                Optional<Double> second = cells.size() < 2 ? Optional.empty() : number(cells.get(1));
                Optional<Double> first = number(cells.get(0));
                Optional<LocalDate> day = day(cells.get(0));
                if (second.isPresent() && day.isPresent()) {
                    gauged.add(new Gauged(day.get(), second.get()));
                } else if (second.isPresent() && first.isPresent()) {
                    pairs.add(new Pair(first.get(), second.get()));
                } else if (pairs.isEmpty() && gauged.isEmpty()) {
                    head.append(String.join(" ", cells)).append(' ');
                }
                return number < MOST_LINES;
            });
        } catch (IOException unreadable) {
            return Optional.of("the file cannot be read: see that it is still there");
        }
        String units = head.toString().toLowerCase(Locale.ROOT);
        double perFlow = factor(units, FLOW);
        double perPressure = factor(units, PRESSURE);
        if (!gauged.isEmpty()) {
            into.gauge(gauged.stream().filter(each -> each.dropPa() >= 0).map(each -> new Gauged(each.day(), each.dropPa() * perPressure)).limit(MOST_POINTS).toList());
            return Optional.empty();
        } else if (pairs.size() < 2) {
            return Optional.of("no table of flow and pressure stands in it: two columns are needed, and two lines of numbers");
        } else if (pairs.size() > MOST_POINTS) {
            return Optional.of("more than " + MOST_POINTS + " points stand in it: leave out all but those that bend the curve");
        }
        List<Pair> points = pairs.stream().sorted((a, b) -> Double.compare(a.x(), b.x())).toList();
        Pair last = points.get(points.size() - 1);
        if (last.y() > points.get(0).y()) {
            into.filter(last.x() * perFlow, last.y() * perPressure);
        } else {
            into.fan(points.stream().map(point -> new FanPoint(Math.max(0, point.x()) * perFlow, Math.max(0, point.y()) * perPressure)).toList());
        }
        return Optional.empty();
    }

    private static double factor(String head, Map<String, Double> units) {
        return units.entrySet().stream().filter(unit -> head.contains(unit.getKey())).findFirst().map(Map.Entry::getValue).orElse(1.0);
    }

    private static Optional<Double> number(String cell) {
        try {
            double value = Double.parseDouble(cell.replace(',', '.').replace("\u00a0", ""));
            return Double.isFinite(value) ? Optional.of(value) : Optional.empty();
        } catch (NumberFormatException words) {
            return Optional.empty();
        }
    }

    private static Optional<LocalDate> day(String cell) {
        try {
            return cell.length() >= 10 ? Optional.of(LocalDate.parse(cell.substring(0, 10))) : Optional.empty();
        } catch (DateTimeParseException noDay) {
            return Optional.empty();
        }
    }
}
