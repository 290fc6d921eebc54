package zebrawood.benchmarks;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import zebrawood.core.visit.Crew;
import zebrawood.core.visit.Plan;
import zebrawood.core.visit.Planner;
import zebrawood.core.visit.RandomVisit;
import zebrawood.core.visit.Task;

/**
 * A thousand visits of up to sixty tasks: how far a plan's finish lies over the bound, and how long it takes to find.
 */
final class VisitPlans {

    private static final int VISITS = 1_000;
    private static final int MOST_TASKS = 60;
    private static final double MEDIAN_PCT = 3;
    private static final double P95_PCT = 10;
    private static final double LONGEST_MS = 200;

    private VisitPlans() {}

    static boolean run() {
        // what is measured is the program as it runs, not as it is loaded
        SplittableRandom warm = new SplittableRandom(1);
        for (int i = 0; i < 20; i++) {
            Planner.plan(RandomVisit.tasks(warm, MOST_TASKS), RandomVisit.crew(warm));
        }
        SplittableRandom random = new SplittableRandom(2031);
        double[] over = new double[VISITS];
        double[] millis = new double[VISITS];
        for (int visit = 0; visit < VISITS; visit++) {
            List<Task> tasks = RandomVisit.tasks(random, 5 + random.nextInt(MOST_TASKS - 4));
            Crew crew = RandomVisit.crew(random);
            long from = System.nanoTime();
            Plan plan = Planner.plan(tasks, crew);
            millis[visit] = (System.nanoTime() - from) / 1e6;
            over[visit] = plan.bound() == 0 ? 0 : 100.0 * (plan.finish() - plan.bound()) / plan.bound();
        }
        Arrays.sort(over);
        Arrays.sort(millis);
        double median = over[VISITS / 2];
        double p95 = over[VISITS * 95 / 100];
        double longest = millis[VISITS - 1];
        System.out.printf(
                Locale.ROOT,
                "visit: finish over the bound: median %.1f %%, p95 %.1f %%, most %.1f %%; found in %.0f ms (median), %.0f ms "
                        + "(p95), %.0f ms (longest)%n",
                median,
                p95,
                over[VISITS - 1],
                millis[VISITS / 2],
                millis[VISITS * 95 / 100],
                longest);
        return median <= MEDIAN_PCT && p95 <= P95_PCT && longest < LONGEST_MS;
    }
}
