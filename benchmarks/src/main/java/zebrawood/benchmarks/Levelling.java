package zebrawood.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import zebrawood.core.level.BedFinding;
import zebrawood.core.level.BedFinding.Shape;
import zebrawood.core.level.BedLevel;
import zebrawood.core.level.BedReadings;
import zebrawood.core.level.HeadTilt;
import zebrawood.core.level.TiltReadings;
import zebrawood.core.pretend.PretendBed;
import zebrawood.core.pretend.PretendHead;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.Amount;

/** Beds and heads drawn at random; what is said of them is done to the letter, and then they are measured truly. */
final class Levelling {

    private static final int BEDS = 1_000;
    private static final long SEED = 20_310_314;
    private static final double TOLERANCE_MM = 0.3;
    /** how far in from the screws gaps are read, mm */
    private static final double INSET_MM = 40;

    private static final String[] CORNERS = {"front left", "front right", "back right", "back left"};
    private static final List<Double> DRAWER = List.of(0.05, 0.1, 0.2, 0.5);

    private Levelling() {}

    static boolean run() {
        boolean kept = beds(0.05, OptionalDouble.empty(), true);
        kept &= beds(0.05, OptionalDouble.of(0.05), true);
        beds(0.15, OptionalDouble.empty(), false);
        kept &= beds(0.15, OptionalDouble.of(0.15), true);
        kept &= formed();
        kept &= heads();
        return kept;
    }

    /** Gaps as somebody reads them, once or twice. */
    private static BedReadings read(
            PretendBed bed, double pitch, double noise, OptionalDouble stated, boolean twice, SplittableRandom random) {
        List<BedReadings.Point> points = new ArrayList<>();
        double[][] places = {
            {INSET_MM, INSET_MM},
            {bed.widthMm() - INSET_MM, INSET_MM},
            {bed.widthMm() - INSET_MM, bed.depthMm() - INSET_MM},
            {INSET_MM, bed.depthMm() - INSET_MM},
            {bed.widthMm() / 2, bed.depthMm() / 2}
        };
        for (int i = 0; i < places.length; i++) {
            double gap = bed.gapMm(places[i][0], places[i][1]);
            points.add(new BedReadings.Point(
                    i < PretendBed.CORNERS ? CORNERS[i] : "middle",
                    places[i][0],
                    places[i][1],
                    OptionalDouble.of(gauged(gap, noise, random)),
                    twice ? OptionalDouble.of(gauged(gap, noise, random)) : OptionalDouble.empty(),
                    OptionalDouble.empty()));
        }
        List<BedReadings.Screw> screws = new ArrayList<>();
        for (int i = 0; i < PretendBed.CORNERS; i++) {
            screws.add(new BedReadings.Screw(CORNERS[i], bed.cornerXMm(i), bed.cornerYMm(i), pitch));
        }
        return new BedReadings(
                points,
                screws,
                Optional.empty(),
                OptionalDouble.of(TOLERANCE_MM),
                stated,
                OptionalDouble.empty(),
                Optional.empty());
    }

    private static double gauged(double gap, double noise, SplittableRandom random) {
        return Math.max(0, Math.rint((gap + noise * random.nextGaussian()) * 100) / 100);
    }

    /** Each screw by as many turns as are said. */
    private static PretendBed turned(PretendBed bed, double pitch, Outcome<BedFinding> outcome) {
        PretendBed now = bed;
        for (Instruction instruction : outcome.instructions()) {
            int screw = List.of(CORNERS).indexOf(instruction.target());
            Amount turns = instruction.action().amounts().get(0);
            double way = instruction.action().words().contains("rises") ? 1 : -1;
            now = now.lifted(screw, way * turns.asSaid() * pitch);
        }
        return now;
    }

    private static boolean beds(double noise, OptionalDouble stated, boolean judged) {
        SplittableRandom random = new SplittableRandom(SEED);
        BedLevel procedure = new BedLevel();
        int turned = 0;
        int truly = 0;
        int asked = 0;
        int blamed = 0;
        int leftAlone = 0;
        int leftTrue = 0;
        for (int i = 0; i < BEDS; i++) {
            PretendBed bed = PretendBed.tilted(2, random);
            double pitch = 0.7 + 0.05 * random.nextInt(17);
            Outcome<BedFinding> outcome = procedure.evaluate(read(bed, pitch, noise, stated, false, random));
            if (outcome.verdict() == Verdict.UNCLEAR) {
                asked++;
                outcome = procedure.evaluate(read(bed, pitch, noise, stated, true, random));
            }
            switch (outcome.verdict()) {
                case ADJUST -> {
                    turned++;
                    truly += turned(bed, pitch, outcome).rangeMm(INSET_MM) <= TOLERANCE_MM ? 1 : 0;
                }
                case FAIL -> blamed++;
                case PASS -> {
                    leftAlone++;
                    leftTrue += bed.rangeMm(INSET_MM) <= TOLERANCE_MM * 1.5 ? 1 : 0;
                }
                default -> {}
            }
        }
        double share = 100.0 * truly / Math.max(1, turned);
        System.out.printf(
                Locale.ROOT,
                "levelling: %d beds tilted up to 2 mm each way, gaps read to %.2f mm%s, seed %d: %d turned, %.1f %% of "
                        + "them true within %.1f mm after one pass; %d asked for a second reading first; %d left alone "
                        + "(%d of them within half as much again); %d wrongly called not flat%n",
                BEDS,
                noise,
                stated.isPresent() ? " as stated" : ", not stated",
                SEED,
                turned,
                share,
                TOLERANCE_MM,
                asked,
                leftAlone,
                leftTrue,
                blamed);
        return !judged || share >= (noise < 0.1 ? 99 : 90) && blamed <= 0.02 * BEDS;
    }

