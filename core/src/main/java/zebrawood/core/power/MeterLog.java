package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.fit.Quantile;

/**
 * Readings out of the log of a thermal power meter: each time that the beam is on, the meter climbs and then stays; the
 * mean over the last third is the reading, where it stays at all.
 */
public final class MeterLog {

    private static final double SURE = 0.975;
    /** share of the largest value in the log above which the beam is on */
    private static final double ON = 0.03;
    /** of a stretch, at its end, that is taken for the reading */
    private static final double LAST = 1 / 3.0;

    private static final int LEAST = 4;
    /** share of the reading by which the halves of that end may differ before it still climbs */
    private static final double STAYS = 0.02;

    private MeterLog() {}

    /** What the meter showed, W, so many seconds from the beginning. */
    public record Shown(double atS, double powerW) {}

    /**
     * One time that the beam was on.
     *
     * @param fromS when it came on
     * @param toS when it went off
     * @param powerW the mean over its last third
     * @param halfWidthW half of its 95 % interval: scatter, and what the meter itself is known to
     * @param stays whether the meter had come to rest; else it was on for too short a time
     */
    public record Firing(double fromS, double toS, double powerW, double halfWidthW, boolean stays) {}

    /**
     * Each time that the beam was on, in the order of time.
     *
     * @param log in the order of time
     * @param meterPct half of the 95 % interval of the meter itself, % of the reading, 0 or more
     */
    public static List<Firing> firings(List<Shown> log, double meterPct) {
        double on = ON * log.stream().mapToDouble(Shown::powerW).max().orElse(0);
        List<Firing> firings = new ArrayList<>();
        List<Shown> stretch = new ArrayList<>();
        for (Shown each : log) {
            if (each.powerW() > on) {
                stretch.add(each);
            } else {
                add(firings, stretch, meterPct);
                stretch.clear();
            }
        }
        add(firings, stretch, meterPct);
        return firings;
    }

    private static void add(List<Firing> firings, List<Shown> stretch, double meterPct) {
        if (stretch.size() < LEAST) {
            return;
        }
        // once the beam is off a thermal meter falls: what falls at the end is no reading
        double most = stretch.stream().mapToDouble(Shown::powerW).max().orElse(0);
        int to = stretch.size();
        while (to > LEAST && stretch.get(to - 1).powerW() < (1 - 2 * STAYS) * most) {
            to--;
        }
        int many = Math.max(LEAST, (int) Math.round(to * LAST));
        double[] end = stretch.subList(Math.max(0, to - many), to).stream()
                .mapToDouble(Shown::powerW)
                .toArray();
        double mean = mean(end, 0, end.length);
        double squares = 0;
        for (double value : end) {
            squares += (value - mean) * (value - mean);
        }
        double scatter = Quantile.t(SURE, end.length - 1.0) * Math.sqrt(squares / (end.length - 1.0) / end.length);
        double later = mean(end, end.length / 2, end.length) - mean(end, 0, end.length / 2);
        firings.add(new Firing(
                stretch.get(0).atS(),
                stretch.get(to - 1).atS(),
                mean,
                Math.hypot(scatter, mean * meterPct / 100),
                Math.abs(later) <= STAYS * mean));
    }

    private static double mean(double[] values, int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            sum += values[i];
        }
        return sum / (to - from);
    }
}
