package zebrawood.logbook.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * A connection whose statements are prepared once and held. Used by one thread at a time, one statement within none of
 * the same text.
 */
final class Rows implements AutoCloseable {

    /** prepared statements: more than there are different ones */
    private static final int MOST_HELD = 100;

    private final Connection connection;
    private final Map<String, PreparedStatement> held = new HashMap<>();

    /** What is made of a row. */
    interface Reading<T> {
        T of(ResultSet row) throws SQLException;
    }

    /** What is done with a row. */
    interface Taking {
        void take(ResultSet row) throws SQLException;
    }

    Rows(Connection connection) {
        this.connection = connection;
    }

    Connection connection() {
        return connection;
    }

    /** @param bound a value for each question mark: text or whole numbers */
    <T> List<T> list(String sql, Reading<T> reading, Object... bound) throws SQLException {
        List<T> all = new ArrayList<>();
        try (ResultSet rows = bound(sql, bound).executeQuery()) {
            while (rows.next()) {
                all.add(reading.of(rows));
            }
        }
        return all;
    }

    /** @param more asked before each row: whether another one is wanted */
    <T> List<T> listWhile(BooleanSupplier more, String sql, Reading<T> reading, Object... bound) throws SQLException {
        List<T> all = new ArrayList<>();
        try (ResultSet rows = bound(sql, bound).executeQuery()) {
            while (more.getAsBoolean() && rows.next()) {
                all.add(reading.of(rows));
            }
        }
        return all;
    }

    void each(String sql, Taking taking, Object... bound) throws SQLException {
        try (ResultSet rows = bound(sql, bound).executeQuery()) {
            while (rows.next()) {
                taking.take(rows);
            }
        }
    }

    <T> Optional<T> first(String sql, Reading<T> reading, Object... bound) throws SQLException {
        try (ResultSet rows = bound(sql, bound).executeQuery()) {
            return rows.next() ? Optional.of(reading.of(rows)) : Optional.empty();
        }
    }

    int change(String sql, Object... bound) throws SQLException {
        return bound(sql, bound).executeUpdate();
    }

    private PreparedStatement bound(String sql, Object... bound) throws SQLException {
        PreparedStatement statement = held.get(sql);
        if (statement == null) {
            if (held.size() >= MOST_HELD) {
                letGo();
            }
            statement = connection.prepareStatement(sql);
            held.put(sql, statement);
        }
        for (int i = 0; i < bound.length; i++) {
            statement.setObject(i + 1, bound[i]);
        }
        return statement;
    }

    private void letGo() throws SQLException {
        for (PreparedStatement statement : held.values()) {
            statement.close();
        }
        held.clear();
    }

    @Override
    public void close() throws SQLException {
        letGo();
        connection.close();
    }
}
