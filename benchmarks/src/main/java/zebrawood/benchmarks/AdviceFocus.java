package zebrawood.benchmarks;

import static zebrawood.benchmarks.Advice.often;
import static zebrawood.benchmarks.Advice.typed;
import static zebrawood.benchmarks.AdvicePlace.object;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.SplittableRandom;
import zebrawood.benchmarks.Advice.Done;
import zebrawood.benchmarks.Advice.Step;
import zebrawood.benchmarks.Advice.Tried;
import zebrawood.core.pretend.PretendFocus;

/** Beams, columns, autofocuses and beds that nobody but these sheets knows, and hands that burn, sweep and try. */
final class AdviceFocus {

    static final List<Tried> ALL = List.of(
            new Tried("focus-ladder", AdviceFocus::ladder, AdviceFocus::followLadder, AdviceFocus::squares),
            new Tried("focus-sweep", AdviceFocus::column, AdviceFocus::followColumn, AdviceFocus::sweeps),
            new Tried("autofocus-check", AdviceFocus::autofocus, AdviceFocus::followAutofocus, AdviceFocus::tries),
            new Tried("bed-nine", AdviceFocus::bed, AdviceFocus::followBed, AdviceFocus::pieces));

    private AdviceFocus() {}

    private static SplittableRandom reading(ObjectNode hidden) {
        return new SplittableRandom(hidden.get("seed").longValue());
    }

    private static ObjectNode ladder(SplittableRandom random) {
        ObjectNode sheet = object();
        double best = typed(random, 5, 12, 1);
        sheet.put("bestMm", best).put("rayleighMm", typed(random, 1, 4, 1));
        sheet.put("noise", new double[] {0.005, 0.02, 0.05}[random.nextInt(3)]);
        ArrayNode gaps = sheet.putArray("gaps");
        double from = Math.max(0, best + typed(random, -9, 5, 1));
        for (int i = 0; i < 5; i++) {
            gaps.add(Math.rint((from + i) * 100) / 100);
        }
        sheet.put("seed", random.nextLong());
        return sheet;
    }

    private static ObjectNode squares(ObjectNode hidden) {
        SplittableRandom reading = reading(hidden);
        PretendFocus focus = new PretendFocus(
                hidden.get("bestMm").doubleValue(),
                0.2,
                hidden.get("rayleighMm").doubleValue(),
                0);
        ObjectNode sheet = object().put("better", "lower");
        ArrayNode steps = sheet.putArray("steps");
        hidden.get("gaps")
                .forEach(gap -> steps.addObject()
                        .put("gapMm", gap.doubleValue())
                        .put(
                                "score",
                                focus.readMm(
                                        gap.doubleValue(), hidden.get("noise").doubleValue(), reading)));
        return sheet;
    }

    private static Done followLadder(ObjectNode sheet, Step step, SplittableRandom random) {
        if (!step.says("Burn a ladder again")) {
            return Done.WHAT;
        }
        ArrayNode gaps = sheet.putArray("gaps");
        step.letters().forEach(gaps::add);
        sheet.put("noise", sheet.get("noise").doubleValue() * 0.8).put("seed", random.nextLong());
        return Done.DID;
    }

    private static ObjectNode column(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("bestMm", typed(random, 5, 9, 1)).put("playMm", often(random, 50) ? typed(random, 0, 1.2, 2) : 0);
        sheet.put("delayS", typed(random, 0, 0.3, 2))
                .put("scatterS", new double[] {0.01, 0.04, 0.1}[random.nextInt(3)]);
        sheet.put("known", often(random, 50)).put("exchanged", often(random, 10));
        sheet.put("depth", typed(random, 1, 3, 1)).put("up", often(random, 20));
        sheet.put("downs", random.nextInt(5)).put("ups", random.nextInt(5));
        sheet.put("downSpeed", typed(random, 0.5, 2, 1)).put("upSpeed", typed(random, 0.5, 2, 1));
        sheet.put("both", often(random, 50)).put("slow", false);
        if (sheet.get("downs").intValue() + sheet.get("ups").intValue() < 2) {
            sheet.put("downs", 2);
        }
        if (often(random, 60)) {
            sheet.put("upSpeed", sheet.get("downSpeed").doubleValue());
        }
        sheet.put("seed", random.nextLong());
        return sheet;
    }

