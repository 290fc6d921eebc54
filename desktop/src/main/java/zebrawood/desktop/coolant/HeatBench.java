package zebrawood.desktop.coolant;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.scene.Node;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.HeatFinding;
import zebrawood.core.coolant.HeatReadings;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Outcome;
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

/** What goes into the source and does not come out as light, and what carries it away: a bucket, a chiller, or both. */
public final class HeatBench implements Bench<HeatReadings, HeatFinding> {

    private static final String INPUT = "electricalInputW";
    private static final String OUTPUT = "opticalOutputW";
    private static final String FLOW = "flowLMin";
    private static final String START = "startC";
    private static final String MOST = "maxC";
    private static final String CHILLER = "chillerW";
    private static final String BUCKET = "reservoirL";
    private static final String GLYCOL = "glycol";
    private static final String SHARE = "glycolPct";

    private final BenchPlace place;
    private final DrawnForm form;
    private final ChoiceField glycol;
    private final List<ReadingField> needed;
    private final OptionalDouble rated;

    public HeatBench(BenchPlace place) {
        this.place = place;
        rated = place.plate().source().map(Plate.Source::ratedPowerW).orElse(OptionalDouble.empty());
        form = new DrawnForm(place, "an estimate: the thermometer at the outlet and the maker's manual decide");
        form.parts(WaterParts.ALL, WaterParts.HEAT);
        ReadingField input = form.amount(INPUT, "power into the source", Quantity.POWER);
        form.amount(OUTPUT, "light out of it", Quantity.POWER, rated.isPresent() ? Amount.exact(rated.getAsDouble()) : "");
        ReadingField flow = form.amount(FLOW, "flow", Quantity.FLOW);
        ReadingField start = form.amount(START, "water as one begins", Quantity.TEMPERATURE);
        ReadingField most = form.amount(MOST, "outlet, at the most", Quantity.TEMPERATURE);
        form.amount(CHILLER, "chiller carries away", Quantity.POWER, "no chiller");
        form.amount(BUCKET, "bucket holds", Quantity.VOLUME, "no bucket");
        glycol = form.choice(GLYCOL, "in the water", choices());
        form.amount(SHARE, "share of glycol", Quantity.SHARE, "0");
        needed = rated.isPresent() ? List.of(input, flow, start, most) : List.of(input, form.fields().get(1), flow, start, most);
    }

    /** The kinds of glycol, as they stand in readings and as they are said. */
    static List<ChoiceField.Choice> choices() {
        return Stream.of(Glycol.values()).map(g -> new ChoiceField.Choice(id(g), g.words())).toList();
    }

    static String id(Glycol glycol) {
        return glycol.name().toLowerCase(Locale.ROOT);
    }

    @Override
    public Node view() {
        return form;
    }

    @Override
    public void assemble(Sheet sheet) {
        sheet.amount(INPUT, Quantity.POWER);
        if (sheet.amount(OUTPUT, Quantity.POWER).isEmpty() && place.draft().text(OUTPUT).isBlank() && rated.isPresent()) {
            sheet.number(OUTPUT, rated.getAsDouble());
        }
        sheet.amount(FLOW, Quantity.FLOW);
        sheet.amount(START, Quantity.TEMPERATURE);
        sheet.amount(MOST, Quantity.TEMPERATURE);
        sheet.amount(CHILLER, Quantity.POWER);
        sheet.amount(BUCKET, Quantity.VOLUME);
        sheet.word(GLYCOL, glycol.chosen());
        sheet.amount(SHARE, Quantity.SHARE);
    }

    @Override
    public void show(Showing<HeatReadings, HeatFinding> now) {
        UnitChoice units = place.desk().units().get();
        Optional<HeatFinding> finding = now.outcome().map(Outcome::finding);
        String head = finding.map(f -> "The water takes up " + new Amount(Quantity.POWER, f.heatW(), 0).text(units)
                + " and leaves " + Amount.celsiusDifference(f.riseC(), 1).text(units) + " warmer").orElse("Where the source's heat goes");
        form.show(head, HeatFigure.of(finding, units), head, now);
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
    public Map<String, Draft.Text> texts(HeatReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = new HashMap<>();
        readings.glycol().ifPresent(g -> texts.put(GLYCOL, new Draft.Text(id(g), UnitChoice.METRIC)));
        Draft.retype(texts, SHARE, asTyped, readings.glycolPct(), Quantity.SHARE);
        Draft.retype(texts, INPUT, asTyped, OptionalDouble.of(readings.electricalInputW()), Quantity.POWER);
        Draft.retype(texts, OUTPUT, asTyped, OptionalDouble.of(readings.opticalOutputW()), Quantity.POWER);
        Draft.retype(texts, MOST, asTyped, OptionalDouble.of(readings.maxC()), Quantity.TEMPERATURE);
        Draft.retype(texts, CHILLER, asTyped, readings.chillerW(), Quantity.POWER);
        Draft.retype(texts, BUCKET, asTyped, readings.reservoirL(), Quantity.VOLUME);
        if (whole) {
            Draft.retype(texts, FLOW, asTyped, OptionalDouble.of(readings.flowLMin()), Quantity.FLOW);
            Draft.retype(texts, START, asTyped, OptionalDouble.of(readings.startC()), Quantity.TEMPERATURE);
        }
        return texts;
    }
}
