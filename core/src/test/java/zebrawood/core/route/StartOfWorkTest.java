package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.daily.StartOfWork;
import zebrawood.core.entry.Body;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.StartCheck;

/** The half minute before a job asks what applies to this machine today, and nothing else. */
class StartOfWorkTest {

    private static final Route ROUTE = new Route(List.of(new FocusRamp(), new SiteClimate(), new ControllerSettings()));

    /** The history of a machine on which work was done at an entry on a day. */
    private static History worked(History history, int number, int day) {
        return new History(
                history.machineId(),
                history.plateEntry(),
                history.gateAndEvents(),
                history.readings(),
                history.uses(),
                history.points(),
                new History.Daily(
                        history.daily().started(),
                        Optional.of(new CountedReading(
                                "job",
                                number,
                                Verdict.UNCLEAR,
                                new CountedReading.When(Lived.day(day), Lived.day(day), ZoneOffset.UTC),
                                component -> false,
                                () -> {
                                    throw new IllegalStateException("a job is not read for this");
                                }))),
                history.unjudged());
    }

    private static List<String> asked(History history, int day) {
        return start(history, day).asked().stream()
                .map(asked -> asked.words().in(UnitChoice.METRIC))
                .toList();
    }

    private static StartOfWork start(History history, int day) {
        Instant now = Lived.day(day).plusSeconds(3600);
        return StartOfWork.of(ROUTE.status(history, now, ZoneOffset.UTC), history, now, ZoneOffset.UTC);
    }

    @Test
    void whatHappenedSinceTheLastJobComesFirstAndOnlyThat() {
        Lived lived = new Lived().climate(0, 50).gate(1).happened(2, Change.KNOCKED);
        int job = lived.entries() + 1;
        lived.climate(3, 50).happened(4, Change.LENS_CHANGED).happened(5, Change.COVERS_OFF);
        List<String> asked = asked(worked(lived.history(), job, 3), 6);
        assertThat(asked.get(0)).startsWith("Since the last job, 6 Jan: covers off.");
        assertThat(asked.get(1)).startsWith("Since the last job, 5 Jan: lens out and back.");
        assertThat(asked).noneMatch(words -> words.contains("knocked"));
        assertThat(asked(worked(lived.history(), lived.entries(), 5), 6))
                .as("after another job nothing is new")
                .noneMatch(words -> words.startsWith("Since the last job"));
    }

    /** What was looked at again and found right is not asked twice; a look at which something was not right is none. */
    @Test
    void whatWasFoundRightThisMorningIsNotAskedAtNoon() {
        Lived lived =
                new Lived().climate(0, 50).gate(1).happened(2, Change.KNOCKED).recorded(3, started(false));
        assertThat(asked(lived.history(), 3).get(0)).startsWith("Since the last job, 3 Jan: knocked.");
        assertThat(asked(lived.recorded(3, started(true)).history(), 3))
                .noneMatch(words -> words.startsWith("Since the last job"));
        assertThat(asked(lived.happened(4, Change.COVERS_OFF).history(), 4).get(0))
                .contains("covers off");
    }

    @Test
    void whatIsStillOpenOnTheMachineIsAskedUntilItIsClosed() {
        Lived lived = new Lived().climate(0, 50).gate(0).point(1, "hose is split", Optional.empty());
        int opened = lived.entries();
        assertThat(asked(lived.history(), 2).get(0)).startsWith("Open: hose is split.");
        assertThat(asked(lived.closed(3, opened).history(), 4)).noneMatch(words -> words.contains("hose is split"));
    }

    @Test
    void theGapIsToldAsItWasProvedAndWhatIsNotOnThisMachineIsNotAsked() {
        Lived lived = new Lived().climate(0, 50).gate(0).fitted(1);
        List<String> asked = asked(lived.history(), 2);
        assertThat(asked)
                .anyMatch(words -> words.startsWith("The gap is set for this stock and its riser: best is 7.08 mm"));
        assertThat(asked)
                .as("a galvo whose plate says nothing of water: it is asked, never left out")
                .anyMatch(words -> words.startsWith("The water runs"));
        assertThat(asked)
                .noneMatch(words -> words.contains("nozzle"))
                .anyMatch(words -> words.contains("table is clean"));
        assertThat(asked).hasSizeLessThan(12);

        Plate dry = lived.at(2).plate().withNone(Plate.Part.WATER);
        MachineStatus machine = lived.at(2);
        MachineStatus withoutWater = new MachineStatus(
                machine.machineId(),
                dry,
                machine.state(),
                machine.detail(),
                machine.gate(),
                machine.stops(),
                machine.points(),
                machine.todo(),
                machine.refocus(),
                machine.unjudged());
        assertThat(StartOfWork.of(withoutWater, lived.history(), Lived.day(2), ZoneOffset.UTC)
                        .asked())
                .noneMatch(line -> line.id().equals("water"));
        assertThat(dry.family()).isEqualTo(Family.GALVO_FIBRE);
    }

    private static Body.Started started(boolean right) {
        return new Body.Started(new StartCheck(
                List.of(
                        new StartCheck.Line("bed", "The bed is clean.", true, ""),
                        new StartCheck.Line("air", "Air comes at the nozzle.", right, right ? "" : "kinked hose")),
                "LO"));
    }

    /** A lead sees which machines were worked with although nobody looked, or although something was not right. */
    @Test
    void workWithoutTheLookBeforeIsSeenOnTheShopPageOnThatDay() {
        Lived lived = new Lived().climate(0, 50).gate(0).ramp(1);
        assertThat(notLooked(worked(lived.history(), 99, 3), 3)).isTrue();
        assertThat(notLooked(worked(lived.history(), 99, 3), 4))
                .as("yesterday is past")
                .isFalse();
        assertThat(notLooked(lived.history(), 3)).as("no work, no need").isFalse();
        assertThat(notLooked(worked(lived.recorded(3, started(false)).history(), 99, 3), 3))
                .as("it was looked at, and was not right")
                .isTrue();
        assertThat(notLooked(worked(lived.recorded(3, started(true)).history(), 99, 3), 3))
                .isFalse();
        assertThat(notLooked(worked(lived.history(), 100, 4), 4))
                .as("the look of yesterday is not that of today")
                .isTrue();
    }

    private static boolean notLooked(History history, int day) {
        return ROUTE.status(history, Lived.day(day).plusSeconds(3600), ZoneOffset.UTC).todo().stream()
                .anyMatch(todo -> todo.urgency() == Todo.Urgency.NOT_LOOKED);
    }

    @Test
    void aCheckWithNothingInItOrNobodyWhoStaysIsNone() {
        assertThat(started(false).check().isRight()).isFalse();
        assertThat(started(false).check().wrong())
                .singleElement()
                .satisfies(line -> assertThat(line.remark()).isEqualTo("kinked hose"));
        assertThatThrownBy(() -> new StartCheck(List.of(), "LO")).isInstanceOf(ReadingException.class);
        assertThatThrownBy(() -> new StartCheck(started(true).check().lines(), " "))
                .isInstanceOf(ReadingException.class);
    }
}
