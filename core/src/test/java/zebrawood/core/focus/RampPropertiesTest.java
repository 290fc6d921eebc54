package zebrawood.core.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.RampReadings.GapSetting;
import zebrawood.core.focus.RampReadings.LineAlong;
import zebrawood.core.focus.RampReadings.Mark;
import zebrawood.core.focus.RampReadings.OtherLine;
import zebrawood.core.focus.RampReadings.PositionsAlong;
import zebrawood.core.pretend.PretendFocus;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.units.Said;

/** What must hold for any ramp: seeded, with reading errors. */
class RampPropertiesTest {

    private static final double ERROR_MM = 0.01;

    private final SplittableRandom random = new SplittableRandom(11_146);

    private record Beam(double best, double waist, double rayleigh) {
        double width(double gap) {
            return waist * Math.hypot(1, (gap - best) / rayleigh);
        }
    }

    private Beam beam() {
        return new Beam(6 + 2 * random.nextDouble(), 0.15 + 0.1 * random.nextDouble(), 2 + random.nextDouble());
    }

    private RampReadings ramp(Beam beam, double scale) {
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double at = 22.5 * i;
            marks.add(new Mark(
                    at * scale, scale * (beam.width(11.5 - at * 10 / 180) + ERROR_MM * random.nextGaussian())));
        }
        return readings(marks, 11.5 * scale, 180 * scale, 10 * scale, ERROR_MM * scale, Optional.empty());
    }

    private static RampReadings readings(
            List<Mark> marks, double start, double run, double rise, double error, Optional<PositionsAlong> along) {
        return new RampReadings(
                10_600,
                start,
                run,
                rise,
                along,
                Optional.of(marks),
                OptionalDouble.of(error),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty());
    }

    private static RampFinding evaluate(RampReadings readings) {
        return new FocusRamp().evaluate(readings).finding();
    }

    @Test
    void inOtherUnitsItIsTheSameRamp() {
        for (int i = 0; i < 200; i++) {
            RampReadings mm = ramp(beam(), 1);
            List<Mark> inches = mm.marks().orElseThrow().stream()
                    .map(mark -> new Mark(mark.positionMm() / 25.4, mark.widthMm() / 25.4))
                    .toList();
            RampFinding one = evaluate(mm);
            RampFinding other = evaluate(readings(
                    inches,
                    mm.gapAtStartMm() / 25.4,
                    mm.runMm() / 25.4,
                    mm.riseMm() / 25.4,
                    ERROR_MM / 25.4,
                    Optional.empty()));

            assertThat(other.bestGapMm().getAsDouble() * 25.4)
                    .isCloseTo(one.bestGapMm().getAsDouble(), within(1e-7));
            assertThat(other.bestGapStdErrMm().getAsDouble() * 25.4)
                    .isCloseTo(one.bestGapStdErrMm().getAsDouble(), within(1e-7));
            assertThat(other.depthOfFocusMm().getAsDouble() * 25.4)
                    .isCloseTo(one.depthOfFocusMm().getAsDouble(), within(1e-7));
        }
    }

    @Test
    void measuredFromTheOtherEndItIsTheSameRamp() {
        for (int i = 0; i < 200; i++) {
            RampReadings up = ramp(beam(), 1);
            List<Mark> turned = up.marks().orElseThrow().stream()
                    .map(mark -> new Mark(180 - mark.positionMm(), mark.widthMm()))
                    .toList();
            RampFinding down = evaluate(
                    readings(turned, up.gapAtStartMm() - up.riseMm(), 180, -up.riseMm(), ERROR_MM, Optional.empty()));

            assertThat(down.bestGapMm().getAsDouble())
                    .isCloseTo(evaluate(up).bestGapMm().getAsDouble(), within(1e-8));
        }
    }

    @Test
    void aRuleOnThePlateIsTakenToTheHorizontal() {
        RampReadings level = ramp(beam(), 1);
        double slope = Math.hypot(180, 10) / 180;
        List<Mark> onPlate = level.marks().orElseThrow().stream()
                .map(mark -> new Mark(mark.positionMm() * slope, mark.widthMm()))
                .toList();
        RampFinding plate =
                evaluate(readings(onPlate, level.gapAtStartMm(), 180, 10, ERROR_MM, Optional.of(PositionsAlong.PLATE)));

        assertThat(plate.bestGapMm().getAsDouble())
                .isCloseTo(evaluate(level).bestGapMm().getAsDouble(), within(1e-9));
    }

    @Test
    void coefficientsAreOfTheGapItself() {
        RampFinding finding = evaluate(ramp(beam(), 1));
        RampFinding.Fit fit = finding.fit().orElseThrow();

        assertThat(-fit.b() / (2 * fit.c())).isCloseTo(finding.bestGapMm().getAsDouble(), within(1e-9));
        assertThat(Math.sqrt(fit.a() - fit.b() * fit.b() / (4 * fit.c())))
                .isCloseTo(finding.waistMm().getAsDouble(), within(1e-9));
        for (RampFinding.CurvePoint point : finding.curve()) {
            assertThat(point.widthMm() * point.widthMm())
                    .isCloseTo(
                            fit.a() + fit.b() * point.gapMm() + fit.c() * point.gapMm() * point.gapMm(), within(1e-9));
        }
    }

    /** A short form of the benchmark: the stated interval is honest. */
    @Test
    void theStatedIntervalHoldsTheTrueGapAboutNinetyFiveTimesInAHundred() {
        int held = 0;
        for (int i = 0; i < 600; i++) {
            Beam beam = beam();
            RampFinding finding = evaluate(ramp(beam, 1));
            held += Math.abs(finding.bestGapMm().getAsDouble() - beam.best())
                            <= finding.bestGapHalfWidthMm().getAsDouble()
                    ? 1
                    : 0;
        }
        assertThat(held / 6.0).isBetween(92.5, 98.0);
    }

    /**
     * The closed loop: the gap is set as the instruction says, the line is burned again there, and it is as thin as it
     * gets.
     */
    @Test
    void aGapSetAsSaidLeavesTheMachineInFocus() {
        for (int i = 0; i < 300; i++) {
            Beam beam = beam();
            RampFinding finding = evaluate(ramp(beam, 1));
            double set = Math.rint(finding.bestGapMm().getAsDouble() * 10) / 10;

            assertThat(beam.width(set))
                    .as("within the ten percent that count as in focus")
                    .isLessThan(beam.waist() * 1.1);
            assertThat(set)
                    .isBetween(
                            finding.focusFromMm().getAsDouble(),
                            finding.focusToMm().getAsDouble());
        }
    }

    /** A line as read over a ramp from 12 to 3 mm of gap. */
    private static List<Mark> line(PretendFocus focus, double errorMm, SplittableRandom random) {
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < 13; i++) {
            double at = 15.0 * i;
            marks.add(new Mark(at, focus.readMm(12 - at / 20, errorMm, random)));
        }
        return marks;
    }

    private static RampReadings along(
            LineAlong axis, List<Mark> marks, Optional<OtherLine> other, Optional<GapSetting> setting) {
        return new RampReadings(
                450,
                12,
                180,
                9,
                Optional.empty(),
                Optional.of(marks),
                OptionalDouble.of(0.005),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                setting,
                Optional.of(axis),
                other,
                Optional.empty());
    }

    @Test
    void betweenTwoLinesTheWiderOneIsThinnestAtTheGapThatIsSaid() {
        SplittableRandom seeded = new SplittableRandom(81);
        int seen = 0;
        for (int i = 0; i < 500; i++) {
            PretendFocus one = PretendFocus.any(seeded);
            PretendFocus other = new PretendFocus(
                    one.bestGapMm() + 2 * (seeded.nextDouble() - 0.5), 0.12 + 0.2 * seeded.nextDouble(), 2.5, 0);
            RampFinding first =
                    evaluate(along(LineAlong.X, line(one, 1e-9, seeded), Optional.empty(), Optional.empty()));
            RampFinding.Fit fit = first.fit().orElseThrow();
            OtherLine given = new OtherLine(
                    first.bestGapMm().getAsDouble(), first.bestGapStdErrMm().getAsDouble(), fit.a(), fit.b(), fit.c());
            RampFinding both =
                    evaluate(along(LineAlong.Y, line(other, 1e-9, seeded), Optional.of(given), Optional.empty()));
            OblongSpot spot = both.oblong().orElseThrow();
            double low = Math.min(one.bestGapMm(), other.bestGapMm());
            double high = Math.max(one.bestGapMm(), other.bestGapMm());
            double least = Double.POSITIVE_INFINITY;
            for (int step = 0; step <= 1000; step++) {
                double gap = low + (high - low) * step / 1000;
                least = Math.min(least, Math.max(one.widthMm(gap), other.widthMm(gap)));
            }
            assertThat(spot.roundGapMm()).isBetween(low - 1e-3, high + 1e-3);
            assertThat(Math.max(one.widthMm(spot.roundGapMm()), other.widthMm(spot.roundGapMm())))
                    .isCloseTo(least, within(2e-4));
            seen += spot.seen() ? 1 : 0;
        }
        assertThat(seen).isGreaterThan(400);
    }

    @Test
    void aLensInItsRingIsTurnedOnceAndThenItIsSharpAtTheGapOfTheMachine() {
        SplittableRandom seeded = new SplittableRandom(82);
        Optional<GapSetting> ring = Optional.of(new GapSetting(
                Optional.of("housing"),
                Optional.of("lens ring"),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(8),
                OptionalDouble.empty()));
        for (int i = 0; i < 300; i++) {
            PretendFocus found = new PretendFocus(6 + 3 * seeded.nextDouble(), 0.15, 2.2, 0);
            Outcome<RampFinding> told =
                    new FocusRamp().evaluate(along(LineAlong.X, line(found, 0.003, seeded), Optional.empty(), ring));
            if (told.verdict() == Verdict.PASS) {
                assertThat(found.bestGapMm()).isCloseTo(8, within(found.depthMm() / 2));
                continue;
            }
            assertThat(told.verdict()).isEqualTo(Verdict.ADJUST);
            Said action = told.instructions().get(0).action();
            double by = action.amounts().get(0).asSaid() * (action.words().contains("nearer") ? 1 : -1);
            // a lens that comes nearer to the work takes its focus along
            PretendFocus turned = new PretendFocus(found.bestGapMm() + by, 0.15, 2.2, 0);
            assertThat(new FocusRamp()
                            .evaluate(along(LineAlong.X, line(turned, 0.003, seeded), Optional.empty(), ring))
                            .verdict())
                    .isEqualTo(Verdict.PASS);
        }
    }

    /** A ring without a known gap of the machine is no bed to be moved. */
    @Test
    void aRingWhoseGapNobodyKnowsIsAskedForIt() {
        Outcome<RampFinding> told = new FocusRamp()
                .evaluate(along(
                        LineAlong.X,
                        line(new PretendFocus(7, 0.15, 2.2, 0), 0.003, new SplittableRandom(83)),
                        Optional.empty(),
                        Optional.of(new GapSetting(
                                Optional.empty(),
                                Optional.of("Lens ring"),
                                Optional.empty(),
                                OptionalDouble.empty()))));
        assertThat(told.instructions().get(0).action().words()).startsWith("Type the maker's gap on the plate");
    }
}
