package zebrawood.desktop.demo;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import zebrawood.benches.inventory.PartsList;
import zebrawood.benches.switching.UsualOrder;
import zebrawood.core.access.AccessReadings;
import zebrawood.core.access.SiteAccess;
import zebrawood.core.air.AirAssist;
import zebrawood.core.air.AirReadings;
import zebrawood.core.controller.ControllerSettings;
import zebrawood.core.controller.SettingsReadings;
import zebrawood.core.coolant.CoolantHeat;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.HeatReadings;
import zebrawood.core.coolant.MixReadings;
import zebrawood.core.coolant.SetpointReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.extraction.Extraction;
import zebrawood.core.extraction.ExtractionReadings;
import zebrawood.core.extraction.Layout;
import zebrawood.core.eyewear.Eyewear;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.eyewear.EyewearReadings;
import zebrawood.core.eyewear.Marking;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.gas.AssistGas;
import zebrawood.core.gas.Gas;
import zebrawood.core.gas.GasReadings;
import zebrawood.core.inventory.Inventory;
import zebrawood.core.inventory.InventoryReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.mains.CircuitReadings;
import zebrawood.core.mains.SiteCircuit;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.safety.Bar;
import zebrawood.core.safety.FirstLight;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.switching.SwitchingOrder;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;
import zebrawood.desktop.machine.PlateField;
import zebrawood.logbook.store.Logbook;

/** What happens to one machine, planned day by day; lived through by the shop in the order of time. */
final class MachineDiary {

    static final ZoneOffset ZONE = ZoneOffset.ofHours(1);

    /** Something done at a moment. */
    record Deed(Instant at, int order, MachineDiary life, Runnable run) {}

    private final Logbook logbook;
    private final LocalDate today;
    private final String program;
    private final String id;
    private final RandomGenerator random;
    private final List<Deed> deeds = new ArrayList<>();
    private final Map<String, Integer> numbers = new HashMap<>();
    private final Map<String, OptionalDouble> before = new HashMap<>();
    private final Map<String, TakenAlong.Known> along = new LinkedHashMap<>();
    private Plate plate;
    private Entry.Stamp stamp;
    private int newest;
    private OptionalDouble lastBestGap = OptionalDouble.empty();
    private Optional<String> lastGoodSettings = Optional.empty();
    private ClimateReadings air;

    MachineDiary(Logbook logbook, LocalDate today, String program, Plate plate) {
        this.logbook = logbook;
        this.today = today;
        this.program = program;
        this.plate = plate;
        this.id = UUID.nameUUIDFromBytes(("fernhollow " + plate.name()).getBytes(StandardCharsets.UTF_8))
                .toString();
        this.random = new SplittableRandom(plate.name().hashCode());
    }

    List<Deed> deeds() {
        return deeds;
    }

    RandomGenerator random() {
        return random;
    }

    Plate plate() {
        return plate;
    }

    /** Plans something so many days ago, at a time of day, by somebody. */
    void plan(int daysAgo, LocalTime at, String by, Runnable deed) {
        Instant when = today.minusDays(daysAgo).atTime(at).toInstant(ZONE);
        deeds.add(new Deed(when, deeds.size(), this, () -> {
            stamp = new Entry.Stamp(when, ZONE, by, program);
            deed.run();
        }));
    }

    /** A technician's initials and a time of day, both as it happens. */
    void planSome(int daysAgo, Runnable deed) {
        plan(
                daysAgo,
                LocalTime.of(8 + random.nextInt(9), random.nextInt(60)),
                random.nextInt(3) == 0 ? "RV" : "LO",
                deed);
    }

    void begin(int daysAgo) {
        plan(daysAgo, LocalTime.of(7, 5), "GA", () -> append(new Body.PlateSet(plate, PlateField.texts(plate))));
    }

    void newPlate(int daysAgo, Plate now) {
        plan(daysAgo, LocalTime.of(16, 40), "GA", () -> {
            plate = now;
            append(new Body.PlateSet(plate, PlateField.texts(plate)));
        });
    }

