package zebrawood.desktop.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.benches.Catalogue;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;

/** Which stops are one row of the Route, and which of them it tells. */
class PartsTest {

    private static StopStatus stop(String id, StopState state) {
        Procedure<?, ?> procedure = Catalogue.findStop(id).orElseThrow().procedure();
        return new StopStatus(
                procedure,
                state,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Parts water(StopState filling, StopState heat, StopState setpoint) {
        List<StopStatus> stops = List.of(
                stop("site-climate", StopState.PASSED),
                stop("coolant-mix", filling),
                stop("coolant-heat", heat),
                stop("coolant-setpoint", setpoint));
        MachineStatus machine = new MachineStatus(
                "wren", null, null, "", null, stops, List.of(), List.of(), Optional.empty(), List.of());
        return Parts.of(machine, stops.get(2));
    }

    @Test
    void theWatersThreeStopsAreOneRowAndAllOthersStandForThemselves() {
        Parts water = water(StopState.PASSED, StopState.PASSED, StopState.PASSED);
        assertThat(water.title()).isEqualTo("Water");
        assertThat(water.isShared()).isTrue();
        assertThat(water.stops())
                .extracting(stop -> stop.card().id())
                .containsExactly("coolant-mix", "coolant-heat", "coolant-setpoint");
        assertThat(water.has("coolant-mix")).isTrue();
        assertThat(water.has("site-climate")).isFalse();

        List<StopStatus> alone = Catalogue.stops().stream()
                .map(each -> stop(each.procedure().card().id(), StopState.OPEN))
                .toList();
        MachineStatus machine = new MachineStatus(
                "wren", null, null, "", null, alone, List.of(), List.of(), Optional.empty(), List.of());
        List<String> rows = new ArrayList<>();
        for (StopStatus each : alone) {
            Parts parts = Parts.of(machine, each);
            if (parts.stops().get(0) == each) {
                rows.add(parts.title());
            }
        }
        assertThat(rows)
                .hasSize(Catalogue.stops().size() - 2)
                .contains("Water", "Climate", "Ramp line")
                .doesNotContain("Filling", "Water heat", "Set-point")
                .doesNotHaveDuplicates();
    }

    /**
     * Whatever the other two say, what failed is told before what needs adjusting, that before what is late, and all of
     * it before what passed.
     */
    @ParameterizedTest
    @EnumSource(StopState.class)
    void theRowTellsThePartThatMostNeedsSomethingDone(StopState state) {
        Map<StopState, Integer> need = new EnumMap<>(StopState.class);
        List<StopState> order = List.of(
                StopState.FAILED,
                StopState.ADJUST,
                StopState.UNCLEAR,
                StopState.DUE,
                StopState.SHUT,
                StopState.BEGUN,
                StopState.OPEN,
                StopState.OFFERED,
                StopState.NOTE,
                StopState.PASSED);
        order.forEach(each -> need.put(each, order.indexOf(each)));
        assertThat(need).as("each state has its place").hasSameSizeAs(StopState.values());
        for (StopState other : StopState.values()) {
            StopState told = water(other, state, StopState.PASSED).lead().state();
            assertThat(need.get(told)).isEqualTo(Math.min(need.get(state), need.get(other)));
        }
    }
}
