package zebrawood.benchmarks;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import zebrawood.core.focus.FocusLadder;
import zebrawood.core.focus.FocusRamp;
import zebrawood.core.focus.FocusTable;
import zebrawood.core.focus.LadderFinding;
import zebrawood.core.focus.LadderReadings;
import zebrawood.core.focus.LadderReadings.Better;
import zebrawood.core.focus.LadderReadings.School;
import zebrawood.core.focus.RampFinding;
import zebrawood.core.focus.RampReadings;
import zebrawood.core.pretend.PretendFocus;

/** Ladders of beams that are known, and ramps with a short ladder after them. */
final class LadderCoverage {

    private static final int LADDERS = 2_000;
    private static final long SEED = 20_310_314;

    private LadderCoverage() {}

    static boolean run() {
        boolean kept = ladders(true);
        kept &= ladders(false);
        return kept & together();
    }

    private static LadderReadings scored(
            PretendFocus focus,
            double centre,
            double half,
            int steps,
            double error,
            boolean stated,
            SplittableRandom random) {
        List<LadderReadings.Step> squares = new ArrayList<>();
        for (int i = 0; i < steps; i++) {
            double gap = centre + half * (2.0 * i / (steps - 1) - 1);
            // in its square the width of a line bends evenly over the gap
            double width = focus.readMm(gap, error, random);
            squares.add(new LadderReadings.Step(gap, width));
        }
        return new LadderReadings(
                squares,
                Better.LOWER,
                Optional.of(School.WIDTH),
                stated ? OptionalDouble.of(error) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static boolean ladders(boolean stated) {
        SplittableRandom random = new SplittableRandom(SEED);
        FocusLadder procedure = new FocusLadder();
        int answered = 0;
        int held = 0;
        for (int i = 0; i < LADDERS; i++) {
            PretendFocus focus = PretendFocus.any(random);
            double half = focus.depthMm() * (0.8 + 0.4 * random.nextDouble());
            double centre = focus.bestGapMm() + half / 2 * (2 * random.nextDouble() - 1);
            LadderFinding finding = procedure
                    .evaluate(scored(focus, centre, half, random.nextBoolean() ? 5 : 7, 0.005, stated, random))
                    .finding();
            if (finding.bestGapMm().isPresent()) {
                answered++;
                held += Math.abs(finding.bestGapMm().getAsDouble() - focus.bestGapMm())
                                <= finding.bestGapHalfWidthMm().getAsDouble()
                        ? 1
                        : 0;
            }
        }
        double share = 100.0 * held / answered;
        System.out.printf(
                Locale.ROOT,
                "%d ladders of 5 or 7 squares, seed %d, %s: %d answered; the stated 95 %% interval holds the true best gap "
                        + "in %.2f %%%n",
                LADDERS,
                SEED,
                stated ? "widths read as surely as stated" : "nobody said how surely they are read",
                answered,
                share);
        return share >= 94 && (!stated || share <= 97);
    }

    /** A ramp, then a short ladder about what it found; both together as the table of the focus has them. */
    private static boolean together() {
        SplittableRandom random = new SplittableRandom(SEED);
        int near = 0;
        int ended = 0;
        for (int i = 0; i < LADDERS; i++) {
            PretendFocus focus = PretendFocus.any(random);
            double start = focus.bestGapMm() + 4 + random.nextDouble();
            List<RampReadings.Mark> marks = new ArrayList<>();
            for (int p = 0; p < 9; p++) {
                double at = 22.5 * p;
                marks.add(new RampReadings.Mark(at, focus.readMm(focus.gapOnRampMm(start, 9, 180, at), 0.01, random)));
            }
            RampFinding ramp = new FocusRamp()
                    .evaluate(new RampReadings(
                            10_600,
                            start,
                            180,
                            9,
                            Optional.empty(),
                            Optional.of(marks),
                            OptionalDouble.of(0.01),
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            Optional.empty()))
                    .finding();
            if (ramp.bestGapMm().isEmpty()) {
                continue;
            }
            LadderFinding ladder = new FocusLadder()
                    .evaluate(scored(
                            focus,
                            ramp.bestGapMm().getAsDouble(),
                            ramp.depthOfFocusMm().getAsDouble(),
                            5,
                            0.01,
                            true,
                            random))
                    .finding();
            ended++;
            List<FocusTable.School> schools = new ArrayList<>();
            schools.add(new FocusTable.School(
                    "ramp",
                    ramp.bestGapMm().getAsDouble(),
                    ramp.bestGapHalfWidthMm(),
                    ramp.depthOfFocusMm(),
                    Instant.EPOCH,
                    Optional.empty()));
            ladder.bestGapMm()
                    .ifPresent(best -> schools.add(new FocusTable.School(
                            "ladder",
                            best,
                            ladder.bestGapHalfWidthMm(),
                            OptionalDouble.empty(),
                            Instant.EPOCH,
                            Optional.empty())));
            double best = FocusTable.of(schools).together().orElseThrow().bestGapMm();
            near += Math.abs(best - focus.bestGapMm()) <= focus.depthMm() / 4 ? 1 : 0;
        }
        double share = 100.0 * near / ended;
        System.out.printf(
                Locale.ROOT,
                "%d ramps of nine marks, each with a short ladder of five squares after it: %.2f %% end within a quarter of "
                        + "the depth of focus%n",
                ended,
                share);
        return share >= 99;
    }
}
