package zebrawood.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zebrawood.core.air.AirAssist;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.extraction.Extraction;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.safety.ServiceFiring;
import zebrawood.core.site.SiteClimate;

/**
 * All orders of answers, events and failing stops up to six, for every family and every plate that leaves something
 * unsaid: nothing that fires is open while a bar that this machine needs does not stand as lifted, or a stop that holds
 * the gate stands as failed. What is needed is written down here a second time, apart from the program's own rules.
 */
class GateOrdersTest {

    /** of a plate of which nothing is known; with -Dzebrawood.longest=7 of all of them, which takes minutes */
    private static final int LONGEST = 7;

    private static final int LONGEST_OF_OTHERS = Integer.getInteger("zebrawood.longest", 3);
    private static final Instant DAY = Instant.parse("2031-01-01T09:00:00Z");
    private static final List<Procedure<?, ?>> STOPS = List.of(
            new SiteClimate(),
            new SiteCircuit(),
            new CoolantMix(),
            new CoolantHeat(),
            new CoolantSetpoint(),
            new Extraction(),
            new AirAssist(),
            new FocusRamp());
    private static final Route ROUTE = new Route(STOPS);

    /** Those of the gap alone touch no bar, which RefocusTest holds: here each would only make the orders more. */
    private static final Set<Change> CHANGES = EnumSet.complementOf(
            EnumSet.of(Change.STOCK_CHANGED, Change.NOZZLE_CHANGED, Change.BED_CHANGED, Change.GAP_SET));

    /** Which bars an event leaves in doubt, said anew. */
    private static final Map<Change, Set<String>> TOUCHES = Map.ofEntries(
            Map.entry(Change.LENS_CHANGED, Set.of()),
            Map.entry(Change.FIRED_DRY, Set.of("water", "pulse")),
            Map.entry(Change.LEFT_ALONE, Set.of("extraction", "stop")),
            Map.entry(Change.CLEANED, Set.of()),
            Map.entry(Change.COOLANT_WORK, Set.of("water")),
            Map.entry(Change.MAINS_WORK, Set.of("wiring", "earth", "stop", "interlock")),
            Map.entry(
                    Change.PART_FITTED,
                    Set.of(
                            "films",
                            "wiring",
                            "fibre",
                            "earth",
                            "water",
                            "extraction",
                            "stop",
                            "interlock",
                            "air",
                            "pulse")),
            Map.entry(Change.KNOCKED, Set.of("wiring", "fibre", "water", "stop", "interlock", "pulse")),
            Map.entry(Change.COVERS_OFF, Set.of("wiring", "stop", "interlock")));

    /** What this machine needs, from what is known of it: what is not known to be absent is needed. */
    private static Set<String> needed(Family family, Map<Plate.Part, Plate.Presence> known) {
        Set<String> bars = new HashSet<>(Set.of("films", "wiring", "earth", "extraction", "eyewear", "stop", "pulse"));
        bars.add(known.get(Plate.Part.INTERLOCK) == Plate.Presence.NONE ? "area" : "interlock");
        if (known.get(Plate.Part.WATER) != Plate.Presence.NONE) {
            bars.add("water");
        }
        boolean gantry = family == Family.GANTRY_CO2 || family == Family.GANTRY_DIODE;
        if (gantry && known.get(Plate.Part.AIR) != Plate.Presence.NONE) {
            bars.add("air");
        }
        boolean fibre = family == Family.GALVO_FIBRE || family == Family.SHEET_FIBRE;
        if (fibre && known.get(Plate.Part.FIBRE) != Plate.Presence.NONE) {
            bars.add("fibre");
        }
        return bars;
    }

    private static List<Map<Plate.Part, Plate.Presence>> everySubset() {
        List<Map<Plate.Part, Plate.Presence>> all = List.of(new TreeMap<>());
        for (Plate.Part part : Plate.Part.values()) {
            List<Map<Plate.Part, Plate.Presence>> more = new ArrayList<>();
            for (Map<Plate.Part, Plate.Presence> before : all) {
                for (Plate.Presence presence : Plate.Presence.values()) {
                    Map<Plate.Part, Plate.Presence> with = new TreeMap<>(before);
                    with.put(part, presence);
                    more.add(with);
                }
            }
            all = more;
        }
        return all;
    }

