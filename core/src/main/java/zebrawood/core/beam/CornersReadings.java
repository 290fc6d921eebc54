package zebrawood.core.beam;

import java.util.List;
import java.util.OptionalDouble;
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
        double x = marks.stream().mapToDouble(Mark::bedXMm).average().orElse(0);
        double y = marks.stream().mapToDouble(Mark::bedYMm).average().orElse(0);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (Mark mark : marks) {
            xx += (mark.bedXMm - x) * (mark.bedXMm - x);
            xy += (mark.bedXMm - x) * (mark.bedYMm - y);
            yy += (mark.bedYMm - y) * (mark.bedYMm - y);
        }
        // singular values are the roots of the eigenvalues; their product is the root of the determinant
        double larger = (xx + yy) / 2 + Math.hypot((xx - yy) / 2, xy);
        double determinant = determinant(marks, x, y);
        return larger > 0 && Math.sqrt(determinant) / larger >= IN_LINE;
    }

    /** The determinant as a sum over pairs of marks (Lagrange's identity): no digits are lost in a difference. */
    private static double determinant(List<Mark> marks, double x, double y) {
        double sum = 0;
        for (int i = 0; i < marks.size(); i++) {
            for (int j = 0; j < i; j++) {
                double area = (marks.get(i).bedXMm - x) * (marks.get(j).bedYMm - y)
                        - (marks.get(j).bedXMm - x) * (marks.get(i).bedYMm - y);
                sum += area * area;
            }
        }
        return sum;
    }
}
