package zebrawood.core.lens;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zebrawood.core.lens.ChoiceFinding.Strip;
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

    /** scores of strips that differ by no more are alike: four scores, each to half a point */
    private static final double ALIKE = 3;
    /** a score that nobody delivers with */
    private static final double POOR = 3;

    private static final String STRIP =
            "Before you trust it: engrave one strip with each lens, and type its four scores. "
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
                            "Engrave one strip with each lens that is left, in focus, and score each from 0 to 10: detail, residue,"
                                    + " depth, finish. That decides."),
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
        List<Strip> strips = strips(read, lenses);
        ChoiceFinding finding = new ChoiceFinding(
                lenses,
                best.map(ChoiceFinding.Lens::name),
                read.materialMm(),
                read.beamDiameterMm(),
                new ChoiceFinding.Tolerances(
                        read.smallestFeatureMm(),
                        edge,
                        read.overlapPct().orElse(0),
                        read.purpose().orElse(Purpose.ENGRAVE)),
                strips,
                crowned(strips));
        if (read.seated().equals(Optional.of(false))) {
            return new Outcome<>(finding, Verdict.ADJUST, List.of(reseat()));
        }
        if (strips.size() > 1) {
            boolean poor = !Limits.atLeast(strips.get(0).least(), POOR);
            return new Outcome<>(finding, poor ? Verdict.UNCLEAR : Verdict.PASS, byStrips(finding, read));
        }
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

    /** Strips of the lenses that may be taken at all, the best first; what is cut must also stay narrow enough. */
    private static List<Strip> strips(ChoiceReadings read, List<ChoiceFinding.Lens> lenses) {
        List<Strip> strips = new ArrayList<>();
        for (int i = 0; i < lenses.size(); i++) {
            List<Double> scores = read.lenses().get(i).strip().orElse(List.of());
            if (!scores.isEmpty() && lenses.get(i).edgeOk()) {
                strips.add(new Strip(
                        lenses.get(i).name(),
                        scores.stream().mapToDouble(Double::doubleValue).sum(),
                        scores.stream().mapToDouble(Double::doubleValue).min().orElseThrow()));
            }
        }
        strips.sort(Comparator.comparingDouble(Strip::together).reversed());
        return strips;
    }

    /** The best strip, where it leads by more than eyes differ, and nothing about it is poor. */
    private static Optional<String> crowned(List<Strip> strips) {
        return strips.size() > 1
                        && !Limits.atMost(
                                strips.get(0).together() - strips.get(1).together(), ALIKE)
                        && Limits.atLeast(strips.get(0).least(), POOR)
                ? Optional.of(strips.get(0).lens())
                : Optional.empty();
    }

    private static List<Instruction> byStrips(ChoiceFinding finding, ChoiceReadings read) {
        Strip first = finding.strips().get(0);
        Strip second = finding.strips().get(1);
        Amount most = Amount.plain(ChoiceReadings.SCORES * ChoiceReadings.MOST_SCORE, 0);
        List<Instruction> said = new ArrayList<>();
        if (finding.decided().isPresent()) {
            said.add(Instruction.of("lens", Said.of("Take the lens " + Said.quoted(first.lens()) + "."))
                    .byHand(Said.of(
                            "Its strip scores {0} of {2}, the next one {1}.",
                            Amount.plain(first.together(), 1), Amount.plain(second.together(), 1), most)));
        } else if (Limits.atLeast(first.least(), POOR)) {
            said.add(Instruction.of(
                            "lens",
                            Said.of("Keep the lens that is in, if it is " + Said.quoted(first.lens()) + " or "
                                    + Said.quoted(second.lens()) + ": their strips are alike."))
                    .byHand(Said.of(
                            "They score {0} and {1} of {2}; eyes differ by as much. Else take the first of them.",
                            Amount.plain(first.together(), 1), Amount.plain(second.together(), 1), most)));
        } else {
            said.add(Instruction.of(
                            "lens",
                            Said.of(
                                    "Take none of them yet: the best strip has a score of {0}.",
                                    Amount.plain(first.least(), 1)))
                    .byHand(Said.of(
                            "Change power, speed or interval, engrave the strips again with each lens, and score"
                                    + " them anew.")));
        }
        if (read.seated().isEmpty()) {
            said.add(Instruction.of(
                    "seat",
                    Said.of("Look at each lens: clean, the right way up by its data sheet, flat in its seat.")));
        }
        if (read.cuts()) {
            said.add(Instruction.of("stock", Said.of("Stock beyond one pass: cut it in several, with pauses.")));
        }
        return said;
    }

    private static Instruction reseat() {
        return Instruction.of("seat", Said.of("Seat the lens anew: flat, clean, the right way up by its data sheet."))
                .byHand(Said.of(
                        "Source off at the key. Lens paper and gloves; touch no glass. Then set the focus again, and"
                                + " engrave the strips again: what a wrong lens engraved does not count."));
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
        return finding.decided().or(finding::best).map(Said::verbatim).orElse(Said.of("no lens does it"));
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
        for (Strip strip : finding.strips()) {
            evidence.add(
                    new Evidence("strip, " + strip.lens(), Said.of("{0} of 40", Amount.plain(strip.together(), 1))));
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
