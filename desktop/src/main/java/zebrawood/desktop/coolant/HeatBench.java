package zebrawood.desktop.coolant;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;
import javafx.scene.Node;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.HeatFinding;
import zebrawood.core.coolant.HeatReadings;
import zebrawood.core.coolant.MixFinding;
import zebrawood.core.coolant.SetpointFinding;
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

/**
 * What goes into the source and does not come out as light, and what carries it away: a bucket, a chiller, or both. What the
 * other parts of the bench found (what was filled in, what is set) holds here until something else is typed.
 */
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
    private final ReadingField share;
    private final List<ReadingField> needed;
    private final Optional<MixFinding> filled;

    public HeatBench(BenchPlace place) {
        this.place = place;
        Optional<Double> rated = place.plate().source().map(Plate.Source::ratedPowerW).filter(OptionalDouble::isPresent).map(OptionalDouble::getAsDouble);
        filled = place.found("coolant-mix", MixFinding.class);
        Optional<Double> set = place.found("coolant-setpoint", SetpointFinding.class).filter(finding -> finding.setpointC().isPresent()).map(CoolantSetpoint::set);
        form = new DrawnForm(place, "an estimate: the thermometer at the outlet and the maker's manual decide");
        ReadingField input = form.amount(INPUT, "power into the source", Quantity.POWER);
        ReadingField output = form.amount(OUTPUT, "light out of it", Quantity.POWER, rated.map(watts -> new Amount(Quantity.POWER, watts, watts % 1 == 0 ? 0 : 1)));
        ReadingField flow = form.amount(FLOW, "flow", Quantity.FLOW);
        ReadingField start = form.amount(START, "water as one begins", Quantity.TEMPERATURE, set.map(celsius -> Amount.celsius(celsius, 1)));
        ReadingField most = form.amount(MOST, "outlet, at the most", Quantity.TEMPERATURE);
        form.amount(CHILLER, "chiller carries away", Quantity.POWER, "no chiller");
        form.amount(BUCKET, "bucket holds", Quantity.VOLUME, "no bucket");
        glycol = form.choice(GLYCOL, "in the water", choices(filled.map(MixFinding::glycol).orElse(Glycol.NONE)));
        share = form.amount(SHARE, "share of glycol", Quantity.SHARE);
        form.anew(FLOW, START);
        if (filled.isPresent()) {
            form.anew(GLYCOL, SHARE);
        }
        needed = Stream.of(Optional.of(input), Optional.of(output).filter(field -> rated.isEmpty()), Optional.of(flow),
                Optional.of(start).filter(field -> set.isEmpty()), Optional.of(most)).flatMap(Optional::stream).toList();
    }

    /** The share of the glycol that was filled in, %, where that is the one that is chosen. */
    private OptionalDouble share() {
        return filled.filter(filling -> id(filling.glycol()).equals(glycol.chosen())).map(MixFinding::glycolPct).filter(OptionalInt::isPresent).map(pct -> OptionalDouble.of(pct.getAsInt())).orElse(OptionalDouble.empty());
    }

    /** The kinds of glycol, as they stand in readings and as they are said; the usual one first. */
    static List<ChoiceField.Choice> choices(Glycol usual) {
        return Stream.concat(Stream.of(usual), Stream.of(Glycol.values()).filter(g -> g != usual)).map(g -> new ChoiceField.Choice(id(g), g.words())).toList();
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
        form.assemble(sheet);
        if (place.draft().text(SHARE).isBlank()) {
            share().ifPresent(pct -> sheet.number(SHARE, pct));
        }
    }

    @Override
    public void show(Showing<HeatReadings, HeatFinding> now) {
        UnitChoice units = place.desk().units().get();
        Optional<HeatFinding> finding = now.outcome().map(Outcome::finding);
        String head = finding.map(f -> "The water takes up " + new Amount(Quantity.POWER, f.heatW(), 0).text(units)
                + " and leaves " + Amount.celsiusDifference(f.riseC(), 1).text(units) + " warmer").orElse("Where the source's heat goes");
        share.field().setPromptText(Amount.percent(share().orElse(0), 0).number(units));
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
        Map<String, Draft.Text> texts = form.texts(readings, asTyped, whole);
        if (whole && readings.glycol().isEmpty()) {
            Draft.put(texts, GLYCOL, id(Glycol.NONE));
        }
        return texts;
    }
}
