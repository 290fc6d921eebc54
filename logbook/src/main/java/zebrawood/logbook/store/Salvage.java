package zebrawood.logbook.store;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.json.Times;

/**
 * What can still be read from a damaged file: its rows, one after the other, past every index and past every column
 * that the entries themselves say better.
 */
final class Salvage {

    /** rows that cannot be read one after the other, until the rest is taken for unreadable too */
    private static final int MOST_UNREADABLE = 10_000;

    private final Path file;

    /**
     * What follows a position.
     *
     * @param entries how many can be read, one after the other, each with its hash
     * @param reached the newest position that the file still tells of
     * @param isAll whether those are all there were, with the chain's end where it should be
     */
    record Readable(long entries, Optional<Long> reached, boolean isAll) {}

    /** Takes what was read. */
    interface Taking {
        void take(StoredEntry stored) throws IOException;
    }

    Salvage(Path file) {
        this.file = file;
    }

    private boolean isThere() {
        return Files.exists(file);
    }

    /** How much can be read after a position. */
    Readable readable(long after, String head) {
        if (!isThere()) {
            return new Readable(0, Optional.empty(), false);
        }
        long[] reached = {after};
        String[] rowHash = {head};
        try {
            each(after, stored -> {
                EntryHead said = EntryHead.of(stored.bytes());
                if (stored.position() == reached[0] + 1) {
                    reached[0]++;
                    rowHash[0] = Hashes.ofRow(
                            reached[0], said.machine(), Integer.parseInt(said.number()), stored.hash(), rowHash[0]);
                }
            });
        } catch (IOException | RuntimeException unreadable) {
            // what was read so far counts
        }
        Optional<Long> newest = reached();
        boolean whole =
                newest.filter(position -> position == reached[0]).isPresent() && rowHash[0].equals(rowHash(reached[0]));
        return new Readable(reached[0] - after, newest, whole);
    }

    /** The newest position that the file still tells of. */
    private Optional<Long> reached() {
        long newest = -1;
        for (String table : List.of("shop_chain", "entry")) {
            for (String past : List.of(" not indexed", "")) {
                try (Connection damaged = Database.readOnly(file).getConnection();
                        PreparedStatement last = damaged.prepareStatement("select max(position) from " + table + past);
                        ResultSet row = last.executeQuery()) {
                    newest = row.next() ? Math.max(newest, row.getLong(1)) : newest;
                } catch (SQLException unreadable) {
                    // the other way or the other table may still tell
                }
            }
        }
        return newest < 0 ? Optional.empty() : Optional.of(newest);
    }

    private String rowHash(long position) {
        return chain("row_hash", position);
    }

    private String inChain(long position) {
        return chain("hash", position);
    }

    private String chain(String column, long position) {
        try (Connection damaged = Database.readOnly(file).getConnection();
                PreparedStatement row =
                        damaged.prepareStatement("select " + column + " from shop_chain not indexed where rowid = ?")) {
            row.setLong(1, position);
            try (ResultSet found = row.executeQuery()) {
                return found.next() ? String.valueOf(found.getString(1)) : "";
            }
        } catch (SQLException unreadable) {
            return "";
        }
    }

    /**
     * Every entry after a position that can be read and whose bytes have its hash; a row that cannot be read is passed
     * over. Its position is that of its row, as rows are only ever added.
     */
    void each(long after, Taking taking) throws IOException {
        if (!isThere()) {
            return;
        }
        try (Connection damaged = Database.readOnly(file).getConnection()) {
            long row = after;
            for (int unreadable = 0; unreadable < MOST_UNREADABLE; ) {
                try (PreparedStatement rows = damaged.prepareStatement(
                        "select rowid, hash, bytes from entry not indexed where rowid > ? order by rowid")) {
                    rows.setLong(1, row);
                    try (ResultSet read = rows.executeQuery()) {
                        while (read.next()) {
                            long next = read.getLong(1);
                            byte[] bytes = read.getBytes(3);
                            row = next;
                            unreadable = 0;
                            String hash = bytes == null ? "" : Hashes.of(bytes);
                            if (hash.equals(read.getString(2)) || !hash.isEmpty() && hash.equals(inChain(next))) {
                                taking.take(new StoredEntry(next, hash, bytes));
                            }
                        }
                        return;
                    }
                } catch (SQLException damage) {
                    row++;
                    unreadable++;
                }
            }
        } catch (SQLException unopened) {
            // then nothing can be read
        }
    }

