package zebrawood.benches.beam;

import zebrawood.core.beam.ClipFinding;
import zebrawood.core.beam.ClipReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;

/** An opening, the beam there, and how far beside the middle it passes. */
public final class ClipBench extends FormBench<ClipReadings, ClipFinding> {

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount("apertureMm", "opening", Quantity.LENGTH).needed(),
                    Field.amount("beamDiameterMm", "beam there, 1/e²", Quantity.LENGTH)
                            .needed(),
                    Field.amount("offsetMm", "beside the middle", Quantity.LENGTH)
                            .needed()
                            .anew(),
                    Field.amount("allowedLossPct", "may be lost", Quantity.SHARE)
                            .usually(Amount.percent(ClipReadings.ALLOWED_LOSS_PCT, 0)),
                    Field.amount("distanceMm", "how far along", Quantity.LENGTH),
                    Field.words("opening", "which opening"))
            .rows(
                    "others",
                    5,
                    Field.words("name", "another opening"),
                    Field.amount("distanceMm", "how far along", Quantity.LENGTH),
                    Field.amount("beamDiameterMm", "beam there", Quantity.LENGTH),
                    Field.amount("apertureMm", "opening", Quantity.LENGTH),
                    Field.amount("offsetMm", "beside", Quantity.LENGTH));

    public ClipBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "the opening facing the beam, to scale; what it takes against how far the beam is beside it");
    }

    @Override
    protected String head(Showing<ClipReadings, ClipFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> (found.others().isEmpty() ? "The opening takes " : "The worst opening takes ")
                        + Amount.percent(found.worstPct(), found.worstPct() < 10 ? 1 : 0)
                                .text(units) + " of the beam")
                .orElse("What an opening takes of the beam");
    }

    @Override
    protected Figure figure(Showing<ClipReadings, ClipFinding> now, UnitChoice units) {
        return ClipFigure.of(now.finding(), units);
    }
}
