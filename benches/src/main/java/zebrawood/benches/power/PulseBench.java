package zebrawood.benches.power;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.VBox;
import zebrawood.core.machine.Plate;
import zebrawood.core.power.PulseFinding;
import zebrawood.core.power.PulseReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Words;

/** What pulses come to on the work, drawn as spots; sliders change one thing at a time. */
public final class PulseBench extends FormBench<PulseReadings, PulseFinding> {

    static final String POWER = "averagePowerW";
    static final String FREQUENCY = "frequencyKHz";
    static final String SPEED = "speedMmS";
    private static final String LEAST = "minFrequencyKHz";
    private static final String MOST = "maxFrequencyKHz";

    public static final FieldList FIELDS = FieldList.of(
            Field.amount(POWER, "mean power", Quantity.POWER).needed(),
            Field.amount(FREQUENCY, "frequency", Quantity.FREQUENCY).needed(),
            Field.amount(SPEED, "speed", Quantity.MARKING).needed(),
            Field.amount("spotMm", "spot", Quantity.LENGTH).needed(),
            Field.amount("pulseNs", "pulse length", Quantity.PULSE).empty("not known"),
            Field.amount("intervalMm", "line to line", Quantity.LENGTH).empty("one line"),
            Field.amount(LEAST, "lowest freq.", Quantity.FREQUENCY).empty("of the source"),
            Field.amount(MOST, "highest freq.", Quantity.FREQUENCY).empty("of the source"),
            Field.amount("maxPulseEnergyMj", "most in a pulse", Quantity.ENERGY).empty("of the source"));

    /** A slider with what it changes. */
    private record Slid(String field, String words, Quantity quantity, Slider slider) {}

    private final List<Slid> sliders;
    private final VBox box = new VBox(4);
    private boolean showing;
    private Optional<PulseFinding> before = Optional.empty();
    private final Label said = Words.wrapped("", "quiet");

    public PulseBench(BenchPlace place) {
        super(place, FIELDS, "spots on the work, many times larger than they are, to one scale");
        sliders = List.of(
                slid(POWER, "mean power", Quantity.POWER),
                slid(FREQUENCY, "frequency", Quantity.FREQUENCY),
                slid(SPEED, "speed", Quantity.MARKING));
        said.setId("pulse-change");
        sliders.forEach(each -> {
            Label label = Words.label(each.words(), "small");
            label.setLabelFor(each.slider());
            box.getChildren().addAll(label, each.slider());
        });
        box.getChildren().add(said);
    }

    private Slid slid(String field, String words, Quantity quantity) {
        Slider slider = new Slider(0, 100, 0);
        slider.setId("slide-" + field);
        slider.setOrientation(Orientation.HORIZONTAL);
        slider.setAccessibleText(words);
        slider.valueProperty().addListener((value, old, now) -> {
            if (!showing && Math.abs(now.doubleValue() - old.doubleValue()) > 1e-9) {
                place().draft()
                        .type(
                                field,
                                String.format(Locale.ROOT, now.doubleValue() < 10 ? "%.2f" : "%.1f", now.doubleValue()),
                                UnitChoice.METRIC);
            }
        });
        slider.valueChangingProperty().addListener((changing, old, now) -> {
            if (!now) {
                place().draft().endStep();
            }
        });
        return new Slid(field, words, quantity, slider);
    }

    /** The slider of a field. */
    Slider slider(String field) {
        return sliders.stream()
                .filter(each -> each.field().equals(field))
                .findFirst()
                .orElseThrow()
                .slider();
    }

    /** What the last change does to the mark. */
    String said() {
        return said.getText();
    }

    /** The sliders go as far as the source does; where that is not known, to twice what is typed. */
    private void slide() {
        Worksheet sheet = Worksheet.of(place().draft());
        for (Slid each : sliders) {
            Optional<Double> now = sheet.aside(each.field(), each.quantity());
            double most = switch (each.field()) {
                case FREQUENCY -> sheet.aside(MOST, Quantity.FREQUENCY).orElse(2 * now.orElse(50.0));
                case POWER ->
                    place().plate()
                            .source()
                            .map(Plate.Source::ratedPowerW)
                            .orElse(OptionalDouble.empty())
                            .orElse(2 * now.orElse(25.0));
                default -> Math.max(1_000, 2 * now.orElse(500.0));
            };
            double least = each.field().equals(FREQUENCY)
                    ? sheet.aside(LEAST, Quantity.FREQUENCY).orElse(1.0)
                    : most / 100;
            showing = true;
            each.slider().setMin(Math.min(least, now.orElse(least)));
            each.slider().setMax(Math.max(most, now.orElse(most)));
            each.slider().setBlockIncrement((most - least) / 20);
            now.ifPresent(each.slider()::setValue);
            showing = false;
        }
    }

    @Override
    public void show(Showing<PulseReadings, PulseFinding> now) {
        super.show(now);
        slide();
        now.finding().ifPresent(found -> {
            before.ifPresent(last -> {
                String change = PulseWords.change(last, found);
                if (!change.isEmpty()) {
                    said.setText(change);
                }
            });
            before = Optional.of(found);
        });
    }

    @Override
    protected String head(Showing<PulseReadings, PulseFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "A pulse has " + new Amount(Quantity.ENERGY, found.pulseEnergyMj(), 3).text(units)
                        + (found.pulseOverlapPct() < 0
                                ? "; between spots there are gaps"
                                : "; " + Amount.plain(found.pulsesPerSpot(), 1).text(units) + " fall on a place"))
                .orElse("What pulses come to on the work");
    }

    @Override
    protected Figure figure(Showing<PulseReadings, PulseFinding> now, UnitChoice units) {
        return PulseFigure.of(now.finding(), now.readings().map(PulseReadings::intervalMm), units);
    }

    @Override
    public Optional<Node> otherSchool(Showing<PulseReadings, PulseFinding> now) {
        return now.measuring() && now.finding().isPresent() ? Optional.of(box) : Optional.empty();
    }
}
