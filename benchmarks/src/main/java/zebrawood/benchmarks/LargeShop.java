package zebrawood.benchmarks;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import zebrawood.benches.Catalogue;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.controller.SettingsReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.ControllerNeed;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;
import zebrawood.logbook.store.Logbook;

/**
 * Ten years of a shop with many machines, from a seed: mostly work results, the climate every few days, a gate passed
 * twice a year, ramps, settings and what happens to machines. Every reading goes through its procedure once; a hundred
 * of each kind are then used again and again, with other times, machines and words.
 */
final class LargeShop {

    private static final Instant BEGAN = Instant.parse("2021-03-14T07:00:00Z");
    private static final int BATCH = 20_000;
    private static final String[] STOCKS = {
        "beech",
        "poplar ply",
        "acrylic clear",
        "acrylic black",
        "leather",
        "slate",
        "steel sheet",
        "anodised",
        "cork",
        "felt",
        "oak",
        "brass"
    };
    private static final String[] WORDS = {
        "clean", "good", "sooty rim", "not through", "pale", "ghost lines", "perfect", "stepped", "melted", "sharp"
    };
    private static final String[] PLACES = {"bench room", "clean room", "loft", "hall"};

    private final SplittableRandom random;
    private final List<String> machines = new ArrayList<>();
    private final List<Plate> plates = new ArrayList<>();
    private final List<Body> climates = new ArrayList<>();
    private final List<Body> ramps = new ArrayList<>();
    private final List<Body> settings = new ArrayList<>();

    LargeShop(long seed, int count) {
        random = new SplittableRandom(seed);
        for (int i = 0; i < count; i++) {
            machines.add(String.format(Locale.ROOT, "machine-%04d", i));
            plates.add(plate(i));
        }
        ClimateLimits limits = plates.get(0).climate().orElseThrow();
        for (int i = 0; i < 100; i++) {
            climates.add(measured(
                    new SiteClimate(),
                    new ClimateReadings(
                            16 + random.nextInt(110) / 10.0, 35 + random.nextInt(i % 25 == 0 ? 45 : 25), limits)));
            ramps.add(measured(new FocusRamp(), ramp()));
        }
        String text =
                "$20=1\n$21=1\n$22=1\n$23=3\n$30=1200\n$31=0\n$32=1\n$100=160\n$101=160\n$110=24000\n$111=24000\n$120=3200\n$121=3200\n$130=700\n$131=500\n";
        ControllerNeed need = plates.get(0).control().orElseThrow().need().orElseThrow();
        settings.add(measured(
                new ControllerSettings(), new SettingsReadings(text, Optional.empty(), Optional.empty(), need)));
        settings.add(measured(
                new ControllerSettings(),
                new SettingsReadings(text.replace("$20=1", "$20=0"), Optional.empty(), Optional.empty(), need)));
    }

    List<String> machines() {
        return machines;
    }

