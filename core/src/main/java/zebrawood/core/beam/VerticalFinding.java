package zebrawood.core.beam;

/**
 * How the beam leaves the head.
 *
 * @param leanXMrad to the right per run downwards, mrad
 * @param leanYMrad upwards on the card per run downwards, mrad
 * @param leanMrad both together, mrad
 * @param atNozzle where it passes the nozzle, from its axis, mm
 * @param clippedPct what the nozzle takes of it, %
 * @param upperGapMm gap to the higher card, mm
 * @param lowerGapMm gap to the lower card, mm
 * @param upper the spot on the higher card
 * @param lower the spot on the lower card
 * @param nozzleBoreMm bore, mm
 * @param beamAtNozzleMm 1/e² diameter in the bore, mm
 * @param tolerances what it was judged by
 */
public record VerticalFinding(
        double leanXMrad,
        double leanYMrad,
        double leanMrad,
        Spot atNozzle,
        double clippedPct,
        double upperGapMm,
        double lowerGapMm,
        Spot upper,
        Spot lower,
        double nozzleBoreMm,
        double beamAtNozzleMm,
        Tolerances tolerances) {

    /** The largest lean, mrad, and what the nozzle may take, %. */
    public record Tolerances(double leanMrad, double clippedPct) {}
}