    /**
     * Takes back what follows a logbook's last entry, as far as the chain holds.
     *
     * @return how many entries that were
     */
    long takeBackInto(Logbook logbook, int batchSize) throws IOException {
        if (!isThere()) {
            return 0;
        }
        Attachments files = new Attachments();
        Back back = new Back(logbook, batchSize, files);
        try {
            each(logbook.head().entries(), back::take);
            back.finish();
        } catch (Back.NoFurther end) {
            // the chain ends here
        }
        return back.count;
    }

    /** Half-typed readings, as far as they can be read. */
    void draftsInto(Logbook logbook) {
        if (!isThere()) {
            return;
        }
        try (Connection damaged = Database.readOnly(file).getConnection();
                PreparedStatement drafts =
                        damaged.prepareStatement("select machine_id, stop, content, saved_at from draft not indexed");
                ResultSet row = drafts.executeQuery()) {
            while (row.next()) {
                logbook.keepDraft(
                        row.getString(1),
                        row.getString(2),
                        new Logbook.Draft(row.getString(3), Times.instant(row.getString(4))));
            }
        } catch (SQLException | RuntimeException unreadable) {
            // no record: the rest is typed again
        }
    }

    private static final class Back {
        private final Logbook logbook;
        private final int size;
        private final Attachments files;
        private final List<StoredEntry> batch = new ArrayList<>();
        private long next;
        private long count;

        Back(Logbook logbook, int size, Attachments files) {
            this.logbook = logbook;
            this.size = size;
            this.files = files;
            this.next = logbook.head().entries() + 1;
        }

        private static final class NoFurther extends RuntimeException {
            private static final long serialVersionUID = 1L;
        }

        void take(StoredEntry stored) {
            if (stored.position() != next) {
                finish();
                throw new NoFurther();
            }
            next++;
            batch.add(stored);
            if (batch.size() == size) {
                finish();
            }
        }

        /** Takes what is gathered as one; where one of them does not follow, one by one up to that. */
        void finish() {
            try {
                logbook.together(() -> batch.forEach(stored -> logbook.takeBack(stored, files::of)));
                count += batch.size();
            } catch (LogbookException oneDoesNotFollow) {
                for (StoredEntry stored : batch) {
                    try {
                        logbook.takeBack(stored, files::of);
                        count++;
                    } catch (LogbookException noFurther) {
                        batch.clear();
                        throw new NoFurther();
                    }
                }
            }
            batch.clear();
        }
    }

    /** Attachments of the damaged file; where their parts stand is looked for once. */
    private final class Attachments {
        private Map<String, TreeMap<Integer, Long>> parts;

        NewAttachment.Content of(Entry.Attachment attachment) {
            return () -> bytes(attachment.sha256());
        }

        private InputStream bytes(String hash) throws IOException {
            try (Connection damaged = Database.readOnly(file).getConnection()) {
                if (parts == null) {
                    parts = AttachmentParts.of(damaged);
                }
                Collection<Long> rows =
                        parts.getOrDefault(hash, new TreeMap<>()).values();
                List<InputStream> streams = new ArrayList<>();
                for (long row : rows) {
                    streams.add(new ByteArrayInputStream(AttachmentParts.read(damaged, row)));
                }
                return new SequenceInputStream(Collections.enumeration(streams));
            } catch (SQLException e) {
                throw new IOException(e);
            }
        }
    }
}
