package zebrawood.desktop.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.eyewear.EyewearPair;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.logbook.store.Logbook;
import zebrawood.logbook.store.LogbookException;
import zebrawood.logbook.store.PrivateFiles;

/**
 * Two years of the invented Fernhollow Instrument Works, placed back in time from today. The same day always gives the
 * same entries.
 */
public final class DemoShop {

    public static final String NAME = "Fernhollow Instrument Works";

    private static final int DAYS = 730;
    private static final LocalTime MORNING = LocalTime.of(9, 40);
    private static final LocalTime EARLY = LocalTime.of(8, 5);
    private static final MachineDiary.Water WREN =
            new MachineDiary.Water(6200, OptionalDouble.of(4350), 780, 88, 8.5, 1400, OptionalDouble.empty());
    private static final MachineDiary.Water DUNLIN =
            new MachineDiary.Water(3900, OptionalDouble.empty(), 520, 45, 6.2, 900, OptionalDouble.empty());
    private static final MachineDiary.Water PLOVER =
            new MachineDiary.Water(2400, OptionalDouble.empty(), 260, 4, 4.1, 600, OptionalDouble.of(-1));
    private static final MachineDiary.Water BITTERN =
            new MachineDiary.Water(14500, OptionalDouble.of(11800), 4600, 1500, 22, 5200, OptionalDouble.empty());

    private final Logbook logbook;
    private final LocalDate today;
    private final String program;
    private final List<MachineDiary> lives = new ArrayList<>();

    private DemoShop(Logbook logbook, LocalDate today, String program) {
        this.logbook = logbook;
        this.today = today;
        this.program = program;
    }

    /**
     * Makes a fresh shop in a folder: an empty one, or one that held a demo before.
     *
     * @throws LogbookException where the folder holds anything else
     */
    public static void make(Path folder, List<Procedure<?, ?>> procedures, LocalDate today, String program) {
        Path real = clear(folder, procedures);
        try (Logbook logbook = Logbook.open(real, procedures)) {
            logbook.together(() -> new DemoShop(logbook, today, program).live());
            DemoMark.leave(real, logbook.head());
        } catch (IOException e) {
            throw unusable(folder, e);
        }
    }

    private static LogbookException unusable(Path folder, IOException e) {
        return new LogbookException(
                "the folder " + folder + " cannot be made or emptied; name another one with --data", e);
    }

    /** Empties a folder that is a demo's own; the folder itself, links followed. */
    private static Path clear(Path folder, List<Procedure<?, ?>> procedures) {
        try {
            PrivateFiles.createFolder(folder);
            Path real = folder.toRealPath();
            boolean isEmpty;
            try (Stream<Path> files = Files.list(real)) {
                isEmpty = files.findAny().isEmpty();
            }
            if (!isEmpty) {
                DemoMark.mustBeOf(real, procedures);
                try (Stream<Path> files = Files.list(real)) {
                    for (Path file : files.toList()) {
                        PrivateFiles.delete(file);
                    }
                }
            }
            Files.writeString(real.resolve("window.properties"), "shop=" + NAME + "\n");
            return real;
        } catch (IOException e) {
            throw unusable(folder, e);
        }
    }

    private void live() {
        wren();
        dunlin();
        kestrel();
        heron();
        plover();
        bittern();
        eyewear();
        lives.stream()
                .flatMap(life -> life.deeds().stream())
                .sorted(Comparator.comparing(MachineDiary.Deed::at)
                        .thenComparing(deed -> lives.indexOf(deed.life()))
                        .thenComparing(MachineDiary.Deed::order))
                .forEach(deed -> deed.run().run());
    }

    private MachineDiary life(Plate plate, int began) {
        MachineDiary life = new MachineDiary(logbook, today, program, plate);
        lives.add(life);
        life.begin(began);
        return life;
    }