    private static ObjectNode sweeps(ObjectNode hidden) {
        SplittableRandom reading = reading(hidden);
        ObjectNode sheet = object();
        ArrayNode sweeps = sheet.putArray("sweeps");
        for (int i = 0; i < hidden.get("downs").intValue(); i++) {
            sweep(hidden, sweeps, true, hidden.get("downSpeed").doubleValue(), reading);
            if (hidden.get("slow").booleanValue()) {
                sweep(hidden, sweeps, true, hidden.get("downSpeed").doubleValue() / 2, reading);
            }
        }
        for (int i = 0; i < hidden.get("ups").intValue(); i++) {
            sweep(hidden, sweeps, false, hidden.get("upSpeed").doubleValue(), reading);
            if (hidden.get("slow").booleanValue()) {
                sweep(hidden, sweeps, false, hidden.get("upSpeed").doubleValue() / 2, reading);
            }
        }
        sheet.put("depthOfFocusMm", hidden.get("depth").doubleValue());
        if (hidden.get("known").booleanValue()) {
            sheet.put("delayS", hidden.get("delayS").doubleValue());
        }
        if (hidden.get("up").booleanValue()) {
            sheet.put("approach", "up");
        }
        return sheet;
    }

    private static void sweep(
            ObjectNode hidden, ArrayNode sweeps, boolean down, double speed, SplittableRandom reading) {
        double best = hidden.get("bestMm").doubleValue();
        double play = hidden.get("playMm").doubleValue();
        double start = down ? best + 4 : best - 4;
        // the column lags by half its play: it has to be driven that much farther
        double drive = 4 + play / 2;
        double marked = drive / speed
                + hidden.get("delayS").doubleValue()
                + hidden.get("scatterS").doubleValue() * reading.nextGaussian();
        marked = Math.max(0.01, Math.min(marked, down ? start / speed : marked));
        boolean saidDown = down != hidden.get("exchanged").booleanValue();
        double said = saidDown == down ? start : down ? best - 4 : best + 4;
        sweeps.addObject()
                .put("direction", saidDown ? "down" : "up")
                .put("startGapMm", Math.max(0, said))
                .put("speedMmS", speed)
                .put("markedS", Math.min(marked, saidDown ? said / speed : marked));
    }

