package zebrawood.core.power;

import java.util.OptionalDouble;

/**
 * What pulses come to on the work.
 *
 * @param pulseEnergyMj of one pulse
 * @param peakPowerKW mean over a pulse, where its length is known
 * @param spacingMm from one spot to the next
 * @param pulseOverlapPct of one spot on the next, of its diameter; below 0 there are gaps
 * @param pulsesPerSpot how many fall on one place
 * @param lineOverlapPct of one line on the next, of the diameter
 * @param fluenceJCm2 mean over the spot
 * @param touchingSpeedMmS at which spots just touch
 * @param touchingFrequencyKHz the same for the frequency
 * @param lowestFrequencyKHz at which a pulse has all the energy that the source bears
 * @param spotMm as given, for the drawing
 * @param tolerances what it was judged by
 */
public record PulseFinding(
        double pulseEnergyMj,
        OptionalDouble peakPowerKW,
        double spacingMm,
        double pulseOverlapPct,
        double pulsesPerSpot,
        OptionalDouble lineOverlapPct,
        double fluenceJCm2,
        double touchingSpeedMmS,
        double touchingFrequencyKHz,
        OptionalDouble lowestFrequencyKHz,
        double spotMm,
        Tolerances tolerances) {

    /** What the source bears: kHz from and to, mJ. */
    public record Tolerances(
            OptionalDouble minFrequencyKHz, OptionalDouble maxFrequencyKHz, OptionalDouble maxPulseEnergyMj) {}
}
