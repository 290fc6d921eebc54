package zebrawood.core.picture;

import java.util.List;
import zebrawood.core.reading.Checks;

/**
 * A film in shades of grey, small: enough to see where a spot glows and how brightly.
 *
 * @param frames one after the other, all of one size, at least one
 * @param atS when each was taken, s from the first one, rising
 */
public record Film(List<Grey> frames, List<Double> atS) {

    public Film {
        frames = List.copyOf(frames);
        atS = List.copyOf(atS);
        new Checks().entries("frames", frames, 1).done();
    }

    /** Part of a frame: a square about a pixel. */
    public record Spot(Pixel middle, double half) {}

    public int width() {
        return frames.get(0).width();
    }

    public int height() {
        return frames.get(0).height();
    }

    /** When the last frame was taken, s. */
    public double lengthS() {
        return atS.get(atS.size() - 1);
    }

    /** The frame that was seen at a time; the nearest. */
    public int frameAt(double seconds) {
        int nearest = 0;
        for (int i = 1; i < atS.size(); i++) {
            nearest = Math.abs(atS.get(i) - seconds) < Math.abs(atS.get(nearest) - seconds) ? i : nearest;
        }
        return nearest;
    }

    /**
     * Where brightness changes most from its least to its most: there something glows. What is bright all the time, as
     * a lamp in the picture, is not it.
     */
    public Spot liveliest() {
        int wide = width();
        double half = Math.max(2, Math.min(wide, height()) / 12.0);
        int most = -1;
        int best = 0;
        for (int i = 0; i < wide * height(); i++) {
            int low = 255;
            int high = 0;
            for (Grey frame : frames) {
                int shade = frame.shade(i % wide, i / wide);
                low = Math.min(low, shade);
                high = Math.max(high, shade);
            }
            if (high - low > most) {
                most = high - low;
                best = i;
            }
        }
        return new Spot(new Pixel(best % wide + 0.5, Math.floorDiv(best, wide) + 0.5), half);
    }

    /** Mean brightness of a spot in each frame, 0 to 255; a spot beside the picture has its nearest pixel. */
    public double[] levels(Spot spot) {
        int fromX = clamp(spot.middle().x() - spot.half(), width());
        int toX = clamp(spot.middle().x() + spot.half(), width());
        int fromY = clamp(spot.middle().y() - spot.half(), height());
        int toY = clamp(spot.middle().y() + spot.half(), height());
        return frames.stream()
                .mapToDouble(frame -> {
                    long sum = 0;
                    for (int y = fromY; y <= toY; y++) {
                        for (int x = fromX; x <= toX; x++) {
                            sum += frame.shade(x, y);
                        }
                    }
                    return sum / (double) ((toX - fromX + 1) * (toY - fromY + 1));
                })
                .toArray();
    }

    private static int clamp(double at, int size) {
        return (int) Math.max(0, Math.min(size - 1, Math.floor(at)));
    }
}
