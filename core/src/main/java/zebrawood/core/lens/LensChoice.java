package zebrawood.core.lens;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.lens.ChoiceReadings.Aberration;
import zebrawood.core.lens.ChoiceReadings.Purpose;
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
import zebrawood.core.units.Said;

/**
 * Which lens to take: the spot by diffraction and aberration, the cone by diameter over focal length. Optics do not
 * decide finish, residue and depth of a mark; a strip engraved with each lens does, and every answer says so.
 */
public final class LensChoice implements Procedure<ChoiceReadings, ChoiceFinding> {

    /** a spot a tenth wider is still taken for sharp */
    private static final double GROWTH = 1.1;

    private static final String STRIP = "Before you trust it: engrave one strip with each lens and score the strips. "
            + "The spot alone does not decide finish, residue and depth.";

    private static final Card CARD = new Card(
            "lens-choice",
            1,
            "Lens choice",
            Card.OnRoute.in(Phase.FOCUS, 80).forAJob(),
            Set.of(Change.SOURCE_CHANGED),
            List.of(Hazard.BEAM, Hazard.FUMES, Hazard.FIRE),
            10,
            720,
            new Help(
                    List.of(
                            "The lenses of the machine with their focal lengths, and the beam at the lens.",
                            "What is to be engraved or cut: smallest detail, thickness."),
                    List.of(
                            "Look at each lens: clean, the right way up (the data sheet says which side faces the beam), "
                                    + "flat in its seat.",
                            "Type detail and thickness. Say whether it is engraved or cut.",
                            "Engrave one strip with each lens that is left, and score them: that decides."),
                    "A short lens makes a small spot and a short focus, a long one the opposite. What is cut must stay narrow "
                            + "through the stock; what is engraved need not.",
                    List.of(
                            "After every swap the focus is set anew: other lens, other gap, unless a ladder proved it the "
                                    + "same.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<ChoiceReadings> readingsType() {
        return ChoiceReadings.class;
    }

    @Override
    public Class<ChoiceFinding> findingType() {
        return ChoiceFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() != Family.SHEET_FIBRE;
    }

    @Override
    public Outcome<ChoiceFinding> evaluate(ChoiceReadings read) {
        double edge = read.allowedEdgeMm().orElse(ChoiceReadings.ALLOWED_EDGE_MM);
        List<ChoiceFinding.Lens> lenses = new ArrayList<>();
        for (ChoiceReadings.Lens lens : read.lenses()) {
            lenses.add(atWork(read, lens, edge));
        }
        Optional<ChoiceFinding.Lens> best = Optional.empty();
        for (ChoiceFinding.Lens lens : lenses) {
            if (lens.detailOk()
                    && lens.edgeOk()
                    && (best.isEmpty() || lens.spotMm() < best.get().spotMm())) {
                best = Optional.of(lens);
            }
        }
        ChoiceFinding finding = new ChoiceFinding(
                lenses,
                best.map(ChoiceFinding.Lens::name),
                read.materialMm(),
                read.beamDiameterMm(),
                new ChoiceFinding.Tolerances(
                        read.smallestFeatureMm(),
                        edge,
                        read.overlapPct().orElse(0),
                        read.purpose().orElse(Purpose.ENGRAVE)));
        return best.isPresent()
                ? new Outcome<>(finding, Verdict.PASS, List.of(take(best.get(), read)))
                : new Outcome<>(finding, Verdict.FAIL, List.of(giveUp(finding, read)));
    }

    private static ChoiceFinding.Lens atWork(ChoiceReadings read, ChoiceReadings.Lens lens, double edge) {
        double beam = read.beamDiameterMm();
        double focal = lens.focalLengthMm();
        double diffraction = 4 * read.beamQualityM2() * read.wavelengthNm() * 1e-6 * focal / (Math.PI * beam);
        double spot = diffraction + lens.aberration().orElse(Aberration.NONE).addsMm(beam, focal);
        double rayleigh = spot * focal / beam;
        double interval = spot * (1 - read.overlapPct().orElse(0) / 100);
        double edgeWidth = Math.hypot(spot, read.materialMm() / 2 * spot / rayleigh);
        return new ChoiceFinding.Lens(
                lens.name(),
                spot,
                rayleigh,
                2 * rayleigh * Math.sqrt(GROWTH * GROWTH - 1),
                interval,
                25.4 / interval,
                edgeWidth,
                Limits.atMost(spot, read.smallestFeatureMm()),
                !read.cuts() || Limits.atMost(edgeWidth, edge),
                focal);
    }

    private static Instruction take(ChoiceFinding.Lens lens, ChoiceReadings read) {
        return Instruction.of("lens", Said.of("Take the lens " + Said.quoted(lens.name()) + " first."))
                .byHand(Said.of(
                        "Lines every {0} or closer. " + STRIP
                                + (read.cuts() ? " Stock beyond one pass: cut in several, with pauses." : ""),
                        Amount.mm(lens.intervalMm(), 3).most()));
    }

    private static Instruction giveUp(ChoiceFinding finding, ChoiceReadings read) {
        ChoiceFinding.Lens finest = finding.lenses().stream()
                .min(Comparator.comparingDouble(ChoiceFinding.Lens::spotMm))
                .orElseThrow();
        boolean anyDetail = finding.lenses().stream().anyMatch(ChoiceFinding.Lens::detailOk);
        Instruction detail = Instruction.of(
                        "lens",
                        Said.of(
                                "Give up the detail: make the smallest feature {0} or larger.",
                                Amount.mm(smallestThatGoes(finding, finest), 3).least()))
                .byHand(Said.of(STRIP));
        if (!read.cuts() || !anyDetail && finding.lenses().stream().anyMatch(ChoiceFinding.Lens::edgeOk)) {
            return detail;
        }
        ChoiceFinding.Lens narrowest = finding.lenses().stream()
                .filter(lens -> !anyDetail || lens.detailOk())
                .min(Comparator.comparingDouble(ChoiceFinding.Lens::edgeWidthMm))
                .orElseThrow();
        return anyDetail
                ? Instruction.of(
                                "lens",
                                Said.of(
                                        "Give up the narrow edge: allow {0}, or cut thinner stock.",
                                        Amount.mm(narrowest.edgeWidthMm(), 2).least()))
                        .byHand(Said.of(
                                "Or cut in several passes with pauses, the focus lowered between them. " + STRIP))
                : Instruction.of(
                                "lens",
                                Said.of(
                                        "Give up both: a feature of {0} or larger, and an edge of {1}.",
                                        Amount.mm(narrowest.spotMm(), 3).least(),
                                        Amount.mm(narrowest.edgeWidthMm(), 2).least()))
                        .byHand(Said.of(
                                "Or cut in several passes with pauses, the focus lowered between them. " + STRIP));
    }

    /** The smallest feature that some lens does whose edge is narrow enough. */
    private static double smallestThatGoes(ChoiceFinding finding, ChoiceFinding.Lens finest) {
        return finding.lenses().stream()
                .filter(ChoiceFinding.Lens::edgeOk)
                .mapToDouble(ChoiceFinding.Lens::spotMm)
                .min()
                .orElse(finest.spotMm());
    }

    @Override
    public Said keyFigure(ChoiceFinding finding) {
        return finding.best().map(Said::verbatim).orElse(Said.of("no lens does it"));
    }

    @Override
    public List<Evidence> evidence(ChoiceFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        for (ChoiceFinding.Lens lens : finding.lenses()) {
            evidence.add(new Evidence("spot, " + lens.name(), Said.of("{0}", Amount.mm(lens.spotMm(), 3))));
            evidence.add(new Evidence("focus, " + lens.name(), Said.of("{0}", Amount.mm(lens.depthOfFocusMm(), 2))));
            if (finding.tolerances().purpose() == Purpose.CUT) {
                evidence.add(new Evidence("edge, " + lens.name(), Said.of("{0}", Amount.mm(lens.edgeWidthMm(), 2))));
            }
        }
        return evidence;
    }

    @Override
    public Said judgedBy(ChoiceFinding finding) {
        Amount feature = Amount.mm(finding.tolerances().smallestFeatureMm(), 2).most();
        return finding.tolerances().purpose() == Purpose.CUT
                ? Said.of(
                        "spot at most {0}, edge at most {1}",
                        feature,
                        Amount.mm(finding.tolerances().allowedEdgeMm(), 2).most())
                : Said.of("spot at most {0}", feature);
    }
}
