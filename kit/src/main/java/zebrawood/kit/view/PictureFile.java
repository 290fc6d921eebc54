package zebrawood.kit.view;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.File;
import java.io.IOException;
import java.util.Iterator;
import java.util.function.DoublePredicate;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadProgressListener;
import javax.imageio.stream.ImageInputStream;
import zebrawood.core.picture.Grey;
import zebrawood.core.reading.ReadingException;

/**
 * A picture that is measured in, every pixel of it, and a smaller one to look at. While it is read it needs four bytes
 * a pixel; afterwards one.
 *
 * @param grey every pixel
 * @param shown the smaller one
 * @param perPixel how many px of the file are one of the smaller picture
 */
public record PictureFile(Grey grey, Image shown, double perPixel) {

    /** what a large camera takes, with some to spare */
    private static final long MOST_PIXELS = 60_000_000;

    private static final int SIDE = 1400;

    /**
     * Reads a picture.
     *
     * @param goOn is told the share that is read, and says whether to go on
     * @throws ReadingException where it cannot be, with what to do
     */
    public static PictureFile read(File file, DoublePredicate goOn) {
        ImageIO.setUseCache(false);
        try (ImageInputStream in = ImageIO.createImageInputStream(file)) {
            Iterator<ImageReader> readers = in == null ? null : ImageIO.getImageReaders(in);
            if (readers == null || !readers.hasNext()) {
                throw refused("it is no picture: take a JPEG or a PNG");
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                    throw refused("it has more than 60 million pixels: make it smaller");
                }
                reader.addIIOReadProgressListener(new Watched(goOn));
                BufferedImage picture = reader.read(0);
                if (!goOn.test(1)) {
                    throw refused("reading it was stopped");
                }
                return of(picture);
            } finally {
                reader.dispose();
            }
        } catch (ReadingException why) {
            throw why;
        } catch (IOException | RuntimeException broken) {
            throw refused("it cannot be read as a picture: save it anew as JPEG or PNG");
        }
    }

    private static ReadingException refused(String why) {
        return new ReadingException("picture", why);
    }

    private static PictureFile of(BufferedImage picture) {
        int wide = picture.getWidth();
        int high = picture.getHeight();
        byte[] shades = new byte[wide * high];
        if (picture.getType() == BufferedImage.TYPE_3BYTE_BGR) {
            byte[] bgr = ((DataBufferByte) picture.getRaster().getDataBuffer()).getData();
            for (int i = 0; i < shades.length; i++) {
                shades[i] = shade(bgr[3 * i + 2] & 0xFF, bgr[3 * i + 1] & 0xFF, bgr[3 * i] & 0xFF);
            }
        } else if (picture.getType() == BufferedImage.TYPE_BYTE_GRAY) {
            System.arraycopy(
                    ((DataBufferByte) picture.getRaster().getDataBuffer()).getData(), 0, shades, 0, shades.length);
        } else {
            int[] row = new int[wide];
            for (int y = 0; y < high; y++) {
                picture.getRGB(0, y, wide, 1, row, 0, wide);
                for (int x = 0; x < wide; x++) {
                    shades[y * wide + x] = shade(row[x] >> 16 & 0xFF, row[x] >> 8 & 0xFF, row[x] & 0xFF);
                }
            }
        }
        return of(new Grey(wide, high, shades));
    }

    private static byte shade(int red, int green, int blue) {
        return (byte) ((red * 77 + green * 151 + blue * 28) >> 8);
    }

    /** One that is looked at in shades of grey. */
    public static PictureFile of(Grey grey) {
        int per = Math.max(1, (Math.max(grey.width(), grey.height()) + SIDE - 1) / SIDE);
        int wide = Math.max(1, grey.width() / per);
        int high = Math.max(1, grey.height() / per);
        int[] small = new int[wide * high];
        for (int y = 0; y < high; y++) {
            for (int x = 0; x < wide; x++) {
                // the mean, so that a fine line is still seen
                int sum = 0;
                for (int dy = 0; dy < per; dy++) {
                    for (int dx = 0; dx < per; dx++) {
                        sum += grey.shade(x * per + dx, y * per + dy);
                    }
                }
                int mean = sum / (per * per);
                small[y * wide + x] = 0xFF000000 | mean << 16 | mean << 8 | mean;
            }
        }
        WritableImage image = new WritableImage(wide, high);
        image.getPixelWriter().setPixels(0, 0, wide, high, PixelFormat.getIntArgbInstance(), small, 0, wide);
        return new PictureFile(grey, image, per);
    }

    /** Tells how far reading is, and ends it where it is to end. */
    private record Watched(DoublePredicate goOn) implements IIOReadProgressListener {
        @Override
        public void imageProgress(ImageReader reader, float percent) {
            if (!goOn.test(percent / 100)) {
                reader.abort();
            }
        }

        @Override
        public void sequenceStarted(ImageReader reader, int first) {}

        @Override
        public void sequenceComplete(ImageReader reader) {}

        @Override
        public void imageStarted(ImageReader reader, int index) {}

        @Override
        public void imageComplete(ImageReader reader) {}

        @Override
        public void thumbnailStarted(ImageReader reader, int image, int thumbnail) {}

        @Override
        public void thumbnailProgress(ImageReader reader, float percent) {}

        @Override
        public void thumbnailComplete(ImageReader reader) {}

        @Override
        public void readAborted(ImageReader reader) {}
    }
}
