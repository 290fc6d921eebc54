package zebrawood.core.sound;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoublePredicate;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioFormat.Encoding;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;
import zebrawood.core.reading.ReadingException;

/** Reads a recording: WAV with samples of 8 to 32 bits, whole or with a point, of one channel or several. */
public final class Recording {

    /** what is lower hums, Hz */
    private static final double LOWEST_HZ = 300;
    /** what is higher few microphones hear, Hz */
    private static final double HIGHEST_HZ = 20_000;
    /** bands lie a quarter of an octave apart */
    private static final double BAND = Math.pow(2, 0.25);
    /** about how long one column is, s */
    private static final double COLUMN_S = 0.021;

    private static final double LONGEST_S = 3600;
    private static final int MOST_CHANNELS = 16;

    private Recording() {}

    /**
     * Reads one to its end.
     *
     * @param goOn is told the share that is read, 0 to 1; where it says no, reading ends
     * @throws ReadingException where it is none that can be read, with what to do
     */
    public static Spectrogram read(InputStream file, DoublePredicate goOn) {
        try (AudioInputStream sound =
                samples(AudioSystem.getAudioInputStream(new BufferedInputStream(file, 1 << 16)))) {
            AudioFormat format = sound.getFormat();
            double rate = format.getSampleRate();
            if (!(rate >= 4000 && rate <= 400_000) || format.getChannels() > MOST_CHANNELS) {
                throw unread("it has a rate or a number of channels that no microphone has: record it anew");
            }
            return new Run(sound, format, rate).read(goOn);
        } catch (ReadingException refused) {
            throw refused;
        } catch (UnsupportedAudioFileException other) {
            throw unread("it is no WAV recording: save it as WAV (PCM) and take that");
        } catch (IOException | IllegalArgumentException broken) {
            throw unread("it cannot be read: save it anew as WAV (PCM)");
        }
    }

    private static ReadingException unread(String why) {
        return new ReadingException("recording", why);
    }

    /** As plain samples, whatever they were packed as. */
    private static AudioInputStream samples(AudioInputStream sound) {
        Encoding packed = sound.getFormat().getEncoding();
        boolean plain = packed.equals(Encoding.PCM_SIGNED)
                || packed.equals(Encoding.PCM_UNSIGNED)
                || packed.equals(Encoding.PCM_FLOAT);
        return plain ? sound : AudioSystem.getAudioInputStream(Encoding.PCM_SIGNED, sound);
    }

    /** One reading. */
    private static final class Run {
        private final AudioInputStream sound;
        private final AudioFormat format;
        private final double rate;
        private final int size;
        private final int channels;
        private final int sampleBytes;
        private final double[] window;
        private final double[] edges;
        private final int[] firstBin;
        private final double[][] pair;
        private final List<float[]> columns = new ArrayList<>();
        private final byte[] bytes;
        private long clipped;

        private Run(AudioInputStream sound, AudioFormat format, double rate) {
            this.sound = sound;
            this.format = format;
            this.rate = rate;
            size = Integer.highestOneBit((int) Math.round(rate * COLUMN_S * 1.4));
            channels = format.getChannels();
            sampleBytes = (format.getSampleSizeInBits() + 7) / 8;
            bytes = new byte[size * channels * sampleBytes];
            pair = new double[2][size];
            window = new double[size];
            for (int i = 0; i < size; i++) {
                window[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * (i + 0.5) / size);
            }
            List<Double> limits = new ArrayList<>();
            List<Integer> bins = new ArrayList<>();
            double perBin = rate / size;
            for (double hz = LOWEST_HZ; hz < Math.min(HIGHEST_HZ, rate / 2 - perBin) * BAND; hz *= BAND) {
                int bin = (int) Math.min(size / 2 - 1, Math.ceil(hz / perBin));
                if (bins.isEmpty() || bin > bins.get(bins.size() - 1)) {
                    bins.add(bin);
                    limits.add(Math.min(hz, rate / 2));
                }
            }
            edges = limits.stream().mapToDouble(Double::doubleValue).toArray();
            firstBin = bins.stream().mapToInt(Integer::intValue).toArray();
        }

