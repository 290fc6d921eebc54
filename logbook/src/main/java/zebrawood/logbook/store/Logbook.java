package zebrawood.logbook.store;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongConsumer;
import zebrawood.core.difference.Comparison;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.route.History;

/**
 * The logbook of a shop: a folder with one SQLite database, in WAL mode with synchronous FULL on every connection.
 * Entries are appended and never changed. May be used from several threads, and from several programs at once. A folder
 * that may not be written to, and a database of a newer program, are opened for reading only.
 */
public final class Logbook implements AutoCloseable {

    private final Path folder;
    private final List<Procedure<?, ?>> procedures;
    private final EntryBytes codec;
    private final Entries entries;
    private final Histories histories;
    private final Reading reading;
    private final Tape tape;
    private final Writing writing;
    private final Optional<String> whyReadOnly;
    private final InUse inUse;

    /** A machine's id and its name of today. */
    public record MachineName(String id, String name) {}

    /** Which entry a new one replaces, and why. */
    public record Correcting(int number, String why) {}

    /** Half-done readings: JSON text, and when it was kept. */
    public record Draft(String content, Instant savedAt) {}

    /** Where the shop chain ends: how many entries there are, and the hash of its last row. */
    public record Head(long entries, String hash) {
        /** {@code 12 entries}. */
        public String inWords() {
            return entries + (entries == 1 ? " entry" : " entries");
        }
    }

    private Logbook(Path folder, List<Procedure<?, ?>> procedures, Opening.Opened opened) {
        this.folder = folder;
        this.procedures = List.copyOf(procedures);
        this.codec = new EntryBytes(procedures);
        this.entries = new Entries(codec);
        this.histories = new Histories(entries, this.procedures);
        this.reading = new Reading(folder, opened);
        this.whyReadOnly = opened.whyReadOnly();
        this.inUse = opened.inUse();
        this.tape = new Tape(folder, whyReadOnly.isEmpty(), procedures, entries);
        this.writing = new Writing(opened.source(), codec, whyReadOnly, FilePlace.of(folder.resolve(Database.NAME)));
        head();
    }

    /**
     * Opens the logbook in a folder, made if it is not there.
     *
     * @param procedures whose readings stand in it
     * @throws DamagedLogbookException where its file is damaged
     * @throws LogbookException with one sentence where it cannot be opened otherwise
     */
    public static Logbook open(Path folder, List<Procedure<?, ?>> procedures) {
        Opening.Opened opened = Opening.of(folder);
        try {
            return new Logbook(folder, procedures, opened);
        } catch (RuntimeException e) {
            opened.close();
            throw Opening.unopened(folder, e);
        }
    }

    /** Why nothing can be recorded here, where it cannot; as the end of a sentence. */
    public Optional<String> whyReadOnly() {
        return whyReadOnly;
    }

    /** The folder with the logbook, its attachments and its backups. */
    public Path folder() {
        return folder;
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
            String machineId,
            Body body,
            Optional<Correcting> correcting,
            List<NewAttachment> attachments,
            Entry.Stamp stamp) {
        return writing.append(machineId, body, correcting, attachments, stamp);
    }

    /** Many entries as one: all of them are safe when this returns, or none. */
    public void together(Runnable appending) {
        writing.together(appending);
    }

    /**
     * Takes back an entry as it was stored elsewhere, bytes and all.
     *
     * @param files where the bytes of its attachments are read
     * @throws LogbookException where it is not the next entry of its machine and of the shop, or not whole
     */
    public void takeBack(StoredEntry stored, Function<Entry.Attachment, NewAttachment.Content> files) {
        writing.takeBack(stored, files);
    }

    /** All machines, in the order in which they were added. */
    public List<MachineName> machines() {
        return read(rows -> rows.list(
                "select id, name from machine order by (select position from entry where machine_id = machine.id "
                        + "and number = 1)",
                Logbook::machine));
    }

    /** The machine of that name, case apart. */
    public Optional<MachineName> findMachine(String name) {
        return read(rows -> rows.first(
                "select id, name from machine where name_folded = ?", Logbook::machine, Appender.folded(name)));
    }

    private static MachineName machine(ResultSet row) throws SQLException {
        return new MachineName(row.getString(1), row.getString(2));
    }

    /** What a machine's state follows from. */
    public History history(String machineId) {
        return read(rows -> histories.of(rows, machineId));
    }

    /** The same of all machines, in the order in which they were added. */
    public List<History> histories() {
        List<String> ids = machines().stream().map(MachineName::id).toList();
        return read(rows -> histories.all(rows, ids));
    }

    /** The newest readings of a stop that count and that this program can read, the newest first. */
    public List<Entry> readings(String machineId, String stop, int most) {
        return read(rows -> entries.counting(rows, machineId, stop, most)).stream()
                .filter(entry -> !(entry.body() instanceof Body.Foreign)
                        && !(entry.body() instanceof Body.Measured measured && !measured.isRead()))
                .toList();
    }

    /** The newest entry of a stop that is no reading, such as {@code work}, if there is one. */
    public Optional<Entry> findNewest(String machineId, String stop) {
        return readings(machineId, stop, 1).stream().findFirst();
    }

    /** How the shop's eyewear was seen, on whatever machine that was recorded; what was corrected is left out. */
    public List<Entry> eyewear() {
        return read(rows -> entries.of(
                        rows,
                        "where stop = 'pair' and not exists (select 1 from entry later where "
                                + "later.machine_id = entry.machine_id and later.corrects is not null and later.stands_at = "
                                + "entry.stands_at and later.number > entry.number) order by position"))
                .stream()
                .filter(entry -> entry.body() instanceof Body.EyewearSeen)
                .toList();
    }

