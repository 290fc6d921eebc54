package zebrawood.desktop.certificate;

import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.paper.PageFlow;
import zebrawood.desktop.paper.PaperTable;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/**
 * One stop in the annex: what was found, in a sentence, and its readings as typed, beside the drawing where it has one.
 * It is never split over two pages but where it is longer than a page.
 */
final class StopCard {

    private static final double BETWEEN = 18;
    private static final int COLUMNS = 3;
    private static final double HEAD = 22;
    private static final double FOOT = 8;

    private final PageFlow sheets;
    private final StopState state;
    private final boolean awaited;
    private final String title;
    private final Entry entry;
    private final List<String> sentences;
    private final List<String> heads;
    private final List<List<String>> rows;
    private final Optional<Figure> figure;
    private final Exhibit.OnPaper size;
    private final String inWords;

    StopCard(PageFlow sheets, StopStatus stop, Entry entry, Body.Measured measured, UnitChoice units) {
        this.sheets = sheets;
        this.state = stop.state();
        this.awaited = stop.card().isAwaited();
        this.title = stop.card().title();
        this.entry = entry;
        String said = measured.isRead()
                ? String.join(" ", measured.shown().sentences())
                : "Recorded by Zebrawood " + entry.stamp().program()
                        + ", which knows more of it than this program: its readings stand in the logbook. "
                        + String.join(" ", measured.shown().sentences());
        this.sentences = sheets.pen().wrapped(said, PageFlow.WIDTH, Lettering.SMALL);
        Optional<Stop<?, ?>> found = measured.isRead()
                ? Optional.of(Catalogue.findStop(measured.procedure()).orElseThrow())
                : Optional.empty();
        Optional<Exhibit.Table> table =
                found.map(each -> each.table(measured, measured.shown().units()));
        List<List<String>> all = table.map(Exhibit.Table::rows).orElse(List.of());
        List<String> named = table.map(Exhibit.Table::heads).orElse(List.of("", ""));
        boolean plain = table.filter(Exhibit.Table::isPlain).isPresent();
        boolean seldom = named.size() == 3
                && all.stream().filter(row -> row.get(2).isEmpty()).count() > all.size() / 2;
        this.heads = plain || seldom ? named.subList(0, 2) : named;
        this.rows = all.stream()
                .map(row -> plain ? understood(row) : seldom ? with(named.get(2), row) : row)
                .toList();
        this.figure = found.map(each -> each.figure(measured, units)).filter(drawing -> drawing != Figure.EMPTY);
        this.size = found.map(each -> each.exhibit().onPaper()).orElse(Exhibit.OnPaper.BESIDE_READINGS);
        this.inWords = found.map(each -> each.exhibit().title()).orElse(title) + ". " + said;
    }

    boolean hasFigure() {
        return figure.isPresent();
    }

    /** Whether all is well with it: then its drawing is the first that is left out where there are many. */
    /** Whether a commissioning waits for it. */
    boolean isAwaited() {
        return awaited;
    }

    boolean hasPassed() {
        return state == StopState.PASSED || state == StopState.NOTE;
    }

    private PaperTable table(double width) {
        return new PaperTable(sheets, heads, rows, width);
    }

    /** The readings as they stand beside each other over the whole page. */
    private PaperTable wide() {
        return table((PageFlow.WIDTH - (COLUMNS - 1) * BETWEEN) / COLUMNS);
    }

    /** As it was typed, and what was understood, in one cell: {@code 1/8in = 3.175 mm}. */
    private static List<String> understood(List<String> row) {
        String typed = row.get(1);
        String meant = row.get(2);
        String both = meant.isEmpty() ? typed : meant.startsWith(typed) ? meant : typed + " = " + meant;
        return List.of(row.get(0), both);
    }

    /** What seldom stands in a column of its own, in the cell before it. */
    private static List<String> with(String head, List<String> row) {
        String more = row.get(2).isEmpty() ? "" : ", " + head + " " + row.get(2);
        return List.of(row.get(0), row.get(1) + more);
    }

    private double top() {
        return HEAD + sentences.size() * PageFlow.LINE + 4;
    }

    /** How tall it is, px. */
    double height(boolean drawn) {
        return top() + body(drawn) + FOOT;
    }

    private double body(boolean drawn) {
        if (!drawn || figure.isEmpty()) {
            return wide().spread(0, COLUMNS, Double.MAX_VALUE).height();
        }
        int to = fittingBeside();
        return Math.max(size.height(), beside().height(0, to)) + below(to);
    }

    /** The readings as they stand beside the drawing. */
    private PaperTable beside() {
        return table(Math.max(160, PageFlow.WIDTH - size.width() - BETWEEN));
    }

    /** How many readings have their place beside the drawing; none where it is as wide as the page. */
    private int fittingBeside() {
        return size.width() > PageFlow.WIDTH / 2 + 160 ? 0 : beside().fitting(0, size.height());
    }

    /** How tall the readings are that have no room beside the drawing. */
    private double below(int from) {
        return from < rows.size()
                ? 8 + wide().spread(from, COLUMNS, Double.MAX_VALUE).height()
                : 0;
    }

    void draw(boolean drawn) {
        sheets.need(Math.min(height(drawn), sheets.room()));
        sheets.bookmark(title);
        head();
        PDStructureElement table = sheets.tag("Table");
        int from = 0;
        if (drawn && figure.isPresent()) {
            double top = sheets.y();
            sheets.figure(figure.get(), inWords, PageFlow.LEFT, top, size.width(), size.height());
            from = fittingBeside();
            beside().draw(table, 0, from, PageFlow.LEFT + size.width() + BETWEEN);
            sheets.at(Math.max(sheets.y(), top + size.height()) + 8);
        }
        rest(table, from);
        sheets.space(FOOT);
    }

    private void head() {
        double top = sheets.y() + 12;
        PDStructureElement head = sheets.tag("H3");
        sheets.mark(head, () -> Shapes.state(sheets.pen(), state, PageFlow.LEFT + 8, top - 5, 0.95));
        sheets.text(head, PageFlow.LEFT + 24, top, title, Lettering.ROW_BOLD, Tone.INK);
        String who = String.join(", ", Certificate.who(entry));
        sheets.text(sheets.tag("P"), PageFlow.RIGHT, top, who, Lettering.CAPTION, Tone.QUIET, Anchor.END);
        sheets.space(HEAD);
        PDStructureElement said = sheets.tag("P");
        for (String line : sentences) {
            sheets.text(said, PageFlow.LEFT, sheets.y() + 6, line, Lettering.SMALL, Tone.INK);
            sheets.space(PageFlow.LINE);
        }
        sheets.space(4);
    }

    /** The readings from one on, in columns; a very long list goes on on further pages. */
    private void rest(PDStructureElement table, int start) {
        PaperTable wide = wide();
        int from = start;
        while (from < wide.size()) {
            sheets.need(Math.min(wide.height(from, wide.size()), 3 * PageFlow.FINE + 20));
            PaperTable.Spread spread = wide.spread(from, COLUMNS, sheets.bottom() - sheets.y());
            wide.draw(table, spread, BETWEEN);
            from = spread.end();
            if (from < wide.size()) {
                sheets.start();
            }
        }
    }
}
