package zebrawood.core.route;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.units.Days;
import zebrawood.core.units.Said;

/** Works out how machines stand from their entries and a moment. */
public final class Route {

    /** a week: what can still be put into next week's plan */
    private static final int DUE_SOON_DAYS = 7;

    private final List<Procedure<?, ?>> procedures;

    /** @param procedures all there are, in any order */
    public Route(List<Procedure<?, ?>> procedures) {
        this.procedures = procedures.stream()
                .sorted(Comparator.<Procedure<?, ?>, Phase>comparing(
                                p -> p.card().phase())
                        .thenComparing(p -> p.card().onRoute().order())
                        .thenComparing(p -> p.card().id()))
                .toList();
    }

    /**
     * @param now the moment
     * @param zone the offset in which days are counted
     */
    public MachineStatus status(History history, Instant now, ZoneOffset zone) {
        Plate plate = history.plate();
        Gate gate = Gate.of(history, now).heldBy(held(history));
        List<StopStatus> stops = procedures.stream()
                .filter(procedure -> isOn(procedure, plate))
                .map(procedure -> stop(procedure, history, gate, now, zone))
                .toList();
        List<Entry> points = history.openPoints();
        boolean overdue = points.stream().anyMatch(point -> isLate(point, now, zone));
        List<StopStatus> counted = stops.stream().filter(StopStatus::counts).toList();
        MachineState state = state(gate, counted, overdue);
        return new MachineStatus(
                history.machineId(),
                plate,
                state,
                detail(state, gate, counted, now, zone),
                gate,
                stops,
                points,
                todo(history, gate, counted, now, zone),
                Refocus.since(history),
                history.unjudged());
    }

    /**
     * Whether a machine has a stop, and nobody declared that it goes without; what holds the gate is never left out.
     */
    private static boolean isOn(Procedure<?, ?> procedure, Plate plate) {
        Card card = procedure.card();
        return procedure.appliesTo(plate) && !(card.canBeDeclined() && plate.goesWithout(card.id()));
    }

    /**
     * Stops whose newest reading that answered is a fail with which nothing may fire; an unclear one answers nothing.
     */
    private List<Gate.Held> held(History history) {
        return procedures.stream()
                .filter(procedure -> procedure.card().onRoute().holdsGate() && procedure.appliesTo(history.plate()))
                .filter(procedure -> history.of(procedure.card().id()).stream()
                        .filter(reading -> reading.verdict() != Verdict.UNCLEAR)
                        .findFirst()
                        .filter(reading -> reading.verdict() == Verdict.FAIL)
                        .isPresent())
                .map(procedure ->
                        new Gate.Held(procedure.card().id(), procedure.card().title()))
                .toList();
    }

    /** What follows from something that happened, in words: what it would change, were it recorded now. */
    public List<String> consequences(History history, Body.Happened happened, Instant now, ZoneOffset zone) {
        int next = Integer.MAX_VALUE;
        Entry supposed = new Entry(
                new Entry.Place(history.machineId(), next, ""),
                new Entry.Stamp(now, zone, "", ""),
                happened,
                Optional.empty(),
                List.of());
        return Consequences.between(status(history, now, zone), status(history.with(supposed), now, zone));
    }

    /** What to do next in the whole shop, most urgent first. */
    public static List<Todo> next(List<MachineStatus> machines) {
        return machines.stream()
                .flatMap(machine -> machine.todo().stream())
                .sorted(Comparator.comparing(Todo::urgency)
                        .thenComparing(Todo::since)
                        .thenComparing(Todo::machine))
                .toList();
    }

