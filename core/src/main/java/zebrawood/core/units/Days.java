package zebrawood.core.units;

import java.time.LocalDate;
import java.util.Locale;

/** Days as they are said; English names without the tables of the world's languages, which take long to load. */
public final class Days {

    private Days() {}

    /** {@code 14 Mar}. */
    public static String brief(LocalDate day) {
        return day.getDayOfMonth() + " " + name(day.getMonth()).substring(0, 3);
    }

    /** {@code Friday 14 March}. */
    public static String full(LocalDate day) {
        return weekday(day) + " " + day.getDayOfMonth() + " " + name(day.getMonth());
    }

    /** {@code Friday}. */
    public static String weekday(LocalDate day) {
        return name(day.getDayOfWeek());
    }

    private static String name(Enum<?> constant) {
        return constant.name().charAt(0) + constant.name().substring(1).toLowerCase(Locale.ROOT);
    }
}