    /** A surface cleaned. */
    void cleaned(int daysAgo, LocalTime at, String by, String surface, String residue) {
        plan(daysAgo, at, by, () -> {
            newest = logbook.append(
                            id,
                            new Body.Happened(
                                    Change.CLEANED, "", Optional.of(new Body.Cleaning(surface, residue, "", false))),
                            stamp)
                    .number();
            along.put("cleaning", new TakenAlong.Known("cleaning", surface, newest, stamp.at()));
        });
    }

    /** Work done, with what was known of the machine. */
    void work(int daysAgo, LocalTime at, String by, WorkResult result, List<NewAttachment> photos) {
        plan(daysAgo, at, by, () -> {
            List<String> missing = Stream.of("climate", "settings", "focus", "level", "power", "cleaning")
                    .filter(what -> !along.containsKey(what))
                    .toList();
            logbook.append(
                    id,
                    new Body.Worked(result, Map.of(), new TakenAlong(List.copyOf(along.values()), missing)),
                    Optional.empty(),
                    photos,
                    stamp);
        });
    }

    void point(int daysAgo, LocalTime at, String by, String what, String who, int dueInDays) {
        plan(daysAgo, at, by, () -> append(new Body.PointOpened(what, who, Optional.of(today.plusDays(dueInDays)))));
    }

    void happened(int daysAgo, LocalTime at, String by, Change change, String remark) {
        plan(daysAgo, at, by, () -> append(new Body.Happened(change, remark)));
    }

    /** All bars lifted, or only the first of them. */
    void gate(int daysAgo, LocalTime from, String by, int bars) {
        List<Bar> all = FirstLight.bars(plate);
        LocalTime at = from;
        for (Bar bar : all.subList(0, Math.min(bars, all.size()))) {
            LocalDate day = today.minusDays(daysAgo);
            // the shop's rule: portable machines every four years, the room's label says so
            Optional<LocalDate> until =
                    bar.id().equals("earth") ? Optional.of(day.minusDays(3).plusYears(4)) : Optional.empty();
            String remark = switch (bar.id()) {
                case "earth" -> "TN, 0.06 ohm; tested " + day.minusDays(3) + ", valid until " + until.orElseThrow();
                case "films" -> "lens cap in the drawer";
                case "eyewear" -> "two pairs, both marked";
                case "interlock" ->
                    plate.services().flatMap(Plate.Services::enclosureNote).orElse("lid");
                case "pulse" ->
                    plate.source()
                                    .flatMap(s ->
                                            s.ratedCurrentMa().stream().boxed().findFirst())
                                    .isPresent()
                            ? "current 6 mA"
                            : "";
                default -> "";
            };
            plan(
                    daysAgo,
                    at,
                    by,
                    () -> append(new Body.GateLine(bar.id(), bar.title(), true, bar.fires(), remark, until)));
            at = at.plusMinutes(bar.minutes());
        }
    }

    /** All that came with it, there and as it should be; the delivery fibre in a wide bend. */
    void inventory(int daysAgo, LocalTime at, String by) {
        plan(daysAgo, at, by, () -> {
            List<InventoryReadings.Part> parts = PartsList.read(PartsList.shipped()).of(plate.family()).stream()
                    .map(line -> new InventoryReadings.Part(
                            line.group(), line.name(), line.sort(), InventoryReadings.State.PRESENT, Optional.empty()))
                    .toList();
            Optional<InventoryReadings.Fibre> fibre = plate.presence(Plate.Part.FIBRE) == Plate.Presence.NONE
                    ? Optional.empty()
                    : Optional.of(new InventoryReadings.Fibre(OptionalDouble.of(150), 240));
            measure(
                    new Inventory(),
                    new InventoryReadings(
                            parts,
                            List.of(
                                    new InventoryReadings.Place(1, "rear cover"),
                                    new InventoryReadings.Place(2, "crate"),
                                    new InventoryReadings.Place(5, "transport lock")),
                            fibre),
                    fibre.isPresent()
                            ? Map.of("fibre.leastRadiusMm", "150", "fibre.tightestRadiusMm", "240")
                            : Map.of(),
                    Optional.empty());
        });
    }

