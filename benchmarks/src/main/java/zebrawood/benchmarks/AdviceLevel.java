package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;
import static zebrawood.benchmarks.AdvicePlace.object;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;
import zebrawood.core.pretend.PretendBed;
import zebrawood.core.pretend.PretendHead;

/** Beds and heads that nobody but these sheets knows, and hands that turn screws and lay shims. */
final class AdviceLevel {

    static final List<Tried> ALL = List.of(
            new Tried("bed-level", AdviceLevel::bed, AdviceLevel::followBed, AdviceLevel::gauged),
            new Tried("head-tilt", AdviceLevel::head, AdviceLevel::followHead, AdviceLevel::ring));

    private static final String[] NAMES = {"front", "rear left", "rear right"};
    private static final double[] MOUNT_X = {0, -80, 80};
    private static final double[] MOUNT_Y = {-90, 60, 60};

    private AdviceLevel() {}

    private static ObjectNode bed(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("widthMm", typed(random, 300, 1000, 0)).put("depthMm", typed(random, 200, 800, 0));
        ArrayNode lifts = sheet.putArray("liftMm");
        double x = typed(random, -2, 2, 2);
        double y = typed(random, -2, 2, 2);
        lifts.add(0).add(x).add(x + y).add(y);
        sheet.put("twistMm", often(random, 15) ? typed(random, 0.5, 2, 1) : 0);
        sheet.put("hollowMm", often(random, 15) ? typed(random, -1, 1, 1) : 0);
        sheet.put("gapMm", typed(random, 6, 14, 1));
        sheet.put("pitchMm", typed(random, 0.5, 1.75, 2));
        sheet.put("noiseMm", new double[] {0, 0.02, 0.05, 0.15}[random.nextInt(4)]);
        sheet.put("stated", often(random, 50));
        sheet.put("twice", false);
        sheet.put("way", random.nextInt(3));
        sheet.put("fixed", random.nextInt(6));
        sheet.put("tolerance", typed(random, 0.2, 0.6, 1));
        sheet.put("seed", random.nextLong());
        return sheet;
    }

    private static PretendBed real(ObjectNode sheet) {
        List<Double> lifts = new ArrayList<>();
        sheet.get("liftMm").forEach(lift -> lifts.add(lift.doubleValue()));
        return new PretendBed(
                sheet.get("widthMm").doubleValue(),
                sheet.get("depthMm").doubleValue(),
                lifts,
                sheet.get("twistMm").doubleValue(),
                sheet.get("hollowMm").doubleValue(),
                sheet.get("gapMm").doubleValue());
    }

    private static ObjectNode gauged(ObjectNode hidden) {
        PretendBed bed = real(hidden);
        SplittableRandom reading = new SplittableRandom(hidden.get("seed").longValue());
        double noise = hidden.get("noiseMm").doubleValue();
        ObjectNode sheet = object();
        ArrayNode points = sheet.putArray("points");
        double in = 40;
        double[][] places = {
            {in, in},
            {bed.widthMm() - in, in},
            {bed.widthMm() - in, bed.depthMm() - in},
            {in, bed.depthMm() - in},
            {bed.widthMm() / 2, bed.depthMm() / 2}
        };
        for (int i = 0; i < places.length; i++) {
            double gap = bed.gapMm(places[i][0], places[i][1]);
            ObjectNode point = points.addObject();
            point.put("name", "place " + i).put("xMm", places[i][0]).put("yMm", places[i][1]);
            point.put("gapMm", read(gap, noise, reading));
            if (hidden.get("twice").booleanValue()) {
                point.put("againMm", read(gap, noise, reading));
            }
        }
        ArrayNode screws = sheet.putArray("screws");
        for (int i = 0; i < PretendBed.CORNERS; i++) {
            screws.addObject()
                    .put("name", "" + (char) ('A' + i))
                    .put("xMm", bed.cornerXMm(i))
                    .put("yMm", bed.cornerYMm(i))
                    .put("pitchMm", hidden.get("pitchMm").doubleValue());
        }
        sheet.put("toleranceMm", hidden.get("tolerance").doubleValue());
        if (hidden.get("stated").booleanValue() && noise > 0) {
            sheet.put("gaugeErrorMm", noise);
        }
        if (hidden.get("fixed").intValue() < PretendBed.CORNERS) {
            sheet.put("fixedScrew", "" + (char) ('A' + hidden.get("fixed").intValue()));
        }
        if (hidden.get("way").intValue() > 0) {
            sheet.put("raises", hidden.get("way").intValue() == 1 ? "clockwise" : "anticlockwise");
        }
        return sheet;
    }

    private static double read(double gap, double noise, SplittableRandom random) {
        return Math.max(0, Math.rint((gap + noise * random.nextGaussian()) * 100) / 100);
    }

