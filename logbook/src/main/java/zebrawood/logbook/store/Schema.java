package zebrawood.logbook.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;

/**
 * Brings a database to the newest schema. Its version is read with plain JDBC: the migration library is loaded only
 * when there is something to migrate.
 */
final class Schema {

    /** the newest migration that this program knows */
    static final int NEWEST = 3;

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

    /** Brings an older database to the newest schema. */
    static void migrate(DataSource source) {
        Migrations.run(source);
    }

    /** Apart, so that the library is not loaded with this class. */
    private static final class Migrations {
        static void run(DataSource source) {
            Flyway.configure()
                    .dataSource(source)
                    .locations("classpath:zebrawood/logbook/migration")
                    .load()
                    .migrate();
        }
    }
}
