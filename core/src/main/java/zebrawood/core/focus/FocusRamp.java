package zebrawood.core.focus;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.core.focus.GapWords.InFocus;
import zebrawood.core.focus.RampFinding.CurvePoint;
import zebrawood.core.focus.RampFinding.Fit;
import zebrawood.core.focus.RampFinding.Point;
import zebrawood.core.focus.RampReadings.GapSetting;
import zebrawood.core.focus.RampReadings.Mark;
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
import zebrawood.core.procedure.Trait;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/** Finds the best gap from the widths of a line burned up an inclined plate, and says how sure it is. */
public final class FocusRamp implements Procedure<RampReadings, RampFinding> {

    /** points of a drawn curve: smooth on paper, few enough for an entry */
    private static final int CURVE_POINTS = 61;
    /** a mark this many standard errors off the curve is read again */
    private static final double STRAY = 4;

    /** share of the plate in which a thinnest place is at its end */
    private static final double AT_AN_END = 0.05;
    /** share of the rise by which a measured gap and the one of the ramp may differ: what a rule reads badly */
    private static final double DISAGREE = 0.1;

    private static final Card CARD = new Card(
            "focus-ramp",
            1,
            "Ramp line",
            Card.OnRoute.in(Phase.FOCUS, 30).firing().after("mirror-near-far"),
            Set.of(Change.LENS_CHANGED, Change.NOZZLE_CHANGED, Change.SOURCE_CHANGED, Change.KNOCKED),
            List.of(Hazard.BEAM, Hazard.FUMES, Hazard.FIRE),
            12,
            60,
            new Help(
                    List.of(
                            "A flat plate that takes a fine line: anodised or painted metal, or thin plywood.",
                            "A block to raise one end, a rule, a calliper, loupe or microscope."),
                    List.of(
                            "Lay the plate with one end on the block. The higher end must pass under the head: the rise"
                                    + " may not be more than the gap at the start.",
                            "Measure the gap at the start, the run and the rise. Type them where they stand.",
                            "Burn one line up the plate at low power and even speed, straight along the run.",
                            "Where no job runs yet: hold the button that fires and jog up the plate at even speed, if the maker"
                                    + " allows that. On a galvo keep the line near the middle of its field.",
                            "A spot that may not be round, as of diodes: burn one line along X and, the ramp turned by a"
                                    + " quarter, one along Y on the same day. Say which is which at the top.",
                            "A lens that is turned in a ring: write 'lens ring' on the plate as what moves for height. The"
                                    + " maker's gap is then the gap at which the machine always works.",
                            "Read the width of the line at each mark, in order. Four are enough to see a curve; nine"
                                    + " tell the gap well."),
                    "The line is thinnest where the beam is narrowest. A curve through many widths finds that place far"
                            + " better than the eye, and says how sure it is.",
                    List.of("The head must clear the raised end: jog over it with the beam off first.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<RampReadings> readingsType() {
        return RampReadings.class;
    }

    @Override
    public Class<RampFinding> findingType() {
        return RampFinding.class;
    }

    /** A cutting head's standoff and focus are two things: not by a ramp. */
    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() != Family.SHEET_FIBRE;
    }

    @Override
    public List<String> lacks(Plate plate) {
        return plate.wavelengthNm().isPresent() ? List.of() : List.of("source.wavelengthsNm[0]");
    }

    @Override
    public OptionalInt recheckDays(Plate plate) {
        return plate.rhythm().map(Plate.Rhythm::focusDays).orElse(OptionalInt.empty());
    }

    @Override
    public Outcome<RampFinding> evaluate(RampReadings read) {
        return read.thinnestPositionMm().isPresent() ? quick(read) : measured(read);
    }

    private static Outcome<RampFinding> quick(RampReadings read) {
        double byRamp = read.gapMm(read.thinnestPositionMm().getAsDouble());
        if (!(byRamp >= 0)) {
            throw new ReadingException("thinnestPositionMm", "the plate would stand above the focus datum there");
        }
        Summary summary = new Summary();
        double best = read.gapThereMm().orElse(byRamp);
        summary.best = OptionalDouble.of(best);
        summary.fromRamp = read.gapThereMm().isPresent() ? OptionalDouble.of(byRamp) : OptionalDouble.empty();
        summary.drift = drift(best, read);
        summary.fromMakers = fromMakers(best, read);

        RampFinding finding = summary.finding(List.of(), List.of(), OptionalDouble.empty());
        double share = read.thinnestShare();
        if (share < AT_AN_END || share > 1 - AT_AN_END) {
            return new Outcome<>(finding, Verdict.UNCLEAR, List.of(goesOn(read, share)));
        }
        double apart = Math.abs(best - byRamp);
        if (apart > DISAGREE * Math.abs(read.riseMm())) {
            return new Outcome<>(
                    finding,
                    Verdict.UNCLEAR,
                    List.of(Instruction.of(
                                    "plate", Said.of("Measure the gap at the start, the run and the rise again."))
                            .byHand(Said.of(
                                    "By them the gap at the thinnest place would be {0}, and it was measured as {1}.",
                                    Amount.mm(byRamp, 2), Amount.mm(best, 2)))));
        }
        double moved = drift(best, read).orElse(0);
        if (Math.abs(moved) > read.lastDepthMm().orElse(Double.POSITIVE_INFINITY)) {
            return new Outcome<>(
                    finding,
                    Verdict.UNCLEAR,
                    List.of(far(moved, read.lastDepthMm().getAsDouble())));
        }
        return new Outcome<>(finding, Verdict.PASS, List.of(set(best, read, finding)));
    }

    /** The thinnest place at an end of the plate: beyond it the line may be thinner still. */
    private static Instruction goesOn(RampReadings read, double share) {
        boolean wider = share < AT_AN_END == read.riseMm() > 0;
        return Instruction.of(
                        "plate",
                        Said.of("Burn the line again with " + (wider ? "more" : "less")
                                + " gap: it is thinnest at the end of the plate."))
                .byHand(Said.of(
                        (wider ? "Lower the plate, or move the head up, " : "Raise the plate, or move the head down, ")
                                + "so that the line is wider again on both sides of its thinnest place. The head must "
                                + "clear the raised end."));
    }

    private static Outcome<RampFinding> measured(RampReadings read) {
        List<Mark> marks = read.marks().orElseThrow();
        double[] gaps = marks.stream()
                .mapToDouble(mark -> read.gapMm(mark.positionMm()))
                .toArray();
        double[] widths = marks.stream().mapToDouble(Mark::widthMm).toArray();
        Caustic caustic = Caustic.fit(gaps, widths, read.widthErrorOrDefaultMm())
                .orElseThrow(() -> new ReadingException(
                        "marks",
                        "these widths or positions are too large, too small or too far apart to compute with"));
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < gaps.length; i++) {
            double square = caustic.square(gaps[i]);
            points.add(new Point(
                    marks.get(i).positionMm(),
                    gaps[i],
                    widths[i],
                    square > 0 ? OptionalDouble.of(widths[i] - Math.sqrt(square)) : OptionalDouble.empty()));
        }
        double least = points.stream().mapToDouble(Point::gapMm).min().orElseThrow();
        double most = points.stream().mapToDouble(Point::gapMm).max().orElseThrow();
        Summary summary = new Summary();
        summary.fit = Optional.of(new Fit(caustic.a(), caustic.b(), caustic.c(), rms(points)));
        List<CurvePoint> curve = curve(caustic, least, most);
        OptionalDouble error = OptionalDouble.of(read.widthErrorOrDefaultMm());
        Optional<Instruction> unanswered = unanswered(caustic, least, most, read);
        if (unanswered.isPresent()) {
            return new Outcome<>(summary.finding(points, curve, error), Verdict.UNCLEAR, List.of(unanswered.get()));
        }
        summary.answer(caustic, read);
        summary.oblong = read.otherLine()
                .map(other -> OblongSpot.of(
                        summary.fit.orElseThrow(), caustic.bestGapMm(), caustic.bestGapStdErrMm(), other));
        summary.lensMove = lensMove(caustic.bestGapMm(), read);
        RampFinding finding = summary.finding(points, curve, error);
        boolean clear = finding.bestGapStdErrMm().getAsDouble()
                <= finding.doubtAllowedMm().getAsDouble();
        List<Instruction> instructions = new ArrayList<>();
        boolean turns = clear && isOff(finding);
        instructions.add(
                !clear
                        ? surer(finding)
                        : turns
                                ? GapWords.turn(finding.lensMoveMm().getAsDouble())
                                : finding.lensMoveMm().isPresent()
                                        ? GapWords.turn(0)
                                        : set(finding.workingGapMm().getAsDouble(), read, finding));
        if (clear) {
            oblong(finding, read).ifPresent(instructions::add);
        }
        stray(finding, read.widthErrorOrDefaultMm()).ifPresent(instructions::add);
        // a lens that is turned takes its gap along: what counts is the gap of the machine
        Optional<Instruction> drifted = finding.lensMoveMm().isPresent() ? Optional.empty() : drifted(finding);
        drifted.ifPresent(drift -> instructions.add(isFar(finding) ? 0 : instructions.size(), drift));
        return new Outcome<>(finding, !clear ? Verdict.UNCLEAR : turns ? Verdict.ADJUST : Verdict.PASS, instructions);
    }

