package zebrawood.benchmarks;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import zebrawood.benches.Catalogue;
import zebrawood.core.difference.Comparison;
import zebrawood.core.difference.Difference;
import zebrawood.core.entry.Body;
import zebrawood.core.entry.Entry;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.SiteClimate;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.TakenAlong;
import zebrawood.core.work.WorkResult;
import zebrawood.logbook.store.Logbook;

/**
 * Pairs of days on generated machines, one cause planted between them among ten other changes that do no harm: how
 * often does "What was different?" put the planted one first, and among the first three?
 */
final class DifferencePairs {

    private static final int PAIRS = 300;
    private static final double FIRST = 0.80;
    private static final double THREE = 0.97;
    private static final ClimateLimits LIMITS = new ClimateLimits(10, 32, OptionalDouble.of(10), 75);

    private DifferencePairs() {}

    /** A cause: how it would be called, and what it does to the second day. */
    private record Cause(String label, Runnable plant) {}

    /** Causes that are larger than what does no harm, as they should be; then causes that are not, told beside it. */
    static boolean run() throws Exception {
        boolean kept = measure("each cause larger than any of them", false);
        measure("causes and changes of the same sizes", true);
        return kept;
    }

    private static boolean measure(String sizes, boolean overlap) throws Exception {
        int first = 0;
        int three = 0;
        List<String> missed = new ArrayList<>();
        Path folder = Files.createTempDirectory("zebrawood-pairs");
        try (Logbook logbook = Logbook.open(folder, Catalogue.procedures())) {
            for (int n = 0; n < PAIRS; n++) {
                Pair pair = new Pair(logbook, n, overlap);
                List<Difference> found = pair.compare().differences();
                int place = -1;
                for (int i = 0; i < found.size() && place < 0; i++) {
                    place = found.get(i).label().startsWith(pair.planted) ? i : -1;
                }
                first += place == 0 ? 1 : 0;
                three += place >= 0 && place < 3 ? 1 : 0;
                if (place != 0) {
                    missed.add(pair.planted + " came "
                            + (place < 0
                                    ? "nowhere"
                                    : "no. " + (place + 1) + " after "
                                            + found.get(0).label()));
                }
            }
        } finally {
            Words.delete(folder);
        }
        System.out.printf(
                Locale.ROOT,
                "what was different: %d pairs, one planted cause among ten other changes, %s: first in %.1f %%, "
                        + "among the first three in %.1f %%%n",
                PAIRS,
                sizes,
                100.0 * first / PAIRS,
                100.0 * three / PAIRS);
        missed.stream().limit(8).forEach(words -> System.out.println("  " + words));
        return first >= FIRST * PAIRS && three >= THREE * PAIRS;
    }

    /** Two days of one machine. */
    private static final class Pair {
        private final Logbook logbook;
        private final Random random;
        private final String id;
        private final Family family;
        /** whether what does no harm may be as large as a cause, and a cause as small as that */
        private final boolean overlap;

        private Instant now = Instant.parse("2030-03-01T08:00:00Z");
        private String planted = "";
        // the day's truth, changed from the first day to the second
        private String stock = "poplar ply";
        private String batch = "B-1";
        private String lens = "middle";
        private String air = "low";
        private String under = "honeycomb";
        private boolean clean = true;
        private double thickness = 4;
        private double gap = 6.8;
        private double defocus;
        private double power = 60;
        private double speed = 1200;
        private double interval = 0.1;
        private int passes = 1;
        private double minutesOn = 30;
        private double frequency = 40;
        private double pulse = 100;
        private double temperature = 21;
        private double humidity = 45;
        private double bestGap = 12;
        private double waist = 0.2;
        private String number = "FH-1";

        Pair(Logbook logbook, int n, boolean overlap) {
            this.overlap = overlap;
            this.logbook = logbook;
            this.random = new Random(20310314L + n);
            this.id = "pair-" + n;
            this.family = Family.values()[n % Family.values().length];
        }

        Comparison compare() {
            logbook.append(id, new Body.PlateSet(plate(), Map.of()), stamp());
            day();
            Entry before = work();
            List<Cause> causes = causes();
            Cause cause = causes.get(random.nextInt(causes.size()));
            planted = cause.label();
            harmless();
            cause.plant().run();
            day();
            return logbook.compare(before, work());
        }

        private Plate plate() {
            return new Plate(
                    "Pair " + id,
                    family,
                    Optional.of(number),
                    Optional.of("hall"),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(new Plate.Source(
                            Optional.of("source"),
                            OptionalDouble.of(60),
                            OptionalDouble.empty(),
                            List.of(1064.0),
                            OptionalDouble.empty())),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(LIMITS),
                    Optional.empty(),
                    Optional.empty());
        }

        private Entry.Stamp stamp() {
            now = now.plusSeconds(3_600 + random.nextInt(80_000));
            return LargeShop.stamp(now);
        }

        /** Climate and focus as they are read that day. */
        private void day() {
            append(new SiteClimate(), new ClimateReadings(temperature, humidity, LIMITS));
            List<RampReadings.Mark> marks = new ArrayList<>();
            for (int i = 0; i < 9; i++) {
                double at = bestGap + 5 - i * 10.0 / 8;
                marks.add(new RampReadings.Mark(
                        i * 22.5, waist * Math.hypot(1, (at - bestGap) / 2.9) + random.nextGaussian() * 0.001));
            }
            append(
                    new FocusRamp(),
                    new RampReadings(
                            10_600,
                            bestGap + 5,
                            180,
                            10,
                            Optional.empty(),
                            Optional.of(marks),
                            OptionalDouble.of(0.005),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            Optional.empty()));
        }

