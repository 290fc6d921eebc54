package zebrawood.desktop.certificate;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import zebrawood.core.route.StopState;
import zebrawood.desktop.paper.PageFlow;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;

/** The lines of the first page: what was measured, and what is open. */
final class StopRows {

    private static final double NAME = 100;
    private static final double FOUND = 274;
    /** px for the limit, before when and by whom */
    private static final double WHO = 186;

    private static final double BETWEEN = 24;
    private static final Stroke THIN = Stroke.of(Tone.HAIRLINE, 0.8);

    private final PageFlow sheets;
    private final PDStructureElement table;
    private final boolean close;

    /**
     * A stop, or the gate.
     *
     * @param state with whose shape it stands there
     * @param name of the stop
     * @param word under it, where it is not simply passed
     * @param found what was found, with units
     * @param judged by which limit
     * @param who when and by whom, and the entry
     */
    record Row(StopState state, String name, String word, String found, String judged, List<String> who) {}

    /** @param close whether its lines stand as close to each other as many of them have to */
    StopRows(PageFlow sheets, PDStructureElement table, boolean close) {
        this.sheets = sheets;
        this.table = table;
        this.close = close;
    }

    /** A line over the whole width; grows where its words need more than a line. */
    void row(Row row) {
        List<String> names = new ArrayList<>(sheets.pen().wrapped(row.name(), NAME - 4, Lettering.TEXT_BOLD));
        int named = names.size();
        if (!row.word().isEmpty()) {
            names.addAll(sheets.pen().wrapped(row.word(), NAME - 4, Lettering.CAPTION));
        }
        List<String> found = sheets.pen().wrapped(row.found(), FOUND - 16, Lettering.CAPTION);
        List<String> judged = sheets.pen().wrapped(row.judged(), WHO - 16, Lettering.CAPTION);
        int lines = Math.max(Math.max(names.size(), row.who().size()), Math.max(found.size(), judged.size()));
        sheets.need(lines * PageFlow.FINE + 8);
        double x = PageFlow.LEFT + 26;
        double top = sheets.y() + 11;
        PDStructureElement line = sheets.tag(table, "TR");
        PDStructureElement head = sheets.tag(line, "TH");
        head.setAlternateDescription(row.state().word() + ": " + row.name());
        sheets.mark(head, () -> Shapes.state(sheets.pen(), row.state(), PageFlow.LEFT + 10, top - 4, 0.95));
        for (int i = 0; i < names.size(); i++) {
            Lettering lettering = i < named ? Lettering.TEXT_BOLD : Lettering.CAPTION;
            sheets.text(head, x, top + i * PageFlow.FINE, names.get(i), lettering, Tone.INK);
        }
        fine(line, found, x + NAME, top, Tone.INK, Anchor.START);
        fine(line, judged, x + NAME + FOUND, top, Tone.QUIET, Anchor.START);
        fine(line, row.who(), PageFlow.RIGHT, top, Tone.QUIET, Anchor.END);
        sheets.space(lines * PageFlow.FINE + 3);
        sheets.rule(PageFlow.LEFT, PageFlow.WIDTH, THIN);
        sheets.space(5);
    }

    private void fine(PDStructureElement line, List<String> words, double x, double top, Tone tone, Anchor anchor) {
        PDStructureElement cell = sheets.tag(line, "TD");
        for (int i = 0; i < words.size(); i++) {
            sheets.text(cell, x, top + i * PageFlow.FINE, words.get(i), Lettering.CAPTION, tone, anchor);
        }
    }

    /** A numbered point. */
    void point(String number, String words, String when) {
        Lettering lettering = close ? Lettering.CAPTION : Lettering.SMALL;
        double step = close ? PageFlow.FINE : PageFlow.LINE;
        List<String> lines = sheets.pen().wrapped(words, PageFlow.WIDTH - 160, lettering);
        sheets.need(lines.size() * step + 12);
        PDStructureElement line = sheets.tag(table, "TR");
        double top = sheets.y() + (close ? 8 : 11);
        sheets.text(sheets.tag(line, "TH"), PageFlow.LEFT + 4, top, number, lettering, Tone.INK);
        PDStructureElement what = sheets.tag(line, "TD");
        for (int i = 0; i < lines.size(); i++) {
            sheets.text(what, PageFlow.LEFT + 26, top + i * step, lines.get(i), lettering, Tone.INK);
        }
        fine(line, List.of(when), PageFlow.RIGHT, top, Tone.QUIET, Anchor.END);
        sheets.space(lines.size() * step + (close ? 0 : 3));
        sheets.rule(PageFlow.LEFT, PageFlow.WIDTH, THIN);
        sheets.space(close ? 3 : 6);
    }

