package zebrawood.desktop.exhaust;

import java.io.File;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import zebrawood.core.exhaust.ExhaustFinding;
import zebrawood.core.exhaust.ExhaustReadings;
import zebrawood.core.exhaust.Layout;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.bench.Bench;
import zebrawood.desktop.bench.BenchPlace;
import zebrawood.desktop.bench.ChoiceField;
import zebrawood.desktop.bench.Draft;
import zebrawood.desktop.bench.DrawnForm;
import zebrawood.desktop.bench.DrawnForm.Column;
import zebrawood.desktop.bench.ReadingField;
import zebrawood.desktop.bench.Sheet;
import zebrawood.desktop.bench.Showing;
import zebrawood.desktop.figure.Path;
import zebrawood.logbook.json.Binder;
import zebrawood.logbook.json.RecordWriter;
import zebrawood.logbook.json.StrictJson;

/** The run, a row for each of its parts from the machine to the outlet, and the fan by its curve. */
public final class ExhaustBench implements Bench<ExhaustReadings, ExhaustFinding> {

    private static final String REQUIRED = "requiredFlowM3h";
    private static final String FAN = "fanCurve";
    private static final String SITS = "fanAtDischargeEnd";
    private static final String DUST = "minTransportMs";
    private static final String AIR_C = "air.temperatureC";
    private static final String AIR_KPA = "air.pressureKPa";
    private static final String ROUGH = "rough";
    private static final String TIMES = "times";
    private static final String GAUGE = "gaugePa";
    private static final String GAUGE_DAY = "gaugeDay";
    private static final String EARLIER = "gaugeEarlier";
    private static final String OTHER = "other";
    private static final String RUN = "run";
    private static final int MOST = 9;
    private static final String DUCT = "";
    private static final String HOSE = "hose";
    private static final String FITTING = "bend";
    private static final String FILTER = "filter";
    private static final double HOSE_FRICTION = 1.8;
    private static final String USAGE = "type flow and pressure of each point, as in 0 640; 200 590; 400 455";

    private final BenchPlace place;
    private final DrawnForm form;
    private final Button compare = new Button("Keep to compare");
    private Optional<Layout> shown = Optional.empty();

    public ExhaustBench(BenchPlace place) {
        this.place = place;
        form = new DrawnForm(place, "from the machine to the outlet, bores to scale; an estimate for a talk with whoever builds the duct");
        form.narrow();
        form.amount(REQUIRED, "asked for", Quantity.AIR_FLOW);
        form.choice(SITS, "fan at the", List.of(new ChoiceField.Choice("", "outlet"), new ChoiceField.Choice("machine", "machine")));
        form.truth("startSignal", "start signal", "untried", "works", "fails");
        form.amount(GAUGE, "filter gauge", Quantity.PASCAL, "none");
        form.amount(DUST, "dust needs", Quantity.SPEED, new Amount(Quantity.SPEED, 10, 0));
        form.own(SITS, GAUGE);
        form.anew("startSignal");
        form.line(FAN, "fan: m³/h, Pa; or drop CSV", "0 640; 200 590; 400 455");
        form.rows(RUN, MOST, List.of(
                new Column("kind", "what", Quantity.PLAIN, List.of(new ChoiceField.Choice(DUCT, "duct"), new ChoiceField.Choice(HOSE, "hose"),
                        new ChoiceField.Choice(FITTING, "bend"), new ChoiceField.Choice(FILTER, "filter"))),
                Column.of("name", "called", Quantity.PLAIN),
                Column.of("bore", "bore", Quantity.LENGTH),
                Column.of("a", "m; loss; m³/h", Quantity.PLAIN),
                Column.of("b", "side by side; Pa", Quantity.PLAIN),
                Column.of("c", "Pa when loaded", Quantity.PASCAL)));
        compare.setId("compare");
        compare.getStyleClass().add("pill");
        compare.setOnAction(event -> place.draft().type(OTHER, place.draft().text(OTHER).isEmpty() ? shown.map(RecordWriter::text).orElse("") : "", UnitChoice.METRIC));
        form.pin(compare, (width, height) -> new Path.Box(width - 142, 0, 142, 30));
    }

