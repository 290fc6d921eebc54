package zebrawood.desktop.certificate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Card;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.route.Todo;
import zebrawood.core.units.Days;
import zebrawood.core.units.UnitChoice;

/**
 * What a certificate says of a machine as a whole, and every point that speaks against it: the headline counts what the
 * lists under it show.
 *
 * @param shape with which it stands there
 * @param title in one line
 * @param under why
 * @param points what is open, numbered as they stand
 * @param soon what is only due within the week; it does not speak against the machine
 */
record Standing(StopState shape, String title, String under, List<Point> points, List<Point> soon) {

    /** Something open, and since or until when. */
    record Point(String words, String when) {}

    /** @param flaw what is wrong with the logbook as a whole */
    static Standing of(MachineStatus machine, UnitChoice units, Optional<String> flaw) {
        List<Point> points = new ArrayList<>();
        List<Point> soon = new ArrayList<>();
        leftOpen(machine).ifPresent(points::add);
        notMeasured(machine).ifPresent(points::add);
        for (Todo todo : machine.todo()) {
            Point point = new Point(todo.stopTitle() + ": " + todo.action().in(units), todo.when());
            switch (todo.urgency()) {
                case OPEN -> {
                    // all of them stand in one line already
                }
                case NOT_LOOKED -> {
                    // of the day, not of how the machine was commissioned
                }
                case DUE_SOON -> soon.add(point);
                default -> points.add(point);
            }
            if (todo.urgency() == Todo.Urgency.ADJUST || todo.urgency() == Todo.Urgency.UNCLEAR) {
                points.addAll(further(machine, todo, units));
            }
        }
        if (flaw.isPresent()) {
            return new Standing(
                    StopState.FAILED,
                    "Not certified: the logbook is not as it was written",
                    flaw.get()
                            + ". What is shown below may not be what was recorded; put the logbook right and write the"
                            + " certificate again.",
                    points,
                    soon);
        }
        String lacking = lacking(machine);
        String first = points.isEmpty() ? "" : "Open: " + points.get(0).words();
        if (!lacking.isEmpty()) {
            return new Standing(shape(machine), "Not in order: " + lacking, first, points, soon);
        }
        if (!points.isEmpty()) {
            String many = points.size() == 1 ? "one point" : points.size() + " points";
            StopState shape = machine.state().shape() == StopState.PASSED
                    ? StopState.NOTE
                    : machine.state().shape();
            return new Standing(shape, "In order but for " + many, first, points, soon);
        }
        return new Standing(
                StopState.PASSED,
                "In order: all that was checked passes, and nothing is late",
                "Checked: " + machine.asked().size() + " stops and the first light gate.",
                points,
                soon);
    }

    /** The further instructions of a finding; a failed stop's are other ways to the same end, and not told. */
    private static List<Point> further(MachineStatus machine, Todo todo, UnitChoice units) {
        return machine.stop(todo.stop()).reading().flatMap(CountedReading::measured).stream()
                .flatMap(measured -> measured.instructions().stream().skip(1))
                .map(more -> new Point(todo.stopTitle() + ": " + more.action().in(units), todo.when()))
                .toList();
    }

    private static Optional<Point> leftOpen(MachineStatus machine) {
        return machine.gate()
                .service()
                .map(service -> new Point(
                        (service.running() ? "Service firing goes on" : "Service firing was left open") + ": "
                                + service.what().who() + ", "
                                + String.join(", ", service.what().open())
                                + ". Covers and interlock are not tested again yet.",
                        Days.brief(service.begun().day())));
    }

    private static Optional<Point> notMeasured(MachineStatus machine) {
        String names = machine.asked().stream()
                .filter(stop -> stop.reading().isEmpty())
                .map(stop -> stop.card().title())
                .collect(Collectors.joining(", "));
        return names.isEmpty() ? Optional.empty() : Optional.of(new Point("Not measured yet: " + names + ".", "open"));
    }

    /** What keeps a machine from being in order, counted: {@code 1 failed, 2 not measured, first light not cleared}. */
    private static String lacking(MachineStatus machine) {
        List<String> counts = new ArrayList<>();
        count(machine, StopState.FAILED, "failed", counts);
        count(machine, StopState.UNCLEAR, "unclear", counts);
        long open = machine.asked().stream()
                .filter(stop -> stop.reading().isEmpty())
                .count();
        if (open > 0) {
            counts.add(open + " not measured");
        }
        long waiting = machine.stops().stream()
                .filter(stop -> stop.state() == StopState.SHUT && stop.reading().isPresent())
                .count();
        if (waiting > 0) {
            counts.add(waiting + " shut");
        }
        if (!machine.gate().isOpen()) {
            counts.add("first light " + (machine.gate().isCleared() ? "held" : "not cleared"));
        }
        if (!machine.unjudged().isEmpty()) {
            counts.add(machine.unjudged().size() + " not judged");
        }
        return String.join(", ", counts);
    }

    private static void count(MachineStatus machine, StopState state, String word, List<String> counts) {
        long many = machine.asked().stream()
                .filter(stop -> stop.counts() && stop.state() == state)
                .count();
        if (many > 0) {
            counts.add(many + " " + word);
        }
    }

    private static StopState shape(MachineStatus machine) {
        StopState shape = machine.state().shape();
        return shape == StopState.PASSED || shape == StopState.DUE ? StopState.BEGUN : shape;
    }

    /** How a stop stands on paper: one that passed is no more than noted while an open point names it. */
    static StopState shown(StopStatus stop, MachineStatus machine) {
        return stop.state() == StopState.PASSED && namedBy(stop, machine).isPresent() ? StopState.NOTE : stop.state();
    }

    /** What stands under the name of a stop that is not simply passed. */
    static String word(StopStatus stop, MachineStatus machine) {
        if (stop.state() == StopState.PASSED) {
            return namedBy(stop, machine)
                    .map(point -> "open point, no. " + point.number())
                    .orElse("");
        }
        String word = stop.state().word();
        return stop.note()
                .map(note -> stop.state() == StopState.UNCLEAR ? word + ", " + note : note)
                .orElse(word);
    }

    private static Optional<Entry> namedBy(StopStatus stop, MachineStatus machine) {
        return machine.points().stream()
                .filter(point -> point.body() instanceof Body.PointOpened opened && names(opened.what(), stop.card()))
                .findFirst();
    }

    /** Whether a text names a stop by its title, whatever the case. */
    private static boolean names(String what, Card card) {
        return what.toLowerCase(Locale.ROOT).contains(card.title().toLowerCase(Locale.ROOT));
    }
}
