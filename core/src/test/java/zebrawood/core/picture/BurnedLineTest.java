package zebrawood.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zebrawood.core.pretend.PretendPlate;
import zebrawood.core.reading.ReadingException;

class BurnedLineTest {

    private static final int WIDE = 900;
    private static final int HIGH = 360;
    private static final double LENGTH_MM = 40;
    private static final List<Double> PLACES = List.of(2.0, 10.0, 20.0, 30.0, 38.0);

    private static double widthMm(double along) {
        return 0.2 + Math.abs(along - 20) * 0.012;
    }

    private static BurnedLine line(PretendPlate plate, double besidePx) {
        Pixel start = plate.start(WIDE, HIGH);
        Pixel end = plate.along(WIDE, HIGH, LENGTH_MM);
        return new BurnedLine(
                new Pixel(10, 10),
                new Pixel(10 + 20 * plate.pxPerMm(), 10),
                20,
                new Pixel(start.x(), start.y() + besidePx),
                new Pixel(end.x(), end.y() - besidePx));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.2})
    void widthsAreReadToAFractionOfAPixelThroughBlurNoiseAndChar(double halo) {
        PretendPlate plate = new PretendPlate(18, 1.3, 5, -6, 0.3, halo);
        Grey picture = plate.of(WIDE, HIGH, LENGTH_MM, BurnedLineTest::widthMm, new SplittableRandom(3));
        List<Optional<BurnedLine.Width>> widths = line(plate, 7).widths(picture, PLACES);
        for (int i = 0; i < PLACES.size(); i++) {
            BurnedLine.Width width = widths.get(i).orElseThrow();
            assertThat(width.widthMm() * plate.pxPerMm())
                    .isCloseTo(widthMm(PLACES.get(i)) * plate.pxPerMm(), within(0.3));
            assertThat(width.contrast()).isGreaterThan(4);
        }
    }

    @Test
    void whereTheLineIsNotThereIsNoWidth() {
        PretendPlate plate = new PretendPlate(18, 1, 3, 0, 0, 0.1);
        Grey picture = plate.of(WIDE, HIGH, LENGTH_MM, BurnedLineTest::widthMm, new SplittableRandom(3));
        List<Optional<BurnedLine.Width>> widths = line(plate, 0).widths(picture, List.of(5.0, 20.0, 43.5, 90.0));
        assertThat(widths.subList(0, 2)).allMatch(Optional::isPresent);
        assertThat(widths.subList(2, 4))
                .as("beyond its end, and beyond the picture")
                .allMatch(Optional::isEmpty);
        byte[] plain = new byte[WIDE * HIGH];
        Arrays.fill(plain, (byte) 200);
        assertThat(line(plate, 0).widths(new Grey(WIDE, HIGH, plain), PLACES)).allMatch(Optional::isEmpty);
    }

    @Test
    void pointsAtOnePlaceSayWhatToDo() {
        Pixel one = new Pixel(10, 10);
        Pixel far = new Pixel(500, 10);
        assertThatThrownBy(() -> new BurnedLine(one, one, 20, one, far))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("set them far apart");
        assertThatThrownBy(() -> new BurnedLine(one, far, 20, far, far)).hasMessageContaining("line");
        assertThatThrownBy(() -> new BurnedLine(one, far, 0, one, far)).hasMessageContaining("how far apart");
    }
}
