package zebrawood.benches.coolant;

import java.util.Map;
import java.util.Optional;
import zebrawood.core.coolant.SetpointFinding;
import zebrawood.core.coolant.SetpointReadings;
import zebrawood.core.entry.Entry;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Days;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;

/** The water between damp and too warm: the air is that of the newest climate reading, where none is typed. */
public final class SetpointBench extends FormBench<SetpointReadings, SetpointFinding> {

    private static final String AIR = "airTemperatureC";
    private static final String HUMIDITY = "relativeHumidityPct";

    public static final FieldList FIELDS = FieldList.of(
            Field.amount(AIR, "air at the source", Quantity.TEMPERATURE)
                    .needed()
                    .anew(),
            Field.amount(HUMIDITY, "relative humidity", Quantity.SHARE).needed().anew(),
            Field.amount("minCoolantC", "coldest water allowed", Quantity.TEMPERATURE)
                    .needed(),
            Field.amount("maxCoolantC", "warmest water allowed", Quantity.TEMPERATURE)
                    .needed(),
            Field.amount("holdC", "chiller holds within", Quantity.WARMTH).usually(Amount.celsiusDifference(0.5, 1)),
            Field.amount("preferredC", "preferred", Quantity.TEMPERATURE).usually(Amount.celsius(20, 0)),
            Field.amount("followC", "or it follows the room by", Quantity.WARMTH)
                    .empty("can be set"),
            Field.amount("marginC", "kept above dew point", Quantity.WARMTH).usually(Amount.celsiusDifference(2, 0)));

    public SetpointBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                climate(place)
                        .map(entry -> "an estimate; where nothing is typed, the air is that of the climate reading of "
                                + Days.weekday(place.workplace()
                                        .local(entry.stamp().at())
                                        .toLocalDate()))
                        .orElse("an estimate, between the dew point and what the source's maker allows"),
                climate(place).map(SetpointBench::air).orElse(Map.of()));
    }

    private static Optional<Entry> climate(BenchPlace place) {
        return place.newest("site-climate").filter(entry -> Stop.measured(entry).readings() instanceof ClimateReadings);
    }

    private static Map<String, Amount> air(Entry climate) {
        ClimateReadings read = (ClimateReadings) Stop.measured(climate).readings();
        return Map.of(
                AIR,
                Amount.celsius(read.airTemperatureC(), 1),
                HUMIDITY,
                Amount.percent(read.relativeHumidityPct(), 0));
    }

    @Override
    protected String head(Showing<SetpointReadings, SetpointFinding> now, UnitChoice units) {
        if (now.finding().isEmpty()) {
            return "Between damp and too warm lies a window";
        }
        SetpointFinding found = now.finding().get();
        if (now.outcome().get().verdict().satisfies()) {
            return "The water is safe between "
                    + Amount.celsius(found.lowestC(), 1).number(units) + " and "
                    + Amount.celsius(found.highestC(), 1).text(units);
        }
        return found.setpointC().isEmpty()
                ? "No water is both dry and cool enough today"
                : "The water leaves its window";
    }

    @Override
    protected Figure figure(Showing<SetpointReadings, SetpointFinding> now, UnitChoice units) {
        return SetpointFigure.of(now.finding(), units);
    }
}
