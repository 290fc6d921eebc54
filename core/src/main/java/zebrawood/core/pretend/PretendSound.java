package zebrawood.core.pretend;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/**
 * The sound of squares being marked, as a recording. Where the beam is narrowest a mark is loudest; its power falls as
 * the line grows wider. Behind it a fan hums and hisses.
 *
 * @param overNoiseDb how much louder the loudest mark is than the hiss, in the band where marks sound
 * @param rate samples a second
 * @param bits of a sample: 8, 16, 24 or 32
 */
public record PretendSound(double overNoiseDb, int rate, int bits) {

    private static final double CENTRE_HZ = 4200;
    private static final double QUALITY = 1.6;
    private static final double LOUD = 0.05;

    /** A recording, and when its steps were marked. */
    public record Run(byte[] wav, List<double[]> steps) {}

    /** A step at each gap, of about so many seconds, with pauses that somebody takes to change the height. */
    public Run of(PretendFocus focus, List<Double> gapsMm, double stepS, SplittableRandom random) {
        List<double[]> steps = new ArrayList<>();
        double at = 0.5 + 2 * random.nextDouble();
        for (int i = 0; i < gapsMm.size(); i++) {
            double lasts = stepS * (0.8 + 0.4 * random.nextDouble());
            steps.add(new double[] {at, at + lasts});
            at += lasts + 0.6 + 2.5 * random.nextDouble();
        }
        byte[] wav = wav(
                (int) ((at + random.nextDouble()) * rate),
                atS -> {
                    for (int i = 0; i < steps.size(); i++) {
                        if (atS >= steps.get(i)[0] && atS <= steps.get(i)[1]) {
                            return focus.waistMm() / focus.widthMm(gapsMm.get(i));
                        }
                    }
                    return 0;
                },
                random);
        return new Run(wav, steps);
    }

    /**
     * One sweep, marking all the time.
     *
     * @param startGapMm where it begins
     * @param speedMmS how fast the gap grows; below 0 it shrinks
     */
    public byte[] sweep(
            PretendFocus focus, double startGapMm, double speedMmS, double seconds, SplittableRandom random) {
        return wav((int) (seconds * rate), atS -> focus.waistMm() / focus.widthMm(startGapMm + speedMmS * atS), random);
    }

    /** By how much marks have to be louder than they are made, to be so much over the hiss. */
    private double scale(SplittableRandom random) {
        Band marks = new Band(rate);
        Band heard = new Band(rate);
        double marked = 0;
        double hissed = 0;
        for (int i = 0; i < 2 * rate; i++) {
            double mark = marks.next(random.nextDouble() - 0.5);
            double hiss = heard.next(random.nextDouble() - 0.5);
            marked += mark * mark;
            hissed += hiss * hiss;
        }
        return Math.sqrt(hissed / marked * Math.pow(10, overNoiseDb / 10));
    }

    /** Lets a band of pitch through. */
    private static final class Band {
        private final double a;
        private final double b1;
        private final double b2;
        private double x1;
        private double x2;
        private double y1;
        private double y2;

        private Band(double rate) {
            double w = 2 * Math.PI * Math.min(CENTRE_HZ, rate * 0.35) / rate;
            double alpha = Math.sin(w) / (2 * QUALITY);
            a = alpha / (1 + alpha);
            b1 = -2 * Math.cos(w) / (1 + alpha);
            b2 = (1 - alpha) / (1 + alpha);
        }

        private double next(double x) {
            double y = a * (x - x2) - b1 * y1 - b2 * y2;
            x2 = x1;
            x1 = x;
            y2 = y1;
            y1 = y;
            return y;
        }
    }

    private byte[] wav(int length, DoubleUnaryOperator loud, SplittableRandom random) {
        int size = bits / 8;
        byte[] bytes = new byte[length * size];
        double scale = scale(random);
        double fanHz = 90 + 30 * random.nextDouble();
        Band marks = new Band(rate);
        for (int i = 0; i < length; i++) {
            double atS = i / (double) rate;
            double hum = 2 * Math.sin(2 * Math.PI * fanHz * atS) + Math.sin(6 * Math.PI * fanHz * atS);
            double mark = marks.next(random.nextDouble() - 0.5);
            double sample = LOUD * (random.nextDouble() - 0.5 + hum + scale * loud.applyAsDouble(atS) * mark);
            long number = Math.round(Math.max(-1, Math.min(1, sample)) * ((1L << bits - 1) - 1));
            if (bits == 8) {
                number += 128;
            }
            for (int part = 0; part < size; part++) {
                bytes[i * size + part] = (byte) (number >> 8 * part);
            }
        }
        AudioFormat format = new AudioFormat(rate, bits, 1, bits != 8, false);
        try (AudioInputStream sound = new AudioInputStream(new ByteArrayInputStream(bytes), format, length)) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            AudioSystem.write(sound, AudioFileFormat.Type.WAVE, out);
            return out.toByteArray();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }
}
