package zebrawood.logbook.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;

/**
 * Brings a database to the newest schema. Its version is read with plain JDBC: the migration library is loaded
 * only when there is something to migrate.
 */
final class Schema {

    static final int NEWEST = 2;

    private Schema() {}

    /** @throws LogbookException where the database was written by a newer version of the program */
    static void bringUpToDate(DataSource source) throws SQLException {
        int version = version(source);
        if (version > NEWEST) {
            throw new LogbookException("this logbook was written by a newer Zebrawood (schema " + version
                    + ", this one knows " + NEWEST + "); update the program, the logbook is left as it is");
        }
        if (version < NEWEST) {
            Migrations.run(source);
        }
    }

    private static int version(DataSource source) throws SQLException {
        try (Connection connection = source.getConnection(); Statement statement = connection.createStatement()) {
            try (ResultSet table = connection.getMetaData().getTables(null, null, "flyway_schema_history", null)) {
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
