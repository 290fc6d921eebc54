package zebrawood.core.power;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Tells after how many beam hours of the source that is in now something was: straight lines between the counts on
 * record, at the hours of a day after the last of them, nothing before the first.
 */
public final class BeamClock {

    private static final double DAY_S = 86_400;

    private final List<Knot> knots;
    private final OptionalDouble perDayH;

    private BeamClock(List<Knot> knots, OptionalDouble perDayH) {
        this.knots = knots;
        this.perDayH = perDayH;
    }

    /**
     * What was counted once.
     *
     * @param at when
     * @param hours of the source that was in then, 0 or more
     * @param anotherSource whether it was fitted since the count before
     */
    public record Count(Instant at, double hours, boolean anotherSource) {}

    private record Knot(Instant at, double hours) {}

    /**
     * By these counts, in any order.
     *
     * @param replaced when a source was fitted, as far as that is on record
     */
    public static BeamClock of(List<Count> counts, List<Instant> replaced) {
        List<Count> sorted =
                counts.stream().sorted(Comparator.comparing(Count::at)).toList();
        List<Knot> knots = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            Count count = sorted.get(i);
            if (count.anotherSource()) {
                knots.clear();
                Instant after = i == 0 ? Instant.MIN : sorted.get(i - 1).at();
                replaced.stream()
                        .filter(at -> at.isAfter(after) && at.isBefore(count.at()))
                        .max(Comparator.naturalOrder())
                        .ifPresent(at -> knots.add(new Knot(at, 0)));
            }
            if (knots.isEmpty() || count.hours() >= knots.get(knots.size() - 1).hours()) {
                knots.add(new Knot(count.at(), count.hours()));
            }
        }
        return new BeamClock(List.copyOf(knots), perDay(knots));
    }

    private static OptionalDouble perDay(List<Knot> knots) {
        if (knots.size() < 2) {
            return OptionalDouble.empty();
        }
        Knot last = knots.get(knots.size() - 1);
        Knot before = knots.get(knots.size() - 2);
        double days = days(before.at(), last.at());
        return days > 0 ? OptionalDouble.of((last.hours() - before.hours()) / days) : OptionalDouble.empty();
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 1000.0 / DAY_S;
    }

    /** The hours at a moment; empty where no count tells them. */
    public OptionalDouble at(Instant moment) {
        if (knots.isEmpty() || moment.isBefore(knots.get(0).at())) {
            return OptionalDouble.empty();
        }
        for (int i = 1; i < knots.size(); i++) {
            Knot to = knots.get(i);
            if (!moment.isAfter(to.at())) {
                Knot from = knots.get(i - 1);
                double all = days(from.at(), to.at());
                double share = all > 0 ? days(from.at(), moment) / all : 1;
                return OptionalDouble.of(from.hours() + share * (to.hours() - from.hours()));
            }
        }
        Knot last = knots.get(knots.size() - 1);
        double days = days(last.at(), moment);
        // without a second count nobody knows what a day adds: on the same day it is little
        return perDayH.isPresent() || days < 1
                ? OptionalDouble.of(last.hours() + perDayH.orElse(0) * days)
                : OptionalDouble.empty();
    }
}
