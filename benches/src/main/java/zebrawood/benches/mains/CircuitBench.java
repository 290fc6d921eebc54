package zebrawood.benches.mains;

import zebrawood.core.mains.CircuitFinding;
import zebrawood.core.mains.CircuitReadings;
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

/** A circuit and all that is plugged into it, a row each. */
public final class CircuitBench extends FormBench<CircuitReadings, CircuitFinding> {

    /** as many as hang on one breaker, and a few more */
    private static final int MOST_LOADS = 12;

    public static final FieldList FIELDS = FieldList.of(
                    Field.amount("supplyV", "supply", Quantity.VOLTAGE).needed(),
                    Field.amount("circuitA", "breaker", Quantity.AMPERE).needed(),
                    Field.amount("cable.lengthM", "cable, one way", Quantity.DISTANCE)
                            .empty("not known")
                            .together(),
                    Field.amount("cable.sectionMm2", "section of the cable", Quantity.SECTION)
                            .together(),
                    Field.amount("cable.carriesA", "cable carries", Quantity.AMPERE)
                            .empty("by its section"),
                    Field.amount("cable.temperatureC", "conductor at", Quantity.TEMPERATURE)
                            .usually(Amount.celsius(60, 0)),
                    Field.amount("supplyHz", "frequency, Hz", Quantity.PLAIN).empty("not known"),
                    Field.truth("inletSound", "inlet", "not seen", "sound", "not sound")
                            .anew(),
                    Field.truth("receptacleSound", "receptacle", "not seen", "sound", "not sound")
                            .anew(),
                    Field.words("earthTestedBy", "earth tested by"))
            .rows(
                    "loads",
                    MOST_LOADS,
                    Field.words("name", "plugged in"),
                    Field.amount("ratedW", "takes", Quantity.POWER),
                    Field.amount("powerFactor", "power factor", Quantity.PLAIN),
                    Field.either("continuous", "for hours", new Choice("", "yes"), new Choice("short", "no")),
                    Field.amount("ratedV", "made for", Quantity.VOLTAGE),
                    Field.amount("ratedMaxV", "up to", Quantity.VOLTAGE),
                    Field.amount("ratedHz", "Hz", Quantity.PLAIN),
                    Field.truth("partOfMachine", "of machine", "?", "yes", "no"));

    public CircuitBench(BenchPlace place) {
        super(place, FIELDS, "an estimate to bring to a licensed electrician; the local code decides");
    }

    @Override
    protected String head(Showing<CircuitReadings, CircuitFinding> now, UnitChoice units) {
        return now.finding()
                .map(found ->
                        "The breaker has to carry " + new Amount(Quantity.AMPERE, found.designCurrentA(), 1).text(units)
                                + " of its " + new Amount(Quantity.AMPERE, found.circuitA(), 0).text(units))
                .orElse("What is on this circuit");
    }

    @Override
    protected Figure figure(Showing<CircuitReadings, CircuitFinding> now, UnitChoice units) {
        return CircuitFigure.of(now.finding(), units);
    }

    @Override
    public String next() {
        if (form().firstMissing().isPresent()) {
            return super.next();
        }
        return form().filledRows().isEmpty()
                ? "Type what is plugged in, and what it takes."
                : "Type what each of them is, and what it takes.";
    }
}
