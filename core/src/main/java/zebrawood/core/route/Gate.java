package zebrawood.core.route;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Phase;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.safety.ServiceFiring;
import zebrawood.core.units.Days;

/**
 * The first light gate of one machine at one moment.
 *
 * @param bars every bar with the entry that lifted or failed it since the gate was last shut
 * @param shutBy why bars that stand were put back in hand; empty where they never were lifted
 * @param shutAt when that was; the time of the entry, or the day the disuse ran out
 * @param heldBy stops that failed and hold it shut whatever bars are lifted, in the order of the Route
 * @param openedBy the newest answer of its bars when it is open, else the pulse with which it last was
 * @param service work with covers open that is not ended, running or left open
 */
public record Gate(
        List<Line> bars,
        Optional<String> shutBy,
        Optional<Instant> shutAt,
        List<Held> heldBy,
        Optional<Entry> openedBy,
        Optional<Service> service) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    /** A stop that failed: its id and its title. */
    public record Held(String stop, String title) {}

    /**
     * Work with covers open. It ends when the bars that it put back are lifted again.
     *
     * @param begun its entry
     * @param until when nothing fires any more
     * @param running whether that is still to come, and no other bar stands
     */
    public record Service(Entry begun, Instant until, boolean running) {
        public ServiceFiring what() {
            return ((Body.ServiceBegun) begun.body()).service();
        }

        /** {@code Service firing, RV, until 11:05}, or that it was left open. */
        public String words(ZoneOffset zone) {
            String day = Days.brief(until.atOffset(zone).toLocalDate());
            return "Service firing, " + what().who()
                    + (running ? ", until " + TIME.format(until.atOffset(zone)) : ", left open " + day);
        }
    }

    /** A bar and its answer, if it has one. */
    public record Line(Bar bar, Optional<Entry> answer) {

        public boolean lifted() {
            return answer.map(entry -> ((Body.GateLine) entry.body()).lifted()).orElse(false);
        }

        public boolean failed() {
            return answer.isPresent() && !lifted();
        }
    }

    public Gate {
        bars = List.copyOf(bars);
        heldBy = List.copyOf(heldBy);
    }

    /** Whether every bar is lifted and no stop that failed holds it. */
    public boolean isOpen() {
        return isCleared() && heldBy.isEmpty();
    }

    /** Whether a stop may fire now: the gate is open, or it is one for which covers are open and that time runs. */
    public boolean lets(Phase phase) {
        return isOpen() || phase == Phase.BEAM && mayBeginService();
    }

    /** Whether work with covers open may begin, or begin anew while its time runs. */
    public boolean mayBeginService() {
        return isOpen() || service.filter(Service::running).isPresent() && heldBy.isEmpty();
    }

    /** How far it is: the stage of the bar in hand; once all are lifted, that in which it fires. */
    public Bar.Stage stage() {
        return inHand().map(line -> line.bar().stage()).orElse(Bar.Stage.FIRES);
    }

    /** Whether every bar is lifted. */
    public boolean isCleared() {
        return bars.stream().allMatch(Line::lifted);
    }

    /** What failed and holds it, in words. */
    public String heldInWords() {
        return heldBy.stream().map(Held::title).collect(Collectors.joining(", "));
    }

    /** The same, held by stops that failed. */
    Gate heldBy(List<Held> stops) {
        return new Gate(bars, shutBy, shutAt, stops, openedBy, service);
    }

    public long lifted() {
        return bars.stream().filter(Line::lifted).count();
    }

    /** The bar in hand: the first that is not lifted. */
    public Optional<Line> inHand() {
        return bars.stream().filter(line -> !line.lifted()).findFirst();
    }

    /** How long the hands need for the bars that stand. */
    public int minutesOfHands() {
        return bars.stream()
                .filter(line -> !line.lifted())
                .mapToInt(line -> line.bar().minutes())
                .sum();
    }

    /** Whether anything was answered since it was last shut. */
    public boolean isBegun() {
        return bars.stream().anyMatch(line -> line.answer().isPresent());
    }

    /** Replays the entries up to {@code now}. */
    static Gate of(History history, Instant now) {
        return new Replay(history.plate()).run(history, now);
    }

    /** Walks through the entries in the order of the chain, keeping what counts. */
    private static final class Replay {
        private final List<Bar> bars;
        private final Duration disuse;
        private final int days;
        private final Map<String, Entry> answers = new HashMap<>();
        private final Map<String, PutBack> putBack = new HashMap<>();
        private Optional<Entry> service = Optional.empty();
        /** whether the gate was open when it began, and was not shut as a whole since */
        private boolean serviceCounts;

        private Optional<Instant> lastUse = Optional.empty();
        private Optional<Entry> lastPulse = Optional.empty();

        /** Why and when a bar was put back in hand. */
        private record PutBack(String why, Instant at) {}

        Replay(Plate plate) {
            this.bars = FirstLight.bars(plate);
            this.days = plate.daysOutOfUse();
            this.disuse = Duration.ofDays(days);
        }

        Gate run(History history, Instant now) {
            record Step(int standsAt, int number, Instant at, Runnable taken) {}
            List<Step> steps = new ArrayList<>();
            history.gateAndEvents()
                    .forEach(entry ->
                            steps.add(new Step(entry.standsAt(), entry.number(), entry.since(), () -> take(entry))));
            history.uses()
                    .forEach(use -> steps.add(
                            new Step(use.number(), use.number(), use.at(), () -> lastUse = Optional.of(use.at()))));
            steps.sort(Comparator.comparingInt(Step::standsAt).thenComparingInt(Step::number));
            for (Step step : steps) {
                unused(step.at());
                step.taken().run();
            }
            unused(now);
            List<Line> lines = bars.stream()
                    .map(bar -> new Line(bar, Optional.ofNullable(answers.get(bar.id()))))
                    .toList();
            Optional<PutBack> shut = lines.stream()
                    .filter(line -> line.answer().isEmpty())
                    .flatMap(line -> Optional.ofNullable(putBack.get(line.bar().id())).stream())
                    .max(Comparator.comparing(PutBack::at));
            Optional<Entry> opened = lines.stream().allMatch(Line::lifted)
                    ? lines.stream().flatMap(line -> line.answer().stream()).max(Comparator.comparingInt(Entry::number))
                    : lastPulse;
            Optional<Service> open = service(lines, now);
            return new Gate(
                    open.isPresent() ? after(open.get(), lines) : lines,
                    shut.map(PutBack::why),
                    shut.map(PutBack::at),
                    List.of(),
                    opened,
                    open);
        }

        private static List<Line> after(Service service, List<Line> lines) {
            return lines.stream()
                    .map(line -> ServiceFiring.BARS.contains(line.bar().id()) && !line.lifted()
                            ? new Line(line.bar().afterService(service.what()), line.answer())
                            : line)
                    .toList();
        }

        /** What of it goes on: nothing once its bars are lifted again. */
        private Optional<Service> service(List<Line> lines, Instant now) {
            if (service.isEmpty()) {
                return Optional.empty();
            }
            boolean ended = lines.stream()
                    .filter(line -> ServiceFiring.BARS.contains(line.bar().id()))
                    .allMatch(Line::lifted);
            if (ended) {
                return Optional.empty();
            }
            Entry begun = service.get();
            Instant until = begun.stamp()
                    .at()
                    .plus(((Body.ServiceBegun) begun.body()).service().time());
            boolean othersStand = lines.stream()
                    .anyMatch(line -> !line.lifted()
                            && (line.failed()
                                    || !ServiceFiring.BARS.contains(line.bar().id())));
            return Optional.of(new Service(begun, until, serviceCounts && now.isBefore(until) && !othersStand));
        }

        private boolean isLifted(Predicate<Bar> which) {
            return bars.stream()
                    .filter(which)
                    .allMatch(bar -> answers.containsKey(bar.id())
                            && ((Body.GateLine) answers.get(bar.id()).body()).lifted());
        }

        private void take(Entry entry) {
            if (entry.body() instanceof Body.GateLine line) {
                // a correction can shut a gate, never open one
                if (entry.corrects().isEmpty() || !line.lifted()) {
                    answers.put(line.bar(), entry);
                }
                if (ServiceFiring.BARS.contains(line.bar())) {
                    // it is over: the next one begins from an open gate
                    serviceCounts = false;
                }
                if (line.lifted() && line.fired()) {
                    lastUse = Optional.of(entry.since());
                    lastPulse = Optional.of(entry);
                }
            } else if (entry.body() instanceof Body.Happened happened) {
                if (happened.change().shutsGate()) {
                    shut(happened.change().words(), entry.stamp().at());
                } else {
                    putBack(
                            happened.change().bars(),
                            happened.change().words(),
                            entry.stamp().at());
                }
            } else if (entry.body() instanceof Body.ServiceBegun begun) {
                serviceCounts = isLifted(bar -> true)
                        || serviceCounts && isLifted(bar -> !ServiceFiring.BARS.contains(bar.id()));
                service = Optional.of(entry);
                putBack(
                        ServiceFiring.BARS,
                        "service firing by " + begun.service().who(),
                        entry.stamp().at());
            } else if (entry.body() instanceof Body.Foreign) {
                // what it says is not known here, and so never taken for harmless
                shut("an entry of a newer program", entry.stamp().at());
            }
        }

        /** Shuts it where the machine was out of use for too long before {@code until}. */
        private void unused(Instant until) {
            ranOut(until);
            lastUse.map(use -> use.plus(disuse))
                    .filter(end -> end.isBefore(until))
                    .ifPresent(end -> {
                        shut(days + " days unused", end);
                        lastUse = Optional.empty();
                    });
        }

        /** Puts back what was seen and is not valid any more at {@code now}: an earth test of a year ago. */
        private void ranOut(Instant now) {
            answers.values().removeIf(entry -> {
                Optional<Instant> end = ((Body.GateLine) entry.body())
                        .until()
                        .map(day -> day.plusDays(1)
                                .atStartOfDay()
                                .toInstant(entry.stamp().zone()));
                boolean over = end.filter(last -> !last.isAfter(now)).isPresent();
                if (over) {
                    String bar = ((Body.GateLine) entry.body()).bar();
                    putBack.put(bar, new PutBack("what was seen is not valid any more", end.get()));
                }
                return over;
            });
        }

        private void putBack(Set<String> ids, String why, Instant at) {
            ids.stream()
                    .filter(bar -> answers.remove(bar) != null)
                    .forEach(bar -> putBack.put(bar, new PutBack(why, at)));
        }

        private void shut(String why, Instant at) {
            if (!answers.isEmpty() || !putBack.isEmpty()) {
                bars.forEach(bar -> putBack.put(bar.id(), new PutBack(why, at)));
            }
            answers.clear();
            serviceCounts = false;
        }
    }
}