        private Spectrogram read(DoublePredicate goOn) throws IOException {
            long most = Math.round(LONGEST_S * rate / size);
            double expected = Math.max(1, sound.getFrameLength() / (double) size);
            // two columns at once, as the two parts of one number
            for (boolean more = true; more; ) {
                more = fill(pair[0]);
                boolean second = more && fill(pair[1]);
                if (!second) {
                    Arrays.fill(pair[1], 0);
                }
                if (more) {
                    transform(second);
                }
                more = second;
                if (columns.size() > most) {
                    throw unread("it is longer than an hour: cut out the part with the marks");
                } else if (!goOn.test(Math.min(1, columns.size() / expected))) {
                    throw unread("reading it was stopped");
                }
            }
            if (columns.size() < 4) {
                throw unread("there is hardly any sound in it: record the whole run");
            }
            return new Spectrogram(
                    size / rate,
                    edges,
                    columns.toArray(float[][]::new),
                    clipped / ((double) columns.size() * size * channels));
        }

        /** Whether there was enough for one more column. */
        private boolean fill(double[] into) throws IOException {
            try {
                if (sound.readNBytes(bytes, 0, bytes.length) < bytes.length) {
                    return false;
                }
            } catch (EOFException cutShort) {
                return false;
            }
            ByteBuffer samples =
                    ByteBuffer.wrap(bytes).order(format.isBigEndian() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
            boolean whole = !format.getEncoding().equals(Encoding.PCM_FLOAT);
            boolean signed = !format.getEncoding().equals(Encoding.PCM_UNSIGNED);
            for (int i = 0; i < size; i++) {
                double sum = 0;
                for (int channel = 0; channel < channels; channel++) {
                    double sample = whole ? number(samples, signed) : point(samples);
                    clipped += Math.abs(sample) >= 0.9999 ? 1 : 0;
                    sum += sample;
                }
                into[i] = sum / channels * window[i];
            }
            return true;
        }

        private double point(ByteBuffer samples) {
            double sample = sampleBytes == Double.BYTES ? samples.getDouble() : samples.getFloat();
            return Double.isFinite(sample) ? Math.max(-4, Math.min(4, sample)) : 0;
        }

        private double number(ByteBuffer samples, boolean signed) {
            int number = switch (sampleBytes) {
                case 1 -> signed ? samples.get() << 24 : ((samples.get() & 0xFF) - 128) << 24;
                case 2 -> samples.getShort() << 16;
                case 3 -> three(samples);
                case 4 -> samples.getInt();
                default -> throw unread("its samples have more than 32 bits: save it as WAV with 16 or 24");
            };
            return number / (double) Integer.MAX_VALUE;
        }

        private int three(ByteBuffer samples) {
            int a = samples.get() & 0xFF;
            int b = samples.get() & 0xFF;
            int c = samples.get() & 0xFF;
            return format.isBigEndian() ? a << 24 | b << 16 | c << 8 : c << 24 | b << 16 | a << 8;
        }

        private void transform(boolean second) {
            FastFourierTransformer.transformInPlace(pair, DftNormalization.STANDARD, TransformType.FORWARD);
            float[] one = new float[edges.length - 1];
            float[] other = new float[edges.length - 1];
            for (int band = 0; band < one.length; band++) {
                double sumOne = 0;
                double sumOther = 0;
                for (int bin = firstBin[band]; bin < firstBin[band + 1]; bin++) {
                    double re = pair[0][bin];
                    double im = pair[1][bin];
                    double mirrorRe = pair[0][size - bin];
                    double mirrorIm = pair[1][size - bin];
                    sumOne += square(re + mirrorRe) + square(im - mirrorIm);
                    sumOther += square(im + mirrorIm) + square(mirrorRe - re);
                }
                one[band] = (float) (sumOne / 4);
                other[band] = (float) (sumOther / 4);
            }
            columns.add(one);
            if (second) {
                columns.add(other);
            }
        }

        private static double square(double x) {
            return x * x;
        }
    }
}
