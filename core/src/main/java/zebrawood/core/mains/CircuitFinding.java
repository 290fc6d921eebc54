package zebrawood.core.mains;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.reading.Limits;

/**
 * What a circuit has to carry.
 *
 * @param currentA all loads together, A
 * @param designCurrentA the same with room for those that run for hours, A
 * @param loadPct of what the breaker is rated for, %
 * @param dropV lost along the cable, V; absent without one
 * @param dropPct the same of the supply, %; likewise
 * @param cableCarriesA what the cable may carry, A; absent without one
 * @param cableProtected whether the breaker lets through no more than that; likewise
 * @param wrongVoltage names of loads that are made for another voltage, in the order read
 * @param wrongFrequency names of loads that are made for another frequency, in the order read
 * @param shares what each load takes, in the order read
 * @param move the load whose move alone would cure it, where one would
 * @param unsound what was looked at and is not sound: inlet, receptacle
 * @param earth who tested the protective earth; empty where that is not on record
 * @param supplyV V
 * @param circuitA what the breaker is rated for, A
 * @param tolerances what it was judged by
 */
public record CircuitFinding(
        double currentA,
        double designCurrentA,
        double loadPct,
        OptionalDouble dropV,
        OptionalDouble dropPct,
        OptionalDouble cableCarriesA,
        Optional<Boolean> cableProtected,
        List<String> wrongVoltage,
        List<String> wrongFrequency,
        List<Share> shares,
        Optional<String> move,
        List<String> unsound,
        Optional<String> earth,
        double supplyV,
        double circuitA,
        Tolerances tolerances) {

    /** A load, and the part of the design current that is for it, A. */
    public record Share(String name, double designA, boolean continuous) {}

    /**
     * The limits of the day: drop, % of the supply; difference of voltages, %; share of the breaker for continuous
     * loads.
     */
    public record Tolerances(double maxDropPct, double voltageTolerancePct, double continuousFraction) {}

    public CircuitFinding {
        wrongVoltage = List.copyOf(wrongVoltage);
        wrongFrequency = wrongFrequency == null ? List.of() : List.copyOf(wrongFrequency);
        shares = List.copyOf(shares);
        unsound = List.copyOf(unsound);
    }

    public boolean isOverloaded() {
        return !Limits.atMost(loadPct, 100);
    }

    public boolean dropsTooFar() {
        return !Limits.atMost(dropPct.orElse(0), tolerances.maxDropPct());
    }

    /** Whether the breaker lets through more than the cable may carry. */
    public boolean isUnprotected() {
        return !cableProtected.orElse(true);
    }
}
