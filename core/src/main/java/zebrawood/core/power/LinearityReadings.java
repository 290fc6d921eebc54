package zebrawood.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * What power reaches the work at each command.
 *
 * @param samples at least four, at least two of them with power
 * @param stepPct of the table, in shares of the maximum, 1 to 100; 10 where absent
 * @param tolerancePct how far from a straight line it may be, in shares of the maximum; 5 where absent
 * @param commandSense whether a larger command is more power, rising where absent
 * @param with with what it was taken: each lens, frequency and pulse length has a curve of its own
 */
public record LinearityReadings(
        List<Sample> samples,
        OptionalDouble stepPct,
        OptionalDouble tolerancePct,
        Optional<Sense> commandSense,
        Optional<With> with) {

    public static final double STEP_PCT = 10;
    public static final double TOLERANCE_PCT = 5;

    private static final int LEAST = 4;

    /** Which way a sender's scale runs. */
    public enum Sense {
        RISING,
        /** 100 is least */
        FALLING
    }

    /**
     * With what a curve was taken.
     *
     * @param lens as the shop calls it
     * @param frequencyKHz of a pulsed source, above 0
     * @param pulseNs its pulse length, above 0
     */
    public record With(Optional<String> lens, OptionalDouble frequencyKHz, OptionalDouble pulseNs) {
        public With {
            new Checks()
                    .above("frequencyKHz", frequencyKHz, 0)
                    .above("pulseNs", pulseNs, 0)
                    .done();
        }
    }

    /**
     * Power at a command.
     *
     * @param commandPct 0 to 100 %
     * @param powerW 0 or more
     * @param halfWidthW half of its 95 % interval, above 0
     */
    public record Sample(double commandPct, double powerW, OptionalDouble halfWidthW) {
        public Sample {
            new Checks()
                    .within("commandPct", commandPct, 0, 100)
                    .atLeast("powerW", powerW, 0)
                    .above("halfWidthW", halfWidthW, 0)
                    .done();
        }

        public Sample(double commandPct, double powerW) {
            this(commandPct, powerW, OptionalDouble.empty());
        }
    }

    public LinearityReadings {
        samples = Checks.copy(samples);
        List<Sample> given = samples == null ? List.of() : samples;
        new Checks()
                .entries("samples", samples, LEAST)
                .enough(
                        given.size() < LEAST
                                || given.stream()
                                                .filter(sample -> sample.powerW() > 0)
                                                .count()
                                        > 1,
                        "samples",
                        "at least two commands must give power")
                .enough(
                        given.size() < LEAST
                                || given.stream()
                                                .mapToDouble(Sample::commandPct)
                                                .distinct()
                                                .count()
                                        > 1,
                        "samples",
                        "all readings are at one command: read others too")
                .within("stepPct", stepPct, 1, 100)
                .above("tolerancePct", tolerancePct, 0)
                .done();
    }

    boolean falls() {
        return commandSense.equals(Optional.of(Sense.FALLING));
    }
}
