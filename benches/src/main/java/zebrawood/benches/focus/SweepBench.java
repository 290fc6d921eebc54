package zebrawood.benches.focus;

import java.util.List;
import zebrawood.core.focus.SweepFinding;
import zebrawood.core.focus.SweepReadings;
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
import zebrawood.kit.form.Kind;
import zebrawood.kit.form.Worksheet;

/** Ways through the focus, a row each: which way, from where, how fast, and when it was liveliest. */
public final class SweepBench extends FormBench<SweepReadings, SweepFinding> {

    private static final int MOST_SWEEPS = 12;
    private static final String DIRECTION = "direction";

    private static final Field WAY =
            Field.oneOf(DIRECTION, "way", List.of(new Choice("down", "down"), new Choice("up", "up")));

    private static final Kind.Pairs RECORDING = new Kind.Pairs(
            "tS",
            Quantity.SECONDS,
            "level",
            Quantity.PLAIN,
            "type time and level in pairs, nine or more, such as 0.1 12; 0.2 14; 0.3 19");

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount("depthOfFocusMm", "depth of focus", Quantity.LENGTH)
                            .needed(),
                    Field.amount("delayS", "marked late by", Quantity.SECONDS).empty("not known"),
                    Field.amount("delayErrorS", "give or take", Quantity.SECONDS),
                    Field.amount("toleranceMm", "play may be", Quantity.LENGTH).empty("depth / 4"),
                    Field.oneOf(
                            "approach", "height set from", List.of(new Choice("", "above"), new Choice("up", "below"))))
            .rows(
                    "sweeps",
                    MOST_SWEEPS,
                    WAY,
                    Field.amount("startGapMm", "gap at the start", Quantity.LENGTH),
                    Field.amount("speedMmS", "mm a second", Quantity.PLAIN),
                    Field.amount("markedS", "liveliest after", Quantity.SECONDS).anew(),
                    Field.pairs("samples", "or time and level; ...", RECORDING).anew());

    public SweepBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "each way through the focus and where it was liveliest; down reads too low, up as much too high",
                GapKnown.fromRamp(place, "depthOfFocusMm", "", ""));
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (form().filledRows().size() < 2) {
            sheet.lacks("sweeps");
        }
    }

    @Override
    protected String head(Showing<SweepReadings, SweepFinding> now, UnitChoice units) {
        return now.finding()
                .filter(found -> found.bestGapMm().isPresent())
                .map(found -> "Liveliest at a gap of "
                        + Amount.mm(found.bestGapMm().getAsDouble(), 2).text(units)
                        + (found.playMm().isPresent()
                                ? ", play "
                                        + Amount.mm(found.playMm().getAsDouble(), 2)
                                                .text(units)
                                : ""))
                .orElse("Where the spot is liveliest while the height moves");
    }

    @Override
    protected Figure figure(Showing<SweepReadings, SweepFinding> now, UnitChoice units) {
        return SweepFigure.of(now.finding(), units);
    }

    @Override
    public String next() {
        return form().filledRows().size() < 2
                ? "Set the lower end first. Then sweep down, and up, and type when it was liveliest."
                : super.next();
    }
}
