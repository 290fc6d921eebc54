package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;
import static zebrawood.benchmarks.AdvicePlace.object;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;
import zebrawood.core.gantry.Build;
import zebrawood.core.gantry.Gantry;

/** What is in a beam's way from the source to the nozzle, and hands that do what is said about it. */
final class AdvicePath {

    static final List<Tried> ALL = List.of(
            new Tried("mark-shape", AdvicePath::mark, AdvicePath::followMark),
            new Tried("mirror-plan", AdvicePath::machine, AdvicePath::followPlan, AdvicePath::alignment, 25),
            new Tried("head-corners", AdvicePath::corners, AdvicePath::followCorners, AdvicePath::marks),
            new Tried("head-vertical", AdvicePath::vertical, AdvicePath::followVertical),
            new Tried("beam-clip", AdvicePath::clip, AdvicePath::followClip));

    private AdvicePath() {}

    private static ObjectNode mark(SplittableRandom random) {
        double major = typed(random, 1, 8, 2);
        ObjectNode sheet = object();
        sheet.put("majorMm", major).put("minorMm", typed(random, major / 3, major, 3));
        if (often(random, 60)) {
            sheet.put("outline", new String[] {"smooth", "crescent", "flat-side", "split"}[random.nextInt(4)]);
        }
        if (often(random, 40)) {
            sheet.put("roundnessTolerance", typed(random, 0.02, 0.3, 2));
        }
        return sheet;
    }