    private static Done followBed(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Turn screw ")) {
            boolean up = step.says("rises")
                    || step.says("by {0} turns clockwise") && sheet.get("way").intValue() == 1
                    || step.says("by {0} turn clockwise") && sheet.get("way").intValue() == 1
                    || step.says("anticlockwise") && sheet.get("way").intValue() == 2;
            double mm = step.letter(0) * sheet.get("pitchMm").doubleValue() * (up ? 1 : -1);
            int screw = step.words().charAt("Turn screw ".length()) - 'A';
            ArrayNode lifts = (ArrayNode) sheet.get("liftMm");
            lifts.set(screw, DoubleNode.valueOf(lifts.get(screw).doubleValue() + mm));
            sheet.put("seed", random.nextLong());
        } else if (step.says("Read every gap a second time")) {
            sheet.put("twice", true).put("seed", random.nextLong());
        } else if (step.says("with a finer gauge")) {
            sheet.put("noiseMm", sheet.get("noiseMm").doubleValue() / 3).put("seed", random.nextLong());
        } else if (step.says("screws cannot mend that")) {
            return Done.PERSON;
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode head(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("leanX", typed(random, -8, 8, 2) / 1000).put("leanY", typed(random, -8, 8, 2) / 1000);
        sheet.put("radiusMm", typed(random, 30, 60, 0));
        sheet.put("fieldMm", typed(random, 70, 300, 0));
        sheet.put("gapMm", typed(random, 150, 220, 1));
        sheet.put("table", often(random, 30));
        sheet.put("errorMm", new double[] {0.01, 0.03, 0.06}[random.nextInt(3)]);
        ArrayNode drawer = sheet.putArray("drawer");
        if (often(random, 80)) {
            drawer.add(0.05).add(0.1).add(often(random, 50) ? 0.2 : 0.25);
            if (often(random, 60)) {
                drawer.add(0.5);
            }
        }
        sheet.put("seed", random.nextLong());
        return sheet;
    }

    private static ObjectNode ring(ObjectNode hidden) {
        PretendHead head = new PretendHead(
                hidden.get("leanX").doubleValue(),
                hidden.get("leanY").doubleValue(),
                hidden.get("gapMm").doubleValue());
        SplittableRandom reading = new SplittableRandom(hidden.get("seed").longValue());
        double error = hidden.get("errorMm").doubleValue();
        double radius = hidden.get("radiusMm").doubleValue();
        ObjectNode sheet = object();
        ArrayNode points = sheet.putArray("points");
        for (int i = 0; i < 4; i++) {
            double x = radius * Math.cos(i * Math.PI / 2);
            double y = radius * Math.sin(i * Math.PI / 2);
            points.addObject()
                    .put("xMm", x)
                    .put("yMm", y)
                    .put("gapMm", Math.rint((head.gapMm(x, y) + error * reading.nextGaussian()) * 1000) / 1000);
        }
        sheet.put("fieldMm", hidden.get("fieldMm").doubleValue()).put("gapErrorMm", error);
        ArrayNode mounts = sheet.putArray("mounts");
        for (int i = 0; i < NAMES.length; i++) {
            mounts.addObject().put("name", NAMES[i]).put("xMm", MOUNT_X[i]).put("yMm", MOUNT_Y[i]);
        }
        if (hidden.get("table").booleanValue()) {
            sheet.put("shimRaises", "table");
        }
        if (!hidden.get("drawer").isEmpty()) {
            sheet.set("shims", hidden.get("drawer").deepCopy());
        }
        return sheet;
    }

    private static Done followHead(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Put ")) {
            double[] lift = new double[NAMES.length];
            for (int i = 0; i < NAMES.length; i++) {
                if (step.instruction().target().equals(NAMES[i])) {
                    lift[i] = step.letters().stream()
                                    .mapToDouble(Double::doubleValue)
                                    .sum()
                            * (sheet.get("table").booleanValue() ? -1 : 1);
                }
            }
            PretendHead head = new PretendHead(
                            sheet.get("leanX").doubleValue(),
                            sheet.get("leanY").doubleValue(),
                            sheet.get("gapMm").doubleValue())
                    .shimmed(MOUNT_X, MOUNT_Y, lift);
            sheet.put("leanX", head.leanX()).put("leanY", head.leanY()).put("seed", random.nextLong());
        } else if (step.says("Get a shim for ")) {
            ArrayNode drawer = (ArrayNode) sheet.get("drawer");
            boolean has = false;
            for (JsonNode piece : drawer) {
                has |= piece.doubleValue() == step.letter(0);
            }
            if (!has && drawer.size() < 30 && step.letter(0) > 0) {
                drawer.add(step.letter(0));
            }
        } else if (step.says("Measure on a wider base")) {
            sheet.put("radiusMm", sheet.get("radiusMm").doubleValue() * 2).put("seed", random.nextLong());
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }
}
