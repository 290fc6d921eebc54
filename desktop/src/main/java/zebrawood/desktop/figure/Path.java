package zebrawood.desktop.figure;

import java.util.ArrayList;
import java.util.List;

/** A line of straight and curved pieces. */
public final class Path {

    /**
     * One piece: one point for a move or a line, three for a cubic curve.
     *
     * @param kind M, L, C or Z
     */
    public record Piece(char kind, double[] points) {}

    private final List<Piece> pieces = new ArrayList<>();

    public Path move(double x, double y) {
        pieces.add(new Piece('M', new double[] {x, y}));
        return this;
    }

    public Path line(double x, double y) {
        pieces.add(new Piece(pieces.isEmpty() ? 'M' : 'L', new double[] {x, y}));
        return this;
    }

    public Path curve(double x1, double y1, double x2, double y2, double x, double y) {
        pieces.add(new Piece('C', new double[] {x1, y1, x2, y2, x, y}));
        return this;
    }

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

    public static Path rectangle(double x, double y, double width, double height) {
        return new Path().move(x, y).line(x + width, y).line(x + width, y + height).line(x, y + height).close();
    }

    /** The pieces, for a pen. */
    public List<Piece> pieces() {
        return pieces;
    }
}