    private static OptionalDouble fromMakers(double best, RampReadings read) {
        OptionalDouble makers = read.setting().map(GapSetting::makersGapMm).orElse(OptionalDouble.empty());
        return makers.isPresent() ? OptionalDouble.of(best - makers.getAsDouble()) : OptionalDouble.empty();
    }

    /** How far the lens must move in its ring so that it is sharp at the gap at which this machine works. */
    private static OptionalDouble lensMove(double best, RampReadings read) {
        OptionalDouble fixed = read.setting().map(GapSetting::fixedGapMm).orElse(OptionalDouble.empty());
        return fixed.isPresent() ? OptionalDouble.of(fixed.getAsDouble() - best) : OptionalDouble.empty();
    }

    /** Whether a lens in a ring stands farther off than what a best gap may be uncertain by. */
    private static boolean isOff(RampFinding finding) {
        return finding.lensMoveMm().isPresent()
                && !Limits.atMost(
                        Math.abs(finding.lensMoveMm().getAsDouble()),
                        finding.doubtAllowedMm().getAsDouble());
    }

    /** Which gap serves which work, where two lines have each their own. */
    private static Optional<Instruction> oblong(RampFinding finding, RampReadings read) {
        if (finding.oblong().isEmpty()) {
            return Optional.empty();
        }
        OblongSpot spot = finding.oblong().get();
        if (!spot.seen()) {
            return Optional.of(Instruction.of(
                            "spot", Said.of("Both lines agree: the spot is round as far as these widths tell."))
                    .byHand(Said.of(
                            "Their best gaps differ by {0}, give or take {1}.",
                            Amount.mm(Math.abs(spot.apartMm()), 2), Amount.mm(spot.apartHalfWidthMm(), 2))));
        }
        String along = read.lineAlong().orElseThrow().name();
        String across = read.lineAlong().orElseThrow().other().name();
        return Optional.of(Instruction.of(
                        "spot",
                        Said.of(
                                "For lines along " + along + " alone set {0}; along " + across + " alone set {1}.",
                                Amount.mm(finding.bestGapMm().getAsDouble(), 2),
                                Amount.mm(spot.otherBestGapMm(), 2)))
                .byHand(Said.of(
                        "The spot is not round. Engraving in rows wants the gap of lines along its rows. Cuts and drawings"
                                + " that go every way want {0}: there the wider line is thinnest, {1}.",
                        Amount.mm(spot.roundGapMm(), 2), Amount.mm(spot.roundWidthMm(), 3))));
    }

