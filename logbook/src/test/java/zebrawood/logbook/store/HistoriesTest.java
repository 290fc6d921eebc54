package zebrawood.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.route.CountedReading;
import zebrawood.core.route.Gate;
import zebrawood.core.route.History;
import zebrawood.core.route.MachineStatus;
import zebrawood.core.route.Route;
import zebrawood.core.route.WorkConditions;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.safety.ServiceFiring;
import zebrawood.core.units.UnitChoice;

/** What is left out of a history when it is read changes nothing of what follows from it. */
class HistoriesTest {

    private static final Body SERVICE =
            new Body.ServiceBegun(new ServiceFiring("RV", "LO", 60, List.of("lid"), List.of("eyewear")));

    @TempDir
    Path folder;

    @Test
    void aMachineStandsTheSameByWhatIsReadAsByAllItsEntries() {
        Route route = new Route(Shop.PROCEDURES);
        try (Logbook logbook = Shop.open(folder)) {
            for (int seed = 0; seed < 40; seed++) {
                String id = "machine-" + seed;
                Shop.begin(logbook, id, "Unit " + seed);
                double day = live(logbook, id, new SplittableRandom(seed));
                History whole = whole(logbook, id);
                for (double later : new double[] {0, 0.01, 5, 61, 200}) {
                    Instant now = Shop.day(day + later).at();
                    MachineStatus read = route.status(logbook.history(id), now, ZoneOffset.UTC);
                    MachineStatus all = route.status(whole, now, ZoneOffset.UTC);
                    assertThat(read.state())
                            .as("seed %d, %s days later", seed, later)
                            .isEqualTo(all.state());
                    assertThat(read.stops())
                            .as("seed %d, %s days later", seed, later)
                            .isEqualTo(all.stops());
                    assertThat(read.points()).isEqualTo(all.points());
                    assertThat(read.todo()).isEqualTo(all.todo());
                    assertThat(gate(read.gate()))
                            .as("seed %d, %s days later", seed, later)
                            .isEqualTo(gate(all.gate()));
                }
            }
        }
    }

    private static List<Object> gate(Gate gate) {
        return List.of(gate.bars(), gate.openedBy(), gate.shutBy(), gate.shutAt(), gate.service());
    }

    /** Whatever can happen to a machine, at any rhythm; the day on which it ends. */
    private static double live(Logbook logbook, String id, SplittableRandom random) {
        double day = 1;
        List<Bar> bars = FirstLight.bars(Shop.plate("any"));
        int gateLines = 0;
        for (int i = 0; i < 160; i++) {
            day += random.nextInt(20) == 0 ? 30 + random.nextInt(60) : random.nextDouble() * 3;
            Entry.Stamp stamp = Shop.day(day);
            int what = random.nextInt(100);
            if (what < 12) {
                double from = day;
                for (int bar = 0; bar < bars.size() - random.nextInt(2); bar++) {
                    Bar each = bars.get(bar);
                    logbook.append(
                            id,
                            new Body.GateLine(each.id(), each.title(), random.nextInt(30) > 0, each.fires(), ""),
                            Shop.day(from + bar / 1000.0));
                    gateLines++;
                }
            } else if (what < 15 && gateLines > 0) {
                takeBack(logbook, id, random, stamp);
            } else if (what < 25) {
                logbook.append(
                        id, new Body.Happened(Change.values()[random.nextInt(Change.values().length)], ""), stamp);
            } else if (what < 35) {
                logbook.append(id, Shop.climate(random.nextInt(4) == 0 ? 80 : 45), stamp);
            } else if (what < 45) {
                int how = random.nextInt(4);
                logbook.append(id, how == 0 ? Shop.fitted() : Shop.ramp(how == 1 ? 0.5 : 90), stamp);
            } else if (what < 47) {
                logbook.append(id, SERVICE, stamp);
            } else if (what < 49) {
                logbook.append(id, new Body.PointOpened("part " + i, "", Optional.empty()), stamp);
            } else {
                logbook.append(id, Shop.work("slate", 212, "sharp"), stamp);
            }
        }
        if (random.nextBoolean()) {
            // covers are open at the end, now and then from an open gate of which one bar was seen again meanwhile
            for (Bar each : bars) {
                logbook.append(
                        id, new Body.GateLine(each.id(), each.title(), true, each.fires(), ""), Shop.day(day + 0.001));
            }
            logbook.append(id, SERVICE, Shop.day(day + 0.002));
            logbook.append(id, new Body.Happened(Change.COOLANT_WORK, ""), Shop.day(day + 0.002));
            Bar again = bars.get(random.nextInt(bars.size()));
            logbook.append(id, new Body.GateLine(again.id(), "seen again", true, false, ""), Shop.day(day + 0.003));
        }
        return day;
    }

    private static void takeBack(Logbook logbook, String id, SplittableRandom random, Entry.Stamp stamp) {
        List<Entry> lines = all(logbook, id).stream()
                .filter(entry -> entry.body() instanceof Body.GateLine line
                        && line.lifted()
                        && entry.corrects().isEmpty())
                .toList();
        if (!lines.isEmpty()) {
            Entry entry = lines.get(random.nextInt(lines.size()));
            Body.GateLine line = (Body.GateLine) entry.body();
            logbook.append(
                    id,
                    new Body.GateLine(line.bar(), line.title(), false, false, ""),
                    Optional.of(new Logbook.Correcting(entry.number(), "not so")),
                    List.of(),
                    stamp);
        }
    }

