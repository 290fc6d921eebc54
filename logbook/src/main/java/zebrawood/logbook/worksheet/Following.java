package zebrawood.logbook.worksheet;

import java.util.List;
import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.inventory.LackPoints;
import zebrawood.logbook.store.Logbook;

/** What is recorded by itself after an entry, by the same person at the same time. */
public final class Following {

    private Following() {}

    /** Records what follows from an entry that was just recorded: open points of what an inventory lacks. */
    public static void record(Logbook logbook, Entry entry) {
        if (entry.body() instanceof Body.Measured) {
            String machine = entry.place().machineId();
            for (Body body : LackPoints.following(
                    entry.body(), entry.number(), logbook.history(machine).openPoints())) {
                logbook.append(machine, body, Optional.empty(), List.of(), entry.stamp());
            }
        }
    }
}
