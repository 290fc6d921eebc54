package zebrawood.core.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import org.hipparchus.linear.RealMatrix;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.fit.Quantile;
import zebrawood.core.focus.SweepReadings.Direction;
import zebrawood.core.procedure.Evaluation;
import zebrawood.core.reading.Limits;
import zebrawood.core.reading.ReadingException;

/**
 * The model {@code g = G + s (P/2 + v T)} through what sweeps came to: G the best gap, P the play, T the delay, s -1
 * down and 1 up, v the speed. Weights lie between a wrong moment, which counts v times, and a wrong height.
 */
final class SweepFit {

    /** What can be told apart by the sweeps there are. */
    enum Case {
        /** the delay is known */
        DELAY_KNOWN,
        /** all at one speed: play and delay come as one figure */
        ONE_SPEED,
        /** several speeds one way: delay and play come apart */
        SEVERAL_SPEEDS,
        /** one way only, or a speed for each way: nothing can be told */
        NONE
    }

    /** A sweep that came to something. */
    record Used(double sign, double speed, double gap) {}

    /** largest over smallest speed up to which they are alike */
    private static final double ALIKE = 1.05;
    /** fewer degrees of freedom give no interval worth saying */
    static final int LEAST_DEGREES = 2;

    private final Case kind;
    private final LinearFit fit;
    private final Optional<LinearFit> late;
    private final double variance;
    private final double delayError;
    private final double[] residuals;

    private SweepFit(Case kind, List<Used> used, SweepReadings read) {
        this.kind = kind;
        double delay = read.delayS().orElse(0);
        int columns = kind == Case.SEVERAL_SPEEDS ? 3 : 2;
        double[][] rows = new double[used.size()][];
        double[] weights = new double[used.size()];
        double[] gaps = new double[used.size()];
        double[] signedSpeed = new double[used.size()];
        double meanSpeed = 0;
        for (int i = 0; i < rows.length; i++) {
            Used sweep = used.get(i);
            signedSpeed[i] = sweep.sign() * sweep.speed();
            rows[i] = columns == 3
                    ? new double[] {1, sweep.sign() / 2, signedSpeed[i]}
                    : new double[] {1, sweep.sign() / 2};
            // the weight multiplies the square of a residual: its root goes to the rows
            weights[i] = 1 / Math.sqrt(Math.sqrt(sweep.speed()));
            gaps[i] = sweep.gap() - signedSpeed[i] * delay;
            meanSpeed += sweep.speed() / rows.length;
        }
        fit = LinearFit.of(rows, gaps, weights).orElseThrow(SweepFit::tooExtreme);
        late = kind == Case.DELAY_KNOWN ? LinearFit.of(rows, signedSpeed, weights) : Optional.empty();
        double moment = read.timeErrorS().orElse(SweepReadings.TIME_ERROR_S);
        double least = moment * moment * Math.pow(meanSpeed, 1.5);
        variance = fit.degreesOfFreedom() > 0 ? Math.max(fit.variance(), least) : least;
        delayError = read.delayErrorS().orElse(0);
        residuals = fit.residuals();
        for (int i = 0; i < residuals.length; i++) {
            residuals[i] /= weights[i];
        }
    }

    private static RuntimeException tooExtreme() {
        return new ReadingException("sweeps", Evaluation.TOO_EXTREME);
    }

    /** Empty where nothing can be told apart. */
    static Optional<SweepFit> of(List<Used> used, SweepReadings read) {
        Case kind = kind(used, read.delayS());
        return kind == Case.NONE ? Optional.empty() : Optional.of(new SweepFit(kind, used, read));
    }

    private static Case kind(List<Used> used, OptionalDouble delay) {
        boolean both = used.stream().anyMatch(sweep -> sweep.sign() < 0)
                && used.stream().anyMatch(sweep -> sweep.sign() > 0);
        if (!both) {
            return Case.NONE;
        } else if (delay.isPresent()) {
            return Case.DELAY_KNOWN;
        } else if (alike(used, sweep -> true)) {
            return Case.ONE_SPEED;
        }
        return alike(used, sweep -> sweep.sign() < 0) && alike(used, sweep -> sweep.sign() > 0)
                ? Case.NONE
                : Case.SEVERAL_SPEEDS;
    }

    private static boolean alike(List<Used> used, Predicate<Used> which) {
        double most = used.stream().filter(which).mapToDouble(Used::speed).max().orElse(1);
        double least =
                used.stream().filter(which).mapToDouble(Used::speed).min().orElse(1);
        return Limits.atMost(most, ALIKE * least);
    }

    Case kind() {
        return kind;
    }

    int degreesOfFreedom() {
        return fit.degreesOfFreedom();
    }

    boolean hasIntervals() {
        return degreesOfFreedom() >= LEAST_DEGREES;
    }

    /** What the fit leaves of each sweep used, mm. */
    double residual(int used) {
        return residuals[used];
    }

    Estimate bestGap() {
        return estimate(1, 0, 0);
    }

    /** Play, or play and delay together where all went at one speed. */
    Estimate play() {
        return estimate(0, 1, 0);
    }

    Estimate delay() {
        return estimate(0, 0, 1);
    }

    /** What the scale is to show, come to from this side. */
    Estimate setGap(Direction approach) {
        return estimate(1, approach == Direction.DOWN ? -0.5 : 0.5, 0);
    }

    /** A value, its standard error and its 95 % interval. */
    record Estimate(double value, double stdErr, double halfWidth) {
        double low() {
            return value - halfWidth;
        }

        double high() {
            return value + halfWidth;
        }
    }

    private Estimate estimate(double byGap, double byPlay, double byDelay) {
        double[] by = {byGap, byPlay, byDelay};
        int columns = fit.coefficients().length;
        RealMatrix covariance = fit.covariance(variance);
        double value = 0;
        double square = 0;
        double lent = 0;
        for (int i = 0; i < columns; i++) {
            value += by[i] * fit.coefficient(i);
            int row = i;
            lent += late.map(l -> by[row] * l.coefficient(row)).orElse(0.0);
            for (int j = 0; j < columns; j++) {
                square += by[i] * by[j] * covariance.getEntry(i, j);
            }
        }
        double own = Math.sqrt(Math.max(0, square));
        lent = delayError * Math.abs(lent);
        double half = hasIntervals()
                ? Math.hypot(Quantile.t(0.975, degreesOfFreedom()) * own, 1.96 * lent)
                : Double.POSITIVE_INFINITY;
        return new Estimate(value, Math.hypot(own, lent), half);
    }
}
