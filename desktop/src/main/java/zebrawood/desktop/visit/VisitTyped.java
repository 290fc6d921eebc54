package zebrawood.desktop.visit;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.Plate;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Typed;
import zebrawood.core.units.UnreadableException;
import zebrawood.core.visit.Acclimatising;
import zebrawood.core.visit.Crew;
import zebrawood.core.visit.Pace;
import zebrawood.core.visit.Planner;
import zebrawood.core.visit.Task;
import zebrawood.core.visit.VisitTasks;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.form.Draft;

/** A visit as it is typed: which machines, who, when, how cold, what else; read into a plan. */
final class VisitTyped {

    static final String MACHINES = "machines";
    static final String TECHNICIANS = "technicians";
    static final String START = "start";
    static final String ELECTRICIAN = "electrician";
    static final String COLD = "cold";
    static final String BESIDES = "besides";
    private static final int STEP_MIN = 5;
    /** more is no day's work, and not planned between two keystrokes */
    private static final int MOST_TASKS = 120;

    private final Desk desk;
    private final Draft draft;

    VisitTyped(Desk desk, Draft draft) {
        this.desk = desk;
        this.draft = draft;
    }

    /** One or two. */
    int technicians() {
        return draft.text(TECHNICIANS).equals("2") ? 2 : 1;
    }

    /** Ids of the machines that are ticked. */
    Set<String> chosen() {
        return Arrays.stream(draft.text(MACHINES).split(",")).collect(Collectors.toSet());
    }

    /** What is typed wrongly; its message is a sentence that says what to type. */
    static final class NotPlanned extends Exception {
        private static final long serialVersionUID = 1;

        NotPlanned(String sentence) {
            super(sentence);
        }
    }

    /** The plan as it is typed, from now on or from when it begins. */
    VisitDay planned(Map<String, Instant> waits, Pace pace) throws NotPlanned {
        Instant now = desk.now().truncatedTo(ChronoUnit.MINUTES);
        LocalDateTime wall = desk.local(now);
        ZoneOffset zone =
                ZoneOffset.ofTotalSeconds((int) Duration.between(LocalDateTime.ofInstant(now, ZoneOffset.UTC), wall)
                        .toSeconds());
        LocalDateTime start = clock(START, wall).orElse(wall);
        // what is over already is not planned again: the rest goes on from now
        LocalDateTime from = up(start.isBefore(wall) ? wall : start);
        Optional<LocalDateTime> comes = clock(ELECTRICIAN, wall);
        OptionalInt electrician = comes.isPresent()
                ? OptionalInt.of(
                        (int) Math.max(0, Duration.between(from, comes.get()).toMinutes()))
                : OptionalInt.empty();
        Crew crew = new Crew(technicians(), electrician);
        List<MachineStatus> machines = desk.machines().get().stream()
                .filter(machine -> chosen().contains(machine.machineId()))
                .toList();
        Map<String, Integer> over = new HashMap<>();
        waits.forEach((bar, end) -> over.put(bar, (int) Math.max(
                0, Math.ceil(Duration.between(from, desk.local(end)).toSeconds() / 60.0))));
        List<Task> tasks = new ArrayList<>(VisitTasks.of(
                machines, new VisitTasks.Asked(acclimatise(machines), comes.isPresent(), over), pace::minutes));
        tasks.addAll(besides(machines));
        if (tasks.size() > MOST_TASKS) {
            throw new NotPlanned("That is more than one visit: " + tasks.size() + " tasks. Tick fewer machines.");
        }
        return new VisitDay(Planner.plan(tasks, crew), crew, from.toInstant(zone), from);
    }

    /** To the next five minutes: nobody reads a plan by the minute. */
    private static LocalDateTime up(LocalDateTime at) {
        int over = at.getMinute() % STEP_MIN;
        return over == 0 ? at : at.plusMinutes(STEP_MIN - over);
    }

    private Optional<LocalDateTime> clock(String name, LocalDateTime today) throws NotPlanned {
        String text = draft.text(name).strip().replace('.', ':');
        if (text.isEmpty()) {
            return Optional.empty();
        }
        if (!text.matches("([01]?\\d|2[0-3])(:[0-5]\\d)?")) {
            throw new NotPlanned("Type a time of the day, such as 9:30, instead of \"" + text + "\".");
        }
        String[] parts = text.split(":");
        return Optional.of(today.toLocalDate()
                .atTime(LocalTime.of(Integer.parseInt(parts[0]), parts.length > 1 ? Integer.parseInt(parts[1]) : 0)));
    }

    private Map<String, Integer> acclimatise(List<MachineStatus> machines) throws NotPlanned {
        String text = draft.text(COLD).strip();
        Map<String, Integer> minutes = new HashMap<>();
        if (text.isEmpty()) {
            return minutes;
        }
        double came;
        try {
            came = Typed.read(text, Quantity.TEMPERATURE, desk.units().get()).base();
        } catch (UnreadableException unreadable) {
            throw new NotPlanned("How cold the machine was when it came in: " + unreadable.getMessage() + ".");
        }
        for (MachineStatus machine : machines) {
            String name = machine.plate().name();
            ClimateReadings room = room(machine)
                    .orElseThrow(() -> new NotPlanned("Read the climate of the room of " + name
                            + " today: its dew point says how long the machine has to stand."));
            double mass = machine.plate()
                    .size()
                    .map(Plate.Size::massKg)
                    .orElse(OptionalDouble.empty())
                    .orElse(0);
            try {
                minutes.put(
                        machine.machineId(),
                        Acclimatising.minutes(came, room.airTemperatureC(), room.relativeHumidityPct(), mass)
                                .orElseThrow(() -> new NotPlanned("The air in the room of " + name
                                        + " is so damp that water falls on a cold machine for more than a day. Dry the "
                                        + "air or warm the room, then read the climate again.")));
            } catch (ReadingException refused) {
                throw new NotPlanned("How cold the machine was when it came in: " + refused.getMessage() + ".");
            }
        }
        return minutes;
    }

    /** The air as it was read today: a dew point of yesterday proves nothing. */
    private Optional<ClimateReadings> room(MachineStatus machine) {
        return machine.stops().stream()
                .filter(stop -> stop.card().id().equals("site-climate"))
                .flatMap(stop -> stop.reading().stream())
                .filter(reading -> reading.day().equals(desk.local(desk.now()).toLocalDate()))
                .flatMap(reading -> reading.measured().stream())
                .filter(Body.Measured::isRead)
                .map(measured -> (ClimateReadings) measured.readings())
                .findFirst();
    }

    private List<Task> besides(List<MachineStatus> machines) throws NotPlanned {
        List<Task> tasks = new ArrayList<>();
        for (String line : draft.text(BESIDES).split(";")) {
            if (!line.isBlank()) {
                try {
                    tasks.add(Besides.read(
                            line.strip(),
                            tasks.size() + 1,
                            machines.stream()
                                    .map(machine -> machine.plate().name())
                                    .toList()));
                } catch (Besides.Unread unread) {
                    throw new NotPlanned(unread.getMessage());
                }
            }
        }
        return tasks;
    }
}
