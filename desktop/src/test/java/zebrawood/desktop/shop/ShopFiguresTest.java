package zebrawood.desktop.shop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.MachineStatuses;
import zebrawood.core.route.Route;
import zebrawood.core.route.StopState;
import zebrawood.core.route.Todo;
import zebrawood.core.units.Said;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.logbook.store.Logbook;
import zebrawood.testsupport.Drawn;

/** What the Shop page draws: nothing stands on anything else, at any width and with any name. */
class ShopFiguresTest {

    private static final UnitChoice METRIC = new UnitChoice(false, false);

    @TempDir
    private Path folder;

    @Test
    void everyLineAndStandOfTheDemoHasRoomForItsWords() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            List<MachineStatus> machines = new MachineStatuses(new Route(Catalogue.procedures()))
                    .of(logbook.histories(), Instant.parse("2031-03-14T09:30:00Z"), ZoneOffset.UTC);
            for (MachineStatus machine : machines) {
                Drawn stand = Drawn.of(MachineOnFloor.figure(machine, 0.1), 172, MachineOnFloor.HEIGHT);
                assertThat(stand.crowded(172, MachineOnFloor.HEIGHT))
                        .as(machine.plate().name())
                        .isEmpty();
                assertThat(stand.words())
                        .contains(machine.plate().name(), machine.state().word());
            }
            for (Todo todo : Route.next(machines)) {
                for (double width : new double[] {1140, 900, 640}) {
                    Drawn row = Drawn.of(NextRow.figure(todo, METRIC, false), width, 40);
                    assertThat(row.crowded(width, 40))
                            .as(todo.machine() + " at " + width)
                            .isEmpty();
                }
                assertThat(Drawn.of(NextRow.figure(todo, METRIC, false), 1140, 40)
                                .words()
                                .replace('\u00a0', ' '))
                        .contains(todo.machine(), todo.action().in(METRIC), todo.stopTitle(), todo.when());
            }
        }
    }

    @Test
    void aLongSentenceGoesOnInASecondLineWhereItIsTheFirstAndIsShortenedElsewhere() {
        String sentence =
                "Turn the second mirror's lower screw clockwise by a quarter of a turn, wait until the mount has "
                        + "settled, and fire the far corner again";
        Todo todo = new Todo(
                Todo.Urgency.ADJUST,
                "id",
                "The engraver in the far corner of the old paint shop",
                "focus-ramp",
                OptionalInt.empty(),
                "Ramp line",
                StopState.ADJUST,
                Said.of(sentence),
                12,
                Instant.EPOCH,
                "13 Mar, LO");
        for (double width : new double[] {1140, 700}) {
            Drawn first = Drawn.of(NextRow.figure(todo, METRIC, true), width, 64);
            Drawn later = Drawn.of(NextRow.figure(todo, METRIC, false), width, 40);
            assertThat(first.crowded(width, 64)).as("the first, %s wide", width).isEmpty();
            assertThat(later.crowded(width, 40))
                    .as("a later one, %s wide", width)
                    .isEmpty();
            assertThat(first.texts())
                    .filteredOn(text -> text.text().startsWith("Turn the second"))
                    .hasSize(1);
            assertThat(later.words()).contains("...");
        }
        assertThat(Drawn.of(NextRow.figure(todo, METRIC, true), 1400, 64).words())
                .contains("wait until");
    }
}
