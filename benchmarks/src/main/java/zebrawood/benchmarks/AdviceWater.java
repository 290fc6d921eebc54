package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;
import static zebrawood.benchmarks.AdvicePlace.object;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.SplittableRandom;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;

/** Water, gas and air, and hands that do what is said about them. */
final class AdviceWater {

    static final List<Tried> ALL = List.of(
            new Tried("coolant-mix", AdviceWater::filling, AdviceWater::followFilling),
            new Tried("coolant-heat", AdviceWater::heat, AdviceWater::followHeat),
            new Tried("coolant-setpoint", AdviceWater::setpoint, AdviceWater::followSetpoint),
            new Tried("assist-gas", AdviceWater::gas, AdviceWater::followGas),
            new Tried("air-assist", AdviceWater::air, AdviceWater::followAir));

    private AdviceWater() {}

    private static ObjectNode filling(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("circuitVolumeMl", typed(random, 1500, 20000, 0));
        sheet.put("lowestAmbientC", typed(random, -45, 15, 0));
        sheet.put("glycol", new String[] {"none", "ethylene", "propylene"}[random.nextInt(3)]);
        sheet.put("water", new String[] {"distilled", "deionised", "tap"}[random.nextInt(3)]);
        if (often(random, 50)) {
            sheet.putObject("bubbles").put("minutes", typed(random, 1, 20, 0)).put("clear", often(random, 60));
        }
        if (often(random, 50)) {
            sheet.putObject("leak").put("minutes", typed(random, 0, 30, 0)).put("clear", often(random, 80));
        }
        return sheet;
    }

