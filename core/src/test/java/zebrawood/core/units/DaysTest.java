package zebrawood.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
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

    @Test
    void aDayMoreThanTenMonthsOffCarriesItsYear() {
        LocalDate today = LocalDate.of(2031, 3, 14);
        assertThat(Days.brief(LocalDate.of(2030, 5, 14), today)).isEqualTo("14 May");
        assertThat(Days.brief(LocalDate.of(2030, 5, 13), today)).isEqualTo("13 May 2030");
        assertThat(Days.brief(LocalDate.of(2032, 1, 14), today)).isEqualTo("14 Jan");
        assertThat(Days.brief(LocalDate.of(2032, 1, 15), today)).isEqualTo("15 Jan 2032");
        assertThat(Days.brief(LocalDateTime.of(2031, 3, 9, 7, 5), today)).isEqualTo("9 Mar, 07:05");
        assertThat(Days.brief(LocalDateTime.of(2029, 3, 9, 17, 45), today)).isEqualTo("9 Mar 2029");
    }
}
