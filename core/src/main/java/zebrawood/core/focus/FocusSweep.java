package zebrawood.core.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import zebrawood.core.focus.SweepFinding.Read;
import zebrawood.core.focus.SweepFit.Case;
import zebrawood.core.focus.SweepFit.Estimate;
import zebrawood.core.focus.SweepFit.Used;
import zebrawood.core.focus.SweepReadings.Direction;
import zebrawood.core.focus.SweepReadings.Sweep;
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

/**
 * Finds the best gap and the play of the height axis by driving it through the focus both ways: a moment marked late
 * and a column that lags read too low on the way down and as much too high on the way up.
 */
public final class FocusSweep implements Procedure<SweepReadings, SweepFinding> {

    private static final String CLEAR =
            " Set the end of a way down first: the head must stay clear of the work. " + "More may be needed then.";

    private static final Card CARD = new Card(
            "focus-sweep",
            1,
            "Live sweep",
            Card.OnRoute.in(Phase.FOCUS, 50).firing().asWanted(),
            Set.of(
                    Change.LENS_CHANGED,
                    Change.NOZZLE_CHANGED,
                    Change.SOURCE_CHANGED,
                    Change.KNOCKED,
                    Change.PART_FITTED),
            List.of(Hazard.BEAM, Hazard.FUMES, Hazard.FIRE, Hazard.MOVING_AXES),
            15,
            180,
            new Help(
                    List.of(
                            "A height axis that moves at a known speed, and a scale or counted motion for its place.",
                            "A clock: a key to press, a sound recording, or a film through the eyewear's window."),
                    List.of(
                            "Set the end of the way down first: the head must stay clear of the work.",
                            "Lowest power that still marks. Fresh stock under the spot for each sweep.",
                            "Drive down through the focus. Mark the moment when the spot is brightest or loudest.",
                            "The same upwards; three times each way. At two speeds, play and delay come apart."),
                    "Whoever marks a moment marks it late, and a column has play. Down and up err to opposite sides, so "
                            + "their middle is right, and half their difference tells what a height put back is worth.",
                    List.of("Nobody looks at the spot without the eyewear for this source.")));

    @Override
    public Card card() {
        return CARD;
    }

    @Override
    public Class<SweepReadings> readingsType() {
        return SweepReadings.class;
    }

    @Override
    public Class<SweepFinding> findingType() {
        return SweepFinding.class;
    }

    @Override
    public boolean appliesTo(Plate plate) {
        return plate.family() != Family.SHEET_FIBRE;
    }

    @Override
    public Outcome<SweepFinding> evaluate(SweepReadings read) {
        List<Read> came = new ArrayList<>();
        List<Used> used = new ArrayList<>();
        for (Sweep sweep : read.sweeps()) {
            Optional<Peak> peak = sweep.samples().flatMap(Peak::of);
            OptionalDouble moment = sweep.markedS().isPresent()
                    ? sweep.markedS()
                    : peak.map(p -> OptionalDouble.of(p.seconds())).orElse(OptionalDouble.empty());
            OptionalDouble gap =
                    moment.isPresent() ? OptionalDouble.of(sweep.gapMm(moment.getAsDouble())) : OptionalDouble.empty();
            gap.ifPresent(g -> used.add(new Used(sweep.sign(), sweep.speedMmS(), g)));
            came.add(new Read(
                    gap,
                    OptionalDouble.empty(),
                    peak.map(p -> OptionalDouble.of(p.seconds())).orElse(OptionalDouble.empty()),
                    peak.map(Peak::stdErrS).orElse(OptionalDouble.empty()),
                    peak.map(p -> OptionalInt.of(p.samples())).orElse(OptionalInt.empty()),
                    sweep.direction()));
        }
        Optional<SweepFit> fit = SweepFit.of(used, read);
        return fit.isEmpty() ? untold(came, used, read) : judged(fit.get(), came, read);
    }

    private static SweepFinding.Tolerances tolerances(SweepReadings read) {
        return new SweepFinding.Tolerances(
                read.toleranceOrDefaultMm(),
                Optional.of(approach(read)),
                read.timeErrorS().orElse(SweepReadings.TIME_ERROR_S),
                read.delayErrorS().orElse(0));
    }

    private static Direction approach(SweepReadings read) {
        return read.approach().orElse(Direction.DOWN);
    }

