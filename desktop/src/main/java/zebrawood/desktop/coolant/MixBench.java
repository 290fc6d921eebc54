package zebrawood.desktop.coolant;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.coolant.CoolantMix;
import zebrawood.core.coolant.Glycol;
import zebrawood.core.coolant.MixFinding;
import zebrawood.core.coolant.MixReadings;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.UnitChoice;
import zebrawood.desktop.bench.Bench;
import zebrawood.desktop.bench.BenchPlace;
import zebrawood.desktop.bench.ChoiceField.Choice;
import zebrawood.desktop.bench.Draft;
import zebrawood.desktop.bench.DrawnForm;
import zebrawood.desktop.bench.ReadingField;
import zebrawood.desktop.bench.Sheet;
import zebrawood.desktop.bench.Showing;
import zebrawood.desktop.bench.Slip;

/** What the circuit holds and how cold it may get; the reservoir is drawn with its levels before and after the pump has run. */
public final class MixBench implements Bench<MixReadings, MixFinding> {

    private static final String VOLUME = "circuitVolumeMl";
    private static final String FIRST = "firstFillMl";
    private static final String BORE = "hose.boreMm";
    private static final String LENGTH = "hose.lengthM";
    private static final String COLDEST = "lowestAmbientC";
    private static final String MARGIN = "marginC";
    private static final String WATER = "water";
    private static final String ADDITIVE = "additive";
    private static final String BUBBLES = "bubbles";
    private static final String LEAK = "leak";
    private static final String CLEAR = "clear";

    private final BenchPlace place;
    private final DrawnForm form;
    private final ReadingField volume;
    private final ReadingField coldest;

    public MixBench(BenchPlace place) {
        this.place = place;
        form = new DrawnForm(place, "an estimate from handbook values: the maker's manual says what may go in");
        volume = form.amount(VOLUME, "circuit holds", Quantity.MEASURE);
        coldest = form.amount(COLDEST, "coldest in the room", Quantity.TEMPERATURE);
        form.choice("glycol", "against freezing", HeatBench.choices(Glycol.NONE));
        form.amount(FIRST, "first fill, measured", Quantity.MEASURE, "or the hose");
        form.amount(BORE, "hose bore", Quantity.LENGTH);
        form.metres(LENGTH, "hose length", "");
        form.choice(WATER, "which water", List.of(new Choice("", "not said"), new Choice("distilled", "distilled"), new Choice("deionised", "deionised"),
                new Choice("makers", "the maker's"), new Choice("tap", "tap water")));
        form.choice(ADDITIVE, "in it besides", List.of(new Choice("", "not said"), new Choice("pure", "nothing"), new Choice("surfactant", "surfactant"), new Choice("biocide", "biocide")));
        form.timed(BUBBLES, "pump alone", CoolantMix.LEAK_MIN, List.of(new Choice("", "not yet"), new Choice(CLEAR, "none left"), new Choice("not", "bubbles on")));
        form.timed(LEAK, "look for drops", CoolantMix.LEAK_MIN, List.of(new Choice("", "not yet"), new Choice(CLEAR, "no drop"), new Choice("not", "it drips")));
        form.amount(MARGIN, "kept below that", Quantity.WARMTH, Amount.celsiusDifference(3, 0));
    }

    @Override
    public Node view() {
        return form;
    }

    @Override
    public void assemble(Sheet sheet) {
        form.assemble(sheet);
        for (String watched : List.of(BUBBLES, LEAK)) {
            if (!place.draft().text(watched).isEmpty()) {
                sheet.amount(watched + ".minutes", Quantity.PLAIN);
                sheet.truth(watched + ".clear", place.draft().text(watched).equals(CLEAR));
            }
        }
    }

    @Override
    public void show(Showing<MixReadings, MixFinding> now) {
        UnitChoice units = place.desk().units().get();
        Optional<MixFinding> finding = now.outcome().map(Outcome::finding);
        String head = finding.isEmpty() ? "What goes into the circuit"
                : finding.get().freezingPointC().isEmpty() ? "No mixture stays liquid there"
                : "This freezes at " + Amount.celsius(finding.get().freezingPointC().getAsDouble(), 1).text(units) + "; the room may get to "
                        + Amount.celsius(finding.get().neededC(), 1).text(units) + ", margin and all";
        form.show(head, MixFigure.of(finding, units), head, now);
    }

    @Override
    public String next() {
        boolean half = place.draft().text(BORE).isBlank() != place.draft().text(LENGTH).isBlank();
        return half ? "Read bore and length of the hose." : "Read: " + form.firstEmpty(List.of(volume, coldest)) + ".";
    }

    @Override
    public List<ReadingField> fields() {
        return form.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(MixReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = form.texts(readings, asTyped, whole);
        if (whole) {
            readings.bubbles().ifPresent(watched -> watched(texts, BUBBLES, watched));
            readings.leak().ifPresent(watched -> watched(texts, LEAK, watched));
        }
        return texts;
    }

    private static void watched(Map<String, Draft.Text> texts, String name, MixReadings.Watched watched) {
        Draft.put(texts, name, watched.clear() ? CLEAR : "not");
        Draft.put(texts, name + ".minutes", Amount.exact(watched.minutes()));
    }

    @Override
    public Optional<Node> otherSchool(Showing<MixReadings, MixFinding> now) {
        return now.outcome().flatMap(outcome -> outcome.finding().otherSchool()).map(Slip::quiet);
    }
}
