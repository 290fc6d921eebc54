package zebrawood.kit.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.figure.Figure;

/**
 * How a finding is shown away from its bench: in an opened entry, on a certificate, in the strip of last times. It
 * draws from what the entry holds and computes nothing.
 *
 * @param <R> readings
 * @param <F> finding
 */
public interface Exhibit<R extends Record, F extends Record> {

    /** What the drawing shows, as a heading. */
    String title();

    Figure figure(R readings, F finding, UnitChoice units);

    /** A table that shows more than the stop's fields do; where there is none, its fields are the table. */
    default Optional<Table> table(R readings, F finding, Map<String, String> asTyped, UnitChoice units) {
        return Optional.empty();
    }

    /** The figure whose course over time is worth seeing. */
    Optional<Course> course(F finding);

    /**
     * A table of readings, as typed where a person typed.
     *
     * @param heads one a column
     * @param rows cells, as many as heads
     * @param read which column was read by a person, from 0
     */
    record Table(List<String> heads, List<List<String>> rows, int read) {
        static final List<String> READINGS = List.of("reading", "as typed", "understood");

        /** As lines with tabs between the cells, for the clipboard. */
        public String text() {
            return Stream.concat(Stream.of(heads), rows.stream())
                    .map(cells -> String.join("\t", cells) + "\n")
                    .collect(Collectors.joining());
        }
    }

    /**
     * A figure over time.
     *
     * @param value at this time, in whatever unit
     * @param halfWidth half of its 95 % interval, 0 where not known
     * @param band half width of the band about the newest within which it is as it was
     */
    record Course(double value, double halfWidth, double band) {}
}
