package zebrawood.core.power;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.core.power.TrendReadings.Event;
import zebrawood.core.power.TrendReadings.Point;
import zebrawood.core.power.TrendReadings.What;

/**
 * What stands on record of a source, put over its beam hours: what the test came to each time, and what was done
 * meanwhile. What was first in time is first in hours too, by a hundredth of an hour where they are counted alike.
 *
 * @param history tests of the source that is in now, in the order of their hours
 * @param events what was done to it, likewise; the same done to several parts on one day with no test between is one
 * @param unplaced how many tests and events are older than the counts, and so have no hours
 */
public record TrendRecord(List<Point> history, List<Event> events, int unplaced) {

    private static final int PER_HOUR = 100;
    private static final Duration ONE_DAY = Duration.ofHours(24);

    /** What the test came to at a moment, W or mA, above 0. */
    public record Test(Instant at, double value) {}

    /** Something that was done at a moment. */
    public record Done(Instant at, What what) {}

    public TrendRecord {
        history = List.copyOf(history);
        events = List.copyOf(events);
    }

    /** A test or something done. */
    private record Item(Instant at, OptionalDouble value, What what) {}

    /** Over the hours of a clock; both lists in any order. */
    public static TrendRecord of(BeamClock clock, List<Test> tests, List<Done> done) {
        List<Item> items = Stream.concat(
                        done.stream().map(each -> new Item(each.at(), OptionalDouble.empty(), each.what())),
                        tests.stream().map(each -> new Item(each.at(), OptionalDouble.of(each.value()), What.CLEANED)))
                .sorted(Comparator.comparing(Item::at))
                .toList();
        List<Point> history = new ArrayList<>();
        List<Event> events = new ArrayList<>();
        int unplaced = 0;
        long last = -1;
        for (int i = 0; i < items.size(); i++) {
            Item item = items.get(i);
            OptionalDouble hours = clock.at(item.at());
            if (hours.isEmpty()) {
                unplaced++;
                continue;
            }
            if (item.value().isEmpty() && isDoneAgain(items, i)) {
                continue;
            }
            last = Math.max(last + 1, Math.round(hours.getAsDouble() * PER_HOUR));
            double at = last / (double) PER_HOUR;
            item.value()
                    .ifPresentOrElse(
                            value -> history.add(new Point(at, value)), () -> events.add(new Event(at, item.what())));
        }
        return new TrendRecord(history, events, unplaced);
    }

    /** Whether the same is done once more within a day, before the next test. */
    private static boolean isDoneAgain(List<Item> items, int i) {
        Item item = items.get(i);
        for (Item later : items.subList(i + 1, items.size())) {
            if (later.value().isPresent()
                    || Duration.between(item.at(), later.at()).compareTo(ONE_DAY) > 0) {
                return false;
            }
            if (later.what() == item.what()) {
                return true;
            }
        }
        return false;
    }
}
