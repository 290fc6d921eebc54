package zebrawood.benches.coolant;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.core.coolant.CoolantSetpoint;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.HeatFinding;
import zebrawood.core.coolant.HeatReadings;
import zebrawood.core.coolant.MixFinding;
import zebrawood.core.coolant.SetpointFinding;
import zebrawood.core.machine.Plate;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Draft;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.form.Worksheet;

/**
 * What goes into the source and does not come out as light, and what carries it away: a bucket, a chiller, or both.
 * What the other parts of the bench found (what was filled in, what is set) holds here until something else is chosen
 * or typed.
 */
public final class HeatBench extends FormBench<HeatReadings, HeatFinding> {

    private static final String OUTPUT = "opticalOutputW";
    private static final String START = "startC";
    private static final String SHARE = "glycolPct";
    private static final String GLYCOL = "glycol";

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("electricalInputW", "power into the source", Quantity.POWER)
                    .needed(),
            Field.amount(OUTPUT, "optical output", Quantity.POWER).needed(),
            Field.amount("flowLMin", "flow", Quantity.FLOW).needed().anew(),
            Field.amount(START, "inlet at start", Quantity.TEMPERATURE).needed().anew(),
            Field.amount("maxC", "outlet, at the most", Quantity.TEMPERATURE).needed(),
            Field.amount("minC", "inlet, at the least", Quantity.TEMPERATURE).usually(Amount.celsius(10, 0)),
            Field.amount("dewPointC", "dew point of the room", Quantity.TEMPERATURE)
                    .empty("not known"),
            Field.amount("chillerW", "cooling capacity", Quantity.POWER).empty("no chiller"),
            Field.amount("chillerReservePct", "reserve of the chiller", Quantity.SHARE)
                    .usually(Amount.percent(20, 0)),
            Field.amount("reservoirL", "bucket holds", Quantity.VOLUME).empty("no bucket"),
            Field.oneOf(GLYCOL, "in the water", choices(Glycol.NONE)),
            Field.amount(SHARE, "share of glycol", Quantity.SHARE));

    private final Optional<MixFinding> filled;

    public HeatBench(BenchPlace place) {
        super(
                place,
                fields(filled(place)),
                "an estimate: the thermometer at the outlet and the maker's manual decide",
                known(place));
        filled = filled(place);
    }

    private static Optional<MixFinding> filled(BenchPlace place) {
        return place.found("coolant-mix", MixFinding.class);
    }

    /** What was filled in stands first, and is not taken over from an older reading. */
    private static FieldList fields(Optional<MixFinding> filled) {
        return filled.map(mix -> FIELDS.replacing(
                        Field.oneOf(GLYCOL, FIELDS.field(GLYCOL).label(), choices(mix.glycol()))
                                .anew(),
                        FIELDS.field(SHARE).anew()))
                .orElse(FIELDS);
    }

    private static Map<String, Amount> known(BenchPlace place) {
        Map<String, Amount> known = new HashMap<>();
        place.plate()
                .source()
                .map(Plate.Source::ratedPowerW)
                .orElse(OptionalDouble.empty())
                .ifPresent(watts -> known.put(OUTPUT, Amount.told(Quantity.POWER, watts)));
        place.found("coolant-setpoint", SetpointFinding.class)
                .filter(finding -> finding.setpointC().isPresent())
                .map(CoolantSetpoint::set)
                .ifPresent(celsius -> known.put(START, Amount.celsius(celsius, 1)));
        return known;
    }

    /** The share of the glycol that was filled in, %, where that is the one that is chosen. */
    private OptionalDouble share() {
        return filled.filter(mix -> id(mix.glycol()).equals(form().chosen(GLYCOL))
                        && mix.glycolPct().isPresent())
                .map(mix -> OptionalDouble.of(mix.glycolPct().getAsInt()))
                .orElse(OptionalDouble.empty());
    }

    /** The kinds of glycol, as they stand in readings and as they are said; the usual one first. */
    static List<Choice> choices(Glycol usual) {
        return Stream.concat(Stream.of(usual), Stream.of(Glycol.values()).filter(glycol -> glycol != usual))
                .map(glycol -> new Choice(id(glycol), glycol.words()))
                .toList();
    }

    private static String id(Glycol glycol) {
        return glycol.name().toLowerCase(Locale.ROOT);
    }

    @Override
    public void assemble(Worksheet sheet) {
        super.assemble(sheet);
        if (text(SHARE).isEmpty()) {
            share().ifPresent(pct -> sheet.number(SHARE, pct));
        }
    }

    @Override
    public void show(Showing<HeatReadings, HeatFinding> now) {
        super.show(now);
        form().field(SHARE)
                .field()
                .setPromptText(Amount.percent(share().orElse(0), 0).number(place().units()));
    }

    @Override
    protected String head(Showing<HeatReadings, HeatFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> "The water takes up " + new Amount(Quantity.POWER, found.heatW(), 0).text(units)
                        + " and leaves "
                        + Amount.celsiusDifference(found.riseC(), 1).text(units) + " warmer")
                .orElse("Where the source's heat goes");
    }

    @Override
    protected Figure figure(Showing<HeatReadings, HeatFinding> now, UnitChoice units) {
        return HeatFigure.of(now.finding(), units);
    }

    @Override
    public Map<String, Draft.Text> texts(HeatReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = super.texts(readings, asTyped, whole);
        if (whole && readings.glycol().isEmpty()) {
            Draft.put(texts, GLYCOL, id(Glycol.NONE));
        }
        return texts;
    }
}
