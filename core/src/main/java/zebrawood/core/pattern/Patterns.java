package zebrawood.core.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;
import zebrawood.core.pattern.Pattern.Label;
import zebrawood.core.pattern.Pattern.Line;
import zebrawood.core.pattern.Pattern.Part;
import zebrawood.core.reading.Checks;
import zebrawood.core.units.Amount;
import zebrawood.core.units.UnitChoice;

/** The marks by which focus and evenness are found. */
public final class Patterns {

    /** between squares of a ladder, share of a square */
    private static final double BETWEEN = 0.5;
    /** each step of a gauge */
    private static final double STEP_WIDE_MM = 20;

    /** a printed rule */
    private static final double SCALE_TALL_MM = 20;
    /** steps of gap on it, the finest first */
    private static final List<Double> GAP_STEPS_MM = List.of(0.05, 0.1, 0.2, 0.5, 1.0, 2.0, 5.0, 10.0);
    /** marks with numbers stand no closer */
    private static final double LEAST_BETWEEN_MM = 8;

    private Patterns() {}

    /**
     * One straight line up a ramp.
     *
     * @param runMm how long, above 0
     */
    public static Pattern ramp(double runMm) {
        new Checks().above("runMm", runMm, 0).done();
        return new Pattern("Ramp line", runMm, 10, List.of(new Part("line", "", List.of(new Line(0, 5, runMm, 5)))));
    }

    /**
     * A rule to print and to lay along the line of a ramp: on its upper edge the gap over each place, on its lower edge
     * the place itself, both in mm.
     *
     * @param gapAtStartMm 0 or more
     * @param runMm horizontal length of the ramp, above 0
     * @param riseMm how far it rises over the run; negative: it falls; not 0
     */
    public static Pattern rampScale(double gapAtStartMm, double runMm, double riseMm) {
        new Checks()
                .atLeast("gapAtStartMm", gapAtStartMm, 0)
                .above("runMm", runMm, 0)
                .finite("riseMm", riseMm)
                .that(riseMm != 0, "riseMm", "a plate without rise shows no focus; raise one end of it")
                .done();
        double length = Math.hypot(runMm, riseMm);
        double perMm = length / Math.abs(riseMm);
        List<Line> lines = new ArrayList<>(List.of(
                new Line(0, 0, length, 0),
                new Line(length, 0, length, SCALE_TALL_MM),
                new Line(length, SCALE_TALL_MM, 0, SCALE_TALL_MM),
                new Line(0, SCALE_TALL_MM, 0, 0)));
        List<Label> labels = new ArrayList<>();
        double gapStep = GAP_STEPS_MM.stream()
                .filter(step -> step * perMm >= LEAST_BETWEEN_MM)
                .findFirst()
                .orElse(GAP_STEPS_MM.get(GAP_STEPS_MM.size() - 1));
        double least = Math.min(gapAtStartMm, gapAtStartMm - riseMm);
        double most = Math.max(gapAtStartMm, gapAtStartMm - riseMm);
        for (long i = (long) Math.ceil(least / gapStep - 1e-9); i * gapStep <= most + 1e-9; i++) {
            double at = Math.abs(gapAtStartMm - i * gapStep) * perMm;
            lines.add(new Line(at, SCALE_TALL_MM, at, SCALE_TALL_MM - 4));
            label(labels, Amount.mm(i * gapStep, gapStep < 0.1 ? 2 : 1).number(UnitChoice.METRIC), at, 13.4, length);
        }
        double placeStep = length >= 40 ? 10 : 2;
        for (int i = 0; i * placeStep <= length; i++) {
            lines.add(new Line(i * placeStep, 0, i * placeStep, 4));
            label(labels, Amount.mm(i * placeStep, 0).number(UnitChoice.METRIC), i * placeStep, 4.8, length);
        }
        labels.add(new Label(
                String.format(
                        Locale.ROOT,
                        "above: gap, mm; below: place from the start, mm; for %.1f mm of rise on %.1f mm, %.2f degrees",
                        riseMm,
                        runMm,
                        Math.toDegrees(Math.atan2(riseMm, runMm))),
                length / 2,
                9.2,
                Math.min(1.8, length / 60)));
        return new Pattern("Scale of a ramp", length, SCALE_TALL_MM, List.of(new Part("scale", "", lines)), labels);
    }