    /** In which order it is switched on: the usual one of its family, as the manual has it. */
    void startupOrder(int daysAgo, LocalTime at, String by) {
        plan(
                daysAgo,
                at,
                by,
                () -> measure(new SwitchingOrder(), UsualOrder.of(plate.family()), Map.of(), Optional.empty()));
    }

    /** The hygrometer read: the season, a little chance, held within what this room's heating keeps. */
    void climate(int daysAgo, double warmer, double damper) {
        double season = Math.sin(2 * Math.PI * (today.minusDays(daysAgo).getDayOfYear() - 105) / 365.0);
        double temperature = 20.6 + 2.2 * season + warmer + random.nextGaussian() * 0.7;
        double humidity = 44 + 6 * season + damper + random.nextGaussian() * 3;
        planSome(daysAgo, () -> climate(text(temperature, 1), text(humidity, 0)));
    }

    void climate(String temperature, String humidity) {
        air = new ClimateReadings(
                Double.parseDouble(temperature),
                Double.parseDouble(humidity),
                plate.climate().orElseThrow());
        measure(
                new SiteClimate(),
                air,
                Map.of("airTemperatureC", temperature, "relativeHumidityPct", humidity),
                Optional.empty());
    }

    /**
     * A machine's water.
     *
     * @param volumeMl what the circuit holds
     * @param firstMl what the reservoir takes before the pump has run, where that was measured
     * @param inputW into the source
     * @param outputW light out of it
     * @param flowLMin of the water
     * @param chillerW what is carried away
     * @param followC by how much the chiller follows the room, where it cannot be set
     */
    record Water(
            double volumeMl,
            OptionalDouble firstMl,
            double inputW,
            double outputW,
            double flowLMin,
            double chillerW,
            OptionalDouble followC) {}

    /**
     * The way in: by the yard gate, round the passage where it stands in the bench room, and through a door of this
     * width.
     */
    void access(
            int daysAgo,
            LocalTime at,
            String by,
            boolean round,
            String door,
            double doorWide,
            double behind,
            double beside) {
        plan(daysAgo, at, by, () -> {
            Plate.Size size = plate.size().orElseThrow();
            Map<String, String> asTyped = new HashMap<>(Map.of(
                    "openings[0].name",
                    "yard gate",
                    "openings[0].widthMm",
                    "3.2m",
                    "openings[0].heightMm",
                    "2.6m",
                    "openings[1].name",
                    door,
                    "openings[1].widthMm",
                    Amount.exact(doorWide),
                    "openings[1].heightMm",
                    "2030",
                    "walls[0].availableMm",
                    Amount.exact(behind),
                    "walls[1].availableMm",
                    Amount.exact(beside)));
            List<AccessReadings.Turn> corners =
                    round ? List.of(new AccessReadings.Turn("passage", 1500, 1400, OptionalInt.of(1))) : List.of();
            if (round) {
                asTyped.putAll(Map.of(
                        "corners[0].name",
                        "passage",
                        "corners[0].approachWidthMm",
                        "1500",
                        "corners[0].exitWidthMm",
                        "1400"));
            }
            measure(
                    new SiteAccess(),
                    new AccessReadings(
                            new AccessReadings.Machine(
                                    size.widthMm(),
                                    size.depthMm(),
                                    size.heightMm(),
                                    size.massKg().orElseThrow()),
                            OptionalDouble.empty(),
                            List.of(
                                    new AccessReadings.Opening("yard gate", 3200, 2600, OptionalDouble.empty()),
                                    new AccessReadings.Opening(door, doorWide, 2030, OptionalDouble.empty())),
                            corners,
                            OptionalInt.empty(),
                            List.of(
                                    new AccessReadings.Wall("rear", behind, 500),
                                    new AccessReadings.Wall("left", beside, 300)),
                            OptionalDouble.of(5),
                            Optional.empty()),
                    asTyped,
                    Optional.empty());
        });
    }

