package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;
import static zebrawood.benchmarks.AdvicePlace.object;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;

/** Controllers and beams, and hands that do what is said about them. */
final class AdviceBeam {

    static final List<Tried> ALL = List.of(
            new Tried("controller-settings", AdviceBeam::settings, AdviceBeam::followSettings),
            new Tried("focus-ramp", AdviceBeam::ramp, AdviceBeam::followRamp, AdviceBeam::line));

    private static final Pattern LINE = Pattern.compile("\\$(\\d+)=(-?\\d+(?:\\.\\d+)?)");
    private static final double RUN_MM = 180;

    private AdviceBeam() {}

    private static ObjectNode settings(SplittableRandom random) {
        boolean switches = often(random, 70);
        StringBuilder text = new StringBuilder();
        int[] truths = {20, 21, 22, 32};
        for (int truth : truths) {
            text.append('$').append(truth).append('=').append(random.nextInt(2)).append('\n');
        }
        text.append("$23=").append(random.nextInt(8)).append('\n');
        text.append("$30=")
                .append(often(random, 5) ? 0 : new int[] {255, 1000, 1200}[random.nextInt(3)])
                .append('\n');
        text.append("$31=").append(random.nextInt(2) * 10).append('\n');
        for (int n : new int[] {100, 101, 110, 111, 120, 121, 130, 131}) {
            text.append('$')
                    .append(n)
                    .append('=')
                    .append(typed(random, 80, 30000, 0))
                    .append('\n');
        }
        if (often(random, 5)) {
            text.setLength(text.length() - 30);
        }
        ObjectNode sheet = object();
        sheet.put("settingsText", text.toString());
        ObjectNode need = sheet.putObject("need");
        need.put("tool", often(random, 90) ? "laser" : "spindle").put("limitSwitches", switches);
        need.putObject("travelMm").put("x", typed(random, 200, 1200, 0)).put("y", typed(random, 200, 900, 1));
        need.put("travelToleranceMm", typed(random, 0.1, 2, 1));
        if (switches) {
            need.put("homeCorner", new String[] {"front-left", "rear-right", "rear-left"}[random.nextInt(3)]);
        }
        if (often(random, 70)) {
            need.put("senderMaxS", typed(random, 100, 1500, often(random, 20) ? 1 : 0));
        }
        if (often(random, 50)) {
            need.put("maxS", typed(random, 100, 1500, 0));
        }
        need.put("maxRateMmMin", typed(random, 2000, 30000, 0));
        need.put("accelerationMmS2", typed(random, 200, 5000, 0));
        if (often(random, 40)) {
            ObjectNode cap = sheet.putObject("cap").put("s", typed(random, 50, 1500, 0));
            if (often(random, 70)) {
                cap.put("ofMaxS", typed(random, 200, 1500, 0));
            }
        }
        return sheet;
    }

    private static Done followSettings(ObjectNode sheet, Step step, SplittableRandom random) {
        if (step.says("on the controller: ")) {
            String text = sheet.get("settingsText").asText();
            Matcher changes = LINE.matcher(step.words());
            while (changes.find()) {
                text = text.replaceAll(
                        "\\$" + changes.group(1) + "=[^\\n]*", Matcher.quoteReplacement(changes.group()));
            }
            sheet.put("settingsText", text);
        } else if (step.says("In the job software set full power to S ")) {
            ((ObjectNode) sheet.get("need")).put("senderMaxS", step.letter(0));
        } else if (step.says("Find out setting") || step.says("Ask for the settings again")) {
            return Done.PERSON;
        } else if (!step.says("First cap the current")
                && !step.says("Move the head by hand")
                && !step.says("Keep a hand on the stop")) {
            return Done.WHAT;
        }
        return Done.DID;
    }

    /** A beam, and how somebody goes about to find its waist. */
    private static ObjectNode ramp(SplittableRandom random) {
        double best = typed(random, 6, 9, 2);
        ObjectNode sheet = object();
        sheet.put("bestMm", best);
        sheet.put("waistMm", typed(random, 0.12, 0.3, 3));
        sheet.put("rayleighMm", typed(random, 1.5, 4, 2));
        sheet.put("startMm", typed(random, best - 2, best + 9, 1));
        sheet.put("riseMm", typed(random, 1, 10, 1));
        sheet.put("places", often(random, 50) ? 9 : 5);
        sheet.put("errorMm", new double[] {0.05, 0.02, 0.005}[random.nextInt(3)]);
        sheet.put("seed", random.nextLong());
        sheet.put("quick", often(random, 25));
        if (often(random, 20)) {
            sheet.put("fixedMm", typed(random, 5, 10, 1));
        }
        if (often(random, 40)) {
            sheet.put("lastMm", Math.max(1, best + typed(random, -6, 6, 1)));
        }
        clear(sheet);
        return sheet;
    }

