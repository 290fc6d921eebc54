package zebrawood.core.evenness;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.RealMatrix;
import zebrawood.core.evenness.NineFinding.Axis;
import zebrawood.core.evenness.NineFinding.Gap;
import zebrawood.core.evenness.NineFinding.Likeliest;
import zebrawood.core.evenness.NineFinding.Pattern;
import zebrawood.core.evenness.NineFinding.Scatter;
import zebrawood.core.evenness.NineReadings.Kind;
import zebrawood.core.evenness.NineReadings.Place;
import zebrawood.core.fit.LinearFit;
import zebrawood.core.fit.Quantile;

/** The arithmetic of nine places: what is seen, what is likeliest, and how sure that is. */
final class NineWorking {

    /** probability with which an even bed is called uneven, over all questions asked */
    private static final double FALSE_ALARM = 0.05;
    /** growth over the bed under which gaps explain nothing */
    private static final double LEAST_GROWTH = 0.02;

    private static final double ALIKE = 1e-9;

    private final NineReadings read;
    private final int n;
    private final int all;
    private final double[] y;
    private final double valueError;
    private final double leastVariance;
    private final Optional<double[]> growth;
    private final Design base;
    private final double baseSquares;
    private final List<Tried> tried = new ArrayList<>();
    private final int questions;
    private final Optional<Tried> seen;

    /** A pattern with its columns in the fit. */
    private record Tried(
            Likeliest kind, double[][] columns, LinearFit fit, double squares, double weight, int places, int odd) {}

    NineWorking(NineReadings read) {
        this.read = read;
        n = read.places().size();
        all = read.values();
        y = read.places().stream().mapToDouble(Place::mean).toArray();
        valueError = read.valueError().orElse(read.quantity().usualError());
        leastVariance = valueError
                * valueError
                * read.places().stream()
                        .mapToDouble(place -> 1.0 / place.values().size())
                        .average()
                        .orElseThrow();
        growth = growth();
        base = growth.map(column -> Design.constant(n).with(column)).orElse(Design.constant(n));
        baseSquares = Design.squares(base.fit(y));
        patterns();
        questions = tried.size() + (all > n ? 1 : 0) + (growth.isPresent() ? 1 : 0);
        seen = likeliest();
    }

    private Optional<double[]> growth() {
        if (!read.hasGaps()) {
            return Optional.empty();
        }
        double best = read.bestGapMm().getAsDouble();
        double half = read.depthOfFocusMm().getAsDouble() / 2;
        double[] column = read.places().stream()
                .mapToDouble(place -> {
                    double off = (place.gapMm().getAsDouble() - best) / half;
                    return Math.sqrt(1 + 0.21 * off * off);
                })
                .toArray();
        return Design.range(column) < LEAST_GROWTH ? Optional.empty() : Optional.of(column);
    }

    private void patterns() {
        double[] x = halved(read.places().stream().mapToDouble(Place::xMm).toArray());
        double[] yPlace = halved(read.places().stream().mapToDouble(Place::yMm).toArray());
        add(Likeliest.SLOPE, x, yPlace);
        read.sourceCorner()
                .ifPresent(corner -> add(
                        Likeliest.PATH,
                        read.places().stream()
                                .mapToDouble(place ->
                                        Math.abs(place.xMm() - corner.xMm()) + Math.abs(place.yMm() - corner.yMm()))
                                .map(way -> way / 1000)
                                .toArray()));
        double[] bowl = new double[n];
        Arrays.setAll(bowl, i -> x[i] * x[i] + yPlace[i] * yPlace[i]);
        add(Likeliest.BOWL, bowl);
        oddPlace();
    }

    /** From -1 to 1 over the range. */
    private static double[] halved(double[] values) {
        double least = Arrays.stream(values).min().orElseThrow();
        double most = Arrays.stream(values).max().orElseThrow();
        return Arrays.stream(values)
                .map(value -> (value - (least + most) / 2) / ((most - least) / 2))
                .toArray();
    }

    private void add(Likeliest kind, double[]... columns) {
        if (base.isToldFrom(columns)) {
            tried.add(tried(kind, 1, -1, columns));
        }
    }

    private Tried tried(Likeliest kind, int places, int odd, double[]... columns) {
        LinearFit fit = base.with(columns).fit(y);
        boolean improves = kind == Likeliest.PATH
                && !(fit.coefficient(base.size()) * read.quantity().worse() > 0);
        double squares = improves ? baseSquares : Design.squares(fit);
        int left = n - base.size() - columns.length;
        double r = Math.max(squares, left * leastVariance);
        double r0 = Math.max(baseSquares, (n - base.size()) * leastVariance);
        double share = kind == Likeliest.SLOPE ? 1 / Math.sqrt(2 * Math.PI * (n - base.size() - 1)) : 1;
        return new Tried(kind, columns, fit, squares, share * Math.pow(r / r0, -left / 2.0), places, odd);
    }