    /** Its extraction: a hose, a bend, a run and a cap, all of one bore, and a fan on the outside wall. */
    void extraction(int daysAgo, LocalTime at, String by, double asked, double boreMm, double runM) {
        plan(daysAgo, at, by, () -> {
            String bore = Amount.exact(boreMm);
            List<ExtractionReadings.FanPoint> fan = Stream.of(
                            new double[][] {{0, 640}, {200, 590}, {400, 455}, {600, 180}, {690, 0}})
                    .map(point -> new ExtractionReadings.FanPoint(point[0], point[1]))
                    .toList();
            measure(
                    new Extraction(),
                    new ExtractionReadings(
                            asked,
                            Optional.empty(),
                            List.of(
                                    new Layout.Segment(
                                            "hose",
                                            boreMm,
                                            1.5,
                                            OptionalDouble.empty(),
                                            OptionalDouble.of(1.8),
                                            OptionalInt.empty()),
                                    new Layout.Segment(
                                            "smooth run",
                                            boreMm,
                                            runM,
                                            OptionalDouble.empty(),
                                            OptionalDouble.empty(),
                                            OptionalInt.empty())),
                            List.of(
                                    new Layout.Fitting("bend", boreMm, 0.35, OptionalInt.empty(), OptionalInt.of(1)),
                                    new Layout.Fitting(
                                            "rain cap", boreMm, 1.1, OptionalInt.empty(), OptionalInt.of(2))),
                            List.of(new Layout.Filter(
                                    "pre-filter", 400, 90, OptionalDouble.of(250), OptionalInt.of(0))),
                            fan,
                            OptionalDouble.empty(),
                            true,
                            Optional.of(true),
                            List.of(),
                            Optional.empty()),
                    Map.ofEntries(
                            Map.entry("requiredFlowM3h", Amount.exact(asked)),
                            Map.entry("segments[0].name", "hose"),
                            Map.entry("segments[0].diameterMm", bore),
                            Map.entry("segments[0].lengthM", "1.5"),
                            Map.entry("segments[1].name", "smooth run"),
                            Map.entry("segments[1].diameterMm", bore),
                            Map.entry("segments[1].lengthM", Amount.exact(runM)),
                            Map.entry("fittings[0].lossCoefficient", "0.35"),
                            Map.entry("fittings[1].lossCoefficient", "1.1"),
                            Map.entry("filters[0].ratedDropPa", "90"),
                            Map.entry("fanCurve", "0 640; 200 590; 400 455; 600 180; 690 0")),
                    Optional.empty());
        });
    }

    /** Its air assist: a pump, switched by the job software. */
    void air(int daysAgo, LocalTime at, String by, String engraving, String cutting) {
        plan(
                daysAgo,
                at,
                by,
                () -> measure(
                        new AirAssist(),
                        new AirReadings(
                                AirReadings.Source.PUMP,
                                Optional.empty(),
                                true,
                                Optional.of(true),
                                "M8",
                                "M9",
                                true,
                                true,
                                new AirReadings.Flow(
                                        OptionalDouble.of(Double.parseDouble(engraving)), Optional.empty()),
                                new AirReadings.Flow(OptionalDouble.of(Double.parseDouble(cutting)), Optional.empty()),
                                OptionalDouble.empty(),
                                OptionalDouble.empty()),
                        Map.of(
                                "onCommand",
                                "M8",
                                "offCommand",
                                "M9",
                                "engraving.readLMin",
                                engraving,
                                "cutting.readLMin",
                                cutting),
                        Optional.empty()));
    }

