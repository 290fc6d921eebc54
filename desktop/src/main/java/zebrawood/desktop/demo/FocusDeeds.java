package zebrawood.desktop.demo;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import zebrawood.core.evenness.BedNine;
import zebrawood.core.evenness.NineReadings;
import zebrawood.core.focus.AutofocusCheck;
import zebrawood.core.focus.AutofocusReadings;
import zebrawood.core.focus.FocusLadder;
import zebrawood.core.focus.FocusSweep;
import zebrawood.core.focus.LadderReadings;
import zebrawood.core.focus.SweepReadings;
import zebrawood.core.focus.SweepReadings.Direction;
import zebrawood.core.height.ZPlan;
import zebrawood.core.height.ZReadings;
import zebrawood.core.lens.BelowReadings;
import zebrawood.core.lens.BelowSurface;
import zebrawood.core.lens.ChoiceReadings;
import zebrawood.core.lens.LensChoice;
import zebrawood.core.level.BedLevel;
import zebrawood.core.level.BedReadings;
import zebrawood.core.level.HeadTilt;
import zebrawood.core.level.TiltReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.pretend.PretendBed;
import zebrawood.core.pretend.PretendFocus;

/** Level, focus and height of a machine looked after, on a pretend bed, head and beam. */
final class FocusDeeds {

    private static final double INSET_MM = 40;
    private static final String[] CORNERS = {"front left", "front right", "back right", "back left"};

    private final MachineDiary life;
    private final SplittableRandom random;

    FocusDeeds(MachineDiary life, long number) {
        this.life = life;
        this.random = new SplittableRandom(number);
    }

    private Plate.Bed field() {
        return life.plate().bed().orElseThrow();
    }

    /** Gaps over the bed, which lies as level as it was left. */
    void level(int daysAgo, LocalTime at, String by) {
        level(daysAgo, at, by, 0.05);
    }

    /** The bed as it came: tilted, its screws turned as it was said, and read again. */
    void levelled(int daysAgo, LocalTime at, String by) {
        level(daysAgo, at, by, 0.6);
        level(daysAgo, at.plusMinutes(25), by, 0.05);
    }

