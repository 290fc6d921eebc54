package zebrawood.desktop.visit;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import zebrawood.core.visit.Crew;
import zebrawood.core.visit.Plan;

/**
 * A plan on the clock.
 *
 * @param plan in minutes
 * @param from the moment of its first minute
 * @param local the same on the wall
 */
record VisitDay(Plan plan, Crew crew, Instant from, LocalDateTime local) {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    /** A minute of the plan as the clock shows it. */
    String clock(int minute) {
        return CLOCK.format(local.plusMinutes(minute));
    }

    /** Who does it: {@code technician 1}. */
    String who(Plan.Timed timed) {
        if (timed.lanes().isEmpty()) {
            return "nobody";
        }
        return timed.lanes().stream()
                .map(lane -> lane == Plan.ELECTRICIAN ? "electrician" : "technician " + (lane + 1))
                .collect(Collectors.joining(", "));
    }

    /** {@code 3 min of hands, then 15 min of waiting}. */
    static String lasts(Plan.Timed timed) {
        List<String> parts = new ArrayList<>();
        if (timed.task().hands() > 0) {
            parts.add(timed.task().hands() + " min of hands");
        }
        if (timed.task().waits() > 0) {
            parts.add(timed.task().waits() + " min of waiting");
        }
        return String.join(", then ", parts);
    }

    /** What is done meanwhile, as a sentence; empty where nothing is waited for or nothing can be done. */
    String meanwhile(Plan.Timed timed) {
        if (timed.task().waits() == 0) {
            return "";
        }
        String others = plan.meanwhile(timed).stream()
                .map(other -> other.task().title() + ", " + other.task().machine())
                .limit(4)
                .collect(Collectors.joining("; "));
        return others.isEmpty() ? "" : "While this waits, do: " + others + ".";
    }
}
