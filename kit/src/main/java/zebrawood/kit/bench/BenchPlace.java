package zebrawood.kit.bench;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.view.Workplace;

/**
 * What a bench is given.
 *
 * @param workplace units, look, time, messages
 * @param plate of the machine
 * @param earlier readings of this stop that count, the newest first
 * @param newestOf the newest reading that counts of another stop of this machine, by the stop's id
 * @param draft where typed text goes
 * @param onRecord what else is on record of the machine
 */
public record BenchPlace(
        Workplace workplace,
        Plate plate,
        List<Entry> earlier,
        Function<String, Optional<Entry>> newestOf,
        Draft draft,
        MachineRecord onRecord) {

    /** One where nothing else is on record. */
    public BenchPlace(
            Workplace workplace,
            Plate plate,
            List<Entry> earlier,
            Function<String, Optional<Entry>> newestOf,
            Draft draft) {
        this(workplace, plate, earlier, newestOf, draft, MachineRecord.NOTHING);
    }

    public BenchPlace {
        earlier = List.copyOf(earlier);
    }

    /** The units in which everything is shown now. */
    public UnitChoice units() {
        return workplace.units().getValue();
    }

    /** The newest reading that counts of another stop of this machine. */
    public Optional<Entry> newest(String stop) {
        return newestOf.apply(stop);
    }

    /**
     * What the newest reading that counts of another stop of this machine found; empty where that is of another type.
     */
    public <F extends Record> Optional<F> found(String stop, Class<F> type) {
        return newest(stop)
                .map(Stop::measured)
                .map(Body.Measured::finding)
                .filter(type::isInstance)
                .map(type::cast);
    }
}
