package zebrawood.core.motion;

import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.Plate;
import zebrawood.core.pattern.Pattern;
import zebrawood.core.reading.Checks;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;

/**
 * With what a pattern is burned, and where.
 *
 * @param powerS the S value while it burns, above 0 and no more than full power
 * @param fullPowerS the S value of full power, above 0
 * @param speedMmMin while it burns, above 0
 * @param startXMm where the lower left of the pattern comes to lie, 0 or more
 * @param startYMm likewise
 * @param bedXMm how far the head reaches from 0
 * @param bedYMm likewise
 */
public record Setting(
        double powerS,
        double fullPowerS,
        double speedMmMin,
        double startXMm,
        double startYMm,
        double bedXMm,
        double bedYMm) {
    public Setting {
        new Checks()
                .above("powerS", powerS, 0)
                .above("fullPowerS", fullPowerS, 0)
                .above("speedMmMin", speedMmMin, 0)
                .atLeast("startXMm", startXMm, 0)
                .atLeast("startYMm", startYMm, 0)
                .above("bedXMm", bedXMm, 0)
                .above("bedYMm", bedYMm, 0)
                .tie(() -> powerS <= fullPowerS, "powerS", "is more than full power")
                .done();
    }

    /**
     * With what a pattern is burned in the middle of a machine's bed.
     *
     * @param powerS as typed, where it was
     * @param speedMmMin as typed, where it was
     * @throws ReadingException with what is missing, or why it cannot be
     */
    public static Setting inTheMiddle(
            Pattern pattern, Plate plate, Optional<Double> powerS, Optional<Double> speedMmMin) {
        Plate.Bed bed =
                plate.bed().orElseThrow(() -> new ReadingException("bed", "type the size of the bed on the plate"));
        double full = plate.control()
                .flatMap(Plate.Control::need)
                .map(ControllerNeed::maxS)
                .filter(OptionalDouble::isPresent)
                .orElseThrow(() -> new ReadingException(
                        "maxS", "type on the plate what S is full power; only numbered settings have motion text"))
                .getAsDouble();
        double s = powerS.orElseThrow(() -> new ReadingException("powerS", "type the power, S, beside the drawing"));
        double speed =
                speedMmMin.orElseThrow(() -> new ReadingException("speedMmMin", "type the speed beside the drawing"));
        if (!(s > 0 && s <= full)) {
            throw new ReadingException(
                    "powerS", "the power must be above 0, and no more than S " + Amount.exact(full) + ", full power");
        } else if (!(speed > 0)) {
            throw new ReadingException("speedMmMin", "the speed must be above 0");
        }
        return new Setting(
                s,
                full,
                speed,
                Math.max(0, (bed.xMm() - pattern.widthMm()) / 2),
                Math.max(0, (bed.yMm() - pattern.heightMm()) / 2),
                bed.xMm(),
                bed.yMm());
    }
}
