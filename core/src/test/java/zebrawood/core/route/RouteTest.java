package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.procedure.Change;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;

class RouteTest {

    private static StopState ramp(MachineStatus machine) {
        return machine.stop("focus-ramp").state();
    }

    @Test
    void aNewMachineIsNotBegunAndNothingThatFiresIsOpen() {
        MachineStatus machine = new Lived().at(0);

        assertThat(machine.state()).isEqualTo(MachineState.NOT_BEGUN);
        assertThat(ramp(machine)).isEqualTo(StopState.SHUT);
        assertThat(machine.stop("focus-ramp").note()).contains("needs First light");
        assertThat(machine.stops()).extracting(stop -> stop.card().id()).containsExactly("site-climate", "focus-ramp");
    }

    @Test
    void allPassedAndNothingLateIsInOrder() {
        MachineStatus machine = new Lived().climate(0, 50).gate(1).ramp(1).at(20);

        assertThat(machine.state()).isEqualTo(MachineState.IN_ORDER);
        assertThat(machine.todo()).isEmpty();
    }

    @Test
    void everyBarButTheLastLeavesItShut() {
        Lived lived = new Lived().climate(0, 50);
        List<Bar> bars = FirstLight.bars(lived.at(0).plate());
        bars.subList(0, bars.size() - 1).forEach(bar -> lived.bar(1, bar, true));

        assertThat(lived.at(1).gate().isOpen()).isFalse();
        assertThat(lived.at(1).gate().inHand().orElseThrow().bar().fires()).isTrue();
        assertThat(lived.bar(1, bars.get(bars.size() - 1), true).at(1).gate().isOpen())
                .isTrue();
    }

    @Test
    void aBarThatFailedStaysInHand() {
        Lived lived = new Lived();
        Bar first = FirstLight.bars(lived.at(0).plate()).get(0);
        Gate gate = lived.bar(0, first, false).at(0).gate();

        assertThat(gate.inHand().orElseThrow().bar()).isEqualTo(first);
        assertThat(gate.inHand().orElseThrow().failed()).isTrue();
    }

    @Test
    void movedAndSourceChangedShutTheGateALensDoesNotButRaisesTheRefocusFlag() {
        assertThat(new Lived()
                        .climate(0, 50)
                        .gate(0)
                        .ramp(0)
                        .happened(2, Change.MOVED)
                        .at(2)
                        .gate()
                        .isOpen())
                .isFalse();
        assertThat(new Lived()
                        .climate(0, 50)
                        .gate(0)
                        .ramp(0)
                        .happened(2, Change.SOURCE_CHANGED)
                        .at(2)
                        .gate()
                        .isOpen())
                .isFalse();

        Lived lens = new Lived().climate(0, 50).gate(0).ramp(0).happened(2, Change.LENS_CHANGED);
        assertThat(lens.at(2).gate().isOpen()).isTrue();
        assertThat(ramp(lens.at(2))).isEqualTo(StopState.DUE);
        assertThat(lens.at(2).stop("focus-ramp").note()).contains("lens out and back 3 Jan");
        assertThat(ramp(lens.ramp(3).at(3))).isEqualTo(StopState.PASSED);
    }

    @Test
    void longDisuseShutsTheGateAndUseKeepsItOpen() {
        assertThat(new Lived().climate(0, 50).gate(0).at(61).gate().isOpen()).isFalse();
        assertThat(new Lived().climate(0, 50).gate(0).at(61).gate().shutBy()).contains("60 days unused");
        assertThat(new Lived().climate(0, 50).gate(0).ramp(50).at(109).gate().isOpen())
                .isTrue();
        assertThat(new Lived().climate(0, 50).gate(0).ramp(70).at(71).gate().isOpen())
                .as("a use after it had shut")
                .isFalse();
    }

    @Test
    void aCorrectionShutsAGateButNeverOpensOne() {
        Lived lived = new Lived().climate(0, 50).gate(0);
        assertThat(lived.correctBar(5, 4, false).at(5).gate().isOpen()).isFalse();
        assertThat(lived.correctBar(6, 4, true).at(6).gate().isOpen()).isFalse();
    }

    @Test
    void aCorrectedReadingCountsFromWhenItsFirstWasTaken() {
        Lived lived = new Lived().climate(0, 50).gate(0).ramp(1);
        Entry wrong = lived.last();
        lived.ramp(
                40, Optional.of(new Entry.Correction(wrong.number(), wrong.standsAt(), wrong.since(), "wrong block")));

        assertThat(lived.at(62).gate().isOpen())
                .as("the correction was no use of the machine")
                .isFalse();
        assertThat(lived.at(41).stop("focus-ramp").due())
                .contains(Lived.day(61).atZone(ZoneOffset.UTC).toLocalDate());
    }

