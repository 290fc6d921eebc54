package zebrawood.logbook.store;

import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.units.Signs;

/**
 * Initials and names of machines stand everywhere: on the tape, on certificates, in a terminal. One that holds signs
 * nobody sees, or that turn the words around it, could pass for another.
 */
public final class NamesOnRecord {

    /** characters of a machine's id, as in its column */
    private static final int LONGEST_ID = 64;

    private NamesOnRecord() {}

    /** What is wrong with who records and with a plate's name, as the end of a sentence; empty where nothing is. */
    public static Optional<String> check(String machineId, Entry.Stamp stamp, Body body) {
        if (machineId.isBlank() || machineId.length() > LONGEST_ID || !Signs.isPlain(machineId)) {
            return Optional.of("a machine's id has up to " + LONGEST_ID + " letters, and no invisible characters");
        } else if (stamp.by().length() > Entry.Stamp.LONGEST_BY) {
            return Optional.of("initials have up to " + Entry.Stamp.LONGEST_BY + " characters");
        } else if (!Signs.isPlain(stamp.by())) {
            return Optional.of("the initials hold an invisible character; type letters and digits only");
        } else if (body instanceof Body.PlateSet plate) {
            return Signs.isPlain(plate.plate().name())
                    ? Optional.empty()
                    : Optional.of("the machine's name holds an invisible character; type the name again");
        }
        return Optional.empty();
    }
}
