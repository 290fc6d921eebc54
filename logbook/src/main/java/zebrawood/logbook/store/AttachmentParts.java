package zebrawood.logbook.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;

/** Where the parts of attachments stand, found past every index. */
final class AttachmentParts {

    private AttachmentParts() {}

    /** Of each attachment, by its hash: the row of each part, by its number from 0. */
    static Map<String, TreeMap<Integer, Long>> of(Connection connection) throws SQLException {
        Map<String, TreeMap<Integer, Long>> parts = new HashMap<>();
        try (PreparedStatement statement =
                        connection.prepareStatement("select rowid, hash, part from attachment_part not indexed");
                ResultSet row = statement.executeQuery()) {
            while (row.next()) {
                parts.computeIfAbsent(row.getString(2), hash -> new TreeMap<>()).put(row.getInt(3), row.getLong(1));
            }
        }
        return parts;
    }

    /** The bytes of a part; none where its row cannot be found. */
    static byte[] read(Connection connection, long row) throws SQLException {
        try (PreparedStatement part =
                connection.prepareStatement("select bytes from attachment_part not indexed where rowid = ?")) {
            part.setLong(1, row);
            try (ResultSet found = part.executeQuery()) {
                byte[] bytes = found.next() ? found.getBytes(1) : null;
                return bytes == null ? new byte[0] : bytes;
            }
        }
    }
}