    private static Done followFilling(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Watch on for drops")) {
            ((ObjectNode) sheet.get("leak")).put("minutes", step.handLetters().get(0));
        } else if (step.says("until no bubble is left")) {
            ((ObjectNode) sheet.get("bubbles")).put("clear", true);
        } else if (step.says("Drain the tap water")) {
            sheet.put("water", "distilled");
        } else if (step.says("or fill in ")) {
            sheet.put(
                    "glycol",
                    step.says("propylene") || often(random, 50) && !step.says("ethylene") ? "propylene" : "ethylene");
        } else if (step.all().contains("With ethylene glycol it can be done")) {
            sheet.put("glycol", "ethylene");
        } else if (step.all().contains("With propylene glycol it can be done")) {
            sheet.put("glycol", "propylene");
        } else if (step.says("Drain the circuit or heat the room") || step.says("make the joint tight")) {
            return Done.PERSON;
        } else if (!step.says("Mix ") && !step.words().startsWith("Fill ")) {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode heat(SplittableRandom random) {
        ObjectNode sheet = object();
        double power = typed(random, 200, 4000, 0);
        sheet.put("electricalInputW", power);
        sheet.put("opticalOutputW", Math.rint(power * (0.05 + 0.3 * random.nextDouble())));
        sheet.put("flowLMin", typed(random, 0.5, 15, 1));
        sheet.put("startC", typed(random, 4, 32, 1));
        double warmest = typed(random, 22, 35, 0);
        sheet.put("maxC", warmest);
        if (often(random, 50)) {
            sheet.put("dewPointC", typed(random, 0, 20, 1));
        }
        if (often(random, 40)) {
            sheet.put("reservoirL", typed(random, 4, 60, 0));
        }
        if (often(random, 50)) {
            sheet.put("chillerW", typed(random, 300, 5000, 0));
        }
        return sheet;
    }

    private static Done followHeat(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.words().startsWith("Cool the water") || step.words().startsWith("Warm the water")) {
            sheet.put("startC", step.letter(0));
            if (step.says("bring the flow to")) {
                sheet.put("flowLMin", step.letter(1));
            }
        } else if (step.words().startsWith("Bring the flow")) {
            sheet.put("flowLMin", step.letter(0));
        } else if (step.words().startsWith("Fit a chiller")) {
            sheet.put("chillerW", step.letter(0));
        } else if (step.words().startsWith("Use {0} of water")) {
            sheet.put("reservoirL", step.letter(0));
        } else if (step.words().startsWith("Say what carries")) {
            sheet.put("chillerW", 2 * sheet.get("electricalInputW").doubleValue());
        } else if (step.words().startsWith("Do not run it so")) {
            return Done.PERSON;
        } else if (!step.words().startsWith("Each kilogram of ice")) {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode setpoint(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("airTemperatureC", typed(random, 5, 38, 1));
        sheet.put("relativeHumidityPct", typed(random, 15, 95, 0));
        double coldest = typed(random, 8, 20, 0);
        sheet.put("minCoolantC", coldest);
        sheet.put("maxCoolantC", coldest + typed(random, 1, 12, 0));
        sheet.put("holdC", typed(random, 0.1, 1.5, 1));
        if (often(random, 40)) {
            sheet.put("followC", typed(random, -6, 6, 1));
        }
        return sheet;
    }

    private static Done followSetpoint(ObjectNode sheet, Step step, SplittableRandom random) {
        return step.says("Use a chiller that ") ? Done.PERSON : AdvicePlace.followAir(sheet, step);
    }

    private static ObjectNode gas(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("gas", new String[] {"nitrogen", "oxygen", "air", "argon"}[random.nextInt(4)]);
        sheet.put("nozzleMm", typed(random, 0.8, 4, 1));
        sheet.put("pressureBar", typed(random, 0.3, 22, 2));
        sheet.put("ratedBar", typed(random, 0.5, 20, 2));
        return sheet;
    }

    private static Done followGas(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("set the regulator to {0} or less")) {
            sheet.put("pressureBar", step.letter(0));
            return Done.DID;
        }
        return Done.WHAT;
    }

    private static ObjectNode air(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("source", often(random, 50) ? "pump" : "compressor");
        sheet.put("filterFitted", often(random, 60)).put("hoseSound", often(random, 70));
        sheet.put("valveSound", often(random, 80));
        sheet.put("onCommand", "M8").put("offCommand", "M9");
        sheet.put("seenOn", often(random, 80)).put("seenOff", often(random, 80));
        flow(sheet.putObject("engraving"), random, 12);
        flow(sheet.putObject("cutting"), random, 40);
        if (often(random, 40)) {
            sheet.putObject("supply")
                    .put("setBar", typed(random, 0.5, 9, 2))
                    .put("ratedBar", typed(random, 1, 10, 2))
                    .put("locked", often(random, 70))
                    .put("held", often(random, 70));
        }
        if (often(random, 30)) {
            sheet.put("leastCuttingLMin", typed(random, 5, 30, 1));
        }
        return sheet;
    }

    private static void flow(ObjectNode flow, SplittableRandom random, double most) {
        if (often(random, 50)) {
            flow.put("readLMin", typed(random, 0, most, 1));
        } else {
            flow.put("felt", new String[] {"nothing", "light", "strong"}[random.nextInt(3)]);
        }
    }

    private static Done followAir(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Find the command that switches the air on")) {
            sheet.put("seenOn", true);
        } else if (step.says("Find the command that switches the air off")) {
            sheet.put("seenOff", true);
        } else if (step.says("Fit a filter")) {
            sheet.put("filterFitted", true);
        } else if (step.says("Set the regulator to {0} or less")) {
            ((ObjectNode) sheet.get("supply")).put("setBar", step.letter(0));
        } else if (step.says("until it locks")) {
            ((ObjectNode) sheet.get("supply")).put("locked", true);
        } else if (step.says("Push each hose in")) {
            ((ObjectNode) sheet.get("supply")).put("held", true);
        } else if (step.says("the valve")) {
            sheet.put("valveSound", true);
        } else if (step.says("the hose")) {
            sheet.put("hoseSound", true);
        } else if (step.says(" for cutting")) {
            sheet.putObject("cutting").put("readLMin", step.letter(0));
        } else if (step.says(" for engraving")) {
            sheet.putObject("engraving").put("readLMin", step.letter(0));
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }
}
