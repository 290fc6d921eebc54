package zebrawood.core.safety;

import java.util.List;

/**
 * One bar of a gate: a thing to do and to see.
 *
 * @param id never changes
 * @param title what is so once it is lifted
 * @param action what to do
 * @param look what to look for, as a question
 * @param yes the answer that lifts it
 * @param no the answer that does not
 * @param otherwise what to do when it is not so
 * @param remark what to write beside it, empty where nothing need be
 * @param fires whether it means firing the laser
 * @param minutes how long it takes
 * @param needed what to bring
 */
public record Bar(
        String id,
        String title,
        String action,
        String look,
        String yes,
        String no,
        String otherwise,
        String remark,
        boolean fires,
        int minutes,
        List<String> needed) {

    public Bar {
        needed = List.copyOf(needed);
    }

    /** Whether it is lifted only with something written beside it. */
    public boolean needsRemark() {
        return !remark.isEmpty();
    }
}
