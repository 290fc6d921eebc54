package zebrawood.core.mains;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;
import zebrawood.core.reading.Limits;

/**
 * A circuit with one phase, and all that hangs on it.
 *
 * @param supplyV its voltage, V, above 0
 * @param supplyHz its frequency, Hz, above 0, where it is known
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
        OptionalDouble supplyHz,
        double circuitA,
        List<Load> loads,
        OptionalDouble voltageTolerancePct,
        OptionalDouble continuousFraction,
        Optional<Cable> cable,
        OptionalDouble maxDropPct,
        Optional<Boolean> inletSound,
        Optional<Boolean> receptacleSound,
        Optional<String> earthTestedBy) {

    /** With nothing said of frequency, inlet, receptacle and earth. */
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
                OptionalDouble.empty(),
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
     * @param ratedV the voltage that it is made for, V, above 0, or the lower end of a range, where its plate says one
     * @param ratedMaxV the upper end of a range such as 100 to 240, V; at least ratedV, and not without it
     * @param ratedHz the frequency that it is made for, Hz, above 0, where its plate says one
     * @param partOfMachine whether it belongs to the machine and is switched off with it, and so stays on its circuit;
     *     not so where absent
     */
    public record Load(
            String name,
            double ratedW,
            OptionalDouble powerFactor,
            Optional<Boolean> continuous,
            OptionalDouble ratedV,
            OptionalDouble ratedMaxV,
            OptionalDouble ratedHz,
            Optional<Boolean> partOfMachine) {

        /** one mains frequency is told from another by ten; a generator swings by less */
        private static final double HZ_APART = 1;

        /** With one voltage, no frequency, and no part of the machine. */
        public Load(
                String name,
                double ratedW,
                OptionalDouble powerFactor,
                Optional<Boolean> continuous,
                OptionalDouble ratedV) {
            this(
                    name,
                    ratedW,
                    powerFactor,
                    continuous,
                    ratedV,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Optional.empty());
        }

        public Load {
            new Checks()
                    .text("name", name)
                    .above("ratedW", ratedW, 0)
                    .above("powerFactor", powerFactor, 0)
                    .that(!(powerFactor.orElse(1) > 1), "powerFactor", "is 1 at the most")
                    .above("ratedV", ratedV, 0)
                    .that(ratedMaxV.isEmpty() || ratedV.isPresent(), "ratedMaxV", "needs the lower end, ratedV")
                    .above("ratedMaxV", ratedMaxV, 0)
                    .tie(
                            () -> !(ratedMaxV.orElse(Double.MAX_VALUE) < ratedV.orElse(0)),
                            "ratedMaxV",
                            "must be at least ratedV")
                    .above("ratedHz", ratedHz, 0)
                    .done();
        }

        boolean isOfMachine() {
            return partOfMachine.orElse(false);
        }

        /** Whether a supply lies under its voltage, or over the upper end of it, by more than a tolerance, %. */
        boolean isWrongFor(double supplyV, double tolerancePct) {
            if (ratedV.isEmpty()) {
                return false;
            }
            double least = ratedV.getAsDouble();
            double most = ratedMaxV.orElse(least);
            return !Limits.atLeast(supplyV, least * (1 - tolerancePct / 100))
                    || !Limits.atMost(supplyV, most * (1 + tolerancePct / 100));
        }

        boolean isWrongFor(OptionalDouble supplyHz) {
            return ratedHz.isPresent()
                    && supplyHz.isPresent()
                    && !Limits.atMost(Math.abs(ratedHz.getAsDouble() - supplyHz.getAsDouble()), HZ_APART);
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
     * @param sectionMm2 of one conductor, mm², at least 0.5
     * @param carriesA what it may carry as it is laid, A, above 0, where an electrician or the local table says so
     * @param temperatureC of the conductor, °C, -40..120; 60 where absent, as loaded cable runs at 50 to 70
     */
    public record Cable(double lengthM, double sectionMm2, OptionalDouble carriesA, OptionalDouble temperatureC) {

        /** resistivity of annealed copper at 20 °C, ohm mm²/m: 1/58, the international standard of 1913 (IEC 60028) */
        private static final double COPPER_OHM_MM2_M = 0.01724;
        /** how it grows with each kelvin above 20 °C; the same standard */
        private static final double COPPER_PER_K = 0.00393;

        /** under load, where nobody measured it */
        private static final double USUAL_C = 60;

        /**
         * A cautious figure for two loaded conductors in a tight place, by section, mm² and A: the lowest of the usual
         * tables of installation, rounded down to a breaker's rating.
         */
        private static final double[][] CAUTIOUS = {
            {0.5, 3}, {0.75, 6}, {1, 10}, {1.5, 16}, {2.5, 20}, {4, 25}, {6, 32}, {10, 50}, {16, 63}
        };
        /** a section is told in round figures: 2.499 is 2.5 */
        private static final double ABOUT = 1.001;

        /** With nothing said of what it carries. */
        public Cable(double lengthM, double sectionMm2, OptionalDouble temperatureC) {
            this(lengthM, sectionMm2, OptionalDouble.empty(), temperatureC);
        }

        /** A: what it was said to carry, else a cautious figure for its section. */
        double carries() {
            if (carriesA.isPresent()) {
                return carriesA.getAsDouble();
            }
            double carries = CAUTIOUS[0][1];
            for (double[] line : CAUTIOUS) {
                carries = line[0] <= ABOUT * sectionMm2 ? line[1] : carries;
            }
            return carries;
        }

        public Cable {
            new Checks()
                    .above("lengthM", lengthM, 0)
                    .atLeast("sectionMm2", sectionMm2, 0.5)
                    .above("carriesA", carriesA, 0)
                    .within("temperatureC", temperatureC, -40, 120)
                    .done();
        }

        /** V lost there and back at a current, A: Ohm's law over twice the length, with the copper as warm as it is. */
        double dropV(double currentA) {
            return 2
                    * lengthM
                    * currentA
                    * COPPER_OHM_MM2_M
                    * (1 + COPPER_PER_K * (temperatureC.orElse(USUAL_C) - 20))
                    / sectionMm2;
        }
    }

    public CircuitReadings {
        loads = Checks.copy(loads);
        new Checks()
                .above("supplyV", supplyV, 0)
                .above("supplyHz", supplyHz, 0)
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