    /** What to measure next where the widths show no minimum, or none between the gaps measured. */
    private static Optional<Instruction> unanswered(Caustic caustic, double least, double most, RampReadings read) {
        if (!caustic.bends()) {
            return Optional.of(Instruction.of(
                            "plate", Said.of("Burn the line again on a steeper plate: these widths do not bend."))
                    .byHand(Said.of(
                            "They reach from {0#} to {1} of gap. Make it reach well past the thinnest place on "
                                    + "both sides.",
                            Amount.mm(least, 1), Amount.mm(most, 1))));
        }
        if (!(caustic.waistSquare() > 0)) {
            return Optional.of(Instruction.of("widths", Said.of("Read the widths again near the thinnest place."))
                    .byHand(Said.of("The curve through them would be thinner than nothing there; one or "
                            + "two are read too large or too small.")));
        }
        double best = caustic.bestGapMm();
        if (best > least && best < most) {
            return Optional.empty();
        }
        boolean wider = best >= most;
        boolean startIsWide = read.riseMm() > 0;
        String end = wider == startIsWide ? "start" : "far end";
        return Optional.of(Instruction.of(
                        "plate",
                        Said.of(
                                wider
                                        ? "Burn the line again with more gap: the thinnest place lies beyond {0}."
                                        : "Burn the line again with less gap: the thinnest place lies under {0}.",
                                Amount.mm(wider ? most : least, 1)))
                .byHand(Said.of(
                        wider
                                ? "Lower the plate, or move the head up, so that the line thins well before the " + end
                                        + " of the ramp."
                                : "Raise the plate, or move the head down, so that the line thins well before the "
                                        + end + " of the ramp.")));
    }

