package zebrawood.logbook.store;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.HandleCallback;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.route.History;

/**
 * The logbook of a shop: a folder with one SQLite database, in WAL mode with synchronous FULL on every
 * connection. Entries are appended and never changed. May be used from several threads, and from several
 * programs at once.
 */
public final class Logbook implements AutoCloseable {

    private static final int NEWEST_READINGS = 24;
    private static final int BUSY_MS = 10_000;

    private final EntryBytes codec;
    private final Jdbi jdbi;
    private final Appender appender;
    private final Map<String, Entry> known = new ConcurrentHashMap<>();

    /** A machine's id and its name of today. */
    public record MachineName(String id, String name) {}

    /** A file to be kept with an entry. */
    public record NewAttachment(String name, byte[] bytes) {}

    /** Which entry a new one replaces, and why. */
    public record Correcting(int number, String why) {}

    /** Half-done readings: JSON text, and when it was kept. */
    public record Draft(String content, Instant savedAt) {}

    /** Where the shop chain ends: how many entries there are, and the hash of its last row. */
    public record Head(long entries, String hash) {}

    private Logbook(EntryBytes codec, SQLiteDataSource source) throws SQLException {
        this.codec = codec;
        this.jdbi = Jdbi.create(source);
        this.appender = new Appender(source.getConnection(), codec);
    }

    /**
     * Opens the logbook in a folder, made if it is not there.
     *
     * @param procedures whose readings stand in it
     * @throws LogbookException with one sentence where that cannot be
     */
    public static Logbook open(Path folder, List<Procedure<?, ?>> procedures) {
        try {
            Files.createDirectories(folder);
            SQLiteDataSource source = source(folder.resolve("logbook.db"));
            Schema.bringUpToDate(source);
            return new Logbook(new EntryBytes(procedures), source);
        } catch (IOException e) {
            throw new LogbookException("the folder " + folder + " cannot be made or written to; choose another one with --data", e);
        } catch (SQLException e) {
            throw unopened(folder, e);
        } catch (LogbookException e) {
            throw e;
        } catch (RuntimeException e) {
            throw unopened(folder, e);
        }
    }

    private static LogbookException unopened(Path folder, Exception e) {
        return new LogbookException("the logbook in " + folder + " cannot be opened: is the folder writable and the file whole? ("
                + String.valueOf(e.getMessage()).lines().findFirst().orElse("") + ")", e);
    }

    static SQLiteDataSource source(Path file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.setBusyTimeout(BUSY_MS);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl("jdbc:sqlite:" + file);
        return source;
    }

    /** Appends an entry; when this returns it survives a power cut. */
    public Entry append(String machineId, Body body, Entry.Stamp stamp) {
        return append(machineId, body, Optional.empty(), List.of(), stamp);
    }

    /**
     * Appends an entry; when this returns it survives a power cut.
     *
     * @param correcting the entry of the same stop that it replaces
     * @throws LogbookException with one sentence where it cannot be recorded; then nothing was
     */
    public Entry append(
            String machineId, Body body, Optional<Correcting> correcting, List<NewAttachment> attachments, Entry.Stamp stamp) {
        try {
            Optional<Entry.Correction> corrects = Optional.empty();
            if (correcting.isPresent()) {
                corrects = Optional.of(correction(machineId, body, correcting.get()));
            }
            Entry entry = appender.append(machineId, body, corrects, attachments, stamp);
            known.put(entry.place().hash(), entry);
            return entry;
        } catch (SQLException e) {
            throw new LogbookException("nothing was recorded: the logbook could not be written ("
                    + String.valueOf(e.getMessage()).lines().findFirst().orElse("") + "). Your readings are kept as a draft", e);
        }
    }

    /** Many entries as one: all of them are safe when this returns, or none. */
    public void together(Runnable appending) {
        try {
            appender.together(appending);
        } catch (SQLException e) {
            throw new LogbookException("nothing was recorded: the logbook could not be written", e);
        }
    }