    @Override
    public Node view() {
        return form;
    }

    @Override
    public void assemble(Sheet sheet) {
        form.assemble(sheet);
        sheet.truth(SITS, place.draft().text(SITS).isEmpty());
        // not asked for here, but kept where an entry has them
        sheet.amount(AIR_C, Quantity.PLAIN);
        sheet.amount(AIR_KPA, Quantity.PLAIN);
        sheet.pairs(FAN, FAN, "flowM3h", "pressurePa", USAGE);
        Map<String, Integer> counts = new HashMap<>();
        for (int row : form.filledRows()) {
            part(sheet, row, form.chosen(row, 0), counts);
        }
        gauge(sheet);
        kept().ifPresent(layout -> sheet.record(OTHER, layout));
    }

    private void part(Sheet sheet, int row, String kind, Map<String, Integer> counts) {
        String field = RUN + "[" + row + "].";
        String list = kind.equals(FITTING) ? "fittings" : kind.equals(FILTER) ? "filters" : "segments";
        int index = counts.merge(list, 1, Integer::sum) - 1;
        String at = list + "[" + index + "].";
        if (place.draft().text(field + "name").isBlank()) {
            sheet.word(at + "name", (kind.isEmpty() ? "duct" : kind) + " " + (index + 1));
        } else {
            sheet.words(field + "name", at + "name");
        }
        switch (list) {
            case "segments" -> {
                sheet.amount(field + "bore", at + "diameterMm", Quantity.LENGTH);
                sheet.amount(field + "a", at + "lengthM", Quantity.PLAIN);
                sheet.amount(field + ROUGH, at + "roughnessMm", Quantity.PLAIN);
                if (kind.equals(HOSE) && sheet.amount(field + TIMES, at + "frictionMultiplier", Quantity.PLAIN).isEmpty()) {
                    sheet.number(at + "frictionMultiplier", HOSE_FRICTION);
                }
            }
            case "fittings" -> {
                sheet.amount(field + "bore", at + "diameterMm", Quantity.LENGTH);
                sheet.amount(field + "a", at + "lossCoefficient", Quantity.PLAIN);
            }
            default -> {
                sheet.amount(field + "a", at + "ratedFlowM3h", Quantity.PLAIN);
                sheet.amount(field + "b", at + "ratedDropPa", Quantity.PLAIN);
                sheet.amount(field + "c", at + "loadedDropPa", Quantity.PASCAL);
            }
        }
        if (!list.equals("filters")) {
            sheet.amount(field + "b", at + "parallel", Quantity.PLAIN);
        }
        if (!list.equals("segments")) {
            sheet.number(at + "segmentsBefore", counts.getOrDefault("segments", 0));
        }
    }

    /** What the gauge showed before, and what it shows now. */
    private void gauge(Sheet sheet) {
        int index = 0;
        for (String earlier : place.draft().text(EARLIER).split(";")) {
            String[] parts = earlier.strip().split(" ");
            if (parts.length == 2) {
                sheet.word("gauge[" + index + "].day", parts[0]);
                sheet.number("gauge[" + index + "].dropPa", Double.parseDouble(parts[1]));
                index++;
            }
        }
        if (!place.draft().text(GAUGE).isBlank()) {
            String day = place.draft().text(GAUGE_DAY);
            sheet.word("gauge[" + index + "].day", day.isEmpty() ? place.desk().local(place.desk().now()).toLocalDate().toString() : day);
            sheet.amount(GAUGE, "gauge[" + index + "].dropPa", Quantity.PASCAL);
        }
    }

    /** The layout that was kept to compare with. */
    private Optional<Layout> kept() {
        String text = place.draft().text(OTHER);
        try {
            return text.isEmpty() ? Optional.empty() : Optional.of(Binder.bind(StrictJson.read(text).root(), Layout.class));
        } catch (ReadingException damaged) {
            return Optional.empty();
        }
    }

