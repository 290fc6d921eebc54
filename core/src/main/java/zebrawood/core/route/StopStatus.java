package zebrawood.core.route;

import java.time.LocalDate;
import java.util.Optional;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Card;
import zebrawood.core.units.Said;

/**
 * How one stop of one machine stands.
 *
 * @param card which stop
 * @param state how it stands
 * @param keyFigure what a colleague would ask for
 * @param note what opens it, why it is due; absent where the state says it all
 * @param last its newest reading that counts
 * @param due the day on which it is due again, where it has passed
 */
public record StopStatus(
        Card card, StopState state, Optional<Said> keyFigure, Optional<String> note, Optional<Entry> last, Optional<LocalDate> due) {}
