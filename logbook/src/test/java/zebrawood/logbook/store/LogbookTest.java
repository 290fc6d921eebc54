package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;

class LogbookTest {

    private static final List<Procedure<?, ?>> PROCEDURES =
            List.of(new SiteClimate(), new ControllerSettings(), new FocusRamp());
    private static final ClimateLimits LIMITS = new ClimateLimits(14, 29, OptionalDouble.of(22), 66);

    @TempDir
    Path beside;

    @TempDir
    Path folder;

    private int minute;

    @BeforeEach
    void twoMachinesWithAFewEntries() {
        try (Logbook logbook = open()) {
            plate(logbook, "wren", "Wren");
            plate(logbook, "heron", "Heron");
            climate(logbook, "wren", 46, List.of());
            climate(
                    logbook,
                    "heron",
                    80,
                    List.of(
                            new NewAttachment("hygrometer.txt", "80 %".getBytes(StandardCharsets.UTF_8)),
                            new NewAttachment("big.bin", new byte[2_500_000])));
            logbook.append("wren", new Body.GateLine("films", "Films off", true, false, "drawer"), stamp());
            logbook.append("wren", new Body.Happened(Change.LENS_CHANGED, "middle"), stamp());
            logbook.append(
                    "wren", climate(52), Optional.of(new Logbook.Correcting(2, "read too early")), List.of(), stamp());
        }
    }

    private Logbook open() {
        return Logbook.open(folder, PROCEDURES);
    }

    private Entry.Stamp stamp() {
        return new Entry.Stamp(
                Instant.parse("2031-03-14T09:00:00Z").plusSeconds(60L * minute++), ZoneOffset.ofHours(1), "RV", "test");
    }