    /** Needs adjusting: the job software sends S 480 for full power, and soft limits are off. */
    private void wren() {
        MachineDiary wren = life(Plates.wren(1200), DAYS);
        Beam beam = new Beam(0.215, 2.9, 11.6, 10.2, 2);
        wren.climate(DAYS, 0, 0);
        wren.inventory(DAYS - 2, LocalTime.of(7, 20), "GA");
        wren.startupOrder(450, LocalTime.of(7, 25), "RV");
        wren.access(DAYS - 2, LocalTime.of(7, 15), "GA", true, "bench room door", 1050, 640, 410);
        wren.circuit(DAYS - 2, LocalTime.of(7, 30), "GA", 1000, 780, 18);
        wren.extraction(DAYS - 2, LocalTime.of(7, 45), "GA", 360, 125, 4.2);
        wren.eyewear(96, LocalTime.of(8, 40), "GA");
        wren.extraction(96, LocalTime.of(7, 45), "LO", 360, 125, 4.2);
        wren.air(DAYS - 2, LocalTime.of(8, 5), "LO", "4", "24");
        wren.air(96, LocalTime.of(8, 5), "LO", "4", "21");
        wren.gate(DAYS, MORNING, "RV", 20);
        wren.settings(DAYS - 1, text("wren"));
        wren.water(DAYS - 1, LocalTime.of(8, 0), "RV", WREN);
        everyFew(wren, DAYS - 7, 3, 6, day -> wren.climate(day, 0, 0));
        served(wren, DAYS - 60, WREN);
        everyFew(wren, DAYS - 50, 60, 45, day -> wren.settings(day, text("wren")));
        everyFew(
                wren,
                DAYS - 1,
                14,
                12,
                day -> wren.planSome(day, () -> wren.ramp("ramp " + day, beam, crept(day), 0, Optional.empty())));
        for (int day : new int[] {640, 520, 411, 300, 196, 88}) {
            wren.happened(
                    day, LocalTime.of(7, 20), "LO", Change.LENS_CHANGED, "middle lens out, cleaned, seated again");
        }
        wren.happened(455, LocalTime.of(7, 30), "GA", Change.SOURCE_CHANGED, "tube replaced under warranty");
        wren.gate(455, MORNING, "RV", 20);
        wren.water(455, EARLY, "RV", WREN);
        wren.plan(455, LocalTime.of(14, 12), "RV", () -> wren.ramp("new tube", beam, crept(455), 0, Optional.empty()));
        wren.plan(
                130,
                LocalTime.of(14, 12),
                "LO",
                () -> wren.ramp("wrong block", beam, crept(130), 1.0, Optional.empty()));
        wren.plan(
                129,
                LocalTime.of(10, 52),
                "RV",
                () -> wren.ramp(
                        "right block",
                        beam,
                        crept(130),
                        0,
                        Optional.of(new MachineDiary.Correct("wrong block", "the plate lay on the wrong block"))));
        BeamDeeds path = new BeamDeeds(wren, 7);
        path.visit(DAYS - 1, LocalTime.of(10, 5), "RV");
        path.visit(455, LocalTime.of(10, 40), "RV");
        path.visit(20, LocalTime.of(8, 30), "LO");
        FocusDeeds focus = new FocusDeeds(wren, 17);
        focus.levelled(DAYS - 1, LocalTime.of(9, 20), "RV");
        focus.level(300, LocalTime.of(9, 20), "LO");
        focus.level(118, LocalTime.of(9, 5), "LO");
        focus.lens(90, LocalTime.of(8, 15), "RV");
        focus.sweep(30, LocalTime.of(9, 40), "LO", "middle", 6.8);
        focus.ladder(34, LocalTime.of(8, 20), "LO", "short", 6.1);
        focus.autofocus(30, LocalTime.of(10, 5), "LO", 6.8);
        focus.nine(19, LocalTime.of(9, 10), "LO");
        focus.ladder(3, LocalTime.of(11, 20), "RV", "middle", 6.75);
        focus.height(2, LocalTime.of(8, 50), "RV", 6.75);
        PowerDeeds power = new PowerDeeds(wren, 23);
        power.ceiling(DAYS - 1, LocalTime.of(13, 10), "RV", OptionalDouble.empty(), 19.6);
        power.counted(DAYS - 20, 0, LocalTime.of(7, 40), "LO");
        for (int day = 640; day > 0; day -= 85) {
            power.counted(day, day == 640 ? DAYS - 20 - 640 : 85, LocalTime.of(7, 40), "LO");
            power.ceiling(
                    day,
                    LocalTime.of(7, 50),
                    "LO",
                    OptionalDouble.of(day == 300 ? 20.9 : 19.5 + (day % 3) / 10.0),
                    19.6);
        }
        power.counted(6, 39, LocalTime.of(7, 45), "LO");
        power.watts(44, LocalTime.of(12, 50), "RV", "long", 0.11);
        power.watts(44, LocalTime.of(13, 20), "RV", "middle", 0.02);
        power.block(44, LocalTime.of(14, 5), "RV");
        power.trend(6, LocalTime.of(8, 10), "LO");
        power.energy(4, LocalTime.of(9, 15), "LO");
        wren.newPlate(9, Plates.wren(480));
        wren.plan(5, LocalTime.of(16, 20), "LO", () -> wren.climate("21.4", "46"));
        wren.plan(3, LocalTime.of(10, 52), "RV", () -> wren.ramp("last", beam, crept(3), 0, Optional.empty()));
        wren.plan(
                1, LocalTime.of(10, 31), "LO", () -> wren.settings(text("wren").replace("$20=1", "$20=0")));
        for (int day : new int[] {37, 21}) {
            wren.cleaned(day, LocalTime.of(7, 45), "LO", "mirror 2", "thin brown film");
        }
        everyFew(
                new SplittableRandom(3),
                330,
                14,
                9,
                day -> wren.work(
                        day,
                        LocalTime.of(13, 5),
                        day % 2 == 0 ? "LO" : "RV",
                        Works.ply("clean through", 8 + day % 3, "B-2207", "low", 35 + day % 20),
                        List.of()));
        wren.work(6, LocalTime.of(11, 20), "LO", Works.ply("clean through", 9, "B-2207", "low", 42), List.of());
        wren.work(
                2,
                LocalTime.of(15, 40),
                "RV",
                Works.ply("sooty rim, not through", 3, "B-2207", "off", 38),
                List.of(photo("sooty-rim.jpg")));
        wren.point(2, LocalTime.of(16, 5), "RV", "Air assist hose is split at the nozzle: fit a new one", "LO", 12);
    }