    private void oddPlace() {
        List<Tried> each = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double[] column = new double[n];
            column[i] = 1;
            if (base.isToldFrom(column)) {
                each.add(tried(Likeliest.ODD_PLACE, 1, i, column));
            }
        }
        if (each.isEmpty()) {
            return;
        }
        double least = each.stream().mapToDouble(Tried::squares).min().orElseThrow();
        double near = ALIKE * (baseSquares + n * leastVariance);
        Tried first = each.stream()
                .filter(one -> one.squares() <= least + near)
                .findFirst()
                .orElseThrow();
        double weight = each.stream().mapToDouble(Tried::weight).average().orElseThrow();
        tried.add(new Tried(
                Likeliest.ODD_PLACE, first.columns(), first.fit(), first.squares(), weight, each.size(), first.odd()));
    }

    private int left(Tried pattern) {
        return n - base.size() - pattern.columns().length;
    }

    private double fRatio(Tried pattern) {
        return (baseSquares - pattern.squares())
                / pattern.columns().length
                / Math.max(pattern.squares() / left(pattern), leastVariance);
    }

    private double fLimit(Tried pattern) {
        return Quantile.f(
                1 - FALSE_ALARM / (questions * (double) pattern.places()), pattern.columns().length, left(pattern));
    }

    private boolean isSeen(Tried pattern) {
        return fRatio(pattern) > fLimit(pattern);
    }

    private double sumOfWeights() {
        return tried.stream().mapToDouble(Tried::weight).sum();
    }

    private Optional<Tried> heaviest(List<Tried> among) {
        double most = among.stream().mapToDouble(Tried::weight).max().orElse(0);
        double near = ALIKE * sumOfWeights();
        return among.stream().filter(one -> one.weight() >= most - near).findFirst();
    }

    private Optional<Tried> likeliest() {
        return heaviest(tried.stream().filter(this::isSeen).toList());
    }

    /** Of the pattern that is seen; empty where none is. */
    OptionalDouble surePct() {
        return seen.map(one -> OptionalDouble.of(100 * one.weight() / sumOfWeights()))
                .orElse(OptionalDouble.empty());
    }

    Optional<Likeliest> runnerUp() {
        return heaviest(tried.stream()
                        .filter(one -> seen.isEmpty() || one != seen.get())
                        .toList())
                .map(Tried::kind);
    }

    Likeliest named(Optional<Gap> gap, Optional<Scatter> scatter) {
        if (seen.isPresent()) {
            return seen.get().kind();
        } else if (gap.map(Gap::seen).orElse(false)) {
            return Likeliest.GAP;
        }
        return scatter.map(Scatter::seen).orElse(false) ? Likeliest.SCATTER : Likeliest.EVEN;
    }

    List<Pattern> found() {
        return tried.stream().map(this::found).toList();
    }

    private Pattern found(Tried pattern) {
        int from = base.size();
        double first = pattern.fit().coefficient(from);
        boolean slope = pattern.kind() == Likeliest.SLOPE;
        boolean odd = pattern.kind() == Likeliest.ODD_PLACE;
        OptionalDouble none = OptionalDouble.empty();
        return new Pattern(
                pattern.kind(),
                odd ? Math.abs(first) : Design.range(ownPart(pattern)),
                fRatio(pattern),
                fLimit(pattern),
                isSeen(pattern),
                100 * pattern.weight() / sumOfWeights(),
                slope ? OptionalDouble.of(first * 2000 / range(Place::xMm)) : none,
                slope ? OptionalDouble.of(pattern.fit().coefficient(from + 1) * 2000 / range(Place::yMm)) : none,
                slope && isSeen(pattern) ? Optional.of(axis(pattern)) : Optional.empty(),
                pattern.kind() == Likeliest.PATH ? OptionalDouble.of(first) : none,
                pattern.kind() == Likeliest.BOWL ? OptionalDouble.of(first) : none,
                odd ? Optional.of(read.places().get(pattern.odd()).name()) : Optional.empty(),
                odd ? OptionalDouble.of(first) : none);
    }

    private double range(ToDoubleFunction<Place> coordinate) {
        return Design.range(read.places().stream().mapToDouble(coordinate).toArray());
    }

    private double[] ownPart(Tried pattern) {
        double[] part = new double[n];
        for (int c = 0; c < pattern.columns().length; c++) {
            for (int i = 0; i < n; i++) {
                part[i] += pattern.fit().coefficient(base.size() + c) * pattern.columns()[c][i];
            }
        }
        return part;
    }

    private Axis axis(Tried slope) {
        RealMatrix covariance = slope.fit().covariance(Math.max(slope.squares() / left(slope), leastVariance));
        double limit = Quantile.t(0.975, left(slope));
        int from = base.size();
        boolean x = Math.abs(slope.fit().coefficient(from)) > limit * Math.sqrt(covariance.getEntry(from, from));
        boolean along = Math.abs(slope.fit().coefficient(from + 1))
                > limit * Math.sqrt(covariance.getEntry(from + 1, from + 1));
        return x == along ? Axis.BOTH : x ? Axis.x : Axis.y;
    }

    Optional<Gap> gap() {
        return growth.map(column -> {
            double[][] more = seen.map(Tried::columns).orElse(new double[0][]);
            double without = Design.squares(Design.constant(n).with(more).fit(y));
            Design both = base.with(more);
            LinearFit fit = both.fit(y);
            double with = Design.squares(fit);
            int left = n - both.size();
            double ratio = (without - with) / Math.max(with / left, leastVariance);
            double limit = Quantile.f(1 - FALSE_ALARM / questions, 1, left);
            double by = fit.coefficient(1);
            return new Gap(
                    Math.abs(by) * Design.range(column),
                    ratio,
                    limit,
                    ratio > limit && by * read.quantity().worse() > 0);
        });
    }

    /** Sum of squares of all values about the means of their places. */
    private double repeats() {
        double sum = 0;
        for (int i = 0; i < n; i++) {
            for (double value : read.places().get(i).values()) {
                sum += (value - y[i]) * (value - y[i]);
            }
        }
        return sum;
    }

    private double[] values() {
        return read.places().stream()
                .flatMap(place -> place.values().stream())
                .mapToDouble(Double::doubleValue)
                .toArray();
    }

    private int[] placeOfEach() {
        int[] places = new int[all];
        int at = 0;
        for (int i = 0; i < n; i++) {
            int to = at + read.places().get(i).values().size();
            Arrays.fill(places, at, to, i);
            at = to;
        }
        return places;
    }

    Optional<Scatter> scatter() {
        if (all == n) {
            return Optional.empty();
        }
        double about = Design.squares(base.fit(values(), placeOfEach()));
        double within = repeats();
        double ratio = (about - within) / (n - base.size()) / Math.max(within / (all - n), valueError * valueError);
        double limit = Quantile.f(1 - FALSE_ALARM / questions, n - base.size(), all - n);
        return Optional.of(new Scatter(ratio, limit, ratio > limit));
    }

    /** Base, and the likeliest pattern if one is seen. */
    private Design design() {
        return seen.map(pattern -> base.with(pattern.columns())).orElse(base);
    }

    double noise() {
        Design design = design();
        return Math.sqrt(Math.max(Design.squares(design.fit(y)) / (n - design.size()), leastVariance));
    }

    List<NineFinding.Place> places() {
        Design design = design();
        LinearFit fit = design.fit(y);
        List<NineFinding.Place> places = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Place place = read.places().get(i);
            places.add(new NineFinding.Place(place.name(), place.xMm(), place.yMm(), y[i], design.at(fit, i)));
        }
        return places;
    }

    double spread() {
        return Design.range(y);
    }

    NineFinding.Worst worst() {
        int sign = read.quantity().worse();
        int worst = 0;
        for (int i = 1; i < n; i++) {
            if (sign * y[i] > sign * y[worst] + ALIKE) {
                worst = i;
            }
        }
        return new NineFinding.Worst(read.places().get(worst).name(), y[worst]);
    }

    /** So that at every place the next cut goes through, with 95 % confidence for all together; only for passes. */
    OptionalInt passesEnough(Likeliest likeliest) {
        if (read.quantity() != Kind.PASSES) {
            return OptionalInt.empty();
        }
        double most = Arrays.stream(values()).max().orElseThrow();
        double least = valueError * valueError;
        double highest = Double.NEGATIVE_INFINITY;
        if (likeliest == Likeliest.SCATTER) {
            double variance = Math.max(repeats() / (all - n), least);
            double t = Quantile.t(1 - FALSE_ALARM / n, all - n);
            for (int i = 0; i < n; i++) {
                int many = read.places().get(i).values().size();
                highest = Math.max(highest, y[i] + t * Math.sqrt(variance * (1 + 1.0 / many)));
            }
        } else {
            Design design = design();
            LinearFit fit = design.fit(values(), placeOfEach());
            int left = all - design.size();
            double variance = Math.max(Design.squares(fit) / left, least);
            double t = Quantile.t(1 - FALSE_ALARM / n, left);
            for (int i = 0; i < n; i++) {
                highest =
                        Math.max(highest, design.at(fit, i) + t * Math.sqrt(variance * (1 + design.leverage(fit, i))));
            }
        }
        return OptionalInt.of((int) Math.max(Math.ceil(highest - 0.5 - ALIKE), most));
    }

    /** Values a place, so that noise no longer hides a difference of the tolerance. */
    int repeatsNeeded(double tolerance) {
        double times = spread() / tolerance;
        return (int) Math.ceil((double) all / n * times * times - ALIKE);
    }

    double meanValue() {
        return Arrays.stream(y).map(value -> value / n).sum();
    }

    double valueError() {
        return valueError;
    }
}
