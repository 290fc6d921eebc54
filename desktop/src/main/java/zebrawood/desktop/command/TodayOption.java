package zebrawood.desktop.command;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.function.Supplier;
import picocli.CommandLine;
import picocli.CommandLine.Option;

/** What time it is: the computer's, or a day given for pictures and tests. */
public final class TodayOption {

    private static final LocalTime MORNING = LocalTime.of(10, 30);
    private static final ZoneOffset SHOP_ZONE = ZoneOffset.ofHours(1);

    @Option(
            names = "--today",
            paramLabel = "DATE",
            converter = Day.class,
            description = "the day to take for today, such as 2031-03-14, at 10:30 UTC+1")
    private LocalDate day;

    /** A day as it is typed. */
    static final class Day implements CommandLine.ITypeConverter<LocalDate> {
        @Override
        public LocalDate convert(String typed) {
            try {
                return LocalDate.parse(typed);
            } catch (DateTimeException none) {
                throw new CommandLine.TypeConversionException(
                        "\"" + typed + "\" is not a day; type year-month-day, such as 2031-03-14");
            }
        }
    }

    /** A day given in the program. */
    static TodayOption of(LocalDate day) {
        TodayOption option = new TodayOption();
        option.day = day;
        return option;
    }

    Supplier<Instant> clock() {
        if (day == null) {
            return Instant::now;
        }
        Instant fixed = day.atTime(MORNING).toInstant(SHOP_ZONE);
        return () -> fixed;
    }

    ZoneId zone() {
        return day == null ? ZoneId.systemDefault() : SHOP_ZONE;
    }

    LocalDate today() {
        return day == null ? LocalDate.now(zone()) : day;
    }
}
