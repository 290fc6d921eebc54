package zebrawood.core.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.access.SiteAccess;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.inventory.Inventory;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.site.SiteClimate;

/** What is planned for a machine that was just unloaded: everything, and nothing that hurts before what protects. */
class VisitTasksTest {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");
    private static final Route ROUTE = new Route(List.of(
            new SiteAccess(),
            new SiteClimate(),
            new Inventory(),
            new CoolantMix(),
            new CoolantSetpoint(),
            new FocusRamp()));

    private static MachineStatus unloaded(Family family) {
        Plate plate = new Plate(
                "Dunlin",
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Services(
                        Optional.of(Plate.Cooling.WATER),
                        Optional.empty(),
                        Optional.of(Plate.Enclosure.INTERLOCK),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        Entry first = new Entry(
                new Entry.Place("dunlin", 1, "h"),
                new Entry.Stamp(NOW, ZoneOffset.UTC, "LO", "test"),
                new Body.PlateSet(plate, Map.of()),
                Optional.empty(),
                List.of());
        History history = new History(
                "dunlin", first, List.of(), Map.of(), List.of(), List.of(), History.Daily.NOTHING, List.of());
        return ROUTE.status(history, NOW, ZoneOffset.UTC);
    }

    private static Map<String, Plan.Timed> planned(Family family, VisitTasks.Asked asked, Crew crew) {
        Plan plan = Planner.plan(VisitTasks.of(List.of(unloaded(family)), asked, Card::minutes), crew);
        assertThat(plan.cannot()).isEmpty();
        Map<String, Plan.Timed> by = new HashMap<>();
        plan.timed().forEach(timed -> by.put(timed.task().id().substring("dunlin/".length()), timed));
        return by;
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void nothingComesBeforeWhatProtectsFromIt(Family family) {
        Map<String, Plan.Timed> day = planned(
                family, new VisitTasks.Asked(Map.of("dunlin", 120), true, Map.of()), new Crew(2, OptionalInt.of(60)));
        Plan.Timed pulse = day.get("first-light/pulse");
        day.forEach((id, timed) -> {
            if (id.startsWith("first-light/") && !id.endsWith("/pulse")) {
                assertThat(timed.end()).as(id).isLessThanOrEqualTo(pulse.from());
            }
            if (!id.equals("site-access") && !id.startsWith("first-light") && !id.equals("acclimatise")) {
                assertThat(timed.from())
                        .as(id)
                        .isGreaterThanOrEqualTo(day.get("site-access").end());
            }
        });
        assertThat(day.get("first-light/earth").task().who()).isEqualTo(Task.Who.ELECTRICIAN);
        assertThat(day.get("first-light/earth").from()).isGreaterThanOrEqualTo(60);
        assertThat(day.get("first-light/films").from())
                .isGreaterThanOrEqualTo(day.get("inventory").end());
        assertThat(day.get("first-light/water").from())
                .isGreaterThanOrEqualTo(day.get("coolant-mix").end())
                .isGreaterThanOrEqualTo(day.get("first-light/earth").end())
                .isGreaterThanOrEqualTo(120);
        assertThat(day.get("first-light/stop").from())
                .isGreaterThanOrEqualTo(day.get("first-light/water").end());
        assertThat(day.get("coolant-setpoint").from()).isGreaterThanOrEqualTo(120);
        if (day.containsKey("focus-ramp")) {
            assertThat(day.get("focus-ramp").from()).isGreaterThanOrEqualTo(pulse.end());
        }
        assertThat(day.get("first-light/extraction").from())
                .as("what is only looked at is done while the water is watched")
                .isLessThan(day.get("first-light/water").end());
    }

    @Test
    void aWaitThatRunsAlreadyIsNotPlannedAgain() {
        Map<String, Plan.Timed> day = planned(
                Family.GANTRY_CO2,
                new VisitTasks.Asked(Map.of(), false, Map.of("dunlin/water", 9)),
                new Crew(2, OptionalInt.empty()));
        assertThat(day.get("first-light/water").task().waits()).isZero();
        assertThat(day.get("first-light/water").from()).isGreaterThanOrEqualTo(9);
        assertThat(day.get("first-light/earth").task().who()).isEqualTo(Task.Who.ONE);
    }

    @ParameterizedTest
    @CsvSource({
        // dew point of 21 °C and 50 % is 10.2 °C: nothing sweats from 12.2 °C on
        "12.3, 21, 50, 96, 0",
        "12.1, 21, 50, 96, 15",
        "2, 21, 50, 96, 105",
        "2, 21, 50, 212, 210",
        "2, 21, 50, 0, 210",
        "2, 21, 95, 96, -1",
        "2, 21.0001, 88.3, 212, -1"
    })
    void aColdMachineStandsUntilNothingSweats(double came, double room, double humidity, double kg, int minutes) {
        assertThat(Acclimatising.minutes(came, room, humidity, kg).orElse(-1)).isEqualTo(minutes);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> Acclimatising.minutes(-60, 20, 50, 90))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("cameC");
        assertThatThrownBy(() -> Acclimatising.minutes(5, 20, 0, 90)).isInstanceOf(ReadingException.class);
    }

    @Test
    void minutesAreLearnedOnceTheyWereSeenOftenEnough() {
        Card climate = new SiteClimate().card();
        assertThat(new Pace(Map.of("site-climate", List.of(9.0, 9.0))).minutes(climate))
                .isEqualTo(climate.minutes());
        Pace pace = new Pace(Map.of("site-climate", List.of(3.2, 80.0, 4.1)));
        assertThat(pace.minutes(climate)).as("the middle, rounded up").isEqualTo(5);
        assertThat(pace.learned()).isEqualTo(1);
        assertThat(pace.minutes(new Inventory().card()))
                .isEqualTo(new Inventory().card().minutes());
    }
}
