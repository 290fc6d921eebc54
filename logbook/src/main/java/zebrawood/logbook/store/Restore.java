package zebrawood.logbook.store;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;

/**
 * The way out of a damaged logbook: a backup is put in its place, and what was recorded since is taken back from the
 * damaged file as far as it can still be read and its chain holds. The damaged file is kept beside it.
 */
public final class Restore {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);
    /** entries taken out of a damaged file: more than a backup can be behind */
    private static final int MOST_BACK = 100_000;

    private final Path folder;
    private final List<Procedure<?, ?>> procedures;

    /**
     * What can be had back.
     *
     * @param backup which copy is put back
     * @param entries how many entries it holds
     * @param back how many more can still be read from the damaged file
     * @param lacking how many entries are known to be lost; empty where the damaged file does not even tell
     * @param flawed how many newer copies are flawed
     */
    public record Offer(Backups.Backup backup, long entries, int back, Optional<Long> lacking, long flawed) {

        /** What it brings and what it lacks, in words. */
        public String inWords(ZoneOffset zone) {
            String made = WHEN.format(backup.at().atOffset(zone));
            String more = back == 0
                    ? ""
                    : " " + back + (back == 1 ? " entry" : " entries")
                            + " recorded after it can still be read from the damaged file and come back too.";
            String lost = lacking.isEmpty()
                    ? " What was recorded after it may be lost: the damaged file does not tell how much that is."
                    : lacking.get() == 0
                            ? " Nothing that is known of is lost."
                            : " " + lacking.get() + (lacking.get() == 1 ? " entry" : " entries")
                                    + " recorded after it cannot be read any more and are lost.";
            String passedOver = flawed == 0
                    ? ""
                    : flawed == 1
                            ? " A newer copy is flawed and is left alone."
                            : " " + flawed + " newer copies are flawed and are left alone.";
            return "The newest whole backup was made on " + made + " and holds " + entries + " entries." + passedOver
                    + more + lost;
        }
    }

    /** What was done: entries of the backup, entries taken back, and where the damaged file lies now. */
    public record Done(long entries, int back, Path damaged) {}

    /**
     * Looks at a folder; nothing is opened or changed before it is asked.
     *
     * @param folder the one with the damaged logbook
     * @param procedures what can be judged
     */
    public Restore(Path folder, List<Procedure<?, ?>> procedures) {
        this.folder = folder;
        this.procedures = procedures;
    }

    /** What can be had back from the newest whole backup; empty where there is none. */
    public Optional<Offer> offer() {
        long flawed = 0;
        for (Backups.Backup backup : new Backups(folder).list()) {
            if (!backup.whole()) {
                flawed++;
                continue;
            }
            try (Connection copy = Database.readOnly(backup.file()).getConnection()) {
                Verification found = Verification.of(copy, List.of(), checked -> {});
                if (!found.holds()) {
                    flawed++;
                } else {
                    Optional<Long> reached = reached();
                    List<StoredEntry> more = readable(folder.resolve(Database.NAME), found.entries());
                    int back = more.size();
                    return Optional.of(new Offer(
                            backup,
                            found.entries(),
                            back,
                            reached.map(newest -> Math.max(0, newest - found.entries() - back)),
                            flawed));
                }
            } catch (SQLException damagedToo) {
                flawed++;
            }
        }
        return Optional.empty();
    }

    /** The newest position that the damaged file still tells of. */
    private Optional<Long> reached() {
        long newest = -1;
        for (String table : List.of("shop_chain", "entry")) {
            try (Connection damaged =
                            Database.source(folder.resolve(Database.NAME)).getConnection();
                    PreparedStatement last = damaged.prepareStatement("select max(position) from " + table);
                    ResultSet row = last.executeQuery()) {
                newest = row.next() ? Math.max(newest, row.getLong(1)) : newest;
            } catch (SQLException unreadable) {
                // the other table may still tell
            }
        }
        return newest < 0 ? Optional.empty() : Optional.of(newest);
    }

    /** Entries after a position, one after the other, up to the first that cannot be read or is not whole. */
    private static List<StoredEntry> readable(Path file, long after) {
        List<StoredEntry> read = new ArrayList<>();
        try (Connection damaged = Database.source(file).getConnection();
                PreparedStatement one = damaged.prepareStatement("select hash, bytes from entry where position = ?")) {
            for (long position = after + 1; read.size() < MOST_BACK; position++) {
                one.setLong(1, position);
                try (ResultSet row = one.executeQuery()) {
                    if (!row.next() || !Hashes.of(row.getBytes(2)).equals(row.getString(1))) {
                        return read;
                    }
                    read.add(new StoredEntry(position, row.getString(1), row.getBytes(2)));
                }
            }
        } catch (SQLException unreadable) {
            return read;
        }
        return read;
    }

    /**
     * Puts a backup in the place of the damaged file.
     *
     * @throws LogbookException where that cannot be done; then everything lies as before
     */
    public Done run(Offer offer, Instant now) {
        Path aside = folder.resolve("damaged-" + STAMP.format(now));
        Path fresh = folder.resolve("restoring.db");
        try {
            Files.createDirectories(aside);
            Files.copy(offer.backup().file(), fresh, StandardCopyOption.REPLACE_EXISTING);
            Backups.sync(fresh);
            for (String end : List.of("", "-wal", "-shm")) {
                Path part = folder.resolve(Database.NAME + end);
                if (Files.exists(part)) {
                    Files.move(part, aside.resolve(Database.NAME + end), StandardCopyOption.REPLACE_EXISTING);
                }
            }
            Files.move(fresh, folder.resolve(Database.NAME), StandardCopyOption.ATOMIC_MOVE);
            Files.deleteIfExists(folder.resolve(Opening.FOUND_DAMAGED));
        } catch (IOException e) {
            throw new LogbookException(
                    "the backup could not be put back: is there room on the disk, and may " + folder
                            + " be written to?",
                    e);
        }
        return new Done(offer.entries(), takeBack(aside.resolve(Database.NAME), offer.entries()), aside);
    }

    private int takeBack(Path damaged, long after) {
        int back = 0;
        List<StoredEntry> more = readable(damaged, after);
        try (Logbook logbook = Logbook.open(folder, procedures)) {
            for (StoredEntry stored : more) {
                logbook.takeBack(stored, file -> () -> parts(damaged, file));
                back++;
            }
        } catch (LogbookException noFurther) {
            return back;
        }
        return back;
    }

    private static InputStream parts(Path damaged, Entry.Attachment file) throws IOException {
        List<InputStream> parts = new ArrayList<>();
        try (Connection connection = Database.source(damaged).getConnection();
                PreparedStatement query =
                        connection.prepareStatement("select bytes from attachment_part where hash = ? order by part")) {
            query.setString(1, file.sha256());
            try (ResultSet row = query.executeQuery()) {
                while (row.next()) {
                    parts.add(new ByteArrayInputStream(row.getBytes(1)));
                }
            }
        } catch (SQLException e) {
            throw new IOException(e);
        }
        return new SequenceInputStream(Collections.enumeration(parts));
    }
}
