package zebrawood.core.gas;

import java.util.Locale;

/**
 * What is blown through the nozzle: specific gas constant, J/(kg K), which is the universal one over its molar mass,
 * and ratio of its heat capacities at room temperature.
 */
public enum Gas {
    NITROGEN(296.8, 1.4),
    OXYGEN(259.84, 1.4),
    AIR(287.05, 1.4),
    ARGON(208.13, 1.667);

    private final double constant;
    private final double ratio;

    Gas(double constant, double ratio) {
        this.constant = constant;
        this.ratio = ratio;
    }

    double constant() {
        return constant;
    }

    double ratio() {
        return ratio;
    }

    /** kg per normal cubic metre (0 °C, 101.325 kPa). */
    double normalDensity() {
        return 101_325 / (constant * 273.15);
    }

    /** As it is said: {@code nitrogen}. */
    public String words() {
        return name().toLowerCase(Locale.ROOT);
    }
}