    private Entry.Correction correction(String machineId, Body body, Correcting correcting) throws SQLException {
        Entry old = appender.find(machineId, correcting.number())
                .orElseThrow(() -> new LogbookException("there is no entry " + correcting.number() + " of this machine to correct"));
        if (!old.body().stop().equals(body.stop())) {
            throw new LogbookException("entry " + correcting.number() + " is of another stop; a correction stays at its stop");
        }
        return new Entry.Correction(correcting.number(), old.standsAt(), old.since(), correcting.why());
    }

    /** All machines, in the order in which they were added. */
    public List<MachineName> machines() {
        return read(handle -> handle.createQuery(
                        "select m.id, m.name from machine m join entry e on e.machine_id = m.id and e.number = 1 order by e.position")
                .map((row, context) -> new MachineName(row.getString(1), row.getString(2)))
                .list());
    }

    /** The machine of that name, case apart. */
    public Optional<MachineName> findMachine(String name) {
        return read(handle -> handle.createQuery("select id, name from machine where name_folded = ?")
                .bind(0, Appender.folded(name))
                .map((row, context) -> new MachineName(row.getString(1), row.getString(2)))
                .findOne());
    }

    /** What a machine's state follows from. */
    public History history(String machineId) {
        return read(handle -> {
            Entry plate = entries(handle, "where machine_id = ? and kind = 'plate' order by number desc limit 1", machineId).get(0);
            List<Entry> gate = entries(handle, "where machine_id = ? and kind in ('gate-line', 'event') order by number", machineId);
            Map<String, List<Entry>> readings = new HashMap<>();
            for (String stop : stops(handle, machineId)) {
                readings.put(stop, counting(entries(handle,
                        "where machine_id = ? and stop = ? order by stands_at desc, number desc limit " + 2 * NEWEST_READINGS, machineId, stop)));
            }
            List<History.Use> uses = handle.createQuery(
                            "select number, recorded_at from entry where machine_id = ? and fired = 1 and kind = 'reading' and corrects is null order by number")
                    .bind(0, machineId)
                    .map((row, context) -> new History.Use(row.getInt(1), Instant.parse(row.getString(2))))
                    .list();
            return new History(machineId, plate, gate, readings, uses);
        });
    }

    private static List<String> stops(Handle handle, String machineId) {
        return handle.createQuery("select distinct stop from entry where machine_id = ? and kind = 'reading'")
                .bind(0, machineId)
                .mapTo(String.class)
                .list();
    }

    /** Of each row of corrections only the newest; the list comes with the newest first. */
    private static List<Entry> counting(List<Entry> newestFirst) {
        List<Entry> counting = new ArrayList<>();
        int standsAt = Integer.MAX_VALUE;
        for (Entry entry : newestFirst) {
            if (entry.standsAt() != standsAt) {
                counting.add(entry);
                standsAt = entry.standsAt();
            }
        }
        return counting.subList(0, Math.min(NEWEST_READINGS, counting.size()));
    }

    /** @throws LogbookException where there is none */
    public Entry entry(String machineId, int number) {
        return findEntry(machineId, number)
                .orElseThrow(() -> new LogbookException("there is no entry " + number + " of this machine"));
    }

    public Optional<Entry> findEntry(String machineId, int number) {
        return read(handle -> entries(handle, "where machine_id = ? and number = ?", machineId, number).stream().findFirst());
    }

    /** The entry that replaced this one, if one did. */
    public Optional<Entry> findCorrectionOf(Entry entry) {
        return read(handle -> entries(handle, "where machine_id = ? and corrects = ? order by number desc limit 1",
                entry.place().machineId(), entry.number()).stream().findFirst());
    }

    /** A page of the tape, the newest first. */
    public List<TapeLine> tape(TapeFilter filter, long before, int most) {
        StringBuilder where = new StringBuilder("where position < ?");
        List<Object> bound = new ArrayList<>(List.of(before));
        filter.machineId().ifPresent(id -> add(where, bound, "machine_id = ?", id));
        filter.stop().ifPresent(stop -> add(where, bound, "stop = ?", stop));
        filter.verdict().ifPresent(verdict -> add(where, bound, "verdict = ?", verdict.name()));
        return read(handle -> {
            var query = handle.createQuery("select position, hash, bytes, exists (select 1 from entry later where"
                    + " later.machine_id = entry.machine_id and later.corrects = entry.number) from entry " + where
                    + " order by position desc limit " + most);
            for (int i = 0; i < bound.size(); i++) {
                query.bind(i, bound.get(i));
            }
            return query.map((row, context) ->
                    new TapeLine(row.getLong(1), entry(row.getString(2), row.getBytes(3)), row.getBoolean(4))).list();
        });
    }

