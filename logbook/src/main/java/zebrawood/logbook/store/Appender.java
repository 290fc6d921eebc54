package zebrawood.logbook.store;

import java.io.IOException;
import java.io.InputStream;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;

/**
 * Appends entries on one connection with held statements, each entry in one immediate transaction that is synced before
 * it counts as recorded.
 */
final class Appender implements AutoCloseable {

    /** a file goes in by the megabyte, so that its size does not matter */
    private static final int PART_BYTES = 1 << 20;

    private final EntryBytes codec;
    private final Connection connection;
    private final PreparedStatement tail;
    private final PreparedStatement head;
    private final PreparedStatement entry;
    private final PreparedStatement chain;
    private final PreparedStatement machine;
    private final PreparedStatement attachment;
    private final PreparedStatement part;
    private final PreparedStatement readBack;
    private final FilePlace place;
    private boolean together;

    Appender(Connection connection, EntryBytes codec, FilePlace place) throws SQLException {
        this.codec = codec;
        this.connection = connection;
        this.place = place;
        tail = connection.prepareStatement(
                "select number, hash from entry where machine_id = ? order by number desc limit 1");
        head = connection.prepareStatement("select position, row_hash from shop_chain order by position desc limit 1");
        entry = connection.prepareStatement(
                "insert into entry (machine_id, number, position, stands_at, corrects, kind, stop, verdict, fired,"
                        + " initials, recorded_at, previous, hash, bytes) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, "
                        + "?, ?, ?, ?)");
        chain = connection.prepareStatement(
                "insert into shop_chain (position, machine_id, number, hash, previous, row_hash) values (?, ?, ?, "
                        + "?, ?, ?)");
        machine = connection.prepareStatement("insert into machine (id, name, name_folded) values (?, ?, ?)"
                + " on conflict (id) do update set name = excluded.name, name_folded = excluded.name_folded");
        attachment = connection.prepareStatement(
                "insert into attachment (hash, length) values (?, ?) on conflict do nothing");
        part = connection.prepareStatement("insert into attachment_part (hash, part, bytes) values (?, ?, ?)");
        readBack = connection.prepareStatement("select entry.bytes, shop_chain.hash, machine.id from entry"
                + " join shop_chain on shop_chain.position = entry.position join machine on machine.id ="
                + " entry.machine_id where entry.machine_id = ? and entry.number = ?");
    }

    synchronized Entry append(
            String machineId,
            Body body,
            Optional<Entry.Correction> corrects,
            List<NewAttachment> files,
            Entry.Stamp stamp)
            throws SQLException {
        NamesOnRecord.check(machineId, stamp, body).ifPresent(wrong -> {
            throw new LogbookException("nothing was recorded: " + wrong);
        });
        List<Entry.Attachment> attachments = hashed(files);
        return inTransaction(() -> {
            attach(files, attachments);
            return write(machineId, body, corrects, attachments, stamp);
        });
    }

    /** Takes back an entry as it was stored elsewhere; it must be the next one of its machine and of the shop. */
    synchronized void takeBack(StoredEntry stored, Function<Entry.Attachment, NewAttachment.Content> files)
            throws SQLException {
        Entry read = codec.read(stored.bytes(), stored.hash());
        String where = "entry " + read.number() + " of machine " + read.place().machineId();
        if (!Hashes.of(stored.bytes()).equals(stored.hash())) {
            throw new LogbookException(where + " does not have the hash that stands beside it");
        }
        inTransaction(() -> {
            for (Entry.Attachment file : read.attachments()) {
                attach(file.sha256(), file.bytes(), file.name(), files.apply(file));
            }
            Tail tail = tail(read.place().machineId());
            String previous = EntryBytes.tree(stored.bytes()).path("previous").asText();
            if (read.number() != tail.number() + 1 || !previous.equals(tail.hash())) {
                throw new LogbookException(where + " does not follow the entry before it");
            }
            // by the bytes, as the plate may be one that only a newer program knows
            Optional<String> name =
                    Optional.ofNullable(EntryHead.of(stored.bytes()).plateName());
            if (name.isPresent()) {
                nameMachine(read.place().machineId(), name.get());
            }
            long position = chainOn(read.place().machineId(), read.number(), stored.hash());
            if (position != stored.position()) {
                throw new LogbookException(where + " does not stand at its place in the shop chain");
            }
            insert(read, position, previous, stored.bytes());
            return read;
        });
    }

    private interface Work<T> {
        T run() throws SQLException;
    }

