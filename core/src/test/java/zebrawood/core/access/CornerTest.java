package zebrawood.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class CornerTest {

    /**
     * Swept through in small steps: how deep the body is in a wall at most, mm; below 0 it keeps that far away. Walls
     * are the outer ones along both axes, and the block behind the inner corner.
     */
    private static double deepest(Corner corner, double approach, double exit, double breadth, double length) {
        double deepest = Double.NEGATIVE_INFINITY;
        for (Corner.Pose pose : corner.sweep(2 * length, 600)) {
            double cos = Math.cos(pose.turned());
            double sin = Math.sin(pose.turned());
            double inBlock = Double.NEGATIVE_INFINITY;
            for (int along = -1; along <= 1; along += 2) {
                for (int across = -1; across <= 1; across += 2) {
                    double x = pose.x() + along * length / 2 * cos - across * breadth / 2 * sin;
                    double y = pose.y() + along * length / 2 * sin + across * breadth / 2 * cos;
                    deepest = Math.max(deepest, Math.max(-x, -y));
                    inBlock = Math.max(inBlock, Math.min(x - exit, y - approach));
                }
            }
            // the inner corner seen from the body
            double along = (exit - pose.x()) * cos + (approach - pose.y()) * sin;
            double across = -(exit - pose.x()) * sin + (approach - pose.y()) * cos;
            double inBody = Math.min(length / 2 - Math.abs(along), breadth / 2 - Math.abs(across));
            deepest = Math.max(deepest, Math.max(inBlock, inBody));
        }
        return deepest;
    }

    @Test
    void whatIsDrawnTouchesNoWallWhereItFitsAndDoesWhereItDoesNot() {
        SplittableRandom random = new SplittableRandom(41);
        Map<Corner.Way, Integer> fitting = new EnumMap<>(Corner.Way.class);
        Map<Corner.Way, Integer> not = new EnumMap<>(Corner.Way.class);
        for (int i = 0; i < 10_000; i++) {
            double breadth = 300 + 1200 * random.nextDouble();
            double length = breadth * (1 + 2 * random.nextDouble() * random.nextDouble());
            double approach = breadth * (0.9 + 1.2 * random.nextDouble());
            double exit = breadth * (0.9 + 1.2 * random.nextDouble());
            Corner corner = new Corner(approach, exit, breadth, length);
            double deep = deepest(corner, approach, exit, breadth, length);
            String which = "a %.1f b %.1f w %.1f L %.1f spare %.2f %s"
                    .formatted(approach, exit, breadth, length, corner.spareMm(), corner.way());
            if (corner.spareMm() >= 0) {
                assertThat(deep).as(which).isLessThan(1e-6);
                fitting.merge(corner.way(), 1, Integer::sum);
            } else if (corner.spareMm() < -1) {
                assertThat(deep).as(which).isGreaterThan(0);
                not.merge(corner.way(), 1, Integer::sum);
            }
        }
        assertThat(fitting.keySet())
                .as("each way round")
                .contains(Corner.Way.TURNED, Corner.Way.LENGTHWISE_THEN_SIDEWAYS, Corner.Way.SIDEWAYS_THEN_LENGTHWISE);
        assertThat(not.keySet()).contains(Corner.Way.TURNED, Corner.Way.NONE);
    }

    @Test
    void whatIsSpareIsSharedSoThatAFittingBodyKeepsAwayFromAllWalls() {
        Corner corner = new Corner(1500, 1400, 980, 1420);
        assertThat(corner.way()).isEqualTo(Corner.Way.TURNED);
        assertThat(deepest(corner, 1500, 1400, 980, 1420)).isLessThan(-40);
    }

    @Test
    void theWayIsTheSameFromBothEnds() {
        SplittableRandom random = new SplittableRandom(42);
        for (int i = 0; i < 2_000; i++) {
            double breadth = 300 + 900 * random.nextDouble();
            double length = breadth * (1 + random.nextDouble());
            double approach = breadth * (0.9 + random.nextDouble());
            double exit = breadth * (0.9 + random.nextDouble());
            assertThat(new Corner(approach, exit, breadth, length).spareMm())
                    .isCloseTo(
                            new Corner(exit, approach, breadth, length).spareMm(),
                            org.assertj.core.api.Assertions.within(1e-6));
        }
    }

    @Test
    void aWiderPassageIsNeverTighter() {
        for (double wide : List.of(1000.0, 1010.0, 1100.0, 1300.0, 2000.0, 20_000.0, 2_000_000.0)) {
            assertThat(new Corner(wide + 10, 1200, 980, 1420).spareMm())
                    .isGreaterThanOrEqualTo(new Corner(wide, 1200, 980, 1420).spareMm());
        }
    }
}
