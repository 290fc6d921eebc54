package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;
import static zebrawood.benchmarks.AdvicePlace.object;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.SplittableRandom;
import java.util.TreeSet;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;
import zebrawood.core.pretend.PretendSource;

/** Tubes, curves, histories and pulses that nobody but these sheets knows, and hands that turn, cap, clean and type. */
final class AdvicePower {

    private static final double FIRMWARE_S = 1_000;
    private static final double HOURS_TO_NEXT_TEST = 40;

    static final List<Tried> ALL = List.of(
            new Tried("tube-ceiling", AdvicePower::tube, AdvicePower::followTube, AdvicePower::onMeter),
            new Tried("power-linearity", AdvicePower::curve, AdvicePower::followCurve, AdvicePower::onPowerMeter),
            new Tried("power-trend", AdvicePower::history, AdvicePower::followHistory, AdvicePower::tests),
            new Tried("pulse-plan", AdvicePower::pulses, AdvicePower::followPulses));

    private AdvicePower() {}

    private static PretendSource source(ObjectNode hidden) {
        return PretendSource.found(new SplittableRandom(hidden.get("source").longValue()))
                .turned(hidden.path("control").doubleValue());
    }

    private static void commands(ObjectNode hidden, double... commands) {
        ArrayNode all = hidden.putArray("commands");
        for (double command : commands) {
            all.add(command);
        }
    }

