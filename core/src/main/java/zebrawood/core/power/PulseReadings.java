package zebrawood.core.power;

import java.util.OptionalDouble;
import zebrawood.core.reading.Checks;

/**
 * The settings of a pulsed source.
 *
 * @param averagePowerW above 0
 * @param frequencyKHz above 0
 * @param pulseNs length of a pulse, no longer than from one to the next
 * @param speedMmS above 0
 * @param spotMm diameter on the work, above 0
 * @param intervalMm from line to line
 * @param minFrequencyKHz of the source
 * @param maxFrequencyKHz of the source, no less than that
 * @param maxPulseEnergyMj of the source
 */
public record PulseReadings(
        double averagePowerW,
        double frequencyKHz,
        OptionalDouble pulseNs,
        double speedMmS,
        double spotMm,
        OptionalDouble intervalMm,
        OptionalDouble minFrequencyKHz,
        OptionalDouble maxFrequencyKHz,
        OptionalDouble maxPulseEnergyMj) {

    /** ns of a pulse times kHz that fill all of the time */
    private static final double ALL = 1e6;

    public PulseReadings {
        new Checks()
                .above("averagePowerW", averagePowerW, 0)
                .above("frequencyKHz", frequencyKHz, 0)
                .above("pulseNs", pulseNs, 0)
                .above("speedMmS", speedMmS, 0)
                .above("spotMm", spotMm, 0)
                .above("intervalMm", intervalMm, 0)
                .above("minFrequencyKHz", minFrequencyKHz, 0)
                .above("maxFrequencyKHz", maxFrequencyKHz, 0)
                .above("maxPulseEnergyMj", maxPulseEnergyMj, 0)
                .tie(
                        () -> pulseNs.isEmpty() || pulseNs.getAsDouble() * frequencyKHz <= ALL,
                        "pulseNs",
                        "is longer than the time from one pulse to the next")
                .tie(
                        () -> minFrequencyKHz.isEmpty()
                                || maxFrequencyKHz.isEmpty()
                                || maxFrequencyKHz.getAsDouble() >= minFrequencyKHz.getAsDouble(),
                        "maxFrequencyKHz",
                        "is below the lowest frequency")
                .done();
    }
}
