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
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** How warm the water gets: with a chiller whether it carries the heat, with a bucket when to stop. */
public final class CoolantHeat implements Procedure<HeatReadings, HeatFinding> {

    /** an hour: a job that is stopped sooner is worth a word */
    private static final double ENOUGH_MIN = 60;
    /** melts a kilogram of ice, J */
    private static final double MELTING_J_KG = 334_000;
    /** heat that water takes, J/(kg K), at 20 °C; the reference tables of water agree within 0.1 % up to 60 °C */
    private static final double WATER_J_KG_K = 4182;

    private static final Card CARD = new Card(
            "coolant-heat",
            1,
            "Water heat",
            Card.OnRoute.in(Phase.SERVICES, 40),
            Set.of(Change.SOURCE_CHANGED, Change.COOLANT_WORK),
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
        return plate.isWaterCooled();
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
        double stopC = read.maxC() - rise;
        HeatFinding finding = new HeatFinding(
                heat,
                rise,
                outlet,
                minutes,
                margin,
                density,
                capacity,
                read.startC(),
                read.reservoirL(),
                room > 0 ? OptionalDouble.of(ENOUGH_MIN * 60 * heat / (perLitre * room)) : OptionalDouble.empty(),
                read.reservoirL().isPresent() && stopC > 0
                        ? OptionalDouble.of((MELTING_J_KG + WATER_J_KG_K * stopC) / heat / 60)
                        : OptionalDouble.empty(),
                read.maxC() > read.startC()
                        ? OptionalDouble.of(heat * 60_000 / (density * capacity * (read.maxC() - read.startC())))
                        : OptionalDouble.empty(),
                new HeatFinding.Tolerances(read.maxC(), ENOUGH_MIN));
        boolean hot = outlet > read.maxC();
        boolean weak = margin.orElse(0) < 0;
        boolean brief = margin.isEmpty() && minutes.orElse(ENOUGH_MIN) < ENOUGH_MIN;
        Verdict verdict = hot || weak ? Verdict.FAIL : brief ? Verdict.ADJUST : Verdict.PASS;
        return new Outcome<>(finding, verdict, instructions(finding, hot, weak, brief));
    }

    private static List<Instruction> instructions(HeatFinding finding, boolean hot, boolean weak, boolean brief) {
        List<Instruction> instructions = new ArrayList<>();
        Amount heat = watts(finding.heatW());
        if (hot) {
            instructions.add(
                    finding.leastFlowLMin().isPresent()
                            ? Instruction.of(
                                            "water",
                                            Said.of(
                                                    "Bring the flow to {0} or more.",
                                                    new Amount(
                                                            Quantity.FLOW,
                                                            Math.ceil(finding.leastFlowLMin()
                                                                                            .getAsDouble()
                                                                                    * 10
                                                                            - 1e-9)
                                                                    / 10,
                                                            1)))
                                    .byHand(Said.of(
                                            "The outlet would be at {0}, over the {1} that are allowed. Look for "
                                                    + "a kink, a filter, air in the pump.",
                                            Amount.celsius(finding.outletC(), 1),
                                            Amount.celsius(finding.tolerances().maxC(), 1)))
                            : Instruction.of(
                                            "water",
                                            Said.of(
                                                    "Cool the water below {0} before it runs.",
                                                    Amount.celsius(
                                                            finding.tolerances().maxC(), 1)))
                                    .byHand(Said.of(
                                            "It starts at {0}, and nothing may leave warmer than that.",
                                            Amount.celsius(finding.startC(), 1))));
        }
        if (weak) {
            instructions.add(Instruction.of(
                            "chiller",
                            Said.of("Fit a chiller that carries {0} or more.", watts(Math.ceil(finding.heatW()))))
                    .byHand(Said.of(
                            "This one lacks {0} of the heat; the water goes on getting warmer.",
                            Amount.percent(-finding.chillerMarginPct().getAsDouble(), 0))));
        }
        if (brief && !hot) {
            double minutes = Math.floor(finding.bucketMinutes().getAsDouble());
            instructions.add(Instruction.of(
                            "bucket",
                            Said.of("Stop after {0} and let the water cool.", new Amount(Quantity.MINUTES, minutes, 0)))
                    .byHand(Said.of(
                            "Then the outlet is at {0}. For an hour it takes {1}.",
                            Amount.celsius(finding.tolerances().maxC(), 1),
                            litres(finding.hourL().getAsDouble()))));
            finding.iceMinutesPerKg()
                    .ifPresent(ice -> instructions.add(Instruction.of(
                            "bucket",
                            Said.of(
                                    "A second bucket of this size doubles it; each kilogram of ice in it gives "
                                            + "{0} more.",
                                    new Amount(Quantity.MINUTES, Math.floor(ice), 0)))));
        }
        if (instructions.isEmpty()) {
            Said stays = finding.chillerMarginPct().isPresent()
                    ? Said.of("The chiller carries the {0} that the water takes up.", heat)
                    : finding.bucketMinutes().isPresent()
                            ? Said.of(
                                    "The bucket lasts {0}.",
                                    new Amount(
                                            Quantity.MINUTES,
                                            Math.floor(finding.bucketMinutes().getAsDouble()),
                                            0))
                            : Said.of("The water takes up {0}; look how it is carried away.", heat);
            instructions.add(Instruction.of("water", stays)
                    .byHand(Said.of(
                            "It leaves {0} warmer than it enters, at {1}.",
                            Amount.celsiusDifference(finding.riseC(), 1), Amount.celsius(finding.outletC(), 1))));
        }
        return instructions;
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
                new Evidence("warmer by", Said.of("{0}", Amount.celsiusDifference(finding.riseC(), 1))),
                new Evidence("outlet", Said.of("{0}", Amount.celsius(finding.outletC(), 1)))));
        finding.bucketMinutes()
                .ifPresent(minutes -> evidence.add(
                        new Evidence("bucket lasts", Said.of("{0}", new Amount(Quantity.MINUTES, minutes, 1)))));
        finding.chillerMarginPct()
                .ifPresent(margin ->
                        evidence.add(new Evidence("chiller to spare", Said.of("{0}", Amount.percent(margin, 0)))));
        return evidence;
    }

    @Override
    public Said judgedBy(HeatFinding finding) {
        return Said.of(
                "outlet up to {0}, a bucket an hour",
                Amount.celsius(finding.tolerances().maxC(), 1));
    }
}
