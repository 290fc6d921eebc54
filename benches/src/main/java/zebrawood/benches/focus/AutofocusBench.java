package zebrawood.benches.focus;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.core.focus.AutofocusFinding;
import zebrawood.core.focus.AutofocusReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;

/** Stocks on which an autofocus was tried, a row each, with the gap that each try came to. */
public final class AutofocusBench extends FormBench<AutofocusReadings, AutofocusFinding> {

    private static final int MOST_STOCKS = 8;
    private static final String DEPTH = "depthOfFocusMm";
    private static final String REFERENCE = "referenceGapMm";
    private static final String ERROR = "referenceStdErrMm";

    public static final FieldList FIELDS = FieldList.of(
                    Field.oneOf(
                            "kind",
                            "it measures with",
                            List.of(
                                    new Choice("pin", "a pin"),
                                    new Choice("probe", "a probe"),
                                    new Choice("sensor", "a sensor"))),
                    Field.words("lens", "lens"),
                    Field.amount(REFERENCE, "best gap", Quantity.LENGTH).needed(),
                    Field.amount(ERROR, "its standard error", Quantity.LENGTH),
                    Field.amount(DEPTH, "depth of focus", Quantity.LENGTH).needed(),
                    Field.amount("toleranceMm", "to be known to", Quantity.LENGTH)
                            .empty("depth / 4"))
            .rows(
                    "stocks",
                    MOST_STOCKS,
                    Field.words("name", "stock"),
                    Field.oneOf(
                            "surface",
                            "surface",
                            List.of(
                                    new Choice("light", "light"),
                                    new Choice("dark", "dark"),
                                    new Choice("clear", "clear"),
                                    new Choice("uneven", "uneven"))),
                    Field.amount("thicknessMm", "thick", Quantity.LENGTH),
                    Field.many("gapsMm", "gap of each try", Quantity.LENGTH).anew());

    public AutofocusBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "the gap that each try came to, against the best gap; in the band it is in focus",
                GapKnown.fromRamp(place, DEPTH, REFERENCE, ERROR));
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (form().filledRows().isEmpty()) {
            sheet.lacks("stocks");
        }
    }

    /** A reference without a doubt stays one, whatever a ramp says today. */
    @Override
    public Map<String, Draft.Text> texts(AutofocusReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>(super.texts(readings, asTyped, whole));
        if (readings.referenceStdErrMm().isEmpty()) {
            Draft.put(texts, ERROR, "0");
        }
        return texts;
    }

    @Override
    protected String head(Showing<AutofocusReadings, AutofocusFinding> now, UnitChoice units) {
        return now.finding()
                .map(AutofocusFinding::repeatabilityMm)
                .filter(repeat -> repeat.isPresent())
                .map(repeat -> "It comes back to within "
                        + Amount.mm(1.96 * repeat.getAsDouble(), 2).text(units) + " of the same gap")
                .orElse("Whether the autofocus may be trusted");
    }

    @Override
    protected Figure figure(Showing<AutofocusReadings, AutofocusFinding> now, UnitChoice units) {
        return AutofocusFigure.of(now.readings(), now.readings().isPresent() ? now.finding() : Optional.empty(), units);
    }

    @Override
    public String next() {
        return form().firstMissing().isPresent()
                ? super.next()
                : form().filledRows().isEmpty()
                        ? "Pin, probe and gauge out of the way. Then try it five times on one stock."
                        : super.next();
    }
}
