package zebrawood.core.height;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.height.ZReadings.AxisSense;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;

class ZPlanTest {

    private static final ZPlan PLAN = new ZPlan();

    private static ZReadings readings(AxisSense sense, double materialMm, double bareMm, double minMm, double maxMm) {
        return new ZReadings(
                7.013,
                materialMm,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                bareMm,
                sense,
                OptionalDouble.empty(),
                minMm,
                maxMm);
    }

    @Test
    void theMachineIsNeverSentBeyondItsEndAndTheGapComesOutRight() {
        SplittableRandom random = new SplittableRandom(17);
        int passed = 0;
        for (int i = 0; i < 4_000; i++) {
            AxisSense sense = AxisSense.values()[random.nextInt(AxisSense.values().length)];
            double bare = Math.rint(1e3 * 30 * random.nextDouble()) / 1e3;
            double material = Math.rint(1e3 * 25 * random.nextDouble()) / 1e3;
            double opening = 7.013 + material - bare;
            double target = sense.opens() ? opening : -opening;
            // an end of the axis less than a hundredth beyond where it has to go
            boolean above = random.nextBoolean();
            double end = target + (above ? 0.009 : -0.009) * random.nextDouble();
            ZReadings read = readings(sense, material, bare, above ? target - 50 : end, above ? end : target + 50);
            Outcome<ZFinding> outcome = PLAN.evaluate(read);
            if (outcome.verdict() == Verdict.PASS) {
                passed++;
                double said =
                        outcome.instructions().get(0).action().amounts().get(0).asSaid();
                assertThat(said).isBetween(read.minZMm() - 1e-9, read.maxZMm() + 1e-9);
                double gap = bare + (sense.opens() ? said : -said) - material;
                assertThat(gap).isCloseTo(7.013, within(0.011));
            }
        }
        assertThat(passed).isGreaterThan(3_900);
    }

    @Test
    void stockThatIsTooThickSaysWhatFits() {
        Outcome<ZFinding> outcome = PLAN.evaluate(readings(AxisSense.BED_DOWN, 60, 5, 0, 40));
        assertThat(outcome.verdict()).isEqualTo(Verdict.FAIL);
        double most = outcome.instructions().get(0).action().amounts().get(0).asSaid();
        assertThat(PLAN.evaluate(readings(AxisSense.BED_DOWN, most, 5, 0, 40)).verdict())
                .isEqualTo(Verdict.PASS);
    }

    private static Outcome<ZFinding> starting(boolean first, boolean absolute, double job, double panel) {
        ZReadings fits = readings(AxisSense.BED_DOWN, 4, 5, 0, 40);
        return PLAN.evaluate(new ZReadings(
                fits.focusGapMm(),
                fits.materialMm(),
                fits.riserMm(),
                fits.defocusMm(),
                fits.bareGapAtZeroMm(),
                fits.axisSense(),
                fits.currentZMm(),
                fits.minZMm(),
                fits.maxZMm(),
                Optional.of(first),
                Optional.of(absolute),
                OptionalDouble.of(job),
                OptionalDouble.of(panel)));
    }

    @Test
    void aJobThatStartsWrongIsPutRightBeforeTheAxisIsSentAnywhere() {
        assertThat(starting(true, true, 300, 302).verdict()).isEqualTo(Verdict.PASS);
        for (Outcome<ZFinding> wrong : List.of(
                starting(false, true, 300, 300), starting(true, false, 300, 300), starting(true, true, 900, 300))) {
            assertThat(wrong.verdict()).isEqualTo(Verdict.ADJUST);
            assertThat(wrong.instructions()).hasSize(2);
            assertThat(wrong.instructions().get(0).target()).isEqualTo("job");
        }
        assertThat(starting(false, false, 900, 300).instructions()).hasSize(4);
    }
}
