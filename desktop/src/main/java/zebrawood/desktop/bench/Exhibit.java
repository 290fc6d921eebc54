package zebrawood.desktop.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.figure.Figure;

/**
 * How a finding is shown away from its bench: in an opened entry, on a certificate, in the strip of last times.
 * It draws from what the entry holds and computes nothing.
 */
public interface Exhibit<R extends Record, F extends Record> {

    /** What the drawing shows, as a heading. */
    String title();

    Figure figure(R readings, F finding, UnitChoice units);

    /** The readings, as typed where a person typed. */
    Table table(R readings, F finding, Map<String, String> asTyped, UnitChoice units);

    /** The figure whose course over time is worth seeing. */
    Optional<Course> course(F finding);

    /**
     * @param heads one a column
     * @param rows cells, as many as heads
     * @param read which column was read by a person
     */
    record Table(List<String> heads, List<List<String>> rows, int read) {}

    /** A row of such a table: what it is, as it was typed, as it was understood. */
    static List<String> row(String label, String typed, Amount amount, UnitChoice units) {
        return List.of(label, typed == null ? amount.number(units) : typed, amount.text(units));
    }

    /** A figure and half of its 95 % interval (0 where not known), and the half width of the band about the newest. */
    record Course(double value, double halfWidth, double band) {}
}