    /** Wren's true best gap: crept from 6.9 to 6.8 mm in two years. */
    private static double crept(int daysAgo) {
        return 6.8 + 0.1 * daysAgo / DAYS;
    }

    /** Half commissioned: moved to the clean room, three bars lifted since. */
    private void dunlin() {
        MachineDiary dunlin = life(Plates.dunlin("bench room"), DAYS - 4);
        Beam beam = new Beam(0.18, 2.4, 14.4, 9, 2);
        dunlin.climate(DAYS - 4, 0, 0);
        dunlin.inventory(DAYS - 4 - 2, LocalTime.of(7, 20), "GA");
        dunlin.startupOrder(DAYS - 4 - 2, LocalTime.of(7, 25), "RV");
        dunlin.access(DAYS - 4 - 2, LocalTime.of(7, 15), "GA", true, "bench room door", 1050, 700, 380);
        dunlin.circuit(DAYS - 4 - 2, LocalTime.of(7, 30), "GA", 620, 0, 12);
        dunlin.gate(DAYS - 4, MORNING, "LO", 20);
        dunlin.water(DAYS - 5, LocalTime.of(8, 0), "LO", DUNLIN);
        served(dunlin, DAYS - 70, DUNLIN);
        everyFew(dunlin, DAYS - 9, 12, 6, day -> dunlin.climate(day, 0.4, 1));
        everyFew(
                dunlin,
                DAYS - 5,
                12,
                18,
                day -> dunlin.planSome(day, () -> dunlin.ramp("ramp " + day, beam, 10.1, 0, Optional.empty())));
        new BeamDeeds(dunlin, 11).visit(DAYS - 6, LocalTime.of(13, 5), "LO");
        FocusDeeds focus = new FocusDeeds(dunlin, 18);
        focus.level(DAYS - 6, LocalTime.of(15, 40), "LO");
        focus.level(3, LocalTime.of(10, 40), "LO");
        dunlin.plan(402, LocalTime.of(11, 3), "LO", () -> dunlin.climate("24.6", "83"));
        dunlin.plan(401, LocalTime.of(8, 15), "LO", () -> dunlin.climate("22.1", "51"));
        dunlin.happened(4, LocalTime.of(8, 50), "GA", Change.MOVED, "to the clean room");
        dunlin.newPlate(4, Plates.dunlin("clean room"));
        dunlin.plan(3, LocalTime.of(9, 12), "LO", () -> dunlin.climate("21.0", "44"));
        dunlin.inventory(3, LocalTime.of(9, 5), "LO");
        dunlin.access(4, LocalTime.of(9, 20), "GA", false, "clean room door", 900, 620, 460);
        dunlin.circuit(3, LocalTime.of(9, 30), "GA", 620, 0, 14);
        dunlin.eyewear(3, LocalTime.of(9, 44), "GA");
        dunlin.extraction(3, LocalTime.of(9, 40), "GA", 300, 125, 6);
        dunlin.air(3, LocalTime.of(9, 50), "LO", "3", "20");
        dunlin.setpoint(3, LocalTime.of(9, 20), "LO", DUNLIN);
        dunlin.gate(1, LocalTime.of(10, 12), "LO", 3);
        dunlin.point(
                4, LocalTime.of(9, 5), "GA", "Earth of the new outlet to be tested", "TN, licensed electrician", 4);
    }

