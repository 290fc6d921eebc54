package zebrawood.core.height;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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

/** Where to send the height axis for a stock on a riser, and whether it gets there. */
public final class ZPlan implements Procedure<ZReadings, ZFinding> {

    /** as near to the end of the axis rounding may not be to the other side, mm */
    private static final double CLOSE_MM = 0.02;

    private static final Card CARD = new Card(
            "z-plan",
            1,
            "Height axis",
            Card.OnRoute.in(Phase.HEIGHT, 10).forAJob(),
            Set.of(Change.LENS_CHANGED, Change.NOZZLE_CHANGED, Change.PART_FITTED, Change.MOVED),
            List.of(Hazard.MOVING_AXES),
            5,
            180,
            new Help(
                    List.of("The best gap of the lens, the thickness of stock and riser, a calliper."),
                    List.of(
                            "Bring the height axis to 0 and measure from the focus datum down to the bare bed.",
                            "Try a small move to a larger number: what moves, and which way?",
                            "Type stock and riser. Then send the axis to the place that is said, and gauge the gap.",
                            "A powered rail: look at how a job starts. The height move comes first, goes to a place, and"
                                    + " is as fast as the panel's."),
                    "Whenever stock, riser, lens, nozzle or bed changes, the focus is set again: what was right for the "
                            + "last job is wrong for this one.",
                    List.of(
                            "Send the height with the beam off, and look along the head: it must clear stock and clamps.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<ZReadings> readingsType() {
        return ZReadings.class;
    }

    @Override
    public Class<ZFinding> findingType() {
        return ZFinding.class;
    }

    /** A cutting head's standoff and focus are two things, and come with the cut book. */
    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() != Family.SHEET_FIBRE;
    }

    @Override
    public Outcome<ZFinding> evaluate(ZReadings read) {
        ZFinding finding = finding(read);
        List<Instruction> start = jobStart(read);
        if (!finding.inRange()) {
            List<Instruction> said = new ArrayList<>(List.of(outOfRange(finding)));
            said.addAll(start);
            return new Outcome<>(finding, Verdict.FAIL, said);
        }
        List<Instruction> said = new ArrayList<>(start);
        said.add(send(finding, read));
        return new Outcome<>(finding, start.isEmpty() ? Verdict.PASS : Verdict.ADJUST, said);
    }

    /** What is wrong with how jobs of a powered rail start, as far as somebody looked. */
    private static List<Instruction> jobStart(ZReadings read) {
        List<Instruction> said = new ArrayList<>();
        if (read.heightFirst().equals(Optional.of(false))) {
            said.add(Instruction.of("job", Said.of("Make the height move the first thing that each job does."))
                    .byHand(Said.of(
                            "Before it the head may strike clamps or stock, and the first lines are out of focus."
                                    + " It is set in the job software or the controller: see the manual.")));
        }
        if (read.heightAbsolute().equals(Optional.of(false))) {
            said.add(Instruction.of("job", Said.of("Make the height move of a job go to a place, not by a distance."))
                    .byHand(Said.of("A move by a distance adds up: after a job that was stopped, the next one starts"
                            + " from the wrong height.")));
        }
        if (read.jobSpeedMmMin().isPresent()
                && read.panelSpeedMmMin().isPresent()
                && !alike(
                        read.jobSpeedMmMin().getAsDouble(),
                        read.panelSpeedMmMin().getAsDouble())) {
            Amount panel = Amount.told(Quantity.RATE, read.panelSpeedMmMin().getAsDouble());
            said.add(Instruction.of("job", Said.of("Let jobs move the height at {0}, as the panel does.", panel))
                    .byHand(Said.of("A rail that is driven at another speed may lose steps or hang differently in its"
                            + " play; then the same number is another height.")));
        }
        return said;
    }

    private static boolean alike(double one, double other) {
        return Limits.atMost(Math.abs(one - other), 0.01 * Math.max(one, other));
    }

    private static ZFinding finding(ZReadings read) {
        double riser = read.riserMm().orElse(0);
        double defocus = read.defocusMm().orElse(0);
        double surfaceGap = read.focusGapMm() + defocus;
        double opening = surfaceGap + read.materialMm() + riser - read.bareGapAtZeroMm();
        boolean opens = read.axisSense().opens();
        double target = opens ? opening : -opening;
        // the opening that no stock at all would need, and how far the axis opens
        double without = surfaceGap + riser - read.bareGapAtZeroMm();
        double thinnest = (opens ? read.minZMm() : -read.maxZMm()) - without;
        double thickest = (opens ? read.maxZMm() : -read.minZMm()) - without;
        boolean any = Limits.atLeast(thickest, 0);
        return new ZFinding(
                target,
                read.currentZMm().isPresent()
                        ? OptionalDouble.of(target - read.currentZMm().getAsDouble())
                        : OptionalDouble.empty(),
                surfaceGap,
                Limits.atLeast(target, read.minZMm()) && Limits.atMost(target, read.maxZMm()),
                any ? OptionalDouble.of(Math.max(0, thinnest)) : OptionalDouble.empty(),
                any ? OptionalDouble.of(Math.max(0, thickest)) : OptionalDouble.empty(),
                new ZFinding.Stack(riser, read.materialMm(), defocus, read.axisSense()),
                new ZFinding.Tolerances(read.minZMm(), read.maxZMm()));
    }

    private static Instruction send(ZFinding finding, ZReadings read) {
        List<Amount> amounts = new ArrayList<>(List.of(target(finding), Amount.mm(finding.surfaceGapMm(), 2)));
        String hand = "Beam off, hands out. ";
        if (finding.moveMm().isPresent()) {
            double move = finding.moveMm().getAsDouble();
            amounts.add(Amount.mm(Math.abs(move), 2));
            hand += "From where it stands the " + read.axisSense().part() + " goes "
                    + read.axisSense().way(move) + " by {2}. ";
        }
        hand += "Then gauge the gap: it is to be {1}.";
        return Instruction.of("height", Said.of("Send the height axis to {0}.", amounts.get(0)))
                .byHand(new Said(hand, amounts));
    }

    /** Rounded so that the axis is never sent beyond its end. */
    private static Amount target(ZFinding finding) {
        double z = finding.targetZMm();
        Amount shown = Amount.mm(z, 2);
        if (finding.tolerances().maxZMm() - z < CLOSE_MM) {
            return shown.most();
        }
        return z - finding.tolerances().minZMm() < CLOSE_MM ? shown.least() : shown;
    }

    private static Instruction outOfRange(ZFinding finding) {
        if (finding.thickestMaterialMm().isEmpty() && finding.stack().riserMm() == 0) {
            return Instruction.of(
                            "height",
                            Said.of("Measure again: by these figures no stock fits, not even without a riser."))
                    .byHand(Said.of(
                            "Look at the bare gap at 0, at what a larger number moves, and at the ends of the axis."));
        }
        if (finding.thickestMaterialMm().isEmpty()) {
            return Instruction.of("riser", Said.of("Take the riser out, or a lower one: no stock fits over it."))
                    .byHand(Said.of(
                            "The axis goes from {0} to {1}. Type the new riser: it is worked out again.",
                            Amount.mm(finding.tolerances().minZMm(), 1),
                            Amount.mm(finding.tolerances().maxZMm(), 1)));
        }
        boolean thick =
                finding.stack().materialMm() > finding.thickestMaterialMm().getAsDouble();
        return thick
                ? Instruction.of(
                                "stock",
                                Said.of(
                                        "Take stock of {0} or thinner, or a lower riser.",
                                        Amount.mm(finding.thickestMaterialMm().getAsDouble(), 1)
                                                .most()))
                        .byHand(Said.of("The axis does not open farther: at {0} it ends.", end(finding, true)))
                : Instruction.of(
                                "riser",
                                Said.of(
                                        "Put {0} more under the stock.",
                                        Amount.mm(
                                                        finding.thinnestMaterialMm()
                                                                        .getAsDouble()
                                                                - finding.stack()
                                                                        .materialMm(),
                                                        1)
                                                .least()))
                        .byHand(Said.of(
                                "The axis does not close farther: at {0} it ends. Type the new riser: it is worked out "
                                        + "again.",
                                end(finding, false)));
    }

    private static Amount end(ZFinding finding, boolean open) {
        return Amount.mm(
                open == finding.stack().axisSense().opens()
                        ? finding.tolerances().maxZMm()
                        : finding.tolerances().minZMm(),
                1);
    }

    @Override
    public Said keyFigure(ZFinding finding) {
        return Said.of("Z {0}", Amount.mm(finding.targetZMm(), 2));
    }

    @Override
    public List<Evidence> evidence(ZFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("height axis", Said.of("{0}", Amount.mm(finding.targetZMm(), 2))));
        evidence.add(new Evidence("gap to the stock", Said.of("{0}", Amount.mm(finding.surfaceGapMm(), 2))));
        if (finding.stack().defocusMm() != 0) {
            evidence.add(new Evidence(
                    "focus wanted",
                    Said.of(
                            finding.stack().defocusMm() > 0 ? "{0} above the surface" : "{0} under the surface",
                            Amount.mm(Math.abs(finding.stack().defocusMm()), 2))));
        }
        finding.thickestMaterialMm()
                .ifPresent(most -> evidence.add(new Evidence(
                        "stock that fits",
                        Said.of(
                                "{0#} to {1}",
                                Amount.mm(finding.thinnestMaterialMm().getAsDouble(), 1)
                                        .least(),
                                Amount.mm(most, 1).most()))));
        return evidence;
    }

    @Override
    public Said judgedBy(ZFinding finding) {
        return Said.of(
                "the axis from {0} to {1}",
                Amount.mm(finding.tolerances().minZMm(), 2).least(),
                Amount.mm(finding.tolerances().maxZMm(), 2).most());
    }
}
