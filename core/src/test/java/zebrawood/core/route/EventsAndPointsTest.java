package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Change;
import zebrawood.core.safety.Bar;

/** What follows from what happened, and what is to be done that no stop says. */
class EventsAndPointsTest {

    private static Lived inOrder() {
        return new Lived().climate(0, 50).gate(0).ramp(0);
    }

    /** What is said before is what is so afterwards: the same two states, compared. */
    @ParameterizedTest
    @EnumSource(Change.class)
    void whatIsSaidBeforeIsSoAfterwards(Change change) {
        List<String> said = inOrder().follows(2, new Body.Happened(change, ""));
        MachineStatus before = inOrder().at(2);
        MachineStatus after = inOrder().happened(2, change).at(2);

        assertThat(said).isEqualTo(Consequences.between(before, after));
        assertThat(said.stream().anyMatch(sentence -> sentence.startsWith("The first light gate shuts")))
                .isEqualTo(!after.gate().isOpen());
        assertThat(said.stream().anyMatch(sentence -> sentence.startsWith("Ramp line")))
                .isEqualTo(after.stop("focus-ramp").state()
                        != before.stop("focus-ramp").state());
    }

    @Test
    void anEarthTestThatRanOutIsInHandAgainAndItsEntryStays() {
        Lived lived = inOrder();
        Bar earth = lived.at(1).gate().bars().stream()
                .map(Gate.Line::bar)
                .filter(bar -> bar.id().equals("earth"))
                .findFirst()
                .orElseThrow();
        LocalDate until = LocalDate.of(2031, 1, 6);
        lived.recorded(2, new Body.GateLine("earth", earth.title(), true, false, "TN", Optional.of(until)));

        assertThat(lived.at(5).gate().isOpen()).as("on its last day").isTrue();
        Gate shut = lived.at(6).gate();
        assertThat(shut.isOpen()).isFalse();
        assertThat(shut.inHand().map(line -> line.bar().id())).contains("earth");
        assertThat(shut.shutBy()).contains("what was seen is not valid any more");
    }

    @Test
    void mainsWorkPutsBackOnlyTheBarsItTouchesAndLiftingThemOpensTheGateAgain() {
        Lived lived = inOrder().happened(2, Change.MAINS_WORK);
        Gate shut = lived.at(2).gate();
        assertThat(shut.isOpen()).isFalse();
        assertThat(shut.bars())
                .filteredOn(line -> !line.lifted())
                .extracting(line -> line.bar().id())
                .containsExactly("wiring", "earth", "stop", "interlock");
        assertThat(shut.shutBy()).contains("mains work");
        for (Bar bar : shut.bars().stream()
                .filter(line -> !line.lifted())
                .map(Gate.Line::bar)
                .toList()) {
            lived.bar(3, bar, true);
        }
        assertThat(lived.at(3).gate().isOpen()).isTrue();
        assertThat(lived.at(3).gate().shutBy()).isEmpty();
        assertThat(lived.at(3).gate().openedBy().orElseThrow())
                .as("whoever answered last")
                .isEqualTo(lived.last());
    }

    @Test
    void aCleanedLensIsFocusedAgainOnlyWhenItCameOutOfItsSeat() {
        assertThat(inOrder().cleaned(2, false).at(2).stop("focus-ramp").state()).isEqualTo(StopState.PASSED);
        assertThat(inOrder().cleaned(2, true).at(2).stop("focus-ramp").state()).isEqualTo(StopState.DUE);
        assertThat(inOrder()
                        .follows(
                                2,
                                new Body.Happened(
                                        Change.CLEANED, "", Optional.of(new Body.Cleaning("window", "", "", false)))))
                .containsExactly("Nothing has to be done again. It stands in the logbook.");
    }

    @Test
    void anOpenPointStandsUntilItIsClosedAndMakesTheMachineDueOnlyWhenItIsLate() {
        Lived lived = inOrder().point(1, "new hose", Optional.of(LocalDate.of(2031, 1, 9)));
        int opened = lived.last().number();
        assertThat(lived.at(2).state()).isEqualTo(MachineState.IN_ORDER);
        assertThat(lived.at(2).points()).hasSize(1);
        assertThat(lived.at(2).todo()).anySatisfy(todo -> {
            assertThat(todo.action().words()).isEqualTo("new hose (LO)");
            assertThat(todo.entry()).hasValue(opened);
        });
        assertThat(lived.at(12).state()).isEqualTo(MachineState.DUE);
        assertThat(lived.at(12).todo().get(0).when()).isEqualTo("4 days late");
        assertThat(lived.closed(12, opened).at(12).state()).isEqualTo(MachineState.IN_ORDER);
        assertThat(lived.at(12).points()).isEmpty();
    }
}
