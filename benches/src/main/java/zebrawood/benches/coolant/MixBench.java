package zebrawood.benches.coolant;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.MixFinding;
import zebrawood.core.coolant.MixReadings;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.kit.bench.BenchPlace;
import zebrawood.kit.bench.FormBench;
import zebrawood.kit.bench.Showing;
import zebrawood.kit.figure.Figure;
import zebrawood.kit.form.Choice;
import zebrawood.kit.form.Field;
import zebrawood.kit.form.FieldList;
import zebrawood.kit.view.Slip;

/**
 * What the circuit holds and how cold it may get; the reservoir is drawn with its levels before and after the pump has
 * run.
 */
public final class MixBench extends FormBench<MixReadings, MixFinding> {

    private static final Choice NOT_YET = new Choice("", "not yet");

    public static final FieldList FIELDS = FieldList.of(
            Field.amount("circuitVolumeMl", "circuit holds", Quantity.MEASURE).needed(),
            Field.amount("lowestAmbientC", "coldest in the room", Quantity.TEMPERATURE)
                    .needed(),
            Field.oneOf("glycol", "against freezing", HeatBench.choices(Glycol.NONE)),
            Field.amount("firstFillMl", "first fill, measured", Quantity.MEASURE)
                    .empty("or the hose"),
            Field.amount("hose.boreMm", "hose bore", Quantity.LENGTH).together(),
            Field.amount("hose.lengthM", "hose length", Quantity.DISTANCE).together(),
            Field.oneOf(
                    "water",
                    "which water",
                    List.of(
                            new Choice("", "not said"),
                            new Choice("distilled", "distilled"),
                            new Choice("deionised", "deionised"),
                            new Choice("makers", "the maker's"),
                            new Choice("tap", "tap water"))),
            Field.oneOf(
                    "additive",
                    "additive",
                    List.of(
                            new Choice("", "not said"),
                            new Choice("pure", "nothing"),
                            new Choice("surfactant", "surfactant"),
                            new Choice("biocide", "biocide"))),
            Field.timed(
                            "bubbles",
                            "pump alone",
                            CoolantMix.LEAK_MIN,
                            NOT_YET,
                            new Choice("clear", "none left"),
                            new Choice("not", "bubbles still"))
                    .anew(),
            Field.timed(
                            "leak",
                            "look for drops",
                            CoolantMix.LEAK_MIN,
                            NOT_YET,
                            new Choice("clear", "no drop"),
                            new Choice("not", "it drips"))
                    .anew(),
            Field.amount("marginC", "kept below that", Quantity.WARMTH).usually(Amount.celsiusDifference(3, 0)),
            Field.amount("leastGlycolPct", "least glycol", Quantity.SHARE).usually(Amount.percent(25, 0)));

    public MixBench(BenchPlace place) {
        super(place, FIELDS, "an estimate from handbook values: the maker's manual says what may go in");
    }

    @Override
    protected String head(Showing<MixReadings, MixFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> found.freezingPointC().isEmpty()
                        ? "No mixture stays liquid there"
                        : "This freezes at "
                                + Amount.celsius(found.freezingPointC().getAsDouble(), 1)
                                        .text(units) + "; the room may get to "
                                + Amount.celsius(found.neededC(), 1).text(units) + ", margin included")
                .orElse("What goes into the circuit");
    }

    @Override
    protected Figure figure(Showing<MixReadings, MixFinding> now, UnitChoice units) {
        return MixFigure.of(now.finding(), units);
    }

    @Override
    public Optional<Node> otherSchool(Showing<MixReadings, MixFinding> now) {
        return now.finding().flatMap(MixFinding::otherSchool).map(Slip::quiet);
    }
}
