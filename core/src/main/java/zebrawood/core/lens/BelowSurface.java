package zebrawood.core.lens;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
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

/** Where to bring the head for a mark inside glass: Snell's law for rays near the axis and for the outermost ones. */
public final class BelowSurface implements Procedure<BelowReadings, BelowFinding> {

    private static final Card CARD = new Card(
            "below-surface",
            1,
            "Inside glass",
            Card.OnRoute.in(Phase.HEIGHT, 30).forAJob(),
            Set.of(),
            List.of(Hazard.BEAM, Hazard.MOVING_AXES),
            5,
            720,
            new Help(
                    List.of("Thickness and refractive index of the glass, and the best gap on its surface."),
                    List.of(
                            "Focus on the upper surface first, with the glass where it will lie.",
                            "Type how deep the mark is to be. Lower the head by what is said, no more.",
                            "Mark one test piece of the same glass at the lowest power that marks."),
                    "Glass bends the rays so that they meet deeper than in air. The outer rays meet deeper still: the mark is "
                            + "drawn out.",
                    List.of(
                            "Glass can break where a surface is hit: keep covers shut.",
                            "The beam goes on under the glass: something that takes it must lie there.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<BelowReadings> readingsType() {
        return BelowReadings.class;
    }

    @Override
    public Class<BelowFinding> findingType() {
        return BelowFinding.class;
    }

    /** Infrared of 10.6 µm does not go into glass; a galvo's beam does. */
    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family().isGalvo();
    }

    @Override
    public Outcome<BelowFinding> evaluate(BelowReadings read) {
        double outside = read.halfAngleMrad() / 1000;
        double inside = Math.asin(Math.sin(outside) / read.refractiveIndex());
        double paraxial = read.depthMm() / read.refractiveIndex();
        double marginal = read.depthMm() * Math.tan(inside) / Math.tan(outside);
        double smear = read.depthMm() * (Math.tan(outside) / (read.refractiveIndex() * Math.tan(inside)) - 1);
        double below = read.thicknessMm() - read.depthMm();
        BelowFinding finding = new BelowFinding(
                paraxial,
                marginal,
                Math.max(0, smear),
                below,
                read.depthMm(),
                read.thicknessMm(),
                read.refractiveIndex(),
                read.halfAngleMrad(),
                1000 * inside,
                new BelowFinding.Tolerances(read.depthOfFocusMm()));
        if (Limits.atLeast(read.depthMm(), read.thicknessMm())) {
            return new Outcome<>(
                    finding,
                    Verdict.FAIL,
                    List.of(Instruction.of(
                                    "depth",
                                    Said.of(
                                            "Mark less deep than {0}: the glass ends there.",
                                            Amount.mm(read.thicknessMm(), 2).most()))
                            .byHand(Said.of("Type another depth: the head's place is worked out again."))));
        }
        double focus = read.depthOfFocusMm().orElse(0);
        boolean back = read.depthOfFocusMm().isPresent() && !Limits.atLeast(below, focus);
        boolean front = read.depthOfFocusMm().isPresent() && !Limits.atLeast(read.depthMm(), focus);
        if (back || front) {
            return new Outcome<>(finding, Verdict.ADJUST, List.of(elsewhere(read, focus, back && front, front)));
        }
        OptionalDouble depth = read.depthOfFocusMm();
        return new Outcome<>(
                finding,
                Verdict.PASS,
                List.of(Instruction.of(
                                "head",
                                Said.of("Lower the head by {0} from the focus on the surface.", Amount.mm(paraxial, 2)))
                        .byHand(Said.of(
                                (depth.isEmpty()
                                                ? "How deep the focus is, is not known: try it on a test piece of this glass. "
                                                : "")
                                        + "The mark gets {0} longer than on a surface. Stop before the head touches the glass.",
                                Amount.mm(finding.smearMm(), 2)))));
    }

    private static Instruction elsewhere(BelowReadings read, double focus, boolean both, boolean front) {
        // so that a depth stays that spares both surfaces, whatever units it is read in
        double thick = 2.1 * focus + 0.1;
        if (both || read.thicknessMm() < thick) {
            return Instruction.of(
                            "glass",
                            Said.of(
                                    "Take thicker glass, {0} or more.",
                                    Amount.mm(thick, 1).least()))
                    .byHand(Said.of("In this glass one of the two surfaces is marked too. Or take a lens with a "
                            + "shorter focus; then type its depth of focus again."));
        }
        return front
                ? Instruction.of(
                                "depth",
                                Said.of(
                                        "Mark deeper, at {0} or more.",
                                        Amount.mm(focus, 2).least()))
                        .byHand(Said.of("Nearer to the upper surface the mark comes through it."))
                : Instruction.of(
                                "depth",
                                Said.of(
                                        "Mark less deep, at {0} or less.",
                                        Amount.mm(read.thicknessMm() - focus, 2).most()))
                        .byHand(Said.of("Nearer to the lower surface the mark comes through it."));
    }

    @Override
    public Said keyFigure(BelowFinding finding) {
        return Said.of("{0}", Amount.mm(finding.headDropMm(), 2));
    }

    @Override
    public List<Evidence> evidence(BelowFinding finding) {
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence("head lower by", Said.of("{0}", Amount.mm(finding.headDropMm(), 2))),
                new Evidence("for the outer rays", Said.of("{0}", Amount.mm(finding.marginalDropMm(), 2))),
                new Evidence("mark drawn out by", Said.of("{0}", Amount.mm(finding.smearMm(), 2))),
                new Evidence("glass under the mark", Said.of("{0}", Amount.mm(finding.belowMm(), 2))),
                new Evidence(
                        "half angle inside",
                        Said.of("{0}", new Amount(Quantity.DIVERGENCE, finding.insideMrad(), 0)))));
        return evidence;
    }

    @Override
    public Said judgedBy(BelowFinding finding) {
        OptionalDouble focus = finding.tolerances().depthOfFocusMm();
        return focus.isPresent()
                ? Said.of(
                        "both surfaces farther from the mark than {0}",
                        Amount.mm(focus.getAsDouble(), 2).least())
                : Said.of("the mark inside the glass");
    }
}
