package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;
import zebrawood.core.site.HumidAir;

/** Rooms, ways in, circuits and ducts, and hands that do what is said about them. */
final class AdvicePlace {

    static final List<Tried> ALL = List.of(
            new Tried("inventory", AdvicePlace::list, AdvicePlace::followList),
            new Tried("startup-order", AdvicePlace::order, AdvicePlace::followOrder),
            new Tried("site-climate", AdvicePlace::room, AdvicePlace::followRoom),
            new Tried("site-access", AdvicePlace::way, AdvicePlace::followWay, AdvicePlace::measuredWay),
            new Tried("site-circuit", AdvicePlace::circuit, AdvicePlace::followCircuit),
            new Tried("exhaust-duct", AdvicePlace::duct, AdvicePlace::followDuct));

    private static final Pattern ROOM =
            Pattern.compile("(?i)(?:(warm|cool) the room to|(dry|moisten) the air to) \\{(\\d)\\}");
    private static final Pattern NAMED = Pattern.compile("\\b([a-z]+ \\d+)\\b");

    private AdvicePlace() {}

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    /** A few lines, some of them not right, and a fibre here and there. */
    private static ObjectNode list(SplittableRandom random) {
        ObjectNode sheet = object();
        ArrayNode parts = sheet.putArray("parts");
        int many = 1 + random.nextInt(6);
        for (int i = 0; i < many; i++) {
            parts.addObject()
                    .put("group", "Came along")
                    .put("name", "part {" + i + "}")
                    .put("sort", random.nextBoolean() ? "part" : "check")
                    .put(
                            "state",
                            List.of("present", "missing", "damaged", "none").get(random.nextInt(4)));
        }
        sheet.putArray("tray");
        if (often(random, 50)) {
            ObjectNode fibre = sheet.putObject("fibre");
            fibre.put("tightestRadiusMm", typed(random, 20, 320, 1));
            if (often(random, 50)) {
                fibre.put("leastRadiusMm", typed(random, 20, 320, 2));
            }
        }
        return sheet;
    }