    private StopStatus stop(Procedure<?, ?> procedure, History history, Gate gate, Instant now, ZoneOffset zone) {
        Card card = procedure.card();
        List<CountedReading> readings = history.of(card.id());
        Optional<CountedReading> last = readings.stream().findFirst();
        Optional<CountedReading> passed = readings.stream()
                .filter(reading -> card.isAwaited() && reading.verdict().satisfies())
                .findFirst();
        Optional<LocalDate> byDays = passed.map(reading ->
                reading.day().plusDays(procedure.recheckDays(history.plate()).orElse(card.recheckDays())));
        Optional<ByHours> byHours = passed.flatMap(reading -> ByHours.of(procedure, reading, history, procedures));
        Optional<LocalDate> due = Stream.concat(byDays.stream(), byHours.flatMap(ByHours::day).stream())
                .min(Comparator.naturalOrder());
        Optional<StopStatus.Needed> needed = needed(card, history, gate);
        Optional<CountedReading> proved = proved(procedure, history);
        Optional<Entry> change = last.flatMap(reading -> madeStaleBy(card, reading, history));
        StopState state;
        String note = "";
        if (needed.isPresent()) {
            state = StopState.SHUT;
            note = "needs " + needed.get().title();
        } else if (last.isEmpty()) {
            state = card.isAwaited() ? StopState.OPEN : StopState.OFFERED;
        } else {
            Verdict verdict = last.get().verdict();
            boolean late =
                    verdict.satisfies() && due.isPresent() && today(now, zone).isAfter(due.get());
            state = change.isPresent() || late ? StopState.DUE : StopState.of(verdict);
            if (change.isPresent()) {
                note = ((Body.Happened) change.get().body()).change().words() + " "
                        + Days.brief(change.get().day(), today(now, zone));
            } else if (late) {
                note = late(due.get(), now, zone) + ByHours.beside(byHours, due);
            } else if (verdict == Verdict.UNCLEAR && proved.isPresent()) {
                note = "older figure";
            }
        }
        return new StopStatus(
                procedure,
                state,
                note.isEmpty() ? Optional.empty() : Optional.of(note),
                last,
                proved,
                due,
                byHours,
                needed,
                change);
    }

    /**
     * The newest reading that proved its figure, where a later one is unclear or was taken in the quick way and nothing
     * happened since that makes it stale. One that was only taken in the quick way counts before an unclear one.
     */
    private static Optional<CountedReading> proved(Procedure<?, ?> procedure, History history) {
        List<CountedReading> readings = history.of(procedure.card().id());
        if (readings.size() < 2) {
            return Optional.empty();
        }
        CountedReading newest = readings.get(0);
        if (newest.verdict() != Verdict.UNCLEAR && !newest.verdict().satisfies() || newest.proves(procedure)) {
            return Optional.empty();
        }
        CountedReading passed = null;
        for (CountedReading reading : readings) {
            if (reading.verdict().satisfies()
                    && madeStaleBy(procedure.card(), reading, history).isEmpty()) {
                if (reading.proves(procedure)) {
                    return Optional.of(reading);
                }
                passed = passed == null ? reading : passed;
            }
        }
        return passed == newest ? Optional.empty() : Optional.ofNullable(passed);
    }

    /** What has to come first: the gate, for what fires; else a stop that it requires and that this machine has. */
    private Optional<StopStatus.Needed> needed(Card card, History history, Gate gate) {
        if (card.fires() && !gate.lets(card.phase())) {
            return Optional.of(
                    gate.isCleared()
                            ? new StopStatus.Needed(
                                    gate.heldBy().get(0).stop(),
                                    gate.heldBy().get(0).title())
                            : new StopStatus.Needed(FirstLight.ID, Phase.FIRST_LIGHT.title()));
        }
        return procedures.stream()
                .filter(other -> card.onRoute().requires().contains(other.card().id()) && isOn(other, history.plate()))
                .filter(other -> history.of(other.card().id()).stream()
                        .findFirst()
                        .filter(reading -> reading.verdict().satisfies()
                                && madeStaleBy(other.card(), reading, history).isEmpty())
                        .isEmpty())
                .findFirst()
                .map(other ->
                        new StopStatus.Needed(other.card().id(), other.card().title()));
    }

