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
    /** programs that start at the same moment after one was killed */
    private static final int FINISH_TRIES = 50;

    /**
     * A file that is open.
     *
     * @param reading the connection that reads
     * @param whyReadOnly why nothing can be recorded, where it cannot; as the end of a sentence
     * @param inUse keeps others from exchanging the file meanwhile
     */
    record Opened(SQLiteDataSource source, Connection reading, Optional<String> whyReadOnly, InUse inUse) {
        /** Lets go of it where it is not used after all. */
        void close() {
            try {
                reading.close();
            } catch (SQLException gone) {
                // nothing was written to it
            }
            inUse.close();
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
        InUse inUse = null;
        try {
            boolean writable = mayWrite(folder, file);
            inUse = together(folder);
            refuseDamage(folder, file);
            if (writable) {
                PrivateFiles.createIfMissing(file);
            }
            SQLiteDataSource source = writable ? Database.source(file) : Database.readOnly(file);
            Connection connection = source.getConnection();
            try {
                Opened opened = opened(folder, source, connection, writable, inUse);
                inUse = null;
                return opened;
            } catch (SQLException | RuntimeException e) {
                connection.close();
                throw e;
            }
        } catch (IOException e) {
            throw new LogbookException(
                    "the folder " + folder + " cannot be made or written to; choose another one with --data", e);
        } catch (SQLException | RuntimeException e) {
            throw unopened(folder, e);
        } finally {
            if (inUse != null) {
                inUse.close();
            }
        }
    }

    /** Shares it with others, after whatever was left half exchanged there is done. */
    private static InUse together(Path folder) throws IOException {
        for (int tries = 0; ; tries++) {
            InUse inUse = InUse.together(folder);
            if (!Exchange.isBegun(folder)) {
                return inUse;
            }
            inUse.close();
            try (InUse alone = InUse.alone(folder)) {
                if (Exchange.isBegun(folder)) {
                    Exchange.finish(folder);
                }
            } catch (LogbookException another) {
                // another program is about to do the same
                if (tries == FINISH_TRIES) {
                    throw another;
                }
            }
        }
    }

    private static void refuseDamage(Path folder, Path file) throws IOException {
        if (Files.exists(folder.resolve(FOUND_DAMAGED))) {
            throw new DamagedLogbookException(
                    "the logbook in " + folder + " is damaged: parts of its file could not be read last time", null);
        }
        boolean isThere = Files.exists(file);
        if (!isThere || Files.size(file) == 0 && !Files.exists(file.resolveSibling(Database.NAME + "-wal"))) {
            if (!new Backups(folder).whole().isEmpty()) {
                throw new DamagedLogbookException(
                        "the logbook in " + folder + " is " + (isThere ? "empty" : "missing")
                                + ", but backups of it lie beside it: this is no new shop",
                        null);
            }
        }
        Optional<String> damage = Database.damage(file);
        if (damage.isPresent()) {
            throw new DamagedLogbookException("the logbook in " + folder + " is damaged: " + damage.get(), null);
        }
    }

    private static Opened opened(
            Path folder, SQLiteDataSource source, Connection connection, boolean writable, InUse inUse)
            throws SQLException, IOException {
        int version = Schema.version(connection);
        if (version > Schema.NEWEST) {
            connection.close();
            SQLiteDataSource untouched = Database.readOnly(folder.resolve(Database.NAME));
            return new Opened(
                    untouched,
                    untouched.getConnection(),
                    Optional.of("it was written by a newer Zebrawood (schema " + version + ", this one knows "
                            + Schema.NEWEST + "); update the program to record"),
                    inUse);
        } else if (!writable && version == Schema.NEWEST) {
            return new Opened(source, connection, Optional.of("its folder may not be written to"), inUse);
        } else if (!writable) {
            throw new LogbookException("the folder " + folder
                    + " may not be written to and holds no logbook of this version; choose another one with --data");
        }
        if (version == 0 && Schema.holdsSomethingElse(connection)) {
            throw new LogbookException("the file " + folder.resolve(Database.NAME)
                    + " belongs to another program: it holds no logbook; name another folder with --data");
        }
        if (version < Schema.NEWEST) {
            if (version > 0) {
                // it is as of when it was written last
                new Backups(folder)
                        .make(Files.getLastModifiedTime(folder.resolve(Database.NAME))
                                .toInstant());
            }
            migrate(folder, source);
        }
        return new Opened(source, connection, Optional.empty(), inUse);
    }

    private static void migrate(Path folder, SQLiteDataSource source) {
        try {
            Schema.migrate(source);
        } catch (RuntimeException e) {
            throw Database.isCoded(e)
                    ? e
                    : new LogbookException(
                            "the logbook in " + folder
                                    + " could not be converted for this program; nothing was changed",
                            e);
        }
    }

    private static boolean mayWrite(Path folder, Path file) throws IOException {
        if (Files.isDirectory(folder) && Files.exists(file)) {
            return Files.isWritable(folder) && Files.isWritable(file);
        }
        PrivateFiles.createFolder(folder);
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