        private <R extends Record, F extends Record> void append(Procedure<R, F> procedure, R readings) {
            logbook.append(
                    id,
                    Body.Measured.of(procedure, readings, Map.of(), procedure.evaluate(readings), UnitChoice.METRIC),
                    stamp());
        }

        private Entry work() {
            boolean pulsed = family.isGalvo();
            return logbook.append(
                    id,
                    new Body.Worked(
                            new WorkResult(
                                    new WorkResult.Stock(
                                            stock,
                                            OptionalDouble.of(thickness),
                                            Optional.of(batch),
                                            Optional.of(clean),
                                            Optional.of(under),
                                            Optional.empty()),
                                    new WorkResult.Setup(
                                            Optional.of(lens),
                                            Optional.empty(),
                                            OptionalDouble.of(gap),
                                            OptionalDouble.of(defocus),
                                            Optional.of(air),
                                            OptionalDouble.of(minutesOn)),
                                    new WorkResult.Recipe(
                                            OptionalDouble.of(power),
                                            OptionalDouble.of(speed),
                                            OptionalDouble.of(interval),
                                            Optional.of(WorkResult.Strokes.FILL),
                                            OptionalInt.of(passes),
                                            OptionalDouble.empty(),
                                            pulsed ? OptionalDouble.of(frequency) : OptionalDouble.empty(),
                                            pulsed ? OptionalDouble.of(pulse) : OptionalDouble.empty(),
                                            OptionalDouble.empty()),
                                    new WorkResult.Outcome("so", OptionalInt.of(5), OptionalDouble.empty())),
                            Map.of(),
                            new TakenAlong(List.of(), List.of())),
                    stamp());
        }

        /**
         * Ten changes as careful hands and ordinary days make them: each within half of what just matters, or of no
         * matter.
         */
        private void harmless() {
            List<Runnable> all = new ArrayList<>(List.of(
                    () -> temperature += within(2),
                    () -> humidity += within(6),
                    () -> bestGap += within(0.12),
                    () -> waist *= 1 + within(0.04),
                    () -> gap += within(0.15),
                    () -> defocus += within(0.15),
                    () -> power *= 1 + within(0.02),
                    () -> speed *= 1 + within(0.02),
                    () -> interval *= 1 + within(0.02),
                    () -> minutesOn = Math.max(0, minutesOn + within(9)),
                    () -> thickness *= 1 + within(0.02),
                    () -> frequency *= 1 + within(0.02),
                    () -> pulse *= 1 + within(0.02),
                    () -> logbook.append(id, new Body.Happened(Change.MAINS_WORK, "socket label"), stamp()),
                    () -> {
                        number = "FH-2";
                        logbook.append(id, new Body.PlateSet(plate(), Map.of()), stamp());
                    }));
            Collections.shuffle(all, random);
            all.subList(0, 10).forEach(Runnable::run);
        }

        private double within(double most) {
            return (random.nextDouble() * 2 - 1) * (overlap ? 4 : 1) * most;
        }

        /**
         * The size of a cause: at least so much, and up to so much more; from a third of that on where sizes overlap.
         */
        private double size(double least, double more) {
            return (overlap ? 1 / 3.0 + 2 / 3.0 * random.nextDouble() : 1) * least + more * random.nextDouble();
        }

        private double sign() {
            return random.nextBoolean() ? 1 : -1;
        }

        /** What truly changes a result on this family. */
        private List<Cause> causes() {
            List<Cause> causes = new ArrayList<>(List.of(
                    new Cause("stock", () -> stock = "beech ply"),
                    new Cause("batch", () -> batch = "B-2"),
                    new Cause("surface", () -> clean = false),
                    new Cause("lens", () -> lens = "long"),
                    new Cause("gap", () -> gap += sign() * (size(0.9, 1))),
                    new Cause("defocus", () -> defocus += sign() * (size(0.9, 1))),
                    new Cause("power", () -> power *= 1 + sign() * (size(0.12, 0.2))),
                    new Cause("speed", () -> speed *= 1 + sign() * (size(0.12, 0.2))),
                    new Cause("line interval", () -> interval *= 1 + sign() * (size(0.12, 0.3))),
                    new Cause("passes", () -> passes = 2),
                    new Cause("best gap", () -> bestGap += sign() * (size(1.8, 1))),
                    new Cause("thinnest line", () -> waist *= 1 + size(0.25, 0.3)),
                    new Cause(
                            "source changed",
                            () -> logbook.append(id, new Body.Happened(Change.SOURCE_CHANGED, ""), stamp())),
                    new Cause(
                            "cleaned lens",
                            () -> logbook.append(
                                    id,
                                    new Body.Happened(
                                            Change.CLEANED,
                                            "",
                                            Optional.of(
                                                    new Body.Cleaning("lens", "soot", "burn in the coating", false))),
                                    stamp()))));
            if (!family.isGalvo()) {
                causes.add(new Cause("air", () -> air = "off"));
                causes.add(new Cause("thickness", () -> thickness *= 1 + size(0.2, 0)));
                causes.add(new Cause("what lay under it", () -> under = "flat plate"));
            } else {
                causes.add(new Cause("frequency", () -> frequency *= 1 + size(0.4, 0)));
                causes.add(new Cause("pulse length", () -> pulse *= 1 - size(0.4, 0)));
            }
            if (family == Family.GALVO_UV || family == Family.GANTRY_CO2) {
                causes.add(new Cause(
                        "minutes since switched on",
                        () -> minutesOn = Math.max(0, minutesOn - 60) + (minutesOn > 55 ? 0 : 59)));
            }
            return causes;
        }
    }
}
