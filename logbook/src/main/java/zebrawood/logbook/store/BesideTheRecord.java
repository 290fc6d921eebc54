package zebrawood.logbook.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import org.sqlite.SQLiteDataSource;
import zebrawood.logbook.store.Verification.Flaw;

/**
 * Checks what stands beside what was recorded: the schema, object by object, against the one that the migrations make;
 * every index row by row against its table; the pages of the file. A trigger that swallows rows, or an index that
 * misses one, would hide what stands on record.
 */
final class BesideTheRecord {

    /** entries whose places in all indexes are looked up within some seconds */
    private static final long LARGE = 50_000;
    /** what one disk fault touches is told; a thousand lines of it tell no more */
    private static final int MOST_TOLD = 200;
    /** the migration library's own table and index, whose text follows its version */
    private static final String OF_MIGRATIONS = "flyway_schema_history";

    private static final Map<Integer, Map<String, String>> WANTED = new ConcurrentHashMap<>();

    private BesideTheRecord() {}

    /** What does not hold, on a connection of its own. */
    static List<Flaw> flaws(SQLiteDataSource source) {
        try (Connection connection = source.getConnection()) {
            return flaws(connection);
        } catch (SQLException e) {
            return List.of(Flaw.beside("the database", "file", "cannot be checked: " + Database.inWords(e)));
        }
    }

    static List<Flaw> flaws(Connection connection) {
        List<Flaw> flaws = new ArrayList<>();
        try {
            schema(connection, flaws);
            // of a large one every page that holds something is read by the walk and by the totals
            if (!isLarge(connection)) {
                pages(connection, flaws);
            }
        } catch (SQLException e) {
            flaws.add(Flaw.beside("the database", "file", "cannot be checked: " + Database.inWords(e)));
        }
        return flaws;
    }

    private static void schema(Connection connection, List<Flaw> flaws) throws SQLException {
        Map<String, String> found = objects(connection);
        int version = Math.min(Schema.version(connection), Schema.NEWEST);
        Map<String, String> wanted = WANTED.computeIfAbsent(version, BesideTheRecord::wanted);
        TreeSet<String> names = new TreeSet<>(wanted.keySet());
        names.addAll(found.keySet());
        for (String name : names) {
            if (!found.containsKey(name)) {
                flaws.add(Flaw.beside("the schema", name, "is missing"));
            } else if (!wanted.containsKey(name)) {
                flaws.add(Flaw.beside("the schema", name, "does not belong to a logbook"));
            } else if (!Objects.equals(wanted.get(name), found.get(name))) {
                flaws.add(Flaw.beside("the schema", name, "is not as it was made"));
            }
        }
    }

    /** Every table, index, trigger and view with its text, but for those of the migration library. */
    private static Map<String, String> objects(Connection connection) throws SQLException {
        Map<String, String> objects = new TreeMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select type, name, tbl_name, sql from sqlite_master")) {
            while (row.next()) {
                String type = row.getString(1);
                boolean ofMigrations = OF_MIGRATIONS.equals(row.getString(3))
                        && List.of("table", "index").contains(type);
                if (!ofMigrations) {
                    objects.put(type + " " + row.getString(2) + " of " + row.getString(3), row.getString(4));
                }
            }
        }
        return objects;
    }

    /** The migrations up to a version, run on an empty database in memory. */
    private static Map<String, String> wanted(int version) {
        try (Connection empty = DriverManager.getConnection("jdbc:sqlite::memory:");
                Statement statement = empty.createStatement()) {
            for (String migration : Schema.MIGRATIONS.subList(0, version)) {
                try (InputStream text = Schema.class.getResourceAsStream("/" + Schema.LOCATION + "/" + migration)) {
                    statement.executeUpdate(new String(text.readAllBytes(), StandardCharsets.UTF_8));
                }
            }
            return objects(empty);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Whether a logbook is too large for each row to be looked up in each index while one waits: then
     * {@link IndexTotals} compares them.
     */
    private static boolean isLarge(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select max(rowid) from entry not indexed")) {
            return row.next() && row.getLong(1) > LARGE;
        }
    }

    /** What the indexes of a large logbook add up to; empty for one that is not large. */
    static Optional<IndexTotals.OfIndexes> totals(Connection connection) {
        try {
            return isLarge(connection) ? Optional.of(IndexTotals.ofIndexes(connection)) : Optional.empty();
        } catch (SQLException unreadable) {
            // told by whoever reads the rows
            return Optional.empty();
        }
    }

    /** Every page of the file, and every row in every index. */
    private static void pages(Connection connection, List<Flaw> flaws) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("pragma integrity_check(" + MOST_TOLD + ")")) {
            while (row.next()) {
                row.getString(1)
                        .lines()
                        .filter(line -> !line.equals("ok") && !line.startsWith("*** in database"))
                        .forEach(line -> flaws.add(Flaw.beside("the database", "file", "has a fault: " + line)));
            }
        }
    }
}
