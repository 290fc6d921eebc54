package zebrawood.core.level;

import java.util.List;
import java.util.Optional;

/**
 * How a head leans, and which shims set it straight.
 *
 * @param tiltXMrad by how much the gap grows along x
 * @param tiltYMrad the same along y
 * @param tiltXStdErrMrad its standard error
 * @param tiltYStdErrMrad the same along y
 * @param acrossFieldMm difference in height across the field
 * @param acrossUncertaintyMm two standard errors of it
 * @param shims what each mount gets, in the order of the mounts
 * @param expectedAcrossFieldMm what is left across the field with these stacks
 * @param points as they were read, and what the plane says there
 * @param mounts as they stand
 * @param fieldMm side of the field
 * @param tolerances what it was judged by
 */
public record TiltFinding(
        double tiltXMrad,
        double tiltYMrad,
        double tiltXStdErrMrad,
        double tiltYStdErrMrad,
        double acrossFieldMm,
        double acrossUncertaintyMm,
        List<Shim> shims,
        double expectedAcrossFieldMm,
        List<Place> points,
        List<TiltReadings.Mount> mounts,
        double fieldMm,
        Tolerances tolerances) {

    /** What a mount gets: the exact thickness, and the pieces for it, the thickest first, where there is a drawer. */
    public record Shim(String mount, double thicknessMm, Optional<List<Double>> stack) {
        public Shim {
            stack = stack.map(List::copyOf);
        }

        /** What its pieces come to, mm; the exact thickness where there is no drawer. */
        public double madeMm() {
            return stack.map(pieces ->
                            pieces.stream().mapToDouble(Double::doubleValue).sum())
                    .orElse(thicknessMm);
        }
    }

    /** A gap as it was read, and as the plane has it, mm. */
    public record Place(double xMm, double yMm, double gapMm, double planeMm) {}

    /** Most across the field in mm, most pieces on a mount, and one standard error of a gap in mm. */
    public record Tolerances(double toleranceMm, int maxShimsPerMount, double gapErrorMm) {}

    public TiltFinding {
        shims = List.copyOf(shims);
        points = List.copyOf(points);
        mounts = List.copyOf(mounts);
    }
}
