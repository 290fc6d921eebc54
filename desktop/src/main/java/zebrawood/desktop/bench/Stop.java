package zebrawood.desktop.bench;

import java.util.Optional;
import java.util.function.Function;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.figure.Figure;

/**
 * A line of the catalogue.
 *
 * @param procedure what turns its readings into a finding
 * @param bench on which it is measured
 * @param exhibit how its findings are shown elsewhere
 * @param whole what it is a part of, where several stops share one bench: {@code Water}
 */
public record Stop<R extends Record, F extends Record>(
        Procedure<R, F> procedure, Function<BenchPlace, Bench<R, F>> bench, Exhibit<R, F> exhibit, Optional<String> whole) {

    /** A stop that has a bench of its own. */
    public Stop(Procedure<R, F> procedure, Function<BenchPlace, Bench<R, F>> bench, Exhibit<R, F> exhibit) {
        this(procedure, bench, exhibit, Optional.empty());
    }

    /** This stop as a part of a bench that it shares. */
    public Stop<R, F> partOf(String bench) {
        return new Stop<>(procedure, this.bench, exhibit, Optional.of(bench));
    }

    /** The drawing of an entry, from what it holds. */
    public Figure figure(Body.Measured measured, UnitChoice units) {
        return exhibit.figure(readings(measured), finding(measured), units);
    }

    public Exhibit.Table table(Body.Measured measured, UnitChoice units) {
        return exhibit.table(readings(measured), finding(measured), measured.asTyped(), units);
    }

    R readings(Body.Measured measured) {
        return procedure.readingsType().cast(measured.readings());
    }

    F finding(Body.Measured measured) {
        return procedure.findingType().cast(measured.finding());
    }

    static Body.Measured measured(Entry entry) {
        return (Body.Measured) entry.body();
    }
}
