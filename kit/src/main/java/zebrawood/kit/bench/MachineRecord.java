package zebrawood.kit.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.core.entry.Entry;
import zebrawood.core.work.TakenAlong;

/**
 * What is on record of a machine, beside the readings of the stop that is open.
 *
 * @param along what is known of it now: when something of it was cleaned last
 * @param histories entries that count of the stops that the open one looks back on, the newest first
 * @param elsewhere the newest readings of a stop, by its id, on the other machines of the shop
 */
public record MachineRecord(
        TakenAlong along, Map<String, List<Entry>> histories, Function<String, List<Elsewhere>> elsewhere) {

    /** The newest reading of a stop on another machine, under that machine's name. */
    public record Elsewhere(String machine, Entry entry) {}

    /** what happened to a machine, as a stop to look back on */
    public static final String EVENTS = "event";

    /** Nothing at all. */
    public static final MachineRecord NOTHING =
            new MachineRecord(new TakenAlong(List.of(), List.of()), Map.of(), stop -> List.of());

    public MachineRecord {
        histories = Map.copyOf(histories);
    }

    /** What is known of something, by its name: {@code cleaning}. */
    public Optional<TakenAlong.Known> known(String what) {
        return along.known().stream().filter(each -> each.what().equals(what)).findFirst();
    }

    /** The same, with what the other machines of the shop have on record. */
    public MachineRecord with(Function<String, List<Elsewhere>> others) {
        return new MachineRecord(along, histories, others);
    }

    /** Entries of a stop that count, the newest first; empty where it is not looked back on. */
    public List<Entry> of(String stop) {
        return histories.getOrDefault(stop, List.of());
    }
}
