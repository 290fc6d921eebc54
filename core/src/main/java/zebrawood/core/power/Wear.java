package zebrawood.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.hipparchus.linear.RealMatrix;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.fit.Quantile;
import zebrawood.core.power.TrendFinding.Larger;
import zebrawood.core.power.TrendFinding.Rate;
import zebrawood.core.power.TrendReadings.Event;
import zebrawood.core.power.TrendReadings.Point;
import zebrawood.core.power.TrendReadings.What;

/**
 * Dirt told from age: a step up where the optics were cleaned is dirt, what stays after each cleaning is the source.
 * The logarithm of the value is fitted by least squares: one slope for the source over all hours; for dirt a slope from
 * each cleaning to the next, as no two days are equally smoky; a step of its own where mirrors were aligned or the
 * coolant changed. What was there before the first cleaning is not known to have begun clean, so it tells nothing of
 * the source. Intervals are Student's t on the degrees of freedom that are left (piecewise linear regression with known
 * joints).
 */
final class Wear {

    private static final double SURE = 0.975;
    /** readings more than what is fitted, before anything is said */
    private static final int SPARE = 3;

    private static final double PER_100_H = 100;

    /** cleaned, in order, each after the first point and with points after it; the first may lie before all */
    private final List<Double> cleaned;

    private final List<Point> points;
    private final List<Double> steps;
    private final boolean beginsClean;

    private Wear(List<Point> points, List<Event> events) {
        this.points = points;
        double first = points.get(0).hours();
        double last = points.get(points.size() - 1).hours();
        List<Double> all =
                at(events, What.CLEANED).filter(hours -> hours <= last).boxed().toList();
        beginsClean = all.stream().anyMatch(hours -> hours <= first);
        List<Double> joints = new ArrayList<>();
        all.stream().filter(hours -> hours <= first).reduce((a, b) -> b).ifPresent(joints::add);
        all.stream()
                .filter(hours ->
                        hours > first && between(joints.isEmpty() ? first : joints.get(joints.size() - 1), hours))
                .forEach(joints::add);
        cleaned = List.copyOf(joints);
        steps = DoubleStream.concat(at(events, What.ALIGNED), at(events, What.COOLANT))
                .filter(hours -> hours > first && hours <= last)
                .sorted()
                .distinct()
                .boxed()
                .toList();
    }

    private static DoubleStream at(List<Event> events, What what) {
        return events.stream()
                .filter(event -> event.what() == what)
                .mapToDouble(Event::hours)
                .sorted()
                .distinct();
    }

    /** Whether anything was measured from one moment until before another. */
    private boolean between(double from, double to) {
        return points.stream().anyMatch(point -> point.hours() >= from && point.hours() < to);
    }

    /**
     * Of a history in the order of its hours.
     *
     * @return empty where nothing was cleaned, or there are too few readings to tell
     */
    static Optional<TrendFinding.Wear> of(List<Point> points, List<Event> events) {
        Wear wear = new Wear(points, events);
        return wear.cleaned.isEmpty() ? Optional.empty() : wear.fitted();
    }

    /** Which stretch between cleanings a moment lies in: 0 before the first joint where it did not begin clean. */
    private int stretch(double hours) {
        int at = beginsClean ? -1 : 0;
        for (double joint : cleaned) {
            at += hours >= joint ? 1 : 0;
        }
        return at;
    }

    private double since(double hours) {
        int at = stretch(hours) - (beginsClean ? 0 : 1);
        return hours - (at < 0 ? points.get(0).hours() : cleaned.get(at));
    }

