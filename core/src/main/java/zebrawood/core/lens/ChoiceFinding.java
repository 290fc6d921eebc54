package zebrawood.core.lens;

import java.util.List;
import java.util.Optional;
import zebrawood.core.reading.Checks;

/**
 * What each lens would do.
 *
 * @param lenses in the order given
 * @param best the one with the smallest spot of those that do all that is wanted
 * @param materialMm thickness of the stock
 * @param beamDiameterMm at the lens
 * @param tolerances what was wanted
 * @param strips the lenses whose strips were scored, the best first
 * @param decided the lens that the strips crown; absent where they are alike, or fewer than two were engraved
 */
public record ChoiceFinding(
        List<Lens> lenses,
        Optional<String> best,
        double materialMm,
        double beamDiameterMm,
        Tolerances tolerances,
        List<Strip> strips,
        Optional<String> decided) {

    /** The strip of a lens: its scores together, 0 to 40, and the least of them, 0 to 10. */
    public record Strip(String lens, double together, double least) {}

    /**
     * A lens at work.
     *
     * @param spotMm diameter of the spot
     * @param rayleighMm over which it grows by root 2
     * @param depthOfFocusMm over which it grows by a tenth, both sides
     * @param intervalMm of the lines
     * @param linesPerInch the same in lines an inch
     * @param edgeWidthMm at the far side of the stock, focused in its middle
     * @param detailOk whether the spot is no larger than the smallest feature
     * @param edgeOk whether an edge is narrow enough, or nothing is cut
     * @param focalLengthMm as given
     */
    public record Lens(
            String name,
            double spotMm,
            double rayleighMm,
            double depthOfFocusMm,
            double intervalMm,
            double linesPerInch,
            double edgeWidthMm,
            boolean detailOk,
            boolean edgeOk,
            double focalLengthMm) {

        /** Diameter of the beam above or below the focus, mm. */
        public double widthMm(double asideMm) {
            return Math.hypot(spotMm, asideMm * spotMm / rayleighMm);
        }
    }

    /** Smallest feature and widest edge in mm, overlap of lines in %, and for what. */
    public record Tolerances(
            double smallestFeatureMm, double allowedEdgeMm, double overlapPct, ChoiceReadings.Purpose purpose) {}

    public ChoiceFinding {
        lenses = List.copyOf(lenses);
        strips = Checks.copy(strips);
    }
}
