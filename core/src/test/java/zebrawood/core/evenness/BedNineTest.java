package zebrawood.core.evenness;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.evenness.NineFinding.Likeliest;
import zebrawood.core.evenness.NineReadings.Corner;
import zebrawood.core.evenness.NineReadings.Kind;
import zebrawood.core.procedure.Verdict;

/** Patterns that were planted, and beds in which there is none. */
class BedNineTest {

    private static final int BEDS = 300;
    private static final double NOISE = 0.01;

    private final SplittableRandom random = new SplittableRandom(99);

    /** What is added to an even bed at a place, in shares of a size; x and y from -1 to 1. */
    private interface Planted {
        double at(double x, double y, int place);
    }

    private Likeliest named(double size, Planted planted) {
        List<NineReadings.Place> places = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double x = i % 3 - 1;
            double y = Math.floor(i / 3.0) - 1;
            double width = 0.3 + size * planted.at(x, y, i) + NOISE * random.nextGaussian();
            places.add(new NineReadings.Place(
                    "place " + i, 350 + 310 * x, 250 + 210 * y, List.of(width), OptionalDouble.empty()));
        }
        return new BedNine()
                .evaluate(new NineReadings(
                        Kind.WIDTH,
                        places,
                        Optional.of(new Corner(0, 500)),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.of(NOISE)))
                .finding()
                .likeliest();
    }

    private int right(Likeliest wanted, double size, Planted planted) {
        int right = 0;
        for (int i = 0; i < BEDS; i++) {
            right += named(size, planted) == wanted ? 1 : 0;
        }
        return right;
    }

    @Test
    void whatIsPlantedTenTimesAsLargeAsTheNoiseIsNamed() {
        double size = 10 * NOISE;
        assertThat(right(Likeliest.SLOPE, size / 2, (x, y, place) -> x)).isGreaterThan(BEDS * 93 / 100);
        assertThat(right(Likeliest.BOWL, size / 2, (x, y, place) -> -(x * x + y * y)))
                .isGreaterThan(BEDS * 93 / 100);
        assertThat(right(Likeliest.ODD_PLACE, size, (x, y, place) -> place == 5 ? 1 : 0))
                .isGreaterThan(BEDS * 93 / 100);
    }

    @Test
    void anEvenBedIsCalledUnevenAtMostOnceInTwenty() {
        int even = right(Likeliest.EVEN, 0, (x, y, place) -> 0);
        assertThat(even).isGreaterThan(BEDS * 93 / 100);
    }

    @Test
    void passesEnoughAreNeverFewerThanAnyThatWasNeeded() {
        for (int round = 0; round < 50; round++) {
            List<NineReadings.Place> places = new ArrayList<>();
            double most = 0;
            for (int i = 0; i < 9; i++) {
                double passes = 2 + random.nextInt(4);
                most = Math.max(most, passes);
                places.add(new NineReadings.Place(
                        "place " + i,
                        i % 3 * 300.0,
                        Math.floor(i / 3.0) * 200,
                        List.of(passes),
                        OptionalDouble.empty()));
            }
            var outcome = new BedNine()
                    .evaluate(new NineReadings(
                            Kind.PASSES,
                            places,
                            Optional.empty(),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            OptionalDouble.empty()));
            assertThat(outcome.finding().passesEnough().orElseThrow()).isGreaterThanOrEqualTo((int) most);
            assertThat(outcome.verdict()).isNotEqualTo(Verdict.FAIL);
        }
    }
}
