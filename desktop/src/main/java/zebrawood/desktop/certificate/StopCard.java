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

    /** the size at which every drawing has room for its words on paper, px */
    static final double FIGURE_WIDTH = 424;

    static final double FIGURE_HEIGHT = 236;

    private static final double BETWEEN = 18;
    private static final double HEAD = 24;
    private static final double FOOT = 16;

    private final PageFlow sheets;
    private final StopState state;
    private final String title;
    private final Entry entry;
    private final List<String> sentences;
    private final Optional<Exhibit.Table> readings;
    private final Optional<Figure> figure;
    private final String inWords;

    StopCard(PageFlow sheets, StopStatus stop, Entry entry, Body.Measured measured, UnitChoice units) {
        this.sheets = sheets;
        this.state = stop.state();
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
        this.readings = found.map(each -> each.table(measured, measured.shown().units()));
        this.figure = found.map(each -> each.figure(measured, units)).filter(drawing -> drawing != Figure.EMPTY);
        this.inWords = found.map(each -> each.exhibit().title()).orElse(title) + ". " + said;
    }

    boolean hasFigure() {
        return figure.isPresent();
    }

    /** Whether all is well with it: then its drawing is the first that is left out where there are many. */
    boolean hasPassed() {
        return state == StopState.PASSED || state == StopState.NOTE;
    }

    private PaperTable table(double width) {
        return new PaperTable(
                sheets,
                readings.map(Exhibit.Table::heads).orElse(List.of("", "")),
                readings.map(Exhibit.Table::rows).orElse(List.of()),
                width);
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
            PaperTable wide = table((PageFlow.WIDTH - BETWEEN) / 2);
            return wide.height(0, wide.half(0));
        }
        PaperTable beside = table(PageFlow.WIDTH - FIGURE_WIDTH - BETWEEN);
        int to = beside.fitting(0, FIGURE_HEIGHT);
        return Math.max(FIGURE_HEIGHT, beside.height(0, to)) + below(to);
    }

    /** How tall the readings are that have no room beside the drawing. */
    private double below(int from) {
        PaperTable wide = table((PageFlow.WIDTH - BETWEEN) / 2);
        return from < wide.size() ? 8 + wide.height(from, wide.half(from)) : 0;
    }

    void draw(boolean drawn) {
        sheets.need(Math.min(height(drawn), sheets.room()));
        sheets.bookmark(title);
        head();
        PDStructureElement table = sheets.tag("Table");
        int from = 0;
        if (drawn && figure.isPresent()) {
            double top = sheets.y();
            sheets.figure(figure.get(), inWords, PageFlow.LEFT, top, FIGURE_WIDTH, FIGURE_HEIGHT);
            PaperTable beside = table(PageFlow.WIDTH - FIGURE_WIDTH - BETWEEN);
            from = beside.fitting(0, FIGURE_HEIGHT);
            beside.draw(table, 0, from, PageFlow.LEFT + FIGURE_WIDTH + BETWEEN);
            sheets.at(Math.max(sheets.y(), top + FIGURE_HEIGHT) + 8);
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

    /** The readings from one on, in two columns; a very long list goes on on further pages. */
    private void rest(PDStructureElement table, int start) {
        double width = (PageFlow.WIDTH - BETWEEN) / 2;
        PaperTable wide = table(width);
        int from = start;
        while (from < wide.size()) {
            sheets.need(3 * PageFlow.FINE + 20);
            double room = sheets.bottom() - sheets.y();
            int left = Math.min(wide.half(from), wide.fitting(from, room));
            int right = left < wide.size() ? wide.fitting(left, room) : left;
            double top = sheets.y();
            wide.draw(table, from, left, PageFlow.LEFT);
            double lowest = sheets.y();
            sheets.at(top);
            wide.draw(table, left, right, PageFlow.LEFT + width + BETWEEN);
            sheets.at(Math.max(lowest, sheets.y()));
            from = right;
            if (from < wide.size()) {
                sheets.start();
            }
        }
    }
}