    /** The circuit that it hangs on, with a chiller where there is one. */
    void circuit(int daysAgo, LocalTime at, String by, double watts, double chillerW, double lengthM) {
        plan(daysAgo, at, by, () -> {
            List<CircuitReadings.Load> loads = new ArrayList<>(List.of(load("supply", watts, 0.92)));
            Map<String, String> asTyped = new HashMap<>(Map.of(
                    "supplyV",
                    "230",
                    "circuitA",
                    "16",
                    "cable.lengthM",
                    Amount.exact(lengthM) + "m",
                    "cable.sectionMm2",
                    "2.5",
                    "loads[0].name",
                    "supply",
                    "loads[0].ratedW",
                    Amount.exact(watts)));
            if (chillerW > 0) {
                loads.add(load("chiller", chillerW, 0.85));
                asTyped.putAll(Map.of("loads[1].name", "chiller", "loads[1].ratedW", Amount.exact(chillerW)));
            }
            loads.add(load("extractor", 370, 0.9));
            measure(
                    new SiteCircuit(),
                    new CircuitReadings(
                            230,
                            16,
                            loads,
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            Optional.of(new CircuitReadings.Cable(lengthM, 2.5, OptionalDouble.empty())),
                            OptionalDouble.empty()),
                    asTyped,
                    Optional.empty());
        });
    }

    private static CircuitReadings.Load load(String name, double watts, double factor) {
        return new CircuitReadings.Load(
                name, watts, OptionalDouble.of(factor), Optional.of(true), OptionalDouble.empty());
    }

    /** Filled, its flow measured, its temperature set. */
    void water(int daysAgo, LocalTime at, String by, Water water) {
        plan(daysAgo, at, by, () -> fill(water));
        plan(daysAgo, at.plusMinutes(35), by, () -> heat(water));
        setpoint(daysAgo, at.plusMinutes(42), by, water);
    }

    void fill(Water water) {
        Map<String, String> asTyped =
                new HashMap<>(Map.of("circuitVolumeMl", Amount.exact(water.volumeMl()), "lowestAmbientC", "6"));
        water.firstMl().ifPresent(first -> asTyped.put("firstFillMl", Amount.exact(first)));
        measure(
                new CoolantMix(),
                new MixReadings(
                        water.volumeMl(), water.firstMl(), Optional.empty(), 6, OptionalDouble.empty(), Glycol.NONE),
                asTyped,
                Optional.empty());
    }

    void heat(Water water) {
        measure(
                new CoolantHeat(),
                new HeatReadings(
                        water.inputW(),
                        water.outputW(),
                        water.flowLMin(),
                        Optional.of(Glycol.NONE),
                        OptionalDouble.empty(),
                        19,
                        27,
                        OptionalDouble.empty(),
                        OptionalDouble.of(water.chillerW())),
                Map.of(
                        "electricalInputW",
                        Amount.exact(water.inputW()),
                        "opticalOutputW",
                        Amount.exact(water.outputW()),
                        "flowLMin",
                        Amount.exact(water.flowLMin()),
                        "startC",
                        "19",
                        "maxC",
                        "27",
                        "chillerW",
                        Amount.exact(water.chillerW())),
                Optional.empty());
    }

    /** The water's temperature set by the air as it was read last. */
    void setpoint(int daysAgo, LocalTime at, String by, Water water) {
        plan(daysAgo, at, by, () -> {
            Map<String, String> asTyped = new HashMap<>(Map.of("minCoolantC", "15", "maxCoolantC", "25"));
            water.followC().ifPresent(follow -> asTyped.put("followC", Amount.exact(follow)));
            measure(
                    new CoolantSetpoint(),
                    new SetpointReadings(
                            air.airTemperatureC(),
                            air.relativeHumidityPct(),
                            OptionalDouble.empty(),
                            15,
                            25,
                            OptionalDouble.empty(),
                            water.followC()),
                    asTyped,
                    Optional.empty());
        });
    }