    private Optional<TrendFinding.Wear> fitted() {
        int stretches = cleaned.size() + (beginsClean ? 0 : 1);
        // level, source, a dirt slope a stretch, the unknown level before the first cleaning, steps
        int columns = 2 + stretches + (beginsClean ? 0 : 1) + steps.size();
        if (points.size() < columns + SPARE) {
            return Optional.empty();
        }
        double[][] rows = new double[points.size()][columns];
        double[] wanted = new double[points.size()];
        double[] weights = new double[points.size()];
        for (int i = 0; i < rows.length; i++) {
            double hours = points.get(i).hours();
            int stretch = stretch(hours);
            double[] row = rows[i];
            row[0] = 1;
            row[1] = -(hours - points.get(0).hours()) / PER_100_H;
            row[2 + stretch] = -since(hours) / PER_100_H;
            if (!beginsClean && stretch == 0) {
                row[2 + stretches] = -1;
            }
            for (int s = 0; s < steps.size(); s++) {
                row[columns - steps.size() + s] = hours >= steps.get(s) ? 1 : 0;
            }
            wanted[i] = Math.log(points.get(i).value());
            weights[i] = 1;
        }
        return LinearFit.of(rows, wanted, weights).map(fit -> told(fit, stretches));
    }

    private TrendFinding.Wear told(LinearFit fit, int stretches) {
        double t = Quantile.t(SURE, fit.degreesOfFreedom());
        RealMatrix covariance = fit.covariance(fit.variance());
        Rate age = rate(fit.coefficient(1), t * Math.sqrt(covariance.getEntry(1, 1)));
        double[] share = shares(stretches);
        Rate dirt = rate(sum(fit, share), t * Math.sqrt(variance(covariance, share, share)));
        double[] apart = share.clone();
        apart[1] -= 1;
        double difference = sum(fit, apart);
        boolean sure = Math.abs(difference) > t * Math.sqrt(variance(covariance, apart, apart));
        double now = since(points.get(points.size() - 1).hours()) / PER_100_H;
        int last = 2 + stretches - 1;
        return new TrendFinding.Wear(
                age,
                dirt,
                sure ? difference > 0 ? Larger.DIRT : Larger.AGE : Larger.UNCLEAR,
                100 * (1 - Math.exp(-Math.max(0, fit.coefficient(last) * now))),
                100
                        * (1
                                - Math.exp(-Math.max(
                                        0,
                                        fit.coefficient(1)
                                                * (points.get(points.size() - 1).hours()
                                                        - points.get(0).hours())
                                                / PER_100_H))),
                cleaned);
    }

    /** How much of all hours each stretch is: the mean slope of dirt is weighed by it. */
    private double[] shares(int stretches) {
        double[] share = new double[2 + stretches + (beginsClean ? 0 : 1) + steps.size()];
        double end = points.get(points.size() - 1).hours();
        double whole = 0;
        for (int i = 0; i < stretches; i++) {
            int joint = i - (beginsClean ? 0 : 1);
            double from = joint < 0 ? points.get(0).hours() : cleaned.get(joint);
            double to = joint + 1 < cleaned.size() ? cleaned.get(joint + 1) : end;
            // a stretch with nothing measured later than its beginning tells no slope
            boolean told = points.stream().anyMatch(point -> point.hours() > from && stretchOf(point) == joint);
            share[2 + i] = told ? to - from : 0;
            whole += share[2 + i];
        }
        for (int i = 0; i < stretches; i++) {
            share[2 + i] /= whole > 0 ? whole : 1;
        }
        return share;
    }

    private int stretchOf(Point point) {
        return stretch(point.hours()) - (beginsClean ? 0 : 1);
    }

    private static double sum(LinearFit fit, double[] of) {
        double sum = 0;
        for (int i = 0; i < of.length; i++) {
            sum += of[i] * fit.coefficient(i);
        }
        return sum;
    }

    private static double variance(RealMatrix covariance, double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            for (int j = 0; j < other.length; j++) {
                sum += one[i] * covariance.getEntry(i, j) * other[j];
            }
        }
        return sum;
    }

    private static Rate rate(double loss, double half) {
        return new Rate(100 * loss, 100 * (loss - half), 100 * (loss + half));
    }
}
