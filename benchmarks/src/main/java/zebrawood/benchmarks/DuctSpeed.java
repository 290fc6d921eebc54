package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import zebrawood.core.extraction.Extraction;
import zebrawood.core.extraction.ExtractionFinding;
import zebrawood.core.extraction.ExtractionReadings;
import zebrawood.core.extraction.ExtractionReadings.FanPoint;
import zebrawood.core.extraction.Layout;

/** 10,000 extractions: how long a finding takes, and how far fan and run are apart where they are said to meet. */
final class DuctSpeed {

    private static final int SYSTEMS = 10_000;
    private static final double MOST_MILLIS = 1;
    private static final double MOST_PA = 0.01;
    /** evaluated before anything is timed, so that the compiler's own work is over */
    private static final int WARM_UP = 5_000;

    private DuctSpeed() {}

    static boolean run() {
        Extraction procedure = new Extraction();
        SplittableRandom before = new SplittableRandom(9);
        for (int i = 0; i < WARM_UP; i++) {
            procedure.evaluate(system(before));
        }
        SplittableRandom random = new SplittableRandom(10);
        Timings ms = new Timings();
        double apart = 0;
        double beyond = Double.NEGATIVE_INFINITY;
        int ended = 0;
        for (int i = 0; i < SYSTEMS; i++) {
            ExtractionReadings read = system(random);
            long start = System.nanoTime();
            ExtractionFinding finding = procedure.evaluate(read).finding();
            ms.add((System.nanoTime() - start) / 1e6);
            List<ExtractionFinding.Point> fan = finding.fan();
            if (finding.operatingFlowM3h() == fan.get(fan.size() - 1).flowM3h()) {
                // the run takes no more there than the fan still gives
                ended++;
                beyond = Math.max(
                        beyond,
                        finding.operatingPressurePa() - fan.get(fan.size() - 1).pressurePa());
            } else {
                apart = Math.max(
                        apart, Math.abs(pressure(fan, finding.operatingFlowM3h()) - finding.operatingPressurePa()));
            }
        }
        System.out.printf(
                Locale.ROOT,
                "duct: %d random systems: fan and run at most %.2g Pa apart where they meet; %d at the end of the "
                        + "fan's curve, where the run takes at most %.2g Pa more than the fan gives; a finding "
                        + "takes %.3f ms (median), %.3f ms (99 %%)%n",
                SYSTEMS,
                apart,
                ended,
                Math.max(0, beyond),
                ms.median(),
                ms.percentile(99));
        return apart < MOST_PA && beyond < MOST_PA && ms.percentile(99) < MOST_MILLIS;
    }

    private static double pressure(List<ExtractionFinding.Point> fan, double flow) {
        int after = 1;
        while (after < fan.size() - 1 && fan.get(after).flowM3h() < flow) {
            after++;
        }
        ExtractionFinding.Point from = fan.get(after - 1);
        ExtractionFinding.Point to = fan.get(after);
        return from.pressurePa()
                + (to.pressurePa() - from.pressurePa()) * (flow - from.flowM3h()) / (to.flowM3h() - from.flowM3h());
    }

    private static ExtractionReadings system(SplittableRandom random) {
        List<Layout.Segment> segments = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            segments.add(new Layout.Segment(
                    "duct " + i,
                    63 + 260 * random.nextDouble(),
                    0.2 + 15 * random.nextDouble(),
                    OptionalDouble.of(random.nextDouble()),
                    OptionalDouble.of(1 + 2 * random.nextDouble()),
                    OptionalInt.of(1 + random.nextInt(3))));
        }
        List<Layout.Fitting> fittings = new ArrayList<>();
        for (int i = 0; i < random.nextInt(8); i++) {
            fittings.add(new Layout.Fitting(
                    "bend " + i,
                    80 + 200 * random.nextDouble(),
                    2 * random.nextDouble(),
                    OptionalInt.empty(),
                    OptionalInt.empty()));
        }
        List<Layout.Filter> filters = List.of(new Layout.Filter(
                "filter",
                100 + 900 * random.nextDouble(),
                300 * random.nextDouble(),
                OptionalDouble.empty(),
                OptionalInt.empty()));
        List<FanPoint> fan = new ArrayList<>(List.of(new FanPoint(0, 200 + 2000 * random.nextDouble())));
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            FanPoint last = fan.get(fan.size() - 1);
            fan.add(new FanPoint(
                    last.flowM3h() + 40 + 300 * random.nextDouble(), last.pressurePa() * random.nextDouble()));
        }
        return new ExtractionReadings(
                100 + 700 * random.nextDouble(),
                Optional.empty(),
                segments,
                fittings,
                filters,
                fan,
                OptionalDouble.empty(),
                true,
                Optional.empty(),
                List.of(),
                Optional.empty());
    }
}
