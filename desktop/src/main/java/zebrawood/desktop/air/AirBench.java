package zebrawood.desktop.air;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import zebrawood.core.air.AirFinding;
import zebrawood.core.air.AirReadings;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.desktop.bench.Bench;
import zebrawood.desktop.bench.BenchPlace;
import zebrawood.desktop.bench.ChoiceField;
import zebrawood.desktop.bench.ChoiceField.Choice;
import zebrawood.desktop.bench.Draft;
import zebrawood.desktop.bench.DrawnForm;
import zebrawood.desktop.bench.ReadingField;
import zebrawood.desktop.bench.Sheet;
import zebrawood.desktop.bench.Showing;

/** The air assist from pump to nozzle; what has not been tried is not taken for good. */
public final class AirBench implements Bench<AirReadings, AirFinding> {

    private static final String SOURCE = "source";
    private static final String FILTER = "filterFitted";
    private static final String HOSE = "hoseSound";
    private static final String VALVE = "valveSound";
    private static final String ON = "onCommand";
    private static final String OFF = "offCommand";
    private static final String SEEN_ON = "seenOn";
    private static final String SEEN_OFF = "seenOff";
    private static final String ENGRAVING = "engraving.readLMin";
    private static final String CUTTING = "cutting.readLMin";
    private static final String FELT = ".felt";
    private static final String LEAST = "leastCuttingLMin";

    private final BenchPlace place;
    private final DrawnForm form;
    private final ChoiceField source;

    public AirBench(BenchPlace place) {
        this.place = place;
        form = new DrawnForm(place, "sent from the job software, beam off, hands out of the axes' way");
        source = form.choice(SOURCE, "air from a", List.of(new Choice("pump", "pump"), new Choice("compressor", "compressor")));
        form.truth(FILTER, "its filter", "not looked at", "fitted", "none");
        form.truth(VALVE, "valve", "there is none", "sound", "not sound");
        form.truth(HOSE, "hose and joints", "not looked at", "sound", "not sound");
        form.text(ON, "command for on");
        form.truth(SEEN_ON, "sent", "not tried", "air came", "nothing came");
        form.text(OFF, "command for off");
        form.truth(SEEN_OFF, "sent", "not tried", "it stopped", "it went on");
        form.amount(ENGRAVING, "engraving, read", Quantity.FLOW);
        form.choice("engraving" + FELT, "or felt", felt());
        form.amount(CUTTING, "cutting, read", Quantity.FLOW);
        form.choice("cutting" + FELT, "or felt", felt());
        form.amount(LEAST, "least for cutting", Quantity.FLOW, new Amount(Quantity.FLOW, 15, 0));
        form.anew(HOSE, VALVE, SEEN_ON, SEEN_OFF, ENGRAVING, "engraving" + FELT, CUTTING, "cutting" + FELT);
    }

    private static List<Choice> felt() {
        return List.of(new Choice("", "read"), new Choice("nothing", "nothing"), new Choice("light", "light"), new Choice("strong", "strong"));
    }

    @Override
    public Node view() {
        return form;
    }

    @Override
    public void assemble(Sheet sheet) {
        sheet.objects("engraving", "cutting");
        form.assemble(sheet);
    }

    @Override
    public void show(Showing<AirReadings, AirFinding> now) {
        Optional<AirFinding> finding = now.outcome().map(Outcome::finding);
        String head = finding.map(found -> found.obeysOn() && found.obeysOff() ? "The air comes and goes on its command" : "The air does not do what it is told").orElse("From the pump to the nozzle");
        form.show(head, AirFigure.of(finding, AirReadings.Source.valueOf(source.chosen().toUpperCase(Locale.ROOT)), !place.draft().text(VALVE).isEmpty(), place.desk().units().get()), head, now);
    }

    @Override
    public String next() {
        if (place.draft().text(HOSE).isEmpty()) {
            return "Follow the hose with the hand, from end to end: is it sound?";
        } else if (place.draft().text(ON).isBlank() || place.draft().text(SEEN_ON).isEmpty()) {
            return "Send the command for on from the job software: does air come?";
        } else if (place.draft().text(OFF).isBlank() || place.draft().text(SEEN_OFF).isEmpty()) {
            return "Send the command for off: does it stop?";
        }
        return "Read the flow at the nozzle, or feel it, as for engraving and as for cutting.";
    }

    @Override
    public List<ReadingField> fields() {
        return form.fields();
    }

    @Override
    public Map<String, Draft.Text> texts(AirReadings readings, Map<String, String> asTyped, boolean whole) {
        return form.texts(readings, asTyped, whole);
    }
}
