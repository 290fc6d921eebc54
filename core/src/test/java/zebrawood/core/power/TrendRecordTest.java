package zebrawood.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.power.BeamClock.Count;
import zebrawood.core.power.TrendReadings.Event;
import zebrawood.core.power.TrendReadings.Point;
import zebrawood.core.power.TrendReadings.What;

/** Days of the Logbook put over beam hours. */
class TrendRecordTest {

    private static final Instant DAY_0 = Instant.parse("2031-03-14T08:00:00Z");

    private static Instant day(double days) {
        return DAY_0.plus(Duration.ofMinutes(Math.round(days * 1440)));
    }

    private static Count same(double day, double hours) {
        return new Count(day(day), hours, false);
    }

    @Test
    void hoursGoInStraightLinesBetweenCountsAndAtTheLastRateAfterThem() {
        BeamClock clock = BeamClock.of(List.of(same(20, 140), same(0, 100), same(30, 150)), List.of());
        assertThat(clock.at(day(10)).getAsDouble()).isCloseTo(120, within(1e-6));
        assertThat(clock.at(day(25)).getAsDouble()).isCloseTo(145, within(1e-6));
        assertThat(clock.at(day(40)).getAsDouble()).isCloseTo(160, within(1e-6));
        assertThat(clock.at(day(-1))).as("nobody counted then").isEmpty();
    }

    @Test
    void oneCountTellsNothingOfTheNextDay() {
        BeamClock clock = BeamClock.of(List.of(same(0, 100)), List.of());
        assertThat(clock.at(day(0.5))).isEqualTo(OptionalDouble.of(100));
        assertThat(clock.at(day(2))).isEmpty();
        assertThat(BeamClock.of(List.of(), List.of()).at(day(0))).isEmpty();
    }

    @Test
    void anotherSourceBeginsAtNought() {
        List<Count> counts = List.of(same(0, 900), same(10, 1_000), new Count(day(30), 20, true));
        BeamClock told = BeamClock.of(counts, List.of(day(20)));
        assertThat(told.at(day(5))).as("that was the old one").isEmpty();
        assertThat(told.at(day(20)).getAsDouble()).isZero();
        assertThat(told.at(day(25)).getAsDouble()).isCloseTo(10, within(1e-6));
        assertThat(BeamClock.of(counts, List.of()).at(day(25)))
                .as("nobody says when it was fitted")
                .isEmpty();
    }

    @Test
    void whatCameFirstHasFewerHours() {
        // counted on the same morning: a test, the lens and a mirror cleaned, the test again
        BeamClock clock = BeamClock.of(List.of(same(0, 100), same(10, 120)), List.of());
        TrendRecord record = TrendRecord.of(
                clock,
                List.of(
                        new TrendRecord.Test(day(10.004), 52),
                        new TrendRecord.Test(day(10), 50),
                        new TrendRecord.Test(day(-3), 60)),
                List.of(
                        new TrendRecord.Done(day(10.003), What.CLEANED),
                        new TrendRecord.Done(day(10.002), What.CLEANED),
                        new TrendRecord.Done(day(5), What.CLEANED),
                        new TrendRecord.Done(day(5.001), What.COOLANT)));
        assertThat(record.events())
                .extracting(Event::what)
                .as("lens and mirror on one day are one cleaning")
                .containsExactly(What.CLEANED, What.COOLANT, What.CLEANED);
        assertThat(record.history()).extracting(Point::value).containsExactly(50.0, 52.0);
        double cleaned = record.events().get(2).hours();
        assertThat(record.history().get(0).hours()).isEqualTo(120).isLessThan(cleaned);
        assertThat(record.history().get(1).hours()).isGreaterThan(cleaned).isCloseTo(120, within(0.05));
        assertThat(record.unplaced()).isEqualTo(1);
    }

    @Test
    void aYearOfTheLogbookTellsDirtFromAgeAsTheHoursThemselvesDo() {
        // 2 h a day; ageing 0.5 % and dirt 2 % in 100 h, cleaned every 90 days, tested before and after and between
        List<TrendRecord.Test> tests = new ArrayList<>();
        List<TrendRecord.Done> done = new ArrayList<>();
        for (int quarter = 0; quarter < 4; quarter++) {
            double from = 90.0 * quarter;
            done.add(new TrendRecord.Done(day(from), What.CLEANED));
            for (double after : new double[] {0.01, 30, 60, 89.99}) {
                double hours = 2 * (from + after);
                double watts = 60 * Math.exp(-0.005 * hours / 100) * Math.exp(-0.02 * 2 * after / 100);
                tests.add(new TrendRecord.Test(day(from + after), watts));
            }
        }
        TrendRecord record = TrendRecord.of(BeamClock.of(List.of(same(0, 0), same(360, 720)), List.of()), tests, done);
        TrendFinding.Wear wear = Wear.of(record.history(), record.events()).orElseThrow();
        assertThat(wear.age().pct()).isCloseTo(0.5, within(0.01));
        assertThat(wear.dirt().pct()).isCloseTo(2, within(0.02));
        assertThat(wear.larger()).isEqualTo(TrendFinding.Larger.DIRT);
    }
}