    private static Outcome<SweepFinding> untold(List<Read> came, List<Used> used, SweepReadings read) {
        boolean down = used.stream().anyMatch(sweep -> sweep.sign() < 0);
        boolean up = used.stream().anyMatch(sweep -> sweep.sign() > 0);
        boolean lost = used.size() < came.size();
        Instruction next = down && up
                ? Instruction.of("height", Said.of("Sweep at each speed both ways."))
                        .byHand(Said.of(
                                "Down at one speed and up at another cannot tell a late mark from play of the column."
                                        + CLEAR))
                : Instruction.of(
                                "height",
                                Said.of(
                                        down
                                                ? "Sweep upwards too, as often as downwards."
                                                : up
                                                        ? "Sweep downwards too, as often as upwards."
                                                        : "Sweep again, both ways."))
                        .byHand(Said.of(
                                lost
                                        ? "A recording counts only when it rises and falls again: start well before the "
                                                + "focus, and end well after it." + CLEAR
                                        : "One way alone cannot tell the best gap from a late mark and from play."
                                                + CLEAR));
        SweepFinding finding = SweepFinding.untold(came, tolerances(read));
        return new Outcome<>(finding, Verdict.UNCLEAR, List.of(next));
    }

    /** Value, standard error and interval of something that may not be there. */
    private record Stated(OptionalDouble value, OptionalDouble stdErr, OptionalDouble low, OptionalDouble high) {
        static Stated of(boolean there, boolean intervals, Estimate estimate) {
            return new Stated(
                    given(there, estimate.value()),
                    given(there && intervals, estimate.stdErr()),
                    given(there && intervals, estimate.low()),
                    given(there && intervals, estimate.high()));
        }

        private static OptionalDouble given(boolean there, double value) {
            return there ? OptionalDouble.of(value) : OptionalDouble.empty();
        }
    }

