package zebrawood.core.gantry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class GantryTest {

    private static final Build EXACT = new Build(700, 500, 120, 8, 4, 0, 0, 0.1, 0.05, 0.03, Flaw.NONE);

    private static Gantry gantry(int seed, Build build) {
        return new Gantry(new SplittableRandom(seed), build);
    }

    /** Between two places the beam goes straight: the mark in the middle lies between the two. */
    @Test
    void marksChangeEvenlyAlongARun() {
        for (int seed = 0; seed < 50; seed++) {
            Gantry gantry = gantry(seed, EXACT);
            for (int c = 0; c < 2; c++) {
                double near = gantry.spot(2, 300, 120)[c];
                double far = gantry.spot(2, 300, 820)[c];
                assertThat(gantry.spot(2, 300, 470)[c]).isCloseTo((near + far) / 2, within(1e-9));
            }
        }
    }

    /** A mirror turns right into left and leaves up what it is. */
    @Test
    void whatIsRightBeforeMirrorTwoIsLeftBehindIt() {
        for (int seed = 0; seed < 50; seed++) {
            Gantry gantry = gantry(seed, EXACT);
            double[] before = gantry.spot(1, 400, 0);
            double[] behind = gantry.spot(2, 400, 0.001);
            assertThat(behind[0]).isCloseTo(-before[0], within(0.2));
            assertThat(behind[1]).isCloseTo(before[1], within(0.2));
        }
    }

    /** A turn moves the far mark by the lever arm of the whole way, whatever was turned before. */
    @Test
    void theMarkGoesAsFarAsTheWayIsLong() {
        for (int seed = 0; seed < 50; seed++) {
            Gantry gantry = gantry(seed, EXACT);
            gantry.turn(1, 0, 0.1);
            double[] card = gantry.spot(1, 600, 0);
            double[] head = gantry.spot(2, 600, 800);
            gantry.turn(1, 0, 0.1);
            double near = Math.hypot(gantry.spot(1, 600, 0)[0] - card[0], gantry.spot(1, 600, 0)[1] - card[1]);
            double far = Math.hypot(gantry.spot(2, 600, 800)[0] - head[0], gantry.spot(2, 600, 800)[1] - head[1]);
            assertThat(near).isBetween(0.6 * 1.5, 0.6 * 3.0);
            assertThat(far / near).isCloseTo(1400.0 / 600, within(0.05));
        }
    }

    @Test
    void aScrewThatComesBackLosesItsPlay() {
        Gantry gantry = gantry(7, EXACT);
        gantry.turn(2, 1, 0.2);
        double[] there = gantry.spot(2, 600, 800);
        gantry.turn(2, 1, -0.03);
        assertThat(gantry.spot(2, 600, 800)).containsExactly(there);
        gantry.turn(2, 1, -0.05);
        assertThat(Math.hypot(gantry.spot(2, 600, 800)[0] - there[0], gantry.spot(2, 600, 800)[1] - there[1]))
                .isBetween(0.5, 1.3);
    }

    /**
     * Each flaw does what it is called: nothing but straight lines comes from a sound machine, jumps from a loose
     * mirror.
     */
    @Test
    void flawsShow() {
        int jumped = 0;
        for (int seed = 0; seed < 30; seed++) {
            Gantry bent = gantry(seed, EXACT.with(Flaw.BENT_RAIL));
            double twist = Math.hypot(
                    bent.spot(2, 620, 820)[0]
                            - bent.spot(2, 620, 120)[0]
                            - bent.spot(2, 120, 820)[0]
                            + bent.spot(2, 120, 120)[0],
                    bent.spot(2, 620, 820)[1]
                            - bent.spot(2, 620, 120)[1]
                            - bent.spot(2, 120, 820)[1]
                            + bent.spot(2, 120, 120)[1]);
            assertThat(twist).isGreaterThan(0.7);
            Gantry cut = gantry(seed, EXACT.with(Flaw.CLIPPING));
            double[] mark = cut.spot(2, 620, 820);
            assertThat(Math.hypot(mark[0], mark[1])).isLessThan(5);
            Gantry loose = gantry(seed, EXACT.with(Flaw.LOOSE_MIRROR));
            double[] first = loose.shoot(2, 620, 820);
            double moved = 0;
            for (int shot = 0; shot < 6; shot++) {
                double[] next = loose.shoot(2, 620, 820);
                moved = Math.max(moved, Math.hypot(next[0] - first[0], next[1] - first[1]));
            }
            jumped += moved > 0.3 ? 1 : 0;
        }
        assertThat(jumped).isGreaterThan(25);
    }
}
