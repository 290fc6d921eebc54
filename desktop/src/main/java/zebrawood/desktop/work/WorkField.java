package zebrawood.desktop.work;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import zebrawood.core.entry.Body;
import zebrawood.core.machine.Family;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.core.work.WorkResult;
import zebrawood.kit.form.Draft;

/**
 * A field of a work result.
 *
 * @param path where it stands in the record
 * @param label what it is called
 * @param group under which head it stands
 * @param kind what may stand in it
 * @param quantity of an amount
 */
record WorkField(String path, String label, Group group, Kind kind, Quantity quantity) {

    enum Group {
        OUTCOME("How it came out"),
        STOCK("Stock"),
        SETUP("Fitted and set"),
        RECIPE("What the job was set to");

        private final String title;

        Group(String title) {
            this.title = title;
        }

        String title() {
            return title;
        }
    }

    enum Kind {
        WORDS,
        AMOUNT,
        /** yes or no, or not known */
        TRUTH,
        STROKES
    }

    private static final List<WorkField> ALL = List.of(
            words("outcome.word", "In a word", Group.OUTCOME),
            amount("outcome.score", "Score, 0 to 10", Group.OUTCOME, Quantity.PLAIN),
            amount("outcome.minutes", "Minutes it took", Group.OUTCOME, Quantity.MINUTES),
            words("stock.kind", "Material", Group.STOCK),
            amount("stock.thicknessMm", "Thickness", Group.STOCK, Quantity.LENGTH),
            words("stock.batch", "Batch or mark", Group.STOCK),
            truth("stock.surfaceClean", "Surface clean", Group.STOCK),
            words("stock.under", "What lay under it", Group.STOCK),
            truth("stock.mirrored", "Mirrored", Group.STOCK),
            words("setup.lens", "Lens", Group.SETUP),
            words("setup.nozzle", "Nozzle", Group.SETUP),
            amount("setup.gapMm", "Gap", Group.SETUP, Quantity.LENGTH),
            amount("setup.defocusMm", "Defocus, + is up", Group.SETUP, Quantity.LENGTH),
            words("setup.air", "Air or gas", Group.SETUP),
            amount("setup.minutesSinceOn", "Since switched on", Group.SETUP, Quantity.MINUTES),
            amount("recipe.powerPct", "Power", Group.RECIPE, Quantity.SHARE),
            amount("recipe.rateMmMin", "Speed", Group.RECIPE, Quantity.RATE),
            amount("recipe.intervalMm", "Line pitch", Group.RECIPE, Quantity.LENGTH),
            new WorkField("recipe.strokes", "Outline or area", Group.RECIPE, Kind.STROKES, Quantity.PLAIN),
            amount("recipe.passes", "Runs over", Group.RECIPE, Quantity.PLAIN),
            amount("recipe.pauseS", "Pause between", Group.RECIPE, Quantity.SECONDS),
            amount("recipe.frequencyKhz", "Frequency", Group.RECIPE, Quantity.FREQUENCY),
            amount("recipe.pulseNs", "Pulse length", Group.RECIPE, Quantity.PULSE),
            amount("recipe.wobbleMm", "Wobble", Group.RECIPE, Quantity.LENGTH));

    private static WorkField words(String path, String label, Group group) {
        return new WorkField(path, label, group, Kind.WORDS, Quantity.PLAIN);
    }

    private static WorkField truth(String path, String label, Group group) {
        return new WorkField(path, label, group, Kind.TRUTH, Quantity.PLAIN);
    }

    private static WorkField amount(String path, String label, Group group, Quantity quantity) {
        return new WorkField(path, label, group, Kind.AMOUNT, quantity);
    }

    /** The fields of a family: pulses only where the source has them. */
    static List<WorkField> of(Family family) {
        boolean pulsed = family.isGalvo() || family == Family.SHEET_FIBRE;
        return ALL.stream()
                .filter(field -> pulsed
                        || field.quantity() != Quantity.FREQUENCY
                                && field.quantity() != Quantity.PULSE
                                && !field.path().equals("recipe.wobbleMm"))
                .toList();
    }

    static List<WorkField> all() {
        return ALL;
    }

    boolean isOutcome() {
        return group == Group.OUTCOME;
    }

    /** Texts that fill the fields with an earlier result. */
    static Map<String, Draft.Text> texts(Body.Worked worked) {
        Map<String, Draft.Text> texts = new TreeMap<>();
        WorkResult result = worked.result();
        Map<String, Object> values = new TreeMap<>();
        values.put("stock.kind", result.stock().kind());
        values.put("stock.thicknessMm", result.stock().thicknessMm());
        values.put("stock.batch", result.stock().batch());
        values.put("stock.surfaceClean", result.stock().surfaceClean());
        values.put("stock.under", result.stock().under());
        values.put("stock.mirrored", result.stock().mirrored());
        values.put("setup.lens", result.setup().lens());
        values.put("setup.nozzle", result.setup().nozzle());
        values.put("setup.gapMm", result.setup().gapMm());
        values.put("setup.defocusMm", result.setup().defocusMm());
        values.put("setup.air", result.setup().air());
        values.put("setup.minutesSinceOn", result.setup().minutesSinceOn());
        values.put("recipe.powerPct", result.recipe().powerPct());
        values.put("recipe.rateMmMin", result.recipe().rateMmMin());
        values.put("recipe.intervalMm", result.recipe().intervalMm());
        values.put(
                "recipe.strokes",
                result.recipe().strokes().map(strokes -> strokes == WorkResult.Strokes.FILL ? "fill" : "line"));
        values.put("recipe.passes", result.recipe().passes());
        values.put("recipe.pauseS", result.recipe().pauseS());
        values.put("recipe.frequencyKhz", result.recipe().frequencyKhz());
        values.put("recipe.pulseNs", result.recipe().pulseNs());
        values.put("recipe.wobbleMm", result.recipe().wobbleMm());
        values.put("outcome.word", result.outcome().word());
        values.put("outcome.score", result.outcome().score());
        values.put("outcome.minutes", result.outcome().minutes());
        for (WorkField field : ALL) {
            number(values.get(field.path()))
                    .ifPresentOrElse(
                            number -> texts.put(
                                    field.path(),
                                    Draft.retyped(worked.asTyped().get(field.path()), number, field.quantity())),
                            () -> word(values.get(field.path()))
                                    .ifPresent(
                                            word -> texts.put(field.path(), new Draft.Text(word, UnitChoice.METRIC))));
        }
        return texts;
    }

    private static Optional<Double> number(Object value) {
        if (value instanceof OptionalDouble number && number.isPresent()) {
            return Optional.of(number.getAsDouble());
        } else if (value instanceof OptionalInt number && number.isPresent()) {
            return Optional.of((double) number.getAsInt());
        }
        return Optional.empty();
    }

    private static Optional<String> word(Object value) {
        Object plain = value instanceof Optional<?> optional ? optional.orElse(null) : value;
        if (plain instanceof Boolean truth) {
            return Optional.of(truth ? "yes" : "no");
        }
        return plain instanceof String text ? Optional.of(text) : Optional.empty();
    }

    /** An amount as it reads in an opened entry. */
    static String shown(WorkField field, Draft.Text text) {
        String unit = field.kind() == Kind.AMOUNT && text.text().matches("[0-9.]+")
                ? field.quantity().baseUnit()
                : "";
        return unit.isEmpty() ? text.text() : text.text() + " " + unit;
    }
}
