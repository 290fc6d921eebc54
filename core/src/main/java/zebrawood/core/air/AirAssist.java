package zebrawood.core.air;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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

/** Whether the air comes and goes on its commands, little enough to engrave and strong enough to cut what can flame. */
public final class AirAssist implements Procedure<AirReadings, AirFinding> {

    /** keeps smoke off a lens while engraving, where the plate asks for nothing */
    private static final double ENGRAVING_L_MIN = 2;
    /** more than this drives dust into the work and onto the lens while engraving */
    private static final double MOST_ENGRAVING_L_MIN = 8;
    /** blows a kerf free while cutting, where the plate asks for nothing */
    private static final double CUTTING_L_MIN = 15;

    private static final Card CARD = new Card(
            "air-assist",
            1,
            "Air assist",
            Card.OnRoute.in(Phase.SERVICES, 20).holdingTheGate(),
            Set.of(Change.PART_FITTED, Change.KNOCKED),
            List.of(Hazard.FIRE, Hazard.MOVING_AXES),
            10,
            180,
            new Help(
                    List.of(
                            "Pump or compressor, its filter, valve, hose and nozzle, from end to end.",
                            "The commands with which the job software switches the air.",
                            "A flow meter at the nozzle, or the back of a hand, beam off."),
                    List.of(
                            "Send the command from the job software, not from the switch on the pump.",
                            "A compressor without a filter blows oil on the lens.",
                            "Little air for engraving keeps smoke off the lens, and much of it drives dust into the "
                                    + "work; much air for cutting blows the flame out.",
                            "Set the regulator, then push its knob in until it locks. Push each hose in to its stop"
                                    + " and pull at it; a clamp where it is not push-fit."),
                    "Without air a cut flames, smoke burns into the lens, and the fire is where nobody looks.",
                    List.of("What blows out a flame depends on the material: stay with it, whatever the air does.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<AirReadings> readingsType() {
        return AirReadings.class;
    }

    @Override
    public Class<AirFinding> findingType() {
        return AirFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.presence(Plate.Part.AIR) != Plate.Presence.NONE;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.presence(Plate.Part.AIR) == Plate.Presence.UNKNOWN ? List.of("services.airAssist") : List.of();
    }

    @Override
    public Outcome<AirFinding> evaluate(AirReadings read) {
        Optional<AirReadings.Supply> supply = read.supply();
        double least = read.leastEngravingLMin().orElse(ENGRAVING_L_MIN);
        AirFinding.Tolerances tolerances = new AirFinding.Tolerances(
                least,
                read.leastCuttingLMin().orElse(CUTTING_L_MIN),
                OptionalDouble.of(read.mostEngravingLMin().orElse(Math.max(MOST_ENGRAVING_L_MIN, least))),
                supply.map(AirReadings.Supply::ratedBar).orElse(OptionalDouble.empty()));
        AirFinding finding = new AirFinding(
                unsound(read),
                read.seenOn(),
                read.seenOff(),
                read.engraving().reaches(tolerances.engravingLMin(), AirReadings.Felt.LIGHT),
                Optional.of(
                        read.engraving().keepsTo(tolerances.mostEngravingLMin().getAsDouble(), AirReadings.Felt.LIGHT)),
                read.cutting().reaches(tolerances.cuttingLMin(), AirReadings.Felt.STRONG),
                read.engraving(),
                read.cutting(),
                read.source(),
                tolerances);
        List<Instruction> instructions = instructions(finding);
        boolean fails = !finding.obeysOn() || !finding.obeysOff();
        Verdict verdict = fails ? Verdict.FAIL : instructions.isEmpty() ? Verdict.PASS : Verdict.ADJUST;
        if (instructions.isEmpty()) {
            instructions.add(Instruction.of("air", Said.of("The air does what it is told."))
                    .byHand(Said.of("Stay with every cut all the same.")));
        }
        return new Outcome<>(finding, verdict, instructions);
    }

    /** Parts to be put right, in the order of the air. */
    private static List<String> unsound(AirReadings read) {
        List<String> unsound = new ArrayList<>();
        Optional<AirReadings.Supply> supply = read.supply();
        if (supply.filter(s -> s.setBar().isPresent()
                        && s.ratedBar().isPresent()
                        && !Limits.atMost(s.setBar().getAsDouble(), s.ratedBar().getAsDouble()))
                .isPresent()) {
            unsound.add("regulator");
        }
        if (!supply.flatMap(AirReadings.Supply::locked).orElse(true)) {
            unsound.add("lock");
        }
        if (read.source() == AirReadings.Source.COMPRESSOR
                && !read.filterFitted().orElse(false)) {
            unsound.add("filter");
        }
        if (!read.valveSound().orElse(true)) {
            unsound.add("valve");
        }
        if (!read.hoseSound()) {
            unsound.add("hose");
        }
        if (!supply.flatMap(AirReadings.Supply::held).orElse(true)) {
            unsound.add("joints");
        }
        return unsound;
    }

    private static List<Instruction> instructions(AirFinding finding) {
        List<Instruction> instructions = new ArrayList<>();
        if (finding.unsound().contains("regulator")) {
            instructions.add(Instruction.of(
                            "regulator",
                            Said.of(
                                    "Set the regulator to {0} or less before the air is switched on.",
                                    bar(finding.tolerances().ratedBar().getAsDouble())
                                            .most()))
                    .byHand(Said.of("That is what the weakest of hose, valve and fittings is rated for: they can burst"
                            + " or fly off.")));
        }
        if (!finding.obeysOn()) {
            instructions.add(Instruction.of(
                            "command", Said.of("Find the command that switches the air on, before anything is cut."))
                    .byHand(Said.of(
                            "Nothing came when the job software sent what it should. Look at its settings, at the"
                                    + " relay, at the plug.")));
        }
        if (!finding.obeysOff()) {
            instructions.add(Instruction.of(
                            "command", Said.of("Find the command that switches the air off, before anything is cut."))
                    .byHand(Said.of("It went on blowing when the job software sent what should stop it. Look at its"
                            + " settings and at the relay.")));
        }
        if (finding.unsound().contains("filter")) {
            instructions.add(Instruction.of("filter", Said.of("Fit a filter behind the compressor."))
                    .byHand(Said.of("It blows oil and water on the lens.")));
        }
        if (finding.unsound().contains("valve")) {
            instructions.add(Instruction.of("valve", Said.of("Replace the valve, or free it.")));
        }
        if (finding.unsound().contains("hose")) {
            instructions.add(Instruction.of("hose", Said.of("Replace the hose, or make its joints tight.")));
        }
        if (finding.unsound().contains("lock")) {
            instructions.add(Instruction.of("regulator", Said.of("Push the regulator's knob in until it locks."))
                    .byHand(Said.of("A knob that turns by itself changes every cut.")));
        }
        if (finding.unsound().contains("joints")) {
            instructions.add(Instruction.of(
                            "joints", Said.of("Push each hose in to its stop, and clamp those that are not push-fit."))
                    .byHand(Said.of("Air off first. Then pull at each: it must not move.")));
        }
        if (!finding.cuts()) {
            instructions.add(Instruction.of(
                            "flow",
                            Said.of(
                                    "Give more air for cutting: {0} at the nozzle.",
                                    flow(finding.tolerances().cuttingLMin()).least()))
                    .byHand(Said.of("Less does not blow a flame out. Open the valve, look for a leak, a "
                            + "kink, a clogged filter.")));
        }
        if (!finding.engraves()) {
            instructions.add(Instruction.of(
                            "flow",
                            Said.of(
                                    "Give a little air for engraving: {0} at the nozzle.",
                                    flow(finding.tolerances().engravingLMin()).least()))
                    .byHand(Said.of("It keeps smoke off the lens.")));
        } else if (!finding.gentle().orElse(true)) {
            instructions.add(Instruction.of(
                            "flow",
                            Said.of(
                                    "Give less air for engraving: {0} at the nozzle, or less.",
                                    flow(finding.tolerances()
                                                    .mostEngravingLMin()
                                                    .getAsDouble())
                                            .most()))
                    .byHand(Said.of("More drives dust into the work and up to the lens.")));
        }
        return instructions;
    }

    private static Amount bar(double bar) {
        return new Amount(Quantity.PRESSURE, bar, 1);
    }

    private static Amount flow(double lMin) {
        return new Amount(Quantity.FLOW, lMin, 0);
    }

    /** As it was read, else as it felt. */
    static Said said(AirReadings.Flow flow) {
        return flow.readLMin().isPresent()
                ? Said.of("{0}", flow(flow.readLMin().getAsDouble()))
                : Said.of("felt " + flow.felt().orElseThrow().name().toLowerCase(Locale.ROOT));
    }

    @Override
    public Said keyFigure(AirFinding finding) {
        return said(finding.cutting());
    }

    @Override
    public List<Evidence> evidence(AirFinding finding) {
        return List.of(
                new Evidence("cutting", said(finding.cutting())),
                new Evidence("engraving", said(finding.engraving())),
                new Evidence(
                        "on command",
                        Said.of((finding.obeysOn() ? "comes" : "does not come") + ", "
                                + (finding.obeysOff() ? "goes" : "does not go"))));
    }

    @Override
    public Said judgedBy(AirFinding finding) {
        return Said.of(
                "{0} for engraving" + (finding.tolerances().mostEngravingLMin().isPresent() ? ", {2} at the most" : "")
                        + ", {1} for cutting, on and off seen",
                flow(finding.tolerances().engravingLMin()),
                flow(finding.tolerances().cuttingLMin()),
                flow(finding.tolerances().mostEngravingLMin().orElse(0)));
    }
}
