package zebrawood.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What kind of amount a number is: its base unit (the one in the field's name) and the units a person may type. Factors
 * are exact by definition (inch 25.4 mm, foot 304.8 mm, pound 0.45359237 kg).
 */
public enum Quantity {
    LENGTH(
            "mm", "mm", 1, "cm", 10, "m", 1000, "um", 0.001, "µm", 0.001, "μm", 0.001, "in", 25.4, "inch", 25.4, "\"",
            25.4, "″", 25.4, "ft", 304.8, "'", 304.8, "thou", 0.0254, "mil", 0.0254),
    /** how long a cable or a hose is: a bare number is metres, or feet where lengths are in inches */
    DISTANCE("m", "m", 1, "mm", 0.001, "cm", 0.01, "ft", 0.3048, "'", 0.3048, "in", 0.0254, "\"", 0.0254, "yd", 0.9144),
    TEMPERATURE("°C", "c", 1, "°c", 1),
    /** a difference of temperatures: a step of 1 °C is 1.8 °F, with no freezing point to add */
    WARMTH("°C", "c", 1, "°c", 1, "k", 1, "f", 5 / 9.0, "°f", 5 / 9.0),
    SHARE("%", "%", 1),
    WAVELENGTH("nm", "nm", 1, "um", 1000, "µm", 1000, "μm", 1000),
    RATE("mm/min", "mm/min", 1, "mm/s", 60, "m/min", 1000, "m/s", 60000, "in/min", 25.4, "ipm", 25.4, "in/s", 1524),
    ACCELERATION("mm/s²", "mm/s2", 1, "mm/s²", 1, "m/s2", 1000, "m/s²", 1000),
    POWER("W", "w", 1, "kw", 1000, "mw", 0.001),
    CURRENT("mA", "ma", 1, "a", 1000),
    AMPERE("A", "a", 1, "ma", 0.001),
    VOLTAGE("V", "v", 1, "kv", 1000, "mv", 0.001),
    SECTION("mm²", "mm2", 1, "mm²", 1),
    MASS("kg", "kg", 1, "g", 0.001, "t", 1000, "lb", 0.45359237, "lbs", 0.45359237),
    DAYS("d", "d", 1, "day", 1, "days", 1, "week", 7, "weeks", 7),
    /** how long a beam was on */
    HOURS("h", "h", 1, "min", 1 / 60.0),
    /** of a beam over the work */
    MARKING("mm/s", "mm/s", 1, "mm/min", 1 / 60.0, "m/min", 1000 / 60.0, "m/s", 1000, "in/s", 25.4),
    MINUTES("min", "min", 1, "h", 60, "s", 1 / 60.0),
    SECONDS("s", "s", 1, "ms", 0.001, "min", 60),
    FREQUENCY("kHz", "khz", 1, "hz", 0.001, "mhz", 1000),
    /** how many pulses a second */
    REPETITION("Hz", "hz", 1, "khz", 1000, "mhz", 1e6),
    ENERGY("mJ", "mj", 1, "µj", 0.001, "μj", 0.001, "uj", 0.001, "j", 1000),
    /** a small angle */
    DIVERGENCE("mrad", "mrad", 1, "rad", 1000),
    PULSE("ns", "ns", 1, "us", 1000, "µs", 1000, "μs", 1000, "ms", 1e6),
    PRESSURE("bar", "bar", 1, "mbar", 0.001, "kpa", 0.01, "mpa", 10, "psi", 0.0689475729),
    /** of air through ducts */
    AIR_FLOW("m³/h", "m3/h", 1, "m³/h", 1, "m3/min", 60, "m3/s", 3600, "l/s", 3.6, "cfm", 1.69901082),
    /** small pressures of air */
    PASCAL("Pa", "pa", 1, "hpa", 100, "mbar", 100, "kpa", 1000, "mmh2o", 9.80665, "inh2o", 249.08891),
    SPEED("m/s", "m/s", 1, "m/min", 1 / 60.0, "ft/min", 0.00508, "fpm", 0.00508),
    /** what a floor carries */
    FLOOR_LOAD("kPa", "kpa", 1, "kn/m2", 1, "kn/m²", 1, "kg/m2", 0.00980665, "kg/m²", 0.00980665, "psf", 0.0478802590),
    FORCE("N", "n", 1, "kn", 1000, "kgf", 9.80665, "lbf", 4.4482216153),
    VOLUME("l", "l", 1, "ml", 0.001, "m3", 1000, "m³", 1000),
    /** what a hose holds or a jug measures */
    MEASURE("ml", "ml", 1, "l", 1000),
    FLOW("l/min", "l/min", 1, "lpm", 1, "l/h", 1 / 60.0, "m3/h", 1000 / 60.0),
    /** a bare number, such as an S value */
    PLAIN("");

    private static final BigDecimal FREEZING_F = BigDecimal.valueOf(32);
    private static final BigDecimal FREEZING_K = new BigDecimal("273.15");

    private final String baseUnit;
    private final Map<String, Double> factors = new LinkedHashMap<>();

    Quantity(String baseUnit, Object... unitsAndFactors) {
        this.baseUnit = baseUnit;
        for (int i = 0; i < unitsAndFactors.length; i += 2) {
            factors.put((String) unitsAndFactors[i], ((Number) unitsAndFactors[i + 1]).doubleValue());
        }
    }

    /** The unit of the stored number. */
    public String baseUnit() {
        return baseUnit;
    }

    /** The unit in which it is shown, and in which a number typed without one is taken. */
    public String unit(UnitChoice choice) {
        return switch (this) {
            case LENGTH -> choice.length();
            case DISTANCE -> choice.inches() ? "ft" : baseUnit;
            case TEMPERATURE, WARMTH -> choice.temperature();
            default -> baseUnit;
        };
    }

    /** The stored number as it reads in the chosen unit. */
    public double shown(double base, UnitChoice choice) {
        return switch (this) {
            case LENGTH -> choice.inches() ? base / 25.4 : base;
            case DISTANCE -> choice.inches() ? base / 0.3048 : base;
            case TEMPERATURE -> choice.fahrenheit() ? base * 1.8 + 32 : base;
            case WARMTH -> choice.fahrenheit() ? base * 1.8 : base;
            default -> base;
        };
    }

    /** The number of base units in {@code number} of the unit typed, or empty where it is no unit of this kind. */
    Optional<BigDecimal> base(BigDecimal number, String unit) {
        if (this == TEMPERATURE && (unit.equals("f") || unit.equals("°f"))) {
            return Optional.of(number.subtract(FREEZING_F)
                    .multiply(BigDecimal.valueOf(5))
                    .divide(BigDecimal.valueOf(9), MathContext.DECIMAL64));
        }
        if (this == TEMPERATURE && unit.equals("k")) {
            return Optional.of(number.subtract(FREEZING_K));
        }
        return Optional.ofNullable(factors.get(unit)).map(factor -> number.multiply(BigDecimal.valueOf(factor)));
    }

    /** Whether this is a unit of this kind, as one may type it. */
    public boolean hasUnit(String unit) {
        String typed = unit.strip().toLowerCase(Locale.ROOT).replace(" ", "");
        return factors.containsKey(typed)
                || this == TEMPERATURE && (typed.equals("f") || typed.equals("°f") || typed.equals("k"));
    }

    /** Whether a word is a unit of any kind. */
    public static boolean isUnit(String word) {
        for (Quantity quantity : values()) {
            if (quantity.hasUnit(word)) {
                return true;
            }
        }
        return false;
    }

    /** Some units that may be typed, for a message. */
    String examples() {
        return switch (this) {
            case LENGTH -> "mm, cm, m, in or \"";
            case TEMPERATURE -> "C or F";
            case ENERGY -> "mJ, µJ or J";
            case REPETITION -> "Hz, kHz or MHz";
            case POWER -> "W, kW or mW";
            case WAVELENGTH -> "nm or µm";
            case PLAIN -> "no unit";
            default -> String.join(", ", factors.keySet().stream().limit(4).toList());
        };
    }
}
