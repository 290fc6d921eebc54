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
import zebrawood.core.beam.BeamClip;
import zebrawood.core.beam.ClipReadings;
import zebrawood.core.beam.CornersReadings;
import zebrawood.core.beam.HeadCorners;
import zebrawood.core.beam.HeadVertical;
import zebrawood.core.beam.MarkShape;
import zebrawood.core.beam.ShapeReadings;
import zebrawood.core.beam.Spot;
import zebrawood.core.beam.VerticalReadings;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Gantry;
import zebrawood.core.machine.Plate;
import zebrawood.core.mirrors.MirrorPlan;
import zebrawood.core.mirrors.PlanFinding;
import zebrawood.core.mirrors.PlanReadings;

/** The beam of a gantry looked after: its pretend machine aligned to the letter of the plan, visit by visit. */
final class BeamDeeds {

    /** from a mirror to the card at the nearest place, mm */
    private static final double NEAR_MM = 120;
    /** both mirrors out of true since the last visit, mrad */
    private static final double KNOCKED_MRAD = 3;

    private final MachineDiary life;
    private final Gantry gantry;
    private final PlanReadings.Run run;
    private List<PlanReadings.Mount> mounts = List.of();

    BeamDeeds(MachineDiary life, long number) {
        this.life = life;
        Plate.Bed bed = life.plate().bed().orElseThrow();
        run = new PlanReadings.Run(NEAR_MM, NEAR_MM + bed.yMm(), NEAR_MM, NEAR_MM + bed.xMm());
        Build usual = Build.USUAL;
        gantry = new Gantry(
                new SplittableRandom(number),
                new Build(
                        bed.xMm(),
                        bed.yMm(),
                        NEAR_MM,
                        usual.mirrorMrad(),
                        2,
                        usual.tubeMrad(),
                        usual.markErrorMm(),
                        usual.gainShare(),
                        usual.crossTalk(),
                        usual.playTurns(),
                        usual.flaw()));
    }

    /**
     * A visit to the beam: a mark, the mirrors, the corners, the nozzle and what the narrowest opening lets through.
     */
    void visit(int daysAgo, LocalTime from, String by) {
        mark(daysAgo, from, by);
        mirrors(daysAgo, from.plusMinutes(40), by);
        corners(daysAgo, from.plusMinutes(55), by);
        vertical(daysAgo, from.plusMinutes(65), by);
        opening(daysAgo, from.plusMinutes(70), by);
    }

