package zebrawood.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TimesTest {

    @Test
    void timesAreReadAsTheyWereWritten() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 5_000; i++) {
            Instant seconds = Instant.ofEpochSecond(random.nextLong(-62_135_596_800L, 253_402_300_799L));
            Instant millis = seconds.plusMillis(random.nextInt(1000));
            assertThat(Times.instant(seconds.toString())).isEqualTo(seconds);
            assertThat(Times.instant(millis.toString())).isEqualTo(millis);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2031-03-14T24:00:00Z",
                "2031-06-30T23:59:60Z",
                "2031-03-14T09:30:00.123456Z",
                "+12031-03-14T09:30:00Z",
                "2031-03-14t09:30:00z"
            })
    void rareFormsMeanWhatTheyMeanElsewhere(String text) {
        assertThat(Times.instant(text)).isEqualTo(Instant.parse(text));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "2031-02-30T09:30:00Z",
                "2031-03-14T25:00:00Z",
                "2031-03-14T09:61:00Z",
                "2031-03-14 09:30:00Z",
                "2031-03-14T09:30:0aZ"
            })
    void whatIsNoTimeIsRefused(String text) {
        assertThatThrownBy(() -> Times.instant(text)).isInstanceOf(DateTimeParseException.class);
    }
}
