package zebrawood.desktop.certificate;

import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * A table in captions whose cells go on in a second line where they need one; it knows how tall it is before it is
 * drawn.
 */
final class PaperTable {

    private static final double GAP = 6;
    private static final double HEAD = 20;
    private static final double[] HALVES = {0.5, 0.5};
    private static final double[] THIRDS = {0.34, 0.25, 0.41};

    private final PageFlow sheets;
    private final List<String> heads;
    private final double width;
    private final double[] shares;
    private final List<Row> rows;

    /** A row, its cells as lines that fit into their columns. */
    private record Row(List<List<String>> cells) {
        double height() {
            return cells.stream().mapToInt(List::size).max().orElse(1) * PageFlow.FINE;
        }
    }

    /** @param width of the table, px */
    PaperTable(PageFlow sheets, List<String> heads, List<List<String>> rows, double width) {
        this.sheets = sheets;
        this.heads = heads;
        this.width = width;
        this.shares = heads.size() == 2 ? HALVES : THIRDS;
        this.rows = rows.stream().map(this::wrapped).toList();
    }

    private Row wrapped(List<String> row) {
        List<List<String>> cells = new ArrayList<>();
        for (int i = 0; i < row.size(); i++) {
            cells.add(sheets.pen().wrapped(row.get(i), width * shares[i] - GAP, Lettering.CAPTION));
        }
        return new Row(cells);
    }

    int size() {
        return rows.size();
    }

    /** How tall the rows from one to before another are, with the heads, px. */
    double height(int from, int to) {
        return from >= to
                ? 0
                : HEAD
                        + rows.subList(from, to).stream()
                                .mapToDouble(Row::height)
                                .sum();
    }

    /** Up to which row they fit into a height, at least one. */
    int fitting(int from, double height) {
        int to = Math.min(from + 1, rows.size());
        while (to < rows.size() && height(from, to + 1) <= height) {
            to++;
        }
        return to;
    }

    /** Up to which row the left of two equally tall columns goes. */
    int half(int from) {
        int to = from;
        while (to < rows.size() && height(from, to) < height(to, rows.size())) {
            to++;
        }
        return to;
    }

    /** Draws rows from where the page is on, and moves it on. */
    void draw(PDStructureElement table, int from, int to, double x) {
        if (from >= to) {
            return;
        }
        cells(sheets.tag(table, "TR"), new Row(heads.stream().map(List::of).toList()), x, true);
        sheets.space(-1);
        sheets.rule(x, width, Stroke.of(Tone.INK, 0.8));
        sheets.space(HEAD - PageFlow.FINE + 1);
        for (Row row : rows.subList(from, to)) {
            cells(sheets.tag(table, "TR"), row, x, false);
        }
    }

    private void cells(PDStructureElement line, Row row, double x, boolean head) {
        double right = x;
        for (int i = 0; i < row.cells().size(); i++) {
            PDStructureElement cell = sheets.tag(line, head ? "TH" : "TD");
            right += width * shares[i];
            Tone tone = head ? Tone.QUIET : i == 1 ? Tone.READING : Tone.INK;
            double at = sheets.y() + 9;
            for (String words : row.cells().get(i)) {
                Anchor anchor = i == 0 ? Anchor.START : Anchor.END;
                sheets.text(cell, i == 0 ? x : right, at, words, Lettering.CAPTION, tone, anchor);
                at += PageFlow.FINE;
            }
        }
        sheets.space(row.height());
    }
}