    @Override
    public void show(Showing<ExhaustReadings, ExhaustFinding> now) {
        UnitChoice units = place.desk().units().get();
        shown = now.readings().map(ExhaustReadings::layout);
        Optional<ExhaustFinding> finding = now.outcome().map(Outcome::finding);
        compare.setText(place.draft().text(OTHER).isEmpty() ? "Keep to compare" : "Forget the other");
        compare.setVisible(now.measuring() && now.readings().isPresent());
        String head = finding.map(found -> "It draws " + flow(found.operatingFlowM3h(), units) + ", asked for are " + flow(found.requiredFlowM3h(), units)).orElse("From the machine to the outlet");
        form.show(head, ExhaustFigure.of(finding, units), head, now);
    }

    private static String flow(double m3h, UnitChoice units) {
        return new Amount(Quantity.AIR_FLOW, m3h, 0).text(units);
    }

    @Override
    public String next() {
        if (place.draft().text(REQUIRED).isBlank()) {
            return "Read: what flow the machine's manual asks for.";
        }
        if (place.draft().text(FAN).isBlank()) {
            return "Type the fan's curve from its data sheet, or drop its CSV here.";
        }
        boolean ducts = form.filledRows().stream().map(row -> form.chosen(row, 0)).anyMatch(kind -> kind.equals(DUCT) || kind.equals(HOSE));
        return ducts ? "Type what each part of the run is: bore and length, loss, or what a filter takes." : "Type the first duct or hose: bore and length.";
    }

