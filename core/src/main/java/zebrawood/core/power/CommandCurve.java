package zebrawood.core.power;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import zebrawood.core.reading.Limits;

/**
 * What comes out at each command, made non-decreasing: equal commands are merged by their mean, then neighbours that
 * fall are pooled until none does (pool adjacent violators, each merged point weighing 1). Straight lines between.
 */
final class CommandCurve {

    private final double[] commands;
    private final double[] merged;
    private final double[] pooled;

    private CommandCurve(double[] commands, double[] merged) {
        this.commands = commands;
        this.merged = merged;
        this.pooled = pooled(merged);
    }

    /** A sample: a command and what came out. */
    record At(double command, double level) {}

    /** @param samples at least one, in any order */
    static CommandCurve of(List<At> samples) {
        Map<Double, List<Double>> by = new TreeMap<>();
        // 0 and minus 0 are one command
        samples.forEach(at -> by.computeIfAbsent(at.command() + 0.0, command -> new ArrayList<>())
                .add(at.level()));
        return new CommandCurve(
                by.keySet().stream().mapToDouble(Double::doubleValue).toArray(),
                by.values().stream()
                        .mapToDouble(levels -> levels.stream()
                                .mapToDouble(level -> level / levels.size())
                                .sum())
                        .toArray());
    }

    private static double[] pooled(double[] values) {
        double[] means = new double[values.length];
        int[] sizes = new int[values.length];
        int blocks = 0;
        for (double value : values) {
            means[blocks] = value;
            sizes[blocks] = 1;
            blocks++;
            while (blocks > 1 && means[blocks - 2] > means[blocks - 1]) {
                int size = sizes[blocks - 2] + sizes[blocks - 1];
                means[blocks - 2] += (means[blocks - 1] - means[blocks - 2]) * sizes[blocks - 1] / size;
                sizes[blocks - 2] = size;
                blocks--;
            }
        }
        double[] pooled = new double[values.length];
        int at = 0;
        for (int block = 0; block < blocks; block++) {
            Arrays.fill(pooled, at, at + sizes[block], means[block]);
            at += sizes[block];
        }
        return pooled;
    }

    /** How many different commands there are. */
    int size() {
        return commands.length;
    }

    double command(int i) {
        return commands[i];
    }

    /** The mean at a command, before falls were pooled. */
    double merged(int i) {
        return merged[i];
    }

    double pooled(int i) {
        return pooled[i];
    }

    int last() {
        return commands.length - 1;
    }

    double largest() {
        return pooled[last()];
    }

    /** The first command at which the curve is at or above a level; none where it never is. */
    OptionalDouble smallestReaching(double level) {
        for (int i = 0; i < pooled.length; i++) {
            if (Limits.atLeast(pooled[i], level)) {
                return OptionalDouble.of(
                        i == 0 ? commands[0] : between(commands[i - 1], pooled[i - 1], commands[i], pooled[i], level));
            }
        }
        return OptionalDouble.empty();
    }

    /** Where a straight line between two points reaches a level. */
    static double between(double command0, double level0, double command1, double level1, double level) {
        return level1 > level0
                ? command0 + Math.min(1, (level - level0) / (level1 - level0)) * (command1 - command0)
                : command1;
    }

    /**
     * The curve at a command beyond its end: along the line through its last point and the nearest earlier one that is
     * smaller; flat where there is none.
     */
    double beyond(double command) {
        for (int i = last() - 1; i >= 0; i--) {
            if (pooled[i] < largest()) {
                double slope = (largest() - pooled[i]) / (commands[last()] - commands[i]);
                return largest() + slope * (command - commands[last()]);
            }
        }
        return largest();
    }
}
