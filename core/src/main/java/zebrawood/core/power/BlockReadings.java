package zebrawood.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * How much a beam warmed up a block of metal.
 *
 * @param massKg of the block, above 0
 * @param metal of the block, aluminium where absent
 * @param heatJGK its heat capacity, J/(g K), above 0, where it is another one
 * @param onS how long the beam was on, from 0 s, above 0
 * @param takenInPct share of the beam that it takes in, above 0 to 100; 100 where absent, for a blackened one
 * @param knownToPct half of the 95 % interval of mass, heat capacity and share together, 0 or more; 3 where absent
 * @param temperatures six or more: one before at 0 s or earlier, four or more once the beam is off and the block is
 *     warm through
 * @param commandPct at which the beam was fired, 0 to 100
 */
public record BlockReadings(
        double massKg,
        Optional<Metal> metal,
        OptionalDouble heatJGK,
        double onS,
        OptionalDouble takenInPct,
        OptionalDouble knownToPct,
        List<Temperature> temperatures,
        OptionalDouble commandPct) {

    public static final double KNOWN_TO_PCT = 3;
    private static final int LEAST = 6;
    private static final int LEAST_AFTER = 4;

    /** Metals of which blocks are made, with heat capacities near room temperature, J/(g K), from handbooks. */
    public enum Metal {
        ALUMINIUM(0.897),
        COPPER(0.385),
        BRASS(0.38),
        STEEL(0.49);

        private final double heatJGK;

        Metal(double heatJGK) {
            this.heatJGK = heatJGK;
        }
    }

    /** A reading, so many seconds after the beam came on, 0 or below before; -50 to 1,000 °C. */
    public record Temperature(double atS, double celsius) {
        public Temperature {
            new Checks()
                    .within("atS", atS, -86_400, 86_400)
                    .within("celsius", celsius, -50, 1000)
                    .done();
        }
    }

    public BlockReadings {
        temperatures = Checks.copy(temperatures);
        List<Temperature> given = temperatures;
        double on = onS;
        new Checks()
                .above("massKg", massKg, 0)
                .above("heatJGK", heatJGK, 0)
                .above("onS", onS, 0)
                .above("takenInPct", takenInPct, 0)
                .within("takenInPct", takenInPct, 0, 100)
                .within("knownToPct", knownToPct, 0, 100)
                .entries("temperatures", temperatures, LEAST)
                .enough(
                        given.size() < LEAST || given.stream().anyMatch(each -> each.atS() <= 0),
                        "temperatures",
                        "one must be read before the beam is on, at 0 s")
                .enough(
                        given.size() < LEAST
                                || given.stream()
                                                .filter(each -> each.atS() >= on)
                                                .count()
                                        >= LEAST_AFTER,
                        "temperatures",
                        "four or more must be read after the beam is off")
                .within("commandPct", commandPct, 0, 100)
                .done();
    }

    double heat() {
        return heatJGK.orElse(metal.orElse(Metal.ALUMINIUM).heatJGK);
    }

    double taken() {
        return takenInPct.orElse(100);
    }

    double known() {
        return knownToPct.orElse(KNOWN_TO_PCT);
    }
}
