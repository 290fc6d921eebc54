package zebrawood.core.coolant;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** How warm the water gets: with a chiller whether it carries the heat, with a bucket when to stop. */
public final class CoolantHeat implements Procedure<HeatReadings, HeatFinding> {

    /** an hour: a job that is stopped sooner is worth a word */
    private static final double ENOUGH_MIN = 60;
    /** K that a display in the other unit may round away, either way */
    private static final double DISPLAY_C = 0.1;
    /** melts a kilogram of ice, J */
    private static final double MELTING_J_KG = 334_000;
    /** heat that water takes, J/(kg K), at 20 °C; the reference tables of water agree within 0.1 % up to 60 °C */
    private static final double WATER_J_KG_K = 4182;

    /** above the dew point: water that is colder draws damp onto the source */
    private static final double OVER_DEW_C = 2;
    /** chillers get weaker with dust and a warm room; the maker decides */
    private static final double RESERVE_PCT = 20;
    /** water is cooled a little sooner than it is pumped faster: by less than this only the flow is asked for */
    private static final double NEAR_C = 3;
    /** more than the pumps of these machines give */
    private static final double MOST_FLOW_LMIN = 40;
    /** more is no bucket any more */
    private static final double MOST_BUCKET_L = 200;

    private static final Card CARD = new Card(
            "coolant-heat",
            1,
            "Water heat",
            Card.OnRoute.in(Phase.SERVICES, 40).holdingTheGate(),
            Set.of(Change.SOURCE_CHANGED, Change.COOLANT_WORK, Change.FIRED_DRY),
            List.of(Hazard.WATER_NEAR_MAINS, Hazard.HIGH_VOLTAGE),
            5,
            365,
            new Help(
                    List.of(
                            "A jug and a watch for the flow, at the hose's end over the reservoir.",
                            "What the supply draws, from its plate or a meter, and the light that comes out."),
                    List.of(
                            "Let the water run into the jug for half a minute and double it: that is the flow.",
                            "Type the volume of a bucket or what a chiller carries away, from its plate; both "
                                    + "where both are there."),
                    "All power that does not leave as light leaves with the water. A bucket takes it up until the "
                            + "outlet is too warm;"
                            + " a chiller must carry at least as much all the time.",
                    List.of("Hands and jug stay away from the source's high voltage end; mains off while a hose "
                            + "is open.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<HeatReadings> readingsType() {
        return HeatReadings.class;
    }

    @Override
    public Class<HeatFinding> findingType() {
        return HeatFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.presence(Plate.Part.WATER) != Plate.Presence.NONE;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.presence(Plate.Part.WATER) == Plate.Presence.UNKNOWN ? List.of("services.cooling") : List.of();
    }

    @Override
    public Outcome<HeatFinding> evaluate(HeatReadings read) {
        Glycol glycol = read.glycol().orElse(Glycol.NONE);
        double share = read.glycolPct().orElse(0);
        double density = glycol.densityKgM3(share);
        double capacity = glycol.specificHeatJKgK(share);
        double heat = read.electricalInputW() - read.opticalOutputW();
        double rise = heat / (density * capacity * read.flowLMin() / 60_000);
        double outlet = read.startC() + rise;
        double perLitre = density * capacity / 1000;
        double room = read.maxC() - outlet;
        OptionalDouble minutes = read.reservoirL().isPresent()
                ? OptionalDouble.of(Math.max(0, read.reservoirL().getAsDouble() * perLitre * room / heat / 60))
                : OptionalDouble.empty();
        OptionalDouble margin = read.chillerW().isPresent()
                ? OptionalDouble.of(100 * (read.chillerW().getAsDouble() / heat - 1))
                : OptionalDouble.empty();
        double minC = read.minC().orElse(HeatReadings.COLDEST_C);
        double coldest =
                Math.max(minC, read.dewPointC().isPresent() ? read.dewPointC().getAsDouble() + OVER_DEW_C : minC);
        double reserve = read.chillerReservePct().orElse(RESERVE_PCT);
        double stopC = read.maxC() - rise;
        HeatFinding finding = new HeatFinding(
                heat,
                rise,
                outlet,
                minutes,
                margin,
                OptionalDouble.of(coldest),
                density,
                capacity,
                read.startC(),
                read.reservoirL(),
                room > 0 ? OptionalDouble.of(ENOUGH_MIN * 60 * heat / (perLitre * room)) : OptionalDouble.empty(),
                read.reservoirL().isPresent() && stopC > coldest
                        ? OptionalDouble.of((MELTING_J_KG + WATER_J_KG_K * stopC) / heat / 60)
                        : OptionalDouble.empty(),
                read.maxC() > read.startC()
                        ? OptionalDouble.of(heat * 60_000 / (density * capacity * (read.maxC() - read.startC())))
                        : OptionalDouble.empty(),
                new HeatFinding.Tolerances(
                        read.maxC(), ENOUGH_MIN, OptionalDouble.of(minC), OptionalDouble.of(reserve)));
        boolean hot = !Limits.atMost(outlet, read.maxC());
        boolean cold = !Limits.atLeast(read.startC(), coldest);
        boolean weak = margin.isPresent() && !Limits.atLeast(margin.getAsDouble(), 0);
        boolean scant = margin.isPresent() && !Limits.atLeast(margin.getAsDouble(), reserve);
        boolean brief = margin.isEmpty() && minutes.isPresent() && !Limits.atLeast(minutes.getAsDouble(), ENOUGH_MIN);
        boolean nothing = margin.isEmpty() && minutes.isEmpty();
        Verdict verdict = hot || cold || weak
                ? Verdict.FAIL
                : brief || scant ? Verdict.ADJUST : nothing ? Verdict.UNCLEAR : Verdict.PASS;
        return new Outcome<>(finding, verdict, instructions(finding, hot, cold, scant, brief, nothing));
    }

    private static List<Instruction> instructions(
            HeatFinding finding, boolean hot, boolean cold, boolean scant, boolean brief, boolean nothing) {
        List<Instruction> instructions = new ArrayList<>();
        Then then = new Then(List.of(), finding.startC(), finding.riseC());
        if (hot || cold) {
            then = temperature(finding, hot);
            instructions.addAll(then.said());
        }
        boolean bucketOnly =
                finding.chillerMarginPct().isEmpty() && finding.reservoirL().isPresent();
        if (scant || hot && brief) {
            instructions.add(chiller(finding));
        } else if (bucketOnly
                && !Limits.atLeast(
                        then.bucketMinutes(finding), finding.tolerances().bucketMinutes())) {
            instructions.addAll(bucket(finding, then));
        }
        if (nothing) {
            instructions.add(Instruction.of("water", Said.of("Say what carries the heat away."))
                    .byHand(Said.of(
                            "{0} go into the water. Type the volume of the bucket, or what the chiller carries away "
                                    + "by its plate.",
                            watts(finding.heatW()))));
        }
        if (instructions.isEmpty()) {
            instructions.add(well(finding));
        }
        return instructions;
    }

    /** What is said of the water, and how it runs once that is done. */
    private record Then(List<Instruction> said, double startC, double riseC) {
        Then(Instruction said, double startC, double riseC) {
            this(List.of(said), startC, riseC);
        }

        /** K that it may still get warmer. */
        double room(HeatFinding finding) {
            return finding.tolerances().maxC() - startC - riseC;
        }

        double bucketMinutes(HeatFinding finding) {
            double stored = finding.reservoirL().orElse(0) * perLitre(finding) * room(finding);
            return Math.max(0, stored / finding.heatW() / 60);
        }
    }

    /** J that a litre takes up for each K. */
    private static double perLitre(HeatFinding finding) {
        return finding.densityKgM3() * finding.specificHeatJKgK() / 1000;
    }

    /** What brings inlet and outlet between their limits: the water's own temperature, else more of it. */
    private static Then temperature(HeatFinding finding, boolean hot) {
        Amount least = Amount.celsius(finding.coldestC().getAsDouble(), 1).least();
        Amount most =
                Amount.celsius(finding.tolerances().maxC() - finding.riseC(), 1).most();
        double coldest = least.asSaid();
        double warmest = most.asSaid();
        if (coldest + DISPLAY_C <= warmest && (!hot || finding.startC() > warmest + NEAR_C)) {
            return hot
                    ? new Then(
                            Instruction.of("water", Said.of("Cool the water to {0} before it runs.", most))
                                    .byHand(Said.of(
                                            "It leaves {0} warmer than it enters, and may be {1} at the most. Not under "
                                                    + "{2}: a cold source cracks or sweats.",
                                            Amount.celsiusDifference(finding.riseC(), 1)
                                                    .least(),
                                            Amount.celsius(finding.tolerances().maxC(), 1)
                                                    .most(),
                                            least)),
                            warmest,
                            finding.riseC())
                    : new Then(
                            Instruction.of("water", Said.of("Warm the water to {0} before it runs.", least))
                                    .byHand(Said.of(
                                            "It starts at {0}. A colder source cracks, or sweats beside its high "
                                                    + "voltage. Not over {1}.",
                                            Amount.celsius(finding.startC(), 1), most)),
                            coldest,
                            finding.riseC());
        }
        // a display in other units rounds up to a tenth of a degree more
        double start = Math.max(
                coldest + DISPLAY_C,
                Math.min(finding.startC(), finding.tolerances().maxC()));
        boolean warms = start > finding.startC();
        double room = finding.tolerances().maxC() - start;
        double flow = room > 0
                ? Math.ceil(finding.heatW() * 600_000 / (finding.densityKgM3() * finding.specificHeatJKgK() * room)
                                - 1e-9)
                        / 10
                : Double.MAX_VALUE;
        if (flow > MOST_FLOW_LMIN) {
            return new Then(
                    Instruction.of(
                                    "source",
                                    Said.of("Do not run it so: ask the maker of the source which water it takes."))
                            .byHand(Said.of(
                                    "No flow that a pump gives keeps the outlet under {0} with water from {1} on.",
                                    Amount.celsius(finding.tolerances().maxC(), 1), least)),
                    start,
                    room);
        }
        Amount litres = new Amount(Quantity.FLOW, flow, 1).least();
        Said hand = hot
                ? Said.of(
                        "The outlet would be at {0}, over the {1} that are allowed. Look for a kink, a filter, air in the "
                                + "pump.",
                        Amount.celsius(finding.outletC(), 1),
                        Amount.celsius(finding.tolerances().maxC(), 1))
                : Said.of(
                        "A colder source cracks, or sweats beside its high voltage; and with as little flow as now the "
                                + "outlet would then be over the {0} that are allowed.",
                        Amount.celsius(finding.tolerances().maxC(), 1));
        return new Then(
                Instruction.of(
                                "water",
                                warms
                                        ? Said.of(
                                                "Warm the water to {0} and bring the flow to {1} or more.",
                                                least, litres)
                                        : Said.of("Bring the flow to {0} or more.", litres))
                        .byHand(hand),
                start,
                Math.min(
                        room,
                        finding.heatW()
                                * 60_000
                                / (finding.densityKgM3() * finding.specificHeatJKgK() * litres.asSaid())));
    }

    private static Instruction chiller(HeatFinding finding) {
        double reserve = finding.tolerances().chillerReservePct().orElse(0);
        Said why = finding.chillerMarginPct().isPresent()
                ? finding.chillerMarginPct().getAsDouble() < 0
                        ? Said.of(
                                "This one lacks {0} of the heat; the water goes on getting warmer.",
                                Amount.percent(-finding.chillerMarginPct().getAsDouble(), 0)
                                        .least())
                        : Said.of(
                                "This one has {0} in reserve, and {1} are wanted: it gets weaker with dust and heat.",
                                Amount.percent(finding.chillerMarginPct().getAsDouble(), 0)
                                        .most(),
                                Amount.percent(reserve, 0))
                : Said.of("A bucket alone is too warm from the beginning.");
        return Instruction.of(
                        "chiller",
                        Said.of(
                                "Fit a chiller that carries {0} or more.",
                                watts(finding.heatW() * (1 + reserve / 100)).least()))
                .byHand(why);
    }

    private static List<Instruction> bucket(HeatFinding finding, Then then) {
        List<Instruction> instructions = new ArrayList<>();
        double minutes = Math.floor(then.bucketMinutes(finding));
        // a litre more than it takes: water that is warmed is warmed to a figure of a display
        double more = then.said().isEmpty() ? 0 : 1;
        double hourL = more + ENOUGH_MIN * 60 * finding.heatW() / (perLitre(finding) * then.room(finding));
        if (minutes < 1 || !(hourL > 0) || hourL > MOST_BUCKET_L) {
            instructions.add(chiller(finding));
            return instructions;
        }
        instructions.add(Instruction.of(
                        "bucket",
                        Said.of(
                                "Use {0} of water or more, or stop after {1} and let it cool.",
                                litres(hourL), new Amount(Quantity.MINUTES, minutes, 0)))
                .byHand(Said.of(
                        "After {1} the outlet of this bucket is at {0}. With {2} it lasts an hour.",
                        Amount.celsius(finding.tolerances().maxC(), 1),
                        new Amount(Quantity.MINUTES, minutes, 0),
                        litres(hourL))));
        finding.iceMinutesPerKg()
                .ifPresent(ice -> instructions.add(Instruction.of(
                        "bucket",
                        Said.of(
                                "Each kilogram of ice gives {0} more; the water never goes under {1}.",
                                new Amount(Quantity.MINUTES, Math.floor(ice), 0),
                                Amount.celsius(finding.coldestC().orElse(HeatReadings.COLDEST_C), 1)
                                        .least()))));
        return instructions;
    }

    private static Instruction well(HeatFinding finding) {
        return Instruction.of(
                        "water",
                        finding.chillerMarginPct().isPresent()
                                ? Said.of(
                                        "The chiller carries the {0} that the water takes up.", watts(finding.heatW()))
                                : Said.of(
                                        "The bucket lasts {0}.",
                                        new Amount(
                                                Quantity.MINUTES,
                                                Math.floor(
                                                        finding.bucketMinutes().getAsDouble()),
                                                0)))
                .byHand(Said.of(
                        "It leaves {0} warmer than it enters, at {1}.",
                        Amount.celsiusDifference(finding.riseC(), 1), Amount.celsius(finding.outletC(), 1)));
    }

    private static Amount watts(double watts) {
        return new Amount(Quantity.POWER, watts, 0);
    }

    private static Amount litres(double litres) {
        return new Amount(Quantity.VOLUME, Math.ceil(litres), 0);
    }

    @Override
    public Said keyFigure(HeatFinding finding) {
        return finding.bucketMinutes().isPresent() && finding.chillerMarginPct().isEmpty()
                ? Said.of(
                        "{0}",
                        new Amount(
                                Quantity.MINUTES,
                                Math.floor(finding.bucketMinutes().getAsDouble()),
                                0))
                : Said.of("{0}", Amount.celsius(finding.outletC(), 1));
    }

    @Override
    public List<Evidence> evidence(HeatFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence("heat into the water", Said.of("{0}", watts(finding.heatW()))),
                new Evidence("temperature rise", Said.of("{0}", Amount.celsiusDifference(finding.riseC(), 1))),
                new Evidence("outlet", Said.of("{0}", Amount.celsius(finding.outletC(), 1)))));
        finding.bucketMinutes()
                .ifPresent(minutes -> evidence.add(
                        new Evidence("bucket lasts", Said.of("{0}", new Amount(Quantity.MINUTES, minutes, 1)))));
        finding.chillerMarginPct()
                .ifPresent(margin ->
                        evidence.add(new Evidence("chiller reserve", Said.of("{0}", Amount.percent(margin, 0)))));
        return evidence;
    }

    @Override
    public Said judgedBy(HeatFinding finding) {
        return Said.of(
                "outlet up to {0}, water from {1} on, a bucket an hour",
                Amount.celsius(finding.tolerances().maxC(), 1),
                Amount.celsius(finding.coldestC().orElse(HeatReadings.COLDEST_C), 1)
                        .least());
    }
}
