package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.focus.SweepReadings.Sample;
import zebrawood.core.reading.Limits;

/**
 * When a recorded level is highest: a parabola through the levels, as recorded, of the hump about the highest of the
 * smoothed ones, as far as those stay over half of their range.
 *
 * @param seconds when
 * @param stdErrS its standard error
 * @param samples how many were fitted
 */
record Peak(double seconds, OptionalDouble stdErrS, int samples) {

    /** samples on each side that a level is smoothed over: one in so many of all */
    private static final int SMOOTHED = 40;

    private static final int LEAST_FITTED = 5;

    /** Empty where the hump is cut off, too short, or no hump. */
    static Optional<Peak> of(List<Sample> samples) {
        double[] smooth = smoothed(samples);
        double most = Double.NEGATIVE_INFINITY;
        double least = Double.POSITIVE_INFINITY;
        for (double level : smooth) {
            most = Math.max(most, level);
            least = Math.min(least, level);
        }
        int top = 0;
        while (smooth[top] < most - 1e-9 * (most - least)) {
            top++;
        }
        double half = most / 2 + least / 2;
        int from = top;
        while (from > 0 && Limits.atLeast(smooth[from - 1], half)) {
            from--;
        }
        int to = top;
        while (to < smooth.length - 1 && Limits.atLeast(smooth[to + 1], half)) {
            to++;
        }
        int fitted = to - from + 1;
        if (from == 0 || to == smooth.length - 1 || fitted < LEAST_FITTED) {
            return Optional.empty();
        }
        List<Sample> hump = samples.subList(from, to + 1);
        return Parabola.through(
                        hump.stream().mapToDouble(Sample::tS).toArray(),
                        hump.stream().mapToDouble(Sample::level).toArray())
                .filter(curve -> curve.bend() < 0 && curve.isInside())
                .map(curve -> new Peak(curve.vertex(), curve.vertexStdErr(), fitted));
    }

    /** Running means, from sums of levels in shares of the largest, so that none outgrows a number. */
    private static double[] smoothed(List<Sample> samples) {
        int aside = samples.size() / SMOOTHED;
        double largest = samples.stream()
                .mapToDouble(sample -> Math.abs(sample.level()))
                .max()
                .orElse(0);
        double unit = largest == 0 ? 1 : largest;
        double[] sums = new double[samples.size() + 1];
        for (int i = 0; i < samples.size(); i++) {
            sums[i + 1] = sums[i] + samples.get(i).level() / unit;
        }
        double[] smooth = new double[samples.size()];
        for (int i = 0; i < smooth.length; i++) {
            int from = Math.max(0, i - aside);
            int to = Math.min(smooth.length - 1, i + aside);
            smooth[i] = unit * ((sums[to + 1] - sums[from]) / (to - from + 1));
        }
        return smooth;
    }
}
