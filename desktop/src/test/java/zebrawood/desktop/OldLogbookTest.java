package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.StopState;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.certificate.Certificate;
import zebrawood.kit.bench.Exhibit;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.view.Paper;
import zebrawood.logbook.bundle.Export;
import zebrawood.logbook.bundle.Import;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.TapeFilter;
import zebrawood.logbook.store.TapeLine;
import zebrawood.testsupport.Drawn;

/** A shop as release 0.2.0 left it, with every kind of entry and every stop it knew: later programs read all of it. */
class OldLogbookTest {

    private static final String HEAD = "d9c6c6134d5d43dcb7b530852b15004ee032991e3f25e881ffc649854fea7a98";
    private static final Instant DAY = Instant.parse("2031-03-14T09:30:00Z");

    @TempDir
    Path beside;

    @TempDir
    private Path folder;

    @BeforeEach
    void asItWasLeft() throws IOException {
        try (InputStream file = OldLogbookTest.class.getResourceAsStream("/old/shop-0.2.0.zip");
                ZipInputStream zip = new ZipInputStream(file)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Files.copy(zip, folder.resolve(Path.of(entry.getName()).getFileName()));
            }
        }
    }

    private static List<Entry> all(Logbook logbook) {
        return logbook.tape(TapeFilter.ALL, Long.MAX_VALUE, 100).stream()
                .map(TapeLine::entry)
                .toList();
    }

    @Test
    void itIsWholeAndEveryEntryIsWhollyKnown() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            assertThat(logbook.verify(List.of(HEAD)).flaws()).isEmpty();
            List<Entry> entries = all(logbook);
            assertThat(entries).hasSize(37).allMatch(Entry::isWhollyKnown);
            assertThat(entries.stream()
                            .<Object>map(entry -> entry.body().getClass())
                            .distinct())
                    .contains(
                            Body.PlateSet.class,
                            Body.GateLine.class,
                            Body.Happened.class,
                            Body.Measured.class,
                            Body.Worked.class,
                            Body.PointOpened.class);
        }
    }

    @Test
    void everyReadingIsShownAsItWasJudgedAndDrawn() {
        List<String> seen = new ArrayList<>();
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            for (Entry entry : all(logbook)) {
                if (entry.body() instanceof Body.Measured measured) {
                    Stop<?, ?> stop = Catalogue.findStop(measured.procedure()).orElseThrow();
                    assertThat(measured.shown().sentences())
                            .as(measured.procedure())
                            .isNotEmpty();
                    Exhibit.Table table = stop.table(measured, UnitChoice.METRIC);
                    assertThat(table.rows())
                            .as(measured.procedure())
                            .isNotEmpty()
                            .allSatisfy(row -> assertThat(row).hasSameSizeAs(table.heads()));
                    assertThat(Drawn.of(stop.figure(measured, UnitChoice.METRIC), 640, 420)
                                    .areas())
                            .as(measured.procedure())
                            .isNotEmpty();
                    seen.add(measured.procedure());
                }
            }
        }
        assertThat(seen)
                .as("all that 0.2.0 could measure")
                .contains(
                        "site-access",
                        "site-climate",
                        "site-circuit",
                        "exhaust-duct",
                        "air-assist",
                        "coolant-mix",
                        "coolant-heat",
                        "coolant-setpoint",
                        "assist-gas",
                        "controller-settings",
                        "focus-ramp");
    }

    @Test
    void itsMachinesStandAsTheyStoodAndACertificateIsMade() throws IOException {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            String wren = logbook.findMachine("Wren").orElseThrow().id();
            MachineStatus status =
                    new Route(Catalogue.procedures()).status(logbook.history(wren), DAY, ZoneOffset.ofHours(1));
            assertThat(status.unjudged()).isEmpty();
            assertThat(status.stop("controller-settings").state()).isEqualTo(StopState.ADJUST);
            assertThat(status.stop("focus-ramp").state()).isEqualTo(StopState.SHUT);
            assertThat(status.gate().shutBy()).contains("60 days unused");
            assertThat(status.points()).hasSize(1);
            Certificate.write(
                    Certificate.Subject.of(
                            "Fernhollow",
                            logbook,
                            wren,
                            new Certificate.Making(DAY, ZoneOffset.ofHours(1), UnitChoice.METRIC, Paper.A4)),
                    java.io.OutputStream.nullOutputStream());
        }
    }

    @Test
    void itGoesOutAndInAgainAndSoDoesTheBundleOfItsDay() throws IOException {
        Path bundle = beside.resolve("bundle.zip");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            Export.to(bundle, false, logbook, "test", DAY, done -> {});
        }
        Path ofItsDay = beside.resolve("bundle-0.2.0.zip");
        try (InputStream file = OldLogbookTest.class.getResourceAsStream("/old/bundle-0.2.0.zip")) {
            Files.copy(file, ofItsDay);
        }
        for (Path each : List.of(bundle, ofItsDay)) {
            Path into = beside.resolve("from-" + each.getFileName());
            Import.from(each, into, Catalogue.procedures(), done -> {});
            try (Logbook logbook = Logbook.open(into, Catalogue.procedures())) {
                assertThat(logbook.head()).as(each.toString()).isEqualTo(new Logbook.Head(37, HEAD));
                assertThat(logbook.verify(List.of()).holds()).isTrue();
                assertThat(logbook.count(Optional.empty())).isEqualTo(37);
            }
        }
    }
}