    /** A number that would be cut off at an end of the rule is left out; its mark is not. */
    private static void label(List<Label> labels, String words, double at, double foot, double length) {
        if (at >= 2.5 && at <= length - 2.5) {
            labels.add(new Label(words, at, foot, 2));
        }
    }

    /**
     * Filled squares beside each other, each burned at another gap.
     *
     * @param gapsMm at least one, in the order in which they are burned
     * @param sideMm of a square, above 0
     * @param intervalMm of its lines, above 0 and no more than the side
     */
    public static Pattern ladder(List<Double> gapsMm, double sideMm, double intervalMm) {
        return squares("Ladder", "gapsMm", gapsMm, sideMm, intervalMm, gap -> {
            String words = Amount.mm(gap, 2).text(UnitChoice.METRIC);
            return new Part("gap " + words, "Set the gap to " + words + ", from the same side each time", List.of());
        });
    }

    /**
     * Filled squares beside each other, each burned with more power: what a source still marks shows how strong it is.
     *
     * @param commandsPct at least one, 0 to 100, in the order in which they are burned
     * @param sideMm of a square, above 0
     * @param intervalMm of its lines, above 0 and no more than the side
     */
    public static Pattern cells(List<Double> commandsPct, double sideMm, double intervalMm) {
        return squares("Cells", "commandsPct", commandsPct, sideMm, intervalMm, command -> {
            String words = Amount.percent(command, 0).text(UnitChoice.METRIC);
            return new Part("power " + words, "Set the power to " + words, List.of());
        });
    }

    /** Filled squares beside each other; each is told by what it is burned with. */
    private static Pattern squares(
            String name,
            String field,
            List<Double> burnedWith,
            double sideMm,
            double intervalMm,
            DoubleFunction<Part> told) {
        new Checks()
                .entries(field, burnedWith, 1)
                .above("sideMm", sideMm, 0)
                .above("intervalMm", intervalMm, 0)
                .tie(() -> intervalMm <= sideMm, "intervalMm", "lines lie farther apart than the square is wide")
                .done();
        List<Part> parts = new ArrayList<>();
        double pitch = sideMm * (1 + BETWEEN);
        for (int i = 0; i < burnedWith.size(); i++) {
            Part part = told.apply(burnedWith.get(i));
            parts.add(new Part(part.name(), part.before(), filled(i * pitch, 0, sideMm, intervalMm)));
        }
        return new Pattern(name, (burnedWith.size() - 1) * pitch + sideMm, sideMm, parts);
    }

