package zebrawood.core.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import zebrawood.core.fit.Quantile;
import zebrawood.core.focus.AutofocusReadings.Stock;
import zebrawood.core.reading.Limits;

/** Makes a finding of tries: offsets, the correction that most stocks agree on, and what it leaves. */
final class AutofocusWorking {

    /** offsets as near as this are alike, mm */
    private static final double ALIKE = 1e-9;

    private AutofocusWorking() {}

    private static AutofocusFinding.Tolerances tolerances(AutofocusReadings read) {
        return new AutofocusFinding.Tolerances(
                read.toleranceMm().orElse(read.depthOfFocusMm() / 4),
                read.depthOfFocusMm(),
                read.referenceGapMm(),
                read.referenceStdErrMm().orElse(0),
                read.readErrorMm().orElse(AutofocusReadings.READ_ERROR_MM));
    }

    private static OptionalDouble sd(Stock stock) {
        return stock.tries() > 1
                ? OptionalDouble.of(Math.sqrt(stock.squares() / (stock.tries() - 1)))
                : OptionalDouble.empty();
    }

    /** Where no stock was tried twice. */
    static AutofocusFinding untold(AutofocusReadings read, Tries tries) {
        List<AutofocusFinding.Stock> stocks = new ArrayList<>();
        for (int i = 0; i < read.stocks().size(); i++) {
            Stock stock = read.stocks().get(i);
            stocks.add(new AutofocusFinding.Stock(
                    stock.name(),
                    stock.tries(),
                    stock.mean(),
                    sd(stock),
                    tries.isOwn(i),
                    stock.mean() - read.referenceGapMm(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Optional.empty(),
                    Optional.empty()));
        }
        OptionalDouble none = OptionalDouble.empty();
        return new AutofocusFinding(
                stocks,
                none,
                none,
                none,
                OptionalInt.empty(),
                none,
                none,
                Optional.empty(),
                none,
                none,
                none,
                OptionalInt.empty(),
                tolerances(read));
    }

    static AutofocusFinding finding(AutofocusReadings read, Tries tries, double through) {
        AutofocusFinding.Tolerances tolerances = tolerances(read);
        List<Integer> group = group(read, tries);
        double correction = -group.stream()
                .mapToDouble(i -> offset(read, tries, i) / group.size())
                .sum();
        double spread = Math.sqrt(group.stream()
                        .mapToDouble(i -> 1.0 / read.stocks().get(i).tries())
                        .sum())
                / group.size();
        double half = tries.half(Quantile.t(0.975, tries.degrees()) * tries.repeatability() * spread);
        List<AutofocusFinding.Stock> stocks = new ArrayList<>();
        for (int i = 0; i < read.stocks().size(); i++) {
            stocks.add(stock(read, tries, i, correction, through, tolerances.toleranceMm()));
        }
        Optional<Tries.Differ> differ = tries.differ();
        return new AutofocusFinding(
                stocks,
                OptionalDouble.of(tries.repeatability()),
                OptionalDouble.of(tries.repeatabilityLow()),
                OptionalDouble.of(tries.repeatabilityHigh()),
                OptionalInt.of(tries.degrees()),
                differ.map(d -> OptionalDouble.of(d.ratio())).orElse(OptionalDouble.empty()),
                differ.map(d -> OptionalDouble.of(d.limit())).orElse(OptionalDouble.empty()),
                differ.map(d -> d.ratio() > d.limit()),
                OptionalDouble.of(correction),
                OptionalDouble.of(correction - half),
                OptionalDouble.of(correction + half),
                tries.needed(tolerances.toleranceMm()),
                tolerances);
    }

    private static double offset(AutofocusReadings read, Tries tries, int stock) {
        return tries.mean(stock) - read.referenceGapMm();
    }

    private static AutofocusFinding.Stock stock(
            AutofocusReadings read, Tries tries, int i, double correction, double through, double tolerance) {
        Stock stock = read.stocks().get(i);
        double offset = offset(read, tries, i);
        double half = tries.offsetHalf(i);
        double left = offset + correction;
        double most = read.depthOfFocusMm() / 2;
        boolean barred =
                !Limits.atMost(Math.abs(left), most) || tries.isOwn(i) && !Limits.atMost(1.96 * tries.scatter(i), most);
        Optional<Boolean> seesThrough = barred && stock.thicknessMm().isPresent()
                ? Optional.of(Limits.atLeast(left, -stock.thicknessMm().getAsDouble() - tolerance)
                        && Limits.atMost(left, -stock.thicknessMm().getAsDouble() / through + tolerance))
                : Optional.empty();
        return new AutofocusFinding.Stock(
                stock.name(),
                stock.tries(),
                stock.mean(),
                sd(stock),
                tries.isOwn(i),
                offset,
                OptionalDouble.of(offset - half),
                OptionalDouble.of(offset + half),
                OptionalDouble.of(left),
                Optional.of(barred),
                seesThrough);
    }

    /** The largest group of pooled stocks whose offsets lie within half the depth of each other; each has one vote. */
    private static List<Integer> group(AutofocusReadings read, Tries tries) {
        List<Integer> best = List.of();
        double bestMean = 0;
        for (int from : tries.pooled()) {
            List<Integer> group = new ArrayList<>();
            double sum = 0;
            for (int other : tries.pooled()) {
                double above = offset(read, tries, other) - offset(read, tries, from);
                if (other == from || Limits.atLeast(above, 0) && Limits.atMost(above, read.depthOfFocusMm() / 2)) {
                    group.add(other);
                    sum += offset(read, tries, other);
                }
            }
            double mean = Math.abs(sum / group.size());
            if (group.size() > best.size() || group.size() == best.size() && mean < bestMean - ALIKE) {
                best = group;
                bestMean = mean;
            }
        }
        return best;
    }
}
