package zebrawood.benches.beam;

import zebrawood.core.beam.VerticalFinding;
import zebrawood.core.beam.VerticalReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;

/** Two heights of the table and a spot at each, from the nozzle's axis. */
public final class VerticalBench extends FormBench<VerticalReadings, VerticalFinding> {

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("upperGapMm", "high table, gap", Quantity.LENGTH).needed(),
            Field.amount("upper.xMm", "spot right", Quantity.LENGTH).needed().anew(),
            Field.amount("upper.yMm", "spot up", Quantity.LENGTH).needed().anew(),
            Field.amount("lowerGapMm", "low table, gap", Quantity.LENGTH).needed(),
            Field.amount("lower.xMm", "low spot right", Quantity.LENGTH)
                    .needed()
                    .anew(),
            Field.amount("lower.yMm", "low spot up", Quantity.LENGTH).needed().anew(),
            Field.amount("nozzleBoreMm", "nozzle bore", Quantity.LENGTH).needed(),
            Field.amount("beamAtNozzleMm", "beam in the bore, 1/e²", Quantity.LENGTH)
                    .needed(),
            Field.amount("toleranceMrad", "may lean", Quantity.DIVERGENCE)
                    .usually(new Amount(Quantity.DIVERGENCE, VerticalReadings.TOLERANCE_MRAD, 0)));

    public VerticalBench(BenchPlace place) {
        super(place, FIELDS, "the run under the head from the front and from the side; the nozzle from below");
    }

    @Override
    protected String head(Showing<VerticalReadings, VerticalFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "The beam leans "
                        + new Amount(Quantity.DIVERGENCE, found.leanMrad(), 1).text(units) + " and the nozzle takes "
                        + Amount.percent(found.clippedPct(), 1).text(units))
                .orElse("Whether the beam leaves the head upright");
    }

    @Override
    protected Figure figure(Showing<VerticalReadings, VerticalFinding> now, UnitChoice units) {
        return VerticalFigure.of(now.finding(), units);
    }
}
