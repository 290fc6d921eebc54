package zebrawood.desktop.bench;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
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
 * @param go opens another stop of this machine
 */
public record BenchPlace(Desk desk, Plate plate, List<Entry> earlier, Draft draft, Consumer<String> go) {

    /** The newest reading that counts of another stop of this machine. */
    public Optional<Entry> newest(String stop) {
        return desk.machines().get().stream()
                .filter(machine -> machine.plate().name().equals(plate.name()))
                .flatMap(machine -> machine.stops().stream())
                .filter(status -> status.card().id().equals(stop))
                .flatMap(status -> status.last().stream())
                .findFirst();
    }
}
