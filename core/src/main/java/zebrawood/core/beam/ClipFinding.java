package zebrawood.core.beam;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

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
 * @param others what the other openings on the way let through, in their order
 * @param divergenceMrad how fast the beam's diameter grows along its way, mrad, below 0 where it shrinks; absent where
 *     it was not read at two distances
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
        List<Other> others,
        OptionalDouble divergenceMrad,
        Tolerances tolerances) {

    /** A loss, %, at an offset, mm. */
    public record Point(double offsetMm, double lostPct) {}

    /**
     * Another opening.
     *
     * @param name which one
     * @param lostPct share of the power that does not pass, %
     * @param largestOffsetMm how far beside the middle the beam may pass for the allowed loss, mm; absent if even a
     *     centred beam loses more
     * @param neededApertureMm the opening that a centred beam needs for the allowed loss, mm
     * @param beamDiameterMm 1/e² diameter, mm
     * @param apertureMm the opening, mm
     * @param offsetMm how far beside its middle the beam passes, mm
     */
    public record Other(
            Optional<String> name,
            double lostPct,
            OptionalDouble largestOffsetMm,
            double neededApertureMm,
            double beamDiameterMm,
            double apertureMm,
            double offsetMm) {}

    /** The first opening, as the others are told. */
    Other first() {
        return new Other(opening, lostPct, largestOffsetMm, neededApertureMm, beamDiameterMm, apertureMm, offsetMm);
    }

    /** All of them, the first one first. */
    List<Other> all() {
        return Stream.concat(Stream.of(first()), others.stream()).toList();
    }

    /** The largest share that is lost at one of them, %. */
    public double worstPct() {
        return all().stream().mapToDouble(Other::lostPct).max().orElse(lostPct);
    }

    /** What may be lost, %. */
    public record Tolerances(double allowedLossPct) {}

    public ClipFinding {
        curve = List.copyOf(curve);
        others = List.copyOf(others);
    }
}