    private static Instruction surer(RampFinding finding) {
        return Instruction.of(
                        "widths",
                        Said.of(
                                "Read more widths: the best gap is not certain yet, by {0}.",
                                Amount.mm(finding.bestGapHalfWidthMm().getAsDouble(), 2)))
                .byHand(Said.of(
                        "It is certain enough at {0} or less. Add places between the marks, or read with a loupe or microscope.",
                        Amount.mm(1.96 * finding.doubtAllowedMm().getAsDouble(), 2)));
    }

    private static Instruction set(double best, RampReadings read, RampFinding finding) {
        boolean both = finding.oblong().filter(OblongSpot::seen).isPresent();
        Optional<InFocus> focus = finding.focusFromMm().isPresent() && !both
                ? Optional.of(new InFocus(
                        finding.focusFromMm().getAsDouble(), finding.focusToMm().getAsDouble()))
                : Optional.empty();
        return GapWords.set(
                best,
                read.setting(),
                focus,
                both
                        ? "It lies between the best gaps of both lines."
                        : "One place alone does not tell how sure that is, nor how deep the focus.");
    }

    private static Optional<Instruction> stray(RampFinding finding, double widthErrorMm) {
        return finding.points().stream()
                .filter(point -> Math.abs(point.residualMm().orElse(0)) > STRAY * widthErrorMm)
                .max(Comparator.comparingDouble(
                        point -> Math.abs(point.residualMm().orElse(0))))
                .map(point -> Instruction.of(
                        "widths",
                        Said.of(
                                "Read the width at {0} again: it lies {1} off the curve.",
                                Amount.mm(point.positionMm(), 0),
                                Amount.mm(Math.abs(point.residualMm().orElse(0)), 2))));
    }

    private static Instruction far(double drift, double depth) {
        return GapWords.far(drift, depth, "Burn a second line and read its widths", "block");
    }

