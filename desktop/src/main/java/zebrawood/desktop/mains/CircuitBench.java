package zebrawood.desktop.mains;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import zebrawood.core.mains.CircuitFinding;
import zebrawood.core.mains.CircuitReadings;
import zebrawood.core.procedure.Outcome;
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

/** A circuit and all that is plugged into it, a row each. */
public final class CircuitBench implements Bench<CircuitReadings, CircuitFinding> {

    private static final String SUPPLY = "supplyV";
    private static final String BREAKER = "circuitA";
    private static final String LENGTH = "cable.lengthM";
    private static final String SECTION = "cable.sectionMm2";
    private static final String WARM = "cable.temperatureC";
    private static final String INLET = "inletSound";
    private static final String RECEPTACLE = "receptacleSound";
    private static final String LOADS = "loads";
    private static final int MOST_LOADS = 12;
    private static final int HOURS = 3;

    private final BenchPlace place;
    private final DrawnForm form;
    private final List<ReadingField> needed;

    public CircuitBench(BenchPlace place) {
        this.place = place;
        form = new DrawnForm(place, "an estimate to bring to a licensed electrician; the local code decides");
        ReadingField supply = form.amount(SUPPLY, "supply", Quantity.VOLTAGE);
        ReadingField breaker = form.amount(BREAKER, "breaker", Quantity.AMPERE);
        form.metres(LENGTH, "cable, one way", "not known");
        form.amount(SECTION, "its section", Quantity.SECTION);
        form.amount(WARM, "its copper is at", Quantity.TEMPERATURE, Amount.celsius(20, 0));
        form.truth(INLET, "inlet", "not seen", "sound", "not sound");
        form.truth(RECEPTACLE, "receptacle", "not seen", "sound", "not sound");
        form.text("earthTestedBy", "earth tested by");
        form.anew(INLET, RECEPTACLE);
        form.rows(LOADS, MOST_LOADS, List.of(
                Column.of("name", "plugged in", Quantity.PLAIN),
                Column.of("ratedW", "takes, W", Quantity.POWER),
                Column.of("powerFactor", "power factor", Quantity.PLAIN),
                new Column("continuous", "runs", Quantity.PLAIN, List.of(new ChoiceField.Choice("", "for hours"), new ChoiceField.Choice("short", "now and then"))),
                Column.of("ratedV", "made for, V", Quantity.VOLTAGE)));
        needed = List.of(supply, breaker);
    }

    private static String field(int row, String name) {
        return LOADS + "[" + row + "]." + name;
    }

    @Override
    public Node view() {
        return form;
    }

    @Override
    public void assemble(Sheet sheet) {
        form.assemble(sheet);
        int given = 0;
        for (int row : form.filledRows()) {
            sheet.words(field(row, "name"), field(given, "name"));
            sheet.amount(field(row, "ratedW"), field(given, "ratedW"), Quantity.POWER);
            sheet.amount(field(row, "powerFactor"), field(given, "powerFactor"), Quantity.PLAIN);
            sheet.amount(field(row, "ratedV"), field(given, "ratedV"), Quantity.VOLTAGE);
            sheet.truth(field(given, "continuous"), form.chosen(row, HOURS).isEmpty());
            given++;
        }
    }

    @Override
    public void show(Showing<CircuitReadings, CircuitFinding> now) {
        UnitChoice units = place.desk().units().get();
        Optional<CircuitFinding> finding = now.outcome().map(Outcome::finding);
        String head = finding.map(found -> "The breaker is asked for " + new Amount(Quantity.AMPERE, found.designCurrentA(), 1).text(units)
                + " of its " + new Amount(Quantity.AMPERE, found.circuitA(), 0).text(units)).orElse("What hangs on the circuit");
        form.show(head, CircuitFigure.of(finding, units), head, now);
    }

    @Override
    public String next() {
        if (needed.stream().anyMatch(field -> place.draft().text(field.name()).isBlank())) {
            return "Read: " + form.firstEmpty(needed) + ".";
        }
        boolean half = place.draft().text(LENGTH).isBlank() != place.draft().text(SECTION).isBlank();
        return half ? "Read length and section of the cable." : form.filledRows().isEmpty() ? "Type what is plugged in, and what it takes." : "Type what each of them is, and what it takes.";
    }

    @Override
    public List<ReadingField> fields() {
        return form.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(CircuitReadings readings, Map<String, String> asTyped, boolean whole) {
        Map<String, Draft.Text> texts = form.texts(readings, asTyped, whole);
        for (int i = 0; i < Math.min(MOST_LOADS, readings.loads().size()); i++) {
            CircuitReadings.Load load = readings.loads().get(i);
            Draft.put(texts, field(i, "name"), load.name());
            Draft.retype(texts, field(i, "ratedW"), asTyped, OptionalDouble.of(load.ratedW()), Quantity.POWER);
            Draft.retype(texts, field(i, "powerFactor"), asTyped, load.powerFactor(), Quantity.PLAIN);
            Draft.retype(texts, field(i, "ratedV"), asTyped, load.ratedV(), Quantity.VOLTAGE);
            Draft.put(texts, field(i, "continuous"), load.continuous().orElse(true) ? "" : "short");
        }
        return texts;
    }
}