    private <T> T inTransaction(Work<T> work) throws SQLException {
        if (together) {
            return work.run();
        }
        run("begin immediate");
        try {
            T done = work.run();
            commit();
            return done;
        } catch (SQLException | RuntimeException e) {
            rollback(e);
            throw e;
        }
    }

    /** Runs many appends as one transaction. */
    synchronized void together(Runnable appending) throws SQLException {
        run("begin immediate");
        together = true;
        try {
            appending.run();
            commit();
        } catch (SQLException | RuntimeException e) {
            rollback(e);
            throw e;
        } finally {
            together = false;
        }
    }

    /** An entry, also one that is not committed yet. */
    synchronized Optional<Entry> find(String machineId, int number) throws SQLException {
        try (PreparedStatement one =
                connection.prepareStatement("select hash, bytes from entry where machine_id = ? and number = ?")) {
            one.setString(1, machineId);
            one.setInt(2, number);
            try (ResultSet row = one.executeQuery()) {
                return row.next() ? Optional.of(codec.read(row.getBytes(2), row.getString(1))) : Optional.empty();
            }
        }
    }

    private void run(String statement) throws SQLException {
        try (Statement running = connection.createStatement()) {
            running.execute(statement);
        }
    }

    /** What is confirmed stands in the file that others open: before it counts, and after it was written. */
    private void commit() throws SQLException {
        place.mustBeTheSame();
        run("commit");
        place.mustBeTheSame();
    }

    private void rollback(Exception cause) {
        try {
            run("rollback");
        } catch (SQLException alreadyRolledBack) {
            cause.addSuppressed(alreadyRolledBack);
        }
    }

    /** Where a machine's chain ends. */
    private record Tail(int number, String hash) {}

    private Tail tail(String machineId) throws SQLException {
        tail.setString(1, machineId);
        try (ResultSet last = tail.executeQuery()) {
            return last.next() ? new Tail(last.getInt(1), last.getString(2)) : new Tail(0, Hashes.NONE);
        }
    }

    private Entry write(
            String machineId,
            Body body,
            Optional<Entry.Correction> corrects,
            List<Entry.Attachment> attachments,
            Entry.Stamp stamp)
            throws SQLException {
        Tail tail = tail(machineId);
        int number = tail.number() + 1;
        if (body instanceof Body.PlateSet plate) {
            refuseOverNewerPlate(machineId);
            nameMachine(machineId, plate.plate().name());
        } else if (number == 1) {
            throw new LogbookException("a machine begins with its plate");
        }
        byte[] bytes =
                codec.write(new EntryBytes.Head(machineId, number, tail.hash(), stamp, corrects, attachments), body);
        if (bytes.length > StoredEntry.LONGEST_BYTES) {
            throw new LogbookException("nothing was recorded: the entry would be " + (bytes.length >> 20)
                    + " MB long, and up to " + (StoredEntry.LONGEST_BYTES >> 20)
                    + " MB are kept; shorten what goes into it, or attach it as a file");
        }
        String hash = Hashes.of(bytes);
        Entry entry = new Entry(new Entry.Place(machineId, number, hash), stamp, body, corrects, attachments);
        insert(entry, chainOn(machineId, number, hash), tail.hash(), bytes);
        return entry;
    }

    /** A plate with parts that only a newer program knows would lose them, were another one put over it here. */
    private void refuseOverNewerPlate(String machineId) throws SQLException {
        try (PreparedStatement newest = connection.prepareStatement(
                "select hash, bytes from entry where machine_id = ? and kind = 'plate' order by number desc limit 1")) {
            newest.setString(1, machineId);
            try (ResultSet row = newest.executeQuery()) {
                if (row.next()) {
                    Entry entry = codec.read(row.getBytes(2), row.getString(1));
                    if (!entry.isWhollyKnown()) {
                        throw new LogbookException(
                                "nothing was recorded: the plate was recorded by the newer Zebrawood "
                                        + entry.stamp().program()
                                        + " and says what this one does not know; change it there, or update this "
                                        + "program");
                    }
                }
            }
        }
    }

    private void nameMachine(String machineId, String name) throws SQLException {
        machine.setString(1, machineId);
        machine.setString(2, name);
        machine.setString(3, folded(name));
        try {
            machine.executeUpdate();
        } catch (SQLException e) {
            if (String.valueOf(e.getMessage()).contains("name_folded")) {
                throw new LogbookException(
                        "a machine named " + name + " is in the shop already; give this one another name", e);
            }
            throw e;
        }
    }

    static String folded(String name) {
        return name.strip().toUpperCase(Locale.ROOT).toLowerCase(Locale.ROOT);
    }