    /**
     * A strip to be engraved with each lens and scored: squares whose lines lie as close as wanted, half as far again
     * and twice as far, and single lines beside them.
     *
     * @param sideMm of a square, above 0
     * @param intervalMm of the closest lines, above 0 and no more than half of the side
     */
    public static Pattern strip(double sideMm, double intervalMm) {
        new Checks()
                .above("sideMm", sideMm, 0)
                .above("intervalMm", intervalMm, 0)
                .tie(() -> 2 * intervalMm <= sideMm, "intervalMm", "lines lie too far apart for this square")
                .done();
        List<Part> parts = new ArrayList<>();
        double pitch = sideMm * (1 + BETWEEN);
        double[] wider = {1, 1.5, 2};
        for (int i = 0; i < wider.length; i++) {
            double interval = wider[i] * intervalMm;
            parts.add(new Part(
                    "lines every " + Amount.mm(interval, 3).text(UnitChoice.METRIC),
                    "",
                    filled(i * pitch, 0, sideMm, interval)));
        }
        List<Line> single = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            double x = wider.length * pitch + i * sideMm / 4;
            single.add(new Line(x, 0, x, sideMm));
        }
        parts.add(new Part("single lines", "", single));
        return new Pattern("Strip", wider.length * pitch + sideMm, sideMm, parts);
    }

    /**
     * A small square at nine places of a bed, all alike.
     *
     * @param bedXMm how wide the bed is
     * @param bedYMm how deep
     * @param insetMm from its edge to the middle of the outer pieces; a piece stays on the bed
     * @param sideMm of a piece, above 0
     */
    public static Pattern nine(double bedXMm, double bedYMm, double insetMm, double sideMm) {
        new Checks()
                .above("sideMm", sideMm, 0)
                .above("bedXMm", bedXMm, 0)
                .above("bedYMm", bedYMm, 0)
                .tie(
                        () -> insetMm >= sideMm / 2 && 2 * insetMm < Math.min(bedXMm, bedYMm),
                        "insetMm",
                        "pieces would lie beside the bed, or on each other")
                .done();
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double x = insetMm + i % 3 * (bedXMm - 2 * insetMm) / 2 - sideMm / 2;
            double y = insetMm + Math.floor(i / 3.0) * (bedYMm - 2 * insetMm) / 2 - sideMm / 2;
            parts.add(new Part(
                    "piece " + (i + 1),
                    "",
                    List.of(
                            new Line(x, y, x + sideMm, y),
                            new Line(x + sideMm, y, x + sideMm, y + sideMm),
                            new Line(x + sideMm, y + sideMm, x, y + sideMm),
                            new Line(x, y + sideMm, x, y))));
        }
        return new Pattern("Nine places", bedXMm, bedYMm, parts);
    }

    /**
     * A stepped gauge to cut out of sheet and to stand under the head: its middle step is the best gap, the others are
     * a little less and a little more.
     *
     * @param gapMm the best gap, above twice the step
     * @param stepMm from one step to the next, above 0
     * @param lens whose gap it is; empty to write it on by hand
     */
    public static Pattern gauge(double gapMm, double stepMm, String lens) {
        new Checks()
                .above("gapMm", gapMm, 0)
                .above("stepMm", stepMm, 0)
                .tie(() -> 2 * stepMm < gapMm, "stepMm", "the steps are too high for this gap")
                .done();
        List<Line> outline = new ArrayList<>();
        List<Label> labels = new ArrayList<>();
        double[] heights = {gapMm - stepMm, gapMm, gapMm + stepMm};
        double tall = Math.min(3, gapMm / 4);
        double y = 0;
        for (int i = 0; i < heights.length; i++) {
            double left = i * STEP_WIDE_MM;
            outline.add(new Line(left, y, left, heights[i]));
            outline.add(new Line(left, heights[i], left + STEP_WIDE_MM, heights[i]));
            y = heights[i];
            labels.add(new Label(
                    Amount.mm(heights[i], 2).text(UnitChoice.METRIC),
                    left + STEP_WIDE_MM / 2,
                    Math.max(0.4, heights[i] - 1.6 * tall),
                    tall));
        }
        double wide = heights.length * STEP_WIDE_MM;
        outline.add(new Line(wide, y, wide, 0));
        outline.add(new Line(wide, 0, 0, 0));
        labels.add(new Label(lens.isBlank() ? "lens:" : lens, wide / 2, 0.3, tall / 1.5));
        return new Pattern("Gauge", wide, gapMm + stepMm, List.of(new Part("outline", "", outline)), labels);
    }

    /** Lines to and fro, from one side of a square to the other. */
    private static List<Line> filled(double x, double y, double side, double interval) {
        List<Line> lines = new ArrayList<>();
        int many = (int) Math.floor(side / interval + 1e-9);
        for (int i = 0; i <= many; i++) {
            double at = y + i * interval;
            lines.add(i % 2 == 0 ? new Line(x, at, x + side, at) : new Line(x + side, at, x, at));
        }
        return lines;
    }
}
