package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import zebrawood.core.reading.Limits;

/**
 * How far the marks at the corners of the bed lie from each other, at the worst, and how sure that is.
 *
 * @param estimateMm of the likeliest guess, mm
 * @param boundMm the truth is not over it with 95 %, mm
 * @param within how likely the truth is within the tolerance, of 1
 */
record Spread(double estimateMm, double boundMm, double within) {

    /** how likely the truth has to be within the tolerance before the work is done */
    static final double ENOUGH = 0.99;

    /** after so many shots what is doubted for an unlikely reason is not doubted any longer */
    private static final int PATIENT = 12;

    /** what 95 % of all truths are not over */
    private static final double SURE = 0.95;
    /** points for all guesses together, and for the least likely of them */
    private static final int POINTS = 500;

    private static final int LEAST_POINTS = 12;
    /** share of the weight that guesses may have which are not looked at */
    private static final double UNSEEN = 0.002;

    /** A number and how much of the weight it has. */
    record Weighed(double value, double weight) {

        /** What a share of the weight is not over. */
        static double quantile(List<Weighed> all, double share) {
            all.sort(Comparator.comparingDouble(Weighed::value));
            double whole = all.stream().mapToDouble(Weighed::weight).sum();
            double sum = 0;
            for (Weighed one : all) {
                sum += one.weight();
                if (sum >= share * whole) {
                    return one.value();
                }
            }
            return all.get(all.size() - 1).value();
        }
    }

    /** Whether it is within the tolerance, doubt and all. */
    boolean isWithin(double toleranceMm, int shots) {
        double enough = shots > PATIENT ? 1 - 3 * (1 - ENOUGH) : ENOUGH;
        return Limits.atMost(boundMm, toleranceMm) && within >= enough;
    }

    static Spread of(Belief belief) {
        double tolerance = belief.readings.tolerance();
        List<Weighed> spreads = new ArrayList<>();
        double within = 0;
        double whole = 0;
        double estimate = 0;
        int most = belief.most(UNSEEN);
        for (int i = 0; i < most; i++) {
            Corners corners = Corners.of(belief, belief.guesses.get(i));
            double here = corners.spread(corners.mean());
            estimate = i == 0 ? here : estimate;
            double[][] root = corners.root();
            int points = Math.max(LEAST_POINTS, (int) (POINTS * belief.weights[i]));
            double weight = belief.weights[i] / points;
            for (int p = 0; p < points; p++) {
                double spread = corners.spread(corners.sample(root, Normals.point(p)));
                spreads.add(new Weighed(spread, weight));
                within += spread <= tolerance ? weight : 0;
                whole += weight;
            }
        }
        return new Spread(estimate, Math.max(estimate, Weighed.quantile(spreads, SURE)), within / whole);
    }
}
