package zebrawood.core.mirrors;

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
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Quantity;
import zebrawood.core.units.Said;

/** Chooses the next shot or the next turns of an alignment, so that few shots are needed; see the package. */
public final class MirrorPlan implements Procedure<PlanReadings, PlanFinding> {

    /** a plan ends */
    static final int MOST_SHOTS = 25;

    private static final Card CARD = new Card(
            "mirror-plan",
            1,
            "Mirrors",
            Card.OnRoute.in(Phase.BEAM, 20).firing(),
            Set.of(Change.MOVED, Change.SOURCE_CHANGED, Change.KNOCKED, Change.CLEANED),
            List.of(Hazard.BEAM, Hazard.MOVING_AXES, Hazard.FIRE),
            40,
            180,
            new Help(
                    List.of(
                            "Optics clean, bed level: a dirty mirror and a bed that leans both look like a bad beam.",
                            "Cards that fit before mirror 2 and the head, tape, a rule.",
                            "Covers open only in the time for service; eyewear on everybody."),
                    List.of(
                            "Shoot where it says, at the lowest power that marks, one short pulse; read the mark from "
                                    + "the cross.",
                            "Turn the screws it names, by as much as it says, and come to the place clockwise: that "
                                    + "takes up the play.",
                            "Two pulses on one card are two shots: read both."),
                    "A mark at one place cannot tell a beam that leans from one that stands aside; two places on a "
                            + "run can. Every shot so far counts, and every turn teaches how this mount answers.",
                    List.of(
                            "Nobody's eyes or hands in the path; know where the beam goes when a mirror is turned.",
                            "A mirror that is loose, or rails that are bent, are not mended with screws.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<PlanReadings> readingsType() {
        return PlanReadings.class;
    }

    @Override
    public Class<PlanFinding> findingType() {
        return PlanFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() == Family.GANTRY_CO2;
    }

    @Override
    public Outcome<PlanFinding> evaluate(PlanReadings readings) {
        Belief belief = Faults.sound(readings);
        PlanFinding finding = new Planning(belief).finding();
        return new Outcome<>(finding, verdict(finding), new PlanWords(finding).instructions());
    }

    private static Verdict verdict(PlanFinding finding) {
        if (finding.fault().isPresent()) {
            return Verdict.FAIL;
        }
        return switch (finding.next().act()) {
            case DONE -> Verdict.PASS;
            case TURN, MOVE -> Verdict.ADJUST;
            case SHOOT, LOOK -> Verdict.UNCLEAR;
        };
    }

    @Override
    public Said keyFigure(PlanFinding finding) {
        return finding.worstSpreadMm().isPresent()
                ? Said.of("{0}", Amount.mm(finding.worstSpreadMm().getAsDouble(), 1))
                : Said.of("{0} shots", Amount.plain(finding.shots(), 0));
    }

    @Override
    public List<Evidence> evidence(PlanFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        finding.worstSpreadMm()
                .ifPresent(spread -> evidence.add(new Evidence(
                        "worst corners",
                        Said.of(
                                "{0#} ± {1}",
                                Amount.mm(spread, 2),
                                Amount.mm(finding.worstSpreadErrorMm().orElse(0), 2)
                                        .least()))));
        finding.before()
                .ifPresent(before ->
                        evidence.add(new Evidence("as found", Said.of("{0}", Amount.mm(before.spreadMm(), 2)))));
        if (finding.shots() > 0) {
            evidence.add(new Evidence(
                    finding.startsAtTheTube() ? "leans, tube" : "leans, mirror 1",
                    lean(finding.now().yRun())));
            evidence.add(new Evidence(
                    finding.startsAtTheTube() ? "leans, gantry's mirror" : "leans, mirror 2",
                    lean(finding.now().xRun())));
        }
        evidence.add(new Evidence(
                "shots",
                finding.toGo() == 0
                        ? Said.of("{0}", shots(finding.shots()))
                        : Said.of("{0}, about {1} to go", shots(finding.shots()), shots(finding.toGo()))));
        finding.pointerBesideMm()
                .ifPresent(beside ->
                        evidence.add(new Evidence("pointer beside the beam", Said.of("{0}", Amount.mm(beside, 1)))));
        finding.current()
                .filter(PlanFinding.Current::isMixed)
                .ifPresent(current -> evidence.add(new Evidence(
                        "currents differ: do not compare sizes",
                        Said.of(
                                "{0#} to {1}",
                                new Amount(Quantity.CURRENT, current.leastMa(), 1),
                                new Amount(Quantity.CURRENT, current.mostMa(), 1)))));
        return evidence;
    }

    private static Amount shots(int shots) {
        return Amount.plain(shots, 0);
    }

    private static Said lean(PlanFinding.Lean lean) {
        return Said.of("{0} mrad", Amount.plain(Math.hypot(lean.xMrad(), lean.yMrad()), 1));
    }

    @Override
    public Said judgedBy(PlanFinding finding) {
        return Said.of(
                "marks at the corners at most {0} apart, doubt and all",
                Amount.mm(finding.tolerances().toleranceMm(), 2).most());
    }
}
