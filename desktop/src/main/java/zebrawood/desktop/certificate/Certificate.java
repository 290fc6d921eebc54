package zebrawood.desktop.certificate;

import java.io.IOException;
import java.io.OutputStream;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Calendar;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TimeZone;
import java.util.stream.Stream;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.Gate;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.paper.PageFlow;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Path;
import zebrawood.kit.figure.Shapes;
import zebrawood.kit.figure.Stroke;
import zebrawood.kit.theme.Lettering;
import zebrawood.kit.theme.Tone;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.store.Flaws;
import zebrawood.logbook.store.Logbook;

/** A certificate of one machine: how it stands, what was measured, what is open, and the hash it ends on. */
public final class Certificate {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final String CAUTIONS =
            "A beam inside that burns and blinds: covers shut, interlock working, eyewear marked for its "
                    + "wavelength, extraction on,"
                    + " nobody away from a running job. Mains, earth, high voltage, ducting and laser safety are "
                    + "work for licensed or appointed people;"
                    + " results here are brought to them, they do not replace them. The machine's manual and the "
                    + "local codes come first."
                    + " This paper says how the machine was found, not that it is safe.";

    /** so many entries are checked while one waits; a larger logbook is as its last check found it */
    private static final long MOST_TO_CHECK = 100_000;

    /** more stops than these stand beside each other, each with its key figure */
    private static final int MANY = 11;

    /** px under the line one signs on, and between one and the next */
    private static final double SIGNED = 48;

    private static final double BETWEEN = 24;

    private final Subject subject;
    private final PageFlow sheets;
    private final Standing standing;
    /** whether its lines stand close, so that many stops fit on the first page */
    private final boolean close;

    /**
     * What is certified.
     *
     * @param shop its name
     * @param machine how it stands
     * @param last the newest entry of the machine
     * @param head where the shop chain ends
     * @param at the moment
     * @param zone the offset in which days are told
     * @param units the units in which lengths and temperatures are told
     * @param paper what it is printed on
     * @param flaw what is wrong with the logbook as a whole; empty where nothing is known of
     */
    public record Subject(
            String shop,
            MachineStatus machine,
            Entry last,
            Logbook.Head head,
            Instant at,
            ZoneOffset zone,
            UnitChoice units,
            Paper paper,
            Optional<String> flaw) {

        /** Gathers it from the logbook. */
        public static Subject of(String shop, Logbook logbook, String machineId, Making making) {
            if (logbook.head().entries() <= MOST_TO_CHECK) {
                logbook.verify(List.of());
            }
            History history = logbook.history(machineId);
            MachineStatus status = new Route(Catalogue.procedures()).status(history, making.at(), making.zone());
            int newest = (int) logbook.count(Optional.of(machineId));
            return new Subject(
                    shop,
                    status,
                    logbook.entry(machineId, newest),
                    logbook.head(),
                    making.at(),
                    making.zone(),
                    making.units(),
                    making.paper(),
                    Flaws.known(logbook.folder()));
        }
    }

    /** When, in which units and on which paper it is made out. */
    public record Making(Instant at, ZoneOffset zone, UnitChoice units, Paper paper) {}

    private Certificate(Subject subject, PDDocument document) {
        this.subject = subject;
        this.sheets = new PageFlow(document, subject.machine().plate().name(), subject.paper());
        this.standing = Standing.of(subject.machine(), subject.units(), subject.flaw());
        this.close = subject.machine().asked().size() > MANY;
    }