    /** Whether the best gap has moved by more than the depth of focus: then something else changed than the focus. */
    private static boolean isFar(RampFinding finding) {
        return finding.driftMm().isPresent()
                && finding.depthOfFocusMm().isPresent()
                && Math.abs(finding.driftMm().getAsDouble())
                        > finding.depthOfFocusMm().getAsDouble();
    }

    private static Optional<Instruction> drifted(RampFinding finding) {
        if (finding.driftMm().isEmpty()
                || Math.abs(finding.driftMm().getAsDouble())
                        <= finding.driftAllowedMm().getAsDouble()) {
            return Optional.empty();
        }
        double drift = finding.driftMm().getAsDouble();
        if (isFar(finding)) {
            return Optional.of(far(drift, finding.depthOfFocusMm().getAsDouble()));
        }
        return Optional.of(Instruction.of(
                "lens",
                Said.of(
                        "The best gap has " + (drift > 0 ? "grown" : "shrunk")
                                + " by {0} since last time: look at the lens, its seat and the datum.",
                        Amount.mm(Math.abs(drift), 2))));
    }

    private static OptionalDouble drift(double best, RampReadings read) {
        return read.lastBestGapMm().isPresent()
                ? OptionalDouble.of(best - read.lastBestGapMm().getAsDouble())
                : OptionalDouble.empty();
    }

    /** Root mean square of width less fitted width; absent where some fitted d² is not above 0. */
    private static OptionalDouble rms(List<Point> points) {
        if (points.stream().anyMatch(point -> point.residualMm().isEmpty())) {
            return OptionalDouble.empty();
        }
        double sum = points.stream()
                .mapToDouble(point ->
                        point.residualMm().getAsDouble() * point.residualMm().getAsDouble())
                .sum();
        return OptionalDouble.of(Math.sqrt(sum / points.size()));
    }

    private static List<CurvePoint> curve(Caustic caustic, double least, double most) {
        List<CurvePoint> curve = new ArrayList<>();
        for (int i = 0; i < CURVE_POINTS; i++) {
            double gap = least + (most - least) * i / (CURVE_POINTS - 1);
            double square = caustic.square(gap);
            if (square > 0) {
                curve.add(new CurvePoint(gap, Math.sqrt(square)));
            }
        }
        return curve;
    }

    @Override
    public Optional<String> proof() {
        return Optional.of("bestGapStdErrMm");
    }

    @Override
    public Said keyFigure(RampFinding finding) {
        return GapWords.keyFigure(finding.workingGapMm());
    }

    @Override
    public List<Evidence> evidence(RampFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        finding.bestGapMm()
                .ifPresent(best ->
                        evidence.add(new Evidence("best gap", GapWords.withDoubt(best, finding.bestGapHalfWidthMm()))));
        add(evidence, "thinnest line", finding.waistMm(), 3);
        add(evidence, "depth of focus", finding.depthOfFocusMm(), 2);
        OptionalDouble misfit = finding.fit().map(Fit::rmsMm).orElse(OptionalDouble.empty());
        add(evidence, "fit residual", misfit, misfit.orElse(1) < 0.002 ? 4 : 3);
        finding.doubtAllowedMm()
                .ifPresent(doubt -> evidence.add(
                        new Evidence("allowed uncertainty", Said.of("± {0}", Amount.mm(1.96 * doubt, 2)))));
        finding.oblong()
                .ifPresent(spot -> evidence.add(new Evidence(
                        "gap for all directions",
                        GapWords.withDoubt(spot.roundGapMm(), OptionalDouble.of(spot.roundHalfWidthMm())))));
        finding.fromMakersMm().ifPresent(off -> evidence.add(new Evidence("from maker's gap", GapWords.moved(off))));
        finding.driftMm().ifPresent(drift -> evidence.add(new Evidence("since last time", GapWords.moved(drift))));
        finding.beamQualityM2()
                .ifPresent(m2 -> evidence.add(new Evidence("apparent M²", Said.of("{0}", Amount.plain(m2, 2)))));
        return evidence;
    }

