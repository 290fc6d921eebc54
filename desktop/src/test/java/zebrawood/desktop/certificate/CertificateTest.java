package zebrawood.desktop.certificate;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.controller.SettingsReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.StopState;
import zebrawood.core.route.StopStatus;
import zebrawood.core.safety.ServiceFiring;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.json.Binder;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.store.Logbook;

class CertificateTest {

    private static final Certificate.Making MOMENT = new Certificate.Making(
            Instant.parse("2031-03-14T09:30:00Z"), ZoneOffset.ofHours(1), UnitChoice.METRIC, Paper.A4);

    @TempDir
    Path folder;

    private static String text(Logbook logbook, String machineId) throws IOException {
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        Certificate.write(Certificate.Subject.of("Fernhollow Instrument Works", logbook, machineId, MOMENT), pdf);
        try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
            assertThat(document.getNumberOfPages()).isBetween(1, 16);
            assertThat(document.getPage(0).getMediaBox().getWidth()).isBetween(594f, 597f);
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void itSaysHowTheMachineStandsWhatWasMeasuredAndTheHashItEndsOn() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            String wren = logbook.findMachine("wren").orElseThrow().id();
            String text = text(logbook, wren);
            String hash = logbook.entry(wren, (int) logbook.count(Optional.of(wren)))
                    .place()
                    .hash();

            assertThat(text)
                    .contains(
                            "Wren",
                            "FH-02",
                            "In order but for 4 points",
                            "open point, no.",
                            "wiring, earth, water",
                            "In the job software set full power to S 1200",
                            "Ramp line",
                            "10 of 10 bars lifted",
                            "Open points",
                            "Cautions",
                            "commissioned by",
                            hash.substring(0, 8),
                            hash.substring(56),
                            logbook.head().hash().substring(0, 8));
            assertThat(text(logbook, logbook.findMachine("Heron").orElseThrow().id()))
                    .contains("In order: all that was checked passes");
            assertThat(text(logbook, logbook.findMachine("Dunlin").orElseThrow().id()))
                    .contains("6 shut, first light not cleared", "3 of 10 bars lifted", "not lifted: ");
        }
    }

    @Test
    void coversThatWereLeftOpenStandOnIt() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            String heron = logbook.findMachine("Heron").orElseThrow().id();
            logbook.append(
                    heron,
                    new Body.ServiceBegun(new ServiceFiring("RV", "LO", 20, List.of("side plate"), List.of("eyewear"))),
                    new Entry.Stamp(
                            Instant.parse("2031-03-14T09:30:00Z").minusSeconds(7200),
                            ZoneOffset.ofHours(1),
                            "RV",
                            "test"));
            assertThat(text(logbook, heron))
                    .contains("first light not cleared", "Service firing was left open: RV, side plate.");
        }
    }

    /** However much there is to say, it goes on on the next sheet and nothing of it is lost. */
    @Test
    void longReadingsGoOnOverSeveralSheets() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            String kestrel = logbook.findMachine("Kestrel").orElseThrow().id();
            Body.Measured last = logbook.history(kestrel)
                    .of("controller-settings")
                    .get(0)
                    .measured()
                    .orElseThrow();
            SettingsReadings read = (SettingsReadings) last.readings();
            StringBuilder more = new StringBuilder(read.settingsText());
            for (int n = 1000; n < 1220; n++) {
                more.append('$').append(n).append('=').append(n * 2).append('\n');
            }
            SettingsReadings longer =
                    new SettingsReadings(more.toString(), Optional.empty(), Optional.empty(), read.need());
            ControllerSettings procedure = new ControllerSettings();
            logbook.append(
                    kestrel,
                    Body.Measured.of(procedure, longer, Map.of(), procedure.evaluate(longer), UnitChoice.METRIC),
                    new Entry.Stamp(MOMENT.at(), MOMENT.zone(), "RV", "test"));
            String text = text(logbook, kestrel);

            for (int n = 1000; n < 1220; n++) {
                assertThat(text).contains("number " + n);
            }
            assertThat(text).contains("page 1 of ", "First light, bar by bar", "Plate");
        }
    }

    @Test
    void aNameInAnyScriptAndABareMachineAreCertifiedToo() throws IOException {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            int n = 0;
            for (String name : new String[] {"Крапивник", "Τρυποφράχτης", "鷦鷯", "Střízlík 🐦", "a b"}) {
                Plate plate = new Plate(
                        name,
                        Family.GALVO_UV,
                        Optional.empty(),
                        Optional.of("loft".repeat(60)),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty());
                String id = "m" + n++;
                logbook.append(
                        id,
                        new Body.PlateSet(plate, Map.of()),
                        new Entry.Stamp(MOMENT.at(), MOMENT.zone(), "RV", "test"));
                assertThat(text(logbook, id)).contains(" not measured, first light not cleared", "Not measured yet: ");
            }
            assertThat(text(logbook, "m0")).contains("Крапивник");
        }
    }

    /** A machine of the time when four times as much can be measured. */
    @Test
    void fortyStopsHaveRoomEachWithItsDrawing() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            String wren = logbook.findMachine("Wren").orElseThrow().id();
            Certificate.Subject today = Certificate.Subject.of("Fernhollow Instrument Works", logbook, wren, MOMENT);
            MachineStatus now = today.machine();
            List<StopStatus> many = IntStream.range(0, 40)
                    .mapToObj(i -> now.stops().get(i % now.stops().size()))
                    .toList();
            MachineStatus later = new MachineStatus(
                    wren,
                    now.plate(),
                    now.state(),
                    now.detail(),
                    now.gate(),
                    many,
                    now.points(),
                    now.todo(),
                    now.refocus(),
                    now.unjudged());
            ByteArrayOutputStream pdf = new ByteArrayOutputStream();
            Certificate.write(
                    new Certificate.Subject(
                            today.shop(),
                            later,
                            today.last(),
                            today.head(),
                            today.at(),
                            today.zone(),
                            today.units(),
                            today.paper(),
                            today.flaw()),
                    pdf);
            List<String> outside = new ArrayList<>();
            try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
                PDFTextStripper stripper = new PDFTextStripper() {
                    @Override
                    protected void processTextPosition(TextPosition text) {
                        boolean on = text.getX() >= 0
                                && text.getX() + text.getWidth() <= text.getPageWidth()
                                && text.getY() - text.getHeight() >= 0
                                && text.getY() <= text.getPageHeight();
                        if (!on) {
                            outside.add(getCurrentPageNo() + ": " + text);
                        }
                        super.processTextPosition(text);
                    }
                };
                String text = stripper.getText(document);
                int titles = text.split("Ramp line", -1).length - 1;
                assertThat(titles).as("in the table and over its readings").isGreaterThanOrEqualTo(2);
                assertThat(text).doesNotContain("...", "\u2026");
                assertThat(document.getNumberOfPages()).isBetween(8, 17);
                stripper.setEndPage(1);
                assertThat(stripper.getText(document))
                        .as("all that counts stands on the first page")
                        .contains("Open points", "Cautions", "commissioned by", "10 of 10 bars lifted")
                        .contains(today.head().hash().substring(0, 8));
            }
            assertThat(outside).isEmpty();
        }
    }

    /** A screen reader gets headings, tables and words for every drawing, and each page says what is on it. */
    @Test
    void itCanBeReadAloudAndFoundAgain() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            String wren = logbook.findMachine("Wren").orElseThrow().id();
            Certificate.Subject subject = Certificate.Subject.of("Fernhollow Instrument Works", logbook, wren, MOMENT);
            ByteArrayOutputStream pdf = new ByteArrayOutputStream();
            Certificate.write(subject, pdf);
            try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
                assertThat(document.getDocumentCatalog().getMarkInfo().isMarked())
                        .isTrue();
                assertThat(document.getDocumentInformation().getSubject()).startsWith("Wren, gantry CO2");
                assertThat(document.getDocumentInformation().getKeywords())
                        .contains(subject.last().place().hash());
                List<String> marks = new ArrayList<>();
                document.getDocumentCatalog()
                        .getDocumentOutline()
                        .children()
                        .forEach(item -> marks.add(item.getTitle()));
                assertThat(marks).startsWith("Certificate").contains("Ramp line", "First light, bar by bar", "Plate");
                List<PDStructureElement> elements = new ArrayList<>();
                gather(document.getDocumentCatalog().getStructureTreeRoot().getKids(), elements);
                assertThat(elements)
                        .extracting(PDStructureElement::getStructureType)
                        .contains("H1", "H2", "H3", "P", "Table", "TR", "TH", "TD", "Figure");
                assertThat(elements)
                        .filteredOn(element -> element.getStructureType().equals("Figure"))
                        .hasSizeGreaterThan(8)
                        .allSatisfy(drawing ->
                                assertThat(drawing.getAlternateDescription()).isNotBlank());
            }
        }
    }

    private static void gather(List<Object> kids, List<PDStructureElement> elements) {
        for (Object kid : kids) {
            if (kid instanceof PDStructureElement element) {
                elements.add(element);
                gather(element.getKids(), elements);
            }
        }
    }

    /** What counts against a machine is on its first page, and what nobody measured is never "in order but for". */
    @Test
    void theFirstPageSaysAllThatCounts() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            for (Logbook.MachineName machine : logbook.machines()) {
                ByteArrayOutputStream pdf = new ByteArrayOutputStream();
                Certificate.Subject subject =
                        Certificate.Subject.of("Fernhollow Instrument Works", logbook, machine.id(), MOMENT);
                Certificate.write(subject, pdf);
                try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
                    PDFTextStripper first = new PDFTextStripper();
                    first.setEndPage(1);
                    String page = first.getText(document);
                    assertThat(page)
                            .as(machine.name())
                            .contains(
                                    "Cautions",
                                    "commissioned by",
                                    subject.head().hash().substring(0, 8));
                    Standing standing = Standing.of(subject.machine(), subject.units(), subject.flaw());
                    boolean sound = subject.machine().gate().isOpen()
                            && subject.machine().stops().stream()
                                    .noneMatch(stop -> List.of(
                                                    StopState.OPEN, StopState.FAILED, StopState.UNCLEAR, StopState.SHUT)
                                            .contains(stop.state()));
                    assertThat(standing.title().startsWith("In order"))
                            .as(machine.name() + ": " + standing.title())
                            .isEqualTo(sound);
                }
            }
        }
    }

    /** Whatever the demo and the worked cases have to say is said to its end. */
    @Test
    void noWordIsCutOnAnyCertificate() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            for (Logbook.MachineName machine : logbook.machines()) {
                assertThat(text(logbook, machine.id())).as(machine.name()).doesNotContain("...", "\u2026");
            }
            int tried = 0;
            for (String name : new String[] {"Wren", "Bittern"}) {
                String id = logbook.findMachine(name).orElseThrow().id();
                Plate plate = logbook.history(id).plate();
                for (int which = 0; which < 14; which++) {
                    for (Procedure<?, ?> procedure : Catalogue.procedures()) {
                        if (procedure.appliesTo(plate)) {
                            tried += appended(logbook, id, procedure, which) ? 1 : 0;
                        }
                    }
                    assertThat(text(logbook, id))
                            .as(name + ", worked cases no. " + which)
                            .doesNotContain("...", "\u2026");
                }
            }
            assertThat(tried).isGreaterThan(70);
        }
    }

    /** Records a worked case on a machine; whether there is one of that number that can be solved. */
    private static <R extends Record, F extends Record> boolean appended(
            Logbook logbook, String id, Procedure<R, F> procedure, int which) throws IOException {
        JsonNode cases;
        try (InputStream file = CertificateTest.class.getResourceAsStream(
                "/worked-cases/" + procedure.card().id() + ".json")) {
            cases = new ObjectMapper().readTree(file);
        }
        if (which >= cases.size() || cases.get(which).get("expect").has("error")) {
            return false;
        }
        R readings = Binder.bind(cases.get(which).get("readings"), procedure.readingsType());
        logbook.append(
                id,
                Body.Measured.of(procedure, readings, Map.of(), procedure.evaluate(readings), UnitChoice.METRIC),
                new Entry.Stamp(MOMENT.at(), MOMENT.zone(), "RV", "test"));
        return true;
    }
}