    private static Optional<Entry> madeStaleBy(Card card, CountedReading last, History history) {
        return history.gateAndEvents().stream()
                .filter(entry -> entry.standsAt() > last.standsAt())
                .filter(entry -> entry.body() instanceof Body.Happened happened
                        && happened.changes().stream().anyMatch(card.redoneAfter()::contains))
                .reduce((earlier, later) -> later);
    }

    private static MachineState state(Gate gate, List<StopStatus> stops, boolean overdue) {
        boolean begun = gate.isBegun()
                || gate.shutBy().isPresent()
                || stops.stream().anyMatch(stop -> stop.reading().isPresent());
        if (any(stops, StopState.FAILED)) {
            return MachineState.FAILED;
        } else if (any(stops, StopState.ADJUST)) {
            return MachineState.NEEDS_ADJUSTING;
        } else if (!begun) {
            return MachineState.NOT_BEGUN;
        } else if (!gate.isOpen()) {
            return MachineState.HALF_COMMISSIONED;
        } else if (any(stops, StopState.UNCLEAR)) {
            return MachineState.UNCLEAR;
        } else if (any(stops, StopState.DUE) || overdue) {
            return MachineState.DUE;
        }
        return any(stops, StopState.OPEN) ? MachineState.HALF_COMMISSIONED : MachineState.IN_ORDER;
    }

    private static boolean any(List<StopStatus> stops, StopState state) {
        return stops.stream().anyMatch(stop -> stop.state() == state);
    }

    private static String detail(MachineState state, Gate gate, List<StopStatus> stops, Instant now, ZoneOffset zone) {
        return switch (state) {
            case FAILED -> of(stops, StopState.FAILED);
            case NEEDS_ADJUSTING -> of(stops, StopState.ADJUST);
            case UNCLEAR -> of(stops, StopState.UNCLEAR);
            case DUE ->
                stops.stream()
                        .filter(stop -> stop.state() == StopState.DUE)
                        .findFirst()
                        .map(stop -> stop.card().title() + ", " + stop.note().orElse(""))
                        .orElse("an open point is late");
            case HALF_COMMISSIONED ->
                gate.isOpen()
                        ? of(stops, StopState.OPEN)
                        : gate.service()
                                .map(service -> service.words(zone))
                                .orElse("First light: " + gate.lifted() + " of "
                                        + gate.bars().size() + " bars");
            case NOT_BEGUN -> "nothing checked yet";
            case IN_ORDER ->
                nextDue(stops)
                        .filter(stop -> ChronoUnit.DAYS.between(
                                        today(now, zone), stop.due().orElseThrow())
                                <= DUE_SOON_DAYS)
                        .map(stop ->
                                stop.card().title() + " due " + soon(stop.due().orElseThrow(), now, zone)
                                        + ByHours.beside(stop.byHours(), stop.due()))
                        .orElse("all " + stops.size() + " stops passed");
        };
    }

    private static String of(List<StopStatus> stops, StopState state) {
        StopStatus stop =
                stops.stream().filter(s -> s.state() == state).findFirst().orElseThrow();
        String words = switch (state) {
            case OPEN -> "not done yet";
            case UNCLEAR -> "measure more";
            default ->
                stop.keyFigure()
                        .filter(said -> said.amounts().isEmpty())
                        .map(Said::words)
                        .orElse(state.word());
        };
        return stop.card().title() + ": " + words;
    }

    private static Optional<StopStatus> nextDue(List<StopStatus> stops) {
        return stops.stream()
                .filter(stop -> stop.due().isPresent())
                .min(Comparator.comparing(stop -> stop.due().orElseThrow()));
    }