    private static Done followList(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Lay the fibre in wider bends")) {
            ((ObjectNode) sheet.get("fibre")).put("tightestRadiusMm", step.letter(0));
            return Done.DID;
        } else if (step.says("Ask the maker how tight")) {
            ((ObjectNode) sheet.get("fibre")).put("leastRadiusMm", typed(random, 20, 320, 2));
            return Done.DID;
        }
        for (JsonNode part : sheet.get("parts")) {
            if (step.instruction().target().equals(part.get("name").textValue())) {
                ((ObjectNode) part).put("state", "present");
                return Done.DID;
            }
        }
        return Done.WHAT;
    }

    /** Ways of which a step here and there does not say what is seen. */
    private static ObjectNode order(SplittableRandom random) {
        ObjectNode sheet = object();
        for (String way : List.of("up", "down", "afterCut")) {
            ArrayNode steps = sheet.putArray(way);
            int many = way.equals("up") ? 1 + random.nextInt(5) : random.nextInt(4);
            for (int i = 0; i < many; i++) {
                ObjectNode step = steps.addObject().put("what", "step {" + i + "}");
                if (often(random, 60)) {
                    step.put("seen", "a lamp");
                }
            }
        }
        return sheet;
    }

    private static Done followOrder(ObjectNode sheet, Step step, SplittableRandom random) {
        Matcher target =
                Pattern.compile("([a-zA-Z]+)(\\d+)").matcher(step.instruction().target());
        if (!target.matches() || !step.words().toLowerCase(Locale.ROOT).contains("write")) {
            return Done.WHAT;
        }
        ArrayNode steps = (ArrayNode) sheet.get(target.group(1));
        int number = Integer.parseInt(target.group(2));
        if (number == 0) {
            steps.addObject().put("what", "look").put("seen", "nothing glows");
        } else {
            ((ObjectNode) steps.get(number - 1)).put("seen", "a lamp");
        }
        return Done.DID;
    }

    /** What an amount of a room does to its air: its water stays in it while it is warmed or cooled. */
    static Done followAir(ObjectNode sheet, Step step) {
        Matcher says = ROOM.matcher(step.words());
        boolean found = false;
        while (says.find()) {
            found = true;
            double letter = step.letter(Integer.parseInt(says.group(3)));
            double celsius = sheet.get("airTemperatureC").doubleValue();
            double humidity = sheet.get("relativeHumidityPct").doubleValue();
            if (says.group(1) != null) {
                double then = 100 * HumidAir.vapourHPa(celsius, humidity) / HumidAir.saturationHPa(letter);
                sheet.put("airTemperatureC", letter);
                // what is too much falls out as water
                sheet.put("relativeHumidityPct", Math.min(100, then));
            } else if (letter <= 0) {
                return Done.PERSON;
            } else {
                sheet.put("relativeHumidityPct", letter);
            }
        }
        return found ? Done.DID : Done.WHAT;
    }

    private static ObjectNode room(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("airTemperatureC", typed(random, -5, 42, 1));
        sheet.put("relativeHumidityPct", typed(random, 5, 99, 0));
        ObjectNode limits = sheet.putObject("limits");
        double coldest = typed(random, 5, 20, 0);
        double driest = typed(random, 0, 35, 0);
        limits.put("minTemperatureC", coldest);
        limits.put("maxTemperatureC", coldest + typed(random, 4, 20, 0));
        limits.put("minHumidityPct", driest);
        limits.put("maxHumidityPct", driest + typed(random, 15, 60, 0));
        return sheet;
    }

    private static Done followRoom(ObjectNode sheet, Step step, SplittableRandom random) {
        return followAir(sheet, step);
    }

    private static ObjectNode way(SplittableRandom random) {
        ObjectNode sheet = object();
        ObjectNode machine = sheet.putObject("machine");
        machine.put("widthMm", typed(random, 500, 2000, 0));
        machine.put("depthMm", typed(random, 400, 1800, 0));
        machine.put("heightMm", typed(random, 600, 1900, 0));
        machine.put("massKg", typed(random, 30, 1200, 0));
        openings(sheet.putArray("openings"), random);
        corners(sheet.putArray("corners"), random);
        ArrayNode walls = sheet.putArray("walls");
        for (String side : new String[] {"rear", "left", "right"}) {
            if (often(random, 60)) {
                walls.addObject()
                        .put("side", side)
                        .put("availableMm", typed(random, 0, 900, 1))
                        .put("neededMm", typed(random, 0, 600, 0));
            }
        }
        if (often(random, 40)) {
            sheet.put("floorRatingKPa", typed(random, 0.5, 8, 1));
        }
        if (often(random, 40)) {
            ObjectNode other = sheet.putObject("other");
            other.put("name", "by the yard");
            openings(other.putArray("openings"), random);
            corners(other.putArray("corners"), random);
        }
        return sheet;
    }

    private static ObjectNode measuredWay(ObjectNode sheet) {
        ObjectNode read = sheet.deepCopy();
        read.remove("went");
        return read;
    }

    private static void openings(ArrayNode openings, SplittableRandom random) {
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            ObjectNode opening = openings.addObject();
            double wide = typed(random, 600, 2600, 0);
            opening.put("name", "door " + i).put("widthMm", wide).put("heightMm", typed(random, 1500, 2600, 0));
            if (often(random, 50)) {
                opening.put("leafOffMm", wide + typed(random, 20, 90, 0));
            }
        }
    }

    private static void corners(ArrayNode corners, SplittableRandom random) {
        for (int i = 0; i < random.nextInt(2); i++) {
            corners.addObject()
                    .put("name", "corner " + i)
                    .put("approachWidthMm", typed(random, 900, 2600, 0))
                    .put("exitWidthMm", typed(random, 900, 2600, 0));
        }
    }

    private static Done followWay(ObjectNode sheet, Step step, SplittableRandom random) {
        // another way was taken, and with it the tight places are behind one
        boolean gone = !sheet.has("other") && sheet.path("went").booleanValue();
        if (gone && !step.says("Move it ") && !step.says("Ask whoever")) {
            return Done.DID;
        } else if (step.says("Take the door off its hinges at ")) {
            ObjectNode door = named(sheet.get("openings"), "name", step.words());
            door.set("widthMm", door.get("leafOffMm"));
            return Done.DID;
        } else if (step.says("Go by ")) {
            sheet.set("openings", sheet.get("other").get("openings"));
            sheet.set("corners", sheet.get("other").get("corners"));
            sheet.remove("other");
            sheet.put("went", true);
            return Done.DID;
        } else if (step.says("Move it ")) {
            String side = step.words().replaceAll(".*at its ([a-z]+)\\.", "$1");
            ObjectNode wall = named(sheet.get("walls"), "side", side);
            wall.put("availableMm", wall.get("availableMm").doubleValue() + step.letter(0));
            String opposite = side.equals("left") ? "right" : side.equals("right") ? "left" : "";
            for (JsonNode other : sheet.get("walls")) {
                if (other.get("side").asText().equals(opposite)) {
                    double left = other.get("availableMm").doubleValue() - step.letter(0);
                    ((ObjectNode) other).put("availableMm", Math.max(0, left));
                }
            }
            return step.all().contains("not enough for that") ? Done.PERSON : Done.DID;
        }
        return step.says("Ask whoever") || step.says(" is too tight") ? Done.PERSON : Done.WHAT;
    }

    /** The one of a list that a sentence names. */
    private static ObjectNode named(JsonNode list, String field, String words) {
        for (JsonNode each : list) {
            if (words.contains(each.get(field).asText())) {
                return (ObjectNode) each;
            }
        }
        throw new IllegalStateException(words);
    }

    private static ObjectNode circuit(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("supplyV", often(random, 70) ? 230 : 120);
        sheet.put("supplyHz", often(random, 80) ? 50 : 60);
        sheet.put("circuitA", new double[] {10, 13, 16, 20}[random.nextInt(4)]);
        ArrayNode loads = sheet.putArray("loads");
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            ObjectNode load = loads.addObject();
            load.put("name", "load " + i).put("ratedW", typed(random, 40, 1600, 0));
            load.put("powerFactor", typed(random, 0.6, 1, 2)).put("continuous", often(random, 60));
            load.put("partOfMachine", i == 0);
            if (often(random, 30)) {
                load.put("ratedV", often(random, 80) ? 230 : 120);
            }
            if (often(random, 20)) {
                load.put("ratedHz", often(random, 70) ? 50 : 60);
            }
        }
        if (often(random, 60)) {
            sheet.putObject("cable")
                    .put("lengthM", typed(random, 2, 45, 0))
                    .put("sectionMm2", new double[] {1, 1.5, 2.5, 4}[random.nextInt(4)]);
        }
        sheet.put("inletSound", often(random, 95));
        sheet.put("receptacleSound", often(random, 95));
        return sheet;
    }

    private static Done followCircuit(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Do not plug in ") || step.says("Move ")) {
            Matcher names = NAMED.matcher(step.words());
            ArrayNode loads = (ArrayNode) sheet.get("loads");
            while (names.find()) {
                for (int i = loads.size() - 1; i >= 0; i--) {
                    if (loads.get(i).get("name").asText().equals(names.group(1))) {
                        loads.remove(i);
                    }
                }
            }
            return loads.isEmpty() ? Done.PERSON : Done.DID;
        } else if (step.says("have a licensed electrician replace")) {
            sheet.put("inletSound", true);
            sheet.put("receptacleSound", true);
            return Done.DID;
        } else if (step.says("Then type the loads again")) {
            return Done.DID;
        }
        return step.says("electrician") ? Done.PERSON : Done.WHAT;
    }

    private static ObjectNode duct(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("requiredFlowM3h", typed(random, 100, 500, 0));
        ArrayNode segments = sheet.putArray("segments");
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            ObjectNode segment = segments.addObject();
            segment.put("name", "duct " + i)
                    .put("diameterMm", new double[] {80, 100, 125, 150, 160, 200}[random.nextInt(6)])
                    .put("lengthM", typed(random, 0.5, 9, 1));
            if (often(random, 40)) {
                segment.put("frictionMultiplier", typed(random, 1.1, 3, 1));
            }
        }
        ArrayNode fittings = sheet.putArray("fittings");
        for (int i = 0; i < random.nextInt(4); i++) {
            fittings.addObject()
                    .put("name", "bend " + i)
                    .put("diameterMm", new double[] {100, 125, 150}[random.nextInt(3)])
                    .put("lossCoefficient", typed(random, 0.2, 1.2, 2));
        }
        ArrayNode filters = sheet.putArray("filters");
        if (often(random, 60)) {
            filters.addObject()
                    .put("name", "filter 0")
                    .put("ratedFlowM3h", typed(random, 200, 600, 0))
                    .put("ratedDropPa", typed(random, 40, 250, 0));
        }
        ArrayNode fan = sheet.putArray("fanCurve");
        double pressure = typed(random, 300, 1600, 0);
        double flow = typed(random, 250, 900, 0);
        for (int i = 0; i <= 3; i++) {
            double share = i / 3.0;
            fan.addObject()
                    .put("flowM3h", Math.rint(flow * share))
                    .put("pressurePa", Math.rint(pressure * (1 - share * share)));
        }
        sheet.put("fanAtDischargeEnd", often(random, 85));
        sheet.put("startSignal", often(random, 90));
        return sheet;
    }

    private static Done followDuct(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("Put the fan at the outlet")) {
            sheet.put("fanAtDischargeEnd", true);
        } else if (step.says("start signal mended")) {
            sheet.put("startSignal", true);
        } else if (step.words().startsWith("Make ")) {
            named(sheet.get("segments"), "name", step.words()).put("diameterMm", step.letter(0));
        } else if (step.words().startsWith("Pull ")) {
            named(sheet.get("segments"), "name", step.words()).put("frictionMultiplier", 1);
        } else if (step.words().startsWith("Clean ")) {
            ObjectNode filter = named(sheet.get("filters"), "name", step.words());
            filter.put("ratedDropPa", filter.get("ratedDropPa").doubleValue() / 2);
        } else {
            return step.says("Ask ") ? Done.PERSON : Done.WHAT;
        }
        return Done.DID;
    }
}
