package zebrawood.desktop.certificate;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.StopState;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.logbook.store.Logbook;

/** What the headline of a certificate says, on the demo's Heron, which is in order until something happens to it. */
class StandingTest {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");

    @TempDir
    private Path folder;

    @BeforeEach
    void demo() {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
    }

    private static MachineStatus heron(Logbook logbook) {
        String id = logbook.findMachine("Heron").orElseThrow().id();
        return new Route(Catalogue.procedures()).status(logbook.history(id), NOW, ZoneOffset.ofHours(1));
    }

    private static void happens(Logbook logbook, Body body) {
        String id = logbook.findMachine("Heron").orElseThrow().id();
        logbook.append(id, body, new Entry.Stamp(NOW, ZoneOffset.ofHours(1), "RV", "test"));
    }

    private static Standing standing(MachineStatus machine) {
        return Standing.of(machine, UnitChoice.METRIC, Optional.empty());
    }

    private static Body climate(double celsius, Plate plate) {
        SiteClimate procedure = new SiteClimate();
        ClimateReadings read = new ClimateReadings(celsius, 45, plate.climate().orElseThrow());
        return Body.Measured.of(procedure, read, Map.of(), procedure.evaluate(read), UnitChoice.METRIC);
    }

    @Test
    void inOrderMeansThatNothingStandsAgainstIt() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            Standing standing = standing(heron(logbook));
            assertThat(standing.title()).startsWith("In order: all that was checked passes");
            assertThat(standing.points()).isEmpty();
            assertThat(standing.shape()).isEqualTo(StopState.PASSED);
        }
    }

    @Test
    void anOpenPointIsCountedAndTheStopItNamesIsNotShownAsInOrder() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            happens(logbook, new Body.PointOpened("Look at the extraction hose again", "LO", Optional.empty()));
            MachineStatus machine = heron(logbook);
            Standing standing = standing(machine);
            assertThat(standing.title()).isEqualTo("In order but for one point");
            assertThat(standing.points()).hasSize(1);
            assertThat(Standing.shown(machine.stop("exhaust-duct"), machine)).isEqualTo(StopState.NOTE);
            assertThat(Standing.word(machine.stop("exhaust-duct"), machine)).startsWith("open point, no. ");
            assertThat(Standing.shown(machine.stop("site-climate"), machine)).isEqualTo(StopState.PASSED);
        }
    }

    @Test
    void aFailIsNeverInOrderButForAndHoldsTheGate() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            happens(logbook, climate(41, heron(logbook).plate()));
            Standing standing = standing(heron(logbook));
            assertThat(standing.title()).startsWith("Not in order: 1 failed").contains("first light held");
            assertThat(standing.points())
                    .first()
                    .satisfies(point -> assertThat(point.words()).startsWith("Climate: "));
        }
    }

    @Test
    void aGateThatIsShutAgainIsNeverInOrderButFor() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            happens(logbook, new Body.Happened(Change.MOVED, "to the loft"));
            assertThat(standing(heron(logbook)).title())
                    .startsWith("Not in order: ")
                    .contains("first light not cleared");
        }
    }

    @Test
    void aFlawOfTheLogbookStandsBeforeEverything() {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            Standing standing =
                    Standing.of(heron(logbook), UnitChoice.METRIC, Optional.of("an entry is not as it was"));
            assertThat(standing.title()).startsWith("Not certified");
            assertThat(standing.under()).startsWith("an entry is not as it was");
            assertThat(standing.shape()).isEqualTo(StopState.FAILED);
            assertThat(List.of(standing.points().size())).containsExactly(0);
        }
    }
}
