package zebrawood.desktop.site;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.site.ClimateFinding;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.bench.Bench;
import zebrawood.desktop.bench.BenchPlace;
import zebrawood.desktop.bench.Draft;
import zebrawood.desktop.bench.DrawingSurface;
import zebrawood.desktop.bench.ReadingField;
import zebrawood.desktop.bench.Sheet;
import zebrawood.desktop.bench.Showing;
import zebrawood.desktop.bench.Words;

/** The hygrometer's two figures, typed into the empty corner of the humidity chart, above saturation. */
public final class ClimateBench implements Bench<ClimateReadings, ClimateFinding> {

    private static final String TEMPERATURE = "airTemperatureC";
    private static final String HUMIDITY = "relativeHumidityPct";

    private final BenchPlace at;
    private final ClimateLimits limits;
    private final DrawingSurface chart;
    private final ReadingField temperature = new ReadingField(TEMPERATURE, "air temperature", Quantity.TEMPERATURE);
    private final ReadingField humidity = new ReadingField(HUMIDITY, "relative humidity", Quantity.SHARE);
    private final View view;

    public ClimateBench(BenchPlace place) {
        at = place;
        limits = place.plate().climate().orElseThrow();
        chart = new DrawingSurface(place.desk().look()).withMenu();
        temperature.field().getStyleClass().add("live-field");
        humidity.field().getStyleClass().add("live-field");
        view = new View();
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public void assemble(Sheet sheet) {
        sheet.amount(TEMPERATURE, Quantity.TEMPERATURE);
        sheet.amount(HUMIDITY, Quantity.SHARE);
        sheet.record("limits", limits);
    }

    @Override
    public void show(Showing<ClimateReadings, ClimateFinding> now) {
        Optional<ClimateFinding> finding = now.outcome().map(outcome -> outcome.finding());
        chart.show(ClimateChart.chart(limits, finding, view.units()), finding
                .map(f -> "humidity chart; the air is at " + Amount.celsius(f.airTemperatureC(), 1).text(view.units()) + " and "
                        + Amount.percent(f.relativeHumidityPct(), 0).text(view.units()))
                .orElse("humidity chart with the machine's window"));
        Words.set(view.heading, finding.isEmpty()
                ? "Read the hygrometer beside the machine"
                : finding.get().remedies().isEmpty() ? "The air is within the machine's window" : "The air is outside the machine's window");
    }

    @Override
    public String next() {
        return temperature.field().getText().isBlank() ? "Read the air temperature." : "Read the relative humidity.";
    }

    @Override
    public List<ReadingField> fields() {
        return List.of(temperature, humidity);
    }

    @Override
    public Map<String, Draft.Text> texts(ClimateReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>();
        if (whole) {
            texts.put(TEMPERATURE, Draft.retyped(asTyped.get(TEMPERATURE), readings.airTemperatureC(), Quantity.TEMPERATURE));
            texts.put(HUMIDITY, Draft.retyped(asTyped.get(HUMIDITY), readings.relativeHumidityPct(), Quantity.SHARE));
        }
        return texts;
    }

    private final class View extends Pane {
        private final Label heading = Words.label("", "head");
        private final Label caption =
                Words.label("temperature against moisture; curves of equal relative humidity", "caption");
        private final Label first = Words.label("air temperature", "small");
        private final Label second = Words.label("relative humidity", "small");

        View() {
            getChildren().addAll(heading, caption, chart, first, temperature, second, humidity);
            setMinHeight(420);
        }

        UnitChoice units() {
            return at.desk().units().get();
        }

        @Override
        protected void layoutChildren() {
            double width = getWidth();
            heading.resizeRelocate(24, 12, width - 48, 24);
            caption.resizeRelocate(24, 36, width - 48, 18);
            chart.resizeRelocate(4, 62, width - 20, getHeight() - 74);
            double fieldWidth = Math.min(150, width / 4);
            place(first, temperature, 28, 84, fieldWidth);
            place(second, humidity, 28, 172, fieldWidth);
        }

        private void place(Node label, ReadingField field, double x, double y, double width) {
            label.resizeRelocate(x, y, 160, 18);
            field.resizeRelocate(x, y + 20, width, field.prefHeight(width));
        }
    }
}
