package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;
import static zebrawood.benchmarks.AdvicePlace.object;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.SplittableRandom;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;

/** Lenses, stock under a head and glass, and hands that take others. */
final class AdviceHeight {

    static final List<Tried> ALL = List.of(
            new Tried("lens-choice", AdviceHeight::lenses, AdviceHeight::followLenses),
            new Tried("z-plan", AdviceHeight::stack, AdviceHeight::followStack),
            new Tried("below-surface", AdviceHeight::glass, AdviceHeight::followGlass));

    private AdviceHeight() {}

    private static ObjectNode lenses(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("wavelengthNm", new double[] {10600, 1064, 450}[random.nextInt(3)]);
        sheet.put("beamDiameterMm", typed(random, 2, 14, 1)).put("beamQualityM2", typed(random, 1, 6, 1));
        ArrayNode lenses = sheet.putArray("lenses");
        int many = 1 + random.nextInt(4);
        for (int i = 0; i < many; i++) {
            lenses.addObject()
                    .put("name", "lens " + i)
                    .put("focalLengthMm", typed(random, 30, 200, 0))
                    .put("aberration", new String[] {"none", "meniscus", "plano-convex"}[random.nextInt(3)]);
        }
        if (often(random, 50)) {
            strips(sheet, random, 0);
        }
        if (often(random, 40)) {
            sheet.put("seated", often(random, 60));
        }
        sheet.put("smallestFeatureMm", typed(random, 0.02, 0.3, 2)).put("materialMm", typed(random, 0, 15, 1));
        sheet.put("purpose", often(random, 60) ? "cut" : "engrave");
        if (often(random, 50)) {
            sheet.put("allowedEdgeMm", typed(random, 0.1, 0.8, 2));
        }
        return sheet;
    }

    /** A strip engraved with each lens, scored by eye. */
    private static void strips(ObjectNode sheet, SplittableRandom random, double least) {
        for (JsonNode lens : sheet.get("lenses")) {
            ArrayNode strip = ((ObjectNode) lens).putArray("strip");
            for (int i = 0; i < 4; i++) {
                strip.add(typed(random, least, 10, 1));
            }
        }
    }

    private static Done followLenses(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Give up the detail")) {
            sheet.put("smallestFeatureMm", step.letter(0));
        } else if (step.says("Give up the narrow edge")) {
            sheet.put("allowedEdgeMm", step.letter(0));
        } else if (step.says("Give up both")) {
            sheet.put("smallestFeatureMm", step.letter(0)).put("allowedEdgeMm", step.letter(1));
        } else if (step.says("Seat the lens anew")) {
            sheet.put("seated", true);
            strips(sheet, random, 0);
        } else if (step.says("Take none of them yet")) {
            // other power, speed or interval: better strips
            strips(sheet, random, 4);
        } else if (!step.says("Look at each lens") && !step.says("Stock beyond one pass")) {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode stack(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("focusGapMm", typed(random, 0.5, 30, 1)).put("materialMm", typed(random, 0, 200, 1));
        if (often(random, 60)) {
            sheet.put("riserMm", typed(random, 0, 150, 1));
        }
        if (often(random, 30)) {
            sheet.put("defocusMm", typed(random, 0, 3, 1));
        }
        sheet.put("bareGapAtZeroMm", typed(random, -10, 200, 1));
        sheet.put("axisSense", new String[] {"head-up", "bed-down", "head-down", "bed-up"}[random.nextInt(4)]);
        double least = typed(random, -50, 20, 0);
        sheet.put("minZMm", least).put("maxZMm", least + typed(random, 20, 200, 0));
        if (often(random, 40)) {
            sheet.put("heightFirst", often(random, 50)).put("heightAbsolute", often(random, 50));
            sheet.put("jobSpeedMmMin", typed(random, 60, 1200, 0)).put("panelSpeedMmMin", typed(random, 60, 1200, 0));
        }
        return sheet;
    }

    private static Done followStack(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Take stock of ")) {
            sheet.put("materialMm", step.letter(0));
        } else if (step.says("more under the stock")) {
            sheet.put("riserMm", sheet.path("riserMm").doubleValue() + step.letter(0));
        } else if (step.says("Take the riser out")) {
            sheet.put("riserMm", 0);
        } else if (step.says("the first thing that each job does")) {
            sheet.put("heightFirst", true);
        } else if (step.says("go to a place")) {
            sheet.put("heightAbsolute", true);
        } else if (step.says("Let jobs move the height")) {
            sheet.put("jobSpeedMmMin", step.letter(0));
        } else if (step.says("Send the height axis")) {
            return Done.DID;
        } else if (step.says("by these figures no stock fits")) {
            return Done.PERSON;
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode glass(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("refractiveIndex", typed(random, 1.4, 1.9, 2)).put("depthMm", typed(random, 0.1, 20, 1));
        sheet.put("thicknessMm", typed(random, 1, 20, 1)).put("halfAngleMrad", typed(random, 10, 900, 0));
        if (often(random, 80)) {
            sheet.put("depthOfFocusMm", typed(random, 0.1, 5, 1));
        }
        return sheet;
    }

    private static Done followGlass(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Mark less deep than ")) {
            sheet.put("depthMm", step.letter(0) * typed(random, 0.2, 0.95, 2));
        } else if (step.says("Take thicker glass")) {
            sheet.put("thicknessMm", step.letter(0));
        } else if (step.says("Mark deeper") || step.says("Mark less deep, at")) {
            sheet.put("depthMm", step.letter(0));
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }
}
