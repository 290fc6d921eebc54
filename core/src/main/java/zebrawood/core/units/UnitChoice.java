package zebrawood.core.units;

/**
 * The units in which a person reads and types, at this moment. Values are kept in mm and °C whatever is chosen, so
 * switching loses nothing.
 *
 * @param inches lengths in inches instead of mm
 * @param fahrenheit temperatures in °F instead of °C
 */
public record UnitChoice(boolean inches, boolean fahrenheit) {

    /** mm and °C: what {@code solve} always answers in. */
    public static final UnitChoice METRIC = new UnitChoice(false, false);

    public String length() {
        return inches ? "in" : "mm";
    }

    public String temperature() {
        return fahrenheit ? "°F" : "°C";
    }
}
