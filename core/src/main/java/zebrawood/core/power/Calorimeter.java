package zebrawood.core.power;

import java.util.Arrays;
import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.fit.Quantile;

/**
 * Watts from how much a block of metal warms up. The block takes heat in while the beam is on and loses it to the air
 * at a rate that goes with how much warmer it is (Newton's law of cooling); power, temperature of the air and that rate
 * are fitted to all readings by least squares. The interval is Student's t from the scatter of the readings, joined in
 * squares with what mass, heat capacity, time and the share taken in are not known by.
 */
final class Calorimeter {

    private static final double SURE = 0.975;
    /** rates of cooling that are looked through, 1/s: from a thermos to a foil */
    private static final double SLOWEST = 1e-6;

    private static final double FASTEST = 0.05;
    private static final int LOOKS = 60;
    private static final int EVALUATIONS = 200;

    private Calorimeter() {}

    /**
     * What came of it.
     *
     * @param powerW at the block
     * @param halfWidthW half of its 95 % interval
     * @param airC the air, as fitted
     * @param coolsPerS rate of cooling
     * @param riseC how much it would have warmed up without any loss
     */
    record Watts(double powerW, double halfWidthW, double airC, double coolsPerS, double riseC) {
        /** The temperature that was fitted, so many seconds after the beam came on. */
        double celsius(double atS, BlockReadings run) {
            return airC
                    + powerW
                            * run.taken()
                            / 100
                            / (1000 * run.massKg() * run.heat())
                            * warmed(atS, run.onS(), coolsPerS);
        }
    }

    /** Seconds of undisturbed warming that are in the block at a moment. */
    private static double warmed(double atS, double onS, double rate) {
        double taken = -Math.expm1(-rate * Math.min(Math.max(0, atS), onS)) / rate;
        return atS > onS ? taken * Math.exp(-rate * (atS - onS)) : taken;
    }

    /** What it tells; empty where the readings show no warming that can be fitted. */
    static Optional<Watts> of(BlockReadings run) {
        UnivariateFunction misfit = log -> fit(run, Math.exp(log))
                .map(fit -> fit.variance() * fit.degreesOfFreedom())
                .orElse(Double.MAX_VALUE);
        double low = Math.log(SLOWEST);
        double high = Math.log(FASTEST);
        double best = low;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= LOOKS; i++) {
            double at = low + (high - low) * i / LOOKS;
            double value = misfit.value(at);
            if (value < least) {
                least = value;
                best = at;
            }
        }
        double step = (high - low) / LOOKS;
        double found = new BrentOptimizer(1e-10, 1e-12)
                .optimize(
                        new MaxEval(EVALUATIONS),
                        new UnivariateObjectiveFunction(misfit),
                        GoalType.MINIMIZE,
                        interval(Math.max(low, best - step), Math.min(high, best + step), best))
                .getPoint();
        double rate = Math.exp(found);
        return fit(run, rate).filter(fit -> fit.coefficient(1) > 0).flatMap(fit -> told(run, rate, fit));
    }

    private static SearchInterval interval(double from, double to, double best) {
        return new SearchInterval(from, to, Math.min(to, Math.max(from, best)));
    }

    /** Air and warming per second, where the rate of cooling is known. */
    private static Optional<LinearFit> fit(BlockReadings run, double rate) {
        int many = run.temperatures().size();
        double[][] rows = new double[many][];
        for (int i = 0; i < many; i++) {
            rows[i] = new double[] {1, warmed(run.temperatures().get(i).atS(), run.onS(), rate)};
        }
        return LinearFit.of(rows, celsius(run), ones(many));
    }

    private static double[] celsius(BlockReadings run) {
        return run.temperatures().stream()
                .mapToDouble(BlockReadings.Temperature::celsius)
                .toArray();
    }

    private static double[] ones(int many) {
        double[] ones = new double[many];
        Arrays.fill(ones, 1);
        return ones;
    }

    /** With the rate of cooling as a third column, what the power is not known by because of it. */
    private static Optional<Watts> told(BlockReadings run, double rate, LinearFit fit) {
        int many = run.temperatures().size();
        double perSecond = fit.coefficient(1);
        double step = Math.max(1e-9, rate * 1e-4);
        double[][] rows = new double[many][];
        double[] left = new double[many];
        for (int i = 0; i < many; i++) {
            BlockReadings.Temperature each = run.temperatures().get(i);
            double warmed = warmed(each.atS(), run.onS(), rate);
            // scaled to about 1: rates are thousandths
            double byRate = perSecond * (warmed(each.atS(), run.onS(), rate + step) - warmed) / step * 1e-3;
            rows[i] = new double[] {1, warmed, byRate};
            left[i] = each.celsius() - fit.coefficient(0) - perSecond * warmed;
        }
        double heat = 1000 * run.massKg() * run.heat() / (run.taken() / 100);
        return LinearFit.of(rows, left, ones(many)).map(near -> {
            double scatter = Quantile.t(SURE, near.degreesOfFreedom())
                    * Math.sqrt(near.covariance(near.variance()).getEntry(1, 1));
            double power = perSecond * heat;
            return new Watts(
                    power,
                    Math.hypot(scatter * heat, power * run.known() / 100),
                    fit.coefficient(0),
                    rate,
                    perSecond * run.onS());
        });
    }
}