    private static Plate plate(Family family, Map<Plate.Part, Plate.Presence> known) {
        Optional<Plate.Cooling> cooling = said(known.get(Plate.Part.WATER), Plate.Cooling.WATER, Plate.Cooling.AIR);
        Optional<Plate.Enclosure> covers =
                said(known.get(Plate.Part.INTERLOCK), Plate.Enclosure.INTERLOCK, Plate.Enclosure.OPEN);
        Plate.Services services = new Plate.Services(
                cooling,
                Optional.empty(),
                covers,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                said(known.get(Plate.Part.AIR), Plate.Fitted.FITTED, Plate.Fitted.NONE),
                said(known.get(Plate.Part.FIBRE), Plate.Fitted.FITTED, Plate.Fitted.NONE));
        return new Plate(
                "Wren",
                family,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(services),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static <T> Optional<T> said(Plate.Presence presence, T fitted, T none) {
        return switch (presence) {
            case FITTED -> Optional.of(fitted);
            case NONE -> Optional.of(none);
            case UNKNOWN -> Optional.empty();
        };
    }

    private static final Set<String> COVERS = Set.of("interlock", "area");
    private static final Body SERVICE =
            new Body.ServiceBegun(new ServiceFiring("RV", "LO", 60, List.of("lid"), List.of("eyewear")));

    /** What happened so far, with what ought to stand, and whether mirrors may be shot with covers open. */
    private record Life(List<Entry> entries, Set<String> lifted, boolean covers) {

        Life with(Body body, Set<String> now, boolean coversOpen) {
            List<Entry> longer = new ArrayList<>(entries);
            int number = entries.size() + 2;
            longer.add(new Entry(
                    new Entry.Place("wren", number, "hash" + number),
                    new Entry.Stamp(DAY.plusSeconds(number), ZoneOffset.UTC, "LO", "test"),
                    body,
                    Optional.empty(),
                    List.of()));
            return new Life(longer, Set.copyOf(now), coversOpen);
        }

        Life answered(String bar, boolean yes) {
            Set<String> now = new HashSet<>(lifted);
            now.remove(bar);
            if (yes) {
                now.add(bar);
            }
            return with(
                    new Body.GateLine(bar, bar, yes, bar.equals("pulse"), ""), now, covers && !COVERS.contains(bar));
        }

        Life happened(Change change) {
            Set<String> now = new HashSet<>(lifted);
            now.removeAll(TOUCHES.getOrDefault(change, lifted));
            return with(new Body.Happened(change, ""), now, covers && TOUCHES.containsKey(change));
        }

        Life serviced(Set<String> needed) {
            Set<String> now = new HashSet<>(lifted);
            now.removeAll(COVERS);
            return with(SERVICE, now, lifted.containsAll(needed) || covers && othersLifted(needed));
        }

        boolean othersLifted(Set<String> needed) {
            return needed.stream().allMatch(bar -> COVERS.contains(bar) || lifted.contains(bar));
        }
    }

    private static MachineStatus status(Plate plate, Life life, Map<String, List<CountedReading>> readings) {
        Entry first = new Entry(
                new Entry.Place("wren", 1, "hash1"),
                new Entry.Stamp(DAY, ZoneOffset.UTC, "LO", "test"),
                new Body.PlateSet(plate, Map.of()),
                Optional.empty(),
                List.of());
        History history = new History(
                "wren", first, life.entries(), readings, List.of(), List.of(), History.Daily.NOTHING, List.of());
        return ROUTE.status(history, DAY.plusSeconds(3600), ZoneOffset.UTC);
    }

    private static boolean anythingFires(MachineStatus status) {
        return status.stops().stream().anyMatch(stop -> stop.card().fires() && stop.state() != StopState.SHUT);
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void nothingFiresWhileABarThatIsNeededStands(Family family) {
        int seen = 0;
        int open = 0;
        int shot = 0;
        for (Map<Plate.Part, Plate.Presence> known : everySubset()) {
            boolean blank = known.values().stream().allMatch(Plate.Presence.UNKNOWN::equals);
            int longest = blank ? LONGEST : LONGEST_OF_OTHERS;
            Plate plate = plate(family, known);
            Set<String> needed = needed(family, known);
            Life cleared = new Life(List.of(), Set.of(), false);
            for (String bar : needed) {
                cleared = cleared.answered(bar, true);
            }
            // orders that leave the same bars lifted lead on to the same: each is followed once
            Map<Map.Entry<Set<String>, Boolean>, Integer> met = new HashMap<>();
            Deque<Life> next = new ArrayDeque<>(List.of(new Life(List.of(), Set.of(), false), cleared));
            int cut = cleared.entries().size();
            while (!next.isEmpty()) {
                Life life = next.poll();
                int length =
                        life.entries().size() - (life.entries().size() >= cut && startsCleared(life, cut) ? cut : 0);
                MachineStatus status = status(plate, life, Map.of());
                seen++;
                boolean may = life.lifted().containsAll(needed);
                assertThat(status.gate().isOpen())
                        .as("%s %s %s", family, known, life)
                        .isEqualTo(may);
                assertThat(anythingFires(status)).isEqualTo(may && family != Family.SHEET_FIBRE);
                boolean covers = life.covers() && life.othersLifted(needed);
                assertThat(status.gate().lets(Phase.BEAM)).as("%s", life).isEqualTo(may || covers);
                assertThat(status.gate().lets(Phase.FOCUS)).isEqualTo(may);
                open += may ? 1 : 0;
                shot += covers ? 1 : 0;
                Map.Entry<Set<String>, Boolean> like = Map.entry(life.lifted(), life.covers());
                if (length == longest || met.getOrDefault(like, longest) <= length) {
                    continue;
                }
                met.put(like, length);
                for (String bar : needed) {
                    next.add(life.answered(bar, true));
                    next.add(life.answered(bar, false));
                }
                for (Change change : CHANGES) {
                    next.add(life.happened(change));
                }
                next.add(life.serviced(needed));
            }
        }
        assertThat(seen).isGreaterThan(10_000);
        assertThat(open).isPositive();
        assertThat(shot).as("covers were open, too").isPositive();
    }

    private static boolean startsCleared(Life life, int cut) {
        return life.entries().subList(0, cut).stream()
                        .map(entry -> entry.body() instanceof Body.GateLine line && line.lifted() ? line.bar() : "")
                        .distinct()
                        .filter(bar -> !bar.isEmpty())
                        .count()
                == cut;
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void nothingFiresWhileAStopThatHoldsStandsAsFailed(Family family) {
        for (Map<Plate.Part, Plate.Presence> known : everySubset()) {
            Plate plate = plate(family, known);
            Life cleared = new Life(List.of(), Set.of(), false);
            for (String bar : needed(family, known)) {
                cleared = cleared.answered(bar, true);
            }
            List<Procedure<?, ?>> holding = STOPS.stream()
                    .filter(stop -> stop.appliesTo(plate) && !(stop instanceof FocusRamp))
                    .toList();
            for (int failing = 0; failing < 1 << holding.size(); failing++) {
                for (Verdict other : Verdict.values()) {
                    Map<String, List<CountedReading>> readings = new HashMap<>();
                    for (int i = 0; i < holding.size(); i++) {
                        Verdict verdict = (failing >> i & 1) == 1 ? Verdict.FAIL : other;
                        readings.put(holding.get(i).card().id(), List.of(counted(verdict)));
                    }
                    boolean may = failing == 0 && other != Verdict.FAIL;
                    MachineStatus status = status(plate, cleared, readings);
                    assertThat(status.gate().isOpen()).isEqualTo(may);
                    assertThat(anythingFires(status)).isEqualTo(may && family != Family.SHEET_FIBRE);
                }
                if (failing > 3 && Integer.bitCount(failing) > 2) {
                    failing += 3; // more than two that fail at once hold it all the more
                }
            }
        }
    }

    private static CountedReading counted(Verdict verdict) {
        Entry entry = new Entry(
                new Entry.Place("wren", 1, "r"),
                new Entry.Stamp(DAY, ZoneOffset.UTC, "LO", "test"),
                new Body.Foreign("measured", "any", Optional.empty(), false, "{}"),
                Optional.empty(),
                List.of());
        return new CountedReading(
                "r", 1, verdict, new CountedReading.When(DAY, DAY, ZoneOffset.UTC), component -> true, () -> entry);
    }
}
