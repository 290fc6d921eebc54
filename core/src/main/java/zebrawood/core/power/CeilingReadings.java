package zebrawood.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * What a tube draws at each command, and how much it may.
 *
 * @param ratedMaximumMa the most that the tube's maker allows at all, above 0
 * @param ceilingMa the current to work at, at most that; instead of {@code ceilingFraction}
 * @param ceilingFraction the same as a share of the rated maximum, 0.3 to 1; 0.7 where both are absent
 * @param samples at least one
 * @param firmwareMaxS the largest power word of the controller, above 0, for what a cap is to be set to
 * @param toleranceMa how near to the ceiling is right, 0.5 where absent: a panel meter shows no less
 * @param school what sets the ceiling, a dial where absent
 * @param figureFrom where the first figure comes from, the tube's maker where absent; one that is limited already is
 *     not taken a share of again
 * @param recheck what was there before anything was turned, and what was there last time
 */
public record CeilingReadings(
        double ratedMaximumMa,
        OptionalDouble ceilingMa,
        OptionalDouble ceilingFraction,
        List<Sample> samples,
        OptionalDouble firmwareMaxS,
        OptionalDouble toleranceMa,
        Optional<School> school,
        Optional<From> figureFrom,
        Optional<Recheck> recheck) {

    public static final double FRACTION = 0.7;
    public static final double TOLERANCE_MA = 0.5;

    /** What sets how much a tube draws. */
    public enum School {
        /** a control on the panel, which sets what 100 % means */
        DIAL,
        /** there is none: software or the controller is capped */
        CAP
    }

    /** Where a figure of the most comes from. */
    public enum From {
        /** from the tube's data sheet: the working ceiling is a share of it */
        TUBE_MAKER,
        /** from the machine's maker, who has taken that share already */
        MACHINE_MAKER,
        /** a ceiling that was measured and sealed before: a share is in it already */
        MEASURED
    }

    /**
     * The same test as last time.
     *
     * @param asFoundMa at 100 %, before anything was turned, 0 or more
     * @param leftMa at 100 % when it was left last time, above 0
     * @param control where the control stands, as its scale says it
     * @param testName name of the test's own file
     * @param testSha256 of its bytes, 64 hexadecimal digits
     * @param lastSha256 the same of last time's
     * @param beamHours of the source, 0 or more
     */
    public record Recheck(
            OptionalDouble asFoundMa,
            OptionalDouble leftMa,
            Optional<String> control,
            Optional<String> testName,
            Optional<String> testSha256,
            Optional<String> lastSha256,
            OptionalDouble beamHours) {
        private static final String HASH = "[0-9a-f]{64}";

        public Recheck {
            new Checks()
                    .atLeast("asFoundMa", asFoundMa, 0)
                    .above("leftMa", leftMa, 0)
                    .that(isHash(testSha256), "testSha256", "must be 64 hexadecimal digits")
                    .that(isHash(lastSha256), "lastSha256", "must be 64 hexadecimal digits")
                    .atLeast("beamHours", beamHours, 0)
                    .done();
        }

        private static boolean isHash(Optional<String> text) {
            return text == null || text.isEmpty() || text.get().matches(HASH);
        }
    }

    /** A current at a command: 0 to 100 %, and 0 or more, mA. */
    public record Sample(double commandPct, double currentMa) {
        public Sample {
            new Checks()
                    .within("commandPct", commandPct, 0, 100)
                    .atLeast("currentMa", currentMa, 0)
                    .done();
        }
    }

    public CeilingReadings {
        samples = Checks.copy(samples);
        List<Sample> given = samples == null ? List.of() : samples;
        boolean cap = school != null && school.equals(Optional.of(School.CAP));
        boolean typed = ceilingMa != null && ceilingMa.isPresent();
        new Checks()
                .above("ratedMaximumMa", ratedMaximumMa, 0)
                .above("ceilingMa", ceilingMa, 0)
                .that(
                        !typed || !(ceilingMa.getAsDouble() > ratedMaximumMa),
                        "ceilingMa",
                        "is over the most that the tube's maker allows")
                .within("ceilingFraction", ceilingFraction, 0.3, 1)
                .that(
                        !typed || ceilingFraction == null || ceilingFraction.isEmpty(),
                        "ceilingMa",
                        "is given as a share too; give one of both")
                .entries("samples", samples, 1)
                .enough(
                        !cap
                                || given.stream()
                                                .mapToDouble(Sample::commandPct)
                                                .distinct()
                                                .count()
                                        != 1,
                        "samples",
                        "a cap needs readings at two different commands")
                .above("firmwareMaxS", firmwareMaxS, 0)
                .above("toleranceMa", toleranceMa, 0)
                .that(
                        figureFrom == null
                                || !isLimited(figureFrom)
                                || ceilingFraction == null
                                || ceilingFraction.isEmpty(),
                        "ceilingFraction",
                        "is in the figure already: leave the share out")
                .done();
    }

    private static boolean isLimited(Optional<From> from) {
        return from.isPresent() && from.get() != From.TUBE_MAKER;
    }

    double ceiling() {
        return ceilingMa.orElse(ceilingFraction.orElse(isLimited(figureFrom) ? 1 : FRACTION) * ratedMaximumMa);
    }

    School by() {
        return school.orElse(School.DIAL);
    }
}
