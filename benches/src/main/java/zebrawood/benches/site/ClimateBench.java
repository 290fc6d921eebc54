package zebrawood.benches.site;

import java.io.File;
import java.nio.file.Files;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import zebrawood.core.coolant.SetpointFinding;
import zebrawood.core.coolant.SetpointReadings;
import zebrawood.core.entry.NewAttachment;
import zebrawood.core.machine.ClimateLimits;
import zebrawood.core.site.ClimateFinding;
import zebrawood.core.site.ClimateLog;
import zebrawood.core.site.ClimateReadings;
import zebrawood.core.site.ClimateYear;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.Bench;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.bench.Stop;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.ReadingField;
import zebrawood.kit.form.Worksheet;
import zebrawood.kit.view.Clip;
import zebrawood.kit.view.DrawingSurface;
import zebrawood.kit.view.Heading;
import zebrawood.kit.view.Thumbnail;
import zebrawood.kit.view.Words;

/** The hygrometer's two figures, typed into the empty corner of the humidity chart, above saturation. */
public final class ClimateBench implements Bench<ClimateReadings, ClimateFinding> {

    private static final String TEMPERATURE = "airTemperatureC";
    private static final String HUMIDITY = "relativeHumidityPct";
    public static final FieldList FIELDS = FieldList.of(
            Field.amount(TEMPERATURE, "air temperature", Quantity.TEMPERATURE)
                    .needed()
                    .anew(),
            Field.amount(HUMIDITY, "relative humidity", Quantity.SHARE).needed().anew());

    private static final String CHART =
            "temperature against moisture, curves of equal relative humidity; a climate logger's CSV can be "
                    + "dropped here";
    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("d MMM uuuu HH:mm", Locale.ENGLISH);

    private final BenchPlace at;
    private final ClimateLimits limits;
    private final Optional<Water> water;
    private final DrawingSurface chart;
    private final ReadingField temperature = new ReadingField(FIELDS.field(TEMPERATURE));
    private final ReadingField humidity = new ReadingField(FIELDS.field(HUMIDITY));
    private final View view;
    private Optional<Logged> logged = Optional.empty();
    private Optional<File> along = Optional.empty();
    private Optional<AtomicBoolean> reading = Optional.empty();
    private Showing<ClimateReadings, ClimateFinding> last;

    /** What a logger's file came to. */
    private record Logged(File file, ClimateFile.Read read) {}

    /** The file's answer, or why there is none. */
    private record Answer(Optional<ClimateFile.Read> read, String refused) {}

