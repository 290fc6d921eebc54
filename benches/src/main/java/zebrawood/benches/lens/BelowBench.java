package zebrawood.benches.lens;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zebrawood.core.lens.BelowFinding;
import zebrawood.core.lens.BelowReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;

/** A piece of glass and the mark wanted in it. */
public final class BelowBench extends FormBench<BelowReadings, BelowFinding> {

    private static final String ANGLE = "halfAngleMrad";

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("thicknessMm", "glass, thick", Quantity.LENGTH).needed(),
            Field.amount("depthMm", "mark under the surface", Quantity.LENGTH).needed(),
            Field.amount("refractiveIndex", "refractive index", Quantity.PLAIN).needed(),
            Field.amount(ANGLE, "half angle of the beam", Quantity.DIVERGENCE).needed(),
            Field.amount("depthOfFocusMm", "depth of focus in air", Quantity.LENGTH)
                    .empty("not known"));

    public BelowBench(BenchPlace place) {
        super(place, FIELDS, "the glass from the side with the rays in it, to scale", known(place));
    }

    /** What the plate tells: half the beam over the focal length. */
    private static Map<String, Amount> known(BenchPlace place) {
        Map<String, Amount> known = new HashMap<>();
        OptionalDouble beam =
                place.plate().source().map(Plate.Source::beamAtLensMm).orElse(OptionalDouble.empty());
        OptionalDouble focal = place.plate().optics().map(Plate.Optics::lenses).orElse(List.of()).stream()
                .map(Plate.Lens::focalLengthMm)
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElse(OptionalDouble.empty());
        if (beam.isPresent() && focal.isPresent()) {
            double half = BelowReadings.halfAngleMrad(beam.getAsDouble(), focal.getAsDouble());
            known.put(ANGLE, new Amount(Quantity.DIVERGENCE, Math.rint(half), 0));
        }
        return known;
    }

    @Override
    protected String head(Showing<BelowReadings, BelowFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "For a mark " + Amount.mm(found.depthMm(), 2).text(units) + " deep the head goes "
                        + Amount.mm(found.headDropMm(), 2).text(units) + " lower")
                .orElse("Where the head goes for a mark inside glass");
    }

    @Override
    protected Figure figure(Showing<BelowReadings, BelowFinding> now, UnitChoice units) {
        return BelowFigure.of(now.finding(), units);
    }
}
