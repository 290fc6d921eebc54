package zebrawood.benches.level;

import java.util.List;
import zebrawood.kit.figure.Path;

/**
 * A bed from above, to scale, within a drawing: front at the foot, and nine places on it.
 *
 * @param left px of its left edge
 * @param top px of its back edge
 * @param scale px a mm
 * @param xMm how wide the bed is
 * @param yMm how deep the bed is
 */
public record BedPlan(double left, double top, double scale, double xMm, double yMm) {

    /** Names of the nine places, from the front left, row by row. */
    public static final List<String> PLACES = List.of(
            "front left",
            "front middle",
            "front right",
            "middle left",
            "middle",
            "middle right",
            "back left",
            "back middle",
            "back right");

    /** px of a field that is typed in at a place */
    public static final double FIELD_WIDTH = 78;

    public static final double FIELD_HEIGHT = 32;

    /** The largest plan in a box. */
    public static BedPlan within(Path.Box box, double xMm, double yMm) {
        double scale = Math.min(box.width() / xMm, box.height() / yMm);
        return new BedPlan(
                box.x() + (box.width() - scale * xMm) / 2, box.y() + (box.height() - scale * yMm) / 2, scale, xMm, yMm);
    }

    public double x(double mm) {
        return left + mm * scale;
    }

    public double y(double mm) {
        return top + (yMm - mm) * scale;
    }

    public double width() {
        return xMm * scale;
    }

    public double height() {
        return yMm * scale;
    }

    /** How far from the left a place lies, mm, where the outer ones are so far in from the edge. */
    public static double placeXMm(int place, double xMm, double insetMm) {
        return insetMm + place % 3 * (xMm - 2 * insetMm) / 2;
    }

    /** How far from the front a place lies, mm. */
    public static double placeYMm(int place, double yMm, double insetMm) {
        int row = place / 3;
        return insetMm + row * (yMm - 2 * insetMm) / 2;
    }

    /** Where the field of a place stands: at the place, and inside the bed. */
    public Path.Box field(int place, double insetMm, double down) {
        double wide = Math.min(FIELD_WIDTH, (width() - 16) / 3);
        double across = x(placeXMm(place, xMm, insetMm)) - wide / 2;
        double low = y(placeYMm(place, yMm, insetMm)) - FIELD_HEIGHT / 2 + down;
        double x = Math.max(left + 4, Math.min(left + width() - wide - 4, across));
        double y = Math.max(top + 4 + Math.min(0, down), Math.min(top + height() - FIELD_HEIGHT - 4, low));
        return new Path.Box(x, y, wide, FIELD_HEIGHT);
    }
}