    /** Reads each file once for its hash, before anything is locked. */
    private static List<Entry.Attachment> hashed(List<NewAttachment> files) {
        List<Entry.Attachment> attachments = new ArrayList<>();
        for (NewAttachment file : files) {
            MessageDigest digest = Hashes.digest();
            long length = 0;
            try (InputStream bytes = file.content().open()) {
                byte[] buffer = new byte[1 << 16];
                for (int read = bytes.read(buffer);
                        read >= 0 && length <= NewAttachment.LONGEST_BYTES;
                        read = bytes.read(buffer)) {
                    digest.update(buffer, 0, read);
                    length += read;
                }
            } catch (IOException e) {
                throw new LogbookException("nothing was recorded: the file " + file.name() + " cannot be read", e);
            }
            if (length > NewAttachment.LONGEST_BYTES) {
                throw new LogbookException("nothing was recorded: " + file.name() + " is longer than "
                        + NewAttachment.LONGEST_BYTES / 1_000_000 + " MB");
            }
            attachments.add(new Entry.Attachment(file.name(), Hashes.hex(digest.digest()), length));
        }
        return attachments;
    }

    private void attach(List<NewAttachment> files, List<Entry.Attachment> attachments) throws SQLException {
        for (int i = 0; i < files.size(); i++) {
            attach(
                    attachments.get(i).sha256(),
                    attachments.get(i).bytes(),
                    files.get(i).name(),
                    files.get(i).content());
        }
    }

    /** Copies the bytes of a file in rows of 1 MB; they must be those that were hashed. */
    private void attach(String hash, long length, String name, NewAttachment.Content content) throws SQLException {
        attachment.setString(1, hash);
        attachment.setLong(2, length);
        if (attachment.executeUpdate() == 0) {
            return;
        }
        MessageDigest digest = Hashes.digest();
        try (InputStream bytes = content.open()) {
            int n = 0;
            for (byte[] next = bytes.readNBytes(PART_BYTES); next.length > 0; next = bytes.readNBytes(PART_BYTES)) {
                digest.update(next);
                part.setString(1, hash);
                part.setInt(2, n++);
                part.setBytes(3, next);
                part.executeUpdate();
            }
        } catch (IOException e) {
            throw new LogbookException("nothing was recorded: the file " + name + " cannot be read", e);
        }
        if (!Hashes.hex(digest.digest()).equals(hash)) {
            throw new LogbookException(
                    "nothing was recorded: the file " + name + " changed or is not what its hash says; try again");
        }
    }

    private long chainOn(String machineId, int number, String hash) throws SQLException {
        long position = 1;
        String previous = Hashes.NONE;
        try (ResultSet last = head.executeQuery()) {
            if (last.next()) {
                position = last.getLong(1) + 1;
                previous = last.getString(2);
            }
        }
        chain.setLong(1, position);
        chain.setString(2, machineId);
        chain.setInt(3, number);
        chain.setString(4, hash);
        chain.setString(5, previous);
        chain.setString(6, Hashes.ofRow(position, machineId, number, hash, previous));
        chain.executeUpdate();
        return position;
    }

    private void insert(Entry written, long position, String previous, byte[] bytes) throws SQLException {
        entry.setString(1, written.place().machineId());
        entry.setInt(2, written.number());
        entry.setLong(3, position);
        entry.setInt(4, written.standsAt());
        if (written.corrects().isPresent()) {
            entry.setInt(5, written.corrects().get().number());
        } else {
            entry.setNull(5, Types.INTEGER);
        }
        entry.setString(6, EntryBytes.kind(written.body()));
        entry.setString(7, written.body().stop());
        entry.setString(8, EntryBytes.verdict(written.body()).orElse(null));
        entry.setInt(9, written.body().usedLaser() ? 1 : 0);
        entry.setString(10, written.stamp().by());
        entry.setString(11, written.stamp().at().toString());
        entry.setString(12, previous);
        entry.setString(13, written.place().hash());
        entry.setBytes(14, bytes);
        entry.executeUpdate();
        mustReadBack(written, bytes);
    }

    /** Reads through the same look-ups as a view what was just written, before it counts as recorded. */
    private void mustReadBack(Entry written, byte[] bytes) throws SQLException {
        readBack.setString(1, written.place().machineId());
        readBack.setInt(2, written.number());
        try (ResultSet row = readBack.executeQuery()) {
            if (!row.next()
                    || !Arrays.equals(row.getBytes(1), bytes)
                    || !written.place().hash().equals(row.getString(2))) {
                throw new LogbookException("nothing was recorded: the logbook did not keep what was written to it; run "
                        + "verify to see what is wrong with it");
            }
        }
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }
}
