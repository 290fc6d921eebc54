package zebrawood.benches.power;

import java.io.File;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import javafx.scene.Node;
import zebrawood.benches.focus.SquaresPane;
import zebrawood.core.pattern.Patterns;
import zebrawood.core.picture.SquareRow;
import zebrawood.core.reading.ReadingException;
import zebrawood.kit.bench.ToBurn;
import zebrawood.kit.view.Covered;
import zebrawood.kit.view.Workplace;

/**
 * A row of cells engraved with more and more power, for a shop without a meter: how much they stand out of the bare
 * material is the score of the source.
 */
final class CellsRow {

    private static final List<Double> COMMANDS_PCT =
            IntStream.rangeClosed(1, 10).mapToObj(i -> 10.0 * i).toList();
    private static final double SIDE_MM = 8;
    private static final double INTERVAL_MM = 0.2;

    private CellsRow() {}

    /** Saves it to be burned; each cell has a power of its own, which motion text of one power cannot say. */
    static Node toBurn(Workplace workplace) {
        return ToBurn.link(
                workplace, "the cells", "cells", () -> Patterns.cells(COMMANDS_PCT, SIDE_MM, INTERVAL_MM), pattern -> {
                    throw new ReadingException(
                            "powerS", "each cell has a power of its own: save them as SVG or DXF, a layer each");
                });
    }

    /** Reads a photo of it, and gives its score. */
    static void read(Workplace workplace, Covered covered, File photo, DoubleConsumer scored) {
        SquaresPane.By by = new SquaresPane.By(
                SquareRow::darkness,
                each -> "The cells score " + words(score(each)),
                each -> -1,
                "soft light from all sides, the same each time");
        new SquaresPane(workplace, covered, COMMANDS_PCT.size(), by, each -> scored.accept(score(each))).open(photo);
    }

    /** The mean of all cells; a material that turns lighter scores alike. */
    static double score(List<Double> darkness) {
        return Math.abs(
                darkness.stream().mapToDouble(Double::doubleValue).average().orElse(0));
    }

    static String words(double score) {
        return String.format(Locale.ROOT, "%.1f", score);
    }
}
