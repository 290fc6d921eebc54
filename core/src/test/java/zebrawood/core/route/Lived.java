package zebrawood.core.route;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;

/** A machine that has lived through something: Heron, day by day from day 0. */
final class Lived {

    static final Instant DAY_0 = Instant.parse("2031-01-01T09:00:00Z");
    private static final ClimateLimits LIMITS = new ClimateLimits(10, 32, OptionalDouble.of(10), 75);

    private static final Route ROUTE = new Route(List.of(new FocusRamp(), new SiteClimate(), new ControllerSettings()));

    private final List<Entry> entries = new ArrayList<>();
    private final Plate plate;

    Lived() {
        plate = new Plate(
                "Heron",
                Family.GALVO_FIBRE,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Plate.Source(
                        Optional.empty(),
                        OptionalDouble.of(30),
                        OptionalDouble.empty(),
                        List.of(1064.0),
                        OptionalDouble.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.of(LIMITS),
                Optional.empty(),
                Optional.empty());
        add(0, new Body.PlateSet(plate, Map.of()), Optional.empty());
    }

    static Instant day(int day) {
        return DAY_0.plusSeconds(86_400L * day);
    }

    Lived gate(int day) {
        for (Bar bar : FirstLight.bars(plate)) {
            bar(day, bar, true);
        }
        return this;
    }

    Lived bar(int day, Bar bar, boolean lifted) {
        add(day, new Body.GateLine(bar.id(), bar.title(), lifted, bar.fires(), ""), Optional.empty());
        return this;
    }

    /** Corrects the entry of that number to a bar lifted or not. */
    Lived correctBar(int day, int number, boolean lifted) {
        Entry old = entries.get(number - 1);
        Body.GateLine line = (Body.GateLine) old.body();
        add(
                day,
                new Body.GateLine(line.bar(), line.title(), lifted, false, "seen wrongly"),
                Optional.of(new Entry.Correction(number, old.standsAt(), old.since(), "seen wrongly")));
        return this;
    }

    Lived happened(int day, Change change) {
        add(day, new Body.Happened(change, ""), Optional.empty());
        return this;
    }

    Lived cleaned(int day, boolean takenOut) {
        add(
                day,
                new Body.Happened(Change.CLEANED, "", Optional.of(new Body.Cleaning("lens", "soot", "", takenOut))),
                Optional.empty());
        return this;
    }

    Lived point(int day, String what, Optional<LocalDate> due) {
        add(day, new Body.PointOpened(what, "LO", due), Optional.empty());
        return this;
    }

    Lived closed(int day, int opened) {
        add(day, new Body.PointClosed(opened, "it", "done"), Optional.empty());
        return this;
    }

    Lived recorded(int day, Body body) {
        add(day, body, Optional.empty());
        return this;
    }

    Lived climate(int day, double humidity) {
        measure(day, new SiteClimate(), new ClimateReadings(21, humidity, LIMITS), Optional.empty());
        return this;
    }

    Lived ramp(int day) {
        return ramp(day, Optional.empty());
    }

    Lived ramp(int day, Optional<Entry.Correction> corrects) {
        RampReadings quick = new RampReadings(
                1064,
                185,
                180,
                5,
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(90),
                OptionalDouble.empty(),
                Optional.empty());
        measure(day, new FocusRamp(), quick, corrects);
        return this;
    }

    /** A line measured along its length, whose gap is fitted: 4.8 mm less 5 mm along 200 mm. */
    Lived fitted(int day) {
        List<RampReadings.Mark> marks = List.of(
                new RampReadings.Mark(0, 0.261),
                new RampReadings.Mark(66.7, 0.205),
                new RampReadings.Mark(133.3, 0.215),
                new RampReadings.Mark(200, 0.282));
        RampReadings read = new RampReadings(
                10600,
                4.8,
                200,
                -5,
                Optional.empty(),
                Optional.of(marks),
                OptionalDouble.of(0.01),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());
        measure(day, new FocusRamp(), read, Optional.empty());
        return this;
    }

    /** The last entry once more, as it would be were its verdict unclear. */
    Lived againButUnclear(int day) {
        Body.Measured last = (Body.Measured) last().body();
        add(
                day,
                new Body.Measured(
                        last.procedure(),
                        last.version(),
                        last.fired(),
                        last.readings(),
                        last.asTyped(),
                        last.finding(),
                        Verdict.UNCLEAR,
                        last.instructions(),
                        last.shown()),
                Optional.empty());
        return this;
    }

    <R extends Record, F extends Record> Lived measured(int day, Procedure<R, F> procedure, R readings) {
        measure(day, procedure, readings, Optional.empty());
        return this;
    }

    private <R extends Record, F extends Record> void measure(
            int day, Procedure<R, F> procedure, R readings, Optional<Entry.Correction> corrects) {
        add(
                day,
                Body.Measured.of(procedure, readings, Map.of(), procedure.evaluate(readings), UnitChoice.METRIC),
                corrects);
    }

    private void add(int day, Body body, Optional<Entry.Correction> corrects) {
        int number = entries.size() + 1;
        Entry.Stamp stamp = new Entry.Stamp(day(day).plusSeconds(number), ZoneOffset.UTC, "LO", "test");
        entries.add(new Entry(new Entry.Place("heron", number, "hash" + number), stamp, body, corrects, List.of()));
    }

    int entries() {
        return entries.size();
    }

    Entry last() {
        return entries.get(entries.size() - 1);
    }

    MachineStatus at(int day) {
        return at(day(day));
    }

    MachineStatus at(Instant moment) {
        return ROUTE.status(history(), moment, ZoneOffset.UTC);
    }

    /** What would follow, said before it is recorded. */
    List<String> follows(int day, Body.Happened happened) {
        return ROUTE.consequences(history(), happened, day(day), ZoneOffset.UTC);
    }

    private Optional<CountedReading> newest(Class<? extends Body> kind) {
        return entries.stream()
                .filter(e -> kind.isInstance(e.body()))
                .reduce((earlier, later) -> later)
                .map(e -> new CountedReading(
                        e.place().hash(),
                        e.standsAt(),
                        Verdict.UNCLEAR,
                        new CountedReading.When(
                                e.since(), e.stamp().at(), e.stamp().zone()),
                        component -> false,
                        () -> e));
    }

    History history() {
        List<Entry> gate = entries.stream()
                .filter(e -> e.body() instanceof Body.GateLine
                        || e.body() instanceof Body.Happened
                        || e.body() instanceof Body.ServiceBegun)
                .toList();
        Map<String, List<CountedReading>> readings = new HashMap<>();
        for (Entry entry : entries) {
            if (entry.body() instanceof Body.Measured measured) {
                List<CountedReading> list = readings.computeIfAbsent(measured.procedure(), stop -> new ArrayList<>());
                list.removeIf(earlier -> earlier.standsAt() == entry.standsAt());
                list.add(CountedReading.of(entry));
            }
        }
        readings.values().forEach(list -> {
            list.sort((a, b) -> a.standsAt() - b.standsAt());
            Collections.reverse(list);
        });
        List<History.Use> uses = entries.stream()
                .filter(e -> e.corrects().isEmpty() && e.body() instanceof Body.Measured m && m.fired())
                .map(e -> new History.Use(e.number(), e.stamp().at()))
                .toList();
        return new History(
                "heron",
                entries.get(0),
                gate,
                readings,
                uses,
                entries.stream().filter(e -> e.body().stop().equals("point")).toList(),
                new History.Daily(newest(Body.Started.class), newest(Body.Worked.class)),
                List.of());
    }
}
