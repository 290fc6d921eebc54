package zebrawood.core.coolant;

import java.util.Locale;

/**
 * What keeps the water from freezing. Density, kg/m³, and heat capacity, J/(kg K), are those of the pure liquid;
 * freezing points, °C, by volume percent are handbook values for 0, 10, .. 60 % by mass.
 */
public enum Glycol {
    NONE(998, 4182, new double[] {0}, new double[] {0}),
    ETHYLENE(1115, 2360, new double[] {0, 8.9, 18.1, 27.7, 37.5, 47.6, 57.8}, new double[] {
        0, -3.2, -7.8, -14.1, -22.3, -33.8, -48.3
    }),
    PROPYLENE(1036, 2480, new double[] {0, 9.6, 19.4, 29.4, 39.6, 49.9, 60.0}, new double[] {
        0, -3.3, -7.1, -12.7, -21.1, -33.5, -51.1
    });

    private final double density;
    private final double heatCapacity;
    private final double[] sharesPct;
    private final double[] freezingC;

    Glycol(double density, double heatCapacity, double[] sharesPct, double[] freezingC) {
        this.density = density;
        this.heatCapacity = heatCapacity;
        this.sharesPct = sharesPct;
        this.freezingC = freezingC;
    }

    /** As it is said: {@code ethylene glycol}. */
    public String words() {
        return this == NONE ? "plain water" : name().toLowerCase(Locale.ROOT) + " glycol";
    }

    /** The last whole percent by volume that the table knows. */
    public int mostPct() {
        return (int) Math.floor(sharesPct[sharesPct.length - 1]);
    }

    /** Where a mixture freezes, °C; straight lines between the table's values. */
    double freezingPointC(double volumePct) {
        for (int i = 1; i < sharesPct.length; i++) {
            if (volumePct <= sharesPct[i]) {
                return freezingC[i - 1]
                        + (volumePct - sharesPct[i - 1])
                                / (sharesPct[i] - sharesPct[i - 1])
                                * (freezingC[i] - freezingC[i - 1]);
            }
        }
        return freezingC[freezingC.length - 1];
    }

    /** kg/m³ of a mixture, volumes adding up. */
    double densityKgM3(double volumePct) {
        double share = volumePct / 100;
        return share * density + (1 - share) * NONE.density;
    }

    /** J/(kg K) of a mixture, by mass. */
    double specificHeatJKgK(double volumePct) {
        double share = volumePct / 100;
        double glycolKg = share * density;
        double waterKg = (1 - share) * NONE.density;
        return (glycolKg * heatCapacity + waterKg * NONE.heatCapacity) / (glycolKg + waterKg);
    }
}
