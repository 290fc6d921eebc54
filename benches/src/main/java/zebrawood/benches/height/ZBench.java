package zebrawood.benches.height;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.height.ZFinding;
import zebrawood.core.height.ZReadings;
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

/** The stack from the bed up to the head, and where the height axis goes for it. */
public final class ZBench extends FormBench<ZReadings, ZFinding> {

    private static final String GAP = "focusGapMm";

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("materialMm", "stock, thick", Quantity.LENGTH).needed().anew(),
            Field.amount("riserMm", "riser under it", Quantity.LENGTH).usually(Amount.mm(0, 0)),
            Field.amount("defocusMm", "focus raised by", Quantity.LENGTH).usually(Amount.mm(0, 0)),
            Field.amount(GAP, "best gap", Quantity.LENGTH).needed(),
            Field.amount("bareGapAtZeroMm", "bare gap at 0", Quantity.LENGTH).needed(),
            Field.oneOf(
                    "axisSense",
                    "larger Z moves",
                    List.of(
                            new Choice("bed-down", "bed down"),
                            new Choice("bed-up", "bed up"),
                            new Choice("head-up", "head up"),
                            new Choice("head-down", "head down"))),
            Field.amount("currentZMm", "axis now at", Quantity.LENGTH)
                    .empty("not known")
                    .anew(),
            Field.amount("minZMm", "axis from", Quantity.LENGTH).needed(),
            Field.amount("maxZMm", "axis to", Quantity.LENGTH).needed(),
            Field.truth("heightFirst", "height in a job", "not looked", "comes first", "comes later"),
            Field.truth("heightAbsolute", "height move", "not looked", "to a place", "by a distance"),
            Field.amount("jobSpeedMmMin", "speed in a job", Quantity.RATE).empty("not known"),
            Field.amount("panelSpeedMmMin", "speed at panel", Quantity.RATE).empty("not known"));

    public ZBench(BenchPlace place) {
        super(place, FIELDS, "bed, riser, stock and head from the side, to scale", known(place));
    }

    private static Map<String, Amount> known(BenchPlace place) {
        Map<String, Amount> known = new HashMap<>();
        place.found("focus-ramp", RampFinding.class)
                .map(RampFinding::bestGapMm)
                .filter(OptionalDouble::isPresent)
                .ifPresent(best -> known.put(GAP, Amount.mm(Math.rint(best.getAsDouble() * 100) / 100, 2)));
        return known;
    }

    @Override
    protected String head(Showing<ZReadings, ZFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> (found.inRange() ? "The height axis goes to " : "The height axis would have to go to ")
                        + Amount.mm(found.targetZMm(), 2).text(units))
                .orElse("Where the height axis goes for this stock");
    }

    @Override
    protected Figure figure(Showing<ZReadings, ZFinding> now, UnitChoice units) {
        return ZFigure.of(now.finding(), units);
    }
}
