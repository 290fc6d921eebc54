package zebrawood.logbook.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.logging.Level;
import java.util.logging.Logger;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;

/**
 * Brings a database to the newest schema. Its version is read with plain JDBC: the migration library is loaded only
 * when there is something to migrate.
 */
final class Schema {

    /** the newest migration that this program knows */
    static final int NEWEST = 3;
    /** where the migrations stand among the resources */
    static final String LOCATION = "zebrawood/logbook/migration";
    /** all of them, in their order */
    static final List<String> MIGRATIONS =
            List.of("V1__entries.sql", "V2__never_changed.sql", "V3__narrower_indexes.sql");

    private Schema() {}

    /** The version of a database; 0 where it is empty. */
    static int version(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            try (ResultSet table = statement.executeQuery(
                    "select 1 from sqlite_master where type = 'table' and name = 'flyway_schema_history'")) {
                if (!table.next()) {
                    return 0;
                }
            }
            try (ResultSet newest = statement.executeQuery(
                    "select max(cast(version as integer)) from flyway_schema_history where success = 1")) {
                return newest.next() ? newest.getInt(1) : 0;
            }
        }
    }

    /** Whether tables of something else stand in a database that has no version. */
    static boolean holdsSomethingElse(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet table = statement.executeQuery(
                        "select 1 from sqlite_master where tbl_name <> 'flyway_schema_history' limit 1")) {
            return table.next();
        }
    }

    /** Brings an older database to the newest schema. */
    static void migrate(DataSource source) {
        Migrations.run(source);
    }

    /** Apart, so that the library is not loaded with this class. */
    private static final class Migrations {
        /** held, so that its level is; what it would say is thrown too, and told in our words */
        private static final Logger ITS_OWN = Logger.getLogger("org.flywaydb");

        static void run(DataSource source) {
            ITS_OWN.setLevel(Level.OFF);
            Flyway.configure()
                    .dataSource(source)
                    .locations("classpath:" + LOCATION)
                    .load()
                    .migrate();
        }
    }
}
