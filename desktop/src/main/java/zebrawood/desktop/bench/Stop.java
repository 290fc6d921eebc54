package zebrawood.desktop.bench;

import java.util.function.Function;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.figure.Figure;

/** A line of the catalogue: a procedure, the bench it is measured on, and how its findings are shown elsewhere. */
public record Stop<R extends Record, F extends Record>(
        Procedure<R, F> procedure, Function<BenchPlace, Bench<R, F>> bench, Exhibit<R, F> exhibit) {

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
