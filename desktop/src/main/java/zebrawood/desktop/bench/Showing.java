package zebrawood.desktop.bench;

import java.util.Optional;
import zebrawood.core.procedure.Outcome;

/**
 * What a bench shows at this moment.
 *
 * @param readings complete readings, where there are some
 * @param outcome what came of them
 * @param sheet the fields, what was understood of them and what is wrong
 * @param measuring whether readings are being taken; otherwise an entry of the logbook is shown
 */
public record Showing<R extends Record, F extends Record>(
        Optional<R> readings, Optional<Outcome<F>> outcome, Sheet sheet, boolean measuring) {}