    private void level(int daysAgo, LocalTime at, String by, double tiltMm) {
        double x = field().xMm();
        double y = field().yMm();
        double gap = 5 + 7 * random.nextDouble();
        PretendBed bed = new PretendBed(x, y, List.of(0.0, tiltMm, tiltMm * 1.8, tiltMm), 0, 0, gap);
        double[][] places = {
            {INSET_MM, INSET_MM},
            {x - INSET_MM, INSET_MM},
            {x - INSET_MM, y - INSET_MM},
            {INSET_MM, y - INSET_MM},
            {x / 2, y / 2}
        };
        List<BedReadings.Point> points = new ArrayList<>();
        List<BedReadings.Screw> screws = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>();
        for (int i = 0; i < places.length; i++) {
            double read = bed.gapMm(places[i][0], places[i][1]) + 0.03 * random.nextGaussian();
            String typed = text(read, 2);
            asTyped.put("points[" + i + "].gapMm", typed);
            points.add(BedReadings.Point.of(
                    i < CORNERS.length ? CORNERS[i] : "middle", places[i][0], places[i][1], Double.parseDouble(typed)));
        }
        for (int i = 0; i < PretendBed.CORNERS; i++) {
            asTyped.put("screws[" + i + "].pitchMm", "1");
            screws.add(new BedReadings.Screw(String.valueOf((char) ('A' + i)), bed.cornerXMm(i), bed.cornerYMm(i), 1));
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new BedLevel(),
                        new BedReadings(
                                points,
                                screws,
                                Optional.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                Optional.of(BedReadings.Raises.CLOCKWISE)),
                        asTyped,
                        Optional.empty()));
    }

    /** The head of a galvo, straight: gaps round its ring. */
    void tilt(int daysAgo, LocalTime at, String by, double gapMm, double toleranceMm) {
        double side = Math.max(field().xMm(), field().yMm());
        double[][] ring = {{90, 0}, {0, 90}, {-90, 0}, {0, -90}};
        List<TiltReadings.Point> points = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>();
        for (int i = 0; i < ring.length; i++) {
            String typed = text(gapMm + 0.015 * random.nextGaussian(), 2);
            asTyped.put("points[" + i + "].gapMm", typed);
            points.add(new TiltReadings.Point(ring[i][0], ring[i][1], Double.parseDouble(typed)));
        }
        String[] names = {"front", "rear left", "rear right"};
        double[][] stands = {{0, -110}, {-90, 80}, {90, 80}};
        List<TiltReadings.Mount> mounts = new ArrayList<>();
        for (int i = 0; i < names.length; i++) {
            mounts.add(new TiltReadings.Mount(names[i], stands[i][0], stands[i][1]));
            asTyped.put("mounts[" + i + "].name", names[i]);
            asTyped.put("mounts[" + i + "].xMm", text(stands[i][0], 0));
            asTyped.put("mounts[" + i + "].yMm", text(stands[i][1], 0));
        }
        asTyped.put("shims", "0.05 0.1 0.2 0.5");
        asTyped.put("toleranceMm", text(toleranceMm, 1));
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new HeadTilt(),
                        new TiltReadings(
                                points,
                                side,
                                mounts,
                                Optional.of(List.of(0.05, 0.1, 0.2, 0.5)),
                                OptionalInt.empty(),
                                OptionalDouble.of(toleranceMm),
                                OptionalDouble.empty(),
                                Optional.empty()),
                        asTyped,
                        Optional.empty()));
    }

    /** Squares at seven gaps, scored by eye. */
    void ladder(int daysAgo, LocalTime at, String by, String lens, double bestMm) {
        PretendFocus focus = new PretendFocus(bestMm, 0.2, 2.4, 0);
        List<LadderReadings.Step> steps = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>(Map.of("lens", lens));
        for (int i = 0; i < 7; i++) {
            double gap = Math.rint(2 * bestMm) / 2 + i - 3;
            double score = 10 - 14 * (focus.widthMm(gap) / 0.2 - 1) + 0.2 * random.nextGaussian();
            String typed = text(Math.max(0, Math.min(10, score)), 1);
            asTyped.put("steps[" + i + "].gapMm", text(gap, 1));
            asTyped.put("steps[" + i + "].score", typed);
            steps.add(new LadderReadings.Step(gap, Double.parseDouble(typed)));
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new FocusLadder(),
                        new LadderReadings(
                                steps,
                                LadderReadings.Better.HIGHER,
                                Optional.of(LadderReadings.School.EYE),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.of(2.2),
                                Optional.empty(),
                                Optional.of(lens),
                                Optional.empty()),
                        asTyped,
                        Optional.empty()));
    }

    /** Three ways down and three up, marked by a key. */
    void sweep(int daysAgo, LocalTime at, String by, String lens, double bestMm) {
        List<SweepReadings.Sweep> sweeps = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>(Map.of("delayS", "0.22", "depthOfFocusMm", "2.2", "lens", lens));
        for (int i = 0; i < 6; i++) {
            Direction way = i % 2 == 0 ? Direction.DOWN : Direction.UP;
            double start = Math.rint(bestMm) + (way == Direction.DOWN ? 4 : -4);
            double marked = Math.abs(start - bestMm) / 1.5 + 0.22 + 0.03 * random.nextGaussian();
            String typed = text(marked, 2);
            String path = "sweeps[" + i + "].";
            asTyped.put(path + "startGapMm", text(start, 0));
            asTyped.put(path + "speedMmS", "1.5");
            asTyped.put(path + "markedS", typed);
            sweeps.add(new SweepReadings.Sweep(
                    way, start, 1.5, OptionalDouble.of(Double.parseDouble(typed)), Optional.empty()));
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new FocusSweep(),
                        new SweepReadings(
                                sweeps,
                                OptionalDouble.of(0.22),
                                OptionalDouble.empty(),
                                2.2,
                                OptionalDouble.empty(),
                                Optional.empty(),
                                OptionalDouble.empty(),
                                Optional.of(lens)),
                        asTyped,
                        Optional.empty()));
    }

    /** The autofocus tried on two stocks. */
    void autofocus(int daysAgo, LocalTime at, String by, double bestMm) {
        List<AutofocusReadings.Stock> stocks = new ArrayList<>();
        Map<String, String> asTyped =
                new HashMap<>(Map.of("referenceGapMm", text(bestMm, 2), "depthOfFocusMm", "2.2", "lens", "middle"));
        String[] names = {"poplar ply", "amber acrylic"};
        for (int s = 0; s < names.length; s++) {
            List<Double> gaps = new ArrayList<>();
            StringBuilder typed = new StringBuilder();
            for (int i = 0; i < 5; i++) {
                String one = text(bestMm + 0.1 * s + 0.05 * random.nextGaussian(), 2);
                typed.append(i == 0 ? "" : " ").append(one);
                gaps.add(Double.parseDouble(one));
            }
            asTyped.put("stocks[" + s + "].name", names[s]);
            asTyped.put("stocks[" + s + "].gapsMm", typed.toString());
            stocks.add(new AutofocusReadings.Stock(
                    names[s],
                    s == 0 ? AutofocusReadings.Surface.LIGHT : AutofocusReadings.Surface.CLEAR,
                    OptionalDouble.empty(),
                    gaps));
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new AutofocusCheck(),
                        new AutofocusReadings(
                                AutofocusReadings.Kind.PROBE,
                                stocks,
                                bestMm,
                                OptionalDouble.empty(),
                                2.2,
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                Optional.of("middle")),
                        asTyped,
                        Optional.empty()));
    }

    /** Nine lines all over the bed, as wide as each other. */
    void nine(int daysAgo, LocalTime at, String by) {
        List<NineReadings.Place> places = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>();
        String[] rows = {"front", "middle", "back"};
        String[] columns = {"left", "middle", "right"};
        for (int i = 0; i < rows.length * columns.length; i++) {
            int row = i / columns.length;
            int column = i % columns.length;
            String typed = text(0.25 + 0.004 * random.nextGaussian(), 3);
            asTyped.put("places[" + i + "].values", typed);
            places.add(new NineReadings.Place(
                    i == 4 ? "middle" : rows[row] + " " + columns[column],
                    INSET_MM + column * (field().xMm() - 2 * INSET_MM) / 2,
                    INSET_MM + row * (field().yMm() - 2 * INSET_MM) / 2,
                    List.of(Double.parseDouble(typed)),
                    OptionalDouble.empty()));
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new BedNine(),
                        new NineReadings(
                                NineReadings.Kind.WIDTH,
                                places,
                                Optional.of(new NineReadings.Corner(0, field().yMm())),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty(),
                                OptionalDouble.empty()),
                        asTyped,
                        Optional.empty()));
    }

    /** Which of its lenses for drawer labels. */
    void lens(int daysAgo, LocalTime at, String by) {
        List<ChoiceReadings.Lens> lenses = new ArrayList<>();
        Map<String, String> asTyped = new HashMap<>(Map.of(
                "smallestFeatureMm", "0.3",
                "materialMm", "4",
                "overlapPct", "20",
                "beamDiameterMm", "6",
                "beamQualityM2", "1.2"));
        List<List<Double>> strips =
                List.of(List.of(8.0, 7.0, 7.0, 8.0), List.of(6.0, 7.0, 6.0, 6.0), List.of(4.0, 6.0, 8.0, 5.0));
        for (Plate.Lens lens : life.plate().optics().orElseThrow().lenses()) {
            int row = lenses.size();

            lenses.add(new ChoiceReadings.Lens(
                    lens.name(),
                    lens.focalLengthMm().orElseThrow(),
                    Optional.of(ChoiceReadings.Aberration.MENISCUS),
                    Optional.of(strips.get(row % strips.size()))));
        }
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new LensChoice(),
                        new ChoiceReadings(
                                life.plate().wavelengthNm().orElseThrow(),
                                6,
                                1.2,
                                lenses,
                                0.3,
                                4,
                                OptionalDouble.of(20),
                                Optional.empty(),
                                OptionalDouble.empty(),
                                Optional.of(true)),
                        asTyped,
                        Optional.empty()));
    }

    /** Where the bed goes for pear wood on a riser. */
    void height(int daysAgo, LocalTime at, String by, double bestMm) {
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new ZPlan(),
                        new ZReadings(
                                bestMm,
                                12,
                                OptionalDouble.of(20),
                                OptionalDouble.empty(),
                                4,
                                ZReadings.AxisSense.BED_DOWN,
                                OptionalDouble.of(15),
                                0,
                                150),
                        Map.of(
                                "focusGapMm",
                                text(bestMm, 2),
                                "materialMm",
                                "12",
                                "riserMm",
                                "20",
                                "bareGapAtZeroMm",
                                "4",
                                "currentZMm",
                                "15",
                                "minZMm",
                                "0",
                                "maxZMm",
                                "150"),
                        Optional.empty()));
    }

    /** A mark in the middle of a plate of soda glass. */
    void glass(int daysAgo, LocalTime at, String by) {
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new BelowSurface(),
                        new BelowReadings(1.52, 5, 10, 30, OptionalDouble.of(0.4)),
                        Map.of(
                                "refractiveIndex",
                                "1.52",
                                "depthMm",
                                "5",
                                "thicknessMm",
                                "10",
                                "halfAngleMrad",
                                "30",
                                "depthOfFocusMm",
                                "0.4"),
                        Optional.empty()));
    }

    private static String text(double value, int decimals) {
        return MachineDiary.text(value, decimals);
    }
}
