package zebrawood.desktop.air;

import java.util.HashMap;
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
import zebrawood.core.units.UnitChoice;
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
    private static final String YES = "yes";
    private static final String NO = "no";

    private final BenchPlace place;
    private final DrawnForm form;
    private final ChoiceField source;

    public AirBench(BenchPlace place) {
        this.place = place;
        form = new DrawnForm(place, "sent from the job software, beam off, hands out of the axes' way");
        source = form.choice(SOURCE, "air from a", List.of(new Choice("pump", "pump"), new Choice("compressor", "compressor")));
        form.choice(FILTER, "its filter", List.of(new Choice("", "not looked at"), new Choice(YES, "fitted"), new Choice(NO, "none")));
        form.choice(VALVE, "valve", List.of(new Choice("", "there is none"), new Choice(YES, "sound"), new Choice(NO, "not sound")));
        form.choice(HOSE, "hose and joints", List.of(new Choice("", "not looked at"), new Choice(YES, "sound"), new Choice(NO, "not sound")));
        form.text(ON, "command for on");
        form.choice(SEEN_ON, "sent", List.of(new Choice("", "not tried"), new Choice(YES, "air came"), new Choice(NO, "nothing came")));
        form.text(OFF, "command for off");
        form.choice(SEEN_OFF, "sent", List.of(new Choice("", "not tried"), new Choice(YES, "it stopped"), new Choice(NO, "it went on")));
        form.amount(ENGRAVING, "engraving, read", Quantity.FLOW);
        form.choice("engraving" + FELT, "or felt", felt());
        form.amount(CUTTING, "cutting, read", Quantity.FLOW);
        form.choice("cutting" + FELT, "or felt", felt());
        form.amount(LEAST, "least for cutting", Quantity.FLOW, new Amount(Quantity.FLOW, 15, 0).number(place.desk().units().get()));
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
        sheet.word(SOURCE, source.chosen());
        truth(sheet, FILTER);
        truth(sheet, VALVE);
        truth(sheet, HOSE);
        sheet.words(ON);
        sheet.words(OFF);
        truth(sheet, SEEN_ON);
        truth(sheet, SEEN_OFF);
        for (String work : List.of("engraving", "cutting")) {
            sheet.objects(work);
            sheet.amount(work + ".readLMin", Quantity.FLOW);
            String felt = place.draft().text(work + FELT);
            if (!felt.isEmpty()) {
                sheet.word(work + FELT, felt);
            }
        }
        sheet.amount(LEAST, Quantity.FLOW);
    }

    /** Said only where it was looked at. */
    private void truth(Sheet sheet, String field) {
        String chosen = place.draft().text(field);
        if (!chosen.isEmpty()) {
            sheet.truth(field, chosen.equals(YES));
        }
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
        Map<String, Draft.Text> texts = new HashMap<>();
        Draft.put(texts, SOURCE, readings.source().name().toLowerCase(Locale.ROOT));
        Draft.put(texts, ON, readings.onCommand());
        Draft.put(texts, OFF, readings.offCommand());
        readings.filterFitted().ifPresent(fitted -> Draft.put(texts, FILTER, fitted ? YES : NO));
        Draft.retype(texts, LEAST, asTyped, readings.leastCuttingLMin(), Quantity.FLOW);
        if (whole) {
            Draft.put(texts, HOSE, readings.hoseSound() ? YES : NO);
            readings.valveSound().ifPresent(sound -> Draft.put(texts, VALVE, sound ? YES : NO));
            Draft.put(texts, SEEN_ON, readings.seenOn() ? YES : NO);
            Draft.put(texts, SEEN_OFF, readings.seenOff() ? YES : NO);
            flow(texts, "engraving", readings.engraving(), asTyped);
            flow(texts, "cutting", readings.cutting(), asTyped);
        }
        return texts;
    }

    private static void flow(Map<String, Draft.Text> texts, String work, AirReadings.Flow flow, Map<String, String> asTyped) {
        Draft.retype(texts, work + ".readLMin", asTyped, flow.readLMin(), Quantity.FLOW);
        flow.felt().ifPresent(felt -> Draft.put(texts, work + FELT, felt.name().toLowerCase(Locale.ROOT)));
    }
}
