package zebrawood.core.power;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/**
 * The next command at which a tube may be read on the way up to its ceiling. Far from it the step is as short as the
 * steepest supply allows, nearer along the line through the last two readings, which a supply that bends over stays
 * under. It holds for supplies on which 12 % of command or more lie between no current and the rated maximum.
 */
public final class SafeCommand {

    /** where one begins, and a step while nothing is drawn yet, % */
    public static final double FIRST_PCT = 10;
    /** of the steepest supply: from nothing to the rated maximum, % */
    private static final double STEEPEST_PCT = 12;
    /** of the flattest that is told from noise */
    private static final double FLATTEST_PCT = 200;
    /** less of the rated maximum is nothing drawn */
    private static final double DRAWS = 0.02;
    /** share of the ceiling up to which a line may be too flat by a tenth */
    private static final double FAR = 0.8;

    private static final double FLATTER_BY = 1.1;
    private static final double FINENESS = 10;
    /** steps of the current over the ceiling that are longer than so many tolerances do not tell where it lies */
    private static final double ROUGH = 4;

    private SafeCommand() {}

    /** The command after the first reading: one reading makes no line yet. Half of it where it is too high already. */
    public static double first(CeilingReadings.Sample read, double ratedMa, double ceilingMa) {
        if (!Limits.atMost(read.currentMa(), ceilingMa)) {
            return Math.floor(read.commandPct() / 2 * FINENESS) / FINENESS;
        }
        return next(
                        CommandCurve.of(List.of(new CommandCurve.At(read.commandPct(), read.currentMa()))),
                        ceilingMa,
                        ratedMa,
                        CeilingReadings.TOLERANCE_MA)
                .orElse(read.commandPct());
    }

    /** What to do after the first reading, in a sentence. */
    public static Said afterFirst(CeilingReadings.Sample read, double ratedMa, double ceilingMa) {
        Amount command = Amount.percent(first(read, ratedMa, ceilingMa), 1).most();
        if (!Limits.atMost(read.currentMa(), ratedMa)) {
            return Said.of("Stop: the meter is over the most that the tube bears. Read it next at {0}.", command);
        }
        return Limits.atMost(read.currentMa(), ceilingMa)
                ? Said.of("Read the meter next at {0}.", command)
                : Said.of("Read the meter next at {0}: it is over the ceiling already.", command);
    }

    /**
     * Rounded down to 0.1 %; empty where the ceiling is reached, or 100 %.
     *
     * @param toleranceMa how near to the ceiling is right: as far below the rated maximum the way up ends
     */
    static OptionalDouble next(CommandCurve curve, double ceilingMa, double ratedMa, double toleranceMa) {
        double command = curve.command(curve.last());
        double current = curve.largest();
        double goal = Math.min(ceilingMa + toleranceMa / 2, ratedMa - toleranceMa);
        if (Limits.atLeast(current, Math.min(ceilingMa, goal))) {
            return between(curve, ceilingMa, toleranceMa);
        }
        if (Limits.atLeast(command, 100)) {
            return OptionalDouble.empty();
        }
        double step = Limits.atMost(current, DRAWS * ratedMa)
                ? FIRST_PCT
                : (goal - current) / slope(curve, ceilingMa, ratedMa);
        double next = command + Math.max(2 / FINENESS, step);
        return OptionalDouble.of(Math.min(100, Math.floor(next * FINENESS + 1e-6) / FINENESS));
    }

    /** Where it was reached in too long a step to tell where: once more, between the two readings about it. */
    private static OptionalDouble between(CommandCurve curve, double ceilingMa, double toleranceMa) {
        for (int i = 1; i < curve.size(); i++) {
            if (Limits.atLeast(curve.pooled(i), ceilingMa)) {
                double command = CommandCurve.between(
                        curve.command(i - 1), curve.pooled(i - 1), curve.command(i), curve.pooled(i), ceilingMa);
                boolean rough = curve.pooled(i) - curve.pooled(i - 1) > ROUGH * toleranceMa
                        && curve.command(i) - command > 1
                        && command - curve.command(i - 1) > 1;
                return rough
                        ? OptionalDouble.of(Math.floor(command * FINENESS + 1e-6) / FINENESS)
                        : OptionalDouble.empty();
            }
        }
        return OptionalDouble.empty();
    }

    /** By how much the current may rise with 1 % of command from the last reading on, mA. */
    private static double slope(CommandCurve curve, double ceilingMa, double ratedMa) {
        double steepest = ratedMa / STEEPEST_PCT;
        int last = curve.last();
        if (last == 0 || curve.pooled(last - 1) <= DRAWS * ratedMa) {
            return steepest;
        }
        double line = (curve.pooled(last) - curve.pooled(last - 1)) / (curve.command(last) - curve.command(last - 1));
        double careful = curve.pooled(last) < FAR * ceilingMa ? line * FLATTER_BY : line;
        return Math.min(steepest, Math.max(ratedMa / FLATTEST_PCT, careful));
    }
}