    @Test
    void dueCountsFromTheLastThatPassedAndLateIsSaidInDays() {
        Lived lived = new Lived().climate(0, 50).gate(0).ramp(0).ramp(55);

        assertThat(lived.at(90).stop("site-climate").state()).isEqualTo(StopState.PASSED);
        assertThat(lived.at(84).todo()).extracting(Todo::urgency).containsExactly(Todo.Urgency.DUE_SOON);
        MachineStatus late = lived.at(94);
        assertThat(late.state()).isEqualTo(MachineState.DUE);
        assertThat(late.stop("site-climate").note()).contains("4 days late");
        assertThat(lived.climate(95, 90).at(95).state()).isEqualTo(MachineState.FAILED);
    }

    @Test
    void dueSoonBeginsSevenDaysBefore() {
        Lived lived = new Lived().climate(0, 50).gate(0).ramp(40);
        assertThat(lived.at(82).todo()).as("eight days before").isEmpty();
        assertThat(lived.at(82).detail()).isEqualTo("all 2 stops passed");
        assertThat(lived.at(83).todo()).extracting(Todo::urgency).containsExactly(Todo.Urgency.DUE_SOON);
        assertThat(lived.at(83).detail()).startsWith("Climate due");
        assertThat(lived.at(90).todo())
                .as("on the day itself it is not late")
                .extracting(Todo::urgency)
                .containsExactly(Todo.Urgency.DUE_SOON);
        assertThat(lived.at(91).todo()).extracting(Todo::when).containsExactly("1 day late");

        Lived point = new Lived()
                .climate(0, 50)
                .gate(0)
                .ramp(0)
                .point(
                        0,
                        "lid gasket",
                        Optional.of(Lived.day(20).atZone(ZoneOffset.UTC).toLocalDate()));
        assertThat(point.at(12).todo()).extracting(Todo::urgency).containsExactly(Todo.Urgency.POINT);
        assertThat(point.at(13).todo()).extracting(Todo::urgency).containsExactly(Todo.Urgency.DUE_SOON);
        assertThat(point.at(21).todo()).extracting(Todo::urgency).containsExactly(Todo.Urgency.LATE);
    }

    @Test
    void daysBeginAtMidnightOfWhoeverAsks() {
        History history = new Lived().climate(0, 50).gate(60).ramp(60).history();
        Route route = new Route(List.of(new FocusRamp(), new SiteClimate()));
        Instant evening = Instant.parse("2031-04-01T20:30:00Z");
        assertThat(route.status(history, evening, ZoneOffset.UTC)
                        .stop("site-climate")
                        .state())
                .as("its last day")
                .isEqualTo(StopState.PASSED);
        assertThat(route.status(history, evening, ZoneOffset.ofHours(4))
                        .stop("site-climate")
                        .note())
                .as("past midnight further east")
                .contains("1 day late");
    }

    @Test
    void theMostUrgentComesFirstAndOfEquallyUrgentTheOlder() {
        MachineStatus failed = new Lived().climate(3, 90).gate(3).at(4);
        MachineStatus shut =
                new Lived().climate(0, 50).gate(0).happened(2, Change.MOVED).at(4);
        MachineStatus late = new Lived().climate(0, 50).gate(60).ramp(60).at(94);
        MachineStatus laterLate = new Lived().climate(2, 50).gate(60).ramp(60).at(94);

        assertThat(Route.next(List.of(laterLate, late, shut, failed)))
                .extracting(Todo::urgency)
                .startsWith(Todo.Urgency.FAILED, Todo.Urgency.GATE_SHUT)
                .containsSubsequence(Todo.Urgency.LATE, Todo.Urgency.LATE);
        assertThat(Route.next(List.of(laterLate, late)))
                .extracting(Todo::when)
                .startsWith("4 days late", "2 days late");
    }

    /**
     * State follows from the entries and the time handed in, nothing else: asked twice, or in another order, it is the
     * same.
     */
    @Test
    void stateIsAFunctionOfEntriesAndTime() {
        Lived lived = new Lived()
                .climate(0, 50)
                .gate(1)
                .ramp(2)
                .happened(9, Change.LENS_CHANGED)
                .climate(30, 90)
                .ramp(31);
        for (int day = 0; day < 140; day += 7) {
            assertThat(lived.at(day)).isEqualTo(lived.at(day));
        }
        assertThat(lived.at(40)).isNotEqualTo(lived.at(120));
    }

