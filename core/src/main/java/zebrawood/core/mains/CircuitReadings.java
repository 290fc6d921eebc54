package zebrawood.core.mains;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * A circuit with one phase, and all that hangs on it.
 *
 * @param supplyV its voltage, V, above 0
 * @param circuitA what its breaker is rated for, A, above 0
 * @param loads all that is plugged in, at least one
 * @param voltageTolerancePct by how much the supply may differ from what a load is made for, %, 0 to below 100; 10
 *     where absent
 * @param continuousFraction share of the breaker that a continuous load may take, above 0, up to 1; 0.8 where absent,
 *     the local code decides
 * @param cable from the board to the machine, where it is known
 * @param maxDropPct what may be lost along it, % of the supply, above 0; 3 where absent
 * @param inletSound whether the machine's inlet was looked at, mains off, and is sound: no brown edge, no play
 * @param receptacleSound the same of the receptacle
 * @param earthTestedBy which licensed electrician tested the protective earth, and its figure, where that was done
 */
public record CircuitReadings(
        double supplyV,
        double circuitA,
        List<Load> loads,
        OptionalDouble voltageTolerancePct,
        OptionalDouble continuousFraction,
        Optional<Cable> cable,
        OptionalDouble maxDropPct,
        Optional<Boolean> inletSound,
        Optional<Boolean> receptacleSound,
        Optional<String> earthTestedBy) {

    /** With nothing said of inlet, receptacle and earth. */
    public CircuitReadings(
            double supplyV,
            double circuitA,
            List<Load> loads,
            OptionalDouble voltageTolerancePct,
            OptionalDouble continuousFraction,
            Optional<Cable> cable,
            OptionalDouble maxDropPct) {
        this(
                supplyV,
                circuitA,
                loads,
                voltageTolerancePct,
                continuousFraction,
                cable,
                maxDropPct,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /**
     * Something that is plugged in.
     *
     * @param name what it is
     * @param ratedW W, above 0
     * @param powerFactor above 0, up to 1; 1 where absent
     * @param continuous whether it runs for hours; so where absent
     * @param ratedV the voltage that it is made for, V, above 0, where its plate says one
     */
    public record Load(
            String name,
            double ratedW,
            OptionalDouble powerFactor,
            Optional<Boolean> continuous,
            OptionalDouble ratedV) {
        public Load {
            new Checks()
                    .text("name", name)
                    .above("ratedW", ratedW, 0)
                    .above("powerFactor", powerFactor, 0)
                    .that(!(powerFactor.orElse(1) > 1), "powerFactor", "is 1 at the most")
                    .above("ratedV", ratedV, 0)
                    .done();
        }

        double currentA(double supplyV) {
            return ratedW / (supplyV * powerFactor.orElse(1));
        }

        double designA(double supplyV, double fraction) {
            return continuous.orElse(true) ? currentA(supplyV) / fraction : currentA(supplyV);
        }
    }

    /**
     * Two copper conductors.
     *
     * @param lengthM one way, m, above 0
     * @param sectionMm2 of one conductor, mm², above 0
     * @param temperatureC of the conductor, °C, -40..120; 20 where absent
     */
    public record Cable(double lengthM, double sectionMm2, OptionalDouble temperatureC) {

        /** resistivity of annealed copper at 20 °C, ohm mm²/m: 1/58, the international standard of 1913 (IEC 60028) */
        private static final double COPPER_OHM_MM2_M = 0.01724;
        /** how it grows with each kelvin above 20 °C; the same standard */
        private static final double COPPER_PER_K = 0.00393;

        public Cable {
            new Checks()
                    .above("lengthM", lengthM, 0)
                    .above("sectionMm2", sectionMm2, 0)
                    .within("temperatureC", temperatureC, -40, 120)
                    .done();
        }

        /** V lost there and back at a current, A: Ohm's law over twice the length, with the copper as warm as it is. */
        double dropV(double currentA) {
            return 2
                    * lengthM
                    * currentA
                    * COPPER_OHM_MM2_M
                    * (1 + COPPER_PER_K * (temperatureC.orElse(20) - 20))
                    / sectionMm2;
        }
    }

    public CircuitReadings {
        loads = Checks.copy(loads);
        new Checks()
                .above("supplyV", supplyV, 0)
                .above("circuitA", circuitA, 0)
                .entries("loads", loads, 1)
                .atLeast("voltageTolerancePct", voltageTolerancePct, 0)
                .that(voltageTolerancePct.orElse(0) < 100, "voltageTolerancePct", "must be below 100 %")
                .above("continuousFraction", continuousFraction, 0)
                .that(!(continuousFraction.orElse(1) > 1), "continuousFraction", "is 1 at the most")
                .above("maxDropPct", maxDropPct, 0)
                .done();
    }
}
