package zebrawood.desktop.certificate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.Gate;
import zebrawood.core.route.StopStatus;
import zebrawood.desktop.machine.PlateField;
import zebrawood.desktop.machine.PlatePaper;
import zebrawood.desktop.paper.PageFlow;
import zebrawood.desktop.paper.PaperTable;

/** What stands behind the first page: a card a stop, first light bar by bar, and the plate, drawn. */
final class Annex {

    /** pages on which it is to end, with the drawings that are worth seeing */
    private static final int PAGES = 14;

    private static final double BETWEEN = 20;
    private static final double PLATE_HEIGHT = 250;

    private final Certificate.Subject subject;
    private final PageFlow sheets;

    Annex(Certificate.Subject subject, PageFlow sheets) {
        this.subject = subject;
        this.sheets = sheets;
    }

    void draw() {
        sheets.start();
        sheets.bookmark("What was read at each stop");
        sheets.heading("What was read at each stop");
        List<StopCard> cards = cards();
        Set<StopCard> drawn = worthSeeing(cards);
        cards.forEach(card -> card.draw(drawn.contains(card)));
        gate();
        plate();
    }

    private List<StopCard> cards() {
        List<StopCard> cards = new ArrayList<>();
        for (StopStatus stop : subject.machine().stops()) {
            stop.last()
                    .filter(entry -> entry.body() instanceof Body.Measured)
                    .ifPresent(entry -> cards.add(
                            new StopCard(sheets, stop, entry, (Body.Measured) entry.body(), subject.units())));
        }
        return cards;
    }

    /**
     * Which of them show their drawing: all, where the pages suffice; else those at which something is not in order
     * before the others, those that a commissioning waits for before other schools, and the later ones of the Route,
     * where the beam itself is seen, before the earlier.
     */
    private Set<StopCard> worthSeeing(List<StopCard> cards) {
        Set<StopCard> drawn = new LinkedHashSet<>();
        cards.stream().filter(StopCard::hasFigure).forEach(drawn::add);
        List<StopCard> first = new ArrayList<>(drawn);
        first.sort(Comparator.comparing(StopCard::hasPassed).reversed().thenComparing(StopCard::isAwaited));
        int last = PAGES - sheets.count() - 1;
        while (!first.isEmpty() && pages(cards, drawn) > last) {
            drawn.remove(first.remove(0));
        }
        return drawn;
    }

    /** How many pages they take after the first one that is begun. */
    private int pages(List<StopCard> cards, Set<StopCard> drawn) {
        int pages = 0;
        double left = sheets.bottom() - sheets.y();
        for (StopCard card : cards) {
            double height = card.height(drawn.contains(card));
            if (height > left) {
                pages++;
                left = sheets.room();
            }
            left -= height;
        }
        return pages;
    }

    private void gate() {
        double width = (PageFlow.WIDTH - BETWEEN) / 2;
        List<List<String>> rows =
                subject.machine().gate().bars().stream().map(Annex::row).toList();
        PaperTable table = new PaperTable(sheets, List.of("bar", "seen"), rows, width);
        PaperTable.Spread spread = table.spread(0, 2, Double.MAX_VALUE);
        sheets.need(40 + spread.height());
        sheets.bookmark("First light, bar by bar");
        sheets.heading("First light, bar by bar");
        table.draw(sheets.tag("Table"), spread, BETWEEN);
        sheets.space(18);
    }

    private static List<String> row(Gate.Line line) {
        String remark = line.answer()
                .map(entry -> ((Body.GateLine) entry.body()).beside())
                .filter(words -> !words.isEmpty())
                .map(words -> ": " + words)
                .orElse("");
        String how = line.lifted() ? "lifted" : line.failed() ? "failed" : "not lifted yet";
        String seen = line.answer()
                .map(entry -> ", " + String.join(", ", Certificate.who(entry)))
                .orElse("");
        return List.of(line.bar().title() + remark, how + seen);
    }

    private void plate() {
        Plate plate = subject.machine().plate();
        double width = (PageFlow.WIDTH - 2 * BETWEEN) / 3;
        List<String> heads = List.of("plate", "as recorded");
        PaperTable table = new PaperTable(sheets, heads, PlateField.told(plate, subject.units()), width);
        PaperTable.Spread spread = table.spread(0, 3, Double.MAX_VALUE);
        sheets.need(40 + PLATE_HEIGHT + spread.height());
        sheets.bookmark("Plate");
        sheets.heading("Plate");
        sheets.figure(
                PlatePaper.of(plate, subject.units()),
                "The machine from the front and from above, to scale, with its outer measures and its bed.",
                PageFlow.LEFT,
                sheets.y(),
                PageFlow.WIDTH,
                PLATE_HEIGHT);
        sheets.space(PLATE_HEIGHT + 8);
        table.draw(sheets.tag("Table"), spread, BETWEEN);
    }
}
