package zebrawood.benches.extraction;

import java.io.File;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import zebrawood.core.extraction.ExtractionFinding;
import zebrawood.core.extraction.ExtractionReadings;
import zebrawood.core.extraction.Layout;
import zebrawood.core.extraction.UsualLoss;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.json.Binder;
import zebrawood.json.RecordWriter;
import zebrawood.json.StrictJson;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.figure.Path;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Kind;
import zebrawood.kit.form.Worksheet;

/** The run, a row for each of its parts from the machine to the outlet, and the fan by its curve. */
public final class ExtractionBench extends FormBench<ExtractionReadings, ExtractionFinding> {

    private static final String REQUIRED = "requiredFlowM3h";
    private static final String FAN = "fanCurve";
    private static final String AIR_C = "air.temperatureC";
    private static final String AIR_KPA = "air.pressureKPa";
    private static final String ROUGH = "rough";
    private static final String TIMES = "times";
    private static final String GAUGE = "gaugePa";
    private static final String GAUGE_DAY = "gaugeDay";
    private static final String EARLIER = "gaugeEarlier";
    private static final String OTHER = "other";
    private static final String RUN = "run";
    /** parts of a run, and as many rows as fit */
    private static final int MOST = 9;

    private static final String DUCT = "";
    private static final String HOSE = "hose";
    private static final String FITTING = "bend";
    private static final String FILTER = "filter";
    /** a ribbed hose rubs nearly twice as much as a smooth duct of its bore; where nobody says how much */
    private static final double HOSE_FRICTION = 1.8;

