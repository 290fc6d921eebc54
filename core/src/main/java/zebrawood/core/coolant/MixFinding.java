package zebrawood.core.coolant;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What to fill in.
 *
 * @param glycolPct by volume, %; absent where no mixture is enough
 * @param glycolMl ml; likewise
 * @param waterMl ml; likewise
 * @param freezingPointC of that mixture, °C; likewise
 * @param firstFillMl before the pump runs, ml; absent where neither was measured nor a hose given
 * @param topUpMl once it has run, ml; likewise
 * @param glycol which one
 * @param circuitVolumeMl all of it, ml
 * @param neededC down to where it must not freeze, °C
 * @param tolerances what it was judged by
 */
public record MixFinding(
        OptionalInt glycolPct,
        OptionalDouble glycolMl,
        OptionalDouble waterMl,
        OptionalDouble freezingPointC,
        OptionalDouble firstFillMl,
        OptionalDouble topUpMl,
        Glycol glycol,
        double circuitVolumeMl,
        double neededC,
        Tolerances tolerances) {

    /** Kept below the coldest that the room may get, °C. */
    public record Tolerances(double marginC) {}
}
