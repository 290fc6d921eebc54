package zebrawood.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import zebrawood.core.motion.Replay.Kind;
import zebrawood.core.pattern.Drawings;
import zebrawood.core.pattern.Pattern;
import zebrawood.core.pattern.Patterns;
import zebrawood.core.reading.ReadingException;

/** What is written is read back by a reader that never saw the pattern. */
class MotionTextTest {

    private final SplittableRandom random = new SplittableRandom(1_000);

    private double between(double least, double most) {
        return Math.rint((least + (most - least) * random.nextDouble()) * 100) / 100;
    }

    private Pattern any() {
        List<Double> gaps = new ArrayList<>();
        for (int i = 0; i < 3 + random.nextInt(5); i++) {
            gaps.add(between(0, 12));
        }
        return switch (random.nextInt(4)) {
            case 0 -> Patterns.ramp(between(50, 250));
            case 3 -> Patterns.strip(between(5, 15), between(0.1, 1));
            case 1 -> Patterns.ladder(gaps, between(3, 15), between(0.1, 1));
            default -> Patterns.nine(between(200, 700), between(150, 500), between(20, 60), between(5, 20));
        };
    }

    @Test
    void everyPatternReplaysWithoutAFaultAndBurnsWhatItsLinesAreLong() {
        for (int i = 0; i < 1_000; i++) {
            Pattern pattern = any();
            Setting setting = new Setting(
                    between(1, 1000),
                    1000,
                    between(100, 12_000),
                    between(0, 100),
                    between(0, 100),
                    pattern.widthMm() + 100,
                    pattern.heightMm() + 100);
            String text = MotionText.of(pattern, setting);
            assertThat(MotionText.of(pattern, setting)).as("byte for byte").isEqualTo(text);
            Replay replay = Replay.of(text, setting.bedXMm(), setting.bedYMm(), 1000);
            assertThat(replay.faults()).as(text).isEmpty();
            double long1 = pattern.lines().stream()
                    .mapToDouble(line -> Math.hypot(line.toXMm() - line.fromXMm(), line.toYMm() - line.fromYMm()))
                    .sum();
            assertThat(replay.burned())
                    .isCloseTo(long1, within(0.002 * pattern.lines().size()));
            assertThat(replay.moves().stream().filter(move -> move.powerS() > 0))
                    .hasSize(pattern.lines().size());
        }
    }

    @Test
    void theLaserIsOffBeforeThePersonSetsAGap() {
        Pattern ladder = Patterns.ladder(List.of(6.0, 6.5, 7.0), 8, 0.5);
        String text = MotionText.of(ladder, new Setting(120, 1000, 3000, 10, 10, 300, 200));
        assertThat(text.split("\nM5\nM0\n", -1)).hasSize(4);
        assertThat(text)
                .startsWith("(Ladder, 32 x 8 mm)\n")
                .contains("(Set the gap to 6.50 mm, from the same side each time, then go on)")
                .endsWith("M5\nM2\n");
        assertThatThrownBy(() -> MotionText.of(ladder, new Setting(120, 1000, 3000, 280, 10, 300, 200)))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("beyond the bed");
    }

    @Test
    void whatWouldGoWrongIsToldWithItsLineAndTheRunGoesOn() {
        String text = """
                G21 G90
                M3 S1200
                G0 X10 Y10
                G1 X400
                hello
                M0
                G4 P2
                G1 X20 Y20 F600
                """;
        Replay replay = Replay.of(text, 300, 200, 1000);
        assertThat(replay.faults())
                .containsExactly(
                        new Replay.Fault(2, Kind.TOO_STRONG),
                        new Replay.Fault(3, Kind.ON_WHILE_TRAVELLING),
                        new Replay.Fault(4, Kind.OUTSIDE),
                        new Replay.Fault(4, Kind.NO_SPEED),
                        new Replay.Fault(5, Kind.NOT_UNDERSTOOD),
                        new Replay.Fault(6, Kind.ON_AT_A_STOP),
                        new Replay.Fault(7, Kind.ON_AT_A_STOP),
                        new Replay.Fault(9, Kind.ON_AT_THE_END));
        assertThat(replay.moves()).hasSize(3);
    }

    @Test
    void inchesStepsAndRemarksAreReadAsAMachineReadsThem() {
        Replay replay = Replay.of("(to the right) g20 g91 g0x1 ; one inch\nG0 X1\nG90 G0 X0.5", 100, 100, 1000);
        assertThat(replay.faults()).isEmpty();
        assertThat(replay.moves()).extracting(Replay.Move::toX).containsExactly(25.4, 50.8, 12.7);
    }

    @Test
    void aGaugeHasTheGapAsItsMiddleStepAndItsLensInWords() {
        Pattern gauge = Patterns.gauge(6.74, 0.5, "middle 60 & <spare>");
        List<Pattern.Line> outline = gauge.lines();
        for (int i = 0; i < outline.size(); i++) {
            Pattern.Line next = outline.get((i + 1) % outline.size());
            assertThat(outline.get(i).toXMm()).as("it closes").isCloseTo(next.fromXMm(), within(1e-9));
            assertThat(outline.get(i).toYMm()).isCloseTo(next.fromYMm(), within(1e-9));
        }
        assertThat(outline)
                .filteredOn(line -> line.fromYMm() == line.toYMm() && line.fromYMm() > 0)
                .extracting(Pattern.Line::toYMm)
                .containsExactly(6.24, 6.74, 7.24);
        assertThat(Drawings.svg(gauge)).contains(">6.74 mm</text>").contains("middle 60 &amp; &lt;spare&gt;");
        assertThat(Drawings.dxf(gauge)).contains("\r\nTEXT\r\n").contains("middle 60 & <spare>");
        assertThatThrownBy(() -> Patterns.gauge(1, 0.5, "")).hasMessageContaining("too high");
    }
}
