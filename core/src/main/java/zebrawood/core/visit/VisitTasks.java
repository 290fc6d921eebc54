package zebrawood.core.visit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntFunction;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Phase;
import zebrawood.core.route.Gate;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;

/** What there is to do on the machines of a visit, as they stand now. */
public final class VisitTasks {

    /** minutes of waiting after the hands, by stop: what is measured there goes on by itself first */
    private static final Map<String, Integer> WAITS = Map.of("coolant-setpoint", 20);

    private static final Set<StopState> DONE = Set.of(StopState.PASSED, StopState.NOTE, StopState.OFFERED);
    /** services that are looked at, filled or written while a machine is switched off */
    private static final Set<String> UNPOWERED = Set.of("exhaust-duct", "eyewear", "startup-order", "coolant-mix");

    private static final String WAY_IN = "site-access";
    private static final String FILLING = "coolant-mix";

    private final Asked asked;
    private final ToIntFunction<Card> minutes;
    private final List<Task> tasks = new ArrayList<>();

    /**
     * What a visit is planned with.
     *
     * @param acclimatise minutes a machine stands before anything is switched on, by its id; absent is none
     * @param electrician whether a licensed electrician comes and tests the earth
     * @param over when a wait of a bar that runs already is over, in minutes of the visit, by machine and bar:
     *     {@code wren/water}
     */
    public record Asked(Map<String, Integer> acclimatise, boolean electrician, Map<String, Integer> over) {
        public Asked {
            acclimatise = Map.copyOf(acclimatise);
            over = Map.copyOf(over);
        }
    }

    private VisitTasks(Asked asked, ToIntFunction<Card> minutes) {
        this.asked = asked;
        this.minutes = minutes;
    }

    /**
     * Everything that is not done yet, due again, or not right.
     *
     * @param minutes how long a stop takes here
     */
    public static List<Task> of(List<MachineStatus> machines, Asked asked, ToIntFunction<Card> minutes) {
        VisitTasks made = new VisitTasks(asked, minutes);
        machines.forEach(made::machine);
        return made.tasks;
    }

    private void machine(MachineStatus machine) {
        String at = machine.machineId() + "/";
        String name = machine.plate().name();
        List<StopStatus> open = machine.stops().stream()
                .filter(stop -> stop.isAsked() && !DONE.contains(stop.state()))
                .toList();
        Set<String> ids = new HashSet<>();
        open.forEach(stop -> ids.add(at + stop.card().id()));
        Set<String> stand = new HashSet<>();
        int cold = asked.acclimatise().getOrDefault(machine.machineId(), 0);
        if (cold > 0) {
            stand.add(at + "acclimatise");
            tasks.add(new Task(
                    at + "acclimatise",
                    "Stand in the room, switched off",
                    name,
                    0,
                    cold,
                    Task.Who.NOBODY,
                    Set.of(),
                    0));
        }
        Set<String> ready = new HashSet<>();
        for (StopStatus stop : open) {
            if (isBeforeGate(stop.card())) {
                ready.add(at + stop.card().id());
            }
        }
        Set<String> cleared = gate(machine, at, ready, stand);
        // one laser fires for one person at a time, in the order of the Route
        Set<String> fired = new HashSet<>();
        for (StopStatus stop : open) {
            Card card = stop.card();
            Set<String> after = new HashSet<>();
            card.onRoute().requires().stream()
                    .map(other -> at + other)
                    .filter(ids::contains)
                    .forEach(after::add);
            if (!card.id().equals(WAY_IN) && ids.contains(at + WAY_IN)) {
                after.add(at + WAY_IN);
            }
            if (card.fires()) {
                after.addAll(cleared);
                after.addAll(fired);
                fired.add(at + card.id());
            }
            if (!needsNoPower(card)) {
                after.addAll(stand);
            }
            tasks.add(new Task(
                    at + card.id(),
                    card.title(),
                    name,
                    minutes.applyAsInt(card),
                    WAITS.getOrDefault(card.id(), 0),
                    card.id().equals(WAY_IN) ? Task.Who.TWO : Task.Who.ONE,
                    after,
                    0));
        }
    }

    /** Whether it can be done on a machine that stands switched off. */
    private static boolean needsNoPower(Card card) {
        return card.phase() == Phase.PLACE || UNPOWERED.contains(card.id());
    }

    private static boolean isBeforeGate(Card card) {
        return card.phase().compareTo(Phase.FIRST_LIGHT) < 0;
    }

    /**
     * The bars that stand: with the mains off one after the other; then what is only looked at, beside each other; then
     * what moves, one after the other; the pulse last.
     *
     * @param ready what comes before a machine is switched on
     * @return what has to be over before anything fires
     */
    private Set<String> gate(MachineStatus machine, String at, Set<String> ready, Set<String> stand) {
        Set<String> before = new HashSet<>(ready);
        Set<String> looked = new HashSet<>();
        String last = "";
        boolean off = true;
        for (Gate.Line line : machine.gate().bars()) {
            Bar bar = line.bar();
            if (line.lifted()) {
                continue;
            }
            String id = at + FirstLight.ID + "/" + bar.id();
            Set<String> after = new HashSet<>();
            if (bar.stage() == Bar.Stage.OFF) {
                if (!last.isEmpty()) {
                    after.add(last);
                }
                ready.stream().filter(each -> each.endsWith("/inventory")).forEach(after::add);
            } else {
                if (off) {
                    off = false;
                    if (!last.isEmpty()) {
                        before.add(last);
                    }
                    before.addAll(stand);
                }
                // a circuit is watched once it is filled; what is only looked at waits for the mains bars
                boolean look = bar.kind() == Bar.Kind.LOOK;
                after.addAll(look ? looking(before, at, bar) : before);
                if (!look) {
                    after.addAll(looked);
                }
            }
            boolean tested = bar.writes().form() == Bar.Form.TEST && asked.electrician();
            int over = asked.over().getOrDefault(machine.machineId() + "/" + bar.id(), -1);
            tasks.add(new Task(
                    id,
                    bar.title(),
                    machine.plate().name(),
                    bar.minutes(),
                    over < 0 ? bar.waitMinutes() : 0,
                    tested ? Task.Who.ELECTRICIAN : Task.Who.ONE,
                    after,
                    Math.max(0, over)));
            if (bar.stage() == Bar.Stage.OFF) {
                last = id;
            } else if (bar.kind() == Bar.Kind.LOOK) {
                looked.add(id);
            } else {
                before.add(id);
            }
        }
        Set<String> all = new HashSet<>(looked);
        tasks.stream()
                .map(Task::id)
                .filter(id -> id.startsWith(at + FirstLight.ID + "/"))
                .forEach(all::add);
        return all;
    }

    /** What comes before a bar that is only looked at: the mains bars; for water, its filling too. */
    private static Set<String> looking(Set<String> before, String at, Bar bar) {
        Set<String> after = new HashSet<>();
        for (String id : before) {
            boolean mains = id.startsWith(at + FirstLight.ID + "/") || id.endsWith("/acclimatise");
            if (mains || bar.waitMinutes() > 0 && id.equals(at + FILLING)) {
                after.add(id);
            }
        }
        return after;
    }
}
