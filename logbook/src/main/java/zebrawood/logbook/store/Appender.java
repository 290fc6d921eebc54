package zebrawood.logbook.store;

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
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;

/**
 * Appends entries on one connection with held statements, each entry in one immediate transaction that is synced
 * before it counts as recorded.
 */
final class Appender implements AutoCloseable {

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
    private boolean together;

    Appender(Connection connection, EntryBytes codec) throws SQLException {
        this.codec = codec;
        this.connection = connection;
        tail = connection.prepareStatement("select number, hash from entry where machine_id = ? order by number desc limit 1");
        head = connection.prepareStatement("select position, row_hash from shop_chain order by position desc limit 1");
        entry = connection.prepareStatement("insert into entry (machine_id, number, position, stands_at, corrects, kind, stop, verdict, fired,"
                + " initials, recorded_at, previous, hash, bytes) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)");
        chain = connection.prepareStatement(
                "insert into shop_chain (position, machine_id, number, hash, previous, row_hash) values (?, ?, ?, ?, ?, ?)");
        machine = connection.prepareStatement("insert into machine (id, name, name_folded) values (?, ?, ?)"
                + " on conflict (id) do update set name = excluded.name, name_folded = excluded.name_folded");
        attachment = connection.prepareStatement("insert into attachment (hash, length) values (?, ?) on conflict do nothing");
        part = connection.prepareStatement("insert into attachment_part (hash, part, bytes) values (?, ?, ?)");
    }

    synchronized Entry append(
            String machineId, Body body, Optional<Entry.Correction> corrects, List<Logbook.NewAttachment> files, Entry.Stamp stamp)
            throws SQLException {
        if (together) {
            return write(machineId, body, corrects, files, stamp);
        }
        run("begin immediate");
        try {
            Entry written = write(machineId, body, corrects, files, stamp);
            run("commit");
            return written;
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
            run("commit");
        } catch (SQLException | RuntimeException e) {
            rollback(e);
            throw e;
        } finally {
            together = false;
        }
    }

    /** An entry, also one that is not committed yet. */
    synchronized Optional<Entry> find(String machineId, int number) throws SQLException {
        try (PreparedStatement one = connection.prepareStatement("select hash, bytes from entry where machine_id = ? and number = ?")) {
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

    private void rollback(Exception cause) {
        try {
            run("rollback");
        } catch (SQLException alreadyRolledBack) {
            cause.addSuppressed(alreadyRolledBack);
        }
    }

    private Entry write(
            String machineId, Body body, Optional<Entry.Correction> corrects, List<Logbook.NewAttachment> files, Entry.Stamp stamp)
            throws SQLException {
        int number = 1;
        String previous = Hashes.NONE;
        tail.setString(1, machineId);
        try (ResultSet last = tail.executeQuery()) {
            if (last.next()) {
                number = last.getInt(1) + 1;
                previous = last.getString(2);
            }
        }
        if (body instanceof Body.PlateSet plate) {
            nameMachine(machineId, plate);
        } else if (number == 1) {
            throw new LogbookException("a machine begins with its plate");
        }
        List<Entry.Attachment> attachments = attach(files);
        byte[] bytes = codec.write(new EntryBytes.Head(machineId, number, previous, stamp, corrects, attachments), body);
        String hash = Hashes.of(bytes);
        long position = chainOn(machineId, number, hash);
        insert(machineId, number, position, corrects, body, stamp, previous, hash, bytes);
        return new Entry(new Entry.Place(machineId, number, hash), stamp, body, corrects, attachments);
    }

    private void nameMachine(String machineId, Body.PlateSet plate) throws SQLException {
        machine.setString(1, machineId);
        machine.setString(2, plate.plate().name());
        machine.setString(3, folded(plate.plate().name()));
        try {
            machine.executeUpdate();
        } catch (SQLException e) {
            if (String.valueOf(e.getMessage()).contains("name_folded")) {
                throw new LogbookException("a machine named " + plate.plate().name() + " is in the shop already; give this one another name", e);
            }
            throw e;
        }
    }

    static String folded(String name) {
        return name.strip().toUpperCase(Locale.ROOT).toLowerCase(Locale.ROOT);
    }

    private List<Entry.Attachment> attach(List<Logbook.NewAttachment> files) throws SQLException {
        List<Entry.Attachment> attachments = new ArrayList<>();
        for (Logbook.NewAttachment file : files) {
            String hash = Hashes.of(file.bytes());
            attachments.add(new Entry.Attachment(file.name(), hash, file.bytes().length));
            attachment.setString(1, hash);
            attachment.setLong(2, file.bytes().length);
            if (attachment.executeUpdate() == 0) {
                continue;
            }
            for (int from = 0, n = 0; from < file.bytes().length; from += PART_BYTES, n++) {
                part.setString(1, hash);
                part.setInt(2, n);
                part.setBytes(3, Arrays.copyOfRange(file.bytes(), from, Math.min(file.bytes().length, from + PART_BYTES)));
                part.executeUpdate();
            }
        }
        return attachments;
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

    private void insert(
            String machineId, int number, long position, Optional<Entry.Correction> corrects, Body body, Entry.Stamp stamp,
            String previous, String hash, byte[] bytes) throws SQLException {
        entry.setString(1, machineId);
        entry.setInt(2, number);
        entry.setLong(3, position);
        entry.setInt(4, corrects.map(Entry.Correction::standsAt).orElse(number));
        if (corrects.isPresent()) {
            entry.setInt(5, corrects.get().number());
        } else {
            entry.setNull(5, Types.INTEGER);
        }
        entry.setString(6, EntryBytes.kind(body));
        entry.setString(7, body.stop());
        entry.setString(8, EntryBytes.verdict(body).map(Enum::name).orElse(null));
        entry.setInt(9, EntryBytes.fired(body) ? 1 : 0);
        entry.setString(10, stamp.by());
        entry.setString(11, stamp.at().toString());
        entry.setString(12, previous);
        entry.setString(13, hash);
        entry.setBytes(14, bytes);
        entry.executeUpdate();
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }
}