    /** Writes the PDF. */
    public static void write(Subject subject, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDDocumentInformation information = document.getDocumentInformation();
            String name = subject.machine().plate().name();
            information.setTitle("Certificate of commissioning, " + name);
            information.setSubject(
                    name + ", " + subject.machine().plate().line().replace(" · ", ", "));
            information.setKeywords("entry " + subject.last().number() + " "
                    + subject.last().place().hash() + "; shop chain "
                    + subject.head().hash());
            information.setAuthor(subject.shop());
            document.getDocumentCatalog().setLanguage("en");
            PDViewerPreferences preferences = new PDViewerPreferences(new COSDictionary());
            preferences.setDisplayDocTitle(true);
            document.getDocumentCatalog().setViewerPreferences(preferences);
            information.setCreator("Zebrawood");
            Calendar made = Calendar.getInstance(TimeZone.getTimeZone("UTC"), Locale.ROOT);
            made.setTimeInMillis(subject.at().toEpochMilli());
            information.setCreationDate(made);
            new Certificate(subject, document).draw();
            document.save(out);
        }
    }

    private void draw() throws IOException {
        sheets.start();
        sheets.bookmark("Certificate");
        head();
        standing();
        stops();
        openPoints();
        notWanted();
        cautions();
        signatures();
        new Annex(subject, sheets).draw();
        String day = DAY.format(subject.at().atOffset(subject.zone()));
        sheets.finish("Certificate of commissioning", subject.shop(), day);
    }

    private void head() {
        sheets.silent(() -> sheets.pen().grain(PageFlow.LEFT, 52, PageFlow.WIDTH, 10, 6));
        Plate plate = subject.machine().plate();
        sheets.text(sheets.tag("H1"), PageFlow.LEFT, 112, plate.name(), Lettering.ACT, Tone.INK);
        String bed = plate.bed()
                .map(b -> ", " + Amount.mm(b.xMm(), 0).number(subject.units()) + " x "
                        + Amount.mm(b.yMm(), 0).text(subject.units()))
                .orElse("");
        PDStructureElement line = sheets.tag("P");
        sheets.text(line, PageFlow.LEFT, 136, plate.line().replace(" · ", ", ") + bed, Lettering.TEXT, Tone.INK);
        String place = plate.place().map(p -> "place: " + p).orElse("");
        List<String> places = sheets.pen().wrapped(place, PageFlow.WIDTH - 200, Lettering.SMALL);
        for (int i = 0; i < places.size(); i++) {
            sheets.text(line, PageFlow.LEFT, 154 + 16 * i, places.get(i), Lettering.SMALL, Tone.QUIET);
        }
        sheets.at(place.isEmpty() ? 150 : 152 + 16 * places.size());
    }

    /** In one line: in order, or in order but for what. */
    private void standing() {
        double y = sheets.y();
        Tone tone = Shapes.tone(standing.shape());
        List<String> lines = sheets.pen().wrapped(standing.under(), PageFlow.WIDTH - 70, Lettering.SMALL);
        List<String> titles = sheets.pen().wrapped(standing.title(), PageFlow.WIDTH - 70, Lettering.HEAD);
        double above = close ? 22 : 28;
        double tall = above - 4 + 22 * titles.size() + 16 * lines.size() - (close ? 6 : 0);
        sheets.silent(() -> {
            sheets.pen().stroke(Path.rectangle(PageFlow.LEFT, y, PageFlow.WIDTH, tall), Stroke.of(tone, 1.5));
            Shapes.state(sheets.pen(), standing.shape(), PageFlow.LEFT + 28, y + tall / 2, 1.5);
        });
        double at = y + above;
        PDStructureElement head = sheets.tag("H2");
        for (String title : titles) {
            sheets.text(head, PageFlow.LEFT + 56, at, title, Lettering.HEAD, Tone.INK);
            at += 22;
        }
        PDStructureElement why = sheets.tag("P");
        for (String line : lines) {
            sheets.text(why, PageFlow.LEFT + 56, at - 3, line, Lettering.SMALL, Tone.INK);
            at += 16;
        }
        sheets.at(y + tall + (close ? 10 : 24));
    }

    private void stops() {
        sheets.heading("What was measured");
        List<StopStatus> stops = subject.machine().asked();
        if (close) {
            StopRows.besideEachOther(sheets, stops.stream().map(this::brief).toList());
            StopRows.across(sheets, gate());
        } else {
            StopRows rows = new StopRows(sheets, sheets.tag("Table"), close);
            int before = subject.machine().stopsBeforeGate();
            stops.subList(0, before).forEach(stop -> rows.row(row(stop)));
            rows.row(gate());
            stops.subList(before, stops.size()).forEach(stop -> rows.row(row(stop)));
        }
        sheets.space(close ? 4 : 10);
    }

    private StopRows.Row row(StopStatus stop) {
        String found = stop.standing()
                .flatMap(CountedReading::measured)
                .map(m -> String.join(
                        "; ",
                        m.shown().evidence().stream()
                                .limit(3)
                                .map(p -> p.label() + " " + p.figure())
                                .toList()))
                .orElse("not measured yet");
        return row(stop, found);
    }

    private StopRows.Row brief(StopStatus stop) {
        return row(stop, stop.keyFigure().map(said -> said.in(subject.units())).orElse("not measured yet"));
    }

    private StopRows.Row row(StopStatus stop, String found) {
        String judged = stop.standing()
                .flatMap(CountedReading::measured)
                .map(m -> m.shown().judgedBy())
                .orElse("");
        return new StopRows.Row(
                Standing.shown(stop, subject.machine()),
                stop.card().title(),
                Standing.word(stop, subject.machine()),
                found,
                judged,
                stop.last().map(Certificate::who).orElse(List.of()));
    }

    static List<String> who(Entry entry) {
        return List.of(
                SHORT.format(entry.stamp().local()) + "  " + entry.stamp().by(), "no. " + entry.number());
    }

    /** Which bars were lifted, by whom and on which day. */
    private StopRows.Row gate() {
        Gate gate = subject.machine().gate();
        Map<String, List<String>> lifted = new LinkedHashMap<>();
        List<String> standing = new ArrayList<>();
        for (Gate.Line line : gate.bars()) {
            if (line.lifted()) {
                Entry entry = line.answer().orElseThrow();
                String when =
                        entry.stamp().by() + ", " + SHORT.format(entry.stamp().local());
                lifted.computeIfAbsent(when, key -> new ArrayList<>())
                        .add(line.bar().id());
            } else {
                standing.add(line.bar().id() + (line.failed() ? " (failed)" : ""));
            }
        }
        String many = gate.lifted() + " of " + gate.bars().size() + " bars lifted";
        List<String> parts = new ArrayList<>();
        lifted.forEach((when, bars) -> parts.add(when + ": " + String.join(", ", bars)));
        String judged =
                standing.isEmpty() ? "each seen by who lifted it" : "not lifted: " + String.join(", ", standing);
        String word = gate.isOpen()
                ? ""
                : gate.isCleared()
                        ? "held by " + gate.heldInWords()
                        : gate.shutBy().map(why -> "shut: " + why).orElse("shut");
        return new StopRows.Row(
                gate.isOpen() ? StopState.PASSED : StopState.SHUT,
                "First light",
                word,
                close ? many : String.join("; ", joined(many, parts)),
                close ? String.join("; ", joined(judged, parts)) : judged,
                gate.openedBy()
                        .filter(entry -> gate.isOpen())
                        .map(Certificate::who)
                        .orElse(List.of()));
    }

    private static List<String> joined(String first, List<String> more) {
        return Stream.concat(Stream.of(first), more.stream()).toList();
    }

    private void openPoints() {
        sheets.need(close ? 40 : 70);
        sheets.heading("Open points");
        StopRows rows = new StopRows(sheets, sheets.tag("Table"), close);
        for (int i = 0; i < standing.points().size(); i++) {
            Standing.Point point = standing.points().get(i);
            rows.point(String.valueOf(i + 1), point.words(), point.when());
        }
        if (standing.points().isEmpty()) {
            sheets.paragraph("None.", Lettering.SMALL, Tone.INK);
        }
        standing.soon().forEach(point -> rows.point("", point.words(), point.when()));
        if (!subject.machine().unjudged().isEmpty()) {
            sheets.paragraph(
                    "Not judged here, as only another program knows it; it stands in the logbook: "
                            + String.join(", ", subject.machine().unjudged()) + ".",
                    Lettering.SMALL,
                    Tone.INK);
        }
        sheets.space(close ? 4 : 10);
    }

    private void notWanted() {
        List<Plate.NotWanted> without = subject.machine().plate().notWanted();
        if (without.isEmpty()) {
            return;
        }
        sheets.need(70);
        sheets.heading("Declared not wanted on this machine");
        StopRows rows = new StopRows(sheets, sheets.tag("Table"), close);
        for (Plate.NotWanted stop : without) {
            String title = Catalogue.procedures().stream()
                    .filter(procedure -> procedure.card().id().equals(stop.stop()))
                    .findFirst()
                    .map(procedure -> procedure.card().title())
                    .orElse(stop.stop());
            rows.point("", title + ": " + stop.reason(), SHORT.format(stop.day()) + "  " + stop.by());
        }
        sheets.space(close ? 4 : 10);
    }

    private void cautions() {
        sheets.need(close ? 60 : 84);
        sheets.heading("Cautions");
        sheets.paragraph(CAUTIONS, close ? Lettering.PRINT : Lettering.CAPTION, Tone.INK);
    }

    private void signatures() {
        double written = close ? 34 : 60;
        sheets.need(written + SIGNED);
        double y = Math.max(sheets.y() + written, sheets.bottom() - SIGNED);
        double third = (PageFlow.WIDTH - 2 * BETWEEN) / 3;
        List<String> under = List.of("commissioned by", "accepted by", "day");
        for (int i = 0; i < under.size(); i++) {
            double x = PageFlow.LEFT + i * (third + BETWEEN);
            sheets.silent(() -> sheets.pen().line(x, y, x + third, y, Stroke.of(Tone.INK, 1)));
            sheets.text(sheets.tag("P"), x, y + 14, under.get(i), Lettering.CAPTION, Tone.QUIET);
        }
        hash("ends on entry " + subject.last().number(), subject.last().place().hash(), y + 32);
        hash(
                "shop chain, " + subject.head().entries() + " entries",
                subject.head().hash(),
                y + 45);
    }

    private void hash(String of, String hash, double y) {
        PDStructureElement element = sheets.tag("P");
        sheets.text(element, PageFlow.LEFT, y, of, Lettering.CAPTION, Tone.QUIET);
        sheets.text(element, PageFlow.RIGHT, y, grouped(hash), Lettering.HASH, Tone.QUIET, Anchor.END);
    }

    private static String grouped(String hash) {
        return hash.replaceAll("(.{8})(?=.)", "$1 ");
    }
}
