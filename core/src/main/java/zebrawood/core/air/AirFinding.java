package zebrawood.core.air;

import java.util.List;

/**
 * How an air assist stands.
 *
 * @param unsound parts that are to be put right, in the order of the air: filter, valve, hose
 * @param obeysOn whether it came on its command
 * @param obeysOff whether it stopped on the other
 * @param engraves whether it is enough to keep the lens clear
 * @param cuts whether it is enough to blow a flame out
 * @param engraving as read or felt
 * @param cutting likewise
 * @param source where it comes from
 * @param tolerances what it was judged by
 */
public record AirFinding(
        List<String> unsound,
        boolean obeysOn,
        boolean obeysOff,
        boolean engraves,
        boolean cuts,
        AirReadings.Flow engraving,
        AirReadings.Flow cutting,
        AirReadings.Source source,
        Tolerances tolerances) {

    /** What is needed at least, l/min. */
    public record Tolerances(double engravingLMin, double cuttingLMin) {}

    public AirFinding {
        unsound = List.copyOf(unsound);
    }
}
