package zebrawood.logbook.store;

import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.difference.StateOnRecord;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.History;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.json.Times;

/**
 * Reads what machines' states follow from: not all of their entries, but all that still counts. A history is read once
 * and kept until its machine has a new entry, whoever recorded it.
 */
final class Histories {

    private static final Set<String> KINDS = Set.of(
            "plate", "gate-line", "event", "work", "point", "point-closed", "pair", "start", "service", "reading");
    private static final Set<String> NO_PROCEDURES =
            Set.of("plate", "first-light", "event", "work", "point", "pair", "start", "service");
    private static final String SERVICE = "service";
    /** events read at first: what shuts a gate is mostly among them */
    private static final int EVENTS = 12;
    /** and then so many at once */
    private static final int EVENTS_BEFORE = 60;
    /** readings of a stop read at once, back to where nothing older matters */
    private static final int STEP = 12;
    /** readings among which one that proved more than the quick ones after it is looked for */
    private static final int QUICK = 100;

    private final Entries entries;
    private final Map<String, Procedure<?, ?>> procedures = new LinkedHashMap<>();
    private final Set<String> stops;
    private final List<String> asked = new ArrayList<>();
    private final Map<String, History> kept = new HashMap<>();
    private long seen;

    Histories(Entries entries, Collection<Procedure<?, ?>> known) {
        this.entries = entries;
        known.forEach(procedure -> procedures.put(procedure.card().id(), procedure));
        stops = new HashSet<>(procedures.keySet());
        stops.addAll(NO_PROCEDURES);
        asked.addAll(procedures.keySet());
        asked.addAll(List.of("start", "work"));
    }

    /** Of all these machines, but for those of a kind that only a newer program knows. */
    synchronized List<History> all(Rows rows, List<String> machineIds) throws SQLException {
        forgetChanged(rows);
        List<History> all = new ArrayList<>();
        for (String id : machineIds) {
            kept(rows, id).ifPresent(all::add);
        }
        return all;
    }

    synchronized History of(Rows rows, String machineId) throws SQLException {
        forgetChanged(rows);
        return kept(rows, machineId)
                .orElseThrow(() -> new LogbookException(
                        "this machine was recorded by a newer Zebrawood, and this one does not know its "
                                + "kind; update the program to see it"));
    }

    private Optional<History> kept(Rows rows, String machineId) throws SQLException {
        History history = kept.get(machineId);
        if (history == null) {
            Optional<Entry> plate = plate(rows, machineId, Integer.MAX_VALUE);
            if (plate.isEmpty()) {
                return Optional.empty();
            }
            history = read(rows, machineId, plate.get());
            kept.put(machineId, history);
        }
        return Optional.of(history);
    }

    /** Drops what is kept of machines that have entries after the newest one seen. */
    private void forgetChanged(Rows rows) throws SQLException {
        if (kept.isEmpty()) {
            seen = rows.first("select position from shop_chain order by position desc limit 1", row -> row.getLong(1))
                    .orElse(0L);
            return;
        }
        Set<String> changed = new HashSet<>();
        rows.each(
                "select position, machine_id from shop_chain where position > ? order by position",
                row -> {
                    seen = row.getLong(1);
                    changed.add(row.getString(2));
                },
                seen);
        changed.forEach(kept::remove);
    }

    private History read(Rows rows, String machineId, Entry plate) throws SQLException {
        Newest done = newest(rows, machineId);
        Map<String, List<CountedReading>> readings = done.readings();
        int oldestReading = readings.values().stream()
                .mapToInt(counting -> stillCounts(counting).standsAt())
                .min()
                .orElse(Integer.MAX_VALUE);
        Map<Integer, Entry> gateAndEvents = new HashMap<>();
        int begin = gate(rows, machineId, ((Body.PlateSet) plate.body()).plate(), gateAndEvents, Integer.MAX_VALUE);
        entries.of(
                        rows,
                        "where machine_id = ? and kind = 'event' and number > ? order by number",
                        machineId,
                        Math.min(begin, oldestReading))
                .forEach(event -> gateAndEvents.put(event.number(), event));
        entries.of(rows, "where machine_id = ? and kind = 'event' order by number desc limit " + EVENTS, machineId)
                .forEach(event -> gateAndEvents.put(event.number(), event));
        for (String kind : there(rows, "kind", machineId)) {
            if (KINDS.contains(kind) && !kind.equals(SERVICE)) {
                continue;
            }
            // the newest of them is enough: what was seen after it is known to be so
            Optional<Entry> newest =
                    before(rows, machineId, kind, Integer.MAX_VALUE).stream().findFirst();
            if (newest.isPresent()) {
                gateAndEvents.put(newest.get().number(), newest.get());
            }
            if (newest.isPresent() && newest.get().body() instanceof Body.ServiceBegun) {
                // whether the gate was open when it began
                gate(
                        rows,
                        machineId,
                        ((Body.PlateSet) plate.body()).plate(),
                        gateAndEvents,
                        newest.get().number());
            }
        }
        List<History.Use> uses = uses(
                rows, machineId, begin, ((Body.PlateSet) plate.body()).plate().daysOutOfUse());
        // a pause may have begun before the oldest answer that still counts
        Entry oldest = gateAndEvents.get(begin);
        if (oldest != null) {
            uses.addAll(use(
                            rows,
                            "recorded_at <= ? and number < ? order by recorded_at desc limit 1",
                            machineId,
                            oldest.stamp().at().toString(),
                            begin)
                    .stream()
                    .toList());
        }
        // the plus lets the database look the kinds up rather than walk through all of the machine's numbers
        List<Entry> points = entries.of(
                rows, "where machine_id = ? and kind in ('point', 'point-closed') order by +number", machineId);
        return new History(
                machineId,
                plate,
                List.copyOf(gateAndEvents.values()),
                readings,
                uses,
                points,
                done.daily(),
                there(rows, "stop", machineId).stream()
                        .filter(stop -> !stops.contains(stop))
                        .toList());
    }

