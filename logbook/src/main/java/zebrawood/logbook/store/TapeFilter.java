package zebrawood.logbook.store;

import java.util.Optional;
import zebrawood.core.procedure.Verdict;

/**
 * Which entries are wanted; what is empty is not asked for.
 *
 * @param stop a procedure's id, {@code first-light}, {@code plate} or {@code event}
 */
public record TapeFilter(Optional<String> machineId, Optional<String> stop, Optional<Verdict> verdict) {

    /** Everything. */
    public static final TapeFilter ALL = new TapeFilter(Optional.empty(), Optional.empty(), Optional.empty());
}
