package zebrawood.core.mirrors;

import java.util.List;
import java.util.Optional;

/** What an alignment learned of a mount, for the next visit to begin with. */
final class LearnedMount {

    /** an effect that is not better known than this is not worth keeping, % */
    private static final double KEPT_PCT = 40;

    private LearnedMount() {}

    /** What is known of mirror 1 or 2 now: what was learned of it, or what was known before. */
    static PlanReadings.Mount of(Belief belief, int mirror) {
        PlanReadings.Mount mount = belief.readings.mount(mirror);
        if (!belief.turned.isTouchedMirror(mirror)) {
            return mount;
        }
        double[][] mean = new double[2][2];
        double squares = 0;
        for (int screw = 0; screw < 2; screw++) {
            int at = 2 * (mirror - 1) + screw;
            double variance = 0;
            for (int c = 0; c < 2; c++) {
                Moments moments = moments(belief, mirror, at, c);
                mean[c][screw] = moments.mean();
                variance += moments.variance();
            }
            double size = Math.hypot(mean[0][screw], mean[1][screw]);
            squares += size == 0 ? Double.POSITIVE_INFINITY : variance / 2 / (size * size);
        }
        double errorPct = 100 * Math.sqrt(squares / 2);
        if (!(errorPct <= KEPT_PCT)) {
            return mount;
        }
        return new PlanReadings.Mount(
                mount.armMm(),
                mount.pitchMm(),
                mount.gainErrorPct(),
                mount.crossTalkPct(),
                mount.playTurns(),
                Optional.of(new PlanReadings.Learned(
                        List.of(List.of(mean[0][0], mean[0][1]), List.of(mean[1][0], mean[1][1])), errorPct)));
    }

    /** Mean, mrad a turn, and variance of an effect over all guesses. */
    private record Moments(double mean, double variance) {}

    /** Of a screw and a coordinate, as seen on this mirror's card. */
    private static Moments moments(Belief belief, int mirror, int screw, int c) {
        int at = Guess.gain(screw, c);
        double sum = 0;
        double square = 0;
        for (int i = 0; i < belief.guesses.size(); i++) {
            Guess guess = belief.guesses.get(i);
            double gain = (mirror == 1 && c == 0 ? guess.side : 1) * guess.mean[at];
            sum += belief.weights[i] * gain;
            square += belief.weights[i] * (gain * gain + guess.covariance[at][at]);
        }
        return new Moments(sum, Math.max(0, square - sum * sum));
    }
}
