package zebrawood.core.beam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class RoundBeamTest {

    /** A published value: an opening of the 1/e² diameter passes 86.5 %. */
    @Test
    void anOpeningAsWideAsTheBeamTakesAnEighth() {
        assertThat(new RoundBeam(5).passed(5, 0)).isCloseTo(1 - Math.exp(-2), within(1e-12));
    }

    /** Against a plain sum over the opening. */
    @Test
    void theShareIsWhatASumOverTheOpeningGives() {
        for (double offset : new double[] {0, 0.3, 1.1, 2.5, 4.5}) {
            for (double opening : new double[] {2, 4, 7}) {
                double w = 1.6;
                double sum = 0;
                int rings = 800;
                int steps = 360;
                for (int i = 0; i < rings; i++) {
                    double r = opening / 2 * (i + 0.5) / rings;
                    for (int k = 0; k < steps; k++) {
                        double angle = 2 * Math.PI * k / steps;
                        double x = r * Math.cos(angle) - offset;
                        double y = r * Math.sin(angle);
                        sum += Math.exp(-2 * (x * x + y * y) / (w * w)) * r;
                    }
                }
                double share = sum * (opening / 2 / rings) * (2 * Math.PI / steps) * 2 / (Math.PI * w * w);
                assertThat(new RoundBeam(2 * w).passed(opening, offset))
                        .as("offset %s, opening %s", offset, opening)
                        .isCloseTo(share, within(2e-6));
            }
        }
    }

    /** Where the sum ends and the straight edge begins nobody sees a step. */
    @Test
    void aVeryThinBeamPassesOrDoesNot() {
        for (double beside : new double[] {-0.02, -0.005, 0, 0.005, 0.02}) {
            double sum = new RoundBeam(0.0668).passed(10, 5 + beside);
            double edge = new RoundBeam(0.0664).passed(10, 5 + beside);
            assertThat(sum).isCloseTo(edge, within(0.006));
        }
        assertThat(new RoundBeam(1e-6).passed(10, 4)).isEqualTo(1);
        assertThat(new RoundBeam(1e-6).passed(10, 6)).isEqualTo(0);
    }

    @Test
    void theLargestOffsetLosesWhatIsAllowedAndNoMore() {
        RoundBeam beam = new RoundBeam(3.2);
        for (double lost : new double[] {0.01, 0.05, 0.3}) {
            double largest = beam.largestOffset(6, lost);
            assertThat(1 - beam.passed(6, largest)).isCloseTo(lost, within(1e-6));
            double opening = beam.openingFor(lost);
            assertThat(beam.lostInTheMiddle(opening)).isCloseTo(lost, within(1e-12));
        }
    }
}
