package zebrawood.core.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.LadderReadings.Better;
import zebrawood.core.focus.LadderReadings.Earlier;
import zebrawood.core.focus.SweepReadings.Direction;
import zebrawood.core.focus.SweepReadings.Sample;
import zebrawood.core.focus.SweepReadings.Sweep;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

/** Squares and sweeps beyond the worked cases. */
class LadderAndSweepTest {

    private final SplittableRandom random = new SplittableRandom(5);

    private static LadderFinding ladder(double shift, double scale, Better better, OptionalDouble error) {
        List<LadderReadings.Step> steps = new ArrayList<>();
        double[] scores = {2.7, 6.6, 9.4, 9.9, 8.4, 4.7};
        for (int i = 0; i < scores.length; i++) {
            double score = better == Better.HIGHER ? scores[i] : -scores[i];
            steps.add(new LadderReadings.Step(shift + scale * (4 + i), score));
        }
        return new FocusLadder()
                .evaluate(new LadderReadings(
                        steps,
                        better,
                        Optional.empty(),
                        error,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()))
                .finding();
    }

    @Test
    void theBestGapMovesWithTheScaleOfTheHeightAndNotWithTheSignOfTheScore() {
        double best =
                ladder(0, 1, Better.HIGHER, OptionalDouble.empty()).bestGapMm().orElseThrow();
        assertThat(ladder(100, 0.5, Better.HIGHER, OptionalDouble.empty())
                        .bestGapMm()
                        .orElseThrow())
                .isCloseTo(100 + best / 2, within(1e-9));
        assertThat(ladder(0, 1, Better.LOWER, OptionalDouble.empty())
                        .bestGapMm()
                        .orElseThrow())
                .isCloseTo(best, within(1e-9));
    }

    @Test
    void fewSquaresAloneGiveAWiderIntervalThanAKnownError() {
        LadderFinding alone = ladder(0, 1, Better.HIGHER, OptionalDouble.empty());
        LadderFinding known = ladder(0, 1, Better.HIGHER, OptionalDouble.of(1e-6));
        assertThat(alone.bestGapStdErrMm().orElseThrow())
                .isCloseTo(known.bestGapStdErrMm().orElseThrow(), within(1e-9));
        assertThat(alone.bestGapHalfWidthMm().orElseThrow())
                .isGreaterThan(1.5 * known.bestGapHalfWidthMm().orElseThrow());
        assertThat(ladder(0, 1, Better.HIGHER, OptionalDouble.of(2))
                        .bestGapStdErrMm()
                        .orElseThrow())
                .isGreaterThan(3 * alone.bestGapStdErrMm().orElseThrow());
    }

    private SweepReadings recorded(double noise, boolean cutOff) {
        List<Sweep> sweeps = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Direction way = i % 2 == 0 ? Direction.DOWN : Direction.UP;
            double start = way == Direction.DOWN ? 11 : 3;
            List<Sample> samples = new ArrayList<>();
            for (int k = 1; k < (cutOff ? 40 : 80); k++) {
                double t = 0.1 * k / (cutOff ? 2 : 1);
                double scale = way == Direction.DOWN ? start - t : start + t;
                // the column lags by half of its play of 0.6 mm
                double real = scale + (way == Direction.DOWN ? 0.3 : -0.3);
                double level = 10 + 60 / (1 + Math.pow((real - 7) / 0.8, 2)) + noise * random.nextGaussian();
                samples.add(new Sample(t, level));
            }
            sweeps.add(new Sweep(way, start, 1, OptionalDouble.empty(), Optional.of(samples)));
        }
        return new SweepReadings(
                sweeps,
                OptionalDouble.of(0),
                OptionalDouble.empty(),
                2.2,
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }

    @Test
    void aRecordingOfBothWaysTellsTheBestGapAndThePlay() {
        Outcome<SweepFinding> outcome = new FocusSweep().evaluate(recorded(1, false));
        SweepFinding finding = outcome.finding();
        assertThat(finding.bestGapMm().orElseThrow()).isCloseTo(7, within(0.08));
        assertThat(finding.playMm().orElseThrow()).isCloseTo(0.6, within(0.12));
        assertThat(finding.playLowMm().orElseThrow()).isLessThan(0.6);
        assertThat(finding.playHighMm().orElseThrow()).isGreaterThan(0.6);
        assertThat(finding.setGapMm().orElseThrow())
                .isCloseTo(finding.bestGapMm().orElseThrow() - finding.playMm().orElseThrow() / 2, within(1e-9));
        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .contains("always come to it from above")
                .contains(" or more first, then down to ");
    }

    @Test
    void aRecordingThatEndsBeforeItFallsAgainIsLeftOutAndSaidSo() {
        Outcome<SweepFinding> outcome = new FocusSweep().evaluate(recorded(0.5, true));
        assertThat(outcome.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(outcome.finding().sweeps())
                .allSatisfy(sweep -> assertThat(sweep.gapMm()).isEmpty());
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .startsWith("Sweep again, both ways.")
                .contains("Set the end of a way down first");
    }

    private static LadderFinding after(List<Earlier> earlier) {
        List<LadderReadings.Step> steps = new ArrayList<>();
        double[] scores = {2.7, 6.6, 9.4, 9.9, 8.4, 4.7};
        for (int i = 0; i < scores.length; i++) {
            steps.add(new LadderReadings.Step(4 + i, scores[i]));
        }
        return new FocusLadder()
                .evaluate(new LadderReadings(
                        steps,
                        Better.HIGHER,
                        Optional.empty(),
                        OptionalDouble.of(0.3),
                        OptionalDouble.empty(),
                        OptionalDouble.of(2),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(earlier)))
                .finding();
    }

    @Test
    void laddersThatAgreeAreWeighedTogetherAndOneThatDoesNotIsLeftOutAndSaid() {
        LadderFinding alone = after(List.of());
        double best = alone.bestGapMm().orElseThrow();
        double half = alone.bestGapHalfWidthMm().orElseThrow();
        assertThat(alone.together()).isEmpty();
        LadderFinding three =
                after(List.of(new Earlier(best + 0.5 * half, half), new Earlier(best - 0.2 * half, half)));
        assertThat(three.workingGapMm().orElseThrow()).isCloseTo(best + 0.1 * half, within(1e-9));
        assertThat(three.workingGapHalfWidthMm().orElseThrow()).isCloseTo(half / Math.sqrt(3), within(1e-9));
        LadderFinding one = after(List.of(new Earlier(best + 1.5 * half, half)));
        assertThat(one.together().orElseThrow().apart()).isEqualTo(1);
        assertThat(one.workingGapMm().orElseThrow()).isEqualTo(best);
    }
}