    /**
     * Uses of a machine since an entry, not all of them but so many that no pause longer than the given days is hidden
     * or made up: from each the last one within those days, or the next one after them.
     */
    private static List<History.Use> uses(Rows rows, String machineId, int since, int days) throws SQLException {
        List<History.Use> uses = new ArrayList<>();
        Optional<History.Use> next = use(
                rows,
                "recorded_at >= ? and number >= ? and kind in ('reading', 'work') order by recorded_at limit 1",
                machineId,
                "",
                since);
        while (next.isPresent()) {
            Instant at = next.get().at();
            uses.add(next.get());
            String until = at.plus(Duration.ofDays(days)).toString();
            next = use(
                            rows,
                            "recorded_at <= ? and number >= ? and kind in ('reading', 'work') order by "
                                    + "recorded_at desc limit 1",
                            machineId,
                            until,
                            since)
                    .filter(use -> use.at().isAfter(at));
            if (next.isEmpty()) {
                next = use(
                        rows,
                        "recorded_at > ? and number >= ? and kind in ('reading', 'work') order by recorded_at limit 1",
                        machineId,
                        until,
                        since);
            }
        }
        return uses;
    }

    private static Optional<History.Use> use(Rows rows, String which, String machineId, String time, int since)
            throws SQLException {
        return rows.first(
                "select number, recorded_at from entry where machine_id = ? and fired = 1 and corrects is null and "
                        + which,
                row -> new History.Use(row.getInt(1), Times.instant(row.getString(2))),
                machineId,
                time,
                since);
    }

    /** The newest plate up to an entry that this program can read; empty where there is none. */
    private Optional<Entry> plate(Rows rows, String machineId, int until) throws SQLException {
        String plates = "where machine_id = ? and kind = 'plate' and number <= ? order by number desc";
        Optional<Entry> newest = entries.of(rows, plates + " limit 1", machineId, until).stream()
                .filter(Histories::isPlate)
                .findFirst();
        return newest.isPresent()
                ? newest
                : entries.of(rows, plates, machineId, until).stream()
                        .filter(Histories::isPlate)
                        .findFirst();
    }

    private static boolean isPlate(Entry entry) {
        return entry.body() instanceof Body.PlateSet;
    }

    /** What stands in a column of a machine's entries; by steps along the index, not by a walk through the entries. */
    private static List<String> there(Rows rows, String column, String machineId) throws SQLException {
        return rows.list(
                "with recursive each(word) as (select min(" + column + ") from entry where machine_id = ?1"
                        + " union all select (select min(" + column + ") from entry where machine_id = ?1 and " + column
                        + " > each.word) from each where each.word is not null)"
                        + " select word from each where word is not null",
                row -> row.getString(1),
                machineId);
    }

    /** The readings of each stop that count, and what was done at last. */
    private record Newest(Map<String, List<CountedReading>> readings, History.Daily daily) {}

    /** Of each stop the newest reading that counts, and those before it that answered, passed or proved more. */
    private Newest newest(Rows rows, String machineId) throws SQLException {
        Map<String, List<CountedReading>> readings = new HashMap<>();
        Map<String, CountedReading> daily = new HashMap<>();
        for (Entries.OfStop newest : entries.newestOfEach(rows, machineId, asked)) {
            CountedReading reading = newest.reading();
            Procedure<?, ?> procedure = procedures.get(newest.stop());
            if (procedure == null) {
                daily.put(newest.stop(), reading);
                continue;
            }
            Set<CountedReading> counting = new LinkedHashSet<>(List.of(reading));
            if (reading.verdict() == Verdict.UNCLEAR) {
                entries.answered(rows, machineId, newest.stop(), reading.standsAt())
                        .ifPresent(counting::add);
            }
            if (!reading.proves(procedure)) {
                List<CountedReading> passed = entries.satisfying(rows, machineId, newest.stop(), reading.standsAt(), 1);
                counting.addAll(passed);
                proof(rows, machineId, procedure, reading.standsAt()).ifPresent(counting::add);
            }
            readings.put(newest.stop(), List.copyOf(counting));
        }
        return new Newest(
                readings,
                new History.Daily(Optional.ofNullable(daily.get("start")), Optional.ofNullable(daily.get("work"))));
    }

