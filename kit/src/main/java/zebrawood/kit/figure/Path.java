package zebrawood.kit.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A line of straight and curved pieces. */
public final class Path {

    /**
     * One piece: one point for a move or a line, three for a cubic curve.
     *
     * @param kind M, L, C or Z
     */
    public record Piece(char kind, double[] points) {}

    private final List<Piece> pieces = new ArrayList<>();

    /** Begins a new line at a point; px, y downwards, as for all points here. */
    public Path move(double x, double y) {
        pieces.add(new Piece('M', new double[] {x, y}));
        return this;
    }

    /** Goes straight to a point; begins there where nothing is begun. */
    public Path line(double x, double y) {
        pieces.add(new Piece(pieces.isEmpty() ? 'M' : 'L', new double[] {x, y}));
        return this;
    }

    /** Goes to the last point along a cubic Bézier curve with two control points. */
    public Path curve(double x1, double y1, double x2, double y2, double x, double y) {
        pieces.add(new Piece('C', new double[] {x1, y1, x2, y2, x, y}));
        return this;
    }

    /** Goes straight back to where the line began. */
    public Path close() {
        pieces.add(new Piece('Z', new double[0]));
        return this;
    }

    /** A full circle. */
    public static Path circle(double x, double y, double r) {
        double k = 0.5523 * r;
        return new Path()
                .move(x + r, y)
                .curve(x + r, y + k, x + k, y + r, x, y + r)
                .curve(x - k, y + r, x - r, y + k, x - r, y)
                .curve(x - r, y - k, x - k, y - r, x, y - r)
                .curve(x + k, y - r, x + r, y - k, x + r, y)
                .close();
    }

    /** A rectangle from its left top corner; width and height not negative. */
    public static Path rectangle(double x, double y, double width, double height) {
        return new Path()
                .move(x, y)
                .line(x + width, y)
                .line(x + width, y + height)
                .line(x, y + height)
                .close();
    }

    /**
     * An upright box; an upright line is one without width or height.
     *
     * @param x its left edge
     * @param y its upper edge
     */
    public record Box(double x, double y, double width, double height) {

        boolean isLine() {
            return width == 0 ^ height == 0;
        }

        /** What a line covers that is so wide. */
        Box widened(double by) {
            return width == 0 ? new Box(x - by / 2, y, by, height) : new Box(x, y - by / 2, width, by);
        }

        /** What its edges cover when they are so wide. */
        List<Box> frame(double edge) {
            double left = x - edge / 2;
            double top = y - edge / 2;
            return List.of(
                    new Box(left, top, width + edge, edge),
                    new Box(left, top + height, width + edge, edge),
                    new Box(left, top + edge, edge, height - edge),
                    new Box(left + width, top + edge, edge, height - edge));
        }
    }

    /** The upright line or box that this is, where it is one. */
    Optional<Box> box() {
        boolean line = pieces.size() == 2 && kinds("ML");
        boolean closed = pieces.size() == 5 && kinds("MLLLZ");
        if (!line && !closed) {
            return Optional.empty();
        }
        double[] from = pieces.get(0).points();
        double[] to = pieces.get(line ? 1 : 2).points();
        boolean upright = line
                ? from[0] == to[0] ^ from[1] == to[1]
                : pieces.get(1).points()[1] == from[1]
                        && pieces.get(1).points()[0] == to[0]
                        && pieces.get(3).points()[0] == from[0]
                        && pieces.get(3).points()[1] == to[1];
        return upright
                ? Optional.of(new Box(
                        Math.min(from[0], to[0]),
                        Math.min(from[1], to[1]),
                        Math.abs(to[0] - from[0]),
                        Math.abs(to[1] - from[1])))
                : Optional.empty();
    }

    private boolean kinds(String kinds) {
        for (int i = 0; i < kinds.length(); i++) {
            if (pieces.get(i).kind() != kinds.charAt(i)) {
                return false;
            }
        }
        return true;
    }

    /** The pieces, for a pen. */
    public List<Piece> pieces() {
        return pieces;
    }
}
