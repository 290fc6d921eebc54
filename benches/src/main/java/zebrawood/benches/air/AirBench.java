package zebrawood.benches.air;

import java.util.List;
import java.util.Locale;
import zebrawood.core.air.AirFinding;
import zebrawood.core.air.AirReadings;
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
import zebrawood.kit.form.Worksheet;

/** The air assist from pump to nozzle; what has not been tried is not taken for good. */
public final class AirBench extends FormBench<AirReadings, AirFinding> {

    private static final String SOURCE = "source";
    private static final String HOSE = "hoseSound";
    private static final String VALVE = "valveSound";
    private static final String ON = "onCommand";
    private static final String OFF = "offCommand";
    private static final String SEEN_ON = "seenOn";
    private static final String SEEN_OFF = "seenOff";
    private static final List<Choice> FELT = List.of(
            new Choice("", "read"),
            new Choice("nothing", "nothing"),
            new Choice("light", "light"),
            new Choice("strong", "strong"));

    public static final FieldList FIELDS = FieldList.of(
            Field.oneOf(
                    SOURCE, "air from a", List.of(new Choice("pump", "pump"), new Choice("compressor", "compressor"))),
            Field.truth("filterFitted", "its filter", "not looked at", "fitted", "none"),
            Field.amount("supply.setBar", "regulator set to", Quantity.PRESSURE),
            Field.amount("supply.ratedBar", "parts rated for", Quantity.PRESSURE),
            Field.truth("supply.locked", "its knob", "not looked at", "locked", "not locked")
                    .anew(),
            Field.truth(VALVE, "valve", "there is none", "sound", "not sound").anew(),
            Field.truth(HOSE, "hose and joints", "not looked at", "sound", "not sound")
                    .anew(),
            Field.truth("supply.held", "hoses", "not pulled at", "held fast", "one comes off")
                    .anew(),
            Field.words(ON, "command for on"),
            Field.truth(SEEN_ON, "on sent", "not tried", "air came", "nothing came")
                    .anew(),
            Field.words(OFF, "command for off"),
            Field.truth(SEEN_OFF, "off sent", "not tried", "it stopped", "it went on")
                    .anew(),
            Field.amount("engraving.readLMin", "engraving, read", Quantity.FLOW).anew(),
            Field.oneOf("engraving.felt", "engraving, felt", FELT).anew(),
            Field.amount("cutting.readLMin", "cutting, read", Quantity.FLOW).anew(),
            Field.oneOf("cutting.felt", "cutting, felt", FELT).anew(),
            Field.amount("mostEngravingLMin", "most for engraving", Quantity.FLOW)
                    .usually(new Amount(Quantity.FLOW, 8, 0)),
            Field.amount("leastCuttingLMin", "least for cutting", Quantity.FLOW)
                    .usually(new Amount(Quantity.FLOW, 15, 0)));

    public AirBench(BenchPlace place) {
        super(place, FIELDS, "sent from the job software, beam off, hands out of the axes' way");
    }

    @Override
    public void assemble(Worksheet sheet) {
        sheet.objects("engraving", "cutting");
        super.assemble(sheet);
    }

    @Override
    protected String head(Showing<AirReadings, AirFinding> now, UnitChoice units) {
        return now.finding()
                .map(found -> found.obeysOn() && found.obeysOff()
                        ? "The air comes and goes on its command"
                        : "The air does not do what it is told")
                .orElse("From the pump to the nozzle");
    }

    @Override
    protected Figure figure(Showing<AirReadings, AirFinding> now, UnitChoice units) {
        AirReadings.Source source =
                AirReadings.Source.valueOf(form().chosen(SOURCE).toUpperCase(Locale.ROOT));
        return AirFigure.of(now.finding(), source, !text(VALVE).isEmpty(), units);
    }

    @Override
    public String next() {
        if (text(HOSE).isEmpty()) {
            return "Follow the hose with the hand, from end to end: is it sound?";
        } else if (text(ON).isEmpty() || text(SEEN_ON).isEmpty()) {
            return "Send the command for on from the job software: does air come?";
        } else if (text(OFF).isEmpty() || text(SEEN_OFF).isEmpty()) {
            return "Send the command for off: does it stop?";
        }
        return "Read the flow at the nozzle, or feel it, as for engraving and as for cutting.";
    }
}
