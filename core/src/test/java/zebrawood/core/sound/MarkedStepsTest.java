package zebrawood.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.DoublePredicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.core.pretend.PretendFocus;
import zebrawood.core.pretend.PretendSound;
import zebrawood.core.reading.ReadingException;

class MarkedStepsTest {

    private static final PretendFocus FOCUS = new PretendFocus(7.2, 0.2, 2.5, 0);
    private static final List<Double> GAPS = List.of(4.0, 5.5, 7.0, 8.5, 10.0);
    private static final DoublePredicate ON = share -> true;

    private static PretendSound.Run run(int rate, int bits) {
        return new PretendSound(6, rate, bits).of(FOCUS, GAPS, 2, new SplittableRandom(5));
    }

    private static Spectrogram read(byte[] wav) {
        return Recording.read(new ByteArrayInputStream(wav), ON);
    }

    @ParameterizedTest
    @CsvSource({"8000, 16", "22050, 8", "44100, 24", "48000, 32", "96000, 16"})
    void stepsAreFoundByTheirPausesAndTheBestIsTheLoudest(int rate, int bits) {
        PretendSound.Run run = run(rate, bits);
        MarkedSteps marked = new MarkedSteps(read(run.wav()));
        List<MarkedSteps.Step> steps = marked.find(GAPS.size());
        assertThat(steps).hasSize(GAPS.size());
        assertThat(marked.isSure(steps)).isTrue();
        for (int i = 0; i < steps.size(); i++) {
            assertThat(steps.get(i).fromS()).isCloseTo(run.steps().get(i)[0], within(0.5));
            assertThat(steps.get(i).toS()).isCloseTo(run.steps().get(i)[1], within(0.5));
            if (i != 2) {
                assertThat(marked.levelDb(steps.get(i))).isLessThan(marked.levelDb(steps.get(2)));
            }
        }
    }

    @Test
    void moreStepsThanThereAreAreNotSure() {
        MarkedSteps marked = new MarkedSteps(read(run(16_000, 16).wav()));
        assertThat(marked.isSure(marked.find(8))).isFalse();
        assertThat(marked.find(40)).as("no room for so many").hasSizeLessThan(40);
    }

    @Test
    void whatIsTheSameAllTheTimeIsNoStep() {
        byte[] wav = new PretendSound(-60, 16_000, 16)
                .of(FOCUS, GAPS, 2, new SplittableRandom(5))
                .wav();
        MarkedSteps marked = new MarkedSteps(read(wav));
        assertThat(marked.isSure(marked.find(GAPS.size()))).isFalse();
    }

    @Test
    void aRecordingThatWasCutShortIsReadAsFarAsItGoes() {
        byte[] wav = run(16_000, 16).wav();
        double whole = read(wav).lengthS();
        assertThat(read(Arrays.copyOf(wav, wav.length * 2 / 3)).lengthS()).isCloseTo(whole * 2 / 3, within(0.2));
    }

    @Test
    void whatIsTooLoudIsTold() {
        byte[] wav = run(16_000, 16).wav();
        assertThat(read(wav).isTooLoud()).isFalse();
        for (int i = 100; i + 1 < wav.length; i += 40) {
            wav[i] = (byte) 0xFF;
            wav[i + 1] = 0x7F;
        }
        assertThat(read(wav).isTooLoud()).isTrue();
    }

    @Test
    void whatIsNoRecordingSaysWhatToDo() {
        byte[] text = "time,level\n0,1\n".repeat(50).getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> read(text))
                .isInstanceOf(ReadingException.class)
                .hasMessageContaining("save it as WAV (PCM)");
        assertThatThrownBy(() -> read(Arrays.copyOf(run(16_000, 16).wav(), 60)))
                .hasMessageContaining("hardly any sound");
        assertThatThrownBy(() ->
                        Recording.read(new ByteArrayInputStream(run(16_000, 16).wav()), share -> share < 0.3))
                .hasMessageContaining("stopped");
    }
}
