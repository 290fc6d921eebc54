package zebrawood.core.fit;

import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.distribution.continuous.FDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/** Values with a probability below them, for intervals and tests from few readings. */
public final class Quantile {

    private Quantile() {}

    /** Student's t with f degrees of freedom. */
    public static double t(double probability, double f) {
        return new TDistribution(f).inverseCumulativeProbability(probability);
    }

    /** Chi squared with f degrees of freedom. */
    public static double chi2(double probability, double f) {
        return new ChiSquaredDistribution(f).inverseCumulativeProbability(probability);
    }

    /** Fisher's F with degrees of freedom of the numerator and of the denominator. */
    public static double f(double probability, double numerator, double denominator) {
        return new FDistribution(numerator, denominator).inverseCumulativeProbability(probability);
    }
}