    public ClimateBench(BenchPlace place) {
        at = place;
        water = water(place);
        limits = place.plate().climate().orElseThrow();
        chart = new DrawingSurface(place.workplace().look()).withMenu();
        temperature.field().getStyleClass().add("live-field");
        humidity.field().getStyleClass().add("live-field");
        view = new View();
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public void assemble(Worksheet sheet) {
        sheet.amount(TEMPERATURE, Quantity.TEMPERATURE);
        sheet.amount(HUMIDITY, Quantity.SHARE);
        sheet.record("limits", limits);
    }

    /** What the machine's cooling water is set to, or by how much it follows the room, °C. */
    private record Water(OptionalDouble setC, OptionalDouble followC) {}

    private static Optional<Water> water(BenchPlace place) {
        return place.newest("coolant-setpoint").map(Stop::measured).map(measured -> {
            SetpointReadings readings = (SetpointReadings) measured.readings();
            return new Water(
                    readings.followC().isPresent()
                            ? OptionalDouble.empty()
                            : ((SetpointFinding) measured.finding()).setpointC(),
                    readings.followC());
        });
    }

    @Override
    public void show(Showing<ClimateReadings, ClimateFinding> now) {
        last = now;
        if (logged.isPresent()) {
            year(logged.get());
            return;
        }
        view.show(false);
        Optional<ClimateFinding> finding = now.outcome().map(outcome -> outcome.finding());
        chart.show(
                ClimateChart.chart(limits, finding, view.units()),
                finding.map(f -> "humidity chart; the air is at "
                                + Amount.celsius(f.airTemperatureC(), 1).text(view.units()) + " and "
                                + Amount.percent(f.relativeHumidityPct(), 0).text(view.units()))
                        .orElse("humidity chart with the machine's window"));
        view.heading.show(
                finding.isEmpty()
                        ? "Read the hygrometer beside the machine"
                        : finding.get().remedies().isEmpty()
                                ? "The air is within the machine's window"
                                : "The air is outside the machine's window");
    }

    /** The map of a logger's file, and what it comes to in words. */
    private void year(Logged of) {
        view.show(true);
        ClimateYear year = of.read().year();
        String head = String.format(
                                Locale.ROOT,
                                "%,.0f of %,.0f hours outside the machine's window",
                                year.hoursOutside(),
                                year.hours())
                        .replace(',', ' ')
                + year.hoursCondensing()
                        .map(hours -> String.format(Locale.ROOT, "; water condenses in %,.0f", hours)
                                .replace(',', ' '))
                        .orElse("");
        view.heading.show(head);
        chart.show(YearFigure.of(year), head + ", drawn as a map of day against hour");
        view.worst(of);
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    @Override
    public Optional<String> take(File file) {
        if (Thumbnail.isNamedLikeOne(file.getName())) {
            return Optional.of("a picture is no climate log");
        }
        reading.ifPresent(other -> other.set(false));
        AtomicBoolean goOn = new AtomicBoolean(true);
        reading = Optional.of(goOn);
        view.reading(file.getName());
        OptionalDouble set = water.map(Water::setC).orElse(OptionalDouble.empty());
        OptionalDouble follow = water.map(Water::followC).orElse(OptionalDouble.empty());
        at.workplace()
                .apart(
                        () -> {
                            try {
                                return new Answer(
                                        Optional.of(ClimateFile.read(
                                                file.toPath(), new ClimateLog(limits, set, follow), goOn::get)),
                                        "");
                            } catch (ClimateFile.NoClimate refused) {
                                return new Answer(Optional.empty(), refused.getMessage() + ".");
                            } catch (CancellationException stopped) {
                                return new Answer(Optional.empty(), "Stopped; nothing was changed.");
                            }
                        },
                        answer -> answered(file, goOn, answer));
        return Optional.empty();
    }

    private void answered(File file, AtomicBoolean goOn, Answer answer) {
        if (reading.filter(current -> current == goOn).isEmpty()) {
            return;
        }
        reading = Optional.empty();
        logged = answer.read().map(read -> new Logged(file, read)).or(() -> logged);
        show(last);
        if (answer.read().isEmpty()) {
            at.workplace().tell(answer.refused());
        }
    }

    /** Back to the chart. */
    private void leave() {
        logged = Optional.empty();
        show(last);
        temperature.field().requestFocus();
    }

    /** The worst hour as the reading that is judged; the log goes along with the entry. */
    private void takeWorst(Logged of) {
        ClimateYear.Hour worst = of.read().year().worst().get(0);
        UnitChoice units = view.units();
        at.draft().endStep();
        at.draft().type(TEMPERATURE, Amount.celsius(worst.temperatureC(), 1).number(units), units);
        at.draft().type(HUMIDITY, Amount.percent(worst.humidityPct(), 1).number(units), units);
        at.draft().endStep();
        along = Optional.of(of.file());
        leave();
    }

    @Override
    public List<NewAttachment> attachments() {
        return along
                .filter(file -> !temperature.field().getText().isBlank())
                .map(file -> new NewAttachment(file.getName(), () -> Files.newInputStream(file.toPath())))
                .stream()
                .toList();
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
            Draft.retype(
                    texts, TEMPERATURE, asTyped, OptionalDouble.of(readings.airTemperatureC()), Quantity.TEMPERATURE);
            Draft.retype(texts, HUMIDITY, asTyped, OptionalDouble.of(readings.relativeHumidityPct()), Quantity.SHARE);
        }
        return texts;
    }

    private final class View extends Pane {
        private final Heading heading = new Heading(CHART);
        private final Label first = Words.label(temperature.title(), "small");
        private final Label second = Words.label(humidity.title(), "small");
        private final Hyperlink stop = new Hyperlink("Stop reading");
        private final Hyperlink back = new Hyperlink("Back to the chart");
        private final Hyperlink worst = new Hyperlink("Take the worst hour as the reading");
        private final Hyperlink copy = new Hyperlink("");
        private final Label hours = Words.wrapped("", "small");
        private boolean map;

        View() {
            stop.setId("stop-reading");
            stop.setOnAction(event -> reading.ifPresent(running -> running.set(false)));
            stop.setVisible(false);
            back.setId("back-to-chart");
            back.setOnAction(event -> leave());
            worst.setId("take-worst");
            worst.setOnAction(event -> logged.ifPresent(ClimateBench.this::takeWorst));
            copy.setId("copy-lines");
            copy.setOnAction(event -> logged.ifPresent(this::copyLines));
            hours.setId("worst-hours");
            getChildren().addAll(heading, chart, first, temperature, second, humidity, stop, back, worst, copy, hours);
            setMinHeight(420);
        }

        UnitChoice units() {
            return at.units();
        }

        void reading(String name) {
            stop.setVisible(true);
            heading.caption("reading " + name + " ...");
        }

        /** The map with what it comes to, or the chart with its fields. */
        void show(boolean asMap) {
            map = asMap;
            stop.setVisible(reading.isPresent());
            heading.caption(
                    asMap ? "each column a day, midnight above and below; by the worst reading of each hour" : CHART);
            List.of(first, temperature, second, humidity).forEach(node -> node.setVisible(!asMap));
            temperature.field().setVisible(!asMap);
            humidity.field().setVisible(!asMap);
            List.of(back, worst, copy, hours).forEach(node -> node.setVisible(asMap));
            requestLayout();
        }

        void worst(Logged of) {
            List<ClimateYear.Hour> list = of.read().year().worst();
            Words.set(
                    hours,
                    list.isEmpty()
                            ? "No hour was outside."
                            : "Worst: "
                                    + list.stream()
                                            .limit(3)
                                            .map(hour -> HOUR.format(hour.at()) + ", "
                                                    + Amount.celsius(hour.temperatureC(), 1)
                                                            .text(units()) + ", "
                                                    + Amount.percent(hour.humidityPct(), 0)
                                                            .text(units()) + ", dew "
                                                    + Amount.celsius(hour.dewPointC(), 1)
                                                            .text(units()))
                                            .collect(Collectors.joining(";  "))
                                    + ".");
            worst.setVisible(!list.isEmpty() && last.measuring());
            long lost = of.read().damaged().size() + of.read().others();
            copy.setVisible(lost > 0);
            copy.setText(lost + (lost == 1 ? " line" : " lines") + " could not be read, the first is line "
                    + (lost == 0 ? 0 : of.read().damaged().get(0).line()) + ": copy the list");
        }

        private void copyLines(Logged of) {
            StringBuilder text = new StringBuilder("line\twhy\n");
            of.read()
                    .damaged()
                    .forEach(damage -> text.append(damage.line())
                            .append('\t')
                            .append(damage.why())
                            .append('\n'));
            Clip.put(text.toString());
            at.workplace().tell("The list of lines that could not be read is on the clipboard.");
        }

        @Override
        protected void layoutChildren() {
            double width = getWidth();
            double begin = heading.layOut(width);
            stop.resizeRelocate(width - 130, 32, 110, 26);
            if (map) {
                chart.resizeRelocate(4, begin, width - 20, getHeight() - begin - 110);
                double y = getHeight() - 104;
                hours.resizeRelocate(24, y, width - 48, 40);
                back.resizeRelocate(20, y + 40, 150, 28);
                worst.resizeRelocate(180, y + 40, 260, 28);
                copy.resizeRelocate(20, y + 68, width - 48, 28);
                return;
            }
            chart.resizeRelocate(4, begin, width - 20, getHeight() - begin - 12);
            double fieldWidth = Math.min(150, width / 4);
            place(first, temperature, 28, begin + 22, fieldWidth);
            place(second, humidity, 28, begin + 110, fieldWidth);
        }

        private void place(Node label, ReadingField field, double x, double y, double width) {
            label.resizeRelocate(x, y, 160, 18);
            field.resizeRelocate(x, y + 20, width, field.prefHeight(width));
        }
    }
}
