package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import zebrawood.core.power.BeamHours;
import zebrawood.core.power.BeamHoursReadings;
import zebrawood.core.power.CeilingReadings;
import zebrawood.core.power.TubeCeiling;
import zebrawood.core.site.SiteClimate;

/** A ceiling that falls due 250 beam hours after it was read. */
class ByHoursTest {

    private static Lived ceiling(OptionalDouble beamHours) {
        return new Lived()
                .measured(
                        0,
                        new TubeCeiling(),
                        new CeilingReadings(
                                28,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                List.of(new CeilingReadings.Sample(100, 19.6)),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(new CeilingReadings.Recheck(
                                        OptionalDouble.empty(),
                                        OptionalDouble.empty(),
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.empty(),
                                        beamHours))));
    }

    private static BeamHoursReadings counter(double hours, double before, double days) {
        return new BeamHoursReadings(
                OptionalDouble.of(hours),
                OptionalDouble.empty(),
                List.of(),
                OptionalDouble.of(before),
                days > 0 ? OptionalDouble.of(days) : OptionalDouble.empty(),
                Optional.empty());
    }

    private static Optional<ByHours> due(Lived lived) {
        History history = lived.history();
        return ByHours.of(
                new TubeCeiling(),
                history.of("tube-ceiling").get(0),
                history,
                List.of(new SiteClimate(), new TubeCeiling(), new BeamHours()));
    }

    private static LocalDate day(int day) {
        return Lived.day(day).atZone(ZoneOffset.UTC).toLocalDate();
    }

    @Test
    void theDayIsReckonedFromTheHoursOfADaySoFar() {
        ByHours due = due(ceiling(OptionalDouble.of(1_000)).measured(10, new BeamHours(), counter(1_050, 1_000, 10)))
                .orElseThrow();
        assertThat(due.atHours()).isEqualTo(1_250);
        assertThat(due.day()).as("200 h are left, at 5 h a day").contains(day(50));
        assertThat(ByHours.beside(Optional.of(due), due.day())).isEqualTo(", about 1250 beam hours");
    }

    @Test
    void hoursThatAreOverMakeItDueAtOnceAndUnknownOnesNever() {
        ByHours over = due(ceiling(OptionalDouble.of(1_000)).measured(10, new BeamHours(), counter(1_250, 1_000, 10)))
                .orElseThrow();
        assertThat(over.day()).contains(day(9));
        assertThat(ByHours.beside(Optional.of(over), over.day())).isEqualTo(", at 1250 beam hours");
        assertThat(ByHours.beside(Optional.of(over), Optional.of(day(5))))
                .as("days came first")
                .isEmpty();
        assertThat(due(ceiling(OptionalDouble.of(1_000)).measured(10, new BeamHours(), counter(1_050, 1_000, 0)))
                        .orElseThrow()
                        .day())
                .as("nobody knows how many hours a day has")
                .isEmpty();
        assertThat(due(ceiling(OptionalDouble.of(1_000)))).isEmpty();
        assertThat(due(ceiling(OptionalDouble.empty()).measured(10, new BeamHours(), counter(1_250, 1_000, 10))))
                .isEmpty();
    }
}