    /** Beds with a form of their own, and as many that are flat. */
    private static boolean formed() {
        SplittableRandom random = new SplittableRandom(SEED);
        BedLevel procedure = new BedLevel();
        int named = 0;
        int alarms = 0;
        for (int i = 0; i < BEDS; i++) {
            PretendBed flat = PretendBed.tilted(1, random);
            double size = (0.5 + random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
            boolean twist = random.nextBoolean();
            PretendBed bed = twist ? flat.formed(2 * size, 0) : flat.formed(0, 2 * size);
            Outcome<BedFinding> outcome = procedure.evaluate(read(bed, 1, 0.05, OptionalDouble.empty(), false, random));
            Shape wanted = twist ? Shape.TWISTED : size > 0 ? Shape.HOLLOW : Shape.ARCHED;
            named += outcome.verdict() == Verdict.FAIL && outcome.finding().shape() == wanted ? 1 : 0;
            alarms += procedure
                                    .evaluate(read(flat, 1, 0.05, OptionalDouble.empty(), false, random))
                                    .verdict()
                            == Verdict.FAIL
                    ? 1
                    : 0;
        }
        System.out.printf(
                Locale.ROOT,
                "levelling: %d beds twisted, hollow or arched by 0.5 to 1.5 mm: %.1f %% named so; %d flat ones: %.1f %% "
                        + "called not flat%n",
                BEDS,
                100.0 * named / BEDS,
                BEDS,
                100.0 * alarms / BEDS);
        return named >= 0.97 * BEDS && alarms <= 0.02 * BEDS;
    }

    private static boolean heads() {
        SplittableRandom random = new SplittableRandom(SEED);
        HeadTilt procedure = new HeadTilt();
        double[] x = {0, -80, 80};
        double[] y = {-90, 60, 60};
        String[] names = {"front", "rear left", "rear right"};
        List<TiltReadings.Mount> mounts = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            mounts.add(new TiltReadings.Mount(names[i], x[i], y[i]));
        }
        int shimmed = 0;
        int truly = 0;
        int unclear = 0;
        for (int i = 0; i < BEDS; i++) {
            PretendHead head =
                    new PretendHead(0.008 * (2 * random.nextDouble() - 1), 0.008 * (2 * random.nextDouble() - 1), 180);
            List<TiltReadings.Point> points = new ArrayList<>();
            for (int p = 0; p < 6; p++) {
                double px = 45 * Math.cos(p * Math.PI / 3);
                double py = 45 * Math.sin(p * Math.PI / 3);
                points.add(new TiltReadings.Point(px, py, head.gapMm(px, py) + 0.03 * random.nextGaussian()));
            }
            var outcome = procedure.evaluate(new TiltReadings(
                    points,
                    110,
                    mounts,
                    Optional.of(DRAWER),
                    OptionalInt.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.of(0.03),
                    Optional.empty()));
            unclear += outcome.verdict() == Verdict.UNCLEAR ? 1 : 0;
            if (outcome.verdict() == Verdict.ADJUST) {
                double[] lift = new double[x.length];
                for (Instruction instruction : outcome.instructions()) {
                    int mount = List.of(names).indexOf(instruction.target());
                    if (instruction.action().words().startsWith("Put ")) {
                        lift[mount] = instruction.action().amounts().stream()
                                .mapToDouble(Amount::asSaid)
                                .sum();
                    }
                }
                shimmed++;
                truly += head.shimmed(x, y, lift).acrossMm(110) <= 0.5 ? 1 : 0;
            }
        }
        double share = 100.0 * truly / shimmed;
        System.out.printf(
                Locale.ROOT,
                "levelling: %d heads that lean up to 8 mrad each way, gaps read to 0.03 mm round a ring of 90 mm, a drawer "
                        + "of %d thicknesses: %d shimmed, %.1f %% of them straight within 0.5 mm over 110 mm after one "
                        + "round; %d unclear%n",
                BEDS,
                DRAWER.size(),
                shimmed,
                share,
                unclear);
        return share >= 95;
    }
}
