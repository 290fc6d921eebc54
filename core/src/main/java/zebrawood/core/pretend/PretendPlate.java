package zebrawood.core.pretend;

import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.special.Erf;
import zebrawood.core.picture.Grey;
import zebrawood.core.picture.Pixel;

/**
 * A picture of a plate with a burned line and a rule, as a camera sees it.
 *
 * @param pxPerMm how large
 * @param blurPx of the camera, one standard deviation
 * @param noise of a pixel, one standard deviation in shades of 255
 * @param turnedDeg how the plate lies in the picture
 * @param uneven by which share the light falls from one side to the other
 * @param halo how dark the char beside the line is, as a share of the line
 */
public record PretendPlate(double pxPerMm, double blurPx, double noise, double turnedDeg, double uneven, double halo) {

    private static final double SURFACE = 210;
    private static final double LINE = 30;
    private static final double HALO_MM = 0.18;
    private static final double RULE_FROM_MM = 5;

    /** Where in the picture the line begins. */
    public Pixel start(int width, int height) {
        return new Pixel(width * 0.1, height * 0.5 - Math.sin(Math.toRadians(turnedDeg)) * width * 0.4);
    }

    /** The place so far along the line. */
    public Pixel along(int width, int height, double mm) {
        Pixel start = start(width, height);
        double turned = Math.toRadians(turnedDeg);
        return new Pixel(start.x() + mm * pxPerMm * Math.cos(turned), start.y() + mm * pxPerMm * Math.sin(turned));
    }

    /** The picture; the line is so wide, in mm, so many mm along it. */
    public Grey of(int width, int height, double lengthMm, DoubleUnaryOperator widthMm, SplittableRandom random) {
        byte[] shades = new byte[width * height];
        Pixel start = start(width, height);
        double cos = Math.cos(Math.toRadians(turnedDeg));
        double sin = Math.sin(Math.toRadians(turnedDeg));
        double fades = HALO_MM * pxPerMm;
        for (int row = 0; row < height; row++) {
            for (int column = 0; column < width; column++) {
                double x = column + 0.5 - start.x();
                double y = row + 0.5 - start.y();
                double along = (x * cos + y * sin) / pxPerMm;
                double off = y * cos - x * sin;
                double dark = 0;
                if (along > -1 && along < lengthMm + 1 && Math.abs(off) < 6 * fades + 1.2 * pxPerMm) {
                    double half = widthMm.applyAsDouble(Math.max(0, Math.min(lengthMm, along))) * pxPerMm / 2;
                    double ends = edge(along * pxPerMm / blurPx) * edge((lengthMm - along) * pxPerMm / blurPx);
                    dark = ends
                            * (edge((off + half) / blurPx)
                                    - edge((off - half) / blurPx)
                                    + halo * (faded(off - half, fades) + faded(-off - half, fades)));
                }
                double light = 1 - uneven * (column / (double) width + row / (double) height) / 2;
                double shade = light * (SURFACE - (SURFACE - LINE) * dark) + noise * random.nextGaussian();
                shades[row * width + column] = (byte) Math.round(Math.max(0, Math.min(255, shade)));
            }
        }
        return new Grey(width, height, shades);
    }

    /** The picture with a rule along its lower edge: a mark each 10 mm, a longer one each 50, the longest each 100. */
    public Grey ruled(Grey picture) {
        int high = picture.height();
        byte[] shades = new byte[picture.width() * high];
        double top = high - Math.min(high / 4.0, 14 * pxPerMm);
        for (int row = 0; row < high; row++) {
            for (int column = 0; column < picture.width(); column++) {
                double along = (column + 0.5) / pxPerMm - RULE_FROM_MM;
                long mark = Math.round(along / 10);
                double tall = mark % 10 == 0 ? 0.9 : mark % 5 == 0 ? 0.65 : 0.4;
                boolean dark = along > -1 && Math.abs(along - 10 * mark) < 0.35 && row < top + tall * (high - top);
                int shade = row < top ? picture.shade(column, row) : dark ? 25 : 228;
                shades[row * picture.width() + column] = (byte) shade;
            }
        }
        return new Grey(picture.width(), high, shades);
    }

    private static double edge(double at) {
        return at > 6 ? 1 : at < -6 ? 0 : 0.5 * Erf.erfc(-at / Math.sqrt(2));
    }

    private double faded(double outward, double fades) {
        if (outward < -6 * blurPx) {
            return 0;
        }
        double share = 0.5 * Erf.erfc((blurPx / fades - outward / blurPx) / Math.sqrt(2));
        return share * Math.exp(blurPx * blurPx / (2 * fades * fades) - outward / fades);
    }
}
