package zebrawood.benchmarks;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import zebrawood.core.pretend.PretendFocus;
import zebrawood.core.pretend.PretendSound;
import zebrawood.core.sound.MarkedSteps;
import zebrawood.core.sound.Recording;
import zebrawood.core.sound.Spectrogram;

/** Recordings of ladders of beams that are known: which step was the loudest; and a long one against the clock. */
final class SoundSteps {

    private static final int RECORDINGS = 200;
    private static final double OVER_NOISE_DB = 6;
    private static final int[] RATES = {16_000, 22_050, 44_100, 48_000};
    private static final int[] BITS = {8, 16, 24};
    private static final long SEED = 20_310_315;

    private SoundSteps() {}

    static boolean run() {
        SplittableRandom random = new SplittableRandom(SEED);
        int near = 0;
        int right = 0;
        int found = 0;
        int sure = 0;
        for (int i = 0; i < RECORDINGS; i++) {
            PretendFocus focus = PretendFocus.any(random);
            int count = 5 + 2 * random.nextInt(3);
            List<Double> gaps = new ArrayList<>();
            int nearest = 0;
            for (int j = 0; j < count; j++) {
                gaps.add(focus.bestGapMm()
                        + (j - (count - 1) / 2.0 + random.nextDouble() - 0.5) * focus.rayleighMm() / 2);
                nearest = focus.widthMm(gaps.get(j)) < focus.widthMm(gaps.get(nearest)) ? j : nearest;
            }
            PretendSound.Run run = new PretendSound(
                            OVER_NOISE_DB, RATES[random.nextInt(RATES.length)], BITS[random.nextInt(BITS.length)])
                    .of(focus, gaps, 1 + 3 * random.nextDouble(), random);
            MarkedSteps marked = new MarkedSteps(Recording.read(new ByteArrayInputStream(run.wav()), share -> true));
            List<MarkedSteps.Step> steps = marked.find(count);
            int best = 0;
            boolean all = steps.size() == count;
            for (int j = 0; j < steps.size(); j++) {
                best = marked.levelDb(steps.get(j)) > marked.levelDb(steps.get(best)) ? j : best;
                all &= steps.get(j).fromS() < run.steps().get(j)[1]
                        && steps.get(j).toS() > run.steps().get(j)[0];
            }
            right += best == nearest ? 1 : 0;
            near += Math.abs(best - nearest) <= 1 ? 1 : 0;
            found += all ? 1 : 0;
            sure += marked.isSure(steps) ? 1 : 0;
        }
        System.out.printf(
                Locale.ROOT,
                "%d recordings of ladders at %.0f dB over the noise: all steps found in %.1f %%, called sure in %.1f %%,"
                        + " best step right in %.1f %%, right or next to it in %.1f %% (kept: 95)%n",
                RECORDINGS,
                OVER_NOISE_DB,
                100.0 * found / RECORDINGS,
                100.0 * sure / RECORDINGS,
                100.0 * right / RECORDINGS,
                100.0 * near / RECORDINGS);
        return near >= 0.95 * RECORDINGS & longOne();
    }

    private static boolean longOne() {
        SplittableRandom random = new SplittableRandom(SEED);
        PretendFocus focus = PretendFocus.any(random);
        List<Double> gaps = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            gaps.add(focus.bestGapMm() + i - 5.0);
        }
        byte[] wav = new PretendSound(OVER_NOISE_DB, 48_000, 16)
                .of(focus, gaps, 58, random)
                .wav();
        long best = Long.MAX_VALUE;
        double length = 0;
        for (int i = 0; i < 3; i++) {
            long began = System.nanoTime();
            Spectrogram sound = Recording.read(new ByteArrayInputStream(wav), share -> true);
            List<MarkedSteps.Step> steps = new MarkedSteps(sound).find(10);
            length = sound.lengthS();
            best = steps.isEmpty() ? best : Math.min(best, System.nanoTime() - began);
            System.out.printf(
                    Locale.ROOT,
                    "%.0f s of sound at 48 kHz read in %.2f s%n",
                    length,
                    (System.nanoTime() - began) / 1e9);
        }
        return best < 2e9;
    }
}
