package zebrawood.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.theme.Ground;
import zebrawood.logbook.store.Logbook;
import zebrawood.testsupport.Hands;

class DeskTest {

    private static final Desk.Sitting SITTING =
            new Desk.Sitting(() -> Instant.parse("2031-03-14T09:30:00.123456Z"), ZoneId.of("UTC+1"), "0.1.0");

    @TempDir
    Path folder;

    private Desk desk() {
        return new Desk(folder, Logbook.open(folder, Catalogue.procedures()), Catalogue.procedures(), SITTING);
    }

    @Test
    void unitsGroundAndPlaceAreRememberedAndADamagedFileIsForgotten() throws IOException {
        try (Desk desk = desk()) {
            desk.units().set(new UnitChoice(true, true));
            desk.ground().set(Ground.DARK);
            desk.preferences().number("width", 1111);
        }
        try (Desk desk = desk()) {
            assertThat(desk.units().get()).isEqualTo(new UnitChoice(true, true));
            assertThat(desk.ground().get()).isEqualTo(Ground.DARK);
            assertThat(desk.preferences().number("width")).hasValue(1111);
        }
        Files.writeString(folder.resolve("window.properties"), "ground=PLAID\nwidth=wide\nlength=\\u00zz\n");
        try (Desk desk = desk()) {
            assertThat(desk.ground().get()).isEqualTo(Ground.LIGHT);
            assertThat(desk.preferences().number("width")).isEmpty();
        }
    }

    @Test
    void anUnexpectedErrorLeavesAReportAndOneSentenceWithoutATrace() throws IOException {
        List<String> told = new ArrayList<>();
        try (Desk desk = desk()) {
            desk.onTold(told::add);
            desk.unexpected(new IllegalStateException("a bench fell over"));
        }
        assertThat(told)
                .singleElement()
                .satisfies(sentence -> assertThat(sentence)
                        .contains("What you typed is kept", "report.txt")
                        .doesNotContain("Exception"));
        assertThat(Files.readString(folder.resolve("report.txt"))).contains("a bench fell over", "DeskTest");
    }

    @Test
    void aStampIsInTheZoneOfTheSitting() {
        try (Desk desk = desk()) {
            desk.initials().set("RV");
            assertThat(desk.stamp().local()).hasToString("2031-03-14T10:30:00.123");
            assertThat(desk.stamp().by()).isEqualTo("RV");
            assertThat(desk.stamp().program()).isEqualTo("0.1.0");
        }
    }

    @Test
    void aCopyThatAnotherProgramOpenedIsGoneWithTheWindow() throws IOException {
        Path copy;
        try (Desk desk = desk()) {
            copy = Files.writeString(desk.scratch().resolve("photo.jpg"), "a photo");
            assertThat(copy).exists();
        }
        assertThat(copy.getParent()).doesNotExist();
    }

    /** Whatever ends a piece of work, the next one is done. */
    @Test
    void anErrorOnTheLogbooksThreadIsToldAndTheNextWorkIsDone() throws Exception {
        CompletableFuture<String> told = new CompletableFuture<>();
        CompletableFuture<Boolean> next = new CompletableFuture<>();
        Hands.toolkit();
        try (Desk desk = desk()) {
            desk.onTold(told::complete);
            desk.later(
                    () -> {
                        throw new OutOfMemoryError("made for this");
                    },
                    nothing -> {});
            desk.later(() -> true, next::complete);
            assertThat(told.get(20, TimeUnit.SECONDS)).contains("report.txt");
            assertThat(next.get(20, TimeUnit.SECONDS)).isTrue();
        }
    }
}