    private static Done followColumn(ObjectNode sheet, Step step, SplittableRandom random) {
        sheet.put("seed", random.nextLong());
        if (step.says("Sweep upwards too")) {
            add(sheet, sheet.get("exchanged").booleanValue() ? "downs" : "ups", 3);
        } else if (step.says("Sweep downwards too")) {
            add(sheet, sheet.get("exchanged").booleanValue() ? "ups" : "downs", 3);
        } else if (step.says("Sweep at each speed both ways")) {
            sheet.put("upSpeed", sheet.get("downSpeed").doubleValue());
        } else if (step.says("Sweep once more each way")) {
            add(sheet, "downs", 1);
            add(sheet, "ups", 1);
        } else if (step.says("Look at the directions")) {
            sheet.put("exchanged", false);
        } else if (step.says("Sweep again both ways at half the speed")) {
            sheet.put("slow", true);
        } else if (step.says("Sweep more often")) {
            add(sheet, "downs", 3);
            add(sheet, "ups", 3);
            if (step.says("more slowly")) {
                sheet.put("downSpeed", Math.max(0.05, sheet.get("downSpeed").doubleValue() / 2));
                sheet.put("upSpeed", Math.max(0.05, sheet.get("upSpeed").doubleValue() / 2));
            }
        } else if (step.says("Have the play of ")) {
            sheet.put("playMm", 0);
        } else if (!step.says("always come to it from ")) {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static void add(ObjectNode sheet, String what, int more) {
        sheet.put(what, sheet.get(what).intValue() + more);
    }

    private static ObjectNode autofocus(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("best", typed(random, 5, 12, 2)).put("depth", typed(random, 0.8, 3, 1));
        sheet.put("kind", new String[] {"pin", "probe", "sensor"}[random.nextInt(3)]);
        sheet.put("error", often(random, 70) ? 0 : typed(random, 0, 0.4, 2));
        sheet.put("shift", often(random, 50) ? typed(random, -2, 2, 2) : 0);
        sheet.put("scatter", new double[] {0.02, 0.1, 0.4}[random.nextInt(3)]);
        ArrayNode stocks = sheet.putArray("stocks");
        int many = 1 + random.nextInt(4);
        for (int i = 0; i < many; i++) {
            boolean through = often(random, 10);
            boolean uneven = often(random, 15);
            stocks.addObject()
                    .put("name", "stock " + i)
                    .put("surface", uneven ? "uneven" : through ? "clear" : "dark")
                    .put("thick", 3)
                    .put("offset", through ? -3 : typed(random, -0.2, 0.2, 2))
                    .put("tries", uneven ? 3 + random.nextInt(3) : 1 + random.nextInt(6))
                    .put("own", often(random, 10) ? 5 : 1);
        }
        sheet.put("seed", random.nextLong());
        return sheet;
    }

    private static ObjectNode tries(ObjectNode hidden) {
        SplittableRandom reading = reading(hidden);
        ObjectNode sheet = object();
        sheet.put("kind", hidden.get("kind").asText());
        ArrayNode stocks = sheet.putArray("stocks");
        hidden.get("stocks").forEach(each -> {
            ObjectNode stock = stocks.addObject();
            stock.put("name", each.get("name").asText())
                    .put("surface", each.get("surface").asText())
                    .put("thicknessMm", each.get("thick").doubleValue());
            ArrayNode gaps = stock.putArray("gapsMm");
            for (int i = 0; i < each.get("tries").intValue(); i++) {
                double gap = hidden.get("best").doubleValue()
                        + hidden.get("shift").doubleValue()
                        + each.get("offset").doubleValue()
                        + hidden.get("scatter").doubleValue() * each.get("own").doubleValue() * reading.nextGaussian();
                gaps.add(Math.max(0, Math.rint(gap * 100) / 100));
            }
        });
        sheet.put("referenceGapMm", hidden.get("best").doubleValue());
        sheet.put("referenceStdErrMm", hidden.get("error").doubleValue());
        sheet.put("depthOfFocusMm", hidden.get("depth").doubleValue());
        return sheet;
    }

    private static Done followAutofocus(ObjectNode sheet, Step step, SplittableRandom random) {
        ArrayNode stocks = (ArrayNode) sheet.get("stocks");
        sheet.put("seed", random.nextLong());
        if (step.says("several times on one even stock")) {
            ObjectNode first = (ObjectNode) stocks.get(0);
            first.put("surface", "light").put("tries", 5);
        } else if (step.says("times or more on each stock")) {
            stocks.forEach(stock -> ((ObjectNode) stock).put("tries", (int) step.letter(0)));
        } else if (step.says("Find the best gap more surely")) {
            sheet.put("error", sheet.get("error").doubleValue() / 3);
        } else if (step.says("Make the gap that it comes to")) {
            sheet.put(
                    "shift",
                    sheet.get("shift").doubleValue() + (step.says("larger") ? step.letter(0) : -step.letter(0)));
        } else if (step.says(" by gauge, not by the autofocus")) {
            for (int i = stocks.size() - 1; i >= 0; i--) {
                if (step.says(stocks.get(i).get("name").asText()) && stocks.size() > 1) {
                    stocks.remove(i);
                }
            }
        } else if (step.says("Focus by gauge")) {
            return Done.PERSON;
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }

    private static ObjectNode bed(SplittableRandom random) {
        ObjectNode sheet = object();
        sheet.put("slope", often(random, 40) ? typed(random, -3, 3, 1) : 0);
        sheet.put("odd", often(random, 20) ? random.nextInt(9) : -1);
        sheet.put("noise", typed(random, 0.1, 1, 1)).put("repeats", 1);
        sheet.put("seed", random.nextLong());
        return sheet;
    }

    private static ObjectNode pieces(ObjectNode hidden) {
        SplittableRandom reading = reading(hidden);
        ObjectNode sheet = object().put("quantity", "score");
        ArrayNode places = sheet.putArray("places");
        for (int i = 0; i < 9; i++) {
            ObjectNode place = places.addObject();
            place.put("name", "place " + i).put("xMm", i % 3 * 300.0).put("yMm", Math.floor(i / 3.0) * 200);
            ArrayNode values = place.putArray("values");
            for (int r = 0; r < hidden.get("repeats").intValue(); r++) {
                double value = 6
                        + hidden.get("slope").doubleValue() * (i % 3 - 1) / 2
                        - (hidden.get("odd").intValue() == i ? 3 : 0)
                        + hidden.get("noise").doubleValue() * reading.nextGaussian();
                values.add(Math.max(0, Math.min(10, Math.rint(value * 10) / 10)));
            }
        }
        return sheet;
    }

    private static Done followBed(ObjectNode sheet, Step step, SplittableRandom random) {
        sheet.put("seed", random.nextLong());
        if (step.says("Burn each place again")) {
            sheet.put("repeats", Math.max(sheet.get("repeats").intValue() + 1, (int) step.letter(0)));
        } else if (step.says("Read the bed level next") || step.says("Level the bed")) {
            sheet.put("slope", 0);
        } else if (step.says("Clean and look at ")) {
            sheet.put("odd", -1);
        } else if (step.says("not steady")) {
            return Done.PERSON;
        } else {
            return Done.WHAT;
        }
        return Done.DID;
    }
}