    private static void add(List<Evidence> evidence, String label, OptionalDouble mm, int decimals) {
        mm.ifPresent(value -> evidence.add(new Evidence(label, Said.of("{0}", Amount.mm(value, decimals)))));
    }

    @Override
    public Said judgedBy(RampFinding finding) {
        return finding.doubtAllowedMm().isPresent()
                ? Said.of(
                        "uncertainty within ± {0}",
                        Amount.mm(1.96 * finding.doubtAllowedMm().getAsDouble(), 2))
                : Said.of("a quick reading is not judged");
    }

    /** Gathers a finding piece by piece; what is never filled in stays absent. */
    private static final class Summary {
        private OptionalDouble best = OptionalDouble.empty();
        private OptionalDouble fromRamp = OptionalDouble.empty();
        private OptionalDouble stdErr = OptionalDouble.empty();
        private OptionalDouble waist = OptionalDouble.empty();
        private OptionalDouble rayleigh = OptionalDouble.empty();
        private OptionalDouble quality = OptionalDouble.empty();
        private OptionalDouble depth = OptionalDouble.empty();
        private OptionalDouble drift = OptionalDouble.empty();
        private Optional<Fit> fit = Optional.empty();
        private Optional<OblongSpot> oblong = Optional.empty();
        private OptionalDouble fromMakers = OptionalDouble.empty();
        private OptionalDouble lensMove = OptionalDouble.empty();

        void answer(Caustic caustic, RampReadings read) {
            double waistMm = Math.sqrt(caustic.waistSquare());
            best = OptionalDouble.of(caustic.bestGapMm());
            stdErr = OptionalDouble.of(caustic.bestGapStdErrMm());
            waist = OptionalDouble.of(waistMm);
            rayleigh = OptionalDouble.of(caustic.rayleighMm());
            quality = OptionalDouble.of(Math.PI * waistMm * Math.sqrt(caustic.c()) / (4 * read.wavelengthNm() * 1e-6));
            depth = OptionalDouble.of(caustic.depthMm());
            drift = FocusRamp.drift(caustic.bestGapMm(), read);
            fromMakers = FocusRamp.fromMakers(caustic.bestGapMm(), read);
        }

        RampFinding finding(List<Point> points, List<CurvePoint> curve, OptionalDouble widthError) {
            OptionalDouble quarter =
                    depth.isPresent() ? OptionalDouble.of(depth.getAsDouble() / 4) : OptionalDouble.empty();
            return new RampFinding(
                    best,
                    fromRamp,
                    stdErr,
                    waist,
                    rayleigh,
                    quality,
                    depth,
                    fit,
                    shifted(-1),
                    shifted(1),
                    quarter,
                    quarter.isPresent() ? drift : OptionalDouble.empty(),
                    drift.isPresent() ? quarter : OptionalDouble.empty(),
                    points,
                    curve,
                    new RampFinding.Tolerances(widthError),
                    oblong,
                    fromMakers,
                    lensMove);
        }

        private OptionalDouble shifted(int sign) {
            return depth.isPresent()
                    ? OptionalDouble.of(best.getAsDouble() + sign * depth.getAsDouble() / 2)
                    : OptionalDouble.empty();
        }
    }

    @Override
    public List<Trait> traits(RampReadings readings, RampFinding finding, Family family) {
        List<Trait> traits = new ArrayList<>();
        finding.bestGapMm()
                .ifPresent(gap -> traits.add(Trait.amount(
                        "best gap",
                        Said.of("{0}", Amount.mm(gap, 2)),
                        gap,
                        finding.depthOfFocusMm().isPresent()
                                ? Math.max(0.01, finding.depthOfFocusMm().getAsDouble() / 4)
                                : 0.3,
                        0.85)));
        finding.waistMm()
                .ifPresent(waist -> traits.add(
                        Trait.amount("thinnest line", Said.of("{0}", Amount.mm(waist, 3)), waist, 0.1 * waist, 0.8)));
        return traits;
    }
}