    private void mark(int daysAgo, LocalTime at, String by) {
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new MarkShape(),
                        new ShapeReadings(
                                4.2,
                                3.9,
                                OptionalDouble.empty(),
                                OptionalDouble.of(4.0),
                                OptionalDouble.empty(),
                                Optional.of(ShapeReadings.Outline.SMOOTH),
                                Optional.of("mirror 1")),
                        Map.of("majorMm", "4.2", "minorMm", "3.9", "expectedMm", "4.0", "place", "mirror 1"),
                        Optional.empty()));
    }

    private void mirrors(int daysAgo, LocalTime at, String by) {
        life.plan(daysAgo, at, by, () -> {
            gantry.knock(KNOCKED_MRAD);
            Map<String, String> asTyped = new HashMap<>();
            asTyped.put("run.yNearMm", text(run.yNearMm(), 0));
            asTyped.put("run.yFarMm", text(run.yFarMm(), 0));
            asTyped.put("run.xNearMm", text(run.xNearMm(), 0));
            asTyped.put("run.xFarMm", text(run.xFarMm(), 0));
            List<PlanReadings.Step> steps = new ArrayList<>();
            PlanReadings readings = readings(steps);
            PlanFinding finding = new MirrorPlan().evaluate(readings).finding();
            while (finding.next().act() == PlanFinding.Act.SHOOT
                    || finding.next().act() == PlanFinding.Act.TURN) {
                follow(finding.next(), steps, asTyped);
                readings = readings(steps);
                finding = new MirrorPlan().evaluate(readings).finding();
            }
            mounts = finding.mounts();
            life.measure(new MirrorPlan(), readings, asTyped, Optional.empty());
        });
    }

    private PlanReadings readings(List<PlanReadings.Step> steps) {
        return new PlanReadings(
                run,
                mounts,
                steps,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.of(new PlanReadings.Looked(PlanReadings.Optics.CLEAN, PlanReadings.BedLies.LEVEL)),
                Optional.empty(),
                OptionalInt.empty(),
                Optional.empty());
    }

    private void follow(PlanFinding.Next next, List<PlanReadings.Step> steps, Map<String, String> asTyped) {
        for (PlanReadings.Turn turn : next.turns()) {
            gantry.turn(turn.mirror(), turn.screw().ordinal(), turn.turns());
            steps.add(PlanReadings.Step.of(turn));
        }
        if (next.turns().isEmpty()) {
            int mirror = next.mirror().orElseThrow();
            double gantryMm = next.gantryMm().orElseThrow();
            double[] mark = gantry.shoot(mirror, gantryMm, next.carriageMm().orElse(0));
            String path = "steps[" + steps.size() + "].shot.";
            String x = text(mark[0], 1);
            String y = text(mark[1], 1);
            asTyped.put(path + "xMm", x);
            asTyped.put(path + "yMm", y);
            asTyped.put(path + "currentMa", "6");
            steps.add(PlanReadings.Step.of(new PlanReadings.Shot(
                    mirror,
                    gantryMm,
                    next.carriageMm(),
                    Double.parseDouble(x),
                    Double.parseDouble(y),
                    OptionalDouble.of(6))));
        }
    }

    private void corners(int daysAgo, LocalTime at, String by) {
        life.plan(daysAgo, at, by, () -> {
            List<CornersReadings.Mark> marks = new ArrayList<>();
            Map<String, String> asTyped = new HashMap<>();
            double[][] places = {{0, 0}, {1, 0}, {1, 1}, {0, 1}, {0.5, 0.5}};
            for (int i = 0; i < places.length; i++) {
                double bedX = places[i][0] * (run.xFarMm() - run.xNearMm());
                double bedY = places[i][1] * (run.yFarMm() - run.yNearMm());
                double[] mark = gantry.spot(2, run.yFarMm() - bedY, run.xNearMm() + bedX);
                String[] typed = {text(bedX, 0), text(bedY, 0), text(mark[0], 1), text(mark[1], 1)};
                String[] names = {"bedXMm", "bedYMm", "xMm", "yMm"};
                for (int n = 0; n < names.length; n++) {
                    asTyped.put("marks[" + i + "]." + names[n], typed[n]);
                }
                marks.add(new CornersReadings.Mark(
                        bedX, bedY, Double.parseDouble(typed[2]), Double.parseDouble(typed[3])));
            }
            life.measure(
                    new HeadCorners(), new CornersReadings(marks, OptionalDouble.of(0.7)), asTyped, Optional.empty());
        });
    }

    private void vertical(int daysAgo, LocalTime at, String by) {
        Map<String, String> asTyped = new HashMap<>(Map.of("upperGapMm", "7", "lowerGapMm", "67"));
        asTyped.putAll(Map.of("upper.xMm", "0.1", "upper.yMm", "0", "lower.xMm", "0.2", "lower.yMm", "0.1"));
        asTyped.putAll(Map.of("nozzleBoreMm", "5", "beamAtNozzleMm", "2"));
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new HeadVertical(),
                        new VerticalReadings(7, 67, new Spot(0.1, 0), new Spot(0.2, 0.1), 5, 2, OptionalDouble.empty()),
                        asTyped,
                        Optional.empty()));
    }

    private void opening(int daysAgo, LocalTime at, String by) {
        life.plan(
                daysAgo,
                at,
                by,
                () -> life.measure(
                        new BeamClip(),
                        new ClipReadings(6, 18, 2, OptionalDouble.empty(), Optional.of("opening of the head")),
                        Map.of(
                                "beamDiameterMm",
                                "6",
                                "apertureMm",
                                "18",
                                "offsetMm",
                                "2",
                                "opening",
                                "opening of the head"),
                        Optional.empty()));
    }

    private static String text(double value, int decimals) {
        return MachineDiary.text(value, decimals);
    }
}
