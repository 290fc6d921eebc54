package zebrawood.core.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import zebrawood.core.fit.Quantile;
import zebrawood.core.focus.AutofocusReadings.Stock;
import zebrawood.core.focus.AutofocusReadings.Surface;
import zebrawood.core.reading.Limits;

/** How tries scatter: pooled over the stocks that scatter alike, and of each that scatters in its own way. */
final class Tries {

    /** probability, over all stocks together, with which one that scatters alike is set aside */
    private static final double SET_ASIDE = 0.01;
    /** so many stocks are summed one by one */
    private static final int FEW = 100;
    /** most tries that anybody is asked for */
    private static final int MOST_TRIES = 200;

    private final AutofocusReadings read;
    private final double[] means;
    private final double[] squares;
    private final List<Boolean> own = new ArrayList<>();
    private final int degrees;
    private final double repeatability;

    Tries(AutofocusReadings read) {
        this.read = read;
        List<Stock> stocks = read.stocks();
        means = stocks.stream().mapToDouble(Stock::mean).toArray();
        squares = stocks.stream().mapToDouble(Stock::squares).toArray();
        Sum compared = Sum.NOTHING;
        for (int i = 0; i < means.length; i++) {
            compared = isCompared(stocks.get(i)) ? compared.with(i, this) : compared;
        }
        Sum pooled = Sum.NOTHING;
        for (int i = 0; i < means.length; i++) {
            own.add(stocks.get(i).surface() == Surface.UNEVEN || scattersMore(i, compared));
            pooled = own.get(i) ? pooled : pooled.with(i, this);
        }
        degrees = pooled.degrees();
        repeatability = degrees == 0 ? Double.NaN : Math.sqrt(variance(pooled.squares() / degrees));
    }

    /** Squares about their own means, and degrees of freedom, of some stocks. */
    private record Sum(int stocks, double squares, int degrees) {
        static final Sum NOTHING = new Sum(0, 0, 0);

        Sum with(int stock, Tries tries) {
            return new Sum(
                    stocks + 1,
                    squares + tries.squares[stock],
                    degrees + tries.read.stocks().get(stock).tries() - 1);
        }
    }

    private static boolean isCompared(Stock stock) {
        return stock.surface() != Surface.UNEVEN && stock.tries() > 1;
    }

    /** Mean gap of a stock, mm. */
    double mean(int stock) {
        return means[stock];
    }

    private double variance(double seen) {
        double error = read.readErrorMm().orElse(AutofocusReadings.READ_ERROR_MM);
        return Math.max(seen, error * error);
    }

    /** Whether a stock scatters more than all the others together do. */
    private boolean scattersMore(int stock, Sum compared) {
        int tries = read.stocks().get(stock).tries();
        if (compared.stocks() < 2 || !isCompared(read.stocks().get(stock))) {
            return false;
        }
        double rest = 0;
        for (int i = 0; compared.stocks() <= FEW && i < means.length; i++) {
            rest += i != stock && isCompared(read.stocks().get(i)) ? squares[i] : 0;
        }
        // of many stocks one is no more than a small part: nothing is lost in the difference
        rest = compared.stocks() <= FEW ? rest : Math.max(0, compared.squares() - squares[stock]);
        int degreesOfRest = compared.degrees() - (tries - 1);
        double limit = Quantile.f(1 - SET_ASIDE / compared.stocks(), tries - 1, degreesOfRest);
        return variance(squares[stock] / (tries - 1)) > limit * variance(rest / degreesOfRest);
    }

    /** Whether a stock is judged by its own scatter. */
    boolean isOwn(int stock) {
        return own.get(stock);
    }

    List<Integer> pooled() {
        List<Integer> pooled = new ArrayList<>();
        for (int i = 0; i < own.size(); i++) {
            if (!own.get(i)) {
                pooled.add(i);
            }
        }
        return pooled;
    }

    /** Degrees of freedom of the pooled scatter; 0 where there is none. */
    int degrees() {
        return degrees;
    }

    double repeatability() {
        return repeatability;
    }

    double repeatabilityLow() {
        return repeatability * Math.sqrt(degrees / Quantile.chi2(0.975, degrees));
    }

    double repeatabilityHigh() {
        return repeatability * Math.sqrt(degrees / Quantile.chi2(0.025, degrees));
    }

    /** Standard deviation by which a stock is judged. */
    double scatter(int stock) {
        Stock tried = read.stocks().get(stock);
        return isOwn(stock) ? Math.sqrt(variance(squares[stock] / (tried.tries() - 1))) : repeatability;
    }

    /** Half of the interval of a stock's offset, mm. */
    double offsetHalf(int stock) {
        Stock tried = read.stocks().get(stock);
        int f = isOwn(stock) ? tried.tries() - 1 : degrees;
        return half(Quantile.t(0.975, f) * scatter(stock) / Math.sqrt(tried.tries()));
    }

    /** With what the reference lends to it. */
    double half(double ownHalf) {
        return Math.hypot(ownHalf, 1.96 * read.referenceStdErrMm().orElse(0));
    }

    /** Tries on one stock until its offset is as sure as the tolerance; empty where no number is enough. */
    OptionalInt needed(double tolerance) {
        for (int n = 2; n <= MOST_TRIES; n++) {
            if (Limits.atMost(half(Quantile.t(0.975, n - 1.0) * repeatability / Math.sqrt(n)), tolerance)) {
                return OptionalInt.of(n);
            }
        }
        return OptionalInt.empty();
    }

    /** How much more pooled stocks differ than tries do. */
    record Differ(double ratio, double limit) {}

    /** Empty with fewer than two pooled stocks. */
    Optional<Differ> differ() {
        List<Integer> pooled = pooled();
        if (pooled.size() < 2) {
            return Optional.empty();
        }
        int all = pooled.stream().mapToInt(i -> read.stocks().get(i).tries()).sum();
        double mean = pooled.stream()
                .mapToDouble(i -> means[i] * read.stocks().get(i).tries() / all)
                .sum();
        double between = pooled.stream()
                .mapToDouble(i -> {
                    double off = means[i] - mean;
                    return read.stocks().get(i).tries() * off * off;
                })
                .sum();
        double ratio = between / (pooled.size() - 1) / (repeatability * repeatability);
        return Optional.of(new Differ(ratio, Quantile.f(0.95, pooled.size() - 1.0, degrees)));
    }
}
