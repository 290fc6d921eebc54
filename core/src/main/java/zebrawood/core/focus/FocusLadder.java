package zebrawood.core.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.core.fit.Quantile;
import zebrawood.core.focus.GapWords.InFocus;
import zebrawood.core.focus.LadderFinding.CurvePoint;
import zebrawood.core.focus.LadderFinding.Next;
import zebrawood.core.focus.LadderFinding.Together;
import zebrawood.core.focus.LadderReadings.Better;
import zebrawood.core.focus.LadderReadings.Earlier;
import zebrawood.core.focus.LadderReadings.Step;
import zebrawood.core.machine.Family;
import zebrawood.core.machine.Plate;
import zebrawood.core.procedure.Card;
import zebrawood.core.procedure.Change;
import zebrawood.core.procedure.Evaluation;
import zebrawood.core.procedure.Evidence;
import zebrawood.core.procedure.Hazard;
import zebrawood.core.procedure.Help;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Phase;
import zebrawood.core.procedure.Procedure;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.Limits;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.Amount;
import zebrawood.core.units.Said;

/** Finds the best gap from squares at several heights, scored by eye, ear, width or contrast. */
public final class FocusLadder implements Procedure<LadderReadings, LadderFinding> {

    /** an interval is never taken for narrower than a hand can set a gap, mm */
    private static final double LEAST_HALF_MM = 0.001;

    /** points of a drawn curve */
    private static final int CURVE_POINTS = 41;
    /** squares of the next ladder */
    private static final int NEXT_STEPS = 5;

    private static final Card CARD = new Card(
            "focus-ladder",
            1,
            "Ladder",
            Card.OnRoute.in(Phase.FOCUS, 40).firing().asWanted(),
            Set.of(Change.LENS_CHANGED, Change.NOZZLE_CHANGED, Change.SOURCE_CHANGED, Change.KNOCKED),
            List.of(Hazard.BEAM, Hazard.FUMES, Hazard.FIRE, Hazard.MOVING_AXES),
            15,
            60,
            new Help(
                    List.of(
                            "Even stock: painted metal, plywood or card, flat.",
                            "What sets the gap: a scale, a block with feelers, or counted motion."),
                    List.of(
                            "Burn small squares beside each other, all alike, each at another gap. Five to seven are usual.",
                            "Come to every gap from the same side.",
                            "Score them: by eye from 0 to 10, by the width of a line, by contrast, or by how loud they were.",
                            "Burn the next, shorter ladder about the best one; its gaps are said."),
                    "The eye tells better from worse much more surely than good from bad. A curve through several scores "
                            + "finds the best gap between the squares.",
                    List.of("Keep the head clear of the work at the smallest gap: beam off, drive there first.")));

    /** Gaps of a first ladder where nothing is known but about where the best gap lies, mm. */
    public static List<Double> firstGapsMm(double aboutMm) {
        double middle = Math.max(2, aboutMm);
        return List.of(middle - 2, middle - 1, middle, middle + 1, middle + 2);
    }

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<LadderReadings> readingsType() {
        return LadderReadings.class;
    }

    @Override
    public Class<LadderFinding> findingType() {
        return LadderFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() != Family.SHEET_FIBRE;
    }

    @Override
    public OptionalInt recheckDays(Plate plate) {
        return plate.rhythm().map(Plate.Rhythm::focusDays).orElse(OptionalInt.empty());
    }

    @Override
    public Outcome<LadderFinding> evaluate(LadderReadings read) {
        double[] gaps = read.steps().stream().mapToDouble(Step::gapMm).toArray();
        double[] scores = read.steps().stream().mapToDouble(Step::score).toArray();
        Parabola curve =
                Parabola.through(gaps, scores).orElseThrow(() -> new ReadingException("steps", Evaluation.TOO_EXTREME));
        double least = read.steps().stream().mapToDouble(Step::gapMm).min().orElseThrow();
        double most = read.steps().stream().mapToDouble(Step::gapMm).max().orElseThrow();
        double reach = most - least;
        boolean bends = curve.bend() == (read.better() == Better.HIGHER ? -1 : 1);
        boolean answers = bends && curve.isInside();
        OptionalDouble error = answers ? curve.vertexStdErr(read.scoreError().orElse(0)) : OptionalDouble.empty();
        boolean sure = answers && (error.isEmpty() || Limits.atMost(error.getAsDouble(), reach / 4));
        if (!sure) {
            Next next = next(bestScored(read).gapMm(), reach / 2);
            LadderFinding finding =
                    finding(read, curve, OptionalDouble.empty(), OptionalDouble.empty(), next, least, most);
            return new Outcome<>(finding, Verdict.UNCLEAR, List.of(again(finding, answers, bends)));
        }
        double half = error.isPresent() ? Math.max(2 * error.getAsDouble(), reach / 8) : reach / 4;
        LadderFinding finding =
                finding(read, curve, OptionalDouble.of(curve.vertex()), error, next(curve.vertex(), half), least, most);
        return new Outcome<>(finding, Verdict.PASS, done(finding, read));
    }