    /** Fills a logbook up to so many entries. */
    void fill(Path folder, long entries) {
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            long[] done = {logbook.head().entries()};
            if (done[0] == 0) {
                logbook.together(() -> {
                    for (int i = 0; i < machines.size(); i++) {
                        begin(logbook, i);
                    }
                });
                done[0] = logbook.head().entries();
            }
            long step = 10L * 365 * 86_400 * 1000 / Math.max(1, entries);
            while (done[0] < entries) {
                logbook.together(() -> {
                    for (int i = 0; i < BATCH && done[0] < entries; i++, done[0]++) {
                        int machine = random.nextInt(machines.size());
                        append(logbook, machine, stamp(BEGAN.plusMillis(86_400_000L + done[0] * step)));
                    }
                });
                if (done[0] % 500_000 < BATCH) {
                    System.err.println("  " + done[0] + " entries");
                }
            }
        }
    }

    private void begin(Logbook logbook, int machine) {
        String id = machines.get(machine);
        logbook.append(
                id,
                new Body.PlateSet(
                        plates.get(machine), Map.of("name", plates.get(machine).name())),
                stamp(BEGAN));
        logbook.append(id, climates.get(machine % 100), stamp(BEGAN));
        gate(logbook, machine, stamp(BEGAN));
        logbook.append(id, ramps.get(machine % 100), stamp(BEGAN));
    }

    private void gate(Logbook logbook, int machine, Entry.Stamp stamp) {
        for (Bar bar : FirstLight.bars(plates.get(machine))) {
            logbook.append(
                    machines.get(machine),
                    new Body.GateLine(
                            bar.id(), bar.title(), true, bar.fires(), bar.needsRemark() ? "0.06 ohm, TN" : ""),
                    stamp);
        }
    }

    /** One more entry of a machine. */
    void append(Logbook logbook, int machine, Entry.Stamp stamp) {
        logbook.append(machines.get(machine), body(machine), stamp);
    }

    /** Something that may be recorded of a machine. */
    Body body(int machine) {
        int what = random.nextInt(1000);
        if (what < 690) {
            return work();
        } else if (what < 900) {
            return climates.get(random.nextInt(climates.size()));
        } else if (what < 960) {
            List<Bar> bars = FirstLight.bars(plates.get(machine));
            Bar bar = bars.get(random.nextInt(bars.size()));
            return new Body.GateLine(bar.id(), bar.title(), random.nextInt(40) > 0, bar.fires(), "seen again");
        } else if (what < 980) {
            return ramps.get(random.nextInt(ramps.size()));
        } else if (what < 984) {
            return settings.get(random.nextInt(settings.size()));
        } else if (what < 999) {
            Change change =
                    random.nextInt(3) > 0 ? Change.CLEANED : Change.values()[random.nextInt(Change.values().length)];
            return change == Change.CLEANED
                    ? new Body.Happened(
                            change,
                            "",
                            Optional.of(new Body.Cleaning(
                                    random.nextBoolean() ? "lens" : "mirror 2", "soot", "", random.nextBoolean())))
                    : new Body.Happened(change, "ticket " + random.nextInt(100_000));
        }
        return new Body.PointOpened("order part " + random.nextInt(1000), "LO", Optional.empty());
    }

    private Body work() {
        String stock = STOCKS[random.nextInt(STOCKS.length)];
        double gap = 6 + random.nextInt(20) / 10.0;
        int power = 10 + random.nextInt(85);
        int speed = 600 * (1 + random.nextInt(40));
        int score = random.nextInt(11);
        String batch = "B" + (1000 + random.nextInt(9000));
        WorkResult result = new WorkResult(
                new WorkResult.Stock(
                        stock,
                        OptionalDouble.of(1 + random.nextInt(12) / 2.0),
                        Optional.of(batch),
                        Optional.of(true),
                        Optional.of("honeycomb"),
                        Optional.empty()),
                new WorkResult.Setup(
                        Optional.of("middle"),
                        Optional.empty(),
                        OptionalDouble.of(gap),
                        OptionalDouble.empty(),
                        Optional.of("low"),
                        OptionalDouble.of(random.nextInt(90))),
                new WorkResult.Recipe(
                        OptionalDouble.of(power),
                        OptionalDouble.of(speed),
                        OptionalDouble.of(0.1),
                        Optional.of(WorkResult.Strokes.FILL),
                        OptionalInt.of(1),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()),
                new WorkResult.Outcome(
                        WORDS[random.nextInt(WORDS.length)],
                        OptionalInt.of(score),
                        OptionalDouble.of(random.nextInt(60))));
        TakenAlong along = new TakenAlong(
                List.of(new TakenAlong.Known("climate", "dew 9.3 \u00b0C", 2, BEGAN)), List.of("level", "power"));
        return new Body.Worked(
                result,
                Map.of(
                        "setup.gapMm",
                        String.valueOf(gap),
                        "recipe.powerPct",
                        String.valueOf(power),
                        "outcome.score",
                        String.valueOf(score)),
                along);
    }

    private RampReadings ramp() {
        List<RampReadings.Mark> marks = new ArrayList<>();
        double best = 6.6 + random.nextDouble() * 0.5;
        for (int i = 0; i < 9; i++) {
            double gap = 11.6 - i * 10.2 / 8;
            double width = 0.215 * Math.hypot(1, (gap - best) / 2.9) + random.nextGaussian() * 0.01;
            marks.add(new RampReadings.Mark(i * 22.5, Math.max(0.05, Math.round(width * 100) / 100.0)));
        }
        return new RampReadings(
                10_600,
                11.6,
                180,
                10.2,
                Optional.empty(),
                Optional.of(marks),
                OptionalDouble.of(0.02),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }

    private static <R extends Record, F extends Record> Body measured(Procedure<R, F> procedure, R readings) {
        return Body.Measured.of(
                procedure, readings, Map.of("typed", "as typed"), procedure.evaluate(readings), UnitChoice.METRIC);
    }

    private Plate plate(int i) {
        ControllerNeed need = new ControllerNeed(
                ControllerNeed.Tool.LASER,
                new ControllerNeed.Travel(700, 500, OptionalDouble.empty()),
                OptionalDouble.empty(),
                Optional.of(ControllerNeed.HomeCorner.FRONT_LEFT),
                true,
                OptionalDouble.of(1200),
                OptionalDouble.of(1200),
                OptionalDouble.of(30_000),
                OptionalDouble.of(4000));
        return new Plate(
                String.format(Locale.ROOT, "Unit %03d", i),
                Family.values()[i % Family.values().length],
                Optional.of(String.format(Locale.ROOT, "FH-%03d", i)),
                Optional.of(PLACES[i % PLACES.length]),
                Optional.of(new Plate.Size(1150, 780, 980, OptionalDouble.of(212))),
                Optional.of(new Plate.Bed(700, 500, OptionalDouble.empty(), OptionalDouble.empty())),
                Optional.of(new Plate.Source(
                        Optional.of("glass tube"),
                        OptionalDouble.of(90),
                        OptionalDouble.of(28),
                        List.of(10_600.0),
                        OptionalDouble.empty())),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new ClimateLimits(14, 29, OptionalDouble.of(22), 66)),
                Optional.of(new Plate.Control(Plate.ControllerKind.NUMBERED, Optional.of(need))),
                Optional.empty());
    }

    static Entry.Stamp stamp(Instant at) {
        return new Entry.Stamp(at, ZoneOffset.ofHours(1), at.toEpochMilli() % 3 == 0 ? "RV" : "LO", "bench");
    }
}
