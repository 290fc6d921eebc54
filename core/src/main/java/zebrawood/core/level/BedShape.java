package zebrawood.core.level;

import java.util.Arrays;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.level.BedFinding.Place;
import zebrawood.core.level.BedFinding.Shape;

/** Tells what a bed is besides tilted: a twist and a hollow are fitted beside the plane, one at a time. */
final class BedShape {

    /** share of the squares off the plane that a form must explain to be named */
    private static final double EXPLAINS = 0.6;

    private BedShape() {}

    static Shape of(Place[] places, double planeMisfit) {
        if (places.length < 4) {
            return Shape.UNEVEN;
        }
        double[] x = scaled(Arrays.stream(places).mapToDouble(Place::xMm).toArray());
        double[] y = scaled(Arrays.stream(places).mapToDouble(Place::yMm).toArray());
        double[] gaps = Arrays.stream(places).mapToDouble(Place::gapMm).toArray();
        double[] twist = new double[x.length];
        double[] hollow = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            twist[i] = x[i] * y[i];
            hollow[i] = x[i] * x[i] + y[i] * y[i];
        }
        Form twisted = Form.of(x, y, twist, gaps);
        Form hollowed = Form.of(x, y, hollow, gaps);
        double least = Math.min(twisted.misfit, hollowed.misfit);
        if (least > (1 - EXPLAINS) * planeMisfit) {
            return Shape.UNEVEN;
        }
        if (twisted.misfit <= hollowed.misfit) {
            return Shape.TWISTED;
        }
        // the gap falls from the middle outwards: the middle is lower
        return hollowed.coefficient < 0 ? Shape.HOLLOW : Shape.ARCHED;
    }

    private static double[] scaled(double[] values) {
        double least = Arrays.stream(values).min().orElseThrow();
        double most = Arrays.stream(values).max().orElseThrow();
        return Arrays.stream(values)
                .map(value -> (2 * value - least - most) / (most - least))
                .toArray();
    }

    /** A form beside the plane: its coefficient, and the squares it leaves. */
    private record Form(double coefficient, double misfit) {

        private static final Form NONE = new Form(0, Double.POSITIVE_INFINITY);

        static Form of(double[] x, double[] y, double[] form, double[] gaps) {
            double[][] rows = new double[x.length][];
            for (int i = 0; i < x.length; i++) {
                rows[i] = new double[] {1, x[i], y[i], form[i]};
            }
            double[] weights = new double[x.length];
            Arrays.fill(weights, 1);
            return LinearFit.of(rows, gaps, weights)
                    .map(fit -> new Form(
                            fit.coefficient(3),
                            Arrays.stream(fit.residuals()).map(r -> r * r).sum()))
                    .filter(found -> found.isOwn(form))
                    .orElse(NONE);
        }

        /** A form that the places cannot tell from a plane has a coefficient beyond all measure. */
        private boolean isOwn(double[] form) {
            double spread = Arrays.stream(form).max().orElseThrow()
                    - Arrays.stream(form).min().orElseThrow();
            return spread > 0.05 && Math.abs(coefficient) < 1e6;
        }
    }
}
