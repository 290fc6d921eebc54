package zebrawood.core.beam;

import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * Spots under the head at two table heights.
 *
 * @param upperGapMm from the nozzle to the higher card, mm, 0 or more
 * @param lowerGapMm from the nozzle to the lower card, mm, above the upper gap
 * @param upper the spot on the higher card, from the nozzle's axis
 * @param lower the spot on the lower card, from the nozzle's axis
 * @param nozzleBoreMm bore of the nozzle, mm, above 0
 * @param beamAtNozzleMm 1/e² diameter of the beam in the bore, mm, above 0
 * @param toleranceMrad largest lean that passes, mrad, 0 or more; 5 where absent
 */
public record VerticalReadings(
        double upperGapMm,
        double lowerGapMm,
        Spot upper,
        Spot lower,
        double nozzleBoreMm,
        double beamAtNozzleMm,
        OptionalDouble toleranceMrad) {

    /** half a millimetre in a hundred */
    public static final double TOLERANCE_MRAD = 5;

    public VerticalReadings {
        new Checks()
                .atLeast("upperGapMm", upperGapMm, 0)
                .finite("lowerGapMm", lowerGapMm)
                .present("upper", upper)
                .present("lower", lower)
                .above("nozzleBoreMm", nozzleBoreMm, 0)
                .above("beamAtNozzleMm", beamAtNozzleMm, 0)
                .atLeast("toleranceMrad", toleranceMrad, 0)
                .tie(() -> lowerGapMm > upperGapMm, "lowerGapMm", "must be more than the gap to the higher card")
                .done();
    }
}
