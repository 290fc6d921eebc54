package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.SQLException;
import java.util.Optional;
import org.sqlite.SQLiteDataSource;

/**
 * The connections that read a logbook. Where its folder may not be written to, and nobody recorded when it was opened,
 * the file is read as it lies there; as soon as its owner records, it is opened anew.
 */
final class Reading {

    private final Path folder;
    private final Path file;
    private SQLiteDataSource source;
    private Rows rows;
    private Optional<Lies> lies;

    /** What is done with the logbook's rows. */
    interface Work<T> {
        T on(Rows rows) throws SQLException;
    }

    /** What is closed besides. */
    interface Closing {
        void close() throws SQLException;
    }

    /** How a file lies there that is read without the log beside it. */
    private record Lies(long length, FileTime changed, boolean hasLog) {
        static Lies of(Path file) {
            try {
                return new Lies(
                        Files.size(file),
                        Files.getLastModifiedTime(file),
                        Files.exists(file.resolveSibling(Database.NAME + "-wal")));
            } catch (IOException gone) {
                return new Lies(-1, FileTime.fromMillis(0), false);
            }
        }
    }

    Reading(Path folder, Opening.Opened opened) {
        this(folder, opened, Database.isReadAsItLies(folder.resolve(Database.NAME)));
    }

    /** @param asItLies whether the file is read without the log beside it */
    Reading(Path folder, Opening.Opened opened, boolean asItLies) {
        this.folder = folder;
        this.file = folder.resolve(Database.NAME);
        this.source = opened.source();
        this.rows = new Rows(opened.reading());
        this.lies = asItLies ? Optional.of(Lies.of(file)) : Optional.empty();
    }

    synchronized SQLiteDataSource source() {
        return source;
    }

    /** Reads on the connection that is held. */
    synchronized <T> T read(Work<T> work) {
        try {
            openAnewWhereChanged();
            return work.on(rows);
        } catch (SQLException e) {
            if (lies.filter(then -> !then.equals(Lies.of(file))).isPresent()) {
                throw new LogbookException("the logbook is being recorded in just now; look again in a moment", e);
            }
            throw Opening.unread(folder, e);
        }
    }

    private void openAnewWhereChanged() throws SQLException {
        if (lies.isEmpty() || lies.get().equals(Lies.of(file))) {
            return;
        }
        rows.close();
        source = Database.readOnly(file);
        rows = new Rows(source.getConnection());
        lies = Database.isReadAsItLies(file) ? Optional.of(Lies.of(file)) : Optional.empty();
    }

    /** Long work, on a connection of its own. */
    <T> T apart(Work<T> work) {
        try (Rows own = new Rows(source().getConnection())) {
            return work.on(own);
        } catch (SQLException e) {
            throw Opening.unread(folder, e);
        }
    }

    synchronized void close(Closing besides) throws SQLException {
        rows.close();
        besides.close();
    }
}
