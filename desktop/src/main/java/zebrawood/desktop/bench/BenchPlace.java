package zebrawood.desktop.bench;

import java.util.List;
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
public record BenchPlace(Desk desk, Plate plate, List<Entry> earlier, Draft draft) {}
