package zebrawood.core.coolant;

import java.util.Optional;
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
 * @param water which water, where that was said
 * @param bubblesMin how long bubbles were watched, min, where no bubble was left
 * @param leakMin how long it was watched for drops, min, where none came
 * @param otherSchool what is said for doing it another way, where the additive was said
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
        Optional<MixReadings.Water> water,
        OptionalDouble bubblesMin,
        OptionalDouble leakMin,
        Optional<String> otherSchool,
        Tolerances tolerances) {

    /** Kept below the coldest that the room may get, °C; the thinnest mixture that keeps clean, %. */
    public record Tolerances(double marginC, OptionalDouble leastGlycolPct) {}
}
