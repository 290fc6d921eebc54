package zebrawood.core.beam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.UnitChoice;

/** What is said of openings, heads and marks, done to the letter: it passes then, or was said to need more. */
class BeamAdviceTest {

    private static ClipReadings clip(double beam, double opening, double offset, double allowed) {
        return new ClipReadings(beam, opening, offset, OptionalDouble.of(allowed), Optional.empty());
    }

    private static double amount(Instruction instruction) {
        return instruction.action().amounts().get(0).asSaid();
    }

    @Test
    void anOpeningThatTakesTooMuchPassesOnceItIsDoneAsSaid() {
        SplittableRandom random = new SplittableRandom(3);
        BeamClip procedure = new BeamClip();
        int followed = 0;
        for (int i = 0; i < 2000; i++) {
            double beam = 1 + 6 * random.nextDouble();
            double opening = 1 + 10 * random.nextDouble();
            double offset = 4 * random.nextDouble();
            double allowed = 0.2 + 5 * random.nextDouble();
            Outcome<ClipFinding> first = procedure.evaluate(clip(beam, opening, offset, allowed));
            if (first.verdict() == Verdict.PASS) {
                continue;
            }
            double said = amount(first.instructions().get(0));
            ClipReadings then =
                    first.verdict() == Verdict.FAIL ? clip(beam, said, 0, allowed) : clip(beam, opening, said, allowed);
            assertThat(procedure.evaluate(then).verdict())
                    .as("beam %s, opening %s, offset %s, allowed %s", beam, opening, offset, allowed)
                    .isEqualTo(Verdict.PASS);
            followed++;
        }
        assertThat(followed).isGreaterThan(800);
    }

    private static ClipReadings.Other other(String name, double at, double beam, double opening, double offset) {
        return new ClipReadings.Other(Optional.of(name), OptionalDouble.of(at), beam, opening, offset);
    }

    /** Along the path the worst opening counts, each that takes too much is named, and the beam's growth is told. */
    @Test
    void theWorstOfSeveralOpeningsCountsAndIsNamed() {
        ClipReadings wide = new ClipReadings(
                4,
                12,
                0.5,
                OptionalDouble.empty(),
                Optional.of("tube's window"),
                OptionalDouble.of(0),
                List.of(other("cover", 500, 4.6, 14, 0.2), other("head", 1500, 5.8, 9, 1.4)));
        Outcome<ClipFinding> outcome = new BeamClip().evaluate(wide);
        ClipFinding finding = outcome.finding();
        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(finding.worstPct())
                .isEqualTo(finding.others().get(1).lostPct())
                .isGreaterThan(1);
        assertThat(finding.divergenceMrad().orElseThrow()).isCloseTo(1.2, within(1e-9));
        assertThat(outcome.instructions())
                .singleElement()
                .satisfies(said -> assertThat(said.sentence(UnitChoice.METRIC)).contains("the opening \"head\""));
        double most = amount(outcome.instructions().get(0));
        ClipReadings then = new ClipReadings(
                4,
                12,
                0.5,
                OptionalDouble.empty(),
                Optional.of("tube's window"),
                OptionalDouble.of(0),
                List.of(other("cover", 500, 4.6, 14, 0.2), other("head", 1500, 5.8, 9, most)));
        assertThat(new BeamClip().evaluate(then).verdict()).isEqualTo(Verdict.PASS);
    }

    @Test
    void aHeadSetAsSaidIsUpright() {
        SplittableRandom random = new SplittableRandom(4);
        HeadVertical procedure = new HeadVertical();
        for (int i = 0; i < 1000; i++) {
            Spot upper = new Spot(random.nextDouble(), random.nextDouble());
            Spot lower = new Spot(4 * random.nextDouble(), 4 * random.nextDouble());
            double low = 20 + 100 * random.nextDouble();
            Outcome<VerticalFinding> first =
                    procedure.evaluate(new VerticalReadings(8, low, upper, lower, 6, 2.5, OptionalDouble.empty()));
            if (first.finding().leanMrad() <= 5) {
                continue;
            }
            double said = amount(first.instructions().get(0));
            Outcome<VerticalFinding> then = procedure.evaluate(new VerticalReadings(
                    8, low, upper, new Spot(upper.xMm() + said, upper.yMm()), 6, 2.5, OptionalDouble.empty()));
            assertThat(then.finding().leanMrad()).isLessThanOrEqualTo(5 + 1e-9);
        }
    }