    /** Nitrogen from a bottle, as it is cut with. */
    void gas(int daysAgo, LocalTime at, String by, String gauge) {
        plan(
                daysAgo,
                at,
                by,
                () -> measure(
                        new AssistGas(),
                        new GasReadings(
                                Gas.NITROGEN,
                                2,
                                14,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                Optional.of(
                                        new GasReadings.Bottle(50, Double.parseDouble(gauge), OptionalDouble.empty())),
                                OptionalDouble.of(60)),
                        Map.of(
                                "nozzleMm",
                                "2.0",
                                "pressureBar",
                                "14",
                                "beamOnPct",
                                "60",
                                "bottle.volumeL",
                                "50",
                                "bottle.pressureBar",
                                gauge),
                        Optional.empty()));
    }

    /** Which eyewear its beam asks for, and how far it reaches in its room. */
    void eyewear(int daysAgo, LocalTime at, String by) {
        EyewearReadings read = Rooms.of(plate);
        plan(daysAgo, at, by, () -> measure(new Eyewear(), read, Rooms.asTyped(read), Optional.empty()));
    }

    /** A pair of eyewear, or the window of this machine, looked at. */
    void pair(int daysAgo, String name, boolean window, String marks, EyewearPair.Condition condition, String remark) {
        Optional<String> of = window ? Optional.of(id) : Optional.empty();
        EyewearPair pair = new EyewearPair(name, of, Marking.read(marks), condition, remark);
        plan(daysAgo, LocalTime.of(9, 10), "GA", () -> append(new Body.EyewearSeen(pair)));
    }

    void settings(int daysAgo, String text) {
        planSome(daysAgo, () -> settings(text));
    }

    void settings(String text) {
        SettingsReadings readings = new SettingsReadings(
                text,
                lastGoodSettings,
                Optional.empty(),
                plate.control().orElseThrow().need().orElseThrow());
        Body.Measured body = measure(new ControllerSettings(), readings, Map.of(), Optional.empty());
        if (body.verdict().satisfies()) {
            lastGoodSettings = Optional.of(text);
        }
    }

    /** A ramp burned and read, its number kept under a name for a later correction. */
    void ramp(String name, Beam beam, double bestGapMm, double wrongBlockMm, Optional<Correct> correct) {
        OptionalDouble last = correct.map(c -> before.get(c.name())).orElse(lastBestGap);
        before.put(name, last);
        ramp(name, beam.ramp(plate, bestGapMm, wrongBlockMm, last, random), correct);
    }

    void ramp(String name, Beam.Typed typed, Optional<Correct> correct) {
        Optional<Logbook.Correcting> replaces =
                correct.map(c -> new Logbook.Correcting(numbers.get(c.name()), c.why()));
        Body.Measured body = measure(new FocusRamp(), typed.readings(), typed.asTyped(), replaces);
        if (body.verdict().satisfies() && body.finding() instanceof RampFinding finding) {
            lastBestGap = finding.bestGapMm();
        }
        numbers.put(name, newest);
    }

    OptionalDouble lastBestGap() {
        return lastBestGap;
    }

    /** Which earlier ramp is replaced, and why. */
    record Correct(String name, String why) {}

    <R extends Record, F extends Record> Body.Measured measure(
            Procedure<R, F> procedure, R readings, Map<String, String> asTyped, Optional<Logbook.Correcting> replaces) {
        Body.Measured body =
                Body.Measured.of(procedure, readings, asTyped, procedure.evaluate(readings), UnitChoice.METRIC);
        newest = logbook.append(id, body, replaces, List.of(), stamp).number();
        Optional<String> known = Optional.ofNullable(
                Map.of("site-climate", "climate", "controller-settings", "settings", "focus-ramp", "focus")
                        .get(body.procedure()));
        known.ifPresent(
                what -> along.put(what, new TakenAlong.Known(what, body.shown().keyFigure(), newest, stamp.at())));
        return body;
    }

    private void append(Body body) {
        logbook.append(id, body, stamp);
    }

    static String text(double value, int decimals) {
        return BigDecimal.valueOf(value)
                .setScale(decimals, RoundingMode.HALF_UP)
                .toPlainString();
    }
}
