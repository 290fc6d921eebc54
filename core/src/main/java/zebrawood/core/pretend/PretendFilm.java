package zebrawood.core.pretend;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import zebrawood.core.picture.Grey;
import zebrawood.core.picture.Pixel;

/**
 * A film of a sweep: a spot that glows the more the narrower the beam is on the work, a lamp that is always bright, and
 * grain.
 *
 * @param width px
 * @param height px
 * @param spot where it glows
 * @param grain one standard deviation of a pixel, of 255
 */
public record PretendFilm(int width, int height, Pixel spot, double grain) {

    /** how large the glow is, px, one standard deviation */
    private static final double GLOW = 7;

    /**
     * The frames.
     *
     * @param startGapMm where the motion begins
     * @param speedMmS of the gap, less than 0 where it shrinks
     * @param seconds how long it goes on
     * @param everyS from one frame to the next
     */
    public List<Grey> of(
            PretendFocus focus,
            double startGapMm,
            double speedMmS,
            double seconds,
            double everyS,
            SplittableRandom random) {
        List<Grey> frames = new ArrayList<>();
        for (int i = 0; i * everyS <= seconds; i++) {
            double share = focus.waistMm() / focus.widthMm(startGapMm + speedMmS * i * everyS);
            byte[] shades = new byte[width * height];
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    double far = Math.hypot(x + 0.5 - spot.x(), y + 0.5 - spot.y()) / GLOW;
                    double lamp = x < width / 8 && y < height / 8 ? 200 : 30;
                    double shade =
                            lamp + 190 * share * share * Math.exp(-far * far / 2) + grain * random.nextGaussian();
                    shades[y * width + x] = (byte) Math.round(Math.max(0, Math.min(255, shade)));
                }
            }
            frames.add(new Grey(width, height, shades));
        }
        return frames;
    }
}