    @Test
    void aMachineWithAnOpenStopIsHalfCommissionedAndToldWhatComesNext() {
        MachineStatus machine = new Lived().climate(0, 50).gate(1).at(2);

        assertThat(machine.state()).isEqualTo(MachineState.HALF_COMMISSIONED);
        assertThat(machine.detail()).isEqualTo("Ramp line: not done yet");
        assertThat(machine.todo()).singleElement().satisfies(todo -> {
            assertThat(todo.urgency()).isEqualTo(Todo.Urgency.OPEN);
            assertThat(todo.stop()).isEqualTo("focus-ramp");
        });
    }

    @Test
    void theKeyFigureAndTheFirstInstructionSpeakForAStop() {
        MachineStatus machine = new Lived().climate(0, 90).at(1);

        assertThat(machine.stop("site-climate").keyFigure().orElseThrow().in(UnitChoice.METRIC))
                .isEqualTo("dew 19.3 °C");
        assertThat(machine.todo().get(0).action().in(UnitChoice.METRIC))
                .isEqualTo("Dry the air to 75 % or less at this temperature.");
        assertThat(machine.todo().get(0).when()).isEqualTo("1 Jan, LO");
        assertThat(machine.stopsBeforeGate()).isEqualTo(1);
    }

    @Test
    void theGateHasTheBarsOfItsMachineAndIsOpenedByTheLast() {
        MachineStatus air = new Lived().climate(0, 50).gate(1).at(2);
        long bars = air.gate().bars().size();

        assertThat(air.gate().isOpen()).isTrue();
        assertThat(air.gate().bars())
                .extracting(line -> line.bar().id())
                .as("what the plate does not say is asked")
                .contains("fibre", "water", "interlock")
                .doesNotContain("air", "area");
        assertThat(air.gate().lifted()).isEqualTo(bars);
        assertThat(air.gate().openedBy().orElseThrow().number())
                .as("the last bar's entry")
                .isEqualTo((int) bars + 2);
    }

    @Test
    void anOpenPointSaysWhatWhoAndByWhen() {
        LocalDate due = LocalDate.of(2031, 1, 21);
        Lived lived = new Lived()
                .climate(0, 50)
                .gate(0)
                .ramp(0)
                .point(0, "lid gasket", Optional.of(due))
                .recorded(1, new Body.PointOpened("mend the catch", "", Optional.empty()));

        assertThat(lived.at(2).todo())
                .extracting(todo -> todo.action().in(UnitChoice.METRIC), Todo::when, Todo::since)
                .containsExactly(
                        tuple("mend the catch", "open", lived.last().since()),
                        tuple("lid gasket (LO)", "by 21 Jan", Instant.parse("2031-01-21T00:00:00Z")));
        assertThat(lived.at(14).todo())
                .extracting(Todo::urgency, Todo::when, Todo::shape)
                .containsExactly(
                        tuple(Todo.Urgency.DUE_SOON, "on Tuesday", StopState.DUE),
                        tuple(Todo.Urgency.POINT, "open", StopState.OPEN));
        assertThat(lived.at(19).todo().get(0).when()).isEqualTo("tomorrow");
        assertThat(lived.at(20).todo().get(0).when()).isEqualTo("today");
        assertThat(lived.at(20).state()).isEqualTo(MachineState.IN_ORDER);
        assertThat(lived.at(21).state()).isEqualTo(MachineState.DUE);
        assertThat(lived.at(21).detail()).isEqualTo("an open point is late");
    }

    @Test
    void aShutGateSaysItsNextBarTheMinutesOfAllThatAreLeftAndSinceWhen() {
        Lived lived = new Lived();
        assertThat(lived.at(0).todo()).as("not begun").noneMatch(todo -> todo.urgency() == Todo.Urgency.GATE_SHUT);
        List<Bar> bars = FirstLight.bars(lived.at(0).plate());
        lived.bar(0, bars.get(0), true).bar(0, bars.get(1), true);
        MachineStatus machine = lived.at(1);

        Todo gate = machine.todo().get(0);
        assertThat(gate.action().in(UnitChoice.METRIC)).isEqualTo(bars.get(2).action() + ".");
        assertThat(gate.minutes())
                .isEqualTo(bars.stream().skip(2).mapToInt(Bar::minutes).sum());
        assertThat(gate.when()).isEqualTo("bar 3 of " + bars.size());
        assertThat(gate.since()).isEqualTo(lived.last().stamp().at());
        assertThat(machine.detail()).isEqualTo("First light: 2 of " + bars.size() + " bars");
        assertThat(lived.bar(1, bars.get(2), false).at(1).todo().get(0).when()).isEqualTo("failed");

        Lived moved = new Lived().climate(0, 50).gate(0).ramp(0).happened(2, Change.MOVED);
        assertThat(moved.at(3).todo().get(0).since())
                .isEqualTo(moved.last().stamp().at());
    }

