package zebrawood.core.beam;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What an opening lets through.
 *
 * @param passedPct share of the power that passes, %
 * @param lostPct share that does not, %
 * @param largestOffsetMm how far beside the middle the beam may pass for the allowed loss, mm; absent if even a centred
 *     beam loses more
 * @param neededApertureMm the opening that a centred beam needs for the allowed loss, mm
 * @param beamDiameterMm 1/e² diameter, mm
 * @param apertureMm the opening, mm
 * @param offsetMm how far beside its middle the beam passes, mm
 * @param opening which opening, in words
 * @param curve loss against offset
 * @param tolerances what it was judged by
 */
public record ClipFinding(
        double passedPct,
        double lostPct,
        OptionalDouble largestOffsetMm,
        double neededApertureMm,
        double beamDiameterMm,
        double apertureMm,
        double offsetMm,
        Optional<String> opening,
        List<Point> curve,
        Tolerances tolerances) {

    /** A loss, %, at an offset, mm. */
    public record Point(double offsetMm, double lostPct) {}

    /** What may be lost, %. */
    public record Tolerances(double allowedLossPct) {}

    public ClipFinding {
        curve = List.copyOf(curve);
    }
}