    /** In order; its ramp is due on Monday where today is a Friday. */
    private void kestrel() {
        MachineDiary kestrel = life(Plates.kestrel(), DAYS - 12);
        Beam beam = new Beam(0.056, 1.9, 31, 10, 3);
        kestrel.climate(DAYS - 12, 0, 0);
        kestrel.inventory(DAYS - 12 - 2, LocalTime.of(7, 20), "GA");
        kestrel.startupOrder(DAYS - 12 - 2, LocalTime.of(7, 25), "RV");
        kestrel.access(DAYS - 12 - 2, LocalTime.of(7, 15), "GA", true, "bench room door", 1050, 520, 350);
        kestrel.circuit(DAYS - 12 - 2, LocalTime.of(7, 30), "GA", 260, 0, 22);
        kestrel.eyewear(210, LocalTime.of(8, 40), "GA");
        kestrel.extraction(210, LocalTime.of(7, 45), "GA", 240, 125, 5);
        kestrel.air(60, LocalTime.of(8, 5), "RV", "3", "18");
        kestrel.gate(DAYS - 12, MORNING, "RV", 20);
        kestrel.settings(DAYS - 13, text("kestrel"));
        everyFew(kestrel, DAYS - 19, 4, 8, day -> kestrel.climate(day, 0, 0));
        everyFew(kestrel, DAYS - 60, 20, 50, day -> kestrel.settings(day, text("kestrel")));
        everyFew(
                kestrel,
                DAYS - 13,
                64,
                18,
                day -> kestrel.planSome(day, () -> kestrel.ramp("ramp " + day, beam, 25.9, 0, Optional.empty())));
        kestrel.plan(57, LocalTime.of(13, 40), "RV", () -> kestrel.ramp("last", beam, 25.9, 0, Optional.empty()));
        FocusDeeds focus = new FocusDeeds(kestrel, 19);
        focus.level(DAYS - 13, LocalTime.of(9, 30), "RV");
        focus.level(58, LocalTime.of(13, 10), "RV");
    }

