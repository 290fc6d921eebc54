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
 */
public record CeilingReadings(
        double ratedMaximumMa,
        OptionalDouble ceilingMa,
        OptionalDouble ceilingFraction,
        List<Sample> samples,
        OptionalDouble firmwareMaxS,
        OptionalDouble toleranceMa,
        Optional<School> school) {

    public static final double FRACTION = 0.7;
    public static final double TOLERANCE_MA = 0.5;

    /** What sets how much a tube draws. */
    public enum School {
        /** a control on the panel, which sets what 100 % means */
        DIAL,
        /** there is none: software or the controller is capped */
        CAP
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
                .done();
    }

    double ceiling() {
        return ceilingMa.orElse(ceilingFraction.orElse(FRACTION) * ratedMaximumMa);
    }

    School by() {
        return school.orElse(School.DIAL);
    }
}
