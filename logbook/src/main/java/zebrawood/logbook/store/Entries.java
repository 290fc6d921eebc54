package zebrawood.logbook.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.CountedReading;
import zebrawood.json.Times;

/** Reads entries from their bytes; the ones read last are kept, as entries never change. */
final class Entries {

    /** bytes of entries kept read: some screens of a tape; read, an entry takes several times its bytes */
    private static final long KEPT_BYTES = 8_000_000;
    // the plus keeps the database from walking through the machine's whole numbers instead of one place
    private static final String COUNTING = "where machine_id = ? and stop = ? and not exists (select 1 from entry later"
            + " where later.machine_id = entry.machine_id and later.stop = entry.stop and later.stands_at = "
            + "entry.stands_at and +later.number > entry.number)";
    private static final String NEWEST_OF_EACH =
            "select asked.stop, newest.verdict, newest.recorded_at, newest.corrects, newest.hash, newest.bytes, "
                    + "newest.stands_at"
                    + " from asked join entry newest on newest.machine_id = ? and newest.number = (select number "
                    + "from entry "
                    + COUNTING.replace("stop = ?", "stop = asked.stop") + " order by stands_at desc limit 1)";
    private static final String SATISFYING = listed(Verdict::satisfies);
    private static final String ANSWERING = listed(verdict -> verdict != Verdict.UNCLEAR);

    private final EntryBytes codec;
    private final Map<String, Kept> known = new LinkedHashMap<>(256, 0.75f, true);
    private long kept;

    private record Kept(Entry entry, int bytes) {}

    private static String listed(Predicate<Verdict> which) {
        return Stream.of(Verdict.values())
                .filter(which)
                .map(verdict -> "'" + verdict.name() + "'")
                .collect(Collectors.joining(", "));
    }

    Entries(EntryBytes codec) {
        this.codec = codec;
    }

    /** @param where the end of the statement, with a question mark for each bound value */
    List<Entry> of(Rows rows, String where, Object... bound) throws SQLException {
        return rows.list(
                "select hash, bytes from entry " + where, row -> read(row.getString(1), row.getBytes(2)), bound);
    }

    /** The newest readings of a stop, of each row of corrections only the newest; the newest place first. */
    List<Entry> counting(Rows rows, String machineId, String stop, int most) throws SQLException {
        return of(rows, COUNTING + " order by stands_at desc limit ?", machineId, stop, most);
    }

    /** The newest reading of a stop that counts. */
    record OfStop(String stop, CountedReading reading) {}

    /** Of each of these stops that has one; what the entries say is read from their bytes when it is asked for. */
    List<OfStop> newestOfEach(Rows rows, String machineId, Collection<String> stops) throws SQLException {
        String asked = "with asked(stop) as (values " + "(?), ".repeat(stops.size() - 1) + "(?)) ";
        List<Object> bound = new ArrayList<>(stops);
        bound.add(machineId);
        bound.add(machineId);
        return rows.list(asked + NEWEST_OF_EACH, row -> new OfStop(row.getString(1), counted(row)), bound.toArray());
    }

    private CountedReading counted(ResultSet row) throws SQLException {
        String verdict = row.getString(2);
        String hash = row.getString(5);
        byte[] bytes = row.getBytes(6);
        // a word that only a newer program knows is not taken for a pass
        Verdict said = Stream.of(Verdict.values())
                .filter(each -> each.name().equals(verdict))
                .findFirst()
                .orElse(Verdict.UNCLEAR);
        if (row.getObject(4) != null) {
            Entry whole = whole(hash, bytes, verdict);
            return new CountedReading(
                    hash,
                    row.getInt(7),
                    said,
                    new CountedReading.When(
                            whole.since(), whole.stamp().at(), whole.stamp().zone()),
                    component -> EntryBytes.names(bytes, component),
                    () -> whole);
        }
        Instant at = Times.instant(row.getString(3));
        return new CountedReading(
                hash,
                row.getInt(7),
                said,
                new CountedReading.When(at, at, EntryBytes.zone(bytes)),
                component -> EntryBytes.names(bytes, component),
                () -> whole(hash, bytes, verdict));
    }

    private Entry whole(String hash, byte[] bytes, String verdict) {
        Entry entry = read(hash, bytes);
        if (!EntryBytes.verdict(entry.body()).equals(Optional.ofNullable(verdict))) {
            throw contradicts(hash);
        }
        return entry;
    }

    private static LogbookException contradicts(String hash) {
        return new LogbookException("the entry with the hash " + hash
                + " says another verdict than its row; run verify to see what was changed");
    }

    /** The newest of them that stand before a place and satisfy what is required. */
    List<CountedReading> satisfying(Rows rows, String machineId, String stop, int before, int most)
            throws SQLException {
        return counting(rows, machineId, stop, before, "in (" + SATISFYING + ")", most);
    }

    /** The newest of them that stands before a place and is not unclear. */
    Optional<CountedReading> answered(Rows rows, String machineId, String stop, int before) throws SQLException {
        return counting(rows, machineId, stop, before, "in (" + ANSWERING + ")", 1).stream()
                .findFirst();
    }

    private List<CountedReading> counting(
            Rows rows, String machineId, String stop, int before, String verdict, int most) throws SQLException {
        return of(
                        rows,
                        COUNTING + " and stands_at < ? and verdict " + verdict + " order by stands_at desc limit ?",
                        machineId,
                        stop,
                        before,
                        most)
                .stream()
                .map(CountedReading::of)
                .toList();
    }

    synchronized Entry read(String hash, byte[] bytes) {
        Kept known = this.known.get(hash);
        if (known != null) {
            return known.entry();
        }
        Entry entry = codec.read(bytes, hash);
        this.known.put(hash, new Kept(entry, bytes.length));
        kept += bytes.length;
        Iterator<Kept> eldest = this.known.values().iterator();
        while (kept > KEPT_BYTES && eldest.hasNext()) {
            kept -= eldest.next().bytes();
            eldest.remove();
        }
        return entry;
    }

    /** The newest entry that replaces another one. */
    Optional<Entry> correctionOf(Rows rows, Entry entry) throws SQLException {
        String newest = "where machine_id = ? and corrects = ? order by number desc limit 1";
        return of(rows, newest, entry.place().machineId(), entry.number()).stream()
                .findFirst();
    }

    /** Row by row, past every index, each in its place; how many that were. */
    long stored(Rows rows, long upTo, Consumer<StoredEntry> taken) throws SQLException {
        long[] read = {0};
        rows.each(
                "select position, hash, bytes from entry not indexed where rowid <= ? order by rowid",
                row -> {
                    if (row.getLong(1) != read[0] + 1) {
                        throw gap(read[0] + 1);
                    }
                    read[0]++;
                    taken.accept(new StoredEntry(row.getLong(1), row.getString(2), row.getBytes(3)));
                },
                upTo);
        if (read[0] != upTo) {
            throw gap(read[0] + 1);
        }
        return read[0];
    }

    private static LogbookException gap(long position) {
        return new LogbookException("the logbook is not whole: entry " + position
                + " of the shop chain is not in its place; run verify to see what is wrong");
    }

    /** A part of an attachment, from 0; empty after its last. */
    Optional<byte[]> part(Rows rows, String sha256, int number) throws SQLException {
        return rows.first(
                "select bytes from attachment_part where hash = ? and part = ?",
                row -> row.getBytes(1),
                sha256,
                number);
    }
}
