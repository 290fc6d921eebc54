package zebrawood.benches.power;

import java.util.List;
import zebrawood.core.power.BlockFinding;
import zebrawood.core.power.BlockReadings;
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

/** A block of metal that a beam warms up, and its temperatures before and after. */
public final class BlockBench extends FormBench<BlockReadings, BlockFinding> {

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("massKg", "the block weighs", Quantity.MASS).needed(),
            Field.oneOf(
                    "metal",
                    "it is of",
                    List.of(
                            new Choice("aluminium", "aluminium"),
                            new Choice("copper", "copper"),
                            new Choice("brass", "brass"),
                            new Choice("steel", "steel"))),
            Field.amount("heatJGK", "or J/(g K)", Quantity.PLAIN).empty("of the metal"),
            Field.amount("takenInPct", "takes in", Quantity.SHARE).empty("100"),
            Field.amount("knownToPct", "all known to ±", Quantity.SHARE).empty("3"),
            Field.amount("commandPct", "command", Quantity.SHARE).anew(),
            Field.amount("onS", "beam on for", Quantity.SECONDS).needed().anew(),
            Field.pairs(
                            "temperatures",
                            "seconds and temperature",
                            new Kind.Pairs(
                                    "atS",
                                    Quantity.SECONDS,
                                    "celsius",
                                    Quantity.TEMPERATURE,
                                    "type seconds and temperature in pairs: 0 21.2; 60 25.4; 75 25.3"))
                    .needed()
                    .anew());

    public BlockBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "temperature of the block over time; the line is what was fitted, heat lost to the air and all");
    }

    @Override
    protected String head(Showing<BlockReadings, BlockFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> found.powerW().isEmpty()
                        ? "The block shows no warming"
                        : "The beam has " + PercentFigure.watts(found.powerW().getAsDouble(), units) + ", known to ± "
                                + new Amount(
                                                Quantity.POWER,
                                                found.halfWidthW().getAsDouble(),
                                                found.halfWidthW().getAsDouble() < 10 ? 2 : 1)
                                        .least()
                                        .text(units))
                .orElse("How many watts warm the block");
    }

    @Override
    protected Figure figure(Showing<BlockReadings, BlockFinding> now, UnitChoice units) {
        return BlockFigure.of(now.finding(), units);
    }
}
