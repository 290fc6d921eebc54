package zebrawood.core.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.beam.Spot;
import zebrawood.core.machine.Family;
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
import zebrawood.core.units.TurnWords;

/**
 * Tells a beam that leans from one that stands aside, from two marks on one run. A mirror turned by d in the plane of
 * incidence turns its beam by 2 d; turned out of it by d, about the line in its face that lies in the plane, by
 * {@code 2 d cos(incidence)}.
 */
public final class MirrorNearFar implements Procedure<NearFarReadings, NearFarFinding> {

    /** what a hand does not make */
    private static final double LEAST_TURNS = 0.005;

    /** lever arm and pitch of a usual mount, mm: by hand one has to take some */
    private static final NearFarReadings.Screws USUAL = new NearFarReadings.Screws(40, 40, 0.5, OptionalDouble.empty());

    private static final Card CARD = new Card(
            "mirror-near-far",
            1,
            "Near and far",
            Card.OnRoute.in(Phase.BEAM, 22).firing(),
            Set.of(Change.MOVED, Change.SOURCE_CHANGED, Change.KNOCKED, Change.CLEANED),
            List.of(Hazard.BEAM, Hazard.MOVING_AXES, Hazard.FIRE),
            10,
            180,
            new Help(
                    List.of(
                            "A card before the next mirror or the head, its cross in the middle of the opening.",
                            "A rule for both distances; the mount's lever arms and the pitch of its screws."),
                    List.of(
                            "Near: one short pulse at the lowest power that marks. Far: one more.",
                            "Read both from the cross, facing the beam: right and up."),
                    "What changes between near and far is the angle: screws mend it. What is the same at both is the "
                            + "offset: the mirror, or what stands before it, has to be moved.",
                    List.of("Near and far alike and in the middle: leave it alone.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<NearFarReadings> readingsType() {
        return NearFarReadings.class;
    }

    @Override
    public Class<NearFarFinding> findingType() {
        return NearFarFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2;
    }

    @Override
    public Outcome<NearFarFinding> evaluate(NearFarReadings read) {
        double run = read.farDistanceMm() - read.nearDistanceMm();
        double angleX = (read.far().xMm() - read.near().xMm()) / run;
        double angleY = (read.far().yMm() - read.near().yMm()) / run;
        double tiltX = angleX / 2;
        double tiltY = angleY
                / (2 * Math.cos(Math.toRadians(read.mount().incidenceDeg().orElse(45))));
        double offsetX = read.near().xMm() - angleX * read.nearDistanceMm();
        double offsetY = read.near().yMm() - angleY * read.nearDistanceMm();
        NearFarFinding finding = new NearFarFinding(
                1000 * angleX,
                1000 * angleY,
                1000 * tiltX,
                1000 * tiltY,
                Math.tan(tiltX) * read.mount().armXMm() / read.mount().pitchMm(),
                Math.tan(tiltY) * read.mount().armYMm() / read.mount().pitchMm(),
                offsetX,
                offsetY,
                read.near().distanceMm(read.far()),
                new Spot(offsetX, offsetY),
                read.mirror(),
                read.nearDistanceMm(),
                read.farDistanceMm(),
                read.near(),
                read.far(),
                new NearFarFinding.Tolerances(
                        read.angleToleranceMm().orElse(NearFarReadings.ANGLE_TOLERANCE_MM),
                        read.offsetToleranceMm().orElse(NearFarReadings.OFFSET_TOLERANCE_MM)));
        boolean leans =
                !Limits.atMost(finding.separationMm(), finding.tolerances().angleMm());
        boolean aside = !Limits.atMost(
                finding.expectedFar().fromCentreMm(), finding.tolerances().offsetMm());
        List<Instruction> instructions = new ArrayList<>();
        if (leans) {
            instructions.addAll(tilt(finding));
        }
        if (aside) {
            instructions.add(move(finding, leans));
        }
        return new Outcome<>(finding, leans ? Verdict.ADJUST : aside ? Verdict.FAIL : Verdict.PASS, instructions);
    }

    private static List<Instruction> tilt(NearFarFinding finding) {
        List<Instruction> instructions = new ArrayList<>();
        if (Math.abs(finding.turnsX()) >= LEAST_TURNS) {
            instructions.add(screw(
                    "side",
                    finding.turnsX(),
                    finding.far().xMm() - finding.offsetXMm(),
                    finding.turnsX() > 0 ? "to the left" : "to the right"));
        }
        if (Math.abs(finding.turnsY()) >= LEAST_TURNS) {
            instructions.add(screw(
                    "height",
                    finding.turnsY(),
                    finding.far().yMm() - finding.offsetYMm(),
                    finding.turnsY() > 0 ? "down" : "up"));
        }
        instructions.add(Instruction.of("card", Said.of("Then shoot near and far again."))
                .expecting(Said.of(
                        "Far should sit " + Sides.words(finding.expectedFar(), 0) + " from the cross.",
                        Sides.across(finding.expectedFar()),
                        Sides.upright(finding.expectedFar()))));
        return instructions;
    }

    private static Instruction screw(String name, double turns, double shiftMm, String way) {
        return Instruction.of(
                        name + "-screw",
                        Said.of(
                                "Turn the " + name + " screw by {0} turn: the far mark goes {1} " + way + ".",
                                Amount.plain(Math.abs(turns), 2),
                                shift(shiftMm)))
                .byHand(Said.of("That is " + TurnWords.of(turns)
                        + ". Shoot far after a small part of it: if the mark went the wrong way, turn the other way."));
    }

    private static Amount shift(double mm) {
        return Amount.mm(Math.abs(mm), 1);
    }

    private static Instruction move(NearFarFinding finding, boolean later) {
        return Instruction.of(
                        "mirror",
                        Said.of(
                                (later ? "After that, move" : "Move")
                                        + " the mirror or what stands before it: the beam meets it {0} beside its middle.",
                                Amount.mm(finding.expectedFar().fromCentreMm(), 1)))
                .byHand(Said.of(
                        "It is " + Sides.words(finding.expectedFar(), 0)
                                + " there. No screw of this mirror mends that: do not tilt for it. Power off before "
                                + "hands are in the machine; the tube's high voltage is a licensed person's work.",
                        Sides.across(finding.expectedFar()),
                        Sides.upright(finding.expectedFar())))
                .expecting(Said.of("Then shoot near and far again."));
    }

    @Override
    public Said keyFigure(NearFarFinding finding) {
        return Said.of("{0}", Amount.mm(finding.separationMm(), 1));
    }

    @Override
    public List<Evidence> evidence(NearFarFinding finding) {
        return List.of(
                new Evidence("near to far", Said.of("{0}", Amount.mm(finding.separationMm(), 2))),
                new Evidence("leans right", Said.of("{0}", mrad(finding.beamAngleXMrad()))),
                new Evidence("leans up", Said.of("{0}", mrad(finding.beamAngleYMrad()))),
                new Evidence("mirror, side", Said.of("{0}", mrad(finding.mirrorTiltXMrad()))),
                new Evidence("mirror, height", Said.of("{0}", mrad(finding.mirrorTiltYMrad()))),
                new Evidence(
                        "offset, to move",
                        Said.of("{0}", Amount.mm(finding.expectedFar().fromCentreMm(), 2))));
    }

    private static Amount mrad(double mrad) {
        return new Amount(Quantity.DIVERGENCE, mrad, 2);
    }

    @Override
    public Said judgedBy(NearFarFinding finding) {
        return Said.of(
                "near and far at most {0} apart, at most {1} beside the middle",
                Amount.mm(finding.tolerances().angleMm(), 2).most(),
                Amount.mm(finding.tolerances().offsetMm(), 2).most());
    }

    /**
     * Near and far on the newest run of an alignment of which both are there with no screw turned between them, for
     * screws as they usually are; empty where there are none such.
     */
    public static Optional<NearFarReadings> newest(PlanReadings readings) {
        List<PlanReadings.Shot> shots = new ArrayList<>();
        for (PlanReadings.Step step : readings.steps()) {
            if (step.turn().isPresent()) {
                shots.clear();
            } else {
                shots.add(step.shot().orElseThrow());
            }
        }
        for (int i = shots.size() - 1; i >= 0; i--) {
            for (int j = i - 1; j >= 0; j--) {
                Optional<NearFarReadings> pair = pair(shots.get(i), shots.get(j));
                if (pair.isPresent()) {
                    return pair;
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<NearFarReadings> pair(PlanReadings.Shot one, PlanReadings.Shot other) {
        if (one.mirror() != other.mirror() || one.mirror() == 2 && one.gantryMm() != other.gantryMm()) {
            return Optional.empty();
        }
        double first = one.carriageMm().orElse(one.gantryMm());
        double second = other.carriageMm().orElse(other.gantryMm());
        if (first == second) {
            return Optional.empty();
        }
        PlanReadings.Shot near = first < second ? one : other;
        PlanReadings.Shot far = first < second ? other : one;
        return Optional.of(new NearFarReadings(
                "Mirror " + one.mirror(),
                Math.min(first, second),
                Math.max(first, second),
                near.spot(),
                far.spot(),
                USUAL,
                OptionalDouble.empty(),
                OptionalDouble.empty()));
    }
}
