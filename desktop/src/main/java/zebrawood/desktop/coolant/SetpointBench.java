package zebrawood.desktop.coolant;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.coolant.SetpointFinding;
import zebrawood.core.coolant.SetpointReadings;
import zebrawood.core.entry.Body;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Days;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.bench.Bench;
import zebrawood.desktop.bench.BenchPlace;
import zebrawood.desktop.bench.Draft;
import zebrawood.desktop.bench.DrawnForm;
import zebrawood.desktop.bench.ReadingField;
import zebrawood.desktop.bench.Sheet;
import zebrawood.desktop.bench.Showing;

/** The water between damp and too warm: the air is that of the newest climate reading, where none is typed. */
public final class SetpointBench implements Bench<SetpointReadings, SetpointFinding> {

    private static final String AIR = "airTemperatureC";
    private static final String HUMIDITY = "relativeHumidityPct";
    private static final String LEAST = "minCoolantC";
    private static final String MOST = "maxCoolantC";
    private static final String PREFERRED = "preferredC";
    private static final String FOLLOWS = "followC";
    private static final String MARGIN = "marginC";

    private final BenchPlace place;
    private final DrawnForm form;
    private final List<ReadingField> needed;

    public SetpointBench(BenchPlace place) {
        this.place = place;
        Optional<ClimateReadings> climate = place.newest("site-climate").map(entry -> (ClimateReadings) ((Body.Measured) entry.body()).readings());
        form = new DrawnForm(place, place.newest("site-climate")
                .map(entry -> "an estimate; where nothing is typed, the air is that of the climate reading of " + Days.weekday(place.desk().local(entry.stamp().at()).toLocalDate()))
                .orElse("an estimate, between the dew point and what the source's maker allows"));
        ReadingField air = form.amount(AIR, "air at the source", Quantity.TEMPERATURE, climate.map(c -> Amount.celsius(c.airTemperatureC(), 1)));
        ReadingField humidity = form.amount(HUMIDITY, "relative humidity", Quantity.SHARE, climate.map(c -> Amount.percent(c.relativeHumidityPct(), 0)));
        ReadingField least = form.amount(LEAST, "coldest water allowed", Quantity.TEMPERATURE);
        ReadingField most = form.amount(MOST, "warmest water allowed", Quantity.TEMPERATURE);
        form.amount(PREFERRED, "preferred", Quantity.TEMPERATURE, Amount.celsius(20, 0));
        form.amount(FOLLOWS, "or it follows the room by", Quantity.WARMTH, "can be set");
        form.amount(MARGIN, "kept above dew point", Quantity.WARMTH, Amount.celsiusDifference(2, 0));
        form.anew(AIR, HUMIDITY);
        needed = climate.isPresent() ? List.of(least, most) : List.of(air, humidity, least, most);
    }

    @Override
    public Node view() {
        return form;
    }

    @Override
    public void assemble(Sheet sheet) {
        form.assemble(sheet);
    }

    @Override
    public void show(Showing<SetpointReadings, SetpointFinding> now) {
        UnitChoice units = place.desk().units().get();
        Optional<SetpointFinding> finding = now.outcome().map(Outcome::finding);
        boolean passes = now.outcome().map(outcome -> outcome.verdict().satisfies()).orElse(false);
        String head = finding.isEmpty() ? "Between damp and too warm lies a window" : passes ? "The water is safe between "
                + Amount.celsius(finding.get().lowestC(), 1).number(units) + " and " + Amount.celsius(finding.get().highestC(), 1).text(units)
                : finding.get().setpointC().isEmpty() ? "No water is both dry and cool enough today" : "The water leaves its window";
        form.show(head, SetpointFigure.of(finding, units), head, now);
    }

    @Override
    public String next() {
        return "Read: " + form.firstEmpty(needed) + ".";
    }

    @Override
    public List<ReadingField> fields() {
        return form.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(SetpointReadings readings, Map<String, String> asTyped, boolean whole) {
        return form.texts(readings, asTyped, whole);
    }
}
