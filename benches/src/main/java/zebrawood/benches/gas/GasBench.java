package zebrawood.benches.gas;

import java.util.Locale;
import java.util.stream.Stream;
import zebrawood.core.gas.Gas;
import zebrawood.core.gas.GasFinding;
import zebrawood.core.gas.GasReadings;
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

/** Gas, nozzle and pressure, and the bottle behind them. */
public final class GasBench extends FormBench<GasReadings, GasFinding> {

    public static final FieldList FIELDS = FieldList.of(
            Field.oneOf(
                    "gas",
                    "gas",
                    Stream.of(Gas.values())
                            .map(gas -> new Choice(gas.name().toLowerCase(Locale.ROOT), gas.words()))
                            .toList()),
            Field.amount("nozzleMm", "nozzle bore", Quantity.LENGTH).needed(),
            Field.amount("pressureBar", "pressure, flowing", Quantity.PRESSURE)
                    .needed()
                    .anew(),
            Field.amount("beamOnPct", "duty", Quantity.SHARE).empty("100"),
            Field.amount("bottle.volumeL", "bottle holds", Quantity.VOLUME)
                    .empty("a pipe")
                    .together(),
            Field.amount("bottle.pressureBar", "bottle gauge", Quantity.PRESSURE)
                    .together()
                    .anew(),
            Field.amount("bottle.residualBar", "left in it", Quantity.PRESSURE).empty("5"),
            Field.amount("ratedBar", "parts rated for", Quantity.PRESSURE).empty("not known"),
            Field.amount("temperatureC", "gas temperature", Quantity.TEMPERATURE)
                    .usually(Amount.celsius(20, 0))
                    .anew());

    public GasBench(BenchPlace place) {
        super(place, FIELDS, "flow against pressure for this nozzle, and for one a quarter smaller and larger");
    }

    @Override
    protected String head(Showing<GasReadings, GasFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "At " + new Amount(Quantity.PRESSURE, found.pressureBar(), 1).text(units)
                        + " the nozzle takes " + new Amount(Quantity.FLOW, found.flowNlMin(), 0).text(units))
                .orElse("What the nozzle takes");
    }

    @Override
    protected String inWords(String head) {
        return head + ", drawn as curves";
    }

    @Override
    protected Figure figure(Showing<GasReadings, GasFinding> now, UnitChoice units) {
        return GasFigure.of(now.readings(), now.finding(), units);
    }
}