    private void plate(Logbook logbook, String id, String name) {
        Plate plate = new Plate(
                name,
                Family.GALVO_UV,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        logbook.append(id, new Body.PlateSet(plate, Map.of("name", name)), stamp());
    }

    private static Body.Measured climate(double humidity) {
        SiteClimate procedure = new SiteClimate();
        ClimateReadings readings = new ClimateReadings(21.4, humidity, LIMITS);
        return Body.Measured.of(
                procedure,
                readings,
                Map.of("relativeHumidityPct", humidity + " %"),
                procedure.evaluate(readings),
                UnitChoice.METRIC);
    }

    private void climate(Logbook logbook, String id, double humidity, List<NewAttachment> files) {
        logbook.append(id, climate(humidity), Optional.empty(), files, stamp());
    }

    private List<Verification.Flaw> flaws() {
        try (Logbook logbook = open()) {
            return logbook.verify(List.of()).flaws();
        }
    }

    /** Does what the program never would, past its triggers. */
    private void tamper(String... statements) throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            List<String> triggers = new ArrayList<>();
            try (ResultSet names = statement.executeQuery("select name from sqlite_master where type = 'trigger'")) {
                while (names.next()) {
                    triggers.add(names.getString(1));
                }
            }
            for (String trigger : triggers) {
                statement.execute("drop trigger " + trigger);
            }
            for (String each : statements) {
                statement.execute(each);
            }
        }
    }

    @Test
    void anUntouchedLogbookIsWhole() {
        assertThat(flaws()).isEmpty();
    }

    @Test
    void anEntryComesBackAsItWasWritten() {
        try (Logbook logbook = open()) {
            Body.Measured body = climate(46);
            Entry written = logbook.append("wren", body, stamp());
            logbook.close();
            try (Logbook again = open()) {
                Entry read = again.entry("wren", written.number());
                assertThat(read).isEqualTo(written);
                assertThat(((Body.Measured) read.body()).shown().keyFigure()).isEqualTo("dew 9.3 °C");
            }
        }
    }

    @Test
    void theDatabaseItselfRefusesToChangeOrDelete() throws SQLException {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                Statement statement = connection.createStatement()) {
            assertThatThrownBy(() -> statement.execute("update entry set initials = 'XX'"))
                    .hasMessageContaining("never changed");
            assertThatThrownBy(() -> statement.execute("delete from entry")).hasMessageContaining("never deleted");
        }
    }

    @Test
    void aFlippedByteInAnyStoredColumnIsFoundAndItsEntryNamed() throws SQLException, IOException {
        Map<String, String> columns = Map.ofEntries(
                Map.entry("number", "number = 77"),
                Map.entry("position", "position = 77"),
                Map.entry("stands_at", "stands_at = 1"),
                Map.entry("corrects", "corrects = 3"),
                Map.entry("kind", "kind = 'readinG'"),
                Map.entry("stop", "stop = 'site-climatE'"),
                Map.entry("verdict", "verdict = 'PASs'"),
                Map.entry("fired", "fired = 1"),
                Map.entry("initials", "initials = 'RW'"),
                Map.entry("recorded_at", "recorded_at = '2031-03-14T09:02:01Z'"),
                Map.entry("previous", "previous = 'a' || substr(previous, 2)"),
                Map.entry("hash", "hash = 'g' || substr(hash, 2)"),
                Map.entry("machine_id", "machine_id = 'wreo'"),
                Map.entry("bytes", "bytes = cast(replace(cast(bytes as text), '21.4', '21.5') as blob)"));
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
                ResultSet real = connection.getMetaData().getColumns(null, null, "entry", null)) {
            while (real.next()) {
                assertThat(columns).containsKey(real.getString("COLUMN_NAME"));
            }
        }
        for (Map.Entry<String, String> column : columns.entrySet()) {
            Path copy = copy();
            tamper("update entry set " + column.getValue() + " where machine_id = 'wren' and number = 2");
            assertThat(flaws())
                    .as(column.getKey())
                    .anyMatch(flaw -> flaw.where().equals("Wren no. 2")
                            || flaw.where().contains("Wren no. 77")
                            || flaw.where().contains("wreo"));
            restore(copy);
        }
    }

    @Test
    void aFlippedByteInTheChainTheListOfMachinesOrAnAttachmentIsFound() throws SQLException, IOException {
        for (String change : List.of(
                "update shop_chain set position = 99 where position = 3",
                "update shop_chain set machine_id = 'wreo' where position = 3",
                "update shop_chain set number = 9 where position = 3",
                "update shop_chain set hash = 'g' || substr(hash, 2) where position = 3",
                "update shop_chain set previous = 'g' || substr(previous, 2) where position = 3",
                "update shop_chain set row_hash = 'g' || substr(row_hash, 2) where position = 3",
                "update machine set name = 'Wrem' where id = 'wren'",
                "update machine set name_folded = 'wrem' where id = 'wren'",
                "update machine set id = 'wreo' where id = 'wren'",
                "update attachment set hash = 'g' || substr(hash, 2) where length = 4",
                "update attachment set length = 5 where length = 4",
                "update attachment_part set bytes = cast('81 %' as blob) where length(bytes) = 4",
                "update attachment_part set part = 7 where length(bytes) = 4",
                "update attachment_part set hash = 'g' || substr(hash, 2) where length(bytes) = 4",
                "delete from attachment_part where part = 1",
                "delete from attachment where length = 4")) {
            Path copy = copy();
            tamper(change);
            assertThat(flaws()).as(change).isNotEmpty();
            if (change.contains("attachment")) {
                assertThat(flaws()).as(change).anyMatch(flaw -> flaw.where().equals("attachment of Heron no. 2"));
            }
            restore(copy);
        }
    }

    @Test
    void aRemovedEntryIsNamedTheLastOneTooAndAVanishedMachine() throws SQLException, IOException {
        Path copy = copy();
        tamper("delete from entry where machine_id = 'wren' and number = 3");
        assertThat(flaws())
                .anyMatch(
                        flaw -> flaw.where().equals("Wren no. 3") && flaw.part().equals("entry"));
        restore(copy);
        tamper("delete from entry where machine_id = 'wren' and number = 5");
        assertThat(flaws())
                .anyMatch(
                        flaw -> flaw.where().equals("Wren no. 5") && flaw.part().equals("entry"));
        restore(copy);
        tamper("delete from entry where machine_id = 'heron'", "delete from machine where id = 'heron'");
        assertThat(flaws())
                .anyMatch(flaw -> flaw.where().contains("heron no. 1"))
                .anyMatch(flaw -> flaw.where().contains("heron no. 2"));
    }

    @Test
    void aSwappedPairIsNamed() throws SQLException {
        tamper(
                "update entry set number = 100 where machine_id = 'wren' and number = 3",
                "update entry set number = 3 where machine_id = 'wren' and number = 4",
                "update entry set number = 4 where machine_id = 'wren' and number = 100");
        assertThat(flaws()).extracting(Verification.Flaw::where).contains("Wren no. 3", "Wren no. 4");
    }

    @Test
    void anExpectedHashIsFoundAmongEntriesOrAtTheHeadOfTheChain() {
        try (Logbook logbook = open()) {
            String entry = logbook.entry("wren", 2).place().hash();
            assertThat(logbook.verify(List.of(entry, logbook.head().hash())).holds())
                    .isTrue();
            assertThat(logbook.verify(List.of("0".repeat(63) + "1")).holds()).isFalse();
        }
    }

    @Test
    void aCorrectionCountsInThePlaceOfWhatItReplacesAndBothStay() {
        try (Logbook logbook = open()) {
            assertThat(logbook.history("wren").of("site-climate"))
                    .singleElement()
                    .satisfies(reading -> {
                        assertThat(reading.entry().number()).isEqualTo(5);
                        assertThat(reading.standsAt()).isEqualTo(2);
                        assertThat(reading.since())
                                .isEqualTo(logbook.entry("wren", 2).stamp().at());
                    });
            assertThat(logbook.findCorrectionOf(logbook.entry("wren", 2)))
                    .map(Entry::number)
                    .contains(5);
            assertThat(logbook.tape(TapeFilter.ALL, Long.MAX_VALUE, 50))
                    .hasSize(7)
                    .filteredOn(TapeLine::corrected)
                    .singleElement()
                    .satisfies(line -> assertThat(line.entry().number()).isEqualTo(2));
        }
    }

    @Test
    void aVerdictThatWasChangedBesideItsEntryIsToldWhenTheEntryIsRead() throws SQLException {
        try (Logbook logbook = open()) {
            logbook.append("wren", climate(53), stamp());
        }
        tamper("update entry set verdict = 'FAIL' where machine_id = 'wren' and kind = 'reading' and stands_at > 5");
        try (Logbook logbook = open()) {
            assertThat(logbook.history("wren").readings().values())
                    .filteredOn(of -> of.get(0).verdict() == Verdict.FAIL)
                    .isNotEmpty()
                    .allSatisfy(of -> assertThatThrownBy(of.get(0)::entry)
                            .isInstanceOf(LogbookException.class)
                            .hasMessageContaining("run verify"));
        }
    }

    @Test
    void theTapeIsFilteredAndPaged() {
        try (Logbook logbook = open()) {
            TapeFilter failed =
                    new TapeFilter(Optional.empty(), Optional.of("site-climate"), Optional.of(Verdict.FAIL));
            assertThat(logbook.tape(failed, Long.MAX_VALUE, 50))
                    .singleElement()
                    .satisfies(
                            line -> assertThat(line.entry().place().machineId()).isEqualTo("heron"));
            List<TapeLine> first = logbook.tape(TapeFilter.ALL, Long.MAX_VALUE, 4);
            List<TapeLine> rest = logbook.tape(TapeFilter.ALL, first.get(3).position(), 4);
            assertThat(first).hasSize(4);
            assertThat(rest).hasSize(3);
        }
    }

    @Test
    void aNameIsUniqueInTheShopCaseApartAndARefusedEntryLeavesNothingBehind() {
        try (Logbook logbook = open()) {
            assertThatThrownBy(() -> plate(logbook, "other", "WREN"))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("already");
            assertThat(logbook.count(Optional.empty())).isEqualTo(7);
            assertThat(logbook.verify(List.of()).holds()).isTrue();
        }
    }

    @Test
    void twoProgramsMayRecordAtOnce() throws InterruptedException {
        try (Logbook one = open();
                Logbook other = open()) {
            Thread elsewhere = new Thread(() -> {
                for (int i = 0; i < 40; i++) {
                    climate(other, "heron", 40 + i / 10.0, List.of());
                }
            });
            elsewhere.start();
            for (int i = 0; i < 40; i++) {
                one.append(
                        "heron",
                        new Body.Happened(Change.LENS_CHANGED, "and back"),
                        new Entry.Stamp(Instant.EPOCH, ZoneOffset.UTC, "LO", "test"));
            }
            elsewhere.join();
            assertThat(one.count(Optional.of("heron"))).isEqualTo(82);
            assertThat(one.verify(List.of()).flaws()).isEmpty();
        }
    }

    @Test
    void aDamagedFileAndANewerOneAreToldInASentence() throws IOException, SQLException {
        tamper("insert into flyway_schema_history select 99, '99', 'later', 'SQL', 'V99__later.sql', 1, 'x', "
                + "'2040-01-01', 1, 1");
        try (Logbook newer = open()) {
            assertThat(newer.entry("wren", 2).body().stop())
                    .as("it can be read")
                    .isEqualTo("site-climate");
            assertThat(newer.whyReadOnly())
                    .hasValueSatisfying(why -> assertThat(why).contains("newer Zebrawood"));
            assertThatThrownBy(() -> newer.append("wren", new Body.Happened(Change.KNOCKED, ""), stamp()))
                    .isInstanceOf(LogbookException.class)
                    .hasMessageContaining("open for reading only")
                    .hasMessageContaining("update the program");
        }
        Files.writeString(
                folder.resolve("logbook.db"),
                "this is no database, but it is long enough to look like a file ".repeat(50));
        assertThatThrownBy(this::open)
                .isInstanceOf(DamagedLogbookException.class)
                .hasMessageContaining("no longer a database");
    }

    @Test
    void aDraftIsKeptOverwrittenAndDropped() {
        try (Logbook logbook = open()) {
            Instant at = Instant.parse("2031-03-14T10:00:00Z");
            logbook.keepDraft("wren", "focus-ramp", new Logbook.Draft("{\"a\":1}", at));
            logbook.keepDraft("wren", "focus-ramp", new Logbook.Draft("{\"a\":2}", at));
            assertThat(logbook.findDraft("wren", "focus-ramp")).contains(new Logbook.Draft("{\"a\":2}", at));
            logbook.dropDraft("wren", "focus-ramp");
            assertThat(logbook.findDraft("wren", "focus-ramp")).isEmpty();
        }
    }

    private Path copy() throws IOException {
        try (Logbook logbook = open()) {
            logbook.verify(List.of());
        }
        Path copy = Files.createTempFile(beside, "zebrawood", ".db");
        Files.copy(folder.resolve("logbook.db"), copy, StandardCopyOption.REPLACE_EXISTING);
        return copy;
    }

    private void restore(Path copy) throws IOException {
        Files.deleteIfExists(folder.resolve("logbook.db-wal"));
        Files.deleteIfExists(folder.resolve("logbook.db-shm"));
        Files.copy(copy, folder.resolve("logbook.db"), StandardCopyOption.REPLACE_EXISTING);
    }

    @Test
    @Timeout(120)
    void checkingEndsAtOnceWhenWhoeverAskedHasEnough() {
        try (Logbook logbook = open()) {
            plate(logbook, "wren", "Wren");
            logbook.together(() -> {
                for (int i = 0; i < 14_000; i++) {
                    logbook.append("wren", new Body.Happened(Change.KNOCKED, ""), stamp());
                }
            });
            assertThatThrownBy(() -> logbook.verify(List.of(), checked -> {
                        throw new CancellationException("enough");
                    }))
                    .isInstanceOf(CancellationException.class);
            assertThat(logbook.verify(List.of()).entries())
                    .isEqualTo(logbook.head().entries())
                    .isGreaterThan(14_000);
        }
    }
}