    private static Done followMark(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("pick what it is like")) {
            sheet.put("outline", new String[] {"smooth", "crescent", "flat-side", "split"}[random.nextInt(4)]);
        } else if (step.says("Set the card square")) {
            if (often(random, 70)) {
                sheet.put("minorMm", sheet.get("majorMm").doubleValue());
            }
        } else if (step.says("Look for what cuts the beam off") || step.says("Shoot close to the source")) {
            return Done.PERSON;
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static final Pattern TURN = Pattern.compile(
            "Turn screw ([AB]) of mirror ([12]) (anti)?clockwise by .*?(?:, then (anti)?clockwise by .*)?");

    /** A machine of which nobody knows anything, and nothing shot yet. */
    private static ObjectNode machine(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("seed", random.nextLong()).putArray("steps");
        return sheet;
    }

    /** What is known of it: its runs, and what was shot and turned. */
    private static ObjectNode alignment(ObjectNode machine) {
        ObjectNode sheet = object();
        sheet.putObject("run")
                .put("yNearMm", 120)
                .put("yFarMm", 620)
                .put("xNearMm", 120)
                .put("xFarMm", 820);
        sheet.set("steps", machine.get("steps"));
        return sheet;
    }

    private static Done followPlan(ObjectNode sheet, Step step, SplittableRandom random) {
        ArrayNode steps = (ArrayNode) sheet.get("steps");
        Matcher turn = TURN.matcher(step.words());
        if (turn.matches()) {
            turn(steps, turn, turn.group(3), step.letter(0));
            if (step.words().contains(", then ")) {
                turn(steps, turn, turn.group(4), step.letter(1));
            }
        } else if (step.words().contains("hoot at the head: ")) {
            shoot(sheet, steps, 2, step.letter(0), step.letter(1));
        } else if (step.words().contains("hoot at mirror 2: ")) {
            shoot(sheet, steps, 1, step.letter(0), 0);
        } else if (step.says("Look ") || step.says("Move mirror ") || step.says("Stop here")) {
            return Done.PERSON;
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static void turn(ArrayNode steps, Matcher which, String anti, double turns) {
        steps.addObject()
                .putObject("turn")
                .put("mirror", Integer.parseInt(which.group(2)))
                .put("screw", which.group(1))
                .put("turns", anti == null ? turns : -turns);
    }

    /** Shoots where the sentence says, on the machine as it stands after all that was done to it. */
    private static void shoot(ObjectNode sheet, ArrayNode steps, int mirror, double gantryMm, double carriageMm) {
        Gantry machine = new Gantry(new SplittableRandom(sheet.get("seed").longValue()), Build.USUAL);
        for (JsonNode step : steps) {
            JsonNode turn = step.get("turn");
            JsonNode shot = step.get("shot");
            if (turn != null) {
                machine.turn(
                        turn.get("mirror").intValue(),
                        turn.get("screw").asText().equals("A") ? 0 : 1,
                        turn.get("turns").doubleValue());
            } else {
                machine.shoot(
                        shot.get("mirror").intValue(),
                        shot.get("gantryMm").doubleValue(),
                        shot.path("carriageMm").doubleValue());
            }
        }
        double gantry = Math.min(620, Math.max(120, gantryMm));
        double carriage = Math.min(820, Math.max(120, carriageMm));
        double[] mark = machine.shoot(mirror, gantry, carriage);
        ObjectNode shot = steps.addObject().putObject("shot");
        shot.put("mirror", mirror)
                .put("gantryMm", gantry)
                .put("xMm", Math.rint(mark[0] * 10) / 10)
                .put("yMm", Math.rint(mark[1] * 10) / 10);
        if (mirror == 2) {
            shot.put("carriageMm", carriage);
        }
    }

    /** How the marks of a machine change over its bed. */
    private static ObjectNode corners(SplittableRandom random) {
        ObjectNode sheet = object();
        for (String slope : List.of("xx", "xy", "yx", "yy")) {
            sheet.put(slope, typed(random, -4, 4, 2));
        }
        sheet.put("noiseMm", often(random, 85) ? 0.05 : 2.0);
        sheet.put("seed", random.nextLong());
        return sheet;
    }

    /** What is read of it at four corners and in the middle. */
    private static ObjectNode marks(ObjectNode machine) {
        SplittableRandom reading = new SplittableRandom(machine.get("seed").longValue());
        ObjectNode sheet = object();
        ArrayNode marks = sheet.putArray("marks");
        double noise = machine.get("noiseMm").doubleValue();
        for (int[] place : new int[][] {{30, 30}, {670, 30}, {670, 470}, {30, 470}, {350, 250}}) {
            marks.addObject()
                    .put("bedXMm", place[0])
                    .put("bedYMm", place[1])
                    .put("xMm", at(machine, "x", place) + noise * reading.nextGaussian())
                    .put("yMm", at(machine, "y", place) + noise * reading.nextGaussian());
        }
        return sheet;
    }

    private static double at(ObjectNode machine, String coordinate, int[] place) {
        return (machine.get("x" + coordinate).doubleValue() * place[0]
                        + machine.get("y" + coordinate).doubleValue() * place[1])
                / 1000;
    }

    private static Done followCorners(ObjectNode machine, Step step, SplittableRandom random) {
        machine.put("seed", random.nextLong());
        if (step.says("Set the mirror before the ")) {
            String run = step.says("the Y run") ? "y" : "x";
            machine.put(run + "x", typed(random, -0.2, 0.2, 2)).put(run + "y", typed(random, -0.2, 0.2, 2));
            return Done.DID;
        }
        return step.says("Look at rails and mounts") ? Done.PERSON : Done.WHAT;
    }

    private static ObjectNode vertical(SplittableRandom random) {
        ObjectNode sheet = object();
        double high = typed(random, 0, 20, 1);
        sheet.put("upperGapMm", high).put("lowerGapMm", high + typed(random, 20, 90, 1));
        sheet.putObject("upper").put("xMm", typed(random, -1.5, 1.5, 2)).put("yMm", typed(random, -1.5, 1.5, 2));
        sheet.putObject("lower").put("xMm", typed(random, -2, 2, 2)).put("yMm", typed(random, -2, 2, 2));
        sheet.put("nozzleBoreMm", typed(random, 2, 8, 1)).put("beamAtNozzleMm", typed(random, 1, 4, 1));
        if (often(random, 40)) {
            sheet.put("toleranceMrad", typed(random, 1, 10, 1));
        }
        return sheet;
    }

    private static Done followVertical(ObjectNode sheet, Step step, SplittableRandom random) {
        ObjectNode upper = (ObjectNode) sheet.get("upper");
        ObjectNode lower = (ObjectNode) sheet.get("lower");
        if (step.says("Turn the mirror in the head")) {
            double angle = 2 * Math.PI * random.nextDouble();
            lower.put("xMm", upper.get("xMm").doubleValue() + step.letter(0) * Math.cos(angle));
            lower.put("yMm", upper.get("yMm").doubleValue() + step.letter(0) * Math.sin(angle));
        } else if (step.says("Bring the beam to ")) {
            double share = sheet.get("upperGapMm").doubleValue()
                    / (sheet.get("lowerGapMm").doubleValue()
                            - sheet.get("upperGapMm").doubleValue());
            double[] to = {step.letter(0), 0};
            int i = 0;
            for (String coordinate : List.of("xMm", "yMm")) {
                double high = upper.get(coordinate).doubleValue();
                double low = lower.get(coordinate).doubleValue();
                double by = to[i++] - (high - share * (low - high));
                upper.put(coordinate, high + by);
                lower.put(coordinate, low + by);
            }
        } else if (step.says("Fit a nozzle")) {
            sheet.put("nozzleBoreMm", step.letter(0));
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode clip(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("beamDiameterMm", typed(random, 0.5, 8, 2)).put("apertureMm", typed(random, 1, 14, 1));
        sheet.put("offsetMm", typed(random, 0, 5, 2));
        if (often(random, 50)) {
            sheet.put("allowedLossPct", typed(random, 0.1, 20, 1));
        }
        return sheet;
    }

    private static Done followClip(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Bring the beam to ")) {
            sheet.put("offsetMm", step.letter(0));
        } else if (step.says("Fit an opening of ")) {
            sheet.put("apertureMm", step.letter(0));
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }
}
