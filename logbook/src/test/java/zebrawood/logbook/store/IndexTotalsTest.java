package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Indexes of a logbook that is too large to look each row up in each of them. */
class IndexTotalsTest {

    @TempDir
    Path folder;

    @BeforeEach
    void fill() {
        try (Logbook logbook = Shop.open(folder)) {
            for (String id : new String[] {"plover", "heron"}) {
                Shop.begin(logbook, id, id);
                for (int day = 1; day <= 40; day++) {
                    logbook.append(id, day % 3 == 0 ? Shop.ramp(90) : Shop.climate(30 + day), Shop.day(day));
                }
                logbook.append(
                        id,
                        Shop.climate(50),
                        Optional.of(new Logbook.Correcting(2, "misread")),
                        List.of(),
                        Shop.day(50));
            }
        }
    }

    private Connection connection() throws SQLException {
        return DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("logbook.db"));
    }

    private static List<Verification.Flaw> flaws(Connection connection) throws SQLException {
        IndexTotals totals = new IndexTotals();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select bytes, position, stands_at from entry not indexed")) {
            while (row.next()) {
                totals.add(EntryHead.of(row.getBytes(1)), row.getLong(2), row.getString(3));
            }
        }
        return totals.flaws(IndexTotals.ofIndexes(connection));
    }

    @Test
    void whatIsWholeAddsUp() throws SQLException {
        try (Connection connection = connection()) {
            assertThat(flaws(connection)).isEmpty();
        }
    }

    /** A row is changed, its index taken out of the schema, the row changed back, and the index put back as it was. */
    @ParameterizedTest
    @CsvSource({
        "entry_by_stop, stop = 'elsewhere'",
        "entry_by_kind, kind = 'point'",
        "entry_by_machine_position, verdict = 'FAIL'",
        "entry_by_verdict_position, verdict = 'FAIL'",
        "entry_by_stop_verdict, verdict = 'FAIL'",
        "entry_by_stop_position, stop = 'elsewhere'"
    })
    void anIndexThatHoldsSomethingElseDoesNot(String index, String change) throws SQLException {
        String column = change.substring(0, change.indexOf(' '));
        run(
                "drop trigger entry_never_changed",
                "create table was as select " + column + " as c from entry where rowid = 7",
                "update entry set " + change + " where rowid = 7",
                "create table kept as select * from sqlite_master where name = '" + index + "'",
                "pragma writable_schema = on",
                "delete from sqlite_master where name = '" + index + "'");
        run("update entry set " + column + " = (select c from was) where rowid = 7");
        run("pragma writable_schema = on", "insert into sqlite_master select * from kept");
        try (Connection connection = connection()) {
            assertThat(flaws(connection)).extracting(Verification.Flaw::part).containsOnly("index " + index);
        }
    }

    private void run(String... statements) throws SQLException {
        try (Connection connection = connection();
                Statement statement = connection.createStatement()) {
            for (String each : statements) {
                statement.execute(each);
            }
        }
    }
}