    /** In order. */
    private void heron() {
        MachineDiary heron = life(Plates.heron(), DAYS - 20);
        Beam beam = new Beam(0.041, 0.8, 184.8, 5, 3);
        heron.climate(DAYS - 20, 0, 0);
        heron.inventory(DAYS - 20 - 2, LocalTime.of(7, 20), "GA");
        heron.startupOrder(DAYS - 20 - 2, LocalTime.of(7, 25), "RV");
        heron.access(DAYS - 20 - 2, LocalTime.of(7, 15), "GA", true, "bench room door", 1050, 560, 640);
        heron.circuit(DAYS - 20 - 2, LocalTime.of(7, 30), "GA", 520, 0, 24);
        heron.eyewear(180, LocalTime.of(8, 40), "GA");
        heron.extraction(180, LocalTime.of(7, 45), "GA", 200, 100, 5.5);
        heron.gate(DAYS - 20, MORNING, "LO", 20);
        everyFew(heron, DAYS - 27, 4, 8, day -> heron.climate(day, 0, 0));
        everyFew(
                heron,
                DAYS - 21,
                12,
                16,
                day -> heron.planSome(day, () -> heron.ramp("ramp " + day, beam, 182.4, 0, Optional.empty())));
        everyFew(
                new SplittableRandom(7),
                200,
                10,
                12,
                day -> heron.work(
                        day, LocalTime.of(14, 25), "RV", Works.serial("sharp", 8 + day % 2, 28 + day % 5), List.of()));
        heron.happened(221, LocalTime.of(7, 40), "RV", Change.LENS_CHANGED, "to 200 and back to field 290");
        FocusDeeds focus = new FocusDeeds(heron, 20);
        focus.tilt(DAYS - 21, LocalTime.of(9, 30), "LO", 182.4, 0.5);
        focus.tilt(61, LocalTime.of(9, 30), "LO", 182.4, 0.5);
        new PowerDeeds(heron, 24).pulses(12, LocalTime.of(13, 40), "RV", 20, 40, 1_000, 0.05);
    }

    /** Unclear: the plate lay so flat that its widths hardly bend. */
    private void plover() {
        MachineDiary plover = life(Plates.plover(), DAYS - 33);
        Beam beam = new Beam(0.028, 1.1, 214.6, 5.2, 3);
        plover.climate(DAYS - 33, 0, 0);
        plover.inventory(DAYS - 33 - 2, LocalTime.of(7, 20), "GA");
        plover.startupOrder(DAYS - 33 - 2, LocalTime.of(7, 25), "RV");
        plover.access(DAYS - 33 - 2, LocalTime.of(7, 15), "GA", false, "loft door", 860, 610, 330);
        plover.circuit(DAYS - 33 - 2, LocalTime.of(7, 30), "GA", 410, 300, 31);
        plover.eyewear(150, LocalTime.of(8, 40), "GA");
        plover.extraction(150, LocalTime.of(7, 45), "GA", 180, 100, 3);
        plover.gate(DAYS - 33, MORNING, "RV", 20);
        plover.water(DAYS - 34, LocalTime.of(8, 0), "RV", PLOVER);
        served(plover, DAYS - 80, PLOVER);
        everyFew(plover, DAYS - 40, 5, 6, day -> plover.climate(day, -0.3, -3));
        everyFew(
                plover,
                DAYS - 34,
                24,
                20,
                day -> plover.planSome(day, () -> plover.ramp("ramp " + day, beam, 212.1, 0, Optional.empty())));
        FocusDeeds focus = new FocusDeeds(plover, 21);
        focus.tilt(DAYS - 34, LocalTime.of(9, 30), "RV", 212.1, 0.2);
        focus.tilt(75, LocalTime.of(9, 30), "RV", 212.1, 0.2);
        focus.glass(40, LocalTime.of(10, 30), "RV");
        Beam flat = new Beam(0.028, 1.1, 212.4, 0.6, 3);
        plover.plan(
                8,
                LocalTime.of(15, 5),
                "RV",
                () -> plover.ramp(
                        "flat",
                        flat.typed(
                                plover.plate(),
                                212.4,
                                List.of(
                                        "0.029", "0.030", "0.030", "0.031", "0.031", "0.030", "0.031", "0.030",
                                        "0.029"),
                                plover.lastBestGap()),
                        Optional.empty()));
    }

