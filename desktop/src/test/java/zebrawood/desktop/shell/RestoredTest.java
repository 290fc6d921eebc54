package zebrawood.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.benches.Catalogue;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;
import zebrawood.desktop.demo.DemoShop;
import zebrawood.desktop.desk.Desk;
import zebrawood.kit.view.Nodes;
import zebrawood.logbook.store.Backups;
import zebrawood.logbook.store.DamagedLogbookException;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.Restore;
import zebrawood.testsupport.OtherProgram;

/** A database cut in half: the window says what a backup brings back and lacks, and goes on with it. */
class RestoredTest {

    private static final Instant NOW = Instant.parse("2031-03-14T09:30:00Z");

    @TempDir
    Path folder;

    @Test
    void aCutDatabaseIsRestoredFromItsBackup() throws Exception {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        new Backups(folder).make(NOW);
        long entries;
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            entries = logbook.head().entries();
            logbook.append(
                    logbook.findMachine("Wren").orElseThrow().id(),
                    new Body.Happened(Change.KNOCKED, "after the backup"),
                    new Entry.Stamp(NOW, ZoneOffset.UTC, "LO", "test"));
        }
        cut();
        DamagedLogbookException damaged = catchThrowableOfType(
                DamagedLogbookException.class,
                () -> Logbook.open(folder, Catalogue.procedures()).close());
        Seat.toolkit();
        CompletableFuture<Boolean> answered = new CompletableFuture<>();
        Stage stage = Seat.onScreen(() -> {
            Stage made = new Stage();
            made.setScene(new RestoreView(
                            new Restore(folder, Catalogue.procedures()),
                            damaged.getMessage(),
                            new Desk.Sitting(() -> NOW, ZoneId.of("UTC+1"), "test"),
                            answered::complete)
                    .scene());
            made.show();
            return made;
        });
        while (Seat.<Boolean>onScreen(() ->
                Nodes.find(stage.getScene().getRoot(), "restore").orElseThrow().isDisabled())) {
            LockSupport.parkNanos(20_000_000);
        }
        String offer = Seat.onScreen(
                () -> ((Label) Nodes.find(stage.getScene().getRoot(), "offer").orElseThrow()).getText());
        assertThat(offer)
                .contains("14 Mar 2031, 10:30")
                .contains(entries + " entries")
                .contains("lost");
        Seat.onScreen(() -> {
            ((Button) Nodes.find(stage.getScene().getRoot(), "restore").orElseThrow()).fire();
            return null;
        });
        assertThat(answered.get(60, TimeUnit.SECONDS)).isTrue();
        Seat.onScreen(() -> {
            stage.hide();
            return null;
        });
        try (Seat seat = new Seat(folder)) {
            seat.until(
                    "the shop stands as it did",
                    () -> seat.says("machines are waiting for you")
                            && seat.desk.head().get().entries() >= entries);
            assertThat(seat.desk.logbook().verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    void theStartItselfOffersItAndGoesOn() throws Exception {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        new Backups(folder).make(NOW);
        cut();
        Process started = OtherProgram.window(OpensDamaged.class, folder);
        try {
            String said = new String(started.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(said).contains("SHOP true", "CLOSED");
        } finally {
            started.destroyForcibly();
        }
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    @Timeout(120)
    void aLogbookWhoseLookUpsWereBentIsToldAndPutRightFromTheWindow() throws Exception {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            statement.execute("drop trigger entry_never_changed");
            statement.execute("update entry set verdict = cast(verdict as blob) where verdict = 'FAIL'");
        }
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            assertThat(logbook.verify(List.of()).holds())
                    .as("as the day's backup finds")
                    .isFalse();
        }
        Process started = OtherProgram.window(OpensBent.class, folder);
        try {
            String said = new String(started.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(said).contains("TOLD Not whole: all ", "RIGHT true", "CLOSED");
        } finally {
            started.destroyForcibly();
        }
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            assertThat(logbook.verify(List.of()).flaws()).isEmpty();
        }
    }

    private void cut() throws IOException {
        try (RandomAccessFile file =
                new RandomAccessFile(folder.resolve("logbook.db").toFile(), "rw")) {
            file.setLength(file.length() / 2);
        }
    }

    @Test
    void withoutABackupItSaysSo() throws IOException {
        DemoShop.make(folder, Catalogue.procedures(), LocalDate.of(2031, 3, 14), "test");
        cut();
        assertThatThrownBy(() -> Logbook.open(folder, Catalogue.procedures()))
                .isInstanceOf(DamagedLogbookException.class);
        assertThat(new Restore(folder, Catalogue.procedures()).offer()).isEmpty();
    }
}
