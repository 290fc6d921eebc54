package zebrawood.core.route;

import java.time.LocalDate;
import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.units.Said;

/**
 * How one stop of one machine stands.
 *
 * @param procedure which stop
 * @param state how it stands
 * @param note what opens it, why it is due; absent where the state says it all
 * @param reading its newest reading that counts
 * @param proved the reading before it whose figure still stands, where the newest is unclear or a quick one
 * @param due the day on which it is due again, where it has passed
 * @param byHours when it is due by the hours that the beam was on, where it goes by them
 * @param needed what has to come first, where it is shut
 * @param changed what happened since its newest reading that makes it stale, whatever its state is
 */
public record StopStatus(
        Procedure<?, ?> procedure,
        StopState state,
        Optional<String> note,
        Optional<CountedReading> reading,
        Optional<CountedReading> proved,
        Optional<LocalDate> due,
        Optional<ByHours> byHours,
        Optional<Needed> needed,
        Optional<Entry> changed) {

    /** What has to come first: a stop by its id, {@code first-light} for the gate, and its title. */
    public record Needed(String stop, String title) {}

    public Card card() {
        return procedure.card();
    }

    /** Whether it is asked how it stands: a commissioning waits for it, or it was measured. */
    public boolean isAsked() {
        return card().isAwaited() || reading.isPresent();
    }

    /** Whether what it found counts for how the machine stands. */
    public boolean counts() {
        return isAsked() && card().onRoute().weighs() != Card.OnRoute.Weighs.NEVER;
    }

    /** The entry of its newest reading that counts. */
    public Optional<Entry> last() {
        return reading.map(CountedReading::entry);
    }

    /** The reading whose figure stands: the newest, or one before it that proved more. */
    public Optional<CountedReading> standing() {
        return proved.or(() -> reading);
    }

    /** What a colleague would ask for. */
    public Optional<Said> keyFigure() {
        return standing().flatMap(CountedReading::measured).map(measured -> figure(procedure, measured));
    }

    /** As it was shown that day where this program does not know the finding. */
    private static <F extends Record> Said figure(Procedure<?, F> procedure, Body.Measured measured) {
        return measured.isRead()
                ? procedure.keyFigure(procedure.findingType().cast(measured.finding()))
                : Said.verbatim(measured.shown().keyFigure());
    }
}
