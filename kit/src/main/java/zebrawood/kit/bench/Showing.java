package zebrawood.kit.bench;

import java.util.Map;
import java.util.Optional;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Evaluation;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Procedure;
import zebrawood.kit.form.Filled;

/**
 * What a bench shows at this moment.
 *
 * @param readings complete readings, where there are some
 * @param outcome what came of them
 * @param filled the fields, what was understood of them and what is wrong
 * @param measuring whether readings are being taken; otherwise an entry of the logbook is shown
 * @param fault what the procedure threw, where it has a fault
 */
public record Showing<R extends Record, F extends Record>(
        Optional<R> readings,
        Optional<Outcome<F>> outcome,
        Filled filled,
        boolean measuring,
        Optional<Throwable> fault) {

    /** What comes of readings being taken; computed from what does not change, on whatever thread. */
    public static <R extends Record, F extends Record> Showing<R, F> judged(Procedure<R, F> procedure, Filled filled) {
        Filled.Bound<R> bound = filled.bind(procedure.readingsType());
        if (bound.record().isEmpty()) {
            return new Showing<>(Optional.empty(), Optional.empty(), bound.filled(), true, Optional.empty());
        }
        Evaluation<F> evaluation = Evaluation.of(procedure, bound.record().get());
        Filled after = evaluation instanceof Evaluation.Refused<F> refused
                ? bound.filled().refusedBy(refused.why())
                : bound.filled();
        Optional<Throwable> fault =
                evaluation instanceof Evaluation.Faulty<F> faulty ? Optional.of(faulty.fault()) : Optional.empty();
        return new Showing<>(bound.record(), evaluation.found(), after, true, fault);
    }

    /** Readings being taken that are not judged yet. */
    public static <R extends Record, F extends Record> Showing<R, F> unjudged(Filled filled) {
        return new Showing<>(Optional.empty(), Optional.empty(), filled, true, Optional.empty());
    }

    /** An entry, as it was found that day. */
    public static <R extends Record, F extends Record> Showing<R, F> recorded(
            Stop<R, F> stop, Entry entry, Filled filled) {
        Body.Measured measured = Stop.measured(entry);
        Outcome<F> outcome = new Outcome<>(stop.finding(measured), measured.verdict(), measured.instructions());
        return new Showing<>(
                Optional.of(stop.readings(measured)), Optional.of(outcome), filled, false, Optional.empty());
    }

    /** What was found, where something was. */
    public Optional<F> finding() {
        return outcome.map(Outcome::finding);
    }

    /** Field to what is wrong with it. */
    public Map<String, String> problems() {
        return filled.problems();
    }
}
