package zebrawood.core.picture;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.reading.ReadingException;

/**
 * A row of filled squares in a picture, all alike and evenly spaced: how sharp the lines of each are. Where the beam is
 * in focus its lines stand apart, and the shades within the square differ most.
 *
 * @param first the middle of the first square
 * @param last the middle of the last one
 * @param count how many there are, 2 or more
 */
public record SquareRow(Pixel first, Pixel last, int count) {

    /** from one middle to the next, as a multiple of the side of a square */
    private static final double PITCH = 1.5;
    /** as much of a side is looked at, so that edges and corners do not count */
    private static final double LOOKED_AT = 0.6;

    /** likewise of what lies bare between two squares */
    private static final double BARE = 0.25;

    private static final double LEAST_SIDE_PX = 12;

    public SquareRow {
        if (count < 2) {
            throw new ReadingException("count", "two squares or more make a row");
        } else if (first.to(last) / (count - 1) / PITCH < LEAST_SIDE_PX) {
            throw new ReadingException("row", "the squares are too small in this picture: take it from nearer");
        }
    }

    /** The side of a square, px. */
    public double sidePx() {
        return first.to(last) / (count - 1) / PITCH;
    }

    /** The middle of a square. */
    public Pixel middle(int square) {
        return first.towards(last, square / (double) (count - 1));
    }

    /**
     * How much the shades within each square differ, as a percentage of how light the square is; light that changes
     * slowly over the square does not count.
     */
    public List<Double> contrasts(Grey picture) {
        List<Double> contrasts = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            contrasts.add(contrast(picture, middle(i)));
        }
        return contrasts;
    }

    /**
     * How much each square differs from what lies bare beside it, as a percentage of how light that is: above 0 where
     * the square is darker.
     */
    public List<Double> darkness(Grey picture) {
        List<Double> darkness = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double bare = (mean(picture, between(i - 0.5), BARE) + mean(picture, between(i + 0.5), BARE)) / 2;
            darkness.add(100 * (bare - mean(picture, middle(i), LOOKED_AT)) / Math.max(1, bare));
        }
        return darkness;
    }

    private Pixel between(double square) {
        return first.towards(last, square / (count - 1));
    }

    private double mean(Grey picture, Pixel middle, double share) {
        double half = sidePx() * share / 2;
        int fromX = (int) Math.ceil(middle.x() - half);
        int fromY = (int) Math.ceil(middle.y() - half);
        int side = (int) Math.max(1, Math.floor(2 * half));
        double sum = 0;
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                sum += picture.shade(fromX + x, fromY + y);
            }
        }
        return sum / ((double) side * side);
    }

    private double contrast(Grey picture, Pixel middle) {
        double half = sidePx() * LOOKED_AT / 2;
        // the light over the square: a plane
        int fromX = (int) Math.ceil(middle.x() - half);
        int fromY = (int) Math.ceil(middle.y() - half);
        int side = (int) Math.floor(2 * half);
        double sum = 0;
        double byX = 0;
        double byY = 0;
        double squares = 0;
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                double shade = picture.shade(fromX + x, fromY + y);
                double offX = x - (side - 1) / 2.0;
                double offY = y - (side - 1) / 2.0;
                sum += shade;
                byX += shade * offX;
                byY += shade * offY;
                squares += offX * offX;
            }
        }
        double mean = sum / ((double) side * side);
        double slopeX = byX / squares;
        double slopeY = byY / squares;
        double rest = 0;
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                double light = mean + slopeX * (x - (side - 1) / 2.0) + slopeY * (y - (side - 1) / 2.0);
                double off = picture.shade(fromX + x, fromY + y) - light;
                rest += off * off;
            }
        }
        return 100 * Math.sqrt(rest / ((double) side * side)) / Math.max(1, mean);
    }
}