    /** The oldest of a stop's readings whose figure may still stand. */
    private static CountedReading stillCounts(List<CountedReading> counting) {
        Verdict newest = counting.get(0).verdict();
        boolean answered = newest == Verdict.ADJUST || newest == Verdict.FAIL;
        return counting.get(answered ? 0 : counting.size() - 1);
    }

    /** The newest reading of a stop before a place that proved its figure, else the newest that passed. */
    private Optional<CountedReading> proof(Rows rows, String machineId, Procedure<?, ?> procedure, int before)
            throws SQLException {
        int most = procedure.proof().isPresent() ? QUICK : 1;
        List<CountedReading> passed =
                entries.satisfying(rows, machineId, procedure.card().id(), before, most);
        return passed.stream()
                .filter(reading -> reading.proves(procedure))
                .findFirst()
                .or(() -> passed.stream().findFirst());
    }

    /**
     * Gate lines and events from the newest back to where nothing older changes the gate any more: every bar is
     * answered or all of them were put back since, and the laser was fired on the gate at least once.
     *
     * @param newest the number before which it begins
     * @return the number of the oldest of them; 0 where all were read
     */
    private int gate(Rows rows, String machineId, Plate plate, Map<Integer, Entry> into, int newest)
            throws SQLException {
        Set<String> open =
                new HashSet<>(FirstLight.bars(plate).stream().map(Bar::id).toList());
        boolean fired = false;
        int before = newest;
        while (true) {
            List<Entry> step = new ArrayList<>(before(rows, machineId, "gate-line", before));
            step.addAll(before(rows, machineId, "event", before));
            step.sort(Comparator.comparingInt(Entry::number).reversed());
            if (step.isEmpty()) {
                return 0;
            }
            for (Entry entry : step.subList(0, Math.min(STEP, step.size()))) {
                into.put(entry.number(), entry);
                before = entry.number();
                if (entry.body() instanceof Body.GateLine line
                        && entry.corrects().isEmpty()) {
                    open.remove(line.bar());
                    fired |= line.lifted() && line.fired();
                } else if (entry.body() instanceof Body.Happened happened
                        && happened.change().shutsGate()) {
                    open.clear();
                }
                if (open.isEmpty() && fired) {
                    return before;
                }
            }
        }
    }

    private List<Entry> before(Rows rows, String machineId, String kind, int number) throws SQLException {
        return entries.of(
                rows,
                "where machine_id = ? and kind = ? and number < ? order by number desc limit " + STEP,
                machineId,
                kind,
                number);
    }

    /** What stood on record when an entry was made. */
    StateOnRecord moment(Rows rows, Entry at) throws SQLException {
        String id = at.place().machineId();
        Entry plate = plate(rows, id, at.standsAt())
                .orElseThrow(() -> new LogbookException(
                        "the plate of that day was recorded by a newer Zebrawood; update the program to compare"));
        Map<String, Entry> newest = new HashMap<>();
        for (Procedure<?, ?> procedure : procedures.values()) {
            String stop = procedure.card().id();
            List<Entry> last = entries.of(
                    rows,
                    "where machine_id = ? and stop = ? and stands_at <= ? order by stands_at desc, number desc limit 1",
                    id,
                    stop,
                    at.standsAt());
            for (Entry entry : last) {
                CountedReading reading = CountedReading.of(entry);
                boolean answered = reading.verdict() == Verdict.ADJUST || reading.verdict() == Verdict.FAIL;
                // one that stayed unclear, or a quick one, takes nothing away from what the one before it proved
                Optional<CountedReading> proof = answered || reading.proves(procedure)
                        ? Optional.empty()
                        : proof(rows, id, procedure, entry.standsAt())
                                .filter(earlier -> reading.verdict() == Verdict.UNCLEAR || earlier.proves(procedure));
                newest.put(stop, proof.map(CountedReading::entry).orElse(entry));
            }
        }
        List<Entry> happened = entries.of(
                rows,
                "where machine_id = ? and kind = 'event' and number <= ? order by number desc limit " + EVENTS_BEFORE,
                id,
                at.standsAt());
        return new StateOnRecord(at, plate, newest, happened);
    }

    /** Events that stand between two entries of a machine. */
    List<Entry> between(Rows rows, Entry one, Entry other) throws SQLException {
        int from = Math.min(one.standsAt(), other.standsAt());
        int to = Math.max(one.standsAt(), other.standsAt());
        return entries.of(
                rows,
                "where machine_id = ? and kind = 'event' and number > ? and number < ? order by number desc limit 200",
                one.place().machineId(),
                from,
                to);
    }
}