    private static void add(StringBuilder where, List<Object> bound, String condition, Object value) {
        where.append(" and ").append(condition);
        bound.add(value);
    }

    /** How many entries there are of one machine, or in all. */
    public long count(Optional<String> machineId) {
        return read(handle -> machineId.isPresent()
                ? handle.createQuery("select count(*) from entry where machine_id = ?").bind(0, machineId.get()).mapTo(Long.class).one()
                : handle.createQuery("select count(*) from entry").mapTo(Long.class).one());
    }

    /** Where the shop chain ends. */
    public Head head() {
        return read(handle -> handle.createQuery("select position, row_hash from shop_chain order by position desc limit 1")
                .map((row, context) -> new Head(row.getLong(1), row.getString(2)))
                .findOne()
                .orElse(new Head(0, Hashes.NONE)));
    }

    /** The bytes of an attachment. */
    public byte[] attachment(String sha256) {
        return read(handle -> {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            handle.createQuery("select bytes from attachment_part where hash = ? order by part")
                    .bind(0, sha256)
                    .mapTo(byte[].class)
                    .forEach(bytes::writeBytes);
            return bytes.toByteArray();
        });
    }

    /** Keeps half-done readings in place of the earlier ones. */
    public void keepDraft(String machineId, String stop, Draft draft) {
        read(handle -> handle.createUpdate("insert into draft (machine_id, stop, saved_at, content) values (?, ?, ?, ?)"
                        + " on conflict (machine_id, stop) do update set saved_at = excluded.saved_at, content = excluded.content")
                .bind(0, machineId)
                .bind(1, stop)
                .bind(2, draft.savedAt().toString())
                .bind(3, draft.content())
                .execute());
    }

    public Optional<Draft> findDraft(String machineId, String stop) {
        return read(handle -> handle.createQuery("select content, saved_at from draft where machine_id = ? and stop = ?")
                .bind(0, machineId)
                .bind(1, stop)
                .map((row, context) -> new Draft(row.getString(1), Instant.parse(row.getString(2))))
                .findOne());
    }

    public void dropDraft(String machineId, String stop) {
        read(handle -> handle.createUpdate("delete from draft where machine_id = ? and stop = ?")
                .bind(0, machineId)
                .bind(1, stop)
                .execute());
    }

    /** Checks every chain; see {@link Verification}. */
    public Verification verify(List<String> expected) {
        return read(handle -> Verification.of(handle, expected));
    }

    private List<Entry> entries(Handle handle, String where, Object... bound) {
        var query = handle.createQuery("select hash, bytes from entry " + where);
        for (int i = 0; i < bound.length; i++) {
            query.bind(i, bound[i]);
        }
        return query.map((row, context) -> entry(row.getString(1), row.getBytes(2))).list();
    }

    /** Entries never change, so each is read from its bytes once. */
    private Entry entry(String hash, byte[] bytes) {
        Entry entry = known.get(hash);
        if (entry == null) {
            entry = codec.read(bytes, hash);
            if (known.size() > 20_000) {
                known.clear();
            }
            known.put(hash, entry);
        }
        return entry;
    }

    private <T> T read(HandleCallback<T, RuntimeException> work) {
        try {
            return jdbi.withHandle(work);
        } catch (JdbiException e) {
            throw new LogbookException("the logbook cannot be read: "
                    + String.valueOf(e.getMessage()).lines().findFirst().orElse(""), e);
        }
    }

    @Override
    public void close() {
        try {
            appender.close();
        } catch (SQLException e) {
            throw new LogbookException("the logbook could not be closed", e);
        }
    }
}
