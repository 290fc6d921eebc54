package zebrawood.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class DaysTest {

    @Test
    void everyDayOfAYearIsSaidAsThePlatformSaysIt() {
        DateTimeFormatter brief = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
        DateTimeFormatter full = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
        for (LocalDate day = LocalDate.of(2032, 1, 1); day.getYear() == 2032; day = day.plusDays(1)) {
            assertThat(Days.brief(day)).isEqualTo(brief.format(day));
            assertThat(Days.full(day)).isEqualTo(full.format(day));
        }
    }
}
