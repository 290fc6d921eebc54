package zebrawood.logbook.store;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Optional;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** The database file of a logbook: how it is opened, and what its errors mean in words. */
final class Database {

    static final String NAME = "logbook.db";

    /** how long another program may write before this one says so */
    private static final int BUSY_MILLIS = 10_000;
    /** pages kept: the busy part of a large shop, and little beside the window */
    private static final int CACHE_KB = 32_000;

    private static final String MAGIC = "SQLite format 3\0";

    private Database() {}

    /** WAL with synchronous FULL on every connection. */
    static SQLiteDataSource source(Path file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.setBusyTimeout(BUSY_MILLIS);
        config.setCacheSize(-CACHE_KB);
        return source(config, "jdbc:sqlite:" + file);
    }

    /** For reading only; a folder that cannot be written to cannot have the log beside it that others share. */
    static SQLiteDataSource readOnly(Path file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(true);
        config.setBusyTimeout(BUSY_MILLIS);
        config.setCacheSize(-CACHE_KB);
        return source(
                config,
                isReadAsItLies(file)
                        ? "jdbc:sqlite:" + file.toAbsolutePath().toUri() + "?immutable=1"
                        : "jdbc:sqlite:" + file);
    }

    /** Whether a file is read as it lies there, without a log beside it: nobody records, and none can be made. */
    static boolean isReadAsItLies(Path file) {
        return !Files.isWritable(file.toAbsolutePath().getParent())
                && !Files.exists(file.resolveSibling(NAME + "-wal"));
    }

    private static SQLiteDataSource source(SQLiteConfig config, String url) {
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl(url);
        return source;
    }

    /**
     * What is plainly wrong with a file before it is opened; empty where nothing is. A file may be shorter than it says
     * while the rest of it still stands in the log beside it.
     */
    static Optional<String> damage(Path file) throws IOException {
        if (!Files.exists(file) || Files.size(file) == 0) {
            return Optional.empty();
        }
        try (RandomAccessFile bytes = new RandomAccessFile(file.toFile(), "r")) {
            byte[] magic = new byte[16];
            if (bytes.length() < 100
                    || bytes.read(magic) < 16
                    || !new String(magic, StandardCharsets.ISO_8859_1).equals(MAGIC)) {
                return Optional.of("it is no longer a database");
            }
            int size = bytes.readUnsignedShort();
            long pageSize = size == 1 ? 65_536 : size;
            bytes.seek(24);
            int changes = bytes.readInt();
            long pages = bytes.readInt() & 0xFFFF_FFFFL;
            bytes.seek(92);
            Path log = file.resolveSibling(NAME + "-wal");
            boolean counted = bytes.readInt() == changes && (!Files.exists(log) || Files.size(log) == 0);
            long whole = pages * pageSize;
            return counted && bytes.length() < whole
                    ? Optional.of("it was cut off: " + bytes.length() + " of " + whole + " bytes are there")
                    : Optional.empty();
        }
    }

    /** Whether an error comes from the database itself, which says what it is. */
    static boolean isCoded(Throwable error) {
        return code(error).isPresent();
    }

    /** Whether an error says that the file itself is damaged. */
    static boolean isDamage(Throwable error) {
        return code(error)
                .filter(code -> code == SQLiteErrorCode.SQLITE_CORRUPT
                        || code == SQLiteErrorCode.SQLITE_NOTADB
                        || code.name().startsWith("SQLITE_CORRUPT"))
                .isPresent();
    }

    /** What an error means, as the end of a sentence. */
    static String inWords(Throwable error) {
        String name = code(error).map(Enum::name).orElse("");
        if (name.startsWith("SQLITE_FULL")) {
            return "the disk is full; free some space and record again";
        } else if (name.startsWith("SQLITE_IOERR")) {
            return "the disk could not be read or written; look whether it is still there and has room, and try again";
        } else if (name.startsWith("SQLITE_READONLY")
                || name.startsWith("SQLITE_CANTOPEN")
                || name.startsWith("SQLITE_PERM")) {
            return "its folder may not be written to";
        } else if (name.startsWith("SQLITE_BUSY") || name.startsWith("SQLITE_LOCKED")) {
            return "another program has held the logbook for " + BUSY_MILLIS / 1000 + " seconds; record again";
        } else if (isDamage(error)) {
            return "its file is damaged; close the program and start it again to restore it from a backup";
        }
        if (error instanceof LogbookException told) {
            return told.getMessage();
        }
        return "its file could not be read or written as it should" + (name.isEmpty() ? "" : " (" + name + ")")
                + "; look whether the disk is full, and try again";
    }

    private static Optional<SQLiteErrorCode> code(Throwable error) {
        for (Throwable cause = error; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLiteException sqlite) {
                return Optional.of(sqlite.getResultCode());
            } else if (cause instanceof SQLException plain && plain.getErrorCode() != 0) {
                return Optional.of(SQLiteErrorCode.getErrorCode(plain.getErrorCode()));
            }
        }
        return Optional.empty();
    }
}
