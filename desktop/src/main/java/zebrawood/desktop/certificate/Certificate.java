package zebrawood.desktop.certificate;

import java.io.IOException;
import java.io.OutputStream;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Calendar;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TimeZone;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.Gate;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineState;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.route.Todo;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.machine.PlateField;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.figure.Anchor;
import zebrawood.kit.figure.Figure;
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

    private final Subject subject;
    private final PageFlow sheets;

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
    }

    /** Writes the PDF. */
    public static void write(Subject subject, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDDocumentInformation information = document.getDocumentInformation();
            information.setTitle(
                    "Certificate of commissioning, " + subject.machine().plate().name());
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
        head();
        standing();
        stops();
        drawings();
        openPoints();
        cautions();
        signatures();
        readings();
        String day = DAY.format(subject.at().atOffset(subject.zone()));
        sheets.finish("Certificate of commissioning", subject.shop(), day);
    }

    private void head() {
        sheets.pen().grain(PageFlow.LEFT, 52, PageFlow.WIDTH, 10, 6);
        Plate plate = subject.machine().plate();
        sheets.text(PageFlow.LEFT, 112, plate.name(), Lettering.ACT, Tone.INK, Anchor.START);
        String bed = plate.bed()
                .map(b -> ", " + Amount.mm(b.xMm(), 0).number(subject.units()) + " x "
                        + Amount.mm(b.yMm(), 0).text(subject.units()))
                .orElse("");
        sheets.text(
                PageFlow.LEFT, 136, plate.line().replace(" · ", ", ") + bed, Lettering.TEXT, Tone.INK, Anchor.START);
        String place = plate.place().map(p -> "place: " + p).orElse("");
        sheets.text(PageFlow.LEFT, 154, place, Lettering.SMALL, Tone.QUIET, Anchor.START);
        sheets.at(172);
    }

    /** In one line: in order, or in order but for what. */
    private void standing() {
        MachineState state = subject.machine().state();
        List<Point> points = points().stream().filter(Point::counts).toList();
        boolean soundOtherwise =
                state == MachineState.NEEDS_ADJUSTING || state == MachineState.DUE || state == MachineState.UNCLEAR;
        boolean whole = subject.flaw().isEmpty();
        String title = !whole
                ? "Not certified: the logbook is not as it was written"
                : state == MachineState.IN_ORDER
                        ? "In order: all that was checked passes, and nothing is late"
                        : soundOtherwise
                                ? "In order but for " + (points.size() == 1 ? "one point" : points.size() + " points")
                                : "Not in order: " + state.word();
        String under = !whole
                ? subject.flaw().get()
                        + ". What is shown below may not be what was recorded; put the logbook right and "
                        + "write the certificate again."
                : points.stream()
                        .findFirst()
                        .map(point -> "Open: " + point.words())
                        .orElse("Checked: " + subject.machine().stops().size() + " stops and the first light gate.");
        double y = sheets.y();
        StopState shape = whole ? state.shape() : StopState.FAILED;
        Tone tone = Shapes.tone(shape);
        List<String> lines = sheets.pen().wrapped(under, PageFlow.WIDTH - 70, Lettering.SMALL);
        double tall = 46 + 16 * lines.size();
        sheets.pen().stroke(Path.rectangle(PageFlow.LEFT, y, PageFlow.WIDTH, tall), Stroke.of(tone, 1.5));
        Shapes.state(sheets.pen(), shape, PageFlow.LEFT + 28, y + tall / 2, 1.5);
        sheets.text(PageFlow.LEFT + 56, y + 28, title, Lettering.HEAD, Tone.INK, Anchor.START);
        for (int i = 0; i < lines.size(); i++) {
            sheets.text(PageFlow.LEFT + 56, y + 47 + 16 * i, lines.get(i), Lettering.SMALL, Tone.INK, Anchor.START);
        }
        sheets.at(y + tall + 30);
    }

    /** Something open; what is only due within the week does not count against the machine. */
    private record Point(String words, String when, boolean counts) {}

    /** Everything open, the most urgent first: all that a finding asks for, not only its first instruction. */
    private List<Point> points() {
        List<Point> points = new ArrayList<>();
        for (Todo todo : subject.machine().todo()) {
            boolean counts = todo.urgency() != Todo.Urgency.DUE_SOON && todo.urgency() != Todo.Urgency.POINT;
            points.add(new Point(todo.stopTitle() + ": " + todo.action().in(subject.units()), todo.when(), counts));
            // a failed stop's further instructions are other ways to the same end
            if (todo.urgency() == Todo.Urgency.ADJUST || todo.urgency() == Todo.Urgency.UNCLEAR) {
                subject.machine()
                        .stop(todo.stop())
                        .reading()
                        .flatMap(CountedReading::measured)
                        .ifPresent(measured -> measured.instructions().stream()
                                .skip(1)
                                .forEach(more -> points.add(new Point(
                                        todo.stopTitle() + ": " + more.action().in(subject.units()),
                                        todo.when(),
                                        true))));
            }
        }
        return points;
    }

    private void stops() {
        sheets.heading("What was measured");
        boolean gateDone = false;
        List<StopStatus> stops = subject.machine().stops();
        for (int i = 0; i <= stops.size(); i++) {
            if (!gateDone && i == subject.machine().stopsBeforeGate()) {
                gate();
                gateDone = true;
            }
            if (i < stops.size()) {
                stop(stops.get(i));
            }
        }
        sheets.space(14);
    }

    private void stop(StopStatus stop) {
        Optional<Body.Measured> measured = stop.reading().flatMap(CountedReading::measured);
        String found = measured.map(m -> String.join(
                        "; ",
                        m.shown().evidence().stream()
                                .limit(3)
                                .map(p -> p.label() + " " + p.figure())
                                .toList()))
                .orElse("not measured yet");
        String judged = measured.map(m -> m.shown().judgedBy()).orElse("");
        String who = stop.last()
                .map(entry -> SHORT.format(entry.stamp().local()) + "  "
                        + entry.stamp().by() + ", no. " + entry.number())
                .orElse("");
        sheets.row(
                stop.state(),
                stop.card().title() + stop.note().map(note -> " (" + note + ")").orElse(""),
                found,
                judged,
                who);
    }

    private void gate() {
        Gate gate = subject.machine().gate();
        String found = gate.lifted() + " of " + gate.bars().size() + " bars lifted"
                + (gate.isOpen()
                        ? "; stop and "
                                + (subject.machine().plate().presence(Plate.Part.INTERLOCK) != Plate.Presence.NONE
                                        ? "interlock seen to work"
                                        : "area seen to be kept")
                        : "");
        String judged = gate.isOpen()
                ? "all"
                : gate.isCleared()
                        ? "held by " + gate.heldInWords()
                        : gate.shutBy().map(why -> "shut: " + why).orElse("all are needed");
        String who = gate.openedBy()
                .filter(entry -> gate.isOpen())
                .map(entry -> SHORT.format(entry.stamp().local()) + "  "
                        + entry.stamp().by() + ", no. " + entry.number())
                .orElse("");
        sheets.row(gate.isOpen() ? StopState.PASSED : StopState.SHUT, "First light", found, judged, who);
    }

    private record Plot(Entry entry, String title, Figure figure) {}

    private List<Plot> plots() {
        List<Plot> plots = new ArrayList<>();
        for (StopStatus stop : subject.machine().stops()) {
            if (stop.last().isPresent()
                    && stop.last().get().body() instanceof Body.Measured measured
                    && measured.isRead()) {
                Entry entry = stop.last().get();
                Stop<?, ?> found = Catalogue.findStop(measured.procedure()).orElseThrow();
                Figure figure = found.figure(measured, subject.units());
                if (figure != Figure.EMPTY) {
                    plots.add(new Plot(
                            entry,
                            found.exhibit().title() + ", "
                                    + SHORT.format(entry.stamp().local()),
                            figure));
                }
            }
        }
        return plots;
    }

    /** The drawings of the two last stops on the first page; the others stand with their readings. */
    private void drawings() throws IOException {
        List<Plot> plots = plots();
        Collections.reverse(plots);
        double half = (PageFlow.WIDTH - 28) / 2;
        for (int i = 0; i < Math.min(2, plots.size()); i += 2) {
            sheets.need(230);
            double y = sheets.y();
            for (int j = i; j < Math.min(i + 2, plots.size()); j++) {
                double x = PageFlow.LEFT + (j - i) * (half + 28);
                sheets.text(x, y + 12, plots.get(j).title(), Lettering.TEXT_BOLD, Tone.INK, Anchor.START);
                sheets.figure(plots.get(j).figure(), x, y + 22, half, 200);
            }
            sheets.at(y + 240);
        }
    }

    private void openPoints() throws IOException {
        sheets.need(90);
        sheets.heading("Open points");
        int number = 1;
        for (Point point : points()) {
            sheets.point(number++, point.words(), point.when());
        }
        if (number == 1) {
            sheets.paragraph("None.");
        }
        if (!subject.machine().unjudged().isEmpty()) {
            sheets.paragraph("Not judged here, as only another program knows it; it stands in the logbook: "
                    + String.join(", ", subject.machine().unjudged()) + ".");
        }
        sheets.space(14);
    }

    private void cautions() throws IOException {
        sheets.need(110);
        sheets.heading("Cautions");
        sheets.paragraph(CAUTIONS);
    }

    private void signatures() throws IOException {
        sheets.need(120);
        double y = Math.max(sheets.y() + 34, sheets.bottom() - 84);
        Stroke line = Stroke.of(Tone.INK, 1);
        sheets.pen().line(PageFlow.LEFT, y, PageFlow.LEFT + 180, y, line);
        sheets.pen().line(PageFlow.LEFT + 206, y, PageFlow.LEFT + 386, y, line);
        sheets.pen().line(PageFlow.LEFT + 412, y, PageFlow.LEFT + PageFlow.WIDTH, y, line);
        sheets.text(PageFlow.LEFT, y + 16, "commissioned by", Lettering.SMALL, Tone.QUIET, Anchor.START);
        sheets.text(PageFlow.LEFT + 206, y + 16, "accepted by", Lettering.SMALL, Tone.QUIET, Anchor.START);
        sheets.text(
                PageFlow.LEFT + 412,
                y + 16,
                "this certificate ends on entry " + subject.last().number(),
                Lettering.SMALL,
                Tone.QUIET,
                Anchor.START);
        hash(subject.last().place().hash(), y + 32);
        sheets.text(
                PageFlow.LEFT + 412,
                y + 64,
                "shop chain, " + subject.head().entries() + " entries",
                Lettering.SMALL,
                Tone.QUIET,
                Anchor.START);
        hash(subject.head().hash(), y + 80);
    }

    private void hash(String hash, double y) {
        sheets.tiny(PageFlow.LEFT + 412, y, grouped(hash.substring(0, 32)));
        sheets.tiny(PageFlow.LEFT + 412, y + 13, grouped(hash.substring(32)));
    }

    private static String grouped(String half) {
        return half.replaceAll("(.{8})(?=.)", "$1 ");
    }

    /** Following pages: every reading that the machine stands by, and its plate. */
    private void readings() throws IOException {
        sheets.start();
        sheets.heading("Readings, as typed");
        List<Plot> all = plots();
        List<Entry> early =
                all.stream().limit(Math.max(0, all.size() - 2)).map(Plot::entry).toList();
        for (StopStatus stop : subject.machine().stops()) {
            if (stop.last().isEmpty() || !(stop.last().get().body() instanceof Body.Measured measured)) {
                continue;
            }
            Entry entry = stop.last().get();
            sheets.need(70);
            sheets.paragraph(stop.card().title() + ", no. " + entry.number() + ", "
                    + SHORT.format(entry.stamp().local()) + ", " + entry.stamp().by() + ". "
                    + String.join(" ", measured.shown().sentences()));
            if (measured.isRead()) {
                Exhibit.Table table = Catalogue.findStop(measured.procedure())
                        .orElseThrow()
                        .table(measured, measured.shown().units());
                sheets.table(table.heads(), table.rows());
            } else {
                sheets.paragraph("Recorded by Zebrawood " + entry.stamp().program()
                        + ", which knows more of it than this program: its readings stand in the logbook.");
            }
            for (Plot plot : early.contains(entry) ? plots() : List.<Plot>of()) {
                if (plot.entry().equals(entry)) {
                    sheets.need(260);
                    sheets.figure(plot.figure(), PageFlow.LEFT, sheets.y() + 6, 460, 240);
                    sheets.space(250);
                }
            }
            sheets.space(12);
        }
        sheets.need(60);
        sheets.heading("First light, bar by bar");
        for (Gate.Line line : subject.machine().gate().bars()) {
            String answer = line.answer()
                    .map(entry -> (line.lifted() ? "lifted" : "not so") + ", "
                            + SHORT.format(entry.stamp().local()) + "  "
                            + entry.stamp().by())
                    .orElse("not yet");
            sheets.row(
                    line.lifted() ? StopState.PASSED : line.failed() ? StopState.FAILED : StopState.OPEN,
                    "",
                    line.bar().title(),
                    line.answer()
                            .map(entry -> ((Body.GateLine) entry.body()).remark())
                            .orElse(""),
                    answer);
        }
        sheets.space(14);
        sheets.need(60);
        sheets.heading("Plate");
        List<List<String>> rows = new ArrayList<>();
        PlateField.texts(subject.machine().plate())
                .forEach((path, text) -> rows.add(List.of(PlateField.label(path), text)));
        sheets.table(List.of("field", "as recorded"), rows);
    }
}
