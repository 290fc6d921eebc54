package zebrawood.core.focus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.focus.RampReadings.Mark;
import zebrawood.core.focus.RampReadings.PositionsAlong;

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
}
