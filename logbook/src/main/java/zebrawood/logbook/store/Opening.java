package zebrawood.logbook.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import org.sqlite.SQLiteDataSource;

/**
 * Opens a logbook's file: made where there is none, brought to the newest schema, for reading only where it may not be
 * written.
 */
final class Opening {

    /** left beside a file that was found damaged while it was open */
    static final String FOUND_DAMAGED = "found-damaged.txt";

    /**
     * A file that is open.
     *
     * @param reading the connection that reads
     * @param whyReadOnly why nothing can be recorded, where it cannot; as the end of a sentence
     */
    record Opened(SQLiteDataSource source, Connection reading, Optional<String> whyReadOnly) {
        /** Lets go of it where it is not used after all. */
        void close() {
            try {
                reading.close();
            } catch (SQLException gone) {
                // nothing was written to it
            }
        }
    }

    private Opening() {}

    /**
     * Opens the file in a folder.
     *
     * @throws DamagedLogbookException where the file is damaged
     * @throws LogbookException with one sentence where it cannot be opened otherwise
     */
    static Opened of(Path folder) {
        Path file = folder.resolve(Database.NAME);
        try {
            boolean writable = mayWrite(folder, file);
            Optional<String> damage = Files.exists(folder.resolve(FOUND_DAMAGED))
                    ? Optional.of("parts of its file could not be read last time")
                    : Database.damage(file);
            if (damage.isPresent()) {
                throw new DamagedLogbookException("the logbook in " + folder + " is damaged: " + damage.get(), null);
            }
            SQLiteDataSource source = writable ? Database.source(file) : Database.readOnly(file);
            Connection connection = source.getConnection();
            try {
                return opened(folder, source, connection, writable);
            } catch (SQLException | RuntimeException e) {
                connection.close();
                throw e;
            }
        } catch (IOException e) {
            throw new LogbookException(
                    "the folder " + folder + " cannot be made or written to; choose another one with --data", e);
        } catch (SQLException | RuntimeException e) {
            throw unopened(folder, e);
        }
    }

    private static Opened opened(Path folder, SQLiteDataSource source, Connection connection, boolean writable)
            throws SQLException, IOException {
        int version = Schema.version(connection);
        if (version > Schema.NEWEST) {
            connection.close();
            SQLiteDataSource untouched = Database.readOnly(folder.resolve(Database.NAME));
            return new Opened(
                    untouched,
                    untouched.getConnection(),
                    Optional.of("it was written by a newer Zebrawood (schema " + version + ", this one knows "
                            + Schema.NEWEST + "); update the program to record"));
        } else if (!writable && version == Schema.NEWEST) {
            return new Opened(source, connection, Optional.of("its folder may not be written to"));
        } else if (!writable) {
            throw new LogbookException("the folder " + folder
                    + " may not be written to and holds no logbook of this version; choose another one with --data");
        }
        if (version < Schema.NEWEST) {
            if (version > 0) {
                // it is as of when it was written last
                new Backups(folder)
                        .make(Files.getLastModifiedTime(folder.resolve(Database.NAME))
                                .toInstant());
            }
            Schema.migrate(source);
        }
        return new Opened(source, connection, Optional.empty());
    }

    private static boolean mayWrite(Path folder, Path file) throws IOException {
        if (Files.isDirectory(folder) && Files.exists(file)) {
            return Files.isWritable(folder) && Files.isWritable(file);
        }
        Files.createDirectories(folder);
        return Files.isWritable(folder);
    }

    /** Why a logbook cannot be opened, in one sentence. */
    static LogbookException unopened(Path folder, Exception e) {
        if (e instanceof LogbookException told) {
            return told;
        } else if (Database.isDamage(e)) {
            return new DamagedLogbookException("the logbook in " + folder + " is damaged and cannot be opened", e);
        }
        return new LogbookException("the logbook in " + folder + " cannot be opened: " + Database.inWords(e), e);
    }

    /** Why something could not be read; a damage is marked, so that the next start offers a backup. */
    static LogbookException unread(Path folder, SQLException e) {
        if (!Database.isDamage(e)) {
            return new LogbookException("the logbook cannot be read: " + Database.inWords(e), e);
        }
        try {
            Files.writeString(
                    folder.resolve(FOUND_DAMAGED), "The logbook's file was found damaged: " + e.getMessage() + "\n");
        } catch (IOException unmarked) {
            e.addSuppressed(unmarked);
        }
        return new DamagedLogbookException(
                "the logbook's file is damaged; close the program and start it again to restore it from a backup", e);
    }
}