    /** The head must clear the raised end. */
    private static void clear(ObjectNode sheet) {
        double start = sheet.get("startMm").doubleValue();
        sheet.put("riseMm", Math.min(sheet.get("riseMm").doubleValue(), start));
    }

    /** What is read of it. */
    private static ObjectNode line(ObjectNode beam) {
        double start = beam.get("startMm").doubleValue();
        double rise = beam.get("riseMm").doubleValue();
        double best = beam.get("bestMm").doubleValue();
        ObjectNode sheet = object();
        sheet.put("wavelengthNm", 10600)
                .put("gapAtStartMm", start)
                .put("runMm", RUN_MM)
                .put("riseMm", rise);
        if (beam.has("lastMm")) {
            sheet.put("lastBestGapMm", beam.get("lastMm").doubleValue());
            sheet.put("lastDepthMm", 0.92 * beam.get("rayleighMm").doubleValue());
        }
        if (beam.has("fixedMm")) {
            sheet.putObject("setting")
                    .put("moves", "lens ring")
                    .put("fixedGapMm", beam.get("fixedMm").doubleValue());
        }
        if (beam.get("quick").booleanValue()) {
            double at = Math.max(0, Math.min(RUN_MM, (start - best) / rise * RUN_MM));
            sheet.put("thinnestPositionMm", Math.rint(at));
            return sheet;
        }
        SplittableRandom reading = new SplittableRandom(beam.get("seed").longValue());
        ArrayNode marks = sheet.putArray("marks");
        int places = beam.get("places").intValue();
        double error = beam.get("errorMm").doubleValue();
        for (int i = 0; i < places; i++) {
            double at = RUN_MM * i / (places - 1);
            double off =
                    (start - at * rise / RUN_MM - best) / beam.get("rayleighMm").doubleValue();
            double width = beam.get("waistMm").doubleValue() * Math.hypot(1, off) + error * reading.nextGaussian();
            marks.addObject().put("positionMm", at).put("widthMm", Math.max(0.02, width));
        }
        sheet.put("widthErrorMm", error);
        return sheet;
    }

    private static Done followRamp(ObjectNode beam, Step step, SplittableRandom random) {
        double start = beam.get("startMm").doubleValue();
        double rise = beam.get("riseMm").doubleValue();
        beam.put("seed", random.nextLong());
        if (step.says("Turn the lens in its ring")) {
            // the focus goes along with the lens, and the plate is laid about it anew
            double by = step.letter(0) * (step.says("nearer to the work") ? 1 : -1);
            beam.put("bestMm", Math.max(1, beam.get("bestMm").doubleValue() + by));
            beam.put("startMm", beam.get("bestMm").doubleValue() + rise / 2);
            beam.put("quick", false);
        } else if (step.says("thinnest at the end of the plate")) {
            double by = rise / 2 + 1.5 * random.nextDouble();
            beam.put("startMm", Math.max(rise, start + (step.says("with more gap") ? by : -by)));
        } else if (step.says("with more gap")) {

            beam.put("startMm", start + Math.max(1, rise / 2));
        } else if (step.says("with less gap")) {
            beam.put("startMm", Math.max(1, start - Math.max(1, rise / 2)));
        } else if (step.says("on a steeper plate")) {
            beam.put("startMm", start + 2);
            beam.put("riseMm", rise + 4);
        } else if (step.says("Read more widths")) {
            beam.put("places", Math.min(33, 2 * beam.get("places").intValue() - 1));
            beam.put("errorMm", Math.max(0.005, beam.get("errorMm").doubleValue() / 2));
        } else if (step.says("Burn a second line")) {
            // what the first one found is the last time of the second
            beam.put("quick", false);
            beam.put("lastMm", beam.get("bestMm").doubleValue());
        } else if (!step.says("again") && !step.says("Set the gap") && !step.says("look at the lens")) {
            return Done.WHAT;
        }
        clear(beam);
        return Done.DID;
    }
}
