package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A restore is one step, whatever interrupts it and whoever else is at the logbook. */
class RestoreStepsTest {

    private static final Instant NOON = Instant.parse("2031-03-14T12:00:00Z");

    @TempDir
    Path folder;

    private void fill(int days) {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            for (int day = 1; day <= days; day++) {
                logbook.append("plover", Shop.climate(40 + day % 7), Shop.day(day));
            }
        }
    }

    private void cut() throws IOException {
        try (RandomAccessFile file =
                new RandomAccessFile(folder.resolve("logbook.db").toFile(), "rw")) {
            file.setLength(file.length() / 2);
        }
    }

    private long entries() {
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.verify(List.of()).flaws()).isEmpty();
            return logbook.head().entries();
        }
    }

    /** Each step of the exchange is done, and then nothing more: as if the process had been killed there. */
    @Test
    void anExchangeThatEndsAfterAnyOfItsStepsIsDoneByTheNextStart() throws IOException {
        for (int steps = 0; steps <= 3; steps++) {
            Path shop = folder.resolve("shop-" + steps);
            Path fresh = shop.resolve(Exchange.FRESH);
            try (Logbook logbook = Shop.open(shop)) {
                Shop.begin(logbook, "plover", "Plover");
            }
            try (Logbook logbook = Shop.open(fresh)) {
                Shop.begin(logbook, "plover", "Plover");
                logbook.append("plover", Shop.climate(44), Shop.day(1));
            }
            Path aside = Files.createDirectory(shop.resolve("damaged-x"));
            Files.writeString(shop.resolve(Database.NAME + "-wal"), "");
            Files.writeString(shop.resolve(Exchange.JOURNAL), "damaged-x\n");
            List<Path[]> moves = List.of(
                    new Path[] {shop.resolve(Database.NAME + "-wal"), aside.resolve(Database.NAME + "-wal")},
                    new Path[] {shop.resolve(Database.NAME), aside.resolve(Database.NAME)},
                    new Path[] {fresh.resolve(Database.NAME), shop.resolve(Database.NAME)});
            for (Path[] move : moves.subList(0, steps)) {
                Files.move(move[0], move[1], StandardCopyOption.ATOMIC_MOVE);
            }
            try (Logbook logbook = Shop.open(shop)) {
                assertThat(logbook.head().entries()).as("after %d steps", steps).isEqualTo(2);
                assertThat(logbook.verify(List.of()).flaws()).isEmpty();
            }
            assertThat(aside.resolve(Database.NAME)).exists();
            assertThat(shop.resolve(Exchange.JOURNAL)).doesNotExist();
            assertThat(fresh).doesNotExist();
        }
    }

    @Test
    void whatWasLeftHalfMadeIsNoHindrance() throws IOException {
        fill(20);
        new Backups(folder).make(NOON);
        cut();
        Path fresh = Files.createDirectories(folder.resolve(Exchange.FRESH));
        Files.writeString(fresh.resolve(Database.NAME), "half");
        Restore restore = new Restore(folder, Shop.PROCEDURES);
        restore.run(restore.offer().orElseThrow(), NOON);
        assertThat(entries()).isEqualTo(21);
    }

    @Test
    void aLogbookThatIsOpenElsewhereIsNotExchangedAndSaysWhere() {
        fill(3);
        new Backups(folder).make(NOON);
        Restore restore = new Restore(folder, Shop.PROCEDURES);
        Restore.Offer offer = restore.offer().orElseThrow();
        try (Logbook open = Shop.open(folder)) {
            assertThatThrownBy(() -> restore.run(offer, NOON))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("nothing was changed")
                    .hasMessageContaining("(process " + ProcessHandle.current().pid() + ")");
            open.append("plover", Shop.climate(44), Shop.day(9));
        }
        restore.run(restore.offer().orElseThrow(), NOON);
        assertThat(entries()).as("with what was recorded meanwhile").isEqualTo(5);
        assertThat(folder.resolve("open-by-" + ProcessHandle.current().pid() + ".txt"))
                .doesNotExist();
    }

    @Test
    void whatCouldBeReadButDidNotComeBackIsSaidUntilItIsDealtWith() throws IOException, SQLException {
        fill(3);
        new Backups(folder).make(NOON);
        try (Logbook logbook = Shop.open(folder)) {
            for (int day = 4; day <= 8; day++) {
                logbook.append("plover", Shop.climate(40 + day), Shop.day(day));
            }
        }
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            statement.execute("drop trigger entry_never_changed");
            statement.execute("update entry set bytes = cast('{}' as blob) where number = 6");
        }
        Restore restore = new Restore(folder, Shop.PROCEDURES);
        Restore.Done done = restore.run(restore.offer().orElseThrow(), NOON);
        assertThat(done.back()).isEqualTo(1);
        assertThat(done.leftOver()).isEqualTo(3);
        assertThat(entries()).isEqualTo(5);
        assertThat(Restore.putAside(folder))
                .singleElement()
                .satisfies(told -> assertThat(told)
                        .startsWith("3 entries")
                        .contains(done.damaged().toString()));
        Path leftOver = done.damaged().resolve("left-over.jsonl");
        assertThat(Files.readAllLines(leftOver, StandardCharsets.UTF_8))
                .hasSize(3)
                .allMatch(line -> line.contains("\"relativeHumidityPct\""));
        Files.delete(leftOver);
        assertThat(Restore.putAside(folder)).isEmpty();
    }

    @Test
    void aMissingOrEmptyFileBesideBackupsIsNoNewShop() throws IOException {
        fill(3);
        new Backups(folder).make(NOON);
        for (boolean missing : new boolean[] {true, false}) {
            Files.delete(folder.resolve("logbook.db"));
            if (!missing) {
                Files.createFile(folder.resolve("logbook.db"));
            }
            assertThatThrownBy(() -> Shop.open(folder))
                    .isInstanceOf(DamagedLogbookException.class)
                    .hasMessageContaining(missing ? "missing" : "empty")
                    .hasMessageContaining("no new shop");
            Restore restore = new Restore(folder, Shop.PROCEDURES);
            Restore.Offer offer = restore.offer().orElseThrow();
            assertThat(offer.inWords(ZoneOffset.UTC)).contains("holds 4 entries");
            restore.run(offer, NOON);
            assertThat(entries()).isEqualTo(4);
        }
    }

    @Test
    void anEmptyLogbookHasNoBackupAndAWrongClockStopsNone() throws IOException {
        try (Logbook empty = Shop.open(folder)) {
            assertThat(new Backups(folder).daily(NOON)).isEmpty();
        }
        fill(3);
        Backups backups = new Backups(folder);
        for (int day = 0; day < 10; day++) {
            assertThat(backups.daily(NOON.plus(Duration.ofDays(day)))).isPresent();
        }
        int before = backups.list().size();
        Instant wrong = Instant.parse("2038-01-19T03:14:07Z");
        assertThat(backups.daily(wrong)).isPresent();
        assertThat(backups.list())
                .as("a start with a wrong clock takes one at the most")
                .hasSizeGreaterThanOrEqualTo(before);
        try (Logbook logbook = Shop.open(folder)) {
            logbook.append("plover", Shop.climate(44), Shop.day(40));
        }
        assertThat(backups.daily(NOON.plus(Duration.ofDays(10))))
                .as("the clock is right again")
                .isPresent();
        assertThat(backups.whole().get(0).entries())
                .as("the newest is the one with the most entries")
                .isEqualTo(5);
        assertThat(new Restore(folder, Shop.PROCEDURES).offer()).isPresent();
    }

    @Test
    void twoProgramsThatBackUpInTheSameSecondBothHaveTheirs() {
        fill(3);
        assertThat(new Backups(folder).make(NOON).file())
                .isNotEqualTo(new Backups(folder).make(NOON).file());
        assertThat(new Backups(folder).list()).hasSize(2).allMatch(Backups.Backup::whole);
    }

    @Test
    void othersOnTheMachineCannotReadAShop() throws IOException {
        Path shop = folder.resolve("above").resolve("shop");
        try (Logbook logbook = Shop.open(shop)) {
            Shop.begin(logbook, "plover", "Plover");
            logbook.prepareSearch(100);
            new Backups(shop).make(NOON);
            try (Stream<Path> files = Files.walk(shop)) {
                assertThat(files.toList()).hasSizeGreaterThan(4).allSatisfy(file -> {
                    String may = PosixFilePermissions.toString(Files.getPosixFilePermissions(file));
                    assertThat(may).as("%s", file).endsWith(Files.isDirectory(file) ? "rwx------" : "------");
                });
            }
        }
    }
}