    private static List<Entry> all(Logbook logbook, String id) {
        List<Entry> all = new ArrayList<>();
        for (int number = 1; number <= logbook.count(Optional.of(id)); number++) {
            all.add(logbook.entry(id, number));
        }
        return all;
    }

    /** Every entry, as the rules say it and nothing left out. */
    private static History whole(Logbook logbook, String id) {
        List<Entry> all = all(logbook, id);
        Map<String, List<CountedReading>> readings = new HashMap<>();
        for (Entry entry : all) {
            if (entry.body() instanceof Body.Measured measured) {
                List<CountedReading> list = readings.computeIfAbsent(measured.procedure(), stop -> new ArrayList<>());
                list.removeIf(earlier -> earlier.standsAt() == entry.standsAt());
                list.add(CountedReading.of(entry));
            }
        }
        readings.values()
                .forEach(list -> list.sort(
                        Comparator.comparingInt(CountedReading::standsAt).reversed()));
        List<Entry> gate = all.stream()
                .filter(entry -> entry.body() instanceof Body.GateLine
                        || entry.body() instanceof Body.Happened
                        || entry.body() instanceof Body.ServiceBegun)
                .toList();
        List<History.Use> uses = all.stream()
                .filter(entry -> entry.corrects().isEmpty()
                        && (entry.body() instanceof Body.Worked
                                || entry.body() instanceof Body.Measured measured && measured.fired()))
                .map(entry -> new History.Use(entry.number(), entry.stamp().at()))
                .toList();
        return new History(
                id,
                all.get(0),
                gate,
                readings,
                uses,
                all.stream()
                        .filter(entry -> entry.body().stop().equals("point"))
                        .toList(),
                newest(all),
                List.of());
    }

    private static History.Daily newest(List<Entry> all) {
        return new History.Daily(counted(all, Body.Started.class), counted(all, Body.Worked.class));
    }

    private static Optional<CountedReading> counted(List<Entry> all, Class<? extends Body> kind) {
        return all.stream()
                .filter(entry -> kind.isInstance(entry.body()))
                .reduce((one, two) -> two)
                .map(entry -> new CountedReading(
                        entry.place().hash(),
                        entry.standsAt(),
                        Verdict.UNCLEAR,
                        new CountedReading.When(
                                entry.since(), entry.stamp().at(), entry.stamp().zone()),
                        component -> false,
                        () -> entry));
    }

    @Test
    void aHistoryThatIsKeptIsReadAnewWhenSomebodyElseRecords() {
        try (Logbook one = Shop.open(folder);
                Logbook other = Shop.open(folder)) {
            Shop.begin(one, "plover", "Plover");
            assertThat(one.history("plover").of("site-climate")).isEmpty();
            other.append("plover", Shop.climate(45), Shop.day(1));
            assertThat(one.history("plover").of("site-climate")).hasSize(1);
            assertThat(one.histories()).singleElement().isEqualTo(other.history("plover"));
        }
    }

    /** A line that showed nothing is on record and shown; what the one before it proved is still what is known. */
    @Test
    void anUnclearReadingTakesNothingAwayFromWhatTheOneBeforeItProved() {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            Entry proved = logbook.append("plover", Shop.ramp(90), Shop.day(1));
            Entry before = logbook.append("plover", Shop.work("beech", 182.5, "sharp"), Shop.day(2));
            Entry unclear = logbook.append("plover", Shop.ramp(0.5), Shop.day(3));
            Entry after = logbook.append("plover", Shop.work("beech", 182.5, "pale"), Shop.day(4));
            assertThat(((Body.Measured) unclear.body()).verdict()).isEqualTo(Verdict.UNCLEAR);

            History history = logbook.history("plover");
            MachineStatus machine =
                    new Route(Shop.PROCEDURES).status(history, Shop.day(4).at(), ZoneOffset.UTC);
            assertThat(WorkConditions.of(machine, history, UnitChoice.METRIC).known())
                    .filteredOn(known -> known.what().equals("focus"))
                    .singleElement()
                    .satisfies(known -> assertThat(known.number()).isEqualTo(proved.number()));
            assertThat(logbook.compare(before, after).notOnRecord())
                    .contains("Ramp line: last checked 3 days before, not since");
        }
    }

    /** The newest line that was fitted is compared, and taken along with work, whatever quick ones came after it. */
    @Test
    void quickReadingsTakeNothingAwayFromWhatAFitProved() {
        try (Logbook logbook = Shop.open(folder)) {
            Shop.begin(logbook, "plover", "Plover");
            Entry fitted = logbook.append("plover", Shop.fitted(), Shop.day(1));
            Entry before = logbook.append("plover", Shop.work("beech", 182.5, "sharp"), Shop.day(2));
            for (int i = 0; i < 5; i++) {
                logbook.append("plover", Shop.ramp(80 + i), Shop.day(3 + i));
            }
            Entry after = logbook.append("plover", Shop.work("beech", 182.5, "pale"), Shop.day(9));
            assertThat(logbook.history("plover").of("focus-ramp"))
                    .as("the newest, the one that passed before it and the fitted one")
                    .hasSize(3)
                    .last()
                    .isEqualTo(CountedReading.of(fitted));
            assertThat(logbook.compare(before, after).notOnRecord())
                    .contains("Ramp line: last checked 8 days before, not since");
        }
    }
}
