package zebrawood.kit.form;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import zebrawood.kit.view.Words;

/** How a drawn form is laid out: the drawing takes what the cells and rows under it leave. Sizes in px. */
final class FormLayout {

    private static final double EDGE = 24;
    private static final double GAP = 12;
    /** a cell with its label, its field and the line under it */
    private static final double CELL = 74;

    private static final double FIELD = 34;
    private static final double LABEL = 18;
    private static final double ROW = 38;
    private static final double MESSAGE = 18;
    /** wider cells would only part a field from its label */
    private static final double WIDEST = 210;

    private static final double NARROWEST = 138;
    private static final double NARROWEST_OF_MANY = 112;
    private static final double NARROW = 76;
    /** more cells than these are set closer, to spare a line */
    private static final int MANY = 12;
    /** heading and caption */
    private static final double TOP = 60;

    private static final double LOWEST = 420;
    private static final double LOWEST_DRAWING = 170;
    private static final double LEAST_DRAWN = 120;

    private final List<DrawnForm.Cell> cells;
    private final List<Label> heads;
    /** from so many columns on each is narrow */
    private static final int MANY_COLUMNS = 7;
    /** as wide as so many others is the column with a name then */
    private static final double NAME = 1.7;

    /** as wide as so many others is a column with several amounts in a field */
    private static final double SEVERAL = 2.4;

    private final List<List<Node>> rows;
    private final int several;
    private final double narrowest;
    private final double leastDrawing;

    /** @param several the column with several amounts in a field; below 0 for none */
    FormLayout(
            List<DrawnForm.Cell> cells,
            List<Label> heads,
            List<List<Node>> rows,
            int several,
            boolean narrow,
            double leastDrawing) {
        this.several = several;
        this.cells = cells;
        this.heads = heads;
        this.rows = rows;
        this.leastDrawing = leastDrawing;
        narrowest = narrow ? NARROW : rows.isEmpty() && cells.size() <= MANY ? NARROWEST : NARROWEST_OF_MANY;
    }

    private long shownRows() {
        return rows.stream().filter(row -> row.get(0).isVisible()).count();
    }

    /** Never so low that cells or rows cover the drawing: then the page scrolls. */
    double lowest(double width) {
        double wide = width - 2 * EDGE;
        double cellsAndDrawing = Math.max(LOWEST_DRAWING, leastDrawing) + lines(wide) * CELL;
        double under = rows.isEmpty() ? 0 : headHeight(wide) + MESSAGE + ROW * shownRows();
        return Math.max(LOWEST, TOP + cellsAndDrawing + under + 14);
    }

    /** A wide cell counts as two. */
    private int count() {
        return cells.stream().anyMatch(DrawnForm.Cell::wide) ? cells.size() + 1 : cells.size();
    }

    /** Lines of cells in a width, px. */
    private int lines(double wide) {
        int most = (int) Math.max(2, Math.floor((wide + GAP) / (narrowest + GAP)));
        int columns = Math.min(count(), most);
        return (count() + columns - 1) / columns;
    }

    /** @param begin where the drawing begins, under the heading */
    void layOut(double width, double height, double begin, Region drawing, Label message) {
        double wide = width - 2 * EDGE;
        int lines = lines(wide);
        int columns = (count() + lines - 1) / lines;
        double headHeight = headHeight(wide);
        double under = rows.isEmpty() ? 0 : headHeight + MESSAGE + ROW * shownRows();
        double top = height - lines * CELL - under - 4;
        drawing.resizeRelocate(EDGE, begin, wide, Math.max(LEAST_DRAWN, top - begin - 10));
        layOutCells(top, columns, Math.min(WIDEST, (wide + GAP) / columns));
        if (!rows.isEmpty()) {
            layOutRows(top + lines * CELL, wide, headHeight);
            message.resizeRelocate(EDGE, height - MESSAGE - 2, wide, 16);
        }
    }

    private void layOutCells(double top, int columns, double each) {
        for (int i = 0; i < cells.size(); i++) {
            double x = EDGE + i % columns * each;
            int line = i / columns;
            double y = top + line * CELL;
            double wide = cells.get(i).wide() ? (columns - i % columns) * each - GAP : each - GAP;
            cells.get(i).label().resizeRelocate(x, y, wide, LABEL);
            Node field = cells.get(i).field();
            field.resizeRelocate(
                    x, y + LABEL + 1, wide, field instanceof ReadingField ? field.prefHeight(each - GAP) : FIELD);
        }
    }

    /** How high the heads over the rows are: over more lines where columns are narrow. */
    private double headHeight(double wide) {
        double each = columnWidth(wide);
        return heads.stream()
                        .mapToDouble(head -> Words.tall(head, each - GAP))
                        .max()
                        .orElse(0)
                + 3;
    }

    /** Where there are many columns the first, which is a name, is wider than the others. */
    private double columnWidth(double wide) {
        double parts = heads.size() + (isNarrow() ? NAME - 1 : 0) + (several >= 0 ? SEVERAL - 1 : 0);
        return Math.min(WIDEST, (wide + GAP) / Math.max(1, parts));
    }

    private boolean isNarrow() {
        return heads.size() >= MANY_COLUMNS;
    }

    private void layOutRows(double top, double wide, double headHeight) {
        double each = columnWidth(wide);
        double x = EDGE;
        for (int column = 0; column < heads.size(); column++) {
            double own = each * (column == several ? SEVERAL : column == 0 && isNarrow() ? NAME : 1);
            heads.get(column).resizeRelocate(x, top, own - GAP, headHeight - 3);
            for (int row = 0; row < rows.size(); row++) {
                rows.get(row).get(column).resizeRelocate(x, top + headHeight + row * ROW, own - GAP, FIELD);
            }
            x += own;
        }
    }
}
