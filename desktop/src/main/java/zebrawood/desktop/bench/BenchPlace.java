package zebrawood.desktop.bench;

import java.util.List;
import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.desktop.desk.Desk;

/**
 * What a bench is given.
 *
 * @param desk units, look, initials
 * @param plate of the machine
 * @param earlier readings of this stop that count, the newest first
 * @param draft where typed text goes
 */
public record BenchPlace(Desk desk, Plate plate, List<Entry> earlier, Draft draft) {

    /** The newest reading that counts of another stop of this machine. */
    public Optional<Entry> newest(String stop) {
        return desk.machines().get().stream()
                .filter(machine -> machine.plate().name().equals(plate.name()))
                .flatMap(machine -> machine.stops().stream())
                .filter(status -> status.card().id().equals(stop))
                .flatMap(status -> status.last().stream())
                .findFirst();
    }

    /** What the newest reading that counts of another stop of this machine found. */
    public <F extends Record> Optional<F> found(String stop, Class<F> type) {
        return newest(stop).map(Stop::measured).map(Body.Measured::finding).filter(type::isInstance).map(type::cast);
    }
}