    private static final String USAGE = "type flow and pressure of each point, as in 0 640; 200 590; 400 455";

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount(REQUIRED, "required", Quantity.AIR_FLOW).needed(),
                    Field.either(
                            "fanAtDischargeEnd",
                            "fan at the",
                            new Choice("", "outlet"),
                            new Choice("machine", "machine")),
                    Field.truth("startSignal", "start signal", "untried", "works", "fails")
                            .anew(),
                    Field.amount(GAUGE, "filter gauge", Quantity.PASCAL)
                            .empty("none")
                            .own(),
                    Field.amount("port.velocityMs", "at the port", Quantity.SPEED)
                            .empty("none")
                            .anew(),
                    Field.amount("port.diameterMm", "port, bore", Quantity.LENGTH),
                    Field.amount("minTransportMs", "least speed", Quantity.SPEED)
                            .usually(new Amount(Quantity.SPEED, 10, 0)),
                    Field.pairs(
                                    FAN,
                                    "fan curve, m³/h and Pa",
                                    new Kind.Pairs("flowM3h", Quantity.AIR_FLOW, "pressurePa", Quantity.PASCAL, USAGE))
                            .empty("0 640; 200 590; 400 455"))
            .ownRows(
                    RUN,
                    MOST,
                    false,
                    Field.oneOf("kind", "what", parts()),
                    Field.words("name", "called"),
                    Field.amount("bore", "bore", Quantity.LENGTH),
                    Field.amount("a", "m; loss; m³/h", Quantity.PLAIN),
                    Field.amount("b", "side by side; Pa", Quantity.PLAIN),
                    Field.amount("c", "when loaded", Quantity.PASCAL))
            .listed(
                    "",
                    "segments",
                    "name",
                    Field.amount("diameterMm", "bore", Quantity.LENGTH),
                    Field.amount("lengthM", "long", Quantity.DISTANCE),
                    Field.amount("parallel", "side by side", Quantity.PLAIN))
            .listed("", "fittings", "name", Field.amount("lossCoefficient", "loss", Quantity.PLAIN))
            .listed(
                    "",
                    "filters",
                    "name",
                    Field.amount("ratedDropPa", "clean", Quantity.PASCAL),
                    Field.amount("loadedDropPa", "loaded", Quantity.PASCAL))
            .listed("", "gauge", "day", Field.amount("dropPa", "gauge", Quantity.PASCAL));

    private final Button compare = new Button("Keep to compare");
    private Optional<Layout> shown = Optional.empty();

    public ExtractionBench(BenchPlace place) {
        super(
                place,
                FIELDS,
                "from the machine to the outlet, bores to scale; an estimate for a talk with whoever builds the duct");
        form().narrow();
        compare.setId("compare");
        compare.getStyleClass().add("pill");
        compare.setOnAction(event -> place.draft()
                .type(
                        OTHER,
                        text(OTHER).isEmpty() ? shown.map(RecordWriter::text).orElse("") : "",
                        UnitChoice.METRIC));
        form().pin(compare, (width, height) -> new Path.Box(width - 142, 0, 142, 30));
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        // not asked for here, but kept where an entry has them
        sheet.amount(AIR_C, Quantity.PLAIN);
        sheet.amount(AIR_KPA, Quantity.PLAIN);
        Map<String, Integer> counts = new HashMap<>();
        for (int row : form().filledRows()) {
            part(sheet, row, kind(row), counts);
        }
        gauge(sheet);
        kept().ifPresent(layout -> sheet.record(OTHER, layout));
    }

    /** What a run is made of; a usual loss stands beside its name. */
    private static List<Choice> parts() {
        List<Choice> parts = new ArrayList<>(List.of(
                new Choice(DUCT, "duct"),
                new Choice(HOSE, "hose"),
                new Choice(FITTING, "bend"),
                new Choice(FILTER, "filter")));
        for (UsualLoss loss : UsualLoss.values()) {
            parts.add(new Choice(loss.words(), loss.words() + ", " + Amount.exact(loss.coefficient())));
        }
        return parts;
    }

    /** The usual loss of a kind of part, where it was picked by one. */
    private static Optional<UsualLoss> usual(String kind) {
        return Stream.of(UsualLoss.values())
                .filter(loss -> loss.words().equals(kind))
                .findFirst();
    }

    private String kind(int row) {
        return form().chosen(RUN + "[" + row + "].kind");
    }

    /**
     * What is not asked for here, but kept where an entry has it: it follows its duct by its name, in whatever row that
     * stands.
     */
    private static String hidden(String what, String name) {
        return what + " of " + name;
    }

    private void part(Worksheet sheet, int row, String kind, Map<String, Integer> counts) {
        String field = RUN + "[" + row + "].";
        String list = kind.equals(FITTING) || usual(kind).isPresent()
                ? "fittings"
                : kind.equals(FILTER) ? "filters" : "segments";
        int index = counts.merge(list, 1, Integer::sum) - 1;
        String at = list + "[" + index + "].";
        if (place().draft().text(field + "name").isBlank()) {
            sheet.word(at + "name", (kind.isEmpty() ? "duct" : kind) + " " + (index + 1));
        } else {
            sheet.words(field + "name", at + "name");
        }
        String name = place().draft().text(field + "name").strip();
        switch (list) {
            case "segments" -> {
                sheet.amount(field + "bore", at + "diameterMm", Quantity.LENGTH);
                sheet.amount(field + "a", at + "lengthM", Quantity.PLAIN);
                sheet.amount(hidden(ROUGH, name), at + "roughnessMm", Quantity.PLAIN);
                if (kind.equals(HOSE)
                        && sheet.amount(hidden(TIMES, name), at + "frictionMultiplier", Quantity.PLAIN)
                                .isEmpty()) {
                    sheet.number(at + "frictionMultiplier", HOSE_FRICTION);
                }
            }
            case "fittings" -> {
                sheet.amount(field + "bore", at + "diameterMm", Quantity.LENGTH);
                if (place().draft().text(field + "a").isBlank() && usual(kind).isPresent()) {
                    sheet.number(at + "lossCoefficient", usual(kind).get().coefficient());
                } else {
                    sheet.amount(field + "a", at + "lossCoefficient", Quantity.PLAIN);
                }
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
    private void gauge(Worksheet sheet) {
        int index = 0;
        for (String earlier : place().draft().text(EARLIER).split(";")) {
            String[] parts = earlier.strip().split(" ");
            if (parts.length == 2) {
                sheet.word("gauge[" + index + "].day", parts[0]);
                sheet.number("gauge[" + index + "].dropPa", Double.parseDouble(parts[1]));
                index++;
            }
        }
        if (!place().draft().text(GAUGE).isBlank()) {
            String day = place().draft().text(GAUGE_DAY);
            sheet.word(
                    "gauge[" + index + "].day",
                    day.isEmpty()
                            ? place().workplace()
                                    .local(place().workplace().now())
                                    .toLocalDate()
                                    .toString()
                            : day);
            sheet.amount(GAUGE, "gauge[" + index + "].dropPa", Quantity.PASCAL);
        }
    }

    /** The layout that was kept to compare with. */
    private Optional<Layout> kept() {
        String text = place().draft().text(OTHER);
        try {
            return text.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Binder.bind(StrictJson.read(text).root(), Layout.class));
        } catch (ReadingException damaged) {
            return Optional.empty();
        }
    }

    @Override
    public void show(Showing<ExtractionReadings, ExtractionFinding> now) {
        shown = now.readings().map(ExtractionReadings::layout);
        compare.setText(text(OTHER).isEmpty() ? "Keep to compare" : "Forget the other");
        form().drawAtLeast(text(OTHER).isEmpty() ? ExtractionFigure.LEAST_HEIGHT : ExtractionFigure.LEAST_OF_TWO);
        compare.setVisible(now.measuring() && now.readings().isPresent());
        super.show(now);
    }

    @Override
    protected String head(Showing<ExtractionReadings, ExtractionFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "It draws " + flow(found.operatingFlowM3h(), units) + ", required are "
                        + flow(found.requiredFlowM3h(), units))
                .orElse("From the machine to the outlet");
    }

    @Override
    protected Figure figure(Showing<ExtractionReadings, ExtractionFinding> now, UnitChoice units) {
        return ExtractionFigure.of(now.finding(), units);
    }

    private static String flow(double m3h, UnitChoice units) {
        return new Amount(Quantity.AIR_FLOW, m3h, 0).text(units);
    }

    @Override
    public String next() {
        if (text(REQUIRED).isEmpty()) {
            return "Read: what flow the machine's manual asks for.";
        }
        if (text(FAN).isEmpty()) {
            return "Type the fan's curve from its data sheet, or drop its CSV here.";
        }
        boolean ducts =
                form().filledRows().stream().map(this::kind).anyMatch(kind -> kind.equals(DUCT) || kind.equals(HOSE));
        return ducts
                ? "Type what each part of the run is: bore and length, loss, or what a filter takes."
                : "Type the first duct or hose: bore and length.";
    }

    @Override
    public boolean takesFiles() {
        return true;
    }

    @Override
    public Optional<String> take(File file) {
        return CurveFile.read(file, new CurveFile.Taking() {
            @Override
            public void fan(List<ExtractionReadings.FanPoint> points) {
                place().draft().endStep();
                place().draft().type(FAN, text(points), UnitChoice.METRIC);
                place().draft().endStep();
            }

            @Override
            public void filter(double flowM3h, double dropPa) {
                int row = form().filledRows().stream()
                        .filter(filled -> kind(filled).equals(FILTER))
                        .findFirst()
                        .orElse(
                                form().filledRows().isEmpty()
                                        ? 0
                                        : Math.min(
                                                MOST - 1,
                                                form().filledRows()
                                                                .get(form().filledRows()
                                                                                .size()
                                                                        - 1)
                                                        + 1));
                String at = RUN + "[" + row + "].";
                place().draft().endStep();
                place().draft().type(at + "kind", FILTER, UnitChoice.METRIC);
                place().draft().type(at + "a", Amount.exact(flowM3h), UnitChoice.METRIC);
                place().draft().type(at + "b", Amount.exact(dropPa), UnitChoice.METRIC);
                place().draft().endStep();
            }

            @Override
            public void gauge(List<ExtractionReadings.Gauged> readings) {
                place().draft().endStep();
                place().draft().type(EARLIER, days(readings), UnitChoice.METRIC);
                place().draft().endStep();
            }
        });
    }

    private static String text(List<ExtractionReadings.FanPoint> points) {
        return points.stream()
                .map(point -> Amount.exact(point.flowM3h()) + " " + Amount.exact(point.pressurePa()))
                .collect(Collectors.joining("; "));
    }

    private static String days(List<ExtractionReadings.Gauged> readings) {
        return readings.stream()
                .map(gauged -> gauged.day() + " " + Amount.exact(gauged.dropPa()))
                .collect(Collectors.joining("; "));
    }

    @Override
    public Map<String, Draft.Text> texts(ExtractionReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = super.texts(readings, asTyped, whole);
        readings.air().ifPresent(air -> {
            Draft.retype(texts, AIR_C, asTyped, air.temperatureC(), Quantity.PLAIN);
            Draft.retype(texts, AIR_KPA, asTyped, air.pressureKPa(), Quantity.PLAIN);
        });
        readings.other().ifPresent(other -> Draft.put(texts, OTHER, RecordWriter.text(other)));
        run(texts, readings, asTyped);
        List<ExtractionReadings.Gauged> gauge = readings.gauge();
        if (whole) {
            Draft.put(texts, EARLIER, days(gauge.subList(0, Math.max(0, gauge.size() - 1))));
            if (!gauge.isEmpty()) {
                ExtractionReadings.Gauged last = gauge.get(gauge.size() - 1);
                texts.put(
                        GAUGE,
                        Draft.retyped(
                                asTyped.get("gauge[" + (gauge.size() - 1) + "].dropPa"),
                                last.dropPa(),
                                Quantity.PASCAL));
                Draft.put(texts, GAUGE_DAY, last.day().toString());
            }
        } else {
            Draft.put(texts, EARLIER, days(gauge));
        }
        return texts;
    }

    /** Rows in the order of the run. */
    private static void run(Map<String, Draft.Text> texts, ExtractionReadings readings, Map<String, String> asTyped) {
        int row = 0;
        int last = readings.segments().size();
        for (int passed = 0; passed <= last; passed++) {
            for (int i = 0; i < readings.filters().size(); i++) {
                Layout.Filter filter = readings.filters().get(i);
                if (Math.min(last, filter.segmentsBefore().orElse(0)) == passed) {
                    String at = "filters[" + i + "].";
                    String field = begin(texts, row++, FILTER, filter.name());
                    texts.put(
                            field + "a",
                            Draft.retyped(asTyped.get(at + "ratedFlowM3h"), filter.ratedFlowM3h(), Quantity.PLAIN));
                    texts.put(
                            field + "b",
                            Draft.retyped(asTyped.get(at + "ratedDropPa"), filter.ratedDropPa(), Quantity.PLAIN));
                    filter.loadedDropPa()
                            .ifPresent(pa -> texts.put(
                                    field + "c", Draft.retyped(asTyped.get(at + "loadedDropPa"), pa, Quantity.PASCAL)));
                }
            }
            for (int i = 0; i < readings.fittings().size(); i++) {
                Layout.Fitting fitting = readings.fittings().get(i);
                if (Math.min(last, fitting.segmentsBefore().orElse(last)) == passed) {
                    String at = "fittings[" + i + "].";
                    String field = begin(texts, row++, FITTING, fitting.name());
                    texts.put(
                            field + "bore",
                            Draft.retyped(asTyped.get(at + "diameterMm"), fitting.diameterMm(), Quantity.LENGTH));
                    texts.put(
                            field + "a",
                            Draft.retyped(
                                    asTyped.get(at + "lossCoefficient"), fitting.lossCoefficient(), Quantity.PLAIN));
                    beside(texts, field, fitting.parallel());
                }
            }
            if (passed < last) {
                Layout.Segment segment = readings.segments().get(passed);
                String at = "segments[" + passed + "].";
                String field =
                        begin(texts, row++, segment.frictionMultiplier().orElse(1) > 1 ? HOSE : DUCT, segment.name());
                texts.put(
                        field + "bore",
                        Draft.retyped(asTyped.get(at + "diameterMm"), segment.diameterMm(), Quantity.LENGTH));
                texts.put(field + "a", Draft.retyped(asTyped.get(at + "lengthM"), segment.lengthM(), Quantity.PLAIN));
                segment.roughnessMm()
                        .ifPresent(mm -> Draft.put(texts, hidden(ROUGH, segment.name()), Amount.exact(mm)));
                segment.frictionMultiplier()
                        .ifPresent(times -> Draft.put(texts, hidden(TIMES, segment.name()), Amount.exact(times)));
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