    /** A beam that leans in a real gantry is said to the mirror that makes it lean. */
    @Test
    void growthAlongARunIsSaidToTheMirrorBeforeIt() {
        List<CornersReadings.Mark> marks = new ArrayList<>();
        List<CornersReadings.Mark> other = new ArrayList<>();
        for (double x : new double[] {30, 670}) {
            for (double y : new double[] {30, 470}) {
                marks.add(new CornersReadings.Mark(x, y, 0.002 * y, 0));
                other.add(new CornersReadings.Mark(x, y, 0, 0.002 * x));
            }
        }
        HeadCorners procedure = new HeadCorners();
        assertThat(procedure
                        .evaluate(new CornersReadings(marks, OptionalDouble.empty()))
                        .finding()
                        .act())
                .isEqualTo(CornersFinding.Act.Y_RUN_MIRROR);
        assertThat(procedure
                        .evaluate(new CornersReadings(other, OptionalDouble.empty()))
                        .finding()
                        .act())
                .isEqualTo(CornersFinding.Act.X_RUN_MIRROR);
    }

    /** Turning the bed by a quarter swaps the runs and nothing else; the order of the marks says nothing. */
    @Test
    void cornersDoNotDependOnHowTheyAreWritten() {
        SplittableRandom random = new SplittableRandom(5);
        HeadCorners procedure = new HeadCorners();
        for (int i = 0; i < 100; i++) {
            List<CornersReadings.Mark> marks = new ArrayList<>();
            List<CornersReadings.Mark> swapped = new ArrayList<>();
            for (int k = 0; k < 6; k++) {
                double x = 700 * random.nextDouble();
                double y = 500 * random.nextDouble();
                double a = random.nextDouble();
                double b = random.nextDouble();
                marks.add(new CornersReadings.Mark(x, y, a, b));
                swapped.add(0, new CornersReadings.Mark(y, x, a, b));
            }
            CornersFinding one = procedure
                    .evaluate(new CornersReadings(marks, OptionalDouble.empty()))
                    .finding();
            CornersFinding two = procedure
                    .evaluate(new CornersReadings(swapped, OptionalDouble.empty()))
                    .finding();
            assertThat(two.growthXMm()).isCloseTo(one.growthYMm(), org.assertj.core.api.Assertions.within(1e-9));
            assertThat(two.residualMm()).isCloseTo(one.residualMm(), org.assertj.core.api.Assertions.within(1e-9));
            assertThat(two.spreadMm()).isEqualTo(one.spreadMm());
        }
    }

    @Test
    void aCrescentIsSomethingInTheWayHoweverRoundItMeasures() {
        MarkShape procedure = new MarkShape();
        ShapeReadings crescent = new ShapeReadings(
                4,
                3.9,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.of(ShapeReadings.Outline.CRESCENT),
                Optional.empty());
        Outcome<ShapeFinding> outcome = procedure.evaluate(crescent);
        assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
        assertThat(outcome.instructions().get(0).sentence(UnitChoice.METRIC))
                .startsWith("Look for what cuts the beam off before this card.");
    }

    @Test
    void atItsLimitInDecimalsAMarkIsRound() {
        MarkShape procedure = new MarkShape();
        ShapeReadings limit = new ShapeReadings(
                2,
                1.7,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(0.15),
                Optional.empty(),
                Optional.empty());
        assertThat(procedure.evaluate(limit).verdict()).isEqualTo(Verdict.PASS);
    }
}
