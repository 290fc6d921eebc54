package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import zebrawood.core.power.BlockFinding;
import zebrawood.core.power.BlockPower;
import zebrawood.core.power.BlockReadings;
import zebrawood.core.power.PowerTrend;
import zebrawood.core.power.TrendFinding;
import zebrawood.core.power.TrendReadings;
import zebrawood.core.pretend.PretendBlock;
import zebrawood.core.pretend.PretendSource;

/** Two years of a source that ages behind optics that get dirty and are cleaned; and blocks warmed by a beam. */
final class PowerHistories {

    private static final int HISTORIES = 2_000;
    private static final int RUNS = 2_000;
    private static final long SEED = 18_218;
    /** scatter of one test, % of the reading */
    private static final double TEST_PCT = 0.5;

    private PowerHistories() {}

    static boolean run() {
        return histories() & blocks();
    }

    private static boolean histories() {
        SplittableRandom random = new SplittableRandom(SEED);
        int held = 0;
        int told = 0;
        int apart = 0;
        int right = 0;
        int wrong = 0;
        for (int i = 0; i < HISTORIES; i++) {
            double hours = 800 + 1_600 * random.nextDouble();
            // losses in 100 h, as shares: one twice the other or more in most of them
            double age = 0.002 + 0.012 * random.nextDouble();
            double dirt = 0.004 + 0.03 * random.nextDouble();
            Made made = history(hours, age, dirt, 4 + random.nextInt(9), random);
            Optional<TrendFinding.Wear> wear = new PowerTrend()
                    .evaluate(new TrendReadings(
                            made.tests(),
                            OptionalDouble.empty(),
                            made.cleaned(),
                            List.of(),
                            List.of(),
                            List.of(),
                            Optional.empty(),
                            Optional.empty()))
                    .finding()
                    .wear();
            if (wear.isEmpty()) {
                continue;
            }
            told++;
            held += 100 * age >= wear.get().age().lowPct()
                            && 100 * age <= wear.get().age().highPct()
                    ? 1
                    : 0;
            if (made.dirt() >= 2 * age || age >= 2 * made.dirt()) {
                apart++;
                TrendFinding.Larger truly = made.dirt() > age ? TrendFinding.Larger.DIRT : TrendFinding.Larger.AGE;
                right += wear.get().larger() == truly ? 1 : 0;
                wrong += wear.get().larger() != truly && wear.get().larger() != TrendFinding.Larger.UNCLEAR ? 1 : 0;
            }
        }
        double coverage = 100.0 * held / told;
        System.out.printf(
                Locale.ROOT,
                "%d histories of two years, seed %d, a test scattering by %.1f %%: %d told; the stated 95 %% interval holds the"
                        + " ageing in %.2f %%; of %d in which one cause is twice the other, %.1f %% named rightly, %.1f %%"
                        + " wrongly, the others unclear%n",
                HISTORIES,
                SEED,
                TEST_PCT,
                told,
                coverage,
                apart,
                100.0 * right / apart,
                100.0 * wrong / apart);
        return coverage >= 93.5 && coverage <= 97 && right >= 0.95 * apart && told >= 0.99 * HISTORIES;
    }

    /** Tests with what was done, and how fast dirt truly grew on the mean. */
    private record Made(List<TrendReadings.Point> tests, List<Double> cleaned, double dirt) {}

    /** A test every month, and one before and one after each cleaning; no two stretches get dirty alike. */
    private static Made history(double hours, double age, double dirt, int cleanings, SplittableRandom random) {
        PretendSource source = PretendSource.found(random);
        double full = source.powerW(60, 0, 0);
        List<TrendReadings.Point> tests = new ArrayList<>();
        List<Double> events = new ArrayList<>();
        double from = 0;
        double dirtiness = 0;
        for (int c = 0; c <= cleanings; c++) {
            double to = c == cleanings ? hours : hours * (c + 0.6 + 0.8 * random.nextDouble()) / (cleanings + 1);
            double rate = dirt * (0.6 + 0.8 * random.nextDouble());
            dirtiness += rate * (to - from) / hours;
            events.add(from);
            double month = hours / 24;
            List<Double> at = new ArrayList<>(List.of(from));
            for (double h = from + month; h < to - month / 3; h += month) {
                at.add(h);
            }
            at.add(to - 0.1);
            for (double h : at) {
                double truly = full * Math.exp(-age * h / 100) * Math.exp(-rate * (h - from) / 100);
                tests.add(new TrendReadings.Point(h, PretendSource.onMeterW(truly, TEST_PCT, random)));
            }
            from = to;
        }
        return new Made(tests, events, dirtiness);
    }

    private static boolean blocks() {
        SplittableRandom random = new SplittableRandom(SEED + 1);
        int held = 0;
        double widest = 0;
        double sum = 0;
        for (int i = 0; i < RUNS; i++) {
            PretendBlock block = PretendBlock.some(random);
            double power = 10 + 90 * random.nextDouble();
            double on = 10 + 30 * random.nextDouble();
            List<BlockReadings.Temperature> read =
                    block.warmed(power, on, 18 + random.nextInt(18), 15, 0.1, random).stream()
                            .map(each -> new BlockReadings.Temperature(each.atS(), each.celsius()))
                            .toList();
            BlockFinding found = new BlockPower()
                    .evaluate(new BlockReadings(
                            block.massG() / 1000,
                            Optional.empty(),
                            OptionalDouble.of(block.heatJGK()),
                            on,
                            OptionalDouble.empty(),
                            OptionalDouble.of(0),
                            read,
                            OptionalDouble.empty()))
                    .finding();
            if (found.powerW().isPresent()) {
                double half = found.halfWidthW().getAsDouble();
                held += Math.abs(found.powerW().getAsDouble() - power) <= half ? 1 : 0;
                widest = Math.max(widest, 100 * half / power);
                sum += 100 * half / power;
            }
        }
        double coverage = 100.0 * held / RUNS;
        System.out.printf(
                Locale.ROOT,
                "%d blocks warmed, 0.1 C scatter, losing to the air: the stated 95 %% interval holds the true watts in %.2f %%;"
                        + " it is ± %.1f %% wide on the mean, %.1f %% at most%n",
                RUNS,
                coverage,
                sum / RUNS,
                widest);
        return coverage >= 93.5 && coverage <= 97;
    }
}
