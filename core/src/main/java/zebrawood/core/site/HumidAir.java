package zebrawood.core.site;

/**
 * Moist air at sea-level pressure. Saturation over water after the Magnus form of Sonntag (1990): {@code es(T) = 6.112
 * hPa exp(17.62 T/(243.12 + T))}, T in °C, good to 0.3 % from -45 to 60 °C.
 */
public final class HumidAir {

    /**
     * Magnus formula over water, -45 to 60 °C; with the two below from the guide of the World Meteorological
     * Organization (CIMO)
     */
    private static final double MAGNUS_A = 17.62;

    private static final double MAGNUS_B_C = 243.12;
    private static final double MAGNUS_E0_HPA = 6.112;
    /** standard atmosphere; dew point does not depend on it */
    private static final double PRESSURE_HPA = 1013.25;
    /** ratio of the molar masses of water and dry air */
    private static final double MASS_RATIO = 0.62198;

    private HumidAir() {}

    /** Saturation vapour pressure, hPa, over water at {@code temperatureC}. */
    public static double saturationHPa(double temperatureC) {
        return MAGNUS_E0_HPA * Math.exp(MAGNUS_A * temperatureC / (MAGNUS_B_C + temperatureC));
    }

    /** Vapour pressure, hPa. */
    public static double vapourHPa(double temperatureC, double humidityPct) {
        return saturationHPa(temperatureC) * humidityPct / 100;
    }

    /**
     * Dew point, °C: {@code G = ln(RH/100) + a T/(b + T)}, {@code Td = b G/(a - G)}.
     *
     * @param humidityPct above 0, up to 100
     */
    public static double dewPointC(double temperatureC, double humidityPct) {
        double g = Math.log(humidityPct) - Math.log(100) + MAGNUS_A * temperatureC / (MAGNUS_B_C + temperatureC);
        return MAGNUS_B_C * g / (MAGNUS_A - g);
    }

    /**
     * Temperature at which the saturation pressure is {@code hPa}, °C; for no vapour at all the formula's lower end.
     */
    static double saturationTemperatureC(double hPa) {
        if (!(hPa > 0)) {
            return -MAGNUS_B_C;
        }
        double g = Math.log(hPa / MAGNUS_E0_HPA);
        return MAGNUS_B_C * g / (MAGNUS_A - g);
    }

    /** Water per kg of dry air, g. */
    public static double moistureGPerKg(double temperatureC, double humidityPct) {
        double vapour = vapourHPa(temperatureC, humidityPct);
        return 1000 * MASS_RATIO * vapour / (PRESSURE_HPA - vapour);
    }

    /** Relative humidity, %, of the same air (vapour pressure kept) after warming or cooling. */
    static double humidityPctAt(double newTemperatureC, double vapourHPa) {
        return 100 * vapourHPa / saturationHPa(newTemperatureC);
    }
}
