package zebrawood.desktop.paper;

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
public final class PaperTable {

    private static final double GAP = 6;
    private static final double HEAD = 20;
    private static final double[] HALVES = {0.52, 0.48};
    private static final double[] THIRDS = {0.39, 0.24, 0.37};

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
    public PaperTable(PageFlow sheets, List<String> heads, List<List<String>> rows, double width) {
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

    public int size() {
        return rows.size();
    }

    /** How tall the rows from one to before another are, with the heads, px. */
    public double height(int from, int to) {
        return from >= to
                ? 0
                : HEAD
                        + rows.subList(from, to).stream()
                                .mapToDouble(Row::height)
                                .sum();
    }

    /** Up to which row they fit into a height, at least one. */
    public int fitting(int from, double height) {
        int to = Math.min(from + 1, rows.size());
        while (to < rows.size() && height(from, to + 1) <= height) {
            to++;
        }
        return to;
    }

    /** Rows in columns beside each other, as even as can be. */
    public record Spread(List<Integer> cuts, double height) {
        public int end() {
            return cuts.get(cuts.size() - 1);
        }
    }

    /** Spreads the rows from one on over so many columns, none taller than the room. */
    public Spread spread(int from, int columns, double room) {
        double tall = Math.max(HEAD + PageFlow.FINE, height(from, rows.size()) / columns);
        while (true) {
            List<Integer> cuts = new ArrayList<>(List.of(from));
            double highest = 0;
            for (int i = 0; i < columns && cuts.get(i) < rows.size(); i++) {
                cuts.add(fitting(cuts.get(i), Math.min(tall, room)));
                highest = Math.max(highest, height(cuts.get(i), cuts.get(i + 1)));
            }
            if (cuts.get(cuts.size() - 1) == rows.size() || tall >= room) {
                return new Spread(cuts, highest);
            }
            tall += PageFlow.FINE;
        }
    }

    /** Draws them, the first column at the left edge, and moves the page on under the tallest. */
    public void draw(PDStructureElement table, Spread spread, double between) {
        double top = sheets.y();
        for (int i = 0; i + 1 < spread.cuts().size(); i++) {
            sheets.at(top);
            draw(table, spread.cuts().get(i), spread.cuts().get(i + 1), PageFlow.LEFT + i * (width + between));
        }
        sheets.at(top + spread.height());
    }

    /** Draws rows from where the page is on, and moves it on. */
    public void draw(PDStructureElement table, int from, int to, double x) {
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
