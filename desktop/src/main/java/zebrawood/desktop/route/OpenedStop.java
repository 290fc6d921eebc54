package zebrawood.desktop.route;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.entry.Entry;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.bench.MachineRecord;
import zebrawood.kit.bench.Stop;
import zebrawood.logbook.store.Logbook;

/**
 * What a stop is opened with.
 *
 * @param earlier its readings that count, the newest first
 * @param draft what was half done
 * @param onRecord what else is on record of the machine
 */
record OpenedStop(List<Entry> earlier, Optional<Logbook.Draft> draft, MachineRecord onRecord) {

    private static final int EARLIER = 12;
    /** entries of another stop that are looked back on: years of them */
    private static final int LONG_PAST = 400;

    /** Read for a stop of a machine; asked on the logbook's thread. */
    static OpenedStop of(Desk desk, String machineId, Stop<?, ?> stop, String draft) {
        Map<String, List<Entry>> histories = new HashMap<>();
        stop.looksBack().forEach(other -> histories.put(other, desk.logbook().readings(machineId, other, LONG_PAST)));
        return new OpenedStop(
                desk.logbook().readings(machineId, stop.procedure().card().id(), EARLIER),
                desk.logbook().findDraft(machineId, draft),
                new MachineRecord(desk.takenAlong(machineId), histories, other -> List.of()));
    }

    /** What stood there before an entry that is being corrected. */
    OpenedStop before(Entry corrected) {
        Map<String, List<Entry>> histories = new HashMap<>();
        onRecord.histories().forEach((stop, entries) -> histories.put(stop, before(entries, corrected)));
        return new OpenedStop(
                before(earlier, corrected),
                draft,
                new MachineRecord(onRecord.along(), histories, onRecord.elsewhere()));
    }

    private static List<Entry> before(List<Entry> entries, Entry corrected) {
        return entries.stream()
                .filter(entry -> entry.standsAt() < corrected.standsAt())
                .toList();
    }
}