    private List<Todo> todo(History history, Gate gate, List<StopStatus> stops, Instant now, ZoneOffset zone) {
        List<Todo> todo = new ArrayList<>();
        for (StopStatus stop : stops) {
            finding(stop, history, now, zone)
                    .or(() -> due(stop, history, now, zone))
                    .ifPresent(todo::add);
        }
        boolean begun = history.gateAndEvents().size() + history.readings().size() > 0;
        if (!gate.isCleared() && begun) {
            todo.add(gate(history, gate));
        }
        Optional<StopStatus> open =
                stops.stream().filter(stop -> stop.state() == StopState.OPEN).findFirst();
        open.filter(stop -> todo.stream().noneMatch(t -> t.urgency() == Todo.Urgency.GATE_SHUT))
                .ifPresent(stop -> todo.add(todo(
                        Todo.Urgency.OPEN,
                        history,
                        stop,
                        Said.of(stop.card().title() + " comes next: it has not been done yet."),
                        history.plateEntry().stamp().at(),
                        "open")));
        history.openPoints().forEach(point -> todo.add(point(history, point, now, zone)));
        notLooked(history, now, zone).ifPresent(todo::add);
        todo.sort(Comparator.comparing(Todo::urgency).thenComparing(Todo::since));
        return todo;
    }

    /** Work was done today although nobody looked the machine over before: a lead wants to know. */
    private static Optional<Todo> notLooked(History history, Instant now, ZoneOffset zone) {
        LocalDate today = today(now, zone);
        Optional<CountedReading> work = history.daily().worked();
        if (work.isEmpty() || !work.get().day().equals(today)) {
            return Optional.empty();
        }
        Optional<CountedReading> look = history.daily().started();
        boolean looked = look.isPresent()
                && look.get().day().equals(today)
                && look.get().entry().body() instanceof Body.Started started
                && started.check().isRight();
        return looked
                ? Optional.empty()
                : Optional.of(new Todo(
                        Todo.Urgency.NOT_LOOKED,
                        history.machineId(),
                        history.plate().name(),
                        "start",
                        OptionalInt.empty(),
                        "Start of work",
                        StopState.NOTE,
                        Said.of("It was worked with today without the start of work: look now."),
                        1,
                        work.get().since(),
                        "today"));
    }

    private static boolean isLate(Entry point, Instant now, ZoneOffset zone) {
        return ((Body.PointOpened) point.body())
                .due()
                .filter(due -> today(now, zone).isAfter(due))
                .isPresent();
    }

    private static Todo point(History history, Entry entry, Instant now, ZoneOffset zone) {
        Body.PointOpened point = (Body.PointOpened) entry.body();
        boolean late = isLate(entry, now, zone);
        boolean soon = point.due()
                .filter(due -> !today(now, zone).plusDays(DUE_SOON_DAYS).isBefore(due))
                .isPresent();
        String when = point.due()
                .map(due -> late
                        ? late(due, now, zone)
                        : soon ? soon(due, now, zone) : "by " + Days.brief(due, today(now, zone)))
                .orElse("open");
        Instant since =
                point.due().map(due -> due.atStartOfDay().toInstant(zone)).orElse(entry.since());
        String words = point.what() + (point.who().isEmpty() ? "" : " (" + point.who() + ")");
        return new Todo(
                late ? Todo.Urgency.LATE : soon ? Todo.Urgency.DUE_SOON : Todo.Urgency.POINT,
                history.machineId(),
                history.plate().name(),
                "point",
                OptionalInt.of(entry.number()),
                "Open point",
                late || soon ? StopState.DUE : StopState.OPEN,
                Said.verbatim(words),
                0,
                since,
                when);
    }

    private static Optional<Todo> finding(StopStatus stop, History history, Instant now, ZoneOffset zone) {
        Optional<Todo.Urgency> urgency = switch (stop.state()) {
            case FAILED -> Optional.of(Todo.Urgency.FAILED);
            case ADJUST -> Optional.of(Todo.Urgency.ADJUST);
            case UNCLEAR -> Optional.of(Todo.Urgency.UNCLEAR);
            default -> Optional.empty();
        };
        return urgency.map(how -> {
            CountedReading last = stop.reading().orElseThrow();
            return todo(
                    how,
                    history,
                    stop,
                    action(last),
                    last.recorded(),
                    Days.brief(last.day(), today(now, zone)) + ", "
                            + last.entry().stamp().by());
        });
    }

