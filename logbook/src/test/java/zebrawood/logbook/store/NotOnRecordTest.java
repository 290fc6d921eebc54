package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is shown follows from what is on record: whatever bends a look-up is told, and put right from the entries. */
class NotOnRecordTest {

    private static final Instant NOON = Instant.parse("2031-03-14T12:00:00Z");

    @TempDir
    Path folder;

    @BeforeEach
    void fill() {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            for (int day = 1; day <= 30; day++) {
                logbook.append("plover", Shop.climate(40 + day % 7), Shop.day(day));
            }
        }
    }

    private void run(String... statements) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            for (String each : statements) {
                statement.execute(each);
            }
        }
    }

    private void isToldAndPutRight(String named) {
        String head;
        try (Logbook logbook = Shop.open(folder)) {
            Verification found = logbook.verify(List.of());
            assertThat(found.holds()).isFalse();
            assertThat(found.inWords()).contains("all 31 entries are as they were written");
            assertThat(found.flaws()).anyMatch(flaw -> flaw.toString().contains(named));
            head = found.head();
        }
        assertThat(Flaws.known(folder))
                .hasValueSatisfying(told -> assertThat(told).startsWith("Not whole"));
        Restore restore = new Restore(folder, Shop.PROCEDURES);
        Restore.Offer offer = restore.offer().orElseThrow();
        assertThat(offer.backup()).as("none is needed").isEmpty();
        assertThat(offer.inWords(ZoneOffset.UTC))
                .contains("Every one of 31 entries")
                .contains("nothing is lost");
        assertThat(restore.run(offer, NOON).entries()).isEqualTo(31);
        assertThat(Flaws.known(folder)).isEmpty();
        try (Logbook logbook = Shop.open(folder)) {
            Verification found = logbook.verify(List.of(head));
            assertThat(found.flaws()).isEmpty();
            assertThat(logbook.readings("plover", "site-climate", 100)).hasSize(30);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "verdict = cast(verdict as blob)",
                "verdict = ''",
                "verdict = verdict || char(0)",
                "stop = cast(stop as blob)",
                "corrects = ''",
                "stands_at = cast('7' as blob)",
                "fired = 'no'",
                "initials = cast(initials as blob)",
                "hash = cast(hash as blob)"
            })
    void aColumnOfAnotherTypeThatLookUpsMiss(String change) throws SQLException {
        run(
                "drop trigger entry_never_changed",
                "update entry set " + change + " where number = 7",
                "create trigger entry_never_changed before update on entry begin select raise(abort, 'entries are never"
                        + " changed'); end");
        isToldAndPutRight("Plover no. 7");
    }

    /** Taken out of the schema, changed past it, and put back: the index keeps what it held before. */
    @Test
    void anIndexThatMissesARow() throws SQLException {
        run(
                "pragma writable_schema = on",
                "create table kept_aside as select * from sqlite_master where name = 'entry_by_stop'",
                "delete from sqlite_master where name in ('entry_by_stop', 'entry_never_changed')");
        run("update entry set stop = 'elsewhere' where number = 7");
        run(
                "pragma writable_schema = on",
                "insert into sqlite_master select * from kept_aside",
                "insert into sqlite_master values ('trigger', 'entry_never_changed', 'entry', 0, 'CREATE TRIGGER"
                        + " entry_never_changed before update on entry begin select raise(abort, ''entries are never"
                        + " changed''); end')",
                "delete from sqlite_master where name = 'kept_aside'");
        isToldAndPutRight("index entry_by_stop");
    }

    @Test
    void anObjectThatDoesNotBelongThereAndOneThatIsMissing() throws SQLException {
        run("create view shown as select * from entry", "drop index entry_by_stop_verdict");
        isToldAndPutRight("view shown of shown does not belong to a logbook");
    }

    @Test
    void aTriggerThatSwallowsInsertsIsNoticedBeforeAnythingIsConfirmed() throws SQLException {
        run("create trigger swallowing before insert on entry begin select raise(ignore); end");
        try (Logbook logbook = Shop.open(folder)) {
            assertThatThrownBy(() -> logbook.append("plover", Shop.climate(44), Shop.day(40)))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("nothing was recorded")
                    .hasMessageContaining("verify");
            assertThat(logbook.head().entries()).isEqualTo(31);
        }
        isToldAndPutRight("trigger swallowing of entry does not belong to a logbook");
    }

    @Test
    void whatIsWrittenIntoAFileThatWasTakenAwayIsNotConfirmed() throws IOException {
        try (Logbook logbook = Shop.open(folder)) {
            logbook.append("plover", Shop.climate(44), Shop.day(40));
            Files.move(folder.resolve("logbook.db"), folder.resolve("taken-away.db"));
            assertThatThrownBy(() -> logbook.append("plover", Shop.climate(45), Shop.day(41)))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("removed, moved or exchanged");
            Files.move(folder.resolve("taken-away.db"), folder.resolve("logbook.db"));
        }
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.head().entries()).isEqualTo(32);
        }
    }

    @Test
    void aFlawIsForgottenOnceALaterCheckFindsAllWhole() throws SQLException {
        run("create view shown as select * from entry");
        try (Logbook logbook = Shop.open(folder)) {
            logbook.verify(List.of());
            assertThat(Flaws.known(folder)).isPresent();
        }
        run("drop view shown");
        try (Logbook logbook = Shop.open(folder)) {
            assertThat(logbook.verify(List.of("00ff")).holds()).isFalse();
            assertThat(Flaws.known(folder))
                    .as("a hash that is asked for says nothing of that")
                    .isPresent();
            logbook.verify(List.of());
        }
        assertThat(Flaws.known(folder)).isEmpty();
    }
}
