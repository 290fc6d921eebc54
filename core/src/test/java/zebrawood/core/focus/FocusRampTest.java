package zebrawood.core.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.RampReadings.Mark;
import zebrawood.core.machine.Family;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.UnitChoice;

class FocusRampTest {

    private final FocusRamp procedure = new FocusRamp();

    private static List<Mark> marks(int count, DoubleUnaryOperator widthAtGap) {
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double at = RampPlan.placeMm(i, count, 180);
            marks.add(new Mark(at, widthAtGap.applyAsDouble(11.6 - at * 10.2 / 180)));
        }
        return marks;
    }

    private static DoubleUnaryOperator caustic(double best) {
        return gap -> 0.215 * Math.hypot(1, (gap - best) / 2.9);
    }

    private static RampReadings readings(
            List<Mark> marks, OptionalDouble last, Optional<RampReadings.GapSetting> setting) {
        return new RampReadings(
                10600,
                11.6,
                180,
                10.2,
                Optional.empty(),
                Optional.of(marks),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                last,
                setting);
    }

    private Outcome<RampFinding> evaluate(List<Mark> marks) {
        return procedure.evaluate(readings(marks, OptionalDouble.empty(), Optional.empty()));
    }

    @Test
    void anExactCausticIsFoundExactly() {
        RampFinding finding = evaluate(marks(9, caustic(6.84))).finding();

        assertThat(finding.bestGapMm().getAsDouble()).isCloseTo(6.84, within(1e-9));
        assertThat(finding.waistMm().getAsDouble()).isCloseTo(0.215, within(1e-9));
        assertThat(finding.rayleighMm().getAsDouble()).isCloseTo(2.9, within(1e-9));
        assertThat(finding.fit().orElseThrow().rmsMm().getAsDouble()).isLessThan(1e-9);
    }

    @Test
    void theOrderOfTheMarksDoesNotMatter() {
        List<Mark> marks = marks(9, gap -> caustic(6.84).applyAsDouble(gap) + 0.01 * Math.sin(40 * gap));
        RampFinding inOrder = evaluate(marks).finding();
        Collections.shuffle(marks, new Random(3));
        RampFinding shuffled = evaluate(marks).finding();

        assertThat(shuffled.bestGapMm().getAsDouble())
                .isCloseTo(inOrder.bestGapMm().getAsDouble(), within(1e-9));
        assertThat(shuffled.bestGapStdErrMm().getAsDouble())
                .isCloseTo(inOrder.bestGapStdErrMm().getAsDouble(), within(1e-9));
    }

    @Test
    void everySecondPlaceGivesTheSameGap() {
        List<RampReadings.Mark> all = marks(17, caustic(6.84));
        List<RampReadings.Mark> every2nd =
                IntStream.range(0, 9).mapToObj(i -> all.get(2 * i)).toList();
        RampFinding whole = evaluate(all).finding();
        RampFinding half = evaluate(every2nd).finding();

        assertThat(whole.bestGapMm().orElseThrow()).isCloseTo(6.84, within(1e-6));
        assertThat(half.bestGapMm().orElseThrow()).isCloseTo(6.84, within(1e-6));
        assertThat(half.bestGapStdErrMm().orElseThrow())
                .as("but less surely")
                .isGreaterThan(whole.bestGapStdErrMm().orElseThrow() * 1.2);
        assertThat(procedure.keyFigure(half).in(UnitChoice.METRIC)).isEqualTo("6.84 mm");
        assertThat(procedure.keyFigure(half).in(new UnitChoice(true, false))).isEqualTo("0.2693 in");
    }

    @Test
    void aWidthIsReadAgainWhereItLiesFourTimesItsErrorOffTheCurve() {
        List<Mark> marks = marks(17, caustic(6.84));
        for (double off = 0.01; off < 0.3; off += 0.01) {
            Mark strange = new Mark(marks.get(5).positionMm(), marks.get(5).widthMm() + off);
            List<Mark> read = new ArrayList<>(marks);
            read.set(5, strange);
            Outcome<RampFinding> outcome = procedure.evaluate(new RampReadings(
                    10600,
                    11.6,
                    180,
                    10.2,
                    Optional.empty(),
                    Optional.of(read),
                    OptionalDouble.of(0.02),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Optional.empty()));
            double most = outcome.finding().points().stream()
                    .mapToDouble(point -> Math.abs(point.residualMm().orElse(0)))
                    .max()
                    .orElseThrow();
            boolean asked = outcome.instructions().stream()
                    .anyMatch(
                            i -> i.action().in(UnitChoice.METRIC).startsWith("Read the width at 56 mm again: it lies"));
            assertThat(asked)
                    .as("%.2f mm off, %.4f mm off the curve", off, most)
                    .isEqualTo(most > 0.08);
        }
    }

    @Test
    void theGapIsSaidAsTheHandSetsIt() {
        RampReadings.GapSetting block = new RampReadings.GapSetting(
                Optional.of("nozzle tip"), Optional.of("bed"), Optional.of("block"), OptionalDouble.of(0.1));
        Outcome<RampFinding> outcome =
                procedure.evaluate(readings(marks(9, caustic(6.84)), OptionalDouble.empty(), Optional.of(block)));

        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .startsWith(
                        "Set the gap to 6.8 mm. Move the bed until the 6.8 mm block just slides under the nozzle tip.");
    }

    @Test
    void aBlockTooCoarseForTheDepthOfFocusIsNotAskedFor() {
        RampReadings.GapSetting coarse = new RampReadings.GapSetting(
                Optional.of("nozzle tip"), Optional.of("bed"), Optional.of("block"), OptionalDouble.of(10));
        Outcome<RampFinding> outcome =
                procedure.evaluate(readings(marks(9, caustic(6.84)), OptionalDouble.empty(), Optional.of(coarse)));

        assertThat(outcome.instructions().get(0).action().in(UnitChoice.METRIC)).isEqualTo("Set the gap to 6.84 mm.");
    }

    @Test
    void whenTheFocusLiesBeyondTheRampItSaysWhichWayToGo() {
        Outcome<RampFinding> beyond = evaluate(marks(9, caustic(14)));
        Outcome<RampFinding> below = evaluate(marks(9, caustic(-1)));

        assertThat(beyond.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(beyond.finding().bestGapMm()).isEmpty();
        assertThat(beyond.instructions().get(0).action().in(UnitChoice.METRIC))
                .contains("more gap")
                .contains("beyond 11.6 mm");
        assertThat(below.instructions().get(0).action().in(UnitChoice.METRIC))
                .contains("less gap")
                .contains("under 1.4 mm");
    }

    @Test
    void flatWidthsAskForASteeperPlateAndNeverMakeUpAGap() {
        Outcome<RampFinding> flat = evaluate(marks(9, gap -> 0.2));

        assertThat(flat.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(flat.finding().bestGapMm()).isEmpty();
        assertThat(flat.instructions().get(0).action().in(UnitChoice.METRIC)).contains("steeper");
    }

    @Test
    void aStrayWidthIsNamedWithItsPlace() {
        List<Mark> marks = marks(9, caustic(6.84));
        marks.set(3, new Mark(marks.get(3).positionMm(), marks.get(3).widthMm() + 0.2));

        assertThat(evaluate(marks).instructions())
                .extracting(i -> i.sentence(UnitChoice.METRIC))
                .anyMatch(sentence -> sentence.startsWith("Read the width at 68 mm again"));
    }

    @Test
    void driftBeyondAQuarterOfTheDepthIsSaid() {
        Outcome<RampFinding> drifted =
                procedure.evaluate(readings(marks(9, caustic(6.84)), OptionalDouble.of(5.9), Optional.empty()));
        Outcome<RampFinding> steady =
                procedure.evaluate(readings(marks(9, caustic(6.84)), OptionalDouble.of(6.7), Optional.empty()));

        assertThat(drifted.instructions())
                .extracting(i -> i.sentence(UnitChoice.METRIC))
                .anyMatch(s -> s.contains("has grown by 0.94 mm"));
        assertThat(steady.instructions()).hasSize(1);
    }

    @Test
    void numbersTooLargeToComputeWithAreRefusedNotTurnedIntoNonsense() {
        assertThatThrownBy(() -> evaluate(marks(9, gap -> 1e200 * (1 + gap * gap))))
                .isInstanceOf(ReadingException.class);
    }

    @Test
    void everyRefusalIsToldAtOnce() {
        assertThatThrownBy(() -> new RampReadings(
                        -1,
                        5,
                        0,
                        9,
                        Optional.empty(),
                        Optional.empty(),
                        OptionalDouble.of(0),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty()))
                .isInstanceOfSatisfying(
                        ReadingException.class,
                        refused -> assertThat(refused.refusals())
                                .extracting(r -> r.field())
                                .containsExactly("wavelengthNm", "runMm", "riseMm", "marks", "widthErrorMm"));
    }

    @Test
    void thePlanPutsTheMakersGapInTheMiddleAndKeepsTheHeadClear() {
        for (double gap : new double[] {2, 7, 26, 182}) {
            RampPlan plan =
                    RampPlan.about(gap, gap > 100 ? Family.GALVO_FIBRE : Family.GANTRY_CO2, OptionalDouble.empty());
            assertThat(plan.gapAtStartMm() - plan.riseMm() / 2).isCloseTo(gap, within(1e-9));
            assertThat(plan.gapAtStartMm() - plan.riseMm()).isGreaterThan(0);
        }
    }

    /** A plate that falls away from the head shows what a rising one does, with its ends exchanged. */
    @Test
    void theEndOfTheRampIsTheOneWhereTheLineWouldThin() {
        for (boolean rises : new boolean[] {true, false}) {
            for (double best : new double[] {14, -1}) {
                List<Mark> marks = new ArrayList<>();
                for (int i = 0; i < 9; i++) {
                    double gap = 1.4 + i * 1.275;
                    double at = (rises ? 11.6 - gap : gap - 1.4) * 180 / 10.2;
                    marks.add(new Mark(at, caustic(best).applyAsDouble(gap)));
                }
                Outcome<RampFinding> outcome = procedure.evaluate(new RampReadings(
                        10600,
                        rises ? 11.6 : 1.4,
                        180,
                        rises ? 10.2 : -10.2,
                        Optional.empty(),
                        Optional.of(marks),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty()));
                boolean atStart = rises == (best > 11);
                assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                        .as("rises %s, best %s", rises, best)
                        .contains(best > 11 ? "with more gap" : "with less gap")
                        .contains("well before the " + (atStart ? "start" : "far end") + " of the ramp");
                assertThat(outcome.verdict()).isEqualTo(Verdict.UNCLEAR);
            }
        }
    }

    @Test
    void roughWidthsAreUnclearAndSayHowMuchDoubtIsLeft() {
        Outcome<RampFinding> rough =
                evaluate(marks(5, gap -> caustic(6.84).applyAsDouble(gap) + 0.09 * Math.sin(9 * gap)));
        RampFinding finding = rough.finding();
        double allowed = finding.doubtAllowedMm().getAsDouble();

        assertThat(finding.bestGapStdErrMm().getAsDouble()).isGreaterThan(allowed);
        assertThat(rough.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(rough.instructions().get(0).sentence(UnitChoice.METRIC))
                .contains("not certain yet, by %.2f mm"
                        .formatted(finding.bestGapHalfWidthMm().getAsDouble()))
                .contains("at %.2f mm or less".formatted(1.96 * allowed));
        assertThat(procedure.judgedBy(finding).in(UnitChoice.METRIC))
                .isEqualTo("uncertainty within ± %.2f mm".formatted(1.96 * allowed));
    }

    @Test
    void theEvidenceIsTheWholeOfWhatWasFound() {
        RampFinding finding = procedure
                .evaluate(readings(marks(9, caustic(6.84)), OptionalDouble.of(7.1), Optional.empty()))
                .finding();
        assertThat(procedure.evidence(finding).stream()
                        .map(line -> line.label() + " = " + line.figure().in(UnitChoice.METRIC)))
                .startsWith("best gap = 6.84 ± %.2f mm"
                        .formatted(finding.bestGapHalfWidthMm().getAsDouble()))
                .contains("thinnest line = 0.215 mm")
                .contains("depth of focus = %.2f mm"
                        .formatted(finding.depthOfFocusMm().getAsDouble()))
                .anyMatch(line -> line.endsWith("= -0.26 mm") || line.endsWith("= −0.26 mm"))
                .anyMatch(line -> line.startsWith("apparent M² = "))
                .hasSize(7);
        assertThat(finding.curve()).hasSize(61);
        assertThat(finding.curve().get(0).gapMm()).isCloseTo(1.4, within(1e-9));
        assertThat(finding.curve().get(60).gapMm()).isCloseTo(11.6, within(1e-9));
        assertThat(finding.curve().get(30).widthMm())
                .isCloseTo(caustic(6.84).applyAsDouble(finding.curve().get(30).gapMm()), within(1e-9));
        assertThat(procedure.traits(
                        readings(marks(9, caustic(6.84)), OptionalDouble.empty(), Optional.empty()),
                        finding,
                        Family.GANTRY_CO2))
                .extracting(trait -> trait.label())
                .containsExactly("best gap", "thinnest line");
    }

    /** A best gap that moved by more than the focus is deep asks for a second line before anybody sets it. */
    @Test
    void aGapThatMovedByMoreThanTheDepthOfFocusIsReadTwice() {
        for (double last : new double[] {6.84 - 4, 6.84 - 0.1, 6.84 + 4}) {
            Outcome<RampFinding> outcome = procedure.evaluate(new RampReadings(
                    10600,
                    11.6,
                    180,
                    10.2,
                    Optional.empty(),
                    Optional.of(marks(17, caustic(6.84))),
                    OptionalDouble.of(0.02),
                    OptionalDouble.empty(),
                    OptionalDouble.of(last),
                    Optional.empty()));
            boolean far =
                    Math.abs(6.84 - last) > outcome.finding().depthOfFocusMm().getAsDouble();
            assertThat(outcome.instructions().get(0).action().words().startsWith("Burn a second line"))
                    .as("last time %.2f mm", last)
                    .isEqualTo(far);
        }
    }

    /** What was only looked for never stands against what a fit proved. */
    @Test
    void aThinnestPlaceFarFromWhatAFitProvedIsUnclear() {
        for (double last : new double[] {2.0, 6.0, 6.9}) {
            Outcome<RampFinding> outcome = procedure.evaluate(new RampReadings(
                    10600,
                    11.6,
                    180,
                    10.2,
                    Optional.empty(),
                    Optional.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.of(90),
                    OptionalDouble.empty(),
                    OptionalDouble.of(last),
                    OptionalDouble.of(2.7),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()));
            assertThat(outcome.verdict()).isEqualTo(Math.abs(6.5 - last) > 2.7 ? Verdict.UNCLEAR : Verdict.PASS);
        }
    }
}
