package zebrawood.core.route;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.procedure.BeamTime;
import zebrawood.core.procedure.Procedure;

/**
 * When a stop falls due by the hours that the beam was on.
 *
 * @param atHours at which it is due
 * @param counted the hours that were counted last
 * @param day on which they are reached, at the hours of a day so far; absent where those are not known
 */
public record ByHours(double atHours, double counted, Optional<LocalDate> day) {

    /**
     * Beside a due date: the hours by which it falls then, and whether they were counted; empty where it goes by days.
     */
    static String beside(Optional<ByHours> byHours, Optional<LocalDate> due) {
        return byHours.filter(hours -> hours.day().isPresent() && hours.day().equals(due))
                .map(hours -> (hours.counted() >= hours.atHours() ? ", at " : ", about ")
                        + String.format(Locale.ROOT, "%.0f beam hours", hours.atHours()))
                .orElse("");
    }

    /** farther ahead nobody plans, days */
    private static final double FARTHEST_DAYS = 10_000;

    /**
     * Of the reading of a stop that passed last; empty where it does not go by hours, or they were not counted.
     *
     * @param all procedures, one of which counts
     */
    static Optional<ByHours> of(
            Procedure<?, ?> procedure, CountedReading passed, History history, List<Procedure<?, ?>> all) {
        if (procedure.recheckHours().isEmpty()) {
            return Optional.empty();
        }
        for (Procedure<?, ?> counting : all) {
            Optional<CountedReading> count = counting.tellsBeamTime()
                    ? history.of(counting.card().id()).stream().findFirst()
                    : Optional.empty();
            if (count.isPresent()) {
                OptionalDouble taken = taken(procedure, passed);
                return told(counting, count.get())
                        .filter(time -> taken.isPresent())
                        .map(time -> due(
                                taken.getAsDouble() + procedure.recheckHours().getAsDouble(),
                                time,
                                count.get().day()));
            }
        }
        return Optional.empty();
    }

    private static ByHours due(double at, BeamTime time, LocalDate counted) {
        double left = at - time.hours();
        // reached already: it was due the day before
        double days = left <= 0
                ? -1
                : time.perDayH().orElse(0) > 0 ? left / time.perDayH().getAsDouble() : Double.POSITIVE_INFINITY;
        return new ByHours(
                at,
                time.hours(),
                days > FARTHEST_DAYS ? Optional.empty() : Optional.of(counted.plusDays((long) Math.floor(days))));
    }

    private static <R extends Record> OptionalDouble taken(Procedure<R, ?> procedure, CountedReading reading) {
        return reading.measured()
                .filter(measured -> measured.isRead())
                .map(measured -> procedure.takenAtHours(procedure.readingsType().cast(measured.readings())))
                .orElse(OptionalDouble.empty());
    }

    private static <F extends Record> Optional<BeamTime> told(Procedure<?, F> procedure, CountedReading reading) {
        return reading.measured()
                .filter(measured -> measured.isRead())
                .flatMap(measured -> procedure.beamTime(procedure.findingType().cast(measured.finding())));
    }
}
