package zebrawood.kit.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.FieldList;

/**
 * A line of the catalogue.
 *
 * @param procedure what turns its readings into a finding
 * @param fields all that is read at it
 * @param bench on which it is measured
 * @param exhibit how its findings are shown elsewhere
 * @param whole what it is a part of, where several stops share one bench: {@code Water}
 * @param looksBack on which stops' entries of the past, by their ids
 */
public record Stop<R extends Record, F extends Record>(
        Procedure<R, F> procedure,
        FieldList fields,
        Function<BenchPlace, Bench<R, F>> bench,
        Exhibit<R, F> exhibit,
        Optional<String> whole,
        List<String> looksBack) {

    public Stop {
        looksBack = List.copyOf(looksBack);
    }

    /** A stop that has a bench of its own. */
    public Stop(
            Procedure<R, F> procedure,
            FieldList fields,
            Function<BenchPlace, Bench<R, F>> bench,
            Exhibit<R, F> exhibit) {
        this(procedure, fields, bench, exhibit, Optional.empty(), List.of());
    }

    /** Its bench, on a place. */
    public Bench<R, F> open(BenchPlace place) {
        Bench<R, F> opened = bench.apply(place);
        opened.drawAtLeast(exhibit.leastHeight());
        return opened;
    }

    /** This stop as a part of a bench that it shares. */
    public Stop<R, F> partOf(String bench) {
        return new Stop<>(procedure, fields, this.bench, exhibit, Optional.of(bench), looksBack);
    }

    /** This stop, its bench given what other stops have on record. */
    public Stop<R, F> lookingBackOn(List<String> stops) {
        return new Stop<>(procedure, fields, bench, exhibit, whole, stops);
    }

    /** The drawing of an entry, from what it holds. */
    public Figure figure(Body.Measured measured, UnitChoice units) {
        return exhibit.figure(readings(measured), finding(measured), units);
    }

    /** The table of an entry's readings, from what it holds. */
    public Exhibit.Table table(Body.Measured measured, UnitChoice units) {
        return table(readings(measured), finding(measured), measured.asTyped(), units);
    }

    /** The table of these readings. */
    public Exhibit.Table table(R readings, F finding, Map<String, String> asTyped, UnitChoice units) {
        return exhibit.table(readings, finding, asTyped, units)
                .orElseGet(() -> new Exhibit.Table(Exhibit.Table.READINGS, fields.table(readings, asTyped, units), 1));
    }

    /** Readings and figures as lines of text, cells parted by tabs, for the clipboard. */
    public String text(R readings, F finding, Map<String, String> asTyped, UnitChoice units) {
        StringBuilder text =
                new StringBuilder(table(readings, finding, asTyped, units).text());
        procedure
                .evidence(finding)
                .forEach(e -> text.append(e.label())
                        .append('\t')
                        .append(e.figure().in(units))
                        .append('\n'));
        return text.toString();
    }

    /** The readings of an entry of this stop. */
    public R readings(Body.Measured measured) {
        return procedure.readingsType().cast(measured.readings());
    }

    /** The finding of an entry of this stop. */
    public F finding(Body.Measured measured) {
        return procedure.findingType().cast(measured.finding());
    }

    /** What an entry measured. */
    public static Body.Measured measured(Entry entry) {
        return (Body.Measured) entry.body();
    }
}
