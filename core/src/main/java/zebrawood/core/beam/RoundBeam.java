package zebrawood.core.beam;

import org.hipparchus.special.Gamma;

/**
 * A round Gaussian beam before a round opening. With w the 1/e² radius, r the opening's radius and o how far the beam
 * passes beside its middle, the share that passes is the probability that a noncentral chi-square variable of 2 degrees
 * of freedom and noncentrality {@code (2 o / w)²} is at most {@code (2 r / w)²}: 1 less the Marcum Q function
 * {@code Q1(2 o / w, 2 r / w)}. Summed as Poisson weights over central chi-squares from the heaviest outwards, to
 * 1e-13; beyond offsets of 150 w by a straight edge, good to 0.002.
 *
 * @param diameterMm 1/e² diameter, mm, above 0
 */
record RoundBeam(double diameterMm) {

    private static final double SMALL = 1e-17;
    /** radii from an edge at which all of a beam is on one side of it */
    private static final double CLEAR = 20;
    /** half of the noncentrality beyond which the edge of an opening is as good as straight */
    private static final double STRAIGHT = 45_000;

    private double radiusMm() {
        return diameterMm / 2;
    }

    /** The share that passes, 0..1. */
    double passed(double openingMm, double offsetMm) {
        double w = radiusMm();
        double room = openingMm / 2 - offsetMm;
        if (Math.abs(room) / w > CLEAR) {
            return room > 0 ? 1 : 0;
        }
        double half = 2 * (offsetMm / w) * (offsetMm / w);
        double limit = 2 * (openingMm / 2 / w) * (openingMm / 2 / w);
        if (half > STRAIGHT) {
            double edge = 2 * room / w;
            return edge > 0 ? 1 - tail(edge) : tail(-edge);
        }
        long heaviest = (long) Math.floor(half);
        double weight = half == 0 ? 1 : Math.exp(heaviest * Math.log(half) - half - Gamma.logGamma(heaviest + 1.0));
        double sum = 0;
        double down = weight;
        for (long k = heaviest; k >= 0 && down > SMALL; k--) {
            sum += down * Gamma.regularizedGammaP(k + 1.0, limit);
            down *= k / half;
        }
        double up = weight * half / (heaviest + 1);
        for (long k = heaviest + 1; up > SMALL; k++) {
            sum += up * Gamma.regularizedGammaP(k + 1.0, limit);
            up *= half / (k + 1);
        }
        return Math.min(1, sum);
    }

    /** Share of the normal distribution beyond so many standard deviations. */
    private static double tail(double deviations) {
        return 0.5 * (1 - Gamma.regularizedGammaP(0.5, deviations * deviations / 2));
    }

    /** The share that a beam in the middle loses, 0..1. */
    double lostInTheMiddle(double openingMm) {
        double ratio = openingMm / diameterMm;
        return Math.exp(-2 * ratio * ratio);
    }

    /** The opening that a beam in the middle needs to lose no more than a share of it, mm. */
    double openingFor(double lost) {
        return diameterMm * Math.sqrt(-Math.log(lost) / 2);
    }

    /** How far it may pass beside the middle to lose no more than a share, mm; the centred beam must not lose more. */
    double largestOffset(double openingMm, double lost) {
        double least = 0;
        double most = openingMm / 2 + 4 * radiusMm();
        for (int i = 0; i < 60 && most - least > 1e-9; i++) {
            double middle = (least + most) / 2;
            if (1 - passed(openingMm, middle) <= lost) {
                least = middle;
            } else {
                most = middle;
            }
        }
        return least;
    }
}
