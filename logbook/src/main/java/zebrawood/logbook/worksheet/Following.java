package zebrawood.logbook.worksheet;

import java.util.List;
import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.inventory.InventoryFinding;
import zebrawood.core.inventory.LackPoints;
import zebrawood.core.route.History;
import zebrawood.logbook.store.Logbook;

/** What is recorded by itself after an entry, by the same person at the same time. */
public final class Following {

    private Following() {}

    /** Records what follows from an entry that was just recorded: open points of what an inventory lacks. */
    public static void record(Logbook logbook, Entry entry) {
        if (!(entry.body() instanceof Body.Measured measured) || !(measured.finding() instanceof InventoryFinding)) {
            return;
        }
        String machine = entry.place().machineId();
        History history = logbook.history(machine);
        // an older one that is corrected says nothing of how it is now
        if (history.of(measured.procedure()).get(0).standsAt() == entry.standsAt()) {
            for (Body body : LackPoints.following(measured, entry.number(), history.openPoints())) {
                logbook.append(machine, body, Optional.empty(), List.of(), entry.stamp());
            }
        }
    }
}
