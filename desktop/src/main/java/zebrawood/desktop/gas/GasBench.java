package zebrawood.desktop.gas;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import javafx.scene.Node;
import zebrawood.core.gas.Gas;
import zebrawood.core.gas.GasFinding;
import zebrawood.core.gas.GasReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.bench.Bench;
import zebrawood.desktop.bench.BenchPlace;
import zebrawood.desktop.bench.ChoiceField;
import zebrawood.desktop.bench.Draft;
import zebrawood.desktop.bench.DrawnForm;
import zebrawood.desktop.bench.ReadingField;
import zebrawood.desktop.bench.Sheet;
import zebrawood.desktop.bench.Showing;

/** Gas, nozzle and pressure, and the bottle behind them. */
public final class GasBench implements Bench<GasReadings, GasFinding> {

    private static final String NOZZLE = "nozzleMm";
    private static final String PRESSURE = "pressureBar";
    private static final String SHARE = "beamOnPct";
    private static final String TEMPERATURE = "temperatureC";
    private static final String VOLUME = "bottle.volumeL";
    private static final String FULL = "bottle.pressureBar";
    private static final String RESIDUAL = "bottle.residualBar";

    private final BenchPlace place;
    private final DrawnForm form;
    private final ReadingField nozzle;
    private final ReadingField pressure;

    public GasBench(BenchPlace place) {
        this.place = place;
        form = new DrawnForm(place, "flow against pressure for this nozzle, and for one a quarter smaller and larger");
        form.choice("gas", "gas", Stream.of(Gas.values()).map(g -> new ChoiceField.Choice(g.name().toLowerCase(Locale.ROOT), g.words())).toList());
        nozzle = form.amount(NOZZLE, "nozzle bore", Quantity.LENGTH);
        pressure = form.amount(PRESSURE, "pressure, flowing", Quantity.PRESSURE);
        form.amount(SHARE, "gas flows, of the time", Quantity.SHARE, "100");
        form.amount(VOLUME, "bottle holds", Quantity.VOLUME, "a pipe");
        form.amount(FULL, "bottle gauge", Quantity.PRESSURE);
        form.amount(RESIDUAL, "left in it", Quantity.PRESSURE, "5");
        form.amount(TEMPERATURE, "gas temperature", Quantity.TEMPERATURE, Amount.celsius(20, 0));
        form.anew(PRESSURE, TEMPERATURE, FULL);
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
    public void show(Showing<GasReadings, GasFinding> now) {
        UnitChoice units = place.desk().units().get();
        String head = now.outcome().isEmpty() ? "What the nozzle takes" : "At " + new Amount(Quantity.PRESSURE, now.outcome().get().finding().pressureBar(), 1).text(units)
                + " the nozzle takes " + new Amount(Quantity.FLOW, now.outcome().get().finding().flowNlMin(), 0).text(units);
        form.show(head, GasFigure.of(now.readings(), now.outcome().map(outcome -> outcome.finding()), units), head + ", drawn as curves", now);
    }

    @Override
    public String next() {
        boolean half = Stream.of(VOLUME, FULL, RESIDUAL).anyMatch(field -> !place.draft().text(field).isBlank());
        List<ReadingField> needed = half
                ? form.fields().stream().filter(field -> List.of(NOZZLE, PRESSURE, VOLUME, FULL).contains(field.name())).toList()
                : List.of(nozzle, pressure);
        return "Read: " + form.firstEmpty(needed) + ".";
    }

    @Override
    public List<ReadingField> fields() {
        return form.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(GasReadings readings, Map<String, String> asTyped, boolean whole) {
        return form.texts(readings, asTyped, whole);
    }
}
