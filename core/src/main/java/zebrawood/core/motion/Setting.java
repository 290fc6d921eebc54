package zebrawood.core.motion;

import zebrawood.core.reading.Checks;

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
}