    @Override
    public List<ReadingField> fields() {
        return form.fields();
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    @Override
    public Optional<String> take(File file) {
        return CurveFile.read(file, new CurveFile.Taking() {
            @Override
            public void fan(List<ExhaustReadings.FanPoint> points) {
                place.draft().endStep();
                place.draft().type(FAN, text(points), UnitChoice.METRIC);
                place.draft().endStep();
            }

            @Override
            public void filter(double flowM3h, double dropPa) {
                int row = form.filledRows().stream().filter(filled -> form.chosen(filled, 0).equals(FILTER)).findFirst()
                        .orElse(form.filledRows().isEmpty() ? 0 : Math.min(MOST - 1, form.filledRows().get(form.filledRows().size() - 1) + 1));
                String at = RUN + "[" + row + "].";
                place.draft().endStep();
                place.draft().type(at + "kind", FILTER, UnitChoice.METRIC);
                place.draft().type(at + "a", Amount.exact(flowM3h), UnitChoice.METRIC);
                place.draft().type(at + "b", Amount.exact(dropPa), UnitChoice.METRIC);
                place.draft().endStep();
            }

            @Override
            public void gauge(List<ExhaustReadings.Gauged> readings) {
                place.draft().endStep();
                place.draft().type(EARLIER, days(readings), UnitChoice.METRIC);
                place.draft().endStep();
            }
        });
    }

    private static String text(List<ExhaustReadings.FanPoint> points) {
        return points.stream().map(point -> Amount.exact(point.flowM3h()) + " " + Amount.exact(point.pressurePa())).collect(Collectors.joining("; "));
    }

    private static String days(List<ExhaustReadings.Gauged> readings) {
        return readings.stream().map(gauged -> gauged.day() + " " + Amount.exact(gauged.dropPa())).collect(Collectors.joining("; "));
    }

    @Override
    public Map<String, Draft.Text> texts(ExhaustReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = form.texts(readings, asTyped, whole);
        Draft.put(texts, SITS, readings.fanAtDischargeEnd() ? "" : "machine");
        Draft.put(texts, FAN, Optional.ofNullable(asTyped.get(FAN)).orElseGet(() -> text(readings.fanCurve())));
        readings.air().ifPresent(air -> {
            Draft.retype(texts, AIR_C, asTyped, air.temperatureC(), Quantity.PLAIN);
            Draft.retype(texts, AIR_KPA, asTyped, air.pressureKPa(), Quantity.PLAIN);
        });
        readings.other().ifPresent(other -> Draft.put(texts, OTHER, RecordWriter.text(other)));
        run(texts, readings, asTyped);
        List<ExhaustReadings.Gauged> gauge = readings.gauge();
        if (whole) {
            Draft.put(texts, EARLIER, days(gauge.subList(0, Math.max(0, gauge.size() - 1))));
            if (!gauge.isEmpty()) {
                ExhaustReadings.Gauged last = gauge.get(gauge.size() - 1);
                texts.put(GAUGE, Draft.retyped(asTyped.get("gauge[" + (gauge.size() - 1) + "].dropPa"), last.dropPa(), Quantity.PASCAL));
                Draft.put(texts, GAUGE_DAY, last.day().toString());
            }
        } else {
            Draft.put(texts, EARLIER, days(gauge));
        }
        return texts;
    }

    /** Rows in the order of the run. */
    private static void run(Map<String, Draft.Text> texts, ExhaustReadings readings, Map<String, String> asTyped) {
        int row = 0;
        int last = readings.segments().size();
        for (int passed = 0; passed <= last; passed++) {
            for (int i = 0; i < readings.filters().size(); i++) {
                Layout.Filter filter = readings.filters().get(i);
                if (Math.min(last, filter.segmentsBefore().orElse(0)) == passed) {
                    String at = "filters[" + i + "].";
                    String field = begin(texts, row++, FILTER, filter.name());
                    texts.put(field + "a", Draft.retyped(asTyped.get(at + "ratedFlowM3h"), filter.ratedFlowM3h(), Quantity.PLAIN));
                    texts.put(field + "b", Draft.retyped(asTyped.get(at + "ratedDropPa"), filter.ratedDropPa(), Quantity.PLAIN));
                    filter.loadedDropPa().ifPresent(pa -> texts.put(field + "c", Draft.retyped(asTyped.get(at + "loadedDropPa"), pa, Quantity.PASCAL)));
                }
            }
            for (int i = 0; i < readings.fittings().size(); i++) {
                Layout.Fitting fitting = readings.fittings().get(i);
                if (Math.min(last, fitting.segmentsBefore().orElse(last)) == passed) {
                    String at = "fittings[" + i + "].";
                    String field = begin(texts, row++, FITTING, fitting.name());
                    texts.put(field + "bore", Draft.retyped(asTyped.get(at + "diameterMm"), fitting.diameterMm(), Quantity.LENGTH));
                    texts.put(field + "a", Draft.retyped(asTyped.get(at + "lossCoefficient"), fitting.lossCoefficient(), Quantity.PLAIN));
                    beside(texts, field, fitting.parallel());
                }
            }
            if (passed < last) {
                Layout.Segment segment = readings.segments().get(passed);
                String at = "segments[" + passed + "].";
                String field = begin(texts, row++, segment.frictionMultiplier().orElse(1) > 1 ? HOSE : DUCT, segment.name());
                texts.put(field + "bore", Draft.retyped(asTyped.get(at + "diameterMm"), segment.diameterMm(), Quantity.LENGTH));
                texts.put(field + "a", Draft.retyped(asTyped.get(at + "lengthM"), segment.lengthM(), Quantity.PLAIN));
                segment.roughnessMm().ifPresent(mm -> Draft.put(texts, field + ROUGH, Amount.exact(mm)));
                segment.frictionMultiplier().ifPresent(times -> Draft.put(texts, field + TIMES, Amount.exact(times)));
                beside(texts, field, segment.parallel());
            }
        }
    }

    private static String begin(Map<String, Draft.Text> texts, int row, String kind, String name) {
        String field = RUN + "[" + row + "].";
        Draft.put(texts, field + "kind", kind);
        Draft.put(texts, field + "name", name);
        return field;
    }

    private static void beside(Map<String, Draft.Text> texts, String field, OptionalInt parallel) {
        parallel.ifPresent(many -> Draft.put(texts, field + "b", Integer.toString(many)));
    }
}
