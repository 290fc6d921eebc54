package zebrawood.core.procedure;

import java.util.List;
import java.util.Set;

/**
 * What is said of a procedure without running it.
 *
 * @param id never changes: {@code focus-ramp}
 * @param version goes up when the same readings may give another finding
 * @param title its name on the Route: {@code Ramp line}
 * @param phase where on the Route it stands
 * @param fires whether the laser fires for it: then the first light gate must be open
 * @param redoneAfter what makes its last finding stale
 * @param hazards what can hurt
 * @param minutes how long it takes
 * @param recheckDays days after which it is due again, where the plate does not say otherwise
 * @param help what F1 says
 */
public record Card(
        String id,
        int version,
        String title,
        Phase phase,
        boolean fires,
        Set<Change> redoneAfter,
        List<Hazard> hazards,
        int minutes,
        int recheckDays,
        Help help) {

    public Card {
        redoneAfter = Set.copyOf(redoneAfter);
        hazards = List.copyOf(hazards);
    }
}
