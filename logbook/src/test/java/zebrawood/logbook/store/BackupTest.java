package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Change;

/** Copies that are checked before they count, and the way back from a damaged file. */
class BackupTest {

    private static final Instant NOON = Instant.parse("2031-03-14T12:00:00Z");

    @TempDir
    Path folder;

    private void fill(int works) {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            for (int day = 1; day <= works; day++) {
                logbook.append("plover", Shop.work("slate", 212, "sharp"), Shop.day(day));
            }
        }
    }

    @Test
    void oneADayIsMadeOfALogbookThatIsOpenAndOldOnesAreThinned() {
        fill(3);
        Backups backups = new Backups(folder);
        try (Logbook logbook = Shop.open(folder)) {
            for (int day = 0; day < 400; day += day < 40 ? 1 : 9) {
                assertThat(backups.daily(NOON.plus(Duration.ofDays(day))))
                        .hasValueSatisfying(made -> assertThat(made.whole()).isTrue());
                assertThat(backups.daily(NOON.plus(Duration.ofDays(day)).plusSeconds(3600)))
                        .as("not twice a day")
                        .isEmpty();
            }
            logbook.append("plover", Shop.climate(45), Shop.day(4));
        }
        List<Instant> kept = backups.list().stream().map(Backups.Backup::at).toList();
        assertThat(kept).hasSizeBetween(12, 24).isSortedAccordingTo((one, other) -> other.compareTo(one));
        assertThat(kept.get(0)).as("the newest of all").isEqualTo(NOON.plus(Duration.ofDays(391)));
    }

    private void spoil() throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            statement.execute("drop trigger entry_never_changed");
            statement.execute("update entry set bytes = cast(replace(cast(bytes as text), 'RV', 'XX') as blob)"
                    + " where number = 2");
        }
    }

    @Test
    void noWholeCopyGoesForAFlawedOneHoweverManyFlawedDaysThereAre() throws SQLException {
        fill(3);
        Backups backups = new Backups(folder);
        for (int day = 0; day < 12; day++) {
            backups.daily(NOON.plus(Duration.ofDays(day)));
        }
        List<Backups.Backup> whole = backups.list();
        spoil();
        for (int day = 12; day < 60; day++) {
            assertThat(backups.daily(NOON.plus(Duration.ofDays(day))))
                    .as("a flawed copy is made all the same")
                    .hasValueSatisfying(made -> assertThat(made.whole()).isFalse());
        }
        assertThat(backups.list().stream().filter(backup -> !backup.whole()))
                .as("only the newest few of those")
                .hasSize(3);
        assertThat(backups.list().stream().filter(Backups.Backup::whole))
                .as("thinned by their age alone")
                .hasSizeGreaterThanOrEqualTo(3)
                .contains(whole.get(0));
        Restore.Offer offer = new Restore(folder, Shop.PROCEDURES).offer().orElseThrow();
        assertThat(offer.backup()).contains(whole.get(0));
        assertThat(offer.inWords(ZoneOffset.UTC)).contains("3 newer copies are flawed and are left alone");
    }

    @Test
    void aFlawedCopyIsNotTheDaysAndIsTriedAgain() throws SQLException {
        fill(3);
        spoil();
        Backups backups = new Backups(folder);
        assertThat(backups.daily(NOON)).isPresent();
        assertThat(backups.daily(NOON.plusSeconds(3600)))
                .as("not each half hour")
                .isEmpty();
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            statement.execute("update entry set bytes = cast(replace(cast(bytes as text), 'XX', 'RV') as blob)"
                    + " where number = 2");
            statement.execute(
                    "create trigger entry_never_changed before update on entry begin select raise(abort, 'entries "
                            + "are never changed'); end");
        }
        assertThat(backups.daily(NOON.plus(Duration.ofHours(7))))
                .as("mended the same day")
                .hasValueSatisfying(made -> assertThat(made.whole()).isTrue());
    }

    @Test
    void aBackupIsMadeBeforeAMigration() throws SQLException, IOException {
        fill(2);
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            // as the schema was before
            statement.execute("drop index entry_by_stop_verdict");
            statement.execute("drop index entry_by_use");
            statement.execute("create index entry_by_use on entry (machine_id, fired, number)");
            statement.execute("drop index entry_by_correction");
            statement.execute("create index entry_by_correction on entry (machine_id, corrects)");
            statement.execute("drop index entry_by_machine_position");
            statement.execute("create index entry_by_machine_position on entry (machine_id, position)");
            statement.execute("delete from flyway_schema_history where version = '3'");
        }
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.verify(List.of()).holds()).isTrue();
            assertThat(logbook.count(Optional.of("plover"))).isEqualTo(3);
        }
        assertThat(new Backups(folder).list())
                .singleElement()
                .satisfies(made -> assertThat(made.whole()).isTrue());
    }

    @Test
    void aFlawedLogbookIsCopiedAsItIsButNeverPutBack() throws SQLException {
        fill(3);
        spoil();
        Backups backups = new Backups(folder);
        assertThat(backups.make(NOON).whole()).isFalse();
        assertThat(backups.list()).hasSize(1);
        assertThat(new Restore(folder, Shop.PROCEDURES).offer()).isEmpty();
    }

    @Test
    void aCutFileIsTakenForDamagedAndTheBackupSaysWhatItLacks() throws IOException {
        fill(40);
        new Backups(folder).make(NOON);
        try (Logbook logbook = Shop.open(folder)) {
            logbook.append("plover", Shop.climate(45), Shop.day(50));
            logbook.append("plover", Shop.climate(46), Shop.day(51));
        }
        try (RandomAccessFile file =
                new RandomAccessFile(folder.resolve("logbook.db").toFile(), "rw")) {
            file.setLength(file.length() / 2);
        }
        assertThatThrownBy(() -> Shop.open(folder))
                .isInstanceOf(DamagedLogbookException.class)
                .hasMessageContaining("cut off");
        Restore restore = new Restore(folder, Shop.PROCEDURES);
        Restore.Offer offer = restore.offer().orElseThrow();
        assertThat(offer.inWords(ZoneOffset.UTC))
                .contains("14 Mar 2031, 12:00")
                .contains("41 entries")
                .containsPattern("lost");
        Restore.Done done = restore.run(offer, NOON.plusSeconds(60));
        assertThat(done.damaged().resolve("logbook.db")).exists();
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.head().entries()).isEqualTo(41 + done.back());
            assertThat(logbook.verify(List.of()).holds()).isTrue();
            logbook.append("plover", Shop.climate(47), Shop.day(52));
        }
    }

    @Test
    void whatCanStillBeReadOfADamagedFileComesBackTooWithItsFiles() throws IOException, SQLException {
        fill(5);
        new Backups(folder).make(NOON);
        byte[] photo = "a photo".getBytes(StandardCharsets.UTF_8);
        try (Logbook logbook = Shop.open(folder)) {
            logbook.append(
                    "plover",
                    new Body.Happened(Change.KNOCKED, "trolley"),
                    Optional.empty(),
                    List.of(new NewAttachment("knock.jpg", photo)),
                    Shop.day(50));
            logbook.append("plover", Shop.climate(45), Shop.day(51));
            logbook.append("plover", Shop.climate(46), Shop.day(52));
        }
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            statement.execute("drop trigger entry_never_changed");
            statement.execute("update entry set bytes = cast('{}' as blob) where number = 9");
        }
        Restore restore = new Restore(folder, Shop.PROCEDURES);
        Restore.Offer offer = restore.offer().orElseThrow();
        assertThat(offer.back()).isEqualTo(2);
        assertThat(offer.lacking()).contains(1L);
        assertThat(offer.inWords(ZoneOffset.UTC))
                .contains("2 entries recorded after it")
                .contains("1 entry recorded after it cannot be read any more");
        restore.run(offer, NOON);
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.head().entries()).isEqualTo(8);
            assertThat(logbook.verify(List.of()).holds()).isTrue();
            assertThat(logbook.attachment(
                            logbook.entry("plover", 7).attachments().get(0).sha256()))
                    .isEqualTo(photo);
        }
    }

    /** As on a full disk: the database may take no more pages than it has. */
    @Test
    void aFullDiskIsToldAndNothingIsLost() throws SQLException {
        fill(2);
        try (Connection connection =
                        Database.source(folder.resolve("logbook.db")).getConnection();
                Statement statement = connection.createStatement();
                Appender appender = new Appender(
                        connection, new EntryBytes(Shop.PROCEDURES), FilePlace.of(folder.resolve("logbook.db")))) {
            statement.execute("pragma max_page_count = 1");
            assertThatThrownBy(() -> appender.append(
                            "plover",
                            new Body.Happened(Change.KNOCKED, "trolley"),
                            Optional.empty(),
                            List.of(new NewAttachment("film.mp4", new byte[3_000_000])),
                            Shop.day(4)))
                    .isInstanceOf(SQLException.class)
                    .satisfies(full -> assertThat(Database.inWords(full)).contains("the disk is full"));
            statement.execute("pragma max_page_count = 1000000");
            assertThat(appender.append("plover", Shop.climate(46), Optional.empty(), List.of(), Shop.day(5))
                            .number())
                    .as("with room again one records on")
                    .isEqualTo(4);
        }
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.head().entries())
                    .as("what was recorded before is there, and nothing half")
                    .isEqualTo(4);
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    void whatTheDatabaseSaysIsToldInWords() {
        assertThat(Database.inWords(new org.sqlite.SQLiteException("busy", org.sqlite.SQLiteErrorCode.SQLITE_BUSY)))
                .contains("another program");
        assertThat(Database.isDamage(new org.sqlite.SQLiteException("x", org.sqlite.SQLiteErrorCode.SQLITE_CORRUPT)))
                .isTrue();
    }
}
