package zebrawood.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.machine.ClimateLimits;

class ClimateLogTest {

    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);
    private static final long BEGIN = LocalDateTime.of(2030, 1, 1, 0, 0).toEpochSecond(ZoneOffset.UTC);

    private static ClimateLog log(double waterC) {
        return new ClimateLog(LIMITS, OptionalDouble.of(waterC), OptionalDouble.empty());
    }

    /** However dense the readings are, the same air gives the same hours. */
    @Test
    void hoursAreHoursAtAnyStep() {
        for (int step : new int[] {20, 60, 600, 3600}) {
            ClimateLog log = log(20);
            for (long s = 0; s < 30 * 86_400L; s += step) {
                long hour = s / 3600 % 24;
                log.add(BEGIN + s, hour >= 12 && hour < 15 ? 31 : 21, hour < 2 ? 95 : 45);
            }
            ClimateYear year = log.summary().orElseThrow();
            assertThat(year.hours()).isCloseTo(720, within(1e-6));
            assertThat(year.hoursOutside()).as("three too warm, two too damp").isCloseTo(150, within(1e-6));
            assertThat(year.hoursCondensing().orElseThrow())
                    .as("21 °C and 95 % are dew at 20.2 °C")
                    .isCloseTo(60, within(1e-6));
            assertThat(year.days()).hasSize(30);
            assertThat(year.days().get(LocalDate.of(2030, 1, 3)))
                    .containsSubsequence(
                            ClimateYear.State.CONDENSING, ClimateYear.State.INSIDE, ClimateYear.State.OUTSIDE);
        }
    }

    @Test
    void gapsAreNotCountedAndAClockPutBackCountsOn() {
        ClimateLog log = log(20);
        log.add(BEGIN, 21, 45);
        log.add(BEGIN + 10 * 86_400L, 21, 45);
        assertThat(log.summary().orElseThrow().hours()).as("an hour each").isCloseTo(2, within(1e-6));

        ClimateLog autumn = log(20);
        for (int minute = 0; minute < 300; minute++) {
            autumn.add(BEGIN + 60L * (minute < 180 ? minute : minute - 60), 21, 45);
        }
        assertThat(autumn.summary().orElseThrow().hours()).isCloseTo(5, within(1e-6));
    }

    @Test
    void theWorstHoursComeFirstByTheirWorstReading() {
        SplittableRandom random = new SplittableRandom(61);
        ClimateLog log = log(5);
        double hottest = 0;
        for (int minute = 0; minute < 60 * 24 * 60; minute++) {
            double temperature = 20 + 20 * random.nextDouble();
            hottest = Math.max(hottest, temperature);
            log.add(BEGIN + 60L * minute, temperature, 23);
        }
        ClimateYear year = log.summary().orElseThrow();
        assertThat(year.worst()).hasSize(5);
        assertThat(year.worst().get(0).temperatureC()).isCloseTo(hottest, within(1e-4));
        assertThat(year.worst()).isSortedAccordingTo((a, b) -> Double.compare(b.temperatureC(), a.temperatureC()));
    }

    @Test
    void aChillerThatFollowsTheRoomIsJudgedByTheRoom() {
        ClimateLog log = new ClimateLog(LIMITS, OptionalDouble.empty(), OptionalDouble.of(-8));
        log.add(BEGIN, 25, 62);
        log.add(BEGIN + 3600, 25, 50);
        ClimateYear year = log.summary().orElseThrow();
        assertThat(year.hoursCondensing())
                .as("dew at 17.2 °C over water of 17 °C")
                .contains(1.0);
    }

    @Test
    void noMoreDaysAreTakenThanALoggerCovers() {
        ClimateLog log = log(20);
        for (int day = 0; day < ClimateLog.MOST_DAYS; day++) {
            assertThat(log.add(BEGIN + 86_400L * day, 21, 45)).isTrue();
        }
        assertThat(log.add(BEGIN + 86_400L * ClimateLog.MOST_DAYS, 21, 45)).isFalse();
        assertThat(log(20).summary()).isEmpty();
    }
}
