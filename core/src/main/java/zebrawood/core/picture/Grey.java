package zebrawood.core.picture;

import zebrawood.core.reading.ReadingException;

/** A picture in shades of grey: 0 is black, 255 white. Places are px from its upper left corner, right and down. */
public final class Grey {

    private final int width;
    private final int height;
    private final byte[] shades;

    /**
     * @param shades row by row from above, one byte without sign each; kept, not copied
     * @throws ReadingException where their number does not fit
     */
    public Grey(int width, int height, byte[] shades) {
        if (width < 1 || height < 1 || shades.length != (long) width * height) {
            throw new ReadingException("picture", "has no pixels");
        }
        this.width = width;
        this.height = height;
        this.shades = shades;
    }

    /** px */
    public int width() {
        return width;
    }

    /** px */
    public int height() {
        return height;
    }

    /** A shade, 0 to 255; outside of the picture that of its nearest pixel. */
    public int shade(int x, int y) {
        int column = Math.max(0, Math.min(width - 1, x));
        int row = Math.max(0, Math.min(height - 1, y));
        return shades[row * width + column] & 0xFF;
    }

    /** The shade between pixels, whose middles lie at whole numbers and a half. */
    double between(double x, double y) {
        double left = Math.floor(x - 0.5);
        double top = Math.floor(y - 0.5);
        double alongX = x - 0.5 - left;
        double alongY = y - 0.5 - top;
        int column = (int) left;
        int row = (int) top;
        double upper = shade(column, row) * (1 - alongX) + shade(column + 1, row) * alongX;
        double lower = shade(column, row + 1) * (1 - alongX) + shade(column + 1, row + 1) * alongX;
        return upper * (1 - alongY) + lower * alongY;
    }

    /** Whether a place lies in the picture. */
    boolean holds(double x, double y) {
        return x >= 0 && y >= 0 && x <= width && y <= height;
    }
}
