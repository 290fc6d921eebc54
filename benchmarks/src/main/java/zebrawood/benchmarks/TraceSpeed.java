package zebrawood.benchmarks;

import java.util.Collection;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Gantry;

/** How many beams a thread traces through a gantry in a second. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
public class TraceSpeed {

    private static final double WANTED = 10_000;

    private final Gantry gantry = new Gantry(new SplittableRandom(2031), Build.USUAL);
    private double carriageMm = 120;

    @Benchmark
    public double[] trace() {
        carriageMm = carriageMm >= 820 ? 120 : carriageMm + 1;
        return gantry.spot(2, 620, carriageMm);
    }

    static boolean run() throws RunnerException {
        // in this very process: a fork would not find the classes that the launcher gave it
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(TraceSpeed.class.getName())
                        .forks(0)
                        .warmupIterations(3)
                        .warmupTime(TimeValue.seconds(1))
                        .measurementIterations(5)
                        .measurementTime(TimeValue.seconds(1))
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run();
        double traces = results.iterator().next().getPrimaryResult().getScore();
        System.out.printf(Locale.ROOT, "trace: %.0f beams a second in one thread%n", traces);
        return traces >= WANTED;
    }
}
