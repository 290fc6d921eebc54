package zebrawood.core.beam;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.core.fit.Points;
import zebrawood.core.reading.Checks;

/**
 * Marks at the moving head at several places of the bed.
 *
 * @param marks at least 3, not all in one line of the bed; four corners and the middle are usual
 * @param toleranceMm largest distance between two of them that passes, mm, 0 or more; 0.5 where absent
 */
public record CornersReadings(List<Mark> marks, OptionalDouble toleranceMm) {

    /** what lens and nozzle do not show */
    public static final double TOLERANCE_MM = 0.5;

    /** smaller over larger singular value of the bed positions below which they lie in one line */
    private static final double IN_LINE = 1e-9;

    /** A mark, mm: where the head stood on the bed, and where the mark sat on its card. */
    public record Mark(double bedXMm, double bedYMm, double xMm, double yMm) {
        public Mark {
            new Checks()
                    .finite("bedXMm", bedXMm)
                    .finite("bedYMm", bedYMm)
                    .finite("xMm", xMm)
                    .finite("yMm", yMm)
                    .done();
        }

        Spot spot() {
            return new Spot(xMm, yMm);
        }
    }

    public CornersReadings {
        marks = Checks.copy(marks);
        List<Mark> read = marks;
        new Checks()
                .entries("marks", marks, 3)
                .atLeast("toleranceMm", toleranceMm, 0)
                .tie(() -> spanTheBed(read), "marks", "the places lie in one line: shoot beside it too")
                .done();
    }

    private static boolean spanTheBed(List<Mark> marks) {
        return !Points.inLine(
                marks.stream().mapToDouble(Mark::bedXMm).toArray(),
                marks.stream().mapToDouble(Mark::bedYMm).toArray(),
                IN_LINE);
    }
}
