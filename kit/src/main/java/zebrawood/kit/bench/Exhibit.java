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

    /** px below which its words would touch each other: a bench is scrolled before its drawing is lower than that. */
    default double leastHeight() {
        return 170;
    }

    /** How large it is drawn on paper, so that every label has room. */
    default OnPaper onPaper() {
        return OnPaper.BESIDE_READINGS;
    }

    /**
     * A size on paper, px of 1/96 inch.
     *
     * @param width at most the 678 px that a page is wide
     */
    record OnPaper(double width, double height) {
        /** half a page and more, the readings beside it */
        public static final OnPaper BESIDE_READINGS = new OnPaper(420, 232);
        /** as wide as the page, the readings under it */
        public static final OnPaper WIDE = new OnPaper(678, 300);
    }

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

        /** Whether it is the fields of a stop, each as typed and as understood. */
        public boolean isPlain() {
            return heads.equals(READINGS);
        }

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