    private static LadderFinding finding(
            LadderReadings read,
            Parabola curve,
            OptionalDouble best,
            OptionalDouble error,
            Next next,
            double least,
            double most) {
        List<CurvePoint> points = new ArrayList<>();
        for (int i = 0; i < CURVE_POINTS; i++) {
            double gap = least + (most - least) * i / (CURVE_POINTS - 1);
            points.add(new CurvePoint(gap, curve.at(gap)));
        }
        OptionalDouble drift = best.isPresent() && read.lastBestGapMm().isPresent()
                ? OptionalDouble.of(best.getAsDouble() - read.lastBestGapMm().getAsDouble())
                : OptionalDouble.empty();
        OptionalDouble half = halfWidth(read, curve, error);
        return new LadderFinding(
                best,
                error,
                half,
                next,
                points,
                read.steps(),
                read.school(),
                drift,
                together(read, best, half),
                new LadderFinding.Tolerances((most - least) / 4));
    }

    private static Optional<Together> together(LadderReadings read, OptionalDouble best, OptionalDouble half) {
        List<Earlier> earlier = read.earlier().orElse(List.of());
        if (best.isEmpty() || half.isEmpty() || earlier.isEmpty()) {
            return Optional.empty();
        }
        double own = Math.max(LEAST_HALF_MM, half.getAsDouble());
        double weights = 1 / (own * own);
        double sum = weights * best.getAsDouble();
        int ladders = 1;
        for (Earlier other : earlier) {
            double its = Math.max(LEAST_HALF_MM, other.halfWidthMm());
            if (Limits.atMost(Math.abs(other.bestGapMm() - best.getAsDouble()), Math.hypot(own, its))) {
                weights += 1 / (its * its);
                sum += other.bestGapMm() / (its * its);
                ladders++;
            }
        }
        return Optional.of(new Together(sum / weights, Math.sqrt(1 / weights), ladders, earlier.size() + 1 - ladders));
    }

    private static OptionalDouble halfWidth(LadderReadings read, Parabola curve, OptionalDouble error) {
        return error.isPresent()
                ? OptionalDouble.of(error.getAsDouble()
                        * (read.scoreError().isPresent() ? 1.96 : Quantile.t(0.975, curve.degreesOfFreedom())))
                : OptionalDouble.empty();
    }

    /** The first of the best-scored steps. */
    private static Step bestScored(LadderReadings read) {
        Step best = read.steps().get(0);
        for (Step step : read.steps()) {
            if (read.better() == Better.HIGHER ? step.score() > best.score() : step.score() < best.score()) {
                best = step;
            }
        }
        return best;
    }

    /** Five steps about a centre; none reaches below a gap of 0. */
    private static Next next(double wanted, double half) {
        double centre = Math.max(wanted, half);
        List<Double> gaps = new ArrayList<>();
        for (int i = 0; i < NEXT_STEPS; i++) {
            gaps.add(centre + half * (i - 2) / 2);
        }
        return new Next(centre, half, half / 2, gaps);
    }

    private static Instruction again(LadderFinding finding, boolean inside, boolean bends) {
        String why = inside
                ? "These scores do not agree on one gap."
                : bends
                        ? "The best gap lies beyond the squares, or at their end."
                        : "These scores do not get better and then worse again.";
        return Instruction.of("ladder", ladder(finding.next(), "Burn a ladder again, at gaps of "))
                .byHand(Said.of(why + " Come to every gap from the same side, and score them again. Beam off first: "
                        + "drive to the smallest gap and see that the head is clear."));
    }