    /** Many stops in two columns, each with its name and figure, and its limit, day and who under them. */
    static void besideEachOther(PageFlow sheets, List<Row> rows) {
        double width = (PageFlow.WIDTH - BETWEEN) / 2;
        List<Brief> left =
                rows.stream().map(row -> new Brief(sheets, row, width)).toList();
        while (!left.isEmpty()) {
            double room = sheets.bottom() - sheets.y();
            double whole = left.stream().mapToDouble(Brief::height).sum();
            int first = fitting(left, Math.min(room, whole / 2 + PageFlow.FINE));
            int second = fitting(left.subList(first, left.size()), room);
            PDStructureElement table = sheets.tag("Table");
            double top = sheets.y();
            left.subList(0, first).forEach(row -> row.draw(table, PageFlow.LEFT));
            double lowest = sheets.y();
            sheets.at(top);
            left.subList(first, first + second).forEach(row -> row.draw(table, PageFlow.LEFT + width + BETWEEN));
            sheets.at(Math.max(lowest, sheets.y()) + 4);
            left = left.subList(first + second, left.size());
            if (!left.isEmpty()) {
                sheets.start();
            }
        }
    }

    /** One as brief as they are, over the whole width. */
    static void across(PageFlow sheets, Row row) {
        Brief brief = new Brief(sheets, row, PageFlow.WIDTH);
        sheets.need(brief.height() + 4);
        brief.draw(sheets.tag("Table"), PageFlow.LEFT);
        sheets.rule(PageFlow.LEFT, PageFlow.WIDTH, THIN);
    }

    private static int fitting(List<Brief> rows, double room) {
        double used = 0;
        int fit = 0;
        while (fit < rows.size() && (fit == 0 || used + rows.get(fit).height() <= room)) {
            used += rows.get(fit).height();
            fit++;
        }
        return fit;
    }

    /** A stop in fine print: its name, when and who, and the figure; under them its state and the limit. */
    private static final class Brief {
        private static final double SHAPE = 20;
        private static final double GAP = 8;
        private static final double NAMED = 12;

        private final PageFlow sheets;
        private final Row row;
        private final double width;
        private final String beside;
        private final List<String> found;
        private final List<String> under;

        Brief(PageFlow sheets, Row row, double width) {
            this.sheets = sheets;
            this.row = row;
            this.width = width;
            String who = String.join(", ", row.who());
            double name = sheets.pen().textWidth(row.name(), Lettering.TEXT_BOLD);
            double left = width - SHAPE - GAP - name;
            found = sheets.pen().wrapped(row.found(), left, Lettering.CAPTION);
            boolean both = found.size() == 1
                    && sheets.pen().textWidth(who, Lettering.PRINT)
                                    + sheets.pen().textWidth(row.found(), Lettering.CAPTION)
                                    + GAP
                            <= left;
            beside = both ? who : "";
            String words = Stream.of(row.word(), row.judged(), both ? "" : who)
                    .filter(each -> !each.isEmpty())
                    .collect(Collectors.joining("; "));
            under = words.isEmpty() ? List.of() : sheets.pen().wrapped(words, width - SHAPE, Lettering.PRINT);
        }

        double height() {
            return found.size() * NAMED + under.size() * PageFlow.PRINT + 3;
        }

        void draw(PDStructureElement table, double x) {
            PDStructureElement line = sheets.tag(table, "TR");
            PDStructureElement head = sheets.tag(line, "TH");
            head.setAlternateDescription(row.state().word() + ": " + row.name());
            double top = sheets.y() + 10;
            sheets.mark(head, () -> Shapes.state(sheets.pen(), row.state(), x + 8, top - 4, 0.8));
            sheets.text(head, x + SHAPE, top, row.name(), Lettering.TEXT_BOLD, Tone.INK);
            double named = x + SHAPE + sheets.pen().textWidth(row.name(), Lettering.TEXT_BOLD) + GAP;
            sheets.text(sheets.tag(line, "TD"), named, top, beside, Lettering.PRINT, Tone.QUIET);
            PDStructureElement figure = sheets.tag(line, "TD");
            double at = top;
            for (String words : found) {
                sheets.text(figure, x + width, at, words, Lettering.CAPTION, Tone.INK, Anchor.END);
                at += NAMED;
            }
            PDStructureElement limit = sheets.tag(line, "TD");
            for (String words : under) {
                sheets.text(limit, x + SHAPE, at - 1, words, Lettering.PRINT, Tone.QUIET);
                at += PageFlow.PRINT;
            }
            sheets.space(height());
        }
    }
}