    @Test
    void onlyTheNewestChangeIsNamedAndOnlyOneAfterTheReading() {
        Lived lived = new Lived().climate(0, 50).gate(0).ramp(1).happened(2, Change.LENS_CHANGED);
        assertThat(lived.happened(5, Change.LENS_CHANGED)
                        .at(6)
                        .stop("focus-ramp")
                        .note())
                .contains("lens out and back 6 Jan");
        assertThat(lived.at(6).todo())
                .extracting(todo -> todo.action().in(UnitChoice.METRIC), Todo::when)
                .contains(tuple("Ramp line is to be done again: lens out and back 6 Jan.", "stale"));
        assertThat(lived.at(6).detail()).isEqualTo("Ramp line, lens out and back 6 Jan");
    }

    /** Whatever bars are lifted: nothing fires while something that could hurt or burn stands as failed. */
    @Test
    void aStopThatFailedHoldsTheGateUntilItPasses() {
        Lived lived = new Lived().climate(0, 50).gate(1).ramp(2);
        assertThat(lived.at(3).gate().isOpen()).isTrue();
        MachineStatus held = lived.climate(4, 90).at(4);
        assertThat(held.gate().isCleared()).isTrue();
        assertThat(held.gate().isOpen()).isFalse();
        assertThat(held.gate().heldInWords()).isEqualTo("Climate");
        assertThat(ramp(held)).isEqualTo(StopState.SHUT);
        assertThat(held.stop("focus-ramp").note()).contains("needs Climate");
        assertThat(held.todo())
                .as("the failed stop itself is what comes next")
                .first()
                .satisfies(todo -> assertThat(todo.stop()).isEqualTo("site-climate"));
        assertThat(held.todo()).noneMatch(todo -> todo.urgency() == Todo.Urgency.GATE_SHUT);
        assertThat(lived.climate(5, 50).at(5).gate().isOpen()).isTrue();
        assertThat(ramp(lived.at(5))).isEqualTo(StopState.PASSED);
    }

    /** One that stayed unclear answers nothing: what failed before it still may not fire. */
    @Test
    void anUnclearReadingDoesNotLetGoOfAGateThatAFailHolds() {
        Lived lived = new Lived().climate(0, 50).gate(1).climate(4, 90).againButUnclear(5);
        assertThat(lived.at(5).stop("site-climate").state()).isEqualTo(StopState.UNCLEAR);
        assertThat(lived.at(5).gate().heldInWords()).isEqualTo("Climate");
        assertThat(lived.at(5).gate().isOpen()).isFalse();
        assertThat(lived.climate(6, 50).at(6).gate().isOpen()).isTrue();
    }

    @Test
    void whatAFitProvedStandsUntilAnotherFitOrSomethingThatHappened() {
        Lived lived = new Lived().climate(0, 50).gate(0).fitted(1);
        String proved = figure(lived.at(1));
        assertThat(figure(lived.ramp(2).at(2))).as("a quick line after it").isEqualTo(proved);
        assertThat(ramp(lived.at(2))).isEqualTo(StopState.PASSED);
        assertThat(lived.at(2).stop("focus-ramp").last().orElseThrow().day()).isEqualTo(LocalDate.of(2031, 1, 3));

        assertThat(figure(lived.againButUnclear(3).at(3))).isEqualTo(proved);
        assertThat(ramp(lived.at(3))).isEqualTo(StopState.UNCLEAR);
        assertThat(lived.at(3).stop("focus-ramp").note()).contains("older figure");

        String quick = figure(lived.happened(4, Change.LENS_CHANGED).ramp(5).at(5));
        assertThat(quick).as("of the new lens").isNotEqualTo(proved);
        assertThat(figure(lived.fitted(6).at(6))).isEqualTo(proved);
        assertThat(lived.at(6).stop("focus-ramp").proved()).isEmpty();
    }

    private static String figure(MachineStatus machine) {
        return machine.stop("focus-ramp").keyFigure().orElseThrow().in(UnitChoice.METRIC);
    }
}