    /** Due: its climate was last read 94 days ago; its gate is passed anew every three weeks. */
    private void bittern() {
        MachineDiary bittern = life(Plates.bittern(), DAYS - 41);
        bittern.climate(DAYS - 41, -2, 0);
        bittern.inventory(DAYS - 42, LocalTime.of(7, 20), "GA");
        bittern.startupOrder(DAYS - 42, LocalTime.of(7, 25), "RV");
        bittern.access(DAYS - 42, LocalTime.of(7, 15), "GA", false, "hall gate", 2600, 900, 800);
        bittern.water(DAYS - 42, LocalTime.of(8, 0), "RV", BITTERN);
        served(bittern, DAYS - 90, BITTERN);
        for (int day = DAYS - 44; day > 20; day -= 220) {
            bittern.gas(day, LocalTime.of(10, 20), "LO", day % 2 == 0 ? "200" : "185");
        }
        bittern.eyewear(140, LocalTime.of(8, 40), "GA");
        bittern.extraction(140, LocalTime.of(7, 45), "GA", 420, 125, 7.5);
        bittern.gas(11, LocalTime.of(9, 5), "RV", "200");
        new FocusDeeds(bittern, 22).level(101, LocalTime.of(9, 45), "LO");
        everyFew(bittern, DAYS - 60, 110, 40, day -> bittern.climate(day, -2, 0));
        bittern.plan(94, LocalTime.of(8, 30), "LO", () -> bittern.climate("17.2", "52"));
        for (int day = DAYS - 41; day >= 21; day -= 22) {
            bittern.gate(day, LocalTime.of(7, 15), day % 3 == 0 ? "RV" : "LO", 20);
        }
        bittern.gate(7, LocalTime.of(7, 15), "RV", 20);
    }

    /** What hangs on the hooks by the doors: enough for all machines but one. */
    private void eyewear() {
        MachineDiary wren = lives.get(0);
        wren.pair(96, "Bench hook 1", false, "10600 OD 5", EyewearPair.Condition.SOUND, "");
        wren.pair(96, "Bench hook 2", false, "9000-11000 OD 4", EyewearPair.Condition.SOUND, "");
        wren.pair(96, "Lid window", true, "9000-11000 OD 6", EyewearPair.Condition.SOUND, "");
        wren.pair(96, "Old box", false, "", EyewearPair.Condition.SOUND, "orange glass, nothing to read on it");
        MachineDiary kestrel = lives.get(2);
        for (int hook = 3; hook <= 4; hook++) {
            kestrel.pair(
                    95, "Bench hook " + hook, false, "420-460 OD 6; 800-1080 OD 5", EyewearPair.Condition.SOUND, "");
        }
        MachineDiary heron = lives.get(3);
        heron.pair(95, "Curtain 1", false, "900-1100 OD 7 pulses", EyewearPair.Condition.SOUND, "");
        heron.pair(95, "Curtain 2", false, "900-1100 OD 7 pulses", EyewearPair.Condition.SOUND, "");
        heron.pair(
                11, "Curtain 2", false, "900-1100 OD 7 pulses", EyewearPair.Condition.SCRATCHED, "fell on the floor");
        lives.get(4).pair(94, "Loft 1", false, "190-400 OD 7 pulses", EyewearPair.Condition.SOUND, "");
        MachineDiary bittern = lives.get(5);
        for (int hook = 1; hook <= 4; hook++) {
            bittern.pair(94, "Hall " + hook, false, "900-1100 OD 8 pulses", EyewearPair.Condition.SOUND, "");
        }
    }

    /** Its water looked after: the set-point now and then, new water every few months, the flow with it. */
    private static void served(MachineDiary life, int from, MachineDiary.Water water) {
        for (int day = from; day > 60; day -= 340) {
            life.water(day, EARLY, "LO", water);
        }
        for (int day = from - 85; day > 60; day -= 200) {
            life.setpoint(day, EARLY, "LO", water);
        }
        life.water(26, EARLY, "RV", water);
    }

    private interface OnDay {
        void plan(int daysAgo);
    }

    /** Every so many days, give or take a third, from one day ago to another. */
    private static void everyFew(MachineDiary life, int from, int until, int days, OnDay deed) {
        everyFew(life.random(), from, until, days, deed);
    }

    private static void everyFew(RandomGenerator random, int from, int until, int days, OnDay deed) {
        for (int day = from; day >= until; day -= Math.max(1, days + random.nextInt(days / 3 * 2 + 1) - days / 3)) {
            deed.plan(day);
        }
    }

    private static NewAttachment photo(String name) {
        return new NewAttachment(name, () -> DemoShop.class.getResourceAsStream("/zebrawood/desktop/demo/" + name));
    }

    /** The settings of a machine as its controller prints them. */
    static String text(String machine) {
        try (InputStream file =
                DemoShop.class.getResourceAsStream("/zebrawood/desktop/demo/" + machine + "-settings.txt")) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
