package zebrawood.core.power;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;
import zebrawood.core.reading.Limits;

/**
 * What a source gives at each command, and what to command for wanted watts: straight lines between the points that
 * were measured, nothing beyond them.
 */
public final class PowerCurve {

    private final double[] commands;
    private final double[] watts;

    private PowerCurve(double[] commands, double[] watts) {
        this.commands = commands;
        this.watts = watts;
    }

    /**
     * Of what a bench found, or a file says.
     *
     * @param points at least two with power, none falling where the command means more
     * @throws zebrawood.core.reading.ReadingException where no command gives power
     */
    public static PowerCurve of(List<LinearityReadings.Sample> points) {
        List<LinearityReadings.Sample> sorted = points.stream()
                .sorted(Comparator.comparingDouble(LinearityReadings.Sample::powerW)
                        .thenComparingDouble(LinearityReadings.Sample::commandPct))
                .toList();
        new Checks()
                .entries("points", points, 2)
                .enough(
                        sorted.stream()
                                        .filter(each -> each.powerW() > 0)
                                        .mapToDouble(LinearityReadings.Sample::commandPct)
                                        .distinct()
                                        .count()
                                > 1,
                        "points",
                        "at least two commands must give power")
                .done();
        boolean falls =
                sorted.get(0).commandPct() > sorted.get(sorted.size() - 1).commandPct();
        CommandCurve curve = CommandCurve.of(points.stream()
                .map(each -> new CommandCurve.At(falls ? -each.commandPct() : each.commandPct(), each.powerW()))
                .toList());
        double[] commands = new double[curve.size()];
        double[] watts = new double[curve.size()];
        for (int i = 0; i < commands.length; i++) {
            commands[i] = curve.command(i);
            watts[i] = curve.pooled(i);
        }
        return new PowerCurve(commands, watts);
    }

    public double maximumW() {
        return watts[watts.length - 1];
    }

    /** The least that was seen to be above nothing: below it a source goes out. */
    public double leastW() {
        for (double each : watts) {
            if (each > 0) {
                return each;
            }
        }
        throw new IllegalStateException("a curve without power");
    }

    private boolean falls() {
        return commands[0] < 0 || commands[commands.length - 1] < 0;
    }

    /** The power at a command; empty beyond what was measured. */
    public OptionalDouble wattsAt(double commandPct) {
        double command = falls() ? -commandPct : commandPct;
        int last = commands.length - 1;
        if (command < commands[0] - 1e-9 || command > commands[last] + 1e-9) {
            return OptionalDouble.empty();
        }
        for (int i = 1; i <= last; i++) {
            if (command <= commands[i]) {
                double share = (command - commands[i - 1]) / (commands[i] - commands[i - 1]);
                return OptionalDouble.of(watts[i - 1] + Math.max(0, share) * (watts[i] - watts[i - 1]));
            }
        }
        return OptionalDouble.of(watts[last]);
    }

    /** The smallest command that gives a power; empty where none does. */
    public OptionalDouble commandFor(double wanted) {
        if (!Limits.atLeast(wanted, leastW()) || !Limits.atMost(wanted, maximumW())) {
            return OptionalDouble.empty();
        }
        for (int i = 0; i < watts.length; i++) {
            if (Limits.atLeast(watts[i], wanted)) {
                if (i == 0) {
                    // less than what the lowest command gives cannot be had
                    return Limits.atMost(watts[0], wanted)
                            ? OptionalDouble.of(Math.abs(commands[0]))
                            : OptionalDouble.empty();
                }
                return OptionalDouble.of(
                        Math.abs(CommandCurve.between(commands[i - 1], watts[i - 1], commands[i], watts[i], wanted)));
            }
        }
        return OptionalDouble.empty();
    }
}