    private static void andAt(ObjectNode hidden, double command) {
        TreeSet<Double> all = new TreeSet<>();
        hidden.get("commands").forEach(each -> all.add(each.doubleValue()));
        all.add(command);
        commands(hidden, all.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** A tube with its control or its cap anywhere, read at some commands. */
    private static ObjectNode tube(SplittableRandom random) {
        ObjectNode hidden = object();
        hidden.put("source", random.nextLong()).put("control", typed(random, 0.5, 1, 2));
        hidden.put("cap", often(random, 60)).put("capShare", 1.0).put("fraction", typed(random, 0.5, 0.9, 2));
        hidden.put("firmware", often(random, 60)).put("seed", random.nextLong());
        commands(hidden, often(random, 50) ? new double[] {10} : new double[] {typed(random, 5, 60, 0), 100});
        if (!hidden.get("cap").booleanValue() && often(random, 60)) {
            commands(hidden, 100);
        } else if (hidden.get("cap").booleanValue()) {
            andAt(hidden, 20);
        }
        return hidden;
    }

    private static ObjectNode onMeter(ObjectNode hidden) {
        SplittableRandom random = new SplittableRandom(hidden.get("seed").longValue());
        PretendSource source = source(hidden);
        boolean cap = hidden.get("cap").booleanValue();
        double share = hidden.get("capShare").doubleValue();
        ObjectNode sheet = object();
        sheet.put("ratedMaximumMa", Math.rint(source.ratedMa() * 10) / 10)
                .put("ceilingFraction", hidden.get("fraction").doubleValue())
                .put("school", cap ? "cap" : "dial");
        if (hidden.get("firmware").booleanValue()) {
            sheet.put("firmwareMaxS", FIRMWARE_S * share);
        }
        ArrayNode samples = sheet.putArray("samples");
        hidden.get("commands")
                .forEach(command -> samples.addObject()
                        .put("commandPct", command.doubleValue())
                        .put(
                                "currentMa",
                                PretendSource.onMeterMa(source.currentMa(command.doubleValue() * share), random)));
        return sheet;
    }

    private static Done followTube(ObjectNode hidden, Step step, SplittableRandom random) {
        hidden.put("seed", random.nextLong());
        if (step.says("Fire nothing at 100 %")) {
            return Done.DID;
        } else if (step.says("Stop: at 100 %")) {
            if (hidden.get("cap").booleanValue()) {
                commands(hidden, 5, 10);
            } else {
                turnTo(hidden, step.handLetters().get(0));
            }
        } else if (step.says("Turn the control on the panel")) {
            turnTo(hidden, step.letter(0));
        } else if (step.says("Read the meter next at")) {
            andAt(hidden, step.letter(0));
        } else if (step.says("Measure again below")) {
            andAt(hidden, Math.floor(step.letter(0) * 5) / 10);
        } else if (step.says("In the job software set full power to S")) {
            hidden.put("capShare", step.letter(0) / FIRMWARE_S);
            commands(hidden, 50, 100);
        } else if (step.says("Let no job ask for more than")) {
            hidden.put("capShare", hidden.get("capShare").doubleValue() * step.letter(0) / 100);
            commands(hidden, 50, 100);
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }

    /** Until the meter shows it, as near as a hand turns; where the supply gives no more, it stands at its end. */
    private static void turnTo(ObjectNode hidden, double wantedMa) {
        double low = 0.01;
        double high = 1.5;
        for (int i = 0; i < 50; i++) {
            double middle = (low + high) / 2;
            hidden.put("control", middle);
            if (source(hidden).currentMa(100) > wantedMa) {
                high = middle;
            } else {
                low = middle;
            }
        }
        commands(hidden, 100);
    }

    private static ObjectNode curve(SplittableRandom random) {
        ObjectNode hidden = object();
        hidden.put("source", random.nextLong()).put("control", 1.0).put("seed", random.nextLong());
        commands(hidden, 0, 20, 40, 60, 80, 100);
        return hidden;
    }

    private static ObjectNode onPowerMeter(ObjectNode hidden) {
        SplittableRandom random = new SplittableRandom(hidden.get("seed").longValue());
        ObjectNode sheet = object();
        ArrayNode samples = sheet.putArray("samples");
        hidden.get("commands")
                .forEach(command -> samples.addObject()
                        .put("commandPct", command.doubleValue())
                        .put(
                                "powerW",
                                PretendSource.onMeterW(
                                        source(hidden).powerW(command.doubleValue(), 0, 0), 0.5, random)));
        return sheet;
    }

    private static Done followCurve(ObjectNode hidden, Step step, SplittableRandom random) {
        if (step.says("Measure at")) {
            andAt(hidden, step.letter(0));
            return Done.DID;
        }
        // how somebody commands a job is theirs: nothing of the machine changes by it
        return step.says("Command") || step.says("Keep the lowest power") ? Done.PERSON : Done.WHAT;
    }

    private static ObjectNode history(SplittableRandom random) {
        ObjectNode hidden = object();
        hidden.put("age", typed(random, 0, 0.02, 4)).put("dirt", typed(random, 0, 0.05, 3));
        hidden.put("scale", often(random, 15) ? 0.8 : 1).put("asked", often(random, 50));
        hidden.put("grid", often(random, 15)).put("seed", random.nextLong());
        double hours = 0;
        ArrayNode tests = hidden.putArray("tests");
        for (int i = 0; i < 8 + random.nextInt(12); i++) {
            tests.add(hours);
            hours += typed(random, 40, 120, 0);
        }
        ArrayNode cleaned = hidden.putArray("cleaned").add(0);
        if (often(random, 60)) {
            cleaned.add(tests.get(tests.size() / 2).doubleValue());
        }
        return hidden;
    }

    private static ObjectNode tests(ObjectNode hidden) {
        SplittableRandom random = new SplittableRandom(hidden.get("seed").longValue());
        ObjectNode sheet = object();
        ArrayNode history = sheet.putArray("history");
        ArrayNode cleaned = sheet.putArray("cleanedAtH");
        hidden.get("cleaned").forEach(cleaned::add);
        int last = hidden.get("tests").size() - 1;
        for (int i = 0; i <= last; i++) {
            double hours = hidden.get("tests").get(i).doubleValue();
            double since = 0;
            for (var each : hidden.get("cleaned")) {
                since = each.doubleValue() <= hours ? each.doubleValue() : since;
            }
            double value = 60
                    * Math.exp(-hidden.get("age").doubleValue() * hours / 100)
                    * Math.exp(-hidden.get("dirt").doubleValue() * (hours - since) / 100)
                    * (i * 2 > last ? hidden.get("scale").doubleValue() : 1);
            history.addObject().put("hours", hours).put("value", PretendSource.onMeterW(value, 0.5, random));
        }
        if (hidden.get("asked").booleanValue()) {
            sheet.put("scalesAgree", hidden.get("scale").doubleValue() == 1);
        }
        if (hidden.get("grid").booleanValue()) {
            sheet.put("measuredBy", "grid");
        }
        return sheet;
    }

    private static Done followHistory(ObjectNode hidden, Step step, SplittableRandom random) {
        if (step.says("Clean the optics")) {
            ArrayNode tests = (ArrayNode) hidden.get("tests");
            double at = tests.get(tests.size() - 1).doubleValue() + HOURS_TO_NEXT_TEST;
            tests.add(at);
            ((ArrayNode) hidden.get("cleaned")).add(at);
        } else if (step.says("Set the power scales right")) {
            hidden.put("scale", 1.0);
        } else {
            return step.says("Measure the power with a meter")
                            || step.says("Plan for another source")
                            || step.says("Replace the source")
                    ? Done.PERSON
                    : Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode pulses(SplittableRandom random) {
        return object().put("averagePowerW", typed(random, 5, 60, 1))
                .put("frequencyKHz", typed(random, 5, 200, 1))
                .put("speedMmS", typed(random, 100, 6_000, 0))
                .put("spotMm", typed(random, 0.02, 0.08, 3))
                .put("minFrequencyKHz", 20)
                .put("maxFrequencyKHz", 80)
                .put("maxPulseEnergyMj", typed(random, 0.3, 1.2, 2));
    }

    private static Done followPulses(ObjectNode sheet, Step step, SplittableRandom random) {
        String field = switch (step.instruction().target()) {
            case "power" -> "averagePowerW";
            case "frequency" -> "frequencyKHz";
            case "speed" -> "speedMmS";
            default -> "";
        };
        if (field.isEmpty()) {
            return Done.WHAT;
        }
        sheet.put(field, step.letter(0));
        return Done.DID;
    }
}