    /** What a reading says to do first; in the words of its day where this program does not know its instructions. */
    private static Said action(CountedReading reading) {
        return reading.measured()
                .flatMap(measured -> measured.instructions().stream()
                        .findFirst()
                        .map(Instruction::action)
                        .or(() -> measured.shown().sentences().stream()
                                .findFirst()
                                .map(Said::verbatim)))
                .orElse(Said.of("Recorded by a newer Zebrawood: its entry in the Logbook says what to do."));
    }

    private static Optional<Todo> due(StopStatus stop, History history, Instant now, ZoneOffset zone) {
        String title = stop.card().title();
        if (stop.state() == StopState.DUE) {
            String note = stop.note().orElse("");
            boolean late = stop.due().isPresent()
                    && today(now, zone).isAfter(stop.due().get());
            Instant since = late
                    ? stop.due().get().atStartOfDay().toInstant(zone)
                    : stop.reading().orElseThrow().recorded();
            return Optional.of(todo(
                    Todo.Urgency.LATE,
                    history,
                    stop,
                    Said.of(title + " is to be done again: " + note + "."),
                    since,
                    late ? note : "stale"));
        }
        if (stop.state() == StopState.PASSED || stop.state() == StopState.NOTE) {
            LocalDate due = stop.due().orElse(LocalDate.MAX);
            if (!today(now, zone).plusDays(DUE_SOON_DAYS).isBefore(due)) {
                return Optional.of(todo(
                        Todo.Urgency.DUE_SOON,
                        history,
                        stop,
                        Said.of(title + " is due again " + soon(due, now, zone)
                                + ByHours.beside(stop.byHours(), stop.due()) + "."),
                        due.atStartOfDay().toInstant(zone),
                        soon(due, now, zone)));
            }
        }
        return Optional.empty();
    }

    private static Todo gate(History history, Gate gate) {
        Bar bar = gate.inHand().orElseThrow().bar();
        Instant since = gate.shutAt()
                .orElseGet(() -> gate.bars().stream()
                        .flatMap(line -> line.answer().stream())
                        .map(entry -> entry.stamp().at())
                        .max(Comparator.naturalOrder())
                        .orElse(history.plateEntry().stamp().at()));
        int minutes = gate.minutesOfHands();
        return new Todo(
                Todo.Urgency.GATE_SHUT,
                history.machineId(),
                history.plate().name(),
                FirstLight.ID,
                OptionalInt.empty(),
                "First light",
                StopState.SHUT,
                Said.of(bar.action() + "."),
                minutes,
                since,
                gate.inHand().filter(Gate.Line::failed).isPresent()
                        ? "failed"
                        : gate.service().isPresent()
                                ? "covers open"
                                : "bar " + (gate.lifted() + 1) + " of "
                                        + gate.bars().size());
    }

    private static Todo todo(
            Todo.Urgency urgency, History history, StopStatus stop, Said action, Instant since, String when) {
        return new Todo(
                urgency,
                history.machineId(),
                history.plate().name(),
                stop.card().id(),
                OptionalInt.empty(),
                stop.card().title(),
                stop.state() == StopState.PASSED ? StopState.DUE : stop.state(),
                action,
                stop.card().minutes(),
                since,
                when);
    }

    private static LocalDate today(Instant now, ZoneOffset zone) {
        return now.atOffset(zone).toLocalDate();
    }

    private static String late(LocalDate due, Instant now, ZoneOffset zone) {
        long days = ChronoUnit.DAYS.between(due, today(now, zone));
        return days + (days == 1 ? " day late" : " days late");
    }

    private static String soon(LocalDate due, Instant now, ZoneOffset zone) {
        long days = ChronoUnit.DAYS.between(today(now, zone), due);
        return days == 0 ? "today" : days == 1 ? "tomorrow" : "on " + Days.weekday(due);
    }
}
