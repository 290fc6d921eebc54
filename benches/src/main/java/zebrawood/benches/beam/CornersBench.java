package zebrawood.benches.beam;

import zebrawood.core.beam.CornersFinding;
import zebrawood.core.beam.CornersReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;

/** Marks at the moving head, a line each: where the head stood, and where the mark sat on its card. */
public final class CornersBench extends FormBench<CornersReadings, CornersFinding> {

    private static final int MOST_MARKS = 12;

    public static final FieldList FIELDS = FieldList.of(Field.amount("toleranceMm", "may be apart", Quantity.LENGTH)
                    .usually(Amount.mm(CornersReadings.TOLERANCE_MM, 1)))
            .rows(
                    "marks",
                    MOST_MARKS,
                    Field.amount("bedXMm", "head at X", Quantity.LENGTH),
                    Field.amount("bedYMm", "at Y", Quantity.LENGTH),
                    Field.amount("xMm", "mark right", Quantity.LENGTH).anew(),
                    Field.amount("yMm", "mark up", Quantity.LENGTH).anew());

    public CornersBench(BenchPlace place) {
        super(place, FIELDS, "the bed from above, to scale; on each card its mark, facing the beam");
    }

    @Override
    protected String head(Showing<CornersReadings, CornersFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "Over the bed the mark wanders "
                        + Amount.mm(found.spreadMm(), 1).text(units))
                .orElse("Whether the mark sits alike all over the bed");
    }

    @Override
    protected Figure figure(Showing<CornersReadings, CornersFinding> now, UnitChoice units) {
        return CornersFigure.of(now.finding(), units);
    }

    @Override
    public String next() {
        return form().firstMissing().isPresent() ? super.next() : "Shoot at three places or more, not all in one line.";
    }
}
