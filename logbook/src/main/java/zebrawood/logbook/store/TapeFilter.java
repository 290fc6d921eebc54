package zebrawood.logbook.store;

import java.util.Optional;
import zebrawood.core.procedure.Verdict;

/**
 * Which entries are wanted; what is empty is not asked for.
 *
 * @param stop a procedure's id, {@code first-light}, {@code plate}, {@code event}, {@code work} or {@code point}
 * @param words words and numbers that all stand in it, the last one perhaps only begun
 */
public record TapeFilter(
        Optional<String> machineId, Optional<String> stop, Optional<Verdict> verdict, Optional<String> words) {

    /** Everything. */
    public static final TapeFilter ALL =
            new TapeFilter(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** The same without words to search for. */
    public TapeFilter(Optional<String> machineId, Optional<String> stop, Optional<Verdict> verdict) {
        this(machineId, stop, verdict, Optional.empty());
    }

    /** Those of one machine. */
    public static TapeFilter of(String machineId) {
        return new TapeFilter(Optional.of(machineId), Optional.empty(), Optional.empty());
    }
}
