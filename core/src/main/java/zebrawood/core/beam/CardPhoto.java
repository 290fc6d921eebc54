package zebrawood.core.beam;

import java.util.ArrayDeque;
import java.util.Deque;
import zebrawood.core.reading.Checks;

/**
 * Turns a point of a photo of a card into millimetres on the card, by two points of the ruler printed on it and by its
 * cross. Points in px from the photo's upper left corner, y downwards.
 *
 * @param zero where the ruler begins
 * @param end where it ends, to the right of its beginning as one faces the beam
 * @param cross the middle of the card
 * @param rulerMm how long the ruler is, mm, above 0
 */
public record CardPhoto(Pixel zero, Pixel end, Pixel cross, double rulerMm) {

    /** A point of a photo, px. */
    public record Pixel(double x, double y) {
        public Pixel {
            new Checks().finite("x", x).finite("y", y).done();
        }
    }

    /** px below which two clicks are one */
    private static final double APART = 8;
    /** half of the square over which the photo is smoothed, so that printed lines do not count, mm */
    private static final double SMOOTHED_MM = 0.5;
    /** how far from the click a mark is looked for, mm */
    private static final double REACH_MM = 3;
    /** share of the darkest place's darkness that is still the mark */
    private static final double HALF = 0.5;

    public CardPhoto {
        new Checks()
                .present("zero", zero)
                .present("end", end)
                .present("cross", cross)
                .above("rulerMm", rulerMm, 0)
                .tie(
                        () -> Math.hypot(end.x() - zero.x(), end.y() - zero.y()) >= APART,
                        "end",
                        "both ends of the ruler are at the same place: click its 0, then its other end")
                .done();
    }

    /** px a millimetre. */
    public double pxPerMm() {
        return Math.hypot(end.x() - zero.x(), end.y() - zero.y()) / rulerMm;
    }

    /** Where a point of the photo lies on the card. */
    public Spot spot(Pixel at) {
        double px = Math.hypot(end.x() - zero.x(), end.y() - zero.y());
        double rightX = (end.x() - zero.x()) / px;
        double rightY = (end.y() - zero.y()) / px;
        double dx = (at.x() - cross.x()) / pxPerMm();
        double dy = (at.y() - cross.y()) / pxPerMm();
        return new Spot(dx * rightX + dy * rightY, dx * rightY - dy * rightX);
    }

    /**
     * The middle of what is burned about a point: the centroid, by darkness, of what hangs together and is more than
     * half as dark as the darkest place near there. Thin printed lines are smoothed away first.
     *
     * @param darkness of each pixel, row by row, 0 for white paper to 1
     * @param width of the photo, px
     * @return the point itself where nothing is dark about it
     */
    public Pixel middleOfMark(float[] darkness, int width, Pixel about) {
        int height = darkness.length / width;
        int smooth = (int) Math.max(1, Math.rint(SMOOTHED_MM * pxPerMm()));
        int reach = (int) Math.max(3, Math.rint(REACH_MM * pxPerMm()));
        int left = Math.max(0, (int) about.x() - reach);
        int top = Math.max(0, (int) about.y() - reach);
        int right = Math.min(width - 1, (int) about.x() + reach);
        int bottom = Math.min(height - 1, (int) about.y() + reach);
        if (right <= left || bottom <= top) {
            return about;
        }
        int wide = right - left + 1;
        double[] smoothed = new double[wide * (bottom - top + 1)];
        int darkest = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < smoothed.length; i++) {
            smoothed[i] = mean(darkness, width, height, left + i % wide, top + i / wide, smooth);
            darkest = smoothed[i] > smoothed[darkest] ? i : darkest;
            least = Math.min(least, smoothed[i]);
        }
        double limit = least + HALF * (smoothed[darkest] - least);
        if (smoothed[darkest] - least < 0.05) {
            return about;
        }
        return centroid(smoothed, wide, darkest, limit, least, left, top);
    }

    private static Pixel centroid(
            double[] smoothed, int wide, int from, double limit, double ground, int left, int top) {
        boolean[] seen = new boolean[smoothed.length];
        Deque<Integer> open = new ArrayDeque<>();
        open.push(from);
        seen[from] = true;
        double sum = 0;
        double sumX = 0;
        double sumY = 0;
        while (!open.isEmpty()) {
            int at = open.pop();
            double weight = smoothed[at] - ground;
            int x = at % wide;
            int y = at / wide;
            sum += weight;
            sumX += weight * (left + x);
            sumY += weight * (top + y);
            int[] beside = {x > 0 ? at - 1 : at, x + 1 < wide ? at + 1 : at, at - wide, at + wide};
            for (int next : beside) {
                if (next >= 0 && next < smoothed.length && !seen[next] && smoothed[next] >= limit) {
                    seen[next] = true;
                    open.push(next);
                }
            }
        }
        return new Pixel(sumX / sum, sumY / sum);
    }

    private static double mean(float[] darkness, int width, int height, int x, int y, int half) {
        double sum = 0;
        int count = 0;
        for (int j = Math.max(0, y - half); j <= Math.min(height - 1, y + half); j++) {
            for (int i = Math.max(0, x - half); i <= Math.min(width - 1, x + half); i++) {
                sum += darkness[j * width + i];
                count++;
            }
        }
        return sum / count;
    }
}
