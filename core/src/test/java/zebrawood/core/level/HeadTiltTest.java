package zebrawood.core.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;

/** Stacks out of a drawer of shims. */
class HeadTiltTest {

    @Test
    void theNearestStackIsFoundAmongAllThatTheDrawerMakes() {
        SplittableRandom random = new SplittableRandom(3);
        for (int round = 0; round < 50; round++) {
            List<Double> drawer = List.of(0.05, 0.1 + 0.05 * random.nextInt(4), 0.4, 0.7);
            double wanted = 2.5 * random.nextDouble();
            double nearest = Double.POSITIVE_INFINITY;
            for (int code = 0; code < 125; code++) {
                double sum = 0;
                for (int rest = code, i = 0; i < 3; i++, rest /= 5) {
                    sum += rest % 5 < drawer.size() ? drawer.get(rest % 5) : 0;
                }
                nearest = Math.min(nearest, Math.abs(sum - wanted));
            }
            double made = new ShimDrawer(drawer, 3)
                    .nearest(wanted).stream().mapToDouble(Double::doubleValue).sum();
            assertThat(Math.abs(made - wanted)).isLessThanOrEqualTo(nearest + 1e-9);
        }
    }

    @Test
    void equallyNearStacksHaveFewerPiecesThenLessThickness() {
        assertThat(new ShimDrawer(List.of(0.1, 0.2, 0.3), 3).nearest(0.3)).containsExactly(0.3);
        assertThat(new ShimDrawer(List.of(0.2, 0.4), 1).nearest(0.3)).containsExactly(0.2);
        assertThat(new ShimDrawer(List.of(0.5), 3).nearest(0.1)).isEmpty();
    }

    @Test
    void whatTheDrawerLacksIsSaidBeforeAnythingIsPutIn() {
        List<TiltReadings.Mount> mounts = List.of(
                new TiltReadings.Mount("front", 0, -90),
                new TiltReadings.Mount("rear left", -80, 60),
                new TiltReadings.Mount("rear right", 80, 60));
        Outcome<TiltFinding> outcome = new HeadTilt()
                .evaluate(new TiltReadings(
                        List.of(
                                new TiltReadings.Point(45, 0, 180.4),
                                new TiltReadings.Point(0, 45, 180),
                                new TiltReadings.Point(-45, 0, 179.6)),
                        110,
                        mounts,
                        Optional.of(List.of(0.1)),
                        OptionalInt.of(1),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty()));
        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(outcome.instructions().stream()
                        .map(Instruction::action)
                        .toList()
                        .get(0)
                        .words())
                .startsWith("Get a shim for ");
        assertThat(outcome.instructions().get(0).byHand().orElseThrow().words()).contains("not enough");
    }

    private static TiltReadings stacked(double slopeX, double slopeY, List<TiltReadings.Mount> mounts) {
        List<TiltReadings.Point> points = new ArrayList<>();
        for (int[] at : new int[][] {{45, 0}, {0, 45}, {-45, 0}, {0, -45}}) {
            points.add(new TiltReadings.Point(at[0], at[1], 180 + slopeX * at[0] + slopeY * at[1]));
        }
        return new TiltReadings(
                points,
                110,
                mounts,
                Optional.of(List.of(0.05, 0.1, 0.2, 0.5)),
                OptionalInt.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(0.005),
                Optional.empty());
    }

    private static double made(TiltFinding finding, int mount) {
        return finding.shims().get(mount).madeMm();
    }

    @Test
    void ofTwoJointsEachSetsItsOwnWayAndNoOther() {
        List<TiltReadings.Mount> mounts = List.of(
                new TiltReadings.Mount("tower left", -60, -20, Optional.of(TiltReadings.Joint.X)),
                new TiltReadings.Mount("tower right", 60, 35, Optional.of(TiltReadings.Joint.X)),
                new TiltReadings.Mount("bracket low", 10, -50, Optional.of(TiltReadings.Joint.Y)),
                new TiltReadings.Mount("bracket high", 10, 50, Optional.of(TiltReadings.Joint.Y)));
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 500; i++) {
            double slopeX = 0.02 * (random.nextDouble() - 0.5);
            double slopeY = 0.02 * (random.nextDouble() - 0.5);
            Outcome<TiltFinding> outcome = new HeadTilt().evaluate(stacked(slopeX, slopeY, mounts));
            TiltFinding found = outcome.finding();
            double leftX = slopeX + (made(found, 1) - made(found, 0)) / 120;
            double leftY = slopeY + (made(found, 3) - made(found, 2)) / 100;
            assertThat(found.expectedAcrossFieldMm())
                    .isCloseTo((Math.abs(leftX) + Math.abs(leftY)) * 110, within(1e-9));
            assertThat(new HeadTilt().evaluate(stacked(leftX, leftY, mounts)).verdict())
                    .isEqualTo(Verdict.PASS);
        }
    }

    @Test
    void ofStackedJointsEveryMountSaysItsOwnAndEachReachesAlongItsAxis() {
        TiltReadings.Mount left = new TiltReadings.Mount("left", -60, 0, Optional.of(TiltReadings.Joint.X));
        TiltReadings.Mount right = new TiltReadings.Mount("right", 60, 0, Optional.of(TiltReadings.Joint.X));
        TiltReadings.Mount loose = new TiltReadings.Mount("rear", 0, 50);
        TiltReadings.Mount low = new TiltReadings.Mount("low", 0, -50, Optional.of(TiltReadings.Joint.Y));
        assertThatThrownBy(() -> stacked(0, 0.01, List.of(left, right, loose))).hasMessageContaining("or of none");
        assertThatThrownBy(() -> stacked(0, 0.01, List.of(left, right, low))).hasMessageContaining("each joint");
    }
}