    private static Outcome<SweepFinding> judged(SweepFit fit, List<Read> came, SweepReadings read) {
        boolean sure = fit.hasIntervals();
        boolean apart = fit.kind() != Case.ONE_SPEED;
        boolean late = fit.kind() == Case.SEVERAL_SPEEDS;
        Stated best = Stated.of(true, sure, fit.bestGap());
        Stated play = Stated.of(apart, sure, fit.play());
        Stated set = Stated.of(apart, sure, fit.setGap(approach(read)));
        Stated difference = Stated.of(!apart, sure, fit.play());
        Stated delay = late
                ? Stated.of(true, sure, fit.delay())
                : new Stated(
                        OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        SweepFinding finding = new SweepFinding(
                withResiduals(came, fit),
                best.value(),
                best.stdErr(),
                best.low(),
                best.high(),
                OptionalInt.of(fit.degreesOfFreedom()),
                play.value(),
                play.stdErr(),
                play.low(),
                play.high(),
                set.value(),
                set.stdErr(),
                difference.value(),
                difference.stdErr(),
                difference.low(),
                difference.high(),
                delay.value(),
                delay.stdErr(),
                delay.low(),
                delay.high(),
                tolerances(read));
        return verdict(finding, fit, read);
    }

    private static List<Read> withResiduals(List<Read> came, SweepFit fit) {
        List<Read> with = new ArrayList<>();
        int used = 0;
        for (Read read : came) {
            with.add(
                    read.gapMm().isEmpty()
                            ? read
                            : new Read(
                                    read.gapMm(),
                                    OptionalDouble.of(fit.residual(used++)),
                                    read.peakS(),
                                    read.peakStdErrS(),
                                    read.samplesUsed(),
                                    read.direction()));
        }
        return with;
    }

    private static Outcome<SweepFinding> verdict(SweepFinding finding, SweepFit fit, SweepReadings read) {
        double tolerance = finding.tolerances().toleranceMm();
        if (!fit.hasIntervals()) {
            return unclear(
                    finding,
                    "Sweep once more each way: so few do not tell how sure the gap is.",
                    "Three each way, at one speed, are usual.");
        }
        Estimate play = fit.play();
        boolean backwards = below(play) || fit.kind() == Case.SEVERAL_SPEEDS && below(fit.delay());
        if (backwards) {
            return unclear(
                    finding,
                    read.delayS().orElse(0) > 0
                            ? "Look at the directions and at the delay, then sweep again."
                            : "Look at the directions that were typed, then sweep again.",
                    "Play and delay would be under nothing: up and down were exchanged, or a delay is typed too long.");
        }
        if (!Limits.atMost(fit.bestGap().halfWidth(), tolerance)) {
            return unclear(
                    finding,
                    "Sweep more often, and more slowly: the best gap is not certain enough.",
                    "Come through the focus three times more each way, at half the speed.");
        }
        boolean small = Limits.atMost(play.value(), tolerance);
        boolean known = Limits.atMost(play.halfWidth(), tolerance);
        if (fit.kind() == Case.ONE_SPEED) {
            return small && known
                    ? new Outcome<>(
                            finding, Verdict.PASS, List.of(set(fit.bestGap().value())))
                    : unclear(
                            finding,
                            "Sweep again both ways at half the speed, or at twice the speed.",
                            "At one speed play of the column looks like a late mark; at two they come apart.");
        }
        if (!Limits.atMost(play.value(), Math.max(tolerance, play.halfWidth()))) {
            return new Outcome<>(finding, Verdict.ADJUST, List.of(approached(fit, read), takeUp(play)));
        }
        return small && known
                ? new Outcome<>(
                        finding,
                        Verdict.PASS,
                        List.of(set(fit.setGap(approach(read)).value())))
                : unclear(
                        finding,
                        "Sweep more often: the play of the column is not certain enough.",
                        "Three times more each way, at the same speeds.");
    }

    private static boolean below(Estimate estimate) {
        return !Limits.atLeast(estimate.high(), 0);
    }

    private static Outcome<SweepFinding> unclear(SweepFinding finding, String what, String how) {
        return new Outcome<>(
                finding,
                Verdict.UNCLEAR,
                List.of(Instruction.of("height", Said.of(what)).byHand(Said.of(how + CLEAR))));
    }

    private static Instruction set(double gap) {
        return Instruction.of("gap", Said.of("Set the height scale to a gap of {0}.", Amount.mm(gap, 2)))
                .byHand(Said.of("Then burn a short ladder about it."));
    }

    /** Come to it always from one side, from farther away than the play. */
    private static Instruction approached(SweepFit fit, SweepReadings read) {
        double play = fit.play().high();
        double wanted = fit.setGap(approach(read)).value();
        boolean fromAbove = approach(read) == Direction.DOWN || wanted - play <= 0;
        double set = fit.setGap(fromAbove ? Direction.DOWN : Direction.UP).value();
        return fromAbove
                ? Instruction.of(
                                "gap",
                                Said.of(
                                        "Set the height scale to {0}, and always come to it from above.",
                                        Amount.mm(set, 2)))
                        .byHand(Said.of(
                                "Drive to {0} or more first, then down to {1}.",
                                Amount.mm(set + play, 1).least(), Amount.mm(set, 2)))
                : Instruction.of(
                                "gap",
                                Said.of(
                                        "Set the height scale to {0}, and always come to it from below.",
                                        Amount.mm(set, 2)))
                        .byHand(Said.of(
                                "Drive to {0} or less first, then up to {1}. Only where the head stays clear of the "
                                        + "work at {0}; else come from above, and sweep again for it.",
                                Amount.mm(Math.max(0, set - play), 1).most(), Amount.mm(set, 2)));
    }

    private static Instruction takeUp(Estimate play) {
        return Instruction.of(
                        "column",
                        Said.of("Have the play of {0} taken up, then sweep again.", Amount.mm(play.value(), 2)))
                .byHand(Said.of("Nut, belt, rack or guide of the height axis; power off before hands are in the "
                        + "machine. Until then a height put back is not the same height."));
    }

    @Override
    public Optional<String> proof() {
        return Optional.of("bestGapStdErrMm");
    }

    @Override
    public Said keyFigure(SweepFinding finding) {
        return finding.bestGapMm().isPresent()
                ? Said.of("{0}", Amount.mm(finding.bestGapMm().getAsDouble(), 2))
                : Said.of("no gap yet");
    }

    @Override
    public List<Evidence> evidence(SweepFinding finding) {
        List<Evidence> evidence = new ArrayList<>();
        add(evidence, "best gap", Quantity.LENGTH, finding.bestGapMm(), finding.bestGapLowMm(), 2);
        add(evidence, "play", Quantity.LENGTH, finding.playMm(), finding.playLowMm(), 2);
        add(evidence, "play and late mark", Quantity.LENGTH, finding.differenceMm(), finding.differenceLowMm(), 2);
        add(evidence, "marked late by", Quantity.SECONDS, finding.delayS(), finding.delayLowS(), 2);
        add(evidence, "scale to show", Quantity.LENGTH, finding.setGapMm(), OptionalDouble.empty(), 2);
        evidence.add(new Evidence(
                "sweeps",
                Said.of(
                        "{0} of {1}",
                        Amount.plain(finding.counted(), 0),
                        Amount.plain(finding.sweeps().size(), 0))));
        return evidence;
    }

    private static void add(
            List<Evidence> evidence,
            String label,
            Quantity quantity,
            OptionalDouble value,
            OptionalDouble low,
            int decimals) {
        value.ifPresent(v -> evidence.add(new Evidence(
                label,
                low.isPresent()
                        ? Said.of(
                                "{0#} ± {1}",
                                new Amount(quantity, v, decimals),
                                new Amount(quantity, v - low.getAsDouble(), decimals))
                        : Said.of("{0}", new Amount(quantity, v, decimals)))));
    }

    @Override
    public Said judgedBy(SweepFinding finding) {
        return Said.of(
                "play, and the doubt of the best gap, at most {0}",
                Amount.mm(finding.tolerances().toleranceMm(), 2).most());
    }
}
