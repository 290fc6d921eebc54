package zebrawood.core.air;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How an air assist stands.
 *
 * @param unsound parts that are to be put right, in the order of the air: regulator, lock, filter, valve, hose, joints
 * @param obeysOn whether it came on its command
 * @param obeysOff whether it stopped on the other
 * @param engraves whether it is enough to keep the lens clear
 * @param gentle whether it is little enough not to drive dust into the work while engraving
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
        Optional<Boolean> gentle,
        boolean cuts,
        AirReadings.Flow engraving,
        AirReadings.Flow cutting,
        AirReadings.Source source,
        Tolerances tolerances) {

    /** What is needed at least, l/min, the most for engraving, l/min, and what the parts are rated for, gauge bar. */
    public record Tolerances(
            double engravingLMin, double cuttingLMin, OptionalDouble mostEngravingLMin, OptionalDouble ratedBar) {}

    public AirFinding {
        unsound = List.copyOf(unsound);
    }
}
