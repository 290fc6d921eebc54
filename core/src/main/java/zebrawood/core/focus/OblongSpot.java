package zebrawood.core.focus;

import java.util.stream.DoubleStream;
import zebrawood.core.focus.RampFinding.Fit;
import zebrawood.core.focus.RampReadings.OtherLine;

/**
 * A spot that is not round, as diodes make it: two lines, one along each axis of the machine, have each a best gap of
 * their own. Between them lies the gap at which the wider of the two lines is thinnest.
 *
 * @param apartMm best gap of this line less that of the other
 * @param apartHalfWidthMm half of its 95 % interval
 * @param seen whether they differ by more than that
 * @param otherBestGapMm the best gap of the other line
 * @param roundGapMm where the wider of both lines is thinnest
 * @param roundHalfWidthMm half of its 95 % interval
 * @param roundWidthMm how wide the wider line is there
 */
public record OblongSpot(
        double apartMm,
        double apartHalfWidthMm,
        boolean seen,
        double otherBestGapMm,
        double roundGapMm,
        double roundHalfWidthMm,
        double roundWidthMm) {

    /** 95 % of what scatters lie within so many standard errors */
    private static final double SURE = 1.96;

    /**
     * Compares two lines. Both squares of width are parabolas that open upward, so the larger of them is least at one
     * of their own best gaps or where they cross between these.
     */
    static OblongSpot of(Fit line, double bestGapMm, double stdErrMm, OtherLine other) {
        double apart = bestGapMm - other.bestGapMm();
        double apartHalf = SURE * Math.hypot(stdErrMm, other.bestGapStdErrMm());
        double low = Math.min(bestGapMm, other.bestGapMm());
        double high = Math.max(bestGapMm, other.bestGapMm());
        double round = low;
        for (double gap : DoubleStream.concat(
                        DoubleStream.of(high),
                        crossings(line.a() - other.a(), line.b() - other.b(), line.c() - other.c())
                                .filter(gap -> gap > low && gap < high))
                .toArray()) {
            if (wider(line, other, gap) < wider(line, other, round)) {
                round = gap;
            }
        }
        return new OblongSpot(
                apart,
                apartHalf,
                Math.abs(apart) > apartHalf,
                other.bestGapMm(),
                round,
                // each line moves it by a share between nothing and all of its own error
                SURE * Math.max(stdErrMm, other.bestGapStdErrMm()),
                Math.sqrt(Math.max(0, wider(line, other, round))));
    }

    private static double wider(Fit line, OtherLine other, double gap) {
        return Math.max(square(line.a(), line.b(), line.c(), gap), square(other.a(), other.b(), other.c(), gap));
    }

    private static double square(double a, double b, double c, double gap) {
        return a + gap * (b + gap * c);
    }

    /** Where {@code a + b g + c g²} is 0. */
    private static DoubleStream crossings(double a, double b, double c) {
        double root = Math.sqrt(b * b - 4 * a * c);
        double twice = -(b + Math.copySign(root, b));
        return DoubleStream.of(twice / (2 * c), 2 * a / twice).filter(Double::isFinite);
    }
}
