package zebrawood.core.beam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import zebrawood.core.beam.CardPhoto.Pixel;
import zebrawood.core.reading.ReadingException;

/** Photos of cards held straight, turned and upside down, with printed rings and a burn of known place. */
class CardPhotoTest {

    private static final int SIDE = 600;
    private static final double PX = 12;

    /** A card turned by an angle about the middle of the photo: how a place on it, mm, comes to lie there. */
    private static Pixel pixel(double angle, double x, double y) {
        double dx = PX * x;
        double dy = -PX * y;
        return new Pixel(
                SIDE / 2.0 + dx * Math.cos(angle) - dy * Math.sin(angle),
                SIDE / 2.0 + dx * Math.sin(angle) + dy * Math.cos(angle));
    }

    private static CardPhoto photo(double angle) {
        return new CardPhoto(pixel(angle, -15, -18), pixel(angle, 5, -18), pixel(angle, 0, 0), 20);
    }

    /** Paper with a burn of 1.2 mm radius, a cross and rings a pixel wide. */
    private static float[] paper(double angle, double burnX, double burnY) {
        float[] darkness = new float[SIDE * SIDE];
        Pixel burn = pixel(angle, burnX, burnY);
        for (int i = 0; i < darkness.length; i++) {
            double x = i % SIDE;
            int row = i / SIDE;
            double y = row;
            double fromCross = Math.hypot(x - SIDE / 2.0, y - SIDE / 2.0) / PX;
            boolean ring = Math.abs(fromCross - Math.rint(fromCross)) < 0.5 / PX && fromCross < 10.5;
            boolean cross = Math.abs(x - SIDE / 2.0) < 1 || Math.abs(y - SIDE / 2.0) < 1;
            boolean burned = Math.hypot(x - burn.x(), y - burn.y()) < 1.2 * PX;
            darkness[i] = burned ? 0.8f : ring || cross ? 0.9f : 0.06f;
        }
        return darkness;
    }

    @Test
    void aMarkThatIsPointedAtRoughlyIsCentredOnWhatIsBurned() {
        for (double angle : new double[] {0, 0.2, -1.3, Math.PI}) {
            CardPhoto photo = photo(angle);
            float[] paper = paper(angle, 2.6, -1.7);
            Pixel middle = photo.middleOfMark(paper, SIDE, pixel(angle, 3.2, -1.2));
            Spot spot = photo.spot(middle);
            assertThat(spot.xMm()).isCloseTo(2.6, within(0.1));
            assertThat(spot.yMm()).isCloseTo(-1.7, within(0.1));
        }
    }

    @Test
    void rightAndUpAreThoseOfTheCardHoweverItIsHeld() {
        for (double angle : new double[] {0, 0.7, 2.5}) {
            Spot spot = photo(angle).spot(pixel(angle, 1.25, 3.5));
            assertThat(spot.xMm()).isCloseTo(1.25, within(1e-9));
            assertThat(spot.yMm()).isCloseTo(3.5, within(1e-9));
        }
    }

    @Test
    void whereNothingIsBurnedThePointStaysWhereItWasPut() {
        Pixel about = new Pixel(300, 220);
        assertThat(photo(0).middleOfMark(new float[SIDE * SIDE], SIDE, about)).isEqualTo(about);
    }

    @Test
    void aRulerWithoutLengthIsRefused() {
        Pixel one = new Pixel(10, 10);
        assertThatThrownBy(() -> new CardPhoto(one, new Pixel(12, 11), one, 20))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("both ends of the ruler");
    }
}