    private static Said ladder(Next next, String words) {
        int decimals = next.stepMm() < 0.1 ? 3 : next.stepMm() < 1 ? 2 : 1;
        List<Amount> amounts = new ArrayList<>();
        StringBuilder places = new StringBuilder(words);
        for (int i = 0; i < next.gapsMm().size(); i++) {
            boolean last = i == next.gapsMm().size() - 1;
            amounts.add(Amount.mm(next.gapsMm().get(i), decimals));
            places.append(last ? " and " : i == 0 ? "" : ", ")
                    .append('{')
                    .append(i)
                    .append(last ? "}." : "#}");
        }
        return new Said(places.toString(), amounts);
    }

    private static List<Instruction> done(LadderFinding finding, LadderReadings read) {
        double best = finding.workingGapMm().getAsDouble();
        OptionalDouble depth = read.depthOfFocusMm();
        Optional<InFocus> focus = depth.isPresent()
                ? Optional.of(new InFocus(best - depth.getAsDouble() / 2, best + depth.getAsDouble() / 2))
                : Optional.empty();
        List<Instruction> said = new ArrayList<>();
        boolean far = depth.isPresent()
                && finding.driftMm().isPresent()
                && Math.abs(finding.driftMm().getAsDouble()) > depth.getAsDouble();
        if (far) {
            said.add(GapWords.far(
                    finding.driftMm().getAsDouble(),
                    depth.getAsDouble(),
                    "Burn a second ladder and score it",
                    "height scale"));
        }
        if (finding.together().map(Together::apart).orElse(0) > 0) {
            said.add(Instruction.of(
                            "ladder", Said.of("Burn one more ladder: one before differs by more than its errors."))
                    .byHand(Said.of(
                            "Was the same lens in, the same datum taken, every gap come to from the same side?")));
        }
        said.add(GapWords.set(best, read.setting(), focus, "How deep the focus is, a ramp line tells."));
        boolean surer = depth.isEmpty()
                || finding.bestGapStdErrMm().isEmpty()
                || !Limits.atMost(
                        finding.together()
                                .map(all -> all.halfWidthMm() / 1.96)
                                .orElse(finding.bestGapStdErrMm().getAsDouble()),
                        depth.getAsDouble() / 4);
        if (surer) {
            said.add(Instruction.of("ladder", ladder(finding.next(), "To be surer, burn a shorter ladder at "))
                    .byHand(Said.of(
                            finding.bestGapStdErrMm().isEmpty()
                                    ? "Three squares alone do not tell how sure the gap is."
                                    : "Now it is sure to {0}.",
                            Amount.mm(finding.bestGapHalfWidthMm().orElse(0), 2))));
        }
        return said;
    }

    @Override
    public Optional<String> proof() {
        return Optional.of("bestGapStdErrMm");
    }

    @Override
    public Said keyFigure(LadderFinding finding) {
        return GapWords.keyFigure(finding.workingGapMm());
    }

    @Override
    public List<Evidence> evidence(LadderFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        finding.bestGapMm()
                .ifPresent(best ->
                        evidence.add(new Evidence("best gap", GapWords.withDoubt(best, finding.bestGapHalfWidthMm()))));
        finding.together()
                .filter(all -> all.ladders() > 1)
                .ifPresent(all -> evidence.add(new Evidence(
                        all.ladders() + " ladders",
                        GapWords.withDoubt(all.bestGapMm(), OptionalDouble.of(all.halfWidthMm())))));
        finding.school()
                .ifPresent(school -> evidence.add(new Evidence(
                        "scored",
                        Said.of(
                                switch (school) {
                                    case EYE -> "by eye";
                                    case WIDTH -> "by width";
                                    case CONTRAST -> "by contrast";
                                    case SOUND -> "by sound";
                                }))));
        evidence.add(new Evidence(
                "next ladder",
                Said.of(
                        "{0#} to {1}",
                        Amount.mm(finding.next().gapsMm().get(0), 2),
                        Amount.mm(finding.next().gapsMm().get(NEXT_STEPS - 1), 2))));
        finding.driftMm().ifPresent(drift -> evidence.add(new Evidence("since last time", GapWords.moved(drift))));
        return evidence;
    }

    @Override
    public Said judgedBy(LadderFinding finding) {
        return Said.of(
                "standard error of the best gap at most {0}",
                Amount.mm(finding.tolerances().standardErrorMm(), 2).most());
    }
}
