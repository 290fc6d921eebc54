package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Times of one thing done many times, ms. */
final class Timings {

    private final List<Double> ms = new ArrayList<>();

    /** Does it once and keeps how long it took. */
    double of(Runnable work) {
        long start = System.nanoTime();
        work.run();
        add((System.nanoTime() - start) / 1e6);
        return ms.get(ms.size() - 1);
    }

    void add(double time) {
        ms.add(time);
    }

    double percentile(double percent) {
        List<Double> sorted = ms.stream().sorted().toList();
        return sorted.get((int) Math.min(sorted.size() - 1, Math.ceil(percent / 100 * sorted.size()) - 1));
    }

    double median() {
        return percentile(50);
    }

    @Override
    public String toString() {
        return String.format(
                Locale.ROOT,
                "median %.1f ms, p95 %.1f ms, longest %.1f ms of %d",
                median(),
                percentile(95),
                percentile(100),
                ms.size());
    }

    /** MB in use after a collection. */
    static double usedMb() {
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        return (runtime.totalMemory() - runtime.freeMemory()) / 1e6;
    }
}
