package zebrawood.kit.view;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.image.Image;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import zebrawood.core.entry.NewAttachment;

/**
 * A small picture of a file, if it is one. A large picture is never decoded whole.
 *
 * @param picture the small one
 * @param warning what to tell of a file that is named like a picture and is none
 */
public record Thumbnail(Optional<Image> picture, Optional<String> warning) {

    /** px */
    public static final int SIDE = 96;

    private static final Set<String> PICTURES = Set.of("jpg", "jpeg", "png", "gif", "bmp");
    /** pixels that are looked through while one waits; of a larger picture name and size are shown */
    private static final long MOST_PIXELS = 60_000_000L;
    /** a side longer than any camera's: such a picture is out to take time */
    private static final int LONGEST_SIDE = 30_000;
    /** of those that must be held whole to be shown at all */
    private static final long MOST_PROGRESSIVE = 16_000_000L;
    /** markers before the frame of a JPEG, bytes: as much as it may take to find it */
    private static final int HEAD = 1 << 20;

    /** Whether a file's name ends like that of a picture. */
    public static boolean isNamedLikeOne(String name) {
        return PICTURES.contains(name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT));
    }

    /** Looks at the bytes of what is named like a picture. */
    public static Thumbnail of(String name, NewAttachment.Content content) {
        if (!isNamedLikeOne(name)) {
            return new Thumbnail(Optional.empty(), Optional.empty());
        }
        try {
            Optional<Image> picture = decode(content, SIDE);
            return new Thumbnail(
                    picture,
                    picture.isPresent()
                            ? Optional.empty()
                            : Optional.of(name
                                    + " has the name of a picture, but cannot be shown as one; it is kept as it is."));
        } catch (TooLargeException large) {
            return new Thumbnail(
                    Optional.empty(), Optional.of(name + " is " + large.getMessage() + ": it is kept, not shown."));
        }
    }

    /** A picture that would take too much room or time. */
    private static final class TooLargeException extends Exception {
        private static final long serialVersionUID = 1L;

        TooLargeException(int width, int height) {
            super(width + " x " + height + " pixels");
        }
    }

    /** The picture at least so many pixels large where it has them; empty where it cannot be shown. */
    public static Optional<Image> picture(NewAttachment.Content content, int side) {
        try {
            return decode(content, side);
        } catch (TooLargeException large) {
            return Optional.empty();
        }
    }

    private static Optional<Image> decode(NewAttachment.Content content, int side) throws TooLargeException {
        ImageIO.setUseCache(false);
        try (InputStream in = content.open();
                ImageInputStream image = ImageIO.createImageInputStream(in)) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(image);
            if (!readers.hasNext()) {
                return Optional.empty();
            }
            ImageReader reader = readers.next();
            reader.setInput(image, true, true);
            int wide = reader.getWidth(0);
            int high = reader.getHeight(0);
            int longest = Math.max(wide, high);
            long most = isProgressive(content) ? MOST_PROGRESSIVE : MOST_PIXELS;
            if (longest > LONGEST_SIDE || (long) wide * high > most) {
                throw new TooLargeException(wide, high);
            }
            ImageReadParam every = reader.getDefaultReadParam();
            int step = Math.max(1, longest / (2 * side));
            every.setSourceSubsampling(step, step, 0, 0);
            BufferedImage small = reader.read(0, every);
            reader.dispose();
            return Optional.of(SwingFXUtils.toFXImage(small, null));
        } catch (IOException | RuntimeException none) {
            return Optional.empty();
        }
    }

    /** Whether a picture comes in passes that are all held until the last: a JPEG with such a frame, a laced PNG. */
    private static boolean isProgressive(NewAttachment.Content content) throws IOException {
        byte[] head;
        try (InputStream in = content.open()) {
            head = in.readNBytes(HEAD);
        }
        if (head.length > 28 && (head[0] & 0xFF) == 0x89 && head[1] == 'P') {
            return head[28] != 0;
        }
        if (head.length < 4 || (head[0] & 0xFF) != 0xFF || (head[1] & 0xFF) != 0xD8) {
            return false;
        }
        for (int at = 2; at + 3 < head.length && (head[at] & 0xFF) == 0xFF; ) {
            int marker = head[at + 1] & 0xFF;
            boolean frame = marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
            if (frame || marker == 0xDA) {
                return marker != 0xC0 && marker != 0xC1;
            }
            at += 2 + ((head[at + 2] & 0xFF) << 8 | head[at + 3] & 0xFF);
        }
        return true;
    }
}
