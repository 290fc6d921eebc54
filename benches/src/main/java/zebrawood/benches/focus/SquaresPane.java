package zebrawood.benches.focus;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import javafx.geometry.Point2D;
import zebrawood.core.picture.Grey;
import zebrawood.core.picture.SquareRow;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.Workplace;

/** A photo of squares in a row: the middles of the first and the last are pointed at, and each is scored. */
public final class SquaresPane extends PointedPicture {

    /**
     * By what squares are scored.
     *
     * @param scores of a row in a picture, one a square
     * @param found says what they come to
     * @param marked which square is told apart, from 0; below 0 none is
     * @param light how the photo is lit
     */
    public record By(
            BiFunction<SquareRow, Grey, List<Double>> scores,
            Function<List<Double>, String> found,
            ToIntFunction<List<Double>> marked,
            String light) {}

    private final By by;
    private final int count;
    private final Consumer<List<Double>> scores;
    private Optional<SquareRow> row = Optional.empty();
    private List<Double> contrasts = List.of();

    /**
     * Scored by how sharp each is.
     *
     * @param squares what each square is called, in the order in which they lie
     * @param scores takes the contrast of each
     */
    public SquaresPane(Workplace workplace, Covered covered, List<String> squares, Consumer<List<Double>> scores) {
        this(
                workplace,
                covered,
                squares.size(),
                new By(
                        SquareRow::contrasts,
                        contrasts -> "Sharpest: square " + (best(contrasts) + 1) + ", " + squares.get(best(contrasts)),
                        SquaresPane::best,
                        "light from one side"),
                scores);
    }

    /**
     * @param count how many squares there are
     * @param scores takes the score of each
     */
    public SquaresPane(Workplace workplace, Covered covered, int count, By by, Consumer<List<Double>> scores) {
        super(
                workplace,
                covered,
                "Put the scores in",
                List.of("Press on the middle of the first square", "Press on the middle of the last square"));
        this.count = count;
        this.by = by;
        this.scores = scores;
    }

    @Override
    double below() {
        return 0;
    }

    @Override
    void forget() {
        row = Optional.empty();
        contrasts = List.of();
    }

    @Override
    void measured() {
        SquareRow there = new SquareRow(point(0), point(1), count);
        row = Optional.of(there);
        contrasts = by.scores().apply(there, picture().grey());
    }

    @Override
    String found() {
        return by.found().apply(contrasts);
    }

    private static int best(List<Double> contrasts) {
        int best = 0;
        for (int i = 1; i < contrasts.size(); i++) {
            best = contrasts.get(i) > contrasts.get(best) ? i : best;
        }
        return best;
    }

    @Override
    protected String note() {
        return areAllThere()
                ? "each frame must lie within its square. Drag a point to put it right, or press Space, then the arrow"
                        + " keys"
                : "the camera straight over the squares, " + by.light() + ", all of them in the picture";
    }

    @Override
    protected boolean isReady() {
        return !contrasts.isEmpty();
    }

    @Override
    protected void taken() {
        scores.accept(contrasts);
    }

    @Override
    protected Figure over() {
        return (pen, width, height) -> {
            double side = row.map(SquareRow::sidePx).orElse(0.0) * share(width, height);
            for (int i = 0; i < contrasts.size(); i++) {
                Point2D middle = shown(row.orElseThrow().middle(i));
                boolean best = i == by.marked().applyAsInt(contrasts);
                pen.stroke(
                        Path.rectangle(middle.getX() - side / 2, middle.getY() - side / 2, side, side),
                        Stroke.of(best ? Tone.WALNUT : Tone.READING, best ? 3 : 1.6));
                pen.patched(
                        middle.getX(),
                        middle.getY() - side / 2 - 8,
                        String.format(Locale.ROOT, "%.1f", contrasts.get(i)),
                        best ? Lettering.TEXT_BOLD : Lettering.SMALL,
                        best ? Tone.WALNUT : Tone.READING,
                        Anchor.MIDDLE);
            }
            drawPoints(pen);
        };
    }
}
