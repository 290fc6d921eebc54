package zebrawood.benches.beam;

import java.util.ArrayList;
import java.util.List;
import zebrawood.core.beam.ShapeFinding;
import zebrawood.core.beam.ShapeReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;

/** A mark on a card: its two diameters and what its edge looks like. */
public final class ShapeBench extends FormBench<ShapeReadings, ShapeFinding> {

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("majorMm", "longest diameter", Quantity.LENGTH)
                    .needed()
                    .anew(),
            Field.amount("minorMm", "across it", Quantity.LENGTH).needed().anew(),
            Field.oneOf("outline", "edge", outlines()).anew(),
            Field.amount("angleDeg", "longest lies at, °", Quantity.PLAIN)
                    .empty("0, level")
                    .anew(),
            Field.amount("expectedMm", "expected", Quantity.LENGTH).empty("not known"),
            Field.amount("roundnessTolerance", "may be out of round", Quantity.PLAIN)
                    .usually(Amount.plain(ShapeReadings.ROUNDNESS_TOLERANCE, 2)),
            Field.words("place", "shot at"));

    public ShapeBench(BenchPlace place) {
        super(place, FIELDS, "the mark facing the beam, as large as the drawing allows; dashed: a circle of its area");
    }

    private static List<Choice> outlines() {
        List<Choice> choices = new ArrayList<>(List.of(new Choice("", "not looked at")));
        for (ShapeReadings.Outline outline : ShapeReadings.Outline.values()) {
            choices.add(new Choice(ShapeFigure.id(outline), outline.words()));
        }
        return choices;
    }

    @Override
    protected String head(Showing<ShapeReadings, ShapeFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "The mark is "
                        + Amount.percent(100 * found.ellipticity(), 0).text(units) + " out of round")
                .orElse("How round the mark is");
    }

    @Override
    protected Figure figure(Showing<ShapeReadings, ShapeFinding> now, UnitChoice units) {
        return ShapeFigure.of(now.finding(), units);
    }
}
