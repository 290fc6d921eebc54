package zebrawood.desktop.route;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.procedure.Phase;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.units.UnitChoice;

/**
 * A phase of the Route with its rows: one line of it says how the whole of it stands.
 *
 * @param rows at least one, in the order of the work
 */
record PhaseRows(Phase phase, List<Parts> rows) {

    /** What makes a phase need somebody, the worst first, and how it is counted in words. */
    private static final Map<StopState, String> NEEDS = new LinkedHashMap<>();

    static {
        NEEDS.put(StopState.FAILED, "failed");
        NEEDS.put(StopState.ADJUST, "to change");
        NEEDS.put(StopState.UNCLEAR, "unclear");
        NEEDS.put(StopState.DUE, "due");
    }

    /** The phases that a machine has, in the order of the work. */
    static List<PhaseRows> of(MachineStatus machine) {
        Map<Phase, List<Parts>> phases = new LinkedHashMap<>();
        for (StopStatus stop : machine.stops()) {
            Parts parts = Parts.of(machine, stop);
            if (parts.stops().get(0) == stop) {
                phases.computeIfAbsent(stop.card().phase(), phase -> new ArrayList<>())
                        .add(parts);
            }
        }
        return phases.entrySet().stream()
                .map(phase -> new PhaseRows(phase.getKey(), phase.getValue()))
                .toList();
    }

    boolean has(String stop) {
        return rows.stream().anyMatch(parts -> parts.has(stop));
    }

    /** Whether it is shown open whatever one does: something in it is due, or failed. */
    boolean unfolds() {
        return count(StopState.DUE) + count(StopState.FAILED) > 0;
    }

    private List<StopStatus> stops() {
        List<StopStatus> all =
                rows.stream().flatMap(parts -> parts.stops().stream()).toList();
        List<StopStatus> asked = all.stream().filter(StopStatus::isAsked).toList();
        return asked.isEmpty() ? all : asked;
    }

    private long count(StopState state) {
        return stops().stream().filter(stop -> stop.state() == state).count();
    }

    private long passed() {
        return count(StopState.PASSED) + count(StopState.NOTE);
    }

    /** The worst of its stops; half done where some are passed and others not begun. */
    StopState shape(Optional<String> draft) {
        for (StopState need : NEEDS.keySet()) {
            if (count(need) > 0) {
                return need;
            }
        }
        if (draft.filter(this::has).isPresent()) {
            return StopState.BEGUN;
        }
        if (count(StopState.SHUT) > 0 && count(StopState.OPEN) == 0) {
            return StopState.SHUT;
        }
        if (count(StopState.OFFERED) == stops().size()) {
            return StopState.OFFERED;
        }
        return passed() == stops().size() ? StopState.PASSED : passed() == 0 ? StopState.OPEN : StopState.BEGUN;
    }

    /** Its one key figure: what needs somebody, else how far it is. */
    String words(Optional<String> draft, UnitChoice units) {
        for (Map.Entry<StopState, String> need : NEEDS.entrySet()) {
            long count = count(need.getKey());
            if (count > 0) {
                return stops().size() == 1 ? figure(need.getValue(), units) : count + " " + need.getValue();
            }
        }
        int all = stops().size();
        return switch (shape(draft)) {
            case SHUT ->
                stops().stream()
                        .filter(stop -> stop.state() == StopState.SHUT)
                        .findFirst()
                        .flatMap(StopStatus::note)
                        .orElse("shut");
            case OPEN -> "open";
            case OFFERED -> StopState.OFFERED.word();
            case PASSED -> all == 1 ? figure("passed", units) : all + " of " + all + " passed";
            default -> passed() == 0 ? "draft kept" : passed() + " of " + all + " passed";
        };
    }

    /** The key figure of the only stop. */
    private String figure(String otherwise, UnitChoice units) {
        return stops().get(0).keyFigure().map(said -> said.in(units)).orElse(otherwise);
    }
}
