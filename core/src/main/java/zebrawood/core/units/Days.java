package zebrawood.core.units;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Days as they are said; English names without the tables of the world's languages, which take long to load. */
public final class Days {

    /**
     * within so many months a day needs no year: further off it would be taken for one to come, or for one just gone
     */
    private static final int MONTHS = 10;

    private static final List<DateTimeFormatter> WRITTEN = List.of(
            DateTimeFormatter.ISO_LOCAL_DATE,
            DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH),
            DateTimeFormatter.ofPattern("d.M.uuuu", Locale.ENGLISH));

    private Days() {}

    /** A day as it is typed: {@code 2031-03-14}, {@code 14 Mar 2031}, {@code 14.3.2031}, {@code 10 days}; or empty. */
    public static Optional<LocalDate> typed(String typed, LocalDate today) {
        String text = typed.strip();
        if (text.matches("\\d{1,4}( ?d| ?days?)?")) {
            return Optional.of(today.plusDays(Integer.parseInt(text.replaceAll("\\D", ""))));
        }
        for (DateTimeFormatter each : WRITTEN) {
            try {
                return Optional.of(LocalDate.parse(text, each));
            } catch (DateTimeException another) {
                // it may be written in another way
            }
        }
        return Optional.empty();
    }

    /** {@code 14 Mar}, or {@code 14 Mar 2029} where that is more than ten months from today. */
    public static String brief(LocalDate day, LocalDate today) {
        return isNear(day, today) ? brief(day) : brief(day) + " " + day.getYear();
    }

    /** {@code 14 Mar, 09:05}; of a day more than ten months from today the year instead of the time. */
    public static String brief(LocalDateTime at, LocalDate today) {
        LocalDate day = at.toLocalDate();
        return isNear(day, today)
                ? brief(day) + ", " + twoDigits(at.getHour()) + ":" + twoDigits(at.getMinute())
                : brief(day, today);
    }

    private static boolean isNear(LocalDate day, LocalDate today) {
        return !day.isBefore(today.minusMonths(MONTHS)) && !day.isAfter(today.plusMonths(MONTHS));
    }

    private static String twoDigits(int number) {
        return (number < 10 ? "0" : "") + number;
    }

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
