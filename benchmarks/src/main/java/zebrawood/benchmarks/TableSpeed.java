package zebrawood.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import zebrawood.benches.power.TableFile;
import zebrawood.core.power.LinearityReadings.Sample;
import zebrawood.core.power.PowerCurve;

/** A table of 100,000 settings turned from one machine's percent into another's, every 50th line of it damaged. */
final class TableSpeed {

    private static final int LINES = 100_000;
    private static final int TIMES = 7;
    private static final int BAD = 50;

    private TableSpeed() {}

    /** The first time in a process that was just started as the window is; prints seconds. */
    public static void main(String[] file) throws IOException {
        System.out.println(seconds(Path.of(file[0])));
    }

    private static double seconds(Path file) throws IOException {
        long began = System.nanoTime();
        if (converted(file).refused().isEmpty()) {
            throw new IllegalStateException("damaged lines were taken");
        }
        return (System.nanoTime() - began) / 1e9;
    }

    private static TableFile.Converted converted(Path file) throws IOException {
        return TableFile.convert(file, curve(80, 12), curve(60, 5)).orElseThrow();
    }

    private static double first(Path file) throws IOException, InterruptedException {
        try (Child child = Child.window(Map.of(), TableSpeed.class.getName(), file.toString())) {
            String said = child.out().lines().reduce("", String::concat);
            child.end();
            return Double.parseDouble(said);
        }
    }

    static boolean run() throws IOException, InterruptedException {
        Path file = Files.createTempFile("settings", ".csv");
        try {
            Files.write(file, table());
            double[] firsts = new double[TIMES];
            double[] later = new double[TIMES];
            for (int i = 0; i < TIMES; i++) {
                firsts[i] = first(file);
                later[i] = seconds(file);
            }
            Arrays.sort(firsts);
            Arrays.sort(later);
            TableFile.Converted converted = converted(file);
            long named = converted.refused().stream()
                    .filter(each -> each.number() > 1 && !each.why().isEmpty())
                    .count();
            long formulas =
                    converted.text().lines().filter(line -> line.contains(",=")).count();
            long planted = LINES / BAD;
            System.out.printf(
                    Locale.ROOT,
                    "%d settings: %.2f s on the median the first time in a process started as the window is, %.2f s at"
                            + " most, %.2f s later, of %d each; %d lines refused, each with number and reason (%d of them"
                            + " damaged on purpose, the others more watts than can be had); formulas left: %d%n",
                    converted.lines(),
                    firsts[TIMES / 2],
                    firsts[TIMES - 1],
                    later[TIMES / 2],
                    TIMES,
                    named,
                    planted,
                    formulas);
            return firsts[TIMES / 2] < 1 && named == converted.refused().size() && named >= planted && formulas == 0;
        } finally {
            Files.delete(file);
        }
    }

    private static List<String> table() {
        SplittableRandom random = new SplittableRandom(18_318);
        List<String> lines = new ArrayList<>();
        lines.add("name,power %,speed mm/s,interval mm,passes");
        for (int i = 1; i <= LINES; i++) {
            String power =
                    i % BAD == 0 ? "quite some" : String.format(Locale.ROOT, "%.1f", 13 + 87 * random.nextDouble());
            String name = i % 7 == 0 ? "=HYPERLINK(\"x\")" : "setting " + i;
            lines.add((name.contains("\"") ? "\"" + name.replace("\"", "\"\"") + "\"" : name) + "," + power + ","
                    + random.nextInt(10, 800) + ",0.1,1");
        }
        return lines;
    }

    private static PowerCurve curve(double mostW, double thresholdPct) {
        List<Sample> points = new ArrayList<>();
        for (int command = 0; command <= 100; command += 5) {
            double share = Math.max(0, (command - thresholdPct) / (100 - thresholdPct));
            points.add(new Sample(command, mostW * (share + 0.2 * share * (1 - share))));
        }
        return PowerCurve.of(points);
    }
}
