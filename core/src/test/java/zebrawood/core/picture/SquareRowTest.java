package zebrawood.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class SquareRowTest {

    private static final int PITCH = 90;
    private static final double[] BLURS = {3.5, 2.2, 1.2, 1.8, 3.0};

    /** Squares of lines 8 px apart, each as blurred as its gap makes it, in light that falls off to the right. */
    private static Grey picture(double noise) {
        int wide = PITCH * BLURS.length;
        SplittableRandom random = new SplittableRandom(9);
        byte[] shades = new byte[wide * PITCH];
        for (int y = 0; y < PITCH; y++) {
            for (int x = 0; x < wide; x++) {
                double fine = Math.exp(-2 * Math.pow(Math.PI * BLURS[x / PITCH] / 8, 2));
                boolean inside = x % PITCH >= 15 && x % PITCH < 75 && y >= 15 && y < 75;
                double shade = inside ? 120 + 80 * fine * Math.cos(2 * Math.PI * y / 8) : 210;
                shade = shade * (1 - 0.3 * x / wide) + noise * random.nextGaussian();
                shades[y * wide + x] = (byte) Math.max(0, Math.min(255, Math.round(shade)));
            }
        }
        return new Grey(wide, PITCH, shades);
    }

    @Test
    void theSquareWithTheSharpestLinesHasTheMostContrastAlsoInFallingLight() {
        SquareRow row =
                new SquareRow(new Pixel(PITCH / 2.0, PITCH / 2.0), new Pixel(PITCH * 4.5, PITCH / 2.0), BLURS.length);
        List<Double> contrasts = row.contrasts(picture(3));
        assertThat(contrasts.get(2)).isGreaterThan(contrasts.get(3)).isGreaterThan(contrasts.get(1));
        assertThat(contrasts.get(1)).isGreaterThan(contrasts.get(0)).isGreaterThan(contrasts.get(4));
    }

    @Test
    void darkerSquaresScoreMoreAndFallingLightScoresNothing() {
        double[] marked = {0, 0.1, 0.2, 0.3, 0.4};
        int wide = PITCH * marked.length;
        byte[] shades = new byte[wide * PITCH];
        for (int y = 0; y < PITCH; y++) {
            for (int x = 0; x < wide; x++) {
                boolean inside = x % PITCH >= 15 && x % PITCH < 75 && y >= 15 && y < 75;
                double shade = 220 * (1 - 0.3 * x / wide) * (inside ? 1 - marked[x / PITCH] : 1);
                shades[y * wide + x] = (byte) Math.round(shade);
            }
        }
        List<Double> darkness = new SquareRow(
                        new Pixel(PITCH / 2.0, PITCH / 2.0), new Pixel(PITCH * 4.5, PITCH / 2.0), marked.length)
                .darkness(new Grey(wide, PITCH, shades));
        for (int i = 0; i < marked.length; i++) {
            assertThat(darkness.get(i)).isCloseTo(100 * marked[i], within(0.6));
        }
    }

    @Test
    void squaresTooSmallToSeeSayWhatToDo() {
        assertThatThrownBy(() -> new SquareRow(new Pixel(0, 0), new Pixel(40, 0), 5))
                .hasMessageContaining("take it from nearer");
    }
}
