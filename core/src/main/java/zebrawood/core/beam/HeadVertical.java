package zebrawood.core.beam;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
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

/** Judges whether the beam leaves the head upright and through the middle of its nozzle, from two table heights. */
public final class HeadVertical implements Procedure<VerticalReadings, VerticalFinding> {

    /** what the nozzle may take, % */
    private static final double CLIPPED_PCT = 1;

    private static final Card CARD = new Card(
            "head-vertical",
            1,
            "Nozzle and height",
            Card.OnRoute.in(Phase.BEAM, 40).firing(),
            Set.of(Change.MOVED, Change.SOURCE_CHANGED, Change.KNOCKED, Change.LENS_CHANGED),
            List.of(Hazard.BEAM, Hazard.MOVING_AXES, Hazard.FIRE),
            10,
            180,
            new Help(
                    List.of(
                            "A flat card on the table, its middle marked straight under the nozzle.",
                            "A block or a rule for the two gaps: far apart tells more.",
                            "The lens out, if the maker allows it: a spot out of focus is hard to read."),
                    List.of(
                            "High table: one short pulse; read the spot from the nozzle's axis.",
                            "Low table, head not moved: one pulse more.",
                            "Right and up as seen looking down onto the card from the front."),
                    "A beam that leans in the head cuts a slanted edge and loses its focus to one side; one that passes "
                            + "the nozzle beside its middle heats it.",
                    List.of("Hands out before the table moves.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<VerticalReadings> readingsType() {
        return VerticalReadings.class;
    }

    @Override
    public Class<VerticalFinding> findingType() {
        return VerticalFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2;
    }

    @Override
    public Outcome<VerticalFinding> evaluate(VerticalReadings read) {
        double run = read.lowerGapMm() - read.upperGapMm();
        double leanX = (read.lower().xMm() - read.upper().xMm()) / run;
        double leanY = (read.lower().yMm() - read.upper().yMm()) / run;
        Spot atNozzle = new Spot(
                read.upper().xMm() - leanX * read.upperGapMm(), read.upper().yMm() - leanY * read.upperGapMm());
        double clipped =
                100 * (1 - new RoundBeam(read.beamAtNozzleMm()).passed(read.nozzleBoreMm(), atNozzle.fromCentreMm()));
        VerticalFinding finding = new VerticalFinding(
                1000 * leanX,
                1000 * leanY,
                1000 * Math.hypot(leanX, leanY),
                atNozzle,
                clipped,
                read.upperGapMm(),
                read.lowerGapMm(),
                read.upper(),
                read.lower(),
                read.nozzleBoreMm(),
                read.beamAtNozzleMm(),
                new VerticalFinding.Tolerances(
                        read.toleranceMrad().orElse(VerticalReadings.TOLERANCE_MRAD), CLIPPED_PCT));
        List<Instruction> instructions = instructions(finding);
        return instructions.isEmpty()
                ? new Outcome<>(
                        finding,
                        Verdict.PASS,
                        List.of(Instruction.of("head", Said.of("Leave the head alone: the beam falls straight."))))
                : new Outcome<>(finding, Verdict.ADJUST, instructions);
    }

    private static List<Instruction> instructions(VerticalFinding finding) {
        List<Instruction> instructions = new ArrayList<>();
        if (!Limits.atMost(finding.leanMrad(), finding.tolerances().leanMrad())) {
            double run = finding.lowerGapMm() - finding.upperGapMm();
            double right = finding.lower().xMm() - finding.upper().xMm();
            double up = finding.lower().yMm() - finding.upper().yMm();
            double apart = finding.tolerances().leanMrad() / 1000 * run;
            instructions.add(Instruction.of(
                            "head-mirror",
                            Said.of(
                                    "Turn the mirror in the head until the two spots sit {0} or less apart.",
                                    Amount.mm(apart, apart < 0.2 ? 3 : 2).most()))
                    .byHand(Said.of(
                            "They sit {0} apart now; seen from the higher one the lower is {1} to the "
                                    + (right < 0 ? "left" : "right") + " and {2} " + (up < 0 ? "down" : "up")
                                    + ". Align the other mirrors first: a beam that leans into the head leans out of it. Is the head itself upright? Turn a little, then "
                                    + "shoot both heights again.",
                            Amount.mm(finding.upper().distanceMm(finding.lower()), 2),
                            Amount.mm(Math.abs(right), 2),
                            Amount.mm(Math.abs(up), 2))));
        }
        if (!Limits.atMost(finding.clippedPct(), CLIPPED_PCT)) {
            RoundBeam beam = new RoundBeam(finding.beamAtNozzleMm());
            boolean fits = Limits.atMost(100 * beam.lostInTheMiddle(finding.nozzleBoreMm()), CLIPPED_PCT);
            double largest = fits ? beam.largestOffset(finding.nozzleBoreMm(), CLIPPED_PCT / 100) : 0;
            instructions.add(
                    fits
                            ? Instruction.of(
                                            "nozzle",
                                            Said.of(
                                                    "Bring the beam to {0} or less from the middle of the nozzle.",
                                                    Amount.mm(largest, largest < 0.2 ? 3 : 2)
                                                            .most()))
                                    .byHand(Said.of(
                                            "It passes {0} beside it and loses {1} there. Set it upright first; then move the "
                                                    + "nozzle or the head's tube, or the beam as a whole.",
                                            Amount.mm(finding.atNozzle().fromCentreMm(), 2),
                                            Amount.percent(finding.clippedPct(), 1)))
                            : Instruction.of(
                                            "nozzle",
                                            Said.of(
                                                    "Fit a nozzle with a bore of {0} or more for this beam.",
                                                    Amount.mm(beam.openingFor(CLIPPED_PCT / 100), 1)
                                                            .least()))
                                    .byHand(Said.of(
                                            "Even in its middle this one takes {0} of the beam. Measure the beam in the bore "
                                                    + "again first, at the lowest power that marks.",
                                            Amount.percent(100 * beam.lostInTheMiddle(finding.nozzleBoreMm()), 1))));
        }
        return instructions;
    }

    @Override
    public Said keyFigure(VerticalFinding finding) {
        return Said.of("{0}", mrad(finding.leanMrad()));
    }

    private static Amount mrad(double mrad) {
        return new Amount(Quantity.DIVERGENCE, mrad, 1);
    }

    @Override
    public List<Evidence> evidence(VerticalFinding finding) {
        return List.of(
                new Evidence("leans", Said.of("{0}", mrad(finding.leanMrad()))),
                new Evidence("to the right", Said.of("{0}", mrad(finding.leanXMrad()))),
                new Evidence("up on the card", Said.of("{0}", mrad(finding.leanYMrad()))),
                new Evidence(
                        "beside the nozzle's axis",
                        Said.of("{0}", Amount.mm(finding.atNozzle().fromCentreMm(), 2))),
                new Evidence("taken by the nozzle", Said.of("{0}", Amount.percent(finding.clippedPct(), 2))));
    }

    @Override
    public Said judgedBy(VerticalFinding finding) {
        return Said.of(
                "at most {0} of lean, at most {1} taken by the nozzle",
                mrad(finding.tolerances().leanMrad()).most(),
                Amount.percent(finding.tolerances().clippedPct(), 1).most());
    }
}
