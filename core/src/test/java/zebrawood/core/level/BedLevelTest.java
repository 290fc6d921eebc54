package zebrawood.core.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.level.BedFinding.Shape;
import zebrawood.core.level.BedReadings.Point;
import zebrawood.core.level.BedReadings.Raises;
import zebrawood.core.pretend.PretendBed;
import zebrawood.core.procedure.Instruction;
import zebrawood.core.procedure.Outcome;
import zebrawood.core.procedure.Verdict;
import zebrawood.core.reading.ReadingException;
import zebrawood.core.units.UnitChoice;

/** What a bed's gaps say, beyond the worked cases: what the gauge can tell at all, and that the screws then do it. */
class BedLevelTest {

    private static final String[] CORNERS = {"A", "B", "C", "D"};

    private final SplittableRandom random = new SplittableRandom(17);

    private BedReadings read(PretendBed bed, double noise, OptionalDouble stated, boolean twice, Optional<Raises> way) {
        List<Point> points = new ArrayList<>();
        double[][] places = {{0.1, 0.1}, {0.9, 0.1}, {0.9, 0.9}, {0.1, 0.9}, {0.5, 0.5}};
        for (double[] place : places) {
            double x = place[0] * bed.widthMm();
            double y = place[1] * bed.depthMm();
            double gap = bed.gapMm(x, y);
            points.add(new Point(
                    "at " + points.size(),
                    x,
                    y,
                    OptionalDouble.of(gap + noise * random.nextGaussian()),
                    twice ? OptionalDouble.of(gap + noise * random.nextGaussian()) : OptionalDouble.empty(),
                    OptionalDouble.empty()));
        }
        List<BedReadings.Screw> screws = new ArrayList<>();
        for (int i = 0; i < CORNERS.length; i++) {
            screws.add(new BedReadings.Screw(CORNERS[i], bed.cornerXMm(i), bed.cornerYMm(i), 1.25));
        }
        return new BedReadings(
                points, screws, Optional.of("B"), OptionalDouble.empty(), stated, OptionalDouble.empty(), way);
    }

    private static Outcome<BedFinding> of(BedReadings readings) {
        return new BedLevel().evaluate(readings);
    }

    @Test
    void turnedAsSaidTheBedIsLevelAndTheFixedScrewIsLeftAlone() {
        for (Raises way : Raises.values()) {
            PretendBed bed = PretendBed.tilted(2, random);
            Outcome<BedFinding> outcome = of(read(bed, 0, OptionalDouble.empty(), false, Optional.of(way)));
            assertThat(outcome.verdict()).isEqualTo(Verdict.ADJUST);
            for (Instruction instruction : outcome.instructions()) {
                assertThat(instruction.target()).isNotEqualTo("B");
                boolean clockwise = instruction.action().words().contains(" clockwise,");
                double turns = instruction.action().amounts().get(0).asSaid();
                bed = bed.lifted(
                        List.of(CORNERS).indexOf(instruction.target()),
                        turns * 1.25 * (clockwise == (way == Raises.CLOCKWISE) ? 1 : -1));
            }
            assertThat(bed.rangeMm(20)).isLessThan(0.05);
            assertThat(of(read(bed, 0, OptionalDouble.empty(), false, Optional.of(way)))
                            .verdict())
                    .isEqualTo(Verdict.PASS);
        }
    }

    @Test
    void whatTheGaugeCannotTellIsReadTwiceAndThenWithAFinerOne() {
        PretendBed level = new PretendBed(600, 400, List.of(0.0, 0.0, 0.0, 0.0), 0, 0, 9);
        Outcome<BedFinding> once = of(read(level, 0.15, OptionalDouble.of(0.15), false, Optional.empty()));
        assertThat(once.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(once.instructions().get(0).sentence(UnitChoice.METRIC))
                .startsWith("Read every gap a second time")
                .contains("Turn no screw yet.");
        Outcome<BedFinding> twice = of(read(level, 0.3, OptionalDouble.of(0.3), true, Optional.empty()));
        assertThat(twice.verdict()).isEqualTo(Verdict.UNCLEAR);
        assertThat(twice.instructions().get(0).sentence(UnitChoice.METRIC))
                .startsWith("Read all gaps again with a finer");
        assertThat(of(read(level, 0.02, OptionalDouble.of(0.02), false, Optional.empty()))
                        .verdict())
                .isEqualTo(Verdict.PASS);
    }

    @Test
    void gapsReadTwiceTellTheGaugesErrorThemselves() {
        PretendBed level = new PretendBed(600, 400, List.of(0.0, 0.0, 0.0, 0.0), 0, 0, 9);
        double sum = 0;
        int many = 400;
        for (int i = 0; i < many; i++) {
            double error = of(read(level, 0.1, OptionalDouble.empty(), true, Optional.empty()))
                    .finding()
                    .readingErrorMm()
                    .orElseThrow();
            sum += error * error;
        }
        assertThat(Math.sqrt(sum / many)).as("of the mean of two").isCloseTo(0.1 / Math.sqrt(2), within(0.004));
    }

    @Test
    void aTwistAHollowAndAnArchAreToldApartAndNoScrewIsTurned() {
        PretendBed flat = PretendBed.tilted(1, random);
        assertThat(shape(flat.formed(1.5, 0))).isEqualTo(Shape.TWISTED);
        assertThat(shape(flat.formed(-1.5, 0))).isEqualTo(Shape.TWISTED);
        assertThat(shape(flat.formed(0, 1.5))).isEqualTo(Shape.HOLLOW);
        assertThat(shape(flat.formed(0, -1.5))).isEqualTo(Shape.ARCHED);
    }

    private Shape shape(PretendBed bed) {
        Outcome<BedFinding> outcome = of(read(bed, 0.02, OptionalDouble.empty(), false, Optional.empty()));
        assertThat(outcome.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(outcome.instructions().get(0).action().words()).startsWith("Leave the screws alone");
        return outcome.finding().shape();
    }

    @Test
    void aFeelerOnABlockIsAGapAndEitherIsGivenNotBoth() {
        Point felt = new Point("a", 0, 0, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.of(0.15));
        assertThat(felt.meanMm(OptionalDouble.of(7))).isCloseTo(7.15, within(1e-12));
        assertThatThrownBy(() ->
                        new Point("a", 0, 0, OptionalDouble.of(7), OptionalDouble.empty(), OptionalDouble.of(0.15)))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("feelerMm");
    }
}