    /**
     * Minutes that passed between a reading and the entry before it on the same machine, by stop, of the newest
     * entries; what is shorter than half a minute or longer than an hour and a half was no work in between.
     */
    public Map<String, List<Double>> paces() {
        return read(Paces::of);
    }

    /** What differed between two entries of a machine. */
    public Comparison compare(Entry one, Entry other) {
        return read(rows -> Comparison.of(
                histories.moment(rows, one),
                histories.moment(rows, other),
                histories.between(rows, one, other),
                procedures));
    }

    /** @throws LogbookException where there is none */
    public Entry entry(String machineId, int number) {
        return findEntry(machineId, number)
                .orElseThrow(() -> new LogbookException("there is no entry " + number + " of this machine"));
    }

    /**
     * One entry of a machine by its number, from 1; empty where there is none.
     *
     * @throws LogbookException where it cannot be read
     */
    public Optional<Entry> findEntry(String machineId, int number) {
        return read(rows -> entries.of(rows, "where machine_id = ? and number = ?", machineId, number).stream()
                .findFirst());
    }

    /** The entry that replaced this one, if one did. */
    public Optional<Entry> findCorrectionOf(Entry entry) {
        return read(rows -> entries.correctionOf(rows, entry));
    }

    /** A page of the tape, the newest first: entries before a position in the shop chain. */
    public List<TapeLine> tape(TapeFilter filter, long before, int most) {
        return read(rows -> tape.page(rows, filter, before, most));
    }

    /** Reads some entries that are not in the search index yet into it, so that a search need not wait; how many. */
    public long prepareSearch(long most) {
        return read(rows -> tape.prepareSearch(rows, most));
    }

    /** How many entries there are of one machine, or in all. */
    public long count(Optional<String> machineId) {
        return machineId.isPresent()
                ? read(rows -> rows.first(
                                "select number from entry where machine_id = ? order by number desc limit 1",
                                row -> row.getLong(1),
                                machineId.get()))
                        .orElse(0L)
                : head().entries();
    }

    /** Where the shop chain ends. */
    public Head head() {
        return read(rows -> rows.first(
                        "select position, row_hash from shop_chain order by position desc limit 1",
                        row -> new Head(row.getLong(1), row.getString(2))))
                .orElse(new Head(0, Hashes.NONE));
    }

    /**
     * Entries as they are stored, up to a position of the shop chain and in its order; for long work, on a connection
     * of its own. They are read row by row, past every index, each in its place.
     *
     * @return how many entries that were
     * @throws LogbookException where one is missing or not in its place; those before it were handed on
     */
    public long stored(long upTo, Consumer<StoredEntry> taken) {
        return apart(rows -> entries.stored(rows, upTo, taken));
    }

    /** An entry read from its bytes. */
    public Entry read(StoredEntry stored) {
        return codec.read(stored.bytes(), stored.hash());
    }

    /** The bytes of an attachment, for a small one; a large one is copied with {@link #copyAttachment}. */
    public byte[] attachment(String sha256) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            copyAttachment(sha256, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** Writes the bytes of an attachment somewhere, a part at a time. */
    public void copyAttachment(String sha256, OutputStream out) throws IOException {
        for (int part = 0; ; part++) {
            int number = part;
            Optional<byte[]> bytes = read(rows -> entries.part(rows, sha256, number));
            if (bytes.isEmpty()) {
                return;
            }
            out.write(bytes.get());
        }
    }

    /** Keeps half-done readings in place of the earlier ones. */
    public void keepDraft(String machineId, String stop, Draft draft) {
        writing.mayRecord();
        read(rows -> Drafts.keep(rows, machineId, stop, draft));
    }

    /** What is half typed at a stop; empty where nothing is. */
    public Optional<Draft> findDraft(String machineId, String stop) {
        return read(rows -> Drafts.find(rows, machineId, stop));
    }

    /** What is half typed of a machine, by its stops. */
    public Map<String, Draft> drafts(String machineId) {
        return read(rows -> Drafts.all(rows, machineId));
    }

    /** Forgets what is half typed at a stop; nothing happens where nothing is. */
    public void dropDraft(String machineId, String stop) {
        if (whyReadOnly.isEmpty()) {
            read(rows -> Drafts.drop(rows, machineId, stop));
        }
    }

    /** Checks every chain; see {@link Verification}. */
    public Verification verify(List<String> expected) {
        return verify(expected, checked -> {});
    }

    /** @param progress hears now and then how many entries were checked */
    public Verification verify(List<String> expected, LongConsumer progress) {
        try {
            Verification found = Verification.of(reading.source(), expected, progress);
            if (whyReadOnly.isEmpty() && (expected.isEmpty() || found.holds())) {
                Flaws.remember(folder, found);
            }
            return found;
        } catch (SQLException e) {
            throw Opening.unread(folder, e);
        }
    }

    private <T> T apart(Reading.Work<T> work) {
        return reading.apart(work);
    }

    private <T> T read(Reading.Work<T> work) {
        return reading.read(work);
    }

    @Override
    public void close() {
        try {
            reading.close(tape::close);
            writing.close();
        } catch (SQLException e) {
            throw new LogbookException("the logbook could not be closed", e);
        } finally {
            inUse.close();
        }
    }
}
