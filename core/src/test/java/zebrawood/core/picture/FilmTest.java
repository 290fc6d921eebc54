package zebrawood.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zebrawood.core.picture.Film.Spot;
import zebrawood.core.pretend.PretendFilm;
import zebrawood.core.pretend.PretendFocus;

/** A spot that glows while the height is driven through the focus. */
class FilmTest {

    private final SplittableRandom random = new SplittableRandom(9);

    @Test
    void theGlowIsFoundBesideALampAndIsBrightestInFocus() {
        for (int round = 0; round < 40; round++) {
            Pixel spot = new Pixel(40 + 70 * random.nextDouble(), 20 + 50 * random.nextDouble());
            PretendFocus focus = PretendFocus.any(random);
            List<Grey> frames = new PretendFilm(128, 80, spot, 4).of(focus, 10, -1, 6, 0.1, random);
            List<Double> times = new ArrayList<>();
            IntStream.range(0, frames.size()).forEach(i -> times.add(0.1 * i));
            Film film = new Film(frames, times);
            Spot found = film.liveliest();
            assertThat(found.middle().to(spot)).as("round %d", round).isLessThan(found.half());
            double[] levels = film.levels(found);
            int best = IntStream.range(0, levels.length).reduce(0, (most, i) -> levels[i] > levels[most] ? i : most);
            assertThat(10 - times.get(best)).isCloseTo(focus.bestGapMm(), within(0.6));
        }
    }

    @Test
    void aSpotBesideThePictureIsItsEdgeAndATimeIsTheNearestFrame() {
        Film film = new Film(
                List.of(new Grey(2, 1, new byte[] {10, 20}), new Grey(2, 1, new byte[] {30, 40})), List.of(0.0, 0.5));
        assertThat(film.levels(new Spot(new Pixel(9, 9), 1))).containsExactly(20, 40);
        assertThat(film.levels(new Spot(new Pixel(1, 0.5), 1))).containsExactly(15, 35);
        assertThat(film.frameAt(0.2)).isZero();
        assertThat(film.frameAt(7)).isEqualTo(1);
        assertThat(film.lengthS()).isEqualTo(0.5);
    }
}
